import { reactive } from 'vue'

/** Small things this device keeps by name. Where the browser keeps nothing they last as long as the page is open. */
const memory = new Map<string, string>()

/** Whether this browser refused to keep something. Then a closed page loses what is not sent: it is said. */
export const keeping = reactive({ fails: false })

export function keep(name: string, value: string): void {
  try {
    localStorage.setItem(name, value)
    memory.delete(name)
  } catch {
    memory.set(name, value)
    keeping.fails = true
  }
}

export function kept(name: string): string | null {
  const held = memory.get(name)
  if (held !== undefined) return held
  try {
    return localStorage.getItem(name)
  } catch {
    return null
  }
}

export function forget(name: string): void {
  memory.delete(name)
  try {
    localStorage.removeItem(name)
  } catch {
    // It was never kept.
  }
}
