import { type BenchSpec, figure, grid, type Item, table, words } from '../spec'

/** Pumped down or recovered, by reasons. */
export const wayOut: BenchSpec = {
  id: 'wayOut',
  parts: [{ check: 'refrigerant.way_out', subject: 'machine' }],
  rows: [
    words('compressor_runs'),
    words('service_valves'),
    words('work_on'),
    words('on_line_side'),
    words('acid'),
    words('low_side_leak'),
    words('mixed'),
    grid(['charge', 'condenser_storage'], 2),
    words('safety_bypassed'),
  ],
}

/** How the pressure comes back, drawn as it is read. */
export const rebound: BenchSpec = {
  id: 'rebound',
  scaled: true,
  parts: [{ check: 'refrigerant.rebound', subject: 'machine' }],
  rows: [
    words('finish'),
    table('readings', ['minutes', 'pressure'], { grows: true, starts: true }),
    words('frost_on_liquid_line'),
    figure('ambient'),
  ],
}

/** A recovery cylinder, filled to its limit and no further. */
export const cylinder: BenchSpec = {
  id: 'cylinder',
  parts: [{ check: 'refrigerant.cylinder', subject: 'machine' }],
  rows: [
    figure('refrigerant'),
    grid(['water_capacity', 'tare', 'gross_now']),
    figure('to_recover'),
    words('cylinder_state'),
    figure('rated_pressure'),
    figure('cylinder_refrigerant'),
    grid(['cylinder_pressure', 'cylinder_temperature'], 2),
  ],
}

const WEIGHED = ['recovered', 'charged', 'returned']
const weighed = (field: string) => ({ field, when: (item: Item) => WEIGHED.includes(String(item.kind)) })

/** Every mass that was moved, off the scale before and after. */
export const account: BenchSpec = {
  id: 'account',
  parts: [{ check: 'refrigerant.account', subject: 'machine' }],
  rows: [
    table(
      'entries',
      [
        'kind',
        weighed('cylinder'),
        weighed('start'),
        weighed('end'),
        { field: 'mass', when: (item) => ['lost', 'moved'].includes(String(item.kind)) },
        { field: 'from', when: (item) => item.kind === 'moved' },
        { field: 'to', when: (item) => item.kind === 'moved' },
      ],
      { grows: true, starts: true, strict: true },
    ),
    grid(['plate_charge', 'field_charge'], 2),
    figure('in_system_start'),
  ],
}
