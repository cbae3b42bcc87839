import createClient from 'openapi-fetch'
import { wordsOf } from '@/lib/failure'
import { keep, kept } from '@/lib/keeping'
import type { components, paths } from './schema'

export type Schemas = components['schemas']
export type MachineView = Schemas['MachineView']
export type TapeEntry = Schemas['TapeEntry']
export type GateView = Schemas['GateView']
export type PutBackView = Schemas['PutBackView']
export type TodayView = Schemas['TodayView']
export type TodayMachine = Schemas['TodayMachine']
export type RecordView = Schemas['RecordView']
export type SessionView = Schemas['SessionView']
export type CheckView = Schemas['CheckView']
export type PutBackKindView = Schemas['PutBackKindView']
export type RecordedView = Schemas['RecordedView']
export type ClockView = Schemas['ClockView']
export type OpenItemView = Schemas['OpenItemView']
export type InstrumentView = Schemas['InstrumentView']
export type FieldView = Schemas['FieldView']
export type VerdictView = Schemas['VerdictView']
/** What somebody else wrote first. */
export type Theirs = { at: number; who: string; when: string; words: string }
export type ProblemView = Schemas['ProblemView'] & {
  theirs?: Theirs
  yours?: { words: string }
  whose?: { writer: string; signedIn: string }
}
export type Drawing =
  | {
      shape: 'scale'
      unit: string
      from: number
      decades: boolean
      value: number | null
      bands: { to: number; is: string }[]
    }
  | {
      shape: 'bars'
      unit: string
      limit: number | null
      bars: { name: string; value: number | null; is: string }[]
    }
  | {
      shape: 'column'
      parts: { name: string; value: number; text: string }[]
      filled: number
      is: string
      large?: { name: string; text: string }
    }
  | {
      shape: 'stairs'
      unit: string
      limit: number | null
      bars: { name: string; value: number; is: string }[]
    }
  | {
      shape: 'psychrometric'
      /** Across in °C, up in g of water for each kg of dry air. */
      lines_of: { humidity: number; points: [number, number][] }[]
      joined: boolean
      units: string
      spots: { name: string; x: number; y: number }[]
      /** The air around the coil, where there is one. */
      coil?: { at: string; name: string; text: string }[]
    }
  | {
      shape: 'tree'
      /** By step from the first outdoor unit and, in lines, from the top; figures in words. */
      nodes: {
        id: string
        kind: string
        x: number
        layer: number
        room?: string
        address?: string
        capacity?: string
        ports?: { port: number; is: string }[]
      }[]
      pipes: {
        from: string
        to: string
        length: string
        rise?: string
        liquid?: string
        gas?: string
        ports?: number[]
      }[]
      /** What of the sheet comes nearest to its limit, as a share of it, and along which nodes. */
      limits: { name: string; value: string; limit: string; share: number; is: string; path: string[] }[]
    }
  | {
      shape: 'wires'
      /** The terminal at either end, empty where the conductor is not seen. */
      circuits: { name: string; wires: { colour: string; near: string; far: string; is: string }[] }[]
    }
  | {
      shape: 'ladder'
      /** Temperatures in °C, shown in these units. */
      units: string
      rungs: { name: string; n: number; kind: string; on: number; off: number; busiest: number | null }[]
      setpoints: { cool: number; heat: number }
      economizer: number | null
      /** Hour, room and outdoors. */
      trace: [number, number, number][]
    }
  | {
      shape: 'ranking'
      /** What was read: how far off, in tolerances. */
      features: { name: string; value: number }[]
      /** The likeliest first; how far each feature speaks for it, -1 to 1. */
      causes: { name: string; value: number; speaks: (number | null)[] }[]
      limit: number
    }
  | {
      shape: 'legs'
      unit: string
      low: number | null
      high: number | null
      average: number | null
      legs: { name: string; value: number | null; is: string }[]
      ground: { name: string; value: number | null }[]
    }
  | {
      shape: 'curve'
      unit: string
      /** The unit of time. */
      across?: string
      /** On a logarithmic scale. */
      decades?: boolean
      points: [number, number][]
      lines: { name: string; value: number; is: string }[]
      from: number
      /** What was fitted to the points, carried on. */
      fit?: [number, number][]
      /** Where a reading may lie: time, from, to. */
      band?: [number, number, number][]
    }
  | {
      shape: 'dome'
      refrigerant: string
      /** Enthalpy (kJ/kg) and pressure (Pa, absolute) along both lines. */
      bubble: [number, number][]
      dew: [number, number][]
      low: number
      high: number
      /** Where `_off` is what the reading before it may be off by. */
      figures?: Partial<
        Record<
          'superheat' | 'superheat_off' | 'subcooling' | 'subcooling_off' | 'low' | 'high',
          { value: number; unit: string }
        >
      >
      /** Enthalpies from the dome's edge to the state beside it. */
      suction: { from: number; to: number }
      liquid: { from: number; to: number }
    }
  | {
      shape: 'scene'
      view: 'plan' | 'section'
      /** Measures in inches or millimetres, not in feet or metres. */
      small: boolean
      bodies: {
        id: string
        name: string
        points: [number, number][]
        is: string
        closed: boolean
        at: string
      }[]
      dims: {
        from: [number, number]
        to: [number, number]
        away: number
        value: number
        field: string
        is: string
        text: string
      }[]
      marks: { at: [number, number]; value: number; unit: string; is: string }[]
      handles: {
        body: string
        at: [number, number]
        x: string
        y: string
        value: { x: number; y: number }
        text: { x: string; y: string }
      }[]
    }
  | {
      shape: 'rotation'
      turns: 'forward' | 'reverse' | 'unknown'
      swap_supply: boolean
      swap_loads: string[]
    }
