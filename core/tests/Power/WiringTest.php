<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use IronStart\Core\Core;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Figures, doubts, drawings and refusals of what the wiring is held against. */
final class WiringTest extends TestCase
{
    use Judges;

    private const TIED = ['breaker' => '60 A', 'path' => 'wire', 'conductor' => '10', 'ohms' => '0.1 ohm'];
    private const COIL = ['name' => 'C', 'kind' => 'contactor', 'sealed' => '10 VA', 'inrush' => '60 VA'];

    /** @param array<string, mixed> $input */
    #[DataProvider('wrong')]
    public function testWhatCannotBeIsRefusedAtItsField(string $check, array $input, string $field): void
    {
        self::assertSame($field, self::refused($check, $input)[0]);
    }

    /** @return iterable<string, array<int, mixed>> */
    public static function wrong(): iterable
    {
        $joint = ['name' => 'F', 'place' => 'fuse', 'leg' => 'a', 'drop' => '90 mV', 'amps' => '40 A'];
        yield 'a joint twice' => ['power.drop', ['running' => true, 'items' => [$joint, $joint]], 'items.1.leg'];
        yield 'a joint without its leg' => ['power.drop', ['running' => true, 'items' => [array_diff_key($joint, ['leg' => 1])]], 'items.0.leg'];
        yield 'volts beyond any meter' => ['power.drop', ['running' => true, 'items' => [['drop' => '1001 V'] + $joint]], 'items.0.drop'];
        yield 'impedance beside the panel\'s figure' => ['power.fault_current', ['available' => '22 kA', 'impedance' => '3 %'], 'impedance'];
        yield 'aluminum that is not made' => ['power.fault_current', ['available' => '22 kA', 'line_voltage' => '480 V', 'conductor' => '14', 'length' => '9 ft', 'material' => 'al'], 'conductor'];
        yield 'a ground wire that is not made' => ['power.grounding', ['conductor' => '14', 'material' => 'al'] + self::TIED, 'conductor'];
        yield 'a line wire that is not made' => ['power.grounding', ['conductor' => '8', 'phase_conductor' => '14', 'material' => 'al'] + self::TIED, 'phase_conductor'];
        yield 'a size nobody sells' => ['power.grounding', ['conductor' => '7'] + self::TIED, 'conductor'];
        yield 'a fused switch and a breaker' => ['power.disconnect', ['kind' => 'fused_switch', 'protected_by' => 'breaker'], 'protected_by'];
        yield 'less to pull in than to hold' => ['power.transformer_va', ['va' => '75 VA', 'coils' => [['inrush' => '9 VA'] + self::COIL]], 'coils.0.inrush'];
        yield 'a drive upside down' => ['power.dials', ['drives' => [['name' => 'F', 'min_hz' => '60 Hz', 'max_hz' => '59 Hz']]], 'drives.0.max_hz'];
        yield 'a dial outside its range' => ['power.dials', ['overloads' => [['name' => 'B', 'dial' => '0 A']]], 'overloads.0.dial'];
        yield 'a tap and how it is wired' => ['power.motor_tap', ['supply_average' => '230 V', 'items' => [['name' => 'B', 'tap' => 230, 'wired_for' => 'low', 'taps' => [230, 460]]]], 'items.0.wired_for'];
        yield 'a tap twice' => ['power.motor_tap', ['supply_average' => '230 V', 'items' => [['name' => 'B', 'tap' => 230, 'taps' => [208, 230, 208]]]], 'items.0.taps.2'];
        yield 'none of its taps' => ['power.motor_tap', ['supply_average' => '230 V', 'items' => [['name' => 'B', 'tap' => 240, 'taps' => [208, 230]]]], 'items.0.tap'];
    }

    public function testHeatIsThatOfTheFullLoad(): void
    {
        $at = fn (array $more): array => ['running' => true, 'items' => [$more + ['name' => 'L', 'place' => 'lug', 'leg' => 'a', 'drop' => '10 mV', 'amps' => '10 A']]];
        self::assertEqualsWithDelta([0.1, 0.001], [self::figure('power.drop', $at([]), 'items.0.watts'), self::figure('power.drop', $at([]), 'items.0.ohms')], 1e-9);
        self::assertEqualsWithDelta(0.9, (float) self::figure('power.drop', $at(['full_amps' => '30 A']), 'items.0.watts'), 1e-9);
        self::assertEqualsWithDelta(0.1, (float) self::figure('power.drop', $at(['full_amps' => '5 A']), 'items.0.watts'), 1e-9, 'never less than it carries');
    }

