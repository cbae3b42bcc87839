import type { TapeEntry } from '@/api/client'
import { compact, fromWire, toWire, type Typed } from '@/lib/reading'

/** A load as the sheet describes it, and what was seen of it. */
export type SheetLoad = { name: string; kind: string; drive: string; plate_amps?: string }
export type SeenLoad = {
  observed?: string
  pressure_moved?: boolean
  noise?: string
  amps?: Typed
  hours_backwards?: Typed
}
export type RotationDraft = {
  meter?: string
  monitor?: string
  meter_confirmed?: boolean
  seen: Record<string, SeenLoad>
}

const ROTARY = ['scroll', 'screw']
const ON_THE_LINE = ['across_line', 'soft_starter', 'part_winding']

export function isRotary(load: SheetLoad): boolean {
  return ROTARY.includes(load.kind)
}

export function canTell(load: SheetLoad): boolean {
  return ON_THE_LINE.includes(load.drive) && load.kind !== 'reciprocating'
}

function seenSomething(seen: SeenLoad | undefined): boolean {
  return (
    seen !== undefined &&
    (seen.observed !== undefined ||
      seen.pressure_moved !== undefined ||
      seen.noise !== undefined ||
      (seen.amps?.text ?? '').trim() !== '')
  )
}

/** True while nothing has been said: hours carried over from before do not count. */
export function isPristine(draft: RotationDraft): boolean {
  return (
    draft.meter === undefined && draft.monitor === undefined && !Object.values(draft.seen).some(seenSomething)
  )
}

/** What goes to the server. */
export function rotationInput(draft: RotationDraft, loads: SheetLoad[]): Record<string, unknown> {
  return compact({
    meter: draft.meter,
    monitor: draft.monitor,
    meter_confirmed: draft.meter_confirmed === true ? true : undefined,
    loads: loads.map((load) => {
      const seen = draft.seen[load.name] ?? {}
      return compact({
        ...load,
        observed: seen.observed,
        pressure_moved: seen.pressure_moved,
        noise: seen.noise,
        amps: toWire(seen.amps),
        hours_backwards: toWire(seen.hours_backwards),
      })
    }),
  })
}

/** A recorded input as a draft again, to be corrected. */
export function rotationDraft(input: Record<string, unknown>): RotationDraft {
  const seen: Record<string, SeenLoad> = {}
  for (const load of (input.loads ?? []) as Record<string, unknown>[]) {
    seen[String(load.name)] = {
      observed: load.observed as string | undefined,
      pressure_moved: load.pressure_moved as boolean | undefined,
      noise: load.noise as string | undefined,
      amps: fromWire(load.amps),
      hours_backwards: fromWire(load.hours_backwards),
    }
  }
  return {
    meter: input.meter as string | undefined,
    monitor: input.monitor as string | undefined,
    meter_confirmed: input.meter_confirmed as boolean | undefined,
    seen,
  }
}

/** The compressors that were seen running backwards, and how long each did as far as it was told since. */
export function ranBackwards(tape: TapeEntry[]): Map<string, Typed | undefined> {
  const ran = new Map<string, Typed | undefined>()
  for (const entry of [...tape].reverse()) {
    if (entry.check !== 'power.rotation' || entry.suspect) continue
    for (const load of (entry.input.loads ?? []) as Record<string, unknown>[]) {
      const name = String(load.name)
      const told = fromWire(load.hours_backwards)
      const back = load.pressure_moved === false || load.observed === 'backwards'
      if (ROTARY.includes(String(load.kind)) && (back || told !== undefined))
        ran.set(name, told ?? ran.get(name))
    }
  }
  return ran
}
