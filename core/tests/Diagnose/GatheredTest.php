<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Diagnose;

use IronStart\Core\Core;
use IronStart\Core\Diagnose\Causes;
use IronStart\Core\Diagnose\Gathered;
use IronStart\Core\Judge\Registry;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a record says of causes: facts that happened, and what is found good by now. */
final class GatheredTest extends TestCase
{
    private const NOTHING = ['status' => 'clear', 'codes' => [], 'input' => [], 'said' => 'As it was said.', 'subject' => 'machine'];

    /**
     * @param list<array<string, mixed>> $recorded
     * @param list<string> $out
     * @return array<string, mixed>
     */
    private static function unit(array $recorded, array $out = [], string $name = 'RTU-1'): array
    {
        return ['name' => $name, 'job' => 'J', 'supply' => 'MDP', 'recorded' => array_map(fn (array $one): array => $one + self::NOTHING, $recorded), 'out' => $out];
    }

    /** @return iterable<string, array{string, string, list<string>, string, string}> check, subject, codes, fact, part */
    public static function findings(): iterable
    {
        yield 'reversed' => ['power.rotation', 'machine', ['supply_reversed'], 'supply_reversed', ''];
        yield 'one load' => ['power.rotation', 'machine', ['load_reversed:C1'], 'load_reversed', 'C1'];
        yield 'the blower' => ['power.rotation', 'machine', ['load_reversed:B'], 'blower_reversed', 'B'];
        yield 'a fan' => ['power.rotation', 'machine', ['load_reversed:F'], 'fan_reversed', 'F'];
        yield 'a leg' => ['power.rotation', 'machine', ['phase_lost'], 'single_phasing', ''];
        yield 'no pumping' => ['power.rotation', 'machine', ['not_pumping:C1'], 'compressor_not_pumping', 'C1'];
        yield 'loud' => ['power.rotation', 'machine', ['still_loud:C1'], 'compressor_noisy', 'C1'];
        yield 'a sag' => ['power.voltage', 'machine', ['sag_over_limit'], 'voltage_sags_on_start', ''];
        yield 'one leg under load' => ['power.running_amps', 'machine', ['single_phasing:C1'], 'single_phasing', 'C1'];
        yield 'locked' => ['power.running_amps', 'machine', ['locked_rotor:C1'], 'hard_start', 'C1'];
        yield 'amps' => ['power.running_amps', 'machine', ['over_plate:C1'], 'high_amps', 'C1'];
        yield 'the tap' => ['power.control_voltage', 'machine', ['wrong_tap'], 'wrong_tap', ''];
        yield 'control' => ['power.control_voltage', 'machine', ['secondary_low'], 'low_control_voltage', ''];
        yield 'grounded' => ['compressor.insulation', 'compressor:C1', ['grounded'], 'compressor_grounded', 'C1'];
        yield 'open' => ['compressor.windings', 'compressor:C2', ['open_winding'], 'compressor_open', 'C2'];
        yield 'acid' => ['compressor.acid', 'compressor:C1', ['severe'], 'acid', 'C1'];
        yield 'some acid' => ['compressor.acid', 'compressor:C1', ['cleanup'], 'acid', 'C1'];
        yield 'floodback' => ['charge.state', 'circuit:A', ['flooding'], 'liquid_flooding', ''];
        yield 'equal pressures' => ['charge.state', 'circuit:A', ['not_pumping'], 'compressor_not_pumping', ''];
        yield 'floodback, diagnosed' => ['diagnose.cooling', 'circuit:A', ['flooding'], 'liquid_flooding', ''];
        yield 'the drier' => ['diagnose.cooling', 'circuit:A', ['confirmed:liquid_restriction'], 'drier_restricted', ''];
        yield 'air in it' => ['diagnose.cooling', 'circuit:A', ['confirmed:non_condensable'], 'non_condensable', ''];
        yield 'airflow' => ['air.flow', 'machine', ['air_low'], 'low_airflow', ''];
        yield 'no trap' => ['condensate.trap', 'machine', ['no_trap'], 'trap_missing', ''];
        yield 'a dry trap' => ['condensate.trap', 'machine', ['not_primed'], 'trap_dry', ''];
        yield 'no drain' => ['condensate.trap', 'machine', ['did_not_drain'], 'drain_blocked', ''];
    }

    /** @param list<string> $codes */
    #[DataProvider('findings')]
    public function testACodeIsAFactOfItsPart(string $check, string $subject, array $codes, string $fact, string $part): void
    {
        $loads = [['name' => 'C1', 'kind' => 'scroll'], ['name' => 'B', 'kind' => 'blower'], ['name' => 'F', 'kind' => 'condenser_fan']];
        ['facts' => $facts] = Gathered::input([self::unit([['check' => $check, 'subject' => $subject, 'codes' => [...$codes, 'something_else'], 'input' => ['loads' => $loads], 'status' => 'stop']])]);
        self::assertSame([['machine' => 'RTU-1', 'fact' => $fact, 'evidence' => 'As it was said.'] + ($part === '' ? [] : ['part' => $part])], $facts);
        self::assertContains($fact, Causes::facts());
        self::assertContains($check, Gathered::reads());
    }

