<?php

declare(strict_types=1);

namespace IronStart\Core\Dry;

use IronStart\Core\Air\MoistAir;
use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Numeric\LeastSquares;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * A pull-down as it goes: when it will be down, by the last third of its logarithm, and whether it has stalled.
 *
 * @phpstan-import-type Point from Reading
 */
final class Log implements Check, Draws, DrawsOnRecord
{
    /** min and % of fall in it under which it stands still; % of rise over which it goes the wrong way. */
    private const WINDOW = 10.0;
    private const FALL = 5.0;
    /** Points from which on its end is reckoned. */
    private const POINTS = 3;
    /** Of the pressure at which water boils in the coldest part. */
    private const BOILS = [0.5, 1.1];
    private const PUMP = 0.5;

    public function id(): string
    {
        return 'dry.log';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Reading::field(),
            Reading::micron('target', 100_000)->positive()->readWith(null)->default('500 micron'),
            Reading::micron('pump_blank_off', 100_000)->positive(),
            Field::temperature('coldest_part', -90, 100)->readWith(Instrument::Thermometer),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return $past->stillOpen('dry.log', $subject, ['readings', 'target', 'pump_blank_off']);
    }

    public function contradictions(Input $in): iterable
    {
        yield from Reading::backwards($in);
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['no_insulation_test_in_vacuum', 'never_run_in_vacuum'];
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $points = Reading::points($in);
        $target = Units::fromCanonical($in->number('target'), 'micron', Kind::AbsolutePressure);
        [$end, $last] = $points[count($points) - 1];
        $fall = self::fall($points);
        $values = $fall === null ? [] : ['fall_in_10_min' => Value::of($fall, '%')];
        if (! Limit::over($last, $target)) {
            return new Judgement([Finding::clear('at_target', ['last' => self::said($last, $target), 'target' => self::said($target)])], [], false, $cautions, $basis);
        }
        $left = self::left($points, $target);
        if ($left !== null) {
            $values['time_to_target'] = Value::of($left, 'min');
        }
        $said = ['last' => self::said($last), 'target' => self::said($target)];
        $findings = $fall !== null && Limit::under($fall, self::FALL)
            ? self::stalled($in, $last, $fall, $said)
            : [Finding::open('pulling', $said + ($left === null ? [] : ['left' => Said::duration(60 * $left)]), $left === null ? 'pulling' : 'pulling_until')];

        return new Judgement($findings, $values, false, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        $points = Reading::points($in);
        if ($points === []) {
            return [];
        }
        $end = $points[count($points) - 1];
        $left = isset($values['time_to_target']) ? (float) $values['time_to_target']->value : null;
        $target = $in->number('target');

        return Drawn::curve(
            'Pa',
            array_map(fn (array $p): array => [$p[0], Reading::pascals($p[1])], $points),
            [['word' => 'pull_to', 'value' => $target, 'is' => 'watch']],
            ['micron', 'micron'],
            byDecades: true,
            fit: $left === null ? [] : [[$end[0], Reading::pascals($end[1])], [$end[0] + $left, $target]],
        );
    }

    /**
     * @param array<string, Said> $said
     * @return list<Finding> why it may stand still, in the order to look
     */
    private static function stalled(Input $in, float $last, float $fall, array $said): array
    {
        $coldest = $in->maybe('coldest_part');
        $boils = $coldest === null ? null : Units::fromCanonical(MoistAir::saturation($coldest), 'micron', Kind::AbsolutePressure);
        $blank = $in->in('pump_blank_off', 'micron');

        return [
            Finding::watch('stalled', $said),
            ...(Limit::under($fall, -self::FALL) ? [Finding::watch('rising')] : []),
            ...($boils !== null && Limit::within($last, self::BOILS[0] * $boils, self::BOILS[1] * $boils) ? [Finding::watch('water_boiling', ['boils' => self::said($boils)])] : []),
            ...($blank !== null && ! Limit::under($blank, self::PUMP * $last) ? [Finding::watch('pump_weak', ['blank' => self::said($blank)])] : []),
        ];
    }

    /**
     * @param list<Point> $points
     * @return float|null % of fall since ten minutes ago; null while it is not that long
     */
    private static function fall(array $points): ?float
    {
        [$end, $last] = $points[count($points) - 1];
        $before = null;
        foreach ($points as [$t, $p]) {
            $before = ! Limit::under($end - $t, self::WINDOW) ? $p : $before;
        }

        return $before === null ? null : 100 * (1 - $last / $before);
    }

    /**
     * @param list<Point> $points
     * @return float|null min until the target; null where it does not fall
     */
    private static function left(array $points, float $target): ?float
    {
        $end = $points[count($points) - 1][0];
        $span = $end - $points[0][0];
        $third = array_values(array_filter($points, fn (array $p): bool => ! Limit::under($p[0], $end - $span / 3)));
        if (count($third) < self::POINTS) {
            return null;
        }
        $line = LeastSquares::line(array_column($third, 0), array_map(fn (array $p): float => log($p[1]), $third));

        return $line['slope'] < 0 ? max(0.0, (log($target) - $line['intercept']) / $line['slope'] - $end) : null;
    }

    private static function said(float $micron, ?float $against = null): Said
    {
        return Said::micron(Reading::pascals($micron), $against === null ? null : Reading::pascals($against));
    }
}
