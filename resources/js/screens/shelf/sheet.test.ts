import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { bodyOf, differences, flat, typedOf } from './sheet'

const sheet = JSON.parse(readFileSync('database/demo/sheets/bf-150g.json', 'utf8')) as Record<string, unknown>

describe('a sheet as it is typed', () => {
  it('comes back as it was when nothing was typed', () => {
    expect(flat(bodyOf(typedOf(sheet), sheet))).toEqual(flat(sheet))
  })
  it('takes a plain figure for its usual unit and keeps one that was typed along', () => {
    const typed = { ...typedOf({}), model: 'X-1', mca: '32.8', mocp: '40 A', taps: '208; 230 V' }
    expect(bodyOf(typed, {})).toEqual({
      model: 'X-1',
      kind: 'rooftop',
      electrical: { mca: '32.8 A', mocp: '40 A', transformer: { taps: ['208 V', '230 V'] } },
    })
  })
  it('keeps what has no box', () => {
    const typed = typedOf(sheet)
    typed.mca = '36'
    const body = bodyOf(typed, sheet)
    expect(body.weights).toEqual(sheet.weights)
    expect(differences(sheet, body)).toEqual([{ place: 'electrical · mca', before: '32.8 A', after: '36 A' }])
  })
  it('names the motor that differs', () => {
    const typed = typedOf(sheet)
    const motor = typed.motors.find((m) => m.name === 'Blower')
    if (motor !== undefined) motor.amps = '8.1'
    expect(differences(sheet, bodyOf(typed, sheet))).toEqual([
      { place: 'electrical · motors · Blower · amps', before: '7.6 A', after: '8.1 A' },
    ])
  })
})
