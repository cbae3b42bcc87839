import { markRaw } from 'vue'
import type { TapeEntry } from '@/api/client'
import RotationSketch from '@/drawings/RotationSketch.vue'
import { isTyped } from '../entered'
import { type BenchSpec, type Context, type Item, table, words } from '../spec'

const ROTARY = ['scroll', 'screw']
const ON_THE_LINE = ['across_line', 'soft_starter', 'part_winding']
const isRotary = (item: Item) => ROTARY.includes(String(item.kind))
const isCompressor = (item: Item) => isRotary(item) || item.kind === 'reciprocating'

/** A motor whose direction the line decides, or whose oil pump it decides. */
export const canTell = (item: Item) => item.out !== true && ON_THE_LINE.includes(String(item.drive))

/** The compressors that were seen running backwards, and how long each did as far as it was told since. */
export function ranBackwards(tape: TapeEntry[]): Map<string, unknown> {
  const ran = new Map<string, unknown>()
  for (const entry of [...tape].reverse()) {
    if (entry.check !== 'power.rotation' || entry.suspect) continue
    for (const load of (entry.input.loads ?? []) as Item[]) {
      const name = String(load.name)
      const back = load.pressure_moved === false || load.observed === 'backwards'
      if (isRotary(load) && (back || load.hours_backwards !== undefined))
        ran.set(name, load.hours_backwards ?? ran.get(name))
    }
  }
  return ran
}

const asksHours = (item: Item, context: Context) =>
  isRotary(item) && ranBackwards(context.tape).has(String(item.name))

/** After a reversal no compressor is let go before it is said how long it ran backwards. */
function untold(context: Context): string[] {
  const { meter, monitor } = context.draft.values
  if (meter === 'cba' || monitor === 'reversed') return []
  return [...ranBackwards(context.tape)]
    .filter(
      ([name, told]) => told === undefined && !isTyped(context.draft.values[`loads.${name}.hours_backwards`]),
    )
    .map(([name]) => name)
}

/** Meter, monitor and every load weighed together; at the terminals first, then at the wheel. */
export const rotation: BenchSpec = {
  id: 'rotation',
  parts: [{ check: 'power.rotation', subject: 'machine' }],
  sketch: markRaw(RotationSketch),
  rows: [
    words('meter'),
    words('monitor'),
    table(
      'loads',
      [
        { field: 'observed', when: (item) => !isCompressor(item) },
        { field: 'pressure_moved', when: isRotary },
        { field: 'noise', when: isRotary },
        { field: 'amps', when: isRotary },
        { field: 'oil_ok', when: (item) => item.kind === 'reciprocating' },
        { field: 'hours_backwards', when: asksHours },
      ],
      { facts: ['plate_amps'], of: canTell },
    ),
    words('meter_confirmed'),
  ],
  untold,
}

/** The same with the machine running. */
export const wheel: BenchSpec = { ...rotation, id: 'wheel' }
