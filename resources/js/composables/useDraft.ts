import { ref, watch, type Ref } from 'vue'

/**
 * What is typed on a bench, kept on the device until it is recorded: a reload, a dead battery or a server
 * that is away lose nothing.
 */
export function useDraft<T extends object>(
  key: string,
  fresh: () => T,
): { draft: Ref<T>; clear: () => void; put: (value: T) => void } {
  const place = `iron-start.draft.${key}`
  const draft = ref(read(place) ?? fresh()) as Ref<T>
  watch(draft, (value) => localStorage.setItem(place, JSON.stringify(value)), { deep: true })

  function clear() {
    localStorage.removeItem(place)
    draft.value = fresh()
  }

  function put(value: T) {
    draft.value = value
  }

  function read(from: string): T | undefined {
    try {
      const kept = localStorage.getItem(from)
      return kept === null ? undefined : { ...fresh(), ...(JSON.parse(kept) as T) }
    } catch {
      return undefined
    }
  }

  return { draft, clear, put }
}
