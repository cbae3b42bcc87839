import { describe, expect, it } from 'vitest'
import { decimals, figure, isSingle, onLine } from './pressures'

const ROWS = [
  [0, 46, 43],
  [5, 52.5, 49],
  [10, 60, 56],
]

describe('what is looked up', () => {
  it('lies on the line, whichever of the two was typed', () => {
    expect(onLine(ROWS, 2, { pressure: 46 })).toEqual([2.5, 46])
    expect(onLine(ROWS, 1, { temperature: 10 })).toEqual([10, 60])
    expect(onLine(ROWS, 2, { pressure: 43 })).toEqual([0, 43])
  })
  it('lies nowhere outside the table, or where nothing was typed', () => {
    expect(onLine(ROWS, 2, { pressure: 42.9 })).toBeNull()
    expect(onLine(ROWS, 1, { temperature: 10.1 })).toBeNull()
    expect(onLine(ROWS, 1, {})).toBeNull()
    expect(onLine([], 1, { pressure: 50 })).toBeNull()
  })
  it('is a figure, with a point or a comma, or nothing', () => {
    expect(['150', ' 8,5 ', '', 'x'].map(figure)).toEqual([150, 8.5, undefined, undefined])
  })
  it('stands with the same decimals in every row, and in one column where dew is bubble', () => {
    expect([decimals(ROWS), decimals([]), decimals([[1, 2, 3]])]).toEqual([1, 0, 0])
    expect([isSingle(ROWS), isSingle([[1, 2, 2]])]).toEqual([false, true])
  })
})
