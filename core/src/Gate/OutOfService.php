<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/**
 * Circuits and compressors that were put out of service: tagged in full, locked out between the finding and
 * the tag, and never the last one of a machine.
 */
final class OutOfService
{
    /** Of the codes nobody may override those a part out of service takes with it. */
    private const TAKEN_WITH_IT = ['grounded', 'cold_reading', 'flat', 'in_vacuum'];

    /** @var list<string> subjects of tags that do not say what, why, which wire and who */
    public array $incomplete = [];
    /** A tag was written without a lockout between the finding and it. */
    public bool $notLockedOut = false;
    /** With this nothing would be left in service: no tag counts. */
    public bool $allDisabled = false;
    /** @var array<string, true> subjects without their parts */
    private array $out = [];
    private bool $aCircuit = false;

    /** @param list<array{subject: string, complete: bool, at: float}> $entries */
    public function __construct(array $entries, private readonly Job $job, Ledger $ledger)
    {
        $out = $faults = $counts = [];
        foreach ($entries as $entry) {
            $subject = $entry['subject'];
            $bases = self::takenAlong($subject);
            $lastStop = $ledger->lastStopAbout(fn (string $base): bool => in_array($base, $bases, true), $entry['at']);
            if (! $entry['complete']) {
                $faults[$subject]['incomplete'] = true;
            } elseif (! $ledger->lockedOutBetween($lastStop, $entry['at'])) {
                $faults[$subject]['unlocked'] = true;
            } else {
                $out += array_fill_keys($bases, true);
                $counts[$subject] = true;
            }
        }
        foreach ($faults as $subject => $fault) {
            if (isset($counts[$subject])) {
                continue;
            }
            if (isset($fault['incomplete'])) {
                $this->incomplete[] = (string) $subject;
            }
            $this->notLockedOut = $this->notLockedOut || isset($fault['unlocked']);
        }
        if (self::someAreLeft('circuit', $job->circuits, $out) && self::someAreLeft('compressor', $job->compressors, $out)) {
            $this->out = $out;
            $this->aCircuit = array_filter(array_keys($out), fn (string $base): bool => str_starts_with($base, 'circuit:')) !== [];
        } else {
            $this->allDisabled = true;
        }
    }

    public function isAny(): bool
    {
        return $this->out !== [];
    }

    public function has(string $subject): bool
    {
        return $this->out !== [] && isset($this->out[Recorded::baseOf($subject)]);
    }

    /** Whether a stop went out of service with its part: no other deadly code stands in it. */
    public function contains(Recorded $stop): bool
    {
        if (! $this->has($stop->subject)) {
            return false;
        }
        $words = array_map(fn (string $code): string => explode(':', $code, 2)[0], $stop->dangers());

        return array_diff($words, self::TAKEN_WITH_IT) === [];
    }

    /** Whether every motor a verdict leaves out is out of service: a compressor by its tag, a fan while a circuit is out. */
    public function excuses(Recorded $entry): bool
    {
        foreach ($entry->namedBy('out') as $name) {
            $isOut = in_array($name, $this->job->compressors, true) ? isset($this->out["compressor:$name"]) : $this->aCircuit;
            if (! $isOut) {
                return false;
            }
        }

        return true;
    }

    /** @return list<string> a circuit takes its compressor along */
    private static function takenAlong(string $subject): array
    {
        return str_starts_with($subject, 'circuit:') ? [$subject, 'compressor:' . substr($subject, 8)] : [$subject];
    }

    /**
     * @param list<string>        $names
     * @param array<string, true> $out
     */
    private static function someAreLeft(string $kind, array $names, array $out): bool
    {
        return array_filter($names, fn (string $name): bool => ! isset($out["$kind:$name"])) !== [];
    }
}
