<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether wire and breaker suit the plate: corrected ampacity against MCA, breaker against MOCP, drop.
 *
 * Corrected ampacity = table × correction × fill, never above what the terminals allow. The correction is the larger of
 * sqrt((T_ins − T)/(T_ins − 30)) and the table's factor of T's band (both are the code's own; local code decides).
 * The drop counts resistance alone; a power factor is taken and has no effect.
 */
final class Circuit implements Check, DrawsOnRecord, Draws
{
    private const TABLE_AMBIENT = 30.0;
    /** °C added where the raceway lies on the roof in the sun, under 7/8 in above it. */
    private const ROOF_ADDER = 33.0;
    /** A hot stretch so short may be left out: ft, and share of the rest of the run. */
    private const SHORT_STRETCH_FT = 10.0;
    private const SHORT_STRETCH_SHARE = 0.10;
    /** Type letters that decide the column; in a wet place some fall to 75 °C. */
    private const COLUMNS = ['THWN' => [75, 75], 'THWN-2' => [90, 90], 'XHHW-2' => [90, 90], 'THHN' => [90, 75], 'XHHW' => [90, 75]];
    /** Exempt from what a roof in the sun adds. */
    private const EXEMPT_ON_ROOF = 'XHHW-2';
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
        return 2;
    }

    public function fields(): array
    {
        return [
            Field::amps('mca', 0.1)->needed()->fromSheet('electrical.mca'),
            Field::amps('mocp', 1)->needed()->fromSheet('electrical.mocp'),
            Field::amps('breaker', 1)->needed()->readWith(null),
            Field::word('conductor', ...Ampacity::sizes('cu'))->needed(),
            Field::choice('insulation', 60, 75, 90)->neededWhen(fn (Input $in): bool => ! $in->given('wire_type')),
            Field::choice('terminal_rating', 60, 75)->needed()->fromSheet('electrical.terminal_rating'),
            Field::word('material', 'cu', 'al')->default('cu'),
            Field::quantity('ambient', Kind::Temperature, 'degC', -50, 85)->default('30 degC'),
            Field::count('conductors_in_conduit', 1, 200)->default(3),
            Field::count('sets', 1, 12)->default(1),
            Field::quantity('length', Kind::Length, 'm', 0, 5000)->neededWhen(fn (Input $in): bool => $in->given('hot_length')),
            Field::amps('load_amps')->readWith(null),
            Field::volts('line_voltage', 50)->neededWhen(fn (Input $in): bool => $in->given('length')),
            Field::choice('phases', 1, 3)->default(3)->fromSheet('electrical.phases'),
            Field::number('power_factor', 0.1, 1)->default(0.85),
            Field::flag('raceway_on_roof'),
            Field::word('wire_type', 'THHN', 'THWN', 'THWN-2', 'XHHW', 'XHHW-2'),
            Field::flag('wet')->default(true),
            Field::quantity('hot_length', Kind::Length, 'm', 0, 5000),
            Field::quantity('cool_ambient', Kind::Temperature, 'degC', -50, 85)->neededWhen(fn (Input $in): bool => $in->given('hot_length')),
        ];
    }

    /** The average of the three pairs with nothing running, for the drop in percent. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $average = $subject === 'machine' ? $past->standingAverage() : null;

        return $average === null || $average < 50 ? [] : ['line_voltage' => ['value' => $average, 'unit' => 'V']];
    }

    public function contradictions(Input $in): iterable
    {
        $size = $in->text('conductor');
        if ($size !== '' && Ampacity::of($in->text('material'), $size, 75) === null) {
            yield InputError::at('conductor', $size, implode(', ', Ampacity::sizes($in->text('material'))), 'is not made in aluminum');
        }
        if ($in->all('hot_length', 'length') && $in->number('hot_length') > $in->number('length')) {
            yield InputError::at('hot_length', $in->in('hot_length', 'ft'), 'no more than the whole length', 'ft is longer than the whole run');
        }
    }

    public static function drawing(Input $in, array $values): array
    {
        $usable = isset($values['usable_ampacity']) ? (float) $values['usable_ampacity']->value : null;
        $isSmall = $usable !== null && $in->given('mca') && Limit::under($usable, $in->number('mca'));

        return Drawn::bars('A', [
            ['word' => 'mca', 'value' => $in->maybe('mca'), 'is' => 'pale'],
            ['word' => 'wire', 'value' => $usable, 'is' => $isSmall ? 'stop' : 'plain'],
            ['word' => 'breaker', 'value' => $in->maybe('breaker'), 'is' => ($values['breaker_ok']->value ?? true) === false ? 'stop' : 'plain'],
            ['word' => 'mocp', 'value' => $in->maybe('mocp'), 'is' => 'pale'],
        ]);
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
            'table_ampacity' => Value::of(self::table($in, $size, self::column($in)), 'A'),
            'correction' => Value::of(self::correction($in), ''),
            'fill' => Value::of(self::fill($in->int('conductors_in_conduit')), ''),
            'usable_ampacity' => Value::of($usable, 'A'),
            'smallest_conductor' => Value::text($smallest),
            'breaker_ok' => Value::flag($breakerFits),
        ] + ($in->given('wire_type') ? ['column' => Value::of(self::column($in), '')] : []);
        $findings = [...self::wire($in, $usable, $smallest), ...self::breaker($in)];
        if (self::hotPartIgnored($in)) {
            $findings[] = Finding::clear('hot_part_ignored', ['hot' => Said::length($in->number('hot_length')), 'around' => Said::temperature(self::around($in) + 273.15)]);
        }
        $drop = self::drop($in, $size);
        if ($drop !== null) {
            [$volts, $percent] = $drop;
            $values += ['drop' => Value::of($volts, 'V'), 'drop_percent' => Value::of($percent, '%')];
            $findings = [...$findings, ...self::judgeDrop($percent)];
        }
        if (array_filter($findings, fn (Finding $f): bool => $f->status !== Status::Clear) === []) {
            array_unshift($findings, Finding::note('suits', self::saidWire($in, $usable)));
        }
        if ($in->text('wire_type') === 'THHN' && $in->flag('wet')) {
            $findings[] = Finding::note('thhn_in_the_wet');
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
        $around = self::around($in);
        if (! Limit::under($around, (float) self::column($in))) {
            $findings[] = Finding::stop('too_hot_for_insulation', ['around' => Said::temperature($around + 273.15), 'column' => Said::temperature(self::column($in) + 273.15)]);
            $findings[] = Finding::stop('conductor_small', array_diff_key(self::saidWire($in, $usable), ['usable' => 0]), 'conductor_hot');
        } elseif (Limit::under($usable, $in->number('mca'))) {
            $hot = $in->flag('raceway_on_roof') && self::column($in) < 90;
            $findings[] = Finding::stop('conductor_small', self::saidWire($in, $usable) + ['smallest' => $smallest === 'none' ? 'none' : self::named($smallest)], $hot ? 'conductor_small_on_roof' : null);
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

    private static function table(Input $in, string $size, int $column): float
    {
        return Ampacity::of($in->text('material'), $size, $column) ?? throw new \LogicException("Size $size is not in the table.");
    }

    /** The temperature rating of the insulation, °C: by its type letters where they are known. */
    private static function column(Input $in): int
    {
        $type = $in->text('wire_type');

        return $type === '' ? $in->int('insulation') : self::COLUMNS[$type][$in->flag('wet') ? 1 : 0];
    }

    /** @return float A, all sets together */
    private static function usable(Input $in, string $size): float
    {
        $corrected = self::table($in, $size, self::column($in)) * self::correction($in) * self::fill($in->int('conductors_in_conduit'));

        return min($corrected, self::table($in, $size, $in->int('terminal_rating'))) * $in->int('sets');
    }

    /** °C around the conductors where it decides: of a run with a hot stretch the stretch, unless that is short. */
    private static function around(Input $in): float
    {
        $celsius = fn (string $name): float => Units::fromCanonical($in->number($name), 'degC', Kind::Temperature);
        $roof = $in->flag('raceway_on_roof') && $in->text('wire_type') !== self::EXEMPT_ON_ROOF ? self::ROOF_ADDER : 0.0;
        $hot = max($celsius('ambient') + $roof, self::COLDEST);
        if (! $in->given('hot_length')) {
            return $hot;
        }
        $cool = max($celsius('cool_ambient'), self::COLDEST);

        return self::hotPartIgnored($in) ? $cool : max($hot, $cool);
    }

    private static function hotPartIgnored(Input $in): bool
    {
        $hot = $in->given('hot_length') ? $in->in('hot_length', 'ft') : null;
        $whole = $in->in('length', 'ft');

        return $hot !== null && $whole !== null && ! Limit::over($hot, min(self::SHORT_STRETCH_FT, self::SHORT_STRETCH_SHARE * ($whole - $hot)));
    }

    /** Share of the table's ampacity at this temperature; over 1 where it is colder than 30 °C. */
    private static function correction(Input $in): float
    {
        $around = self::around($in);
        $column = self::column($in);
        $formula = sqrt(max(0.0, $column - $around) / ($column - self::TABLE_AMBIENT));

        return max($formula, Ampacity::factor($column, $around) ?? 0.0);
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
