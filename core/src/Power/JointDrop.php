<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * Which joint runs hot: volts across a joint under load times the amps through it is heat in that joint, told for the
 * amps it carries at full load.
 *
 * Limits: a contact that drops 0.12 V softens its copper whatever the current, so millivolts and watts must both be over;
 * acceptance testing looks into any joint over 1.5 times its like; fuses and poles have an element of their own.
 */
final class JointDrop implements Check
{
    /** place => mV and W of a watch, mV and W of a stop */
    private const LIMITS = [
        'lug' => [[30.0, 1.0], [100.0, 3.0]],
        'splice' => [[30.0, 1.0], [100.0, 3.0]],
        'contact' => [[100.0, 2.0], [200.0, 5.0]],
        'fuse' => [[200.0, 3.0], [350.0, 6.0]],
        'pole' => [[200.0, 3.0], [350.0, 6.0]],
    ];
    /** V; no closed joint drops as much. */
    private const NO_JOINT = 5.0;
    private const LEAST_AMPS = 1.0;
    private const SHARE_OF_AMPS = 0.05;
    /** mV; a probe that is not through the oxide reads less. */
    private const NO_READING = 0.05;
    private const UNEVEN = [1.5, 1.0];
    private const FAR_UNEVEN = [5.0, 2.0];
    /** What the readings of one joint may be off by, and their ratio. */
    private const METER = 0.025;
    private const OF_RATIO = 0.015;

