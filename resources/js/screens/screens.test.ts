// @vitest-environment happy-dom
import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import type { ClockView, MachineView, OpenItemView, PutBackView, SessionView, TapeEntry } from '@/api/client'
import LockBoard from '@/benches/out/LockBoard.vue'
import PumpDownRun from '@/benches/out/PumpDownRun.vue'
import { DIALOGS, refusal, stubServer } from '@/composables/testing'
import { i18n } from '@/i18n'
import { ring } from '@/lib/bell'
import { memoryStore, useDeviceStore } from '@/lib/deviceStore'
import { useChecks } from '@/stores/checks'
import { useClocks } from '@/stores/clocks'
import { useMachine } from '@/stores/machine'
import { usePocket } from '@/stores/pocket'
import { useSession } from '@/stores/session'
import InstrumentsScreen from './instruments/InstrumentsScreen.vue'
import ItemDialog from './machine/ItemDialog.vue'
import OpenPutBackDialog from './machine/OpenPutBackDialog.vue'
import PutBackDialog from './machine/PutBackDialog.vue'
import ReadyLine from './machine/ReadyLine.vue'
import TapePanel from './machine/TapePanel.vue'
import JobForm from './office/JobForm.vue'
import AttachDialog from './pocket/AttachDialog.vue'
import ClockBell from './shell/ClockBell.vue'
import ClocksDialog from './shell/ClocksDialog.vue'
import SearchDialog from './shell/SearchDialog.vue'
import SignInScreen from './signin/SignInScreen.vue'

const push = vi.hoisted(() => vi.fn())
vi.mock('@/lib/bell', () => ({ ring: vi.fn() }))
vi.mock('vue-router', async (original) => ({
  ...(await original<typeof import('vue-router')>()),
  useRouter: () => ({ push }),
  useRoute: () => ({ query: { to: '/machines/4' } }),
}))

const RIGHTS = ['record', 'close_own_put_back', 'instruments']
const signIn = (id = 7, rights = RIGHTS) => {
  useSession().view = {
    person: { id, name: 'Mina Hale', rights, fieldUnits: {} },
    company: 'C',
    demo: [],
  } as unknown as SessionView
}
const machine = (more: Partial<MachineView> = {}) => {
  useMachine().view = {
    id: 1,
    name: 'RTU-1',
    news: 4,
    gates: [],
    tape: [],
    putBack: [],
    items: [],
    parts: [],
    ready: null,
    ...more,
  } as unknown as MachineView
}
const at = (screen: Component, props: object = {}) =>
  mount(screen, { props: props as never, global: { plugins: [i18n], stubs: DIALOGS } })
const pressOf = (screen: ReturnType<typeof at>, words: string) => {
  const found = screen.findAll('button').find((one) => one.text() === words)
  if (found === undefined) throw new Error(`no press "${words}" in: ${screen.text()}`)
  return found
}
const MADE = { at: 9, putBack: null }
const AFTER = {
  id: 1,
  name: 'RTU-1',
  news: 9,
  gates: [],
  tape: [],
  putBack: [],
  items: [],
  parts: [],
  ready: null,
}
const writes = (path: string) =>
  stubServer({
    [`POST /api/v1/machines/1/${path}`]: MADE,
    'GET /api/v1/machines/1': AFTER,
    'GET /api/v1/clocks': { now: new Date().toISOString(), clocks: [] },
  })
const sent = (asked: ReturnType<typeof stubServer>) => asked.filter((one) => one.method === 'POST')

enableAutoUnmount(afterEach)
beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  useDeviceStore(memoryStore())
  push.mockClear()
  vi.mocked(ring).mockClear()
  stubServer({})
  signIn()
  machine()
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

