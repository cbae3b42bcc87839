import { type BenchSpec, grid, type Item, table, words } from '../spec'

/** What a circuit stands at before anything turns. */
export const standing: BenchSpec = {
  id: 'standing',
  undrawn: true,
  parts: [{ check: 'run.standing_pressure', subject: 'circuit' }],
  rows: [
    grid(['pressure', 'suction'], 2),
    grid(['ambient', 'coil', 'indoor']),
    grid(['standing_hours', 'needed_hours'], 2),
    words('valves_open'),
  ],
}

/** How long the crankcase has been warm, and until when the start is held. */
export const warmUp: BenchSpec = {
  id: 'warmUp',
  parts: [{ check: 'run.warm_up', subject: 'machine' }],
  rows: [
    words('heater'),
    words('powered_since'),
    grid(['shell', 'ambient'], 2),
    grid(['sheet_hours', 'coldest_24h'], 2),
    table('outages', ['from', 'to'], { grows: true }),
    table('warm_up', ['below', 'hours'], { grows: true }),
    words('strict'),
    words('wanted_start'),
  ],
}

const isCompressor = (item: Item) => ['scroll', 'screw', 'reciprocating'].includes(String(item.kind))
const PRESSURES = ['suction_before', 'discharge_before', 'suction_after', 'discharge_after']

/** One thing at a time, in the order of the work, each seen before the next. */
export const firstRun: BenchSpec = {
  id: 'firstRun',
  undrawn: true,
  parts: [{ check: 'run.first_start', subject: 'machine' }],
  rows: [
    table(
      'steps',
      [
        'started',
        'amps',
        ...PRESSURES.map((field) => ({ field, when: isCompressor })),
        { field: 'noise', when: isCompressor },
        'seen',
        'seen_at',
        'stopped',
        { field: 'seconds', when: isCompressor, seldom: true },
      ],
      { facts: ['plate_amps'], grows: true },
    ),
    grid(['starts_per_hour', 'rest'], 2),
  ],
}

/** One start by itself, told later or by hand: the first run is judged from all of them. */
export const firstStep: BenchSpec = {
  id: 'firstStep',
  undrawn: true,
  act: 'start',
  parts: [{ check: 'entry.first_step', subject: 'machine' }],
  rows: [
    grid(['name', 'plate_amps'], 2),
    words('kind'),
    words('drive'),
    grid(['started', 'stopped'], 2),
    words('seen'),
    words('seen_at'),
    grid(['amps', 'seconds'], 2),
    words('noise'),
    grid(['suction_before', 'suction_after'], 2),
    grid(['discharge_before', 'discharge_after'], 2),
  ],
}

/** What it was like: it stands beside every amp reading of the next hour. */
export const conditions: BenchSpec = {
  id: 'conditions',
  undrawn: true,
  parts: [{ check: 'entry.conditions', subject: 'machine' }],
  rows: [words('mode'), grid(['outdoor', 'return_air', 'head'])],
}
