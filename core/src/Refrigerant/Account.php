<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * The account of every mass that was moved, each from the scale before and after.
 *
 * What came back is held against nameplate and field charge together: under 80 % it had leaked, over 110 % it is not what
 * the nameplate says. Hoses hold ounces: more that is put down as lost is a leak.
 */
final class Account implements Check, Draws
{
    use NoContradictions;

    private const WEIGHED = ['recovered', 'charged', 'returned'];
    private const BY_MASS = ['lost', 'moved'];
    /** % of nameplate and field charge. */
    private const UNDER = 80.0;
    private const OVER = 110.0;
    private const LOST = 5.0;
    /** oz */
    private const LOST_OUNCES = 8.0;
    private const GAP = 1.0;

    public function id(): string
    {
        return 'refrigerant.account';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $weighed = fn (string $name): Field => Field::mass($name)->neededWhen(fn (Input $in): bool => in_array($in->text('kind'), self::WEIGHED, true));

        return [
            Field::items(
                'entries',
                Field::word('kind', ...[...self::WEIGHED, ...self::BY_MASS])->structural(),
                Field::text('cylinder'),
                $weighed('start'),
                $weighed('end'),
                Field::mass('mass')->neededWhen(fn (Input $in): bool => in_array($in->text('kind'), self::BY_MASS, true)),
                Field::text('from'),
                Field::text('to'),
            )->needed(),
            Field::mass('plate_charge')->positive()->readWith(null)->fromSheet('circuit.factory_charge')->neededWhen(fn (Input $in): bool => self::of($in, 'recovered') !== []),
            Field::mass('field_charge')->readWith(null)->default('0 kg'),
            Field::mass('in_system_start')->readWith(null),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        $kg = fn (string $name): ?float => isset($values[$name]) ? Units::toCanonical((float) $values[$name]->value, 'oz', Kind::Mass) : null;
        $plate = $in->maybe('plate_charge');

        return $kg('net') === null ? [] : Drawn::bars('kg', [
            ...($plate === null ? [] : [['word' => 'plate_charge', 'value' => $plate + $in->number('field_charge'), 'is' => 'pale']]),
            ['word' => 'recovered', 'value' => $kg('recovered')],
            ['word' => 'charged', 'value' => $kg('charged')],
            ['word' => 'lost', 'value' => $kg('lost')],
        ], null, ['lb', 'kg']);
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['refrigerant_handling', 'manual_handling'];
        $basis = [Finding::note('basis')];
        $findings = self::weighings($in);
        if ($in->missing !== []) {
            return new Judgement([...$findings, ...Missing::in($in)], cautions: $cautions, basis: $basis);
        }
        $sums = [];
        foreach ([...self::WEIGHED, ...self::BY_MASS] as $kind) {
            $sums[$kind] = (float) array_sum(array_map(self::mass(...), self::of($in, $kind)));
        }
        $net = $sums['charged'] - $sums['recovered'] - $sums['returned'] - $sums['lost'];
        $values = array_map(self::ounces(...), $sums + ['net' => $net]);
        $plate = $in->maybe('plate_charge');
        $whole = $plate === null ? null : $plate + $in->number('field_charge');
        $findings = [...$findings, ...self::against($in, $sums, $whole, $values), ...self::system($in, $net, $whole, $values)];
        if ($findings === []) {
            $findings[] = Finding::note('balances', ['recovered' => Said::charge($sums['recovered']), 'charged' => Said::charge($sums['charged']), 'lost' => Said::charge($sums['lost'])]);
        }

        return new Judgement($findings, $values, false, $cautions, $basis);
    }

    /** @return list<Finding> what one weighing says against itself or the one before it */
    private static function weighings(Input $in): array
    {
        $findings = $stood = $gaps = [];
        foreach ($in->items('entries') as $i => $entry) {
            $mass = self::isComplete($entry) ? self::mass($entry) : 0.0;
            if (Limit::under(self::inOunces($mass), 0.0)) {
                $findings[] = Finding::watch("wrong_way:$i", ['line' => $i + 1, 'cylinder' => $entry->text('cylinder') === '' ? 'none' : $entry->text('cylinder')]);
            }
            $cylinder = $entry->text('cylinder');
            $before = $stood[$cylinder] ?? null;
            if ($cylinder !== '' && $before !== null && $entry->given('start') && ! isset($gaps[$cylinder]) && Limit::over(self::inOunces(abs($entry->number('start') - $before)), self::GAP)) {
                $gaps[$cylinder] = true;
                $findings[] = Finding::watch("gap:$cylinder", ['cylinder' => $cylinder, 'by' => Said::charge(abs($entry->number('start') - $before))]);
            }
            $stood[$cylinder] = $entry->maybe('end') ?? $before;
        }

        return $findings;
    }

    /**
     * @param array<string, float> $sums kg
     * @param array<string, Value> $values gets the share
     * @return list<Finding>
     */
    private static function against(Input $in, array $sums, ?float $whole, array &$values): array
    {
        if ($whole === null) {
            return [];
        }
        $findings = [];
        if (self::of($in, 'recovered') !== []) {
            $share = 100 * $sums['recovered'] / $whole;
            $values['recovered_share'] = Value::of($share, '%');
            $said = ['recovered' => Said::charge($sums['recovered']), 'whole' => Said::charge($whole)];
            $findings = match (true) {
                Limit::under($share, self::UNDER) => [Finding::watch('under_plate', $said + ['share' => Said::percent($share, self::UNDER)])],
                Limit::over($share, self::OVER) => [Finding::watch('over_plate', $said + ['share' => Said::percent($share, self::OVER)])],
                default => [],
            };
        }
        if (Limit::over(self::inOunces($sums['lost']), self::LOST_OUNCES) && Limit::over(100 * $sums['lost'] / $whole, self::LOST)) {
            $findings[] = Finding::watch('lost_large', ['lost' => Said::charge($sums['lost'])]);
        }

        return $findings;
    }

    /**
     * @param array<string, Value> $values gets what is in the system
     * @return list<Finding>
     */
    private static function system(Input $in, float $net, ?float $whole, array &$values): array
    {
        if (! $in->given('in_system_start')) {
            return [];
        }
        $now = $in->number('in_system_start') + $net;
        $values['in_system'] = self::ounces($now);

        return match (true) {
            Limit::under(self::inOunces($now), -self::GAP) => [Finding::watch('more_out_than_in', ['by' => Said::charge(-$now)])],
            $whole !== null && Limit::over(100 * $now / $whole, self::OVER) => [Finding::watch('in_system_over', ['now' => Said::charge($now), 'whole' => Said::charge($whole)])],
            default => [],
        };
    }

    /** @return list<Input> the entries of a kind */
    private static function of(Input $in, string $kind): array
    {
        return array_values(array_filter($in->items('entries'), fn (Input $entry): bool => $entry->text('kind') === $kind));
    }

    private static function isComplete(Input $entry): bool
    {
        return in_array($entry->text('kind'), self::BY_MASS, true) ? $entry->given('mass') : $entry->all('start', 'end');
    }

    /** @return float kg that were moved; what goes into the system counts up as its cylinder gets lighter */
    private static function mass(Input $entry): float
    {
        return match ($entry->text('kind')) {
            'charged' => $entry->number('start') - $entry->number('end'),
            'lost', 'moved' => $entry->number('mass'),
            default => $entry->number('end') - $entry->number('start'),
        };
    }

    private static function ounces(float $kilograms): Value
    {
        return Value::of(self::inOunces($kilograms), 'oz');
    }

    private static function inOunces(float $kilograms): float
    {
        return Units::fromCanonical($kilograms, 'oz', Kind::Mass);
    }
}
