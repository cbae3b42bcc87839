import { describe, expect, it } from 'vitest'
import { freshOption, freshOptions, inputOf, isSame, typedOf, type TypedOptions } from './options'

const typed = (): TypedOptions => ({
  ...freshOptions(),
  tons: '20',
  rate: '110',
  feeder: '200',
  breaker: '200',
  volts: '208',
  weight: '4,100',
  options: [
    {
      ...freshOption(),
      name: 'two of 10',
      count: '2',
      tons: '10',
      mca: '47',
      mocp: '60',
      plate: '208-230',
      equipment: '29,800',
      hours: '40',
      days: '10',
      matches: 'yes',
      extra: [{ what: 'roof work', cost: '4200', covers: 'structure' }],
    },
  ],
})

describe('the options typed', () => {
  it('are so many units alike, each with its unit of measure', () => {
    const input = inputOf(typed(), 'us')
    expect(input.required_tons).toBe('20 ton')
    expect(input.existing).toEqual({
      feeder_ampacity: '200 A',
      feeder_breaker: '200 A',
      voltage: '208 V',
      phases: 3,
      circuits: 1,
      weight: '4,100 lb',
    })
    const unit = { tons: '10 ton', phases: 3, mca: '47 A', mocp: '60 A', plate_voltage: '208-230' }
    expect(input.options).toEqual([
      {
        name: 'two of 10',
        machines: [unit, unit],
        equipment_cost: 29800,
        labour_hours: 40,
        lead_days: 10,
        extra_work: [{ what: 'roof work', cost: 4200, covers: 'structure' }],
        matches_existing_indoor: true,
      },
    ])
    expect(inputOf(typed(), 'si').required_tons).toBe('20 kW')
  })

  it('leave out what has no name, and keep what is no number as it was typed', () => {
    const some = typed()
    some.options.push(freshOption())
    some.options[0]!.hours = 'a week'
    some.options[0]!.count = '99'
    const [only, ...none] = inputOf(some, 'us').options as { labour_hours: unknown; machines: unknown[] }[]
    expect(none).toEqual([])
    expect(only!.labour_hours).toBe('a week')
    expect(only!.machines).toHaveLength(12)
  })

  it('are typed again as they were recorded', () => {
    const once = inputOf(typed(), 'us')
    expect(inputOf(typedOf(once), 'us')).toEqual(once)
    expect(typedOf({}).options).toEqual([])
  })

  it('say the same in any order, and not with one figure more', () => {
    expect(isSame({ a: 1, b: [{ c: '2 A' }] }, { b: [{ c: '2 A' }], a: 1 })).toBe(true)
    expect(isSame({ a: 1 }, { a: 1, b: 2 })).toBe(false)
    expect(isSame({ a: [1, 2] }, { a: [1] })).toBe(false)
    expect(isSame({ a: null }, { a: 0 })).toBe(false)
  })
})
