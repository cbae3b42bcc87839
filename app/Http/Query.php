<?php

declare(strict_types=1);

namespace App\Http;

use App\Refusals\Refusal;
use Illuminate\Http\Request;

/** What stands behind the question mark of an address, read as carefully as a body. */
final class Query
{
    private const TEXT = 200;
    private const LARGEST = 2_147_483_647;

    /** @throws Refusal for a list, a text that is too long, or one that can't be kept whole */
    public static function text(Request $request, string $name): string
    {
        $value = $request->query($name, '');

        return is_string($value) && mb_check_encoding($value, 'UTF-8') && mb_strlen($value) <= self::TEXT && ! str_contains($value, "\0")
            ? $value
            : throw Refusal::field($name, null, 'a text of at most ' . self::TEXT . ' characters');
    }

    /**
     * @return int|null null where nothing was given
     * @throws Refusal
     */
    public static function whole(Request $request, string $name): ?int
    {
        $value = $request->query($name);
        $number = filter_var($value, FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => self::LARGEST]]);

        return $value === null || $value === '' ? null : ($number === false ? throw Refusal::field($name, null, 'a whole number from 1') : $number);
    }
}
