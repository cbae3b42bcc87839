<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** The limits of air and heat. As in Limits. */
final class LimitsAir
{
    private const COIL = ['return_db' => '80 degF', 'return_wb' => '67 degF', 'outdoor_db' => '95 degF', 'tons' => '5 ton'];
    private const SPLIT = ['running_minutes' => 20] + self::COIL;
    private const HEATED = ['electric_heat' => ['volts' => '480 V', 'amps' => ['30 A', '30 A', '30 A']], 'return_db' => '68 degF', 'running_tons' => '5 ton'];
    private const TABLE = ['settings' => [900, 1100], 'statics' => ['0.4 inH2O', '1.2 inH2O'], 'flows' => [['1900 cfm', '1100 cfm'], ['2500 cfm', '1700 cfm']]];
    private const FAN = ['fan' => ['table' => self::TABLE, 'setting' => 900, 'static' => '0.4 inH2O']];
    private const TAPS = ['return_static' => '-0.4 inH2O', 'supply_static' => '0.4 inH2O'];
    private const DRIVE = ['flow_now' => '1000 cfm', 'flow_target' => '1000 cfm', 'rpm_now' => 1000, 'amps_now' => '5 A', 'plate_amps' => '5 A', 'rotation' => 'correct'];
    private const GAS = ['gas' => 'natural', 'manifold' => '3.5 inH2O', 'inlet_flowing' => '7 inH2O', 'all_firing' => true];
    private const CLOCKED = ['gas' => 'natural', 'dial_volume' => '1 ft3', 'revolutions' => 1, 'others_off' => true, 'heating_value' => '1000 Btu/ft3'];
    private const ORIFICE = ['gas' => 'natural', 'orifices' => ['count' => 4, 'diameter' => '0.1 in', 'manifold' => '3.5 inH2O']];
    private const FURNACE = ['return_db' => '70 degF', 'minutes_firing' => 15, 'rise_min' => '30 delta_degF', 'rise_max' => '60 delta_degF', 'out_of_sight' => true];
    private const RISING = ['supply_db' => '115 degF'] + self::FURNACE;

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        $legs = fn (float $a, float $b, float $c): array => ['name' => '1', 'kw_rated' => '10 kW', 'volts_rated' => '208 V', 'amps_a' => "$a A", 'amps_b' => "$b A", 'amps_c' => "$c A"];
        $bank = fn (array $stage, string $volts = '208 V'): array => ['volts' => $volts, 'airflow_proved' => true, 'stages' => [$stage]];

