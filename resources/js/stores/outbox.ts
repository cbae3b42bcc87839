import { defineStore } from 'pinia'
import { computed, ref, toRaw } from 'vue'
import {
  answer,
  newKey,
  OTHER_PERSON,
  posted,
  problemOf,
  Refused,
  Unreachable,
  type ProblemView,
  type RecordedView,
} from '@/api/client'
import { deviceStore, type Waiting } from '@/lib/deviceStore'
import { useSession } from './session'
import { useSignal } from './signal'

export type Write = Pick<Waiting, 'machine' | 'machineName' | 'path' | 'label' | 'words'> &
  Partial<Pick<Waiting, 'body' | 'photo' | 'aboutKey'>>
/** Where it stands, or that it waits; by the key it is sent under. */
export type Sent = { key: string; at: number | null }
type Outcome = { at: number | null } | { problem: ProblemView }

const LOCK = 'iron-start.outbox'
const WAIT_MS = 20_000
const PHOTO_WAIT_MS = 90_000
/** The server was reached and will take it later, or from somebody who is signed in. */
const LATER = [401, 408, 419, 425, 429, 500, 502, 503, 504]
/** So often one write may fail while the server answers others; then it is set aside and the rest goes on. */
const TRIES = 3

/**
 * Every write of this device, kept before it is sent: in order, each under a key of its own, only as the person who
 * wrote it. What gets no answer waits; what is refused stays until somebody says what becomes of it.
 */
