<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * What the ducts cost the blower: total external static against the nameplate, part by part, and the part that takes more
 * than its share. Read at less than full speed it rises by the square.
 */
final class StaticPressure implements Check, Draws
{
    /** in. w.c. a blower that runs makes at least; also what a hose may be off by. */
    private const NOTHING = 0.02;
    /** % of the nameplate. */
    private const CLEAR = 100.0;
    private const WATCH = 120.0;
    private const LOW = 15.0;
    /** % of the total that each part may take. */
    private const BUDGET = ['return' => 20.0, 'filter' => 20.0, 'coil' => 40.0, 'supply' => 20.0];

    public function id(): string
    {
        return 'air.static';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $static = fn (string $name): Field => Field::quantity($name, Kind::SmallPressure, 'Pa', -2500, 2500);

        return [
            $static('return_static')->needed(),
            $static('supply_static')->needed(),
            Field::quantity('filter_drop', Kind::SmallPressure, 'Pa', 0, 2500),
            Field::quantity('coil_drop', Kind::SmallPressure, 'Pa', 0, 2500),
            Field::quantity('plate_max', Kind::SmallPressure, 'Pa', 0, 2500)->positive()->fromSheet('air.plate_max')->needed(),
            Field::percent('fan_speed', 20, 100)->default(100.0),
            Field::flag('damper_relief')->default(false),
            Field::flag('doors_on'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->given('return_static') && $in->number('return_static') > 0) {
            yield new InputError('return_static', $in->number('return_static'), '0 or below', 'return_static: the return side reads below the room. Turn the hoses, or mind the minus.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $besides = [
            ...($in->flag('damper_relief') ? [Finding::watch('stopgap')] : []),
            ...($in->given('doors_on') && ! $in->flag('doors_on') ? [Finding::open('doors_off')] : []),
        ];
        $values = [];
        if (! $in->all('return_static', 'supply_static')) {
            return new Judgement([...$besides, ...Missing::in($in)], basis: [Finding::note('basis')]);
        }
        $total = (float) $in->in('supply_static', 'inH2O') - (float) $in->in('return_static', 'inH2O');
        $values['total_external'] = Value::of($total, 'inH2O');
        $makes = Limit::over($total, self::NOTHING);
        $parts = self::parts($in);
        $findings = $makes ? self::shares($parts, $total, $values) : [Finding::open('no_pressure', ['total' => self::said($total)])];
        if (array_filter($parts, fn (float $drop): bool => Limit::under($drop, -self::NOTHING)) !== [] && $makes) {
            $findings[] = Finding::watch('drops_do_not_add');
        }
        $isMarginal = false;
        $found = [];
        if ($in->given('plate_max')) {
            $times = ($in->number('fan_speed') / 100) ** 2;
            $full = $total / $times;
            if (Limit::under($in->number('fan_speed'), 100.0)) {
                $values['total_at_full_speed'] = Value::of($full, 'inH2O');
            }
            $plate = (float) $in->in('plate_max', 'inH2O');
            $values['share_of_plate'] = Value::of(100 * $full / $plate, '%');
            $of = fn (float $full): array => self::against($full, $plate);
            $found = $makes ? $of($full) : [];
            $u = self::NOTHING * sqrt(2) / $times;
            $isMarginal = $makes && array_filter([$u, -$u], fn (float $by): bool => Judgement::worst($of($full + $by)) !== Judgement::worst($found)) !== [];
        }

        return new Judgement([...$found, ...$findings, ...$besides, ...Missing::in($in)], $values, $isMarginal, basis: [Finding::note('basis')]);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['total_external'])) {
            return [];
        }
        $pascals = fn (float $inches): float => Units::toCanonical($inches, 'inH2O', Kind::SmallPressure);
        $plate = $in->maybe('plate_max');
        $look = '';
        $most = -INF;
        foreach (self::BUDGET as $part => $budget) {
            $share = isset($values["share_$part"]) ? (float) $values["share_$part"]->value - $budget : -INF;
            [$look, $most] = $share > $most ? [$part, $share] : [$look, $most];
        }

        return Drawn::stairs('Pa', array_map(
            fn (string $part, float $drop): array => ['word' => "static_$part", 'value' => $pascals($drop), 'is' => $part === $look ? 'stop' : 'plain'],
            array_keys(self::parts($in)),
            array_values(self::parts($in)),
        ), $plate === null ? null : $plate * ($in->number('fan_speed') / 100) ** 2, ['inH2O', 'Pa']);
    }

    /** @return array<string, float> in. w.c. that each part costs, in the way of the air */
    private static function parts(Input $in): array
    {
        $inches = fn (string $name): float => $in->in($name, 'inH2O') ?? 0.0;

        return [
            'return' => -$inches('return_static') - $inches('filter_drop'),
            ...($in->given('filter_drop') ? ['filter' => $inches('filter_drop')] : []),
            ...($in->given('coil_drop') ? ['coil' => $inches('coil_drop')] : []),
            'supply' => $inches('supply_static') - $inches('coil_drop'),
        ];
    }

    /**
     * @param array<string, float> $parts
     * @param array<string, Value> $values gets the share of each
     * @return list<Finding> where to look
     */
    private static function shares(array $parts, float $total, array &$values): array
    {
        $there = max(1.0, array_sum(array_intersect_key(self::BUDGET, $parts)));
        [$look, $most] = ['', 0.0];
        foreach ($parts as $part => $drop) {
            $share = 100 * $drop / $total;
            $values["share_$part"] = Value::of($share, '%');
            $over = $share - 100 * self::BUDGET[$part] / $there;
            // The first of two that are as far over is the one.
            [$look, $most] = $look === '' || Limit::over($over, $most) ? [$part, $over] : [$look, $most];
        }

        return [Finding::clear("look_at:$look", ['part' => Word::of('duct_part', $look), 'share' => Said::percent(100 * $parts[$look] / $total)])];
    }

    /** @return list<Finding> */
    private static function against(float $full, float $plate): array
    {
        $share = 100 * $full / $plate;
        $said = ['total' => self::said($full), 'plate' => self::said($plate), 'share' => Said::percent($share, Limit::over($share, self::WATCH) ? self::WATCH : self::CLEAR)];

        return match (true) {
            Limit::over($share, self::WATCH) => [Finding::stop('static_high', $said)],
            Limit::over($share, self::CLEAR) => [Finding::watch('static_high', $said)],
            Limit::under($share, self::LOW) => [Finding::watch('static_low', array_diff_key($said, ['share' => 1]))],
            default => [Finding::note('within', $said)],
        };
    }

    private static function said(float $inches): Said
    {
        return Said::air(Units::toCanonical($inches, 'inH2O', Kind::SmallPressure));
    }
}
