<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/**
 * "Opening the valves now": the act that lets refrigerant into a circuit. Whether it may be done yet is told by the gates
 * (Gate\Opening); every valve named is open from then on.
 */
final class OpenValves implements Check
{
    use NoContradictions;

    public const ID = 'entry.open_valves';

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
            Field::word('released', 'factory', 'weighed', 'none')->needed(),
            Field::items('valves', Field::text('name')->structural(), Field::number('turns', 0, 100))->uniqueBy('name')->needed(),
            Field::flag('bubbled'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $names = array_map(fn (Input $valve): string => $valve->text('name'), $in->items('valves'));
        $findings = Missing::in($in);
        if ($in->given('released') && $names !== []) {
            $findings[] = Finding::clear("opened_{$in->text('released')}", ['valves' => implode(', ', $names)]);
        }
        if ($in->given('bubbled') && ! $in->flag('bubbled')) {
            $findings[] = Finding::watch('not_bubbled');
        }

        return new Judgement(
            $findings,
            [],
            false,
            ['refrigerant_handling', 'eye_protection', 'frostbite'],
            [Finding::note('basis')],
            sets: array_map(fn (string $name): Effect => Effect::closes(PutBackKind::ValveShut, $name), $names),
        );
    }
}
