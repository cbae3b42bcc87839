import { expect, test, type Page } from '@playwright/test'
import { choose, freshDemo, gate, openMachine, openTab, POWER, readDead, record, signIn } from './helpers'

test.describe.configure({ mode: 'serial' })
test.beforeAll(freshDemo)

const foot = (page: Page) => page.locator('.foot-line')
const press = (page: Page) =>
  page
    .locator('.foot')
    .getByRole('button', { name: /^Record/ })
    .click()

async function lockOutBlind(page: Page) {
  await openTab(page, 'Lockout')
  await readDead(page, '21')
  await expect(page.locator('.verdict')).toContainText('No signal. Record it')
  await press(page)
}

test("a lockout written without signal stands before the colleague's reading that came in between", async ({
  page,
  context,
  browser,
}) => {
  await signIn(page)
  await openMachine(page, 'RTU-2')
  await openTab(page, 'Rotation')
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await record(page, 'Record the stop')
  await context.setOffline(true)
  await lockOutBlind(page)
  await expect(foot(page)).toContainText('1 waiting')
  await expect(page.locator('.slip').first()).toContainText('Lockout')
  await expect(page.locator('.slip').first()).toHaveClass(/waits/)

  const other = await browser.newPage()
  await signIn(other, 'Mina Petrov')
  await openMachine(other, 'RTU-2')
  await openTab(other, 'Rotation')
  await choose(other, 'Phase rotation meter', 'A-B-C')
  await record(other)
  await expect(gate(other, POWER)).toContainText('no lockout was recorded in between')

  await context.setOffline(false)
  await expect(foot(page)).toContainText('All sent', { timeout: 20_000 })
  await expect(gate(page, POWER)).not.toContainText('no lockout was recorded in between')
  const order = page.locator('.slip .what')
  await expect(order.nth(0)).toContainText('Rotation')
  await expect(order.nth(1)).toContainText('Lockout')
  await expect(order.nth(2)).toContainText('Rotation')
  await expect(gate(other, POWER)).not.toContainText('no lockout was recorded in between')
  await other.close()
})

test('a closed tab loses nothing', async ({ page, context }) => {
  await signIn(page)
  await openMachine(page, 'RTU-3')
  await openTab(page, 'Note')
  await context.setOffline(true)
  await page.getByLabel('Note', { exact: true }).fill('Belt squeals when cold')
  await page.getByRole('button', { name: 'Save note' }).click()
  await expect(foot(page)).toContainText('1 waiting')
  await page.close()
  await context.setOffline(false)
  const again = await context.newPage()
  await again.goto('/')
  await openMachine(again, 'RTU-3')
  await expect(again.locator('.slip:not(.waits)', { hasText: 'Belt squeals when cold' })).toHaveCount(1)
  await expect(foot(again)).toContainText('All sent')
})

test('what somebody else did first is shown with both sides, and kept as a note', async ({
  page,
  context,
  browser,
}) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await context.setOffline(true)
  const door = (on: Page) => on.locator('.entry-out', { hasText: 'Roof door' })
  const dialog = page.getByRole('dialog')
  await door(page).getByRole('button', { name: 'Put back' }).click()
  await dialog.getByLabel('Say how you put it back.').fill('hatch bolted')
  await dialog.getByRole('button', { name: 'Put back' }).click()
  await expect(foot(page)).toContainText('1 waiting')

  const other = await browser.newPage()
  await signIn(other, 'Mina Petrov')
  await openMachine(other, 'RTU-1')
  await door(other).getByRole('button', { name: 'Put back' }).click()
  await other.getByLabel('Say how you put it back.').fill('wedge taken away')
  await other.getByRole('dialog').getByRole('button', { name: 'Put back' }).click()
  await expect(door(other)).toHaveCount(0)
  await other.close()

  await context.setOffline(false)
  await expect(foot(page)).toContainText('1 rejected', { timeout: 20_000 })
  await foot(page)
    .getByRole('button', { name: /rejected/ })
    .click()
  await expect(dialog).toContainText('Mina Petrov')
  await expect(dialog).toContainText('wedge taken away')
  await expect(dialog).toContainText('hatch bolted')
  await dialog.getByRole('button', { name: 'Save as a note' }).click()
  await expect(foot(page)).toContainText('All sent')
  await expect(page.locator('.slip').first()).toContainText('hatch bolted')
})

test('who signs out leaves no page behind for whoever comes after', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-2')
  const pages = () =>
    page.evaluate(
      () =>
        new Promise<string[]>((resolve, reject) => {
          const opened = indexedDB.open('iron-start')
          opened.onerror = () => reject(new Error('no database'))
          opened.onsuccess = () => {
            const keys = opened.result.transaction('pages').objectStore('pages').getAllKeys()
            keys.onsuccess = () => resolve(keys.result.map(String))
          }
        }),
    )
  await expect
    .poll(async () => (await pages()).filter((name) => /^[1-9]\d*\./.test(name)).length)
    .toBeGreaterThan(1)
  await page.getByRole('button', { name: /Lindqvist, start-up tech/ }).click()
  await page.getByRole('button', { name: 'Sign out' }).click()
  await expect(page.getByLabel('Email')).toBeVisible()
  expect((await pages()).filter((name) => /^[1-9]\d*\./.test(name))).toEqual([])
})

test('the guide reads without signal, pictures too', async ({ page }) => {
  const pictures = new Set<string>()
  page.on('requestfinished', (request) => {
    if (request.url().endsWith('.webp')) pictures.add(request.url())
  })
  await signIn(page)
  await openMachine(page, 'RTU-2')
  await expect.poll(() => pictures.size).toBe(13)
  await page.context().setOffline(true)
  await page.keyboard.press('?')
  const dialog = page.getByRole('dialog')
  // At the question one is at, whichever it is by now.
  const question = (await page.locator('.page h1').textContent()) ?? 'none'
  await expect(dialog.locator('h2')).toContainText(question.slice(1))
  await expect
    .poll(() => dialog.locator('img').evaluate((picture: HTMLImageElement) => picture.naturalWidth))
    .toBeGreaterThan(900)
  await page.context().setOffline(false)
})
