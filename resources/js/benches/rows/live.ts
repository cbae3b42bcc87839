import type { Schemas } from '@/api/client'
import type { Typed } from '@/lib/reading'

type View = Schemas['ControllerView']
const KELVIN_IN_F = 1.8

/** What a controller shows, put where it is typed on the commissioning bench. */
export function followed(view: View): Record<string, unknown> {
  const ready = view.indoor.map((unit) => [`indoor.${unit.id}.ready`, unit.ready] as const)
  if (view.step === null) return Object.fromEntries(ready)
  return {
    step: String(view.step),
    shown: view.shown,
    minutes_in_step: { text: String(Math.round(view.minutesInStep ?? 0)), unit: 'min' },
    ...Object.fromEntries(ready),
  }
}

/** Whether a display shows one of the codes the script can stop on. */
export function isFault(shown: string, script: unknown): boolean {
  const steps = Array.isArray(script) ? (script as { on_fault?: { code?: unknown }[] }[]) : []
  return steps.some((step) => step.on_fault?.some((fault) => fault.code === shown))
}

/** The step of the plan that runs: one alone, one box as a whole, or so many together. */
export function stepOf(called: string[], boxes: { id: string; indoor: string[] }[]): string {
  if (called.length === 1) return `alone:${called[0]}`
  const box = boxes.find(
    (one) => one.indoor.length === called.length && one.indoor.every((unit) => called.includes(unit)),
  )
  return box === undefined ? `all:${called.length}` : `box:${box.id}`
}

const degrees = (text: string): number => Number.parseFloat(text)

/** How far the coil of each zone went since one was called, as the matrix takes it. */
export function changes(
  view: View,
  before: Record<string, string>,
  zone: string,
  isUs: boolean,
): Record<string, Typed> {
  return Object.fromEntries(
    view.indoor.flatMap((unit) => {
      const went = degrees(unit.liquidPipe) - degrees(before[unit.id] ?? '')
      if (zone === '' || Number.isNaN(went)) return []
      const text = (isUs ? went * KELVIN_IN_F : went).toFixed(1).replace(/^-0\.0$/, '0.0')
      return [[`matrix.${zone}.changes.${unit.zone}`, { text, unit: isUs ? 'delta_degF' : 'K_diff' }]]
    }),
  )
}
