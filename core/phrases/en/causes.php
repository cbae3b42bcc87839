<?php

declare(strict_types=1);

/*
 * Causes as they are said, facts as what is had, what is inspected, and what is done before a unit is energised or lit.
 */
return [
    'root_cause' => [
        'reversed_supply_killed_compressor' => 'a reversed supply killed the compressor', 'reversed_supply' => 'a reversed supply',
        'lost_phase_burnt_motor' => 'a lost leg burned up the motor', 'lost_phase' => 'a lost leg', 'load_reversed' => 'one load wired backwards',
        'wrong_tap' => 'a transformer on the wrong tap', 'weak_supply' => 'a supply too weak for the start', 'burnt_contactor' => 'a burned contactor',
        'liquid_killed_compressor' => 'liquid coming back killed the compressor', 'burnt_compressor' => 'a burned-out compressor; why is still open',
        'valves_leak_by' => 'a valve that leaks by when it is closed', 'repeated_failures' => 'compressors that keep failing; why is still open',
        'condenser_air' => 'too little condenser air, or its own air coming back', 'indoor_air' => 'too little air over the indoor coil',
        'drain' => 'a drain that does not drain', 'gas_shut' => 'the gas shut off', 'leak' => 'a refrigerant leak', 'liquid_return' => 'liquid coming back to the compressor',
        'overcharge' => 'too much in it, or air in it', 'restriction' => 'a plugged drier',
    ],
    'fact' => [
        'supply_reversed' => 'a reversed supply', 'compressor_grounded' => 'a grounded compressor', 'compressor_open' => 'an open winding',
        'run_hours_reversed' => 'hours run backwards', 'compressor_not_pumping' => 'a compressor that does not pump', 'compressor_noisy' => 'a loud compressor',
        'breaker_tripped' => 'a tripped breaker', 'fuse_blown' => 'a blown fuse', 'high_amps' => 'high amps', 'acid' => 'acid in the oil',
        'blower_reversed' => 'a blower running backwards', 'fan_reversed' => 'a condenser fan running backwards', 'low_airflow' => 'low airflow',
        'single_phasing' => 'a lost leg', 'hard_start' => 'hard starting', 'burnt_contacts' => 'burned contacts', 'load_reversed' => 'one load running backwards',
        'high_pressure_trips' => 'high-pressure trips', 'wrong_tap' => 'a transformer on the wrong tap', 'low_control_voltage' => 'low control voltage',
        'contactor_chatter' => 'a chattering contactor', 'ignition_lockout' => 'an ignition lockout', 'voltage_sags_on_start' => 'voltage that sags on start',
        'shared_disconnect' => 'a shared disconnect', 'liquid_flooding' => 'liquid floodback', 'crankcase_heater_off' => 'a crankcase heater that is off',
        'valve_overfeeding' => 'an overfeeding valve', 'overcharged' => 'an overcharge', 'repeated_compressor_failures' => 'one compressor failure after another',
        'leaky_valves' => 'valves that leak by', 'panels_left_in' => 'shipping panels left in', 'condenser_dirty' => 'a dirty condenser',
        'recirculation' => 'condenser air coming back', 'high_head' => 'high head', 'damper_missing' => 'a missing damper', 'filters_missing' => 'missing filters',
        'filters_dirty' => 'dirty filters', 'belt_slipping' => 'a slipping belt', 'coil_iced' => 'an iced coil', 'low_pressure_trips' => 'low-pressure trips',
        'trap_missing' => 'a missing trap', 'trap_dry' => 'a dry trap', 'vent_blocked' => 'a blocked vent', 'drain_blocked' => 'a blocked drain',
        'water_in_building' => 'water in the building', 'float_tripped' => 'a tripped float', 'gas_valve_shut' => 'a gas valve that is shut', 'no_heat' => 'no heat',
        'gas_line_air' => 'air in the gas line', 'leak_found' => 'a leak that was found', 'low_charge' => 'a low charge', 'non_condensable' => 'air in the refrigerant',
        'drier_restricted' => 'a plugged drier',
    ],
    'what' => [
        'rotation' => 'the rotation', 'windings' => 'the winding ohms', 'insulation' => 'the megohms', 'oil_acid' => 'the oil for acid', 'voltage' => 'the voltage',
        'voltage_at_start' => 'the voltage while it starts', 'connections' => 'the lugs', 'fuses' => 'the fuses', 'contactor' => 'the contactor',
        'control_voltage' => 'the control voltage', 'feeder_load' => 'what else hangs on the feeder', 'load_leads' => 'the leads of the load',
        'compressor_isolated' => 'whether the dead compressor is cut off', 'phases' => 'all three legs', 'gas_valve' => 'the gas valve', 'gas_joints' => 'the gas joints',
        'panels' => 'shipping panels', 'condenser_coil' => 'the condenser coil', 'condenser_fan' => 'the condenser fan', 'trap' => 'the trap', 'vent' => 'the vent',
        'pan' => 'the pan', 'float' => 'the float', 'damper' => 'the damper', 'filters' => 'the filters', 'blower' => 'the blower', 'static' => 'the static',
        'leak_by_overnight' => 'the valves overnight for leak-by', 'crankcase_heater' => 'the crankcase heater', 'oil_level' => 'the oil level',
        'leak_search' => 'where it leaks', 'drier' => 'the drier', 'charge' => 'the charge', 'bulb' => 'the TXV bulb', 'liquid_source' => 'where the liquid comes from',
    ],
    'hold' => [
        'rotation' => 'prove the rotation', 'compressor_isolated' => 'lock out, cut off the dead compressor and tape its wires', 'phases' => 'find the lost leg and read all three',
        'load_leads' => 'lock out and correct the leads of the load', 'control_voltage' => 'set the transformer\'s tap', 'contactor' => 'lock out and change the contactor',
        'liquid_source' => 'find where the liquid comes from', 'pan' => 'empty and clean the pan', 'gas_joints' => 'leak-test the gas joints',
        'insulation' => 'read the megohms', 'panels' => 'lock out and take the shipping panels out', 'oil_acid' => 'clean up the acid: drier, oil, and test again',
        'crankcase_heater' => 'get the crankcase heater its hours',
    ],
];
