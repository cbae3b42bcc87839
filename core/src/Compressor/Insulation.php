<?php

declare(strict_types=1);

namespace IronStart\Core\Compressor;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Value;

/**
 * Whether a compressor is going to ground.
 *
 * Two schools: the bands compressor makers use on a hermetic as it stands, and the motor standard, which
 * corrects to 40 °C by R_40 = R·0.5^((40 − T)/10). Under 0.5 Mohm as read it is grounded in either. A
 * multimeter's few volts can convict and never clear.
 */
final class Insulation implements Check, DrawsOnRecord, Draws
{
    use NoContradictions;

    private const GROUNDED = 0.5;
    /** Mohm; under this no liquid in the shell explains it. */
    private const LIQUID = 0.05;
    /** °C; a winding hotter than this has run or been heated. */
    private const HEATED = 50.0;
    /** Times the last reading: it was liquid. */
    private const RECOVERED = 10.0;
    private const POOR = 2.0;
    private const MOIST = 20.0;
    private const GOOD = 100.0;
    /** Mohm; where its drawing ends. */
    private const TOP = 1000.0;
    /** K; the motor standard's temperature, 40 °C. */
    private const STANDARD_AT = 313.15;
    private const STANDARD_STOP = 5.0;
    private const STANDARD_CLEAR = 20.0;
    /** Share of the previous reading under which the fall itself is worth watching. */
    private const FALL = 50.0;

    public function id(): string
    {
        return 'compressor.insulation';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        $megohms = fn (string $name): Field => Field::quantity($name, Kind::Resistance, 'Mohm', 0, 1e6)->startsIn('Mohm')->readWith(Instrument::Megohmmeter);

        return [
            $megohms('megohms')->needed(),
            Field::word('instrument', 'megohmmeter_500', 'megohmmeter_1000', 'multimeter')->needed(),
            Field::word('system_state', 'pressurised', 'vacuum', 'open')->needed(),
            $megohms('previous_megohms')->positive(),
            Field::word('school', 'maker_bands', 'motor_standard')->default('maker_bands'),
            Field::quantity('winding_temperature', Kind::Temperature, 'degC', -50, 200)
                ->neededWhen(fn (Input $in): bool => $in->text('school') === 'motor_standard' && self::megohmmeter($in)),
            Field::flag('drive_connected'),
            Field::flag('warmed'),
        ];
    }

    /** The reading of this compressor before. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $last = $past->value('compressor.insulation', $subject, 'megohms');

        return is_numeric($last) && $last > 0 ? ['previous_megohms' => ['value' => (float) $last, 'unit' => 'Mohm']] : [];
    }

    public static function drawing(Input $in, array $values): array
    {
        return Drawn::scale('Mohm', self::LIQUID, [
            ['to' => self::GROUNDED, 'is' => Status::Stop], ['to' => self::MOIST, 'is' => Status::Watch], ['to' => self::TOP, 'is' => Status::Clear],
        ], isset($values['megohms']) ? (float) $values['megohms']->value : null, true);
    }

    public function judge(Input $in): Judgement
    {
        $dangers = self::dangers($in);
        if ($dangers !== []) {
            return $this->judgement($dangers, $in);
        }
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in), $in);
        }
        $megohms = (float) $in->in('megohms', 'Mohm');
        $values = ['megohms' => Value::of($megohms, 'Mohm')];
        $previous = $in->in('previous_megohms', 'Mohm');
        if ($previous !== null) {
            $values['of_previous'] = Value::of(100 * $megohms / $previous, '%');
        }
        $factor = null;
        if ($in->text('school') === 'motor_standard' && self::megohmmeter($in)) {
            $factor = 0.5 ** ((40 - (float) $in->in('winding_temperature', 'degC')) / 10);
            $values['at_40'] = Value::of($megohms * $factor, 'Mohm');
        }
        $found = fn (array $j): array => self::found($in, $j['megohms'], $factor, $previous);
        $marginal = Uncertainty::decides(fn (array $j): Status => Judgement::worst($found($j)), ['megohms' => $megohms], ['megohms' => $megohms * Instrument::Megohmmeter->share()]);
        $findings = $found(['megohms' => $megohms]);
        if ($findings === []) {
            $findings[] = Finding::note('good', ['megohms' => Said::megohms($megohms)]);
        }

        return $this->judgement($findings, $in, $values, $marginal);
    }

    /** @return list<Finding> what must not be done at all, before anything is missing */
    private static function dangers(Input $in): array
    {
        $vacuum = self::megohmmeter($in) && $in->text('system_state') === 'vacuum';

        return [
            ...($vacuum ? [Finding::stop('no_insulation_test_in_vacuum')] : []),
            ...($in->flag('drive_connected') ? [Finding::stop('disconnect_drive', [], self::megohmmeter($in) ? 'disconnect_drive' : 'disconnect_drive_multimeter')] : []),
        ];
    }

