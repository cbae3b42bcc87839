import { computed, type ComputedRef } from 'vue'
import type { TapeEntry } from '@/api/client'
import { useBench } from '@/benches/bench'
import { draftOf, inputOf } from '@/benches/entered'
import { useMachine } from '@/stores/machine'

const OPENING = 'entry.open_valves'

/** One thing of a board: what was written of it last. */
export type OnBoard = { name: string; input: Record<string, unknown>; entry: TapeEntry }

/** The valves that are opened, with one more. */
function withValve(input: Record<string, unknown>, { name }: OnBoard): Record<string, unknown> {
  const valves = (Array.isArray(input.valves) ? input.valves : []) as Record<string, unknown>[]
  return { ...input, valves: [...valves.filter((one) => one.name !== name), { name }] }
}

/** What a board shows: of each name the entry written last about this subject, and a way to take one up again. */
export function useBoard(check: string): {
  things: ComputedRef<OnBoard[]>
  subject: ComputedRef<string>
  take: (thing: OnBoard) => void
} {
  const machine = useMachine()
  const bench = useBench()
  const parts = computed(() => (machine.view?.parts ?? []).filter((one) => one.startsWith('circuit:')))
  const subject = computed(() => {
    const about = bench.draft.value.about
    return about === undefined ? (parts.value[0] ?? 'machine') : `circuit:${about}`
  })
  const things = computed(() => {
    const latest = new Map<string, OnBoard>()
    for (const entry of machine.view?.tape ?? []) {
      const input = entry.input as Record<string, unknown>
      const name = String(input.name ?? '')
      if (entry.subject !== subject.value || entry.suspect !== '') continue
      // A valve that was opened as the charge was let in stands open from then on.
      const opened = entry.check === OPENING && check === 'entry.valve' ? input.valves : []
      for (const one of Array.isArray(opened) ? (opened as Record<string, unknown>[]) : []) {
        const valve = String(one.name ?? '')
        if (!latest.has(valve)) latest.set(valve, { name: valve, input: { ...one, state: 'open' }, entry })
      }
      if (entry.check !== check) continue
      if (name !== '' && !latest.has(name)) latest.set(name, { name, input, entry })
    }
    return [...latest.values()].reverse()
  })

  function take(thing: OnBoard) {
    const view = bench.checks.value[0]
    if (view === undefined) return
    const input = view.id === OPENING ? withValve(inputOf(view, {}, bench.draft.value), thing) : thing.input
    bench.draft.value = { ...draftOf(view, {}, input), about: bench.draft.value.about }
  }

  return { things, subject, take }
}
