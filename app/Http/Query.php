<?php

declare(strict_types=1);

namespace App\Http;

use App\Refusals\Refusal;
use Illuminate\Http\Request;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\InputReader;

/** What stands behind the question mark of an address, read as carefully as a body. */
final class Query
{
    private const TEXT = 200;

    /** @throws Refusal for a list, a text that is too long, or one that can't be kept whole */
    public static function text(Request $request, string $name): string
    {
        try {
            return (new InputReader([Field::text($name, self::TEXT)]))->read((object) [$name => $request->query($name)], fn (): array => [])->text($name);
        } catch (InputError $error) {
            throw Refusal::badInput($error);
        }
    }

    /**
     * @return int|null null where nothing was given
     * @throws Refusal
     */
    public static function whole(Request $request, string $name): ?int
    {
        $value = $request->query($name);
        $number = filter_var($value, FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => InputReader::LARGEST]]);

        return $value === null || $value === '' ? null : ($number === false ? throw Refusal::field($name, null, 'a whole number from 1') : $number);
    }
}
