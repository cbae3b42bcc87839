<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Day;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/** A day somebody comes back, and what is read then; closed by that reading. */
final class NextLook implements Check
{
    use NoContradictions;

    /** What can be read then, with the check that closes it. */
    public const READS = [
        'charge' => 'charge.state', 'amps' => 'power.running_amps', 'voltage' => 'power.voltage', 'split' => 'air.split', 'rise' => 'heat.rise',
        'belt' => 'air.fan_drive', 'gas' => 'heat.gas_pressure', 'acid' => 'compressor.acid', 'insulation' => 'compressor.insulation', 'hold' => 'tight.hold',
        'drain' => 'condensate.float', 'settings' => 'controls.settings', 'sequence' => 'controls.sequence', 'alarms' => 'controls.alarms',
    ];

    public function id(): string
    {
        return 'entry.next_look';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::day('day')->needed(),
            Field::word('read', ...array_keys(self::READS))->needed(),
            Field::text('why'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $day = $in->parsed('day');

        return new Judgement([Finding::note('due', ['day' => $day instanceof Day ? $day->said() : '', 'read' => $in->text('read')])], basis: [Finding::note('basis')]);
    }
}
