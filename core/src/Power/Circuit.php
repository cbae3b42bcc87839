<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether wire and breaker suit the plate: corrected ampacity against MCA, breaker against MOCP, drop.
 *
 * Corrected ampacity = table × sqrt((T_ins − T)/(T_ins − 30)) × fill, never above what the terminals allow.
 * The drop counts resistance alone; a power factor is taken and has no effect.
 */
final class Circuit implements Check
{
    private const TABLE_AMBIENT = 30.0;
    /** °C added where the raceway lies on the roof in the sun, under 7/8 in above it. */
    private const ROOF_ADDER = 33.0;
    /** °C; colder ambients are counted as this. */
    private const COLDEST = 10.0;
    /** Most conductors => share of the ampacity that is left. */
    private const FILL = [3 => 1.0, 6 => 0.80, 9 => 0.70, 20 => 0.50, 30 => 0.45, 40 => 0.40];
    private const FILL_MORE = 0.35;
    private const DROP_WATCH = 3.0;
    private const DROP_STOP = 5.0;
    /** Smallest size that may be laid in parallel as a rule. */
    private const PARALLEL_FROM = '1/0';

    public function id(): string
    {
        return 'power.circuit';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::amps('mca', 0.1)->needed(),
            Field::amps('mocp', 1)->needed(),
            Field::amps('breaker', 1)->needed(),
            Field::word('conductor', ...Ampacity::sizes('cu'))->needed(),
            Field::choice('insulation', 60, 75, 90)->needed(),
            Field::choice('terminal_rating', 60, 75)->needed(),
            Field::word('material', 'cu', 'al')->default('cu'),
            Field::quantity('ambient', Kind::Temperature, 'degC', -50, 85)->default('30 degC'),
            Field::count('conductors_in_conduit', 1, 200)->default(3),
            Field::count('sets', 1, 12)->default(1),
            Field::quantity('length', Kind::Length, 'm', 0, 5000),
            Field::amps('load_amps'),
            Field::volts('line_voltage', 50)->neededWhen(fn (Input $in): bool => $in->given('length')),
            Field::choice('phases', 1, 3)->default(3),
            Field::number('power_factor', 0.1, 1)->default(0.85),
            Field::flag('raceway_on_roof'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $size = $in->text('conductor');
        if ($size !== '' && Ampacity::of($in->text('material'), $size, 75) === null) {
            yield InputError::at('conductor', $size, implode(', ', Ampacity::sizes($in->text('material'))), 'is not made in aluminium');
        }
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in), [], $in);
        }
        $size = $in->text('conductor');
        $mca = $in->number('mca');
        $breaker = $in->number('breaker');
        $usable = self::usable($in, $size);
        $smallest = self::smallest($in);
        $breakerFits = ! Limit::under($breaker, $mca) && ! Limit::over($breaker, $in->number('mocp'));
        $values = [
            'table_ampacity' => Value::of(self::table($in, $size, 'insulation'), 'A'),
            'correction' => Value::of(self::correction($in), ''),
            'fill' => Value::of(self::fill($in->int('conductors_in_conduit')), ''),
            'usable_ampacity' => Value::of($usable, 'A'),
            'smallest_conductor' => Value::text($smallest),
            'breaker_ok' => Value::flag($breakerFits),
        ];
        $findings = [...self::wire($in, $usable, $smallest), ...self::breaker($in)];
        $drop = self::drop($in, $size);
        if ($drop !== null) {
            [$volts, $percent] = $drop;
            $values += ['drop' => Value::of($volts, 'V'), 'drop_percent' => Value::of($percent, '%')];
            $findings = [...$findings, ...self::judgeDrop($percent)];
        }
        if ($findings === []) {
            $findings[] = Finding::note('suits', self::saidWire($in, $usable));
        }
        if (! Limit::under($usable, $mca) && ! Limit::over($breaker, $in->number('mocp')) && Limit::over($breaker, $usable)) {
            $findings[] = Finding::clear('breaker_above_wire', ['breaker' => Said::amps($breaker), 'usable' => Said::amps($usable)]);
        }

        return $this->judgement($findings, $values, $in);
    }

    /** @return list<Finding> */
    private static function wire(Input $in, float $usable, string $smallest): array
    {
        $findings = [];
        if (Limit::under($usable, $in->number('mca'))) {
            $findings[] = Finding::stop('conductor_small', self::saidWire($in, $usable) + ['smallest' => $smallest === 'none' ? 'none' : self::named($smallest)]);
        }
        if ($in->int('sets') > 1 && self::isSmallerThan($in->text('conductor'), self::PARALLEL_FROM)) {
            $findings[] = Finding::stop('parallel_undersize', ['size' => self::named($in->text('conductor'))]);
        }

        return $findings;
    }

    /** @return array<string, Said|string> */
    private static function saidWire(Input $in, float $usable): array
    {
        return [
            'size' => self::named($in->text('conductor')),
            'usable' => Said::amps($usable, $in->number('mca')),
            'mca' => Said::amps($in->number('mca')),
            'breaker' => Said::amps($in->number('breaker')),
            'mocp' => Said::amps($in->number('mocp')),
        ];
    }

    /** @return list<Finding> */
    private static function breaker(Input $in): array
    {
        $breaker = $in->number('breaker');
        $findings = [];
        if (Limit::over($breaker, $in->number('mocp'))) {
            $findings[] = Finding::stop('breaker_large', ['breaker' => Said::amps($breaker), 'mocp' => Said::amps($in->number('mocp'))]);
        }
        if (Limit::under($breaker, $in->number('mca'))) {
            $findings[] = Finding::stop('breaker_small', ['breaker' => Said::amps($breaker), 'mca' => Said::amps($in->number('mca'))]);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function judgeDrop(float $percent): array
    {
        return match (true) {
            Limit::over($percent, self::DROP_STOP) => [Finding::stop('drop_over_limit', ['drop' => Said::percent($percent, self::DROP_STOP)])],
            Limit::over($percent, self::DROP_WATCH) => [Finding::watch('drop_watch', ['drop' => Said::percent($percent, self::DROP_WATCH)])],
            default => [],
        };
    }

    private static function table(Input $in, string $size, string $column): float
    {
        return Ampacity::of($in->text('material'), $size, $in->int($column)) ?? throw new \LogicException("Size $size is not in the table.");
    }

    /** @return float A, all sets together */
    private static function usable(Input $in, string $size): float
    {
        $corrected = self::table($in, $size, 'insulation') * self::correction($in) * self::fill($in->int('conductors_in_conduit'));

        return min($corrected, self::table($in, $size, 'terminal_rating')) * $in->int('sets');
    }

    /** Share of the table's ampacity at this temperature; over 1 where it is colder than 30 °C. */
    private static function correction(Input $in): float
    {
        $ambient = Units::fromCanonical($in->number('ambient'), 'degC', Kind::Temperature);
        $around = max($ambient + ($in->flag('raceway_on_roof') ? self::ROOF_ADDER : 0.0), self::COLDEST);
        $insulation = $in->number('insulation');

        return sqrt(max(0.0, $insulation - $around) / ($insulation - self::TABLE_AMBIENT));
    }

    private static function fill(int $conductors): float
    {
        foreach (self::FILL as $most => $share) {
            if ($conductors <= $most) {
                return $share;
            }
        }

        return self::FILL_MORE;
    }

    private static function smallest(Input $in): string
    {
        foreach (Ampacity::sizes($in->text('material')) as $size) {
            $allowed = $in->int('sets') === 1 || ! self::isSmallerThan($size, self::PARALLEL_FROM);
            if ($allowed && ! Limit::under(self::usable($in, $size), $in->number('mca'))) {
                return $size;
            }
        }

        return 'none';
    }

    private static function isSmallerThan(string $size, string $other): bool
    {
        $sizes = Ampacity::sizes('cu');

        return array_search($size, $sizes, true) < array_search($other, $sizes, true);
    }

    /** @return array{0: float, 1: float}|null V and % of the line voltage */
    private static function drop(Input $in, string $size): ?array
    {
        $feet = $in->in('length', 'ft');
        $line = $in->maybe('line_voltage');
        if ($feet === null || $line === null) {
            return null;
        }
        $amps = $in->maybe('load_amps') ?? $in->number('mca');
        $factor = $in->int('phases') === 3 ? sqrt(3) : 2.0;
        $volts = $factor * $amps * Ampacity::resistance($in->text('material'), $size) * $feet / 1000 / $in->int('sets');

        return [$volts, 100 * $volts / $line];
    }

    /** `#8` for gauge sizes, `1/0` and `250 kcmil` for the rest. */
    private static function named(string $size): string
    {
        return match (true) {
            str_contains($size, '/') => $size,
            (int) $size >= 250 => "$size kcmil",
            default => "#$size",
        };
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values, Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if (! $in->given('ambient')) {
            $basis[] = Finding::note('ambient_default', ['ambient' => Said::temperature($in->number('ambient'))]);
        }
        if (! $in->given('conductors_in_conduit')) {
            $basis[] = Finding::note('fill_default');
        }
        if ($in->given('length')) {
            $basis[] = Finding::note(self::isSmallerThan($in->text('conductor') ?: '14', self::PARALLEL_FROM) ? 'drop_by_resistance' : 'reactance_not_counted');
        }

        return new Judgement($findings, $values, false, ['local_code'], $basis);
    }
}
