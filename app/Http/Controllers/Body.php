<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Refusals\Refusal;
use Illuminate\Http\Request;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/** Reads the JSON body of a request, member by member, with a clear word for what is wrong. */
final class Body
{
    /** The body as objects, so that `{}` and `[]` stay different. */
    public static function object(Request $request): \stdClass
    {
        $body = json_decode($request->getContent());

        return $body instanceof \stdClass ? $body : throw Refusal::field('', null, 'one JSON object');
    }

    /** @return array<string, mixed> */
    public static function members(Request $request): array
    {
        return json_decode((string) json_encode(self::object($request)), true);
    }

    public static function text(Request $request, string $name, int $length): string
    {
        $value = self::object($request)->{$name} ?? null;
        if (! is_string($value) || trim($value) === '' || mb_strlen($value) > $length) {
            throw Refusal::field($name, $value, "a text of 1 to $length characters");
        }

        return $value;
    }

    public static function optionalText(\stdClass $body, string $name, int $length): string
    {
        $value = $body->{$name} ?? '';

        return is_string($value) && mb_strlen($value) <= $length ? $value : throw Refusal::field($name, $value, "a text of at most $length characters");
    }

    public static function whole(\stdClass $body, string $name, int $min, int $max): ?int
    {
        $value = $body->{$name} ?? null;
        if ($value !== null && (! is_int($value) || $value < $min || $value > $max)) {
            throw Refusal::field($name, $value, "a whole number from $min to $max");
        }

        return $value;
    }

    /** @return array<string, string> unit by kind of quantity */
    public static function unitsByKind(mixed $given): array
    {
        $units = [];
        foreach (is_array($given) ? $given : [] as $kind => $unit) {
            $known = Kind::tryFrom((string) $kind);
            if ($known === null || ! is_string($unit) || ! Units::knows($known, $unit)) {
                throw Refusal::field("fieldUnits.$kind", $unit, $known === null ? 'a kind of quantity' : implode(', ', Units::of($known)));
            }
            $units[$known->value] = $unit;
        }

        return $units;
    }
}
