<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Quantity\TubeSize;

/** Tube sizes as a charge rule goes by them. */
final class Sizes
{
    /** A size as it is told in a code and a figure's name: 3/8. @param float $od m */
    public static function key(float $od): string
    {
        return str_replace(' in', '', TubeSize::written($od));
    }

    /**
     * @param list<Input> $rates
     * @return iterable<InputError> a size that stands there twice
     */
    public static function twice(array $rates): iterable
    {
        $seen = [];
        foreach ($rates as $rate) {
            $od = $rate->maybe('liquid_od');
            if ($od === null) {
                continue;
            }
            $size = self::key($od);
            if (isset($seen[$size])) {
                yield new InputError("{$rate->path}liquid_od", TubeSize::written($od), 'each size once', "{$rate->path}liquid_od: that size is there already. Leave one out.");
            }
            $seen[$size] = true;
        }
    }
}
