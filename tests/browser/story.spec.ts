import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import {
  choose,
  compressor,
  freshDemo,
  gate,
  lockOff,
  lockOut,
  openMachine,
  openTab,
  POWER,
  readAmps,
  record,
  RUN,
  runFirst,
  seen,
  signIn,
  tripLeakSensor,
  verdict,
  walkPrestart,
  warm,
} from './helpers'

test.describe.configure({ mode: 'serial' })
test.beforeAll(freshDemo)

test('RTU-2: from a reversed supply to a running machine and its record', async ({ page }) => {
  await signIn(page)
  await expect(page.locator('.lead h1')).toHaveText('RTU-2: Check rotation.')
  await page.getByRole('link', { name: 'Open it' }).click()
  await expect(page.locator('h1', { hasText: POWER })).toBeVisible()

  await choose(page, 'Phase rotation meter', 'C-B-A')
  await expect(verdict(page)).toContainText('The supply is reversed: the rotation meter reads C-B-A.')
  await choose(page, 'Phase monitor', 'reverse phase')
  await choose(page, /^Blower/, 'backwards')
  await seen(page, 'C1', 'no', 'loud', '5.1')
  await expect(verdict(page)).toContainText('C1 and Blower run backwards')
  await expect(page.getByText('reads L1, L3, L2')).toBeVisible()
  await expect(page.getByText('swap any two here')).toBeVisible()
  await expect(page.getByText('not at one contactor', { exact: true })).toBeVisible()
  await record(page, 'Record the stop')
  await expect(gate(page, POWER)).toHaveClass(/stopped/)
  await expect(gate(page, RUN)).toHaveClass(/stopped/)

  // The held gate: no start while the supply is reversed.
  await page.keyboard.press('n')
  await openTab(page, 'Start')
  await expect(page.getByRole('button', { name: 'Starting it now' })).toBeDisabled()
  await expect(page.locator('.start li').first()).toContainText('Power is not done')
  await gate(page, POWER).getByRole('button').click()

  await openTab(page, 'Lockout')
  await lockOut(page, '15')
  await expect(page.locator('.entry-out')).toContainText('Lock 15 on')

  await openTab(page, 'Rotation')
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await choose(page, 'Phase monitor', 'OK')
  await expect(page.locator('.foot .blocked')).toContainText('Enter how long C1 ran backwards')
  await expect(page.locator('.foot').getByRole('button', { name: /^Record/ })).toBeDisabled()
  await compressor(page, 'C1')
    .getByLabel(/ran backwards/i)
    .fill('0.2')
  await record(page)
  await expect(gate(page, POWER)).toHaveClass(/answered/)

  await gate(page, RUN).getByRole('button').click()
  await openTab(page, 'Start')
  await expect(page.locator('.start li').first()).toContainText('Held by the put-back list: Lock 15 on')
  await lockOff(page, 'two lines swapped at the disconnect, lock off')

  await warm(page)
  await expect(verdict(page)).toContainText('It has had its 12 h of crankcase heat')
  await record(page)
  await openTab(page, 'Pre-start list')
  await expect(page.getByRole('button', { name: 'Mark the rest yes' })).toHaveCount(0)
  await walkPrestart(page)
  await expect(verdict(page)).toContainText('Ready: all 21 items done.')
  await record(page)

  await runFirst(page)
  await expect(page.locator('.slip', { hasText: 'Starting it now' })).toHaveCount(1)

  await openTab(page, 'Loaded voltage')
  await page.getByLabel('L1–L2 (A–B)').fill('478')
  await page.getByLabel('L2–L3 (B–C)').fill('475')
  await page.getByLabel('L3–L1 (C–A)').fill('480')
  await expect(verdict(page)).toContainText('Good to run')
  await record(page)

  await openTab(page, 'Rotation, running')
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await seen(page, 'C1', 'yes', 'normal')
  await seen(page, 'C2', 'yes', 'normal')
  await choose(page, /^Blower/, 'with the arrow')
  await expect(verdict(page)).toContainText('Rotation is right')
  await expect(compressor(page, 'C1').getByLabel(/ran backwards/i)).toHaveAttribute('placeholder', '0.2')
  await record(page)

  await openTab(page, 'Running amps')
  await readAmps(page)
  await expect(page.getByText('Before you record, enter: doors and panels on.')).toBeVisible()
  await choose(page, 'Doors and panels on', 'yes')
  await record(page)
  await expect(page.locator('.slip').first()).toContainText('Running amps')
  await tripLeakSensor(page)
  await expect(verdict(page)).toContainText('A leak alarm makes it safe within 6 s')
  await record(page)
  await expect(gate(page, RUN)).toHaveClass(/answered/)

  await page.getByRole('link', { name: 'The record' }).click()
  const answers = page.locator('.answers li')
  await expect(answers).toHaveCount(12)
  await expect(answers.nth(0)).toContainText('Not on this job: others set it')
  await expect(answers.nth(6)).toContainText('Rotation is right')
  await expect(answers.nth(8)).toHaveClass(/asking/)
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as JSON' }).click(),
  ])
  const kept = JSON.parse(readFileSync(await file.path(), 'utf8')) as {
    answers: unknown[]
    chain: { entry: { check?: { said: { headline: string } } } }[]
  }
  expect(kept.answers).toHaveLength(12)
  const said = kept.chain.map((link) => link.entry.check?.said.headline ?? '')
  expect(said.some((headline) => headline.startsWith('The supply is reversed'))).toBe(true)
})