    public function id(): string
    {
        return 'power.drop';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::flag('running')->needed(),
            Field::items(
                'items',
                Field::text('name')->structural(),
                Field::word('place', ...array_map(strval(...), array_keys(self::LIMITS)))->structural(),
                Field::word('leg', 'a', 'b', 'c')->structural(),
                Field::volts('drop')->startsIn('mV')->needed(),
                Field::amps('amps')->needed(),
                Field::amps('full_amps')->positive()->readWith(null),
            )->needed(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $seen = [];
        foreach ($in->items('items') as $i => $item) {
            $joint = "{$item->text('name')}\0{$item->text('place')}\0{$item->text('leg')}";
            if (isset($seen[$joint])) {
                yield InputError::at("items.$i.leg", $item->text('leg'), 'a leg that is not there yet', 'is there already for this joint');
            }
            $seen[$joint] = true;
        }
    }

    public function judge(Input $in): Judgement
    {
        if (! $in->flag('running')) {
            return $this->judgement($in->given('running') ? [Finding::open('not_running')] : Missing::in($in), []);
        }
        $items = $in->items('items');
        $values = $joints = $known = [];
        foreach ($items as $i => $item) {
            if (! $item->all('drop', 'amps')) {
                continue;
            }
            $most = max([0.0, ...array_map(fn (Input $one): float => $one->text('name') === $item->text('name') ? $one->maybe('amps') ?? 0.0 : 0.0, $items)]);
            $found = self::unreadable($item, $most);
            if ($found === null) {
                $joints[$i] = $item;
            } else {
                $known[$i] = $found;
            }
        }
        $ratios = [];
        foreach ($joints as $i => $joint) {
            $others = array_map(self::ohms(...), array_filter($joints, fn (Input $one, int $k): bool => $k !== $i && self::isLike($one, $joint), ARRAY_FILTER_USE_BOTH));
            $ratios[$i] = $others === [] || min($others) <= 0.0 ? null : self::ohms($joint) / min($others);
            $values["items.$i.watts"] = Value::of(self::watts($joint), 'W');
            $values["items.$i.ohms"] = Value::of(self::ohms($joint), 'ohm');
            if ($ratios[$i] !== null) {
                $values["items.$i.ratio"] = Value::of($ratios[$i], '1');
            }
        }
        $judged = fn (int $which, float $more, float $moreRatio): array => self::each($items, $joints, $known, $ratios, $which, $more, $moreRatio);
        $findings = [...Missing::in($in), ...$judged(-1, 1.0, 1.0)];
        $status = Judgement::worst($findings);
        $isMarginal = false;
        foreach (array_keys($joints) as $i) {
            foreach ([[1 + self::METER, 1.0], [1 - self::METER, 1.0], [1.0, 1 + self::OF_RATIO], [1.0, 1 - self::OF_RATIO]] as [$more, $moreRatio]) {
                $isMarginal = $isMarginal || Judgement::worst([...Missing::in($in), ...$judged($i, $more, $moreRatio)]) !== $status;
            }
        }
        $hottest = self::hottest($joints);
        if ($hottest !== null) {
            $values['watts'] = Value::of(self::watts($hottest), 'W');
            $values['hottest'] = Value::text("{$hottest->text('name')}:{$hottest->text('leg')}");
            if ($status === Status::Clear) {
                $findings = [Finding::note('cool', ['joint' => $hottest->text('name'), 'leg' => self::leg($hottest), 'watts' => Said::watts(self::watts($hottest))])];
            }
        }

        return $this->judgement($findings, $values, $isMarginal);
    }

    /**
     * @param list<Input>         $items
     * @param array<int, Input>   $joints
     * @param array<int, Finding> $known
     * @param array<int, ?float>  $ratios
     * @return list<Finding> in the order of the list
     */
    private static function each(array $items, array $joints, array $known, array $ratios, int $which, float $more, float $moreRatio): array
    {
        $findings = [];
        foreach (array_keys($items) as $i) {
            if (isset($known[$i])) {
                $findings[] = $known[$i];
            } elseif (isset($joints[$i])) {
                $findings = [...$findings, ...self::judged($joints[$i], $ratios[$i], $i === $which ? $more : 1.0, $i === $which ? $moreRatio : 1.0)];
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function judged(Input $joint, ?float $ratio, float $more, float $moreRatio): array
    {
        [$mV, $watts] = [1e3 * self::volts($joint) * $more, self::watts($joint) * $more];
        [$watch, $stop] = self::LIMITS[$joint->text('place')];
        $isOver = fn (array $limit): bool => Limit::over($mV, $limit[0]) && Limit::over($watts, $limit[1]);
        $of = "{$joint->text('name')}:{$joint->text('leg')}";
        $said = ['joint' => $joint->text('name'), 'leg' => self::leg($joint)];
        $heat = $said + ['watts' => Said::watts($watts), 'drop' => Said::millivolts($mV)];
        $found = match (true) {
            $isOver($stop) => [Finding::stop("hot:$of", $heat)],
            $isOver($watch) => [Finding::watch("warm:$of", $heat)],
            default => [],
        };
        if ($ratio === null) {
            return $found === [] && ! $joint->given('full_amps') ? [Finding::watch("alone:$of", $said)] : $found;
        }
        $ratio *= $moreRatio;
        $isUneven = (Limit::over($ratio, self::UNEVEN[0]) && Limit::over($watts, self::UNEVEN[1])) || (Limit::over($ratio, self::FAR_UNEVEN[0]) && Limit::over(1e3 * $joint->number('drop') * $more, self::FAR_UNEVEN[1]));

        return $isUneven ? [...$found, Finding::watch("uneven:$of", $said + ['times' => Said::number($ratio, 1)])] : $found;
    }

    /** What is no reading of a joint that carries. */
    private static function unreadable(Input $item, float $most): ?Finding
    {
        [$name, $leg, $place] = [$item->text('name'), $item->text('leg'), $item->text('place')];
        $said = ['joint' => $name, 'leg' => self::leg($item)];
        if (Limit::over($item->number('drop'), self::NO_JOINT)) {
            $isOpen = Limit::under($item->number('amps'), max(self::LEAST_AMPS, self::SHARE_OF_AMPS * $most));
            $open = $place === 'fuse' ? 'open_fuse' : 'open_pole';

            return $isOpen ? Finding::stop("$open:$name:$leg", $said) : Finding::open("wrong_points:$name:$leg", $said);
        }

        return match (true) {
            Limit::under($item->number('amps'), self::LEAST_AMPS) => Finding::open("no_current:$name:$leg", $said),
            Limit::under(1e3 * $item->number('drop'), self::NO_READING) => Finding::open("no_reading:$name:$leg", $said),
            default => null,
        };
    }

    /** @param array<int, Input> $joints */
    private static function hottest(array $joints): ?Input
    {
        $hottest = null;
        foreach ($joints as $joint) {
            $hottest = $hottest === null || self::watts($joint) > self::watts($hottest) ? $joint : $hottest;
        }

        return $hottest;
    }

    private static function isLike(Input $one, Input $other): bool
    {
        return $one->text('name') === $other->text('name') && $one->text('place') === $other->text('place');
    }

    private static function ohms(Input $joint): float
    {
        return $joint->number('drop') / $joint->number('amps');
    }

    private static function carries(Input $joint): float
    {
        return max($joint->number('amps'), $joint->maybe('full_amps') ?? 0.0);
    }

    /** V at the amps it carries at full load. */
    private static function volts(Input $joint): float
    {
        return self::ohms($joint) * self::carries($joint);
    }

    private static function watts(Input $joint): float
    {
        return self::ohms($joint) * self::carries($joint) ** 2;
    }

    private static function leg(Input $joint): Word
    {
        return Word::of('line', $joint->text('leg'));
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values, bool $isMarginal = false): Judgement
    {
        return new Judgement($findings, $values, $isMarginal, [...Caution::LIVE, 'rotating_parts'], [Finding::note('basis')]);
    }
}
