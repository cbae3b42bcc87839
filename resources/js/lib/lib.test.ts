// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Unreachable, type TapeEntry } from '@/api/client'
import { memoryStore, sturdyStore, useDeviceStore, type DeviceStore, type Waiting } from './deviceStore'
import { wordsOf } from './failure'
import { fits, remember, remembered } from './instruments'
import { forget, keep, keeping, kept } from './keeping'
import { lastSeen } from './lastSeen'
import { isApart, isClockOff } from './placing'
import { clock, date, day, left, longDate } from './time'

beforeEach(() => {
  localStorage.clear()
  keeping.fails = false
})
afterEach(() => vi.unstubAllGlobals())

describe('times as they are said', () => {
  it('tells today by the clock and another day by its date', () => {
    const now = new Date('2026-11-28T12:00:00')
    expect(day('2026-11-28T08:05:00', now)).toBe('')
    expect(day('2026-11-27T23:59:00', now)).toMatch(/^Fri,? 27 Nov$/)
    expect(clock('2026-11-28T08:05:00')).toBe('08:05')
    expect(longDate('2026-11-28T08:05:00')).toMatch(/^Saturday,? 28 November 2026$/)
  })

  it('keeps a plain date the same in every zone', () => {
    expect(date('2026-03-01')).toBe('1 Mar 2026')
    expect(date('2026-12-31')).toBe('31 Dec 2026')
  })

  it.each([
    [0, '0:00'],
    [-5000, '0:00'],
    [1, '0:01'],
    [59_000, '0:59'],
    [60_000, '1:00'],
    [3_599_000, '59:59'],
    [3_600_000, '1 h 00'],
    [5_400_000, '1 h 30'],
    [172_799_000, '47 h 59'],
    [172_800_000, '2 d'],
    [259_199_000, '2 d'],
  ])('says %i ms as %s', (ms, words) => {
    expect(left(ms)).toBe(words)
  })
})

describe('a clock that was off', () => {
  const entry = (correctionMs: number, late = 0) =>
    ({
      correctionMs,
      placedAt: '2026-11-28T08:00:00Z',
      recordedAt: new Date(Date.parse('2026-11-28T08:00:00Z') + late).toISOString(),
    }) as unknown as TapeEntry

  it('is told from a minute on, either way', () => {
    expect([60_000, -60_000].map((ms) => isClockOff(entry(ms)))).toEqual([false, false])
    expect([60_001, -60_001].map((ms) => isClockOff(entry(ms)))).toEqual([true, true])
  })

  it('is told apart from what only came late', () => {
    expect(isClockOff(entry(0, 3_600_000))).toBe(false)
    expect(isApart(entry(0, 3_600_000))).toBe(true)
    expect(isApart(entry(0, 60_000))).toBe(false)
    expect(isApart(entry(90_000))).toBe(true)
  })
})

describe('small things a device keeps', () => {
  it('keeps, gives back and forgets by name', () => {
    keep('a', '1')
    expect([kept('a'), kept('b')]).toEqual(['1', null])
    forget('a')
    expect(kept('a')).toBeNull()
    expect(keeping.fails).toBe(false)
  })

  it('holds in memory what the browser will not keep, and says so', () => {
    const full = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    vi.stubGlobal('localStorage', { setItem: full, getItem: full, removeItem: full })
    expect(kept('never')).toBeNull()
    keep('a', '1')
    expect(kept('a')).toBe('1')
    expect(keeping.fails).toBe(true)
    forget('a')
    expect(kept('a')).toBeNull()
  })

  it('is read from where it was kept last', () => {
    vi.stubGlobal('localStorage', {
      setItem: () => {
        throw new Error('no')
      },
      getItem: () => 'old',
      removeItem: () => undefined,
    })
    keep('a', 'new')
    expect(kept('a')).toBe('new')
  })
})

describe('what a failure says', () => {
  it('says its words, whatever was thrown', () => {
    expect(wordsOf(new Error('No signal.'))).toBe('No signal.')
    expect(wordsOf('plain')).toBe('plain')
    expect(wordsOf(404)).toBe('404')
  })
})

