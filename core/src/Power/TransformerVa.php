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
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the control transformer carries its coils, and whether the largest of them still pulls in.
 *
 * Limits: a 24 V coil must pull in at 85 %, most hold on to 75 %; contactors take about six times their sealed VA for the
 * blink of the pull-in; fuses by the electrical code's table for control transformers.
 */
final class TransformerVa implements Check, Draws
{
    private const INRUSH = 6.0;
    private const NEAR = 80.0;
    private const FULL = 100.0;
    private const PULLS_IN = 0.85;
    private const HOLDS = 0.75;
    private const METER = 0.01;
    /** A from which the next factor holds, and the factor. */
    private const SECONDARY = [[9.0, 1.25], [0.0, 1.67]];
    private const PRIMARY = [[9.0, 1.25], [2.0, 1.67], [0.0, 5.0]];

    public function id(): string
    {
        return 'power.transformer_va';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $va = fn (string $name): Field => Field::quantity($name, Kind::ApparentPower, 'kVA', 0, 10)->positive()->startsIn('VA');

        return [
            $va('va')->needed()->fromSheet('electrical.transformer.va'),
            Field::volts('secondary_nominal', 5, 600)->default('24 V')->readWith(null)->fromSheet('electrical.transformer.secondary_nominal'),
            Field::items(
                'coils',
                Field::text('name')->structural()->fromSheet('name'),
                Field::word('kind', 'contactor', 'relay', 'valve', 'board', 'other')->structural()->fromSheet('kind'),
                Field::count('count', 1, 50)->default(1)->fromSheet('count'),
                $va('sealed')->needed()->fromSheet('sealed'),
                $va('inrush')->fromSheet('inrush'),
                Field::word('mode', 'cool', 'heat', 'both')->default('both')->fromSheet('mode'),
            )->uniqueBy('name')->needed()->fromSheet('electrical.transformer.coils'),
            Field::percent('regulation', 1, 40)->default(10.0),
            Field::volts('idle', 0, 600)->positive(),
            Field::volts('lowest', 0, 600),
            Field::volts('primary_volts', 50)->neededWhen(fn (Input $in): bool => $in->given('primary_fuse')),
            Field::amps('primary_fuse', 0, 200)->positive()->readWith(null),
            Field::amps('secondary_fuse', 0, 200)->positive()->readWith(null),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('coils') as $i => $coil) {
            if ($coil->all('sealed', 'inrush') && Limit::under($coil->number('inrush'), $coil->number('sealed'))) {
                yield InputError::at("coils.$i.inrush", $coil->in('inrush', 'VA') ?? 0.0, 'no less than it holds with', 'VA is less than it holds with');
            }
        }
    }

    public static function drawing(Input $in, array $values): array
    {
        $va = $in->in('va', 'VA');

        return isset($values['load']) && $va !== null
            ? Drawn::bars('VA', [['word' => 'coils', 'value' => (float) $values['load']->value, 'is' => Limit::over((float) $values['load']->value, $va) ? 'stop' : 'plain'], ['word' => 'transformer', 'value' => $va, 'is' => 'pale']])
            : [];
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $known = self::worked($in, $values);
        $findings = [...Missing::in($in), ...$known, ...self::fuses($in, $values)];
        $of = fn (float $share): array => self::measured($in, $share);
        $status = Judgement::worst([...$findings, ...$of(1.0)]);
        $isMarginal = $in->given('lowest') && (Judgement::worst([...$findings, ...$of(1 + self::METER)]) !== $status || Judgement::worst([...$findings, ...$of(1 - self::METER)]) !== $status);
        $findings = [...$findings, ...$of(1.0)];
        if ($status === Status::Clear) {
            $findings = [Finding::note('carries', ['share' => Said::percent((float) ($values['share']->value ?? 0.0))]), ...$findings];
        }

        return new Judgement($findings, $values, $isMarginal, ['qualified_electrical'], [Finding::note('basis')]);
    }

