<?php

declare(strict_types=1);

$fields = [
    'items' => ['Items', 'Walk them one by one.'],
    'items.id' => ['Item', ''],
    'items.answer' => ['Answer', ''],
    'items.reason' => ['Why', 'Needed where it does not apply.'],
    'items.photo' => ['Photo', ''],
    'job_type' => ['Type of job', 'Leaves out what can\'t be on this machine.'],
];
/**
 * A list of items as question, fields and sentences. Each item: what is asked, what "no" means, what to do.
 *
 * @param array<string, array{0: string, 1: string, 2: string}> $items
 */
$list = fn (string $question, string $short, string $done, string $basis, array $items): array => [
    'question' => $question,
    'short' => $short,
    'fields' => $fields + array_combine(
        array_map(fn (string $id): string => "items.$id", array_keys($items)),
        array_map(fn (array $item): array => [$item[0], ''], array_values($items)),
    ),
    'say' => array_combine(
        array_map(fn (string $id): string => "item_$id", array_keys($items)),
        array_map(fn (array $item): array => ['head' => $item[1], 'next' => $item[2]], array_values($items)),
    ) + ['all_done' => ['head' => $done], 'basis' => ['head' => $basis]],
];

return [
    'list.set' => $list('Is it sitting right?', 'Set list', 'It sits right: all {count} items in order.', 'What must be right before a machine is piped or powered.', [
        'match' => ['Model, voltage and phase match the order', 'What was delivered is not what was ordered.', 'Leave it off and call the office.'],
        'undamaged' => ['No shipping damage', 'It was damaged on the way.', 'Photograph it, note it on the delivery papers, call the supplier.'],
        'kit' => ['Kit complete: drier, orifices, plugs, papers, filters', 'Parts of the kit are missing.', 'List what is missing before anybody leaves for it.'],
        'shipping_out' => ['Shipping brackets and blocks out', 'Shipping blocks are still in.', 'Take them out: compressors must stand free on their mounts.'],
        'level' => ['Level, or sloped to the drain, as the sheet says', 'It does not sit level.', 'Shim it to the sheet\'s figure.'],
        'clearances' => ['Clearances as on the sheet', 'It stands too close to something.', 'Measure each side against the sheet and move what can be moved.'],
        'anchored' => ['Anchored or tied down', 'It is not tied down.', 'Anchor it before the wind does.'],
        'base' => ['Curb gasket unbroken, or pad and isolators right', 'The base is not right.', 'Mend the gasket or the pad while it can still be reached.'],
        'discharge' => ['Panels right for this duct, down or side', 'The panels are for the other discharge.', 'Change them over.'],
        'covers_out' => ['Return and supply covers out', 'A shipping cover still closes a duct opening.', 'Take it out before the blower starts.'],
        'ducts_sealed' => ['Duct joints sealed', 'A duct joint leaks.', 'Seal it.'],
        'drain' => ['Drain outlet used, the other one plugged', 'The second drain hole is open.', 'Plug it.'],
        'pan' => ['Second pan where water would reach a ceiling', 'There is no pan under it.', 'Fit one, or say who will.'],
        'gas_line' => ['Gas line with drip leg and shut-off', 'The gas line lacks its drip leg or shut-off.', 'Leave the gas off until it has both.'],
    ]),
    'list.pipe' => $list('Are the joints sound?', 'Joint list', 'The joints are in order: all {count} items.', 'What can\'t be seen any more once the insulation is on.', [
        'joints_listed' => ['Every joint listed, by whom and how', 'The joints are not listed.', 'Walk the lines and list each joint.'],
        'nitrogen' => ['Nitrogen flowing at each brazed joint', 'A joint was brazed without nitrogen.', 'Expect scale: plan for a filter and a second look.'],
        'kept_cool' => ['Valves and bulbs kept cool', 'A valve was not kept cool.', 'Test it for leaks and function by itself.'],
        'drier' => ['New drier in, arrow right, opened last', 'The drier is not right.', 'Put a fresh one in the right way round.'],
        'stubs_capped' => ['Unused stubs capped', 'A stub is open.', 'Cap it.'],
        'supports' => ['Pipe held, clear of sharp metal', 'The pipe is not held.', 'Hang it before it rubs through.'],
        'hot_work' => ['Permit, extinguisher and fire watch kept', 'The hot-work rules were not kept.', 'Keep the fire watch now, and say so.'],
        'insulated' => ['Suction line insulated', 'The suction line is bare.', 'Insulate it once it has held.'],
    ]),
    'list.prestart' => $list('Is it ready to be started?', 'Pre-start list', 'Ready: all {count} items walked.', 'What is walked before anybody says "starting it now".', [
        'nobody_at_it' => ['Locks and tags accounted for, nobody at the machine', 'Somebody is still at the machine, or a lock is not accounted for.', 'Nobody starts it until everyone has answered and every lock is off by its owner.'],
        'shipping_out' => ['Shipping brackets and blocks out', 'Shipping blocks are still in.', 'Take them out first.'],
        'lugs' => ['Terminals and lugs torqued', 'The lugs are not torqued.', 'Lock out and torque them to the sheet.'],
        'wheel_free' => ['Blower wheel free by hand, set screws tight', 'The blower wheel is not free.', 'Lock out and free it.'],
        'belt' => ['Belt tension and alignment', 'The belt is not right.', 'Set it after the first hour at the latest.'],
        'arrows' => ['Arrow of each motor found', 'A motor\'s arrow was not found.', 'Find it or mark it: direction can\'t be judged without it.'],
        'valves_open' => ['Service valves open, caps on', 'A service valve is shut.', 'Open it: a compressor against a shut valve breaks.'],
        'doors_on' => ['Doors and panels on', 'A door or panel is off.', 'Put it on: amps and airflow count only closed up.'],
        'filters_in' => ['Filters in, the right way round', 'The filters are not right.', 'Put them in with the arrow in the airflow.'],
        'coil_clear' => ['Condenser coil clear', 'The condenser coil is blocked.', 'Clear it.'],
        'trap_primed' => ['Trap primed', 'The trap is dry.', 'Fill it, or the blower holds the water in the pan.'],
        'crankcase' => ['Crankcase heater on for the sheet\'s hours', 'The crankcase has not been warm long enough.', 'Wait: oil full of liquid lubricates nothing.'],
        'calls_off' => ['Controller calling nothing', 'The controller is calling.', 'Take the call off: it would start by itself.'],
        'safeties' => ['Float and safeties connected', 'A safety is not connected.', 'Connect it before the start.'],
        'earth' => ['Neutral and earth present', 'The earth is missing.', 'Leave it off. No start without an earth.'],
        'rotation_read' => ['Rotation read at the terminals this visit', 'The rotation has not been read this visit.', 'Read it before the first start.'],
        'gas_tested' => ['Gas joints tested, line bled outdoors', 'The gas joints are not tested.', 'Leave the gas off until they are.'],
    ]),
    'list.owner' => $list('Does the owner know what they need to?', 'Owner brief', 'The owner has been told: all {count} items.', 'What the owner must know when everybody has left.', [
        'set_points' => ['How to change set points', 'The set points were not shown.', 'Show them.'],
        'filters' => ['Filter size, place and next date', 'The filters were not shown.', 'Show where they are and write the size down.'],
        'mode_holder' => ['Who holds the mode', 'Nobody was told which unit holds the mode.', 'Show it, and why the others wait.'],
        'alarms' => ['What the alarms mean', 'The alarms were not gone through.', 'Leave the list of codes at least.'],
        'left_undone' => ['What was left undone, and when it will be done', 'What is left undone was not told.', 'Tell it, with a date and a name.'],
        'shut_offs' => ['Emergency switch and gas shut-off', 'The emergency switch or the gas shut-off was not shown.', 'Show both.'],
        'papers' => ['Papers left', 'The papers were not left.', 'Leave them with the owner.'],
        'initials' => ['Initials of the owner', 'The owner has not initialled.', 'Ask for the initials.'],
    ]),
];
