// @vitest-environment happy-dom
import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CheckView, MachineView, SessionView } from '@/api/client'
import BenchFrame from '@/benches/BenchFrame.vue'
import { i18n } from '@/i18n'
import { useChecks } from '@/stores/checks'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'
import catalogue from '../../../../tests/fixtures/checks.json'
import { benchOf, held } from './pocket'

const CHECKS = catalogue.checks as unknown as CheckView[]

enableAutoUnmount(afterEach)
beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  useChecks().byId = new Map(CHECKS.map((c) => [c.id, c]))
  useSession().view = {
    person: { id: 7, name: 'Mina', role: 'starter', rights: ['record'], fieldUnits: {} },
  } as unknown as SessionView
  vi.stubGlobal('fetch', async () => new Response('', { status: 503 }))
})

const all = held().flatMap((one) => one.benches)
const frameOf = (id: string) =>
  mount(BenchFrame, { props: { spec: benchOf(id)! }, global: { plugins: [i18n] } })

describe('the Pocket', () => {
  it('holds every check once, and nothing that only writes down', () => {
    const judged = new Set(all.flatMap((one) => [one.check, ...(one.spec?.parts.map((p) => p.check) ?? [])]))
    expect(
      CHECKS.map((c) => c.id).filter(
        (id) => id !== 'job.gates' && !id.startsWith('entry.') && !judged.has(id),
      ),
    ).toEqual([])
    expect(new Set(all.map((one) => one.check)).size).toBe(all.length)
    expect(all.filter((one) => one.check.startsWith('entry.'))).toEqual([])
  })

  it('asks about the machine where a check can be asked of an old disconnect too', () => {
    expect(all.find((one) => one.check === 'power.lockout')?.id).toBe('lockout')
    expect(all.find((one) => one.check === 'power.voltage')?.id).toBe('supply')
    expect(all.map((one) => one.id).filter((id) => id.startsWith('old'))).toEqual(['oldPipe'])
  })

  it('judges at no machine, and offers a machine in place of recording', async () => {
    const frame = frameOf('curb')
    await flushPromises()
    const named = (words: string) => frame.findAll('button').filter((b) => b.text() === words)
    expect(named('Record')).toEqual([])
    expect(named('Put it on a unit')[0]?.attributes('disabled')).toBeDefined()
    await frame.findAll('input.figure')[0]!.setValue('88')
    expect(named('Put it on a unit')[0]?.attributes('disabled')).toBeUndefined()
    await named('Put it on a unit')[0]!.trigger('click')
    expect(frame.emitted('attach')).toHaveLength(1)
    expect(Object.keys(localStorage)).toContain('iron-start.draft.7.pocket.bench.curb')
    await named('Clear')[0]!.trigger('click')
    expect((frame.findAll('input.figure')[0]!.element as HTMLInputElement).value).toBe('')
  })

  it('walks a whole list where no job says which items are asked', async () => {
    const list = CHECKS.find((c) => c.id === 'list.prestart')!
    const frame = frameOf('prestart')
    await flushPromises()
    expect(frame.findAll('fieldset.item')).toHaveLength(list.items.length)
  })

  it('grows a table by as many rows as there are where no sheet names them', async () => {
    const frame = frameOf('amps')
    await flushPromises()
    for (const wanted of [1, 2, 3]) {
      await frame
        .findAll('button')
        .find((b) => b.text().startsWith('Add to'))!
        .trigger('click')
      expect(frame.findAll('.part')).toHaveLength(wanted)
    }
  })

  it('stands on a machine’s bench with the rows the sheet names', async () => {
    const loads = [{ name: 'C1', kind: 'scroll', plate_amps: '9.7 A' }]
    useMachine().view = {
      ...{ id: 1, name: 'RTU-2', jobType: 'rooftop', gates: [], tape: [], putBack: [], instruments: [] },
      ...{ parts: [], plate: {}, tooEarly: {}, prefill: { 'power.running_amps': { machine: { loads } } } },
    } as unknown as MachineView
    const frame = frameOf('amps')
    await flushPromises()
    const bench = frame.vm as unknown as { take: (i: unknown[]) => void; typed: () => unknown[] }
    const read = { name: 'C1', kind: 'scroll', plate_amps: '9.7 A', amps_a: '9.1 A' }
    bench.take([{ doors_on: true, loads: [read, { name: 'Pump', kind: 'fan', amps_a: '2 A' }] }])
    await flushPromises()
    expect(bench.typed()).toEqual([
      { doors_on: true, loads: [read, { name: 'Pump', kind: 'fan', amps_a: '2 A' }] },
    ])
    expect(frame.findAll('.part')).toHaveLength(2)
  })
})
