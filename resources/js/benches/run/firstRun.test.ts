import { describe, expect, it } from 'vitest'
import {
  apart,
  atHand,
  countOf,
  startsOf,
  stillMine,
  thingsOf,
  timersOf,
  byMode,
  type Start,
} from './firstRun'

const at = (time: string) => `2026-03-02T${time}`
const ms = (time: string) => new Date(at(time)).getTime()
const REST = 3 * 60_000
const blower: Start = { name: 'Blower', kind: 'blower', plate_amps: '7.6 A' }
const c1: Start = { name: 'C1', kind: 'scroll', plate_amps: '9.7 A' }
const c2: Start = { name: 'C2', kind: 'scroll', plate_amps: '9.7 A' }
const heat: Start = { name: 'heat', kind: 'heat' }
const good = { seen: 'good', seen_at: at('07:40:20') }
const ran: Start = { ...blower, started: at('07:40:00'), ...good }
const places = (starts: Start[], now = ms('08:00:00')) =>
  thingsOf(starts, now, REST).map((one) => [one.name, one.place, one.may])

describe('the first run', () => {
  it('goes from one thing to the next, each seen right before', () => {
    expect(places([blower, c1, c2])).toEqual([
      ['Blower', 'next', true],
      ['C1', 'held', false],
      ['C2', 'held', false],
    ])
    expect(places([{ ...blower, started: at('07:40:00') }, c1])).toEqual([
      ['Blower', 'running', false],
      ['C1', 'held', false],
    ])
    expect(places([ran, c1, c2])).toEqual([
      ['Blower', 'good', false],
      ['C1', 'next', true],
      ['C2', 'held', false],
    ])
  })

  it('holds what follows one that was not right, and starts that one again after its rest', () => {
    const bad = { ...c1, started: at('07:42:00'), seen: 'bad' }
    expect(places([ran, bad, c2])).toEqual([
      ['Blower', 'good', false],
      ['C1', 'bad', false],
      ['C2', 'held', false],
    ])
    const off = { ...bad, stopped: at('07:42:10') }
    expect(places([ran, off, c2], ms('07:45:09'))[1]).toEqual(['C1', 'bad', false])
    expect(places([ran, off, c2], ms('07:45:10'))[1]).toEqual(['C1', 'bad', true])
    expect(places([ran, off, { ...c1, started: at('08:00:00'), seen: 'good' }, c2])).toEqual([
      ['Blower', 'good', false],
      ['C1', 'good', false],
      ['C2', 'next', true],
    ])
  })

  it('waits for a word on what was stopped unseen; a blower needs no rest', () => {
    const stopped = { ...blower, started: at('07:59:50'), stopped: at('07:59:59') }
    expect(places([stopped, c1])).toEqual([
      ['Blower', 'look', true],
      ['C1', 'held', false],
    ])
  })

  it('is at what runs unseen, else at the first that is not right', () => {
    const hand = (starts: Start[]) => atHand(thingsOf(starts, ms('08:00:00'), REST))?.name
    expect(hand([ran, c1, c2])).toBe('C1')
    expect(
      hand([
        { ...ran, seen: 'bad' },
        { ...c1, started: at('07:41:00') },
      ]),
    ).toBe('C1')
    expect(hand([ran])).toBeUndefined()
  })

  it('counts up since the button, down to the next start, and else stands still', () => {
    const count = (starts: Start[], now: string) => countOf(atHand(thingsOf(starts, ms(now), REST)), ms(now))
    expect(count([ran, { ...c1, started: at('07:42:00') }], '07:42:08')).toEqual({ is: 'runs', ms: 8000 })
    expect(count([ran, { ...c1, started: at('07:42:00') }], '07:41:59')).toEqual({ is: 'runs', ms: 0 })
    const off = { ...c1, started: at('07:42:00'), seen: 'bad', stopped: at('07:42:10') }
    expect(count([ran, off], '07:43:50')).toEqual({ is: 'rests', ms: 80_000 })
    expect(count([ran, off], '07:46:00')).toEqual({ is: 'still', ms: 0 })
    expect(count([ran], '07:46:00')).toEqual({ is: 'still', ms: 0 })
  })

  it('shows what was pressed here until the record says it too', () => {
    const mine = { ...c1, started: at('07:42:00') }
    expect(startsOf([ran, c1, c2], [mine])).toEqual([ran, mine, c2])
    const seen = { ...mine, seen: 'good' }
    expect(startsOf([ran, mine, c2], [seen])).toEqual([ran, seen, c2])
    expect(stillMine([ran, mine, c2], [seen])).toEqual([seen])
    expect(stillMine([ran, seen, c2], [seen])).toEqual([])
    expect(stillMine([ran, seen, c2], [{ ...seen, stopped: at('07:50:00') }])).toHaveLength(1)
    expect(stillMine([c1], [mine])).toEqual([mine])
  })

  it('tells the timers of the unit that run', () => {
    const delays = [
      { what: 'compressor off time', minutes: 3 },
      { what: 'second stage', minutes: 5 },
      { what: 'fan off', minutes: 90 },
    ]
    const timers = (starts: Start[], now: string) =>
      timersOf(delays, thingsOf(starts, ms(now), REST), ms(now)).map((one) => [one.what, one.left / 1000])
    const first = { ...c1, started: at('07:42:00'), seen: 'good' }
    expect(timers([ran, first, c2], '07:43:40')).toEqual([['second stage', 200]])
    expect(timers([ran, first, c2], '07:47:00')).toEqual([])
    const off = { ...c1, started: at('07:42:00'), stopped: at('07:42:10'), seen: 'bad' }
    expect(timers([ran, off, c2], '07:43:50')).toEqual([['compressor off time', 80]])
    expect(timers([ran, { ...c1, started: at('07:42:00') }, c2], '07:42:10')).toEqual([])
    expect(timers([ran, heat], '07:42:10')).toEqual([])
    expect(timers([ran], '07:42:10')).toEqual([])
  })

  it('adds up what was read of each mode, once all of it was seen', () => {
    const all = (starts: Start[]) => byMode(thingsOf(starts, ms('08:00:00'), REST))
    const on = { ...ran, amps: '7 A' }
    const one = { ...c1, started: at('07:42:00'), amps: '9.2 A', seen: 'good' }
    const two = { ...c2, started: at('07:44:00'), amps: '9.1 A', seen: 'good', stopped: at('07:50:00') }
    expect(all([on, one, c2])).toEqual([])
    expect(all([on, one, two, heat])).toEqual([{ mode: 'cool', amps: 25.3 }])
    const hot = { ...heat, started: at('07:52:00'), amps: { value: 1, unit: 'A' }, seen: 'good' }
    expect(all([on, one, two, hot])).toEqual([
      { mode: 'cool', amps: 25.3 },
      { mode: 'heat', amps: 8 },
    ])
    expect(all([ran, { ...one, amps: undefined }])).toEqual([])
    expect(all([on])).toEqual([])
  })

  it('says how far the sides moved apart, where all four are read in one unit', () => {
    const read = { ...c1, suction_before: '62 psig', discharge_before: '62 psig', suction_after: '50 psig' }
    expect(apart({ ...read, discharge_after: '180.25 psig' })).toBe('130.3 psi')
    expect(apart({ ...read, discharge_after: '12 barg' })).toBe('')
    expect(apart(read)).toBe('')
  })
})
