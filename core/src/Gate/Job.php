<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Check\Input;

/** The facts of a job and a machine, as far as they decide what is asked. */
final class Job
{
    public const FACTS = [
        'curb', 'craned', 'carried', 'on_roof', 'nothing_old', 'old_empty', 'recovered', 'failed_compressor', 'drain',
        'circuit_opened', 'no_brazing', 'flares', 'field_bulb', 'line_set', 'lines_reused', 'module_change',
        'single_phase', 'pair', 'field_bus', 'shared_feeder', 'temporary_supply', 'taps', 'motor_taps', 'wiring', 'dials',
        'tripped', 'ran_reversed', 'sheet_asks', 'sister_fault', 'first_start', 'warm_up', 'flammable', 'small_room',
        'test_mode', 'fixed_orifice', 'gas_heat', 'electric_heat', 'heat_pump', 'float', 'outside_air', 'belt', 'staged',
        'leaving_air', 'alarms', 'duct_detector',
    ];
    /** A record of one of these says that a circuit was opened. */
    private const OPENING = ['piping.purge', 'piping.flare_torque', 'list.pipe', 'tight.hold', 'dry.decay'];

    /** @var list<string> circuits that were opened, in the order of the circuits */
    public readonly array $openedCircuits;
    public readonly bool $opened;
    /** @var list<int> */
    public readonly array $gates;

    /**
     * @param array<string, true> $facts
     * @param list<int>    $asked
     * @param list<string> $circuits
     * @param list<string> $compressors
     * @param list<string> $openedGiven
     * @param list<string> $changed compressors that are new on this job, in the order of the compressors
     * @param list<string> $sections
     * @param list<string> $sampled
     * @param list<string> $ducted
     * @param list<Recorded> $records with their subjects as recorded
     */
    private function __construct(
        public readonly JobType $type,
        public readonly bool $startUpOnly,
        private readonly array $asked,
        private readonly array $facts,
        public readonly array $circuits,
        public readonly array $compressors,
        array $openedGiven,
        public readonly array $changed,
        public readonly array $sections,
        public readonly array $sampled,
        public readonly array $ducted,
        array $records,
    ) {
        $opening = array_filter($records, fn (Recorded $e): bool => ! $e->suspect && in_array($e->check, self::OPENING, true));
        $this->opened = $this->fact('circuit_opened') || $openedGiven !== [] || $opening !== [];
        $this->openedCircuits = $this->openedCircuits($openedGiven, $opening);
        $this->gates = array_values(array_filter(range(1, 12), $this->asks(...)));
    }

    /**
     * @param list<int>      $asked    of the gates 1 to 3, though start-up only
     * @param list<string>   $facts
     * @param list<string>   $circuits none: one, called A
     * @param list<string>   $compressors none: one a circuit
     * @param list<string>   $opened
     * @param list<string>   $changed
     * @param list<string>   $sections
     * @param list<string>   $sampled
     * @param list<string>   $ducted
     * @param list<Recorded> $records
     */
    public static function of(
        JobType $type,
        bool $startUpOnly,
        array $asked,
        array $facts,
        array $circuits,
        array $compressors,
        array $opened,
        array $changed,
        array $sections,
        array $sampled,
        array $ducted,
        array $records,
    ): self {
        $circuits = $circuits ?: ['A'];
        $compressors = $compressors ?: $circuits;
        $changed = array_values(array_filter($compressors, fn (string $name): bool => in_array($name, $changed, true)));

        return new self($type, $startUpOnly, $asked, array_fill_keys($facts, true), $circuits, $compressors, $opened, $changed, $sections, $sampled, $ducted, $records);
    }

    /** @param list<Recorded> $records */
    public static function read(Input $in, array $records): self
    {
        return self::of(
            JobType::from($in->text('job_type')),
            $in->flag('start_up_only'),
            array_map(intval(...), $in->words('asked')),
            $in->words('facts'),
            $in->words('circuits'),
            $in->words('compressors'),
            $in->words('opened'),
            $in->words('changed'),
            $in->words('sections'),
            $in->words('sampled'),
            $in->words('ducted'),
            $records,
        );
    }

