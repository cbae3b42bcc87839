/** A figure as it is typed: the text and the unit it is meant in. */
export type Typed = { text: string; unit: string; flag?: boolean }

let signs: Record<string, string> = {}

/** How units are written for people: the server's table. */
export function useSigns(told: Record<string, string>): void {
  signs = told
}

export function shownUnit(unit: string): string {
  return signs[unit] ?? unit
}

/** The unit a box starts with: the person's own for this kind, else the field's own start. */
export function firstUnit(
  field: { kind: string; units: string[]; starts?: { us: string; si: string } | null },
  system: 'us' | 'si',
  own: Record<string, string>,
): string {
  const wanted = own[field.kind]
  return wanted !== undefined && field.units.includes(wanted)
    ? wanted
    : (field.starts?.[system] ?? field.units[0] ?? '')
}

/** What goes to the server: the text with its unit, or as it stands when a unit was typed along. Undefined when empty. */
export function toWire(typed: Typed | undefined): string | undefined {
  const text = typed?.text.trim() ?? ''
  if (text === '' || typed === undefined) return undefined
  return /\s/.test(text) ? text.replace(/\s+/, ' ') : `${text} ${typed.unit}`
}

/**
 * A value of no kind known beforehand, such as a setting of a controller, as the server reads it: "74 °F" and "74 F" are
 * one figure in a unit; whatever else stands there stays a text. A tolerance of temperatures is a difference of them.
 */
export function settingWire(text: string, isDifference: boolean): string {
  const [, figure = '', sign = ''] = /^([-+]?\d[\d.]*)\s*(\S.*)$/.exec(text) ?? []
  const plain = (one: string) => one.replaceAll(/[°Δ\s]/g, '').toLowerCase()
  const units = Object.keys(signs).filter((unit) =>
    [unit, signs[unit] ?? ''].some((one) => plain(one) === plain(sign)),
  )
  const unit = units.find((one) => one.startsWith('delta_') === isDifference) ?? units[0]
  return figure === '' || unit === undefined ? text : `${figure} ${unit}`
}

/** Such a value as it stands in its box. */
export function settingText(value: unknown): string | undefined {
  const typed = fromWire(value)
  if (typed === undefined) return value === undefined || value === null ? undefined : String(value)
  return typeof value === 'string' && signs[typed.unit] === undefined
    ? value
    : `${typed.text} ${shownUnit(typed.unit)}`
}

/** A wire text or object as it is shown in a box. */
export function fromWire(value: unknown): Typed | undefined {
  if (typeof value === 'string') {
    const [text = '', unit = ''] = value.split(' ')
    return { text, unit }
  }
  if (typeof value === 'object' && value !== null && 'value' in value && 'unit' in value) {
    return { text: String(value.value), unit: String(value.unit) }
  }
  return undefined
}

/** Several figures pasted at once, in order: "481 478 483", "481; 478; 483" or one a line. */
export function several(pasted: string): string[] {
  const parts = pasted
    .trim()
    .split(/[\s;|]+/)
    .filter((part) => part !== '')
  return parts.length > 1 && parts.every((part) => /^[+-]?[\d.,]+$/.test(part)) ? parts : []
}

/** Leaves out what is empty: undefined, blank texts, empty lists. False and zero stay. */
export function compact<T extends Record<string, unknown>>(input: T): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(input).filter(
      ([, v]) => v !== undefined && v !== '' && !(Array.isArray(v) && v.length === 0),
    ),
  )
}
