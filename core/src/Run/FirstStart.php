<?php

declare(strict_types=1);

namespace IronStart\Core\Run;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Moment;
use IronStart\Core\Check\Past;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Entry\FirstStep;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * The first run, one thing at a time: air before a compressor, one compressor before the next, each seen good before
 * what follows, and no start sooner than it may rest.
 *
 * Limits: a backwards scroll shows within ten seconds (no pressure moves, few amps, noise); six starts an hour and three
 * minutes of rest are compressor makers' common figures.
 */
final class FirstStart implements Check, DrawsOnRecord
{
    public const DRIVES = ['across_line', 'inverter'];
    public const SEEN = ['good', 'bad', 'not_yet'];
    public const KINDS = ['blower', 'pump', 'scroll', 'screw', 'reciprocating', 'fan', 'heat'];

    public function id(): string
    {
        return 'run.first_start';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::moment('now')->isPresent()->needed(),
            Field::items(
                'steps',
                Field::text('name')->structural()->fromSheet('name'),
                Field::word('kind', ...self::KINDS)->structural()->fromSheet('kind'),
                Field::word('drive', ...self::DRIVES)->default('across_line')->fromSheet('drive'),
                Field::moment('started')->withSeconds(),
                Field::moment('stopped')->withSeconds(),
                Field::word('seen', ...self::SEEN)->default('not_yet'),
                Field::moment('seen_at')->withSeconds(),
                Field::amps('plate_amps')->positive()->fromSheet('amps')->readWith(null),
                ...self::readings(),
            )->fromSheet('first_start')->goesOn()->needed(),
            Field::count('starts_per_hour', 1, 60)->default(6),
            Field::quantity('rest', Kind::Time, 'min', 0, 120)->bareIn('min')->readWith(null)->default('3 min')->fromSheet('off_time'),
        ];
    }

    /** @return list<Field> what is read at one start: amps of the first seconds, sound, both gauges at rest and running */
    public static function readings(): array
    {
        $gauge = fn (string $name): Field => Field::quantity($name, Kind::GaugePressure, 'kPag', -105, 10_000);

        return [
            Field::amps('amps'),
            Field::word('noise', 'normal', 'loud'),
            Field::quantity('seconds', Kind::Time, 's', 0, 3600)->bareIn('s')->readWith(null)->default('10 s'),
            $gauge('suction_before'),
            $gauge('suction_after'),
            $gauge('discharge_before'),
            $gauge('discharge_after'),
        ];
    }

    /** Each start as it was written down last, in the order they were made. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $starts = $past->eachOf(FirstStep::ID, 'name', 'started');
        $at = fn (array $start): Moment => Moment::parse(is_string($start['started'] ?? null) ? $start['started'] : '');
        usort($starts, fn (array $a, array $b): int => 0.0 <=> $at($a)->until($at($b)));

        return ['steps' => $starts];
    }

    public function contradictions(Input $in): iterable
    {
        $now = $in->moment('now');
        if ($now !== null && self::isMixed($in, $now)) {
            yield new InputError('now', $now->written, 'all times with a zone, or none', 'now: some times have a zone and some have none. Write them all alike.');

            return;
        }
        $kinds = $drives = $lasts = [];
        $latest = null;
        foreach ($in->items('steps') as $i => $step) {
            $name = $step->text('name');
            if (($kinds[$name] ??= $step->text('kind')) !== $step->text('kind')) {
                yield InputError::at("steps.$i.kind", $step->text('kind'), $kinds[$name], 'is another kind than at its first start');
            }
            if (($drives[$name] ??= $step->text('drive')) !== $step->text('drive')) {
                yield InputError::at("steps.$i.drive", $step->text('drive'), $drives[$name], 'is another drive than at its first start');
            }
            $started = $step->moment('started');
            if ($started === null) {
                continue;
            }
            yield from self::startedWrong($i, $started, $now, $latest, $lasts[$name] ?? null);
            foreach (['stopped', 'seen_at'] as $when) {
                $at = $step->moment($when);
                if ($at !== null && ($started->until($at) < 0.0 || ($now !== null && $at->until($now) < 0.0))) {
                    yield new InputError("steps.$i.$when", $at->written, 'a time after the start, and not after now', "steps.$i.$when: it lies before the start, or is still to come.");
                }
            }
            $lasts[$name] = $step;
            $latest = $latest === null || $latest->until($started) > 0.0 ? $started : $latest;
        }
    }

    /** @return iterable<InputError> */
    private static function startedWrong(int $i, Moment $started, ?Moment $now, ?Moment $latest, ?Input $before): iterable
    {
        if ($now !== null && $started->until($now) < 0.0) {
            yield new InputError("steps.$i.started", $started->written, 'a time that is not after now', "steps.$i.started: that start is still to come. Enter when it was started.");
        } elseif ($latest !== null && $latest->until($started) < 0.0) {
            yield new InputError("steps.$i.started", $started->written, 'a time not before a start above it', "steps.$i.started: it lies before a start above it. Put the starts in the order they were made.");
        } elseif ($before !== null && ($before->moment('stopped')?->until($started) ?? -1.0) < 0.0) {
            yield new InputError("steps.$i.started", $started->written, 'a time after it was stopped', "steps.$i.started: it still runs from the start before. Enter when that one was stopped.");
        }
    }

    private static function isMixed(Input $in, Moment $now): bool
    {
        foreach ($in->items('steps') as $step) {
            foreach (['started', 'stopped', 'seen_at'] as $when) {
                $at = $step->moment($when);
                if ($at !== null && $at->hasZone !== $now->hasZone) {
                    return true;
                }
            }
        }

        return false;
    }

    public function judge(Input $in): Judgement
    {
        $now = $in->moment('now');
        $steps = $in->items('steps');
        if ($now === null || $steps === []) {
            return $this->judgement(Missing::in($in));
        }
        $missing = self::missing($in, $steps);
        $values = [];
        $found = [];
        $last = [];
        foreach ($steps as $i => $step) {
            if ($step->moment('started') !== null) {
                $last[$step->text('name')] = $i;
            }
        }
        asort($last);
        foreach ($last as $i) {
            $found = [...$found, ...(new Step($steps, $i))->found($values)];
        }
        $names = array_values(array_unique(array_map(fn (Input $step): string => $step->text('name'), $steps)));
        $waiting = array_values(array_filter($names, fn (string $name): bool => ! isset($last[$name])));
        if ($waiting !== []) {
            $found[] = Finding::open("next:$waiting[0]", ['name' => $waiting[0]]);
        }
        foreach ($last as $i) {
            $found = [...$found, ...(new Starts($steps, $i, $in, $now))->found($values)];
        }
        $good = array_filter($last, fn (int $i): bool => $steps[$i]->text('seen') === 'good');
        $values += ['done' => Value::of(count($good), '1'), 'of' => Value::of(count($names), '1')];
        $findings = [...$missing, ...$found];
        $worst = Judgement::worst($findings);
        if (count($good) === count($names) && ! in_array($worst, [Status::Stop, Status::Open], true)) {
            $findings[] = Finding::clear('first_run_good', ['count' => count($names)]);
        }
        $values['step'] = Value::text(self::step($findings, $worst, $steps, $names));

        return $this->judgement($findings, $values);
    }

    /**
     * @param list<Input> $steps
     * @return list<Finding> by entry
     */
    private static function missing(Input $in, array $steps): array
    {
        $missing = Missing::in($in);
        foreach ($steps as $i => $step) {
            $isStarted = $step->moment('started') !== null;
            if (! $isStarted && ($step->text('seen') !== 'not_yet' || $step->given('stopped') || $step->given('seen_at'))) {
                $missing[] = Missing::at("steps.$i.started", $step->text('name'));
            }
            $lacking = array_filter(Step::PRESSURES, fn (string $name): bool => ! $step->given($name));
            if ($isStarted && Step::isCompressor($step) && $lacking !== [] && count($lacking) < count(Step::PRESSURES)) {
                foreach ($lacking as $name) {
                    $missing[] = Missing::at("steps.$i.$name", $step->text('name'));
                }
            }
        }

        return $missing;
    }

    /**
     * The name of the first code of the worst status; where all is well, the last one.
     *
     * @param list<Finding> $findings
     * @param list<Input>   $steps
     * @param list<string>  $names
     */
    private static function step(array $findings, Status $worst, array $steps, array $names): string
    {
        foreach ($findings as $finding) {
            if ($worst === Status::Clear || $finding->status !== $worst) {
                continue;
            }
            if (preg_match('/^missing:steps\.(\d+)\./', $finding->code, $part) === 1) {
                return $steps[(int) $part[1]]->text('name');
            }
            $of = strpos($finding->code, ':');
            if ($of !== false) {
                return substr($finding->code, $of + 1);
            }
        }

        return (string) end($names);
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values = []): Judgement
    {
        $sets = [];
        foreach ($values as $name => $value) {
            if (str_starts_with($name, 'may_start_in:')) {
                $minutes = (float) $value->value;
                $of = substr($name, strlen('may_start_in:'));
                $rests = array_filter($findings, fn (Finding $one): bool => $one->code === "rest:$of") !== [];
                $sets[] = $rests ? Effect::starts(ClockKind::Rest, max(1, (int) ceil($minutes - 1e-9)), $of) : Effect::ends(ClockKind::Rest, $of);
            }
        }
        $cautions = ['rotating_parts', 'arc_flash', 'terminal_venting', 'hot_surfaces', 'hand_on_contactor', 'never_run_in_vacuum', 'remote_start'];

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')], sets: $sets);
    }
}
