import type { Verdict } from '@/api/client'
import { compact, toWire, type Typed } from '@/lib/reading'

/** A draft of figures by field name. */
export type Figures = Record<string, Typed | undefined>

/** The figures that were typed, as they go to the server. */
export function wireFigures(figures: Figures, names: readonly string[]): Record<string, unknown> {
  return compact(Object.fromEntries(names.map((name) => [name, toWire(figures[name])])))
}

export function anyTyped(figures: Figures, names: readonly string[]): boolean {
  return names.some((name) => (figures[name]?.text ?? '').trim() !== '')
}

/** Figures pasted at once fill this field and the ones after it. */
export function fillFrom(
  figures: Figures,
  names: readonly string[],
  from: string,
  pasted: string[],
  unit: string,
): void {
  const start = names.indexOf(from)
  pasted.forEach((text, i) => {
    const name = names[start + i]
    if (name !== undefined) figures[name] = { text, unit: figures[name]?.unit ?? unit }
  })
}

/** A wire quantity's number, for drawing only. */
export function numberOf(wire: unknown): number | null {
  const text =
    typeof wire === 'string'
      ? wire.split(' ')[0]
      : typeof wire === 'object' && wire !== null && 'value' in wire
        ? wire.value
        : undefined
  const number = Number(text)
  return text === undefined || text === '' || !Number.isFinite(number) ? null : number
}

export function valueOf(verdict: Verdict | null, name: string): number | null {
  const value = verdict?.values[name]?.value
  return typeof value === 'number' ? value : null
}

export function listOf(verdict: Verdict | null, name: string): string[] {
  const value = verdict?.values[name]?.value
  return Array.isArray(value) ? value.map(String) : []
}

/** A figure as a drawing writes it. */
export function short(value: number, decimals = 1): string {
  return String(Number(value.toFixed(decimals)))
}
