import { type BenchSpec, type Item, grid, table, words } from '../spec'

const threePhase = (item: Item) => item.phases !== 1

/** Amps of every motor, leg by leg, with the doors on. */
export const amps: BenchSpec = {
  id: 'amps',
  parts: [{ check: 'power.running_amps', subject: 'machine' }],
  rows: [
    words('doors_on'),
    table('loads', ['amps_a', { field: 'amps_b', when: threePhase }, { field: 'amps_c', when: threePhase }], {
      facts: ['plate_amps'],
      of: (item) => item.out !== true,
    }),
  ],
}

/** All three leads moved one place round: whether the unbalance goes with the supply or stays with the motor. */
export const legRoll: BenchSpec = {
  id: 'legRoll',
  parts: [{ check: 'power.leg_roll', subject: 'machine' }],
  rows: [grid(['before_t1', 'before_t2', 'before_t3']), grid(['after_t1', 'after_t2', 'after_t3'])],
}
