import { expect, test, type Page } from '@playwright/test'
import { freshDemo, signIn } from './helpers'

test.describe.configure({ mode: 'serial' })
test.beforeAll(freshDemo)

/** Types into the box that has the focus, and goes on to the next. */
async function type(page: Page, ...texts: string[]) {
  for (const text of texts) {
    await page.keyboard.type(text)
    await page.keyboard.press('Tab')
  }
}

/** Goes on by keys alone until the box or button with this name has the focus. */
async function reach(page: Page, name: string | RegExp) {
  for (let i = 0; i < 60; i++) {
    const at = await page.evaluate(() => {
      const el = document.activeElement as HTMLInputElement | null
      const label = el?.labels?.[0]?.textContent ?? el?.getAttribute('aria-label') ?? el?.textContent ?? ''
      return label.trim().replace(/\s+/g, ' ')
    })
    if (typeof name === 'string' ? at === name : name.test(at)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`the keys do not reach ${String(name)}`)
}

test('a site, a job with its facts, machines and people are set up by keyboard alone in under two minutes', async ({
  page,
}) => {
  await signIn(page, 'Tobias Wren')
  await page.goto('/office')
  await expect(page.getByRole('heading', { name: 'Sites' })).toBeVisible()
  const started = Date.now()
  await reach(page, 'New site')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Site', { exact: true })).toBeFocused()
  await type(page, 'Weir Pump House', '2 Weir Road', '310')
  await page.keyboard.press('Tab')
  await type(page, 'Weir General, 12 minutes', 'caretaker', 'north wall', 'beside the door')
  await page.keyboard.press('Enter')

  await expect(page.getByLabel('Scope of work')).toBeFocused()
  await page.keyboard.type('Two condensing units')
  await page.keyboard.press('Tab')
  await page.keyboard.press('c')
  await reach(page, 'Rafe Lindqvist')
  await page.keyboard.press('Space')
  await reach(page, 'Is it set by crane?')
  await page.keyboard.press('Space')
  await reach(page, 'Save')
  await page.keyboard.press('Enter')

  for (const [name, serial] of [
    ['CU-1', 'WP-1'],
    ['CU-2', 'WP-2'],
  ] as const) {
    await expect(page.getByLabel('Unit', { exact: true })).toBeFocused()
    await page.keyboard.type(name)
    await reach(page, 'Serial')
    await page.keyboard.type(serial)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('link', { name })).toBeVisible()
  }
  const took = (Date.now() - started) / 1000
  console.log(`office set-up by keyboard: ${took.toFixed(1)} s`)
  expect(took).toBeLessThan(120)
  await expect(page.locator('.job')).toContainText('Rafe Lindqvist')
  await expect(page.locator('.page')).toContainText('Weir General, 12 minutes')
})

test('it is found by its first letters', async ({ page }) => {
  await signIn(page, 'Tobias Wren')
  await page.keyboard.press('/')
  await page.getByLabel('Unit, serial, site, job or model').fill('wp-1')
  await expect(page.getByRole('option').first()).toContainText('CU-1, Weir Pump House')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /CU-1/ })).toBeVisible()
})

test('a table is looked at row by row and comes in whole', async ({ page }) => {
  await signIn(page, 'Tobias Wren')
  await page.goto('/office/import')
  const file = page.getByLabel('CSV file')
  const csv = (rows: string[]) => ({
    name: 'machines.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['site,job,type,machine,serial', ...rows].join('\n')),
  })
  await file.setInputFiles(
    csv(['Weir Pump House,Old ones,rooftop,RTU-1,A-1', 'Nowhere,Old ones,rooftop,RTU-2,A-1']),
  )
  await expect(page.getByRole('status')).toContainText('1 of 2 rows are wrong')
  await expect(page.locator('.wrong').first()).toContainText('There is no site "Nowhere"')
  await expect(page.getByRole('button', { name: /Import/ })).toBeDisabled()
  await file.setInputFiles(
    csv(['Weir Pump House,Old ones,rooftop,RTU-1,A-1', 'Weir Pump House,Old ones,rooftop,RTU-2,A-2']),
  )
  await page.getByRole('button', { name: 'Import all 2' }).click()
  await expect(page.getByRole('status')).toContainText('2 imported.')
})

