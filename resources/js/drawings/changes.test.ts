// @vitest-environment happy-dom
import { enableAutoUnmount, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { MachineView } from '@/api/client'
import { i18n } from '@/i18n'
import { useMachine } from '@/stores/machine'
import { changesOf } from './changes'
import TreeSketch from './TreeSketch.vue'

const planned = {
  nodes: [
    { id: 'O', kind: 'outdoor', capacity: '10 kW' },
    { id: 'I1', kind: 'indoor', capacity: { value: 2, unit: 'kW' }, room: 'Office' },
    { id: 'I2', kind: 'indoor', capacity: '3 kW' },
  ],
  pipes: [
    { from: 'O', to: 'I1', actual: '12 m', gas_od: '1/2 in', ports: [1] },
    { from: 'O', to: 'I2', actual: '9 m' },
  ],
}
const built = {
  nodes: [
    { id: 'O', kind: 'outdoor', capacity: '10 kW' },
    { id: 'I1', kind: 'indoor', capacity: '2 kW', room: 'Studio' },
    { id: 'I3', kind: 'indoor', capacity: '4 kW' },
  ],
  pipes: [
    { from: 'O', to: 'I1', actual: '13.5 m', gas_od: '1/2 in', ports: [1, 2] },
    { from: 'O', to: 'I3', actual: '9 m' },
  ],
}

enableAutoUnmount(afterEach)
beforeEach(() => setActivePinia(createPinia()))

describe('what was built otherwise than planned', () => {
  it('is told unit by unit, then pipe by pipe, with what is there and not planned, and the other way round', () => {
    expect(changesOf(planned, built)).toEqual([
      { what: 'I1', is: 'other', planned: 'Office', built: 'Studio' },
      { what: 'I3', is: 'added', planned: '', built: '4 kW' },
      { what: 'I2', is: 'gone', planned: '', built: '' },
      { what: 'O › I1', is: 'other', planned: '12 m', built: '13.5 m' },
      { what: 'O › I1', is: 'other', planned: '1', built: '1, 2' },
      { what: 'O › I3', is: 'added', planned: '', built: '9 m' },
      { what: 'O › I2', is: 'gone', planned: '', built: '' },
    ])
    expect(changesOf(planned, planned)).toEqual([])
    expect(changesOf(undefined, { nodes: 'none' })).toEqual([])
  })

  it('stands under the tree as built, and nowhere without a plan', () => {
    const drawing = { shape: 'tree', nodes: [], pipes: [], limits: [] } as const
    const entry = (subject: string, suspect = '') => ({
      check: 'vrf.topology',
      subject,
      suspect,
      input: planned,
    })
    const told = (tape: unknown[]) => {
      useMachine().view = { tape } as unknown as MachineView
      const verdict = { drawing, values: {}, status: 'clear' } as never
      return mount(TreeSketch, { props: { verdict, input: built }, global: { plugins: [i18n] } })
    }
    const there = told([entry('built'), entry('planned')])
    expect(there.find('h3').text()).toBe('7 things were built otherwise than planned')
    expect(there.findAll('li')[3]!.text().replace(/\s+/g, ' ')).toBe('O › I1 13.5 m, planned 12 m')
    expect(there.findAll('li')[2]!.text()).toContain('was planned and is not there')
    expect(
      told([entry('built'), entry('planned', 'wrong')])
        .find('h3')
        .exists(),
    ).toBe(false)
  })
})
