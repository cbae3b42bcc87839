import { defineStore } from 'pinia'
import { ref } from 'vue'

/** Whether the server was heard of when it was last asked. */
export const useSignal = defineStore('signal', () => {
  const reachable = ref(true)
  return { reachable }
})
