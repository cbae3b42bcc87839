import type { FieldView, Schemas } from '@/api/client'
import type { Draft } from '../entered'

/** What the columns of a logger's file are, as somebody says it. */
export type Mapping = {
  separator: string
  decimal: string
  head: number
  form: string
  time?: number
  day?: number
  unit?: string
  zone: string
  values: Record<string, { column: number; unit: string }>
}
export type LoggerRead = Schemas['LoggerReadView']

/** What a column can be: nothing, the time, a day of its own, or one of the readings. */
export type Role = '' | 'time' | 'day' | string

/** The readings of a list a logger gives: its quantities but the time. */
export const readingsOf = (list: FieldView): FieldView[] =>
  list.fields.filter((field) => field.type === 'quantity' && field.name !== 'minutes')

export const HAS_DAY = ['iso', 'mdy', 'dmy']
export const FORMS = ['iso', 'mdy', 'dmy', 'clock', 'since', 'elapsed'] as const

export function roleOf(mapping: Mapping, column: number): Role {
  if (mapping.time === column) return 'time'
  if (mapping.day === column) return 'day'
  return Object.entries(mapping.values).find(([, one]) => one.column === column)?.[0] ?? ''
}

/** A column is something else now: whatever had that part before loses it, and so does what the column was. */
export function withRole(mapping: Mapping, column: number, role: Role, unit: string): Mapping {
  const { time, day, values, ...rest } = mapping
  const kept = Object.fromEntries(
    Object.entries(values).filter(([name, one]) => one.column !== column && name !== role),
  )
  const isReading = !['', 'time', 'day'].includes(role)
  return {
    ...rest,
    ...(role === 'time' ? { time: column } : time !== undefined && time !== column ? { time } : {}),
    ...(role === 'day' ? { day: column } : day !== undefined && day !== column ? { day } : {}),
    values: isReading ? { ...kept, [role]: { column, unit } } : kept,
  }
}

/** Whether enough is said for it to be read. */
export function isWhole(mapping: Mapping, readings: FieldView[]): boolean {
  return (
    mapping.time !== undefined &&
    mapping.form !== '' &&
    (mapping.form !== 'elapsed' || (mapping.unit ?? '') !== '') &&
    (!HAS_DAY.includes(mapping.form) || mapping.zone !== '') &&
    readings.every((field) => (mapping.values[field.name]?.unit ?? '') !== '')
  )
}

/** A remembered mapping fits a file that is as wide, and asks for nothing else. */
export function fitsFile(mapping: Mapping, top: string[][], readings: FieldView[]): boolean {
  const width = Math.max(0, ...top.map((row) => row.length))
  return (
    isWhole(mapping, readings) &&
    [mapping.time ?? 0, mapping.day ?? 0, ...Object.values(mapping.values).map((one) => one.column)].every(
      (column) => column < width,
    )
  )
}

/** The readings of a file stand in the rows of a list, in place of what stood there. */
export function fill(
  draft: Draft,
  list: FieldView,
  points: LoggerRead['points'],
  mapping: Mapping,
  path = list.name,
): void {
  for (const place of Object.keys(draft.values)) if (place.startsWith(`${path}.`)) delete draft.values[place]
  draft.rows[path] = points.map((_, i) => `+${i + 1}`)
  points.forEach((point, i) => set(draft, list.fields, `${path}.+${i + 1}`, point, mapping))
}

/** One reading of a file stands in one place. */
export function set(
  draft: Draft,
  fields: FieldView[],
  at: string,
  point: LoggerRead['points'][number],
  mapping: Mapping,
): void {
  const values = point.values as Record<string, number>
  for (const field of fields) {
    if (field.name === 'minutes') draft.values[`${at}.minutes`] = { text: String(point.minutes), unit: 'min' }
    else if (field.name === 'at') draft.values[`${at}.at`] = String(point.at)
    else if (field.name in values)
      draft.values[`${at}.${field.name}`] = {
        text: String(values[field.name]),
        unit: mapping.values[field.name]?.unit ?? '',
      }
  }
}

/** Points of the whole file as a line in a box, 0 to 1 each way, by decades where all is above nothing. */
export function line(points: number[][]): string {
  const xs = points.map((p) => p[0] ?? 0)
  const positive = points.every((p) => (p[1] ?? 0) > 0)
  const ys = points.map((p) => (positive ? Math.log10(p[1] ?? 1) : (p[1] ?? 0)))
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const scaled = (value: number, from: number, to: number) =>
    to === from ? 0.5 : (value - from) / (to - from)
  return points
    .map((_, i) => `${scaled(xs[i] ?? 0, x0, x1).toFixed(4)},${(1 - scaled(ys[i] ?? 0, y0, y1)).toFixed(4)}`)
    .join(' ')
}
