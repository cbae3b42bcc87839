<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Site;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Clock\Waits;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether what was pumped out is really empty, by how the pressure comes back over at least 5 min.
 *
 * A reading more than 2 psi under the highest since the start means it was pulled again: the rebound begins anew there.
 * Where liquid would stand under 10 psig at the coldest part, neither rise nor pressure can show it.
 *
 * @phpstan-type Point array{float, float}
 */
final class Rebound implements Check, Draws
{
    /** min, psi, psig. */
    private const SPAN = 5.0;
    private const RISE_STOP = 5.0;
    private const RISE_WATCH = 2.0;
    private const LAST_STOP = 10.0;
    private const FINISH = 2.0;
    private const PULLED = 2.0;
    /** psig; liquid that stands lower is not seen by a gauge. */
    private const SEEN = 10.0;
    /** Points from which on the end is projected. */
    private const PROJECTED_FROM = 5;

    public function id(): string
    {
        return 'refrigerant.rebound';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::items(
                'readings',
                Field::minutes('minutes')->structural(),
                Field::quantity('pressure', Kind::GaugePressure, 'kPag', -105, 6000)->structural(),
            )->needed(),
            Field::word('finish', 'at_zero', 'slight_vacuum')->needed(),
            Field::flag('frost_on_liquid_line')->default(false),
            Field::text('refrigerant')->fromSheet('circuit.refrigerant'),
            Field::temperature('ambient')->readWith(null),
            ...Site::fields(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $before = null;
        foreach ($in->items('readings') as $i => $reading) {
            $minutes = $reading->maybe('minutes');
            if ($minutes !== null && $before !== null && $minutes <= $before) {
                yield new InputError("readings.$i.minutes", $minutes / 60, 'a time later than the one before', "readings.$i.minutes: times must go up. Enter the minutes since the valve was closed.");
            }
            $before = $minutes ?? $before;
        }
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        if ($refrigerant !== null && $in->given('ambient') && ! $refrigerant->covers($in->number('ambient'))) {
            yield InputError::at('ambient', $in->number('ambient'), 'a temperature inside the table of this refrigerant', 'K is outside the table');
        }
    }

    public function judge(Input $in): Judgement
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        $cautions = ['refrigerant_handling', 'frostbite', 'eye_protection', ...($refrigerant?->isFlammable() === true ? ['flammable_refrigerant'] : [])];
        $basis = [Finding::note('basis')];
        $stands = $refrigerant !== null && $in->given('ambient')
            ? Units::fromCanonical($refrigerant->dewPressure($in->number('ambient')) - Site::pressure($in), 'psi', Kind::PressureDifference)
            : null;
        $basis[] = Finding::note($stands === null ? 'cold_not_judged' : 'cold_judged');
        $findings = $in->flag('frost_on_liquid_line') ? [Finding::stop('liquid_left', [], 'liquid_by_frost'), Finding::stop('frost')] : [];
        $values = [];
        if ($in->given('readings') && $in->items('readings') !== []) {
            $findings = [...$findings, ...self::rebound($in, $stands, $values)];
        }
        if ($stands !== null && $refrigerant !== null) {
            $values['stands_at'] = Value::of($stands, 'psig');
            if (Limit::under($stands, self::SEEN)) {
                $findings[] = Finding::watch('too_cold', ['at' => self::psig($stands), 'refrigerant' => $refrigerant->name()]);
            }
        }

        return new Judgement([...$findings, ...Missing::in($in)], $values, false, $cautions, $basis, sets: $values === [] ? [] : Waits::of(ClockKind::Stabilise, $values));
    }

    public static function drawing(Input $in, array $values): array
    {
        $points = self::points($in);
        $psi = fn (float $psig): float => Units::toCanonical($psig, 'psig', Kind::GaugePressure);

        return count($points) < 1 ? [] : Drawn::curve(
            'kPag',
            array_map(fn (array $p): array => [$p[0], $psi($p[1])], $points),
            [
                ['word' => 'liquid_above', 'value' => $psi(self::LAST_STOP), 'is' => 'stop'],
                ['word' => 'finish_at', 'value' => $psi(self::FINISH), 'is' => 'watch'],
                ...(isset($values['settles_at']) ? [['word' => 'settles', 'value' => $psi((float) $values['settles_at']->value), 'is' => 'pale']] : []),
            ],
            ['psig', 'barg'],
            self::start($points),
        );
    }

