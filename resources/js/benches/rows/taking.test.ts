import { describe, expect, it } from 'vitest'
import { localMinute, minutesSince } from './taking'

describe('a reading as it is taken', () => {
  it.each([
    ['2026-03-02T10:00:00.000Z', '0'],
    ['2026-03-02T10:00:04.000Z', '0.07'],
    ['2026-03-02T10:00:59.000Z', '0.98'],
    ['2026-03-02T10:02:32.000Z', '2.5'],
    ['2026-03-02T10:02:34.000Z', '2.6'],
    ['2026-03-02T11:05:00.000Z', '65'],
    // A clock that was set back takes nothing off.
    ['2026-03-02T09:59:00.000Z', '0'],
  ])('at %s stands at minute %s', (now, minute) => {
    expect(minutesSince('2026-03-02T10:00:00.000Z', new Date(now))).toBe(minute)
  })
  it('has its moment by the clock on the spot, to the minute', () => {
    expect(localMinute(new Date(2026, 2, 2, 7, 5, 59))).toBe('2026-03-02T07:05')
    expect(localMinute(new Date(2026, 10, 28, 17, 40))).toBe('2026-11-28T17:40')
  })
})
