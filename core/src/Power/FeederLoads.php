<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Input;

/** The loads of a feeder by leg and by mode, each with both ends of what is not known exactly, A. */
final readonly class FeederLoads
{
    private const QUARTER = 0.25;
    private const LASTING = 1.25;
    private const MODES = ['cool', 'heat'];

    /** @var list<string> */
    public array $legs;
    /** @var list<array{legs: list<string>, mode: string, low: array{float, float}, high: array{float, float}, runsLow: float, runsHigh: float, mocp: float}> */
    private array $loads;

    public function __construct(Input $in)
    {
        $this->legs = $in->int('phases') === 3 ? ['a', 'b', 'c'] : ['a', 'b'];
        $loads = [];
        foreach ($in->items('items') as $item) {
            if (! $item->given('amps') && ! $item->given('mca') || self::lacksLegs($in, $item)) {
                continue;
            }
            $loads[] = ['legs' => $item->words('legs') ?: $this->legs, 'mode' => $item->text('mode'), 'mocp' => $item->maybe('mocp') ?? 0.0] + self::ends($item);
        }
        $this->loads = $loads;
    }

    /** A single-phase item on a three-phase feeder hangs on legs that have to be told. */
    public static function lacksLegs(Input $in, Input $item): bool
    {
        return self::phases($in, $item) === 1 && $in->int('phases') === 3 && $item->words('legs') === [];
    }

    /** Those of the feeder where an item says nothing. */
    public static function phases(Input $in, Input $item): int
    {
        return $item->given('phases') ? $item->int('phases') : $in->int('phases');
    }

    /** @return array{low: array{float, float}, high: array{float, float}, runsLow: float, runsHigh: float} all of it, and the largest motor that counts once more by a quarter */
    private static function ends(Input $item): array
    {
        [$amps, $mca, $largest] = [$item->maybe('amps'), $item->maybe('mca') ?? 0.0, $item->maybe('largest')];
        if ($item->text('kind') !== 'unit') {
            $isHeat = $item->text('kind') === 'heat';
            $all = $amps === null ? $mca : ($isHeat ? self::LASTING : 1.0) * $amps;
            $runs = $amps ?? ($isHeat ? $mca / self::LASTING : $mca);

            return ['low' => [$all, 0.0], 'high' => [$all, 0.0], 'runsLow' => $runs, 'runsHigh' => $runs];
        }
        $all = $amps ?? ($largest === null ? null : $mca - self::QUARTER * $largest);
        if ($all === null) {
            return ['low' => [$mca / self::LASTING, $mca / self::LASTING], 'high' => [$mca, 0.0], 'runsLow' => $mca / self::LASTING, 'runsHigh' => $mca];
        }

        return $largest === null
            ? ['low' => [$all, 0.0], 'high' => [$all, $all], 'runsLow' => $all, 'runsHigh' => $all]
            : ['low' => [$all, $largest], 'high' => [$all, $largest], 'runsLow' => $all, 'runsHigh' => $all];
    }

    /** What runs on a leg at most, in the mode in which more does. */
    public function running(string $leg): float
    {
        return max(array_map(fn (string $mode): float => $this->on($leg, $mode, 'runsHigh'), self::MODES));
    }

    /** What surely runs on the leg on which most does. */
    public function runs(): float
    {
        return max([0.0, ...array_map(fn (string $leg): float => max(array_map(fn (string $mode): float => $this->on($leg, $mode, 'runsLow'), self::MODES)), $this->legs)]);
    }

    /**
     * What the worst leg asks for.
     *
     * @param 'low'|'high' $end
     */
    public function demand(string $end): float
    {
        return max([0.0, ...array_map(fn (string $leg): float => $this->asks($leg, $end), $this->legs)]);
    }

    /** The leg that asks for most, the first of several. */
    public function worstLeg(): string
    {
        $worst = $this->legs[0];
        foreach ($this->legs as $leg) {
            $worst = $this->asks($leg, 'high') > $this->asks($worst, 'high') ? $leg : $worst;
        }

        return $worst;
    }

    /** The largest breaker of a feeder: the largest branch device and what else runs. */
    public function breakerMost(): float
    {
        $most = 0.0;
        foreach ($this->legs as $leg) {
            foreach (self::MODES as $mode) {
                $of = array_values($this->of($leg, $mode));
                if ($of === []) {
                    continue;
                }
                $largest = max(array_column($of, 'mocp'));
                $at = (int) array_search($largest, array_column($of, 'mocp'), true);
                $most = max($most, $largest + array_sum(array_column($of, 'runsHigh')) - $of[$at]['runsHigh']);
            }
        }

        return $most;
    }

    /** @return float % of the mean by which the leg furthest from it differs, in the worse mode */
    public function unbalance(): float
    {
        $worst = 0.0;
        foreach (self::MODES as $mode) {
            $amps = array_map(fn (string $leg): float => $this->on($leg, $mode, 'runsHigh'), $this->legs);
            $mean = array_sum($amps) / count($amps);
            $worst = $mean <= 0.0 ? $worst : max($worst, 100 * max(array_map(fn (float $one): float => abs($one - $mean), $amps)) / $mean);
        }

        return $worst;
    }

    /** @param 'runsLow'|'runsHigh' $what */
    private function on(string $leg, string $mode, string $what): float
    {
        return (float) array_sum(array_column($this->of($leg, $mode), $what));
    }

    /** @param 'low'|'high' $end */
    private function asks(string $leg, string $end): float
    {
        return max(array_map(function (string $mode) use ($leg, $end): float {
            $of = array_column($this->of($leg, $mode), $end);

            return array_sum(array_column($of, 0)) + self::QUARTER * max([0.0, ...array_column($of, 1)]);
        }, self::MODES));
    }

    /** @return array<int, array{legs: list<string>, mode: string, low: array{float, float}, high: array{float, float}, runsLow: float, runsHigh: float, mocp: float}> */
    private function of(string $leg, string $mode): array
    {
        return array_filter($this->loads, fn (array $load): bool => in_array($leg, $load['legs'], true) && in_array($load['mode'], [$mode, 'both'], true));
    }
}
