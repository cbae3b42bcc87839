import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answer, api, Unreachable, type MachineView } from '@/api/client'
import { lastSeen } from '@/lib/lastSeen'
import { useOutbox, type Sent } from './outbox'
import { useSession } from './session'
import { useSignal } from './signal'

type Recording = {
  subject: string
  input: Record<string, unknown>
  instrument?: number
  supersedes?: number
  reason?: string
  source?: string
}
/** What a write is called while it waits, and what it says. */
type Said = { label: string; words: string }

/** The machine one stands at. Every write answers with the machine as it stands afterwards. */
export const useMachine = defineStore('machine', () => {
  const view = ref<MachineView | null>(null)
  const signal = useSignal()
  const reachable = computed({
    get: () => signal.reachable,
    set: (on) => (signal.reachable = on),
  })
  const sending = ref(false)

  const outstanding = computed(() => view.value?.putBack.filter((p) => !p.closed) ?? [])
  const openItems = computed(() => view.value?.items.filter((item) => item.done === '') ?? [])

  useOutbox().whenSent(async (machines) => {
    if (view.value !== null && machines.has(view.value.id)) await load(view.value.id)
  })

  /** Without signal the machine stands as it was last seen. */
  async function load(id: number) {
    if (view.value?.id !== id) view.value = null
    const call = reach(answer(api.GET('/api/v1/machines/{machine}', { params: { path: { machine: id } } })))
    const next = await lastSeen(useSession().person?.id ?? 0, `machine.${id}`, call)
    if (view.value?.id !== next.id || next.news >= view.value.news) view.value = next
  }

  /** One stands at no machine. */
  function leave() {
    view.value = null
  }

  async function reach<T>(call: Promise<T>): Promise<T> {
    try {
      const got = await call
      reachable.value = true
      return got
    } catch (error) {
      reachable.value = !(error instanceof Unreachable)
      throw error
    }
  }

  /** @returns null when another write is just being sent: a double press is one */
  async function write(path: string, body: Record<string, unknown>, said: Said): Promise<Sent | null> {
    const at = view.value
    if (at === null || sending.value) return null
    sending.value = true
    try {
      return await useOutbox().send({ machine: at.id, machineName: at.name, path, body, ...said })
    } finally {
      sending.value = false
    }
  }

  const record = (check: string, recording: Recording, said: Said) =>
    write(`checks/${check}`, recording, said)
  /** What was read together goes as one write. */
  const recordTogether = (
    parts: { check: string; subject: string; input: Record<string, unknown>; supersedes?: number }[],
    with_: { instrument?: number; reason?: string; source?: string; unchecked?: boolean },
    said: Said,
  ) => write('checks', { parts, ...with_ }, said)
  /** Without signal, or with readings still waiting, nobody can know what stands in the way: it is kept as pressed. */
  const start = (said: Said) =>
    write('starts', { unchecked: !reachable.value || useOutbox().held.length > 0 }, said)
  const note = (gate: number, text: string, said: Said) => write('notes', { gate, text }, said)
  const doubt = (at: number, reason: string, said: Said) => write('suspects', { at, reason }, said)
  const openGate = (gate: number, reason: string, said: Said) => write('overrides', { gate, reason }, said)
  const openPutBack = (kind: string, where: string, said: Said) => write('put-back', { kind, where }, said)
  const closePutBack = (id: number, word: string, said: Said) => write(`put-back/${id}/close`, { word }, said)
  const leavePutBack = (id: number, reason: string, owner: string, due: string, said: Said) =>
    write(`put-back/${id}/leave`, { reason, owner, due }, said)
  /** The rest: its address and body, as the description of the interface has them. */
  const tell = write

  /** A picture of an entry, or of a reading that waits itself. */
  async function photograph(photo: Blob, about: Sent, item: string, said: Said) {
    const at = view.value
    if (at === null) return null
    const to = `photos?about=${about.at ?? '{about}'}&item=${encodeURIComponent(item)}&caption=${encodeURIComponent(said.words)}`
    return useOutbox().send({
      machine: at.id,
      machineName: at.name,
      path: to,
      photo,
      ...(about.at === null ? { aboutKey: about.key } : {}),
      ...said,
    })
  }

  /** Fetches the machine anew when somebody else has written on its tape, or on that of another unit of its feed. */
  async function hearNews() {
    const at = view.value
    if (at === null || sending.value) return
    const { news, feed } = await reach(
      answer(api.GET('/api/v1/machines/{machine}/news', { params: { path: { machine: at.id } } })),
    )
    const isNew = news > (view.value?.news ?? 0) || feed > (view.value?.feed?.news ?? feed)
    if (isNew && !sending.value) await load(at.id)
  }

  return {
    view,
    reachable,
    sending,
    outstanding,
    openItems,
    load,
    leave,
    reach,
    record,
    recordTogether,
    start,
    note,
    doubt,
    openGate,
    openPutBack,
    closePutBack,
    leavePutBack,
    tell,
    photograph,
    hearNews,
  }
})
