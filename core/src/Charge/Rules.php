<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Input;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/** What charge.state asks of a circuit, in its order; asked again with a figure moved by what it may be off by. */
final readonly class Rules
{
    private const GRAVITY = 9.80665;
    /** °F, unless the check says otherwise. */
    private const SETTLED = 15.0;
    private const SINCE_CHANGE = 10.0;
    private const WINDOW = 5.0;
    private const STEADY = 2.0;
    private const HUNTS = 5.0;
    private const CLEAR = 3.0;
    private const WATCH = 5.0;
    private const USUAL = 10.0;
    private const LEAST_TARGET = 5.0;
    private const OFF_AIR = 3.0;
    private const NEAR_AIR = 5.0;
    private const SWAPPED = 10.0;
    private const DRIER = 3.0;
    private const APART = 2.0;
    private const HEAD_OVER = 40.0;
    private const HEAD_LOW = 75.0;
    private const ICES = 30.0;
    private const LOADED = 58.0;
    private const WARM_SUCTION = 50.0;
    private const COLD_SUCTION = 34.0;
    private const FLASHES = 2.0;

    private bool $isValve;
    private bool $isComfort;

    public function __construct(private Input $in, private Circuit $circuit, private ?Chart $chart, private float $chartMoved = 0.0)
    {
        $this->isValve = $in->text('metering') !== 'fixed';
        $this->isComfort = $in->text('application') === 'comfort' && $in->text('mode') === 'cool';
    }

    /** @return list<self> the same with one figure moved by what it may be off by */
    public function moved(): array
    {
        [$sh, $sc] = [$this->circuit->superheatUncertainty, $this->circuit->subcoolingUncertainty];
        $others = [[$sh, 0.0], [-$sh, 0.0], [0.0, $sc], [0.0, -$sc]];
        $moved = array_map(fn (array $by): self => new self($this->in, $this->circuit->by($by[0], $by[1]), $this->chart), $others);
        if ($this->chart?->isPressure() === true) {
            $u = Units::fromCanonical(Circuit::off($this->in, $this->in->number($this->chart->target)), 'psi', Kind::PressureDifference);
            $moved[] = new self($this->in, $this->circuit, $this->chart, $u);
            $moved[] = new self($this->in, $this->circuit, $this->chart, -$u);
        }

        return $moved;
    }

    /**
     * @param array<string, Value> $values gets target, deviation, swings, what is left to wait
     * @return list<Finding>
     */
    public function findings(array &$values): array
    {
        $in = $this->in;
        $overPlate = $in->given('plate_high_pressure') && Limit::over($in->number('liquid_pressure'), $in->number('plate_high_pressure'));
        $findings = $overPlate ? [self::overPlate($in)] : [];
        [$target, $targetFindings] = $this->target();
        if ($in->minutes('running_minutes') >= 1.0 && SuctionRule::isNotPumping($this->circuit->ratio)) {
            $default = array_values(array_filter($targetFindings, fn (Finding $f): bool => $f->code === 'default_target'));

            return [...$findings, Finding::stop('not_pumping'), Finding::stop('not_charge', [], 'not_charge_besides'), ...$default];
        }
        $suction = SuctionRule::judge($this->circuit, $in->minutes('running_minutes'), ...self::suctionLimits($in));
        $window = $this->window();
        $open = $this->notToBeJudged($values, $window);
        $watch = $this->besides($values, $window);
        $deviation = 0.0;
        if ($target !== null) {
            $deviation = $this->deviation($target);
            $unit = $this->chart?->isPressure() === true ? ['psig', 'psi'] : ['delta_degF', 'delta_degF'];
            $values['target'] = Value::of($target, $unit[0]);
            $values['deviation'] = Value::of($deviation, $unit[1]);
        }
        $codes = array_map(fn (Finding $f): string => $f->code, [...$targetFindings, ...$suction]);
        $isJudged = $open === [] && array_intersect(['outside_range', 'too_little_margin', 'superheat_impossible', 'outside_chart'], $codes) === [];
        $charge = $isJudged && $target !== null ? $this->charge($target, $deviation, $watch, $overPlate) : [];

        return [...$findings, ...$suction, ...$charge, ...$open, ...$targetFindings, ...$watch];
    }

    public static function overPlate(Input $in): Finding
    {
        return Finding::stop('over_plate_pressure', ['pressure' => Said::gauge($in->number('liquid_pressure'), $in->number('plate_high_pressure')), 'plate' => Said::gauge($in->number('plate_high_pressure'))]);
    }

    /** @return array{float, float} °F of superheat for a stop and for a watch */
    public static function suctionLimits(Input $in): array
    {
        $stop = $in->text('suction_at') === 'compressor' ? SuctionRule::WATCH : SuctionRule::STOP;
        $least = $in->in('min_superheat', 'delta_degF');

        return $least === null ? [$stop, SuctionRule::WATCH] : [min($stop, $least), $least];
    }

    /** @return array{float|null, list<Finding>} °F, or psig of a chart */
    private function target(): array
    {
        $in = $this->in;
        if ($this->chart !== null) {
            $indoor = match ($this->chart->indoor) {
                'wet_bulb' => $in->in('indoor_wb', 'degF'),
                'dry_bulb' => $in->in('indoor_db', 'degF'),
                default => null,
            };
            $target = $this->chart->at((float) $in->in('outdoor_db', 'degF'), $indoor);

            return [$target, $target === null ? [Finding::open('outside_chart')] : [Finding::clear('by_chart')]];
        }
        if ($this->isValve) {
            $target = $in->in('target_subcooling', 'delta_degF');

            return $target === null ? [self::USUAL, [Finding::clear('default_target')]] : [$target, []];
        }
        $target = $in->in('target_superheat', 'delta_degF');
        if ($target !== null) {
            return [$target, []];
        }
        $target = TargetSuperheat::of((float) $in->in('indoor_wb', 'degF'), (float) $in->in('outdoor_db', 'degF'));

        return match (true) {
            $target === null => [null, [Finding::open('outside_range')]],
            Limit::under($target, self::LEAST_TARGET) => [$target, [Finding::stop('too_little_margin', ['target' => SuctionRule::degrees($target, self::LEAST_TARGET)])]],
            default => [$target, []],
        };
    }

    private function deviation(float $target): float
    {
        $reading = match ($this->chart?->target) {
            null => $this->isValve ? $this->circuit->subcooling : $this->circuit->superheat,
            'superheat' => $this->circuit->superheat,
            'subcooling' => $this->circuit->subcooling,
            // Charts are read at sea level.
            default => Units::fromCanonical(1e3 * $this->in->number($this->chart->target) + Site::pressure($this->in) - Site::SEA_LEVEL, 'psi', Kind::PressureDifference) + $this->chartMoved,
        };

        return $reading - $target;
    }

    /** @return array{superheat: non-empty-list<float>, subcooling: non-empty-list<float>, pressure: non-empty-list<float>}|null figures from the newest entry that is old enough until now */
    private function window(): ?array
    {
        $now = $this->in->minutes('running_minutes');
        $from = null;
        foreach ($this->in->items('history') as $reading) {
            if (! Limit::under($now - $reading->minutes('minutes'), self::WINDOW)) {
                $from = $reading->minutes('minutes');
            }
        }
        if ($from === null) {
            return null;
        }
        $read = array_filter($this->in->items('history'), fn (Input $r): bool => $r->minutes('minutes') >= $from);
        $circuits = array_map(fn (Input $r): Circuit => Circuit::read($this->circuit->refrigerant, $r, $this->in), $read);
        $field = $this->chart?->isPressure() === true ? $this->chart->target : 'liquid_pressure';
        $now = Circuit::read($this->circuit->refrigerant, $this->in, $this->in);

        return [
            'superheat' => [$now->superheat, ...array_values(array_map(fn (Circuit $c): float => $c->superheat, $circuits))],
            'subcooling' => [$now->subcooling, ...array_values(array_map(fn (Circuit $c): float => $c->subcooling, $circuits))],
            'pressure' => array_map(fn (Input $r): float => (float) $r->in($field, 'psig'), [$this->in, ...array_values($read)]),
        ];
    }

    /**
     * @param array<string, Value> $values
     * @param array{superheat: non-empty-list<float>, subcooling: non-empty-list<float>, pressure: non-empty-list<float>}|null $window
     * @return list<Finding>
     */
    private function notToBeJudged(array &$values, ?array $window): array
    {
        $in = $this->in;
        $running = $in->minutes('running_minutes');
        $swing = fn (string $of): float => $window === null ? 0.0 : max(-INF, ...$window[$of]) - min(INF, ...$window[$of]);
        $moving = $window !== null && (Limit::over($swing('subcooling'), self::STEADY) || (! $this->isValve && Limit::over($swing('superheat'), self::STEADY)) || ($this->chart?->isPressure() === true && Limit::over($swing('pressure'), $this->chart->tolerance)));
        if ($window !== null) {
            $values['superheat_swing'] = Value::of($swing('superheat'), 'delta_degF');
            $values['subcooling_swing'] = Value::of($swing('subcooling'), 'delta_degF');
            if ($this->chart?->isPressure() === true) {
                $values['pressure_swing'] = Value::of($swing('pressure'), 'psi');
            }
        }
        $waits = [self::SETTLED - $running, self::SINCE_CHANGE - ($in->in('minutes_since_change', 'min') ?? self::SINCE_CHANGE), $moving ? self::WINDOW : 0.0];
        if ($in->items('history') !== [] && $window === null) {
            $waits[] = self::WINDOW - ($running - $in->items('history')[0]->minutes('minutes'));
        }
        $left = max($waits);
        $findings = [];
        if ($left > 1e-9) {
            $values['time_left'] = Value::of($left, 'min');
            $findings = [Finding::open('wait', ['left' => Said::duration(60 * $left)]), ...($moving ? [Finding::open('still_moving')] : [])];
        }
        $outdoor = $in->in('outdoor_db', 'degF');
        $least = $this->chart !== null && ! $in->given('min_outdoor') ? min(Circuit::degF($in->number('min_outdoor')), $this->chart->lowestOutdoor) : Circuit::degF($in->number('min_outdoor'));
        $compressor = $in->text('compressor');
        $wetBulb = $this->chart === null ? ! $this->isValve && ! $in->given('target_superheat') : $this->chart->indoor === 'wet_bulb';
        $holds = [
            'other_circuit' => ! $in->flag('same_circuit'),
            'doors_off' => $in->given('doors_on') && ! $in->flag('doors_on'),
            'airflow_first' => $in->text('indoor_airflow') === 'low',
            'heating_mode' => $in->text('mode') === 'heat',
            'bypass_active' => $in->flag('bypass_active'),
            'not_at_full_stage' => in_array($compressor, ['staged', 'digital'], true) && $in->text('running') === 'part',
            'not_in_test_mode' => $compressor === 'inverter' && $in->text('running') !== 'test_mode',
            'low_ambient' => $outdoor !== null && Limit::under($outdoor, $least),
            'condensing_below_ambient' => $outdoor !== null && Limit::under($this->circuit->condensing, $outdoor - self::OFF_AIR),
            'liquid_colder_than_air' => $outdoor !== null && Limit::under((float) $in->in('liquid_line', 'degF'), $outdoor - self::OFF_AIR),
            'receiver' => $in->flag('receiver'),
            'condenser_wet' => $in->flag('condenser_wet'),
            'fans_cycling' => $in->flag('fans_cycling'),
            'lines_swapped' => Limit::over((float) $in->in('suction_line', 'degF'), (float) $in->in('liquid_line', 'degF') + self::SWAPPED),
            'wet_bulb_doubtful' => $wetBulb && TargetSuperheat::isDrySock($in),
        ];

        return [...$findings, ...array_map(fn (string $code): Finding => Finding::open($code), array_keys(array_filter($holds)))];
    }

    /**
     * @param array<string, Value> $values gets the subcooling at the valve
     * @param array{superheat: non-empty-list<float>, subcooling: non-empty-list<float>, pressure: non-empty-list<float>}|null $window
     * @return list<Finding>
     */
    private function besides(array &$values, ?array $window): array
    {
        $in = $this->in;
        $outdoor = $in->in('outdoor_db', 'degF');
        $condensing = $this->circuit->condensing;
        $split = $in->in('condenser_split', 'delta_degF');
        $ices = $this->mayIce();
        $holds = [
            'not_proved_steady' => $in->items('history') === [],
            'readings_apart' => Limit::over($in->number('readings_apart'), self::APART),
            'discharge_port' => $in->text('port') === 'discharge' && ! $in->given('condenser_drop'),
            'airflow_not_checked' => $in->text('indoor_airflow') === 'not_checked',
            'hunting' => $this->isValve && $window !== null && Limit::over(max(-INF, ...$window['superheat']) - min(INF, ...$window['superheat']), self::HUNTS),
            'head_high' => $outdoor !== null && Limit::over($condensing - $outdoor, $split === null ? self::HEAD_OVER : $split + 10),
            'head_low' => Limit::under($condensing, self::HEAD_LOW),
            'outdoor_not_read' => $outdoor === null,
            'head_near_air' => $outdoor !== null && Limit::under($condensing, $outdoor + self::NEAR_AIR),
            'may_flash' => $this->mayFlash($values),
            'coil_may_ice' => $ices,
            'check_airflow' => $ices && ! in_array($in->text('indoor_airflow'), ['ok', 'low'], true),
            'load_high' => $this->isComfort && Limit::over($this->circuit->suctionDew, self::LOADED),
        ];

        return array_map(fn (string $code): Finding => Finding::watch($code), array_keys(array_filter($holds)));
    }

    private function mayIce(): bool
    {
        return $this->isComfort && Limit::under($this->circuit->suctionDew - $this->circuit->suctionGlide / 2, self::ICES);
    }

    /** @param array<string, Value> $values */
    private function mayFlash(array &$values): bool
    {
        $in = $this->in;
        if (! $in->given('liquid_lift') && ! $in->given('line_drop')) {
            return false;
        }
        $refrigerant = $this->circuit->refrigerant;
        $bubble = $refrigerant->bubbleTemperature($this->circuit->liquid);
        $there = $this->circuit->liquid - $refrigerant->liquidDensity($bubble) * self::GRAVITY * ($in->maybe('liquid_lift') ?? 0.0) - ($in->maybe('line_drop') ?? 0.0);
        if ($refrigerant->coversPressure($there)) {
            $left = $this->circuit->subcooling - ($this->circuit->liquidBubble - Circuit::degF($refrigerant->bubbleTemperature($there)));
            $values['subcooling_at_valve'] = Value::of($left, 'delta_degF');

            return Limit::under($left, self::FLASHES);
        }

        return $there < $this->circuit->liquid;
    }

    /**
     * @param list<Finding> $watch what was said besides
     * @return list<Finding>
     */
    private function charge(float $target, float $deviation, array $watch, bool $overPlate): array
    {
        $in = $this->in;
        $c = $this->circuit;
        if (Limit::under($c->subcooling, -(2 * $c->subcoolingUncertainty + $c->liquidGlide))) {
            return [Finding::stop('subcooling_impossible', ['subcooling' => SuctionRule::degrees($c->subcooling)]), Finding::stop('not_charge', [], 'not_charge_besides')];
        }
        $seal = Limit::over($c->subcooling, 0.0) ? [] : [Finding::watch('no_liquid_seal')];
        [$clear, $wide] = $this->chart === null ? [self::CLEAR, self::WATCH] : [$this->chart->tolerance, $this->chart->tolerance * 5 / 3];
        $band = ! Limit::over(abs($deviation), $clear) ? Status::Clear : (Limit::over(abs($deviation), $wide) ? Status::Stop : Status::Watch);
        $falls = $this->chart === null ? $this->isValve : $this->chart->target !== 'superheat';
        $isLacking = $band !== Status::Clear && ($falls ? -$deviation : $deviation) > 0;
        $isExcess = $band !== Status::Clear && ! $isLacking;
        $holds = fn (string $code): bool => array_filter($watch, fn (Finding $f): bool => $f->code === $code) !== [];
        $reason = $this->reason($target, $isLacking, $isExcess, $holds, $overPlate);
        if ($reason !== null) {
            $status = $band->worse(Status::Watch);

            return [...$seal, Finding::of($status, $reason, $this->said($target)), Finding::of($status, 'not_charge', [], 'not_charge_besides')];
        }
        if ($isLacking && $holds('load_high')) {
            return [...$seal, Finding::open('pull_down_first')];
        }
        $said = $this->said($target) + ['off' => $this->chart?->isPressure() === true ? Said::pressureDifference(Units::toCanonical(abs($deviation), 'psi', Kind::PressureDifference)) : SuctionRule::degrees(abs($deviation), $band === Status::Stop ? $wide : $clear)];
        $phrase = $this->chart?->isPressure() === true ? '_by_chart' : ($this->readsSubcooling() ? '' : '_superheat');

        return [...$seal, ...match (true) {
            $isLacking => [Finding::of($band, 'add', $said, "add$phrase"), ...$this->before('add', $overPlate)],
            $isExcess => [Finding::of($band, 'recover', $said, "recover$phrase"), ...$this->before('recover', $overPlate)],
            default => [Finding::clear('right', $said, "right$phrase")],
        }];
    }

    private function readsSubcooling(): bool
    {
        return $this->chart === null ? $this->isValve : $this->chart->target !== 'superheat';
    }

    /**
     * What shows that it is not the charge; the first that holds.
     *
     * @param \Closure(string): bool $holds
     */
    private function reason(float $target, bool $isLacking, bool $isExcess, \Closure $holds, bool $overPlate): ?string
    {
        $in = $this->in;
        $c = $this->circuit;
        $outdoor = $in->in('outdoor_db', 'degF');
        $split = $in->in('condenser_split', 'delta_degF');
        $usual = $this->chart?->target === 'subcooling' ? $target : $in->in('target_subcooling', 'delta_degF') ?? self::USUAL;
        $least = self::suctionLimits($in)[1];
        $starved = $this->isComfort && Limit::under($c->suctionDew, self::COLD_SUCTION) ? 15.0 : 20.0;
        $drier = $in->in('drier_drop', 'delta_degF');
        $isClear = ! $isLacking && ! $isExcess;

        return match (true) {
            $drier !== null && Limit::over($drier, self::DRIER) => 'drier_restricted',
            $this->isComfort && $outdoor !== null && Limit::under($c->condensing - $outdoor, $split === null ? 10.0 : $split / 2) && Limit::over($c->suctionDew, self::WARM_SUCTION) => 'weak_compressor',
            ! $this->isValve && $isLacking && Limit::over($c->subcooling, $usual + 5), $this->isValve && $isExcess && Limit::over($c->superheat, $starved) => 'starved',
            $this->mayIce() && ($isExcess || ($this->isValve && $isLacking && ! Limit::over($c->superheat, 15.0))) => 'cold_coil',
            $isLacking && Limit::under($c->superheat, $least), ! $this->isValve && $isExcess && Limit::under($c->subcooling, $usual - 5) => 'overfed',
            $isLacking && ($holds('head_high') || $overPlate) => 'short_with_high_head',
            $isClear && $this->isValve && Limit::over($c->superheat, $starved) => 'superheat_high',
            $isClear && $this->isValve && Limit::under($c->superheat, $least) => 'superheat_low',
            $isClear && ! $this->isValve && Limit::over($c->subcooling, $usual + 10) => 'subcooling_high',
            $isClear && ! $this->isValve && Limit::under($c->subcooling, 2.0) => 'subcooling_low',
            $this->chart?->isPressure() === true && $this->isValve && (($isLacking && Limit::over($c->subcooling, $usual + 5)) || ($isExcess && Limit::under($c->subcooling, $usual - 5))) => 'chart_contradicted',
            default => null,
        };
    }

    /** @return list<Finding> what is looked at before an ounce moves */
    private function before(string $direction, bool $overPlate): array
    {
        $in = $this->in;
        $c = $this->circuit;
        $outdoor = $in->in('outdoor_db', 'degF');
        $split = $in->in('condenser_split', 'delta_degF');
        $usual = $this->chart?->target === 'subcooling' ? (float) ($this->target()[0] ?? self::USUAL) : $in->in('target_subcooling', 'delta_degF') ?? self::USUAL;
        $drier = $direction === 'add' && ! $in->given('drier_drop') && ($this->isValve ? Limit::over($c->superheat, 20.0) : ! Limit::under($c->subcooling, $usual));
        $air = $direction === 'recover' && (($outdoor !== null && Limit::over($c->condensing - $outdoor, $split === null ? 30.0 : $split + 5)) || $overPlate);

        return [
            ...($in->text('indoor_airflow') === 'ok' ? [] : [Finding::watch('check_airflow')]),
            ...($drier ? [Finding::watch('check_drier')] : []),
            ...($air ? [Finding::watch('check_non_condensables')] : []),
        ];
    }

    /** @return array<string, Said> */
    private function said(float $target): array
    {
        return [
            'superheat' => SuctionRule::degrees($this->circuit->superheat), 'subcooling' => SuctionRule::degrees($this->circuit->subcooling),
            'target' => $this->chart?->isPressure() === true ? Said::gauge(Units::toCanonical($target, 'psig', Kind::GaugePressure)) : SuctionRule::degrees($target),
        ];
    }
}
