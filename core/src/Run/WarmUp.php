<?php

declare(strict_types=1);

namespace IronStart\Core\Run;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Moment;
use IronStart\Core\Check\Past;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the crankcase has been heated long enough, and until when the start is held. Hours on a breaker are no heat:
 * the shell proves it.
 *
 * Limits: compressor makers' common figures, a day where nothing is said and half a day in mild weather; a shell less
 * than 3 °F over the air after two hours is not heated. Clamp thermometer ±1.0 °F, air thermometer ±0.9 °F.
 */
final class WarmUp implements Check, Draws, DrawsOnRecord
{
    /** h */
    private const A_DAY = 24.0;
    private const MILD_HOURS = 12.0;
    /** °F */
    private const MILD = 60.0;
    private const COLD_SHELL = 3.0;
    private const LUKEWARM = 10.0;
    private const CLAMP = 1.0;
    private const AIR = 0.9;
    /** h it has to be on before the shell tells anything. */
    private const FELT_AFTER = 2.0;
    private const KELVIN = 1.8;

    public function id(): string
    {
        return 'run.warm_up';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        [$now, $since, $table, $outages, $strict, $wanted] = Warmth::fields();

        return [
            $now,
            Field::word('heater', 'fitted', 'none')->default('fitted'),
            $since,
            Field::number('sheet_hours', 0, 1000)->fromSheet('circuit.crankcase_hours'),
            $table,
            Field::temperature('coldest_24h', -60, 60)->readWith(null)->neededWhen(fn (Input $in): bool => $in->given('warm_up')),
            $outages,
            $strict,
            $wanted,
            Field::temperature('shell', -60, 150)->readWith(Instrument::PipeClamp)->neededWhen(fn (Input $in): bool => $in->given('ambient')),
            Field::temperature('ambient', -60, 60)->readWith(Instrument::Thermometer)->neededWhen(fn (Input $in): bool => $in->given('shell')),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->given('sheet_hours') && $in->given('warm_up')) {
            yield InputError::at('warm_up', count($in->items('warm_up')), 'hours by temperature, or one figure of hours', 'rows stand beside one figure of hours');
        }
        yield from Warmth::errors($in);
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return Warmth::brought($past, 'run.warm_up');
    }

    public static function drawing(Input $in, array $values): array
    {
        return Warmth::drawn($values);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in));
        }
        if ($in->text('heater') === 'none') {
            return $this->judgement([Finding::watch('no_heater')], ['hours_needed' => Value::of(0, 'h'), 'remaining' => Value::of(0, 'h')]);
        }
        [$findings, $values] = self::heated($in, 0.0);
        $status = Judgement::worst($findings);
        $u = sqrt(self::CLAMP ** 2 + self::AIR ** 2);
        $isMarginal = isset($values['shell_over']) && (Judgement::worst(self::heated($in, $u)[0]) !== $status || Judgement::worst(self::heated($in, -$u)[0]) !== $status);
        if ($status === Status::Clear) {
            $findings = [Finding::note('warm', ['hours' => Said::duration(3600 * (float) $values['hours_needed']->value)]), ...$findings];
        }

        return $this->judgement($findings, $values, $isMarginal);
    }

    /**
     * @param float $by °F more on the shell
     * @return array{list<Finding>, array<string, Value>}
     */
    private static function heated(Input $in, float $by): array
    {
        [$needed, $found] = self::needed($in);
        [$credit, $on] = Warmth::credit($in, $needed);
        $values = ['hours_needed' => Value::of($needed, 'h')];
        [$shell, $ambient] = [$in->maybe('shell'), $in->maybe('ambient')];
        $isDone = ! Limit::over($needed - $credit, 0.0);
        $isCold = false;
        $felt = [];
        if ($on !== null && $needed > 0.0 && $shell !== null && $ambient !== null && ($isDone || ! Limit::under($on, self::FELT_AFTER))) {
            $over = self::KELVIN * ($shell - $ambient) + $by;
            $values['shell_over'] = Value::of($over, 'delta_degF');
            $said = ['over' => Said::temperatureDifference($over / self::KELVIN)];
            $isCold = Limit::under($over, self::COLD_SHELL);
            $felt = $isCold ? [Finding::stop('heater_cold', $said)] : (Limit::under($over, self::LUKEWARM) ? [Finding::watch('shell_lukewarm', $said)] : []);
        } elseif ($on !== null && $needed > 0.0 && $isDone) {
            $felt = [Finding::watch('shell_not_read')];
        }
        $credit = $isCold ? 0.0 : $credit;
        $remaining = max(0.0, $needed - $credit);
        $values += ['hours_credited' => Value::of($credit, 'h'), 'remaining' => Value::of($remaining, 'h')];
        if ($on === null) {
            $found[] = Finding::open('not_powered');
        }
        $isFixed = $on !== null && ! $isCold;
        $now = self::now($in);
        $found = [...$found, ...Warmth::held($now, $remaining, $isFixed), ...Warmth::wanted($in, $now, $needed, $remaining, $values)];
        if ($isFixed) {
            $values['earliest_start'] = Value::text($now->after(3600 * $remaining)->toTheMinute());
        }

        return [[...$found, ...$felt], $values];
    }

    /** @return array{float, list<Finding>} h, and what says where they come from */
    private static function needed(Input $in): array
    {
        if ($in->given('warm_up')) {
            return [Warmth::ofTable($in), []];
        }
        if ($in->given('sheet_hours')) {
            return [$in->number('sheet_hours'), []];
        }
        $isMild = $in->given('coldest_24h') && ! Limit::under((float) $in->in('coldest_24h', 'degF'), self::MILD);

        return [$isMild ? self::MILD_HOURS : self::A_DAY, [Finding::clear('default_hours', ['hours' => Said::duration(3600 * ($isMild ? self::MILD_HOURS : self::A_DAY))])]];
    }

    private static function now(Input $in): Moment
    {
        return $in->moment('now') ?? throw new \LogicException('No time.');
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values = [], bool $isMarginal = false): Judgement
    {
        return new Judgement($findings, $values, $isMarginal, ['hot_surfaces', 'qualified_electrical'], [Finding::note('basis')], sets: Warmth::clock($values));
    }
}
