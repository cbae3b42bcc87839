// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Refused, type MachineView, type SessionView } from '@/api/client'
import { flushPromises } from '@/composables/testing'
import { memoryStore, deviceStore, sturdyStore, useDeviceStore } from '@/lib/deviceStore'
import { keeping } from '@/lib/keeping'
import { useMachine } from './machine'
import { useOutbox } from './outbox'
import { useSession } from './session'

type Sent = {
  path: string
  key: string
  at: string
  sent: string
  person: string
  resolve: (r: Response) => void
  reject: (e: Error) => void
}
let sent: Sent[] = []
const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } })
let stands = 4
/** Whether nothing answers, when it is asked whether anything does. */
let away = true
const kept = (at = 5) => {
  stands = at
  return json(201, { at, putBack: null })
}
/** Reading is answered at once: the machine as it stands after what was taken. */
const machineNow = () => json(200, { id: 1, name: 'after', putBack: [], items: [], news: stands })
const problem = (status: number, more = {}) =>
  json(status, { type: '/problems/x', title: 'No', status, detail: 'why', ...more })
const SAID = { label: 'Note', words: 'x' }
const signIn = (id: number) => {
  useSession().view = { person: { id, name: `P${id}`, rights: [] } } as unknown as SessionView
}
const note = () => useMachine().note(7, 'x', SAID)
async function settle() {
  for (let i = 0; i < 4; i++) await flushPromises()
}

beforeEach(() => {
  setActivePinia(createPinia())
  useDeviceStore(memoryStore())
  sent = []
  stands = 4
  away = true
  vi.stubGlobal('fetch', (path: string | Request, init: { headers: Record<string, string> }) =>
    typeof path !== 'string'
      ? Promise.resolve(machineNow())
      : path === '/api/v1/session'
        ? away
          ? Promise.reject(new TypeError('failed to fetch'))
          : Promise.resolve(json(200, {}))
        : new Promise<Response>((resolve, reject) =>
            sent.push({
              path,
              key: init.headers['Idempotency-Key'] ?? '',
              at: init.headers['X-Device-Time'] ?? '',
              sent: init.headers['X-Device-Sent'] ?? '',
              person: init.headers['X-Person'] ?? '',
              resolve,
              reject,
            }),
          ),
  )
  useMachine().view = { id: 1, name: 'before', putBack: [], news: 4 } as unknown as MachineView
  signIn(1)
})
afterEach(() => vi.unstubAllGlobals())

