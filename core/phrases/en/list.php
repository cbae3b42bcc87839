<?php

declare(strict_types=1);

$fields = [
    'items' => ['Items', 'Go through them one at a time.'],
    'items.id' => ['Item', ''],
    'items.answer' => ['Answer', ''],
    'items.reason' => ['Why', 'Needed when it does not apply.'],
    'items.photo' => ['Photo', ''],
    'job_type' => ['Job type', 'Leaves out what this unit can\'t have.'],
];
/**
 * A list of items as question, fields and sentences. Each item: what is asked, what "no" means, what to do, a help, and
 * the reason that is offered ready where it does not apply.
 *
 * @param array<string, array{0: string, 1: string, 2: string, 3?: string, 4?: string}> $items
 */
$list = fn (string $question, string $short, string $done, string $basis, array $items): array => [
    'question' => $question,
    'short' => $short,
    'fields' => $fields + array_combine(
        array_map(fn (string $id): string => "items.$id", array_keys($items)),
        array_map(fn (array $item): array => [$item[0], $item[3] ?? '', $item[4] ?? ''], array_values($items)),
    ),
    'say' => array_combine(
        array_map(fn (string $id): string => "item_$id", array_keys($items)),
        array_map(fn (array $item): array => ['head' => $item[1], 'next' => $item[2]], array_values($items)),
    ) + ['all_done' => ['head' => $done], 'basis' => ['head' => $basis]],
];

