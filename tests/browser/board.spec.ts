import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { freshDemo, gate, openMachine, openTab, record, signIn, verdict } from './helpers'

test.describe.configure({ mode: 'serial' })
test.beforeAll(freshDemo)
const LEAVE = 'Can we leave?'

test('the office sees what holds each unit, and the crew ticks what is on the van', async ({ page }) => {
  await signIn(page, 'Tobias Wren')
  await page.goto('/office/jobs')
  await expect(page.getByRole('heading', { name: 'Old Ferry Market Hall' })).toBeVisible()
  await page.getByRole('link', { name: 'Copperbeech Bakery' }).click()
  const meter = page.getByRole('button', { name: /Phase rotation meter/ })
  await meter.click()
  await expect(meter).toContainText('On the van, Tobias')
  await expect(page.getByText(/^1 of \d+ on the van, 0 home again/)).toBeVisible()
  await page.reload()
  await meter.click()
  await expect(meter).toContainText('Home, Tobias')
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Save it all (ZIP)' }).click()
  const file = await download
  expect(file.suggestedFilename()).toMatch(/^Copperbeech-Bakery-.*\.zip$/)
  expect(
    readFileSync(await file.path())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK')
})

test('a next look comes back on Today by itself, and goes when it is read', async ({ page }) => {
  await signIn(page, 'Rafe Lindqvist')
  await openMachine(page, 'RTU-2')
  await gate(page, LEAVE).getByRole('button').click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await openTab(page, 'Next look')
  const day = await page.evaluate(() => new Date().toISOString().slice(0, 10))
  await page.getByLabel('Day', { exact: true }).fill(day)
  await page.getByRole('combobox', { name: 'Read then' }).selectOption('voltage')
  await page.getByLabel('Why').fill('the utility was told')
  await expect(verdict(page)).toContainText('read the voltage again.')
  await record(page)
  await page.getByRole('link', { name: 'Today' }).click()
  const due = page.locator('a.due')
  await expect(due).toContainText('RTU-2: Is the power good enough to run on?')
  await due.click()
  await expect(page.getByRole('tab', { name: /^Supply/ })).toBeVisible()
})

test('what was found goes to the customer on one page', async ({ page }) => {
  await signIn(page, 'Rafe Lindqvist')
  await openMachine(page, 'RTU-2')
  await gate(page, LEAVE).getByRole('button').click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await openTab(page, 'Finding')
  await page.getByLabel('What was found').fill('The disconnect is burnt on one leg.')
  await page.getByLabel('How it is left').fill('off and locked')
  await page.getByLabel('What it needs').fill('a new disconnect')
  await record(page)
  const unit = new URL(page.url()).pathname
  const answer = await page.request.get(`/api/v1${unit}/pages/finding.svg`)
  expect(await answer.text()).toContain('The disconnect is burnt on one leg.')
})
