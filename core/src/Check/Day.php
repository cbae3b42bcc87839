<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

/** A day of the calendar as it is written by ISO 8601, `2026-05-04`. */
final readonly class Day
{
    private const FORM = '/^\d{4}-\d\d-\d\d$/D';
    private const ZONE = 'UTC';

    private function __construct(private \DateTimeImmutable $at)
    {
    }

    /** @throws \InvalidArgumentException whose message says what is accepted */
    public static function parse(string $text): self
    {
        $text = trim($text);
        $at = preg_match(self::FORM, $text) === 1 ? \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone(self::ZONE)) : false;
        if ($at === false || $at->format('Y-m-d') !== $text) {
            throw new \InvalidArgumentException('a day such as 2026-05-04');
        }

        return new self($at);
    }

    public function isAfter(self $other): bool
    {
        return $this->at > $other->at;
    }

    public function plus(int $days): self
    {
        return new self($this->at->modify("+$days days"));
    }

    /** As it is written by ISO 8601. */
    public function written(): string
    {
        return $this->at->format('Y-m-d');
    }

    /** As it is said: 4 May 2026. */
    public function said(): string
    {
        return $this->at->format('j M Y');
    }
}