describe('the locks of a job', () => {
  const lock = (id: number, what: string) => ({ id, what, who: 'Rafe', since: '2026-11-28T08:05:00' })
  const board = (...machines: object[]) => ({ machines })

  it('say how many hang, whose, and where none does', async () => {
    stubServer({
      'GET /api/v1/machines/1/locks': board(
        { id: 1, name: 'RTU-1', place: 'roof', locks: [lock(1, 'Lock 14'), lock(2, 'Lock 15')] },
        { id: 2, name: 'RTU-2', place: '', locks: [] },
      ),
    })
    const shown = at(LockBoard)
    await flushPromises()
    expect(shown.find('.sum').text()).toBe('2 locks hang on this job.')
    expect(shown.findAll('li').map((one) => one.findAll('.lock').length)).toEqual([2, 0])
    expect(shown.findAll('li')[1]?.text()).toContain('No lock')
    expect(shown.text()).toContain('Rafe')
  })
  it.each([
    [0, 'No lock hangs on this job.'],
    [1, 'One lock hangs on this job.'],
  ])('count %i as people say it', async (count, words) => {
    const locks = Array.from({ length: count }, (_, i) => lock(i, `Lock ${i}`))
    stubServer({ 'GET /api/v1/machines/1/locks': board({ id: 1, name: 'RTU-1', place: '', locks }) })
    const shown = at(LockBoard)
    await flushPromises()
    expect(shown.find('.sum').text()).toBe(words)
  })
  it('are asked for again when somebody has written', async () => {
    const asked = stubServer({ 'GET /api/v1/machines/1/locks': board() })
    at(LockBoard)
    await flushPromises()
    machine({ news: 5 })
    await flushPromises()
    expect(asked).toHaveLength(2)
  })
  it('say why they are not there', async () => {
    const shown = at(LockBoard)
    await flushPromises()
    expect(shown.find('[role=alert]').exists()).toBe(true)
  })
})

describe('a pump-down as it runs', () => {
  beforeEach(() => void vi.useFakeTimers({ now: Date.parse('2026-11-28T12:00:00Z') }))
  const count = (shown: ReturnType<typeof at>) => shown.find('.count').text()

  it('counts up from the press, and down once it is in vacuum', async () => {
    const asked = writes('clocks')
    const shown = at(PumpDownRun)
    await pressOf(shown, 'Compressor on').trigger('click')
    await vi.advanceTimersByTimeAsync(75_000)
    expect(count(shown)).toBe('1:15')
    await pressOf(shown, 'Below 0 psig').trigger('click')
    await vi.advanceTimersByTimeAsync(20_000)
    expect(count(shown)).toBe('0:40')
    expect(sent(asked).map((one) => one.body)).toEqual([
      { kind: 'pump_down', name: '' },
      { kind: 'pump_down_vacuum', name: '', minutes: 1 },
    ])
  })
  it('says stop after a minute in vacuum, rings once, and goes on saying it', async () => {
    writes('clocks')
    const shown = at(PumpDownRun)
    await pressOf(shown, 'Compressor on').trigger('click')
    await vi.advanceTimersByTimeAsync(1000)
    await pressOf(shown, 'Below 0 psig').trigger('click')
    await vi.advanceTimersByTimeAsync(59_000)
    expect(count(shown)).not.toBe('STOP')
    await vi.advanceTimersByTimeAsync(2000)
    expect(count(shown)).toBe('STOP')
    await vi.advanceTimersByTimeAsync(5000)
    expect(ring).toHaveBeenCalledTimes(1)
    await pressOf(shown, 'Compressor off').trigger('click')
    await vi.advanceTimersByTimeAsync(200)
    expect(count(shown)).toBe('0:00')
  })
  it('goes on where it was when the page is opened anew, without signal too', async () => {
    const shown = at(PumpDownRun)
    await pressOf(shown, 'Compressor on').trigger('click')
    await vi.advanceTimersByTimeAsync(1000)
    shown.unmount()
    await vi.advanceTimersByTimeAsync(29_000)
    expect(count(at(PumpDownRun))).toBe('0:30')
  })
  it('puts the jumper on the put-back list, once', async () => {
    const asked = writes('put-back')
    const shown = at(PumpDownRun)
    await pressOf(shown, 'Low-pressure switch jumpered').trigger('click')
    await vi.advanceTimersByTimeAsync(10)
    expect(sent(asked)[0]?.body).toEqual({ kind: 'safety_bypassed', where: 'low-pressure switch' })
    machine({ putBack: [{ kind: 'safety_bypassed', closed: false }] as unknown as PutBackView[] })
    await vi.advanceTimersByTimeAsync(10)
    expect(pressOf(shown, 'Jumper is on the put-back list').attributes('disabled')).toBeDefined()
  })
  it('is only looked at by who may not record', () => {
    signIn(7, [])
    expect(at(PumpDownRun).findAll('button')).toHaveLength(0)
  })
})

