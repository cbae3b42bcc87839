import { describe, expect, it } from 'vitest'
import type { TapeEntry } from '@/api/client'
import { isPristine, ranBackwards, rotationDraft, rotationInput } from './rotation'

const LOADS = [
  { name: 'C1', kind: 'scroll', drive: 'across_line', plate_amps: '9.7 A' },
  { name: 'Blower', kind: 'blower', drive: 'across_line' },
]
const entry = (load: Record<string, unknown>, suspect = '') =>
  ({
    check: 'power.rotation',
    suspect,
    input: { loads: [{ name: 'C1', kind: 'scroll', ...load }] },
  }) as unknown as TapeEntry

describe('the rotation bench', () => {
  it('sends every load of the sheet and only what was seen of it', () => {
    const input = rotationInput(
      { meter: 'cba', seen: { C1: { pressure_moved: false, amps: { text: '5.1', unit: 'A' } } } },
      LOADS,
    )
    expect(input).toEqual({
      meter: 'cba',
      loads: [
        {
          name: 'C1',
          kind: 'scroll',
          drive: 'across_line',
          plate_amps: '9.7 A',
          pressure_moved: false,
          amps: '5.1 A',
        },
        LOADS[1],
      ],
    })
    expect(rotationInput(rotationDraft(input), LOADS)).toEqual(input)
  })
  it('is untouched while only carried-over hours stand in it', () => {
    expect(isPristine({ seen: { C1: { hours_backwards: { text: '8', unit: 's' } } } })).toBe(true)
    expect(isPristine({ seen: { C1: { noise: 'loud' } } })).toBe(false)
  })
  it('knows which compressors ran backwards and how long, newest word last, doubted ones left out', () => {
    expect([...ranBackwards([entry({ hours_backwards: '8 s' }), entry({ pressure_moved: false })])]).toEqual([
      ['C1', { text: '8', unit: 's' }],
    ])
    expect(ranBackwards([entry({ pressure_moved: false }, 'wrong machine')]).size).toBe(0)
  })
})
