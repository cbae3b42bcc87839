import { expect, test, type Page } from '@playwright/test'
import { choose, freshDemo, openMachine, signIn, verdict } from './helpers'

test.beforeAll(freshDemo)

const foot = (page: Page) => page.locator('.foot-line')
const signOut = async (page: Page, name: RegExp) => {
  await page.getByRole('button', { name }).click()
  await page.getByRole('button', { name: 'Sign out' }).click()
}

test('two pages, two people: the first stops, says so, and what was typed on it stays its own', async ({
  page,
  context,
}) => {
  await signIn(page)
  await openMachine(page, 'RTU-2')
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await expect(verdict(page)).toContainText('The supply is reversed')
  const second = await context.newPage()
  await second.goto('/')
  await signOut(second, /Lindqvist, start-up tech/)
  await second.getByRole('button', { name: /Mina Petrov/ }).click()
  await expect(second.getByRole('heading', { name: 'Harrow Lane Library' })).toBeVisible()

  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('Mina Petrov signed in on this device')
  await expect(dialog).toContainText("This page is still Rafe Lindqvist's")
  await page.keyboard.press('Escape')
  await expect(dialog).toBeVisible()
  await dialog.getByRole('button', { name: 'Continue as Mina Petrov' }).click()
  await expect(page.getByRole('button', { name: /Mina Petrov/ })).toBeVisible()
  // Nothing typed by the one is found by the other.
  await openMachine(page, 'RTU-2')
  await expect(verdict(page)).not.toContainText('The supply is reversed')
  await signOut(page, /Mina Petrov/)
  await signIn(page)
  await openMachine(page, 'RTU-2')
  await expect(verdict(page)).toContainText('The supply is reversed')
})

test('a page that has not heard of it is refused with both names, and records nothing', async ({
  page,
  context,
}) => {
  // A page that hears nothing of the others, as in a browser without channels between them.
  await page.addInitScript(() => Object.assign(window, { BroadcastChannel: undefined }))
  await signIn(page)
  await openMachine(page, 'RTU-3')
  const second = await context.newPage()
  await second.goto('/')
  await signOut(second, /Lindqvist, start-up tech/)
  await second.getByRole('button', { name: /Mina Petrov/ }).click()
  await expect(second.getByRole('heading', { name: 'Harrow Lane Library' })).toBeVisible()

  const before = await page.locator('.slip:not(.waits)').count()
  await page.getByRole('tab', { name: 'Note' }).click()
  await page.getByLabel(/note/i).first().fill('The hatch sticks')
  await page.getByRole('button', { name: 'Save note' }).click()
  await expect(page.getByRole('dialog')).toContainText('Mina Petrov signed in on this device')
  await page.getByRole('button', { name: 'Continue as Mina Petrov' }).click()
  await expect(page.getByRole('button', { name: /Mina Petrov/ })).toBeVisible()
  await openMachine(page, 'RTU-3')
  await expect(page.locator('.slip:not(.waits)')).toHaveCount(before)
  // It waits for its own person, who is told, and goes out under no other name.
  await signOut(page, /Mina Petrov/)
  await expect(page.locator('.waits-for')).toContainText('1 entry by Rafe Lindqvist is waiting')
  await signIn(page)
  await openMachine(page, 'RTU-3')
  await expect(page.locator('.slip:not(.waits)')).toHaveCount(before + 1)
  await expect(page.locator('.slip').first()).toContainText('Rafe')
  await expect(page.locator('.slip').first()).toContainText('The hatch sticks')
})

test('who signs out without signal is out at once, and is told what waits for whom', async ({
  page,
  context,
}) => {
  await signIn(page)
  await openMachine(page, 'RTU-2')
  await context.setOffline(true)
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await page
    .locator('.foot')
    .getByRole('button', { name: /^Record/ })
    .click()
  await expect(foot(page)).toContainText('1 waiting')
  await signOut(page, /Lindqvist, start-up tech/)
  await expect(page.locator('.waits-for')).toContainText(
    '1 entry by Rafe Lindqvist is waiting. It goes out when Rafe Lindqvist signs in on this device.',
  )
  await context.setOffline(false)
  // The server did not hear of it: it is told before it is asked who is signed in.
  await page.reload()
  await expect(page.getByLabel('Email')).toBeVisible()
  await signIn(page, 'Mina Petrov')
  await openMachine(page, 'RTU-2')
  await expect(foot(page)).toContainText('All sent')
  await expect(page.locator('.slip.waits')).toHaveCount(0)
})
