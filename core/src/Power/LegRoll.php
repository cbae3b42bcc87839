<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Value;

/**
 * Whether unbalance comes from the supply or from the motor, by moving every line one terminal on
 * (direction unchanged) and reading the amps again.
 *
 * Before, line k feeds terminal k; after, T1 ← L3, T2 ← L1, T3 ← L2. With b and a the departures from the
 * mean in percent by terminal and d = a − b, the supply's parts are s₁ = (d₂ − d₁)/3, s₂ = (d₃ − d₂)/3,
 * s₃ = (d₁ − d₃)/3 and the motor's m = b − s. This solves what "which leg moved" can't, when a high and a low
 * leg are equally far off.
 */
final class LegRoll implements Check, Draws
{
    private const BEFORE = ['before_t1', 'before_t2', 'before_t3'];
    private const AFTER = ['after_t1', 'after_t2', 'after_t3'];
    /** %; at or under this there is nothing to judge. */
    private const TOO_BALANCED = 3.0;
    /** Points by which one part must lead. */
    private const MARGIN = 2.0;
    private const STOP = 10.0;
    /** %; worse than this before … */
    private const CURED_FROM = 5.0;
    /** … and better than this after: the move made a bad connection good. */
    private const CURED_TO = 2.0;
    /** Points by which two unbalances must differ for one place to be better. */
    private const SAME = 1.0;

    public function id(): string
    {
        return 'power.leg_roll';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        return array_map(fn (string $name): Field => Field::amps($name)->needed(), [...self::BEFORE, ...self::AFTER]);
    }

    public function contradictions(Input $in): iterable
    {
        foreach ([self::BEFORE, self::AFTER] as $set) {
            if ($in->all(...$set) && max(array_map($in->number(...), $set)) === 0.0) {
                yield InputError::at($set[0], '0 A', 'the amps of a motor that runs', 'and the other two are zero: the motor was not running');
            }
        }
    }

    public static function drawing(Input $in, array $values): array
    {
        return Drawn::bars('A', array_map(fn (string $name): array => ['name' => ucfirst(str_replace('_t', ' T', $name)), 'value' => $in->maybe($name), 'is' => str_starts_with($name, 'before') ? 'pale' : 'plain'], [...self::BEFORE, ...self::AFTER]));
    }

    public function judge(Input $in): Judgement
    {
        $cautions = [...Caution::LIVE, 'lockout', 'live_rotation_swap', 'rotating_parts'];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: [Finding::note('basis')]);
        }
        $amps = array_map($in->number(...), [...self::BEFORE, ...self::AFTER]);
        $parts = self::parts($amps);
        $unsure = Uncertainty::sharedInstrument(self::parts(...), $amps, Instrument::ClampMeter->share());
        $judged = ['before' => $parts['before'], 'after' => $parts['after'], 'lead' => $parts['lead']];
        $marginal = Uncertainty::decides(function (array $j): string {
            [$cause, $status] = self::cause($j);

            return "$cause {$status->value}";
        }, $judged, array_intersect_key($unsure, $judged));
        [$cause, $status] = self::cause($judged);
        $better = self::better($parts['before'], $parts['after']);
        $values = ['unbalance_before' => Value::of($parts['before'], '%'), 'unbalance_after' => Value::of($parts['after'], '%')];
        if ($cause !== 'move_cured') {
            $values += ['supply_part' => Value::of($parts['supply'], '%'), 'motor_part' => Value::of($parts['motor'], '%')];
        }
        $said = ['before' => Said::percent($parts['before']), 'after' => Said::percent($parts['after'])];
        $shares = ['supply' => Said::percent($parts['supply']), 'motor' => Said::percent($parts['motor'])];
        $findings = [Finding::of($status, $cause, in_array($cause, ['move_cured', 'too_balanced'], true) ? $said : $said + $shares)];
        if ($cause !== 'too_balanced') {
            $findings[] = Finding::note("leave_$better");
        }

        return new Judgement($findings, $values + ['best_position' => Value::text($better)], $marginal, $cautions, [Finding::note('basis')]);
    }

    /** @return 'same'|'before'|'after' where the lines are better left */
    private static function better(float $before, float $after): string
    {
        return match (Limit::over(abs($before - $after), self::SAME) ? $after <=> $before : 0) {
            -1 => 'after',
            1 => 'before',
            default => 'same',
        };
    }

    /**
     * @param array<array-key, float> $judged
     * @return array{0: string, 1: Status}
     */
    private static function cause(array $judged): array
    {
        if (Limit::over($judged['before'], self::CURED_FROM) && Limit::under($judged['after'], self::CURED_TO)) {
            return ['move_cured', Status::Watch];
        }
        if (! Limit::over($judged['before'], self::TOO_BALANCED) || ! Limit::over($judged['after'], self::TOO_BALANCED)) {
            return ['too_balanced', Status::Open];
        }
        $status = Limit::over(max($judged['before'], $judged['after']), self::STOP) ? Status::Stop : Status::Watch;

        return match (true) {
            ! Limit::under($judged['lead'], self::MARGIN) => ['supply', $status],
            ! Limit::over($judged['lead'], -self::MARGIN) => ['motor', $status],
            default => ['mixed', $status],
        };
    }

    /**
     * @param list<float> $amps three before, three after
     * @return array{before: float, after: float, supply: float, motor: float, lead: float} percent
     */
    private static function parts(array $amps): array
    {
        [$before, $after] = [ThreeLegs::of(array_slice($amps, 0, 3)), ThreeLegs::of(array_slice($amps, 3))];
        $departures = fn (ThreeLegs $legs): array => array_map(fn (float $a): float => 100 * ($a / $legs->average - 1), $legs->all());
        [$b, $a] = [$departures($before), $departures($after)];
        $d = [$a[0] - $b[0], $a[1] - $b[1], $a[2] - $b[2]];
        $s = [($d[1] - $d[0]) / 3, ($d[2] - $d[1]) / 3, ($d[0] - $d[2]) / 3];
        $supply = max(array_map(abs(...), $s));
        $motor = max(abs($b[0] - $s[0]), abs($b[1] - $s[1]), abs($b[2] - $s[2]));

        return ['before' => $before->unbalance(), 'after' => $after->unbalance(), 'supply' => $supply, 'motor' => $motor, 'lead' => $supply - $motor];
    }
}
