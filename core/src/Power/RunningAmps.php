<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * Whether the motors draw what they should, at this voltage, on every leg.
 *
 * A compressor's rated load amps is no working target: running above it counts only with high head. Amps
 * read with the doors off do not count, whatever they are.
 */
final class RunningAmps implements Check
{
    private const COMPRESSORS = ['scroll', 'screw', 'reciprocating'];
    /** Share of the average under which a leg is gone. */
    private const LOST_LEG = 0.05;
    private const UNBALANCE = 10.0;
    /** %; so much is a lost line ahead of a transformer, not a clamp's last digit. */
    private const UNBALANCE_ALWAYS_STOP = 25.0;
    /** A; under this a clamp's last digit makes unbalance of its own. */
    private const SMALL_MOTOR = 5.0;
    /** Of several machines in one reading all but this share of one must show. */
    private const ONE_DEAD = 0.8;

    public function id(): string
    {
        return 'power.running_amps';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $three = fn (Input $load): bool => $load->number('phases') === 3.0;

        return [
            Field::items(
                'loads',
                Field::text('name')->structural(),
                Field::word('kind', 'scroll', 'screw', 'reciprocating', 'blower', 'condenser_fan', 'pump')->structural(),
                Field::choice('phases', 1, 3)->default(3),
                Field::amps('amps_a')->needed(),
                Field::amps('amps_b')->neededWhen($three),
                Field::amps('amps_c')->neededWhen($three),
                Field::amps('plate_amps')->positive(),
                Field::items('plate_points', Field::volts('volts')->positive(), Field::amps('amps')->positive()),
                Field::volts('volts_average')->positive(),
                Field::number('minimum_ratio', 0, 1)->default(0.4),
                Field::number('maximum_ratio', 1, 3)->default(1.10),
                Field::flag('high_head'),
                Field::count('quantity', 1, 6)->default(1),
            )->uniqueBy('name')->needed(),
            Field::flag('doors_on'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('loads') as $load) {
            $volts = array_filter(array_map(fn (Input $point): ?float => $point->maybe('volts'), $load->items('plate_points')), is_float(...));
            if (count(array_unique($volts)) < count($volts)) {
                yield InputError::at("{$load->path}plate_points", $volts, 'points at different voltages', 'name one voltage twice');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $findings = Missing::in($in);
        $values = $judged = $unsure = [];
        $plates = [];
        foreach ($in->items('loads') as $i => $load) {
            $legs = self::legs($load);
            if ($legs === null) {
                continue;
            }
            $plate = self::plate($load);
            $average = array_sum($legs) / count($legs);
            $values["loads.$i.average"] = Value::of($average, 'A');
            /** @param list<float> $v */
            $results = function (array $v) use ($plate, $i): array {
                $average = array_sum($v) / count($v);

                return (is_string($plate) ? [] : ["ratio.$i" => $average / $plate])
                    + (count($v) === 3 && $average > 0 ? ["unbalance.$i" => ThreeLegs::of($v)->unbalance()] : []);
            };
            $judged += $results($legs);
            $unsure += Uncertainty::sharedInstrument($results, $legs, Uncertainty::AMMETER);
            if (is_string($plate)) {
                $findings[] = Missing::at($plate);
            } else {
                $values["loads.$i.plate"] = Value::of($plate, 'A');
                $values["loads.$i.ratio"] = Value::of($judged["ratio.$i"], '');
            }
            if (isset($judged["unbalance.$i"])) {
                $values["loads.$i.unbalance"] = Value::of($judged["unbalance.$i"], '%');
            }
            $plates[$i] = is_string($plate) ? null : $plate;
        }
        if ($in->given('doors_on') && ! $in->flag('doors_on')) {
            $findings[] = Finding::open('doors_off');
        }
        $found = fn (array $j): array => [...$findings, ...self::found($in, $j, $plates)];
        $marginal = Uncertainty::decides(fn (array $j): Status => Judgement::worst($found($j)), $judged, $unsure);
        $findings = $found($judged);
        if ($findings === []) {
            $findings = self::allWell($in, $judged);
        }

        return new Judgement($findings, $values, $marginal, ['qualified_electrical', 'arc_flash'], [Finding::note('basis')]);
    }

    /**
     * @param array<string, float>  $judged
     * @param array<int, float|null> $plates
     * @return list<Finding>
     */
    private static function found(Input $in, array $judged, array $plates): array
    {
        $findings = [];
        foreach ($in->items('loads') as $i => $load) {
            $legs = self::legs($load);
            if ($legs === null) {
                continue;
            }
            $average = array_sum($legs) / count($legs);
            $name = $load->text('name');
            if ($average === 0.0) {
                $findings[] = Finding::open("not_running:$name", ['name' => $name]);
            } elseif (count($legs) === 3 && min($legs) < self::LOST_LEG * $average) {
                $findings[] = Finding::stop("single_phasing:$name", ['name' => $name, 'leg' => Word::of('line', ['a', 'b', 'c'][(int) array_search(min($legs), $legs, true)]), 'amps' => Said::amps(min($legs)), 'average' => Said::amps($average)]);
            } else {
                $findings = [
                    ...$findings,
                    ...self::ratio($load, $judged["ratio.$i"] ?? null, $average, $plates[$i]),
                    ...self::unbalance($load, $judged["unbalance.$i"] ?? null, $average, $legs),
                ];
            }
        }

        return $findings;
    }

    /** @return list<Finding> the first that holds */
    private static function ratio(Input $load, ?float $ratio, float $average, ?float $plate): array
    {
        if ($ratio === null || $plate === null) {
            return [];
        }
        $name = $load->text('name');
        $said = ['name' => $name, 'amps' => Said::amps($average, $plate), 'plate' => Said::amps($plate), 'share' => Said::percent(100 * $ratio)];
        $compressor = in_array($load->text('kind'), self::COMPRESSORS, true);
        $least = $load->number('minimum_ratio');
        if ($load->int('quantity') > 1) {
            $least = max($least, ($load->int('quantity') - self::ONE_DEAD) / $load->int('quantity'));
        }

        return match (true) {
            Limit::over($ratio, $load->number('maximum_ratio')) => [Finding::stop("over_plate:$name", $said)],
            Limit::over($ratio, 1.0) => $compressor && ! $load->flag('high_head') ? [] : [Finding::watch("over_plate:$name", $said)],
            Limit::under($ratio, $least) => [Finding::watch("low_amps:$name", $said)],
            default => [],
        };
    }

    /**
     * @param list<float> $legs
     * @return list<Finding>
     */
    private static function unbalance(Input $load, ?float $unbalance, float $average, array $legs): array
    {
        if ($unbalance === null || ! Limit::over($unbalance, self::UNBALANCE)) {
            return [];
        }
        $stop = Limit::over($average, self::SMALL_MOTOR) || Limit::over($unbalance, self::UNBALANCE_ALWAYS_STOP);

        return [Finding::of($stop ? Status::Stop : Status::Watch, 'amp_unbalance:' . $load->text('name'), [
            'name' => $load->text('name'), 'unbalance' => Said::percent($unbalance, self::UNBALANCE), 'leg' => Word::of('line', ['a', 'b', 'c'][ThreeLegs::of($legs)->worst]),
        ])];
    }

    /** @return list<float>|null the readings of one load, null when one is missing */
    private static function legs(Input $load): ?array
    {
        $names = $load->int('phases') === 3 ? ['amps_a', 'amps_b', 'amps_c'] : ['amps_a'];

        return $load->all(...$names) ? array_map($load->number(...), $names) : null;
    }

    /**
     * Plate amps at this voltage: the plate's own figure, else by the points, linear between and held at the ends.
     *
     * @return float|string A, or the path of what is missing
     */
    private static function plate(Input $load): float|string
    {
        if ($load->given('plate_amps')) {
            return $load->number('plate_amps');
        }
        $points = [];
        foreach ($load->items('plate_points') as $j => $point) {
            foreach (['volts', 'amps'] as $part) {
                if (! $point->given($part)) {
                    return "{$point->path}$part";
                }
            }
            $points[] = [$point->number('volts'), $point->number('amps')];
        }
        if ($points === []) {
            return "{$load->path}plate_amps";
        }
        if (count($points) === 1) {
            return $points[0][1];
        }

        return $load->given('volts_average') ? self::between($points, $load->number('volts_average')) : "{$load->path}volts_average";
    }

    /** @param non-empty-list<array{0: float, 1: float}> $points */
    private static function between(array $points, float $volts): float
    {
        sort($points);
        if ($volts <= $points[0][0]) {
            return $points[0][1];
        }
        foreach (array_slice($points, 1) as $i => [$above, $amps]) {
            if ($volts <= $above) {
                [$below, $from] = $points[$i];

                return $from + ($amps - $from) * ($volts - $below) / ($above - $below);
            }
        }

        return $points[count($points) - 1][1];
    }

    /**
     * @param array<string, float> $judged
     * @return list<Finding>
     */
    private static function allWell(Input $in, array $judged): array
    {
        $findings = [];
        $most = null;
        foreach ($in->items('loads') as $i => $load) {
            if (isset($judged["ratio.$i"]) && ($most === null || $judged["ratio.$i"] > $judged["ratio.$most"])) {
                $most = $i;
            }
        }
        if ($most !== null) {
            $findings[] = Finding::note('well', ['name' => $in->items('loads')[$most]->text('name'), 'share' => Said::percent(100 * $judged["ratio.$most"]), 'count' => count($in->items('loads'))]);
        }
        if (! $in->given('doors_on')) {
            $findings[] = Finding::note('doors_not_said');
        }

        return $findings;
    }
}
