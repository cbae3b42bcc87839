<?php

declare(strict_types=1);

namespace IronStart\Core\Compressor;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether it burned, and which clean-up follows.
 *
 * The severe plan is a watch and no stop: the signs of the dead compressor never change, so a stop could
 * never be lifted; the plan's work is what lifts it.
 */
final class Acid implements Check, DrawsOnRecord
{
    use NoContradictions;

    /** min a system may stand open where the oil drinks water. */
    private const OPEN_TIME = 15.0;
    private const DRINKS_WATER = ['POE', 'PVE'];

    public function id(): string
    {
        return 'compressor.acid';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        return [
            Field::word('oil_acid', 'none', 'slight', 'strong', 'not_tested')->needed(),
            Field::word('failure', 'mechanical', 'electrical_mild', 'electrical_burnout', 'unknown')->needed(),
            Field::word('oil_colour', 'clear', 'dark', 'black')->needed(),
            Field::word('oil_type', 'POE', 'PVE', 'MO', 'AB')->needed()->fromSheet('circuit.oil_type'),
            Field::flag('lines_reused')->needed(),
            Field::quantity('open_time', Kind::Time, 'min', 0)->positive()->fromSheet('circuit.open_time'),
        ];
    }

    /** What was told of the oil and the failure when the way out was decided. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $told = $past->last('refrigerant.way_out', 'machine')['input'] ?? [];

        return array_filter(['oil_acid' => $told['acid'] ?? null, 'failure' => $told['failure'] ?? null], fn (mixed $word): bool => ! in_array($word, [null, 'not_tested', 'unknown'], true));
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: ['refrigerant_handling'], basis: $basis);
        }
        $minutes = $in->in('open_time', 'min') ?? (in_array($in->text('oil_type'), self::DRINKS_WATER, true) ? self::OPEN_TIME : null);
        $findings = [...self::plan($in), Finding::note('same_oil', ['oil' => $in->text('oil_type')])];
        if ($minutes !== null) {
            $findings[] = Finding::note('open_time', ['minutes' => Said::duration(60 * $minutes)]);
            $basis[] = Finding::note($in->given('open_time') ? 'open_time_sheet' : 'open_time_default');
        }

        return new Judgement($findings, $minutes === null ? [] : ['open_time_limit' => Value::of($minutes, 'min')], false, $in->flag('lines_reused') && $findings[0]->code === 'severe' ? ['refrigerant_handling', 'flush_solvent'] : ['refrigerant_handling'], $basis);
    }

    /** @return list<Finding> */
    private static function plan(Input $in): array
    {
        $acid = $in->text('oil_acid');
        $colour = $in->text('oil_colour');
        if ($acid === 'strong' || $colour === 'black' || $in->text('failure') === 'electrical_burnout') {
            $severe = [Finding::watch('severe')];

            return $in->flag('lines_reused') ? [...$severe, Finding::watch('flush_lines')] : $severe;
        }

        if ($acid === 'not_tested' && in_array($in->text('failure'), ['unknown', 'electrical_mild'], true)) {
            return [Finding::open('test_first')];
        }
        $untested = $acid === 'not_tested' ? [Finding::watch('not_tested')] : [];

        return match (true) {
            $acid === 'slight' || $colour === 'dark' => [Finding::watch('cleanup'), ...$untested],
            // Nobody tested: "no sign of acid" is not said.
            $untested !== [] => [...$untested, Finding::clear('standard', [], 'standard_untested')],
            default => [Finding::clear('standard')],
        };
    }
}