export const useOutbox = defineStore('outbox', () => {
  const items = ref<Waiting[]>([])
  const session = useSession()
  const signal = useSignal()
  const touched = new Set<number>()
  const callers = new Map<string, (outcome: Outcome) => void>()
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(LOCK)
  let draining: Promise<void> | null = null
  let again = false
  let lookAgain: (machines: Set<number>) => Promise<void> = async () => undefined
  channel?.addEventListener('message', () => void refresh())

  const isMine = (item: Waiting) => item.person === session.person?.id
  const mine = computed(() => items.value.filter(isMine))
  const refused = computed(() => mine.value.filter((item) => item.problem !== undefined))
  const waiting = computed(() => mine.value.filter((item) => item.problem === undefined))
  /** Anybody's on this device: what was read may not be on the tape yet. */
  const held = computed(() => items.value.filter((item) => item.problem === undefined))
  /** On a shared device something of somebody else may wait: it is seen that it does, and no more. */
  const others = computed(() => items.value.filter((item) => !isMine(item)))

  function of(machine: number): Waiting[] {
    return mine.value.filter((item) => item.machine === machine)
  }

  async function refresh() {
    items.value = await deviceStore().all()
  }

  async function changed() {
    await refresh()
    channel?.postMessage('changed')
  }

  /**
   * Keeps a write and sends it.
   * @returns its place, or null while it waits
   * @throws Refused when the server says no while the person is still there to be told
   */
  async function send(write: Write): Promise<Sent> {
    const person = session.person
    if (person === null) throw new Unreachable('Nobody is signed in.')
    const key = newKey()
    const outcome = new Promise<Outcome>((resolve) => callers.set(key, resolve))
    await deviceStore().add({
      ...write,
      key,
      person: person.id,
      who: person.name,
      company: session.view?.company ?? '',
      deviceAt: new Date().toISOString(),
    })
    await changed()
    void drain()
    const got = await outcome
    if ('problem' in got) throw new Refused(got.problem)
    return { key, at: got.at }
  }

  /** Sends what waits, one after the other. One tab at a time; a call while it runs is one more round. */
  function drain(): Promise<void> {
    again = true
    draining ??= rounds().finally(() => (draining = null))
    return draining
  }

  async function rounds() {
    while (again) {
      again = false
      // Only a page that came over a safe connection has locks; without, the keys keep a write from being done twice.
      const locks = navigator.locks as LockManager | null | undefined
      await (locks ? locks.request(LOCK, round) : round())
    }
  }

  async function round() {
    for (const item of await deviceStore().all()) {
      // Somebody else may have signed in while the last one was under way.
      if (session.other !== null) break
      if (item.problem !== undefined || !isMine(item)) continue
      if (!(await deliver(item))) break
    }
    await look()
    await refresh()
    await settleCallers()
  }

  /** Whoever shows a machine looks at it again after something of it was taken. */
  function whenSent(look: (machines: Set<number>) => Promise<void>) {
    lookAgain = look
  }

  async function look() {
    const machines = new Set(touched)
    touched.clear()
    // What was taken is taken: not to see it yet is no fault of the write.
    if (machines.size > 0) await lookAgain(machines).catch(() => undefined)
  }

  /** @returns false when there is no use in trying the next */
  async function deliver(item: Waiting): Promise<boolean> {
    try {
      const path = await pathOf(item)
      if (path === null) return true
      const done = await answer<RecordedView>(post(item, path))
      await deviceStore().arrived(item.key, done.at)
      await deviceStore().drop(item.id)
      await changed()
      signal.reachable = true
      touched.add(item.machine)
      if (callers.has(item.key)) await look()
      settle(item.key, { at: done.at })
      return true
    } catch (error) {
      if (error instanceof Refused && error.problem.type === OTHER_PERSON) return false
      if (error instanceof Refused && !LATER.includes(error.problem.status)) {
        await refuse(item, error.problem)
        return true
      }
      if (error instanceof Refused && [401, 419].includes(error.problem.status)) {
        await session.load().catch(() => undefined)
        return false
      }
      return failed(item, error)
    }
  }

  /**
   * A write that fails again and again while the server answers everything else is not in the way of the rest.
   * @returns true when the next may be tried
   */
  async function failed(item: Waiting, error: unknown): Promise<boolean> {
    // Asked to come again later: that is no failure.
    if (error instanceof Refused && error.problem.status < 500) return false
    signal.reachable = await answers()
    if (!signal.reachable) return false
    const fails = (item.fails ?? 0) + 1
    const problem = problemOf(error)
    // Whoever is still there sees that it waits; nothing is decided for them before it was tried again.
    if (fails < TRIES) await deviceStore().put({ ...toRaw(item), fails })
    else await deviceStore().put({ ...toRaw(item), fails, problem: { ...problem, title: '', aside: true } })
    await changed()
    return fails >= TRIES
  }

  /** Whether the server answers at all. */
  async function answers(): Promise<boolean> {
    return fetch('/api/v1/session', {
      headers: { Accept: 'application/json' },
      signal: AbortSignal.timeout(WAIT_MS),
    })
      .then((response) => response.ok)
      .catch(() => false)
  }

  /** Whoever is still there is told and may mend it; otherwise it is kept with the reason. */
  async function refuse(item: Waiting, problem: ProblemView) {
    signal.reachable = true
    if (callers.has(item.key)) await deviceStore().drop(item.id)
    else await deviceStore().put({ ...toRaw(item), problem })
    await changed()
    settle(item.key, { problem })
  }

  /** A picture goes after its reading, to the place that got; with a reading that was refused it waits too. */
  async function pathOf(item: Waiting): Promise<string | null> {
    if (item.aboutKey === undefined) return item.path
    const at = await deviceStore().placeOf(item.aboutKey)
    return at === undefined ? null : item.path.replace('{about}', String(at))
  }

  function post(item: Waiting, path: string) {
    return posted<RecordedView>(
      `machines/${item.machine}/${path}`,
      item.photo ?? JSON.stringify(item.body ?? {}),
      {
        'Content-Type': item.photo?.type ?? 'application/json',
        'Idempotency-Key': item.key,
        'X-Person': String(item.person),
        Prefer: 'return=minimal',
        'X-Device-Time': item.deviceAt,
        'X-Device-Sent': new Date().toISOString(),
      },
      AbortSignal.timeout(item.photo === undefined ? WAIT_MS : PHOTO_WAIT_MS),
    )
  }

  function settle(key: string, outcome: Outcome) {
    callers.get(key)?.(outcome)
    callers.delete(key)
  }

  /** Those whose write another tab has sent, or that waits. */
  async function settleCallers() {
    for (const key of [...callers.keys()]) {
      if (again && items.value.some((item) => item.key === key)) continue
      settle(key, { at: (await deviceStore().placeOf(key)) ?? null })
    }
  }

  async function drop(item: Waiting) {
    if (!isMine(item)) return
    await deviceStore().drop(item.id)
    for (const other of await deviceStore().all())
      if (other.aboutKey === item.key) await deviceStore().drop(other.id)
    await changed()
  }

  /** Once more, as it was written. */
  async function retry(item: Waiting) {
    if (!isMine(item)) return
    const fresh: Waiting = { ...toRaw(item) }
    delete fresh.problem
    delete fresh.fails
    await deviceStore().put(fresh)
    await changed()
    await drain()
  }

  /** What was refused stands on the tape as a note, in its own words. */
  async function keepAsNote(item: Waiting, text: string) {
    if (!isMine(item)) return
    await send({
      machine: item.machine,
      machineName: item.machineName,
      path: 'notes',
      body: { text },
      label: '',
      words: text,
    })
    await drop(item)
  }

  return {
    items,
    mine,
    refused,
    waiting,
    held,
    others,
    of,
    whenSent,
    send,
    drain,
    refresh,
    drop,
    retry,
    keepAsNote,
  }
})
