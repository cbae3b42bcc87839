<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether the charge is pumped down or recovered.
 *
 * Pumped down only by a compressor that runs, behind valves that shut, without acid, a burnout, a leak on the low side or a
 * mixture, for work outside what the charge is packed into, and where it fits 90 % of what the condenser stores.
 */
final class WayOut implements Check, Draws
{
    use NoContradictions;

    /** % of the condenser's storage a charge may take. */
    private const STORAGE = 90.0;
    /** Work that may lie on either side of the liquid valve. */
    private const EITHER_SIDE = ['metering', 'drier'];
    private const INSIDE = ['condenser', 'compressor'];

    public function id(): string
    {
        return 'refrigerant.way_out';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $mass = fn (string $name): Field => Field::mass($name)->positive()->readWith(null);

        return [
            Field::flag('compressor_runs')->needed(),
            Field::word('acid', 'none', 'slight', 'strong', 'not_tested')->needed(),
            Field::word('work_on', 'line_set', 'indoor_coil', 'metering', 'drier', 'condenser', 'compressor')->needed(),
            Field::flag('service_valves')->needed(),
            $mass('charge')->fromSheet('circuit.factory_charge'),
            $mass('condenser_storage')->fromSheet('circuit.storage'),
            Field::word('failure', 'mechanical', 'electrical_mild', 'electrical_burnout', 'unknown'),
            Field::flag('low_side_leak')->default(false),
            Field::flag('on_line_side'),
            Field::flag('mixed')->default(false),
            Field::flag('safety_bypassed')->default(false),
            Field::items('zones', Field::text('name')->structural(), Field::mass('room')->readWith(null)),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        return isset($values['storage_use']) ? Drawn::bars('kg', [
            ['word' => 'charge', 'value' => $in->maybe('charge'), 'is' => Limit::over((float) $values['storage_use']->value, self::STORAGE) ? 'stop' : 'plain'],
            ['word' => 'storage', 'value' => $in->maybe('condenser_storage'), 'is' => 'pale'],
        ], self::STORAGE / 100 * $in->number('condenser_storage'), ['lb', 'kg']) : [];
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['refrigerant_handling', 'core_ejected', 'eye_protection', 'confined_space', 'asbestos'];
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $reasons = self::reasons($in);
        $values = $in->all('charge', 'condenser_storage') ? ['storage_use' => Value::of(self::use($in), '%')] : [];
        $findings = $reasons === [] ? self::pumpDown($in) : [Finding::clear('recover'), ...$reasons];
        if ($reasons === []) {
            $cautions = [...$cautions, 'bypassed_safety', 'hand_on_contactor', 'working_alone'];
        }
        if ($in->given('zones') && in_array($in->text('acid'), ['none', 'not_tested'], true) && $in->text('failure') !== 'electrical_burnout' && ! $in->flag('mixed')) {
            $findings[] = Finding::clear('move_offered', ['zones' => array_map(fn (Input $zone): string => $zone->text('name'), $in->items('zones'))]);
        }
        $sets = [];
        if ($in->flag('safety_bypassed')) {
            $findings[] = Finding::clear('putback:safety_bypassed');
            $sets[] = Effect::opens(PutBackKind::SafetyBypassed);
        }

        return new Judgement($findings, $values, false, $cautions, $basis, sets: $sets);
    }

    /** @return list<Finding> each reason to recover */
    private static function reasons(Input $in): array
    {
        $workInside = in_array($in->text('work_on'), self::INSIDE, true)
            || (in_array($in->text('work_on'), self::EITHER_SIDE, true) && $in->given('on_line_side') && ! $in->flag('on_line_side'));
        $holds = [
            'work_inside' => $workInside,
            'acid' => in_array($in->text('acid'), ['slight', 'strong'], true),
            'burnout' => $in->text('failure') === 'electrical_burnout',
            'no_valves' => ! $in->flag('service_valves'),
            'compressor_dead' => ! $in->flag('compressor_runs'),
            'low_side_leak' => $in->flag('low_side_leak'),
            'mixed' => $in->flag('mixed'),
        ];
        $reasons = array_map(fn (string $code): Finding => Finding::clear($code), array_keys(array_filter($holds)));
        if ($in->all('charge', 'condenser_storage') && Limit::over(self::use($in), self::STORAGE)) {
            $reasons[] = Finding::clear('storage_short', ['charge' => Said::charge($in->number('charge')), 'storage' => Said::charge($in->number('condenser_storage'))]);
        }

        return $reasons;
    }

    /** @return list<Finding> */
    private static function pumpDown(Input $in): array
    {
        $doubts = [
            'storage_unknown' => ! $in->all('charge', 'condenser_storage'),
            'acid_not_tested' => $in->text('acid') === 'not_tested',
            'side_unknown' => in_array($in->text('work_on'), self::EITHER_SIDE, true) && ! $in->given('on_line_side'),
        ];
        $doubts = array_keys(array_filter($doubts));

        return [
            ...array_map(fn (string $code): Finding => Finding::watch($code), $doubts),
            $doubts === [] ? Finding::clear('pump_down') : Finding::clear('pump_down', [], 'pump_down_then'),
        ];
    }

    /** @return float % of the storage the charge takes */
    private static function use(Input $in): float
    {
        return 100 * $in->number('charge') / $in->number('condenser_storage');
    }
}
