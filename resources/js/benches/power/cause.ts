import { type BenchSpec, table } from '../spec'

/** What is behind all that was found on the units of a job. */
export const rootCause: BenchSpec = {
  id: 'rootCause',
  undrawn: true,
  gathers: 'job',
  parts: [{ check: 'diagnose.root_cause', subject: 'machine' }],
  rows: [
    table(
      'facts',
      [
        { field: 'machine', among: 'machines' },
        'fact',
        'part',
        { field: 'evidence', wide: true },
        { field: 'when', seldom: true },
      ],
      { grows: true },
    ),
    table(
      'machines',
      [
        { field: 'checked', wide: true },
        'supply',
        { field: 'crew', seldom: true },
        { field: 'installed', seldom: true },
      ],
      { grows: true },
    ),
  ],
}
