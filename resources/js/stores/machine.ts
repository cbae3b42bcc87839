import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answer, api, newKey, Unreachable, type MachineView } from '@/api/client'

type Recording = {
  subject: string
  input: Record<string, unknown>
  instrument?: number
  supersedes?: number
  reason?: string
}

/** The machine one stands at. Every write answers with the machine as it stands afterwards. */
export const useMachine = defineStore('machine', () => {
  const view = ref<MachineView | null>(null)
  const reachable = ref(true)
  const sending = ref(false)
  /** A write that got no answer keeps its key: sent again, it is done once. */
  const keys = new Map<string, string>()

  const outstanding = computed(() => view.value?.putBack.filter((p) => !p.closed) ?? [])

  async function load(id: number) {
    if (view.value?.id !== id) view.value = null
    view.value = await reach(
      answer(api.GET('/api/v1/machines/{machine}', { params: { path: { machine: id } } })),
    )
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

  async function write(
    what: string,
    call: (header: { 'Idempotency-Key': string }) => Promise<{ machine: MachineView; at: number }>,
  ) {
    if (sending.value) return null
    sending.value = true
    const key = keys.get(what) ?? newKey()
    keys.set(what, key)
    try {
      const done = await reach(call({ 'Idempotency-Key': key }))
      keys.delete(what)
      view.value = done.machine
      return done.at
    } catch (error) {
      if (!(error instanceof Unreachable)) keys.delete(what)
      throw error
    } finally {
      sending.value = false
    }
  }

  const machine = () => view.value?.id ?? 0

  function record(check: string, recording: Recording) {
    return write(`${machine()} ${check} ${JSON.stringify(recording)}`, (header) =>
      answer(
        api.POST('/api/v1/machines/{machine}/checks/{check}', {
          params: { path: { machine: machine(), check }, header },
          body: recording,
        }),
      ),
    )
  }

  function start() {
    return write(`${machine()} start`, (header) =>
      answer(
        api.POST('/api/v1/machines/{machine}/starts', { params: { path: { machine: machine() }, header } }),
      ),
    )
  }

  function note(gate: number, text: string) {
    return write(`${machine()} note ${gate} ${text}`, (header) =>
      answer(
        api.POST('/api/v1/machines/{machine}/notes', {
          params: { path: { machine: machine() }, header },
          body: { gate, text },
        }),
      ),
    )
  }

  function doubt(at: number, reason: string) {
    return write(`${machine()} doubt ${at} ${reason}`, (header) =>
      answer(
        api.POST('/api/v1/machines/{machine}/suspects', {
          params: { path: { machine: machine() }, header },
          body: { at, reason },
        }),
      ),
    )
  }

  function openGate(gate: number, reason: string) {
    return write(`${machine()} override ${gate} ${reason}`, (header) =>
      answer(
        api.POST('/api/v1/machines/{machine}/overrides', {
          params: { path: { machine: machine() }, header },
          body: { gate, reason },
        }),
      ),
    )
  }

  function openPutBack(kind: string, where: string) {
    return write(`${machine()} open ${kind} ${where}`, (header) =>
      answer(
        api.POST('/api/v1/machines/{machine}/put-back', {
          params: { path: { machine: machine() }, header },
          body: { kind, where },
        }),
      ),
    )
  }

  /** Fetches the machine anew when somebody else has written on its tape. */
  async function hearNews() {
    const at = view.value
    if (at === null || sending.value) return
    const { news } = await reach(
      answer(api.GET('/api/v1/machines/{machine}/news', { params: { path: { machine: at.id } } })),
    )
    if (news > (view.value?.news ?? 0) && !sending.value) await load(at.id)
  }

  function closePutBack(id: number, word: string) {
    return write(`${machine()} close ${id} ${word}`, (header) =>
      answer(
        api.POST('/api/v1/machines/{machine}/put-back/{putBack}/close', {
          params: { path: { machine: machine(), putBack: id }, header },
          body: { word },
        }),
      ),
    )
  }

  function leavePutBack(id: number, reason: string, owner: string, due: string) {
    return write(`${machine()} leave ${id} ${reason} ${owner} ${due}`, (header) =>
      answer(
        api.POST('/api/v1/machines/{machine}/put-back/{putBack}/leave', {
          params: { path: { machine: machine(), putBack: id }, header },
          body: { reason, owner, due },
        }),
      ),
    )
  }

  return {
    view,
    reachable,
    sending,
    outstanding,
    openGate,
    openPutBack,
    hearNews,
    load,
    reach,
    record,
    start,
    note,
    doubt,
    closePutBack,
    leavePutBack,
  }
})
