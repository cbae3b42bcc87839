<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Effect;
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
final class RunningAmps implements Check, DrawsOnRecord, Draws
{
    private const COMPRESSORS = ['scroll', 'screw', 'reciprocating'];
    /** Share of the average under which a leg is gone. */
    private const LOST_LEG = 0.05;
    private const UNBALANCE = 10.0;
    /** %; so much is a lost line ahead of a transformer, not a clamp's last digit. */
    private const UNBALANCE_ALWAYS_STOP = 25.0;
    /** A; under this a clamp's last digit makes unbalance of its own. */
    private const SMALL_MOTOR = 5.0;
    /** A blower turning backwards draws about half of its plate: it is looked at from here. */
    private const BLOWER_MINIMUM = 0.6;
    /** Share of its plate under which any other motor is unloaded. */
    private const MINIMUM = 0.4;
    /** Times the plate: no motor runs so, it stands still under power. */
    private const LOCKED = 4.0;
    /** Their input says nothing of unbalance or of low load. */
    private const DRIVES = ['inverter', 'ecm'];
    /** Of several machines in one reading all but this share of one must show. */
    private const ONE_DEAD = 0.8;

    public function id(): string
    {
        return 'power.running_amps';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        $in = fn (Input $load): bool => ! $load->flag('out');
        $three = fn (Input $load): bool => $in($load) && self::phases($load) === 3;

        return [
            Field::items(
                'loads',
                Field::text('name')->structural()->fromSheet('name'),
                Field::word('kind', 'scroll', 'screw', 'reciprocating', 'blower', 'condenser_fan', 'pump')->structural()->fromSheet('kind'),
                Field::choice('phases', 1, 3)->fromSheet('phases'),
                Field::amps('amps_a')->neededWhen($in),
                Field::amps('amps_b')->neededWhen($three),
                Field::amps('amps_c')->neededWhen($three),
                Field::amps('plate_amps')->positive()->fromSheet('amps'),
                Field::items('plate_points', Field::volts('volts')->positive(), Field::amps('amps')->positive())->fromSheet('plate_points'),
                Field::volts('volts_average')->positive(),
                Field::number('minimum_ratio', 0, 1),
                Field::number('maximum_ratio', 1, 3)->default(1.10),
                Field::flag('high_head'),
                Field::count('quantity', 1, 6)->default(1),
                Field::word('drive', 'across_line', 'soft_starter', 'part_winding', 'inverter', 'ecm', 'single_phase')->default('across_line')->fromSheet('drive'),
                Field::flag('out')->broughtIn(),
            )->uniqueBy('name')->needed()->fromSheet('motors'),
            Field::flag('doors_on')->toldToRecord(),
        ];
    }

