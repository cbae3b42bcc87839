<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Charge\RoomLimit;
use IronStart\Core\Charge\WeighIn;
use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/**
 * The charge of a whole system by its lines, boxes and indoor units, and that charge in the smallest room it serves: how
 * much goes in, and whether it may. Judged as charge.weigh_in, with every length of line counting, and as
 * charge.room_limit with the total that comes out.
 */
final class ChargeAndRoom implements Check, Draws, DrawsOnRecord
{
    private WeighIn $weighIn;
    private RoomLimit $room;

    public function __construct()
    {
        [$this->weighIn, $this->room] = [new WeighIn(), new RoomLimit()];
    }

    public function id(): string
    {
        return 'vrf.charge';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $charge = array_map(fn (Field $field): Field => $field->name === 'lines' ? Field::items('lines', ...$field->fields)->needed() : $field, $this->weighIn->fields());

        return [...$charge, ...$this->roomFields()];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $lines = AsDrawn::lines($past);

        return $past->stillOpen('vrf.charge', $subject, ['lines', 'applies', 'matched_indoor', 'already_in', 'ledger', 'smallest_room']) + ($lines === [] ? [] : ['lines' => $lines]);
    }

    public function contradictions(Input $in): iterable
    {
        yield from $this->weighIn->contradictions($in);
    }

    public function judge(Input $in): Judgement
    {
        $ofRoom = array_map(fn (Field $field): string => $field->name, $this->roomFields());
        $isRoom = fn (string $path): bool => in_array(explode('.', $path)[0], $ofRoom, true);
        $rule = $in->group('charge_rule')?->with('per_total_length', true);
        $charge = $this->weighIn->judge($in->with('charge_rule', $rule)->lacking(array_values(array_filter($in->missing, fn (string $path): bool => ! $isRoom($path)))));
        $total = isset($charge->values['total']) ? Units::toCanonical((float) $charge->values['total']->value, 'oz', Kind::Mass) : null;
        $room = $this->room->judge($in->with('total_charge', $total)->lacking(array_values(array_filter($in->missing, $isRoom))));
        $basis = array_filter($room->basis, fn (Finding $note): bool => $note->phrase !== 'basis');

        return new Judgement(
            [...$charge->findings, ...$room->findings],
            $charge->values + $room->values,
            false,
            array_values(array_unique([...$charge->cautions, ...$room->cautions])),
            [Finding::note('basis'), ...array_values($basis)],
        );
    }

    public static function drawing(Input $in, array $values): array
    {
        return WeighIn::drawing($in, $values);
    }

    /** @return list<Field> what the room is judged by, the charge left out: it comes out of the sum */
    private function roomFields(): array
    {
        return array_values(array_filter($this->room->fields(), fn (Field $field): bool => $field->name !== 'total_charge'));
    }
}
