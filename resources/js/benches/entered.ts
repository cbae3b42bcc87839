import type { CheckView, FieldView } from '@/api/client'
import { fromWire, toWire, type Typed } from '@/lib/reading'

/** What stands in one control. */
export type Entered = Typed | string | number | boolean | undefined

/** What is typed on a bench: by field, members of a table as `loads.C1.amps`; and the rows added by hand. */
export type Draft = {
  /** Which compressor or circuit it is about. */
  about?: string
  values: Record<string, Entered>
  rows: Record<string, string[]>
  /** The sheet's figures stand open, to be typed over. */
  otherPlate: boolean
}

export const freshDraft = (): Draft => ({ values: {}, rows: {}, otherPlate: false })

type Input = Record<string, unknown>

/** The member that names an item of a list. */
export const keyOf = (field: FieldView): string => (field.fields.some((f) => f.name === 'id') ? 'id' : 'name')

export const isTyped = (value: Entered): boolean =>
  typeof value === 'object'
    ? value.text.trim() !== '' || value.flag === true
    : value !== undefined && value !== ''

export const isPristine = (draft: Draft): boolean => !Object.values(draft.values).some(isTyped)

/** What goes to the server for one field; undefined for nothing. */
export function wireOf(field: FieldView, entered: Entered): unknown {
  if (!isTyped(entered) || entered === undefined) return undefined
  if (typeof entered === 'object') {
    if (entered.flag === true) return { [field.orFlag]: true }
    if (field.type === 'quantity') return toWire(entered)
    const text = entered.text.trim()
    return Number.isFinite(Number(text)) ? Number(text) : text
  }
  if (typeof entered !== 'string') return entered
  const text = entered.trim()
  return field.type === 'texts' || field.type === 'numbers' ? text.split(/\s*[,;]\s*/).filter(Boolean) : text
}

/** What stands in the control for a value of an input. */
export function enteredOf(field: FieldView, value: unknown): Entered {
  if (field.type === 'quantity') {
    if (typeof value === 'object' && value !== null && field.orFlag !== '' && field.orFlag in value)
      return { text: '', unit: '', flag: true }
    return fromWire(value)
  }
  if (field.type === 'number' || field.type === 'count')
    return value === undefined || value === null ? undefined : { text: String(value), unit: '' }
  if (Array.isArray(value)) return value.map(String).join(', ')
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
    ? value
    : undefined
}

const items = (value: unknown): Input[] => (Array.isArray(value) ? (value as Input[]) : [])

/** The keys of a table's rows: those the sheet and the record know, those of a walked list, those added by hand. */
export function keysOf(check: CheckView, field: FieldView, prefill: Input, draft: Draft): string[] {
  const known = items(prefill[field.name]).map((item) => String(item[keyOf(field)]))
  const listed = keyOf(field) === 'id' ? check.items.map((item) => item.id) : []
  return [...known, ...listed, ...(draft.rows[field.name] ?? [])]
}

const isAdded = (key: string): boolean => key.startsWith('+')

/** What goes to the server: what is known, and over it what was typed. */
export function inputOf(check: CheckView, prefill: Input, draft: Draft, fixed: Input = {}): Input {
  const input: Input = { ...prefill }
  for (const field of check.fields) {
    if (field.brought) continue
    if (field.type !== 'items') {
      const value = wireOf(field, draft.values[field.name])
      if (value !== undefined) input[field.name] = value
      continue
    }
    const list = keysOf(check, field, prefill, draft).flatMap((key) => {
      const known = items(prefill[field.name]).find((item) => String(item[keyOf(field)]) === key)
      const typed: Input = {}
      for (const member of field.fields) {
        const value = member.brought
          ? undefined
          : wireOf(member, draft.values[`${field.name}.${key}.${member.name}`])
        if (value !== undefined) typed[member.name] = value
      }
      if (known === undefined && Object.keys(typed).length === 0) return []
      return [{ ...known, ...(isAdded(key) ? {} : { [keyOf(field)]: key }), ...typed }]
    })
    if (list.length > 0) input[field.name] = list
  }
  return { ...input, ...fixed }
}

/** The place of a row among those that are sent, as the server names it; -1 when it is not sent. */
export function sentAt(input: Input, field: FieldView, key: string, draft: Draft): number {
  const name = isAdded(key) ? draft.values[`${field.name}.${key}.${keyOf(field)}`] : key
  return items(input[field.name]).findIndex((item) => item[keyOf(field)] === name)
}

/** A recorded input as a draft again, to be corrected. */
export function draftOf(check: CheckView, prefill: Input, input: Input): Draft {
  const draft = freshDraft()
  for (const field of check.fields) {
    if (field.brought) continue
    if (field.type !== 'items') {
      if (JSON.stringify(input[field.name]) !== JSON.stringify(prefill[field.name]))
        draft.values[field.name] = enteredOf(field, input[field.name])
      continue
    }
    const known = keysOf(check, field, prefill, draft)
    items(input[field.name]).forEach((item, i) => {
      const own = String(item[keyOf(field)])
      const key = known.includes(own) ? own : `+${i + 1}`
      if (key !== own) (draft.rows[field.name] ??= []).push(key)
      const before = items(prefill[field.name]).find((one) => String(one[keyOf(field)]) === own)
      for (const member of field.fields) {
        const isKey = member.name === keyOf(field) && key === own
        const isKnown = JSON.stringify(item[member.name]) === JSON.stringify(before?.[member.name])
        if (!isKey && !member.brought && (before === undefined || !isKnown))
          draft.values[`${field.name}.${key}.${member.name}`] = enteredOf(member, item[member.name])
      }
    })
  }
  return draft
}

/** Figures pasted at once fill this control and those after it. */
export function fillFrom(draft: Draft, series: string[], from: string, pasted: string[], unit: string): void {
  const start = series.indexOf(from)
  pasted.forEach((text, i) => {
    const at = series[start + i]
    const before = at === undefined ? undefined : draft.values[at]
    if (at !== undefined)
      draft.values[at] = { text, unit: typeof before === 'object' && before.unit !== '' ? before.unit : unit }
  })
}
