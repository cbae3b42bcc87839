<?php

declare(strict_types=1);

namespace IronStart\Core\Walked;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Value;

/** A walked list: each item answered yes, no, or not applicable with a reason. */
abstract class ItemList implements Check
{
    private const REASON_LENGTH = 500;

    /** @return list<Item> in the order in which they are walked */
    abstract public static function list(): array;

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        return [
            Field::items(
                'items',
                Field::text('id')->structural(),
                Field::word('answer', 'yes', 'no', 'not_applicable'),
                Field::text('reason', self::REASON_LENGTH),
                Field::text('photo', self::REASON_LENGTH),
            )->uniqueBy('id'),
            Field::word('job_type', ...JobType::words())->fromJob(),
        ];
    }

    /** @return list<Item> what is asked of a type of job; all items where none is named */
    public static function askedOf(?JobType $type): array
    {
        return array_values(array_filter(static::list(), fn (Item $item): bool => $type === null || $item->types === null || in_array($type, $item->types, true)));
    }

    public function contradictions(Input $in): iterable
    {
        $known = array_column(array_map(fn (Item $i): array => [$i->id, $i], static::list()), 1, 0);
        foreach ($in->items('items') as $answered) {
            $item = $known[$answered->text('id')] ?? null;
            if ($item === null && $answered->given('id')) {
                yield InputError::at("{$answered->path}id", $answered->text('id'), implode(', ', array_keys($known)), 'is not an item of this list');
            }
            if ($answered->text('answer') !== 'not_applicable' || $item === null) {
                continue;
            }
            if ($item->always) {
                yield InputError::at("{$answered->path}answer", 'not_applicable', 'yes, no', 'can\'t be: this item always applies');
            } elseif (! $answered->given('reason')) {
                yield InputError::absent("{$answered->path}reason", 'why it does not apply here');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $answers = [];
        foreach ($in->items('items') as $answered) {
            if ($answered->given('answer')) {
                $answers[$answered->text('id')] = $answered->text('answer');
            }
        }
        $asked = array_map(fn (Item $i): string => $i->id, static::askedOf(JobType::tryFrom($in->text('job_type'))));
        $findings = [];
        $done = $of = 0;
        foreach (static::list() as $item) {
            $answer = $answers[$item->id] ?? null;
            if ($answer === null && ! in_array($item->id, $asked, true)) {
                continue;
            }
            $of++;
            if ($answer === null) {
                $findings[] = Missing::at("items.$item->id");
            } elseif ($answer === 'no') {
                $findings[] = $item->must ? Finding::stop("not_done:$item->id", [], "item_$item->id") : Finding::watch("not_done:$item->id", [], "item_$item->id");
            } else {
                $done++;
            }
        }
        if ($findings === []) {
            $findings[] = Finding::note('all_done', ['count' => $of]);
        }

        return new Judgement($findings, ['done' => Value::of($done, '1'), 'of' => Value::of($of, '1')], false, static::cautions(), [Finding::note('basis')], sets: static::sets($answers));
    }

    /**
     * @param array<string, string> $answers by item
     * @return list<Effect>
     */
    protected static function sets(array $answers): array
    {
        return [];
    }

    /** @return list<string> */
    protected static function cautions(): array
    {
        return ['local_code'];
    }
}
