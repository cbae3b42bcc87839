import FeedMap from '@/drawings/FeedMap.vue'
import { type BenchSpec, figure, grid, table, words } from '../spec'

/** Millivolts across each joint under load: the one that runs hot. */
export const joints: BenchSpec = {
  id: 'hotJoints',
  undrawn: true,
  parts: [{ check: 'power.drop', subject: 'machine' }],
  rows: [words('running'), table('items', ['drop', 'amps', 'full_amps'], { grows: true, starts: true })],
}

/** The worst short here against what the plate stands. */
export const faultCurrent: BenchSpec = {
  id: 'faultCurrent',
  parts: [{ check: 'power.fault_current', subject: 'machine' }],
  rows: [
    figure('available'),
    grid(['kva', 'impedance', 'line_voltage']),
    words('conductor'),
    grid(['length', 'sets'], 2),
    words('material'),
    figure('rating'),
    words('label_on'),
  ],
}

/** The way back of a fault, by its size and by its ohms. */
export const grounding: BenchSpec = {
  id: 'grounding',
  undrawn: true,
  parts: [{ check: 'power.grounding', subject: 'machine' }],
  rows: [
    words('path'),
    figure('breaker'),
    words('conductor'),
    words('material'),
    words('raceway'),
    words('on_roof'),
    grid(['ohms', 'volts_to_ground'], 2),
    words('phase_conductor'),
    words('phase_needed'),
  ],
}

/** The disconnect and what protects the unit, against its plate. */
export const disconnect: BenchSpec = {
  id: 'disconnect',
  undrawn: true,
  parts: [{ check: 'power.disconnect', subject: 'machine' }],
  rows: [
    words('in_sight'),
    words('kind'),
    grid(['rating', 'load_amps'], 2),
    words('plate_says'),
    words('protected_by'),
    grid(['device_size', 'mocp'], 2),
    words('hacr'),
    words('fuse_class'),
    words('plate_class'),
    words('fuses_alike'),
    figure('distance'),
    grid(['needed_hp', 'switch_hp'], 2),
  ],
}

/** The control transformer under its coils. */
export const transformer: BenchSpec = {
  id: 'transformer',
  parts: [{ check: 'power.transformer_va', subject: 'machine' }],
  rows: [
    grid(['va', 'lowest'], 2),
    table('coils', ['sealed', 'inrush', 'count', 'mode'], { grows: true }),
    grid(['idle', 'regulation'], 2),
    grid(['primary_volts', 'primary_fuse', 'secondary_fuse']),
  ],
}

/** Overloads, phase monitor, drives and bypasses as they are left. */
export const dials: BenchSpec = {
  id: 'dials',
  undrawn: true,
  parts: [{ check: 'power.dials', subject: 'machine' }],
  rows: [
    table('overloads', ['dial', 'service_factor', 'sheet_dial'], { facts: ['fla'], grows: true }),
    words('monitor.test'),
    words('monitor.call_dropped'),
    words('monitor.restored'),
    grid(['monitor.nominal', 'monitor.supply_average'], 2),
    grid(['monitor.trip_percent', 'monitor.unbalance_percent', 'monitor.delay']),
    table('drives', ['direction', 'bypass', 'min_hz', 'max_hz', 'motor_amps', 'hz_floor'], {
      facts: ['fla'],
      grows: true,
    }),
  ],
}

/** The same at a run: direction and bypass need a start. */
export const dialsProved: BenchSpec = { ...dials, id: 'dialsProved' }

/** Each motor's plug, lead or jumper against what feeds it. */
export const motorTaps: BenchSpec = {
  id: 'motorTaps',
  undrawn: true,
  parts: [{ check: 'power.motor_tap', subject: 'machine' }],
  rows: [
    figure('supply_average'),
    table(
      'items',
      [
        'tap',
        'capped',
        { field: 'taps' },
        { field: 'wired_for', seldom: true },
        { field: 'range_end', seldom: true },
        { field: 'volts', seldom: true },
      ],
      { grows: true },
    ),
    figure('tolerance'),
  ],
}

/** What hangs on the panel, in which order: told once, known on every unit of it. */
export const feed: BenchSpec = {
  id: 'feed',
  parts: [{ check: 'entry.feed', subject: 'machine' }],
  gathers: 'site',
  sketch: FeedMap,
  board: true,
  rows: [
    words('panel'),
    grid(['breaker', 'usable'], 2),
    table(
      'items',
      [
        { field: 'machine', seldom: true },
        { field: 'mca', broad: true },
        { field: 'feeds_from', among: 'items' },
        { field: 'largest', seldom: true, broad: true },
        { field: 'mocp', seldom: true, broad: true },
        { field: 'amps', seldom: true },
        { field: 'kind', seldom: true },
        { field: 'legs', seldom: true },
        { field: 'phases', seldom: true },
        { field: 'mode', seldom: true },
        { field: 'on_since', seldom: true },
      ],
      { grows: true },
    ),
  ],
}

/** What hangs on the feeder, leg by leg, and who is turned with a swap further up. */
export const feeder: BenchSpec = {
  id: 'feeder',
  parts: [{ check: 'power.feeder', subject: 'machine' }],
  rows: [
    grid(['breaker', 'usable'], 2),
    table(
      'items',
      [
        { field: 'mca', broad: true },
        { field: 'largest', broad: true },
        { field: 'mocp', broad: true },
        { field: 'amps', seldom: true },
        { field: 'kind', seldom: true },
        { field: 'legs', seldom: true },
        { field: 'phases', seldom: true },
        { field: 'mode', seldom: true },
        { field: 'on_since', seldom: true },
        { field: 'feeds_from', seldom: true },
      ],
      { grows: true, starts: true },
    ),
    words('swap_at'),
    words('swap_side'),
  ],
}
