<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether a circuit's whole charge in its smallest room could hurt somebody: over the refrigerant concentration limit, or
 * over a quarter of what burns; and for what burns, by area, 0.25·LFL·h·A as a first screen.
 *
 * Both limits are shares of the air written at sea level: they shrink with its pressure. The screen is stricter than most
 * standards for systems with a fan. The standard in force and the licensed designer decide.
 */
final class RoomLimit implements Check, Draws, DrawsOnRecord
{
    use NoContradictions;

    private const FLAMMABLE = ['A2L', 'A2', 'A3', 'B2L', 'B2', 'B3'];
    private const CLASSES = ['A1', 'A2L', 'A2', 'A3', 'B1', 'B2L', 'B2', 'B3'];
    private const QUARTER = 0.25;
    /** m a leak is let out at. */
    private const RELEASE = ['floor' => 0.6, 'wall' => 1.8, 'ceiling' => 2.2];
    /** m3 · LFL that product standards allow in any room. */
    private const ANY_ROOM = 6.0;
    /** What bounds how much can leak. */
    private const BOUNDS = ['detection_shutoff', 'split_circuit'];

    public function id(): string
    {
        return 'charge.room_limit';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isUnknown = fn (Input $in): bool => Refrigerant::named($in->text('refrigerant')) === null;
        $density = fn (string $name): Field => Field::quantity($name, Kind::Density, 'kg/m3', 0, 100)->positive()->readWith(null);
        $room = fn (): array => [
            Field::quantity('area', Kind::Area, 'm2', 0, 1e6)->positive()->neededWhen(fn (Input $in): bool => ! $in->given('volume')),
            Field::length('height', 'm', 0, 30)->positive()->neededWhen(fn (Input $in): bool => ! $in->given('volume')),
            Field::quantity('volume', Kind::Volume, 'm3', 0, 1e7)->positive()->readWith(null),
        ];

        return [
            Field::mass('total_charge')->positive()->readWith(null)->needed(),
            Field::group('smallest_room', ...$room())->needed(),
            Field::items('connected', Field::text('name')->structural(), ...$room()),
            ...Site::fields(),
            $density('rcl')->neededWhen($isUnknown),
            Field::word('class', ...self::CLASSES)->neededWhen($isUnknown),
            $density('lfl')->neededWhen(fn (Input $in): bool => $isUnknown($in) && ! in_array($in->text('class'), ['', 'A1', 'B1'], true)),
            Field::word('release', 'floor', 'wall', 'ceiling')->default('floor'),
            Field::words('mitigation', 'opening', 'detection_shutoff', 'ventilation', 'split_circuit'),
            Field::text('refrigerant')->fromSheet('circuit.refrigerant'),
        ];
    }