    public function testAJointNearItsLimitIsTooCloseToCall(): void
    {
        $at = fn (string $mV): bool => self::judge('power.drop', ['running' => true, 'items' => [['name' => 'L', 'place' => 'lug', 'leg' => 'a', 'drop' => "$mV mV", 'amps' => '90 A', 'full_amps' => '90 A']]])->marginal;
        foreach ([['29.2', '29.3'], ['30.8', '30.7'], ['97.5', '97.6'], ['102.7', '102.5']] as [$sure, $close]) {
            self::assertSame([false, true], [$at($sure), $at($close)], $close);
        }
        $ratio = fn (string $mV): bool => self::judge('power.drop', ['running' => true, 'items' => [['name' => 'F', 'place' => 'fuse', 'leg' => 'a', 'drop' => "$mV mV", 'amps' => '20 A'], ['name' => 'F', 'place' => 'fuse', 'leg' => 'b', 'drop' => '100 mV', 'amps' => '20 A']]])->marginal;
        self::assertSame([false, true, true, false], [$ratio('147.7'), $ratio('147.9'), $ratio('152.2'), $ratio('152.4')]);
    }

    public function testTheHottestIsNamedTheFirstOfTwo(): void
    {
        $joint = fn (string $leg, int $mV): array => ['name' => 'F', 'place' => 'fuse', 'leg' => $leg, 'drop' => "$mV mV", 'amps' => '40 A'];
        $hottest = fn (int ...$mV): mixed => self::judge('power.drop', ['running' => true, 'items' => [$joint('a', $mV[0]), $joint('b', $mV[1]), $joint('c', $mV[2])]])->values['hottest']->value;
        self::assertSame(['F:b', 'F:a'], [$hottest(90, 95, 94), $hottest(95, 95, 94)]);
    }

    public function testFaultCurrentHasTwoBoundsAndASinglePhaseGoesThereAndBack(): void
    {
        $source = ['kva' => '50 kVA', 'impedance' => '2 %', 'line_voltage' => '240 V', 'phases' => 1, 'conductor' => '2', 'length' => '100 ft', 'rating' => '10 kA'];
        $of = fn (array $more, string $name): float => (float) self::figure('power.fault_current', $more + $source, $name);
        // 10,417 A; 0.0207 ohm of source; the wire 0.0388 ohm there and back at 75 °C.
        self::assertEqualsWithDelta(11574.1, $of([], 'at_source'), 0.1);
        self::assertGreaterThan($of([], 'available_low'), $of([], 'available_high'));
        self::assertGreaterThan($of([], 'available_high'), $of(['sets' => 2], 'available_high'));
        self::assertLessThan($of([], 'available_low'), $of(['material' => 'al'], 'available_low'));
        self::assertSame($of(['sets' => 2, 'length' => '200 ft'], 'available_low'), $of([], 'available_low'));
        self::assertSame([22000.0, 22100.0], [(float) self::figure('power.fault_current', ['available' => '22 kA'], 'label_amps'), (float) self::figure('power.fault_current', ['available' => '22.001 kA'], 'label_amps')]);
    }

    public function testFaultCurrentIsDrawnBesideWhatTheUnitStands(): void
    {
        $bars = fn (string $rating): array => array_column(self::judge('power.fault_current', ['kva' => '500 kVA', 'impedance' => '5 %', 'line_voltage' => '480 V', 'rating' => "$rating kA"])->drawing['bars'], 'is');
        self::assertSame([['plain', 'pale', 'pale'], ['plain', 'pale', 'pale'], ['stop', 'pale', 'pale']], [$bars('14'), $bars('13'), $bars('10')]);
        self::assertSame([], self::judge('power.fault_current', [])->drawing);
    }

