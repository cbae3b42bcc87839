import { type BenchSpec, figure, grid, measures, table, words } from '../spec'

/** Nitrogen held: what the gauge should read at the end's temperature, and the band it can see, drawn over the hours. */
export const hold: BenchSpec = {
  id: 'hold',
  scaled: true,
  sections: true,
  parts: [{ check: 'tight.hold', subject: 'circuit' }],
  rows: [
    measures('start', 'pressure', 'temperature'),
    figure('start.at'),
    measures('end', 'pressure', 'temperature'),
    figure('end.at'),
    figure('lowest_design_pressure'),
    words('source_off'),
    words('bubbles'),
    words('uneven'),
    grid(['target_pressure', 'minimum_hold'], 2),
    table('points', ['pressure', 'temperature', 'at'], { grows: true, file: true, ends: ['start', 'end'] }),
    grid(['volume', 'ambient'], 2),
  ],
}
