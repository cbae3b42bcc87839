<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * How much more, or how much out: from settled points along the line through the last two, never more than twice the last
 * step, never past 110 % of the weighed total, never out of a machine that holds 90 % of it or less. Scale and thermometer
 * have to agree.
 *
 * All figures in oz and °F.
 */
final class Trim implements Check, Draws, DrawsOnRecord
{
    private const RIGHT = 3.0;
    /** Of the weighed total. */
    private const CAP = 1.10;
    private const FLOOR = 0.90;
    private const MOVED = 0.05;
    /** °F/oz that a 5-ton machine should answer with at least. */
    private const ANSWER = 0.05;
    private const TONS = 5.0;
    /** First step: share of the total, and oz at least and at most. */
    private const FIRST = ['tube_fin' => [0.03, 5.0, 32.0], 'microchannel' => [0.01, 1.0, 8.0]];
    /** Times the last step the next one may be. */
    private const GROWS = ['tube_fin' => 2.0, 'microchannel' => 1.0];
    private const SAME = 0.05;
    private const SUPERHEAT = [5.0, 20.0];
    private const SUBCOOLING = [5.0, 15.0];
    private const SEAL = 2.0;

    public function id(): string
    {
        return 'charge.trim';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $reading = fn (string $name): Field => Field::quantity($name, Kind::TemperatureDifference, 'K_diff', -60, 100);

        return [
            Field::word('metering', 'txv', 'eev', 'fixed')->fromSheet('circuit.metering')->needed(),
            Field::quantity('target', Kind::TemperatureDifference, 'K_diff', 0, 30)->readWith(null)->needed(),
            Field::mass('weighed_total')->positive()->readWith(null)->needed(),
            Field::quantity('size', Kind::Heat, 'W', 0)->positive()->startsIn('ton')->fromSheet('air.tons')->needed(),
            Field::mass('sheet_first_step')->positive()->readWith(null),
            Field::word('condenser', 'tube_fin', 'microchannel')->default('tube_fin'),
            Field::text('refrigerant')->fromSheet('circuit.refrigerant'),
            Field::items('steps', Field::mass('mass_in_total')->structural(), $reading('subcooling'), $reading('superheat'))->needed(),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $weighed = $past->last('charge.weigh_in', $subject)['values']['total'] ?? null;

        return $past->stillOpen('charge.trim', $subject, ['target', 'weighed_total', 'size', 'steps', 'condenser']) + ($weighed === null ? [] : ['weighed_total' => $weighed]);
    }

    public function contradictions(Input $in): iterable
    {
        $before = null;
        foreach ($in->items('steps') as $i => $step) {
            $mass = $step->in('mass_in_total', 'oz');
            if ($mass !== null && $before !== null && abs($mass - $before) <= self::SAME) {
                yield new InputError("steps.$i.mass_in_total", $step->number('mass_in_total'), 'another mass than the step before', "steps.$i.mass_in_total: that is the mass of the step before. Enter what is in now.");
            }
            $before = $mass;
        }
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['refrigerant_handling', 'frostbite', ...(Refrigerant::named($in->text('refrigerant'))?->isFlammable() === true ? ['flammable_refrigerant'] : [])];
        $basis = [Finding::note('basis')];
        $missing = [...Missing::in($in), ...self::unread($in)];
        if ($missing !== []) {
            return new Judgement($missing, cautions: $cautions, basis: $basis);
        }
        $total = (float) $in->in('weighed_total', 'oz');
        $values = ['cap' => Value::of(self::CAP * $total, 'oz')];
        $findings = self::findings($in, $total, $values);
        if (self::isBlend($in) && Judgement::worst($findings) === Status::Watch) {
            $findings[] = Finding::note('blend');
        }

        return new Judgement($findings, $values, false, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['cap'])) {
            return [];
        }
        $kg = fn (float $oz): float => Units::toCanonical($oz, 'oz', Kind::Mass);
        $steps = $in->items('steps');
        $now = (float) $steps[count($steps) - 1]->in('mass_in_total', 'oz');
        $next = isset($values['next']) ? (float) $values['next']->value : 0.0;

        return Drawn::bars('kg', [
            ['word' => 'weighed_total', 'value' => $in->maybe('weighed_total'), 'is' => 'pale'],
            ['word' => 'in_now', 'value' => $kg($now)],
            ...(abs($next) < 1e-9 ? [] : [['word' => 'in_then', 'value' => $kg($now + $next)]]),
        ], $kg((float) $values['cap']->value), ['lb', 'kg']);
    }

