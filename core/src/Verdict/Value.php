<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/** One figure, text, flag or list of a verdict, with its unit ("" where there is none). Never rounded. */
final readonly class Value
{
    /** @param float|int|string|bool|list<mixed> $value */
    private function __construct(public float|int|string|bool|array $value, public string $unit)
    {
    }

    public static function of(float|int $value, string $unit): self
    {
        return new self($value, $unit);
    }

    public static function text(string $value): self
    {
        return new self($value, '');
    }

    public static function flag(bool $value): self
    {
        return new self($value, '');
    }

    /** @param list<mixed> $value */
    public static function list(array $value): self
    {
        return new self($value, '');
    }
}
