<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/**
 * Comparison with a limit that belongs to the milder side, with a slack of 1e-9·max(1, |limit|), so that a
 * figure that is equal on paper is not judged by its last binary digit.
 */
final class Limit
{
    private const SLACK = 1e-9;

    public static function over(float $x, float $limit): bool
    {
        return $x > $limit + self::SLACK * max(1.0, abs($limit));
    }

    public static function under(float $x, float $limit): bool
    {
        return $x < $limit - self::SLACK * max(1.0, abs($limit));
    }

    /** Inside both limits, each included. What is no number is inside nothing. */
    public static function within(float $x, float $low, float $high): bool
    {
        return ! is_nan($x) && ! self::under($x, $low) && ! self::over($x, $high);
    }
}
