<?php

declare(strict_types=1);

namespace IronStart\Core\Piping;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether old lines or an old coil may stay: size, wall and rating for the new refrigerant, the old oil, acid, and whether
 * it was held by itself.
 *
 * A line's wall by the piping code's formula with annealed copper (a brazed hard tube is soft at its joint):
 * p = 2·S·t/(OD − 0.8·t), S 6,000 psi at 100 °F on the liquid side, 5,100 psi at 150 °F on the gas side (ASME B31.5).
 */
final class Reuse implements Check, Draws, DrawsOnRecord
{
    /** psi */
    private const STRESS = ['liquid' => 6000.0, 'gas' => 5100.0];
    private const LINES = ['liquid', 'gas'];
    private const ACIDIC = ['slight', 'strong'];
    /** Share of the lowest design pressure a hold says enough at. */
    private const HELD = 0.95;
    private const INCH = 0.0254;

    public function id(): string
    {
        return 'piping.reuse';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isLine = fn (Input $in): bool => in_array($in->text('kind'), self::LINES, true);
        $isCoil = fn (Input $in): bool => $in->text('kind') === 'coil';
        $flushed = fn (Input $in): bool => in_array($in->text('flush'), ['blown', 'solvent'], true);
        $gauge = fn (string $name, float $max): Field => Field::quantity($name, Kind::GaugePressure, 'MPag', 0, $max)->positive()->readWith(null)->startsIn('psig');
        $wall = fn (string $name): Field => Field::length($name, 'mm', 0, 10)->positive()->takesFractions()->startsIn('in');

        return [
            Field::items(
                'parts',
                Field::text('name')->structural(),
                Field::word('kind', 'liquid', 'gas', 'coil')->structural(),
                $gauge('design', 20)->needed(),
                $gauge('rating', 50)->neededWhen($isCoil),
                Field::flag('damaged')->default(false),
                Field::word('hidden', 'none', 'brazed', 'flares', 'unknown')->needed(),
                Field::tube('od')->neededWhen($isLine),
                Field::tubes('sheet_od')->neededWhen($isLine),
                $wall('wall')->neededWhen(fn (Input $in): bool => $isLine($in) && (! $in->given('rating') || $in->given('sheet_wall'))),
                $wall('sheet_wall'),
                Field::length('length', 'm', 0, 1000)->positive()->startsIn('ft')->neededWhen($isLine),
                Field::word('length_from', 'measured', 'drawing', 'guessed')->default('measured'),
                Field::word('match', 'listed', 'not_listed', 'unknown')->neededWhen($isCoil),
            )->uniqueBy('name')->needed(),
            Field::word('old_oil', 'MO', 'AB', 'POE', 'PVE', 'unknown')->needed(),
            Field::word('new_oil', 'MO', 'AB', 'POE', 'PVE')->needed()->fromSheet('circuit.oil_type'),
            Field::word('failure', 'none', 'mechanical', 'electrical', 'unknown')->needed(),
            Field::word('acid', 'none', 'slight', 'strong', 'not_tested')->needed(),
            Field::word('acid_after', 'none', 'present', 'not_tested')->neededWhen(fn (Input $in): bool => in_array($in->text('acid'), self::ACIDIC, true)),
            Field::word('flush', 'none', 'blown', 'solvent')->needed(),
            Field::flag('until_clean')->neededWhen($flushed),
            Field::flag('parts_off')->neededWhen($flushed),
            Field::flag('solvent_out')->neededWhen(fn (Input $in): bool => $in->text('flush') === 'solvent'),
            Field::flag('sheet_allows_unflushed')->default(false),
            Field::word('held', 'passed', 'leaked', 'not_done')->needed(),
            Field::quantity('held_pressure', Kind::GaugePressure, 'MPag', 0, 20)->positive()->startsIn('psig')->neededWhen(fn (Input $in): bool => $in->text('held') === 'passed'),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $flush = $past->last('entry.flush', $subject)['input'] ?? [];
        if (! isset($flush['with'])) {
            return [];
        }
        $isSolvent = $flush['with'] === 'solvent';

        return ['flush' => $isSolvent ? 'solvent' : 'blown', 'until_clean' => $flush['until_clean'] ?? null] + ($isSolvent ? ['solvent_out' => $flush['blown'] ?? null] : []);
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('parts') as $i => $part) {
            if ($part->all('od', 'wall') && 2 * $part->number('wall') >= $part->number('od')) {
                yield new InputError("parts.$i.wall", $part->number('wall'), 'a wall that leaves a bore', "parts.$i.wall: with that wall there is no bore left. Measure it again.");
            }
        }
    }

