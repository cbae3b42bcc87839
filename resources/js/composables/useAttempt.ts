import { ref } from 'vue'
import { Refused, type ProblemView } from '@/api/client'
import { wordsOf } from '@/lib/failure'

/** One thing at a time that may be refused: whether it runs, and why it was refused. */
export function useAttempt() {
  const problem = ref<ProblemView | null>(null)
  const busy = ref(false)

  async function attempt(what: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    problem.value = null
    busy.value = true
    try {
      await what()
      return true
    } catch (error) {
      problem.value =
        error instanceof Refused ? error.problem : { type: '', title: '', status: 0, detail: wordsOf(error) }
      return false
    } finally {
      busy.value = false
    }
  }

  return { problem, busy, attempt }
}
