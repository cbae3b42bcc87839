<?php

declare(strict_types=1);

namespace IronStart\Core\Piping;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;

/**
 * Where a valve's sensing bulb sits on the suction line, as the hour on a clock face that looks along the pipe.
 *
 * Below 7/8 in on the top half, from there on at 4 or 8; oil runs at the bottom and hides the gas's temperature. The
 * sheet's hours win, whatever the size.
 */
final class Bulb implements Check
{
    use NoContradictions;

    /** m; from this size on the bulb goes to the side. */
    private const LARGE = 0.875 * 0.0254;
    private const HOURS = 12.0;
    private const TOP = 12.0;
    private const BOTTOM = 6.0;
    private const SIDES = [4.0, 8.0];
    /** Hours round the dial. */
    private const NEAR = 0.5;
    private const TOP_HALF = 2.0;
    private const SIDE_HALF = 4.0;
    private const LOWEST = 1.0;

    public function id(): string
    {
        return 'piping.bulb';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::tube('od')->needed(),
            Field::word('orientation', 'horizontal', 'vertical')->needed(),
            Field::number('clock', 0, 12)->neededWhen(fn (Input $in): bool => $in->text('orientation') === 'horizontal'),
            Field::flag('tail_up')->neededWhen(fn (Input $in): bool => $in->text('orientation') === 'vertical'),
            Field::flag('insulated')->needed(),
            Field::flag('strapped')->needed(),
            Field::numbers('sheet_clock', 0, 12),
            Field::word('place', 'straight', 'fitting', 'trap'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $findings = [];
        if ($in->given('strapped') && ! $in->flag('strapped')) {
            $findings[] = Finding::stop('loose');
        }
        if ($in->given('insulated') && ! $in->flag('insulated')) {
            $findings[] = Finding::watch('not_insulated');
        }
        $findings = [...$findings, ...match ($in->text('place')) {
            'trap' => [Finding::stop('on_trap')],
            'fitting' => [Finding::watch('on_fitting')],
            default => [],
        }];
        if ($in->text('orientation') === 'vertical') {
            $findings[] = Finding::watch('vertical');
            if ($in->given('tail_up') && ! $in->flag('tail_up')) {
                $findings[] = Finding::stop('tail_down');
            }
        } elseif ($in->all('orientation', 'clock')) {
            $findings = [...$findings, ...self::place($in)];
        }
        $findings = [...$findings, ...Missing::in($in)];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('right', ['clock' => Said::number(self::hour($in->number('clock')), 1)]);
        }

        return new Judgement($findings, [], false, [], [Finding::note($in->given('sheet_clock') ? 'from_sheet' : 'basis')]);
    }

    /** @return list<Finding> */
    private static function place(Input $in): array
    {
        $clock = $in->number('clock');
        $said = ['clock' => Said::number(self::hour($clock), 1)];
        $fromBottom = self::apart($clock, self::BOTTOM);
        if ($in->given('sheet_clock')) {
            $hours = $in->numbers('sheet_clock');
            if (array_filter($hours, fn (float $hour): bool => ! Limit::over(self::apart($clock, $hour), self::NEAR)) !== []) {
                return [];
            }
            $off = Finding::watch('not_as_sheet', $said + ['sheet' => array_map(fn (float $h): string => (string) $h, $hours)]);

            return Limit::under($fromBottom, self::LOWEST) ? [$off, Finding::stop('at_bottom', $said)] : [$off];
        }
        if (! $in->given('od')) {
            return [];
        }
        if ($in->number('od') < self::LARGE - 1e-6) {
            $fromTop = self::apart($clock, self::TOP);

            return match (true) {
                ! Limit::over($fromTop, self::TOP_HALF) => [],
                ! Limit::over($fromTop, self::SIDE_HALF) => [Finding::watch('off_position', $said, 'off_position_small')],
                default => [Finding::stop('at_bottom', $said)],
            };
        }

        return match (true) {
            array_filter(self::SIDES, fn (float $side): bool => ! Limit::over(self::apart($clock, $side), self::NEAR)) !== [] => [],
            Limit::under($fromBottom, self::LOWEST) => [Finding::stop('at_bottom', $said)],
            default => [Finding::watch('off_position', $said)],
        };
    }

    /** Hours between two places, the short way round. */
    private static function apart(float $one, float $other): float
    {
        $apart = abs(self::hour($one) - self::hour($other));

        return min($apart, self::HOURS - $apart);
    }

    private static function hour(float $clock): float
    {
        return $clock === 0.0 ? self::HOURS : $clock;
    }
}
