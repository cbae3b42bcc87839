<?php

declare(strict_types=1);

namespace IronStart\Core\Compressor;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Power\StandardSizes;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * Whether a compressor may go in for the one that comes out: supply, refrigerant and oil, how it is started, circuit and
 * contactor, capacity and ports, crankcase heater, and what changes on the unit's plate.
 *
 * Limits: motors stand their plate ±10 %; branch circuit 125 % of the largest motor (electrical code); contactors stand
 * six, five, four times their rating at the start (up to 277, 500, 600 V; product standard); a label is owed from 1 %.
 */
final class Replacement implements Check, Draws, DrawsOnRecord
{
    private const KINDS = ['reciprocating', 'scroll', 'rotary', 'screw'];
    private const OILS = ['mineral', 'AB', 'POE', 'PVE'];
    private const STARTS = ['across_line', 'part_winding', 'star_delta', 'soft_starter', 'inverter', 'single_phase'];
    private const DIRECT = ['across_line', 'single_phase'];
    /** Mineral oil and alkylbenzene do not come back with these … */
    private const NOT_WITH_MINERAL = ['410A', '407A', '407C', '407F', '134A', '32', '454B', '454C', '452B', '404A', '507A', '448A', '449A', '450A', '513A', '1234YF', '1234ZE'];
    /** … and do with these. */
    private const WITH_MINERAL = ['22', '12', '502', '401A', '402A', '408A', '409A', '422B', '422D', '438A', '290'];
    private const WRONG = [0.8, 1.2];
    private const OFF = [0.9, 1.1];
    private const NEIGHBOURS = 1.5;
    private const LARGEST_SHARE = 0.25;
    private const LARGEST_FUSE = 1.25;
    /** A; over it no standard breaker is worked out. */
    private const LARGEST_CIRCUIT = 800;
    private const LABEL = 0.01;
    /** V => times its rating a contactor stands. */
    private const STANDS = [277 => 6.0, 500 => 5.0, 100_000 => 4.0];
    private const HEATER_OVER = 1.1;
    private const HEATER_UNDER = 0.9;
    private const WEAK = 0.8;
    private const STRONG = 1.25;

    public function id(): string
    {
        return 'compressor.match';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isHeated = fn (Input $in): bool => $in->text('crankcase') === 'fitted';
        $watts = fn (string $name): Field => Field::quantity($name, Kind::ElectricPower, 'kW', 0, 1000)->positive()->startsIn('W');

        return [
            Field::text('refrigerant')->needed()->fromSheet('circuit.refrigerant'),
            Field::volts('supply_average')->positive()->needed(),
            Field::choice('phases', 1, 3)->default(3)->fromSheet('electrical.phases'),
            Field::group('old', ...self::plate(true))->needed(),
            Field::group(
                'new',
                ...[
                    ...self::plate(false),
                    Field::numbers('nominals', 100, 1000)->needed(),
                    Field::choice('phases', 1, 3)->needed(),
                    Field::texts('refrigerants')->needed(),
                    Field::amps('lra', 0, 10_000)->positive()->readWith(null),
                ],
            )->needed(),
            Field::percent('capacity_band', 1, 20)->default(5.0),
            Field::flag('tandem')->fromSheet('circuit.tandem'),
            Field::amps('usable')->positive()->needed()->readWith(null),
            Field::amps('breaker')->positive()->needed()->readWith(null),
            Field::amps('other_amps')->default('0 A')->readWith(null)->fromSheet('compressor.other_amps'),
            Field::amps('other_largest')->default('0 A')->readWith(null)->fromSheet('compressor.other_largest'),
            Field::amps('contactor')->positive()->readWith(null)->neededWhen(fn (Input $in): bool => in_array($in->group('new')?->text('start'), self::DIRECT, true)),
            Field::amps('contactor_lra')->positive()->readWith(null),
            Field::flag('phase_monitor'),
            Field::flag('label_on'),
            Field::flag('start_parts_new')->neededWhen(fn (Input $in): bool => $in->group('new')?->text('start') === 'single_phase'),
            Field::word('crankcase', 'fitted', 'not_needed'),
            $watts('heater_watts')->neededWhen($isHeated),
            Field::volts('heater_volts')->positive()->readWith(null)->neededWhen($isHeated),
            Field::volts('heater_supply')->neededWhen($isHeated),
            $watts('heater_needs')->fromSheet('compressor.crankcase_watts'),
        ];
    }

