<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Input;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/**
 * Stages of cooling and heating with the temperatures they come on and go off at, as written or counted from set points.
 *
 * @phpstan-type Stage array{on: float, off: float, watts: float|null}
 */
final readonly class Ladder
{
    /**
     * @param list<Stage> $cool   °F, rising
     * @param list<Stage> $heat   °F, falling
     * @param list<Stage> $reheat °F, of a mode that dries by cooling and heating at once
     */
    private function __construct(public array $cool, public array $heat, public array $reheat)
    {
    }

    public static function of(Input $in): self
    {
        $counts = $in->group('counts');
        if ($counts !== null) {
            return self::counted($in, $counts);
        }
        $stages = $in->group('stages');
        $dries = in_array($in->group('machine')?->text('dehumidify'), ['hot_gas', 'heater'], true);
        $read = fn (Input $stage, string $on, string $off): array => ['on' => (float) $stage->in($on, 'degF'), 'off' => (float) $stage->in($off, 'degF'), 'watts' => $stage->maybe('capacity')];
        $heat = $reheat = [];
        foreach ($stages?->items('heat') ?? [] as $stage) {
            if ($dries && $stage->flag('reheat')) {
                $reheat[] = $read($stage, 'on_below', 'off_above');
            } else {
                $heat[] = $read($stage, 'on_below', 'off_above');
            }
        }

        return new self(array_map(fn (Input $s): array => $read($s, 'on_above', 'off_below'), $stages?->items('cool') ?? []), $heat, $reheat);
    }

    private static function counted(Input $in, Input $counts): self
    {
        $f = fn (string $name): float => (float) $in->in($name, 'degF');
        $differential = (float) $in->in('differential', 'delta_degF');
        $deadband = (float) $in->in('deadband', 'delta_degF');
        $cool = $heat = [];
        for ($k = 1; $k <= $counts->int('cool'); $k++) {
            $on = $f('cool_setpoint') + $differential * $k;
            $cool[] = ['on' => $on, 'off' => $on - $deadband, 'watts' => $counts->maybe('cool_capacity')];
        }
        for ($k = 1; $k <= $counts->int('heat'); $k++) {
            $on = $f('heat_setpoint') - $differential * $k;
            $heat[] = ['on' => $on, 'off' => $on + $deadband, 'watts' => $counts->maybe('heat_capacity')];
        }

        return new self($cool, $heat, []);
    }

    /** @return float|null °F between where heat ends and where cooling ends; null where one of the two is not there */
    public function gap(): ?float
    {
        return $this->cool === [] || $this->heat === [] ? null : min(array_column($this->cool, 'off')) - $this->lastHeat();
    }

    /** @return float °F up to which heat runs */
    public function lastHeat(): float
    {
        return max([-INF, ...array_column($this->heat, 'off')]);
    }

    /** @return float °F from which cooling runs */
    public function firstCool(): float
    {
        return min([INF, ...array_column($this->cool, 'on')]);
    }

    /** @return array<string, Stage> by name: cool1, cool2, heat1, reheat1 */
    public function named(): array
    {
        $named = [];
        foreach (['cool' => $this->cool, 'heat' => $this->heat, 'reheat' => $this->reheat] as $kind => $stages) {
            foreach ($stages as $i => $stage) {
                $named[$kind . ($i + 1)] = $stage;
            }
        }

        return $named;
    }

    public static function degF(float $kelvin): float
    {
        return Units::fromCanonical($kelvin, 'degF', Kind::Temperature);
    }
}