    /** What is tagged out of service. */
    public static function bringsIn(Past $past, string $subject): array
    {
        return ['loads' => array_fill_keys($past->motorsOut(), ['out' => true])];
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

    public static function drawing(Input $in, array $values): array
    {
        $bars = [];
        foreach ($in->items('loads') as $i => $load) {
            $ratio = isset($values["loads.$i.ratio"]) ? 100 * (float) $values["loads.$i.ratio"]->value : null;
            $isOver = $ratio !== null && Limit::over($ratio, 100 * $load->number('maximum_ratio'));
            $bars[] = ['name' => $load->text('name'), 'value' => $ratio, 'is' => $isOver ? 'stop' : 'plain'];
        }

        return Drawn::bars('%', $bars, 100.0);
    }

    public function judge(Input $in): Judgement
    {
        $findings = Missing::in($in);
        $values = $judged = $unsure = $plates = $out = [];
        foreach ($in->items('loads') as $i => $load) {
            if ($load->flag('out')) {
                $out[] = Finding::clear('out:' . $load->text('name'), ['name' => $load->text('name')]);
                continue;
            }
            $legs = self::legs($load);
            if ($legs === null) {
                continue;
            }
            $plate = self::plate($load);
            $average = array_sum($legs) / count($legs);
            $values["loads.$i.average"] = Value::of($average, 'A');
            $results = function (array $v) use ($plate, $i): array {
                $average = array_sum($v) / count($v);

                return (is_string($plate) ? [] : ["ratio.$i" => $average / $plate, "locked.$i" => max($v) / $plate])
                    + (count($v) === 3 && $average > 0 ? ["unbalance.$i" => ThreeLegs::of(array_values($v))->unbalance()] : []);
            };
            $judged += $results($legs);
            $unsure += Uncertainty::sharedInstrument($results, $legs, Instrument::ClampMeter->share());
            if (is_string($plate)) {
                $findings[] = Missing::at($plate, $load->text('name'));
            } else {
                $values["loads.$i.plate"] = Value::of($plate, 'A');
                $values["loads.$i.ratio"] = Value::of($judged["ratio.$i"], '');
            }
            if (isset($judged["unbalance.$i"])) {
                $values["loads.$i.unbalance"] = Value::of($judged["unbalance.$i"], '%');
            }
            $plates[$i] = is_string($plate) ? null : $plate;
        }
        if ($out !== [] && count($out) === count($in->items('loads'))) {
            $findings[] = Missing::at('loads');
        }
        if ($in->given('doors_on') && ! $in->flag('doors_on')) {
            $findings[] = Finding::open('doors_off');
        }
        $found = fn (array $j): array => [...$findings, ...self::found($in, $j, $plates)];
        $marginal = Uncertainty::decides(fn (array $j): Status => Judgement::worst($found($j)), $judged, $unsure);
        $findings = $found($judged);
        if (array_filter($findings, fn (Finding $f): bool => $f->status !== Status::Clear) === []) {
            $findings = [...self::allWell($in, $judged), ...$findings];
        }

        return new Judgement([...$findings, ...$out], $values, $marginal, [...Caution::LIVE, 'hand_on_contactor'], [Finding::note('basis')], sets: [Effect::ends(ClockKind::Stabilise)]);
    }

    /**
     * @param array<string, float>  $judged
     * @param array<int, float|null> $plates
     * @return list<Finding>
     */
    private static function found(Input $in, array $judged, array $plates): array
    {
        $findings = [];
        $doorsOff = $in->given('doors_on') && ! $in->flag('doors_on');
        foreach ($in->items('loads') as $i => $load) {
            $legs = $load->flag('out') ? null : self::legs($load);
            if ($legs === null) {
                continue;
            }
            $average = array_sum($legs) / count($legs);
            $name = $load->text('name');
            if ($average === 0.0) {
                $findings[] = Finding::open("not_running:$name", ['name' => $name]);
            } elseif (count($legs) === 3 && Limit::under(min($legs) / $average, self::LOST_LEG)) {
                $findings[] = Finding::stop("single_phasing:$name", ['name' => $name, 'leg' => Word::of('line', ['a', 'b', 'c'][(int) array_search(min($legs), $legs, true)]), 'amps' => Said::amps(min($legs)), 'average' => Said::amps($average)]);
            } else {
                $findings = [
                    ...$findings,
                    ...self::ratio($load, $judged["ratio.$i"] ?? null, $judged["locked.$i"] ?? null, $average, $plates[$i], $doorsOff),
                    ...self::unbalance($load, $judged["unbalance.$i"] ?? null, $average, $legs),
                ];
            }
        }

        return $findings;
    }

    private static function isDrive(Input $load): bool
    {
        return in_array($load->text('drive'), self::DRIVES, true);
    }

    /** @return list<Finding> the first that holds, and what a drive's input can't say */
    private static function ratio(Input $load, ?float $ratio, ?float $locked, float $average, ?float $plate, bool $doorsOff): array
    {
        $name = $load->text('name');
        $drive = self::isDrive($load) ? [Finding::clear("drive_input:$name", ['name' => $name])] : [];
        if ($ratio === null || $plate === null || $locked === null) {
            return $drive;
        }
        $kind = $load->text('kind');
        $said = ['name' => $name, 'amps' => Said::amps($average, $plate), 'plate' => Said::amps($plate), 'share' => Said::percent(100 * $ratio)];
        $compressor = in_array($kind, self::COMPRESSORS, true);
        $over = match (true) {
            $compressor => 'over_plate_compressor',
            $kind === 'blower' => 'over_plate_blower',
            default => 'over_plate_fan',
        };
        // With the doors off a blower's static is low and its amps high: the doors say it, not the motor.
        $openBlower = $doorsOff && $kind === 'blower';
        $found = match (true) {
            Limit::over($locked, self::LOCKED) => [Finding::stop("locked_rotor:$name", ['name' => $name, 'amps' => Said::amps($locked * $plate), 'plate' => Said::amps($plate)])],
            Limit::over($ratio, 1.0) && $openBlower => [],
            Limit::over($ratio, $load->number('maximum_ratio')) => [Finding::stop("over_plate:$name", $said, $over)],
            Limit::over($ratio, 1.0) => match (true) {
                ! $compressor || $load->flag('high_head') => [Finding::watch("over_plate:$name", $said, $over)],
                $load->given('high_head') => [],
                default => [Finding::note('ask_head', ['name' => $name, 'share' => Said::percent(100 * $ratio, 100.0)])],
            },
            Limit::under($ratio, self::least($load)) => self::isDrive($load) ? [] : [Finding::watch("low_amps:$name", $said, $compressor ? 'low_amps_compressor' : ($kind === 'blower' ? 'low_amps_blower' : 'low_amps'))],
            default => [],
        };

        return [...$found, ...$drive];
    }

    /** The least share of its plate that a motor at work draws. */
    private static function least(Input $load): float
    {
        $least = $load->maybe('minimum_ratio') ?? ($load->text('kind') === 'blower' ? self::BLOWER_MINIMUM : self::MINIMUM);

        return $load->int('quantity') > 1 ? max($least, ($load->int('quantity') - self::ONE_DEAD) / $load->int('quantity')) : $least;
    }

    /**
     * @param list<float> $legs
     * @return list<Finding>
     */
    private static function unbalance(Input $load, ?float $unbalance, float $average, array $legs): array
    {
        if ($unbalance === null || self::isDrive($load) || ! Limit::over($unbalance, self::UNBALANCE)) {
            return [];
        }
        $stop = Limit::over($average, self::SMALL_MOTOR) || Limit::over($unbalance, self::UNBALANCE_ALWAYS_STOP);

        return [Finding::of($stop ? Status::Stop : Status::Watch, 'amp_unbalance:' . $load->text('name'), [
            'name' => $load->text('name'), 'unbalance' => Said::percent($unbalance, self::UNBALANCE), 'leg' => Word::of('line', ['a', 'b', 'c'][ThreeLegs::of($legs)->worst]),
        ])];
    }

    private static function phases(Input $load): int
    {
        return (int) ($load->maybe('phases') ?? ($load->text('drive') === 'single_phase' ? 1 : 3));
    }

    /** @return list<float>|null the readings of one load, null when one is missing */
    private static function legs(Input $load): ?array
    {
        $names = self::phases($load) === 3 ? ['amps_a', 'amps_b', 'amps_c'] : ['amps_a'];

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
        $judgedOf = 0;
        foreach ($in->items('loads') as $i => $load) {
            $judgedOf += isset($judged["ratio.$i"]) ? 1 : 0;
            if (isset($judged["ratio.$i"]) && ($most === null || $judged["ratio.$i"] > $judged["ratio.$most"])) {
                $most = $i;
            }
        }
        if ($most !== null) {
            $findings[] = Finding::note('well', ['name' => $in->items('loads')[$most]->text('name'), 'share' => Said::percent(100 * $judged["ratio.$most"]), 'count' => $judgedOf]);
        }
        if (! $in->given('doors_on')) {
            $findings[] = Finding::note('doors_not_said');
        }

        return $findings;
    }
}
