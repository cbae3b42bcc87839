import { type BenchSpec, figure, grid, optional, words } from '../spec'

/** The drop across the coil against what this air should show, as points on a psychrometric chart. */
export const split: BenchSpec = {
  id: 'split',
  indoor: true,
  scaled: true,
  parts: [{ check: 'air.split', subject: 'machine' }],
  rows: [
    grid(['return_db', 'return_wb', 'return_rh']),
    grid(['supply_db', 'outdoor_db'], 2),
    grid(['running_minutes', 'stages_running'], 2),
    words('doors_on'),
    words('outdoor_air_between'),
    words('inverter'),
    grid(['airflow_per_ton', 'fan_heat', 'sheet_capacity']),
  ],
}

/** How much air moves, by what it is warmed or cooled with. */
export const airflow: BenchSpec = {
  id: 'airflow',
  scaled: true,
  parts: [{ check: 'air.flow', subject: 'machine' }],
  rows: [
    grid(['return_db', 'supply_db'], 2),
    optional('electric_heat'),
    optional('gas_heat'),
    optional('cooling'),
    optional('fan'),
    figure('blower_power'),
    words('doors_on'),
  ],
}

/** Where the static goes, stair by stair. */
export const statics: BenchSpec = {
  id: 'statics',
  indoor: true,
  scaled: true,
  parts: [{ check: 'air.static', subject: 'machine' }],
  rows: [
    grid(['return_static', 'supply_static'], 2),
    grid(['filter_drop', 'coil_drop'], 2),
    figure('fan_speed'),
    words('damper_relief'),
    words('doors_on'),
  ],
}

/** How much outdoor air comes in, against the schedule. */
export const mix: BenchSpec = {
  id: 'mix',
  parts: [{ check: 'air.mix', subject: 'machine' }],
  rows: [
    grid(['return_db', 'mixed_db', 'outdoor_db']),
    figure('wanted_fraction'),
    grid(['wanted_airflow', 'supply_airflow'], 2),
  ],
}

/** What another sheave would do, before it is touched. */
export const fanDrive: BenchSpec = {
  id: 'fanDrive',
  parts: [{ check: 'air.fan_drive', subject: 'machine' }],
  rows: [
    grid(['flow_now', 'flow_target'], 2),
    grid(['rpm_now', 'amps_now', 'static_now']),
    words('rotation'),
    grid(['driver_pitch', 'pitch_per_turn', 'belt_span']),
    figure('turns_open'),
  ],
}

/** A point of air from any two of its figures. */
export const airPoint: BenchSpec = {
  id: 'airPoint',
  scaled: true,
  parts: [{ check: 'air.state', subject: 'machine' }],
  rows: [grid(['dry_bulb', 'wet_bulb'], 2), grid(['relative_humidity', 'dew_point', 'humidity_ratio'])],
}
