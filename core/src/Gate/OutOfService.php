<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/**
 * Circuits and compressors that were put out of service: tagged in full, locked out between the finding and
 * the tag, and never the last one of a machine.
 */
final class OutOfService
{
    /** Of the codes nobody may override the one a part out of service takes with it. */
    private const TAKEN_WITH_IT = ['grounded'];

    /** @var array<string, true> codes that say what is wrong with a tag */
    public array $codes = [];
    /** @var array<string, true> subjects without their parts */
    private array $out = [];

    /** @param list<array{subject: string, complete: bool, at: float}> $entries */
    public function __construct(array $entries, Job $job, Ledger $ledger)
    {
        $out = [];
        foreach ($entries as $entry) {
            $bases = self::takenAlong($entry['subject']);
            $lastStop = $ledger->lastStopAbout(fn (string $base): bool => in_array($base, $bases, true), $entry['at']);
            if (! $entry['complete']) {
                $this->codes["tag_incomplete:{$entry['subject']}"] = true;
            } elseif (! $ledger->lockedOutBetween($lastStop, $entry['at'])) {
                $this->codes['not_locked_out:7'] = true;
            } else {
                $out += array_fill_keys($bases, true);
            }
        }
        if (self::someAreLeft('circuit', $job->circuits, $out) && self::someAreLeft('compressor', $job->compressors, $out)) {
            $this->out = $out;
        } else {
            $this->codes['all_disabled'] = true;
        }
    }

    public function isAny(): bool
    {
        return $this->out !== [];
    }

    public function has(string $subject): bool
    {
        return isset($this->out[Entry::baseOf($subject)]);
    }

    /** Whether a stop went out of service with its part: no other deadly code stands in it. */
    public function contains(Entry $stop): bool
    {
        $words = array_map(fn (string $code): string => explode(':', $code, 2)[0], $stop->dangers());

        return $this->has($stop->subject) && array_diff($words, self::TAKEN_WITH_IT) === [];
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
