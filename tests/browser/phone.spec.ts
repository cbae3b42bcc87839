import { expect, test, type Locator } from '@playwright/test'
import { choose, freshDemo, openMachine, record, signIn, verdict } from './helpers'

test.beforeAll(freshDemo)
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

test('the three pages of a machine on a phone, nothing wider than the screen, nothing too small to press', async ({
  page,
}) => {
  const fits = async () =>
    expect(
      await page.evaluate(
        () => document.documentElement.scrollWidth <= innerWidth && document.body.scrollWidth <= innerWidth,
      ),
    ).toBe(true)
  await signIn(page)
  await fits()
  await openMachine(page, 'RTU-2')
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await expect(verdict(page)).toContainText('The supply is reversed')
  await expect(page.getByText('swap any two here')).toBeVisible()
  await fits()
  const small = await page
    .locator('.bench button:visible, .bench .options label:visible, .thumbs button')
    .evaluateAll((all) =>
      all.filter((el) => el.getBoundingClientRect().height < 44).map((el) => el.textContent),
    )
  expect(small).toEqual([])
  const readings = await page
    .locator('.bench .figure:visible')
    .evaluateAll((all) => all.map((el) => el.parentElement?.getBoundingClientRect().height ?? 0))
  expect(Math.min(...readings)).toBeGreaterThanOrEqual(50)
  const button = await page.getByRole('button', { name: 'Record the stop' }).boundingBox()
  const thumbs = await page.locator('.thumbs').boundingBox()
  expect((button?.y ?? 0) + (button?.height ?? 0)).toBeLessThanOrEqual(thumbs?.y ?? 0)

  await record(page, 'Record the stop')
  await page.getByRole('button', { name: 'Log', exact: true }).click()
  await expect(page.locator('.slip').first()).toContainText('The supply is reversed')
  await fits()
  await page.getByRole('button', { name: 'Ask', exact: true }).click()
  await expect(page.locator('.rail .stopped').first()).toBeVisible()
  await fits()
  await page.locator('.rail button', { hasText: 'Does it do what the controls call for?' }).click()
  await page.getByRole('tab', { name: 'Note' }).click()
  await expect(page.getByLabel('Note')).toBeVisible()
  await fits()
})

test('the record, the links and the people fit a phone', async ({ page }) => {
  const fits = async (what: string) =>
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth), what).toBe(true)
  await signIn(page, 'Ines Okafor')
  await page.goto('/machines/1/record')
  await expect(page.locator('.answers')).toBeVisible()
  await fits('record')
  await page.getByRole('button', { name: "Owner's link" }).click()
  await expect(page.getByLabel('For whom')).toBeVisible()
  await fits('links')
  await page.goto('/office/people')
  await page.getByLabel('Name', { exact: true }).fill('Pia Stone')
  await page.getByLabel('Email').fill('pia@tallow-finch.example')
  await page.getByRole('button', { name: 'Invite' }).click()
  await expect(page.getByText('Links that still work')).toBeVisible()
  await fits('people')
  const roles = await page
    .getByRole('combobox', { name: /^Role of/ })
    .evaluateAll((all) => all.map((el) => el.getBoundingClientRect().width))
  expect(Math.min(...roles)).toBeGreaterThan(120)
  await page.getByRole('button', { name: 'Cancel link' }).click()
  await expect(page.getByText('Links that still work')).toHaveCount(0)
})

test('a reversed supply is on the record after three presses from Today, with what was read still in sight', async ({
  page,
}) => {
  freshDemo()
  await signIn(page)
  let presses = 0
  const press = async (what: Locator) => {
    await what.tap()
    presses++
  }
  await press(page.getByRole('link', { name: 'Open it' }))
  await press(page.getByRole('group', { name: 'Phase rotation meter' }).getByRole('radio', { name: 'C-B-A' }))
  await expect(verdict(page)).toContainText('The supply is reversed')
  // Verdict, readings, drawing: in this order, one below the other.
  const top = async (what: string) => (await page.locator(what).first().boundingBox())?.y ?? 0
  expect(await top('.frame .top')).toBeLessThan(await top('.frame .right'))
  expect(await top('.frame .right')).toBeLessThan(await top('.frame .left'))
  await press(page.getByRole('button', { name: 'Record the stop' }))
  await expect(page.locator('.past .said')).toContainText('The supply is reversed')
  await expect(page.locator('.frame .foot').getByRole('button', { name: 'Add photo' })).toBeVisible()
  console.log(`phone: ${presses} presses from Today to a recorded reversal`)
  expect(presses).toBe(3)
})
