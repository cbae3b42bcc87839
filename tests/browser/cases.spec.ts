import { execFileSync } from 'node:child_process'
import { expect, test } from '@playwright/test'
import {
  choose,
  compressor,
  freshDemo,
  gate,
  lockOut,
  openMachine,
  openTab,
  readDead,
  POWER,
  record,
  RUN,
  signIn,
  verdict,
  walkPrestart,
} from './helpers'

test.beforeAll(() => {
  freshDemo()
  execFileSync(
    process.env.ARTISAN ?? '',
    ['db:seed', '--class=Tests\\Support\\CasesSeeder', '--force', '--no-interaction'],
    {
      stdio: 'pipe',
    },
  )
})
const first = '.next li >> nth=0'

test('a part-winding screw: locked out first, and crossed ahead of both contactors', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-21')
  await openTab(page, 'Rotation')
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await expect(page.getByText('a bump of one second')).toBeVisible()
  await compressor(page, 'S1').getByRole('radio', { name: 'no', exact: true }).click()
  await compressor(page, 'S1').getByRole('radio', { name: 'loud' }).click()
  await expect(verdict(page)).toContainText('S1 runs backwards')
  await expect(page.locator(first)).toContainText('Leave it off')
  await choose(page, /confirmed/, 'yes')
  await expect(page.locator(first)).toContainText('Lock out')
  await expect(page.locator('.frame')).toContainText('swap ahead of both contactors')
  await expect(page.locator('.others')).toContainText('Blower')
})

test('a unit with a drive is not dead before its bus is read', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-21')
  await openTab(page, 'Lockout')
  await readDead(page, '31')
  await expect(verdict(page)).not.toContainText('Dead')
  await page.getByLabel(/^Drive bus/).fill('310')
  await expect(page.locator('.verdict')).toHaveClass(/stop/)
  // The bus says stop first; the time is still asked for where it was.
  await page.getByLabel(/^Waited/).fill('3')
  await page.getByLabel(/^Drive bus/).fill('4')
  await page.getByLabel(/^Waited/).fill('11')
  await expect(verdict(page)).toContainText('Dead')
  await record(page)
  await expect(page.locator('.entry-out')).toContainText('Lock 31 on')
})

test('a cold flooded compressor is warmed before it is condemned', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-3')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await openTab(page, 'Megohms')
  await choose(page, /^Read with/, '500 V megohmmeter')
  await choose(page, /^The system is/, 'under pressure')
  await page.getByLabel(/^Megohms to ground/).fill('0.3')
  await expect(verdict(page)).toContainText('a shell nobody warmed')
  await expect(page.locator(first)).toContainText('do not condemn it')
  await record(page, 'Record the stop')
  await choose(page, /^Read with/, '500 V megohmmeter')
  await choose(page, /^The system is/, 'under pressure')
  await page.getByLabel(/^Megohms to ground/).fill('140')
  await choose(page, /^Warmed/, 'yes')
  await expect(page.locator('.verdict')).toHaveClass(/clear/)
  await record(page)
})

test('a fuse that is fed back is named, with the reading across it', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-3')
  await openTab(page, 'Supply')
  for (const [leg, volts] of [
    ['L1–L2 (A–B)', '481'],
    ['L2–L3 (B–C)', '260'],
    ['L3–L1 (C–A)', '240'],
    ['L1 to ground (A)', '277'],
    ['L2 to ground (B)', '276'],
    ['L3 to ground (C)', '180'],
  ] as const)
    await page.getByLabel(leg).fill(volts)
  await expect(page.locator('.verdict')).toHaveClass(/stop/)
  await expect(verdict(page)).toContainText(/fed back|A phase is out/)
  await page.locator('.next button').click()
  await expect(page.locator('.next')).toContainText('across each fuse, pole and contact')
})

test('a tagged-out compressor does not keep Run from being answered', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-22')
  await gate(page, POWER).getByRole('button').click()
  await openTab(page, 'Lockout')
  await lockOut(page, '41')
  await gate(page, RUN).getByRole('button').click()
  await page.getByRole('tab', { name: 'Job' }).click()
  await page.getByRole('button', { name: 'Tag a part out of service' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.locator('select').selectOption('circuit:B')
  await dialog.getByLabel('Fan 2').check()
  await dialog.locator('#tag-why').fill('Windings open')
  await dialog.locator('#tag-wire').fill('T1 to T3 lifted and capped')
  await dialog.getByRole('button', { name: 'Tag a part out of service' }).click()
  await expect(dialog).toBeHidden()
  await page.locator('.entry-out', { hasText: 'Lock 41' }).getByRole('button', { name: 'Put back' }).click()
  await dialog.getByLabel('Say how you put it back.').fill('lock off')
  await dialog.getByRole('button', { name: 'Put back' }).click()
  await expect(dialog).toBeHidden()
  // Locked out since: the list is gone down again.
  await openTab(page, 'Pre-start list')
  await walkPrestart(page)
  await record(page)
  await openTab(page, 'Running amps')
  await expect(page.locator('.others')).toContainText('C2')
  await choose(page, 'Doors and panels on', 'yes')
  const amps = ['9.2', '9.3', '9.1', '7.0', '7.1', '7.0', '1.2']
  const boxes = page.locator('.part .figure')
  await expect(boxes).toHaveCount(amps.length)
  for (const [i, one] of amps.entries()) await boxes.nth(i).fill(one)
  await record(page)
  await expect(gate(page, RUN)).toHaveClass(/answered/)
  await expect(gate(page, POWER)).toHaveClass(/answered/)
})
