<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\Core;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which gates a job has, and what each of them asks. */
final class AskedTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, list<int>}> job, gates on it */
    public static function jobs(): iterable
    {
        yield 'rooftop replacement' => [['job_type' => 'rooftop'], [1, 2, 3, 7, 8, 9, 10, 11, 12]];
        yield 'rooftop with its circuit opened' => [['job_type' => 'rooftop', 'facts' => ['circuit_opened']], range(1, 12)];
        yield 'rooftop start-up' => [['job_type' => 'rooftop', 'start_up_only' => true], [7, 8, 9, 10, 11, 12]];
        yield 'rooftop start-up, setting asked' => [['job_type' => 'rooftop', 'start_up_only' => true, 'asked' => [3]], [3, 7, 8, 9, 10, 11, 12]];
        yield 'rooftop where nothing old stood' => [['job_type' => 'rooftop', 'facts' => ['nothing_old']], [1, 3, 7, 8, 9, 10, 11, 12]];
        yield 'condensing unit' => [['job_type' => 'condensing'], range(1, 12)];
        yield 'compressor change' => [['job_type' => 'compressor'], [2, 4, 5, 6, 7, 8, 9, 10, 11, 12]];
        yield 'VRF' => [['job_type' => 'vrf'], range(1, 12)];
        yield 'VRF module compressor' => [['job_type' => 'vrf', 'facts' => ['module_change']], [2, 4, 5, 6, 7, 8, 9, 10, 11, 12]];
        yield 'a purge recorded opens the circuit' => [['job_type' => 'rooftop', 'recorded' => [['check' => 'piping.purge', 'status' => 'clear', 'at' => 1]]], range(1, 12)];
        yield 'a doubted purge does not' => [['job_type' => 'rooftop', 'recorded' => [['check' => 'piping.purge', 'status' => 'clear', 'at' => 1, 'suspect' => true]]], [1, 2, 3, 7, 8, 9, 10, 11, 12]];
    }

    /**
     * @param array<string, mixed> $job
     * @param list<int>            $gates
     */
    #[DataProvider('jobs')]
    public function testTheGatesOfAJob(array $job, array $gates): void
    {
        $values = $this->values($job);
        self::assertSame($gates, array_values(array_filter(range(1, 12), fn (int $gate): bool => $values["state:$gate"]->value !== 'not_on_job')));
        foreach (array_diff(range(1, 12), $gates) as $off) {
            self::assertArrayHasKey("why_not:$off", $values);
            self::assertArrayNotHasKey("missing:$off", $values);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, int, list<string>}> job, gate, what it asks */
    public static function rows(): iterable
    {
        $m = fn (string ...$checks): array => array_map(fn (string $c): string => "$c:machine", $checks);
        yield 'craned onto a curb' => [['job_type' => 'rooftop', 'facts' => ['curb', 'craned', 'nothing_old']], 1, $m('survey.curb_fit', 'survey.crane', 'survey.rigging', 'survey.structure')];
        yield 'neither craned nor carried' => [['job_type' => 'condensing', 'facts' => ['nothing_old']], 1, ['survey.crane|survey.route:machine']];
        yield 'the old disconnect' => [['job_type' => 'condensing', 'facts' => ['carried']], 1, ['survey.route:machine', 'power.supply_identity:old_disconnect', 'power.circuit:old_disconnect']];
        yield 'found empty' => [['job_type' => 'rooftop', 'facts' => ['old_empty']], 2, ['power.lockout:old_disconnect']];
        yield 'recovered' => [['job_type' => 'rooftop', 'facts' => ['recovered']], 2, ['power.lockout:old_disconnect', ...$m('refrigerant.way_out', 'refrigerant.cylinder', 'refrigerant.account')]];
        yield 'pumped down' => [['job_type' => 'rooftop'], 2, ['power.lockout:old_disconnect', ...$m('refrigerant.way_out', 'refrigerant.rebound')]];
        yield 'compressor change' => [['job_type' => 'compressor'], 2, $m('power.lockout', 'refrigerant.way_out', 'refrigerant.cylinder', 'refrigerant.account', 'compressor.acid')];
        yield 'no brazing, flared' => [['job_type' => 'compressor', 'facts' => ['no_brazing', 'flares']], 4, ['piping.flare_torque:circuit:A', 'list.pipe:machine']];
        yield 'one of two circuits opened' => [['job_type' => 'condensing', 'circuits' => ['A', 'B'], 'opened' => ['B']], 6, ['dry.decay:circuit:B']];
        yield 'sections that can be shut off' => [['job_type' => 'vrf', 'sections' => ['riser', 'east']], 5, ['tight.hold:section:riser', 'tight.hold:section:east']];
        yield 'taps and a generator' => [['job_type' => 'rooftop', 'facts' => ['taps', 'temporary_supply']], 7, $m('power.supply_identity', 'power.voltage', 'power.temporary_supply', 'power.circuit', 'power.rotation', 'power.control_voltage')];
        yield 'single-phase' => [['job_type' => 'rooftop', 'facts' => ['single_phase']], 7, $m('power.circuit', 'power.rotation')];
        yield 'a sister lost its compressor' => [['job_type' => 'rooftop', 'facts' => ['sister_fault'], 'compressors' => ['C1']], 7, [...$m('power.supply_identity', 'power.voltage', 'power.circuit'), 'compressor.insulation:compressor:C1', 'compressor.windings:compressor:C1', 'power.rotation:machine']];
        yield 'warm-up' => [['job_type' => 'rooftop', 'facts' => ['warm_up']], 8, ['run.warm_up|vrf.warm_up:machine', 'list.prestart:machine', 'power.rotation:machine', 'power.voltage:loaded', 'power.running_amps:machine']];
        yield 'its first start' => [['job_type' => 'rooftop', 'circuits' => ['A', 'B'], 'facts' => ['first_start', 'dials', 'flammable']], 8, ['run.standing_pressure:circuit:A', 'run.standing_pressure:circuit:B', 'run.warm_up|vrf.warm_up:machine', 'list.prestart:machine', 'run.first_start:machine', 'power.rotation:machine', 'power.dials:machine', 'power.voltage:loaded', 'power.running_amps:machine', 'safety.leak_sensor:machine']];
        yield 'a VRF that wants its warm-up' => [['job_type' => 'vrf', 'facts' => ['warm_up']], 8, ['vrf.warm_up:machine', 'list.prestart:machine', 'power.rotation:machine', 'power.voltage:loaded', 'power.running_amps:machine', 'vrf.addresses:machine', 'vrf.commission:machine']];
        yield 'every fact of Power' => [['job_type' => 'rooftop', 'facts' => ['motor_taps', 'temporary_supply', 'wiring', 'shared_feeder', 'field_bus', 'taps', 'dials', 'tripped']], 7, [...$m('power.supply_identity', 'power.voltage', 'power.motor_tap', 'power.temporary_supply', 'power.circuit', 'power.grounding', 'power.disconnect', 'power.single_phase_split', 'power.feeder', 'vrf.wire_map'), 'compressor.insulation:compressor:A', 'compressor.windings:compressor:A', ...$m('power.rotation', 'power.control_voltage', 'power.dials')]];
        yield 'one of two compressors is new' => [['job_type' => 'rooftop', 'compressors' => ['C1', 'C2'], 'changed' => ['C2']], 7, [...$m('power.supply_identity', 'power.voltage', 'power.circuit'), 'compressor.match:compressor:C2', 'compressor.insulation:compressor:C1', 'compressor.insulation:compressor:C2', 'compressor.windings:compressor:C1', 'compressor.windings:compressor:C2', 'power.rotation:machine']];
        yield 'an indoor and an outdoor unit' => [['job_type' => 'condensing', 'facts' => ['pair', 'single_phase']], 7, $m('power.circuit', 'vrf.wire_map', 'power.rotation')];
        yield 'old lines stay, two circuits' => [['job_type' => 'condensing', 'circuits' => ['A', 'B'], 'facts' => ['lines_reused', 'flares', 'field_bulb']], 4, ['piping.reuse:machine', 'piping.purge:circuit:A', 'piping.flare_torque:circuit:A', 'piping.bulb:circuit:A', 'piping.equivalent_length:circuit:A', 'piping.purge:circuit:B', 'piping.flare_torque:circuit:B', 'piping.bulb:circuit:B', 'piping.equivalent_length:circuit:B', 'list.pipe:machine']];
        yield 'old lines stay, one circuit' => [['job_type' => 'compressor', 'facts' => ['lines_reused', 'no_brazing']], 4, ['piping.reuse:circuit:A', 'list.pipe:machine']];
        yield 'heat on a compressor change' => [['job_type' => 'compressor', 'facts' => ['gas_heat', 'electric_heat', 'heat_pump', 'belt', 'float']], 10, $m('air.split', 'heat.rise', 'heat.electric', 'heat.heat_pump')];
        yield 'a VRF heat pump' => [['job_type' => 'vrf', 'sampled' => ['1'], 'facts' => ['heat_pump']], 10, ['air.split:indoor:1', 'heat.heat_pump:machine']];
        yield 'everything of Controls' => [['job_type' => 'rooftop', 'facts' => ['staged', 'leaving_air', 'duct_detector', 'alarms']], 11, $m('controls.terminals', 'controls.settings', 'controls.staging', 'controls.leaving_air', 'controls.sequence', 'safety.smoke', 'controls.alarms')];
        yield 'a small room' => [['job_type' => 'rooftop', 'facts' => ['small_room']], 9, ['charge.state:circuit:A', 'charge.room_limit:machine']];
        yield 'a flammable refrigerant' => [['job_type' => 'rooftop', 'facts' => ['flammable']], 9, ['charge.state:circuit:A', 'charge.room_limit:machine']];
        yield 'line set, fixed orifice' => [['job_type' => 'rooftop', 'facts' => ['line_set', 'fixed_orifice']], 9, ['charge.state:circuit:A', 'charge.weigh_in:circuit:A', 'charge.orifice:machine']];
        yield 'VRF charge' => [['job_type' => 'vrf'], 9, $m('vrf.charge', 'charge.room_limit')];
        yield 'gas, belt and outside air' => [['job_type' => 'rooftop', 'facts' => ['gas_heat', 'belt', 'outside_air']], 10, ['air.split:machine', 'air.flow|air.static:machine', ...$m('heat.gas_pressure', 'heat.gas_rate', 'heat.rise', 'air.mix', 'air.fan_drive')]];
        yield 'VRF with nothing sampled' => [['job_type' => 'vrf'], 10, ['air.split:indoor']];
        yield 'VRF sampled' => [['job_type' => 'vrf', 'sampled' => ['1', '2'], 'ducted' => ['2'], 'facts' => ['float']], 10, ['air.split:indoor:1', 'air.split:indoor:2', 'air.static:indoor:2', 'condensate.float:indoor:1', 'condensate.float:indoor:2']];
        yield 'controls of a compressor change' => [['job_type' => 'compressor'], 11, ['controls.settings:machine']];
        yield 'VRF controls' => [['job_type' => 'vrf', 'facts' => ['staged']], 11, $m('vrf.run_plan', 'vrf.crossed_zones', 'controls.settings', 'controls.staging')];
    }

    /**
     * @param array<string, mixed> $job
     * @param list<string>         $asked
     */
    #[DataProvider('rows')]
    public function testWhatAGateAsks(array $job, int $gate, array $asked): void
    {
        self::assertSame($asked, $this->values($job)["missing:$gate"]->value);
    }

    public function testTheEndWantsTheListPutBackOwnersAndSignatures(): void
    {
        $job = ['job_type' => 'rooftop', 'put_back' => [['id' => 'lock'], ['id' => 'left', 'explained' => true]], 'open_items' => [['id' => 'damper'], ['id' => 'charge', 'owner' => 'Tobias', 'due' => '2026-12-03', 'check' => 'charge.state']]];
        $values = $this->values($job);
        self::assertSame(['list.owner:machine', 'put_back:lock', 'open_item:damper', 'signature:starter', 'signature:lead'], $values['missing:12']->value);
        self::assertSame([], $values['missing:9']->value, 'the charge is left to an owner with a date');
    }

    public function testAnOverrideCoversAnOrdinaryStopOnlyAndOnlyByALead(): void
    {
        $stop = fn (string $code): array => ['check' => 'power.circuit', 'status' => 'stop', 'codes' => [$code], 'at' => 1];
        $try = fn (string $code, string $role, string $reason, float $at = 2): string => $this->values(['job_type' => 'rooftop', 'start_up_only' => true, 'recorded' => [$stop($code)], 'overrides' => [['gate' => 7, 'role' => $role, 'reason' => $reason, 'at' => $at]]])['state:7']->value;
        self::assertNotSame('stopped', $try('breaker_large', 'lead', 'changed this afternoon'));
        self::assertSame('stopped', $try('breaker_large', 'starter', 'changed this afternoon'));
        self::assertSame('stopped', $try('breaker_large', 'lead', '  short   '));
        self::assertSame('stopped', $try('breaker_large', 'lead', 'changed this afternoon', 1), 'given with it, not after it');
        self::assertSame('stopped', $try('wrong_supply', 'lead', 'changed this afternoon'));
    }

    public function testACompressorPutOutOfServiceAsksForItsTagAndALockout(): void
    {
        $recorded = [['check' => 'compressor.insulation', 'subject' => 'compressor:C1', 'status' => 'stop', 'codes' => ['grounded'], 'at' => 1], ['check' => 'power.lockout', 'status' => 'clear', 'at' => 2]];
        $out = ['subject' => 'compressor:C1', 'why' => 'grounded', 'wire' => 'T1 taped', 'who' => 'R.L.', 'at' => 3];
        $codes = fn (array $job): array => Core::judge()->judge('job.gates', $job + ['job_type' => 'rooftop', 'start_up_only' => true, 'compressors' => ['C1', 'C2'], 'recorded' => $recorded], 'us')->judgement->codes();
        self::assertContains('stopped:7:compressor.insulation:compressor:C1', $codes([]));
        self::assertNotContains('stopped:7:compressor.insulation:compressor:C1', $codes(['disabled' => [$out]]));
        self::assertContains('tag_incomplete:compressor:C1', $codes(['disabled' => [array_diff_key($out, ['wire' => 1])]]));
        self::assertContains('not_locked_out:7', $codes(['disabled' => [['at' => 1.5] + $out]]));
        self::assertContains('all_disabled', $codes(['disabled' => [$out, ['subject' => 'compressor:C2'] + $out]]));
    }

    /**
     * @param array<string, mixed> $job
     * @return array<string, \IronStart\Core\Verdict\Value>
     */
    private function values(array $job): array
    {
        return Core::judge()->judge('job.gates', $job, 'us')->judgement->values;
    }
}
