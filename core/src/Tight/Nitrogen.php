<?php

declare(strict_types=1);

namespace IronStart\Core\Tight;

use IronStart\Core\Numeric\Root;

/**
 * Nitrogen in a closed pipe as it warms and cools. At test pressure it is no ideal gas: 500 psig at 95 °F stand 2.3 psi
 * lower at 62 °F than the ideal law says.
 *
 * P = ρRT·(1 + Bρ + Cρ²), its virial coefficients fitted to the reference equation of state: from 10 to 120 °F and up to
 * 600 psig within 0.0082 psi of it.
 */
final class Nitrogen
{
    /** J/(mol·K) */
    public const GAS = 8.314462618;
    private const REFERENCE = 300.0;
    /** mol/m3, far over any test pressure. */
    private const DENSEST = 20_000.0;

    /**
     * @param float $pascals absolute, above 0
     * @param float $kelvin  233 to 353
     * @param float $then    K, of the same gas in the same pipe
     * @return float Pa, absolute
     */
    public static function at(float $pascals, float $kelvin, float $then): float
    {
        $density = Root::smooth(fn (float $rho): float => self::pressure($rho, $kelvin) - $pascals, 0.0, self::DENSEST);

        return self::pressure($density, $then);
    }

    /** The same by the ideal law. */
    public static function ideal(float $pascals, float $kelvin, float $then): float
    {
        return $pascals * $then / $kelvin;
    }

    /** @param float $rho mol/m3 */
    private static function pressure(float $rho, float $kelvin): float
    {
        $x = self::REFERENCE / $kelvin;
        $b = (43.76 - 39.13 * $x - 9.21 * $x * $x) * 1e-6;
        $c = (705 + 734 * $x) * 1e-12;

        return $rho * self::GAS * $kelvin * (1 + $b * $rho + $c * $rho * $rho);
    }
}