describe('a new job', () => {
  const facts = {
    rooftop: [
      { id: 'on_roof', text: 'On a roof' },
      { id: 'circuit_opened', text: 'Circuit opened' },
    ],
    compressor: [{ id: 'on_roof', text: 'On a roof' }],
  }
  const form = async (usual: string[] = []) => {
    stubServer({ 'GET /api/v1/company': { facts: usual } })
    useChecks().byId = new Map([['x', {} as never]])
    useChecks().facts = facts
    useChecks().gates = [1, 2, 3].map((gate) => ({ gate, name: `Gate ${gate}` })) as never
    const shown = at(JobForm, { people: [{ id: 3, name: 'Rafe' }], busy: false })
    await flushPromises()
    return shown
  }
  const job = async (shown: Awaited<ReturnType<typeof form>>) => {
    await shown.find('input').setValue('Changeout')
    await shown.find('form').trigger('submit')
    return shown.emitted('send')?.at(-1)?.[0] as Record<string, unknown>
  }

  it('says type and facts at once by a preset', async () => {
    const shown = await form(['on_roof'])
    await pressOf(shown, 'Repair on an opened circuit').trigger('click')
    expect(await job(shown)).toMatchObject({
      title: 'Changeout',
      type: 'rooftop',
      startUpOnly: true,
      asked: ['2', '3'],
      facts: ['on_roof', 'circuit_opened'],
    })
  })
  it('asks nothing of the first gates where only the start-up is done', async () => {
    const shown = await form()
    expect(await job(shown)).toMatchObject({ startUpOnly: false, asked: [] })
  })
  it('keeps what was ticked for another type, as far as that asks it', async () => {
    const shown = await form()
    for (const box of shown.find('.facts').findAll('input')) await box.setValue(true)
    await shown.find('select').setValue('compressor')
    expect(await job(shown)).toMatchObject({ type: 'compressor', facts: ['on_roof'] })
  })
  it('is changed without its type and facts: those change on the tape', async () => {
    stubServer({})
    const old = {
      id: 1,
      title: 'Old',
      startsOn: '2026-11-28',
      endsOn: '2026-11-29',
      peopleIds: [3],
      version: 2,
    }
    const shown = at(JobForm, { job: old, people: [{ id: 3, name: 'Rafe' }], busy: false })
    await flushPromises()
    expect(await job(shown)).toEqual({
      title: 'Changeout',
      startsOn: '2026-11-28',
      endsOn: '2026-11-29',
      people: [3],
    })
    expect(shown.find('.presets').exists()).toBe(false)
  })
})