    public function fact(string ...$any): bool
    {
        foreach ($any as $fact) {
            if (isset($this->facts[$fact])) {
                return true;
            }
        }

        return false;
    }

    public function is(JobType ...$types): bool
    {
        return in_array($this->type, $types, true);
    }

    /** A compressor change, on its own or of a VRF module. */
    public function isCompressorChange(): bool
    {
        return $this->type === JobType::Compressor || ($this->isVrf() && $this->fact('module_change'));
    }

    /** A machine's or a compressor's first start, or the first after a season. */
    public function isFirstStart(): bool
    {
        return $this->fact('first_start') || $this->isCompressorChange() || $this->changed !== [];
    }

    public function isVrf(): bool
    {
        return $this->type === JobType::Vrf;
    }

    /** Why a gate is not on the job, as a key of the phrases; null when it is. */
    public function whyNot(int $gate): ?string
    {
        return match (true) {
            $this->isCompressorChange() && ($gate === 1 || $gate === 3) => 'compressor_change',
            in_array($gate, [4, 5, 6], true) && ($this->startUpOnly || $this->type === JobType::Rooftop) && ! $this->opened => 'not_opened',
            $gate === 2 && $this->fact('nothing_old') && ! $this->isCompressorChange() => 'nothing_old',
            $gate <= 3 && $this->startUpOnly && ! in_array($gate, $this->asked, true) => 'start_up_only',
            default => null,
        };
    }

    /**
     * The one name that `machine` means where a check is asked of a list that holds just one; null where it is
     * asked of the machine, or where the list holds more.
     */
    public function onlyOne(string $check): ?string
    {
        [$kind, $names] = match (CheckTable::oneOf($check)) {
            'circuit' => ['circuit', $this->circuits],
            'section' => $this->isVrf() && $this->sections !== [] ? ['section', $this->sections] : ['circuit', $this->circuits],
            'compressor' => ['compressor', $this->compressors],
            'sampled' => $this->isVrf() ? ['indoor', $this->sampled] : ['', []],
            'ducted' => $this->isVrf() ? ['indoor', $this->ducted] : ['', []],
            default => ['', []],
        };

        return count($names) === 1 ? "$kind:$names[0]" : null;
    }

    /** A subject as the gates take it: `machine` and its parts by the only name there is. */
    public function plain(string $check, string $subject): string
    {
        $only = Recorded::baseOf($subject) === 'machine' ? $this->onlyOne($check) : null;

        return $only === null ? $subject : $only . substr($subject, strlen('machine'));
    }

    /** Whether a subject is one of this job's own. */
    public function owns(string $subject): bool
    {
        $base = Recorded::baseOf($subject);
        [$kind, $name] = explode(':', $base, 2) + [1 => ''];

        return match ($kind) {
            'machine', 'old_disconnect', 'loaded', 'planned', 'built' => $name === '',
            'circuit' => in_array($name, $this->circuits, true),
            'compressor' => in_array($name, $this->compressors, true),
            'section' => in_array($name, $this->sections, true),
            'indoor' => in_array($name, $this->sampled, true) || in_array($name, $this->ducted, true),
            default => false,
        };
    }

    private function asks(int $gate): bool
    {
        return $this->whyNot($gate) === null;
    }

    /**
     * @param list<string>            $given
     * @param array<array-key, Recorded> $opening
     * @return list<string>
     */
    private function openedCircuits(array $given, array $opening): array
    {
        $named = $nameless = [];
        foreach ($opening as $entry) {
            $base = $entry->base;
            if (str_starts_with($base, 'circuit:')) {
                $named[] = substr($base, 8);
            } elseif ($entry->check !== 'list.pipe') {
                $nameless[] = $base;
            }
        }
        $byRecordsOnly = ($this->type === JobType::Rooftop || $this->startUpOnly) && ! $this->fact('circuit_opened');
        $all = $given === [] && (! $byRecordsOnly || $nameless !== [] || ($opening !== [] && $named === []));
        $opened = $all ? $this->circuits : [...$given, ...$named];

        return array_values(array_filter($this->circuits, fn (string $circuit): bool => in_array($circuit, $opened, true)));
    }
}