return [
    'list.set' => $list('Is it set right?', 'Set checklist', 'Set right: all {count} items good.', 'What has to be right before a unit is piped or powered.', [
        'match' => ['Model, voltage and phase match the order', 'What came is not what was ordered.', 'Leave it off and call the office.'],
        'undamaged' => ['No shipping damage', 'It has shipping damage.', 'Photograph it, note it on the freight bill before you sign, call the supplier.'],
        'kit' => ['Kit complete: drier, orifices, plugs, paperwork, filters', 'Parts of the kit are missing.', 'List what is missing before anybody drives to get it.'],
        'shipping_out' => ['Shipping brackets and blocks out', 'Shipping blocks are still in.', 'Take them out: the compressors have to float on their mounts.'],
        'level' => ['Level, or pitched to the drain, per the sheet', 'It is not level.', 'Shim it to the sheet.'],
        'clearances' => ['Clearances per the sheet', 'It is too close to something.', 'Measure each side against the sheet, fix what can be moved, and report the rest.'],
        'anchored' => ['Anchored or tied down', 'It is not tied down.', 'Anchor it before the wind does.'],
        'base' => ['Curb gasket continuous, or pad and isolators right', 'The base is not right.', 'Fix the gasket or the pad while you can still get to it.'],
        'discharge' => ['Panels right for this duct, downflow or horizontal', 'The panels are on for the other discharge.', 'Change them over.'],
        'covers_out' => ['Return and supply shipping covers out', 'A shipping cover is still over a duct opening.', 'Take it out before the blower starts.'],
        'ducts_sealed' => ['Duct joints sealed', 'A duct joint is not sealed.', 'Seal it.'],
        'drain' => ['Drain outlet used, the other plugged', 'The second drain hole is open.', 'Plug it.'],
        'pan' => ['Secondary pan wherever water would reach a ceiling', 'There is no pan under it.', 'Install one, or say who will.'],
        'gas_line' => ['Gas line with drip leg and shutoff', 'The gas line has no drip leg or no shutoff.', 'Leave the gas off until it has both.'],
    ]),
    'list.pipe' => $list('Are the joints good?', 'Joint list', 'Joints good: all {count} items.', 'What you can\'t see once the insulation is on.', [
        'joints_listed' => ['Every joint listed: who, and how', 'The joints are not listed.', 'Go down the lines and list each joint.'],
        'nitrogen' => ['Nitrogen flowing at each brazed joint', 'A joint was brazed without nitrogen.', 'Figure on scale: oversize drier or suction filter, and check the metering screen after a day of running.'],
        'kept_cool' => ['Valves and bulbs kept cool', 'A valve was not kept cool.', 'Leak-test it and check that it works before you charge.'],
        'drier' => ['New drier in, arrow right, unsealed last', 'The drier is not right.', 'Put a new one in, arrow with the flow.'],
        'stubs_capped' => ['Unused stubs capped', 'A stub is open.', 'Cap it.'],
        'supports' => ['Pipe supported, clear of sharp metal', 'The pipe is not supported.', 'Support it before it rubs through.'],
        'hot_work' => ['Permit, extinguisher and fire watch in place', 'The hot-work rules were not followed.', 'Start the fire watch now and tell the site.'],
        'joints_seen' => ['Every joint looked at all the way around', 'A joint was not looked at all the way around.', 'Put a mirror and light on the back of it before the insulation goes on. One you can\'t see has only the pressure test: hold longer.', 'Mirror and light for the back side. Pinholes hide where the torch could not reach.'],
        'penetrations' => ['Penetrations sleeved, sealed and firestopped', 'A penetration is open or not firestopped.', 'Sleeve it, seal it, and firestop it with a listed system before the ceiling closes.', 'Firestop where the wall or floor is rated, weather seal at the roof. No new holes: not applicable.', 'no new holes'],
        'insulated' => ['Suction line insulated', 'The suction line is bare.', 'Insulate it after the pressure test passes.'],
    ]),
    'list.prestart' => $list('Is it ready to start?', 'Pre-start list', 'Ready: all {count} items done.', 'What you check before anybody says "starting it now".', [
        'nobody_at_it' => ['Locks and tags accounted for, everybody clear', 'Somebody is still at the unit, or a lock is not accounted for.', 'Nobody starts it until everybody answers and every lock is off, each by its owner.'],
        'shipping_out' => ['Shipping brackets and blocks out', 'Shipping blocks are still in.', 'Take them out first.'],
        'lugs' => ['Terminals and lugs torqued to the sheet', 'The lugs are not torqued.', 'Lock out, test dead, torque them to the sheet.'],
        'wheel_free' => ['Blower wheel turns free, set screws tight', 'The blower wheel is not free.', 'Lock out, test dead, free it.'],
        'belt' => ['Belt tension and alignment', 'The belt is loose, worn or out of line.', 'Lock out, test dead, and set it before the first start; re-tension after 24 hours of running.', 'Nobody starts on a bad belt. Direct drive: not applicable.', 'direct drive'],
        'arrows' => ['Rotation arrow found on every motor', 'A motor\'s arrow was not found.', 'Find it or mark it: you can\'t judge rotation without it.'],
        'valves_open' => ['Service valves open, caps on tight', 'A service valve is closed.', 'Open it all the way before anything runs: a compressor against a closed valve breaks.'],
        'standing_pressure' => ['Standing pressure read on every circuit, none flat', 'A circuit is flat, or its standing pressure is far from what the outdoor temperature gives.', 'Leave it off: no charge, no start. Check for a back-seated valve, then find the leak.', 'It sits near saturation at the outdoor temperature. Sealed, no ports: not applicable.', 'sealed, no ports'],
        'caps_bubbled' => ['Stems, ports and caps soaped, with the charge in', 'A stem, port or cap bubbles, or was not soaped.', 'Snug the packing or change the core and cap, then soap it again.', 'Cores and caps went back on after the pressure test. Sealed unit you never opened: not applicable.', 'sealed unit, never opened'],
        'doors_on' => ['Doors and panels on', 'A door or panel is off.', 'Put it on: amps and airflow only count closed up.'],
        'filters_in' => ['Filters in, arrow with the airflow', 'The filters are not right.', 'Put them in, arrow with the airflow.'],
        'coil_clear' => ['Condenser coil clean and clear', 'The condenser coil is blocked.', 'Clean it or clear what blocks it.'],
        'trap_primed' => ['Trap primed', 'The trap is dry.', 'Fill it, or the blower holds water in the pan.'],
        'crankcase' => ['Crankcase heater on for the sheet\'s hours', 'The crankcase heater has not had its hours.', 'Wait: oil full of liquid refrigerant lubricates nothing.'],
        'calls_off' => ['No call from the thermostat or controls', 'There is a call on the controls.', 'Take the call off, or it starts by itself.'],
        'safeties' => ['Float switch and safeties wired in', 'A safety is not connected.', 'Wire it in before you start.'],
        'earth' => ['Equipment ground connected', 'There is no equipment ground.', 'Leave it off. Nothing starts without a ground.', 'First on, last off. A rod or the neutral is no ground.'],
        'neutral' => ['Neutral landed, where the diagram shows one', 'The diagram shows a neutral and it is not landed.', 'Lock out, test dead, land it on the neutral bar, never on the ground.', 'Most three-phase units have none: not applicable, "none in the diagram".', 'none in the diagram'],
        'volts_read' => ['Voltage read on every pair at the unit, since the lock came off', 'The voltage at the unit is off, or was not read since the lock came off.', 'Read all three pairs line side and load side of the disconnect before anything runs.', 'Inside the nameplate range. A blade or a fuse may not have made. Single-phase: the one reading it gets.'],
        'rotation_read' => ['Rotation checked at the terminals this visit', 'Rotation has not been checked this visit.', 'Check it with a meter before the first start.'],
        'gas_tested' => ['Gas joints leak-tested, line purged outdoors', 'The gas joints are not leak-tested.', 'Leave the gas off until they are.'],
    ]),
    'list.owner' => $list('Does the owner know what they need to?', 'Owner walk-through', 'Owner walked through: all {count} items.', 'What the owner has to know after everybody leaves.', [
        'set_points' => ['How to change the setpoints', 'Nobody showed the setpoints.', 'Show how to change them.'],
        'filters' => ['Filter size, location and next change', 'Nobody showed the filters.', 'Show where they are and write the size down.'],
        'mode_holder' => ['Which unit sets the mode', 'Nobody was told which unit sets the mode.', 'Show it, and why the others wait.'],
        'alarms' => ['What the alarms mean', 'Nobody went over the alarms.', 'At least leave the list of codes.'],
        'left_undone' => ['What was left undone, and when it will be done', 'Nobody was told what is left to do.', 'Tell them, with a name and a date.'],
        'shut_offs' => ['Emergency shutoff and gas shutoff', 'Nobody showed the emergency shutoff or the gas shutoff.', 'Show both.'],
        'papers' => ['Manuals and paperwork left', 'The paperwork was not left.', 'Leave it on site and say where.'],
        'initials' => ['Initials of whoever was shown', 'No initials yet.', 'Get the initials of whoever was shown; nobody there, mark n/a and set a date.'],
    ]),
];