export type Verdict = VerdictView & { drawing?: Drawing }

/** Somebody else has signed in since this page was opened: of it, nothing is taken any more. */
export const OTHER_PERSON = '/problems/other-person'
const DEVICE_KEY = 'iron-start.device'

/** A name for this device, made once and kept. */
export function deviceId(): string {
  let id = kept(DEVICE_KEY)
  if (id === null) {
    id = newKey()
    keep(DEVICE_KEY, id)
  }
  return id
}

/** A key no other write has. */
export function newKey(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (b) => b.toString(16).padStart(2, '0')).join(
    '',
  )
}

let writer = 0

/** Whose the writes of this page are: who is signed in as this page knows it, whatever another page has done since. */
export function writesAs(person: number): void {
  writer = person
}

export function whose(): { 'X-Person': string } {
  return { 'X-Person': String(writer) }
}

/** What a write says of itself: its key, and whose it is. */
export function signed(): { 'Idempotency-Key': string; 'X-Person': string } {
  return { 'Idempotency-Key': newKey(), ...whose() }
}

/** What a write says of where it comes from: this device, and our own page. */
function fromHere(): Record<string, string> {
  return { 'X-Device': deviceId(), 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') }
}

/** Posts a body as it is, where the path is only known when it is sent. */
export async function posted<T>(
  path: string,
  body: Blob | string,
  headers: Record<string, string>,
  signal?: AbortSignal,
): Promise<{ data?: T; error?: unknown; response: Response }> {
  const response = await fetch(`/api/v1/${path}`, {
    method: 'POST',
    credentials: 'same-origin',
    signal: signal ?? null,
    headers: { Accept: 'application/json', ...fromHere(), ...headers },
    body,
  })
  const told: unknown = await response.json().catch(() => undefined)
  return response.ok ? { data: told as T, response } : { error: told, response }
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((part) => part.startsWith(`${name}=`))
  return found === undefined ? '' : decodeURIComponent(found.slice(name.length + 1))
}

export const api = createClient<paths>({
  baseUrl: location.origin,
  credentials: 'same-origin',
  fetch: (request) => globalThis.fetch(request),
})
api.use({
  onRequest({ request }) {
    request.headers.set('Accept', 'application/json')
    if (request.method !== 'GET') {
      const said = { ...fromHere(), ...whose(), 'X-Device-Time': new Date().toISOString() }
      for (const [name, value] of Object.entries(said)) request.headers.set(name, value)
    }
    return request
  },
})

/** Nothing came back: no signal, or the server is gone. */
export class Unreachable extends Error {}

/** The server said no, and why. */
export class Refused extends Error {
  constructor(readonly problem: ProblemView) {
    super(problem.detail)
  }
}

/** What was refused and why; anything else that failed, in its own words. */
export function problemOf(error: unknown): ProblemView {
  return error instanceof Refused ? error.problem : { type: '', title: '', status: 0, detail: wordsOf(error) }
}

/**
 * Waits for an answer and gives its body.
 * @throws Unreachable when nothing came back or the server is away
 * @throws Refused when the server said no
 */
export async function answer<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let result
  try {
    result = await call
  } catch {
    throw new Unreachable('No answer from the server.')
  }
  if (result.response.ok) return result.data as T
  const problem = result.error as ProblemView | undefined
  if (
    problem === undefined ||
    typeof problem.detail !== 'string' ||
    result.response.status === 503 ||
    result.response.status === 502
  ) {
    throw new Unreachable(problem?.detail ?? 'The server did not answer properly.')
  }
  if (problem.type === OTHER_PERSON)
    window.dispatchEvent(new CustomEvent(OTHER_PERSON, { detail: problem.whose?.signedIn ?? '' }))
  throw new Refused(problem)
}
