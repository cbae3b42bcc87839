import { expect, test } from '@playwright/test'
import { choose, freshDemo, gate, openMachine, openTab, POWER, record, signIn, verdict } from './helpers'

test.beforeAll(freshDemo)

test('what was found on one unit is asked of its sisters, and what tripped stays off until the megohms', async ({
  page,
}) => {
  await signIn(page)
  await openMachine(page, 'RTU-2')
  await gate(page, POWER).getByRole('button').first().click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await openTab(page, 'Root cause')
  // RTU-1 was fed the same way, and was proved since.
  await expect(verdict(page)).toContainText('RTU-1: a reversed supply. That explains hours run backwards.')
  await page.getByRole('button', { name: 'Add to what was found' }).click()
  const row = page.getByRole('group', { name: 'What was found' }).last()
  await choose(row, 'On unit', 'RTU-2')
  await row.getByRole('combobox', { name: 'Found' }).selectOption('a tripped breaker')
  await row.getByLabel('How it is known').fill('found tripped at arrival')
  await expect(verdict(page)).toContainText('RTU-2 stays off: first read the megohms.')
  await expect(page.getByText('RTU-2: read the megohms.').first()).toBeVisible()
  await record(page)
  await expect(page.locator('.slip').first()).toContainText('RTU-2 stays off: first read the megohms.')
})
