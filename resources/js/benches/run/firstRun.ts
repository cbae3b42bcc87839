/** One start of one thing, as it is told: what the record has of it, or what was pressed on this device. */
export type Start = {
  name: string
  kind: string
  drive?: string
  plate_amps?: unknown
  started?: string
  stopped?: string
  seen?: string
  seen_at?: string
  [figure: string]: unknown
}
export type Place = 'good' | 'bad' | 'running' | 'look' | 'next' | 'held'
/** One thing that is started on the first run: where it stands, and how long it rests before it may start again, ms. */
export type Thing = { name: string; kind: string; start: Start; place: Place; may: boolean; rest: number }
/** A timer of the unit that runs right now. */
export type Timer = { what: string; minutes: number; left: number }

const COMPRESSORS = ['scroll', 'screw', 'reciprocating']
const MINUTE = 60_000
/** What was left running days ago is switched off elsewhere. */
const LONG = 12 * 60 * MINUTE
export const isCompressor = (one: { kind: string }): boolean => COMPRESSORS.includes(one.kind)
/** What is read before the button, and while it runs. */
export const BEFORE = ['suction_before', 'discharge_before']
export const WHILE = ['suction_after', 'discharge_after', 'amps', 'noise']
/** A compressor is read by its gauges too; anything else only by its amps. */
export const asks = (thing: Thing, name: string): boolean => isCompressor(thing) || name === 'amps'
/** The cell of one reading of one thing. */
export const cellOf = (thing: Thing, name: string): string => `${thing.name.replaceAll('.', ' ')}.${name}`

const keyOf = (start: Start): string => `${start.name}\n${start.started ?? ''}`
const msOf = (moment: string | undefined): number | undefined =>
  moment === undefined ? undefined : new Date(moment).getTime()

/** What the record knows, with what was pressed here and is still on the way. */
export function startsOf(known: Start[], mine: Start[]): Start[] {
  const own = new Map(mine.map((one) => [keyOf(one), one]))
  const begun = known.filter((one) => one.started !== undefined).map((one) => own.get(keyOf(one)) ?? one)
  const there = new Set(begun.map(keyOf))
  const added = mine.filter((one) => !there.has(keyOf(one)))
  const names = new Set([...begun, ...added].map((one) => one.name))
  return [...begun, ...added, ...known.filter((one) => one.started === undefined && !names.has(one.name))]
}

/** What was pressed here and the record does not say yet. */
export function stillMine(known: Start[], mine: Start[]): Start[] {
  const told = new Map(known.map((one) => [keyOf(one), one]))
  return mine.filter((one) => {
    const there = told.get(keyOf(one))
    return there === undefined || there.seen !== one.seen || there.stopped !== one.stopped
  })
}

/** Each thing in the order of the work: nothing is started before what stands ahead of it was seen right. */
export function thingsOf(starts: Start[], now: number, rest: number): Thing[] {
  const names = [...new Set(starts.map((one) => one.name))]
  let ahead = true
  return names.map((name) => {
    const own = starts.filter((one) => one.name === name)
    const start = own[own.length - 1] as Start
    const stopped = msOf(start.stopped)
    const left = isCompressor(start) && stopped !== undefined ? Math.max(0, stopped + rest - now) : 0
    const place = placeOf(start, ahead)
    const may = ahead && left === 0 && (place === 'next' || (stopped !== undefined && place !== 'good'))
    ahead = ahead && place === 'good'
    return { name, kind: start.kind, start, place, may, rest: left }
  })
}

function placeOf(start: Start, ahead: boolean): Place {
  if (start.started === undefined) return ahead ? 'next' : 'held'
  if (start.seen === 'good') return 'good'
  if (start.seen === 'bad') return 'bad'
  return start.stopped === undefined ? 'running' : 'look'
}

/** Whether it is on, as far as this run can know. */
export function isOn(thing: Thing, now: number): boolean {
  const { started, stopped } = thing.start
  return started !== undefined && stopped === undefined && now - new Date(started).getTime() < LONG
}

/** The thing one is at: what runs and was not seen yet; else the first that is not right. */
export const atHand = (things: Thing[]): Thing | undefined =>
  things.find((one) => one.place === 'running') ?? things.find((one) => one.place !== 'good')

/** What the large clock shows: up since the button, down to the next start, or nothing. */
export function countOf(
  thing: Thing | undefined,
  now: number,
): { is: 'runs' | 'rests' | 'still'; ms: number } {
  const started = msOf(thing?.start.started)
  if (thing?.place === 'running' && started !== undefined)
    return { is: 'runs', ms: Math.max(0, now - started) }
  return thing !== undefined && thing.rest > 0 ? { is: 'rests', ms: thing.rest } : { is: 'still', ms: 0 }
}

/** The unit's own timers that hold what is next: one that runs is no fault. */
export function timersOf(delays: { what: string; minutes: number }[], things: Thing[], now: number): Timer[] {
  const next = atHand(things)
  if (next === undefined || next.place === 'running' || !isCompressor(next)) return []
  const others = things.flatMap((one) =>
    one.name !== next.name && isCompressor(one) ? [msOf(one.start.started) ?? 0] : [],
  )
  const from = (what: string): number => {
    if (/\boff time\b/i.test(what)) return msOf(next.start.stopped) ?? 0
    return /\bstage\b/i.test(what) && next.place === 'next' ? Math.max(0, ...others) : 0
  }
  return delays.flatMap((one) => {
    const left = from(one.what) + one.minutes * MINUTE - now
    return left > 0 ? [{ ...one, left }] : []
  })
}

/** What was read of each mode, added up: air and its compressors, air and its heat. */
export function byMode(things: Thing[]): { mode: 'cool' | 'heat'; amps: number }[] {
  const sum = (of: (one: Thing) => boolean): number =>
    things
      .filter((one) => one.start.started !== undefined && of(one))
      .map((one) => amount(one.start.amps))
      .filter((one) => Number.isFinite(one))
      .reduce((total, one) => total + one, 0)
  const isAir = (one: Thing) => ['blower', 'pump'].includes(one.kind)
  const isHeat = (one: Thing) => one.kind === 'heat'
  return (['cool', 'heat'] as const).flatMap((mode) => {
    const own = mode === 'cool' ? isCompressor : isHeat
    const seen = things.filter(own)
    const isThere = seen.length > 0 && seen.every((one) => one.place === 'good')
    const amps = Math.round(10 * sum((one) => isAir(one) || own(one))) / 10
    return isThere && amps > 0 ? [{ mode, amps }] : []
  })
}

/** The figure of what goes to the server: `9.2 A`, or value and unit. */
export const amount = (value: unknown): number =>
  typeof value === 'object' && value !== null && 'value' in value
    ? Number((value as { value: unknown }).value)
    : Number.parseFloat(String(value ?? ''))

/** How far the two sides moved apart, in the unit they were read in; nothing where they were not read in one. */
export function apart(start: Start): string {
  const read = ['suction_before', 'suction_after', 'discharge_before', 'discharge_after'].map((name) =>
    /^(-?[\d.]+)\s*(\S+)$/.exec(String(start[name] ?? '')),
  )
  const units = new Set(read.map((one) => one?.[2]))
  if (read.includes(null) || units.size !== 1) return ''
  const [sb = 0, sa = 0, db = 0, da = 0] = read.map((one) => Number(one?.[1]))
  return `${Math.round(10 * (da - sa - (db - sb))) / 10} ${String([...units][0]).replace(/g$/, '')}`
}
