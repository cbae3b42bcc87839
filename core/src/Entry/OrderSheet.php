<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Power\PlateVoltage;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/** The old unit's data and what the new one must fit, for the supplier before ordering. */
final class OrderSheet implements Check
{
    use NoContradictions;

    public function id(): string
    {
        return 'entry.order_sheet';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('model'),
            Field::text('serial'),
            Field::parsed('volts', PlateVoltage::parse(...)),
            Field::choice('phases', 1, 3),
            Field::amps('mca')->positive()->readWith(null),
            Field::amps('mocp')->positive()->readWith(null),
            Field::text('refrigerant'),
            Field::mass('charge')->readWith(null),
            Field::word('heat', 'none', 'gas', 'electric', 'heat_pump'),
            Field::text('heat_input'),
            Field::text('supply_drop'),
            Field::text('return_drop'),
            Field::word('discharge', 'down', 'side'),
            Field::text('curb'),
            Field::text('economizer'),
            Field::text('exhaust'),
            Field::text('drain_side'),
            Field::text('gas_side'),
            Field::quantity('gas_pressure', Kind::SmallPressure, 'inH2O', 0)->readWith(null),
            Field::text('conduit'),
            Field::text('controls'),
            Field::count('wires', 0, 200),
            Field::words('accessories', 'smoke_detector', 'float', 'phase_monitor', 'hail_guards'),
            Field::text('clearances'),
            Field::mass('weight')->readWith(null),
            Field::text('stays'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $names = array_map(fn (Field $field): string => $field->name, $this->fields());
        $blank = array_filter($names, fn (string $name): bool => ! $in->given($name));
        $of = ['of' => count($names)];

        return new Judgement([$blank === [] ? Finding::clear('complete', $of) : Finding::watch('blanks', $of + ['done' => count($names) - count($blank)])], basis: [Finding::note('basis')]);
    }
}
