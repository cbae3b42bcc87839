// @vitest-environment happy-dom
import { flushPromises } from './testing'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, ref, type EffectScope } from 'vue'
import { useMachine } from '@/stores/machine'
import { useVerdict } from './useVerdict'

type Answer = { resolve: (response: Response) => void; body: { input: { volts?: string } } }
let asked: Answer[] = []
let scope: EffectScope

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  asked = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const body = (await request.clone().json()) as Answer['body']
    return new Promise<Response>((resolve) => asked.push({ resolve, body }))
  })
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

const says = (headline: string) =>
  new Response(JSON.stringify({ headline, status: 'clear' }), {
    status: 200,
    headers: { 'Content-Type': 'application/json' },
  })
const start = (input: ReturnType<typeof ref<{ volts?: string }>>) => {
  const made = scope.run(() => useVerdict(ref('power.voltage'), input as never))
  if (made === undefined) throw new Error('no scope')
  return made
}

describe('a verdict while typing', () => {
  it('drops an answer that was overtaken', async () => {
    const input = ref<{ volts?: string }>({ volts: '4' })
    const { verdict } = start(input)
    await flushPromises()
    input.value = { volts: '48' }
    await vi.advanceTimersByTimeAsync(60)
    await flushPromises()
    expect(asked.map((one) => one.body.input.volts)).toEqual(['4', '48'])
    asked[1]?.resolve(says('new'))
    await flushPromises()
    asked[0]?.resolve(says('old'))
    await flushPromises()
    expect(verdict.value?.headline).toBe('new')
  })

  it('asks once for several keystrokes within the pause', async () => {
    const input = ref<{ volts?: string }>({})
    start(input)
    await flushPromises()
    for (const volts of ['4', '48', '481']) {
      input.value = { volts }
      await vi.advanceTimersByTimeAsync(10)
    }
    await vi.advanceTimersByTimeAsync(60)
    await flushPromises()
    expect(asked.map((one) => one.body.input.volts)).toEqual([undefined, '481'])
  })

  it('keeps the last verdict while a value is refused, and names the field', async () => {
    const input = ref<{ volts?: string }>({ volts: '481' })
    const { verdict, problem } = start(input)
    await flushPromises()
    asked[0]?.resolve(says('fit'))
    await flushPromises()
    input.value = { volts: 'x' }
    await vi.advanceTimersByTimeAsync(60)
    await flushPromises()
    asked[1]?.resolve(
      new Response(
        JSON.stringify({ type: '', title: '', status: 422, detail: 'volts: no', field: 'volts' }),
        { status: 422, headers: { 'Content-Type': 'application/problem+json' } },
      ),
    )
    await flushPromises()
    expect([verdict.value?.headline, problem.value?.field]).toEqual(['fit', 'volts'])
  })

  it('says that the server is away and asks again by itself', async () => {
    const input = ref<{ volts?: string }>({ volts: '481' })
    const { verdict } = start(input)
    await flushPromises()
    asked[0]?.resolve(new Response('', { status: 502 }))
    await flushPromises()
    expect(useMachine().reachable).toBe(false)
    await vi.advanceTimersByTimeAsync(3100)
    await flushPromises()
    asked[1]?.resolve(says('back'))
    await flushPromises()
    expect([useMachine().reachable, verdict.value?.headline]).toEqual([true, 'back'])
  })
})
