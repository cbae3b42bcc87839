<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Air;

use IronStart\Core\Core;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Any two figures make the same air, and what is no figure is told. */
final class AirTest extends TestCase
{
    use Judges;

    /** 80 °F and 50 % RH at sea level: wet bulb 66.7 °F, dew point 59.7 °F, 10.9 g/kg. */
    private const AIR = ['dry_bulb' => '80 degF', 'relative_humidity' => '50 %'];

    /** @return iterable<string, array{list<string>}> */
    public static function pairs(): iterable
    {
        $figures = ['dry_bulb', 'wet_bulb', 'relative_humidity', 'dew_point', 'humidity_ratio'];
        foreach ($figures as $i => $one) {
            foreach (array_slice($figures, $i + 1) as $other) {
                // Dew point and humidity ratio say the same.
                if ([$one, $other] !== ['dew_point', 'humidity_ratio']) {
                    yield "$one and $other" => [[$one, $other]];
                }
            }
        }
    }

    /** @param list<string> $pair */
    #[DataProvider('pairs')]
    public function testAnyTwoFiguresMakeTheSameAir(array $pair): void
    {
        $of = fn (string $name): float => (float) self::figure('air.state', self::AIR, $name);
        $figures = [
            'dry_bulb' => '80 degF', 'relative_humidity' => '50 %', 'wet_bulb' => $of('wet_bulb') . ' degC', 'dew_point' => $of('dew_point') . ' degC', 'humidity_ratio' => $of('humidity_ratio'),
        ];
        $input = array_intersect_key($figures, array_flip($pair));
        foreach (['dry_bulb', 'wet_bulb', 'dew_point'] as $name) {
            self::assertEqualsWithDelta($of($name), (float) self::figure('air.state', $input, $name), 0.02, $name);
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function tables(): iterable
    {
        $table = ['settings' => [1], 'statics' => ['0.5 inH2O'], 'flows' => [['1000 cfm']]];
        foreach (array_keys($table) as $name) {
            yield "without $name" => [array_diff_key($table, [$name => 1])];
        }
    }

    /** @param array<string, mixed> $table */
    #[DataProvider('tables')]
    public function testAFanTableHasAllItsParts(array $table): void
    {
        self::assertSame('fan.table', self::refused('air.flow', ['return_db' => '75 degF', 'fan' => ['table' => $table, 'setting' => 1, 'static' => '0.5 inH2O']])[0]);
    }

    public function testAWetBulbMayReachItsDryBulb(): void
    {
        $cooling = fn (string $wet): array => self::refused('air.flow', ['return_db' => '75 degF', 'supply_db' => '55 degF', 'cooling' => ['return_wb' => $wet]]);
        self::assertNotSame('cooling.return_wb', $cooling('75 degF')[0]);
        self::assertSame('cooling.return_wb', $cooling('75.1 degF')[0]);
    }

    public function testFiveDegreesBetweenReturnAndOutdoorAirTellSomething(): void
    {
        $share = fn (string $outdoor): ?float => self::figure('air.mix', ['return_db' => '75 degF', 'mixed_db' => '76 degF', 'outdoor_db' => "$outdoor degF"], 'outdoor_fraction');
        self::assertEqualsWithDelta(20.0, (float) $share('80'), 1e-9);
        self::assertNull($share('79.99'));
    }

    public function testAirWithoutWaterIsNoAirAndSaturatedAirIs(): void
    {
        self::assertEqualsWithDelta(100.0, (float) self::figure('air.state', ['dry_bulb' => '70 degF', 'wet_bulb' => '70 degF'], 'relative_humidity'), 1e-6);
        self::assertNotSame('', self::refused('air.state', ['dry_bulb' => '70 degF', 'relative_humidity' => '0 %'])[0]);
    }

    public function testAShareIsHeldAgainstTheScheduleAlsoWithHalfAnAirflow(): void
    {
        $read = ['return_db' => '72 degF', 'mixed_db' => '66 degF', 'outdoor_db' => '42 degF'];
        $low = ['stop', ['outdoor_air_low']];
        self::assertSame('clear', self::found('air.mix', ['wanted_fraction' => '20 %'] + $read)[0]);
        self::assertSame($low, self::found('air.mix', ['wanted_fraction' => '45 %'] + $read));
        self::assertSame($low, self::found('air.mix', ['wanted_fraction' => '45 %', 'supply_airflow' => '5000 cfm'] + $read), 'half of what makes a share');
    }

    public function testWhatIsSwappedIsRefusedAtItsField(): void
    {
        $heat = fn (string $supply): string => self::refused('air.flow', ['return_db' => '70 degF', 'supply_db' => $supply, 'gas_heat' => ['input' => '100000 Btu/h']])[0];
        self::assertSame('supply_db', $heat('70 degF'));
        self::assertNotSame('supply_db', $heat('70.1 degF'));
        $mix = fn (string $wanted): string => self::refused('air.mix', ['return_db' => '72 degF', 'mixed_db' => '66 degF', 'outdoor_db' => '42 degF', 'wanted_airflow' => $wanted, 'supply_airflow' => '5000 cfm'])[0];
        self::assertSame('', $mix('5000 cfm'));
        self::assertSame('wanted_airflow', $mix('5001 cfm'));
    }

    public function testTheBlowersLimitIsAskedForOnceItWouldTurnFaster(): void
    {
        $drive = ['flow_now' => '1000 cfm', 'rpm_now' => 800, 'amps_now' => '4 A', 'plate_amps' => '8 A', 'rotation' => 'correct'];
        $asks = fn (string $target): int => count(array_filter(Core::judge()->judge('air.fan_drive', ['flow_target' => $target] + $drive, 'us')->judgement->findings, fn ($finding): bool => $finding->phrase === 'ask_max_rpm'));
        self::assertSame(0, $asks('1000 cfm'));
        self::assertSame(1, $asks('1001 cfm'));
    }
}
