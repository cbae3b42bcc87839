import { computed, type ComputedRef } from 'vue'
import { useMachine } from '@/stores/machine'
import { useOutbox } from '@/stores/outbox'

/** Whether an act may be done now: `refused` while anything has to hold first, `unsure` where nobody can know. */
export type Act = {
  reasons: ComputedRef<string[]>
  refused: ComputedRef<boolean>
  unsure: ComputedRef<boolean>
}

/** Opening the valves of a circuit: what has to hold before refrigerant is let in, as the machine was last told. */
export function useOpening(
  isAct: boolean,
  circuit: ComputedRef<string | undefined>,
  released: ComputedRef<unknown>,
): Act {
  const machine = useMachine()
  const unsure = computed(() => !machine.reachable || useOutbox().held.length > 0)
  const reasons = computed(() => {
    const all = machine.view?.openings ?? []
    const mine = all.find((one) => one.circuit === circuit.value) ?? all[0]
    if (!isAct || mine === undefined) return []
    return [...mine.reasons, ...(released.value === 'weighed' ? mine.weighed : [])]
  })
  return { reasons, refused: computed(() => reasons.value.length > 0 && !unsure.value), unsure }
}
