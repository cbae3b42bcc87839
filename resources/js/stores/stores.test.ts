// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { ClockView, MachineView, SessionView } from '@/api/client'
import { refusal, stubServer } from '@/composables/testing'
import { memoryStore, useDeviceStore } from '@/lib/deviceStore'
import { ring } from '@/lib/bell'
import { shownUnit } from '@/lib/reading'
import { useChecks } from './checks'
import { useClocks } from './clocks'
import { useMachine } from './machine'
import { usePocket } from './pocket'
import { useSession } from './session'

vi.mock('@/lib/bell', () => ({ ring: vi.fn() }))
const person = (id: number, rights: string[] = []) =>
  ({ person: { id, name: `P${id}`, rights, units: 'us' }, company: 'C', demo: [] }) as unknown as SessionView

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  useDeviceStore(memoryStore())
  vi.mocked(ring).mockClear()
})
afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

describe('the catalog of checks', () => {
  const told = {
    checks: [
      {
        id: 'power.running_amps',
        fields: [
          { name: 'loads', fields: [{ name: 'amps', fields: [] }] },
          { name: 'mode', fields: [] },
        ],
      },
    ],
    cautions: { lockout: 'Lock it.' },
    gates: [{ gate: 1, name: 'Survey' }],
    putBackKinds: [{ kind: 'lock', text: 'Lock' }],
    facts: { rooftop: [{ id: 'on_roof', text: 'On a roof' }] },
    signs: { degF: '°F' },
  }

  it('is asked for once, and brings how units are written', async () => {
    const asked = stubServer({ 'GET /api/v1/checks': told })
    await useChecks().load()
    await useChecks().load()
    expect(asked).toHaveLength(1)
    expect(shownUnit('degF')).toBe('°F')
    expect(useChecks().facts.rooftop?.[0]?.id).toBe('on_roof')
  })

  it('stands without signal as it was seen last', async () => {
    stubServer({ 'GET /api/v1/checks': told })
    await useChecks().load()
    setActivePinia(createPinia())
    stubServer({})
    await useChecks().load()
    expect(useChecks().check('power.running_amps')?.id).toBe('power.running_amps')
  })

  it('finds a field by its path, whatever place in its list', async () => {
    stubServer({ 'GET /api/v1/checks': told })
    await useChecks().load()
    expect(useChecks().field('power.running_amps', 'loads.3.amps')?.name).toBe('amps')
    expect(useChecks().field('power.running_amps', 'mode')?.name).toBe('mode')
    expect(useChecks().field('power.running_amps', 'loads.volts')).toBeUndefined()
    expect(useChecks().field('nothing', 'loads')).toBeUndefined()
  })
})

describe('clocks', () => {
  const at = Date.parse('2026-11-28T12:00:00Z')
  const clockEnding = (id: string, seconds: number) =>
    ({
      id,
      at: 5,
      machineId: 1,
      machine: 'RTU-1',
      kind: 'fire_watch',
      name: 'Fire watch',
      endsAt: new Date(at + seconds * 1000).toISOString(),
      next: 'Walk it once more.',
    }) as unknown as ClockView
  const load = async (clocks: ClockView[], now = at) => {
    stubServer({ 'GET /api/v1/clocks': { now: new Date(now).toISOString(), clocks } })
    await useClocks().load()
  }
  beforeEach(() => void vi.useFakeTimers({ now: at + 3_600_000, toFake: ['Date'] }))

  it('run by the time of the server, not by that of a device an hour ahead', async () => {
    await load([clockEnding('a', 60), clockEnding('b', -1)])
    const clocks = useClocks()
    expect(clocks.running.map((one) => one.id)).toEqual(['a'])
    expect(clocks.ended.map((one) => one.id)).toEqual(['b'])
    expect(clocks.left(clocks.running[0]!)).toBe(60_000)
  })

  it('ring once for each that ends, and not again when it was seen', async () => {
    await load([clockEnding('a', 60), clockEnding('b', -1)])
    expect(ring).toHaveBeenCalledTimes(1)
    useClocks().tick()
    expect(ring).toHaveBeenCalledTimes(1)
    vi.setSystemTime(at + 3_600_000 + 60_000)
    useClocks().tick()
    expect(ring).toHaveBeenCalledTimes(2)
    expect(useClocks().calling.map((one) => one.id)).toEqual(['a', 'b'])
    useClocks().hush(useClocks().ended[0]!)
    expect(useClocks().calling.map((one) => one.id)).toEqual(['b'])
  })

  it('keep what was seen when the page is opened anew', async () => {
    await load([clockEnding('a', -1)])
    useClocks().hush(useClocks().ended[0]!)
    setActivePinia(createPinia())
    vi.mocked(ring).mockClear()
    await load([clockEnding('a', -1)])
    expect(ring).not.toHaveBeenCalled()
    expect(useClocks().calling).toEqual([])
  })

  it('begin anew where what was kept of them is broken', async () => {
    localStorage.setItem('iron-start.rung', '{not json')
    await load([clockEnding('a', -1)])
    expect(useClocks().calling).toHaveLength(1)
  })

  it('are stopped on their own machine', async () => {
    useSession().view = person(1, ['record'])
    const asked = stubServer({
      'GET /api/v1/clocks': { now: new Date(at).toISOString(), clocks: [clockEnding('a', 60)] },
      'POST /api/v1/machines/1/clocks/5/stop': { at: 9, putBack: null },
      'GET /api/v1/machines/1': { id: 1, news: 9, putBack: [], items: [] },
    })
    await useClocks().load()
    await useClocks().stop(useClocks().running[0]!, 'Clock stopped', 'done')
    const sent = asked.find((one) => one.method === 'POST')
    expect([sent?.path, sent?.body]).toEqual(['/api/v1/machines/1/clocks/5/stop', { word: 'done' }])
  })
})

