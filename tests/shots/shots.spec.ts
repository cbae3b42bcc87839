import { execFileSync } from 'node:child_process'
import { expect, test, type Page } from '@playwright/test'
import {
  choose,
  findUnit,
  freshDemo,
  gate,
  openMachine,
  openTab,
  PUMPS,
  record,
  RUN,
  seen,
  signIn,
  startOne,
  unitRow,
  verdict,
  walkPrestart,
  warm,
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
  await page.locator('.frame > .body').evaluate((el) => (el.scrollTop = 0))
  await page.screenshot({ path: `${FOLDER}/machine-power.png` })

  await page.getByRole('link', { name: 'Today' }).click()
  await openMachine(page, 'RTU-1')
  await gate(page, 'Can we leave?').getByRole('button').click()
  await expect(page.getByText('What is holding it up')).toBeVisible()
  await page.mouse.move(640, 780)
  await page.screenshot({ path: `${FOLDER}/handover.png` })

  await page.getByRole('link', { name: 'The record' }).click()
  await expect(page.locator('.answers')).toBeVisible()
  await page.screenshot({ path: `${FOLDER}/record.png` })
})

const measures = async (page: Page, group: string, figures: string[]) => {
  const boxes = page.getByRole('group', { name: group, exact: true }).locator('input.figure')
  for (const [i, text] of figures.entries()) await boxes.nth(i).fill(text)
}

test('before the start', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'RTU-4')
  await openTab(page, 'Curb fit')
  await measures(page, 'Old curb, outside', ['88', '54'])
  await measures(page, 'Curb supply', ['50', '8', '24', '20'])
  await measures(page, 'Curb return', ['10', '9', '30', '22'])
  await expect(verdict(page)).toContainText('It needs a curb adapter')
  await page.locator('.frame > .body').evaluate((el) => (el.scrollTop = 0))
  await page.mouse.move(640, 790)
  await page.screenshot({ path: `${FOLDER}/machine-survey.png` })

  await page.locator('.rail button', { hasText: 'Is the old one dead' }).click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await openTab(page, 'Pressure coming back')
  await choose(page, /Finish/, 'stop at zero, open at once')
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /Add to readings/ }).click()
  const rows = page.locator('.table .part')
  for (const [i, [minutes, pressure]] of [
    ['0', '0'],
    ['2', '1.4'],
    ['4', '2.3'],
    ['6', '2.9'],
  ].entries()) {
    await rows.nth(i).locator('input.figure').nth(0).fill(minutes!)
    await rows.nth(i).locator('input.figure').nth(1).fill(pressure!)
  }
  await expect(page.locator('.frame svg path').first()).toBeVisible()
  await page.locator('.frame > .body').evaluate((el) => (el.scrollTop = 0))
  await page.screenshot({ path: `${FOLDER}/machine-out.png` })

  await findUnit(page, 'CU-A')
  await page.locator('.rail button', { hasText: 'Will the new one fit' }).click()
  await openTab(page, 'Options')
  await page
    .getByRole('link', { name: /options/i })
    .last()
    .click()
  await expect(page.locator('.options dd').first()).toContainText('100%')
  await page.screenshot({ path: `${FOLDER}/options.png` })

  await page.getByRole('link', { name: 'Pocket' }).click()
  await expect(page.getByRole('link', { name: /^Curb fit/ })).toBeVisible()
  await page.mouse.move(640, 790)
  await page.screenshot({ path: `${FOLDER}/pocket.png` })
})

test('the joints of a circuit', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await page.locator('.rail button', { hasText: 'Are the joints sound?' }).click()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await openTab(page, 'Joints')
  await page.getByRole('button', { name: 'Start with the usual joints' }).click()
  const board = page.locator('.left')
  await expect(board).toContainText('drier')
  await page.screenshot({ path: `${FOLDER}/machine-pipe.png` })
})

