import { defineStore } from 'pinia'
import { ref } from 'vue'

/** What was read at no machine and is taken to one: which bench, and an input for each of its checks. */
export type Carried = { bench: string; inputs: Record<string, unknown>[] }

/** On the way from the Pocket to a machine; what is typed stays in the Pocket until it is cleared there. */
export const usePocket = defineStore('pocket', () => {
  const carried = ref<Carried | null>(null)

  function carry(what: Carried) {
    carried.value = what
  }

  function drop() {
    carried.value = null
  }

  return { carried, carry, drop }
})
