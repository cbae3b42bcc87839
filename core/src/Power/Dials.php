<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the dials are left right: motor overloads, the phase monitor, drives and their bypass; and whether each of them
 * was proved.
 *
 * Limits: the relay's own curve holds the 15 or 25 % the electrical code allows, so a dial stands at the motor's amps, at
 * 90 % without a service factor of 1.15. A lamp that is out may be a dead lamp. A bypass feeds the motor past the drive
 * with the line's order.
 */
final class Dials implements Check
{
    private const SERVICE = 1.15;
    private const WITHOUT_SERVICE = 0.9;
    private const OF_SHEET = 1.15;
    private const OF_FLA = 1.25;
    private const OF_FLA_WITHOUT = 1.15;
    private const HIGH = 1.05;
    private const LOW = 0.8;
    /** % */
    private const NOMINAL = [5.0, 10.0];
    private const TRIP = [5.0, 15.0];
    private const UNBALANCE = [2.0, 5.0];
    /** s */
    private const SLOW = 10.0;
    private const DRIVE = [0.8, 1.05, 1.15];
    private const BY_DOING = ['leg_off', 'reversed'];
    private const UNPROVED = ['monitor_not_proved', 'putback', 'direction_not_seen', 'bypass_not_proved'];

    public function id(): string
    {
        return 'power.dials';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $hertz = fn (string $name): Field => Field::quantity($name, Kind::Frequency, 'Hz', 0, 400)->readWith(null);
        $plate = fn (string $name): Field => Field::amps($name)->positive()->readWith(null);
        $tried = fn (string ...$tests): \Closure => fn (Input $in): bool => in_array($in->text('test'), $tests, true);

        return [
            Field::items(
                'overloads',
                Field::text('name')->structural()->fromSheet('name'),
                $plate('dial')->needed(),
                $plate('fla')->needed()->fromSheet('amps'),
                Field::number('service_factor', 1, 2)->default(1.0)->fromSheet('service_factor'),
                $plate('sheet_dial')->fromSheet('dial'),
            )->uniqueBy('name')->fromSheet('dials')->neededWhen(fn (Input $in): bool => ! $in->given('monitor') && ! $in->given('drives')),
            Field::group(
                'monitor',
                Field::volts('nominal')->positive()->readWith(null)->needed(),
                Field::volts('supply_average')->positive()->needed(),
                Field::percent('trip_percent', 0, 50),
                Field::percent('unbalance_percent', 0, 50),
                Field::quantity('delay', Kind::Time, 's', 0, 600)->bareIn('s')->readWith(null),
                Field::word('test', 'leg_off', 'reversed', 'button', 'light', 'not_tested')->needed(),
                Field::flag('call_dropped')->neededWhen($tried('leg_off', 'reversed', 'button')),
                Field::flag('restored')->neededWhen($tried(...self::BY_DOING)),
            ),
            Field::items(
                'drives',
                Field::text('name')->structural()->fromSheet('name'),
                $hertz('min_hz')->positive()->needed(),
                $hertz('max_hz')->positive()->needed(),
                Field::amps('motor_amps')->positive()->readWith(null)->needed(),
                $plate('fla')->needed()->fromSheet('amps'),
                $hertz('hz_limit')->positive()->default('60 Hz'),
                $hertz('hz_floor'),
                Field::word('direction', 'correct', 'backwards', 'not_seen')->needed(),
                Field::word('bypass', 'correct', 'backwards', 'not_run', 'none')->needed(),
            )->uniqueBy('name')->fromSheet('drives'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('drives') as $i => $drive) {
            if ($drive->all('min_hz', 'max_hz') && Limit::under($drive->number('max_hz'), $drive->number('min_hz'))) {
                yield InputError::at("drives.$i.max_hz", $drive->number('max_hz'), 'no less than the least', 'Hz is under the least');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $found = [];
        foreach ($in->items('overloads') as $i => $overload) {
            $found = [...$found, ...self::overload($overload, "overloads.$i", $values)];
        }
        $monitor = $in->group('monitor');
        if ($monitor !== null) {
            $found = [...$found, ...self::monitor($monitor, $values)];
        }
        foreach ($in->items('drives') as $i => $drive) {
            $found = [...$found, ...self::drive($drive, "drives.$i", $values)];
        }
        $missing = Missing::in($in);
        $isUnproved = array_filter($found, fn (Finding $one): bool => in_array(explode(':', $one->code)[0], self::UNPROVED, true)) !== [];
        $findings = [...$missing, ...$found];
        if ($missing === [] && ! $isUnproved && Judgement::worst($found) !== Status::Stop) {
            $findings[] = Finding::clear('dials_proved');
        }
        $restored = $monitor !== null && $monitor->given('restored') && in_array($monitor->text('test'), self::BY_DOING, true) ? $monitor->flag('restored') : null;
        $sets = $restored === null ? [] : [$restored ? Effect::closes(PutBackKind::MonitorLead) : Effect::opens(PutBackKind::MonitorLead)];
        $cautions = ['lockout', 'qualified_electrical', 'rotating_parts', ...($in->items('drives') === [] ? [] : ['stored_energy'])];

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')], sets: $sets);
    }

    /**
     * @param array<string, Value> $values gets its share of the plate
     * @return list<Finding>
     */
    private static function overload(Input $in, string $at, array &$values): array
    {
        if (! $in->all('dial', 'fla')) {
            return [];
        }
        [$dial, $fla, $sheet] = [$in->number('dial'), $in->number('fla'), $in->maybe('sheet_dial')];
        $values["$at.share"] = Value::of(100 * $dial / $fla, '%');
        $hasService = ! Limit::under($in->number('service_factor'), self::SERVICE);
        $target = $sheet ?? ($hasService ? 1.0 : self::WITHOUT_SERVICE) * $fla;
        $ceiling = $sheet === null ? ($hasService ? self::OF_FLA : self::OF_FLA_WITHOUT) * $fla : self::OF_SHEET * $sheet;
        $name = $in->text('name');
        $said = ['name' => $name, 'dial' => Said::amps($dial), 'target' => Said::amps($target)];

        return match (true) {
            Limit::over($dial, $ceiling) => [Finding::stop("dial_over:$name", $said)],
            Limit::over($dial, self::HIGH * $target) => [Finding::watch("dial_over:$name", $said)],
            Limit::under($dial, self::LOW * $target) => [Finding::watch("dial_low:$name", $said)],
            default => [],
        };
    }

    /**
     * @param array<string, Value> $values gets its nominal of the supply
     * @return list<Finding>
     */
    private static function monitor(Input $in, array &$values): array
    {
        $found = [];
        if ($in->all('nominal', 'supply_average')) {
            $share = 100 * $in->number('nominal') / $in->number('supply_average');
            $values['monitor.share'] = Value::of($share, '%');
            $said = ['nominal' => Said::volts($in->number('nominal')), 'supply' => Said::volts($in->number('supply_average'))];
            $off = abs($share - 100);
            $found = match (true) {
                Limit::over($off, self::NOMINAL[1]) => [Finding::stop('monitor_nominal', $said)],
                Limit::over($off, self::NOMINAL[0]) => [Finding::watch('monitor_nominal', $said)],
                default => [],
            };
        }
        $is = fn (string $name, float $limit, bool $over): bool => $in->given($name) && ($over ? Limit::over($in->number($name), $limit) : Limit::under($in->number($name), $limit));
        $test = $in->text('test');
        $no = fn (string $flag, string ...$tests): bool => in_array($test, $tests, true) && $in->given($flag) && ! $in->flag($flag);

        return [
            ...$found,
            ...($is('trip_percent', self::TRIP[1], true) || $is('unbalance_percent', self::UNBALANCE[1], true) ? [Finding::watch('monitor_wide')] : []),
            ...($is('trip_percent', self::TRIP[0], false) || $is('unbalance_percent', self::UNBALANCE[0], false) ? [Finding::watch('monitor_tight')] : []),
            ...($is('delay', self::SLOW, true) ? [Finding::watch('monitor_slow', ['delay' => Said::duration($in->number('delay'))])] : []),
            ...(in_array($test, ['not_tested', 'light', 'button'], true) ? [Finding::watch('monitor_not_proved')] : []),
            ...($test === 'light' ? [Finding::watch('light_no_proof')] : []),
            ...($no('call_dropped', 'leg_off', 'reversed', 'button') ? [Finding::stop('monitor_dead')] : []),
            ...($no('restored', ...self::BY_DOING) ? [Finding::watch('putback:monitor_lead')] : []),
        ];
    }

    /**
     * @param array<string, Value> $values gets its share of the plate
     * @return list<Finding>
     */
    private static function drive(Input $in, string $at, array &$values): array
    {
        $name = $in->text('name');
        $found = [];
        if ($in->given('max_hz') && Limit::over($in->number('max_hz'), $in->number('hz_limit'))) {
            $found[] = Finding::stop("hz_over:$name", ['name' => $name, 'set' => Said::hertz($in->number('max_hz')), 'limit' => Said::hertz($in->number('hz_limit'))]);
        }
        if ($in->all('min_hz', 'hz_floor') && Limit::under($in->number('min_hz'), $in->number('hz_floor'))) {
            $found[] = Finding::watch("hz_low:$name", ['name' => $name, 'set' => Said::hertz($in->number('min_hz')), 'floor' => Said::hertz($in->number('hz_floor'))]);
        }
        if ($in->all('motor_amps', 'fla')) {
            $share = $in->number('motor_amps') / $in->number('fla');
            $values["$at.share"] = Value::of(100 * $share, '%');
            $said = ['name' => $name, 'set' => Said::amps($in->number('motor_amps')), 'plate' => Said::amps($in->number('fla'))];
            $found = [...$found, ...match (true) {
                Limit::over($share, self::DRIVE[2]) => [Finding::stop("drive_amps_over:$name", $said)],
                Limit::over($share, self::DRIVE[1]) => [Finding::watch("drive_amps_over:$name", $said)],
                Limit::under($share, self::DRIVE[0]) => [Finding::watch("drive_amps_low:$name", $said)],
                default => [],
            }];
        }
        [$direction, $bypass] = [$in->text('direction'), $in->text('bypass')];
        $isBoth = $direction === 'backwards' && $bypass === 'backwards';
        $said = ['name' => $name];

        return [
            ...$found,
            ...match ($direction) {
                'backwards' => [Finding::stop("drive_reversed:$name", $said, $isBoth ? 'both_reversed' : null)],
                'not_seen' => [Finding::watch("direction_not_seen:$name", $said)],
                default => [],
            },
            ...match ($bypass) {
                'backwards' => [Finding::stop("bypass_reversed:$name", $said, $isBoth ? 'bypass_reversed_too' : null)],
                'not_run' => [Finding::watch("bypass_not_proved:$name", $said)],
                default => [],
            },
        ];
    }
}
