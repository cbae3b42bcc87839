import { describe, expect, it } from 'vitest'
import { tabOf } from '../tabs'
import { anyTyped, fillFrom, numberOf, short, wireFigures, type Figures } from './figures'

const NAMES = ['a', 'b', 'c'] as const

describe('figures of a bench', () => {
  it('sends only what was typed', () => {
    expect(wireFigures({ a: { text: '481', unit: 'V' }, b: { text: ' ', unit: 'V' } }, NAMES)).toEqual({
      a: '481 V',
    })
    expect(anyTyped({ b: { text: ' ', unit: 'V' } }, NAMES)).toBe(false)
    expect(anyTyped({ c: { text: '0', unit: 'V' } }, NAMES)).toBe(true)
  })
  it('fills from the box one pasted into, and no further than the last', () => {
    const figures: Figures = { c: { text: '', unit: 'mV' } }
    fillFrom(figures, NAMES, 'b', ['1', '2', '3'], 'V')
    expect(figures).toEqual({ b: { text: '1', unit: 'V' }, c: { text: '2', unit: 'mV' } })
  })
  it('reads a number for the drawing, or none', () => {
    expect([
      numberOf('481 V'),
      numberOf({ value: 5, unit: 'A' }),
      numberOf('x V'),
      numberOf(undefined),
      numberOf(''),
    ]).toEqual([481, 5, null, null, null])
    expect([short(480.66, 0), short(9.04), short(0.52, 3)]).toEqual(['481', '9', '0.52'])
  })
  it('knows where a recorded check is corrected', () => {
    expect(tabOf('power.voltage', 'machine')).toEqual({ gate: 7, tab: 'supply' })
    expect(tabOf('power.voltage', 'loaded')).toEqual({ gate: 8, tab: 'loaded' })
    expect(tabOf('compressor.windings', 'compressor:C2')).toEqual({ gate: 7, tab: 'windings' })
    expect(tabOf('charge.state', 'circuit:A')).toBeNull()
  })
})
