import { computed, type ComputedRef } from 'vue'
import type { TapeEntry } from '@/api/client'
import { useBench } from '@/benches/bench'
import { draftOf } from '@/benches/entered'
import { useMachine } from '@/stores/machine'

/** One thing of a board: what was written of it last. */
export type OnBoard = { name: string; input: Record<string, unknown>; entry: TapeEntry }

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
      if (entry.check !== check || entry.subject !== subject.value || entry.suspect !== '') continue
      if (name !== '' && !latest.has(name)) latest.set(name, { name, input, entry })
    }
    return [...latest.values()].reverse()
  })

  function take(thing: OnBoard) {
    const view = bench.checks.value[0]
    if (view !== undefined)
      bench.draft.value = { ...draftOf(view, {}, thing.input), about: bench.draft.value.about }
  }

  return { things, subject, take }
}
