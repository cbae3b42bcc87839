<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the frame is tied back to the panel so that a fault trips the breaker: by a wire of its size or by a raceway
 * that may carry it, and by the ohms of the whole way.
 *
 * Limits: sizes by the breaker, metal conduit on a roof never alone unless threaded, a rod never (electrical code); half
 * an ohm from frame to panel ground (acceptance testing); five times a breaker's rating trips it within a blink, under
 * twice it may never trip.
 */
final class Grounding implements Check
{
    /** A of the breaker, up to => copper and aluminum */
    private const WIRE = [
        15 => ['14', '12'], 20 => ['12', '10'], 60 => ['10', '8'], 100 => ['8', '6'], 200 => ['6', '4'], 300 => ['4', '2'],
        400 => ['3', '1'], 500 => ['2', '1/0'], 600 => ['1', '2/0'], 800 => ['1/0', '3/0'], 1000 => ['2/0', '4/0'], 1200 => ['3/0', '250'],
    ];
    /** kcmil */
    private const AREA = [
        '14' => 4.11, '12' => 6.53, '10' => 10.38, '8' => 16.51, '6' => 26.24, '4' => 41.74, '3' => 52.62, '2' => 66.36, '1' => 83.69,
        '1/0' => 105.6, '2/0' => 133.1, '3/0' => 167.8, '4/0' => 211.6, '250' => 250.0, '300' => 300.0, '350' => 350.0, '400' => 400.0, '500' => 500.0,
    ];
    private const LEAST_ALUMINUM = '12';
    private const SLACK = 1e-9;
    /** ohm */
    private const OPEN = 10.0;
    private const HIGH = 1.0;
    private const DOUBTFUL = 0.5;
    private const METER = 0.05;
    private const METER_SHARE = 0.01;
    /** Times the breaker's rating. */
    private const MAY_NOT_TRIP = 2.0;
    private const SLOW = 5.0;

    public function id(): string
    {
        return 'power.grounding';
    }

    public function version(): int
    {
        return 1;
    }

    /** @return list<string> sizes of conductors, from small to large */
    public static function sizes(): array
    {
        return array_map(strval(...), array_keys(self::AREA));
    }

    /** @return iterable<InputError> there is no aluminum wire of the smallest size */
    public static function unmade(Input $in, string ...$names): iterable
    {
        foreach ($names as $name) {
            if ($in->text('material') === 'al' && $in->text($name) === self::sizes()[0]) {
                yield InputError::at($name, $in->text($name), 'a size aluminum is made in, from 12', 'is not made of aluminum');
            }
        }
    }

