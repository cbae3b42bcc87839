<?php

declare(strict_types=1);

namespace IronStart\Core\Walked;

use IronStart\Core\Gate\JobType;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Effect;

/** Gate 8: what is walked before anybody says "starting it now". */
final class PrestartList extends ItemList
{
    public function id(): string
    {
        return 'list.prestart';
    }

    public static function list(): array
    {
        return [
            Item::always('nobody_at_it'),
            Item::must('shipping_out'),
            Item::must('lugs'),
            Item::must('wheel_free'),
            Item::must('belt'),
            Item::must('arrows'),
            Item::must('valves_open'),
            Item::must('standing_pressure'),
            Item::must('caps_bubbled'),
            Item::always('doors_on'),
            Item::must('filters_in'),
            Item::must('coil_clear'),
            Item::must('trap_primed'),
            Item::must('crankcase'),
            Item::always('calls_off'),
            Item::always('safeties'),
            Item::always('earth'),
            Item::must('neutral'),
            Item::always('volts_read'),
            Item::must('rotation_read'),
            Item::must('gas_tested', JobType::Rooftop, JobType::Condensing),
        ];
    }

    /** With the doors and panels on, none is off. */
    protected static function sets(array $answers): array
    {
        return ($answers['doors_on'] ?? '') === 'yes' ? [Effect::closes(PutBackKind::PanelOff)] : [];
    }

    protected static function cautions(): array
    {
        return ['lockout', 'rotating_parts', 'qualified_electrical', 'stored_energy', 'hand_on_contactor', 'remote_start'];
    }
}
