import { Unreachable } from '@/api/client'
import { deviceStore } from './deviceStore'

/**
 * A page as the server has it; without signal as this person last saw it on this device.
 * @throws Unreachable without signal and never seen
 */
export async function lastSeen<T>(person: number, name: string, call: Promise<T>): Promise<T> {
  const place = `${person}.${name}`
  try {
    const page = await call
    void deviceStore()
      .keepPage(place, page)
      .catch(() => undefined)
    return page
  } catch (error) {
    const kept = error instanceof Unreachable ? await deviceStore().page(place) : undefined
    if (kept === undefined) throw error
    return kept as T
  }
}
