// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { i18n } from '@/i18n'
import GuidePages from './GuidePages.vue'
import { fetchPictures, PAGES, read } from './pages'
import { useGuide } from './useGuide'

const global = { plugins: [i18n] }

describe('the guide', () => {
  beforeEach(() => (useGuide().open.value = null))

  it('has a page a question and one before them, each with its picture inside', () => {
    expect(PAGES.map((one) => one.gate)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])
    for (const page of PAGES) {
      expect(page.title).not.toMatch(/^#|\d\./)
      expect(page.html, page.title).toMatch(/<img src="\/[^"]+\.webp"/)
      expect(page.html, page.title).not.toContain('src="pictures/')
    }
  })

  it('fetches its pictures ahead', () => {
    const asked: string[] = []
    vi.stubGlobal(
      'Image',
      class {
        set src(address: string) {
          asked.push(address)
        }
      },
    )
    fetchPictures()
    vi.unstubAllGlobals()
    expect(asked).toHaveLength(13)
  })

  it('takes the first line as the name, and leaves a picture that is not there by its name', () => {
    const page = read('/docs/guide/07-power.md', '# 7. Power: on?\n\n![x](pictures/no.webp)\n\n**Go.**', {})
    expect([page.gate, page.title]).toEqual([7, 'Power: on?'])
    expect(page.html).toContain('src="pictures/no.webp"')
    expect(page.html).toContain('<strong>Go.</strong>')
  })

  it('opens at the question one is at, and turns pages', async () => {
    const guide = useGuide()
    guide.at.value = 7
    guide.show()
    expect(guide.open.value).toBe(7)
    guide.show('keys')
    expect(guide.open.value).toBe('keys')
    const pages = mount(GuidePages, { props: { modelValue: 7 as number | 'keys' }, global })
    expect(pages.find('h2').text()).toBe('Power: is the power right, and the rotation?')
    await pages.findAll('nav button').at(-1)!.trigger('click')
    expect(pages.emitted('update:modelValue')).toEqual([['keys']])
    await pages.setProps({ modelValue: 'keys' })
    expect(pages.findAll('dt').map((one) => one.text())).toEqual([
      'Enter',
      'R',
      'N',
      'P',
      '[ ]',
      '/',
      'Esc',
      '?',
    ])
    expect(pages.find('[aria-current]').text()).toBe('Keys')
  })
})
