import { useDebounceFn } from '@vueuse/core'
import { onScopeDispose, ref, watch, type Ref } from 'vue'
import { answer, api, Refused, Unreachable, type ProblemView, type Verdict } from '@/api/client'
import { useMachine } from '@/stores/machine'
import { useSession } from '@/stores/session'

const PAUSE_MS = 25
const AGAIN_MS = 3000

/**
 * Judges an input as it is typed. The last verdict stands until the next one is there; an answer that was
 * overtaken is dropped. When the server is away it asks again until it is back. Nothing is asked while it is off.
 */
export function useVerdict(
  check: Ref<string>,
  input: Ref<Record<string, unknown>>,
  on: Ref<boolean> = ref(true),
) {
  const verdict = ref<Verdict | null>(null)
  const problem = ref<ProblemView | null>(null)
  const machine = useMachine()
  const session = useSession()
  let run = 0
  let again: ReturnType<typeof setTimeout> | undefined

  async function judge() {
    const mine = ++run
    clearTimeout(again)
    if (!on.value) {
      verdict.value = null
      problem.value = null
      return
    }
    try {
      const body = { units: session.units, input: input.value }
      const said = (await answer(
        api.POST('/api/v1/judge/{check}', { params: { path: { check: check.value } }, body }),
      )) as Verdict
      if (mine !== run) return
      verdict.value = said
      problem.value = null
      machine.reachable = true
    } catch (error) {
      if (mine !== run) return
      if (error instanceof Refused) problem.value = error.problem
      if (error instanceof Unreachable) {
        machine.reachable = false
        // What was said of other figures is not said of these.
        verdict.value = null
        again = setTimeout(() => void judge(), AGAIN_MS)
      }
    }
  }

  const soon = useDebounceFn(judge, PAUSE_MS)
  watch(
    [check, () => JSON.stringify(input.value), () => session.units, on],
    ([now, , , is], [before, , , was]) => {
      if (now !== before || is !== was) {
        verdict.value = null
        problem.value = null
        void judge()
      } else {
        void soon()
      }
    },
  )
  void judge()
  onScopeDispose(() => {
    run++
    clearTimeout(again)
  })

  return { verdict, problem, judge }
}
