import { ref, watch, type Ref } from 'vue'
import { forget, keep, kept } from '@/lib/keeping'
import { useSession } from '@/stores/session'

const LARGE = 100_000
const typed = (_: string, value: unknown) =>
  typeof value === 'string' && value.length > LARGE ? undefined : value

/**
 * What is typed on a bench, kept on the device until it is recorded: a reload, a dead battery or a server
 * that is away lose nothing. It belongs to whoever typed it: on a shared device nobody else finds it. What came out
 * of a large file is chosen again: the device has room for what is typed, not for that.
 */
export function useDraft<T extends object>(
  key: string,
  fresh: () => T,
): { draft: Ref<T>; clear: () => void; put: (value: T) => void } {
  const place = `iron-start.draft.${useSession().person?.id ?? 0}.${key}`
  const draft = ref(read(place) ?? fresh()) as Ref<T>
  watch(draft, (value) => keep(place, JSON.stringify(value, typed)), { deep: true })

  function clear() {
    forget(place)
    draft.value = fresh()
  }

  function put(value: T) {
    draft.value = value
  }

  function read(from: string): T | undefined {
    try {
      const written = kept(from)
      return written === null ? undefined : { ...fresh(), ...(JSON.parse(written) as T) }
    } catch {
      return undefined
    }
  }

  return { draft, clear, put }
}
