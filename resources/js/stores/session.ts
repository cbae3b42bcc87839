import { usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { deviceStore } from '@/lib/deviceStore'
import { answer, api, type SessionView } from '@/api/client'

/** Who is signed in, what they may do, and how they like their figures. */
export const useSession = defineStore('session', () => {
  const view = ref<SessionView | null>(null)
  const darkDevice = usePreferredDark()
  const person = computed(() => view.value?.person ?? null)
  const units = computed<'us' | 'si'>(() => (person.value?.units === 'si' ? 'si' : 'us'))

  function take(next: SessionView) {
    view.value = next
    paint()
  }

  /** Light or dark as the person chose, else as the device has it. */
  function paint() {
    const chosen = person.value?.theme ?? localStorage.getItem('iron-start.theme') ?? 'device'
    document.documentElement.dataset.theme =
      chosen === 'device' ? (darkDevice.value ? 'dark' : 'light') : chosen
  }
  watch(darkDevice, paint)

  async function load() {
    take(await answer(api.GET('/api/v1/session')))
  }

  async function signIn(email: string, password: string) {
    take(await answer(api.POST('/api/v1/session', { body: { email, password } })))
  }

  async function signInToDemo(name: string) {
    take(await answer(api.POST('/api/v1/session/demo', { body: { name } })))
  }

  async function signOut() {
    const id = person.value?.id
    await answer(api.DELETE('/api/v1/session'))
    // The pages one saw stay for the time without signal, not for whoever comes after.
    if (id !== undefined)
      await deviceStore()
        .forgetPages(`${id}.`)
        .catch(() => undefined)
    await load()
  }

  async function prefer(change: { units?: string; theme?: string; fieldUnits?: Record<string, string> }) {
    if (change.theme !== undefined) localStorage.setItem('iron-start.theme', change.theme)
    take(await answer(api.PATCH('/api/v1/me', { body: change })))
  }

  function may(right: string): boolean {
    return person.value?.rights.includes(right) ?? false
  }

  return { view, person, units, take, load, signIn, signInToDemo, signOut, prefer, may }
})
