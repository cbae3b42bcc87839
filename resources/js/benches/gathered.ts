import { onMounted, ref, type Ref } from 'vue'
import { answer, api } from '@/api/client'
import { useMachine } from '@/stores/machine'
import type { BenchSpec } from './spec'

/**
 * What was recorded on all units of the job, or the units of the site, as it stands when the bench is opened; nothing without signal, where a
 * person still may tell what was found.
 */
export function useGathered(spec: BenchSpec): Ref<Record<string, unknown>> {
  const machine = useMachine()
  const gathered = ref<Record<string, unknown>>({})
  onMounted(async () => {
    const id = machine.view?.id
    if (!spec.gathers || id === undefined) return
    const path = { machine: id }
    const call =
      spec.gathers === 'job'
        ? answer(api.GET('/api/v1/machines/{machine}/whole', { params: { path } }))
        : answer(api.GET('/api/v1/machines/{machine}/site-units', { params: { path } }))
    gathered.value = await call.catch(() => ({}))
  })
  return gathered
}