    /**
     * What the coils together ask for, where all of them are known.
     *
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function worked(Input $in, array &$values): array
    {
        $va = $in->in('va', 'VA');
        $coils = $in->items('coils');
        $found = array_filter($coils, fn (Input $coil): bool => $coil->text('kind') === 'contactor' && ! $coil->given('inrush')) === [] ? [] : [Finding::clear('default_inrush')];
        if ($va === null || $coils === [] || array_filter($coils, fn (Input $coil): bool => ! $coil->given('sealed')) !== []) {
            return $found;
        }
        [$loads, $estimates] = [[0.0], []];
        foreach (['cool', 'heat'] as $mode) {
            $of = array_filter($coils, fn (Input $coil): bool => in_array($coil->text('mode'), [$mode, 'both'], true));
            if ($of === []) {
                continue;
            }
            $loads[] = $load = array_sum(array_map(fn (Input $coil): float => $coil->int('count') * self::sealed($coil), $of));
            $surge = max(array_map(fn (Input $coil): float => self::inrush($coil) - self::sealed($coil), $of));
            $estimates[] = max(0.0, ($in->maybe('idle') ?? $in->number('secondary_nominal')) * (1 - $in->number('regulation') / 100 * ($load + $surge) / $va));
        }
        $load = max($loads);
        $share = 100 * $load / $va;
        $values += ['load' => Value::of($load, 'VA'), 'share' => Value::of($share, '%')];
        $said = ['load' => Said::voltAmps($load), 'va' => Said::voltAmps($va)];
        $found = [...$found, ...match (true) {
            Limit::over($share, self::FULL) => [Finding::stop('va_over', $said)],
            Limit::over($share, self::NEAR) => [Finding::watch('va_near', $said)],
            default => [],
        }];
        if ($estimates !== []) {
            $estimate = min($estimates);
            $values['pull_in_estimate'] = Value::of($estimate, 'V');
            if (! $in->given('lowest') && Limit::under($estimate, self::PULLS_IN * $in->number('secondary_nominal'))) {
                $found[] = Finding::watch('pull_in_low', ['volts' => Said::volts($estimate)], 'pull_in_low_estimate');
            }
        }

        return $found;
    }

    private static function sealed(Input $coil): float
    {
        return (float) $coil->in('sealed', 'VA');
    }

    private static function inrush(Input $coil): float
    {
        return $coil->in('inrush', 'VA') ?? ($coil->text('kind') === 'contactor' ? self::INRUSH : 1.0) * self::sealed($coil);
    }

    /** @return list<Finding> */
    private static function measured(Input $in, float $share): array
    {
        if (! $in->given('lowest')) {
            return [];
        }
        [$lowest, $nominal] = [$in->number('lowest') * $share, $in->number('secondary_nominal')];
        $said = ['volts' => Said::volts($lowest)];

        return match (true) {
            Limit::under($lowest, self::HOLDS * $nominal) => [Finding::stop('pull_in_low', $said)],
            Limit::under($lowest, self::PULLS_IN * $nominal) => [Finding::watch('pull_in_low', $said)],
            default => [],
        };
    }

    /**
     * @param array<string, Value> $values gets the largest fuses
     * @return list<Finding>
     */
    private static function fuses(Input $in, array &$values): array
    {
        $va = $in->in('va', 'VA');
        if ($va === null) {
            return [];
        }
        $found = [];
        $nominal = $in->number('secondary_nominal');
        $most = self::most($va / $nominal, self::SECONDARY);
        $values['secondary_fuse_max'] = Value::of($most, 'A');
        if ($in->given('secondary_fuse')) {
            $fuse = $in->number('secondary_fuse');
            $said = ['fuse' => Said::amps($fuse), 'most' => Said::amps($most)];
            if (Limit::over($fuse, $most)) {
                $found[] = Finding::watch('secondary_fuse_large', $said);
            } elseif (isset($values['load']) && Limit::under($fuse, (float) $values['load']->value / $nominal)) {
                $found[] = Finding::watch('secondary_fuse_small', ['fuse' => Said::amps($fuse), 'needs' => Said::amps((float) $values['load']->value / $nominal)]);
            }
        }
        if (! $in->given('primary_volts')) {
            return $found;
        }
        $amps = $va / $in->number('primary_volts');
        $most = self::most($amps, self::PRIMARY);
        $values['primary_fuse_max'] = Value::of($most, 'A');
        if ($in->given('primary_fuse')) {
            $fuse = $in->number('primary_fuse');
            $found = [...$found, ...match (true) {
                Limit::over($fuse, $most) => [Finding::stop('primary_fuse_large', ['fuse' => Said::amps($fuse), 'most' => Said::amps($most)])],
                Limit::under($fuse, $amps) => [Finding::watch('primary_fuse_small', ['fuse' => Said::amps($fuse), 'needs' => Said::amps($amps)])],
                default => [],
            }];
        }

        return $found;
    }

    /** @param list<array{float, float}> $factors */
    private static function most(float $amps, array $factors): float
    {
        foreach ($factors as [$from, $factor]) {
            if (! Limit::under($amps, $from)) {
                return $factor * $amps;
            }
        }

        return $amps;
    }
}
