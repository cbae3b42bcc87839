import type { CheckView, FieldView } from '@/api/client'
import { fromWire, settingText, settingWire, toWire, type Typed } from '@/lib/reading'
import { localSecond } from './rows/taking'

/** What stands in one control. */
export type Entered = Typed | string | number | boolean | undefined

/**
 * What is typed on a bench: by field, members of an object as `curb_outside.length`, of a table as `loads.C1.amps`; and
 * the rows added by hand.
 */
export type Draft = {
  /** Which compressor or circuit it is about. */
  about?: string
  /** Which part of it, where it is tried one by one. */
  section?: string
  values: Record<string, Entered>
  rows: Record<string, string[]>
  /** The file its readings come from. */
  source?: string
  /** When the first reading of a series was taken, by the list and what it is about. */
  began?: Record<string, string>
  /** The sheet's figures stand open, to be typed over. */
  otherPlate: boolean
}

/** A list of nothing, told as such. */
export const NONE: Typed = { text: '', unit: '', flag: true }

export const freshDraft = (): Draft => ({ values: {}, rows: {}, otherPlate: false })

export type Input = Record<string, unknown>
/** Whether a member is asked of an item as it stands; what isn't is not sent. */
export type Applies = (list: string, item: Input, member: string) => boolean

/** The member that names an item of a list; none where items go by their place. */
export const keyOf = (field: FieldView): string =>
  ['id', 'name', 'call', 'called', 'step'].find((key) =>
    field.fields.some((f) => f.name === key && f.need === 'structural'),
  ) ?? ''

export const isTyped = (value: Entered): boolean =>
  typeof value === 'object'
    ? value.text.trim() !== '' || value.flag === true
    : value !== undefined && value !== ''

export const isPristine = (draft: Draft): boolean => !Object.values(draft.values).some(isTyped)

/** The fields of a check with the members of its objects, each by its path; an object stands before its members. */
export function leavesOf(fields: FieldView[], prefix = ''): { path: string; field: FieldView }[] {
  return fields.flatMap((field) => [
    { path: prefix + field.name, field },
    ...(field.type === 'group' ? leavesOf(field.fields, `${prefix}${field.name}.`) : []),
  ])
}

/** Every table of a check by its path, those within its objects too. */
export function listsOf(check: CheckView): { path: string; field: FieldView }[] {
  return leavesOf(check.fields).filter(({ field }) => field.type === 'items' && !field.brought)
}

/** What stands at a path of an input, items by their name. */
export function valueAt(input: unknown, path: string): unknown {
  let at: unknown = input
  for (const part of path.split('.')) {
    if (typeof at !== 'object' || at === null) return undefined
    at = Array.isArray(at)
      ? at.find((item: Input, i) =>
          [item.id, item.name, item.call, item.called, item.step, String(i)].includes(part),
        )
      : (at as Input)[part]
  }
  return at
}

/** What goes to the server for one field; undefined for nothing. Flags within a row are pressed like words. */
export function wireOf(field: FieldView, entered: Entered): unknown {
  if (!isTyped(entered) || entered === undefined) return undefined
  if (field.type === 'group') {
    const pressed = typeof entered === 'string' ? entered.split(', ') : []
    return Object.fromEntries(field.fields.map((flag) => [flag.name, pressed.includes(flag.name)]))
  }
  if (typeof entered === 'object') {
    if (entered.flag === true) return field.orFlag === '' ? [] : { [field.orFlag]: true }
    if (field.type === 'quantity') return toWire(entered)
    const text = entered.text.trim()
    return Number.isFinite(Number(text)) ? Number(text) : text
  }
  if (typeof entered !== 'string') return entered
  const text = entered.trim()
  if (field.type === 'items') return pairsOf(field, text)
  if (field.type === 'count' && /^\d+$/.test(text)) return Number(text)
  if (field.type === 'raw') return settingWire(text, field.name === 'tolerance')
  if (!['texts', 'numbers', 'words'].includes(field.type)) return text
  const parts = text.split(/\s*[,;]\s*/).filter(Boolean)
  const isBare = field.type === 'numbers' && field.kind === ''
  if (isBare) return parts.map((one) => (Number.isFinite(Number(one)) ? Number(one) : one))
  // Amps are amps where nothing else is meant.
  const isOne = field.type === 'numbers' && field.starts !== null && field.starts.us === field.starts.si
  const unit = isOne ? ` ${field.starts?.us}` : ''
  return parts.map((one) => (/^[\d.]+$/.test(one) ? `${one}${unit}` : one))
}