    /**
     * @param array<string, Value> $values gets the error, the slope and the next step
     * @return list<Finding>
     */
    private static function findings(Input $in, float $total, array &$values): array
    {
        $isValve = $in->text('metering') !== 'fixed';
        $sign = $isValve ? 1.0 : -1.0;
        $steps = array_map(fn (Input $s): array => [(float) $s->in('mass_in_total', 'oz'), (float) $s->in($isValve ? 'subcooling' : 'superheat', 'delta_degF')], $in->items('steps'));
        [$mass, $reading] = $steps[count($steps) - 1];
        $error = (float) $in->in('target', 'delta_degF') - $reading;
        $isLacking = $error * $sign > 0;
        $values['error'] = Value::of($error, 'delta_degF');
        $last = $in->items('steps')[count($steps) - 1];
        $other = $last->in($isValve ? 'superheat' : 'subcooling', 'delta_degF');
        if (! Limit::over(abs($error), self::RIGHT)) {
            $values['next'] = Value::of(0.0, 'oz');

            return [Finding::clear('right', ['reading' => self::degrees($reading)]), ...self::besides($isValve, $mass, $total, $other)];
        }
        $stop = self::contradicted($isValve, $isLacking, $mass, $total, $other);
        if ($stop !== null) {
            $values['next'] = Value::of(0.0, 'oz');

            return [$stop, Finding::stop('not_charge', [], 'not_charge_besides')];
        }
        $kind = $in->text('condenser');
        $first = $isLacking && Limit::under($mass, self::FLOOR * $total) ? [Finding::watch('weigh_first', ['short' => self::ounces($total - $mass)])] : [];
        [$next, $found] = count($steps) === 1
            ? [($isLacking ? 1 : -1) * ($in->in('sheet_first_step', 'oz') ?? max(self::FIRST[$kind][1], min(self::FIRST[$kind][2], self::FIRST[$kind][0] * $total))), [Finding::watch('first_step')]]
            : self::alongTheLine($in, $steps, $error, $sign, $isLacking, $total, $kind, $values);
        if ($next === null) {
            $values['next'] = Value::of(0.0, 'oz');

            return $found;
        }
        $cut = self::CAP * $total - $mass;
        $isCut = Limit::over($next, $cut);
        $next = $isCut ? $cut : $next;
        $values['next'] = Value::of($next, 'oz');
        $said = ['next' => self::ounces(abs($next)), 'reading' => self::degrees($reading), 'target' => self::degrees((float) $in->in('target', 'delta_degF'))];

        return [Finding::watch($isLacking ? 'add' : 'recover', $said), ...$first, ...$found, ...($isCut ? [Finding::watch('at_cap', ['cap' => self::ounces(self::CAP * $total)])] : [])];
    }

    /** @return list<Finding> what the scale or the other figure says though the reading is right */
    private static function besides(bool $isValve, float $mass, float $total, ?float $other): array
    {
        return [
            ...(Limit::under($mass, self::FLOOR * $total) || Limit::over($mass, self::CAP * $total) ? [Finding::watch('weight_disagrees', ['mass' => self::ounces($mass), 'total' => self::ounces($total)])] : []),
            ...($isValve && $other !== null && Limit::under($other, self::SUPERHEAT[0]) ? [Finding::watch('superheat_low', ['superheat' => self::degrees($other)])] : []),
            ...($isValve && $other !== null && Limit::over($other, self::SUPERHEAT[1]) ? [Finding::watch('superheat_high', ['superheat' => self::degrees($other)])] : []),
        ];
    }