describe('the machine one stands at', () => {
  const view = (id: number, news: number) =>
    ({
      id,
      name: `RTU-${id}`,
      news,
      putBack: [{ closed: true }, { closed: false }],
      items: [{ done: '' }, { done: 'x' }],
    }) as unknown as MachineView

  it('is not another one while it is fetched', async () => {
    stubServer({ 'GET /api/v1/machines/1': view(1, 3) })
    useMachine().view = view(2, 8)
    const loading = useMachine().load(1)
    expect(useMachine().view).toBeNull()
    await loading
    expect(useMachine().view?.id).toBe(1)
  })

  it('does not go back to an older answer that came late', async () => {
    useMachine().view = view(1, 9)
    stubServer({ 'GET /api/v1/machines/1': view(1, 8) })
    await useMachine().load(1)
    expect(useMachine().view?.news).toBe(9)
  })

  it('counts what is still out and what is still open', () => {
    useMachine().view = view(1, 1)
    expect([useMachine().outstanding.length, useMachine().openItems.length]).toEqual([1, 1])
    useMachine().leave()
    expect([useMachine().outstanding.length, useMachine().openItems.length]).toEqual([0, 0])
  })

  it('is fetched anew only when there is news', async () => {
    useMachine().view = view(1, 3)
    let asked = stubServer({
      'GET /api/v1/machines/1/news': { news: 3 },
      'GET /api/v1/machines/1': view(1, 3),
    })
    await useMachine().hearNews()
    expect(asked).toHaveLength(1)
    asked = stubServer({ 'GET /api/v1/machines/1/news': { news: 4 }, 'GET /api/v1/machines/1': view(1, 4) })
    await useMachine().hearNews()
    expect(asked.map((one) => one.path)).toEqual(['/api/v1/machines/1/news', '/api/v1/machines/1'])
    expect(useMachine().view?.news).toBe(4)
  })

  it('knows whether it was reached', async () => {
    useMachine().view = view(1, 3)
    stubServer({})
    await expect(useMachine().hearNews()).rejects.toThrow()
    expect(useMachine().reachable).toBe(false)
    stubServer({ 'GET /api/v1/machines/1/news': () => refusal(500, 'broken') })
    await expect(useMachine().hearNews()).rejects.toThrow()
    expect(useMachine().reachable).toBe(true)
  })

  it('writes nothing where one stands at none', async () => {
    const asked = stubServer({})
    expect(await useMachine().note(1, 'x', { label: 'Note', words: 'x' })).toBeNull()
    expect(asked).toEqual([])
  })
})

describe('who is signed in', () => {
  it('may do what their rights say, and nobody anything without signing in', () => {
    expect(useSession().may('record')).toBe(false)
    useSession().take(person(1, ['record']))
    expect([useSession().may('record'), useSession().may('office')]).toEqual([true, false])
  })

  it('stays the same person while the page is looked at', async () => {
    useSession().take(person(1))
    stubServer({ 'GET /api/v1/session': person(2) })
    await useSession().load()
    expect(useSession().person?.id).toBe(1)
    expect(useSession().other).toBe('P2')
  })

  it('signs out at once without signal, and tells the server when it is heard of again', async () => {
    useSession().take(person(1))
    stubServer({})
    await useSession().signOut()
    expect(useSession().person).toBeNull()
    const asked = stubServer({
      'DELETE /api/v1/session': {},
      'GET /api/v1/session': { person: null, company: '', demo: [] },
    })
    await useSession().load()
    expect(asked.map((one) => `${one.method} ${one.path}`)).toEqual([
      'DELETE /api/v1/session',
      'GET /api/v1/session',
    ])
    await useSession().load()
    expect(asked.filter((one) => one.method === 'DELETE')).toHaveLength(1)
  })

  it('paints light or dark as it was chosen', async () => {
    useSession().take(person(1))
    stubServer({
      'PATCH /api/v1/me': () => ({ ...person(1), person: { ...person(1).person, theme: 'dark' } }),
    })
    await useSession().prefer({ theme: 'dark' })
    expect(document.documentElement.dataset.theme).toBe('dark')
  })
})

describe('what is carried from the Pocket', () => {
  it('is carried once, and put down', () => {
    usePocket().carry({ bench: 'curb', inputs: [{ discharge: 'down' }] })
    expect(usePocket().carried?.bench).toBe('curb')
    usePocket().drop()
    expect(usePocket().carried).toBeNull()
  })
})