/** A short list within a row is typed in one box: "S1 red, S2 black" is two of them, the first word the first member. */
function pairsOf(field: FieldView, text: string): Input[] {
  const [first, second] = field.fields
  return text
    .split(/\s*[,;]\s*/)
    .filter(Boolean)
    .map((one) => {
      const [head = '', ...rest] = one.split(/\s+/)
      return { [first?.name ?? '']: head, [second?.name ?? '']: rest.join(' ') }
    })
}
const pairsText = (field: FieldView, items: Input[]): string =>
  items.map((one) => field.fields.map((member) => String(one[member.name] ?? '')).join(' ')).join(', ')

/** What stands in the control for a value of an input. */
export function enteredOf(field: FieldView, value: unknown): Entered {
  if (field.type === 'quantity') {
    if (typeof value === 'object' && value !== null && field.orFlag !== '' && field.orFlag in value)
      return { text: '', unit: '', flag: true }
    return field.options.length > 0 && typeof value === 'string' ? value : fromWire(value)
  }
  if (field.type === 'number' || field.type === 'count')
    return value === undefined || value === null ? undefined : { text: String(value), unit: '' }
  if (field.type === 'raw') return settingText(value)
  if (field.type === 'group') {
    const flags = object(value)
    const pressed = field.fields.map((flag) => flag.name).filter((name) => flags?.[name] === true)
    return flags === undefined ? undefined : pressed.length === 0 ? NONE : pressed.join(', ')
  }
  if (field.type === 'items' && Array.isArray(value)) return pairsText(field, value as Input[])
  if (Array.isArray(value)) return value.length === 0 && field.orNone ? NONE : value.map(String).join(', ')
  return typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean'
    ? value
    : undefined
}

const items = (value: unknown): Input[] => (Array.isArray(value) ? (value as Input[]) : [])
const object = (value: unknown): Input | undefined =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Input) : undefined
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/**
 * What the record brings of a list whose items go by their place, such as the readings of a decay that is not read to
 * its end, stands there as rows; so does what the sheet only names to be read, such as the diodes of a bridge. What the
 * sheet says whole stands as it is until one is typed.
 */
const isCarried = (field: FieldView, path: string): boolean =>
  keyOf(field) === '' &&
  !path.includes('.') &&
  (!field.sheet || field.fields.some((member) => member.need === 'needed' && !member.sheet))
/** A row that was carried on and is left out now. */
const isLeftOut = (draft: Draft, path: string, key: string): boolean =>
  draft.values[`${path}.${key}`] === false

/** The keys of a table's rows: those the sheet and the record know, those of a walked list, those added by hand. */
export function keysOf(
  check: CheckView,
  field: FieldView,
  prefill: Input,
  draft: Draft,
  path = field.name,
): string[] {
  const key = keyOf(field)
  const before = items(valueAt(prefill, path))
  const carried = isCarried(field, path) ? before.map((_, i) => String(i)) : []
  const known =
    key === ''
      ? carried.filter((one) => !isLeftOut(draft, path, one))
      : before.map((item) => String(item[key])).filter((one) => !isLeftOut(draft, path, one))
  const listed = key === 'id' ? check.items.map((item) => item.id) : []
  return [...new Set([...known, ...listed, ...(draft.rows[path] ?? [])])]
}

