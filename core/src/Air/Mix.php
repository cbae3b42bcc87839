<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * How much of the air that enters the coil comes from outdoors: (return − mixed)/(return − outdoor), against what the
 * schedule asks of that damper position.
 *
 * Meaningless where the two are near each other, too unsure where three thermometers could turn the answer.
 */
final class Mix implements Check, Draws
{
    /** °F between return and outdoor air. */
    private const APART = 5.0;
    /** °F a thermometer may be off by. */
    private const THERMOMETER = 0.9;
    /** % */
    private const UNSURE = 10.0;
    private const CLEAR = 5.0;
    private const WATCH = 15.0;

    public function id(): string
    {
        return 'air.mix';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $air = fn (string $name): Field => Field::temperature($name, -60, 80)->readWith(Instrument::Thermometer)->needed();
        $flow = fn (string $name): Field => Field::quantity($name, Kind::AirFlow, 'm3/h', 0)->positive()->readWith(null);

        return [
            $air('return_db'),
            $air('mixed_db'),
            $air('outdoor_db'),
            Field::percent('wanted_fraction', 0, 100),
            $flow('wanted_airflow'),
            $flow('supply_airflow')->neededWhen(fn (Input $in): bool => $in->given('wanted_airflow')),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('wanted_fraction', 'wanted_airflow')) {
            yield new InputError('wanted_airflow', $in->number('wanted_airflow'), 'a share or an airflow, not both', 'wanted_airflow: the share already says it. Leave one out.');
        }
        if ($in->all('wanted_airflow', 'supply_airflow') && $in->number('wanted_airflow') > $in->number('supply_airflow')) {
            yield new InputError('wanted_airflow', $in->number('wanted_airflow'), 'no more than the supply air', 'wanted_airflow: more than the blower moves. Check both figures.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $f = fn (string $name): float => (float) $in->in($name, 'degF');
        $apart = $f('return_db') - $f('outdoor_db');
        if (Limit::under(abs($apart), self::APART)) {
            return new Judgement([Finding::open('too_close', [], 'no_difference')], basis: $basis);
        }
        $share = ($f('return_db') - $f('mixed_db')) / $apart;
        $fraction = 100 * $share;
        $u = 100 * self::THERMOMETER / abs($apart) * sqrt((1 - $share) ** 2 + 1 + $share ** 2);
        $values = ['outdoor_fraction' => Value::of($fraction, '%'), 'uncertainty' => Value::of($u, '%')];
        $said = ['fraction' => Said::percent($fraction), 'unsure' => Said::percent($u)];
        if (Limit::under($fraction + $u, 0.0) || Limit::over($fraction - $u, 100.0)) {
            return new Judgement([Finding::open('outside_range', ['fraction' => $said['fraction']], 'no_mixture')], $values, basis: $basis);
        }
        if (Limit::over($u, self::UNSURE)) {
            return new Judgement([Finding::open('too_close', $said)], $values, basis: $basis);
        }
        $wanted = self::wanted($in);
        $of = fn (float $fraction): array => self::against($fraction, $wanted, $said);
        if ($wanted !== null) {
            $values['off_wanted'] = Value::of($fraction - $wanted, '%');
        }
        if ($in->given('supply_airflow')) {
            $values['outdoor_airflow'] = Value::of($share * (float) $in->in('supply_airflow', 'cfm'), 'cfm');
        }
        $findings = $of($fraction);
        $status = Judgement::worst($findings);
        $isMarginal = array_filter([$u, -$u], fn (float $by): bool => Judgement::worst($of($fraction + $by)) !== $status) !== [];

        return new Judgement($findings, $values, $isMarginal, basis: $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['outdoor_fraction'])) {
            return [];
        }
        $wanted = self::wanted($in);

        return Drawn::bars('%', [
            ['word' => 'outdoor_air', 'value' => max(0.0, (float) $values['outdoor_fraction']->value), 'is' => $wanted !== null && Limit::over(abs((float) $values['outdoor_fraction']->value - $wanted), self::WATCH) ? 'stop' : 'plain'],
            ...($wanted === null ? [] : [['word' => 'wanted', 'value' => $wanted, 'is' => 'pale']]),
        ], 100.0);
    }

    /** @return float|null %, as the schedule asks of this damper position */
    private static function wanted(Input $in): ?float
    {
        return $in->given('wanted_airflow') && $in->given('supply_airflow')
            ? 100 * $in->number('wanted_airflow') / $in->number('supply_airflow')
            : $in->maybe('wanted_fraction');
    }

    /**
     * @param array<string, Said> $said
     * @return list<Finding>
     */
    private static function against(float $fraction, ?float $wanted, array $said): array
    {
        $outside = Limit::under($fraction, 0.0) || Limit::over($fraction, 100.0) ? [Finding::watch('outside_range')] : [];
        if ($wanted === null) {
            return [...$outside, Finding::note('fraction', $said)];
        }
        $off = $fraction - $wanted;
        $said = ['fraction' => $said['fraction'], 'wanted' => Said::percent($wanted)];

        return [...$outside, match (true) {
            ! Limit::over(abs($off), self::CLEAR) => Finding::note('as_wanted', $said),
            Limit::over(abs($off), self::WATCH) => Finding::stop($off < 0 ? 'outdoor_air_low' : 'outdoor_air_high', $said),
            default => Finding::watch($off < 0 ? 'outdoor_air_low' : 'outdoor_air_high', $said),
        }];
    }
}
