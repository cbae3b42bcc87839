<?php

declare(strict_types=1);

namespace IronStart\StandIn;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A simulated VRF system behind its controller: it plays a commissioning script, and its coils follow what is called.
 *
 * What is wrong with it follows from its seed: one indoor unit that has no power, one step that stops on a fault, two
 * units of one box whose lines are crossed. Seed 0 has nothing wrong. Times are simulated minutes, told by whoever asks.
 */
final class System
{
    public const PRESSES = ['start', 'reset', 'power', 'call', 'off', 'repair'];
    public const MODES = ['cool', 'heat'];
    private const IDLE = '--';
    /** Minutes in which a coil, and in which a room, goes 63 % of its way. */
    private const COIL = 3.0;
    private const ROOM = 90.0;
    /** degC; what a fed coil comes to, by mode: liquid line, gas line, supply air from return air, room from where it was. */
    private const FED = ['cool' => ['liquid' => 6.0, 'gas' => 9.0, 'supply' => -11.0, 'room' => -5.0], 'heat' => ['liquid' => 36.0, 'gas' => 62.0, 'supply' => 16.0, 'room' => 5.0]];
    /** Share of a step's time after which a fault of it shows. */
    private const STRIKES = 0.4;

    /** @var array<string, array{start: float, return: float, supply: float, liquid: float, gas: float}> degC by unit */
    private array $air = [];
    /** @var list<string> */
    private array $called = [];
    private string $mode = 'cool';
    private ?int $step = null;
    private float $began = 0.0;
    private string $fault = '';
    private bool $isStruck = false;
    private float $at = 0.0;
    /** The unit without power; '' for none. */
    private string $away = '';
    /** @var array{step: int, code: string}|null */
    private ?array $strikes = null;
    /** @var array<string, string> whose coil a call feeds, where it is not its own */
    private array $crossed = [];

    /**
     * @param list<array{code: string, wait: float, passes_when: string, faults: list<string>}> $script one step or more
     * @param list<list<string>> $boxes indoor units by what feeds them
     */
    public function __construct(private readonly array $script, array $boxes, int $seed)
    {
        foreach (array_merge(...$boxes) as $i => $unit) {
            $room = 21.5 + ($i * 7 % 10) / 5;
            $this->air[$unit] = ['start' => $room, 'return' => $room, 'supply' => $room, 'liquid' => $room, 'gas' => $room];
        }
        if ($seed !== 0) {
            $this->spoil($boxes, new Randomizer(new Mt19937($seed)));
        }
    }

    /**
     * What somebody does at the system: starts the script, clears a fault, gives a unit its power, calls units, calls none, puts
     * crossed lines right.
     *
     * @param list<string> $units for `power` and `call`
     * @throws \InvalidArgumentException that says what is accepted
     */
    public function press(string $what, array $units, string $mode, float $now): void
    {
        $this->advance($now);
        $unknown = array_diff($units, array_keys($this->air));
        if ($unknown !== []) {
            throw new \InvalidArgumentException('units of this system: ' . implode(', ', array_keys($this->air)));
        }
        if (! in_array($mode, self::MODES, true)) {
            throw new \InvalidArgumentException('mode: ' . implode(' or ', self::MODES));
        }
        match ($what) {
            'start' => $this->begin(0, $now),
            'reset' => $this->step === null || $this->fault === '' ? null : $this->begin($this->step, $now),
            'power' => $this->away = in_array($this->away, $units, true) ? '' : $this->away,
            'repair' => $this->crossed = [],
            'call', 'off' => [$this->called, $this->mode] = [$what === 'call' ? array_values($units) : [], $mode],
            default => throw new \InvalidArgumentException('press: ' . implode(', ', self::PRESSES)),
        };
    }