    public function fields(): array
    {
        $isWire = fn (Input $in): bool => $in->text('path') === 'wire';
        $isRaceway = fn (Input $in): bool => $in->text('path') === 'raceway';

        return [
            Field::amps('breaker', 1, 1200)->readWith(null)->needed(),
            Field::word('path', 'wire', 'raceway', 'rod', 'none')->needed(),
            Field::word('conductor', ...self::sizes())->neededWhen($isWire),
            Field::word('material', 'cu', 'al')->default('cu'),
            Field::word('phase_conductor', ...self::sizes())->neededWhen(fn (Input $in): bool => $in->given('phase_needed')),
            Field::word('phase_needed', ...self::sizes()),
            Field::word('raceway', 'threaded', 'other_metal', 'flexible', 'nonmetallic')->neededWhen($isRaceway),
            Field::flag('on_roof')->neededWhen($isRaceway),
            Field::quantity('ohms', Kind::Resistance, 'ohm', 0, 1e9)->neededWhen($isRaceway),
            Field::volts('volts_to_ground')->positive(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        yield from self::unmade($in, 'conductor', 'phase_conductor', 'phase_needed');
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $findings = [...Missing::in($in), ...self::path($in, $values)];
        if ($in->given('path') && $in->text('path') !== 'raceway' && ! $in->given('ohms')) {
            $findings[] = Finding::watch('not_measured');
        }
        $of = fn (float $ohms): array => self::ohms($in, $ohms);
        $isMarginal = false;
        if ($in->given('ohms')) {
            $read = $in->number('ohms');
            $u = max(self::METER_SHARE * $read, self::METER);
            $status = Judgement::worst([...$findings, ...$of($read)]);
            $isMarginal = Judgement::worst([...$findings, ...$of($read + $u)]) !== $status || Judgement::worst([...$findings, ...$of(max(0.0, $read - $u))]) !== $status;
            $findings = [...$findings, ...$of($read)];
            $amps = self::faultAmps($in, $read);
            $values += $amps === null ? [] : ['fault_amps' => Value::of($amps, 'A'), 'multiple' => Value::of($amps / $in->number('breaker'), '1')];
        }
        if (Judgement::worst($findings) === Status::Clear) {
            $findings = [Finding::note('tied', ['ohms' => Said::ohms($in->number('ohms'))])];
        }

        return new Judgement($findings, $values, $isMarginal, ['lockout', 'qualified_electrical', 'local_code'], [Finding::note('basis')]);
    }

    /**
     * @param array<string, Value> $values gets the size it needs
     * @return list<Finding>
     */
    private static function path(Input $in, array &$values): array
    {
        return match ($in->text('path')) {
            'none' => [Finding::stop('no_ground')],
            'rod' => [Finding::stop('rod_only')],
            'raceway' => self::raceway($in),
            'wire' => self::wire($in, $values),
            default => [],
        };
    }

    /** @return list<Finding> */
    private static function raceway(Input $in): array
    {
        return match ($in->text('raceway')) {
            'nonmetallic' => [Finding::stop('no_ground')],
            'flexible' => [Finding::stop('flex_alone')],
            'other_metal' => $in->flag('on_roof') ? [Finding::stop('conduit_alone')] : [],
            'threaded' => $in->flag('on_roof') ? [Finding::watch('conduit_alone', [], 'conduit_alone_threaded')] : [],
            default => [],
        };
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function wire(Input $in, array &$values): array
    {
        $table = self::table($in);
        $lacksPhase = $in->given('phase_needed') && ! $in->given('phase_conductor');
        if ($table === null || $lacksPhase) {
            return [];
        }
        $needed = self::AREA[$table];
        if ($in->given('phase_conductor')) {
            $phase = self::AREA[$in->text('phase_conductor')];
            $needed = min($phase, $needed * ($in->given('phase_needed') ? max(1.0, $phase / self::AREA[$in->text('phase_needed')]) : 1.0));
        }
        $size = self::least($needed, $in->text('material'));
        $values['needed_size'] = Value::text($size);
        $isSmall = $in->given('conductor') && self::AREA[$in->text('conductor')] < $needed * (1 - self::SLACK);

        return $isSmall ? [Finding::stop('ground_small', ['size' => $in->text('conductor'), 'needed' => $size])] : [];
    }

    private static function table(Input $in): ?string
    {
        foreach ($in->given('breaker') ? self::WIRE : [] as $upTo => [$copper, $aluminum]) {
            if (! Limit::over($in->number('breaker'), (float) $upTo)) {
                return $in->text('material') === 'al' ? $aluminum : $copper;
            }
        }

        return null;
    }

    private static function least(float $area, string $material): string
    {
        foreach (self::AREA as $size => $has) {
            $isMade = $material !== 'al' || $has >= self::AREA[self::LEAST_ALUMINUM];
            if ($isMade && $has >= $area * (1 - self::SLACK)) {
                return (string) $size;
            }
        }

        return 'none';
    }

    /** @return list<Finding> */
    private static function ohms(Input $in, float $ohms): array
    {
        $said = ['ohms' => Said::ohms($ohms)];
        $found = match (true) {
            Limit::over($ohms, self::OPEN) => [Finding::stop('ground_open', $said)],
            Limit::over($ohms, self::HIGH) => [Finding::stop('ground_high', $said)],
            Limit::over($ohms, self::DOUBTFUL) => [Finding::watch('ground_high', $said)],
            default => [],
        };
        $amps = self::faultAmps($in, $ohms);
        if ($amps === null) {
            return $found;
        }
        $multiple = $amps / $in->number('breaker');
        $said = ['amps' => Said::amps($amps), 'breaker' => Said::amps($in->number('breaker'))];

        return [...$found, ...match (true) {
            Limit::under($multiple, self::MAY_NOT_TRIP) => [Finding::stop('will_not_trip', $said)],
            Limit::under($multiple, self::SLOW) => [Finding::watch('slow_trip', $said)],
            default => [],
        }];
    }

    /** @return float|null A through a fault to the frame: the line has as many ohms again */
    private static function faultAmps(Input $in, float $ohms): ?float
    {
        return $in->all('volts_to_ground', 'breaker') && $ohms > 0.0 ? $in->number('volts_to_ground') / (2 * $ohms) : null;
    }
}
