<?php

declare(strict_types=1);

namespace IronStart\Core\Heat;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/** Each bank of an electric heater by its amps at this voltage: its kilowatts go with the square of the volts. */
final class Electric implements Check, Draws
{
    use NoContradictions;

    /** Of the rated volts. */
    private const OVER = 1.10;
    private const UNDER = 0.75;
    /** % of what is expected. */
    private const OPEN = 10.0;
    private const OFF = 10.0;
    /** % a leg may be off the mean. */
    private const LEG = 10.0;
    private const LEG_STOP = 30.0;

    public function id(): string
    {
        return 'heat.electric';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::volts('volts')->positive()->needed(),
            Field::choice('phases', 3, 1)->default(3),
            Field::items(
                'stages',
                Field::text('name')->structural(),
                Field::quantity('kw_rated', Kind::ElectricPower, 'kW', 0)->positive()->readWith(null)->structural(),
                Field::volts('volts_rated')->positive()->readWith(null)->structural(),
                Field::amps('amps_a')->needed(),
                Field::amps('amps_b'),
                Field::amps('amps_c'),
            )->uniqueBy('name')->fromSheet('heat.electric', asStart: true)->needed(),
            Field::flag('airflow_proved')->needed(),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $missing = [...Missing::in($in), ...self::legsMissing($in)];
        $values = [];
        $findings = $in->given('airflow_proved') && ! $in->flag('airflow_proved') ? [Finding::stop('no_airflow_proof')] : [];
        if ($in->given('volts')) {
            foreach ($in->items('stages') as $stage) {
                if (self::isRead($in, $stage)) {
                    $findings = [...$findings, ...self::bank($in, $stage, $values)];
                }
            }
        }
        $findings = [...$findings, ...$missing];
        if ($missing === []) {
            $values += self::total($in);
            if (Judgement::worst($findings) === Status::Clear) {
                $findings[] = Finding::note('right', ['capacity' => Said::kilowatts((float) $values['capacity']->value), 'share' => Said::percent((float) $values['capacity_share']->value)]);
            }
        }

        return new Judgement($findings, $missing === [] ? $values : [], false, ['qualified_electrical', 'hot_surfaces', 'burn_off_smoke', 'working_alone'], [Finding::note('basis')]);
    }

    public static function drawing(Input $in, array $values): array
    {
        $bars = [];
        foreach ($in->items('stages') as $stage) {
            $name = $stage->text('name');
            if (isset($values["average_amps:$name"], $values["expected_amps:$name"])) {
                $share = 100 * (float) $values["average_amps:$name"]->value / (float) $values["expected_amps:$name"]->value;
                $bars[] = ['name' => $name, 'value' => $share, 'is' => Limit::over(abs($share - 100), self::OFF) ? 'stop' : 'plain'];
            }
        }

        return $bars === [] ? [] : Drawn::bars('%', $bars, 100.0);
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function bank(Input $in, Input $stage, array &$values): array
    {
        $name = $stage->text('name');
        $legs = self::legs($in, $stage);
        [$volts, $rated] = [$in->number('volts'), $stage->number('volts_rated')];
        $expected = $stage->number('kw_rated') * ($volts / $rated) ** 2 / (self::factor($in) * $volts);
        $mean = array_sum($legs) / count($legs);
        $values += ["expected_amps:$name" => Value::of($expected, 'A'), "average_amps:$name" => Value::of($mean, 'A')];
        $said = ['name' => $name, 'amps' => Said::amps($mean), 'expected' => Said::amps($expected), 'volts' => Said::volts($volts), 'rated' => Said::volts($rated)];
        $only = fn (string ...$names): array => array_intersect_key($said, array_flip(['name', ...$names]));
        $findings = match (true) {
            Limit::over($volts, self::OVER * $rated) => [Finding::stop("over_rated:$name", $only('volts', 'rated'))],
            Limit::under($volts, self::UNDER * $rated) => [Finding::watch("under_rated:$name", $only('volts', 'rated'))],
            default => [],
        };
        if (Limit::under(100 * $mean, self::OPEN * $expected)) {
            return [...$findings, Finding::stop("element_open:$name", $only('amps', 'expected'))];
        }
        $worst = max(array_map(fn (float $leg): float => 100 * abs($leg - $mean) / $mean, $legs));
        $off = ['name' => $name, 'off' => Said::percent($worst, Limit::over($worst, self::LEG_STOP) ? self::LEG_STOP : self::LEG)];

        return [
            ...$findings,
            ...match (true) {
                Limit::over($worst, self::LEG_STOP) => [Finding::stop("legs_unequal:$name", $off, 'leg_out')],
                Limit::over($worst, self::LEG) => [Finding::watch("legs_unequal:$name", $off)],
                default => [],
            },
            ...(Limit::over(100 * abs($mean - $expected) / $expected, self::OFF) ? [Finding::watch("amps_off:$name", $only('amps', 'expected'))] : []),
        ];
    }

    /** @return array<string, Value> */
    private static function total(Input $in): array
    {
        $rated = $capacity = $power = 0.0;
        foreach ($in->items('stages') as $stage) {
            $rated += $stage->number('kw_rated') / 1e3;
            $capacity += $stage->number('kw_rated') / 1e3 * ($in->number('volts') / $stage->number('volts_rated')) ** 2;
            $legs = self::legs($in, $stage);
            $power += self::factor($in) * $in->number('volts') * array_sum($legs) / count($legs) / 1e3;
        }

        return ['capacity' => Value::of($capacity, 'kW'), 'capacity_share' => Value::of(100 * $capacity / $rated, '%'), 'total_power' => Value::of($power, 'kW')];
    }

    private static function factor(Input $in): float
    {
        return $in->int('phases') === 3 ? sqrt(3) : 1.0;
    }

    /** @return list<string> */
    private static function names(Input $in): array
    {
        return $in->int('phases') === 3 ? ['amps_a', 'amps_b', 'amps_c'] : ['amps_a'];
    }

    private static function isRead(Input $in, Input $stage): bool
    {
        return $stage->all(...self::names($in));
    }

    /** @return non-empty-list<float> */
    private static function legs(Input $in, Input $stage): array
    {
        return $in->int('phases') === 3 ? [$stage->number('amps_a'), $stage->number('amps_b'), $stage->number('amps_c')] : [$stage->number('amps_a')];
    }

    /** @return list<Finding> of three phases each leg */
    private static function legsMissing(Input $in): array
    {
        $found = [];
        foreach ($in->items('stages') as $i => $stage) {
            foreach (array_slice(self::names($in), 1) as $name) {
                if (! $stage->given($name)) {
                    $found[] = Missing::at("stages.$i.$name", $stage->text('name'));
                }
            }
        }

        return $found;
    }
}
