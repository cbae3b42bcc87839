<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Input;
use IronStart\Core\Verdict\Limit;

/** The points a call goes along, from the source's hot side to the coil's: which are live, and where volts are lost. */
final readonly class Path
{
    /** Share of the source under which a point is dead. */
    public const DEAD = 0.2;

    public ?int $firstDead;
    /** @var list<int> places of the points before the first dead one */
    public array $live;

    /** @param list<Input> $points @param float $source V at the first one */
    public function __construct(private array $points, float $source)
    {
        $dead = array_keys(array_filter($points, fn (Input $point): bool => Limit::under($point->number('volts'), self::DEAD * $source)));
        $this->firstDead = $dead[0] ?? null;
        $this->live = array_keys(array_slice($points, 0, $this->firstDead ?? count($points)));
    }

    public function lastLive(): string
    {
        return $this->points[count($this->live) - 1]->text('name');
    }

    /** @return list<array{float, string}> V lost from each live point to the next, and the later one's name */
    public function drops(): array
    {
        $drops = [];
        foreach (array_slice($this->live, 1) as $i) {
            $drops[] = [$this->points[$i - 1]->number('volts') - $this->points[$i]->number('volts'), $this->points[$i]->text('name')];
        }

        return $drops;
    }

    /** @return array{float, string}|null the largest of them, the first of several */
    public function largestDrop(): ?array
    {
        $largest = null;
        foreach ($this->drops() as $drop) {
            $largest = $largest === null || $drop[0] > $largest[0] ? $drop : $largest;
        }

        return $largest;
    }
}
