// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import type { SessionView } from '@/api/client'
import { keeping } from '@/lib/keeping'
import { useSession } from '@/stores/session'
import { isTyping } from './useKeys'
import { useDraft } from './useDraft'

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
})
afterEach(() => vi.unstubAllGlobals())
const signIn = (id: number) =>
  useSession().take({ person: { id, name: `P${id}` }, company: 'A', demo: [] } as unknown as SessionView)

describe('what is typed', () => {
  it('is there again after a reload, and gone once it is recorded', async () => {
    const first = useDraft<{ text: string }>('1.supply', () => ({ text: '' }))
    first.draft.value.text = '481'
    await nextTick()
    const second = useDraft<{ text: string }>('1.supply', () => ({ text: '' }))
    expect(second.draft.value.text).toBe('481')
    second.clear()
    await nextTick()
    expect(useDraft<{ text: string }>('1.supply', () => ({ text: '' })).draft.value.text).toBe('')
  })

  it('is kept without what came out of a large file', async () => {
    const first = useDraft<{ values: Record<string, string> }>('1.leakBy', () => ({ values: {} }))
    first.draft.value.values = { csv: 'x'.repeat(100_001), short: 'x'.repeat(100_000) }
    await nextTick()
    const again = useDraft<{ values: Record<string, string> }>('1.leakBy', () => ({ values: {} }))
    expect(Object.keys(again.draft.value.values)).toEqual(['short'])
    expect(first.draft.value.values.csv).toHaveLength(100_001)
  })

  it('is kept apart by machine and bench, and survives a damaged store', () => {
    localStorage.setItem('iron-start.draft.0.1.supply', '{broken')
    expect(useDraft('1.supply', () => ({ text: 'fresh' })).draft.value).toEqual({ text: 'fresh' })
    expect(useDraft('2.supply', () => ({ text: 'other' })).draft.value).toEqual({ text: 'other' })
  })
})

describe('what somebody typed', () => {
  it('is found by nobody else on a shared device', async () => {
    signIn(1)
    useDraft('1.supply', () => ({ text: '' })).draft.value.text = '481'
    await nextTick()
    signIn(2)
    expect(useDraft('1.supply', () => ({ text: '' })).draft.value.text).toBe('')
    signIn(1)
    expect(useDraft('1.supply', () => ({ text: '' })).draft.value.text).toBe('481')
  })

  it('lasts as long as the page where the browser keeps nothing, and that is said', async () => {
    const refuse = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
    vi.stubGlobal('localStorage', { setItem: refuse, getItem: refuse, removeItem: refuse })
    keeping.fails = false
    useDraft('1.amps', () => ({ text: '' })).draft.value.text = '9.7'
    await nextTick()
    expect([useDraft('1.amps', () => ({ text: '' })).draft.value.text, keeping.fails]).toEqual(['9.7', true])
  })
})

describe('single keys', () => {
  it('never fire while text is typed or a dialog is open, but do on a choice', () => {
    document.body.innerHTML =
      '<input id="text"><input id="radio" type="radio"><textarea id="area"></textarea><select id="select"></select><button id="button"></button><div class="el-dialog"><button id="inside"></button></div>'
    const typing = (id: string) => {
      const event = new KeyboardEvent('keydown', { key: 'r', bubbles: true })
      document.getElementById(id)?.dispatchEvent(event)
      return isTyping(event)
    }
    expect(['text', 'area', 'select', 'inside'].map(typing)).toEqual([true, true, true, true])
    expect(['radio', 'button'].map(typing)).toEqual([false, false])
  })
})
