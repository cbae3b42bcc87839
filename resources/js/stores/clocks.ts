import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { answer, api, type ClockView } from '@/api/client'
import { ring } from '@/lib/bell'
import { keep, kept } from '@/lib/keeping'
import { useOutbox } from './outbox'

const RUNG_KEY = 'iron-start.rung'
const KEPT = 200

/**
 * The clocks of every machine one sees. They run on the server; this device shows them by the server's time, and
 * rings once for each that ends.
 */
export const useClocks = defineStore('clocks', () => {
  const clocks = ref<ClockView[]>([])
  const now = ref(Date.now())
  const rung = ref(new Set(read()))
  let ahead = 0

  const left = (clock: ClockView) => new Date(clock.endsAt).getTime() - now.value
  const ended = computed(() => clocks.value.filter((clock) => left(clock) <= 0))
  const running = computed(() => clocks.value.filter((clock) => left(clock) > 0))
  /** Ended, and not yet seen on this device. */
  const calling = computed(() => ended.value.filter((clock) => !rung.value.has(clock.id)))

  async function load() {
    const told = await answer(api.GET('/api/v1/clocks'))
    ahead = new Date(told.now).getTime() - Date.now()
    clocks.value = told.clocks
    tick()
  }

  const heard = new Set<string>()
  function tick() {
    now.value = Date.now() + ahead
    const fresh = calling.value.filter((clock) => !heard.has(clock.id))
    if (fresh.length === 0) return
    fresh.forEach((clock) => heard.add(clock.id))
    ring()
  }

  function hush(clock: ClockView) {
    rung.value = new Set([...rung.value, clock.id])
    keep(RUNG_KEY, JSON.stringify([...rung.value].slice(-KEPT)))
  }

  async function stop(clock: ClockView, label: string, word: string) {
    hush(clock)
    await useOutbox().send({
      machine: clock.machineId,
      machineName: clock.machine,
      path: `clocks/${clock.at}/stop`,
      body: { word },
      label,
      words: clock.name,
    })
    await load()
  }

  function read(): string[] {
    try {
      return JSON.parse(kept(RUNG_KEY) ?? '[]') as string[]
    } catch {
      return []
    }
  }

  return { clocks, now, left, ended, running, calling, load, tick, hush, stop }
})