describe('what was read in the Pocket', () => {
  const today = {
    jobs: [
      { site: 'Harrow Lane Library', machines: [{ id: 4, name: 'RTU-4', place: 'roof' }] },
      { site: 'Copperbeech Bakery', machines: [{ id: 9, name: 'CU-1', place: 'yard' }] },
    ],
  }
  const dialog = async (bench: string) => {
    stubServer({ 'GET /api/v1/today': today })
    const shown = at(AttachDialog, { modelValue: false, carried: () => ({ bench, inputs: [{}] }) })
    await shown.setProps({ modelValue: true })
    await flushPromises()
    return shown
  }

  it('goes to a unit of today, found by its words', async () => {
    const shown = await dialog('curb')
    expect(shown.findAll('li')).toHaveLength(2)
    await shown.find('input').setValue('bake yard')
    expect(shown.findAll('li').map((one) => one.find('b').text())).toEqual(['CU-1'])
    await shown.find('li button').trigger('click')
    expect(usePocket().carried?.bench).toBe('curb')
    expect(push).toHaveBeenCalledWith({ name: 'machine', params: { id: 9 } })
  })
  it('goes to the page of options where that is what it is', async () => {
    const shown = await dialog('options')
    await shown.find('li button').trigger('click')
    expect(push).toHaveBeenCalledWith({ name: 'options', params: { id: 4 } })
  })
  it('says so where no unit has these words', async () => {
    const shown = await dialog('curb')
    await shown.find('input').setValue('zzz')
    expect(shown.findAll('li')).toHaveLength(0)
    expect(shown.find('.caption').exists()).toBe(true)
  })
})

describe('the tape', () => {
  const out = (more: Partial<PutBackView>) =>
    ({
      id: 1,
      kind: 'lock',
      what: 'Lock 14',
      since: new Date(Date.now() - 20 * 60_000).toISOString(),
      closed: false,
      left: '',
      owner: '',
      due: '',
      whoId: 7,
      limitMinutes: null,
      ...more,
    }) as unknown as PutBackView
  const entry = (more: Partial<TapeEntry>) =>
    ({
      at: 1,
      kind: 'check',
      title: 'Supply',
      who: 'Mina Hale',
      placedAt: '2026-11-28T08:05:00',
      recordedAt: '2026-11-28T08:05:00',
      correctionMs: 0,
      status: 'clear',
      headline: '',
      readings: [],
      photos: [],
      suspect: '',
      outOfOrder: [],
      instrument: '',
      instrumentOverdue: false,
      input: {},
      ...more,
    }) as unknown as TapeEntry

  it('says what is over its time', async () => {
    machine({ putBack: [out({ id: 1, limitMinutes: 15 }), out({ id: 2, limitMinutes: 30 }), out({ id: 3 })] })
    useClocks().tick()
    const shown = at(TapePanel)
    await flushPromises()
    const rows = shown.findAll('.entry-out')
    expect(rows.map((row) => row.find('.over').exists())).toEqual([true, false, false])
    expect(rows[1]!.text()).toMatch(/(10:00|9:5\d)/)
  })
  it('lets only who opened an entry close it, unless they may close any', async () => {
    machine({ putBack: [out({ id: 1 }), out({ id: 2, whoId: 8 })] })
    const presses = () => at(TapePanel).findAll('.off').length
    expect(presses()).toBe(1)
    signIn(7, ['close_any_put_back', 'close_own_put_back'])
    expect(presses()).toBe(2)
    signIn(7, [])
    expect(presses()).toBe(0)
  })
  it('tells side by side what was measured side by side', () => {
    const readings = [
      { path: 'volts_ab', value: '481', unit: 'V' },
      { path: 'volts_bc', value: '478', unit: 'V' },
      { path: 'nameplate', value: '460', unit: 'V' },
      { path: 'volts_ca', value: '483', unit: 'V' },
    ]
    machine({ tape: [entry({ readings } as never)] })
    expect(at(TapePanel).find('.figures').text()).toBe('481 · 478 · 483 V')
  })
  it('leaves pictures and clocks to their own places, and strikes through what is doubted', () => {
    machine({
      tape: [
        entry({ at: 3, kind: 'photo' }),
        entry({ at: 2, kind: 'clock_started' }),
        entry({ at: 1, suspect: 'loose lead' }),
      ],
    })
    const slips = at(TapePanel).findAll('.slip')
    expect(slips).toHaveLength(1)
    expect(slips[0]!.classes()).toContain('struck')
    expect(slips[0]!.text()).toContain('loose lead')
  })
})

