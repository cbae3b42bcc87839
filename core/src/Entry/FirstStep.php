<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Run\FirstStart;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;

/**
 * One start of one thing on the first run: written when it is started, and again when it was looked at or stopped. The
 * first run is judged from these.
 */
final class FirstStep implements Check
{
    public const ID = 'entry.first_step';
    /** kPa (5 psi): a suction that rises by more is not pumped down. */
    private const ROSE = 34.474;

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
        $moment = fn (string $name): Field => Field::moment($name)->withSeconds();

        return [
            Field::text('name')->structural(),
            Field::word('kind', ...FirstStart::KINDS)->structural(),
            Field::word('drive', ...FirstStart::DRIVES)->default('across_line'),
            $moment('started')->needed(),
            $moment('stopped'),
            Field::word('seen', ...FirstStart::SEEN)->default('not_yet'),
            $moment('seen_at'),
            Field::amps('plate_amps')->positive()->readWith(null),
            ...FirstStart::readings(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $started = $in->moment('started');
        foreach (['stopped', 'seen_at'] as $when) {
            $at = $in->moment($when);
            if ($started === null || $at === null) {
                continue;
            }
            if ($started->hasZone !== $at->hasZone) {
                yield new InputError($when, $at->written, 'both times with a zone, or none', "$when: one time has a zone and the other has none. Write them alike.");
            } elseif ($started->until($at) < 0.0) {
                yield new InputError($when, $at->written, 'a time after the start', "$when: it lies before the start. Enter the time after it was started.");
            }
        }
        if ($in->text('seen') === 'good' && self::rose($in)) {
            yield InputError::at('suction_after', $in->number('suction_after'), 'no more than at rest, or seen not right', 'rose while it ran: hoses on the wrong ports, or it does not pump. It is not seen right so');
        }
    }

    private static function rose(Input $in): bool
    {
        return $in->all('suction_before', 'suction_after') && Limit::over($in->number('suction_after') - $in->number('suction_before'), self::ROSE);
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['rotating_parts', 'arc_flash', 'terminal_venting'];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), [], false, $cautions, [Finding::note('basis')]);
        }
        $said = ['name' => $in->text('name')];
        $found = match ($in->text('seen')) {
            'good' => [Finding::note('seen_good', $said)],
            'bad' => [Finding::stop('seen_bad', $said)],
            default => [$in->given('stopped') ? Finding::note('stopped', $said) : Finding::note('started', $said)],
        };
        if (self::rose($in)) {
            $found[] = Finding::watch('suction_rose', $said + ['before' => Said::gauge($in->number('suction_before')), 'after' => Said::gauge($in->number('suction_after'))]);
        }

        return new Judgement($found, [], false, $cautions, [Finding::note('basis')]);
    }
}
