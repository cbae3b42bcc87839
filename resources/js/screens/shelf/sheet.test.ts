import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { useSigns } from '@/lib/reading'
import { bodyOf, typedOf } from './sheet'
import { changes, charge, partsOf, type Part } from './sheetRead'

const sheet = JSON.parse(readFileSync('database/demo/sheets/bf-150g.json', 'utf8')) as Record<string, unknown>

/** What differs, with its place, as it stands on the page. */
const differing = (parts: Part[]) =>
  parts.flatMap((part) =>
    part.kind === 'table'
      ? part.rows.flatMap((row) =>
          row.cells.flatMap((cell, i) =>
            cell.differs ? [[`${row.name} ${part.columns[i] ?? ''}`, cell.was, cell.text]] : [],
          ),
        )
      : part.lines.flatMap((line) => (line.cell.differs ? [[line.key, line.cell.was, line.cell.text]] : [])),
  )

describe('a sheet as it is typed', () => {
  it('comes back as it was when nothing was typed', () => {
    expect(changes(partsOf(bodyOf(typedOf(sheet), sheet), sheet))).toBe(0)
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
    expect(differing(partsOf(body, sheet))).toEqual([['mca', '32.8 A', '36 A']])
  })
  it('names the motor that differs', () => {
    const typed = typedOf(sheet)
    const motor = typed.motors.find((m) => m.name === 'Blower')
    if (motor !== undefined) motor.amps = '8.1'
    expect(differing(partsOf(bodyOf(typed, sheet), sheet))).toEqual([['Blower amps', '7.6 A', '8.1 A']])
  })
})

describe('a sheet as it is read', () => {
  const parts = partsOf(sheet, sheet)
  const keys = parts.map((part) => (part.kind === 'plate' ? 'plate' : part.key))
  it('is a nameplate and its tables, in the order they are looked for', () => {
    expect(keys.slice(0, 3)).toEqual(['plate', 'motors', 'circuits'])
    expect(keys).toContain('size')
    expect(keys).not.toContain('weights')
  })
  it('says every figure of the file, with the unit as people write it', () => {
    useSigns({ delta_degF: '°F', inH2O: 'in. w.c.', degF: '°F' })
    const parts = partsOf(sheet, sheet)
    const said = JSON.stringify(parts)
    for (const figure of ['1214 lb', '32.8 A', 'psig']) expect(said).toContain(figure)
    expect(said).not.toMatch(/degF|inH2O/)
  })
  it.each([
    ['228 oz', '14 lb 4 oz'],
    ['16 oz', '1 lb'],
    ['15.5 oz', '15.5 oz'],
    ['1.6 oz/ft', '1.6 oz/ft'],
    ['9 lb', '9 lb'],
  ])('reads a charge of %s out as %s', (written, read) => {
    expect(charge(written)).toBe(read)
  })
  it('says what a line and a part add by what they are', () => {
    const body = {
      circuits: [
        {
          name: 'A',
          charge_rule: {
            rates: [{ liquid_od: '5/8 in', per_length: '1.6 oz/ft' }],
            adders: [{ when: 'second drier', mass: '4 oz' }],
          },
        },
      ],
    }
    const charging = partsOf(body, body).find((part) => part.kind !== 'plate' && part.key === 'charging.A')
    const said = charging?.kind === 'lines' ? charging.lines.map((line) => line.cell.text) : []
    expect(said).toEqual(['5/8 in: 1.6 oz/ft', 'second drier: 4 oz'])
  })
})
