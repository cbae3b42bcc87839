import { expect, test } from '@playwright/test'
import { choose, freshDemo, gate, openMachine, openTab, record, RUN, signIn, verdict } from './helpers'

test.describe.configure({ mode: 'serial' })
test.beforeAll(freshDemo)

test("two people on one machine see each other's tape within seconds", async ({ page, browser }) => {
  await signIn(page)
  await openMachine(page, 'RTU-2')
  const other = await browser.newPage()
  await signIn(other, 'Mina Petrov')
  await openMachine(other, 'RTU-2')
  await choose(other, 'Phase rotation meter', 'C-B-A')
  await record(other, 'Record the stop')
  await expect(page.locator('.slip').first()).toContainText('Mina')
  await expect(page.locator('.slip').first()).toContainText('The supply is reversed')
  await expect(gate(page, RUN)).toHaveClass(/stopped/)
  await other.close()
})

test('what is put on by hand holds what it shuts until it is off', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await page.getByRole('button', { name: 'Add one', exact: true }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('To put back').selectOption({ label: 'Damper blocked' })
  await dialog.getByLabel('Where, and why').fill('outside air, for the static reading')
  await dialog.getByRole('button', { name: 'Add one' }).click()
  const damper = page.locator('.entry-out', { hasText: 'Damper blocked' })
  await expect(damper).toContainText('Damper blocked: outside air')
  await expect(gate(page, 'Is it moving enough air and making enough heat?')).toContainText(
    'Held by the put-back list: Damper blocked',
  )
  await damper.getByRole('button', { name: 'Put back' }).click()
  await dialog.getByRole('button', { name: 'Leave it as is' }).click()
  await dialog.getByLabel('Why it stays').fill('the actuator comes on Friday')
  await dialog.getByLabel('Who owns it now').fill('Ines Varga')
  await dialog.getByLabel('By when').fill('2030-05-03')
  await dialog.getByRole('button', { name: 'Leave it as is' }).click()
  await expect(damper).toContainText('left to Ines Varga until 3 May 2030')
  await page.getByRole('link', { name: 'Today' }).click()
  await expect(page.locator('.out', { hasText: 'Damper blocked' })).toBeVisible()
})

test('the owner brief is walked at the end', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await gate(page, 'Can we leave?').getByRole('button').click()
  await openTab(page, 'Owner walk-through')
  await choose(page, 'How to change the setpoints', 'no')
  await page.getByRole('button', { name: 'Mark the rest yes' }).click()
  await choose(page, 'What was left undone, and when it will be done', 'yes')
  await expect(verdict(page)).toContainText('Nobody showed the setpoints.')
  await choose(page, 'How to change the setpoints', 'yes')
  await expect(verdict(page)).toContainText('Owner walked through: all')
  await record(page)
  await expect(gate(page, 'Can we leave?')).not.toContainText('walk the owner through it')
})

test("a lead opens a question against a stop, and finds that a reversed supply can't be", async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await openMachine(page, 'RTU-2')
  await page.getByRole('button', { name: 'Override' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel(/^Reason/).fill('the crew waits for the crane')
  await dialog.getByRole('button', { name: 'Override' }).click()
  await expect(dialog.getByRole('alert')).toContainText("This stop can't be overridden")
  await dialog.getByRole('button', { name: 'Cancel' }).click()

  await page.getByRole('link', { name: 'Today' }).click()
  await openMachine(page, 'RTU-3')
  await openTab(page, 'Circuit')
  await page.getByLabel('Breaker').fill('60')
  await page.getByLabel('Conductor').selectOption('6')
  await choose(page, /Insulation/, '90 °C')
  await expect(verdict(page)).toContainText('The breaker is 60 A; the nameplate max is 40 A.')
  await record(page, 'Record the stop')
  await page.getByRole('button', { name: 'Override' }).click()
  await page
    .getByRole('dialog')
    .getByLabel(/^Reason/)
    .fill('The breaker is changed this afternoon.')
  await page.getByRole('dialog').getByRole('button', { name: 'Override' }).click()
  await expect(page.locator('.slip').first()).toContainText('Lead override')
  await page.getByRole('link', { name: 'The record' }).click()
  await expect(page.locator('.summary').nth(1)).toContainText(
    'Power: The breaker is changed this afternoon. (Ines Okafor',
  )
})

test('one asks whether the other is ready, and only the other answers', async ({ page, browser }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await page.getByRole('button', { name: 'Ask: ready?' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Ready for what').fill('power on')
  await dialog.getByRole('button', { name: 'Ask', exact: true }).click()
  await expect(page.locator('.ready')).toContainText('Asked: power on? No answer yet.')
  const other = await browser.newPage()
  await signIn(other, 'Mina Petrov')
  await openMachine(other, 'RTU-1')
  await expect(other.locator('.ready')).toContainText('Rafe asks, ready for power on?')
  await other.getByRole('button', { name: 'Ready', exact: true }).click()
  await expect(page.locator('.slip').first()).toContainText('Mina')
  await expect(page.locator('.slip').first()).toContainText('Ready')
  await other.close()
})

test('a clock is shared, survives a reload and calls on every screen when it ends', async ({
  page,
  browser,
}) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  await page.getByRole('button', { name: /^Clocks/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Where and what').fill('Wall behind the duct')
  await dialog.getByLabel('Minutes').fill('1')
  await dialog.getByRole('button', { name: 'Start it' }).click()
  await expect(dialog.locator('li', { hasText: 'Wall behind the duct' })).toBeVisible()
  const other = await browser.newPage()
  await signIn(other, 'Mina Petrov')
  await other.reload()
  await other.getByRole('button', { name: /^Clocks/ }).click()
  await expect(other.getByRole('dialog').locator('li', { hasText: 'Wall behind the duct' })).toBeVisible()
  // The minute passes on this device: the server tells it the same clocks, and that it is so much later.
  await other.route('**/api/v1/clocks', async (route) => {
    const response = await route.fetch()
    const told = (await response.json()) as { now: string; clocks: unknown[] }
    const later = new Date(new Date(told.now).getTime() + 70_000).toISOString()
    await route.fulfill({ response, json: { ...told, now: later } })
  })
  await other.reload()
  const bell = other.locator('.bell', { hasText: 'Wall behind the duct' })
  await expect(bell).toContainText('has ended. Walk it once more')
  await other.close()
})
