<?php

declare(strict_types=1);

namespace IronStart\Core\Diagnose;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Moment;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * The big picture: of everything recorded on the machines of a job, the fewest causes that explain the most, what to inspect
 * for each, what to ask of sister units, and what stays off until it is done.
 *
 * @phpstan-type Fact array{at: int, machine: string, fact: string, part: string, when: Moment|null}
 * @phpstan-type Machine array{name: string, job: string, crew: string, installed: string, supply: string, checked: list<string>}
 * @phpstan-type Chosen array{cause: string, machine: string, explains: list<int>}
 * @phpstan-import-type Cause from Causes
 */
final class RootCause implements Check
{
    private const RESET_ONCE = ['breaker_tripped', 'fuse_blown'];

    public function id(): string
    {
        return 'diagnose.root_cause';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::items(
                'machines',
                Field::text('name')->structural(),
                Field::text('job'),
                Field::text('crew'),
                Field::text('installed'),
                Field::text('supply'),
                Field::words('checked', ...Causes::what()),
            )->uniqueBy('name')->needed(),
            Field::items(
                'facts',
                Field::text('machine')->structural(),
                Field::word('fact', ...Causes::facts())->structural(),
                Field::text('evidence')->structural(),
                Field::text('part'),
                Field::moment('when'),
            )->orNone()->needed(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $names = array_map(fn (Input $one): string => $one->text('name'), $in->items('machines'));
        $hasZone = null;
        foreach ($in->items('facts') as $i => $fact) {
            if ($in->given('machines') && ! in_array($fact->text('machine'), $names, true)) {
                yield new InputError("facts.$i.machine", $fact->text('machine'), implode(', ', $names), "facts.$i.machine: no unit has that name. Pick one of those above.");
            }
            $when = $fact->parsed('when');
            if ($when instanceof Moment) {
                $hasZone ??= $when->hasZone;
                if ($when->hasZone !== $hasZone) {
                    yield new InputError("facts.$i.when", $when->written, 'all with a zone, or none', "facts.$i.when: some have a zone and this one differs. Write them all alike.");

                    return;
                }
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $machines = self::machines($in);
        $facts = self::facts($in);
        $chosen = self::chosen($machines, $facts);
        $explained = array_unique(array_merge([], ...array_column($chosen, 'explains')));
        $left = array_filter($facts, fn (array $one): bool => ! in_array($one['at'], $explained, true));
        $findings = $list = $holds = [];
        foreach ($chosen as ['cause' => $name, 'machine' => $machine, 'explains' => $explains]) {
            $cause = Causes::all()[$name];
            $inspect = self::unchecked($machines[$machine], $cause['inspect']);
            $hold = self::unchecked($machines[$machine], $cause['hold']);
            $sisters = self::sisters($machines, $machines[$machine], $cause, array_column(array_filter($chosen, fn (array $one): bool => $one['cause'] === $name), 'machine'));
            $said = ['machine' => $machine, 'cause' => Word::of('root_cause', $name)];
            $others = array_values(array_diff(array_unique(array_map(fn (int $at): string => $facts[$at]['fact'], $explains)), $cause['root']));
            $findings[] = Finding::watch("cause:$name:$machine", $said + ($others === [] ? [] : ['why' => Word::of('fact', ...$others)]), $others === [] ? 'cause_alone' : 'cause');
            $findings = [...$findings, ...self::inspects($machine, $inspect)];
            $findings = [...$findings, ...self::asks($sisters)];
            $holds = [...$holds, ...array_map(fn (string $what): array => [$machine, $what], $hold)];
            $list[] = ['cause' => $name, 'machine' => $machine, 'explains' => $explains, 'inspect' => $inspect, 'sisters' => array_map(fn (array $one): string => "$one[0]:$one[1]", $sisters), 'hold' => $hold];
        }
        foreach ($left as $fact) {
            $findings[] = Finding::watch("unexplained:{$fact['machine']}:{$fact['fact']}", ['machine' => $fact['machine'], 'fact' => Word::of('fact', $fact['fact'])]);
            $findings = [...$findings, ...self::inspects($fact['machine'], self::unchecked($machines[$fact['machine']], Causes::look($fact['fact'])))];
        }
        $holds = [...$holds, ...self::must($machines, $facts)];
        $stops = [];
        foreach ($holds as [$machine, $what]) {
            $stops["$machine:$what"] = Finding::stop("hold:$machine:$what", ['machine' => $machine, 'what' => Word::of('hold', $what)]);
        }
        $resets = [];
        foreach ($facts as $fact) {
            if (in_array($fact['fact'], self::RESET_ONCE, true)) {
                $resets[$fact['machine']] = Finding::watch("reset_once:{$fact['machine']}", ['machine' => $fact['machine']]);
            }
        }
        $all = [...array_values($stops), ...array_values($resets), ...self::upstream($machines, $facts), ...self::once($findings), ...($facts === [] ? [Finding::note('nothing')] : [])];
        $counts = ['facts' => count($facts), 'explained' => count($explained), 'causes' => count($chosen), 'holds' => count($stops)];

        return new Judgement($all, array_map(fn (int $n): Value => Value::of((float) $n, '1'), $counts) + ['findings' => Value::list($list)], false, ['qualified_electrical'], $basis);
    }

    /** @return array<string, Machine> by name */
    private static function machines(Input $in): array
    {
        $machines = [];
        foreach ($in->items('machines') as $one) {
            $machines[$one->text('name')] = ['name' => $one->text('name'), 'job' => $one->text('job'), 'crew' => $one->text('crew'), 'installed' => $one->text('installed'), 'supply' => $one->text('supply'), 'checked' => $one->words('checked')];
        }

        return $machines;
    }

    /** @return array<int, Fact> the first of each machine, fact and part, by its place */
    private static function facts(Input $in): array
    {
        $facts = $seen = [];
        foreach ($in->items('facts') as $i => $one) {
            $key = implode("\n", [$one->text('machine'), $one->text('fact'), mb_strtolower(trim($one->text('part')))]);
            if (! in_array($key, $seen, true)) {
                $seen[] = $key;
                $when = $one->parsed('when');
                $facts[$i] = ['at' => $i, 'machine' => $one->text('machine'), 'fact' => $one->text('fact'), 'part' => $one->text('part'), 'when' => $when instanceof Moment ? $when : null];
            }
        }

        return $facts;
    }

    /**
     * Again and again the cause that explains most of what is not yet explained, until none explains more.
     *
     * @param array<string, Machine> $machines
     * @param array<int, Fact> $facts
     * @return list<Chosen>
     */
    private static function chosen(array $machines, array $facts): array
    {
        $possible = [];
        foreach (Causes::all() as $name => $cause) {
            foreach (array_keys($machines) as $machine) {
                $explains = self::explains($cause, array_filter($facts, fn (array $one): bool => $one['machine'] === (string) $machine));
                if ($explains !== []) {
                    $possible[] = ['cause' => $name, 'machine' => (string) $machine, 'explains' => $explains];
                }
            }
        }
        $chosen = [];
        $done = [];
        do {
            $best = null;
            $most = 0;
            foreach ($possible as $one) {
                $new = array_diff($one['explains'], $done);
                $with = Causes::all()[$one['cause']]['with'];
                $isOpen = $with === [] || array_filter($new, fn (int $at): bool => in_array($facts[$at]['fact'], $with, true)) !== [];
                if ($isOpen && count($new) > $most) {
                    [$best, $most] = [$one, count($new)];
                }
            }
            if ($best !== null) {
                $chosen[] = $best;
                $done = [...$done, ...$best['explains']];
            }
        } while ($best !== null);

        return $chosen;
    }

    /**
     * @param Cause $cause
     * @param array<int, Fact> $facts of one machine
     * @return list<int> places of the facts it explains there; none where it is not possible
     */
    private static function explains(array $cause, array $facts): array
    {
        $roots = array_filter($facts, fn (array $one): bool => in_array($one['fact'], $cause['root'], true));
        if ($roots === []) {
            return [];
        }
        $began = null;
        foreach ($roots as $root) {
            $began = $root['when'] !== null && ($began === null || $root['when']->until($began) > 0) ? $root['when'] : $began;
        }
        $after = array_filter($facts, fn (array $one): bool => in_array($one['fact'], [...$cause['with'], ...$cause['explains']], true) && ($began === null || $one['when'] === null || $began->until($one['when']) >= 0));
        if ($cause['with'] !== [] && array_filter($after, fn (array $one): bool => in_array($one['fact'], $cause['with'], true)) === []) {
            return [];
        }
        $at = array_keys($roots + $after);
        sort($at);

        return $at;
    }

    /**
     * Units of one job set by one crew or on one day, or of which neither is known; for an electric cause those of one supply too.
     *
     * @param array<string, Machine> $machines
     * @param Machine $of
     * @param Cause $cause
     * @param list<string> $have units with the same cause, which need no asking
     * @return list<array{string, string}> sister and what to look at
     */
    private static function sisters(array $machines, array $of, array $cause, array $have): array
    {
        $found = [];
        foreach ($machines as $other) {
            $isSister = self::areSisters($of, $other) || ($cause['electric'] && $of['supply'] !== '' && $of['supply'] === $other['supply']);
            if ($other['name'] !== $of['name'] && $isSister && ! in_array($other['name'], $have, true)) {
                $found = [...$found, ...array_map(fn (string $what): array => [$other['name'], $what], self::unchecked($other, $cause['sisters']))];
            }
        }

        return $found;
    }

    /**
     * @param Machine $one
     * @param Machine $other
     */
    private static function areSisters(array $one, array $other): bool
    {
        if ($one['job'] === '' || $one['job'] !== $other['job']) {
            return false;
        }
        $stated = array_filter(['crew', 'installed'], fn (string $what): bool => $one[$what] !== '' && $other[$what] !== '');

        return $stated === [] || array_filter($stated, fn (string $what): bool => $one[$what] === $other[$what]) !== [];
    }

    /**
     * What a fact holds, whatever explains it.
     *
     * @param array<string, Machine> $machines
     * @param array<int, Fact> $facts
     * @return list<array{string, string}> machine and what
     */
    private static function must(array $machines, array $facts): array
    {
        $holds = [];
        foreach ($facts as $fact) {
            $machine = $machines[$fact['machine']];
            // With the dead compressor cut off, its acid waits for the change.
            $isApart = $fact['fact'] === 'acid' && in_array('compressor_isolated', $machine['checked'], true);
            $holds = [...$holds, ...array_map(fn (string $what): array => [$fact['machine'], $what], $isApart ? [] : self::unchecked($machine, Causes::must($fact['fact'])))];
        }

        return $holds;
    }

    /**
     * One fault upstream, and the same fault on sisters.
     *
     * @param array<string, Machine> $machines
     * @param array<int, Fact> $facts
     * @return list<Finding>
     */
    private static function upstream(array $machines, array $facts): array
    {
        $have = [];
        foreach ($facts as $fact) {
            $have[$fact['fact']][$fact['machine']] = $machines[$fact['machine']];
        }
        $feeders = $patterns = [];
        foreach (array_intersect_key(Causes::feeder(), $have) as $fact => $shows) {
            foreach (array_unique(array_filter(array_column($have[$fact], 'supply'), fn (string $one): bool => $one !== '')) as $supply) {
                $fed = array_filter($machines, fn (array $one): bool => $one['supply'] === $supply);
                $with = array_intersect_key($have[$fact], $fed);
                $isGood = array_filter(array_diff_key($fed, $with), fn (array $one): bool => in_array($shows, $one['checked'], true)) !== [];
                if (count($with) > 1 && ! $isGood) {
                    $feeders[$supply] ??= Finding::watch("feeder:$supply", ['supply' => $supply, 'count' => count($with), 'fact' => Word::of('fact', $fact)]);
                }
            }
        }
        foreach ($have as $fact => $those) {
            foreach ($those as $one) {
                foreach ($those as $other) {
                    if ($one['name'] !== $other['name'] && self::areSisters($one, $other)) {
                        $patterns[$fact] ??= Finding::watch("pattern:$fact", ['fact' => Word::of('fact', $fact), 'count' => count($those)]);
                    }
                }
            }
        }

        return [...array_values($feeders), ...array_values($patterns)];
    }

    /**
     * @param list<string> $what
     * @return list<Finding>
     */
    private static function inspects(string $machine, array $what): array
    {
        return [
            ...($what === [] ? [] : [Finding::note('look', ['machine' => $machine, 'what' => Word::of('what', ...$what)])]),
            ...array_map(fn (string $one): Finding => Finding::clear("inspect:$machine:$one", [], 'quiet'), $what),
        ];
    }

    /**
     * @param list<array{string, string}> $sisters
     * @return list<Finding>
     */
    private static function asks(array $sisters): array
    {
        $of = $findings = [];
        foreach ($sisters as [$sister, $what]) {
            $of[$sister][] = $what;
            $findings[] = Finding::clear("sister:$sister:$what", [], 'quiet');
        }
        foreach ($of as $sister => $what) {
            $findings[] = Finding::note('ask', ['machine' => (string) $sister, 'what' => Word::of('what', ...$what)]);
        }

        return $findings;
    }

    /**
     * @param Machine $machine
     * @param list<string> $what
     * @return list<string>
     */
    private static function unchecked(array $machine, array $what): array
    {
        return array_values(array_diff($what, $machine['checked']));
    }

    /**
     * What two causes want is asked once.
     *
     * @param list<Finding> $findings
     * @return list<Finding>
     */
    private static function once(array $findings): array
    {
        $once = [];
        foreach ($findings as $finding) {
            $once[$finding->note ? count($once) : $finding->code] ??= $finding;
        }

        return array_values($once);
    }
}
