<?php

declare(strict_types=1);

namespace IronStart\Core\Logger;

use IronStart\Core\Verdict\Limit;

/**
 * What a logger's file holds: its readings in order of time, and everything about it that is not plain.
 *
 * @phpstan-type Point array{seconds: float, values: non-empty-list<float>}
 */
final readonly class Series
{
    /**
     * @param list<Point> $points seconds from the first reading, values in the units they were read in, as mapped
     * @param float|null $startsAt seconds since 1970 of the first; null where no day is written
     * @param float $every s that most readings lie apart
     * @param list<array{from: float, to: float}> $gaps minutes from the first reading
     * @param list<array{line: int, cell: string}> $unread the first of those that are no figure
     * @param int $duplicates readings at a time that was there already: the first counts
     * @param int $midnights times of day that went past midnight
     */
    public function __construct(
        public array $points,
        public ?float $startsAt,
        public float $every,
        public array $gaps,
        public array $unread,
        public int $unreadCount,
        public int $duplicates,
        public int $blanks,
        public int $midnights,
    ) {
    }

    /**
     * Between two minutes of it, the first reading there at zero.
     *
     * @param float|null $to min; null: to its end
     */
    public function between(float $from, ?float $to): self
    {
        $points = array_values(array_filter($this->points, fn (array $p): bool => ! Limit::under($p['seconds'], 60 * $from) && ($to === null || ! Limit::over($p['seconds'], 60 * $to))));
        $first = $points[0]['seconds'] ?? 0.0;

        return new self(
            array_map(fn (array $p): array => ['seconds' => $p['seconds'] - $first, 'values' => $p['values']], $points),
            $this->startsAt === null ? null : $this->startsAt + $first,
            $this->every,
            $this->gaps,
            $this->unread,
            $this->unreadCount,
            $this->duplicates,
            $this->blanks,
            $this->midnights,
        );
    }

    /**
     * As many of its readings as asked, evenly over the time, with the first, the last, the highest and the lowest: every
     * one of them was read, none is an average.
     *
     * @param int $most 4 or more
     * @return list<Point>
     */
    public function thinned(int $most): array
    {
        $count = count($this->points);
        if ($count <= $most) {
            return $this->points;
        }
        $kept = [0 => true, $count - 1 => true];
        foreach ($this->extremes() as $i) {
            $kept[$i] = true;
        }
        $end = $this->points[$count - 1]['seconds'];
        $steps = $most - count($kept);
        $at = 0;
        for ($step = 1; $step <= $steps; $step++) {
            $wanted = $end * $step / ($steps + 1);
            // The last one lies at the end, past everything that is wanted.
            while (Limit::under($this->points[$at]['seconds'], $wanted)) {
                $at++;
            }
            $kept[$at] = true;
        }
        ksort($kept);

        return array_map(fn (int $i): array => $this->points[$i], array_keys($kept));
    }

    /** @return list<int> places of the highest and lowest of the first reading */
    private function extremes(): array
    {
        $read = array_map(fn (array $point): float => $point['values'][0], $this->points);
        asort($read);

        return [(int) array_key_last($read), (int) array_key_first($read)];
    }
}
