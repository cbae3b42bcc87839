<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * Whether everything turns the right way, and where the one place is to fix it.
 *
 * The evidence: the rotation meter at the unit's terminals, the phase monitor, and every load that passes the
 * order of the lines on to its shaft. Loads behind a drive, electronic and single-phase ones take no part; a
 * reciprocating compressor pumps either way.
 */
final class Rotation implements Check, DrawsOnRecord
{
    public function id(): string
    {
        return 'power.rotation';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        return [
            Field::word('meter', 'abc', 'cba', 'none')->default('none')->readWith(Instrument::RotationMeter),
            Field::word('monitor', 'ok', 'reversed', 'phase_lost', 'unbalance', 'none')->default('none'),
            Field::flag('meter_confirmed'),
            Field::word('high_leg', 'a', 'b', 'c')->broughtIn(),
            Field::items(
                'loads',
                Field::text('name')->structural()->fromSheet('name'),
                Field::word('kind', 'scroll', 'screw', 'reciprocating', 'blower', 'condenser_fan', 'pump')->structural()->fromSheet('kind'),
                Field::word('drive', 'across_line', 'soft_starter', 'part_winding', 'inverter', 'ecm', 'single_phase')->structural()->fromSheet('drive'),
                Field::word('observed', 'correct', 'backwards', 'not_run')->default('not_run'),
                Field::flag('pressure_moved'),
                Field::word('noise', 'normal', 'loud'),
                Field::number('amps_ratio', 0, 20),
                Field::amps('amps'),
                Field::amps('plate_amps')->positive()->fromSheet('amps'),
                Field::quantity('hours_backwards', Kind::Time, 'h', 0)->startsIn('min'),
                Field::words('checked', 'windings', 'insulation', 'oil_acid', 'amps_pressures')->broughtIn(),
                Field::flag('oil_ok'),
                Field::flag('out')->broughtIn(),
            )->uniqueBy('name')->fromSheet('motors'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('loads') as $load) {
            if ($load->all('amps_ratio', 'amps', 'plate_amps')) {
                yield InputError::at("{$load->path}amps_ratio", $load->number('amps_ratio'), 'either the ratio, or amps and nameplate amps', 'is given beside amps and nameplate amps');
            }
        }
    }

    /** What was proved on each compressor since it ran backwards, what is tagged out, and which leg is the high one. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $highLeg = $past->value('power.supply_identity', 'machine', 'high_leg') ?? $past->value('power.supply_identity', 'old_disconnect', 'high_leg');
        $each = [];
        foreach ($past->provedSinceReversal() as $name => $proofs) {
            $each[$name]['checked'] = $proofs;
        }
        foreach ($past->toldBackwards() as $name => $time) {
            $each[$name]['hours_backwards'] = $time;
        }
        foreach ($past->motorsOut() as $name) {
            $each[$name]['out'] = true;
        }

        return (is_string($highLeg) ? ['high_leg' => $highLeg] : []) + ['loads' => $each];
    }

    public function judge(Input $in): Judgement
    {
        $all = array_map(RotatingLoad::read(...), $in->items('loads'));
        $loads = array_values(array_filter($all, fn (RotatingLoad $l): bool => ! $l->out));
        $forward = $in->text('meter') === 'abc' || $in->text('monitor') === 'ok';
        $reverse = $in->text('meter') === 'cba' || $in->text('monitor') === 'reversed';
        foreach ($loads as $load) {
            $others = array_filter($loads, fn (RotatingLoad $other): bool => $other !== $load && $other->isCompressor());
            $load->settle($forward, $reverse, $others !== []);
        }
        $findings = [Finding::stop('phase_lost')];
        if ($in->text('monitor') !== 'phase_lost') {
            $decided = $this->decide($in, $loads, $forward, $reverse);
            $findings = self::inOrder($decided, self::added($in, $loads, $forward && ! $reverse), $in);
            foreach (array_filter($all, fn (RotatingLoad $l): bool => $l->out) as $load) {
                $findings[] = Finding::clear("out:$load->name", ['name' => $load->name]);
            }
        }
        $sensitive = array_filter($loads, fn (RotatingLoad $l): bool => $l->sensitive);
        $values = [
            'sensitive_loads' => Value::list(self::names($sensitive)),
            'backwards_loads' => Value::list(self::names(array_filter($sensitive, fn (RotatingLoad $l): bool => $l->turns === Turning::Backwards))),
            'insensitive_loads' => Value::list(self::names(array_filter($loads, fn (RotatingLoad $l): bool => ! $l->sensitive))),
        ];
        $cautions = [...Caution::LIVE, 'lockout', 'live_rotation_swap', 'rotating_parts', 'hand_on_contactor', 'remote_start'];
        if (self::any($findings, 'drive_reversed', 'ecm_backwards')) {
            $cautions[] = 'stored_energy';
        }

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')], self::drawing($in, $findings));
    }

    /** @param list<Finding> $findings */
    private static function any(array $findings, string ...$words): bool
    {
        return array_filter($findings, fn (Finding $f): bool => ! $f->note && in_array(explode(':', $f->code, 2)[0], $words, true)) !== [];
    }

    /**
     * What stops the supply is told first; else what is owed besides comes before what is proved so far. Then the
     * steps of a swap, in the order of the work.
     *
     * @param list<Finding> $decided
     * @param list<Finding> $added
     * @return list<Finding>
     */
    private static function inOrder(array $decided, array $added, Input $in): array
    {
        $findings = Judgement::worst($decided) === Status::Stop ? [...$decided, ...$added] : [...$added, ...$decided];
        if ($in->given('high_leg') && self::any($findings, 'supply_reversed', 'inside_swap', 'reversed_unfelt', 'load_reversed', 'undo_load')) {
            $findings[] = Finding::clear('keep_high_leg:' . $in->text('high_leg'), ['leg' => Word::of('line', $in->text('high_leg'))]);
        }

        return [...$findings, ...self::steps($findings, $in)];
    }

    /**
     * The steps of what is to be swapped, in the order of the work: dead first, then what stays hot, then the swap.
     *
     * @param list<Finding> $findings
     * @return list<Finding> notes
     */
    private static function steps(array $findings, Input $in): array
    {
        $named = fn (string $word): array => array_values(array_map(fn (Finding $f): string => explode(':', $f->code, 2)[1], array_filter($findings, fn (Finding $f): bool => str_starts_with($f->code, "$word:"))));
        $step = fn (string $phrase, array $params = []): Finding => Finding::note($phrase, $params, Status::Stop);
        $supply = self::any($findings, 'supply_reversed') && array_filter($findings, fn (Finding $f): bool => $f->phrase === 'supply_reversed_loads') === [];
        $inside = self::any($findings, 'inside_swap');
        $partWinding = $named('line_side_only');
        $motors = array_values(array_diff($named('load_reversed'), $partWinding));
        $drives = $named('drive_reversed');
        $undo = array_values(array_diff($named('undo_load'), $partWinding));
        $steps = [];
        if ($supply || $inside || $motors !== [] || $partWinding !== []) {
            $steps[] = $step($drives !== [] || $named('ecm_backwards') !== [] ? 'step_dead_bus' : 'step_dead');
            $steps[] = $step('step_hot');
        } elseif ($drives !== []) {
            $steps[] = $step('step_dead_bus');
        }
        if ($supply) {
            $steps[] = $in->given('high_leg') ? $step('step_swap_not_high', ['leg' => Word::of('line', $in->text('high_leg'))]) : $step('step_swap');
        }
        if ($inside) {
            $steps[] = $step('step_inside');
        }
        if ($motors !== [] && ! $inside) {
            $steps[] = count($motors) > 1 ? $step('step_swap_several', ['names' => $motors]) : $step('step_swap_motor', ['name' => $motors[0]]);
        }
        if ($undo !== []) {
            $steps[] = $step('step_undo', ['names' => $undo]);
        }
        foreach ($partWinding as $name) {
            $steps[] = $step('step_part_winding', ['name' => $name]);
        }
        if ($drives !== []) {
            $steps[] = $step('step_drive', ['names' => $drives]);
        }
        if ($supply || $inside || $motors !== [] || $partWinding !== [] || $drives !== []) {
            $steps[] = $step('step_write_down');
            $steps[] = $step($supply ? 'step_read_again_sisters' : 'step_read_again');
        }
        if (self::any($findings, 'suspect', 'not_pumping', 'oil_low', 'single_phase_backwards', 'drive_reversed')) {
            $steps[] = $step('step_start_again');
        }

        return $steps;
    }

    /**
     * The decision on the supply, in the order in which the evidence excludes things.
     *
     * @param list<RotatingLoad> $loads
     * @return list<Finding>
     */
    private function decide(Input $in, array $loads, bool $forward, bool $reverse): array
    {
        $told = self::told($in);
        if ($forward && $reverse) {
            return [Finding::stop('conflict', [], 'conflict_instruments')];
        }
        $sensitive = array_values(array_filter($loads, fn (RotatingLoad $l): bool => $l->sensitive));
        $clash = array_values(array_filter($sensitive, fn (RotatingLoad $l): bool => $l->clash));
        if ($clash !== []) {
            return [Finding::stop('conflict', ['name' => $clash[0]->name], $clash[0]->kind === 'screw' ? 'conflict_screw' : 'conflict_load')];
        }
        $by = fn (Turning $turning): array => array_values(array_filter($sensitive, fn (RotatingLoad $l): bool => $l->turns === $turning));
        [$back, $good, $unknown] = [$by(Turning::Backwards), $by(Turning::Correct), $by(Turning::Unknown)];

        return match (true) {
            $forward => self::forward($in, $loads, $back, $good, $unknown, $told),
            $reverse => self::reverse($in, $loads, $back, $good, $unknown, $told),
            default => self::byLoadsAlone($loads, $back, $good, $unknown),
        };
    }

    /**
     * @param list<RotatingLoad> $loads
     * @param list<RotatingLoad> $back
     * @param list<RotatingLoad> $good
     * @param list<RotatingLoad> $unknown
     * @return list<Finding>
     */
    private static function forward(Input $in, array $loads, array $back, array $good, array $unknown, Word $told): array
    {
        if ($back === []) {
            return self::proof($loads, $good, $unknown, $told);
        }
        $confirmed = $in->text('meter') === 'abc' && $in->flag('meter_confirmed');
        if ($good === [] && ! $confirmed) {
            return [Finding::stop('conflict', ['evidence' => $told, 'names' => self::names($back), 'count' => count($back)], 'conflict_forward')];
        }
        if ($good === [] && count($back) > 1) {
            return [Finding::stop('inside_swap', ['names' => self::names($back)]), Finding::stop('conflict', [], 'conflict_inside')];
        }
        $findings = [];
        foreach ($back as $load) {
            $findings = [...$findings, Finding::stop("load_reversed:$load->name", ['name' => $load->name, 'evidence' => $told]), ...self::lineSide($load)];
        }

        return $findings;
    }

    /**
     * @param list<RotatingLoad> $loads
     * @param list<RotatingLoad> $back
     * @param list<RotatingLoad> $good
     * @param list<RotatingLoad> $unknown
     * @return list<Finding>
     */
    private static function reverse(Input $in, array $loads, array $back, array $good, array $unknown, Word $told): array
    {
        $monitor = $in->text('monitor') === 'reversed';
        if ($loads !== [] && [...$back, ...$good, ...$unknown] === [] && ! $monitor) {
            return [Finding::watch('reversed_unfelt', ['evidence' => $told]), ...array_filter(self::unfelt($loads, $told), fn (Finding $f): bool => $f->status === Status::Clear)];
        }
        if ($good !== [] && $back === []) {
            $each = $in->text('meter') === 'cba' && $in->flag('meter_confirmed') && ! $monitor && $unknown === [];

            return $each
                ? [Finding::watch('proved', [], 'proved_each_swapped'), Finding::watch('all_swapped', ['names' => self::names($good)])]
                : [Finding::stop('conflict', ['evidence' => $told, 'names' => self::names($good), 'count' => count($good)], 'conflict_reverse')];
        }
        $phrase = $back === [] ? 'supply_reversed_terminals' : ($good === [] ? 'supply_reversed' : 'supply_reversed_but');
        $params = match ($phrase) {
            'supply_reversed_terminals' => ['evidence' => $told],
            'supply_reversed' => ['evidence' => $told, 'names' => self::names($back), 'count' => count($back)],
            default => ['evidence' => $told, 'names' => self::names($back), 'count' => count($back), 'others' => self::names($good), 'other' => count($good)],
        };
        $findings = [Finding::stop('supply_reversed', $params, $phrase)];
        foreach ($good as $load) {
            $findings = [...$findings, Finding::stop("undo_load:$load->name", ['name' => $load->name]), ...self::lineSide($load)];
        }

        return $findings;
    }

    /**
     * No meter and no monitor has spoken.
     *
     * @param list<RotatingLoad> $loads
     * @param list<RotatingLoad> $back
     * @param list<RotatingLoad> $good
     * @param list<RotatingLoad> $unknown
     * @return list<Finding>
     */
    private static function byLoadsAlone(array $loads, array $back, array $good, array $unknown): array
    {
        $quiet = array_values(array_filter($unknown, fn (RotatingLoad $l): bool => $l->isQuiet()));
        if ($back === [] && $quiet !== []) {
            return [Finding::stop('needs_meter', ['names' => self::names($quiet), 'count' => count($quiet)], 'needs_meter_quiet')];
        }
        if ($back !== []) {
            return count($back) > 1 && $good === [] && $unknown === []
                ? [Finding::stop('supply_reversed', ['names' => self::names($back)], 'supply_reversed_loads')]
                : [Finding::stop('needs_meter', ['names' => self::names($back), 'count' => count($back)])];
        }
        if ($good !== []) {
            return self::proof($loads, $good, $unknown, Word::of('evidence', 'wheels'));
        }
        if ($loads !== [] && $unknown === []) {
            $unfelt = self::unfelt($loads, Word::of('evidence', 'wheels'));

            return Judgement::worst($unfelt) === Status::Clear ? $unfelt : [Finding::note('unfelt_unproved', ['names' => self::names(array_filter($loads, fn (RotatingLoad $l): bool => $l->isReciprocatingOnTheLine()))], Status::Watch)];
        }

        return [Missing::at('meter')];
    }

    /**
     * Nothing turns backwards: how far that is proved.
     *
     * @param list<RotatingLoad> $loads
     * @param list<RotatingLoad> $good
     * @param list<RotatingLoad> $unknown
     * @return list<Finding>
     */
    private static function proof(array $loads, array $good, array $unknown, Word $told): array
    {
        $params = ['evidence' => $told];

        return match (true) {
            $loads === [] => [Finding::watch('terminals_only', $params, 'terminals_alone')],
            $good === [] && $unknown === [] => self::unfelt($loads, $told),
            $unknown === [] => [Finding::clear('proved', $params + ['names' => self::names($good)])],
            $good === [] => [Finding::watch('terminals_only', $params + ['names' => self::names($unknown)]), ...self::bumps($unknown)],
            default => [Finding::watch('partly_proved', ['names' => self::names($good), 'others' => self::names($unknown)]), ...self::bumps($unknown)],
        };
    }

    /**
     * How each load that nobody has seen is proved: never ten seconds on a screw.
     *
     * @param list<RotatingLoad> $unknown
     * @return list<Finding> notes
     */
    private static function bumps(array $unknown): array
    {
        $steps = [];
        foreach (['bump_screw' => 'screw', 'bump_scroll' => 'scroll', 'bump_fan' => null] as $phrase => $kind) {
            $of = array_filter($unknown, fn (RotatingLoad $l): bool => ! $l->suspect && ! $l->isQuiet() && ($kind === null ? ! $l->isRotary() : $l->kind === $kind));
            if ($of !== []) {
                $steps[] = Finding::note($phrase, ['names' => self::names($of)], Status::Watch);
            }
        }

        return $steps;
    }

    /**
     * No load follows the line in a way that shows.
     *
     * @param list<RotatingLoad> $loads
     * @return list<Finding>
     */
    private static function unfelt(array $loads, Word $told): array
    {
        $recips = array_filter($loads, fn (RotatingLoad $l): bool => $l->isReciprocatingOnTheLine());
        $proved = array_filter($recips, fn (RotatingLoad $l): bool => $l->oil !== true) === [];

        return [match (true) {
            $recips === [] => Finding::clear('no_sensitive_loads'),
            $proved => Finding::clear('proved', ['names' => self::names($recips)], 'proved_by_oil'),
            default => Finding::watch('terminals_only', ['evidence' => $told, 'names' => self::names($recips)], 'terminals_recip'),
        }];
    }

    /**
     * What is said besides, whatever the decision on the supply.
     *
     * @param list<RotatingLoad> $loads
     * @param bool $forward the instruments say right, and none says reversed
     * @return list<Finding>
     */
    private static function added(Input $in, array $loads, bool $forward): array
    {
        $findings = [];
        foreach ($loads as $load) {
            $name = ['name' => $load->name];
            if ($load->turnsBackwardsOnItsDrive()) {
                $findings[] = match ($load->drive) {
                    'inverter' => Finding::stop("drive_reversed:$load->name", $name),
                    'ecm' => Finding::stop("ecm_backwards:$load->name", $name),
                    default => Finding::stop("single_phase_backwards:$load->name", $name, $load->isCompressor() ? null : 'single_phase_fan_backwards'),
                };
            }
            if ($load->isQuiet() && (($load->sensitive && $forward) || $load->drive === 'single_phase')) {
                $findings[] = Finding::stop("not_pumping:$load->name", $name);
            }
            if ($load->suspect) {
                $findings[] = Finding::stop("suspect:$load->name", $name, $load->kind === 'screw' ? 'suspect_screw' : null);
            }
            if ($load->drawsLittle) {
                $findings[] = Finding::watch("draws_little:$load->name", $name);
            }
            if ($load->isReciprocatingOnTheLine() && $load->oil !== true) {
                $findings[] = $load->oil === null ? Finding::watch("oil_pump:$load->name", $name) : Finding::stop("oil_low:$load->name", $name);
            }
            if ($load->isStillLoud()) {
                $findings[] = Finding::watch("still_loud:$load->name", $name);
            }
            if ($load->awaitsProof()) {
                $findings[] = self::afterReversal($load);
            }
            if ($load->wantsNoise()) {
                $findings[] = Finding::note('ask_noise', $name, Status::Stop);
            }
            if ($load->isRotary() && ($load->turns === Turning::Backwards || $load->turnsBackwardsOnItsDrive()) && $load->secondsBackwards === null) {
                $findings[] = Finding::note('ask_hours', $name);
            }
        }
        if ($in->text('monitor') === 'unbalance') {
            $findings[] = Finding::watch('monitor_unbalance');
        }

        return $findings;
    }

    private static function afterReversal(RotatingLoad $load): Finding
    {
        $dead = $load->unprovedDead();
        $running = count($load->unproved()) > count($dead);
        $params = ['name' => $load->name, 'time' => Said::duration($load->secondsBackwards ?? 0.0), 'checks' => Word::of('proof', ...$load->unproved())];

        return Finding::watch("after_reversal:$load->name", $params + ($dead === [] ? [] : ['dead' => Word::of('proof', ...$dead)]), match (true) {
            $dead === [] => 'after_reversal_running',
            $running => 'after_reversal',
            default => 'after_reversal_dead',
        });
    }

    /** @return list<Finding> Part windings must be swapped ahead of both contactors. */
    private static function lineSide(RotatingLoad $load): array
    {
        return $load->drive === 'part_winding' ? [Finding::stop("line_side_only:$load->name", ['name' => $load->name])] : [];
    }

    /** What the instruments say, for the sentences. */
    private static function told(Input $in): Word
    {
        $said = [];
        if (in_array($in->text('meter'), ['abc', 'cba'], true)) {
            $said[] = 'meter_' . $in->text('meter');
        }
        if (in_array($in->text('monitor'), ['ok', 'reversed'], true)) {
            $said[] = 'monitor_' . $in->text('monitor');
        }

        return Word::of('evidence', ...$said);
    }

    /**
     * What the bench draws: the order the lines make, and where to swap.
     *
     * @param list<Finding> $findings
     * @return array<string, mixed>
     */
    private static function drawing(Input $in, array $findings): array
    {
        $codes = array_map(fn (Finding $f): string => $f->code, $findings);
        $loads = array_values(array_filter(array_map(
            fn (string $code): ?string => preg_match('/^(?:load_reversed|undo_load):(.*)$/', $code, $m) === 1 ? $m[1] : null,
            $codes,
        ), is_string(...)));
        $reversed = in_array('supply_reversed', $codes, true);
        $turns = match (true) {
            $reversed, $in->text('meter') === 'cba' => 'reverse',
            $in->text('meter') === 'abc', $in->text('monitor') === 'ok', in_array('proved', $codes, true) => 'forward',
            default => 'unknown',
        };

        return ['shape' => 'rotation', 'turns' => in_array('conflict', $codes, true) ? 'unknown' : $turns, 'swap_supply' => $reversed, 'swap_loads' => $loads];
    }

    /**
     * @param array<array-key, RotatingLoad> $loads
     * @return list<string>
     */
    private static function names(array $loads): array
    {
        return array_values(array_map(fn (RotatingLoad $l): string => $l->name, $loads));
    }
}
