import { type BenchSpec, figure, grid, table, words } from '../spec'

const LINES = ['volts_ab', 'volts_bc', 'volts_ca']
const GROUND = ['volts_ag', 'volts_bg', 'volts_cg']

/** What supply it is and whether it is fit to run on: six readings, two answers, one write. */
export const supply: BenchSpec = {
  id: 'supply',
  parts: [
    { check: 'power.voltage', subject: 'machine', without: ['loaded', 'no_load_average'] },
    { check: 'power.supply_identity', subject: 'machine' },
  ],
  explains: 'power.supply_identity',
  rows: [grid(LINES), grid(GROUND)],
}

/** The old disconnect, before the old unit is out: which supply the new one will find. */
export const oldSupply: BenchSpec = {
  id: 'oldSupply',
  parts: [{ check: 'power.supply_identity', subject: 'old_disconnect' }],
  rows: [grid(LINES), grid(GROUND)],
}

/** The legs again with the machine running, against what they were before. */
export const loaded: BenchSpec = {
  id: 'loaded',
  parts: [{ check: 'power.voltage', subject: 'loaded', fixed: { loaded: true } }],
  rows: [grid(LINES), figure('no_load_average')],
}

/** A generator or temporary power: whether it carries the unit and starts it. */
export const temporary: BenchSpec = {
  id: 'temporary',
  parts: [{ check: 'power.temporary_supply', subject: 'machine' }],
  rows: [
    words('source_kind'),
    figure('source_kva'),
    figure('line_voltage'),
    table('modes', ['running_amps'], { grows: true }),
    figure('locked_rotor_amps'),
  ],
}

/** Several single-phase units on one three-phase feeder. */
export const sharedFeeder: BenchSpec = {
  id: 'sharedFeeder',
  parts: [{ check: 'power.single_phase_split', subject: 'machine' }],
  rows: [table('loads', ['amps', 'across'], { grows: true }), figure('feeder_ampacity')],
}
