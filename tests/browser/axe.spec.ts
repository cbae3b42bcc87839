import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { choose, findUnit, freshDemo, openMachine, openTab, signIn } from './helpers'

test.beforeAll(freshDemo)
// Half faded in, nothing has its contrast yet.
test.use({ contextOptions: { reducedMotion: 'reduce' } })

async function grave(page: Page, rules: string[] = []): Promise<string[]> {
  // No page has frames: nothing has to be put together in a page of its own.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
  const { violations } = await (rules.length > 0 ? axe.withRules(rules) : axe).analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 4)
          .join(', ')}`,
    )
}

/** All rules in the light colours; in the dark ones only what colours can break. */
async function sound(page: Page, what: string): Promise<void> {
  const colours = (theme: string) =>
    page.evaluate((name) => (document.documentElement.dataset.theme = name), theme)
  await colours('light')
  expect(await grave(page), `${what}, light`).toEqual([])
  await colours('dark')
  expect(await grave(page, ['color-contrast', 'link-in-text-block']), `${what}, dark`).toEqual([])
  await colours('light')
}

/** The bench of rotation of a machine. */
async function machine(page: Page): Promise<void> {
  await signIn(page)
  await openMachine(page, 'RTU-2')
}

async function tabs(page: Page, names: string[]): Promise<void> {
  for (const name of names) {
    await openTab(page, name)
    await sound(page, name)
  }
}

test('the way in is sound', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('button', { name: /Rafe/ })).toBeVisible()
  await sound(page, 'sign-in')
  await signIn(page)
  await sound(page, 'today')
  await page.goto('/instruments')
  await expect(page.getByRole('table')).toBeVisible()
  await sound(page, 'instruments')
})

test('the benches of Power are sound', async ({ page }) => {
  await machine(page)
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await expect(page.getByText('swap any two here')).toBeVisible()
  await tabs(page, ['Rotation', 'Supply', 'Circuit', 'Control voltage', 'Lockout'])
})

test('the benches before the start are sound', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'RTU-4')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await tabs(page, ['Curb fit', 'Crane', 'Rigging', 'Route', 'Lift day', 'Order sheet'])
  await page.locator('.rail button', { hasText: 'Is the old one dead' }).click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await tabs(page, ['Pump-down run', 'Valves', 'Pressure coming back', 'Cylinder', 'Lock board'])
})

test('the Pocket and the options are sound', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await page.goto('/pocket')
  await expect(page.getByRole('link', { name: /^Curb fit/ })).toBeVisible()
  await sound(page, 'pocket')
  await page.getByRole('link', { name: /^Curb fit/ }).click()
  await page.locator('input.figure').first().fill('88')
  await sound(page, 'pocket curb')
  await page.goto('/pocket/options')
  await page.getByLabel('Name', { exact: false }).first().fill('one large')
  await sound(page, 'options')
})

test('the other benches of Power are sound', async ({ page }) => {
  await machine(page)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await tabs(page, [
    'Windings',
    'Megohms',
    'Nameplate math',
    'Temporary power',
    'Shared feeder',
    'Feed$',
    'Swap',
    'Root cause',
  ])
})

test('the benches of Run are sound', async ({ page }) => {
  await machine(page)
  await page.keyboard.press('n')
  await tabs(page, [
    'Standing pressure',
    'Crankcase heat',
    'Pre-start list',
    'Start',
    'First run',
    'Loaded voltage',
    'Rotation, running',
    'Running amps',
  ])
})

test('the benches of Tight, Dry and Charge are sound', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  const cells = page.locator('.frame input.figure')
  await page.locator('.rail button', { hasText: 'Does it hold?' }).click()
  for (const [i, text] of ['450', '74', '437.5', '61'].entries())
    await page.locator('fieldset.grid input.figure').nth(i).fill(text)
  await page.locator('input[type=datetime-local]').first().fill('2026-03-02T17:40')
  await page.locator('input[type=datetime-local]').last().fill('2026-03-03T07:10')
  await expect(page.locator('svg.curve')).toBeVisible()
  await sound(page, 'hold')
  await page.locator('.rail button', { hasText: 'Is it dry?' }).click()
  await choose(page, 'Gauge is at', 'the far end')
  await page.getByRole('button', { name: 'Read a logger file' }).click()
  await page
    .getByRole('dialog')
    .locator('input[type=file]')
    .setInputFiles({
      name: 'gauge.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        ['min,micron', ...[0, 2, 4, 6, 8, 10, 12, 15].map((m) => `${m},${300 + 60 * m}`)].join('\n'),
      ),
    })
  await expect(page.getByRole('dialog').getByRole('button', { name: /Take/ })).toBeVisible()
  await expect(page.locator('.dialog-fade-enter-active')).toHaveCount(0)
  await sound(page, 'a logger file')
  await page.keyboard.press('Escape')
  await openTab(page, 'Opening the valves')
  await sound(page, 'opening the valves')
  await page.locator('.rail button', { hasText: 'Is the charge right?' }).click()
  await tabs(page, ['Weigh-in', 'Superheat and subcooling'])
  for (const [i, text] of ['112', '55', '330', '92'].entries()) await cells.nth(i).fill(text)
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await tabs(page, ['Trim', 'Room limit', 'What is wrong'])
  await page.goto('/shelf/refrigerants/R-454B')
  await page.getByLabel('Gauge pressure').fill('150')
  await sound(page, 'refrigerants')
})

test('the benches of Controls are sound', async ({ page }) => {
  await machine(page)
  await page.locator('.rail button', { hasText: 'Does it do what the controls call for?' }).click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await tabs(page, ['Terminals', 'Leaving air', 'Alarms', 'Settings'])
  await openTab(page, 'Calls')
  await page.locator('label', { hasText: /^cool 1$/ }).click()
  await sound(page, 'calls')
  await openTab(page, 'Staging')
  await page.getByLabel('Cooling set point').fill('74')
  await page.getByLabel('Heating set point').fill('70')
  await page.getByRole('button', { name: 'Add stages by count' }).click()
  await page.getByLabel(/^Cooling stages/).fill('2')
  await page.getByLabel(/^Between stages/).fill('1.5')
  await page.getByLabel(/^Deadband/).fill('1')
  await expect(page.getByRole('slider')).toBeVisible()
  await sound(page, 'staging')
})

test('what stands beside the benches is sound', async ({ page }) => {
  await machine(page)
  await page.locator('.rail button', { hasText: 'Does it do what the controls call for?' }).click()
  await page.getByRole('tab', { name: 'Note' }).click()
  await expect(page.getByLabel('Note')).toBeVisible()
  await sound(page, 'a note')
  await page.getByRole('tab', { name: 'Job' }).click()
  await expect(page.locator('.job')).toBeVisible()
  await sound(page, 'facts of the job')
  await page.getByRole('button', { name: /Can we leave/ }).click()
  await expect(page.getByText('What is holding it up')).toBeVisible()
  await sound(page, 'hand over')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await tabs(page, ['Hours and starts', 'Warranty', 'Next look', 'Finding', 'Maker'])
  await page.getByRole('button', { name: 'Guide', exact: true }).click()
  await expect(page.getByRole('dialog').locator('h2')).toBeVisible()
  await expect(page.locator('.dialog-fade-enter-active')).toHaveCount(0)
  await sound(page, 'the guide')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.getByRole('button', { name: /^Clocks/ }).click()
  await expect(page.getByRole('dialog')).toBeVisible()
  await expect(page.locator('.dialog-fade-enter-active')).toHaveCount(0)
  await sound(page, 'clocks')
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'The record' }).click()
  await expect(page.locator('.answers')).toBeVisible()
  await sound(page, 'record')
})

test('the office and the shelf are sound', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  for (const [path, shown] of [
    ['/office', 'Harrow Lane Library'],
    ['/office/sites/1', 'Start-up of three rooftop units'],
    ['/office/jobs', 'Copperbeech Bakery'],
    ['/jobs/2', 'Bring list'],
    ['/office/people', 'Recent sign-ins'],
    ['/office/company', 'Company key'],
    ['/office/import', 'Export'],
    ['/office/activity', 'Activity log'],
    ['/shelf', 'BF-150G'],
    ['/shelf/new', 'Add motor'],
  ] as const) {
    await page.goto(path)
    await expect(page.getByText(shown).first()).toBeVisible()
    await sound(page, path)
  }
  await page.goto('/office/sites/1')
  await page.getByRole('button', { name: 'New job' }).click()
  await expect(page.getByLabel('Scope of work')).toBeVisible()
  await sound(page, 'a new job')
})
