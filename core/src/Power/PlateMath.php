<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether the plate adds up, mode by mode.
 *
 * MCA = 1.25 × largest motor + other motors + 1.25 × heaters; MOCP = 2.25 × largest motor + the rest, down
 * to a standard size, never below the first standard size that carries MCA.
 */
final class PlateMath implements Check, Draws
{
    private const DEFAULT_MODES = ['cool', 'heat'];
    /** %; more is worth a look. The plate rules all the same. */
    private const DIFFERENCE = 5.0;

    public function id(): string
    {
        return 'power.plate_math';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $load = [
            Field::text('name')->structural()->fromSheet('name'),
            Field::amps('amps')->positive()->needed()->fromSheet('amps'),
            Field::count('quantity', 1, 100)->default(1)->fromSheet('quantity'),
            Field::texts('runs_in')->fromSheet('runs_in'),
        ];

        return [
            Field::items('motors', ...$load)->fromSheet('electrical.motors')->neededWhen(fn (Input $in): bool => ! $in->given('heaters')),
            Field::items('heaters', ...$load)->fromSheet('electrical.heaters'),
            Field::amps('plate_mca')->positive()->needed()->fromSheet('electrical.mca'),
            Field::amps('plate_mocp')->positive()->fromSheet('electrical.mocp'),
            Field::texts('modes'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $modes = self::modes($in);
        foreach (array_count_values($modes) as $mode => $times) {
            if ($times > 1) {
                yield InputError::at('modes.' . array_keys($modes, $mode, true)[1], $mode, 'a mode that is not named twice', 'is used twice');
            }
        }
        foreach ([...$in->items('motors'), ...$in->items('heaters')] as $load) {
            foreach ($load->words('runs_in') as $i => $mode) {
                if (! in_array($mode, $modes, true)) {
                    yield InputError::at("{$load->path}runs_in.$i", $mode, implode(', ', $modes), 'is not one of the modes');
                }
            }
        }
    }

    public static function drawing(Input $in, array $values): array
    {
        $worked = fn (string $name): ?float => isset($values[$name]) ? (float) $values[$name]->value : null;

        return Drawn::bars('A', [
            ['word' => 'mca', 'value' => $in->maybe('plate_mca'), 'is' => 'pale'],
            ['word' => 'mca_worked', 'value' => $worked('mca')],
            ['word' => 'mocp', 'value' => $in->maybe('plate_mocp'), 'is' => 'pale'],
            ['word' => 'mocp_worked', 'value' => $worked('mocp')],
        ]);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: ['local_code'], basis: [Finding::note('basis')]);
        }
        $values = [];
        $mca = $mocp = 0.0;
        foreach (self::modes($in) as $mode) {
            $motors = self::running($in->items('motors'), $mode);
            $heaters = self::running($in->items('heaters'), $mode);
            $values["modes.$mode.amps"] = Value::of(array_sum($motors) + array_sum($heaters), 'A');
            $modeMca = self::mca($motors, $heaters);
            $values["modes.$mode.mca"] = Value::of($modeMca, 'A');
            if ($motors === [] && $heaters === []) {
                continue;
            }
            $modeMocp = self::mocp($motors, $heaters, $modeMca);
            $values["modes.$mode.mocp"] = Value::of($modeMocp, 'A');
            $mca = max($mca, $modeMca);
            $mocp = max($mocp, $modeMocp);
        }
        $findings = self::compare('mca', $in->number('plate_mca'), $mca, $values);
        if ($in->given('plate_mocp')) {
            $findings = [...$findings, ...self::compare('mocp', $in->number('plate_mocp'), $mocp, $values)];
        }
        $values = ['mca' => Value::of($mca, 'A'), 'mocp' => Value::of($mocp, 'A')] + $values;
        if ($findings === []) {
            $findings[] = Finding::note('adds_up', ['mca' => Said::amps($mca), 'plate' => Said::amps($in->number('plate_mca'))]);
        }

        return new Judgement($findings, $values, false, ['local_code'], [Finding::note('basis')]);
    }

    /** @return list<string> */
    private static function modes(Input $in): array
    {
        return $in->given('modes') ? $in->words('modes') : self::DEFAULT_MODES;
    }

    /**
     * @param list<Input> $loads
     * @return list<float> A, one for each machine that runs in the mode
     */
    private static function running(array $loads, string $mode): array
    {
        $amps = [];
        foreach ($loads as $load) {
            if (! $load->given('runs_in') || in_array($mode, $load->words('runs_in'), true)) {
                $amps = [...$amps, ...array_fill(0, $load->int('quantity'), $load->number('amps'))];
            }
        }

        return $amps;
    }

    /**
     * @param list<float> $motors
     * @param list<float> $heaters
     */
    private static function mca(array $motors, array $heaters): float
    {
        return 0.25 * max([0.0, ...$motors]) + array_sum($motors) + 1.25 * array_sum($heaters);
    }

    /**
     * @param list<float> $motors
     * @param list<float> $heaters
     */
    private static function mocp(array $motors, array $heaters, float $mca): int
    {
        $raw = 1.25 * max([0.0, ...$motors]) + array_sum($motors) + array_sum($heaters);
        $down = StandardSizes::notOver($raw);

        return max($down, StandardSizes::notUnder($mca) ?? $down);
    }

    /**
     * @param array<string, Value> $values gets the difference
     * @return list<Finding>
     */
    private static function compare(string $name, float $plate, float $computed, array &$values): array
    {
        if ($computed === 0.0) {
            return [];
        }
        $difference = 100 * ($plate - $computed) / $computed;
        $values["{$name}_difference"] = Value::of($difference, '%');

        return Limit::over(abs($difference), self::DIFFERENCE)
            ? [Finding::watch("{$name}_differs", ['plate' => Said::amps($plate), 'computed' => Said::amps($computed), 'difference' => Said::percent(abs($difference), self::DIFFERENCE)])]
            : [];
    }
}
