<?php

declare(strict_types=1);

namespace IronStart\Core\Survey;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Power\LegSplit;
use IronStart\Core\Power\PlateVoltage;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Ways to replace what stands there, side by side on what is there: capacity, capacity with the largest machine down, the
 * feeder's largest leg, new circuits, cost and days. The best of each column is named; the choice is a person's.
 *
 * MCA already counts its largest motor with 125 %, so needs add up plainly, leg by leg: three-phase machines straight,
 * single-phase ones spread over the pairs. That is on the safe side by what the second-largest motors were counted over.
 */
final class Options implements Check, Draws
{
    use NoContradictions;

    /** % of what is required. */
    private const FULL = 100.0;
    private const TOO_LARGE = 125.0;
    /** % of the old weight. */
    private const HEAVIER = 105.0;
    private const HOURS_A_DAY = 8.0;
    private const COVERS = ['feeder', 'structure', 'curb', 'gas', 'controls', 'other'];
    /** Columns in which the least is the best. */
    private const LEAST = ['feeder_need', 'new_circuits', 'cost', 'days'];

    public function id(): string
    {
        return 'survey.options';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $heat = fn (string $name): Field => Field::quantity($name, Kind::Heat, 'W', 0)->positive()->startsIn('ton');
        $phases = Field::choice('phases', 1, 3)->needed();

        return [
            $heat('required_tons')->needed(),
            Field::group(
                'existing',
                Field::amps('feeder_ampacity')->positive()->readWith(null)->needed(),
                $phases,
                Field::amps('feeder_breaker')->positive()->readWith(null),
                Field::volts('voltage')->positive()->readWith(null),
                Field::count('circuits', 0, 100)->default(1),
                Field::count('line_sets', 0, 100),
                Field::count('furnaces', 0, 100),
                Field::mass('weight')->positive()->readWith(null),
            )->needed(),
            Field::items(
                'options',
                Field::text('name')->structural(),
                Field::items(
                    'machines',
                    Field::text('name'),
                    $heat('tons')->needed(),
                    $phases,
                    Field::amps('mca')->positive()->readWith(null)->needed(),
                    Field::amps('mocp')->positive()->readWith(null),
                    Field::mass('weight')->readWith(null),
                    Field::parsed('plate_voltage', PlateVoltage::parse(...)),
                )->needed(),
                Field::number('equipment_cost', 0)->default(0),
                Field::number('labour_hours', 0)->default(0),
                Field::items('extra_work', Field::text('what')->structural(), Field::number('cost', 0)->needed(), Field::word('covers', ...self::COVERS)->default('other')),
                Field::number('lead_days', 0)->default(0),
                Field::flag('matches_existing_indoor'),
            )->uniqueBy('name')->needed(),
            Field::number('hourly_rate', 0)->default(0),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        $limit = self::limit($in);

        return Drawn::bars('A', array_map(function (int $i, Input $option) use ($values, $limit): array {
            $need = isset($values["options.$i.feeder_need"]) ? (float) $values["options.$i.feeder_need"]->value : null;

            return ['name' => $option->text('name'), 'value' => $need, 'is' => $need !== null && $limit !== null && Limit::over($need, $limit) ? 'stop' : 'plain'];
        }, array_keys($in->items('options')), $in->items('options')), $limit);
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $values = $findings = $columns = [];
        $statuses = [];
        foreach ($in->items('options') as $i => $option) {
            $columns[$i] = self::columns($in, $option);
            $found = self::doubts($in, $option, $columns[$i]);
            $status = Judgement::worst($found);
            foreach ($columns[$i] as $name => $value) {
                $values["options.$i.$name"] = $name === 'weight' ? Value::weight($value) : Value::of($value, match ($name) {
                    'capacity', 'capacity_largest_out' => '%', 'feeder_need' => 'A', default => '',
                });
            }
            $values["options.$i.status"] = Value::text($status->value);
            $statuses[] = $status;
            $findings = [...$findings, ...$found];
        }
        foreach (self::best($in, $columns) as $column => $names) {
            $values["best.$column"] = Value::list($names);
        }
        $lines = [...self::verdict($in, $statuses, $findings), Finding::note('yours', ['cheapest' => self::names($values, 'cost'), 'soonest' => self::names($values, 'days'), 'steadiest' => self::names($values, 'capacity_largest_out')])];

        return new Judgement($lines, $values, false, [], $basis);
    }

    /**
     * One stop among several options stops that option and not the comparison.
     *
     * @param list<Status>  $statuses of each option
     * @param list<Finding> $findings
     * @return list<Finding>
     */
    private static function verdict(Input $in, array $statuses, array $findings): array
    {
        $worst = fn (Status $status): bool => array_filter($statuses, fn (Status $s): bool => $s !== $status) === [];
        if ($worst(Status::Stop)) {
            return $findings;
        }
        $clear = array_filter($statuses, fn (Status $s): bool => $s === Status::Clear);
        $softened = array_map(fn (Finding $f): Finding => $f->status === Status::Stop ? Finding::watch($f->code, $f->params, "{$f->phrase}_option") : $f, $findings);

        return $softened === [] ? [Finding::note('all_fit', ['count' => count($clear)])] : $softened;
    }

    /**
     * @param array<string, Value> $values
     * @return list<string>
     */
    private static function names(array $values, string $column): array
    {
        $names = $values["best.$column"]->value;

        return is_array($names) ? array_values(array_map(fn (mixed $n): string => is_string($n) ? $n : '', $names)) : [];
    }

    /** @return array<string, float> by column: %, A, counts, money, days, kg */
    private static function columns(Input $in, Input $option): array
    {
        $machines = $option->items('machines');
        $tons = array_map(fn (Input $m): float => $m->number('tons'), $machines);
        $required = $in->number('required_tons');
        $hours = $option->number('labour_hours');
        $extra = array_sum(array_map(fn (Input $work): float => $work->number('cost'), $option->items('extra_work')));
        $columns = [
            'capacity' => 100 * array_sum($tons) / $required,
            'capacity_largest_out' => 100 * (array_sum($tons) - max([0.0, ...$tons])) / $required,
            'feeder_need' => self::need($in, $machines),
            'new_circuits' => (float) max(0, count($machines) - self::existing($in)->int('circuits')),
            'cost' => $option->number('equipment_cost') + $hours * $in->number('hourly_rate') + $extra,
            'days' => $option->number('lead_days') + ceil($hours / self::HOURS_A_DAY),
        ];
        $weights = array_map(fn (Input $m): ?float => $m->maybe('weight'), $machines);

        return in_array(null, $weights, true) ? $columns : $columns + ['weight' => (float) array_sum($weights)];
    }

    /**
     * @param list<Input> $machines
     * @return float A, of the largest leg
     */
    private static function need(Input $in, array $machines): float
    {
        $of = fn (int $phases): array => array_values(array_map(fn (Input $m): float => $m->number('mca'), array_filter($machines, fn (Input $m): bool => $m->int('phases') === $phases)));
        $three = (float) array_sum($of(3));
        $single = $of(1);
        if (self::existing($in)->int('phases') === 1) {
            return $three + (float) array_sum($single);
        }

        return $single === [] ? $three : max(LegSplit::legs($single, LegSplit::place($single, []), $three));
    }

    /**
     * What speaks against an option, the gravest kinds first.
     *
     * @param array<string, float> $columns
     * @return list<Finding>
     */
    private static function doubts(Input $in, Input $option, array $columns): array
    {
        $name = $option->text('name');
        $existing = self::existing($in);
        $machines = $option->items('machines');
        $covers = fn (string $what): bool => array_filter($option->items('extra_work'), fn (Input $work): bool => $work->text('covers') === $what) !== [];
        $found = [];
        $limit = (float) self::limit($in);
        if (Limit::over($columns['feeder_need'], $limit)) {
            $said = ['name' => $name, 'need' => Said::amps($columns['feeder_need'], $limit), 'feeder' => Said::amps($limit)];
            $found[] = $covers('feeder') ? Finding::watch("feeder_short:$name", $said, 'feeder_short_covered') : Finding::stop("feeder_short:$name", $said);
        }
        if ($existing->int('phases') === 1 && array_filter($machines, fn (Input $m): bool => $m->int('phases') === 3) !== []) {
            $found[] = Finding::stop("phase_mismatch:$name", ['name' => $name]);
        }
        $volts = $existing->maybe('voltage');
        foreach ($machines as $machine) {
            $plate = $machine->parsed('plate_voltage');
            if ($volts !== null && $plate instanceof PlateVoltage && ! $plate->suits($volts)) {
                $found[] = Finding::stop("voltage_mismatch:$name", ['name' => $name, 'plate' => $plate->written, 'volts' => Said::volts($volts)]);
                break;
            }
        }
        $breaker = $existing->maybe('feeder_breaker');
        $mocp = $machines[0]->maybe('mocp');
        $single = count($machines) === 1;
        if ($single && $existing->int('circuits') === 1 && $breaker !== null && $mocp !== null && Limit::over($breaker, $mocp) && ! $covers('feeder')) {
            $found[] = Finding::watch("breaker_over:$name", ['name' => $name, 'breaker' => Said::amps($breaker, $mocp), 'mocp' => Said::amps($mocp)]);
        }
        if (Limit::under($columns['capacity'], self::FULL)) {
            $found[] = Finding::watch("capacity_short:$name", ['name' => $name, 'capacity' => Said::percent($columns['capacity'], self::FULL)]);
        }
        if ($single && Limit::over($columns['capacity'], self::TOO_LARGE)) {
            $found[] = Finding::watch("capacity_over:$name", ['name' => $name, 'capacity' => Said::percent($columns['capacity'], self::TOO_LARGE)]);
        }
        if ($option->given('matches_existing_indoor') && ! $option->flag('matches_existing_indoor')) {
            $found[] = Finding::watch("indoor_mismatch:$name", ['name' => $name]);
        }
        $old = $existing->maybe('weight');
        if ($old !== null && isset($columns['weight']) && Limit::over(100 * $columns['weight'] / $old, self::HEAVIER) && ! $covers('structure')) {
            $found[] = Finding::watch("heavier:$name", ['name' => $name, 'weight' => Said::weight($columns['weight']), 'old' => Said::weight($old)]);
        }

        return $found;
    }

    /**
     * The best of each column by name; ties all.
     *
     * @param array<int, array<string, float>> $columns
     * @return array<string, list<string>>
     */
    private static function best(Input $in, array $columns): array
    {
        $best = [];
        foreach (['capacity', 'capacity_largest_out', ...self::LEAST] as $column) {
            $figures = array_column($columns, $column);
            $enough = array_filter($figures, fn (float $f): bool => ! Limit::under($f, self::FULL));
            $goal = match (true) {
                in_array($column, self::LEAST, true) => min([INF, ...$figures]),
                $column === 'capacity' && $enough !== [] => min($enough),
                default => max([0.0, ...$figures]),
            };
            $best[$column] = array_values(array_map(
                fn (int $i): string => $in->items('options')[$i]->text('name'),
                array_keys(array_filter($figures, fn (float $f): bool => Limit::within($f, $goal, $goal))),
            ));
        }

        return $best;
    }

    /** @return float|null A the feeder carries; null while it is not known */
    private static function limit(Input $in): ?float
    {
        $existing = $in->group('existing');
        $feeder = $existing?->maybe('feeder_ampacity');

        return $feeder === null ? null : min($feeder, $existing?->maybe('feeder_breaker') ?? $feeder);
    }

    private static function existing(Input $in): Input
    {
        return $in->group('existing') ?? throw new \LogicException('Nothing existing.');
    }
}
