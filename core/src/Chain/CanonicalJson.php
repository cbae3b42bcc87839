<?php

declare(strict_types=1);

namespace IronStart\Core\Chain;

/**
 * JSON in its one canonical form, so that the same data always has the same digest.
 *
 * Source: RFC 8785 (JSON Canonicalization Scheme): members sorted by their names' UTF-16 code units, numbers as
 * ECMAScript writes them, no white space, only what must be escaped is.
 */
final class CanonicalJson
{
    /** Beyond this a double no longer tells neighbouring whole numbers apart. */
    private const EXACT = 9_007_199_254_740_992;

    /** ECMAScript writes whole digits up to this many places before it turns to an exponent. */
    private const PLAIN_DIGITS = 21;

    /** … and as many zeros after the point as this before it does. */
    private const PLAIN_ZEROS = -6;

    /**
     * @param mixed $value as json_decode gives it: objects as stdClass or as string-keyed arrays
     * @throws NotCanonical for NaN, an infinity, a whole number beyond 2^53, broken UTF-8, or what JSON does not have
     */
    public static function of(mixed $value): string
    {
        return match (true) {
            $value === null => 'null',
            is_bool($value) => $value ? 'true' : 'false',
            is_int($value) => abs($value) <= self::EXACT ? (string) $value : throw NotCanonical::number((string) $value),
            is_float($value) => self::number($value),
            is_string($value) => self::text($value),
            $value instanceof \stdClass => self::object((array) $value),
            is_array($value) => array_is_list($value) ? '[' . implode(',', array_map(self::of(...), $value)) . ']' : self::object($value),
            default => throw NotCanonical::type(get_debug_type($value)),
        };
    }

    /** @param array<array-key, mixed> $members */
    private static function object(array $members): string
    {
        $byName = [];
        foreach ($members as $name => $value) {
            $byName[(string) mb_convert_encoding((string) $name, 'UTF-16BE', 'UTF-8')] = self::text((string) $name) . ':' . self::of($value);
        }
        ksort($byName, SORT_STRING);

        return '{' . implode(',', $byName) . '}';
    }

    private static function text(string $text): string
    {
        $json = json_encode($text, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_LINE_TERMINATORS);

        return $json === false ? throw NotCanonical::text() : $json;
    }

    /** As Number::toString of ECMAScript: the shortest digits that give the same double back. */
    private static function number(float $number): string
    {
        if (! is_finite($number)) {
            throw NotCanonical::number((string) $number);
        }
        if ($number === 0.0) {
            return '0';
        }
        $parts = [];
        if (preg_match('/^(-?)(\d)(?:\.(\d+))?e([+-]\d+)$/', self::shortest($number), $parts) !== 1) {
            throw NotCanonical::number((string) $number);
        }
        [, $sign, $first, $rest, $exponent] = $parts;
        $digits = $first . rtrim($rest, '0');
        $point = (int) $exponent + 1;
        $count = strlen($digits);

        return $sign . match (true) {
            $point >= $count && $point <= self::PLAIN_DIGITS => $digits . str_repeat('0', $point - $count),
            $point > 0 && $point <= self::PLAIN_DIGITS => substr($digits, 0, $point) . '.' . substr($digits, $point),
            $point > self::PLAIN_ZEROS && $point <= 0 => '0.' . str_repeat('0', -$point) . $digits,
            default => $digits[0] . ($count > 1 ? '.' . substr($digits, 1) : '') . 'e' . ($point > 0 ? '+' : '-') . abs($point - 1),
        };
    }

    /** Seventeen digits always suffice; the fewest that give the same double are wanted. */
    private static function shortest(float $number): string
    {
        for ($places = 0; $places <= 16; $places++) {
            $told = sprintf("%.{$places}e", $number);
            if ((float) $told === $number) {
                return $told;
            }
        }

        return sprintf('%.16e', $number);
    }
}