export const isAdded = (key: string): boolean => key.startsWith('+')

/** A row goes with all that was typed in it; one that was recorded is left out. */
export function dropRow(draft: Draft, list: string, key: string): void {
  draft.rows[list] = (draft.rows[list] ?? []).filter((one) => one !== key)
  for (const place of Object.keys(draft.values))
    if (place.startsWith(`${list}.${key}.`)) delete draft.values[place]
  if (!isAdded(key)) draft.values[`${list}.${key}`] = false
}

/** The rows of a table that are sent, in their order: those that are known and those in which something stands. */
function rowsOf(
  check: CheckView,
  field: FieldView,
  prefill: Input,
  draft: Draft,
  applies: Applies,
  path = field.name,
): { key: string; item: Input }[] {
  const name = keyOf(field)
  return keysOf(check, field, prefill, draft, path).flatMap((key) => {
    const before = items(valueAt(prefill, path))
    const carried = isAdded(key) ? undefined : before[Number(key)]
    const known = name === '' ? carried : before.find((one) => String(one[name]) === key)
    const typed: Input = {}
    for (const member of field.fields) {
      const at = `${path}.${key}.${member.name}`
      const each = member.type === 'raw' ? eachOf(draft, at, object(known?.[member.name])) : undefined
      const value = member.brought ? undefined : (each ?? wireOf(member, draft.values[at]))
      if (value !== undefined) typed[member.name] = value
    }
    if (known === undefined && Object.keys(typed).length === 0) return []
    const item = { ...known, ...(isAdded(key) || name === '' ? {} : { [name]: key }), ...typed }
    const asked = Object.entries(item).filter(([member]) => applies(path, item, member))
    return [{ key, item: Object.fromEntries(asked) }]
  })
}

/** A figure for each of some names, such as the coils of a call: what is known, and over it what was typed. */
function eachOf(draft: Draft, at: string, known: Input | undefined): Input | undefined {
  const typed = Object.entries(draft.values).flatMap(([place, value]) =>
    place.startsWith(`${at}.`) && typeof value === 'object'
      ? [[place.slice(at.length + 1), value.text.trim() === '' ? undefined : toWire(value)] as const]
      : [],
  )
  if (typed.length === 0) return undefined
  const all = Object.entries({ ...known, ...Object.fromEntries(typed) }).filter(
    ([, value]) => value !== undefined,
  )
  return all.length === 0 ? undefined : Object.fromEntries(all)
}

/** An object of which the sheet knows something is there for whom chooses it, and not before. */
export const isOffered = (field: FieldView): boolean =>
  field.need === 'optional' && !field.sheet && field.fields.some((one) => one.sheet)

/** The members of an object: what is known, and over it what was typed. */
function objectOf(fields: FieldView[], known: Input, draft: Draft, prefix: string): Input {
  const input: Input = { ...known }
  for (const field of fields) {
    if (field.now) input[field.name] = localSecond(new Date())
    if (field.brought || field.now || field.type === 'items') continue
    const path = prefix + field.name
    if (field.type !== 'group') {
      const value = wireOf(field, draft.values[path])
      if (value !== undefined) input[field.name] = value
      continue
    }
    const before = object(known[field.name])
    const inner = objectOf(field.fields, before ?? {}, draft, `${path}.`)
    delete input[field.name]
    // An object may say something by being there, such as an adapter at hand.
    const own = isOffered(field) ? objectOf(field.fields, {}, draft, `${path}.`) : inner
    const isKnown = before !== undefined && !isOffered(field)
    const isThere = draft.values[path] === true || isKnown || Object.keys(own).length > 0
    if (draft.values[path] !== false && isThere) input[field.name] = inner
  }
  return input
}

/** Puts a list where its path says, in objects that are made for it. */
function put(input: Input, path: string, list: Input[]): void {
  const parts = path.split('.')
  const last = parts.pop() ?? ''
  let at = input
  for (const part of parts) at = at[part] = { ...object(at[part]) }
  at[last] = list
}

