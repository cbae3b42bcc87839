<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Quantity;

use Eris\Generator;
use Eris\TestTrait;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Quantity\UnknownUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class UnitsTest extends TestCase
{
    use TestTrait;

    protected function setUp(): void
    {
        $this->seed = 20260504;
    }

    /** @return iterable<string, array{string, string, string, float}> */
    public static function worked(): iterable
    {
        yield 'boiling water' => ['212 degF', 'degC', 'temperature', 100.0];
        yield 'a span is no temperature' => ['18 delta_degF', 'delta_degC', 'temperature_difference', 10.0];
        yield 'one psi' => ['1 psig', 'kPag', 'gauge_pressure', 6.894757];
        yield 'an inch of water' => ['1 inH2O', 'Pa', 'small_pressure', 249.089];
        yield 'a micron' => ['1000 micron', 'Pa', 'absolute_pressure', 133.322];
        yield 'an ounce' => ['1 oz', 'g', 'mass', 28.349523];
        yield 'a pound is sixteen ounces' => ['1 lb', 'oz', 'mass', 16.0];
        yield 'a ton of cooling' => ['1 ton', 'Btu/h', 'heat', 12000.0];
        yield 'a foot' => ['1 ft', 'mm', 'length', 304.8];
        yield 'megohms' => ['0.5 Mohm', 'ohm', 'resistance', 500000.0];
        yield 'grains' => ['7 gr/lb', 'g/kg', 'humidity_ratio', 1.0];
    }

    #[DataProvider('worked')]
    public function testWorkedConversions(string $written, string $unit, string $kind, float $expected): void
    {
        self::assertEqualsWithDelta($expected, Quantity::parse($written, Kind::from($kind))?->in($unit), 1e-9 * max(1, abs($expected)));
    }

    public function testEveryUnitComesBackToItself(): void
    {
        $this->limitTo(60)->forAll(Generator\elements(...Kind::cases()), Generator\choose(-40000, 400000))->then(function (Kind $kind, int $thousandths): void {
            foreach (Units::of($kind) as $unit) {
                $value = $thousandths / 1000;
                self::assertEqualsWithDelta($value, Quantity::of($value, $unit, $kind)->in($unit), 1e-9 * max(1000, abs($value)), "$value $unit");
            }
        });
    }

    public function testUnitsOfOneKindKeepTheOrderOfValues(): void
    {
        $this->limitTo(40)->forAll(Generator\elements(...Kind::cases()), Generator\choose(0, 1000), Generator\choose(1, 1000))->then(function (Kind $kind, int $low, int $more): void {
            foreach (Units::of($kind) as $unit) {
                self::assertLessThan(Units::toCanonical($low + $more, $unit, $kind), Units::toCanonical($low, $unit, $kind), $unit);
            }
        });
    }

    public function testAUnitOfAnotherKindIsRefused(): void
    {
        $this->expectException(UnknownUnit::class);
        Quantity::of(1.0, 'psia', Kind::GaugePressure);
    }
}
