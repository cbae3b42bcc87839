import { gzipSync } from 'node:zlib'
import { expect, test } from '@playwright/test'
import { openMachine, openTab, signIn, verdict } from '../browser/helpers'

const KEYSTROKES = 60

// Measured and printed, not judged: bin/bench tells the figures, the README keeps them.
test('first load and keystroke to verdict', async ({ page }) => {
  const sizes = new Map<string, number>()
  page.on('response', async (answer) => {
    const url = new URL(answer.url()).pathname
    if (/\.(js|css)$/.test(url)) sizes.set(url, gzipSync(await answer.body()).length)
  })
  await signIn(page)
  await openMachine(page, 'RTU-3')
  await openTab(page, 'Supply')
  const total = [...sizes.values()].reduce((sum, size) => sum + size, 0)
  console.log(
    `script and style until the Machine screen stands: ${(total / 1024).toFixed(0)} KB compressed in ${sizes.size} files (aim 300 KB)`,
  )

  await page.getByLabel('L1–L2 (A–B)').fill('481')
  await page.getByLabel('L3–L1 (C–A)').fill('484')
  await expect(verdict(page)).toContainText('Still need: L2–L3 (B–C).')
  const box = page.getByLabel('L2–L3 (B–C)')
  const times = await box.evaluate(async (el: HTMLInputElement, keystrokes) => {
    const sentence = document.querySelector('.verdict p') as HTMLElement
    const taken: number[] = []
    for (let i = 0; i < keystrokes; i++) {
      const wanted = i % 2 === 0 ? 'Unbalance is' : 'Good to run'
      const start = performance.now()
      const changed = new Promise<void>((done) => {
        const watch = new MutationObserver(() => {
          if (sentence.textContent?.includes(wanted)) {
            watch.disconnect()
            done()
          }
        })
        watch.observe(sentence, { childList: true, characterData: true, subtree: true })
      })
      el.value = i % 2 === 0 ? '430' : '478'
      el.dispatchEvent(new Event('input', { bubbles: true }))
      await changed
      taken.push(performance.now() - start)
    }
    return taken.sort((a, b) => a - b)
  }, KEYSTROKES)
  const at = (share: number) => times[Math.floor(share * (times.length - 1))] ?? 0
  console.log(
    `keystroke to verdict on screen: p50 ${at(0.5).toFixed(0)} ms, p95 ${at(0.95).toFixed(0)} ms (aim 100 ms)`,
  )
})