describe('what is put back', () => {
  const lock = { id: 5, kind: 'lock', what: 'Lock 14' } as unknown as PutBackView
  const dialog = async () => {
    const shown = at(PutBackDialog, { modelValue: null })
    await shown.setProps({ modelValue: lock })
    return shown
  }
  it('is put back on a word, not without one', async () => {
    const asked = writes('put-back/5/close')
    const shown = await dialog()
    expect(shown.find('[type=submit]').attributes('disabled')).toBeDefined()
    await shown.find('input').setValue('key in my pocket')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toEqual({ word: 'key in my pocket' })
  })
  it('or is left out with an owner and a date', async () => {
    const asked = writes('put-back/5/leave')
    const shown = await dialog()
    await shown.findAll('button.small')[1]!.trigger('click')
    await shown.find('#put-back-word').setValue('door seal on order')
    expect(shown.find('[type=submit]').attributes('disabled')).toBeDefined()
    await shown.find('#put-back-owner').setValue('Rafe')
    await shown.find('#put-back-due').setValue('2026-12-01')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toEqual({ reason: 'door seal on order', owner: 'Rafe', due: '2026-12-01' })
  })
  it('stays open with what was typed where the server says no', async () => {
    stubServer({ 'POST /api/v1/machines/1/put-back/5/close': () => refusal(409, 'Rafe has put it back.') })
    const shown = await dialog()
    await shown.find('input').setValue('key in my pocket')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(shown.text()).toContain('Rafe has put it back.')
    expect(shown.find('input').element.value).toBe('key in my pocket')
  })
  it('is opened by hand with what and where', async () => {
    const asked = writes('put-back')
    useChecks().putBackKinds = [{ kind: 'panel_off', text: 'Panel off' }] as never
    const shown = at(OpenPutBackDialog, { modelValue: false })
    await shown.setProps({ modelValue: true })
    await shown.find('select').setValue('panel_off')
    expect(shown.find('[type=submit]').attributes('disabled')).toBeDefined()
    await shown.find('input').setValue('blower side')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toEqual({ kind: 'panel_off', where: 'blower side' })
  })
})

describe('an open item', () => {
  const item = { id: 3, what: 'Crane permit', owner: '', due: '', done: '' } as unknown as OpenItemView
  const dialog = async (one: OpenItemView | null) => {
    const shown = at(ItemDialog, { item: one, modelValue: false })
    await shown.setProps({ modelValue: true })
    return shown
  }
  it('gets an owner and a date', async () => {
    const asked = writes('items/3/own')
    const shown = await dialog(item)
    await shown.find('#item-owner').setValue('Rafe')
    expect(shown.find('[type=submit]').attributes('disabled')).toBeDefined()
    await shown.find('#item-due').setValue('2026-12-01')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toEqual({ owner: 'Rafe', due: '2026-12-01' })
  })
  it('is done with a word', async () => {
    const asked = writes('items/3/done')
    const shown = await dialog(item)
    await shown.findAll('button.small')[1]!.trigger('click')
    await shown.find('#item-word').setValue('P-7 is in the truck')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toEqual({ word: 'P-7 is in the truck' })
  })
  it('is a new one, which a reading may wait for that the season forbids', async () => {
    const asked = writes('items')
    machine({
      gates: [
        {
          missing: [
            { check: 'charge.state', subject: 'circuit:A', todo: 'Charge A' },
            { check: 'power.voltage', subject: 'machine', todo: 'Volts' },
          ],
        },
      ] as never,
    })
    const shown = await dialog(null)
    expect(
      shown
        .findAll('option')
        .map((one) => one.text())
        .slice(1),
    ).toEqual(['Charge A'])
    await shown.find('#item-what').setValue('Come back in May')
    await shown.find('#item-waits').setValue('charge.state|circuit:A')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toEqual({
      what: 'Come back in May',
      owner: '',
      due: '',
      check: 'charge.state',
      subject: 'circuit:A',
    })
  })
})