describe('every write goes through the outbox', () => {
  it('sends a double press once and shows the machine as it stands afterwards', async () => {
    const both = [note(), note()]
    await settle()
    expect(sent).toHaveLength(1)
    sent[0]?.resolve(kept())
    expect((await Promise.all(both)).map((one) => one?.at)).toEqual([5, undefined])
    expect(useMachine().view?.name).toBe('after')
    expect(useOutbox().items).toEqual([])
  })

  it('keeps what gets no answer, and sends it again under its key and with its time, in order', async () => {
    const first = note()
    await settle()
    sent[0]?.reject(new TypeError('failed to fetch'))
    expect((await first)?.at).toBeNull()
    expect([useMachine().reachable, useOutbox().waiting.length]).toEqual([false, 1])
    const second = note()
    await settle()
    // The second waits for the first: the first is tried once more, and fails.
    sent[1]?.reject(new TypeError('failed to fetch'))
    expect((await second)?.at).toBeNull()
    expect(useOutbox().waiting).toHaveLength(2)
    void useOutbox().drain()
    await settle()
    sent[2]?.resolve(kept(5))
    await settle()
    sent[3]?.resolve(kept(6))
    await settle()
    expect(sent.map((s) => s.key === sent[0]?.key)).toEqual([true, true, true, false])
    expect(sent[2]?.at).toBe(sent[0]?.at)
    expect([useOutbox().items.length, useMachine().view?.news, useMachine().reachable]).toEqual([0, 6, true])
  })

  it('tells the person who is still there why it was refused, and keeps nothing', async () => {
    const refused = note().catch((error: unknown) => error)
    await settle()
    sent[0]?.resolve(problem(409, { reasons: ['because'] }))
    const error = await refused
    expect(error instanceof Refused && error.problem.reasons).toEqual(['because'])
    expect(useOutbox().items).toEqual([])
  })

  it('keeps what is refused after it waited, with both sides, and goes on with the rest', async () => {
    for (let i = 0; i < 2; i++) {
      const lost = note()
      await settle()
      sent[i]?.reject(new TypeError('failed to fetch'))
      await lost
    }
    void useOutbox().drain()
    await settle()
    sent[2]?.resolve(
      problem(409, { theirs: { at: 3, who: 'Other', when: '2026-01-01T00:00:00Z', words: 'first' } }),
    )
    await settle()
    sent[3]?.resolve(kept(6))
    await settle()
    const outbox = useOutbox()
    expect([outbox.waiting.length, outbox.refused[0]?.problem?.theirs?.who]).toEqual([0, 'Other'])
    void outbox.retry(outbox.refused[0]!)
    await settle()
    expect(sent[4]?.key).toBe(sent[0]?.key)
    sent[4]?.resolve(problem(409))
    await settle()
    await outbox.drop(outbox.refused[0]!)
    expect(outbox.items).toEqual([])
  })

  it('sends nothing in the name of somebody else', async () => {
    const lost = note()
    await settle()
    sent[0]?.reject(new TypeError('failed to fetch'))
    await lost
    signIn(2)
    await useOutbox().drain()
    expect([sent.length, useOutbox().others.length]).toEqual([1, 1])
    signIn(1)
    void useOutbox().drain()
    await settle()
    expect(sent.map((s) => s.person)).toEqual(['1', '1'])
  })

  it('lets somebody else neither drop nor rewrite nor send again what waits or was refused', async () => {
    const lost = note()
    await settle()
    sent[0]?.reject(new TypeError('failed to fetch'))
    await lost
    void useOutbox().drain()
    await settle()
    sent[1]?.resolve(problem(409))
    await settle()
    const outbox = useOutbox()
    const [item] = outbox.refused
    signIn(2)
    expect([outbox.mine.length, outbox.refused.length, outbox.of(1).length, outbox.others.length]).toEqual([
      0, 0, 0, 1,
    ])
    await outbox.drop(item!)
    await outbox.retry(item!)
    await outbox.keepAsNote(item!, 'mine now')
    expect([sent.length, outbox.others[0]?.problem?.status, outbox.items.length]).toEqual([2, 409, 1])
  })

  it('stops when somebody else has signed in on another page, and keeps what was written', async () => {
    const lost = note()
    await settle()
    sent[0]?.resolve(
      problem(409, { type: '/problems/other-person', whose: { writer: 'P1', signedIn: 'Ines' } }),
    )
    expect((await lost)?.at).toBeNull()
    expect(useSession().other).toBe('Ines')
    await useOutbox().drain()
    expect([sent.length, useOutbox().waiting.length]).toEqual([1, 1])
  })

  it('sets aside what fails again and again while the server answers, and goes on with the rest', async () => {
    away = false
    const first = note()
    await settle()
    sent[0]?.resolve(problem(500))
    expect((await first)?.at).toBeNull()
    const second = note()
    await settle()
    sent[1]?.resolve(problem(500))
    await second
    expect([useOutbox().waiting.length, useOutbox().refused.length]).toEqual([2, 0])
    void useOutbox().drain()
    await settle()
    sent[2]?.resolve(problem(500))
    await settle()
    sent[3]?.resolve(kept(5))
    await settle()
    const outbox = useOutbox()
    expect([outbox.waiting.length, outbox.refused[0]?.problem?.aside]).toEqual([0, true])
    expect(sent.map((s) => s.key === sent[0]?.key)).toEqual([true, true, true, false])
    void outbox.retry(outbox.refused[0]!)
    await settle()
    sent[4]?.resolve(kept(6))
    await settle()
    expect(outbox.items).toEqual([])
  })

  it('goes on sending where the browser keeps nothing, and says so', async () => {
    const full = () => Promise.reject(new DOMException('full', 'QuotaExceededError'))
    useDeviceStore(
      sturdyStore({
        ...memoryStore(),
        add: full,
        put: full,
        arrived: full,
        keepPage: full,
        all: full,
        page: full,
      }),
    )
    keeping.fails = false
    const one = note()
    await settle()
    expect(keeping.fails).toBe(true)
    sent[0]?.resolve(kept(5))
    expect([(await one)?.at, useOutbox().items.length]).toEqual([5, 0])
    const other = note()
    await settle()
    sent[1]?.reject(new TypeError('failed to fetch'))
    expect([(await other)?.at, useOutbox().waiting.length]).toEqual([null, 1])
  })

  it('waits with 401 and 503, for these will pass', async () => {
    for (const [i, status] of [503, 500].entries()) {
      const lost = note()
      await settle()
      sent[i]?.resolve(problem(status))
      expect((await lost)?.at).toBeNull()
    }
    expect([useOutbox().waiting.length, useOutbox().refused.length]).toEqual([2, 0])
  })

  it('sends a picture after the reading it belongs to, to the place that got', async () => {
    const reading = note()
    await settle()
    sent[0]?.reject(new TypeError('failed to fetch'))
    const about = (await reading)!
    const picture = useMachine().photograph(new Blob(['x'], { type: 'image/jpeg' }), about, '', SAID)
    await settle()
    sent[1]?.reject(new TypeError('failed to fetch'))
    await picture
    void useOutbox().drain()
    await settle()
    sent[2]?.resolve(kept(9))
    await settle()
    expect(sent[3]?.path).toContain('/machines/1/photos?about=9&')
    sent[3]?.resolve(kept(10))
    await settle()
    expect(await deviceStore().all()).toEqual([])
  })
})
