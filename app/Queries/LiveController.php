<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Refusals\Refusal;
use App\Support\ControllerLine;
use App\Views\ControllerUnitView;
use App\Views\ControllerView;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Vrf\AsDrawn;

/**
 * What the controller of a VRF system shows now. It is told of the system as the sheet's script and the tree that was
 * drawn have it; a unit without either has no controller here.
 */
final class LiveController
{
    public function __construct(private readonly ControllerLine $line, private readonly PastReader $past)
    {
    }

    public function of(Machine $machine): ControllerView
    {
        $past = $this->past->of($machine);
        $system = $this->system($machine, $past);
        $answer = $system === null ? null : $this->line->ask($system);

        return $answer === null ? self::none($system !== null) : self::told($answer[0], self::zones($past));
    }

    /**
     * @param list<string> $units
     * @throws Refusal
     */
    public function press(Machine $machine, string $press, array $units, string $mode): ControllerView
    {
        $past = $this->past->of($machine);
        $system = $this->system($machine, $past);
        $answers = $system === null ? null : $this->line->ask($system, ['ask' => 'press', 'system' => $system['system'], 'press' => $press, 'units' => $units, 'mode' => $mode]);
        if ($answers === null) {
            throw Refusal::conflict('The controller does not answer. Type what its display shows.');
        }
        $error = $answers[1]['error'] ?? null;
        if (is_string($error)) {
            throw Refusal::field('press', $press, $error);
        }

        return self::told($answers[1], self::zones($past));
    }

    /** @return array<string, string> what each indoor unit serves, by its name */
    private static function zones(Past $past): array
    {
        return array_combine(AsDrawn::indoor($past), AsDrawn::zones($past));
    }

    /** @return array<string, mixed>|null what makes the system known to its controller; null where it has none */
    private function system(Machine $machine, Past $past): ?array
    {
        // Whoever has no script asks for nothing of the record.
        $script = $this->line->isThere() ? Standings::sheet($machine)->figure('vrf.script', 'machine') : null;
        $boxes = is_array($script) && $script !== [] ? array_map(fn (array $box): array => $box['indoor'], AsDrawn::boxes($past)) : [];
        if (! is_array($script) || $boxes === []) {
            return null;
        }

        $script = array_map(fn (mixed $step): array => [
            'code' => self::text($step, 'code'), 'passes_when' => self::text($step, 'passes_when'), 'wait' => self::minutes($step),
            'faults' => array_map(fn (mixed $fault): string => self::text($fault, 'code'), is_array($step) && is_array($step['on_fault'] ?? null) ? array_values($step['on_fault']) : []),
        ], array_values($script));
        // Another tree or another script is another system.
        $digest = substr(hash('sha256', json_encode([$script, $boxes, $machine->getAttribute('created_at')], JSON_THROW_ON_ERROR)), 0, 16);

        return ['ask' => 'load', 'system' => "$machine->id-$digest", 'seed' => crc32($machine->name) % 1000 + 1, 'script' => $script, 'boxes' => $boxes];
    }

    private static function text(mixed $of, string $name): string
    {
        return is_array($of) && is_string($of[$name] ?? null) ? $of[$name] : '';
    }

    private static function minutes(mixed $step): float
    {
        return (Quantity::parse(self::text($step, 'wait'), Kind::Time)->canonical ?? 0.0) / 60;
    }

    private static function none(bool $isSilent): ControllerView
    {
        return new ControllerView(false, $isSilent, false, 1.0, '', null, null, []);
    }

    /**
     * @param array<string, mixed>  $answer
     * @param array<string, string> $zones
     */
    private static function told(array $answer, array $zones): ControllerView
    {
        if (! is_string($answer['shown'] ?? null)) {
            return self::none(true);
        }
        $unit = fn (mixed $one): ControllerUnitView => new ControllerUnitView(
            self::text($one, 'id'),
            $zones[self::text($one, 'id')] ?? '',
            is_array($one) && ($one['ready'] ?? null) === true,
            is_array($one) && ($one['called'] ?? null) === true,
            self::text($one, 'return_air'),
            self::text($one, 'supply_air'),
            self::text($one, 'liquid_pipe'),
            self::text($one, 'gas_pipe'),
        );
        $number = fn (string $name): ?float => is_numeric($answer[$name] ?? null) ? (float) $answer[$name] : null;

        return new ControllerView(true, false, ($answer['simulated'] ?? null) === true, $number('speed') ?? 1.0, $answer['shown'], is_int($answer['step'] ?? null) ? $answer['step'] : null, $number('minutes_in_step'), array_map($unit, is_array($answer['indoor'] ?? null) ? array_values($answer['indoor']) : []));
    }
}
