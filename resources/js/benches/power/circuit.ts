import { type BenchSpec, figure, table, words } from '../spec'

const rows = [
  figure('mca'),
  figure('mocp'),
  figure('breaker'),
  words('conductor'),
  words('insulation'),
  words('terminal_rating'),
  words('material'),
  figure('length'),
  figure('ambient'),
  words('raceway_on_roof'),
]

/** Wire and breaker against the plate. */
export const circuit: BenchSpec = {
  id: 'circuit',
  parts: [{ check: 'power.circuit', subject: 'machine' }],
  rows,
}

/** The same for the unit to come, while the old one still hangs on it. */
export const oldCircuit: BenchSpec = {
  id: 'oldCircuit',
  parts: [{ check: 'power.circuit', subject: 'old_disconnect' }],
  rows,
}

/** The plate's figures from its motors and heaters. */
export const plate: BenchSpec = {
  id: 'plate',
  parts: [{ check: 'power.plate_math', subject: 'machine' }],
  rows: [
    figure('plate_mca'),
    figure('plate_mocp'),
    table('motors', ['amps', 'quantity'], { grows: true }),
    table('heaters', ['amps', 'quantity'], { grows: true }),
  ],
}
