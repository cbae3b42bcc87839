<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * The twelve gates of a machine's job, as a pure function of what was recorded.
 */
final class JobGates implements Check
{
    private const REASON_LENGTH = 500;

    public function id(): string
    {
        return 'job.gates';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $at = Field::number('at')->structural();

        return [
            Field::word('job_type', ...JobType::words())->structural(),
            Field::flag('start_up_only'),
            Field::choices('asked', 1, 3),
            Field::words('facts', ...Job::FACTS),
            Field::texts('circuits'),
            Field::texts('compressors'),
            Field::texts('opened'),
            Field::texts('sections'),
            Field::texts('sampled'),
            Field::texts('ducted'),
            Field::items(
                'recorded',
                Field::word('check', ...Belonging::checks())->structural(),
                Field::text('subject')->default('machine'),
                Field::word('status', ...array_map(fn (Status $s): string => $s->value, Status::cases()))->structural(),
                Field::texts('codes'),
                $at,
                Field::flag('suspect'),
            ),
            Field::items('put_back', Field::text('id')->structural(), Field::flag('closed'), Field::flag('explained'), Field::choices('shuts', 1, 12))->uniqueBy('id'),
            Field::items(
                'overrides',
                Field::count('gate', 1, 12)->structural(),
                Field::text('reason', self::REASON_LENGTH)->structural(),
                Field::word('role', 'helper', 'starter', 'lead', 'office')->structural(),
                $at,
            ),
            Field::items(
                'disabled',
                Field::text('subject')->structural(),
                Field::text('why', self::REASON_LENGTH),
                Field::text('wire', self::REASON_LENGTH),
                Field::text('who', self::REASON_LENGTH),
                $at,
            ),
            Field::items('signatures', Field::word('role', 'starter', 'lead')->structural(), $at),
            Field::items(
                'open_items',
                Field::text('id')->structural(),
                Field::text('owner'),
                Field::text('due'),
                Field::word('check', ...Belonging::checks()),
                Field::text('subject')->default('machine'),
            )->uniqueBy('id'),
            Field::number('supply_changed_at'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach (['circuits', 'compressors', 'opened', 'sections', 'sampled', 'ducted'] as $list) {
            $seen = [];
            foreach ($in->words($list) as $i => $name) {
                if (trim($name) === '' || str_contains($name, '/') || isset($seen[$name])) {
                    yield InputError::at("$list.$i", $name, 'a name without "/", each once');
                }
                $seen[$name] = true;
            }
        }
        $circuits = $in->words('circuits') ?: ['A'];
        $compressors = $in->words('compressors') ?: $circuits;
        foreach ($in->words('opened') as $i => $name) {
            if (! in_array($name, $circuits, true)) {
                yield InputError::at("opened.$i", $name, implode(', ', $circuits), 'is not one of the circuits');
            }
        }
        $parts = [...array_map(fn (string $c): string => "circuit:$c", $circuits), ...array_map(fn (string $c): string => "compressor:$c", $compressors)];
        foreach ($in->items('disabled') as $entry) {
            if ($entry->given('subject') && ! in_array($entry->text('subject'), $parts, true)) {
                yield InputError::at("{$entry->path}subject", $entry->text('subject'), implode(', ', $parts), 'is no circuit or compressor of this machine');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $raw = array_map(self::entry(...), $in->items('recorded'));
        $job = Job::read($in, $raw);
        $records = array_map(fn (Entry $e): Entry => self::plain($e, $job), $raw);
        $given = self::given($in);
        $now = (new Evaluation($job, $records, $given))->tell();
        $codes = $now->codes;
        foreach (self::outOfOrder($job, $records, $given, $now) as $gate) {
            $codes["out_of_order:$gate"] = true;
        }

        return new Judgement(self::findings($now, array_keys($codes)), self::values($now, $job), false, [], [Finding::note('basis')]);
    }

    private static function entry(Input $in): Entry
    {
        return new Entry($in->text('check'), $in->text('subject'), Status::from($in->text('status')), $in->words('codes'), $in->number('at'), $in->flag('suspect'));
    }

    /** `machine` means the one name of a list that holds just one. */
    private static function plain(Entry $entry, Job $job): Entry
    {
        $only = $entry->base() === 'machine' ? $job->onlyOne($entry->check) : null;

        return $only === null ? $entry : new Entry($entry->check, $only . substr($entry->subject, strlen('machine')), $entry->status, $entry->codes, $entry->at, $entry->suspect);
    }

    private static function given(Input $in): GateInput
    {
        return new GateInput(
            array_map(fn (Input $e): array => ['id' => $e->text('id'), 'closed' => $e->flag('closed'), 'explained' => $e->flag('explained'), 'shuts' => array_map(intval(...), $e->words('shuts'))], $in->items('put_back')),
            array_map(fn (Input $e): array => ['gate' => $e->int('gate'), 'reason' => $e->text('reason'), 'role' => $e->text('role'), 'at' => $e->number('at')], $in->items('overrides')),
            array_map(fn (Input $e): array => ['subject' => $e->text('subject'), 'complete' => $e->all('why', 'wire', 'who'), 'at' => $e->number('at')], $in->items('disabled')),
            array_map(fn (Input $e): array => ['role' => $e->text('role'), 'at' => $e->number('at')], $in->items('signatures')),
            array_map(fn (Input $e): array => ['id' => $e->text('id'), 'owned' => $e->all('owner', 'due'), 'check' => $e->text('check'), 'subject' => $e->text('subject')], $in->items('open_items')),
            $in->maybe('supply_changed_at'),
        );
    }

    /**
     * Gates with a reading taken before one of their needs was met.
     *
     * Between two readings often nothing was recorded that bears on the needs: then one evaluation serves both.
     *
     * @param list<Entry> $records
     * @return list<int>
     */
    private static function outOfOrder(Job $job, array $records, GateInput $given, Evaluation $now): array
    {
        $found = $then = $bearing = [];
        foreach ($records as $entry) {
            $ordered = in_array($entry->check, ['tight.hold', 'dry.decay'], true) || Ledger::isRunning($entry);
            foreach ($ordered && ! $entry->suspect ? $now->gatesOf($entry) : [] as $gate) {
                $needs = $now->needs($gate);
                if (isset($found[$gate]) || $needs === []) {
                    continue;
                }
                $highest = max($needs);
                $bearing[$highest] ??= self::bearingOn($records, $highest);
                $before = array_values(array_filter($bearing[$highest], fn (Entry $e): bool => $e->at < $entry->at));
                $givenThen = $given->before($entry->at);
                $key = "$highest " . count($before) . ' ' . $givenThen->size();
                $then[$key] ??= new Evaluation($job, $before, $givenThen);
                foreach ($needs as $need) {
                    if (! $then[$key]->isMet($need)) {
                        $found[$gate] = true;
                    }
                }
            }
        }

        return array_keys($found);
    }

    /**
     * The records that can change a gate up to a given one: those of these gates, and of any check that was
     * ever a danger, since that shuts Run wherever it stands.
     *
     * @param list<Entry> $records
     * @return list<Entry>
     */
    private static function bearingOn(array $records, int $highest): array
    {
        $dangerous = [];
        foreach ($records as $entry) {
            if ($entry->dangers() !== []) {
                $dangerous[$entry->check] = true;
            }
        }

        return array_values(array_filter($records, fn (Entry $e): bool => isset($dangerous[$e->check])
            || min([...Belonging::gatesOf($e->check), PHP_INT_MAX]) <= $highest));
    }

    /** @return array<string, Value> */
    private static function values(Evaluation $now, Job $job): array
    {
        $values = [];
        foreach ($now->state as $gate => $state) {
            $values["state:$gate"] = Value::text($state);
            if (isset($now->missing[$gate])) {
                $values["missing:$gate"] = Value::list($now->missing[$gate]);
            }
            if (isset($now->deciding[$gate])) {
                $values["deciding:$gate"] = Value::text($now->deciding[$gate]);
            }
            $why = $state === 'not_on_job' ? $job->whyNot($gate) : null;
            if ($why !== null) {
                $values["why_not:$gate"] = Value::text($why);
            }
        }
        $values['shut'] = Value::list($now->shut);
        $values['conditional'] = Value::list($now->conditional);
        if ($now->current !== null) {
            $values['current'] = Value::of($now->current, '1');
        }

        return $values;
    }

    /**
     * @param list<string> $codes
     * @return list<Finding>
     */
    private static function findings(Evaluation $now, array $codes): array
    {
        $states = array_count_values($now->state);
        $status = match (true) {
            isset($states['stopped']) => Status::Stop,
            isset($states['asking']) || isset($states['not_yet']) => Status::Open,
            isset($states['overridden']) || $now->conditional !== [] || array_filter($codes, fn (string $c): bool => str_starts_with($c, 'watch:')) !== [] => Status::Watch,
            default => Status::Clear,
        };
        $phrase = match (true) {
            $status === Status::Stop => 'stopped',
            $status === Status::Open => 'at_gate',
            default => 'all_answered',
        };
        $params = $phrase === 'all_answered' ? ['count' => ($states['answered'] ?? 0) + ($states['overridden'] ?? 0)] : ['gate' => $now->current ?? 0];
        $findings = [Finding::note($phrase, $params, $status)];
        foreach ($codes as $code) {
            $findings[] = Finding::clear($code, [], 'code');
        }

        return $findings;
    }
}
