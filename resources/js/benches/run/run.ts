import { type BenchSpec, grid, words } from '../spec'

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