    /**
     * @return array{shown: string, step: int|null, minutes_in_step: float|null, calling: list<string>, mode: string, indoor: list<array<string, string|bool>>}
     *     temperatures as `21.4 degC`
     */
    public function state(float $now): array
    {
        $this->advance($now);
        $indoor = [];
        foreach ($this->air as $unit => $of) {
            $said = fn (string $what): string => number_format($of[$what], 1, '.', '') . ' degC';
            $indoor[] = [
                'id' => (string) $unit, 'ready' => $unit !== $this->away, 'called' => in_array($unit, $this->called, true),
                'return_air' => $said('return'), 'supply_air' => $said('supply'), 'liquid_pipe' => $said('liquid'), 'gas_pipe' => $said('gas'),
            ];
        }

        return [
            'shown' => $this->shown($now), 'step' => $this->step, 'minutes_in_step' => $this->step === null ? null : round($now - $this->began, 1),
            'calling' => $this->called, 'mode' => $this->mode, 'indoor' => $indoor,
        ];
    }

    private function shown(float $now): string
    {
        if ($this->step === null) {
            return self::IDLE;
        }
        $step = $this->script[$this->step];

        return match (true) {
            $this->fault !== '' => $this->fault,
            $now - $this->began >= $step['wait'] => $step['passes_when'],
            default => $step['code'],
        };
    }

    private function begin(int $step, float $now): void
    {
        [$this->step, $this->began, $this->fault] = [$step, $now, ''];
    }

    /** Moves the script and every temperature on to a time. */
    private function advance(float $now): void
    {
        $passed = max(0.0, $now - $this->at);
        $this->at = max($this->at, $now);
        $fed = array_map(fn (string $unit): string => $this->crossed[$unit] ?? $unit, array_diff($this->called, [$this->away]));
        foreach ($this->air as $unit => $of) {
            $to = in_array($unit, $fed, true) ? self::FED[$this->mode] : null;
            $isBlowing = in_array($unit, $this->called, true);
            $near = fn (float $from, float $goal, float $minutes): float => $from + ($goal - $from) * (1.0 - exp(-$passed / $minutes));
            $return = $near($of['return'], $of['start'] + ($to !== null && $isBlowing ? $to['room'] : 0.0), self::ROOM);
            $this->air[$unit] = [
                'start' => $of['start'], 'return' => $return,
                'supply' => $near($of['supply'], $return + ($to !== null && $isBlowing ? $to['supply'] : 0.0), self::COIL),
                'liquid' => $near($of['liquid'], $to['liquid'] ?? $return, self::COIL), 'gas' => $near($of['gas'], $to['gas'] ?? $return, self::COIL),
            ];
        }
        while ($this->step !== null && $this->fault === '' && $this->goesOn($now)) {
        }
    }

    /** @return bool whether another step was begun, which may be over by now as well */
    private function goesOn(float $now): bool
    {
        $step = (int) $this->step;
        $wait = $this->script[$step]['wait'];
        if ($this->away !== '' && $step === 0 && ($this->script[0]['faults'] ?? []) !== []) {
            $this->fault = $this->script[0]['faults'][0];
        } elseif ($this->strikes !== null && ! $this->isStruck && $this->strikes['step'] === $step && $now - $this->began >= self::STRIKES * $wait) {
            [$this->fault, $this->isStruck] = [$this->strikes['code'], true];
        } elseif ($step + 1 < count($this->script) && $now - $this->began >= $wait) {
            // It goes on by itself, and each step shows where it stands for as long as it takes.
            [$this->step, $this->began] = [$step + 1, $this->began + $wait];

            return true;
        }

        return false;
    }

    /** @param list<list<string>> $boxes */
    private function spoil(array $boxes, Randomizer $chance): void
    {
        $units = array_keys($this->air);
        $this->away = (string) $units[$chance->getInt(0, count($units) - 1)];
        $faulty = array_values(array_filter(array_keys($this->script), fn (int $i): bool => $this->script[$i]['faults'] !== []));
        if ($faulty !== []) {
            $step = $faulty[$chance->getInt(0, count($faulty) - 1)];
            $codes = $this->script[$step]['faults'];
            $this->strikes = ['step' => $step, 'code' => $codes[$chance->getInt(0, count($codes) - 1)]];
        }
        $shared = array_values(array_filter($boxes, fn (array $box): bool => count($box) > 1));
        if ($shared !== []) {
            $box = $shared[$chance->getInt(0, count($shared) - 1)];
            $first = $chance->getInt(0, count($box) - 2);
            $this->crossed = [$box[$first] => $box[$first + 1], $box[$first + 1] => $box[$first]];
        }
    }
}
