<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing as MissingField;
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
        return 2;
    }

    public function fields(): array
    {
        $at = Field::number('at')->structural();

        return [
            Field::word('job_type', ...JobType::words())->needed(),
            Field::flag('start_up_only'),
            Field::choices('asked', 1, 3),
            Field::words('facts', ...Job::FACTS),
            Field::texts('circuits'),
            Field::texts('compressors'),
            Field::texts('opened'),
            Field::texts('changed'),
            Field::texts('sections'),
            Field::texts('sampled'),
            Field::texts('ducted'),
            Field::items(
                'recorded',
                Field::word('check', ...CheckTable::checks())->structural(),
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
                Field::word('check', ...CheckTable::checks()),
                Field::text('subject')->default('machine'),
            )->uniqueBy('id'),
            Field::number('supply_changed_at'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach (['circuits', 'compressors', 'opened', 'changed', 'sections', 'sampled', 'ducted'] as $list) {
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
        foreach (['opened' => [$circuits, 'circuits'], 'changed' => [$compressors, 'compressors']] as $list => [$known, $of]) {
            foreach ($in->words($list) as $i => $name) {
                if (! in_array($name, $known, true)) {
                    yield InputError::at("$list.$i", $name, implode(', ', $known), "is not one of the $of");
                }
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
        if (! $in->given('job_type')) {
            return new Judgement([MissingField::at('job_type')], basis: [Finding::note('basis')]);
        }
        $result = self::result($in);

        return new Judgement(self::findings($result), self::values($result), false, [], [Finding::note('basis')]);
    }

    /** The gates as objects, from the check's input. */
    public static function result(Input $in): Result
    {
        $records = array_map(self::recorded(...), $in->items('recorded'));

        return Gates::of(Job::read($in, $records), $records, self::given($in));
    }

    private static function recorded(Input $in): Recorded
    {
        return new Recorded($in->text('check'), $in->text('subject'), Status::from($in->text('status')), $in->words('codes'), $in->number('at'), $in->flag('suspect'));
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

    /** @return array<string, Value> */
    private static function values(Result $result): array
    {
        $values = [];
        foreach ($result->gates as $n => $gate) {
            $values["state:$n"] = Value::text($gate->state);
            if ($gate->isOnJob) {
                $values["missing:$n"] = Value::list(array_map(fn (Missing $m): string => $m->name(), $gate->missing));
            }
            if ($gate->deciding !== null) {
                $values["deciding:$n"] = Value::text($gate->deciding->name);
            }
            if ($gate->state === GateState::NOT_ON_JOB && $gate->whyNot !== null) {
                $values["why_not:$n"] = Value::text($gate->whyNot);
            }
        }
        $values['start_refused'] = Value::list(array_map(fn (Refusal $r): string => $r->name(), $result->startRefused));
        $values['shut'] = Value::list($result->shut());
        $values['conditional'] = Value::list(array_keys(array_filter($result->gates, fn (GateState $g): bool => $g->conditional)));
        if ($result->current !== null) {
            $values['current'] = Value::of($result->current, '1');
        }

        return $values;
    }

    /** @return list<Finding> */
    private static function findings(Result $result): array
    {
        $status = $result->status();
        $phrase = match ($status) {
            Status::Stop => 'stopped',
            Status::Open => 'at_gate',
            default => 'all_answered',
        };
        $params = $phrase === 'all_answered' ? ['count' => count(array_filter($result->gates, fn (GateState $g): bool => $g->isDone()))] : ['gate' => $result->current ?? 0];

        return [Finding::note($phrase, $params, $status), ...array_map(fn (string $code): Finding => Finding::clear($code, [], 'code'), $result->codes())];
    }
}
