import { describe, expect, it } from 'vitest'
import { typedOver } from './plate'

describe('a figure of the plate', () => {
  const plate = { mca: '32.8 A', 'loads.C1.plate_amps': '9.7 A' }
  it('is typed over by another, not by the same or by none', () => {
    expect(typedOver(plate, { mca: '32.80 A' })).toEqual([])
    expect(typedOver(plate, { mca: { value: 32.8, unit: 'A' } })).toEqual([])
    expect(typedOver(plate, {})).toEqual([])
    expect(typedOver(undefined, { mca: '1 A' })).toEqual([])
    expect(typedOver(plate, { mca: '36 A' })).toEqual([{ field: 'mca', sheet: '32.8 A', typed: '36 A' }])
  })
  it('is found at its motor', () => {
    expect(
      typedOver(plate, {
        loads: [
          { name: 'C2', plate_amps: '9 A' },
          { name: 'C1', plate_amps: '12 A' },
        ],
      }),
    ).toEqual([{ field: 'C1', sheet: '9.7 A', typed: '12 A' }])
  })
})
