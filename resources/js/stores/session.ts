import { usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { deviceStore } from '@/lib/deviceStore'
import { forget, keep, kept } from '@/lib/keeping'
import { answer, api, OTHER_PERSON, Unreachable, whose, writesAs, type SessionView } from '@/api/client'

const THEME = 'iron-start.theme'
/** Who signed out here without signal: the server is told before anything else is asked of it. */
const LEFT = 'iron-start.left'
const CHANNEL = 'iron-start.session'

/** Who is signed in, what they may do, and how they like their figures. */
export const useSession = defineStore('session', () => {
  const view = ref<SessionView | null>(null)
  /** Who has signed in elsewhere in this browser since this page was opened. This page stays its own person's, and stops. */
  const other = ref<string | null>(null)
  const darkDevice = usePreferredDark()
  const person = computed(() => view.value?.person ?? null)
  const units = computed<'us' | 'si'>(() => (person.value?.units === 'si' ? 'si' : 'us'))
  const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL)
  channel?.addEventListener('message', (event: MessageEvent<{ id: number; name: string }>) => {
    if (person.value !== null && person.value.id !== event.data.id) other.value = event.data.name
  })
  if (typeof window !== 'undefined')
    window.addEventListener(OTHER_PERSON, (event) => {
      other.value = (event as CustomEvent<string>).detail
    })

  function take(next: SessionView) {
    view.value = next
    writesAs(next.person?.id ?? 0)
    paint()
  }

  /** Whoever signs in on this page; the other pages of this browser hear of it. */
  function enter(next: SessionView) {
    forget(LEFT)
    take(next)
    if (next.person) channel?.postMessage({ id: next.person.id, name: next.person.name })
  }

  /** Light or dark as the person chose, else as the device has it. */
  function paint() {
    const chosen = person.value?.theme ?? kept(THEME) ?? 'device'
    document.documentElement.dataset.theme =
      chosen === 'device' ? (darkDevice.value ? 'dark' : 'light') : chosen
  }
  watch(darkDevice, paint)

  async function load() {
    await leftBefore()
    const next = await answer(api.GET('/api/v1/session'))
    // The page does not become somebody else's while it is looked at.
    if (person.value !== null && next.person && next.person.id !== person.value.id)
      other.value = next.person.name
    else take(next)
  }

  async function signIn(email: string, password: string) {
    enter(await answer(api.POST('/api/v1/session', { body: { email, password } })))
  }

  async function signInToDemo(name: string) {
    enter(await answer(api.POST('/api/v1/session/demo', { body: { name } })))
  }

  /** At once, with signal or without: the server is told when it is heard of again. */
  async function signOut() {
    const id = person.value?.id
    if (id === undefined) return
    keep(LEFT, String(id))
    // The pages one saw stay for the time without signal, not for whoever comes after.
    await deviceStore()
      .forgetPages(`${id}.`)
      .catch(() => undefined)
    const demo = view.value?.demo ?? []
    try {
      await load()
    } catch (error) {
      if (!(error instanceof Unreachable)) throw error
    }
    if (person.value?.id === id) take({ person: null, company: '', demo })
  }

  /** Ends at the server what was ended here. Somebody else who signed in meanwhile stays. */
  async function leftBefore() {
    const id = kept(LEFT)
    if (id === null) return
    writesAs(Number(id))
    try {
      await answer(api.DELETE('/api/v1/session', { params: { header: whose() } }))
    } catch (error) {
      if (error instanceof Unreachable) throw error
    }
    other.value = null
    forget(LEFT)
    view.value = null
  }

  async function prefer(change: { units?: string; theme?: string; fieldUnits?: Record<string, string> }) {
    if (change.theme !== undefined) keep(THEME, change.theme)
    take(await answer(api.PATCH('/api/v1/me', { params: { header: whose() }, body: change })))
  }

  function may(right: string): boolean {
    return person.value?.rights.includes(right) ?? false
  }

  return { view, other, person, units, take, enter, load, signIn, signInToDemo, signOut, prefer, may }
})
