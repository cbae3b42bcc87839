<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Air;

use IronStart\Core\Air\MoistAir;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MoistAirTest extends TestCase
{
    /** @return iterable<string, array{float, float}> °C, Pa: the handbook's table of water at saturation */
    public static function table(): iterable
    {
        yield '-40' => [-40.0, 12.85];
        yield '-20' => [-20.0, 103.24];
        yield '-10' => [-10.0, 259.87];
        yield '0' => [0.0, 611.15];
        yield '10' => [10.0, 1228.0];
        yield '20' => [20.0, 2338.9];
        yield '25' => [25.0, 3169.3];
        yield '40' => [40.0, 7383.8];
        yield '60' => [60.0, 19944.0];
    }

    #[DataProvider('table')]
    public function testSaturationIsTheTables(float $celsius, float $pascals): void
    {
        self::assertEqualsWithDelta(1.0, MoistAir::saturation($celsius + 273.15) / $pascals, 5e-4);
    }

    public function testIceAndLiquidMeetAtTheTriplePoint(): void
    {
        self::assertEqualsWithDelta(1.0, MoistAir::saturation(273.16) / MoistAir::saturation(273.161), 2e-4);
        self::assertEqualsWithDelta(611.66, MoistAir::saturation(273.16), 0.15);
    }

    public function testTheDewPointIsWhereTheVapourSaturates(): void
    {
        foreach ([250.0, 273.16, 290.0, 300.0, 320.0] as $kelvin) {
            self::assertEqualsWithDelta($kelvin, MoistAir::dewPoint($kelvin, 100.0), 1e-6);
            foreach ([5.0, 30.0, 50.0, 90.0] as $humidity) {
                $dew = MoistAir::dewPoint($kelvin, $humidity);
                self::assertLessThan($kelvin, $dew);
                self::assertEqualsWithDelta($humidity / 100 * MoistAir::saturation($kelvin), MoistAir::saturation($dew), 1e-4 * MoistAir::saturation($kelvin));
            }
        }
    }

    /** 75 °F and 50 % RH: 55.1 °F, as every psychrometric chart has it. */
    public function testTheTableReachesDownToWhereTheTermsOfTheReferenceEnd(): void
    {
        foreach ([174.0, 190.0, 230.0, 300.0, 470.0] as $kelvin) {
            self::assertEqualsWithDelta($kelvin, MoistAir::saturatesAt(MoistAir::saturation($kelvin)), 1e-6);
        }
    }

    public function testARoomAsOnTheChart(): void
    {
        self::assertEqualsWithDelta(55.1, (MoistAir::dewPoint((75 - 32) / 1.8 + 273.15, 50.0) - 273.15) * 1.8 + 32, 0.1);
    }
}