describe('two people at one machine', () => {
  it('ask whether the other is ready', async () => {
    const asked = writes('ready')
    const shown = at(ReadyLine)
    await shown.find('button').trigger('click')
    await shown.find('#ready-what').setValue('disconnect on')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toEqual({ what: 'disconnect on' })
  })
  it('are answered by the other only', async () => {
    machine({ ready: { at: 3, who: 'Rafe Osei', whoId: 8, what: 'Disconnect on' } as never })
    const asked = writes('ready/3')
    const shown = at(ReadyLine)
    expect(shown.classes()).toContain('called')
    await shown.find('button').trigger('click')
    await flushPromises()
    expect(sent(asked)).toHaveLength(1)
    machine({ ready: { at: 3, who: 'Mina Hale', whoId: 7, what: 'Disconnect on' } as never })
    expect(at(ReadyLine).find('button').exists()).toBe(false)
  })
})

describe('clocks on every screen', () => {
  const ended = (more: Partial<ClockView> = {}) =>
    ({
      id: 'a',
      at: 5,
      machineId: 1,
      machine: 'RTU-1',
      kind: 'fire_watch',
      name: 'Fire watch',
      who: 'Mina',
      endsAt: new Date(Date.now() - 1000).toISOString(),
      next: 'Walk it once more.',
      ...more,
    }) as unknown as ClockView

  it('say what has ended and what to do now, until it is seen', async () => {
    useClocks().clocks = [ended({ at: null } as never)]
    useClocks().tick()
    const shown = at(ClockBell)
    await flushPromises()
    expect(shown.text()).toContain('RTU-1: Fire watch')
    expect(shown.text()).toContain('Walk it once more.')
    await shown.find('button').trigger('click')
    expect(shown.find('[role=alert]').exists()).toBe(false)
  })
  it('say nothing to who is not signed in', () => {
    useClocks().clocks = [ended()]
    useClocks().tick()
    useSession().view = null
    expect(at(ClockBell).find('[role=alert]').exists()).toBe(false)
  })
  it('are started with whole minutes or with the usual ones', async () => {
    const asked = writes('clocks')
    const shown = at(ClocksDialog, { modelValue: true, at: 1 })
    await shown.find('input[inputmode]').setValue('2.5')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)).toHaveLength(0)
    expect(shown.find('[role=alert]').exists()).toBe(true)
    await shown.find('input[inputmode]').setValue('')
    await shown.find('select').setValue('pressure_hold')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toEqual({ kind: 'pressure_hold', name: '', minutes: 1440 })
  })
  it('are started only at a machine', () => {
    expect(at(ClocksDialog, { modelValue: true, at: null }).find('form').exists()).toBe(false)
  })
})