    public function testAGroundNearItsLimitIsTooCloseToCall(): void
    {
        $at = fn (string $ohms): bool => self::judge('power.grounding', ['ohms' => "$ohms ohm"] + self::TIED)->marginal;
        foreach ([['0.45', '0.451'], ['0.551', '0.55'], ['0.949', '0.951']] as [$sure, $close]) {
            self::assertSame([false, true], [$at($sure), $at($close)], $close);
        }
        self::assertFalse($at('0.01'), 'less than nothing is read by nobody');
    }

    public function testAGroundGrowsWithTheLineAndNeverOverIt(): void
    {
        $needed = fn (array $more): mixed => self::judge('power.grounding', $more + self::TIED)->values['needed_size']->value ?? null;
        self::assertSame(['10', '4', '8', '12', '8'], [$needed([]), $needed(['phase_conductor' => '4', 'phase_needed' => '8']), $needed(['phase_conductor' => '6', 'phase_needed' => '8']), $needed(['phase_conductor' => '12']), $needed(['material' => 'al', 'conductor' => '8'])]);
        self::assertSame('10', $needed(['phase_conductor' => '6', 'phase_needed' => '4']), 'a smaller line than needed makes no smaller ground');
        self::assertContains('missing:phase_conductor', self::judge('power.grounding', ['phase_needed' => '8'] + self::TIED)->codes());
        self::assertEqualsWithDelta([1385.0, 23.083], [self::figure('power.grounding', ['volts_to_ground' => '277 V'] + self::TIED, 'fault_amps'), self::figure('power.grounding', ['volts_to_ground' => '277 V'] + self::TIED, 'multiple')], 1e-3);
    }

    public function testATransformerIsHeldToTheModeThatAsksForMost(): void
    {
        $coils = [['mode' => 'cool', 'count' => 2] + self::COIL, ['name' => 'V', 'kind' => 'valve', 'sealed' => '15 VA', 'mode' => 'heat'], ['name' => 'B', 'kind' => 'board', 'sealed' => '6 VA']];
        $of = fn (string $name, array $more = []): ?float => self::figure('power.transformer_va', $more + ['va' => '75 VA', 'coils' => $coils], $name);
        self::assertSame(26.0, $of('load'));
        self::assertEqualsWithDelta(24 * (1 - 0.1 * (26 + 50) / 75), (float) $of('pull_in_estimate'), 1e-9);
        self::assertEqualsWithDelta(27 * (1 - 0.1 * (26 + 50) / 75), (float) $of('pull_in_estimate', ['idle' => '27 V']), 1e-9);
        self::assertSame(0.0, $of('pull_in_estimate', ['va' => '1 VA', 'regulation' => '40 %']));
        self::assertNull(self::figure('power.transformer_va', ['coils' => $coils], 'load'));
        self::assertSame([['coils', 26.0], ['transformer', 75.0]], array_map(fn (array $bar): array => [$bar['name'], $bar['value']], self::judge('power.transformer_va', ['va' => '75 VA', 'coils' => $coils])->drawing['bars']));
    }

    public function testALowestReadingNearItsLimitIsTooCloseToCall(): void
    {
        $at = fn (string $volts): bool => self::judge('power.transformer_va', ['va' => '75 VA', 'coils' => [self::COIL], 'lowest' => "$volts V"])->marginal;
        self::assertSame([false, true, true, false, true, false], [$at('20.61'), $at('20.6'), $at('20.2'), $at('20.19'), $at('17.83'), $at('17.82')]);
    }

    public function testATapIsNearestByItsRatioAndARangeByItsNearestEnd(): void
    {
        $of = fn (string $volts, array $item, string $name): ?float => self::figure('power.motor_tap', ['supply_average' => "$volts V", 'items' => [$item + ['name' => 'B', 'tap' => 208, 'taps' => [230, 208]]]], "items.0.$name");
        self::assertSame([208.0, 230.0], [$of('218', [], 'nearest'), $of('219', [], 'nearest')]);
        self::assertSame([1.0, 1.0], [$of('219', ['range_end' => 230], 'ratio'), $of('205', ['range_end' => 200], 'ratio')]);
        self::assertSame(0.5, $of('208', ['volts' => '104 V'], 'ratio'));
        self::assertNull($of('208', ['tap' => null], 'ratio'));
        $marginal = fn (string $volts): bool => self::judge('power.motor_tap', ['supply_average' => "$volts V", 'items' => [['name' => 'B', 'tap' => 230]]])->marginal;
        self::assertSame([false, true, true, false], [$marginal('250.4'), $marginal('250.6'), $marginal('255.5'), $marginal('255.6')]);
    }

