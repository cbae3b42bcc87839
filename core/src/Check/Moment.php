<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

/** A moment as it is written: a date and a time by ISO 8601, with a zone or without. */
final readonly class Moment
{
    private const FORM = '/^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d{1,6})?)?(Z|[+-]\d\d:\d\d)?$/D';
    private const SIX_DAYS = 518_400.0;

    private function __construct(private \DateTimeImmutable $at, public bool $hasZone, public string $written)
    {
    }

    /** @throws \InvalidArgumentException whose message says what is accepted */
    public static function parse(string $text): self
    {
        $text = trim($text);
        $accepted = 'a date and a time such as 2026-05-04T17:00 or 2026-05-04T17:00:00-06:00';
        if (preg_match(self::FORM, $text, $part) !== 1) {
            throw new \InvalidArgumentException($accepted);
        }
        try {
            $at = new \DateTimeImmutable($text, new \DateTimeZone('UTC'));
        } catch (\Exception) {
            throw new \InvalidArgumentException($accepted);
        }
        $overflow = \DateTimeImmutable::getLastErrors();
        if ($overflow !== false && $overflow['warning_count'] > 0) {
            throw new \InvalidArgumentException($accepted);
        }

        return new self($at, ($part[3] ?? '') !== '', $text);
    }

    /** @return float seconds from this one to a later one; both with a zone, or neither */
    public function until(self $later): float
    {
        return (float) $later->at->format('U.u') - (float) $this->at->format('U.u');
    }

    /** @param float $seconds later than this one; whole ones count */
    public function after(float $seconds): self
    {
        return new self($this->at->setTimestamp($this->at->getTimestamp() + (int) floor($seconds + 0.5)), $this->hasZone, $this->written);
    }

    /** To the nearest minute, with the offset it was written with. */
    public function toTheMinute(): string
    {
        $at = $this->after(30.0)->at;

        return $at->format($this->hasZone ? 'Y-m-d\TH:i:00P' : 'Y-m-d\TH:i:00');
    }

    /** As somebody says it at another moment: the day only where it is another one. */
    public function said(self $now): string
    {
        $at = $this->after(30.0)->at;
        $isSameDay = $at->format('Y-m-d') === $now->at->format('Y-m-d');

        return $at->format($isSameDay ? 'H:i' : ($now->until($this) < self::SIX_DAYS ? 'D H:i' : 'j M H:i'));
    }
}
