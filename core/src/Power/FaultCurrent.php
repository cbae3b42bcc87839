<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether the machine can stand the worst short here. Impedances add as vectors nobody knows on a roof, so the current is
 * told as two bounds and never as one figure too many: the source all reactance and the wire cold, or both all ohms.
 *
 * Limits: no machine where more can flow than its plate can stand, an unmarked plate is good for 5 kA (electrical code,
 * product standard for unit plates); %Z of a transformer ±10 %.
 */
final class FaultCurrent implements Check, Draws
{
    private const UNMARKED = 5000.0;
    private const TOLERANCE = 0.1;
    /** Ohms of a cold conductor against those at 75 °C. */
    private const COLD = 0.838;
    private const LABEL_STEP = 100.0;
    /** m in 1000 ft. */
    private const THOUSAND_FEET = 304.8;

    public function id(): string
    {
        return 'power.fault_current';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isTold = fn (Input $in): bool => $in->given('available');
        $hasWire = fn (Input $in): bool => $in->given('conductor') || $in->given('length');

        return [
            Field::amps('available', 0, 200_000)->positive()->startsIn('kA')->readWith(null),
            Field::quantity('kva', Kind::ApparentPower, 'kVA', 0, 10_000)->positive()->startsIn('kVA')->neededWhen(fn (Input $in): bool => ! $isTold($in)),
            Field::percent('impedance', 0.5, 20)->neededWhen(fn (Input $in): bool => ! $isTold($in)),
            Field::volts('line_voltage', 100)->neededWhen(fn (Input $in): bool => ! $isTold($in) || $hasWire($in)),
            Field::choice('phases', 1, 3)->default(3)->fromSheet('electrical.phases'),
            Field::word('conductor', ...Grounding::sizes())->neededWhen(fn (Input $in): bool => $in->given('length')),
            Field::length('length', 'm', 0, 5000)->neededWhen(fn (Input $in): bool => $in->given('conductor')),
            Field::word('material', 'cu', 'al')->default('cu'),
            Field::count('sets', 1, 12)->default(1),
            Field::amps('rating', 0, 200_000)->positive()->startsIn('kA')->readWith(null)->fromSheet('electrical.short_circuit_rating'),
            Field::flag('label_on'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach (['kva', 'impedance'] as $name) {
            if ($in->given('available') && $in->given($name)) {
                yield InputError::at($name, $in->number($name), 'the figure of the panel, or that of the transformer', 'stands beside the current at the panel');
            }
        }
        yield from Grounding::unmade($in, 'conductor');
    }

    public static function drawing(Input $in, array $values): array
    {
        return isset($values['rating'], $values['available_high'], $values['available_low'])
            ? Drawn::bars('A', [
                ['word' => 'can_flow', 'value' => (float) $values['available_high']->value, 'is' => Limit::over((float) $values['available_low']->value, (float) $values['rating']->value) ? 'stop' : 'plain'],
                ['word' => 'at_least', 'value' => (float) $values['available_low']->value, 'is' => 'pale'],
                ['word' => 'stands', 'value' => (float) $values['rating']->value, 'is' => 'pale'],
            ])
            : [];
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), [], false, ['local_code'], $basis);
        }
        [$high, $low, $source] = self::bounds($in);
        $rating = $in->maybe('rating') ?? self::UNMARKED;
        $label = self::LABEL_STEP * ceil($high / self::LABEL_STEP - 1e-9);
        $values = [
            'at_source' => Value::of($source, 'A'), 'available_high' => Value::of($high, 'A'), 'available_low' => Value::of($low, 'A'),
            'rating' => Value::of($rating, 'A'), 'label_amps' => Value::of($label, 'A'),
        ];
        $said = ['high' => Said::kiloamps($high), 'low' => Said::kiloamps($low), 'rating' => Said::kiloamps($rating)];
        $only = fn (string ...$names): array => array_intersect_key($said, array_flip($names));
        $isUnclear = Limit::over($high, $rating) && ! Limit::over($low, $rating);
        $findings = [
            ...($in->given('rating') ? [] : [Finding::clear('default_rating')]),
            match (true) {
                ! Limit::over($high, $rating) => Finding::note('stands_it', $only('high', 'rating')),
                $isUnclear => Finding::watch('rating_unclear', $said),
                default => Finding::stop('over_fault_rating', $only('low', 'rating')),
            },
            ...($in->given('label_on') && ! $in->flag('label_on') ? [Finding::watch('label_missing', ['label' => Said::kiloamps($label)])] : []),
        ];

        return new Judgement($findings, $values, $isUnclear, ['local_code'], $basis);
    }

    /** @return array{float, float, float} A: the most, the least, and the most at the source */
    private static function bounds(Input $in): array
    {
        $k = $in->int('phases') === 3 ? sqrt(3) : 1.0;
        $volts = $in->maybe('line_voltage') ?? 0.0;
        $plain = $in->given('available') ? $in->number('available') : 1000 * $in->number('kva') / ($k * $volts) * 100 / $in->number('impedance');
        $tolerance = $in->given('available') ? 0.0 : self::TOLERANCE;
        [$most, $least] = [$plain / (1 - $tolerance), $plain / (1 + $tolerance)];
        if (! $in->given('conductor')) {
            return [$most, $least, $most];
        }
        $ohms = Ampacity::resistance($in->text('material'), $in->text('conductor')) * $in->number('length') / self::THOUSAND_FEET / $in->int('sets') * ($in->int('phases') === 3 ? 1 : 2);
        [$zMost, $zLeast] = [$volts / ($k * $most), $volts / ($k * $least)];

        return [$volts / ($k * sqrt($zMost ** 2 + (self::COLD * $ohms) ** 2)), $volts / ($k * ($zLeast + $ohms)), $most];
    }
}
