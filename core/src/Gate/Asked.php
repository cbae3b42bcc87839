<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** What each gate asks on a job: its rows, in the order of the work. */
final readonly class Asked
{
    /**
     * @param bool $toRecover the way out was found to be recovery
     * @param bool $ranBackwards a record asks for proofs of a compressor that ran in reverse
     */
    public function __construct(private Job $job, private bool $toRecover, private bool $ranBackwards)
    {
    }

    /** @return list<Row> */
    public function rows(int $gate): array
    {
        return match ($gate) {
            1 => $this->survey(),
            2 => $this->oldUnitOut(),
            3 => $this->set(),
            4 => $this->pipe(),
            5 => $this->job->sections === []
                ? self::each('circuit', $this->job->openedCircuits, 'tight.hold')
                : self::each('section', $this->job->sections, 'tight.hold'),
            6 => self::each('circuit', $this->job->openedCircuits, 'dry.decay'),
            7 => $this->power(),
            8 => $this->run(),
            9 => $this->charge(),
            10 => $this->airAndHeat(),
            11 => $this->controls(),
            default => [new Row(['list.owner'])],
        };
    }

    /** @return list<Row> */
    private function survey(): array
    {
        $job = $this->job;
        $craned = $job->fact('craned');
        $carried = $job->fact('carried');

        return [
            ...self::when($job->fact('curb'), 'survey.curb_fit'),
            ...self::when($craned, 'survey.crane', 'survey.rigging'),
            ...self::when($carried, 'survey.route'),
            ...($craned || $carried ? [] : [new Row(['survey.crane', 'survey.route'])]),
            ...self::when($job->fact('craned', 'on_roof'), 'survey.structure'),
            ...($job->isVrf() ? [new Row(['vrf.topology'], 'planned')] : []),
            ...($job->fact('nothing_old') || $job->fact('single_phase') ? [] : [new Row(['power.supply_identity'], 'old_disconnect')]),
            ...($job->fact('nothing_old') ? [] : [new Row(['power.circuit'], 'old_disconnect')]),
        ];
    }

    /** @return list<Row> */
    private function oldUnitOut(): array
    {
        $job = $this->job;
        $change = $job->isCompressorChange();
        $recovered = $change || $job->fact('recovered') || $this->toRecover;
        $out = $recovered ? ['refrigerant.cylinder', 'refrigerant.account'] : ['refrigerant.rebound'];

        return [
            new Row(['power.lockout'], $change ? 'machine' : 'old_disconnect'),
            ...self::when(! $job->fact('old_empty'), 'refrigerant.way_out', ...$out),
            ...self::when($change || $job->fact('failed_compressor'), 'compressor.acid'),
        ];
    }

    /** @return list<Row> */
    private function set(): array
    {
        $job = $this->job;
        $trap = $job->is(JobType::Rooftop) || ($job->is(JobType::Condensing) && $job->fact('drain'));

        return [
            new Row(['list.set']),
            ...self::when($trap, 'condensate.trap'),
            ...($job->isVrf() ? self::each('indoor', $job->ducted, 'condensate.trap') : []),
        ];
    }

    /** @return list<Row> circuit by circuit, what is old before anything is joined to it */
    private function pipe(): array
    {
        $job = $this->job;
        $checks = array_keys(array_filter([
            'piping.purge' => ! $job->fact('no_brazing'),
            'piping.flare_torque' => $job->fact('flares'),
            'piping.bulb' => $job->fact('field_bulb'),
            'piping.equivalent_length' => $job->is(JobType::Condensing),
        ]));
        $rows = $job->fact('lines_reused') ? [new Row(['piping.reuse'], $job->onlyOne('piping.reuse') ?? 'machine')] : [];
        foreach ($job->openedCircuits as $circuit) {
            foreach ($checks as $check) {
                $rows[] = new Row([$check], "circuit:$circuit");
            }
        }
        if ($job->isVrf() && ! $job->isCompressorChange()) {
            $rows[] = new Row(['vrf.topology'], 'built');
        }

        return [...$rows, new Row(['list.pipe'])];
    }

    /** @return list<Row> */
    private function power(): array
    {
        $job = $this->job;
        $compressors = $job->isCompressorChange() || $job->changed !== [] || $this->ranBackwards
            || $job->fact('tripped', 'ran_reversed', 'sheet_asks', 'sister_fault');
        $changed = $job->changed === [] && $job->isCompressorChange() ? $job->compressors : $job->changed;

        return [
            ...self::when(! $job->fact('single_phase'), 'power.supply_identity', 'power.voltage'),
            ...self::when($job->fact('motor_taps'), 'power.motor_tap'),
            ...self::when($job->fact('temporary_supply'), 'power.temporary_supply'),
            new Row(['power.circuit']),
            ...self::when($job->fact('wiring'), 'power.grounding', 'power.disconnect'),
            ...self::when($job->fact('shared_feeder'), 'power.single_phase_split', 'power.feeder'),
            ...self::when($job->isVrf() || $job->fact('pair', 'field_bus'), 'vrf.wire_map'),
            ...self::each('compressor', $changed, 'compressor.match'),
            ...($compressors ? self::each('compressor', $job->compressors, 'compressor.insulation') : []),
            ...($compressors ? self::each('compressor', $job->compressors, 'compressor.windings') : []),
            new Row(['power.rotation']),
            ...self::when($job->fact('taps'), 'power.control_voltage'),
            ...self::when($job->fact('dials'), 'power.dials'),
        ];
    }

    /** @return list<Row> */
    private function run(): array
    {
        $job = $this->job;
        $first = $job->isFirstStart();

        return [
            ...($first ? self::each('circuit', $job->circuits, 'run.standing_pressure') : []),
            ...($first || $job->fact('warm_up') ? [new Row($job->isVrf() ? ['vrf.warm_up'] : ['run.warm_up', 'vrf.warm_up'])] : []),
            new Row(['list.prestart']),
            ...($first ? [new Row(['run.first_start'], codes: ['first_run_good'])] : []),
            new Row(['power.rotation'], 'machine', ['proved', 'no_sensitive_loads'], 'suspect'),
            ...($job->fact('dials') ? [new Row(['power.dials'], codes: ['dials_proved'])] : []),
            ...($job->fact('single_phase') ? [] : [new Row(['power.voltage'], 'loaded')]),
            new Row(['power.running_amps']),
            ...self::when($job->fact('flammable'), 'safety.leak_sensor'),
            ...($job->isVrf() ? [new Row(['vrf.addresses']), new Row(['vrf.commission'], codes: ['script_done'])] : []),
        ];
    }

    /** @return list<Row> */
    private function charge(): array
    {
        $job = $this->job;
        $weighed = $job->is(JobType::Condensing) || $job->fact('line_set') ? $job->circuits : $job->openedCircuits;

        return [
            ...self::when($job->isVrf(), 'vrf.charge'),
            ...(! $job->isVrf() || $job->fact('test_mode') ? self::each('circuit', $job->circuits, 'charge.state') : []),
            ...($job->isVrf() ? [] : self::each('circuit', $weighed, 'charge.weigh_in')),
            ...self::when($job->isVrf() || $job->fact('flammable', 'small_room'), 'charge.room_limit'),
            ...self::when($job->fact('fixed_orifice'), 'charge.orifice'),
        ];
    }

    /** @return list<Row> */
    private function airAndHeat(): array
    {
        $job = $this->job;
        if ($job->isVrf()) {
            $float = $job->fact('float');

            return [
                ...($job->sampled === [] ? [new Row(['air.split'], 'indoor')] : self::each('indoor', $job->sampled, 'air.split')),
                ...self::each('indoor', $job->ducted, 'air.static'),
                ...($float && $job->sampled === [] ? [new Row(['condensate.float'], 'indoor')] : []),
                ...($float ? self::each('indoor', $job->sampled, 'condensate.float') : []),
                ...self::when($job->fact('heat_pump'), 'heat.heat_pump'),
            ];
        }
        if (! $job->is(JobType::Rooftop, JobType::Condensing)) {
            // Heat is called again; the gas was not touched.
            return [
                new Row(['air.split']),
                ...self::when($job->fact('gas_heat'), 'heat.rise'),
                ...self::when($job->fact('electric_heat'), 'heat.electric'),
                ...self::when($job->fact('heat_pump'), 'heat.heat_pump'),
            ];
        }

        return [
            new Row(['air.split']),
            new Row(['air.flow', 'air.static']),
            ...self::when($job->fact('gas_heat'), 'heat.gas_pressure', 'heat.gas_rate', 'heat.rise'),
            ...self::when($job->fact('electric_heat'), 'heat.electric'),
            ...self::when($job->fact('heat_pump'), 'heat.heat_pump'),
            ...self::when($job->fact('float'), 'condensate.float'),
            ...self::when($job->fact('outside_air'), 'air.mix'),
            ...self::when($job->fact('belt'), 'air.fan_drive'),
        ];
    }

    /** @return list<Row> */
    private function controls(): array
    {
        $job = $this->job;
        $unitary = $job->is(JobType::Rooftop, JobType::Condensing);

        return [
            ...self::when($unitary, 'controls.terminals'),
            ...self::when($job->isVrf(), 'vrf.run_plan', 'vrf.crossed_zones'),
            new Row(['controls.settings']),
            ...self::when($job->fact('staged'), 'controls.staging'),
            ...self::when($job->fact('leaving_air'), 'controls.leaving_air'),
            ...($unitary ? [new Row(['controls.sequence'], codes: ['sequence_proved'])] : []),
            ...self::when($job->fact('duct_detector'), 'safety.smoke'),
            ...($job->fact('alarms') ? [new Row(['controls.alarms'], codes: ['baseline_kept'])] : []),
        ];
    }

    /** @return list<Row> */
    private static function when(bool $asked, string ...$checks): array
    {
        return $asked ? array_values(array_map(fn (string $check): Row => new Row([$check]), $checks)) : [];
    }

    /**
     * @param list<string> $names
     * @return list<Row>
     */
    private static function each(string $kind, array $names, string $check): array
    {
        return array_map(fn (string $name): Row => new Row([$check], "$kind:$name"), $names);
    }
}
