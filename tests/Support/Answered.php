<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Actions\Tape;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\RecordedVerdict;
use App\Models\User;
use App\Queries\Standings;
use App\Support\Stamp;
use Carbon\CarbonImmutable;

/** Writes, on a machine's tape, a clear verdict of all its gates still ask for, as if each had been measured. */
final class Answered
{
    private const CODES = ['power.rotation' => ['proved'], 'vrf.commission' => ['script_done'], 'run.first_start' => ['first_run_good'], 'power.dials' => ['dials_proved'], 'controls.sequence' => ['sequence_proved'], 'controls.alarms' => ['baseline_kept']];

    public function __construct(private readonly Tape $tape, private readonly Standings $standings)
    {
    }

    /** @param list<string> $without checks that are left to be done */
    public function everything(Machine $machine, User $person, array $without = []): void
    {
        // What is answered can ask for more: a gate that opens has its own.
        for ($round = 0; $round < 3; $round++) {
            $missing = [];
            foreach ($this->standings->ofOne($machine)->lines as $line) {
                array_push($missing, ...array_filter($line->missing, fn (array $m): bool => str_contains($m['check'], '.') && ! in_array($m['check'], $without, true)));
            }
            foreach ($missing as ['check' => $check, 'subject' => $subject]) {
                $this->clear($machine, $person, $check, $subject);
            }
        }
    }

    public function clear(Machine $machine, User $person, string $check, string $subject): void
    {
        $now = CarbonImmutable::now();
        $this->tape->holding($machine, function (Machine $locked) use ($person, $check, $subject, $now): void {
            $entry = $this->tape->append($locked, EntryKind::Check, new Stamp($person, 'test', $now, $now));
            RecordedVerdict::query()->create([
                'machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at, 'check' => $check, 'check_version' => 1, 'subject' => $subject, 'status' => 'clear', 'marginal' => false,
                'codes' => self::CODES[$check] ?? [], 'units' => 'us', 'input' => (object) [], 'findings' => [], 'said' => ['headline' => "Good: $check.", 'because' => [], 'next' => [], 'basis' => []],
            ]);
        });
    }
}