    /** What says that it is not the charge. */
    private static function contradicted(bool $isValve, bool $isLacking, float $mass, float $total, ?float $other): ?Finding
    {
        $overfed = $other !== null && ($isValve ? $isLacking && Limit::under($other, self::SUPERHEAT[0]) : ! $isLacking && Limit::under($other, self::SUBCOOLING[0]));
        $starved = $other !== null && ($isValve ? ! $isLacking && Limit::over($other, self::SUPERHEAT[1]) : $isLacking && Limit::over($other, self::SUBCOOLING[1]));
        $said = ['mass' => self::ounces($mass), 'total' => self::ounces($total)] + ($other === null ? [] : ['other' => self::degrees($other)]);

        return match (true) {
            $overfed => Finding::stop('overfed', $said, $isValve ? 'overfed' : 'overfed_fixed'),
            $starved => Finding::stop('starved', $said, $isValve ? 'starved' : 'starved_fixed'),
            $isLacking && ! Limit::under($mass, self::CAP * $total) => Finding::stop('over_total', $said),
            ! $isLacking && ! Limit::over($mass, self::FLOOR * $total) => Finding::stop('under_total', $said),
            default => null,
        };
    }

    /**
     * @param list<array{float, float}> $steps oz and °F, two or more
     * @param array<string, Value> $values gets slopes and estimate
     * @return array{float|null, list<Finding>} oz; null where it stops
     */
    private static function alongTheLine(Input $in, array $steps, float $error, float $sign, bool $isLacking, float $total, string $kind, array &$values): array
    {
        $n = count($steps);
        [$mass] = $steps[$n - 1];
        $moved = abs($mass - $steps[$n - 2][0]);
        $slope = ($steps[$n - 1][1] - $steps[$n - 2][1]) / ($mass - $steps[$n - 2][0]);
        $overall = $mass === $steps[0][0] ? $slope : ($steps[$n - 1][1] - $steps[0][1]) / ($mass - $steps[0][0]);
        $values += ['slope' => Value::of($slope, 'delta_degF/oz'), 'slope_overall' => Value::of($overall, 'delta_degF/oz')];
        $floor = self::ANSWER * self::TONS / (float) $in->in('size', 'ton');
        $direction = $isLacking ? 1.0 : -1.0;
        if (Limit::under($slope * $sign, $floor) && Limit::under($overall * $sign, $floor)) {
            $masses = array_column($steps, 0);
            if ($sign === 1.0 && $isLacking && max(-INF, ...array_column($steps, 1)) < self::SEAL && Limit::under($mass, $total)) {
                return [min($moved, $total - $mass), [Finding::watch('no_seal')]];
            }
            if (Limit::under(max(-INF, ...$masses) - min(INF, ...$masses), self::MOVED * $total)) {
                return [$direction * $moved, [Finding::watch('step_again')]];
            }

            return [null, [Finding::stop('not_charge')]];
        }
        $used = ! Limit::under($slope * $sign, $floor) ? $slope : $overall;
        $estimate = $error / $used;
        $values['estimate'] = Value::of($estimate, 'oz');
        $most = self::GROWS[$kind] * $moved;

        return [max(-$most, min($most, $estimate)), []];
    }

    /** @return list<Finding> of each step the reading that counts */
    private static function unread(Input $in): array
    {
        if (! $in->given('metering')) {
            return [];
        }
        $counts = $in->text('metering') === 'fixed' ? 'superheat' : 'subcooling';
        $found = [];
        foreach ($in->items('steps') as $i => $step) {
            if (! $step->given($counts)) {
                $found[] = Missing::at("steps.$i.$counts");
            }
        }

        return $found;
    }

    private static function isBlend(Input $in): bool
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));

        return $refrigerant !== null && $refrigerant->dewPressure(280.0) !== $refrigerant->bubblePressure(280.0);
    }

    private static function ounces(float $oz): Said
    {
        return Said::charge(Units::toCanonical($oz, 'oz', Kind::Mass));
    }

    private static function degrees(float $degF): Said
    {
        return Said::temperatureDifference(Units::toCanonical($degF, 'delta_degF', Kind::TemperatureDifference));
    }
}
