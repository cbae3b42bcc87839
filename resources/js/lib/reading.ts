/** A figure as it is typed: the text and the unit it is meant in. */
export type Typed = { text: string; unit: string }

/** Units a person sees first, by kind of quantity. The value is kept as it was read; nothing is converted here. */
const USUAL: Record<'us' | 'si', Record<string, string>> = {
  us: { temperature: 'degF', length: 'ft', time: 'min', resistance: 'ohm' },
  si: { temperature: 'degC', length: 'm', time: 'min', resistance: 'ohm' },
}

const SHOWN: Record<string, string> = {
  degF: '°F',
  degC: '°C',
  delta_degF: '°F',
  delta_degC: '°C',
  Mohm: 'megohm',
  inH2O: 'in. w.c.',
}

export function shownUnit(unit: string): string {
  return SHOWN[unit] ?? unit
}

/** The unit a box starts with: the person's own for this kind, else the usual one, else the first there is. */
export function firstUnit(
  kind: string,
  units: string[],
  system: 'us' | 'si',
  own: Record<string, string>,
): string {
  const wanted = own[kind] ?? USUAL[system][kind]
  return wanted !== undefined && units.includes(wanted) ? wanted : (units[0] ?? '')
}

/** What goes to the server: the text with its unit, or as it stands when a unit was typed along. Undefined when empty. */
export function toWire(typed: Typed | undefined): string | undefined {
  const text = typed?.text.trim() ?? ''
  if (text === '' || typed === undefined) return undefined
  return /\s/.test(text) ? text.replace(/\s+/, ' ') : `${text} ${typed.unit}`
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