    /** @return list<Field> of one compressor; the old one's stand on the unit's sheet */
    private static function plate(bool $isOld): array
    {
        $plate = [
            Field::word('kind', ...self::KINDS)->needed(),
            Field::amps('rla')->positive()->readWith(null)->needed(),
            Field::word('oil', ...self::OILS)->needed(),
            Field::word('start', ...self::STARTS)->needed(),
            Field::quantity('capacity', Kind::Heat, 'kW', 0, 10_000)->positive()->startsIn('MBH'),
            Field::tube('suction'),
            Field::tube('discharge'),
        ];
        $from = ['compressor.kind', 'compressor.amps', 'compressor.oil', 'compressor.drive', 'compressor.capacity', 'compressor.suction', 'compressor.discharge'];

        return $isOld ? array_map(fn (Field $field, string $path): Field => $field->fromSheet($path, asStart: true), $plate, $from) : $plate;
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $average = $past->standingAverage();

        return ($average === null ? [] : ['supply_average' => ['value' => $average, 'unit' => 'V']]) + $past->circuit();
    }

    public function contradictions(Input $in): iterable
    {
        $new = $in->group('new');
        if ($new !== null && $new->given('phases') && $new->given('start')) {
            $isWrong = $new->int('phases') === 3 ? $new->text('start') === 'single_phase' : ! in_array($new->text('start'), ['single_phase', 'inverter'], true);
            if ($isWrong) {
                yield InputError::at('new.start', $new->text('start'), 'a start that goes with its phases', 'does not go with that many phases');
            }
        }
        $nominals = $new?->numbers('nominals') ?? [];
        sort($nominals);
        foreach ($nominals as $i => $volts) {
            if ($i > 0 && ($volts === $nominals[$i - 1] || Limit::over($volts, self::NEIGHBOURS * $nominals[$i - 1]))) {
                yield InputError::at('new.nominals', implode(', ', $nominals), 'the volts of one connection, each once', $volts === $nominals[$i - 1] ? 'has one twice' : 'are those of two connections: enter what it is wired for');
                break;
            }
        }
        if (Limit::over($in->number('other_largest'), $in->number('other_amps'))) {
            yield InputError::at('other_largest', $in->number('other_largest'), 'no more than the other loads together', 'A is more than all of them');
        }
    }

