<?php

declare(strict_types=1);

namespace IronStart\Core\Run;

use IronStart\Core\Check\Input;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/** The last start of one thing, judged: what had to be seen before it, its amps, its pressures, what was seen. */
final readonly class Step
{
    public const PRESSURES = ['suction_before', 'suction_after', 'discharge_before', 'discharge_after'];
    private const COMPRESSORS = ['scroll', 'screw', 'reciprocating'];
    private const ROTARY = ['scroll', 'screw'];
    /** Times the plate. */
    private const LOCKED = 4.0;
    private const NOTHING = 0.05;
    private const FEW = 0.6;
    /** psi */
    private const PUMPS = 10.0;
    private const NO_PUMPING = 5.0;
    /** s until a drive has ramped up. */
    private const RAMP = 60.0;

    private Input $step;

    /** @param list<Input> $steps */
    public function __construct(private array $steps, private int $at)
    {
        $this->step = $steps[$at];
    }

    public static function isCompressor(Input $step): bool
    {
        return in_array($step->text('kind'), self::COMPRESSORS, true);
    }

    /** @return float|null psi the two sides have moved apart; null where they were not all read */
    public static function rise(Input $step): ?float
    {
        if (! self::isCompressor($step) || ! $step->all(...self::PRESSURES)) {
            return null;
        }
        $psi = fn (string $name): float => (float) $step->in($name, 'psig');

        return $psi('discharge_after') - $psi('suction_after') - ($psi('discharge_before') - $psi('suction_before'));
    }

    /** Whether it shows what a compressor shows that turns backwards. */
    public static function isBackwards(Input $step): bool
    {
        $rise = self::rise($step);
        if ($rise === null || ! Limit::under($rise, self::NO_PUMPING) || self::isRamping($step, $rise) || ! in_array($step->text('kind'), self::ROTARY, true)) {
            return false;
        }
        $noise = $step->text('noise');
        $isLight = $step->all('amps', 'plate_amps') && Limit::under($step->number('amps'), self::FEW * $step->number('plate_amps'));

        return $noise === 'loud' || ($isLight && $noise !== 'normal');
    }

    private static function isRamping(Input $step, float $rise): bool
    {
        return $step->text('drive') === 'inverter' && Limit::under($step->number('seconds'), self::RAMP) && Limit::under($rise, self::PUMPS);
    }

    /**
     * @param array<string, Value> $values gets how far the pressures moved
     * @return list<Finding>
     */
    public function found(array &$values): array
    {
        $name = $this->step->text('name');
        $said = ['name' => $name];

        return [...$this->order($name), ...$this->amps($name), ...$this->pressures($name, $values), ...match ($this->step->text('seen')) {
            'bad' => [Finding::stop("bad:$name", $said)],
            'not_yet' => [Finding::open("look:$name", $said)],
            default => [],
        }];
    }

    /** @return list<Finding> */
    private function order(string $name): array
    {
        $isRunning = ! $this->step->given('stopped');
        $found = [];
        $ahead = $this->ahead();
        if ($ahead !== null && ! $this->isInTime($this->lastAbove($ahead))) {
            $stillBad = $isRunning && $this->last($ahead)?->text('seen') !== 'good';
            $said = ['name' => $name, 'ahead' => $ahead];
            $found[] = $stillBad ? Finding::stop("too_soon:$name", $said) : Finding::watch("too_soon:$name", $said, 'was_too_soon');
        }
        if ((self::isCompressor($this->step) || $this->step->text('kind') === 'heat') && ! $this->hasAir()) {
            $found[] = $isRunning ? Finding::stop("no_blower:$name", ['name' => $name]) : Finding::watch("no_blower:$name", ['name' => $name], 'had_no_blower');
        }

        return $found;
    }

    /** The nearest above with another name. */
    private function ahead(): ?string
    {
        for ($i = $this->at - 1; $i >= 0; $i--) {
            if ($this->steps[$i]->text('name') !== $this->step->text('name')) {
                return $this->steps[$i]->text('name');
            }
        }

        return null;
    }

    private function lastAbove(string $name): ?Input
    {
        return $this->lastOf($name, $this->at);
    }

    private function last(string $name): ?Input
    {
        return $this->lastOf($name, count($this->steps));
    }

    private function lastOf(string $name, int $before): ?Input
    {
        $started = array_filter($this->steps, fn (Input $one, int $i): bool => $i < $before && $one->text('name') === $name && $one->given('started'), ARRAY_FILTER_USE_BOTH);

        return $started === [] ? null : end($started);
    }

    /** Whether it was seen good before this one was started. */
    private function isInTime(?Input $other): bool
    {
        if ($other?->text('seen') !== 'good') {
            return false;
        }
        [$seen, $started] = [$other->moment('seen_at'), $this->step->moment('started')];

        return $seen === null || $started === null || $seen->until($started) >= 0.0;
    }

    private function hasAir(): bool
    {
        for ($i = 0; $i < $this->at; $i++) {
            $one = $this->steps[$i];
            if (in_array($one->text('kind'), ['blower', 'pump'], true) && $this->isInTime($this->lastAbove($one->text('name')))) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Finding> */
    private function amps(string $name): array
    {
        if (! $this->step->all('amps', 'plate_amps')) {
            return [];
        }
        [$amps, $plate] = [$this->step->number('amps'), $this->step->number('plate_amps')];
        $said = ['name' => $name, 'amps' => Said::amps($amps), 'plate' => Said::amps($plate)];

        return match (true) {
            Limit::over($amps, self::LOCKED * $plate) => [Finding::stop("locked_rotor:$name", $said)],
            Limit::under($amps, self::NOTHING * $plate) => [Finding::stop("no_draw:$name", $said)],
            default => [],
        };
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private function pressures(string $name, array &$values): array
    {
        $rise = self::rise($this->step);
        if ($rise === null) {
            $isUnread = self::isCompressor($this->step) && array_filter(self::PRESSURES, $this->step->given(...)) === [];

            return $isUnread && $this->step->text('seen') === 'good' ? [Finding::watch("no_pressures:$name", ['name' => $name])] : [];
        }
        $values["rise:$name"] = Value::of($rise, 'psi');
        $said = ['name' => $name, 'rise' => Said::pressureDifference(Units::toCanonical($rise, 'psi', Kind::PressureDifference))];
        $isBackwards = self::isBackwards($this->step);

        return match (true) {
            self::isRamping($this->step, $rise) => [Finding::open("read_later:$name", $said)],
            Limit::under($rise, self::NO_PUMPING) => [
                Finding::stop("not_pumping:$name", $said, $isBackwards ? 'not_pumping_backwards' : 'not_pumping'),
                ...($isBackwards ? [Finding::stop("backwards_signs:$name", ['name' => $name])] : []),
            ],
            Limit::under($rise, self::PUMPS) => [Finding::watch("weak:$name", $said)],
            default => [],
        };
    }
}
