import { expect, test } from '@playwright/test'
import { freshDemo, openMachine, openTab, signIn, verdict } from './helpers'

test.beforeAll(freshDemo)
test.beforeEach(async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-3')
  await openTab(page, 'Supply')
})

const BAD: [name: string, typed: string, told: RegExp][] = [
  ['text', 'high', /Is not a number with its unit|has no unit|is not a number/i],
  ['wrong unit', '481 A', /unit that does not belong here \(A\)/i],
  ['NaN', 'NaN', /is not a number with its unit/i],
  ['huge', '99999999', /outside the range/i],
  ['negative', '-481', /outside the range/i],
  ['comma decimal', '481,5', /is not a number with its unit/i],
]

for (const [name, typed, told] of BAD) {
  test(`${name}: it is said what is accepted, and what was typed stays`, async ({ page }) => {
    const box = page.getByLabel('L2–L3 (B–C)')
    await page.getByLabel('L1–L2 (A–B)').fill('481')
    await box.fill(typed)
    await expect(page.locator('.reading .problem')).toHaveText(told)
    await expect(page.locator('.reading .problem')).toContainText('from 0 to 1000 V')
    await expect(box).toHaveValue(typed)
    await expect(box).toHaveAttribute('aria-invalid', 'true')
    await expect(page.locator('.foot').getByRole('button', { name: /^Record/ })).toBeDisabled()
    await box.fill('478')
    await expect(page.locator('.reading .problem')).toHaveCount(0)
  })
}

test('several figures pasted at once fill one box after the other', async ({ page }) => {
  await page.getByLabel('L1–L2 (A–B)').evaluate((el) => {
    const data = new DataTransfer()
    data.setData('text', '481 478 484')
    el.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
  })
  await expect(page.getByLabel('L3–L1 (C–A)')).toHaveValue('484')
  await expect(verdict(page)).toContainText('Good to run')
})

test('a double press is one reading', async ({ page }) => {
  for (const [leg, volts] of [
    ['L1–L2 (A–B)', '481'],
    ['L2–L3 (B–C)', '478'],
    ['L3–L1 (C–A)', '484'],
  ] as const)
    await page.getByLabel(leg).fill(volts)
  await expect(verdict(page)).toContainText('Good to run')
  await page
    .locator('.foot')
    .getByRole('button', { name: /^Record/ })
    .dblclick()
  await expect(page.locator('.slip', { hasText: 'Voltage' })).toHaveCount(1)
  await expect(page.locator('.slip', { hasText: 'Supply' })).toHaveCount(1)
  await page.reload()
  await expect(page.locator('.slip', { hasText: 'Voltage' })).toHaveCount(1)
})

test('a note being typed survives other tabs and a reload, and is gone once it is saved', async ({
  page,
}) => {
  const note = page.getByLabel('Note', { exact: true })
  await openTab(page, 'Note')
  await note.fill('The hatch sticks, bring')
  await openTab(page, 'Supply')
  await openTab(page, 'Note')
  await expect(note).toHaveValue('The hatch sticks, bring')
  await page.reload()
  await openTab(page, 'Note')
  await expect(note).toHaveValue('The hatch sticks, bring')
  await note.fill('The hatch sticks, bring a bar')
  await page.getByRole('button', { name: 'Save note' }).click()
  await expect(page.locator('.slip').first()).toContainText('bring a bar')
  await expect(note).toHaveValue('')
})

test('the server gone while typing: it is told, what was typed stays over a reload and is recorded once it is back', async ({
  page,
  context,
}) => {
  const before = await page.locator('.slip').count()
  await context.setOffline(true)
  for (const [leg, volts] of [
    ['L1–L2 (A–B)', '480'],
    ['L2–L3 (B–C)', '479'],
    ['L3–L1 (C–A)', '481'],
  ] as const)
    await page.getByLabel(leg).fill(volts)
  await expect(page.locator('.foot-line')).toContainText(
    'No signal: keep going, what you record is saved and sent later',
  )
  await context.setOffline(false)
  await expect(verdict(page)).toContainText('Good to run: 480 V')
  await expect(page.locator('.foot-line')).toContainText('All sent')
  await page.reload()
  await openTab(page, 'Supply')
  await expect(page.getByLabel('L1–L2 (A–B)')).toHaveValue('480')

  // The answer to the first send is lost on the way; it is sent again by itself, and done once.
  let lost = 0
  await page.route('**/machines/*/checks', async (route) => {
    const answer = await route.fetch()
    if (lost++ === 0) await route.abort()
    else await route.fulfill({ response: answer })
  })
  await expect(verdict(page)).toContainText('Good to run: 480 V')
  await page
    .locator('.foot')
    .getByRole('button', { name: /^Record/ })
    .click()
  await expect.poll(() => lost).toBeGreaterThan(1)
  await expect(page.locator('.foot-line')).toContainText('All sent')
  await expect.poll(() => page.locator('.slip:not(.waits)').count()).toBe(before + 2)
})

test('where the browser keeps nothing, work goes on, and it is said', async ({ browser }) => {
  const page = await (await browser.newContext()).newPage()
  await page.addInitScript(() => {
    const refuse = () => {
      throw new DOMException('refused', 'SecurityError')
    }
    for (const name of ['indexedDB', 'localStorage', 'sessionStorage'])
      Object.defineProperty(window, name, { get: refuse })
  })
  await signIn(page)
  await openMachine(page, 'RTU-3')
  await expect(page.getByText('This browser saves nothing.')).toBeVisible()
  await openTab(page, 'Note')
  await page.getByLabel('Note', { exact: true }).fill('Nothing is kept here')
  await page.getByRole('button', { name: 'Save note' }).click()
  await expect(page.locator('.slip:not(.waits)').first()).toContainText('Nothing is kept here')
  await expect(page.locator('.foot-line')).toContainText('All sent')
})
