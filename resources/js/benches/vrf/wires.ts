import { type BenchSpec, table } from '../spec'

/** Every conductor from both ends, before anything is energized. */
export const wireMap: BenchSpec = {
  id: 'wireMap',
  scaled: true,
  parts: [{ check: 'vrf.wire_map', subject: 'machine' }],
  rows: [
    table('terminals', ['kind'], { grows: true, starts: true }),
    table(
      'circuits',
      [
        'carries',
        'polar',
        { field: 'near', wide: true },
        { field: 'far', wide: true },
        { field: 'shield', seldom: true },
      ],
      { grows: true, starts: true },
    ),
    table('supplies', ['plate_voltage', 'volts'], { grows: true }),
    table('ports', ['wire_zone', 'pipe_zone'], { grows: true }),
    table('feeds', ['legs'], { grows: true }),
  ],
}