        return [
            'air.state' => [
                'as damp as air gets' => [['dry_bulb' => '70 degF'], [['relative_humidity' => '100 %'], 'clear', []], [[], 'open', ['two_needed']]],
            ],
            'air.mix' => [
                '5 degrees apart' => [['return_db' => '75 degF', 'mixed_db' => '75 degF'], [['outdoor_db' => '80 degF'], 'open', ['too_close']], [['outdoor_db' => '79.9 degF'], 'open', ['too_close']]],
                'some 13 degrees apart' => [['return_db' => '75 degF', 'mixed_db' => '75 degF'], [['outdoor_db' => '87.8 degF'], 'clear', []], [['outdoor_db' => '87.6 degF'], 'open', ['too_close']]],
                'none at all' => [['return_db' => '75 degF', 'outdoor_db' => '95 degF'], [['mixed_db' => '75 degF'], 'clear', []], [['mixed_db' => '74.9 degF'], 'watch', ['outside_range']]],
                'all of it' => [['return_db' => '75 degF', 'outdoor_db' => '95 degF'], [['mixed_db' => '95 degF'], 'clear', []], [['mixed_db' => '95.1 degF'], 'watch', ['outside_range']]],
                'no mixture' => [['return_db' => '75 degF', 'outdoor_db' => '95 degF'], [['mixed_db' => '73.69 degF'], 'watch', ['outside_range']], [['mixed_db' => '73.67 degF'], 'open', ['outside_range']]],
                'no mixture, hot' => [['return_db' => '75 degF', 'outdoor_db' => '95 degF'], [['mixed_db' => '96.31 degF'], 'watch', ['outside_range']], [['mixed_db' => '96.33 degF'], 'open', ['outside_range']]],
                '5% off' => [['return_db' => '75 degF', 'outdoor_db' => '95 degF', 'wanted_fraction' => '20 %'], [['mixed_db' => '80 degF'], 'clear', []], [['mixed_db' => '80.1 degF'], 'watch', ['outdoor_air_high']]],
                '15% off' => [['return_db' => '75 degF', 'outdoor_db' => '95 degF', 'wanted_fraction' => '20 %'], [['mixed_db' => '76 degF'], 'watch', ['outdoor_air_low']], [['mixed_db' => '75.9 degF'], 'stop', ['outdoor_air_low']]],
                '15% over' => [['return_db' => '75 degF', 'outdoor_db' => '95 degF', 'wanted_fraction' => '20 %'], [['mixed_db' => '82 degF'], 'watch', ['outdoor_air_high']], [['mixed_db' => '82.1 degF'], 'stop', ['outdoor_air_high']]],
            ],
            'air.split' => [
                '3 degrees over' => [self::SPLIT, [['supply_db' => '57.93 degF'], 'clear', []], [['supply_db' => '57.91 degF'], 'watch', ['low_airflow']]],
                '6 degrees over' => [self::SPLIT, [['supply_db' => '54.93 degF'], 'watch', ['low_airflow']], [['supply_db' => '54.91 degF'], 'stop', ['low_airflow']]],
                '3 degrees short' => [self::SPLIT, [['supply_db' => '63.91 degF'], 'clear', []], [['supply_db' => '63.93 degF'], 'watch', ['low_capacity']]],
                '6 degrees short' => [self::SPLIT, [['supply_db' => '66.91 degF'], 'watch', ['low_capacity']], [['supply_db' => '66.93 degF'], 'stop', ['low_capacity']]],
                'no drop' => [self::SPLIT, [['supply_db' => '80 degF'], 'stop', ['low_capacity']], [['supply_db' => '80.1 degF'], 'stop', ['supply_warmer']]],
                'an inverter at part load' => [['inverter' => true] + self::SPLIT, [['supply_db' => '72 degF'], 'watch', ['part_load']], [['supply_db' => '72.1 degF'], 'stop', ['low_capacity']]],
                'a quarter of an hour' => [['supply_db' => '61 degF'] + self::COIL, [['running_minutes' => 15], 'clear', []], [['running_minutes' => 14.9], 'open', ['wait']]],
                'doors' => [['supply_db' => '61 degF'] + self::SPLIT, [['doors_on' => true], 'clear', []], [['doors_on' => false], 'open', ['doors_off']]],
                'outdoor air between' => [['supply_db' => '61 degF'] + self::SPLIT, [['outdoor_air_between' => false], 'clear', []], [['outdoor_air_between' => true], 'open', ['outdoor_air_between']]],
                'a coil that ices' => [['return_db' => '65 degF', 'return_wb' => '54 degF', 'outdoor_db' => '65 degF', 'tons' => '5 ton', 'running_minutes' => 20, 'supply_db' => '46 degF'], [['airflow_per_ton' => '400 cfm'], 'clear', []], [['airflow_per_ton' => '230 cfm', 'supply_db' => '34.5 degF'], 'watch', ['coil_below_freezing']]],
            ],
            'air.flow' => [
                '350 a ton' => [self::HEATED, [['supply_db' => '112.83 degF'], 'clear', []], [['supply_db' => '112.96 degF'], 'watch', ['air_low']]],
                '300 a ton' => [self::HEATED, [['supply_db' => '120.31 degF'], 'watch', ['air_low']], [['supply_db' => '120.46 degF'], 'stop', ['air_low']]],
                '450 a ton' => [self::HEATED, [['supply_db' => '102.95 degF'], 'clear', []], [['supply_db' => '102.85 degF'], 'watch', ['air_high']]],
                '500 a ton' => [self::HEATED, [['supply_db' => '99.48 degF'], 'watch', ['air_high']], [['supply_db' => '99.38 degF'], 'stop', ['air_high']]],
                '10 degrees of rise' => [['sheet_min' => '100 cfm', 'sheet_max' => '90000 cfm'] + self::HEATED, [['supply_db' => '78 degF'], 'clear', []], [['supply_db' => '77.9 degF'], 'watch', ['too_coarse']]],
                '5 degrees of rise' => [['sheet_min' => '100 cfm', 'sheet_max' => '90000 cfm'] + self::HEATED, [['supply_db' => '73 degF'], 'watch', ['too_coarse']], [['supply_db' => '72.9 degF'], 'open', ['rise_too_small']]],
                'the sheet\'s least' => [['sheet_max' => '5000 cfm'] + self::FAN, [['sheet_min' => '1900 cfm'], 'clear', []], [['sheet_min' => '1901 cfm'], 'watch', ['air_low']]],
                'a tenth under it' => [['sheet_max' => '5000 cfm'] + self::FAN, [['sheet_min' => '2111.1 cfm'], 'watch', ['air_low']], [['sheet_min' => '2111.2 cfm'], 'stop', ['air_low']]],
                'the sheet\'s most' => [['sheet_min' => '100 cfm', 'running_tons' => '5 ton'] + self::FAN, [['sheet_max' => '1900 cfm'], 'clear', []], [['sheet_max' => '1899 cfm'], 'watch', ['air_high']]],
                'a tenth over it' => [['sheet_min' => '100 cfm'] + self::FAN, [['sheet_max' => '1727.3 cfm'], 'watch', ['air_high']], [['sheet_max' => '1727.2 cfm'], 'stop', ['air_high']]],
                'the table\'s last static' => [['running_tons' => '3 ton'], [['fan' => ['table' => self::TABLE, 'setting' => 900, 'static' => '1.2 inH2O']], 'clear', []], [['fan' => ['table' => self::TABLE, 'setting' => 900, 'static' => '1.21 inH2O']], 'open', ['outside_table']]],
                'the table\'s first static' => [['running_tons' => '5 ton'], [['fan' => ['table' => self::TABLE, 'setting' => 900, 'static' => '0.4 inH2O']], 'clear', []], [['fan' => ['table' => self::TABLE, 'setting' => 900, 'static' => '0.39 inH2O']], 'open', ['outside_table']]],
                'a way of measuring it' => [['running_tons' => '5 ton'], [self::FAN, 'clear', []], [[], 'open', ['missing:method']]],
                'doors' => [['running_tons' => '5 ton'] + self::FAN, [['doors_on' => true], 'clear', []], [['doors_on' => false], 'open', ['doors_off']]],
            ],
            'air.static' => [
                'the nameplate' => [self::TAPS, [['plate_max' => '0.8 inH2O'], 'clear', ['look_at:return']], [['plate_max' => '0.79 inH2O'], 'watch', ['look_at:return', 'static_high']]],
                'a fifth over it' => [self::TAPS, [['plate_max' => '0.6667 inH2O'], 'watch', ['look_at:return', 'static_high']], [['plate_max' => '0.6666 inH2O'], 'stop', ['look_at:return', 'static_high']]],
                'next to nothing' => [self::TAPS, [['plate_max' => '5.33 inH2O'], 'clear', ['look_at:return']], [['plate_max' => '5.34 inH2O'], 'watch', ['look_at:return', 'static_low']]],
                'nothing' => [['return_static' => '0 inH2O', 'plate_max' => '0.1 inH2O'], [['supply_static' => '0.021 inH2O'], 'clear', ['look_at:supply']], [['supply_static' => '0.02 inH2O'], 'open', ['no_pressure']]],
                'parts that add up' => [['plate_max' => '0.8 inH2O'] + self::TAPS, [['filter_drop' => '0.42 inH2O'], 'clear', ['look_at:filter']], [['filter_drop' => '0.43 inH2O'], 'watch', ['look_at:filter', 'drops_do_not_add']]],
                'half speed' => [['plate_max' => '3.2 inH2O'] + self::TAPS, [['fan_speed' => '50 %'], 'clear', ['look_at:return']], [['fan_speed' => '49.9 %'], 'watch', ['look_at:return', 'static_high']]],
                'doors' => [['plate_max' => '0.8 inH2O'] + self::TAPS, [['doors_on' => true], 'clear', ['look_at:return']], [['doors_on' => false], 'open', ['look_at:return', 'doors_off']]],
            ],
            'air.fan_drive' => [
                'the nameplate' => [self::DRIVE, [['flow_target' => '1000 cfm'], 'clear', []], [['flow_target' => '1001 cfm'], 'stop', ['over_plate']]],
                'the nameplate now' => [['flow_target' => '900 cfm'] + self::DRIVE, [['amps_now' => '5 A'], 'clear', []], [['amps_now' => '5.01 A'], 'watch', ['over_plate_now']]],
                '15% over it now' => [['flow_target' => '900 cfm'] + self::DRIVE, [['amps_now' => '5.75 A'], 'watch', ['over_plate_now']], [['amps_now' => '5.76 A'], 'stop', ['over_plate_now']]],
                'the wheel' => [self::DRIVE, [['blower_max_rpm' => 1000], 'clear', []], [['blower_max_rpm' => 999], 'stop', ['over_rpm']]],
                'the turns it has' => [['flow_target' => '900 cfm', 'driver_pitch' => '5 in', 'pitch_per_turn' => '0.25 in', 'turns_max' => 5] + self::DRIVE, [['turns_open' => 3], 'clear', []], [['turns_open' => 3.1], 'watch', ['sheave_out_of_range']]],
                'the turns left' => [['plate_amps' => '9 A', 'flow_target' => '1100 cfm', 'driver_pitch' => '5 in', 'pitch_per_turn' => '0.25 in', 'turns_max' => 5] + self::DRIVE, [['turns_open' => 2], 'clear', []], [['turns_open' => 1.9], 'watch', ['sheave_out_of_range']]],
                'the arrow' => [array_diff_key(self::DRIVE, ['rotation' => 1]), [['rotation' => 'not_seen'], 'watch', ['rotation_not_seen']], [['rotation' => 'backwards'], 'stop', ['backwards']]],
            ],
            'heat.gas_pressure' => [
                '0.2 over' => [self::GAS, [['manifold' => '3.7 inH2O'], 'clear', []], [['manifold' => '3.71 inH2O'], 'watch', ['manifold_high']]],
                'the sheet\'s own for this gas' => [['plate_by_gas' => ['natural' => '3.2 inH2O', 'propane' => '9 inH2O']] + self::GAS, [['manifold' => '3.4 inH2O'], 'clear', []], [['manifold' => '3.41 inH2O'], 'watch', ['manifold_high']]],
                'a sheet of the other gas alone' => [['plate_by_gas' => ['propane' => '9 inH2O']] + self::GAS, [['manifold' => '3.7 inH2O'], 'clear', []], [['manifold' => '3.71 inH2O'], 'watch', ['manifold_high']]],
                'typed before the sheet\'s' => [['plate_by_gas' => ['natural' => '3.2 inH2O'], 'plate_manifold' => '3.6 inH2O'] + self::GAS, [['manifold' => '3.8 inH2O'], 'clear', []], [['manifold' => '3.81 inH2O'], 'watch', ['manifold_high']]],
                '0.3 over' => [self::GAS, [['manifold' => '3.8 inH2O'], 'watch', ['manifold_high']], [['manifold' => '3.81 inH2O'], 'stop', ['manifold_high']]],
                '0.3 under' => [self::GAS, [['manifold' => '3.2 inH2O'], 'watch', ['manifold_low']], [['manifold' => '3.19 inH2O'], 'stop', ['manifold_low']]],
                'nothing' => [self::GAS, [['manifold' => '0.2 inH2O'], 'stop', ['manifold_low']], [['manifold' => '0.19 inH2O'], 'open', ['no_manifold_pressure']]],
                'the least' => [self::GAS, [['inlet_flowing' => '5 inH2O'], 'clear', []], [['inlet_flowing' => '4.99 inH2O'], 'stop', ['inlet_low']]],
                'the most' => [self::GAS, [['inlet_flowing' => '10.5 inH2O'], 'clear', []], [['inlet_flowing' => '10.51 inH2O'], 'stop', ['inlet_high']]],
                'the most, propane' => [['gas' => 'propane', 'manifold' => '10 inH2O'] + self::GAS, [['inlet_flowing' => '13 inH2O'], 'clear', []], [['inlet_flowing' => '13.01 inH2O'], 'stop', ['inlet_high']]],
                'the least, propane' => [['gas' => 'propane', 'manifold' => '10 inH2O'] + self::GAS, [['inlet_flowing' => '11 inH2O'], 'clear', []], [['inlet_flowing' => '10.99 inH2O'], 'stop', ['inlet_low']]],
                'half a psi' => [['inlet_flowing' => '10.5 inH2O'] + self::GAS, [['inlet_static' => '14 inH2O'], 'watch', ['inlet_high', 'supply_drops']], [['inlet_static' => '14.01 inH2O'], 'stop', ['inlet_high', 'supply_drops']]],
                'the sheet\'s most' => [['inlet_static' => '8 inH2O'] + self::GAS, [['inlet_max' => '8 inH2O'], 'clear', []], [['inlet_max' => '7.99 inH2O'], 'stop', ['inlet_high']]],
                'an inch lost' => [self::GAS, [['inlet_static' => '8 inH2O'], 'clear', []], [['inlet_static' => '8.01 inH2O'], 'watch', ['supply_drops']]],
                'swapped' => [self::GAS, [['inlet_static' => '6.9 inH2O'], 'clear', []], [['inlet_static' => '6.89 inH2O'], 'open', ['static_below_flowing']]],
                'all firing' => [array_diff_key(self::GAS, ['all_firing' => 1]), [['all_firing' => true], 'clear', []], [['all_firing' => false], 'watch', ['not_all_firing']]],
                'the sheet\'s derate' => [['plate_input' => '100000 Btu/h', 'altitude' => '5000 ft'] + self::GAS, [['sheet_derate' => '10 %'], 'clear', []], [['manifold' => '3.75 inH2O'], 'watch', ['manifold_high']]],
            ],
            'heat.gas_rate' => [
                '95%' => [['seconds' => 36] + self::CLOCKED, [['plate_input' => '105263 Btu/h'], 'clear', []], [['plate_input' => '105264 Btu/h'], 'watch', ['under_fired']]],
                '90%' => [['seconds' => 36] + self::CLOCKED, [['plate_input' => '111111 Btu/h'], 'watch', ['under_fired']], [['plate_input' => '111112 Btu/h'], 'stop', ['under_fired']]],
                'all of it' => [['seconds' => 36] + self::CLOCKED, [['plate_input' => '100000 Btu/h'], 'clear', []], [['plate_input' => '99999 Btu/h'], 'watch', ['over_fired']]],
                '105%' => [['seconds' => 36] + self::CLOCKED, [['plate_input' => '95239 Btu/h'], 'watch', ['over_fired']], [['plate_input' => '95238 Btu/h'], 'stop', ['over_fired']]],
                '20 s' => [['plate_input' => '180000 Btu/h'] + self::CLOCKED, [['seconds' => 20], 'clear', []], [['seconds' => 19.99, 'plate_input' => '181000 Btu/h'], 'watch', ['too_coarse']]],
                'others on' => [['seconds' => 36, 'plate_input' => '100000 Btu/h'] + self::CLOCKED, [['others_off' => true], 'clear', []], [['others_off' => false], 'open', ['others_on']]],
                'thin gas' => [['seconds' => 36, 'plate_input' => '100000 Btu/h', 'heating_value' => null] + self::CLOCKED, [['altitude' => '2000 ft', 'plate_input' => '105000 Btu/h'], 'clear', []], [['altitude' => '2001 ft', 'plate_input' => '115000 Btu/h'], 'watch', ['heating_value_at_altitude']]],
                'an orifice at 110%' => [self::ORIFICE, [['plate_input' => '106060 Btu/h'], 'clear', ['by_orifice']], [['plate_input' => '106040 Btu/h'], 'watch', ['over_fired', 'by_orifice']]],
                'an orifice at 120%' => [self::ORIFICE, [['plate_input' => '97220 Btu/h'], 'watch', ['over_fired', 'by_orifice']], [['plate_input' => '97200 Btu/h'], 'stop', ['over_fired', 'by_orifice']]],
                'an orifice at 90%' => [self::ORIFICE, [['plate_input' => '129600 Btu/h'], 'clear', ['by_orifice']], [['plate_input' => '129630 Btu/h'], 'watch', ['under_fired', 'by_orifice']]],
                'an orifice at 80%' => [self::ORIFICE, [['plate_input' => '145800 Btu/h'], 'watch', ['under_fired', 'by_orifice']], [['plate_input' => '145830 Btu/h'], 'stop', ['under_fired', 'by_orifice']]],
            ],
            'heat.rise' => [
                'the most' => [self::FURNACE, [['supply_db' => '130 degF'], 'clear', []], [['supply_db' => '130.1 degF'], 'watch', ['airflow_low']]],
                '5 over it' => [self::FURNACE, [['supply_db' => '135 degF'], 'watch', ['airflow_low']], [['supply_db' => '135.1 degF'], 'stop', ['airflow_low']]],
                'the least' => [self::FURNACE, [['supply_db' => '100 degF'], 'clear', []], [['supply_db' => '99.9 degF'], 'watch', ['airflow_high']]],
                '5 under it' => [self::FURNACE, [['supply_db' => '95 degF'], 'watch', ['airflow_high']], [['supply_db' => '94.9 degF'], 'stop', ['airflow_high']]],
                'no heat' => [self::FURNACE, [['supply_db' => '75 degF'], 'stop', ['airflow_high']], [['supply_db' => '74.9 degF'], 'stop', ['no_heat']]],
                'a small rise may be wanted' => [['supply_db' => '74 degF'] + self::FURNACE, [['rise_min' => '4 delta_degF'], 'clear', []], [['rise_min' => '5 delta_degF'], 'watch', ['airflow_high']]],
                'ten minutes' => [self::RISING, [['minutes_firing' => 10], 'clear', []], [['minutes_firing' => 9.9], 'open', ['wait']]],
                'CO 100' => [self::RISING, [['flue' => ['co_ppm' => 100, 'air_free' => true]], 'clear', []], [['flue' => ['co_ppm' => 101, 'air_free' => true]], 'watch', ['co_raised']]],
                'CO 400' => [self::RISING, [['flue' => ['co_ppm' => 400, 'air_free' => true]], 'watch', ['co_raised']], [['flue' => ['co_ppm' => 401, 'air_free' => true]], 'stop', ['co_high']]],
                'CO 400 without oxygen' => [self::RISING, [['flue' => ['co_ppm' => 400]], 'open', ['missing:flue.o2']], [['flue' => ['co_ppm' => 401]], 'stop', ['co_high']]],
                'a thin sample' => [self::RISING, [['flue' => ['co_ppm' => 10, 'o2' => '17 %']], 'clear', []], [['flue' => ['co_ppm' => 10, 'o2' => '17.1 %']], 'open', ['flue_sample_thin']]],
                'in sight' => [array_diff_key(self::RISING, ['out_of_sight' => 1]), [['out_of_sight' => true], 'clear', []], [['out_of_sight' => false], 'watch', ['radiant']]],
                'outdoor air between' => [self::RISING, [['outdoor_air_between' => false], 'clear', []], [['outdoor_air_between' => true], 'open', ['outdoor_air_between']]],
                'the first fire' => [self::RISING, [['first_fire' => ['outside_air' => true, 'detectors_isolated' => true, 'smell_gone' => true, 'joints_tested' => true, 'line_bled_outdoors' => true]], 'clear', ['putback:detectors']], [['first_fire' => ['outside_air' => false, 'detectors_isolated' => false, 'smell_gone' => false, 'joints_tested' => true, 'line_bled_outdoors' => false]], 'watch', ['not:outside_air', 'not:detectors_isolated', 'not:smell_gone', 'not:line_bled_outdoors']]],
            ],
            'heat.electric' => [
                '10% over its volts' => [[], [$bank($legs(30.53, 30.53, 30.53), '228.8 V'), 'clear', []], [$bank($legs(30.54, 30.54, 30.54), '228.9 V'), 'stop', ['over_rated:1']]],
                'three quarters of its volts' => [[], [$bank($legs(20.82, 20.82, 20.82), '156 V'), 'clear', []], [$bank($legs(20.81, 20.81, 20.81), '155.9 V'), 'watch', ['under_rated:1']]],
                'a tenth of its amps' => [[], [$bank($legs(2.776, 2.776, 2.776)), 'watch', ['amps_off:1']], [$bank($legs(2.775, 2.775, 2.775)), 'stop', ['element_open:1']]],
                '10% off what is expected' => [[], [$bank($legs(24.982, 24.982, 24.982)), 'clear', []], [$bank($legs(24.98, 24.98, 24.98)), 'watch', ['amps_off:1']]],
                'a leg 10% off' => [[], [$bank($legs(27, 24.3, 29.7)), 'clear', []], [$bank($legs(27, 24.29, 29.71)), 'watch', ['legs_unequal:1']]],
                'a leg 30% off' => [[], [$bank($legs(27, 18.9, 35.1)), 'watch', ['legs_unequal:1']], [$bank($legs(27, 18.89, 35.11)), 'stop', ['legs_unequal:1']]],
            ],
            'heat.heat_pump' => self::heatPump(),
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function heatPump(): array
    {
        $valve = ['line_cool' => '50 degF', 'line_heat' => '120 degF', 'coil_cool' => true, 'coil_heat' => false];
        $run = ['minutes' => 20, 'outdoor_db' => '40 degF', 'return_db' => '70 degF', 'supply_db' => '96 degF', 'airflow' => '3900 cfm'];
        $defrost = ['method' => 'forced', 'started' => true, 'minutes' => 4, 'ended_by' => 'temperature', 'coil_end' => '62 degF', 'sheet_end' => '65 degF', 'max_minutes' => 10, 'coil_clear' => true, 'fan_stopped' => true, 'aux_came' => true];
        $off = ['testable' => false, 'reversing' => 'O', 'aux' => 'none'];
        $on = ['testable' => true, 'reversing' => 'O', 'valve' => $valve, 'ratings' => [['outdoor' => '40 degF', 'capacity' => '109350 Btu/h']], 'aux' => 'electric', 'aux_seen' => 'on'];
        $whole = ['run' => $run, 'defrost' => $defrost] + $on;
        $later = ['season', 'later:capacity', 'later:defrost'];
        $swaps = fn (string $line): array => ['valve' => ['line_heat' => $line] + $valve];
        $runs = fn (array $more): array => ['run' => $more + $run];
        $thaws = fn (array $more): array => ['defrost' => array_filter($more + $defrost, fn (mixed $v): bool => $v !== null)];
        $locks = ['compressor_lockout' => '0 degF', 'lockout_seen' => true] + $whole;

        return [
            'it swaps by 30' => [$off, [$swaps('80 degF'), 'open', ['valve_proved', ...$later]], [$swaps('79.9 degF'), 'open', ['valve_unclear', ...$later]]],
            'it swaps by 15' => [$off, [$swaps('65 degF'), 'open', ['valve_unclear', ...$later]], [$swaps('64.9 degF'), 'stop', ['valve_stuck', ...$later]]],
            'it cools' => [$off, [$swaps('35.1 degF'), 'stop', ['valve_stuck', ...$later]], [$swaps('35 degF'), 'stop', ['cools_on_heat_call', ...$later]]],
            'the gas gains 5' => [$off, [['valve' => ['low_in' => '30 degF', 'low_out' => '35 degF'] + $valve], 'open', ['valve_proved', ...$later]], [['valve' => ['low_in' => '30 degF', 'low_out' => '35.1 degF'] + $valve], 'open', ['valve_leaks', ...$later]]],
            'the gas gains 10' => [$off, [['valve' => ['low_in' => '30 degF', 'low_out' => '40 degF'] + $valve], 'open', ['valve_leaks', ...$later]], [['valve' => ['low_in' => '30 degF', 'low_out' => '40.1 degF'] + $valve], 'stop', ['valve_leaks', ...$later]]],
            'the coil in one mode' => [$off, [['valve' => $valve], 'open', ['valve_proved', ...$later]], [['valve' => ['coil_heat' => true] + $valve], 'stop', ['coil_always_on', ...$later]]],
            'the coil at all' => [$off, [['valve' => $valve], 'open', ['valve_proved', ...$later]], [['valve' => ['coil_cool' => false] + $valve], 'stop', ['coil_never_on', ...$later]]],
            'colder from three minutes on' => [$whole, [$runs(['minutes' => 2.9, 'supply_db' => '65 degF']), 'open', ['valve_proved', 'wait']], [$runs(['minutes' => 3, 'supply_db' => '65 degF']), 'stop', ['valve_proved', 'supply_colder']]],
            'colder by five' => [$whole, [$runs(['minutes' => 3, 'supply_db' => '65.1 degF']), 'open', ['valve_proved', 'wait']], [$runs(['minutes' => 3, 'supply_db' => '64.9 degF']), 'stop', ['valve_proved', 'supply_colder']]],
            'a quarter of an hour' => [$whole, [$runs(['minutes' => 15]), 'clear', ['valve_proved']], [$runs(['minutes' => 14.9]), 'open', ['valve_proved', 'wait']]],
            'five of rise' => [$whole, [$runs(['supply_db' => '75 degF']), 'stop', ['valve_proved', 'capacity_low']], [$runs(['supply_db' => '74.9 degF']), 'stop', ['valve_proved', 'no_heat']]],
            'the auxiliary off' => [$whole, [$runs(['frosted' => true]), 'open', ['valve_proved', 'frosted']], [$runs(['aux_on' => true, 'outdoor_air_between' => true, 'stage' => 'part']), 'open', ['valve_proved', 'aux_on', 'outdoor_air_between', 'not_at_full_stage']]],
            'fifteen at an indoor unit' => [['vrf' => true, 'ratings' => []] + $whole, [['run' => ['supply_db' => '85 degF'] + array_diff_key($run, ['airflow' => 1])], 'clear', ['valve_proved']], [['run' => ['supply_db' => '84.9 degF'] + array_diff_key($run, ['airflow' => 1])], 'watch', ['valve_proved', 'rise_small']]],
            'two beyond the ratings' => [$whole, [$runs(['outdoor_db' => '42 degF']), 'clear', ['valve_proved']], [$runs(['outdoor_db' => '42.1 degF']), 'open', ['valve_proved', 'outside_ratings']]],
            'two under the ratings' => [$whole, [$runs(['outdoor_db' => '38 degF']), 'clear', ['valve_proved']], [$runs(['outdoor_db' => '37.9 degF']), 'open', ['valve_proved', 'outside_ratings']]],
            '120% of what is rated' => [$whole, [['ratings' => [['outdoor' => '40 degF', 'capacity' => '91130 Btu/h']]], 'clear', ['valve_proved']], [['ratings' => [['outdoor' => '40 degF', 'capacity' => '91110 Btu/h']]], 'watch', ['valve_proved', 'capacity_high']]],
            '85% of what is rated' => [$whole, [['ratings' => [['outdoor' => '40 degF', 'capacity' => '128640 Btu/h']]], 'clear', ['valve_proved']], [['ratings' => [['outdoor' => '40 degF', 'capacity' => '128660 Btu/h']]], 'watch', ['valve_proved', 'capacity_low']]],
            '70% of what is rated' => [$whole, [['ratings' => [['outdoor' => '40 degF', 'capacity' => '156200 Btu/h']]], 'watch', ['valve_proved', 'capacity_low']], [['ratings' => [['outdoor' => '40 degF', 'capacity' => '156230 Btu/h']]], 'stop', ['valve_proved', 'capacity_low']]],
            'a defrost of its longest' => [$whole, [$thaws(['minutes' => 10]), 'clear', ['valve_proved']], [$thaws(['minutes' => 10.1]), 'watch', ['valve_proved', 'defrost_long']]],
            'half as long again' => [$whole, [$thaws(['minutes' => 15]), 'watch', ['valve_proved', 'defrost_long']], [$thaws(['minutes' => 15.1]), 'stop', ['valve_proved', 'defrost_long']]],
            'ten off the sheet\'s end' => [$whole, [$thaws(['coil_end' => '55 degF']), 'clear', ['valve_proved']], [$thaws(['coil_end' => '54.9 degF']), 'watch', ['valve_proved', 'end_off']]],
            '45 where the sheet says nothing' => [$whole, [$thaws(['sheet_end' => null, 'coil_end' => '45 degF']), 'clear', ['valve_proved']], [$thaws(['sheet_end' => null, 'coil_end' => '44.9 degF']), 'watch', ['valve_proved', 'end_off']]],
            'an end nobody read' => [$whole, [$thaws(['max_minutes' => null]), 'clear', ['valve_proved', 'default_minutes']], [$thaws(['coil_end' => null]), 'watch', ['valve_proved', 'end_not_read']]],
            'ended by itself' => [$whole, [$thaws(['ended_by' => 'time']), 'watch', ['valve_proved', 'ended_by_time']], [$thaws(['ended_by' => 'hand']), 'open', ['valve_proved', 'end_not_seen']]],
            'the coil clear' => [$whole, [$thaws(['fan_stopped' => false]), 'watch', ['valve_proved', 'fan_ran']], [$thaws(['coil_clear' => false]), 'stop', ['valve_proved', 'coil_not_clear']]],
            'a defrost at all' => [$whole, [['defrost' => ['method' => 'not_tested']], 'open', ['valve_proved', 'defrost_not_tested']], [['defrost' => ['method' => 'natural', 'started' => false]], 'stop', ['valve_proved', 'no_defrost']]],
            'nothing behind it' => [['aux' => 'none', 'aux_seen' => null, 'lockout_seen' => true] + $whole, [[], 'clear', ['valve_proved']], [['compressor_lockout' => '0 degF'], 'watch', ['valve_proved', 'no_heat_below_lockout']]],
            'the auxiliary tried' => [$whole, [['aux_seen' => 'not_tried'], 'open', ['valve_proved', 'aux_not_tried']], [['aux_seen' => 'off'], 'stop', ['valve_proved', 'no_aux']]],
            'kept off from its lockout on' => [['aux_seen' => 'off', 'lockout_seen' => true] + $whole, [['aux_lockout' => '40 degF'], 'clear', ['valve_proved', 'aux_locked_out']], [['aux_lockout' => '40.1 degF'], 'stop', ['valve_proved', 'no_aux']]],
            'two above its lockout' => [['lockout_seen' => true] + $whole, [['aux_lockout' => '38 degF'], 'clear', ['valve_proved']], [['aux_lockout' => '37.9 degF'], 'watch', ['valve_proved', 'aux_above_lockout']]],
            'between the two lockouts' => [['aux_lockout' => '40 degF', 'lockout_seen' => true] + $whole, [['compressor_lockout' => '40 degF'], 'clear', ['valve_proved']], [['compressor_lockout' => '40.1 degF'], 'stop', ['valve_proved', 'no_heat_between']]],
            'the balance point' => [['aux_lockout' => '40 degF', 'lockout_seen' => true] + $whole, [['balance_point' => '40 degF'], 'clear', ['valve_proved']], [['balance_point' => '40.1 degF'], 'watch', ['valve_proved', 'aux_short']]],
            'gas and compressor' => [['aux' => 'gas'] + $whole, [['together' => false], 'clear', ['valve_proved']], [['together' => true], 'stop', ['valve_proved', 'runs_with_gas']]],
            'lockouts tried' => [$locks, [['lockout_seen' => null], 'watch', ['valve_proved', 'lockout_not_tried']], [['lockout_seen' => false], 'stop', ['valve_proved', 'lockout_failed']]],
        ];
    }
}