test('from nitrogen in to the charge', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  const figure = (label: string) =>
    page
      .locator('.frame')
      .getByLabel(new RegExp(`^${label}`))
      .first()
  const taken = async (name: string) => {
    await page.locator('.frame > .body').evaluate((el) => (el.scrollTop = 0))
    await page.mouse.move(640, 790)
    await page.screenshot({ path: `${FOLDER}/machine-${name}.png` })
  }

  await page.locator('.rail button', { hasText: 'Does it hold?' }).click()
  await measures(page, 'Start', ['450', '74'])
  await figure('Started at').fill('2026-03-02T17:40')
  await measures(page, 'End', ['437.5', '61'])
  await figure('Ended at').fill('2026-03-03T07:10')
  await figure('Volume').fill('2')
  await figure('Hottest day').fill('61')
  await expect(verdict(page)).toContainText(/holds/)
  await expect(page.locator('.frame')).toContainText('oz a year')
  await taken('tight')

  await page.locator('.rail button', { hasText: 'Is it dry?' }).click()
  await choose(page, 'Gauge is at', 'the far end')
  for (const [i, minutes] of [0, 2, 4, 6, 8, 10, 12, 15].entries()) {
    if (i > 0) await page.getByRole('button', { name: /Add to readings/ }).click()
    const row = page.locator('.part').nth(i).locator('input.figure')
    await row.nth(0).fill(String(minutes))
    await row.nth(1).fill(String(Math.round(1400 - 1100 * Math.exp(-minutes / 6))))
  }
  await expect(verdict(page)).toContainText(/Wet/)
  await taken('dry')

  await page.locator('.rail button', { hasText: 'Is the charge right?' }).click()
  await openTab(page, 'Superheat and subcooling')
  const read = { 'Low side': '112', 'Suction line': '55', 'High side': '330', 'Liquid line': '92' }
  for (const [label, text] of Object.entries({
    ...read,
    'Running for': '25',
    'Air into the condenser': '80',
  }))
    await figure(label).fill(text)
  await expect(page.locator('svg.dome')).toBeVisible()
  await expect(page.locator('.frame')).toContainText('Superheat 19 °F')
  await taken('charge')
})

test('air and controls', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-1')
  const taken = async (name: string) => {
    await page.locator('.frame > .body').evaluate((el) => (el.scrollTop = 0))
    await page.mouse.move(640, 790)
    await page.screenshot({ path: `${FOLDER}/machine-${name}.png` })
  }
  await gate(page, 'Is it moving enough air and making enough heat?').getByRole('button').click()
  await openTab(page, 'Temperature split')
  for (const [label, text] of Object.entries({
    'Return air': '78',
    'Return wet bulb': '65',
    'Supply air': '61',
    'Outdoor air': '95',
    'Running for': '20',
  }))
    await page
      .locator('.frame')
      .getByLabel(new RegExp(`^${label}`))
      .first()
      .fill(text)
  await choose(page, 'Doors and panels on', 'yes')
  await expect(page.locator('svg.coil')).toBeVisible()
  await taken('air')

  await gate(page, 'Does it do what the controls call for?').getByRole('button').click()
  await openTab(page, 'Staging')
  await page.getByLabel('Cooling set point').fill('74')
  await page.getByLabel('Heating set point').fill('70')
  await page.getByRole('button', { name: 'Add stages by count' }).click()
  await page.getByLabel(/^Cooling stages/).fill('2')
  await page.getByLabel(/^Heating stages/).fill('2')
  await page.getByLabel(/^Between stages/).fill('1.5')
  await page.getByLabel(/^Deadband/).fill('1')
  await expect(verdict(page)).toContainText('heat ends 5 °F below where cooling ends')
  await taken('controls')
})

test('what only the guide shows', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await page.locator('.rail button', { hasText: 'Is it set right?' }).click()
  await expect(page.locator('.walked fieldset').first()).toBeVisible()
  await page.locator('.walked fieldset').first().getByRole('radio', { name: 'yes' }).click()
  await page.mouse.move(640, 790)
  await page.screenshot({ path: 'var/guide/set.png' })
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

test('the first run, with C1 running', async ({ page }) => {
  await signIn(page)
  await openMachine(page, 'RTU-2')
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await choose(page, 'Phase monitor', 'OK')
  await record(page)
  await gate(page, RUN).getByRole('button').click()
  await warm(page)
  await record(page)
  await openTab(page, 'Pre-start list')
  await walkPrestart(page)
  await record(page)
  await openTab(page, 'First run')
  await startOne(page, 'Blower', { Amps: '7.0' })
  const [suction, discharge, ...rest] = Object.entries(PUMPS)
  for (const [label, text] of [suction!, discharge!]) await page.getByLabel(`${label}, C1`).fill(text)
  await page.getByRole('button', { name: 'Start C1', exact: true }).click()
  for (const [label, text] of rest) await page.getByLabel(`${label}, C1`).fill(text)
  await expect(page.locator('.count')).toHaveText('0:11', { timeout: 20_000 })
  await page.mouse.move(640, 790)
  await page.screenshot({ path: `${FOLDER}/machine-first-run.png` })
})

test('the piping tree of a VRF system, one run longer than its sheet allows', async ({ page }) => {
  await signIn(page)
  await unitRow(page, 'VRF-A').click()
  await page.locator('.rail button', { hasText: 'Are the joints sound?' }).click()
  await openTab(page, 'Piping tree, as built')
  await page
    .getByRole('group', { name: 'I9', exact: true })
    .getByLabel(/^Length/)
    .fill('21')
  await expect(verdict(page)).toContainText('J1 > J2 > B3 > I9')
  await page.locator('.body').evaluate((body) => body.scrollTo(0, 0))
  await page.mouse.move(640, 790)
  await page.screenshot({ path: `${FOLDER}/machine-vrf.png` })
})
