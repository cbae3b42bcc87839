<?php

declare(strict_types=1);

namespace IronStart\Core\Quantity;

/** Outside diameters of refrigeration tube, as they are sold: the nominal inch sizes, which stand for the metric ones too. */
final class TubeSize
{
    /** @var array<string, float> in, by the way it is written */
    public const INCHES = [
        '1/4 in' => 0.25, '3/8 in' => 0.375, '1/2 in' => 0.5, '5/8 in' => 0.625, '3/4 in' => 0.75,
        '7/8 in' => 0.875, '1-1/8 in' => 1.125, '1-3/8 in' => 1.375, '1-5/8 in' => 1.625, '2-1/8 in' => 2.125,
    ];
    /** m; a tube further from every size is no tube of this trade. 15 mm counts as 5/8 in. */
    private const NEAR = 0.0011;
    private const INCH = 0.0254;

    /**
     * The size a measure stands for.
     *
     * @param float $metres measured outside diameter
     * @return float|null m, of the nominal size; null where there is none so near
     */
    public static function nearest(float $metres): ?float
    {
        foreach (self::INCHES as $inches) {
            if (abs($metres - $inches * self::INCH) <= self::NEAR) {
                return $inches * self::INCH;
            }
        }

        return null;
    }

    /** A nominal size as it is written, `7/8 in`. @param float $metres of a nominal size */
    public static function written(float $metres): string
    {
        foreach (self::INCHES as $written => $inches) {
            if (abs($metres - $inches * self::INCH) < 1e-6) {
                return $written;
            }
        }
        throw new \LogicException('That is no nominal size.');
    }
}
