<?php

declare(strict_types=1);

namespace IronStart\Core\Plan;

use IronStart\Core\Gate\Job;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Sheet\EquipmentSheet;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Said;

/**
 * What a job needs on the van, from its questions, its facts and the equipment sheets of its units: made the day before,
 * ticked off, and home again. Each thing stands once, however many units ask for it.
 */
final class BringList
{
    private const SURVEY = 1;
    private const OLD_UNIT_OUT = 2;
    /** On the job where a circuit is opened, with Pipe and Tight before it. */
    private const DRY = 6;

    /** @var array<string, BringItem> */
    private array $items = [];

    /** @param list<array{job: Job, sheet: EquipmentSheet}> $units */
    private function __construct(private readonly array $units)
    {
    }

    /**
     * @param list<array{job: Job, sheet: EquipmentSheet}> $units each machine's job, with its own facts, and its sheet
     * @return list<BringItem> by group
     */
    public static function of(array $units): array
    {
        $list = new self($units);
        if ($units === []) {
            return [];
        }
        $list->safety();
        $list->meters();
        $list->refrigerant();
        $list->tools();
        $list->parts();
        $list->papers();

        return array_values($list->items);
    }

    private function safety(): void
    {
        $this->add(BringGroup::Safety, 'locks', true, ['count' => count($this->units)]);
        $this->add(BringGroup::Safety, 'extinguisher', $this->isBrazed());
        $this->add(BringGroup::Safety, 'fall', $this->isFact('on_roof', 'craned') || $this->isAsked(self::SURVEY));
    }

    private function meters(): void
    {
        $this->add(BringGroup::Meters, 'tester');
        $this->add(BringGroup::Meters, 'rotation');
        $this->add(BringGroup::Meters, 'megohmmeter', $this->isFact('tripped', 'ran_reversed', 'failed_compressor', 'sister_fault') || $this->any(fn (Job $job): bool => $job->isCompressorChange()));
        $this->add(BringGroup::Meters, 'clamp');
        $this->add(BringGroup::Meters, 'psychrometer');
        $this->add(BringGroup::Meters, 'manometer');
        $this->add(BringGroup::Meters, 'analyzer', $this->isFact('gas_heat'));
        $this->add(BringGroup::Meters, 'micron', $this->isAsked(self::DRY));
    }

    private function refrigerant(): void
    {
        $names = $this->refrigerants();
        $all = ['refrigerants' => implode(', ', array_keys($names))];
        $this->add(BringGroup::Refrigerant, 'hoses', $names !== [], $all);
        $this->add(BringGroup::Refrigerant, 'leak', $names !== [], $all);
        $this->add(BringGroup::Refrigerant, 'recovery', $this->isAsked(self::OLD_UNIT_OUT));
        $this->add(BringGroup::Refrigerant, 'nitrogen', $this->isAsked(self::DRY));
        $this->add(BringGroup::Refrigerant, 'scale', $this->isAsked(self::OLD_UNIT_OUT) || $this->isAsked(self::DRY));
        foreach ($names as $name => $charge) {
            $this->add(BringGroup::Refrigerant, $charge > 0.0 ? 'virgin_of' : 'virgin', $this->isAsked(self::DRY), ['refrigerant' => $name, 'charge' => Said::charge($charge)], $name);
            $this->add(BringGroup::Refrigerant, 'burns', Refrigerant::named($name)?->isFlammable() === true, ['refrigerant' => $name], $name);
        }
    }

    private function tools(): void
    {
        foreach ($this->told('electrical.lug_torque') as $torque) {
            $read = is_scalar($torque) ? Quantity::parse((string) $torque, Kind::Torque) : null;
            if ($read !== null) {
                $this->add(BringGroup::Tools, 'torque', true, ['torque' => Said::torque($read->canonical)], (string) $read->canonical);
            }
        }
        $this->add(BringGroup::Tools, 'torch', $this->isBrazed());
        $this->add(BringGroup::Tools, 'flaring', $this->isFact('flares'));
        $this->add(BringGroup::Tools, 'radios', $this->isFact('craned'));
        foreach ($this->told('tools') as $tools) {
            foreach (is_array($tools) ? $tools : [] as $tool) {
                $this->add(BringGroup::Tools, 'tool', is_string($tool), ['what' => $tool], is_string($tool) ? $tool : '');
            }
        }
    }

