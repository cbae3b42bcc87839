<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Refrigerant;

use IronStart\Core\Refrigerant\Refrigerant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RefrigerantTest extends TestCase
{
    /** @return iterable<string, array{string, bool}> name, flammable */
    public static function shipped(): iterable
    {
        yield '134a' => ['R-134a', false];
        foreach (['22', '404A', '407C', '410A', '448A', '449A', '513A'] as $name) {
            yield $name => ["R-$name", false];
        }
        yield '32' => ['R-32', true];
        yield '454B' => ['R-454B', true];
    }

    #[DataProvider('shipped')]
    public function testItGoesByItsNameHoweverItIsWritten(string $name, bool $isFlammable): void
    {
        foreach ([$name, strtolower($name), str_replace('-', '', $name), str_replace('R-', '', $name), ' ' . str_replace('-', ' ', $name) . ' '] as $written) {
            self::assertSame($name, Refrigerant::named($written)?->name(), $written);
        }
        self::assertSame($isFlammable, Refrigerant::named($name)?->isFlammable());
    }

    public function testThereIsNoTableForWhatIsNotShipped(): void
    {
        foreach (['', 'R', 'R-12', 'R-410', '410AA', 'RR-22', 'mixed'] as $name) {
            self::assertNull(Refrigerant::named($name), $name);
        }
    }

    public function testTwoNamesMayMeanTheSameWhetherOrNotThereIsATable(): void
    {
        self::assertTrue(Refrigerant::areSame('r 410a', 'R-410A'));
        self::assertTrue(Refrigerant::areSame('R-1234yf', '1234YF'));
        self::assertFalse(Refrigerant::areSame('R-410A', 'R-32'));
        self::assertFalse(Refrigerant::areSame('reclaim', 'eclaim'), 'the R is only left off before a digit');
    }

    #[DataProvider('shipped')]
    public function testAlongBothLinesPressureRisesAndLiquidThins(string $name): void
    {
        $refrigerant = Refrigerant::named($name);
        self::assertNotNull($refrigerant);
        [$bubble, $dew, $density] = [0.0, 0.0, INF];
        for ($k = 233.15; $k <= 333.15; $k += 0.37) {
            self::assertGreaterThan($bubble, $bubble = $refrigerant->bubblePressure($k));
            self::assertGreaterThan($dew, $dew = $refrigerant->dewPressure($k));
            self::assertLessThan($density, $density = $refrigerant->liquidDensity($k));
            self::assertLessThanOrEqual($bubble * (1 + 1e-9), $dew, "$name boils before it is all gas");
        }
    }

    #[DataProvider('shipped')]
    public function testAtItsOwnPointsTheTableSaysWhatIsInIt(string $name): void
    {
        $data = require dirname(__DIR__, 2) . '/data/refrigerants/r' . strtolower(substr($name, 2)) . '.php';
        $refrigerant = Refrigerant::named($name);
        self::assertNotNull($refrigerant);
        foreach ([0, 1, 40, 70, count($data['liquid_density']) - 2, count($data['liquid_density']) - 1] as $i) {
            $kelvin = $data['from'] + $i;
            self::assertTrue($refrigerant->covers($kelvin));
            self::assertEqualsWithDelta(1.0, $refrigerant->bubblePressure($kelvin) / $data['bubble_pressure'][$i], 1e-9);
            self::assertEqualsWithDelta(1.0, $refrigerant->dewPressure($kelvin) / $data['dew_pressure'][$i], 1e-9);
            self::assertEqualsWithDelta($data['liquid_density'][$i], $refrigerant->liquidDensity($kelvin), 1e-6);
        }
    }

    #[DataProvider('shipped')]
    public function testOutsideItsTableItSaysNothing(string $name): void
    {
        $data = require dirname(__DIR__, 2) . '/data/refrigerants/r' . strtolower(substr($name, 2)) . '.php';
        $last = $data['from'] + count($data['liquid_density']) - 1;
        self::assertTrue(Refrigerant::named($name)?->covers($data['from']));
        self::assertTrue(Refrigerant::named($name)?->covers($last));
        self::assertFalse(Refrigerant::named($name)?->covers($data['from'] - 0.01));
        self::assertFalse(Refrigerant::named($name)?->covers($last + 0.01));
    }

    /** A cubic between every second point must hit the point between them: what is between points is no guess. */
    public function testBetweenItsPointsTheTableHoldsWhatItPromises(): void
    {
        $refrigerant = Refrigerant::named('R-410A');
        self::assertNotNull($refrigerant);
        for ($k = 240.15; $k < 320; $k += 4) {
            $middle = $refrigerant->bubblePressure($k + 0.5);
            // ln p against 1/T is straight to 1e-5 over a kelvin.
            [$one, $other, $x] = [1 / $k, 1 / ($k + 1), 1 / ($k + 0.5)];
            $straight = exp(log($refrigerant->bubblePressure($k)) + (log($refrigerant->bubblePressure($k + 1)) - log($refrigerant->bubblePressure($k))) * ($x - $one) / ($other - $one));
            self::assertEqualsWithDelta(1.0, $middle / $straight, 2e-5);
        }
    }
}
