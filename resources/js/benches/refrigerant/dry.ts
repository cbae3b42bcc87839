import { type BenchSpec, figure, grid, table, words } from '../spec'

const readings = table('readings', ['minutes', 'micron'], { grows: true, starts: true, file: true })

/** A pull-down as it goes, on a logarithmic scale, carried on to where it will be down. */
export const pullDown: BenchSpec = {
  id: 'pullDown',
  scaled: true,
  parts: [{ check: 'dry.log', subject: 'circuit' }],
  rows: [readings, figure('target'), grid(['pump_blank_off', 'coldest_part'], 2)],
}

/** A valved-off vacuum: its rise, what was fitted to it, and the limit it has to stay under. */
export const decay: BenchSpec = {
  id: 'decay',
  scaled: true,
  parts: [{ check: 'dry.decay', subject: 'circuit' }],
  rows: [
    words('gauge_at'),
    readings,
    grid(['target', 'hold_limit'], 2),
    figure('ambient'),
    words('valves_held_open'),
    words('mode_lost'),
    words('rule'),
    grid(['fixed_minutes', 'fixed_limit'], 2),
  ],
}

/** Whether water boils out at this vacuum and in the coldest part. */
export const water: BenchSpec = {
  id: 'water',
  parts: [{ check: 'dry.water', subject: 'machine' }],
  rows: [figure('vacuum'), figure('coldest_part')],
}

/** What a pump and its hoses need, before anybody waits for them. */
export const pullTime: BenchSpec = {
  id: 'pullTime',
  scaled: true,
  parts: [{ check: 'dry.pull_time', subject: 'machine', without: ['alternatives'] }],
  rows: [
    grid(['volume', 'pump_speed'], 2),
    figure('target'),
    table('hoses', ['bore', 'length', 'count', 'core_removed'], { grows: true, starts: true }),
  ],
}
