<?php

declare(strict_types=1);

namespace IronStart\Core\Piping;

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
 * The equivalent length of one line from end to end: its tube and, by the usual table, what every fitting counts as.
 *
 * A drier counts what its sheet says. Longer than what the sheet allows costs capacity and oil return.
 */
final class EquivalentLength implements Check, Draws
{
    use NoContradictions;

    public function id(): string
    {
        return 'piping.equivalent_length';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $length = fn (string $name): Field => Field::length($name)->startsIn('ft');

        return [
            Field::items(
                'runs',
                Field::tube('od')->structural(),
                Field::length('length')->startsIn('ft')->structural(),
                ...[...Fittings::fields(), Field::count('driers', 0, 10_000)->default(0)],
            )->needed(),
            $length('drier_equivalent')->default('0 ft'),
            $length('limit_equivalent')->neededWhen(fn (Input $in): bool => ! $in->given('limit_actual')),
            $length('limit_actual'),
            $length('limit_rise'),
            Field::length('rise', 'm', -300)->startsIn('ft')->neededWhen(fn (Input $in): bool => $in->given('limit_rise') || $in->given('trap_every')),
            $length('trap_every')->positive(),
            Field::count('traps', 0, 1000)->neededWhen(fn (Input $in): bool => $in->given('trap_every')),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        $m = fn (string $name): ?float => isset($values[$name]) ? Units::toCanonical((float) $values[$name]->value, 'ft', Kind::Length) : null;
        [$actual, $equivalent] = [$m('actual'), $m('equivalent')];
        $limit = $in->maybe('limit_equivalent');

        return $actual === null ? [] : Drawn::bars('m', [
            ['word' => 'actual', 'value' => $actual, 'is' => 'pale'],
            ['word' => 'equivalent', 'value' => $equivalent, 'is' => $limit !== null && $equivalent !== null && Limit::over($equivalent, $limit) ? 'stop' : 'plain'],
        ], $limit, ['ft', 'm']);
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if (! $in->given('runs')) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $actual = $equivalent = $saved = 0.0;
        foreach ($in->items('runs') as $run) {
            $length = (float) $run->in('length', 'ft');
            [$fittings, $gain] = self::fittings($in, $run);
            $actual += $length;
            $equivalent += $length + $fittings;
            $saved += $gain;
        }
        $values = ['actual' => Value::of($actual, 'ft'), 'equivalent' => Value::of($equivalent, 'ft'), 'saved_by_long_elbows' => Value::of($saved, 'ft')];
        $findings = [...self::lengths($in, $actual, $equivalent, $saved), ...self::riser($in, $values)];
        $isSilent = array_filter($in->items('runs'), Fittings::areCounted(...)) === [];
        if ($in->given('limit_equivalent') && $isSilent) {
            $findings[] = Finding::open('no_fittings', ['length' => Said::length(self::m($actual))]);
        }
        $findings = [...$findings, ...Missing::in($in)];
        if ($findings === []) {
            $findings[] = Finding::note('fits', ['equivalent' => Said::length(self::m($equivalent)), 'actual' => Said::length(self::m($actual))]);
        }

        return new Judgement($findings, $values, false, [], $basis);
    }

    /** @return array{float, float} ft that a run's fittings count, and what long elbows would save of it */
    private static function fittings(Input $in, Input $run): array
    {
        $od = $run->number('od');

        return [Fittings::feet($run, $od) + $run->int('driers') * ($in->in('drier_equivalent', 'ft') ?? 0.0), Fittings::saved($run, $od)];
    }

    /** @return list<Finding> */
    private static function lengths(Input $in, float $actual, float $equivalent, float $saved): array
    {
        $findings = [];
        $limit = $in->in('limit_equivalent', 'ft');
        if ($limit !== null && Limit::over($equivalent, $limit)) {
            $findings[] = Finding::stop('equivalent_over', ['equivalent' => Said::length(self::m($equivalent), self::m($limit)), 'limit' => Said::length(self::m($limit))]);
            if (! Limit::over($equivalent - $saved, $limit)) {
                $findings[] = Finding::stop('long_elbows_would_do', ['saved' => Said::length(self::m($saved))]);
            }
        }
        $limit = $in->in('limit_actual', 'ft');
        if ($limit !== null && Limit::over($actual, $limit)) {
            $findings[] = Finding::stop('actual_over', ['actual' => Said::length(self::m($actual), self::m($limit)), 'limit' => Said::length(self::m($limit))]);
        }

        return $findings;
    }

    /**
     * @param array<string, Value> $values gets the traps that are needed
     * @return list<Finding>
     */
    private static function riser(Input $in, array &$values): array
    {
        if (! $in->given('rise')) {
            return [];
        }
        $findings = [];
        $rise = abs($in->number('rise'));
        if ($in->given('limit_rise') && Limit::over(self::ft($rise), self::ft($in->number('limit_rise')))) {
            $findings[] = Finding::stop('rise_over', ['rise' => Said::length($rise, $in->number('limit_rise')), 'limit' => Said::length($in->number('limit_rise'))]);
        }
        if ($in->given('trap_every')) {
            $needed = (int) ceil($rise / $in->number('trap_every') - 1e-9);
            $values['traps_needed'] = Value::of($needed, '1');
            if ($in->given('traps') && $in->int('traps') < $needed) {
                $findings[] = Finding::stop('traps_short', ['traps' => $in->int('traps'), 'needed' => $needed, 'every' => Said::length($in->number('trap_every'))]);
            }
        }

        return $findings;
    }

    private static function m(float $feet): float
    {
        return Units::toCanonical($feet, 'ft', Kind::Length);
    }

    private static function ft(float $metres): float
    {
        return Units::fromCanonical($metres, 'ft', Kind::Length);
    }
}