    public function testAFactStaysThoughItWasMended(): void
    {
        $reversed = ['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed'], 'said' => 'The supply is reversed.'];
        $again = ['said' => 'Once more.'] + $reversed;
        $proved = ['check' => 'power.rotation'];
        ['machines' => [$machine], 'facts' => $facts] = Gathered::input([self::unit([$reversed, $again, $proved])]);
        self::assertSame([['machine' => 'RTU-1', 'fact' => 'supply_reversed', 'evidence' => 'The supply is reversed.']], $facts);
        self::assertSame(['rotation', 'phases', 'load_leads'], $machine['checked']);
        ['machines' => [$machine]] = Gathered::input([self::unit([$proved, $reversed])]);
        self::assertArrayNotHasKey('checked', $machine);
    }

    public function testHoursRunBackwardsAreAFactWhereThereWereAny(): void
    {
        $told = fn (mixed $hours): array => Gathered::input([self::unit([['check' => 'power.rotation', 'input' => ['loads' => [['name' => 'C1', 'kind' => 'scroll', 'hours_backwards' => $hours]]]]])])['facts'];
        foreach (['40 h', 0.1, ['value' => 40, 'unit' => 'h']] as $some) {
            self::assertSame([['machine' => 'RTU-1', 'fact' => 'run_hours_reversed', 'evidence' => 'As it was said.', 'part' => 'C1']], $told($some));
        }
        foreach (['0 s', 0, null, 'never', ['value' => 0, 'unit' => 'h']] as $none) {
            self::assertSame([], $told($none));
        }
    }

    public function testEvidenceIsNoLongerThanATextMayBe(): void
    {
        $evidence = fn (string $said): string => Gathered::input([self::unit([['check' => 'power.rotation', 'codes' => ['supply_reversed'], 'said' => $said]])])['facts'][0]['evidence'];
        self::assertSame(str_repeat('ä', 120), $evidence(str_repeat('ä', 120)));
        self::assertSame(str_repeat('ä', 119) . '…', $evidence(str_repeat('ä', 121)));
    }

    public function testGoodIsWhatTheNewestOfEverySubjectSays(): void
    {
        $read = fn (string $subject, string $status, string ...$codes): array => ['check' => 'compressor.insulation', 'subject' => $subject, 'status' => $status, 'codes' => $codes];
        $checked = fn (array $recorded, array $out = []): array => Gathered::input([self::unit($recorded, $out)])['machines'][0]['checked'] ?? [];
        self::assertSame(['insulation'], $checked([$read('compressor:C1', 'clear'), $read('compressor:C2', 'watch')]));
        self::assertSame([], $checked([$read('compressor:C1', 'clear'), $read('compressor:C2', 'stop', 'grounded')]));
        self::assertSame([], $checked([$read('compressor:C1', 'clear'), $read('compressor:C1', 'open')]));
        self::assertSame(['insulation'], $checked([$read('compressor:C1', 'stop', 'grounded'), $read('compressor:C1', 'clear')]));
        self::assertSame([], $checked([['check' => 'compressor.acid', 'status' => 'watch', 'codes' => ['cleanup']]]), 'a watch that found something');
        self::assertSame(['compressor_isolated'], $checked([], ['compressor:C1']));
        self::assertSame(['voltage', 'phases', 'trap', 'float', 'static', 'charge', 'gas_valve', 'bulb', 'control_voltage'], array_values(array_unique([...$checked(array_map(fn (string $check): array => ['check' => $check], ['power.voltage', 'condensate.trap', 'condensate.float', 'air.static', 'charge.state', 'heat.gas_pressure', 'piping.bulb'])), ...$checked([['check' => 'power.control_voltage']])])));
        self::assertSame(['windings', 'oil_acid'], $checked([['check' => 'compressor.windings'], ['check' => 'compressor.acid']]));
    }

    public function testWhatIsGatheredIsJudged(): void
    {
        $units = [
            self::unit([['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed']], ['check' => 'compressor.insulation', 'subject' => 'compressor:C1', 'status' => 'stop', 'codes' => ['grounded'], 'said' => '']]),
            self::unit([], [], 'RTU-2'),
        ];
        $verdict = Core::judge()->judge('diagnose.root_cause', Gathered::input($units), 'us');
        self::assertSame('RTU-1 stays off: first prove the rotation.', $verdict->headline);
        self::assertContains('cause:reversed_supply_killed_compressor:RTU-1', $verdict->judgement->codes());
        self::assertContains('sister:RTU-2:rotation', $verdict->judgement->codes());
        self::assertSame([], array_diff(Gathered::reads(), (new Registry())->ids()));
        self::assertSame('compressor.insulation', Gathered::input($units)['facts'][1]['evidence'], 'without words its check is told');
        self::assertSame(['name' => 'RTU-2', 'job' => 'J', 'supply' => 'MDP'], Gathered::input($units)['machines'][1]);
    }
}