    public function testAMotorIsAskedForWhatIsNotKnownOfIt(): void
    {
        $missing = fn (array $input): array => self::judge('power.motor_tap', $input)->codes();
        self::assertSame(['missing:items'], $missing([]));
        self::assertSame(['missing:supply_average', 'missing:items.0.tap'], $missing(['items' => [['name' => 'B']]]));
        self::assertSame(['missing:items.0.tap', 'bare_lead:B'], $missing(['items' => [['name' => 'B', 'volts' => '230 V', 'capped' => false]]]));
        self::assertSame(['missing:items.0.taps'], $missing(['items' => [['name' => 'B', 'volts' => '230 V', 'wired_for' => 'low']]]));
    }

    public function testAMonitorsLeadIsPutBackByItsOwnProof(): void
    {
        $monitor = ['nominal' => '480 V', 'supply_average' => '480 V', 'test' => 'leg_off', 'call_dropped' => true];
        self::assertSame(['opens monitor_lead'], self::setsOff('power.dials', ['monitor' => ['restored' => false] + $monitor]));
        self::assertSame(['closes monitor_lead'], self::setsOff('power.dials', ['monitor' => ['restored' => true] + $monitor]));
        self::assertSame([], self::setsOff('power.dials', ['monitor' => ['test' => 'button', 'restored' => true] + $monitor]));
        self::assertSame(['missing:monitor.call_dropped', 'missing:monitor.restored'], self::judge('power.dials', ['monitor' => ['call_dropped' => null] + $monitor])->codes());
    }

    public function testSharesOfThePlate(): void
    {
        $input = ['overloads' => [['name' => 'B', 'dial' => '9 A', 'fla' => '10 A']], 'drives' => [['name' => 'F', 'motor_amps' => '19 A', 'fla' => '20 A', 'min_hz' => '20 Hz', 'max_hz' => '60 Hz', 'direction' => 'correct', 'bypass' => 'none']], 'monitor' => ['nominal' => '480 V', 'supply_average' => '500 V', 'test' => 'not_tested']];
        self::assertEqualsWithDelta([90.0, 95.0, 96.0], array_map(fn (string $name): ?float => self::figure('power.dials', $input, $name), ['overloads.0.share', 'drives.0.share', 'monitor.share']), 1e-9);
    }

    public function testEachIsToldInTheWordsOfTheTrade(): void
    {
        $said = fn (string $check, array $input): string => Core::judge()->judge($check, $input, 'us')->headline;
        self::assertSame('F1, L2 (B): nearly full voltage across it and no amps. That fuse is open, and the motor runs on two legs.', $said('power.drop', ['running' => true, 'items' => [['name' => 'F1', 'place' => 'fuse', 'leg' => 'a', 'drop' => '90 mV', 'amps' => '60 A'], ['name' => 'F1', 'place' => 'fuse', 'leg' => 'b', 'drop' => '268 V', 'amps' => '0 A']]]));
        self::assertSame('At least 14.2 kA can flow here; the machine stands 5 kA.', $said('power.fault_current', ['kva' => '1000 kVA', 'impedance' => '5.75 %', 'line_voltage' => '480 V', 'conductor' => '1/0', 'length' => '40 ft', 'rating' => '5 kA']));
        self::assertSame('The #10 ground wire is too small: it needs #8.', $said('power.grounding', ['breaker' => '100 A'] + self::TIED));
        self::assertSame('There is a slug in the clips.', $said('power.disconnect', ['fuse_class' => 'slug', 'fuses_alike' => true, 'in_sight' => true, 'kind' => 'fused_switch', 'rating' => '60 A', 'load_amps' => '48 A', 'mocp' => '60 A', 'plate_says' => 'max_fuse', 'protected_by' => 'fuse', 'device_size' => '60 A']));
    }
}
