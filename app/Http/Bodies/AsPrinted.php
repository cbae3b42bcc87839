<?php

declare(strict_types=1);

namespace App\Http\Bodies;

use IronStart\Core\Power\PlateVoltage;

/** A reading as it is typed off a nameplate, handed to the core in the core's own form. */
final class AsPrinted
{
    private const PLATE = 'plate_voltage';

    /** @return mixed the same; a nameplate voltage that can be read as one in its own form, one that can't as it came */
    public static function input(mixed $raw): mixed
    {
        $typed = $raw instanceof \stdClass ? $raw->{self::PLATE} ?? null : null;
        $form = is_string($typed) ? PlateVoltage::fromNameplate($typed) : null;
        if ($form === null || ! $raw instanceof \stdClass) {
            return $raw;
        }
        $own = clone $raw;
        $own->{self::PLATE} = $form;

        return $own;
    }
}
