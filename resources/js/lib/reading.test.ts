import { describe, expect, it } from 'vitest'
import { compact, firstUnit, shownUnit, useSigns, fromWire, several, toWire } from './reading'

describe('what is typed and what is sent', () => {
  it('joins the text and its unit with one blank', () => {
    expect(toWire({ text: ' 481 ', unit: 'V' })).toBe('481 V')
  })
  it('leaves a unit that was typed along, and a comma, for the server to judge', () => {
    expect(toWire({ text: '481  A', unit: 'V' })).toBe('481 A')
    expect(toWire({ text: '481,5', unit: 'V' })).toBe('481,5 V')
  })
  it('sends nothing for an empty box', () => {
    expect(toWire({ text: '  ', unit: 'V' })).toBeUndefined()
    expect(toWire(undefined)).toBeUndefined()
  })
  it('comes back as it was read', () => {
    expect(fromWire('86 ft')).toEqual({ text: '86', unit: 'ft' })
    expect(fromWire({ value: 86, unit: 'ft' })).toEqual({ text: '86', unit: 'ft' })
    expect(fromWire({ open_circuit: true })).toBeUndefined()
  })
  it('takes several figures apart, and leaves one or a sentence alone', () => {
    expect(several('481 478\n484')).toEqual(['481', '478', '484'])
    expect(several('481')).toEqual([])
    expect(several('481 V')).toEqual([])
  })
  it('drops what is empty and keeps false and zero', () => {
    expect(compact({ a: undefined, b: '', c: [], d: false, e: 0 })).toEqual({ d: false, e: 0 })
  })
  it("starts with the person's own unit, then the field's own start", () => {
    const field = { kind: 'length', units: ['m', 'in', 'ft'], starts: { us: 'ft', si: 'm' } }
    expect(firstUnit(field, 'us', {})).toBe('ft')
    expect(firstUnit(field, 'si', {})).toBe('m')
    expect(firstUnit(field, 'us', { length: 'in' })).toBe('in')
    expect(firstUnit({ kind: '', units: [] }, 'us', {})).toBe('')
  })
  it('writes units as people do', () => {
    useSigns({ degF: '°F' })
    expect([shownUnit('degF'), shownUnit('V')]).toEqual(['°F', 'V'])
  })
})