test('a sheet gets a new version, and two stand side by side', async ({ page }) => {
  await signIn(page, 'Tobias Wren')
  await page.goto('/shelf')
  await page.getByRole('link', { name: 'BF-150G' }).click()
  await page.getByRole('button', { name: 'Edit' }).click()
  await page.getByLabel('MCA').fill('33.4')
  await page.getByRole('button', { name: 'Save as a new version' }).click()
  await expect(page.getByText('One figure differs')).toBeVisible()
  await expect(page.locator('.plate .changed')).toContainText('32.8 A 33.4 A')
  await expect(page.locator('.versions')).toContainText('Tobias Wren')
  const sheet = {
    model: 'ZZ-9',
    kind: 'rooftop',
    electrical: { motors: [{ name: 'C1', kind: 'scroll', drive: 'across_line' }] },
  }
  await page.goto('/shelf')
  await page.locator('input[type=file]').setInputFiles({
    name: 's.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(sheet)),
  })
  await expect(page.getByRole('alert')).toContainText('motors')
})

test('a starter makes a machine from the plate in front of them, and its benches are filled from the sheet', async ({
  page,
}) => {
  await signIn(page)
  await page.getByRole('button', { name: 'New unit' }).first().click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Unit', { exact: true }).fill('RTU-12')
  await dialog.getByLabel('Sheet').selectOption('BF-150G')
  await dialog.getByLabel('Serial').fill('BF150-30001')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('heading', { name: /RTU-12/ })).toBeVisible()
  await page.getByRole('tab', { name: /Circuit/ }).click()
  await expect(page.locator('.sheet')).toContainText('Nameplate MCA 33.4 A, Nameplate MOCP 40 A')
})

test('a figure of the plate is typed over only with a reason', async ({ page }) => {
  await signIn(page)
  await page.locator('a.row', { hasText: 'RTU-3' }).first().click()
  await page.getByRole('tab', { name: /Circuit/ }).click()
  await page.getByRole('button', { name: 'Nameplate is different' }).click()
  await page.getByRole('textbox', { name: /^Nameplate MCA/ }).fill('36')
  await page.getByRole('textbox', { name: /^Breaker/ }).fill('40')
  await expect(page.locator('.reason')).toContainText('Sheet says 32.8 A, you entered 36 A. Why?')
  const button = page.locator('.foot').getByRole('button', { name: /^Record/ })
  await expect(button).toBeDisabled()
  await page.locator('.reason input').fill('the plate was changed')
  await expect(button).toBeEnabled()
})

test('an invited person comes in once, and a new password puts everybody else out', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Ines Okafor')
  await page.goto('/office/people')
  await page.getByLabel('Name', { exact: true }).fill('Pia Stone')
  await page.getByLabel('Email').fill('pia@tallow-finch.example')
  await page.getByRole('button', { name: 'Invite' }).click()
  const link = page.getByLabel('The link')
  const first = await link.inputValue()
  const pia = await (await browser.newContext()).newPage()
  await pia.goto(first)
  await expect(pia.getByRole('heading')).toContainText('Welcome, Pia Stone')
  await pia.getByLabel(/password/i).fill('four plain words here')
  await pia.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(pia.getByRole('button', { name: /Pia Stone, start-up tech/ })).toBeVisible()
  const again = await (await browser.newContext()).newPage()
  await again.goto(first)
  await expect(again.getByRole('alert')).toContainText('It was used')

  await page.reload()
  await page
    .getByRole('row', { name: /Pia Stone/ })
    .getByRole('button', { name: 'New password' })
    .click()
  await expect(link).toHaveValue(/\/join\//)
  await again.goto(await link.inputValue())
  await again.getByLabel(/password/i).fill('quite another password')
  await again.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(again.getByRole('button', { name: /Pia Stone/ })).toBeVisible()
  await pia.reload()
  await expect(pia.getByLabel('Email')).toBeVisible()
})

test('the owner reads the record through a link until it is withdrawn, and no script but ours runs', async ({
  page,
  browser,
}) => {
  await signIn(page, 'Ines Okafor')
  await page.locator('a.row', { hasText: 'RTU-1' }).first().click()
  await page.getByRole('link', { name: 'The record' }).first().click()
  await page.getByRole('button', { name: "Owner's link" }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('For whom').fill('Library board')
  await dialog.getByRole('button', { name: 'Make a link' }).click()
  const link = await dialog.getByLabel('The link').inputValue()
  const owner = await (await browser.newContext()).newPage()
  const refused: string[] = []
  owner.on('console', (message) => {
    if (message.text().includes('Content Security Policy')) refused.push(message.text())
  })
  await owner.goto(link)
  await expect(owner.getByRole('heading', { name: 'RTU-1, Harrow Lane Library' })).toBeVisible()
  await expect(owner.locator('.answers li')).toHaveCount(12)
  await expect(owner.getByRole('link', { name: 'Save as JSON' })).toHaveCount(0)
  expect(refused).toEqual([])
  await dialog.getByRole('button', { name: 'Revoke' }).click()
  await expect(dialog).toContainText('revoked')
  await owner.reload()
  await expect(owner.getByRole('alert')).toContainText('revoked')
})
