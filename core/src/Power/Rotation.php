<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * Whether everything turns the right way, and where the one place is to mend it.
 *
 * The evidence: the rotation meter at the unit's terminals, the phase monitor, and every load that passes the
 * order of the lines on to its shaft. Loads behind a drive, electronic and single-phase ones take no part; a
 * reciprocating compressor pumps either way.
 */
final class Rotation implements Check
{
    public function id(): string
    {
        return 'power.rotation';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::word('meter', 'abc', 'cba', 'none')->default('none'),
            Field::word('monitor', 'ok', 'reversed', 'phase_lost', 'unbalance', 'none')->default('none'),
            Field::flag('meter_confirmed'),
            Field::items(
                'loads',
                Field::text('name')->structural(),
                Field::word('kind', 'scroll', 'screw', 'reciprocating', 'blower', 'condenser_fan', 'pump')->structural(),
                Field::word('drive', 'across_line', 'soft_starter', 'part_winding', 'inverter', 'ecm', 'single_phase')->structural(),
                Field::word('observed', 'correct', 'backwards', 'not_run')->default('not_run'),
                Field::flag('pressure_moved'),
                Field::word('noise', 'normal', 'loud'),
                Field::number('amps_ratio', 0, 20),
                Field::amps('amps'),
                Field::amps('plate_amps')->positive(),
                Field::quantity('hours_backwards', Kind::Time, 'h', 0),
                Field::words('checked', 'windings', 'insulation', 'oil_acid', 'amps_pressures'),
            )->uniqueBy('name'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('loads') as $load) {
            if ($load->all('amps_ratio', 'amps', 'plate_amps')) {
                yield InputError::at("{$load->path}amps_ratio", $load->number('amps_ratio'), 'either the ratio, or amps and plate amps', 'is given beside amps and plate amps');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $loads = array_map(RotatingLoad::read(...), $in->items('loads'));
        $forward = $in->text('meter') === 'abc' || $in->text('monitor') === 'ok';
        foreach ($loads as $load) {
            $load->settle($forward);
        }
        $findings = $in->text('monitor') === 'phase_lost'
            ? [Finding::stop('phase_lost')]
            : self::inOrder($this->decide($in, $loads, $forward), self::added($in, $loads));
        $sensitive = array_filter($loads, fn (RotatingLoad $l): bool => $l->sensitive);
        $values = [
            'sensitive_loads' => Value::list(self::names($sensitive)),
            'backwards_loads' => Value::list(self::names(array_filter($sensitive, fn (RotatingLoad $l): bool => $l->turns === Turning::Backwards))),
            'insensitive_loads' => Value::list(self::names(array_filter($loads, fn (RotatingLoad $l): bool => ! $l->sensitive))),
        ];
        $cautions = ['qualified_electrical', 'arc_flash', 'lockout', 'live_rotation_swap', 'rotating_parts'];
        if (array_filter($findings, fn (Finding $f): bool => $f->phrase === 'drive_reversed') !== []) {
            $cautions[] = 'stored_energy';
        }

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')], self::drawing($in, $findings));
    }

    /**
     * What stops the supply is told first; else what is owed besides comes before what is proved so far.
     *
     * @param list<Finding> $decided
     * @param list<Finding> $added
     * @return list<Finding>
     */
    private static function inOrder(array $decided, array $added): array
    {
        return Judgement::worst($decided) === Status::Stop ? [...$decided, ...$added] : [...$added, ...$decided];
    }

    /**
     * The decision on the supply, in the order in which the evidence excludes things.
     *
     * @param list<RotatingLoad> $loads
     * @return list<Finding>
     */
    private function decide(Input $in, array $loads, bool $forward): array
    {
        $reverse = $in->text('meter') === 'cba' || $in->text('monitor') === 'reversed';
        $told = self::told($in);
        if ($forward && $reverse) {
            return [Finding::stop('conflict', [], 'conflict_instruments')];
        }
        $sensitive = array_values(array_filter($loads, fn (RotatingLoad $l): bool => $l->sensitive));
        $clash = array_values(array_filter($sensitive, fn (RotatingLoad $l): bool => $l->clash));
        if ($clash !== []) {
            return [Finding::stop('conflict', ['name' => $clash[0]->name], 'conflict_load')];
        }
        $by = fn (Turning $turning): array => array_values(array_filter($sensitive, fn (RotatingLoad $l): bool => $l->turns === $turning));
        [$back, $good, $unknown] = [$by(Turning::Backwards), $by(Turning::Correct), $by(Turning::Unknown)];

        return match (true) {
            $forward => self::forward($in, $loads, $back, $good, $unknown, $told),
            $reverse => self::reverse($in, $back, $good, $unknown, $told),
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
            return [self::proof($loads, $good, $unknown, $told)];
        }
        $confirmed = $in->text('meter') === 'abc' && $in->flag('meter_confirmed');
        if ($good === [] && ! $confirmed) {
            return [Finding::stop('conflict', ['evidence' => $told, 'names' => self::names($back)], 'conflict_forward')];
        }
        $findings = [];
        foreach ($back as $load) {
            $findings = [...$findings, Finding::stop("load_reversed:$load->name", ['name' => $load->name, 'evidence' => $told]), ...self::lineSide($load)];
        }
        if ($good === [] && count($back) > 1) {
            array_unshift($findings, Finding::stop('inside_swap', ['names' => self::names($back)]));
        }

        return $findings;
    }

    /**
     * @param list<RotatingLoad> $back
     * @param list<RotatingLoad> $good
     * @param list<RotatingLoad> $unknown
     * @return list<Finding>
     */
    private static function reverse(Input $in, array $back, array $good, array $unknown, Word $told): array
    {
        if ($good !== [] && $back === []) {
            $each = $in->text('meter') === 'cba' && $in->flag('meter_confirmed') && $in->text('monitor') !== 'reversed' && $unknown === [];

            return $each
                ? [Finding::watch('proved', [], 'proved_each_swapped'), Finding::watch('all_swapped', ['names' => self::names($good)])]
                : [Finding::stop('conflict', ['evidence' => $told, 'names' => self::names($good)], 'conflict_reverse')];
        }
        $phrase = $back === [] ? 'supply_reversed_terminals' : ($good === [] ? 'supply_reversed' : 'supply_reversed_but');
        $params = match ($phrase) {
            'supply_reversed_terminals' => ['evidence' => $told],
            'supply_reversed' => ['evidence' => $told, 'names' => self::names($back)],
            default => ['evidence' => $told, 'names' => self::names($back), 'others' => self::names($good)],
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
        if ($back !== []) {
            return $good === [] && $unknown === []
                ? [Finding::stop('supply_reversed', ['names' => self::names($back)], 'supply_reversed_loads')]
                : [Finding::stop('needs_meter', ['names' => self::names($back)])];
        }
        if ($good !== [] || ($unknown === [] && $loads !== [])) {
            return [self::proof($loads, $good, $unknown, Word::of('evidence', 'wheels'))];
        }

        return [Missing::at('meter')];
    }

    /**
     * Nothing turns backwards: how far that is proved.
     *
     * @param list<RotatingLoad> $loads
     * @param list<RotatingLoad> $good
     * @param list<RotatingLoad> $unknown
     */
    private static function proof(array $loads, array $good, array $unknown, Word $told): Finding
    {
        $params = ['evidence' => $told];

        return match (true) {
            $loads === [] => Finding::watch('terminals_only', $params, 'terminals_alone'),
            $good === [] && $unknown === [] => Finding::clear('no_sensitive_loads'),
            $unknown === [] => Finding::clear('proved', $params + ['names' => self::names($good)]),
            $good === [] => Finding::watch('terminals_only', $params + ['names' => self::names($unknown)]),
            default => Finding::watch('partly_proved', ['names' => self::names($good), 'others' => self::names($unknown)]),
        };
    }

    /**
     * What is said besides, whatever the decision on the supply.
     *
     * @param list<RotatingLoad> $loads
     * @return list<Finding>
     */
    private static function added(Input $in, array $loads): array
    {
        $findings = [];
        foreach ($loads as $load) {
            $name = ['name' => $load->name];
            if ($load->driveReversed()) {
                $findings[] = Finding::stop("drive_reversed:$load->name", $name);
            }
            if ($load->sensitive && $load->suspect) {
                $findings[] = Finding::stop("suspect:$load->name", $name);
            }
            if ($load->kind === 'reciprocating' && $load->onTheLine && $load->observed === 'backwards') {
                $findings[] = Finding::watch("oil_pump:$load->name", $name);
            }
            if ($load->awaitsProof()) {
                $findings[] = Finding::watch("after_reversal:$load->name", $name + ['minutes' => Said::minutes(($load->secondsBackwards ?? 0) / 60), 'checks' => Word::of('proof', ...$load->unproved())]);
            }
            if ($load->isRotary() && $load->turns === Turning::Backwards && $load->secondsBackwards === null) {
                $findings[] = Finding::note('ask_hours', $name);
            }
        }
        if ($in->text('monitor') === 'unbalance') {
            $findings[] = Finding::watch('monitor_unbalance');
        }

        return $findings;
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

        return ['turns' => in_array('conflict', $codes, true) ? 'unknown' : $turns, 'swap_supply' => $reversed, 'swap_loads' => $loads];
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