    private function parts(): void
    {
        foreach ($this->told('electrical.mocp') as $amps) {
            $read = is_scalar($amps) ? Quantity::parse((string) $amps, Kind::Current) : null;
            if ($read !== null) {
                $this->add(BringGroup::Parts, 'fuses', true, ['amps' => Said::amps($read->canonical)], (string) $read->canonical);
            }
        }
        foreach ($this->counted('air.filters', 'size') as $size => $count) {
            $this->add(BringGroup::Parts, 'filters', true, ['count' => $count, 'size' => $size], (string) $size);
        }
        $this->add(BringGroup::Parts, 'belts', $this->isFact('belt'));
        $this->add(BringGroup::Parts, 'drier', $this->isAsked(self::DRY));
        foreach ($this->counted('kit', 'what') as $what => $count) {
            $this->add(BringGroup::Parts, 'kit', true, ['count' => $count, 'what' => $what], (string) $what);
        }
    }

    private function papers(): void
    {
        $this->add(BringGroup::Papers, 'keys');
        $this->add(BringGroup::Papers, 'crane_permit', $this->isFact('craned'));
        $this->add(BringGroup::Papers, 'hot_work', $this->isBrazed());
        foreach ($this->told('papers') as $papers) {
            foreach (is_array($papers) ? $papers : [] as $paper) {
                $title = is_array($paper) && is_string($paper['title'] ?? null) ? $paper['title'] : '';
                $this->add(BringGroup::Papers, 'paper', $title !== '', ['title' => $title], $title);
            }
        }
    }

    /** @param array<string, mixed> $params */
    private function add(BringGroup $group, string $what, bool $isNeeded = true, array $params = [], string $which = ''): void
    {
        if ($isNeeded) {
            $id = $which === '' ? $what : "$what:$which";
            $this->items[$id] ??= new BringItem($group, $id, Finding::note($what, $params));
        }
    }

    /** @param \Closure(Job): bool $is */
    private function any(\Closure $is): bool
    {
        foreach ($this->units as $unit) {
            if ($is($unit['job'])) {
                return true;
            }
        }

        return false;
    }

    private function isAsked(int $gate): bool
    {
        return $this->any(fn (Job $job): bool => in_array($gate, $job->gates, true));
    }

    private function isFact(string ...$facts): bool
    {
        return $this->any(fn (Job $job): bool => $job->fact(...$facts));
    }

    private function isBrazed(): bool
    {
        return $this->any(fn (Job $job): bool => in_array(self::DRY, $job->gates, true) && ! $job->fact('no_brazing'));
    }

    /** @return array<string, float> what the units hold, each with the factory charges of all circuits, kg */
    private function refrigerants(): array
    {
        $held = [];
        foreach ($this->units as $unit) {
            foreach ($unit['sheet']->circuits() as $circuit) {
                $of = fn (string $figure): string => is_scalar($told = $unit['sheet']->figure("circuit.$figure", "circuit:{$circuit['name']}")) ? (string) $told : '';
                if ($of('refrigerant') !== '') {
                    $held[$of('refrigerant')] = ($held[$of('refrigerant')] ?? 0.0) + ($of('factory_charge') === '' ? 0.0 : Quantity::parse($of('factory_charge'), Kind::Mass)->canonical ?? 0.0);
                }
            }
        }

        return $held;
    }

    /** @return list<mixed> what the sheets say of a figure, null where one says nothing */
    private function told(string $figure): array
    {
        return array_map(fn (array $unit): mixed => $unit['sheet']->figure($figure, 'machine'), $this->units);
    }

    /** @return array<string, int> how many of each over all units */
    private function counted(string $figure, string $name): array
    {
        $count = [];
        foreach ($this->told($figure) as $rows) {
            foreach (is_array($rows) ? $rows : [] as $row) {
                $called = is_array($row) ? $row[$name] ?? null : null;
                if (is_string($called)) {
                    $count[$called] = ($count[$called] ?? 0) + (is_numeric($row['count'] ?? null) ? (int) $row['count'] : 1);
                }
            }
        }

        return $count;
    }
}