describe('instruments', () => {
  it.each([
    ['rotation_meter', 'Phase rotation meter', true],
    ['clamp_meter', 'Clamp meter 2', true],
    ['megohmmeter', 'Insulation tester', true],
    ['micron_gauge', 'Vacuum gauge', true],
    ['scale', 'Charging scale', true],
    ['manometer', 'Manometer', true],
    ['voltmeter', 'Charging scale', false],
    ['scale', 'Clamp meter 2', false],
    ['ladder', 'Ladder', false],
  ])('%s is read with "%s": %s', (kind, called, fit) => {
    expect(fits(kind, called)).toBe(fit)
  })

  it('comes to hand again where it was used last', () => {
    expect(remembered('scale')).toBeUndefined()
    remember('scale', 7)
    expect([remembered('scale'), remembered('voltmeter')]).toEqual([7, undefined])
    remember('scale', undefined)
    expect(remembered('scale')).toBeUndefined()
  })
})

const waiting = (key: string): Omit<Waiting, 'id'> => ({
  key,
  person: 1,
  who: 'Mina',
  machine: 1,
  machineName: 'RTU-1',
  path: 'notes',
  label: 'Note',
  words: 'x',
  deviceAt: '2026-11-28T08:00:00Z',
})
/** A browser that lets nothing be kept. */
const broken = (): DeviceStore =>
  new Proxy({} as DeviceStore, {
    get: () => async () => {
      throw new DOMException('no room', 'QuotaExceededError')
    },
  })

describe.each([
  ['in memory', () => memoryStore()],
  ['in a shelf that works', () => sturdyStore(memoryStore())],
  ['where nothing can be kept', () => sturdyStore(broken())],
])('what waits %s', (_, store) => {
  it('stays in its order until it is dropped', async () => {
    const held = store()
    const [one, two] = [await held.add(waiting('a')), await held.add(waiting('b'))]
    expect((await held.all()).map((item) => [item.id, item.key])).toEqual([
      [one, 'a'],
      [two, 'b'],
    ])
    await held.put({ ...waiting('b'), id: two, fails: 3 })
    expect((await held.all())[1]?.fails).toBe(3)
    await held.drop(one)
    expect((await held.all()).map((item) => item.key)).toEqual(['b'])
  })

  it('knows where a write that arrived stands', async () => {
    const held = store()
    await held.arrived('a', 42)
    expect([await held.placeOf('a'), await held.placeOf('b')]).toEqual([42, undefined])
  })

  it('keeps pages, and forgets those of one person only', async () => {
    const held = store()
    await held.keepPage('1.today', { jobs: [1] })
    await held.keepPage('1.machine.4', { name: 'RTU-1' })
    await held.keepPage('12.today', { jobs: [2] })
    await held.forgetPages('1.')
    expect([await held.page('1.today'), await held.page('1.machine.4'), await held.page('12.today')]).toEqual(
      [undefined, undefined, { jobs: [2] }],
    )
  })

  it('keeps a copy: what is changed afterwards is not what was seen', async () => {
    const held = store()
    const page = { jobs: [1] }
    await held.keepPage('1.today', page)
    page.jobs.push(2)
    expect(await held.page('1.today')).toEqual({ jobs: [1] })
  })
})

describe('a shelf that fails', () => {
  it('says so, and tells what lies in memory by an id below 0', async () => {
    const held = sturdyStore(broken())
    expect(await held.add(waiting('a'))).toBe(-1)
    expect(keeping.fails).toBe(true)
  })
})

describe('a page without signal', () => {
  beforeEach(() => useDeviceStore(memoryStore()))

  it('is the one this person saw last', async () => {
    expect(await lastSeen(1, 'today', Promise.resolve({ jobs: 2 }))).toEqual({ jobs: 2 })
    expect(await lastSeen(1, 'today', Promise.reject(new Unreachable('no signal')))).toEqual({ jobs: 2 })
    await expect(lastSeen(2, 'today', Promise.reject(new Unreachable('no signal')))).rejects.toThrow(
      'no signal',
    )
  })

  it('is not an old one where the server said no', async () => {
    await lastSeen(1, 'today', Promise.resolve({ jobs: 2 }))
    await expect(lastSeen(1, 'today', Promise.reject(new Error('not yours')))).rejects.toThrow('not yours')
  })
})
