<?php

declare(strict_types=1);

namespace IronStart\Core\Judge;

use IronStart\Core\Check\Check;
use IronStart\Core\Compressor;
use IronStart\Core\Gate;
use IronStart\Core\Power;
use IronStart\Core\Walked;

/** The checks there are, by id. Adding a check begins with a line here. */
final class Registry
{
    private const CHECKS = [
        'power.supply_identity' => Power\SupplyIdentity::class,
        'power.voltage' => Power\Voltage::class,
        'power.rotation' => Power\Rotation::class,
        'power.lockout' => Power\Lockout::class,
        'power.circuit' => Power\Circuit::class,
        'power.plate_math' => Power\PlateMath::class,
        'power.temporary_supply' => Power\TemporarySupply::class,
        'power.control_voltage' => Power\ControlVoltage::class,
        'power.running_amps' => Power\RunningAmps::class,
        'power.leg_roll' => Power\LegRoll::class,
        'power.single_phase_split' => Power\SinglePhaseSplit::class,
        'compressor.windings' => Compressor\Windings::class,
        'compressor.insulation' => Compressor\Insulation::class,
        'compressor.acid' => Compressor\Acid::class,
        'list.set' => Walked\SetList::class,
        'list.pipe' => Walked\PipeList::class,
        'list.prestart' => Walked\PrestartList::class,
        'list.owner' => Walked\OwnerList::class,
        'job.gates' => Gate\JobGates::class,
    ];

    /** @var array<string, Check> */
    private array $made = [];

    /** @return list<string> */
    public function ids(): array
    {
        return array_keys(self::CHECKS);
    }

    /** @throws UnknownCheck when there is no such check */
    public function get(string $id): Check
    {
        $class = self::CHECKS[$id] ?? throw UnknownCheck::named($id, $this->ids());

        return $this->made[$id] ??= new $class();
    }
}
