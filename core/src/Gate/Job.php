<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Check\Input;

/** The facts of a job and a machine, as far as they decide what is asked. */
final class Job
{
    public const FACTS = [
        'curb', 'craned', 'carried', 'on_roof', 'nothing_old', 'old_empty', 'recovered', 'failed_compressor', 'drain',
        'circuit_opened', 'no_brazing', 'flares', 'field_bulb', 'module_change', 'taps', 'temporary_supply', 'tripped',
        'ran_reversed', 'sheet_asks', 'sister_fault', 'single_phase', 'shared_feeder', 'warm_up', 'line_set',
        'fixed_orifice', 'flammable', 'small_room', 'test_mode', 'gas_heat', 'electric_heat', 'float', 'outside_air',
        'belt', 'staged', 'leaving_air',
    ];
    /** A record of one of these says that a circuit was opened. */
    private const OPENING = ['piping.purge', 'piping.flare_torque', 'list.pipe', 'tight.hold', 'dry.decay'];

    /** @var list<string> circuits that were opened */
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
     * @param list<string> $sections
     * @param list<string> $sampled
     * @param list<string> $ducted
     * @param list<Entry>  $records with their subjects as recorded
     */
    private function __construct(
        public readonly JobType $type,
        public readonly bool $startUpOnly,
        private readonly array $asked,
        private readonly array $facts,
        public readonly array $circuits,
        public readonly array $compressors,
        array $openedGiven,
        public readonly array $sections,
        public readonly array $sampled,
        public readonly array $ducted,
        array $records,
    ) {
        $opening = array_filter($records, fn (Entry $e): bool => ! $e->suspect && in_array($e->check, self::OPENING, true));
        $this->opened = $this->fact('circuit_opened') || $openedGiven !== [] || $opening !== [];
        $this->openedCircuits = $this->openedCircuits($openedGiven, $opening);
        $this->gates = array_values(array_filter(range(1, 12), $this->asks(...)));
    }

    /** @param list<Entry> $records */
    public static function read(Input $in, array $records): self
    {
        $circuits = $in->words('circuits') ?: ['A'];

        return new self(
            JobType::from($in->text('job_type')),
            $in->flag('start_up_only'),
            array_map(intval(...), $in->words('asked')),
            array_fill_keys($in->words('facts'), true),
            $circuits,
            $in->words('compressors') ?: $circuits,
            $in->words('opened'),
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

    /** A compressor change, on its own or of a module. */
    public function isCompressorChange(): bool
    {
        return $this->type === JobType::Compressor || $this->fact('module_change');
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
     * The one name that `machine` means where a check is asked of a list that holds just one.
     */
    public function onlyOne(string $check): ?string
    {
        [$kind, $names] = match ($check) {
            'charge.state' => ['circuit', $this->circuits],
            'piping.purge', 'piping.flare_torque', 'piping.bulb', 'piping.equivalent_length', 'dry.decay', 'charge.weigh_in' => ['circuit', $this->openedCircuits],
            'tight.hold' => $this->sections === [] ? ['circuit', $this->openedCircuits] : ['section', $this->sections],
            'compressor.insulation', 'compressor.windings' => ['compressor', $this->compressors],
            'air.split', 'condensate.float' => $this->isVrf() ? ['indoor', $this->sampled] : ['', []],
            'air.static', 'condensate.trap' => $this->isVrf() ? ['indoor', $this->ducted] : ['', []],
            default => ['', []],
        };

        return count($names) === 1 ? "$kind:$names[0]" : null;
    }

    /** Whether a subject is one of this job's own. */
    public function owns(string $subject): bool
    {
        $base = Entry::baseOf($subject);
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
     * @param array<array-key, Entry> $opening
     * @return list<string>
     */
    private function openedCircuits(array $given, array $opening): array
    {
        $named = $nameless = [];
        foreach ($opening as $entry) {
            $base = $entry->base();
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