/** What goes to the server: what is known, and over it what was typed. */
export function inputOf(
  check: CheckView,
  prefill: Input,
  draft: Draft,
  fixed: Input = {},
  applies: Applies = () => true,
): Input {
  const input = objectOf(check.fields, prefill, draft, '')
  for (const { path, field } of listsOf(check)) {
    const list = rowsOf(check, field, prefill, draft, applies, path).map((row) => row.item)
    // A list whose items go by their place stands as it is known until one is typed.
    if (list.length > 0 || (field.orNone && isTyped(draft.values[path]))) put(input, path, list)
  }
  return { ...input, ...fixed }
}

/** The place of a row among those that are sent, as the server names it; -1 when it is not sent. */
export function sentAt(
  check: CheckView,
  field: FieldView,
  prefill: Input,
  key: string,
  draft: Draft,
  path = field.name,
): number {
  return rowsOf(check, field, prefill, draft, () => true, path).findIndex((row) => row.key === key)
}

/** What stands in the controls of one member: of an object of figures each of them has its own. */
function enteredAt(member: FieldView, at: string, value: unknown): [string, Entered][] {
  const each = member.type === 'raw' ? object(value) : undefined
  return each === undefined
    ? [[at, enteredOf(member, value)]]
    : Object.entries(each).map(([name, one]) => [`${at}.${name}`, fromWire(one)])
}

/** A recorded input as a draft again, to be corrected. */
export function draftOf(check: CheckView, prefill: Input, input: Input): Draft {
  const draft = freshDraft()
  for (const { path, field } of leavesOf(check.fields)) {
    if (field.brought) continue
    const [now, before] = [valueAt(input, path), valueAt(prefill, path)]
    if (field.type === 'group') {
      if (object(now) !== undefined && object(before) === undefined) draft.values[path] = true
    } else if (field.type !== 'items' && !same(now, before)) draft.values[path] = enteredOf(field, now)
  }
  for (const { path, field } of listsOf(check)) {
    const name = keyOf(field)
    const known = keysOf(check, field, prefill, draft, path)
    items(valueAt(input, path)).forEach((item, i) => {
      const own = name === '' ? String(i) : String(item[name])
      // What goes by one of a few words has its row by that word.
      const isWord = field.fields.some((member) => member.name === name && member.type === 'word')
      const key = known.includes(own) || isWord ? own : `+${i + 1}`
      if (!known.includes(own)) (draft.rows[path] ??= []).push(key)
      const all = items(valueAt(prefill, path))
      const before =
        name === '' ? all[known.includes(own) ? i : -1] : all.find((one) => String(one[name]) === own)
      for (const member of field.fields) {
        const isKey = member.name === name && key === own
        const isKnown = same(item[member.name], before?.[member.name])
        if (!isKey && !member.brought && (before === undefined || !isKnown))
          for (const [place, value] of enteredAt(member, `${path}.${key}.${member.name}`, item[member.name]))
            draft.values[place] = value
      }
    })
    // More was carried on since than stood in it.
    const count = items(valueAt(input, path)).length
    if (field.orNone && count === 0 && valueAt(input, path) !== undefined) draft.values[path] = NONE
    if (name === '') for (const key of known.slice(count)) draft.values[`${path}.${key}`] = false
  }
  return draft
}

/** Figures pasted at once fill this control and those after it, each in the unit that stands there or is usual there. */
export function fillFrom(
  draft: Draft,
  series: string[],
  from: string,
  pasted: string[],
  unitAt: (at: string) => string,
): void {
  const start = series.indexOf(from)
  pasted.forEach((text, i) => {
    const at = series[start + i]
    const before = at === undefined ? undefined : draft.values[at]
    if (at !== undefined)
      draft.values[at] = {
        text,
        unit: typeof before === 'object' && before.unit !== '' ? before.unit : unitAt(at),
      }
  })
}
