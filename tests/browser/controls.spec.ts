import { expect, test } from '@playwright/test'
import { choose, freshDemo, gate, openMachine, openTab, record, signIn, verdict } from './helpers'

test.beforeAll(freshDemo)

const CONTROLS = 'Does it do what the controls call for?'

test('a ladder is written, dragged and recorded, and crosses itself with a word', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await gate(page, CONTROLS).getByRole('button').click()
  await openTab(page, 'Staging')
  await page.getByLabel('Cooling set point').fill('74')
  await page.getByLabel('Heating set point').fill('76')
  await page.getByRole('button', { name: 'Add stages by count' }).click()
  await page.getByLabel(/^Cooling stages/).fill('2')
  await page.getByLabel(/^Heating stages/).fill('2')
  await page.getByLabel(/^Between stages/).fill('1.5')
  await page.getByLabel(/^Deadband/).fill('1')
  await expect(verdict(page)).toContainText('It heats and cools at once')
  await page.getByLabel('Heating set point').fill('70')
  await expect(verdict(page)).toContainText('heat ends 5 °F below where cooling ends')
  const slider = page.getByRole('slider', { name: 'Room temperature' })
  await slider.focus()
  await expect(slider).toHaveAttribute('aria-valuetext', '72°: nothing runs')
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowUp')
  await expect(slider).toHaveAttribute('aria-valuetext', '76°: cool 1 on')
  await record(page)
  await expect(page.locator('.slip').first()).toContainText('heat ends 5 °F below')
})

test('each call has its row, what came on is taken over by a press, and nothing left on is told', async ({
  page,
}) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await gate(page, CONTROLS).getByRole('button').click()
  await openTab(page, 'Calls')
  // The sheet names six; four of them are left out today.
  for (const call of ['cool 2', 'heat 1', 'heat 2', 'economizer'])
    await page.locator('label', { hasText: new RegExp(`^${call}$`) }).click()
  for (const [call, outputs] of [
    ['fan', 'blower'],
    ['cool 1', 'blower, compressor C1'],
  ] as const) {
    const row = page.getByRole('group', { name: call, exact: true })
    await expect(row.getByLabel('Should come on')).not.toHaveValue('')
    await row.getByLabel('Should come on').fill(outputs)
    await row.getByRole('button', { name: /^same/i }).click()
    await expect(row.getByLabel('Came on', { exact: true })).toHaveValue(outputs)
    await row.getByLabel('Watched for').fill('10')
    await choose(row, 'Proved by', 'amps')
    await row.getByLabel('none, Still on after').check()
  }
  await expect(verdict(page)).toContainText('Proved: 2 calls on and off.')
  await record(page)
  await expect(page.locator('.slip').first()).toContainText('Proved: 2 calls on and off.')
})

test('a set point left as it was for the test is said, by name, and is to be put back', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await gate(page, CONTROLS).getByRole('button').click()
  await openTab(page, 'Settings')
  // What the sheet requires stands there; found so and left so, by a press each.
  const rows = page.locator('.part')
  await expect(rows).toHaveCount(5)
  for (const row of await rows.all()) {
    const same = row.getByRole('button', { name: /^same/i })
    await same.first().click()
    await same.last().click()
    await expect(row.getByLabel('As left')).not.toHaveValue('')
  }
  await page.getByRole('button', { name: 'Add to settings' }).click()
  const row = rows.last()
  await row.getByLabel('Setting', { exact: true }).fill('Cool set point')
  await choose(row, 'Compared', 'within')
  await row.getByLabel('Required').fill('74 °F')
  await row.getByLabel('Tolerance').fill('1 °F')
  await row.getByLabel('For the test').fill('55 F')
  await row.getByLabel('As left').fill('55 °F')
  await expect(verdict(page)).toContainText('Cool set point is not as required.')
  await expect(page.getByText('Cool set point is still set for the test.')).toBeVisible()
  await record(page)
  await expect(
    page
      .locator('.tape, .putback, aside')
      .getByText(/controller/i)
      .first(),
  ).toBeVisible()
})
