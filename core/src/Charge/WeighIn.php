<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * How much goes in: what the factory ships, what the lines beyond the included length want by their size, what each part
 * adds, less what is in already; and what of it went in by the scale.
 *
 * Several sizes share one included length: it comes off the largest first.
 */
final class WeighIn implements Check, Draws, DrawsOnRecord
{
    /** oz over or to go that no scale minds. */
    private const SCALE = 0.5;
    /** % of the total that may be over. */
    private const OVER = 2.0;

    public function id(): string
    {
        return 'charge.weigh_in';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $hasLines = fn (Input $in): bool => ($rule = $in->group('charge_rule')) === null || $rule->items('rates') !== [] || $rule->number('included_length') > 0;

        return [
            Field::group(
                'charge_rule',
                Field::mass('factory_charge')->readWith(null)->needed(),
                Field::length('included_length')->startsIn('ft')->default('0 ft'),
                Field::flag('per_total_length')->default(false),
                Field::flag('remove_for_short')->default(false),
                Field::items('rates', Field::tube('liquid_od')->structural(), Field::quantity('per_length', Kind::MassPerLength, 'kg/m', 0, 10)->readWith(null)->structural()),
                Field::items('adders', Field::text('when')->structural(), Field::quantity('mass', Kind::Mass, 'kg', -100, 1000)->readWith(null)->structural()),
            )->fromSheet('circuit.charge_rule', asStart: true)->needed(),
            Field::items('lines', Field::tube('liquid_od')->structural(), Field::length('length', 'm', 0, 1000)->startsIn('ft')->structural())->neededWhen($hasLines),
            Field::text('matched_indoor'),
            Field::items('applies', Field::text('when')->structural(), Field::count('count', 0, 1000)->default(1)),
            Field::mass('already_in')->readWith(null)->needed(),
            Field::items('ledger', Field::text('cylinder'), Field::mass('start')->needed(), Field::mass('end')->needed()),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return $past->stillOpen('charge.weigh_in', $subject, ['lines', 'applies', 'matched_indoor', 'already_in', 'ledger']);
    }

    public function contradictions(Input $in): iterable
    {
        yield from Sizes::twice($in->group('charge_rule')?->items('rates') ?? []);
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['refrigerant_handling', 'frostbite', 'core_ejected'];
        $basis = [Finding::note('basis')];
        $values = $steps = [];
        $findings = self::total($in, $values, $steps);
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), $values, false, $cautions, $basis);
        }
        if (! isset($values['total'])) {
            return new Judgement($findings, $values, false, $cautions, $basis);
        }
        $total = (float) $values['total']->value;
        $inSoFar = 0.0;
        foreach ($in->items('ledger') as $line) {
            $inSoFar += self::ounces($line->number('start') - $line->number('end'));
        }
        $left = $total - self::ounces($in->number('already_in')) - $inSoFar;
        $values += ['in_so_far' => Value::of($inSoFar, 'oz'), 'to_go' => Value::of($left, 'oz')];
        $scale = self::scale($left, $total);
        $findings = [...$scale, ...$findings, ...$steps];
        // Each line of the ledger is two readings of the scale.
        $u = self::SCALE * sqrt(2 * count($in->items('ledger')));
        $of = fn (float $left): Status => Judgement::worst(self::scale($left, $total));
        $isMarginal = array_filter([$u, -$u], fn (float $by): bool => $of($left + $by) !== $of($left)) !== [];

        return new Judgement($findings, $values, $isMarginal, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['total'])) {
            return [];
        }
        $kg = fn (string $name): float => Units::toCanonical((float) $values[$name]->value, 'oz', Kind::Mass);
        $left = isset($values['to_go']) ? (float) $values['to_go']->value : null;
        $isOver = $left !== null && Limit::under($left, -self::SCALE);
        $part = fn (string $word, float $kilograms): array => ['word' => $word, 'value' => $kilograms, 'said' => Said::charge($kilograms)];

        return Drawn::column(
            array_values(array_filter([
                $part('factory', $kg('total') - $kg('line_charge') - $kg('adders')), $part('for_lines', $kg('line_charge')), $part('for_parts', $kg('adders')),
            ], fn (array $one): bool => $one['value'] !== 0.0)),
            ($in->maybe('already_in') ?? 0.0) + (isset($values['in_so_far']) ? $kg('in_so_far') : 0.0),
            $isOver ? 'stop' : 'plain',
            $left === null ? null : ['word' => $isOver ? 'over' : 'to_go', 'said' => Said::charge(abs($kg('to_go')))],
        );
    }

    /**
     * @param array<string, Value> $values gets the terms and their sum
     * @param list<Finding>        $steps  gets each term as it is reckoned
     * @return list<Finding> what keeps it from being summed, and what looks wrong in it
     */
    private static function total(Input $in, array &$values, array &$steps): array
    {
        $rule = $in->group('charge_rule');
        if ($rule === null || ! $rule->given('factory_charge') || in_array('lines', $in->missing, true)) {
            return [];
        }
        [$lines, $noRate] = self::lines($in, $rule, $steps);
        [$adders, $unknown] = self::adders($in, $rule, $steps);
        $values = ['adders' => Value::of(self::ounces($adders), 'oz')];
        if ($noRate !== []) {
            return [...array_map(fn (string $size): Finding => Finding::open("no_rate:$size", ['size' => "$size in."]), $noRate), ...$unknown];
        }
        $factory = $rule->number('factory_charge');
        $total = $factory + $lines + $adders;
        $values = ['line_charge' => Value::of(self::ounces($lines), 'oz')] + $values + ['total' => Value::of(self::ounces($total), 'oz')];
        $steps[] = Finding::note('sum', ['factory' => Said::charge($factory), 'lines' => Said::charge($lines), 'adders' => Said::charge($adders), 'total' => Said::charge($total)]);
        $isLarge = ! $rule->flag('per_total_length') && Limit::over(self::ounces($lines), self::ounces($factory));

        return [...$unknown, ...($isLarge ? [Finding::watch('line_charge_large', ['lines' => Said::charge($lines), 'factory' => Said::charge($factory)])] : [])];
    }

    /**
     * @param list<Finding> $steps
     * @return array{float, list<string>} kg, and the sizes without a rate
     */
    private static function lines(Input $in, Input $rule, array &$steps): array
    {
        $rates = $lengths = [];
        foreach ($rule->items('rates') as $rate) {
            $rates[Sizes::key($rate->number('liquid_od'))] = $rate->number('per_length');
        }
        foreach ($in->items('lines') as $line) {
            $od = $line->number('liquid_od');
            $lengths[(string) $od] = ($lengths[(string) $od] ?? 0.0) + $line->number('length');
        }
        krsort($lengths, SORT_NUMERIC);
        $included = $rule->flag('per_total_length') ? 0.0 : $rule->number('included_length');
        $kilograms = 0.0;
        $noRate = [];
        foreach ($lengths as $od => $length) {
            $counts = max(0.0, $length - $included);
            $included -= $length - $counts;
            $size = Sizes::key((float) $od);
            if ($counts <= 0) {
                continue;
            }
            if (! isset($rates[$size])) {
                $noRate[] = $size;
                continue;
            }
            $kilograms += $counts * $rates[$size];
            $steps[] = Finding::note('term_line', ['length' => Said::length($counts), 'size' => "$size in.", 'mass' => Said::charge($counts * $rates[$size])]);
        }
        $largest = array_key_first($lengths);
        if ($included > 0 && $largest !== null && $rule->flag('remove_for_short')) {
            $rate = $rates[Sizes::key((float) $largest)] ?? null;
            if ($rate === null) {
                return [$kilograms, [Sizes::key((float) $largest)]];
            }
            $kilograms -= $included * $rate;
            $steps[] = Finding::note('term_short', ['length' => Said::length($included), 'mass' => Said::charge($included * $rate)]);
        }

        return [$kilograms, $noRate];
    }

    /**
     * @param list<Finding> $steps
     * @return array{float, list<Finding>} kg, and what names no adder
     */
    private static function adders(Input $in, Input $rule, array &$steps): array
    {
        $counts = $written = [];
        foreach ($in->items('applies') as $one) {
            $name = self::plain($one->text('when'));
            $counts[$name] = ($counts[$name] ?? 0) + $one->int('count');
            $written[$name] ??= $one->text('when');
        }
        $matched = self::plain($in->text('matched_indoor'));
        $kilograms = 0.0;
        $named = [];
        foreach ($rule->items('adders') as $adder) {
            $name = self::plain($adder->text('when'));
            $named[$name] = true;
            $times = $name === 'always' || ($matched !== '' && $name === $matched) ? 1 : $counts[$name] ?? 0;
            if ($times > 0) {
                $kilograms += $times * $adder->number('mass');
                $steps[] = Finding::note('term_adder', ['name' => $adder->text('when'), 'times' => $times, 'mass' => Said::charge($times * $adder->number('mass'))]);
            }
        }

        return [$kilograms, array_map(fn (string $as): Finding => Finding::watch("no_adder:$as", ['name' => $as]), array_values(array_diff_key($written, $named)))];
    }

    /**
     * What the scale says of what is still to go.
     *
     * @param float $left  oz, below 0 where it is over
     * @param float $total oz
     * @return list<Finding>
     */
    private static function scale(float $left, float $total): array
    {
        $kg = fn (float $ounces): float => Units::toCanonical($ounces, 'oz', Kind::Mass);
        $said = ['left' => Said::charge($kg(abs($left))), 'total' => Said::charge($kg($total))];

        return match (true) {
            Limit::over($left, self::SCALE) => [Finding::open('to_go', $said)],
            ! Limit::over(-$left, self::SCALE) => [Finding::note('weighed', $said)],
            Limit::over(-100 * $left / $total, self::OVER) => [Finding::stop('over_limit', $said)],
            default => [Finding::watch('over', $said)],
        };
    }

    private static function plain(string $name): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', '', $name));
    }

    private static function ounces(float $kilograms): float
    {
        return Units::fromCanonical($kilograms, 'oz', Kind::Mass);
    }
}