    /**
     * @param array<string, Value> $values gets what was found
     * @return list<Finding>
     */
    private static function rebound(Input $in, ?float $stands, array &$values): array
    {
        $points = self::points($in);
        $start = self::start($points);
        $counted = array_slice($points, $start);
        [$first, $last] = [$counted[0], $counted[count($counted) - 1]];
        $rise = $last[1] - $first[1];
        $span = $last[0] - $first[0];
        $values = ['rise' => Value::of($rise, 'psi'), 'last' => Value::of($last[1], 'psig')];
        $findings = $start > 0 ? [Finding::clear('pulled_again')] : [];
        $stops = [];
        if (Limit::over($rise, self::RISE_STOP)) {
            $stops[] = Finding::stop('rise', ['rise' => self::psi($rise, self::RISE_STOP), 'limit' => self::psi(self::RISE_STOP)]);
        }
        if (Limit::over($last[1], self::LAST_STOP)) {
            $stops[] = Finding::stop('pressure', ['last' => self::psig($last[1], self::LAST_STOP), 'limit' => self::psig(self::LAST_STOP)]);
        }
        if ($stops !== []) {
            $stops = [Finding::stop('liquid_left', ['last' => self::psig($last[1])]), ...$stops, ...(self::cameBack($points, $start) ? [Finding::stop('came_back')] : [])];
        }
        if (Limit::under($span, self::SPAN)) {
            $values['time_left'] = Value::of(self::SPAN - $span, 'min');
            $stops[] = Finding::open('wait', ['left' => Said::duration(60 * (self::SPAN - $span)), 'last' => self::psig($last[1])]);
        }
        $settles = self::settles($counted);
        if ($settles !== null) {
            $values['settles_at'] = Value::of($settles, 'psig');
        }
        if ($stops !== []) {
            return [...$findings, ...$stops];
        }
        $doubts = [];
        if (! Limit::under($rise, self::RISE_WATCH)) {
            $doubts[] = Finding::watch('gas_left', ['rise' => self::psi($rise), 'limit' => self::psi(self::RISE_WATCH)]);
        }
        if (Limit::over($last[1], self::FINISH)) {
            $doubts[] = Finding::watch('above_finish', ['last' => self::psig($last[1], self::FINISH), 'limit' => self::psig(self::FINISH)]);
        }
        if ($doubts === [] && ($stands === null || ! Limit::under($stands, self::SEEN)) && ! $in->flag('frost_on_liquid_line')) {
            $said = ['last' => self::psig($last[1]), 'rise' => self::psi($rise), 'span' => Said::duration(60 * $span)];
            $doubts[] = $last[1] < 0 ? Finding::clear('break_with_nitrogen', $said) : Finding::clear('open_now', $said, $in->text('finish') === 'at_zero' ? 'open_now' : 'open_now_nitrogen');
        }

        return [...$findings, ...$doubts];
    }

    /** @return list<Point> minutes and psig */
    private static function points(Input $in): array
    {
        $points = [];
        foreach ($in->items('readings') as $reading) {
            if ($reading->all('minutes', 'pressure')) {
                $points[] = [$reading->minutes('minutes'), Units::fromCanonical($reading->number('pressure'), 'psig', Kind::GaugePressure)];
            }
        }

        return $points;
    }

    /** @param list<Point> $points */
    private static function start(array $points): int
    {
        $start = 0;
        $highest = -INF;
        foreach ($points as $i => [, $pressure]) {
            if (Limit::over($highest - $pressure, self::PULLED)) {
                [$start, $highest] = [$i, $pressure];
            }
            $highest = max($highest, $pressure);
        }

        return $start;
    }

    /**
     * It came back once before it was pulled the last time.
     *
     * @param list<Point> $points
     */
    private static function cameBack(array $points, int $start): bool
    {
        $lowest = INF;
        foreach (array_slice($points, 0, $start) as [, $pressure]) {
            if (Limit::over($pressure - $lowest, self::PULLED)) {
                return true;
            }
            $lowest = min($lowest, $pressure);
        }

        return false;
    }

    /**
     * Where it would settle, from the last three readings as a first-order rise.
     *
     * @param list<Point> $points
     * @return float|null psig; null where it does not bend
     */
    private static function settles(array $points): ?float
    {
        if (count($points) < self::PROJECTED_FROM) {
            return null;
        }
        [[$t1, $p1], [$t2, $p2], [$t3, $p3]] = array_slice($points, -3);
        if ($p3 === $p2) {
            return $p3;
        }
        if ($p2 === $p1) {
            return null;
        }
        [$a, $b, $r] = [$t2 - $t1, $t3 - $t2, ($p3 - $p2) / ($p2 - $p1)];
        if ($r <= 0 || $r > 0.95 * $b / $a) {
            return null;
        }
        // r(k) = e^(−ak)·(1 − e^(−bk))/(1 − e^(−ak)) falls from b/a at 0 to nothing: halved to the last digit.
        $at = fn (float $k): float => exp(-$a * $k) * (1 - exp(-$b * $k)) / (1 - exp(-$a * $k));
        [$low, $high] = [1e-12, 1.0];
        while ($at($high) > $r && $high < 1e6) {
            $high *= 2;
        }
        for ($i = 0; $i < 100; $i++) {
            $middle = ($low + $high) / 2;
            if ($at($middle) > $r) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $p2 + ($p3 - $p2) / (1 - exp(-$b * ($low + $high) / 2));
    }

    private static function psig(float $psig, ?float $against = null): Said
    {
        $canonical = fn (?float $v): ?float => $v === null ? null : Units::toCanonical($v, 'psig', Kind::GaugePressure);

        return Said::gauge((float) $canonical($psig), $canonical($against));
    }

    private static function psi(float $psi, ?float $against = null): Said
    {
        $canonical = fn (?float $v): ?float => $v === null ? null : Units::toCanonical($v, 'psi', Kind::PressureDifference);

        return Said::pressureDifference((float) $canonical($psi), $canonical($against));
    }
}