    public static function drawing(Input $in, array $values): array
    {
        $bars = [];
        foreach ($in->items('parts') as $part) {
            $allowable = isset($values["allowable:{$part->text('name')}"]) ? self::kPa((float) $values["allowable:{$part->text('name')}"]->value) : null;
            $design = $part->maybe('design');
            $bars[] = ['name' => $part->text('name'), 'value' => $allowable, 'is' => $allowable !== null && $design !== null && Limit::under($allowable, $design) ? 'stop' : 'plain'];
        }
        $design = max([0.0, ...array_map(fn (Input $part): float => $part->maybe('design') ?? 0.0, $in->items('parts'))]);

        return $bars === [] ? [] : Drawn::bars('kPag', $bars, $design > 0 ? $design : null, ['psig', 'barg']);
    }

    public function judge(Input $in): Judgement
    {
        $flushed = in_array($in->text('flush'), ['blown', 'solvent'], true);
        $cautions = ['nitrogen_regulator', 'asphyxiation', 'asbestos', ...($flushed ? ['eye_protection', 'flush_solvent'] : [])];
        $values = $findings = [];
        foreach ($in->items('parts') as $part) {
            $findings = [...$findings, ...self::part($part, $values)];
        }
        $findings = [...$findings, ...self::oil($in), ...self::acid($in), ...($flushed ? self::flush($in) : []), ...self::held($in, $values), ...Missing::in($in)];
        // One thing twice is said once, the graver way.
        $said = [];
        foreach ($findings as $finding) {
            $said[$finding->code] = isset($said[$finding->code]) && $said[$finding->code]->status->weight() >= $finding->status->weight() ? $said[$finding->code] : $finding;
        }
        $findings = array_values($said);
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('may_stay', ['parts' => array_map(fn (Input $p): string => $p->text('name'), $in->items('parts'))]);
        }

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')]);
    }

    /**
     * @param array<string, Value> $values gets what it may stand
     * @return list<Finding>
     */
    private static function part(Input $part, array &$values): array
    {
        $name = $part->text('name');
        $about = ['part' => $name];
        $isLine = in_array($part->text('kind'), self::LINES, true);
        $findings = [];
        if ($isLine && $part->all('od', 'sheet_od') && array_filter($part->numbers('sheet_od'), fn (float $od): bool => abs($od - $part->number('od')) < 1e-6) === []) {
            $findings[] = Finding::stop("wrong_size:$name", $about + ['od' => Said::tube($part->number('od')), 'sheet' => array_map(Said::tube(...), $part->numbers('sheet_od'))]);
        }
        if ($isLine && $part->all('wall', 'sheet_wall') && Limit::under($part->number('wall') / self::INCH, $part->number('sheet_wall') / self::INCH)) {
            $findings[] = Finding::stop("wall_thin:$name", $about + ['wall' => Said::wall($part->number('wall')), 'sheet' => Said::wall($part->number('sheet_wall'))]);
        }
        $allowable = self::allowable($part);
        if ($allowable !== null) {
            $values["allowable:$name"] = Value::of($allowable, 'psig');
            $design = $part->maybe('design');
            if ($design !== null && Limit::under($allowable, self::psi($design))) {
                $said = $about + ['allowable' => Said::gauge(self::kPa($allowable), $design), 'design' => Said::gauge($design)];
                $findings[] = $part->given('rating') ? Finding::stop("rating_low:$name", $said) : Finding::stop("wall_short:$name", $said);
            }
        }
        if ($part->flag('damaged')) {
            $findings[] = Finding::stop("damaged:$name", $about);
        }
        $findings = [...$findings, ...match ($part->text('hidden')) {
            'flares' => [Finding::stop("hidden_flares:$name", $about)],
            'brazed' => [Finding::watch("hidden_joints:$name", $about)],
            'unknown' => [Finding::watch("hidden_unknown:$name", $about)],
            default => [],
        }];
        if ($isLine && $part->text('length_from') === 'guessed') {
            $findings[] = Finding::watch("length_guessed:$name", $about);
        }

        return [...$findings, ...($isLine ? [] : match ($part->text('match')) {
            'not_listed' => [Finding::stop("coil_not_listed:$name", $about)],
            'unknown' => [Finding::open("coil_match:$name", $about)],
            default => [],
        })];
    }

    /** @return float|null psi the part may stand; null while it can't be told */
    private static function allowable(Input $part): ?float
    {
        if ($part->given('rating')) {
            return self::psi($part->number('rating'));
        }
        $stress = self::STRESS[$part->text('kind')] ?? null;
        if ($stress === null || ! $part->all('od', 'wall')) {
            return null;
        }

        return 2 * $stress * $part->number('wall') / ($part->number('od') - 0.8 * $part->number('wall'));
    }

    /** @return list<Finding> */
    private static function oil(Input $in): array
    {
        if (! $in->all('old_oil', 'new_oil', 'flush') || $in->text('old_oil') === $in->text('new_oil')) {
            return [];
        }

        return match ($in->text('flush')) {
            'none' => [$in->flag('sheet_allows_unflushed') ? Finding::watch('unflushed_by_sheet') : Finding::stop('oil_left', ['new' => $in->text('new_oil')])],
            'blown' => [Finding::watch('blown_only')],
            default => [],
        };
    }

    /** @return list<Finding> */
    private static function acid(Input $in): array
    {
        $findings = [];
        $flush = $in->text('flush');
        if ($in->text('acid') === 'strong' || $in->text('failure') === 'electrical') {
            $findings = in_array($flush, ['none', 'blown'], true) ? [Finding::stop('solvent_needed')] : [];
        } elseif ($in->text('acid') === 'slight') {
            $findings = match ($flush) {
                'none' => [Finding::stop('solvent_needed')],
                'blown' => [Finding::watch('blown_only')],
                default => [],
            };
        }
        if ($in->text('acid') === 'not_tested' && $in->given('failure')) {
            $findings[] = $in->text('failure') === 'none' ? Finding::watch('acid_not_tested') : Finding::open('acid_not_tested');
        }

        return [...$findings, ...match ($in->text('acid_after')) {
            'present' => [Finding::stop('acid_left')],
            'not_tested' => [Finding::open('acid_after_not_tested')],
            default => [],
        }];
    }

    /** @return list<Finding> */
    private static function flush(Input $in): array
    {
        $isNo = fn (string $name): bool => $in->given($name) && ! $in->flag($name);

        return [
            ...($isNo('until_clean') ? [Finding::stop('not_clean')] : []),
            ...($isNo('parts_off') ? [Finding::stop('flushed_into_parts')] : []),
            ...($in->text('flush') === 'solvent' && $isNo('solvent_out') ? [Finding::stop('solvent_left')] : []),
        ];
    }

    /**
     * @param array<string, Value> $values what each part may stand
     * @return list<Finding>
     */
    private static function held(Input $in, array $values): array
    {
        if ($in->text('held') !== 'passed') {
            return match ($in->text('held')) {
                'leaked' => [Finding::stop('old_leaks')],
                'not_done' => [Finding::open('not_held')],
                default => [],
            };
        }
        if (! $in->given('held_pressure')) {
            return [];
        }
        $held = self::psi($in->number('held_pressure'));
        $designs = array_filter(array_map(fn (Input $part): ?float => $part->maybe('design'), $in->items('parts')), fn (?float $d): bool => $d !== null);
        $allowables = array_map(fn (Value $v): float => (float) $v->value, array_values($values));
        $said = ['held' => Said::gauge($in->number('held_pressure'))];
        $findings = [];
        if ($designs !== [] && Limit::under($held, self::HELD * self::psi(min($designs)))) {
            $findings[] = Finding::watch('held_low', $said + ['design' => Said::gauge(min($designs))]);
        }
        if ($allowables !== [] && Limit::over($held, min($allowables))) {
            $findings[] = Finding::stop('over_tested', $said + ['most' => Said::gauge(self::kPa(min($allowables)))]);
        }

        return $findings;
    }

    private static function psi(float $kilopascals): float
    {
        return Units::fromCanonical($kilopascals, 'psig', Kind::GaugePressure);
    }

    private static function kPa(float $psi): float
    {
        return Units::toCanonical($psi, 'psig', Kind::GaugePressure);
    }
}
