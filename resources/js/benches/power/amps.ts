import { i18n } from '@/i18n'
import { fromWire } from '@/lib/reading'
import { clock, day } from '@/lib/time'
import { type BenchSpec, type Context, type Item, grid, table, words } from '../spec'

const LEGS = ['amps_a', 'amps_b', 'amps_c']
const threePhase = (item: Item) => item.phases !== 1

/** What a motor drew when it was read last: before its compressor was changed, or another day. */
export function lastAmps(item: Item, { tape }: Context): string {
  for (const entry of tape) {
    if (entry.check !== 'power.running_amps' || entry.suspect !== '') continue
    const loads = entry.input['loads']
    const load = (Array.isArray(loads) ? (loads as Item[]) : []).find((one) => one['name'] === item['name'])
    const figures = LEGS.flatMap((leg) => {
      const read = load?.[leg] === undefined ? undefined : fromWire(load[leg])
      return typeof read === 'object' && read.text !== '' ? [read.text] : []
    })
    const when = `${day(entry.deviceAt)} ${clock(entry.deviceAt)}`.trim()
    if (figures.length > 0) return i18n.global.t('bench.lastAmps', { figures: figures.join(' · '), when })
  }
  return ''
}

/** Amps of every motor, leg by leg, with the doors on. */
export const amps: BenchSpec = {
  id: 'amps',
  parts: [{ check: 'power.running_amps', subject: 'machine' }],
  rows: [
    words('doors_on'),
    table('loads', ['amps_a', { field: 'amps_b', when: threePhase }, { field: 'amps_c', when: threePhase }], {
      facts: ['plate_amps'],
      recalls: lastAmps,
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
