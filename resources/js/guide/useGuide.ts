import { ref } from 'vue'

/** Which page of the guide is open; nothing while it is closed. */
const open = ref<number | 'keys' | null>(null)
/** The question one is at. */
const at = ref(0)

export function useGuide() {
  return { open, at, show: (page: number | 'keys' = at.value) => (open.value = page) }
}
