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
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Word;

/** Two conductors that changed places: which, where, of what, and whether it was locked out between. */
final class Swap implements Check, DrawsOnRecord
{
    private const LINE = ['L1', 'L2', 'L3'];
    private const MOTOR = ['T1', 'T2', 'T3'];
    /** Everything further down is turned with it. */
    private const UPSTREAM = 'upstream';

    public function id(): string
    {
        return 'entry.swap';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('load')->needed(),
            Field::word('place', 'terminal_block', 'disconnect_load_side', self::UPSTREAM, 'contactor_load_side', 'drive_output', 'motor_leads')->needed(),
            Field::word('first', ...self::LINE, ...self::MOTOR)->needed(),
            Field::word('second', ...self::LINE, ...self::MOTOR)->needed(),
            Field::text('reason'),
            Field::flag('locked')->broughtIn(),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return ['locked' => $past->isLockedSinceReversal()];
    }

    public function contradictions(Input $in): iterable
    {
        if (! $in->all('first', 'second')) {
            return;
        }
        [$first, $second] = [$in->text('first'), $in->text('second')];
        if ($first === $second) {
            yield InputError::at('second', $second, 'another one', 'is the first one');
        } elseif ($first[0] !== $second[0]) {
            yield InputError::at('second', $second, 'one of the same side', 'is on the other side than the first one');
        }
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['lockout', 'live_rotation_swap', 'stored_energy'];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), [], false, $cautions, [Finding::note('basis')]);
        }
        $said = ['first' => $in->text('first'), 'second' => $in->text('second'), 'place' => Word::of('swap_place', $in->text('place')), 'load' => $in->text('load')];

        return new Judgement([
            Finding::note('swapped', $said),
            ...($in->flag('locked') ? [] : [Finding::watch('not_locked_out')]),
            ...($in->text('place') === self::UPSTREAM ? [Finding::watch('turns_others')] : []),
        ], [], false, $cautions, [Finding::note('basis')]);
    }
}
