<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Word;

/**
 * A breaker, fuse, overload or monitor as it was found: before the reset, which waits for the windings and for ohms to
 * ground.
 */
final class BreakerTripped implements Check, DrawsOnRecord
{
    use NoContradictions;

    public const ID = 'entry.breaker_tripped';

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
            Field::text('place')->needed(),
            Field::word('kind', 'breaker', 'fuse', 'overload', 'monitor')->needed(),
            Field::amps('rating')->positive()->readWith(null),
            Field::moment('since'),
            Field::flag('reset')->default(false),
            Field::text('reset_by')->neededWhen(fn (Input $in): bool => $in->flag('reset')),
            Field::flag('proved')->broughtIn(),
            ServiceMode::modesField(),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return ['proved' => $past->hasProved('compressor.insulation') && $past->hasProved('compressor.windings')] + ServiceMode::modes($past);
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['lockout', 'arc_flash'];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), [], false, $cautions, [Finding::note('basis')]);
        }
        $said = ['place' => $in->text('place'), 'kind' => Word::of('tripped', $in->text('kind'))];
        $found = match (true) {
            ! $in->flag('reset') => [Finding::watch('tripped', $said)],
            $in->flag('proved') => [Finding::note('reset_proved', $said + ['who' => $in->text('reset_by')])],
            default => [Finding::stop('reset_unproved', $said)],
        };

        [$ended, $sets] = ServiceMode::ended($in);

        return new Judgement([...$found, ...$ended], [], false, $cautions, [Finding::note('basis')], sets: [Effect::tells('tripped'), ...$sets]);
    }
}