    /** The charge that was figured for the circuit or the system; a system's room and what is done about it, too. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $system = $past->last('vrf.charge', $subject);
        $total = $past->value('vrf.charge', $subject, 'total') ?? $past->value('charge.weigh_in', $subject, 'total');

        return (is_numeric($total) ? ['total_charge' => ['value' => (float) $total, 'unit' => 'oz']] : [])
            + array_intersect_key($system['input'] ?? [], ['smallest_room' => 1, 'connected' => 1, 'mitigation' => 1, 'release' => 1]);
    }

    public function judge(Input $in): Judgement
    {
        $table = Refrigerant::named($in->text('refrigerant'));
        $class = $in->given('class') ? $in->text('class') : $table?->safetyClass() ?? '';
        $isFlammable = in_array($class, self::FLAMMABLE, true);
        $cautions = ['asphyxiation', ...($isFlammable ? ['flammable_refrigerant'] : [])];
        $basis = [Finding::note('basis'), ...($in->given('altitude') || $in->given('barometer') ? [] : [Finding::note('sea_level')])];
        $room = self::roomOf($in->group('smallest_room'));
        $connected = array_map(self::roomOf(...), $in->items('connected'));
        $differs = $table !== null && $in->given('class') && $class !== $table->safetyClass() ? [Finding::watch('class_differs', ['given' => $class, 'table' => $table->safetyClass()])] : [];
        $missing = Missing::in($in);
        $charge = $in->maybe('total_charge');
        $thin = min(1.0, Site::pressure($in) / Site::SEA_LEVEL);
        $rcl = ($in->maybe('rcl') ?? $table?->rcl());
        $lfl = $isFlammable ? $in->maybe('lfl') ?? $table?->lfl() : null;
        if ($room === null || $charge === null) {
            return new Judgement([...$differs, ...$missing], [], false, $cautions, $basis);
        }
        [$rcl, $lfl] = [$rcl === null ? null : $rcl * $thin, $lfl === null ? null : $lfl * $thin];
        $values = $missing === [] ? self::values($in, $charge, $room, $rcl, $lfl) : [];
        $found = self::limits($in, $charge, $room, $rcl, $lfl, $class);
        if ($found !== [] && $connected !== [] && ! in_array(null, $connected, true)) {
            /** @var list<array{volume: float, area: float|null}> $rooms */
            $rooms = [$room, ...$connected];
            $together = ['volume' => array_sum(array_column($rooms, 'volume')), 'area' => in_array(null, array_column($rooms, 'area'), true) ? null : (float) array_sum(array_column($rooms, 'area'))];
            $found = self::together($in, $found, self::limits($in, $charge, $together, $rcl, $lfl, $class), $charge, $room, $rcl, $lfl, $class);
            if ($missing === [] && $rcl !== null) {
                $values['share_of_rcl_together'] = Value::of(100 * $charge / $together['volume'] / $rcl, '%');
            }
        } elseif ($missing === [] && $connected !== [] && ! in_array(null, $connected, true) && $rcl !== null) {
            $values['share_of_rcl_together'] = Value::of(100 * $charge / ($room['volume'] + array_sum(array_column($connected, 'volume'))) / $rcl, '%');
        }
        $unknown = $isFlammable && $room['area'] === null ? [Finding::watch('area_unknown')] : [];
        $findings = [...$found, ...$unknown, ...$differs, ...$missing];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('within', ['share' => Said::percent((float) $values['share_of_rcl']->value), 'charge' => Said::charge($charge)]);
        }

        return new Judgement($findings, $values, false, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        $share = isset($values['share_of_rcl']) ? (float) $values['share_of_rcl']->value : null;

        return $share === null ? [] : Drawn::bars('%', [
            ['word' => 'of_rcl', 'value' => $share, 'is' => Limit::over($share, 100.0) ? 'stop' : 'plain'],
            ...(isset($values['share_of_lfl']) ? [['word' => 'of_quarter_lfl', 'value' => (float) $values['share_of_lfl']->value / self::QUARTER, 'is' => Limit::over((float) $values['share_of_lfl']->value, 100 * self::QUARTER) ? 'stop' : 'plain']] : []),
        ], 100.0);
    }

    /**
     * @param array{volume: float, area: float|null} $room
     * @return array<string, Value>
     */
    private static function values(Input $in, float $charge, array $room, ?float $rcl, ?float $lfl): array
    {
        $values = ['concentration' => Value::of($charge / $room['volume'], 'kg/m3')];
        if ($rcl !== null) {
            $values += ['share_of_rcl' => Value::of(100 * $charge / $room['volume'] / $rcl, '%'), 'max_charge_rcl' => Value::of($rcl * $room['volume'], 'kg'), 'smallest_volume' => Value::of($charge / $rcl, 'm3')];
        }
        if ($lfl !== null) {
            $values['share_of_lfl'] = Value::of(100 * $charge / $room['volume'] / $lfl, '%');
            if ($room['area'] !== null) {
                $values['max_charge_area'] = Value::of(self::screen($in, $lfl, $room['area']), 'kg');
            }
        }

        return $values;
    }

    /**
     * Every limit that is exceeded.
     *
     * @param array{volume: float, area: float|null} $room
     * @return list<Finding>
     */
    private static function limits(Input $in, float $charge, array $room, ?float $rcl, ?float $lfl, string $class, bool $softened = true): array
    {
        $there = $charge / $room['volume'];
        $mitigation = $softened ? $in->words('mitigation') : array_diff($in->words('mitigation'), ['opening']);
        $burns = $lfl !== null && Limit::over($there, $lfl);
        $isBounded = array_intersect($mitigation, self::BOUNDS) !== [];
        $status = match (true) {
            $burns => $isBounded ? Status::Watch : Status::Stop,
            default => $mitigation === [] ? Status::Stop : Status::Watch,
        };
        $said = ['charge' => Said::charge($charge), 'share' => Said::percent($rcl === null ? 0.0 : 100 * $there / $rcl, 100.0)];
        $found = [];
        if ($burns) {
            $found[] = Finding::of($status, 'over_lfl', $said);
        }
        if ($rcl !== null && Limit::over($there, $rcl)) {
            $found[] = Finding::of($status, 'over_rcl', $said);
        }
        if ($lfl !== null && Limit::over($there, self::QUARTER * $lfl)) {
            $found[] = Finding::of($status, 'over_quarter_lfl', $said);
        }
        if ($lfl !== null && $room['area'] !== null && Limit::over($charge, self::screen($in, $lfl, $room['area']))) {
            $alone = $found === [] && $class === 'A2L' && ! Limit::over($charge, self::ANY_ROOM * $lfl);
            $found[] = Finding::of($alone ? Status::Watch : $status, 'over_area_screen', $said + ['most' => Said::charge(self::screen($in, $lfl, $room['area']))]);
        }

        return $found;
    }

    /**
     * What rooms that nothing can close between them change.
     *
     * @param list<Finding> $alone
     * @param list<Finding> $together
     * @param array{volume: float, area: float|null} $room
     * @return list<Finding>
     */
    private static function together(Input $in, array $alone, array $together, float $charge, array $room, ?float $rcl, ?float $lfl, string $class): array
    {
        if ($together !== []) {
            return [...self::limits($in, $charge, $room, $rcl, $lfl, $class, false), Finding::watch('connection_not_enough')];
        }
        $burns = array_filter($alone, fn (Finding $f): bool => $f->code === 'over_lfl') !== [];

        return [Finding::watch('relies_on_connection'), ...array_map(fn (Finding $f): Finding => $burns ? $f : Finding::watch($f->code, $f->params), $alone)];
    }

    /** @return float kg */
    private static function screen(Input $in, float $lfl, float $area): float
    {
        return self::QUARTER * $lfl * self::RELEASE[$in->text('release')] * $area;
    }

    /** @return array{volume: float, area: float|null}|null m3 and m2; null while it is not measured */
    private static function roomOf(?Input $room): ?array
    {
        return match (true) {
            $room === null => null,
            $room->given('volume') => ['volume' => $room->number('volume'), 'area' => $room->maybe('area')],
            $room->all('area', 'height') => ['volume' => $room->number('area') * $room->number('height'), 'area' => $room->number('area')],
            default => null,
        };
    }
}
