import { computed, type ComputedRef } from 'vue'
import { fromWire, shownUnit } from '@/lib/reading'
import { useMachine } from '@/stores/machine'

/** What is known of an indoor unit besides its pipe: the four temperatures it ran at, whether it passed, what is open. */
export type Unit = {
  temperatures: string[]
  unit: string
  passed: boolean | undefined
  split: string
  items: string[]
}
const FOUR = ['return_air', 'supply_air', 'liquid_pipe', 'gas_pipe']
type Result = Record<string, unknown> & { step?: unknown; passed?: unknown }

/** By the names of the tree, from what was recorded last: its run alone, its split, and what is left to be done of it. */
export function useUnits(): ComputedRef<(id: string) => Unit> {
  const machine = useMachine()
  const tape = computed(() => machine.view?.tape.filter((one) => one.suspect === '') ?? [])
  const alone = computed(() => {
    const plan = tape.value.find((one) => one.check === 'vrf.run_plan')?.input as
      { results?: Result[] } | undefined
    return new Map(plan?.results?.map((one) => [String(one.step), one]))
  })
  return computed(() => (id: string): Unit => {
    const result = alone.value.get(`alone:${id}`)
    const read = FOUR.map((name) => fromWire(result?.[name]))
    return {
      temperatures: read.map((one) => one?.text ?? ''),
      unit: shownUnit(read.find((one) => one !== undefined)?.unit ?? ''),
      passed: typeof result?.passed === 'boolean' ? result.passed : undefined,
      split:
        tape.value.find((one) => one.check === 'air.split' && one.subject === `indoor:${id}`)?.headline ?? '',
      items: (machine.view?.items ?? [])
        .filter(
          (item) =>
            item.done === '' &&
            (item.subject === `indoor:${id}` || item.what.split(/[^\p{L}\p{N}-]+/u).includes(id)),
        )
        .map((item) => item.what),
    }
  })
}