    /** @return list<Finding> */
    private static function found(Input $in, float $megohms, ?float $factor, ?float $previous): array
    {
        $said = ['megohms' => Said::megohms($megohms, self::GROUNDED), 'limit' => Said::megohms(self::GROUNDED)];
        $underGround = Limit::under($megohms, self::GROUNDED);
        $cold = self::mayBeLiquid($in, $megohms, self::megohmmeter($in) ? self::POOR : self::GROUNDED);
        $asRead = match (true) {
            $cold => [Finding::stop('cold_reading', ['megohms' => Said::megohms($megohms)])],
            $underGround => [Finding::stop('grounded', $said)],
            ! self::megohmmeter($in) => [Finding::watch('not_a_proof', ['megohms' => Said::megohms($megohms)])],
            $factor !== null => [],
            default => self::byBands($megohms),
        };
        $findings = $factor === null ? $asRead : [...$asRead, ...self::byStandard($megohms * $factor, $asRead !== [])];
        if ($previous !== null && Limit::under(100 * $megohms / $previous, self::FALL)) {
            $findings[] = Finding::watch('insulation_falling', ['megohms' => Said::megohms($megohms), 'previous' => Said::megohms($previous)], Judgement::worst($findings) === Status::Stop ? 'insulation_falling_besides' : null);
        }
        if ($previous !== null && self::megohmmeter($in) && Judgement::worst($findings) !== Status::Stop && ! Limit::under($megohms / $previous, self::RECOVERED)) {
            $findings[] = Finding::clear('recovered', ['megohms' => Said::megohms($megohms), 'previous' => Said::megohms($previous)]);
        }

        return $findings;
    }

    /** Charge in a shell that was not warmed: liquid refrigerant in the oil reads like a failing winding. */
    private static function mayBeLiquid(Input $in, float $megohms, float $below): bool
    {
        $celsius = $in->in('winding_temperature', 'degC');
        $warm = $in->flag('warmed') || ($celsius !== null && ! Limit::under($celsius, self::HEATED));

        return $in->text('system_state') === 'pressurised' && ! $warm && ! Limit::under($megohms, self::LIQUID) && Limit::under($megohms, $below);
    }

    /** @return list<Finding> */
    private static function byBands(float $megohms): array
    {
        $said = fn (float $limit): array => ['megohms' => Said::megohms($megohms, $limit), 'limit' => Said::megohms($limit)];

        return match (true) {
            Limit::under($megohms, self::POOR) => [Finding::watch('insulation_poor', $said(self::POOR))],
            Limit::under($megohms, self::MOIST) => [Finding::watch('insulation_moist', $said(self::MOIST))],
            Limit::under($megohms, self::GOOD) => [Finding::clear('insulation_note', $said(self::GOOD))],
            default => [],
        };
    }

    /** @return list<Finding> */
    private static function byStandard(float $at40, bool $beside): array
    {
        $said = fn (float $limit): array => ['megohms' => Said::megohms($at40, $limit), 'limit' => Said::megohms($limit), 'at' => Said::temperature(self::STANDARD_AT)];

        return match (true) {
            Limit::under($at40, self::STANDARD_STOP) => [Finding::stop('below_standard', $said(self::STANDARD_STOP), $beside ? 'below_standard_besides' : null)],
            Limit::under($at40, self::STANDARD_CLEAR) => [Finding::watch('near_standard', $said(self::STANDARD_CLEAR))],
            default => [],
        };
    }

    private static function megohmmeter(Input $in): bool
    {
        return str_starts_with($in->text('instrument'), 'megohmmeter');
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, Input $in, array $values = [], bool $marginal = false): Judgement
    {
        $basis = [Finding::note($in->text('school') === 'motor_standard' ? 'basis_standard' : 'basis_bands')];

        return new Judgement($findings, $values, $marginal, ['lockout', 'terminal_venting', 'no_insulation_test_in_vacuum', 'never_run_in_vacuum', 'eye_protection', 'stored_energy'], $basis);
    }
}
