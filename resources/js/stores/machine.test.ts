// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Refused, Unreachable, type MachineView } from '@/api/client'
import { flushPromises } from '@/composables/testing'
import { useMachine } from './machine'

let sent: { key: string | null; resolve: (response: Response) => void; reject: (error: Error) => void }[] = []
const kept = () =>
  new Response(JSON.stringify({ at: 5, putBack: null, machine: { id: 1, name: 'after', putBack: [] } }), {
    status: 201,
    headers: { 'Content-Type': 'application/json' },
  })

beforeEach(() => {
  setActivePinia(createPinia())
  sent = []
  vi.stubGlobal(
    'fetch',
    (request: Request) =>
      new Promise<Response>((resolve, reject) =>
        sent.push({ key: request.headers.get('Idempotency-Key'), resolve, reject }),
      ),
  )
  useMachine().view = { id: 1, name: 'before', putBack: [] } as unknown as MachineView
})
afterEach(() => vi.unstubAllGlobals())

describe('writing to a machine', () => {
  it('sends a double press once and shows the machine as it stands afterwards', async () => {
    const machine = useMachine()
    const both = [machine.note(7, 'x'), machine.note(7, 'x')]
    await flushPromises()
    expect(sent).toHaveLength(1)
    sent[0]?.resolve(kept())
    expect(await Promise.all(both)).toEqual([5, null])
    expect(machine.view?.name).toBe('after')
  })

  it('sends what got no answer again under the same key, and the next write under another', async () => {
    const machine = useMachine()
    const lost = machine.note(7, 'x').catch((error: unknown) => error)
    await flushPromises()
    sent[0]?.reject(new TypeError('failed to fetch'))
    expect(await lost).toBeInstanceOf(Unreachable)
    expect(machine.reachable).toBe(false)
    const again = machine.note(7, 'x')
    await flushPromises()
    sent[1]?.resolve(kept())
    await again
    const next = machine.note(7, 'x')
    await flushPromises()
    sent[2]?.resolve(kept())
    await next
    expect(sent[1]?.key).toBe(sent[0]?.key)
    expect(sent[2]?.key).not.toBe(sent[0]?.key)
    expect(machine.reachable).toBe(true)
  })

  it('gives a refused write a new key, since it was not done', async () => {
    const machine = useMachine()
    const refused = machine.start().catch((error: unknown) => error)
    await flushPromises()
    sent[0]?.resolve(
      new Response(
        JSON.stringify({
          type: '/problems/gate-shut',
          title: 'Run is shut',
          status: 409,
          detail: 'why',
          reasons: ['why'],
        }),
        { status: 409, headers: { 'Content-Type': 'application/problem+json' } },
      ),
    )
    const error = await refused
    expect(error instanceof Refused && error.problem.reasons).toEqual(['why'])
    void machine.start().catch(() => undefined)
    await flushPromises()
    expect(sent[1]?.key).not.toBe(sent[0]?.key)
  })
})