test('RTU-3: typed voltages are judged at once, and without a lockout between the swap does not count', async ({
  page,
}) => {
  await signIn(page)
  await openMachine(page, 'RTU-3')
  await expect(page.getByText('nobody ever checked rotation')).toBeVisible()
  await openTab(page, 'Supply')
  await page.getByLabel('L1–L2 (A–B)').fill('481')
  await expect(verdict(page)).toContainText('Still need: L2–L3 (B–C) and L3–L1 (C–A).')
  await page.getByLabel('L2–L3 (B–C)').fill('452')
  await page.getByLabel('L3–L1 (C–A)').fill('484')
  await expect(verdict(page)).toContainText('Unbalance is 4.3%, worst on L2–L3 (B–C); the limit is 2%.')
  await page.getByLabel('L2–L3 (B–C)').fill('478')
  await expect(verdict(page)).toContainText('Good to run: 481 V average')
  await record(page)

  await openTab(page, 'Rotation')
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await choose(page, /^Blower/, 'with the arrow')
  await seen(page, 'C1', 'no', 'loud', '5.0')
  await expect(verdict(page)).toContainText('Blower turns right only because somebody swapped it alone.')
  await expect(page.getByText('swap back too')).toBeVisible()
  await record(page)

  await choose(page, 'Phase rotation meter', 'A-B-C')
  await compressor(page, 'C1')
    .getByLabel(/ran backwards/i)
    .fill('0.1')
  await record(page)
  await expect(gate(page, POWER)).toHaveClass(/stopped/)
  await expect(gate(page, POWER)).toContainText('no lockout was recorded in between')

  // More than a minute backwards: windings and insulation first.
  await openTab(page, 'Lockout')
  await lockOut(page, '16')
  await openTab(page, 'Rotation')
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await compressor(page, 'C1')
    .getByLabel(/ran backwards/i)
    .fill('5')
  await expect(verdict(page)).toContainText('ran backwards for 5 min')
  await record(page)
  await expect(gate(page, POWER)).toContainText('megohm-test to ground (C1)')
})

test('a doubted reading is struck and counts no longer', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await page.locator('.slip', { hasText: 'Running amps' }).first().click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('9.2 A').first()).toBeVisible()
  await dialog.getByRole('button', { name: 'Flag this reading' }).click()
  await dialog.getByLabel(/^Why\?/).fill('clamp lay in the sun')
  await dialog.getByRole('button', { name: 'Flag it' }).click()
  await expect(page.locator('.slip.struck', { hasText: 'clamp lay in the sun' })).toBeVisible()
  await expect(gate(page, RUN)).toContainText('read the running amps')
})

test('a note stands on the tape', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await gate(page, 'Does it do what the controls call for?').getByRole('button').click()
  await page.getByRole('tab', { name: 'Note' }).click()
  await page.getByLabel('Note').fill('Settling, 3 °F in 5 min.')
  await page.getByRole('button', { name: 'Save note' }).click()
  await expect(page.locator('.slip').first()).toContainText('Settling, 3 °F in 5 min.')
})

test('a reading is corrected by a new one, and both stand on the tape', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await page
    .locator('.slip', { hasText: 'Loaded' })
    .or(page.locator('.slip', { hasText: 'Good to run: 478 V' }))
    .first()
    .click()
  await page.getByRole('dialog').getByRole('button', { name: 'Correct it' }).click()
  await expect(page.getByRole('tab', { name: /^Loaded voltage/ })).toHaveAttribute('aria-selected', 'true')
  await expect(page.getByLabel('L1–L2 (A–B)')).toHaveValue('478')
  await expect(page.locator('.frame .foot')).toContainText('Corrects entry')
  await page.getByLabel('L1–L2 (A–B)').fill('476')
  await expect(verdict(page)).toContainText('Good to run: 477 V')
  await record(page)
  await page.locator('.slip', { hasText: 'Good to run: 478 V' }).first().click()
  await expect(page.getByRole('dialog')).toContainText('corrected by entry')
})
