<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Views\LockBoardView;
use App\Views\LockedMachineView;
use App\Views\PutBackView;
use IronStart\Core\PutBack\PutBackKind;

/** The locks of all units of a job on one board: several are often dead behind one switch, or one behind several. */
final class LockBoard
{
    private const KEEPS_DEAD = [PutBackKind::Lock->value, PutBackKind::DisconnectPulled->value, PutBackKind::BreakerElsewhere->value];

    public function __construct(private readonly TapeReader $tape)
    {
    }

    public function around(Machine $machine): LockBoardView
    {
        $machines = Machine::query()->where('site_job_id', $machine->site_job_id)->get()->sortBy(['position', 'id']);
        $hangs = array_filter($this->tape->putBack($machines, true), fn (PutBackView $one): bool => in_array($one->kind, self::KEEPS_DEAD, true));

        return new LockBoardView(array_values($machines->map(fn (Machine $one): LockedMachineView => new LockedMachineView(
            $one->id,
            $one->name,
            $one->place,
            array_values(array_filter($hangs, fn (PutBackView $lock): bool => $lock->machineId === $one->id)),
        ))->all()));
    }
}
