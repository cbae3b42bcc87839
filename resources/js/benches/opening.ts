import { computed, type ComputedRef } from 'vue'
import { useMachine } from '@/stores/machine'
import { useOutbox } from '@/stores/outbox'

/** Whether an act may be done now: `refused` while anything has to hold first, `unsure` where nobody can know. */
export type Act = {
  reasons: ComputedRef<string[]>
  refused: ComputedRef<boolean>
  unsure: ComputedRef<boolean>
}

/** An act, opening the valves of a circuit or a start: what has to hold before it, as the machine was last told. */
export function useOpening(
  act: 'valves' | 'start' | undefined,
  circuit?: ComputedRef<string | undefined>,
  released?: ComputedRef<unknown>,
): Act {
  const machine = useMachine()
  const unsure = computed(() => !machine.reachable || useOutbox().held.length > 0)
  const reasons = computed(() => {
    if (act === 'start') return machine.view?.startRefused ?? []
    const all = machine.view?.openings ?? []
    const mine = all.find((one) => one.circuit === circuit?.value) ?? all[0]
    if (act === undefined || mine === undefined) return []
    return [...mine.reasons, ...(released?.value === 'weighed' ? mine.weighed : [])]
  })
  return { reasons, refused: computed(() => reasons.value.length > 0 && !unsure.value), unsure }
}
