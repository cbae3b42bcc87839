<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Power\Feeder;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/** What hangs on a panel's feeder, in which order: told once, and known on every unit of it. */
final class Feed implements Check, DrawsOnRecord
{
    public const ID = 'entry.feed';

    public function id(): string
    {
        return self::ID;
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('panel')->needed(),
            Field::amps('breaker')->positive()->readWith(null),
            Field::amps('usable')->positive()->readWith(null),
            Field::choice('phases', 1, 3)->default(3),
            Field::items('items', Field::text('machine'), ...array_map(fn (Field $field): Field => $field->name === 'amps' ? Field::amps('amps')->positive() : $field, Feeder::itemFields()))->uniqueBy('name')->needed(),
        ];
    }

    /** As it was told last, whichever unit of it that was told on. */
    public static function bringsIn(Past $past, string $subject): array
    {
        return $past->feed()['input'] ?? [];
    }

    public function contradictions(Input $in): iterable
    {
        yield from Feeder::itemsWrong($in);
        $machines = [];
        foreach ($in->items('items') as $i => $item) {
            $machine = $item->text('machine');
            if ($machine !== '' && in_array($machine, $machines, true)) {
                yield InputError::at("items.$i.machine", $machine, 'each unit once', 'stands there already');
            }
            $machines[] = $machine;
        }
    }

    public function judge(Input $in): Judgement
    {
        $items = $in->items('items');
        if ($in->missing !== [] || $items === []) {
            return new Judgement(Missing::in($in), [], false, ['local_code'], [Finding::note('basis')]);
        }
        $units = array_filter($items, fn (Input $item): bool => $item->given('machine'));
        $panel = ['panel' => $in->text('panel')];

        return new Judgement([
            Finding::note('hangs', $panel + ['count' => count($items)]),
            ...($units === [] ? [Finding::watch('no_unit', $panel)] : []),
        ], [], false, ['local_code'], [Finding::note('basis')]);
    }
}
