<?php

declare(strict_types=1);

namespace IronStart\Core\Survey;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the roof may carry the new one: its operating weight with accessories and adapter against what stood there.
 *
 * Up to the old weight nothing is asked, 5 % more is looked at; beyond, unknown, or on another spot, a structural
 * engineer's word decides, and lifts a stop only.
 */
final class Structure implements Check, Draws, DrawsOnRecord
{
    use NoContradictions;

    /** % of the old weight. */
    private const WATCH = 100.0;
    private const STOP = 105.0;

    public function id(): string
    {
        return 'survey.structure';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $mass = fn (string $name): Field => Field::mass($name)->readWith(null);

        return [
            $mass('new_weight')->needed()->fromSheet('weights.operating'),
            $mass('accessories')->default('0 kg'),
            $mass('adapter')->default('0 kg'),
            $mass('old_weight')->positive(),
            Field::flag('same_place')->default(true),
            Field::flag('engineer_approved')->default(false),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return CurbAdapter::in($past, $subject);
    }

    public static function drawing(Input $in, array $values): array
    {
        $total = $values['new_total'] ?? null;
        $old = $in->maybe('old_weight');

        return $total === null ? [] : Drawn::bars('kg', [
            ['word' => 'old_weight', 'value' => $old, 'is' => 'pale'],
            ['word' => 'new_weight', 'value' => (float) $total->value, 'is' => $old !== null && Limit::over(100 * (float) $total->value / $old, self::STOP) ? 'stop' : 'plain'],
        ], $old === null ? null : self::STOP / 100 * $old, ['lb', 'kg']);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: ['local_code'], basis: [Finding::note('basis')]);
        }
        $total = $in->number('new_weight') + $in->number('accessories') + $in->number('adapter');
        $values = ['new_total' => Value::weight($total)];
        $finding = self::compare($in, $total, $values);
        $findings = [$finding];
        if ($finding->status === Status::Stop && $in->flag('engineer_approved')) {
            $findings = [Finding::clear('engineer_approved', ['total' => Said::weight($total)]), Finding::clear($finding->code, $finding->params, "{$finding->phrase}_approved")];
        }

        return new Judgement($findings, $values, false, ['local_code'], [Finding::note('basis')]);
    }

    /** @param array<string, Value> $values gets the share of the old weight */
    private static function compare(Input $in, float $total, array &$values): Finding
    {
        $said = ['total' => Said::weight($total)];
        if (! $in->flag('same_place')) {
            return Finding::stop('new_place', $said);
        }
        $old = $in->maybe('old_weight');
        if ($old === null) {
            return Finding::stop('old_weight_unknown', $said);
        }
        $share = 100 * $total / $old;
        $values['of_old'] = Value::of($share, '%');
        $said += ['old' => Said::weight($old), 'share' => Said::percent($share, $share > (self::WATCH + self::STOP) / 2 ? self::STOP : self::WATCH)];

        return match (true) {
            Limit::over($share, self::STOP) => Finding::stop('heavier', $said),
            Limit::over($share, self::WATCH) => Finding::watch('heavier_watch', $said),
            default => Finding::note('lighter', $said),
        };
    }
}