describe('the search', () => {
  const FOUND = [
    { kind: 'machine', id: 4, title: 'RTU-4', more: 'Harrow Lane Library' },
    { kind: 'sheet', id: 2, title: 'BF-150G', more: '' },
  ]
  const searching = async (answer: unknown = { found: FOUND }) => {
    vi.useFakeTimers()
    const asked = stubServer({ 'GET /api/v1/search': answer })
    const shown = at(SearchDialog, { modelValue: false })
    await shown.setProps({ modelValue: true })
    await shown.find('input').setValue('b')
    await shown.find('input').setValue('bf')
    await vi.advanceTimersByTimeAsync(200)
    return { asked, shown }
  }
  it('asks once for what was typed, and goes where an arrow points', async () => {
    const { asked, shown } = await searching()
    expect(asked.map((one) => one.path)).toEqual(['/api/v1/search?q=bf'])
    const box = shown.find('input')
    await box.trigger('keydown', { key: 'ArrowDown' })
    await box.trigger('keydown', { key: 'Enter' })
    expect(push).toHaveBeenCalledWith({ name: 'sheet', params: { id: 2 } })
  })
  it('waits with Enter for what was typed last', async () => {
    const { shown } = await searching((asked: { path: string }) => ({
      found: asked.path.endsWith('bf') ? FOUND : [{ kind: 'machine', id: 11, title: 'RTU-11', more: '' }],
    }))
    await shown.find('input').setValue('rtu-11')
    await shown.find('input').trigger('keydown', { key: 'Enter' })
    expect(push).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(200)
    expect(push).toHaveBeenCalledWith({ name: 'machine', params: { id: 11 } })
  })
  it('goes around at its ends', async () => {
    const { shown } = await searching()
    await shown.find('input').trigger('keydown', { key: 'ArrowUp' })
    expect(shown.findAll('[aria-selected=true]').map((one) => one.find('b').text())).toEqual(['BF-150G'])
    await shown.find('input').trigger('keydown', { key: 'ArrowDown' })
    expect(shown.findAll('[aria-selected=true]').map((one) => one.find('b').text())).toEqual(['RTU-4'])
  })
  it('takes keys while its box is not yet in focus', async () => {
    const { shown } = await searching()
    ;(document.activeElement as HTMLElement | null)?.blur()
    const key = (name: string) =>
      window.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true }))
    key('1')
    await vi.advanceTimersByTimeAsync(200)
    expect(shown.find('input').element.value).toBe('bf1')
    key('ArrowDown')
    key('Enter')
    expect(push).toHaveBeenCalledWith({ name: 'sheet', params: { id: 2 } })
  })
  it('says when there is none', async () => {
    const { shown } = await searching({ found: [] })
    expect(shown.find('.caption').exists()).toBe(true)
  })
})

describe('signing in', () => {
  it('goes where one was going, and says why when it does not', async () => {
    useSession().view = {
      person: null,
      company: '',
      demo: [{ name: 'Mina Hale', role: 'starter' }],
    } as unknown as SessionView
    stubServer({ 'POST /api/v1/session/demo': () => refusal(403, 'This demo is closed.') })
    const shown = at(SignInScreen)
    await shown.find('.demo button').trigger('click')
    await flushPromises()
    expect(shown.find('.problem').text()).toContain('This demo is closed.')
    expect(push).not.toHaveBeenCalled()
    const mina = { person: { id: 7, name: 'Mina Hale', rights: [] }, company: 'C', demo: [] }
    const asked = stubServer({ 'POST /api/v1/session/demo': mina })
    await shown.find('.demo button').trigger('click')
    await flushPromises()
    expect(asked[0]?.body).toEqual({ name: 'Mina Hale' })
    expect(push).toHaveBeenCalledWith('/machines/4')
  })
})

describe('the instruments', () => {
  const tool = {
    id: 2,
    name: 'Clamp 2',
    kind: 'clamp',
    serial: 'X1',
    accuracy: '1%',
    due: '2026-01-31',
    overdue: true,
  }
  it('say which one is past its date, and are changed by who may', async () => {
    const asked = stubServer({
      'GET /api/v1/instruments': { instruments: [tool] },
      'POST /api/v1/instruments/2': { instruments: [{ ...tool, due: '2027-01-31', overdue: false }] },
    })
    const shown = at(InstrumentsScreen)
    await flushPromises()
    expect(shown.find('.overdue').text()).toContain('31 Jan 2026')
    await shown.find('.act button').trigger('click')
    await shown.find('#tool-due').setValue('2027-01-31')
    await shown.find('form').trigger('submit')
    await flushPromises()
    expect(sent(asked)[0]?.body).toMatchObject({ name: 'Clamp 2', due: '2027-01-31' })
    expect(shown.find('.overdue').exists()).toBe(false)
  })
  it('are only read by others', async () => {
    signIn(7, [])
    stubServer({ 'GET /api/v1/instruments': { instruments: [tool] } })
    const shown = at(InstrumentsScreen)
    await flushPromises()
    expect(shown.findAll('button')).toHaveLength(0)
  })
})
