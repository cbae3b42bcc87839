import { onKeyStroke } from '@vueuse/core'

/** True while a key belongs to what is being typed, or to an open dialog. */
export function isTyping(event: KeyboardEvent): boolean {
  const at = event.target
  if (!(at instanceof HTMLElement)) return false
  if (at.closest('.el-dialog, .el-drawer')) return true
  if (at instanceof HTMLInputElement) return !['radio', 'checkbox', 'button', 'submit'].includes(at.type)
  return at instanceof HTMLTextAreaElement || at instanceof HTMLSelectElement || at.isContentEditable
}

/** Single keys that do something, never while typing and never with a modifier. */
export function useKeys(keys: Record<string, () => void>): void {
  onKeyStroke(Object.keys(keys), (event) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    keys[event.key]?.()
  })
}
