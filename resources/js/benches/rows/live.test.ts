import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/api/client'
import { changes, followed, isFault, stepOf } from './live'

const unit = (id: string, zone: string, liquidPipe: string, ready = true) =>
  ({
    id,
    zone,
    ready,
    called: false,
    returnAir: '22 degC',
    supplyAir: '11 degC',
    liquidPipe,
    gasPipe: '9 degC',
  }) satisfies Schemas['ControllerUnitView']
const view = (more: Partial<Schemas['ControllerView']> = {}): Schemas['ControllerView'] => ({
  there: true,
  silent: false,
  simulated: true,
  speed: 60,
  shown: '--',
  step: null,
  minutesInStep: null,
  indoor: [unit('I1', 'Office', '6.2 degC'), unit('I2', 'Design', '22.0 degC', false)],
  ...more,
})

describe('what a controller shows', () => {
  it('is who is ready, before its script is started', () => {
    expect(followed(view())).toEqual({ 'indoor.I1.ready': true, 'indoor.I2.ready': false })
  })
  it('is the step, the display and whole minutes once it runs', () => {
    expect(followed(view({ step: 1, shown: 'S2', minutesInStep: 3.5 }))).toEqual({
      step: '1',
      shown: 'S2',
      minutes_in_step: { text: '4', unit: 'min' },
      'indoor.I1.ready': true,
      'indoor.I2.ready': false,
    })
  })
  it('is a fault where the script knows it as one', () => {
    const script = [{ on_fault: [{ code: 'F2' }] }, {}]
    expect(isFault('F2', script)).toBe(true)
    expect(isFault('S1', script)).toBe(false)
    expect(isFault('F2', undefined)).toBe(false)
  })
})

describe('what runs', () => {
  const boxes = [
    { id: 'B1', indoor: ['I1', 'I2'] },
    { id: 'B2', indoor: ['I3'] },
  ]
  it('is one alone, a box as a whole, or so many', () => {
    expect(stepOf(['I3'], boxes)).toBe('alone:I3')
    expect(stepOf(['I2', 'I1'], boxes)).toBe('box:B1')
    expect(stepOf(['I1', 'I3'], boxes)).toBe('all:2')
    expect(stepOf(['I1', 'I2', 'I3'], boxes)).toBe('all:3')
  })
})

describe('how far the coils went', () => {
  const before = { I1: '22.2 degC', I2: '22.0 degC' }
  it('is a difference for each zone, in the units of the reader', () => {
    expect(changes(view(), before, 'Office', false)).toEqual({
      'matrix.Office.changes.Office': { text: '-16.0', unit: 'K_diff' },
      'matrix.Office.changes.Design': { text: '0.0', unit: 'K_diff' },
    })
    expect(changes(view(), before, 'Office', true)['matrix.Office.changes.Office']).toEqual({
      text: '-28.8',
      unit: 'delta_degF',
    })
  })
  it('says nothing of a coil nobody read before, and of a call nobody knows', () => {
    expect(Object.keys(changes(view(), { I2: '22.0 degC' }, 'Office', false))).toEqual([
      'matrix.Office.changes.Design',
    ])
    expect(changes(view(), before, '', false)).toEqual({})
  })
})
