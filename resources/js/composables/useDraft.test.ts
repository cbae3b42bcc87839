// @vitest-environment happy-dom
import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { isTyping } from './useKeys'
import { useDraft } from './useDraft'

beforeEach(() => localStorage.clear())

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

  it('is kept apart by machine and bench, and survives a damaged store', () => {
    localStorage.setItem('iron-start.draft.1.supply', '{broken')
    expect(useDraft('1.supply', () => ({ text: 'fresh' })).draft.value).toEqual({ text: 'fresh' })
    expect(useDraft('2.supply', () => ({ text: 'other' })).draft.value).toEqual({ text: 'other' })
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
