import { ref } from 'vue'
import { problemOf, type ProblemView } from '@/api/client'

/** One thing at a time that may be refused: whether it runs, and why it was refused. */
export function useAttempt() {
  const problem = ref<ProblemView | null>(null)
  const busy = ref(false)

  /** Fetches something: what is pressed meanwhile is not held up by it. */
  async function fetched(what: () => Promise<unknown>): Promise<boolean> {
    problem.value = null
    try {
      await what()
      return true
    } catch (error) {
      problem.value = problemOf(error)
      return false
    }
  }

  /** Does something, once: a second press while it runs is none. */
  async function attempt(what: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    try {
      return await fetched(what)
    } finally {
      busy.value = false
    }
  }

  return { problem, busy, attempt, fetched }
}
