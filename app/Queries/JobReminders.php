<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Models\PutBack;
use App\Views\PutBackView;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\FactPlace;
use IronStart\Core\Gate\JobCautions;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\PutBack\PutBackKind;

/** Cautions a check owes for where it is done: the roof, what is carried, a lead that is off. */
final class JobReminders
{
    /** What a check may be about that stands at another gate than the machine itself. */
    private const BASES = ['machine', 'loaded', 'old_disconnect'];

    /**
     * @param list<PutBackView> $putBack of the machine
     * @return array<string, list<string>> by `check:base`; none for what owes none
     */
    public function all(Machine $machine, array $putBack): array
    {
        $freed = array_filter($putBack, fn (PutBackView $one): bool => ! $one->closed && $one->kind === PutBackKind::WireFreed->value) !== [];
        $told = self::reader($machine, $freed);
        $owed = [];
        foreach (CheckTable::checks() as $check) {
            foreach (self::BASES as $base) {
                $owed["$check:$base"] = $told($check, $base);
            }
        }

        return array_filter($owed, fn (array $ids): bool => $ids !== []);
    }

    /** @return list<string> */
    public function of(Machine $machine, string $check, string $subject): array
    {
        if (! CheckTable::has($check)) {
            return [];
        }
        $freed = in_array($check, JobCautions::AT_FREED_LEADS, true) && PutBack::out($machine->id)->where('kind', PutBackKind::WireFreed->value)->exists();

        return self::reader($machine, $freed)($check, Recorded::baseOf($subject));
    }

    /** @return \Closure(string, string): list<string> */
    private static function reader(Machine $machine, bool $wireFreed): \Closure
    {
        $sheet = Standings::sheet($machine);
        $facts = FactPlace::together($machine->job->facts, $machine->facts, $sheet->facts());
        [$type, $inverter] = [JobType::from($machine->job->type), $sheet->hasInverter()];

        return fn (string $check, string $base): array => JobCautions::of($check, $base, $type, $facts, $wireFreed, $inverter);
    }
}
