import { describe, expect, it } from 'vitest'
import type { CheckView } from '@/api/client'
import catalogue from '../../../../tests/fixtures/checks.json'
import { freshDraft, inputOf } from '../entered'
import { fill, fitsFile, isWhole, line, readingsOf, roleOf, set, withRole, type Mapping } from './logger'

const CHECKS = catalogue.checks as unknown as CheckView[]
const listOf = (check: string, name: string) =>
  CHECKS.find((one) => one.id === check)!.fields.find((field) => field.name === name)!
const decay = listOf('dry.decay', 'readings')
const hold = listOf('tight.hold', 'points')
const mapping = (more: Partial<Mapping> = {}): Mapping => ({
  separator: 'comma',
  decimal: 'point',
  head: 1,
  form: 'iso',
  time: 0,
  zone: 'UTC',
  values: { micron: { column: 1, unit: 'micron' } },
  ...more,
})

describe('the columns of a logger file', () => {
  it('are the readings of the list, without its time', () => {
    expect(readingsOf(decay).map((field) => field.name)).toEqual(['micron'])
    expect(readingsOf(hold).map((field) => field.name)).toEqual(['pressure', 'temperature'])
  })

  it('have one part each, and each part one column', () => {
    const moved = withRole(mapping(), 2, 'micron', 'Pa')
    expect(moved.values).toEqual({ micron: { column: 2, unit: 'Pa' } })
    expect([0, 1, 2].map((column) => roleOf(moved, column))).toEqual(['time', '', 'micron'])
    const over = withRole(mapping(), 0, 'micron', 'micron')
    expect([over.time, roleOf(over, 0), roleOf(over, 1)]).toEqual([undefined, 'micron', ''])
    const day = withRole(withRole(mapping({ time: 1, values: {} }), 0, 'day', ''), 0, '', '')
    expect([day.day, day.time]).toEqual([undefined, 1])
  })

  it('are read once everything is said', () => {
    expect(isWhole(mapping(), readingsOf(decay))).toBe(true)
    expect(isWhole(mapping({ form: '' }), readingsOf(decay))).toBe(false)
    expect(isWhole(mapping({ zone: '' }), readingsOf(decay))).toBe(false)
    expect(isWhole(mapping({ form: 'clock', zone: '' }), readingsOf(decay))).toBe(true)
    expect(isWhole(mapping({ form: 'elapsed' }), readingsOf(decay))).toBe(false)
    expect(isWhole(mapping({ form: 'elapsed', unit: 's' }), readingsOf(decay))).toBe(true)
    expect(isWhole(mapping({ values: {} }), readingsOf(decay))).toBe(false)
    expect(isWhole(withRole(mapping(), 1, 'micron', ''), readingsOf(decay))).toBe(false)
    expect(isWhole(withRole(mapping(), 0, '', ''), readingsOf(decay))).toBe(false)
  })

  it('stand as they did last time only in a file that is as wide', () => {
    expect(fitsFile(mapping(), [['t', 'p']], readingsOf(decay))).toBe(true)
    expect(
      fitsFile(mapping({ values: { micron: { column: 2, unit: 'Pa' } } }), [['t', 'p']], readingsOf(decay)),
    ).toBe(false)
    expect(fitsFile(mapping({ form: '' }), [['t', 'p']], readingsOf(decay))).toBe(false)
  })
})

describe('the readings of a logger file', () => {
  const point = (minutes: number, values: Record<string, number>) => ({
    minutes,
    at: `at ${minutes}`,
    values,
  })

  it('stand in the rows in place of what stood there, in the unit of the file', () => {
    const draft = freshDraft()
    draft.rows.readings = ['+1']
    draft.values['readings.+1.micron'] = { text: '7', unit: 'micron' }
    draft.values['readings.+9.micron'] = { text: '7', unit: 'micron' }
    fill(
      draft,
      decay,
      [point(0, { micron: 40 }), point(1.5, { micron: 41.5 })],
      mapping({ values: { micron: { column: 1, unit: 'Pa' } } }),
    )
    expect(
      inputOf(
        CHECKS.find((one) => one.id === 'dry.decay')!,
        {},
        draft,
      ),
    ).toEqual({
      readings: [
        { minutes: '0 min', micron: '40 Pa' },
        { minutes: '1.5 min', micron: '41.5 Pa' },
      ],
    })
    expect(Object.keys(draft.values)).toHaveLength(4)
  })

  it('stand with their moments in the ends of a hold', () => {
    const draft = freshDraft()
    const by = mapping({
      values: { pressure: { column: 1, unit: 'barg' }, temperature: { column: 2, unit: 'degC' } },
    })
    set(draft, hold.fields, 'start', point(0, { pressure: 31, temperature: 23 }), by)
    expect(draft.values).toEqual({
      'start.pressure': { text: '31', unit: 'barg' },
      'start.temperature': { text: '23', unit: 'degC' },
      'start.at': 'at 0',
    })
  })

  it('are drawn from corner to corner, by decades where they can be', () => {
    expect(
      line([
        [0, 1000],
        [5, 100],
        [10, 10],
      ]),
    ).toBe('0.0000,0.0000 0.5000,0.5000 1.0000,1.0000')
    expect(
      line([
        [0, 0],
        [10, 4],
      ]),
    ).toBe('0.0000,1.0000 1.0000,0.0000')
    expect(line([[3, 5]])).toBe('0.5000,0.5000')
  })
})
