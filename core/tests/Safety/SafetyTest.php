<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Safety;

use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\TestCase;

/** What is asked for once something is fitted and tested, and what a test leaves out that has to come back. */
final class SafetyTest extends TestCase
{
    use Judges;

    private const SMOKE = ['fitted' => true, 'method' => 'smoke', 'blower_off' => true, 'reset' => true, 'panel' => true, 'told_before' => true, 'told_after' => true, 'signal' => 'supervisory'];
    private const LEAK = ['refrigerant' => 'R-454B', 'fitted' => true, 'recognised' => true, 'method' => 'simulated', 'blower_on' => true, 'compressor_off' => true, 'ignition_off' => true, 'seconds' => 6, 'reset' => true, 'min_airflow' => '600 cfm', 'airflow' => '900 cfm'];

    public function testADetectorIsAskedForWhatItsTestHasToShow(): void
    {
        self::assertSame(['missing:fitted'], self::judge('safety.smoke', ['airflow' => '2500 cfm'])->codes());
        self::assertSame(['missing:airflow'], self::judge('safety.smoke', ['fitted' => false])->codes());
        self::assertSame(['missing:method', 'missing:blower_off', 'missing:reset', 'missing:panel'], self::judge('safety.smoke', ['fitted' => true])->codes());
        self::assertSame(['missing:told_before', 'missing:told_after', 'missing:signal'], self::judge('safety.smoke', array_diff_key(self::SMOKE, ['told_before' => 1, 'told_after' => 1, 'signal' => 1]))->codes());
        self::assertSame([], self::judge('safety.smoke', ['panel' => false] + array_diff_key(self::SMOKE, ['told_before' => 1, 'told_after' => 1, 'signal' => 1]))->codes(), 'nobody to tell');
    }

    public function testAPanelOnTestStaysOnTheListUntilItIsSignedBackIn(): void
    {
        self::assertSame(['opens alarm_panel'], self::setsOff('safety.smoke', ['told_after' => false] + self::SMOKE));
        self::assertSame(['closes alarm_panel'], self::setsOff('safety.smoke', self::SMOKE));
        self::assertSame([], self::setsOff('safety.smoke', ['panel' => false] + self::SMOKE));
    }

    public function testTheTimeIsToldWithItsLimitWhereTheBlowerStopped(): void
    {
        $figures = fn (array $more): array => array_map(fn (string $name): ?float => self::figure('safety.smoke', $more + self::SMOKE, $name), ['seconds', 'limit_seconds']);
        self::assertSame([4.0, 15.0], $figures(['seconds' => 4]));
        self::assertSame([4.0, 10.0], $figures(['seconds' => 4, 'sheet_seconds' => 10]));
        self::assertSame([null, null], $figures(['seconds' => 4, 'blower_off' => false]));
    }

    public function testASensorIsAskedForWhatItsAlarmHasToDo(): void
    {
        self::assertSame(['missing:class'], self::judge('safety.leak_sensor', ['fitted' => true])->codes());
        self::assertSame(['missing:fitted'], self::judge('safety.leak_sensor', ['refrigerant' => 'R-32'])->codes());
        self::assertSame(['missing:recognised', 'missing:method', 'missing:blower_on', 'missing:compressor_off', 'missing:ignition_off', 'missing:seconds', 'missing:reset'], array_values(array_filter(
            self::judge('safety.leak_sensor', ['refrigerant' => 'R-32', 'fitted' => true, 'min_airflow' => '600 cfm', 'airflow' => '900 cfm'])->codes(),
            fn (string $code): bool => str_starts_with($code, 'missing:'),
        )));
        self::assertContains('missing:charge', self::judge('safety.leak_sensor', ['min_airflow' => null] + self::LEAK)->codes());
        self::assertSame(['missing:charge'], self::judge('safety.leak_sensor', ['refrigerant' => 'R-32', 'fitted' => false])->codes());
        self::assertSame(['missing:lfl', 'missing:charge'], self::judge('safety.leak_sensor', ['class' => 'A2L', 'fitted' => false])->codes());
        self::assertContains('missing:restored', self::judge('safety.leak_sensor', ['method' => 'unplugged'] + self::LEAK)->codes());
    }

    public function testAPlugThatIsOutStaysOnTheList(): void
    {
        self::assertSame(['opens sensor_plug'], self::setsOff('safety.leak_sensor', ['method' => 'unplugged', 'restored' => false] + self::LEAK));
        self::assertSame(['closes sensor_plug'], self::setsOff('safety.leak_sensor', ['method' => 'unplugged', 'restored' => true] + self::LEAK));
        self::assertSame([], self::setsOff('safety.leak_sensor', ['restored' => false] + self::LEAK));
    }

    public function testAirIsThatOfTheSheetElseOfTheCharge(): void
    {
        $figure = fn (array $more, string $name): float => (float) self::figure('safety.leak_sensor', $more + self::LEAK, $name);
        self::assertEqualsWithDelta([600.0, 150.0], [$figure([], 'airflow_needed'), $figure([], 'airflow_share')], 1e-9);
        $charged = ['min_airflow' => null, 'charge' => '1 kg', 'lfl' => '0.3 kg/m3', 'airflow' => '300 m3/h'];
        self::assertEqualsWithDelta([200 / 1.69901, 150.0], [$figure($charged, 'airflow_needed'), $figure($charged, 'airflow_share')], 1e-3);
        self::assertEqualsWithDelta(1.8, $figure(['lfl' => '0.3 kg/m3'], 'charge_limit'), 1e-9);
    }
}