    public static function drawing(Input $in, array $values): array
    {
        $worked = fn (string $name): ?float => isset($values[$name]) ? (float) $values[$name]->value : null;
        $mca = $worked('mca_new');

        return $mca === null ? [] : Drawn::bars('A', [
            ['word' => 'mca_worked', 'value' => $mca, 'is' => $in->given('usable') && Limit::over($mca, $in->number('usable')) ? 'stop' : 'plain'],
            ['word' => 'wire', 'value' => $in->maybe('usable'), 'is' => 'pale'],
            ['word' => 'breaker', 'value' => $in->maybe('breaker'), 'is' => 'pale'],
            ['word' => 'mocp_worked', 'value' => $worked('mocp_new'), 'is' => 'pale'],
        ]);
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $new = $in->group('new');
        $old = $in->group('old');
        $findings = [
            ...Missing::in($in),
            ...($new === null ? [] : [...self::supply($in, $new), ...self::refrigerant($in, $new, $old)]),
            ...($new !== null && $old !== null ? self::unlike($new, $old) : []),
            ...($new?->text('start') === 'single_phase' && $in->given('start_parts_new') && ! $in->flag('start_parts_new') ? [Finding::stop('start_parts_old')] : []),
            ...($new === null ? [] : [...self::circuit($in, $new, $values), ...self::contactor($in, $new, $values)]),
            ...($new !== null && $old !== null ? [...self::label($in, $new, $old), ...self::direction($in, $new, $old), ...self::size($in, $new, $old, $values)] : []),
            ...self::heater($in, $values),
        ];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings = [Finding::note('fits', ['mca' => Said::amps((float) ($values['mca_new']->value ?? 0.0))]), ...$findings];
        }
        $cautions = ['lockout', 'refrigerant_handling', 'local_code', ...(Refrigerant::named($in->text('refrigerant'))?->isFlammable() === true ? ['flammable_refrigerant'] : [])];

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')]);
    }

    /** @return list<Finding> */
    private static function supply(Input $in, Input $new): array
    {
        $found = [];
        if ($new->given('phases') && $new->int('phases') !== $in->int('phases')) {
            $found[] = Finding::stop('wrong_phases', ['new' => $new->int('phases'), 'unit' => $in->int('phases')]);
        }
        $nominals = $new->numbers('nominals');
        if ($nominals === [] || ! $in->given('supply_average')) {
            return $found;
        }
        $volts = $in->number('supply_average');
        $isIn = fn (array $band): bool => Limit::within($volts, $band[0] * min($nominals), $band[1] * max($nominals));
        $said = ['volts' => Said::volts($volts), 'plate' => implode('-', array_map(fn (float $one): string => (string) (int) floor($one + 0.5), $nominals))];

        return match (true) {
            ! $isIn(self::WRONG) => [...$found, Finding::stop('wrong_volts', $said)],
            ! $isIn(self::OFF) => [...$found, Finding::stop('volts_off', $said)],
            default => $found,
        };
    }

    /** @return list<Finding> */
    private static function refrigerant(Input $in, Input $new, ?Input $old): array
    {
        $unit = $in->given('refrigerant') ? self::bare($in->text('refrigerant')) : '';
        $takes = $new->words('refrigerants');
        $found = [];
        if ($unit !== '' && $takes !== [] && ! in_array($unit, array_map(self::bare(...), $takes), true)) {
            $found[] = Finding::stop('wrong_refrigerant', ['unit' => $in->text('refrigerant'), 'plate' => implode(', ', $takes)]);
        }
        $oil = $new->text('oil');
        if ($unit !== '' && in_array($oil, ['mineral', 'AB'], true)) {
            $said = ['oil' => Word::of('oil', $oil), 'refrigerant' => $in->text('refrigerant')];
            $found = [...$found, ...match (true) {
                in_array($unit, self::NOT_WITH_MINERAL, true) => [Finding::stop('wrong_oil', $said)],
                in_array($unit, self::WITH_MINERAL, true) => [],
                default => [Finding::watch('oil_not_judged', $said)],
            }];
        }
        $was = $old?->text('oil') ?? '';
        $same = fn (string $one): string => $one === 'AB' ? 'mineral' : $one;
        if ($oil !== '' && $was !== '' && $same($oil) !== $same($was)) {
            $said = ['new' => Word::of('oil', $oil), 'old' => Word::of('oil', $was)];
            $found[] = $in->flag('tandem') ? Finding::stop('oil_mixed', $said) : Finding::watch('oil_residue', $said);
        }

        return $found;
    }

    /** A refrigerant's name without what people write differently. */
    private static function bare(string $name): string
    {
        $bare = (string) preg_replace('/[^A-Z0-9]/', '', strtoupper($name));

        return str_starts_with($bare, 'R') ? substr($bare, 1) : $bare;
    }

    /** @return list<Finding> */
    private static function unlike(Input $new, Input $old): array
    {
        return $new->all('start') && $old->all('start') && $new->text('start') !== $old->text('start')
            ? [Finding::stop('start_differs', ['new' => Word::of('start', $new->text('start')), 'old' => Word::of('start', $old->text('start'))])]
            : [];
    }

    /**
     * @param array<string, Value> $values gets MCA and the largest breaker with the new one
     * @return list<Finding>
     */
    private static function circuit(Input $in, Input $new, array &$values): array
    {
        if (! $new->given('rla')) {
            return [];
        }
        $loads = $new->number('rla') + $in->number('other_amps');
        $big = max($new->number('rla'), $in->number('other_largest'));
        $mca = $loads + self::LARGEST_SHARE * $big;
        $values['mca_new'] = Value::of($mca, 'A');
        $found = [];
        if ($in->given('usable') && Limit::over($mca, $in->number('usable'))) {
            $found[] = Finding::stop('circuit_small', ['mca' => Said::amps($mca, $in->number('usable')), 'usable' => Said::amps($in->number('usable'))]);
        }
        if ($in->given('breaker') && Limit::over($mca, $in->number('breaker'))) {
            $found[] = Finding::watch('breaker_small', ['mca' => Said::amps($mca, $in->number('breaker')), 'breaker' => Said::amps($in->number('breaker'))]);
        }
        $least = Limit::over($mca, (float) self::LARGEST_CIRCUIT) ? null : StandardSizes::notUnder($mca);
        if ($least !== null) {
            $mocp = max($least, StandardSizes::notOver($loads + self::LARGEST_FUSE * $big, self::LARGEST_CIRCUIT));
            $values['mocp_new'] = Value::of($mocp, 'A');
            if ($in->given('breaker') && Limit::over($in->number('breaker'), (float) $mocp)) {
                $found[] = Finding::stop('breaker_large', ['breaker' => Said::amps($in->number('breaker')), 'mocp' => Said::amps((float) $mocp)]);
            }
        }

        return $found;
    }

    /**
     * @param array<string, Value> $values gets the contactor's share
     * @return list<Finding>
     */
    private static function contactor(Input $in, Input $new, array &$values): array
    {
        if (! in_array($new->text('start'), self::DIRECT, true)) {
            return [];
        }
        $found = [];
        $rating = $in->maybe('contactor');
        if ($rating !== null && $new->given('rla')) {
            $values['contactor_share'] = Value::of(100 * $new->number('rla') / $rating, '%');
            if (Limit::over($new->number('rla'), $rating)) {
                $found[] = Finding::stop('contactor_small', ['rla' => Said::amps($new->number('rla'), $rating), 'contactor' => Said::amps($rating)]);
            }
        }
        $lra = $new->maybe('lra');
        $most = $in->maybe('contactor_lra');
        if ($lra === null) {
            return [...$found, Finding::watch('lra_unknown')];
        }
        $said = ['lra' => Said::amps($lra)];
        if ($most !== null) {
            return Limit::over($lra, $most) ? [...$found, Finding::stop('contactor_lra', $said + ['most' => Said::amps($most)])] : $found;
        }
        if ($rating === null || ! $in->given('supply_average')) {
            return $found;
        }
        $most = self::stands($in->number('supply_average')) * $rating;
        $found[] = Finding::clear('default_contactor_lra', ['most' => Said::amps($most)]);

        return Limit::over($lra, $most) ? [...$found, Finding::watch('contactor_lra', $said + ['most' => Said::amps($most)], 'contactor_lra_likely')] : $found;
    }

    private static function stands(float $volts): float
    {
        foreach (self::STANDS as $upTo => $times) {
            if (! Limit::over($volts, (float) $upTo)) {
                return $times;
            }
        }

        return self::STANDS[500];
    }

    /** @return list<Finding> */
    private static function label(Input $in, Input $new, Input $old): array
    {
        if (! $new->given('rla') || ! $old->given('rla') || ! Limit::over(abs($new->number('rla') - $old->number('rla')), self::LABEL * $old->number('rla'))) {
            return [];
        }
        $said = ['new' => Said::amps($new->number('rla')), 'old' => Said::amps($old->number('rla'))];

        return [Finding::clear('label_changes', $said), ...($in->flag('label_on') ? [] : [Finding::watch('label_missing')])];
    }

    /** @return list<Finding> */
    private static function direction(Input $in, Input $new, Input $old): array
    {
        if (! $new->given('kind') || ! $old->given('kind') || $new->text('kind') === $old->text('kind')) {
            return [];
        }
        $found = [Finding::watch('kind_changed', ['new' => Word::of('compressor_kind', $new->text('kind')), 'old' => Word::of('compressor_kind', $old->text('kind'))])];
        $isLed = $old->text('kind') === 'reciprocating' && $new->given('phases') && $new->int('phases') === 3 && $new->given('start') && $new->text('start') !== 'inverter';

        return $isLed ? [...$found, Finding::clear('direction_matters'), ...($in->flag('phase_monitor') ? [] : [Finding::watch('add_monitor')])] : $found;
    }

    /**
     * @param array<string, Value> $values gets the share of the old one's capacity
     * @return list<Finding>
     */
    private static function size(Input $in, Input $new, Input $old, array &$values): array
    {
        $found = [];
        if (! $new->given('capacity') || ! $old->given('capacity')) {
            $found[] = Finding::watch('capacity_unknown');
        } else {
            $share = 100 * $new->number('capacity') / $old->number('capacity');
            $values['capacity_share'] = Value::of($share, '%');
            $said = ['share' => Said::percent($share)];
            $band = $in->number('capacity_band');
            $found = match (true) {
                Limit::over(abs($share - 100), 2 * $band) => [Finding::stop('capacity_off', $said)],
                Limit::over(abs($share - 100), $band) => [Finding::watch('capacity_differs', $said)],
                default => [],
            };
        }
        foreach (['suction', 'discharge'] as $port) {
            if ($new->given($port) && $old->given($port) && $new->number($port) !== $old->number($port)) {
                $found[] = Finding::watch("port_differs:$port", ['port' => Word::of('port', $port), 'new' => Said::tube($new->number($port)), 'old' => Said::tube($old->number($port))]);
            }
        }

        return $found;
    }

    /**
     * @param array<string, Value> $values gets the watts it really gives
     * @return list<Finding>
     */
    private static function heater(Input $in, array &$values): array
    {
        if ($in->text('crankcase') !== 'fitted') {
            return $in->given('crankcase') ? [] : [Finding::watch('heater_not_told')];
        }
        if (! $in->all('heater_volts', 'heater_supply')) {
            return [];
        }
        [$plate, $supply] = [$in->number('heater_volts'), $in->number('heater_supply')];
        $watts = $in->in('heater_watts', 'W');
        $gives = $watts === null ? null : $watts * ($supply / $plate) ** 2;
        $needs = $in->in('heater_needs', 'W');
        $said = ['supply' => Said::volts($supply), 'plate' => Said::volts($plate)];
        if ($gives !== null) {
            $values['heater_at_supply'] = Value::of($gives, 'W');
        }
        $isNeeded = $gives !== null && $needs !== null;

        return [
            ...(Limit::over($supply, self::HEATER_OVER * $plate) ? [Finding::stop('heater_over', $said)] : []),
            ...match (true) {
                Limit::under($supply, self::HEATER_UNDER * $plate) || ($isNeeded && Limit::under($gives, self::WEAK * $needs)) => [Finding::watch('heater_weak', $said)],
                $isNeeded && Limit::over($gives, self::STRONG * $needs) => [Finding::watch('heater_strong', $said)],
                default => [],
            },
        ];
    }
}
