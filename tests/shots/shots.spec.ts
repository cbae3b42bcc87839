import { execFileSync } from 'node:child_process'
import { expect, test } from '@playwright/test'
import {
  choose,
  freshDemo,
  gate,
  openMachine,
  openTab,
  readAmps,
  RUN,
  seen,
  signIn,
  verdict,
} from '../browser/helpers'

const FOLDER = 'docs/screenshots'
test.beforeAll(freshDemo)

test('the pictures of the README', async ({ page }) => {
  await signIn(page)
  await page.mouse.move(640, 780)
  await page.screenshot({ path: `${FOLDER}/today.png` })

  await openMachine(page, 'RTU-2')
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await choose(page, 'Phase monitor', 'reverse phase')
  await seen(page, 'C1', 'no', 'loud', '5.1')
  await choose(page, /^Blower/, 'backwards')
  await expect(verdict(page)).toContainText('C1 and Blower run backwards')
  await page.locator('.frame .body').evaluate((el) => (el.scrollTop = 0))
  await page.screenshot({ path: `${FOLDER}/machine-power.png` })

  await page.getByRole('link', { name: 'Today' }).click()
  await openMachine(page, 'RTU-1')
  await gate(page, RUN).getByRole('button').click()
  await openTab(page, 'Running amps')
  await readAmps(page)
  await choose(page, 'Doors and panels on', 'yes')
  await expect(verdict(page)).toContainText('All 5 motors')
  await page.locator('.frame .body').evaluate((el) => (el.scrollTop = 0))
  await page.screenshot({ path: `${FOLDER}/machine-run.png` })

  await gate(page, 'Can we leave?').getByRole('button').click()
  await expect(page.getByText('What is holding it up')).toBeVisible()
  await page.mouse.move(640, 780)
  await page.screenshot({ path: `${FOLDER}/handover.png` })

  await page.getByRole('link', { name: 'The record' }).click()
  await expect(page.locator('.answers')).toBeVisible()
  await page.screenshot({ path: `${FOLDER}/record.png` })
})

test('the old disconnect', async ({ page }) => {
  await signIn(page)
  await page.locator('a.row', { hasText: 'VRF-A' }).first().click()
  await page.locator('.rail button', { hasText: 'Is the old one dead' }).click()
  await openTab(page, 'Lockout')
  await choose(page, 'Lock is on', 'upstream')
  await choose(page, 'Working on', 'line side')
  await page.getByLabel('Lock', { exact: true }).fill('22')
  await choose(page, /Meter checked live, before/, 'yes')
  await page.screenshot({ path: `${FOLDER}/machine-out.png` })
})

test('the phone', async ({ browser }) => {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 }, baseURL: process.env.BASE_URL })
  await signIn(page)
  await openMachine(page, 'RTU-2')
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await seen(page, 'C1', 'no', 'loud', '5.1')
  await choose(page, /^Blower/, 'backwards')
  await expect(verdict(page)).toContainText('C1 and Blower run backwards')
  await page.locator('.frame').evaluate((el) => (el.scrollTop = 0))
  await page.screenshot({ path: `${FOLDER}/phone-machine.png` })
})

test('the office and the shelf', async ({ page }) => {
  execFileSync(
    process.env.ARTISAN ?? '',
    ['db:seed', '--class=Tests\\Support\\SignedSeeder', '--force', '--no-interaction'],
    { stdio: 'pipe' },
  )
  await signIn(page, 'Ines Okafor')
  await page.goto('/office/review')
  await expect(page.getByRole('link', { name: 'Review and sign' })).toBeVisible()
  await page.screenshot({ path: `${FOLDER}/office-review.png` })
  await page.goto('/shelf')
  await page.getByRole('link', { name: 'BF-150G' }).click()
  await page.getByRole('button', { name: 'Edit' }).click()
  await page.getByLabel('MCA').fill('33.4')
  await page.getByLabel('Rated amps').nth(2).fill('8.1')
  await page.getByRole('button', { name: 'Save as a new version' }).click()
  await expect(page.getByText('2 figures differ.')).toBeVisible()
  await page.screenshot({ path: `${FOLDER}/shelf-sheet.png` })
})
