<?php

declare(strict_types=1);

/*
 * What a person presses, where a check wants one of a few words. By the name of the field; where one name means two
 * things, by the check and the field's path. `*` is every other option, `{n}` the option itself.
 */
$across = ['ab' => 'L1-L2', 'bc' => 'L2-L3', 'ca' => 'L3-L1', 'auto' => 'spread them for me'];

return [
    'meter' => ['abc' => 'A-B-C', 'cba' => 'C-B-A', 'none' => 'not read'],
    'compressor.windings.meter' => ['ohmmeter' => 'ordinary', 'low_ohm' => 'four-wire'],
    'monitor' => ['ok' => 'OK', 'reversed' => 'reverse phase', 'phase_lost' => 'phase loss', 'unbalance' => 'unbalance', 'none' => 'no monitor'],
    'high_leg' => ['a' => 'L1 (A)', 'b' => 'L2 (B)', 'c' => 'L3 (C)'],
    'kind' => ['scroll' => 'scroll', 'screw' => 'screw', 'reciprocating' => 'recip', 'blower' => 'blower', 'condenser_fan' => 'condenser fan', 'pump' => 'pump'],
    'drive' => ['across_line' => 'across the line', 'soft_starter' => 'soft starter', 'part_winding' => 'part winding', 'inverter' => 'VFD / inverter', 'ecm' => 'ECM', 'single_phase' => 'single-phase'],
    'observed' => ['correct' => 'with the arrow', 'backwards' => 'backwards', 'not_run' => 'not run'],
    'noise' => ['normal' => 'normal', 'loud' => 'loud'],
    'checked' => ['windings' => 'winding ohms', 'insulation' => 'megohms to ground', 'oil_acid' => 'oil acid test', 'amps_pressures' => 'amps and pressures'],
    'lock_at' => ['unit_disconnect' => 'the unit\'s disconnect', 'upstream' => 'upstream'],
    'work_at' => ['load_side' => 'load side', 'line_side' => 'line side'],
    'phases' => [1 => 'one', 3 => 'three'],
    'conductor' => ['250' => '250 kcmil', '300' => '300 kcmil', '350' => '350 kcmil', '400' => '400 kcmil', '500' => '500 kcmil', '600' => '600 kcmil', '750' => '750 kcmil', '1/0' => '1/0', '2/0' => '2/0', '3/0' => '3/0', '4/0' => '4/0', '*' => '#{n}'],
    'insulation' => ['*' => '{n} °C'],
    'terminal_rating' => ['*' => '{n} °C'],
    'material' => ['cu' => 'copper', 'al' => 'aluminum'],
    'wire_type' => ['*' => '{n}'],
    'source_kind' => ['generator' => 'generator', 'utility' => 'utility'],
    'across' => $across,
    'instrument' => ['megohmmeter_500' => '500 V megohmmeter', 'megohmmeter_1000' => '1000 V megohmmeter', 'multimeter' => 'multimeter'],
    'system_state' => ['pressurised' => 'under pressure', 'vacuum' => 'in a vacuum', 'open' => 'open'],
    'school' => ['maker_bands' => 'compressor bands, as read', 'motor_standard' => 'motor standard, at 104 °F'],
    'oil_acid' => ['none' => 'no acid', 'slight' => 'slight', 'strong' => 'strong', 'not_tested' => 'not tested'],
    'failure' => ['mechanical' => 'mechanical', 'electrical_mild' => 'electrical, mild', 'electrical_burnout' => 'burnout', 'unknown' => 'not known'],
    'oil_colour' => ['clear' => 'clear', 'dark' => 'dark', 'black' => 'black'],
    'oil_type' => ['POE' => 'POE', 'PVE' => 'PVE', 'MO' => 'mineral', 'AB' => 'alkylbenzene'],
    'answer' => ['yes' => 'Yes', 'no' => 'No', 'not_applicable' => 'N/A'],
    'job_type' => ['rooftop' => 'rooftop unit', 'condensing' => 'condensing unit', 'compressor' => 'compressor', 'vrf' => 'VRF'],

    // Entries
    'entry.joint.kind' => ['braze' => 'brazing', 'flare' => 'flare', 'press' => 'press'],
    'entry.joint.state' => ['open' => 'to do', 'begun' => 'begun', 'interrupted' => 'interrupted', 'done' => 'done'],
    'entry.valve.kind' => ['service_liquid' => 'service, liquid', 'service_suction' => 'service, suction', 'equalizing' => 'equalizing', 'branch' => 'branch', 'box' => 'box', 'receiver' => 'receiver'],
    'entry.valve.state' => ['open' => 'open', 'shut' => 'closed', 'mid' => 'midway'],
    'out_colour' => ['clear' => 'clear', 'dark' => 'dark', 'black' => 'black'],
    'out_acid' => ['none' => 'no acid', 'slight' => 'slight', 'strong' => 'strong', 'not_tested' => 'not tested'],
    'in_kind' => ['POE' => 'POE', 'PVE' => 'PVE', 'MO' => 'mineral', 'AB' => 'alkylbenzene'],
    'with' => ['nitrogen' => 'nitrogen', 'solvent' => 'solvent'],
    'heat' => ['none' => 'none', 'gas' => 'gas', 'electric' => 'electric', 'heat_pump' => 'heat pump'],
    'accessories' => ['smoke_detector' => 'smoke detector', 'float' => 'float', 'phase_monitor' => 'phase monitor', 'hail_guards' => 'hail guards'],
    // Survey
    'unit_rotation' => [0 => 'as drawn', 180 => 'end for end'],
    'discharge' => ['down' => 'down', 'side' => 'side'],
    'survey.route.steps.kind' => ['door' => 'door', 'corridor_turn' => 'corner', 'lift_car' => 'elevator', 'stair' => 'stairs', 'ladder' => 'ladder', 'hatch' => 'hatch', 'rail' => 'over a rail'],
    'weight_source' => ['tag' => 'its tag', 'book' => 'a book', 'estimate' => 'an estimate'],
    'legs' => [4 => 'four'],
    'lift_from' => ['base' => 'base lugs', 'top' => 'the top'],
    'covers' => ['feeder' => 'feeder', 'structure' => 'structure', 'curb' => 'curb', 'gas' => 'gas', 'controls' => 'controls', 'other' => 'other'],
    // Refrigerant
    'acid' => ['none' => 'no acid', 'slight' => 'slight', 'strong' => 'strong', 'not_tested' => 'not tested'],
    'work_on' => ['line_set' => 'line set', 'indoor_coil' => 'indoor coil', 'metering' => 'metering device', 'drier' => 'drier', 'condenser' => 'condenser side', 'compressor' => 'compressor'],
    'finish' => ['at_zero' => 'stop at zero, open at once', 'slight_vacuum' => 'just below zero, nitrogen back up'],
    'cylinder_state' => ['good' => 'good', 'disposable' => 'disposable', 'out_of_date' => 'past its test date', 'damaged' => 'damaged'],
    'refrigerant.account.entries.kind' => ['recovered' => 'recovered', 'charged' => 'charged', 'returned' => 'back to cylinder', 'lost' => 'lost on hoses', 'moved' => 'moved inside'],
    // Piping
    'flow_kind' => ['flowmeter' => 'flowmeter', 'regulator_only' => 'regulator only'],
    'gas' => ['nitrogen' => 'dry nitrogen', 'other_inert' => 'other inert gas', 'compressed_air' => 'shop air', 'oxygen' => 'oxygen'],
    'size' => ['*' => '{n}'],
    'od' => ['*' => '{n}'],
    'sheet_od' => ['*' => '{n}'],
    'tube' => ['copper' => 'copper', 'aluminium' => 'aluminum', 'steel' => 'steel'],
    'orientation' => ['horizontal' => 'level', 'vertical' => 'straight up'],
    'place' => ['straight' => 'straight pipe', 'fitting' => 'a fitting', 'trap' => 'a trap'],
    'piping.reuse.parts.kind' => ['liquid' => 'liquid line', 'gas' => 'gas line', 'coil' => 'coil'],
    'hidden' => ['none' => 'none', 'brazed' => 'brazed', 'flares' => 'flares', 'unknown' => 'not known'],
    'length_from' => ['measured' => 'measured', 'drawing' => 'a drawing', 'guessed' => 'a guess'],
    'match' => ['listed' => 'listed', 'not_listed' => 'not listed', 'unknown' => 'not known'],
    'old_oil' => ['MO' => 'mineral', 'AB' => 'alkylbenzene', 'POE' => 'POE', 'PVE' => 'PVE', 'unknown' => 'not known'],
    'new_oil' => ['MO' => 'mineral', 'AB' => 'alkylbenzene', 'POE' => 'POE', 'PVE' => 'PVE'],
    'piping.reuse.failure' => ['none' => 'nothing', 'mechanical' => 'mechanical', 'electrical' => 'electrical', 'unknown' => 'not known'],
    'acid_after' => ['none' => 'no acid', 'present' => 'acid', 'not_tested' => 'not tested'],
    'flush' => ['none' => 'no', 'blown' => 'blown through', 'solvent' => 'with solvent'],
    'held' => ['passed' => 'it held', 'leaked' => 'it leaked', 'not_done' => 'not yet'],
    // Condensate
    'position' => ['before' => 'before the trap', 'after' => 'after the trap'],
    'arrangement' => ['draw_through' => 'draw-through', 'blow_through' => 'blow-through'],
    'method' => ['lifted' => 'lifting it', 'water' => 'water', 'not_tested' => 'not tested'],
    'switch' => ['lifted' => 'lifting it', 'water' => 'water', 'none' => 'it has none', 'not_tested' => 'not tested'],
];
