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
];
