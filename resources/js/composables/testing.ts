import { vi } from 'vitest'
import { h, type Component, type VNode } from 'vue'

/** Lets everything that is already settled run on, with real or with fake timers. */
export async function flushPromises(): Promise<void> {
  for (let i = 0; i < 30; i++) await Promise.resolve()
}

/** What the server was asked: method, path with its query, and what was sent. */
export type Asked = { method: string; path: string; body: unknown }
type Answer = unknown | ((asked: Asked) => unknown)

/**
 * A server that answers by "METHOD /path" (without the query); what it does not know it does not answer, as without
 * signal. Returns what it was asked, in order.
 */
export function stubServer(answers: Record<string, Answer>): Asked[] {
  const asked: Asked[] = []
  vi.stubGlobal('fetch', async (to: string | Request, init?: RequestInit) => {
    const request = typeof to === 'string' ? new Request(new URL(to, 'http://localhost'), init) : to
    const url = new URL(request.url)
    const text = await request.clone().text()
    const one: Asked = {
      method: request.method,
      path: url.pathname + url.search,
      body: text === '' ? undefined : (JSON.parse(text) as unknown),
    }
    asked.push(one)
    const key = `${request.method} ${url.pathname}`
    if (!(key in answers)) throw new TypeError('failed to fetch')
    const given = answers[key]
    const told: unknown = typeof given === 'function' ? (given as (asked: Asked) => unknown)(one) : given
    return told instanceof Response
      ? told
      : new Response(JSON.stringify(told), { status: 200, headers: { 'Content-Type': 'application/json' } })
  })
  return asked
}

/** A refusal as the server tells it. */
export const refusal = (status: number, detail: string) =>
  new Response(JSON.stringify({ type: '/problems/x', title: 'No', status, detail }), {
    status,
    headers: { 'Content-Type': 'application/problem+json' },
  })

type Slots = { slots: Record<string, (() => VNode[]) | undefined> }

/** Dialogs in place, not at the end of the page: what is in them is found where they stand. */
export const DIALOGS: Record<string, Component> = {
  ElDialog: {
    props: { modelValue: Boolean, title: String },
    setup:
      (props: Record<string, unknown>, { slots }: Slots) =>
      () =>
        props.modelValue
          ? h('div', { role: 'dialog' }, [h('h2', String(props.title)), slots.default?.(), slots.footer?.()])
          : null,
  },
  RouterLink: {
    props: ['to'],
    setup:
      (_: object, { slots }: Slots) =>
      () =>
        h('a', slots.default?.()),
  },
}
