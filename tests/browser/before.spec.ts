import { expect, test, type Locator, type Page } from '@playwright/test'
import { choose, findUnit, freshDemo, openMachine, openTab, POWER, record, signIn, verdict } from './helpers'

/** What is decided before anything runs, at the drawings and the numbers beside them. */
test.beforeEach(freshDemo)

const INCH = 0.0254
const SURVEY = 'Will the new one fit, and can we get it there?'
const OUT = 'Is the old one dead, empty and out of the way?'

/** A figure of a group of measures, by the name of its thing. */
const box = (page: Page, group: string, at: number): Locator =>
  page.getByRole('group', { name: group, exact: true }).locator('input.figure').nth(at)

async function fill(page: Page, group: string, figures: string[]): Promise<void> {
  for (const [i, text] of figures.entries()) await box(page, group, i).fill(text)
}

async function question(page: Page, words: string): Promise<void> {
  await page.locator('.rail button', { hasText: words }).click()
  await expect(page.getByRole('heading', { name: words })).toBeVisible()
}

/** The corners of a body in metres, as it is drawn. */
async function drawn(page: Page, body: string): Promise<[number, number][]> {
  const svg = page.locator('figure.scene svg')
  const scale = Number(await svg.getAttribute('data-scale'))
  const path = (await svg.locator(`[data-body="${body}"] path`).first().getAttribute('d')) ?? ''
  return [...path.matchAll(/([\d.-]+) ([\d.-]+)/g)].map((m) => [Number(m[1]) / scale, -Number(m[2]) / scale])
}

const span = (points: [number, number][], axis: 0 | 1): number =>
  Math.max(...points.map((p) => p[axis])) - Math.min(...points.map((p) => p[axis]))

/** Every dimension line is as long as the figure it carries. */
async function linesAreTrue(page: Page): Promise<void> {
  const off = await page.locator('figure.scene svg').evaluate((svg) => {
    const scale = Number(svg.getAttribute('data-scale'))
    return [...svg.querySelectorAll('[data-dim]')].map((dim) => {
      const ends = [...(dim.querySelector('.line')?.getAttribute('d') ?? '').matchAll(/([\d.-]+) ([\d.-]+)/g)]
      const [a, b] = ends.map((m) => [Number(m[1]), Number(m[2])] as const)
      const length = a === undefined || b === undefined ? 0 : Math.hypot(a[0] - b[0], a[1] - b[1]) / scale
      return Math.abs(length - Math.abs(Number(dim.getAttribute('data-metres'))))
    })
  })
  expect(off.length).toBeGreaterThan(1)
  expect(Math.max(...off)).toBeLessThan(0.005)
}

test('a curb is measured, drawn to scale, dragged, nudged and recorded, and goes out as one page', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'RTU-4')
  await openTab(page, 'Curb fit')
  await expect(page.locator('.frame .top')).toContainText('openings line up 88%')
  await fill(page, 'Old curb, outside', ['88', '54'])
  await fill(page, "New unit's base", ['84', '50'])
  await choose(page, 'Discharge', 'side')
  await expect(verdict(page)).toContainText('It needs a curb adapter')
  await linesAreTrue(page)
  expect(span(await drawn(page, 'base'), 0)).toBeCloseTo(84 * INCH, 3)
  expect(span(await drawn(page, 'curb'), 1)).toBeCloseTo(54 * INCH, 3)

  // By key, then by hand: the box, the line and the verdict follow.
  const edge = page.locator('[data-handle="curb_outside.length"]')
  await edge.focus()
  await page.keyboard.press('Shift+ArrowLeft')
  await expect(box(page, 'Old curb, outside', 0)).toHaveValue('87')
  await expect.poll(async () => span(await drawn(page, 'curb'), 0)).toBeCloseTo(87 * INCH, 3)
  await edge.scrollIntoViewIfNeeded()
  const grip = await edge.locator('.grip').boundingBox()
  const [gx, gy] = [(grip?.x ?? 0) + (grip?.width ?? 0) / 2, (grip?.y ?? 0) + (grip?.height ?? 0) / 2]
  await page.mouse.move(gx, gy)
  await page.mouse.down()
  await page.mouse.move(gx - 40, gy, { steps: 8 })
  await page.mouse.up()
  const dragged = Number(await box(page, 'Old curb, outside', 0).inputValue())
  expect(dragged).toBeLessThan(86)
  await expect.poll(async () => span(await drawn(page, 'curb'), 0)).toBeCloseTo(dragged * INCH, 2)
  await linesAreTrue(page)

  await fill(page, 'Old curb, outside', ['84', '50'])
  await expect(verdict(page)).toContainText('It sits on the old curb')
  await record(page)
  await expect(page.locator('.slip').first()).toContainText('It sits on the old curb')
  await openTab(page, 'Curb fit')
  const [sheet] = await Promise.all([
    page.context().waitForEvent('page'),
    page.getByRole('link', { name: 'Curb sketch (SVG)' }).click(),
  ])
  await sheet.waitForLoadState()
  await expect(sheet.locator('svg').first()).toContainText('Curb length: 84 in.')
})

test('an impossible opening is told at its measure, and nothing typed is lost', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'RTU-4')
  await openTab(page, 'Curb fit')
  await fill(page, 'Old curb, outside', ['60', '54'])
  // What is wrong stands at the drawing once there is one.
  await expect(page.locator('figure.scene [data-body="curb"]')).toBeVisible()
  await fill(page, 'Curb supply', ['50', '8', '24', '20'])
  await expect(page.locator('figcaption.wrong')).toContainText('reaches past the frame')
  await page.reload()
  await openTab(page, 'Curb fit')
  await expect(box(page, 'Curb supply', 0)).toHaveValue('50')
  await fill(page, 'Curb supply', ['20'])
  await expect(page.locator('figcaption.wrong')).toHaveCount(0)
})

test('a crane in section: which boom clears the wall, what it may lift, and what is left to arrange', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'RTU-4')
  await openTab(page, 'Crane')
  const set = (label: string, text: string) => page.getByLabel(label, { exact: true }).first().fill(text)
  await set('Roof height', '24')
  await set('Crane to wall', '25')
  await set('Wall to unit', '25')
  await set('Sling height', '8')
  await set('Load on the hook', '1328')
  const row = page.locator('.part').first().locator('input.figure')
  for (const [i, text] of ['90', '50', '5400'].entries()) await row.nth(i).fill(text)
  await expect(verdict(page)).toContainText('90 ft of boom at 50 ft lifts 5400 lb')
  await linesAreTrue(page)
  // The crane stands where its distance says, and the boom is as long as the one that is used.
  await page.locator('[data-handle="setback"]').focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByLabel('Wall to unit', { exact: true }).first()).toHaveValue('25.5')
  await expect(verdict(page)).toContainText(/No row|chart/i)
  await page.keyboard.press('ArrowLeft')
  await expect(verdict(page)).toContainText('lifts 5400 lb')
  await record(page)
  await expect(page.locator('aside.tape')).toContainText('Look at the ground before the crane is up')
})

test('twenty tons three ways, side by side; the choice has a reason and opens what follows from it', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-A')
  await question(page, SURVEY)
  await openTab(page, 'Options')
  await page
    .getByRole('link', { name: /Weigh|Open|options/i })
    .last()
    .click()
  const option = (name: string) =>
    page
      .locator('article')
      .filter({ has: page.locator(`input.name`) })
      .nth(['one', 'two', 'four'].indexOf(name))
  await expect(option('one').locator('dd')).toHaveText([
    '100%, best',
    '0%',
    '92 A',
    '0, best',
    '1,105 lb',
    '35,600',
    '42',
  ])
  await expect(option('four')).toContainText('75%')
  await option('two').getByLabel('Equipment').fill('40000')
  await expect(option('two').locator('dd').nth(5)).toHaveText('42,600')
  await option('two').getByRole('radio').check()
  await expect(page.getByRole('button', { name: 'Record the choice' })).toBeDisabled()
  await page.getByLabel(/^Why two of 10 tons/).fill('half the hall stays cool')
  await page.getByRole('button', { name: 'Record the choice' }).click()
  await expect(page.locator('aside.tape')).toContainText('Two of 10 tons goes in: half the hall stays cool')
  await expect(page.locator('aside.tape')).toContainText("Go through the job's facts and the supply for")
})

test('the old unit out: pumped down by reasons, counted in vacuum, and its locks on one board', async ({
  page,
}) => {
  await signIn(page)
  await findUnit(page, 'RTU-4')
  await question(page, OUT)
  await openTab(page, 'Pump down or recover')
  await choose(page, 'Compressor runs', 'no')
  await choose(page, /Acid in the oil/, 'no acid')
  await expect(verdict(page)).toContainText(/Still need|Recover/)
  await openTab(page, 'Pump-down run')
  await page.getByRole('button', { name: 'Low-pressure switch jumpered' }).click()
  await expect(page.locator('aside.tape')).toContainText('low-pressure switch')
  await page.clock.install()
  await page.getByRole('button', { name: 'Compressor on' }).click()
  await expect(page.getByRole('timer')).toHaveText('0:00')
  await page.clock.runFor(65_000)
  await expect(page.getByRole('timer')).toHaveText('1:05')
  await page.getByRole('button', { name: 'Below 0 psig' }).click()
  await page.clock.runFor(59_000)
  await expect(page.getByRole('timer')).toHaveText(/0:0[01]/)
  await page.clock.runFor(1_500)
  await expect(page.getByRole('timer')).toHaveText('STOP')
  await expect(verdict(page)).toContainText('Compressor off now')
  await page.getByRole('button', { name: 'Compressor off' }).click()
  await expect(page.getByRole('timer')).toHaveText('0:00')
})

test('a check in the Pocket is two presses away and is put on a unit with what was typed', async ({
  page,
}) => {
  await signIn(page)
  await page.getByRole('link', { name: 'Pocket' }).click()
  await page.getByRole('link', { name: /^Rotation/ }).click()
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await expect(verdict(page)).toContainText('The supply is reversed')
  await page.getByRole('button', { name: 'Put it on a unit' }).click()
  await page.getByRole('dialog').getByRole('button', { name: /RTU-2/ }).click()
  await expect(page.getByRole('tab', { name: /^Rotation/ })).toHaveAttribute('aria-selected', 'true')
  await expect(verdict(page)).toContainText('The supply is reversed')
  await record(page, 'Record the stop')

  // What is typed on a unit already goes only when somebody says so.
  await page.getByRole('link', { name: 'Pocket' }).click()
  await page.getByRole('link', { name: /^Control volts/ }).click()
  await page.getByLabel('Secondary', { exact: false }).first().fill('27')
  await page.getByRole('link', { name: 'Today' }).click()
  await openMachine(page, 'RTU-3')
  await question(page, POWER)
  await openTab(page, 'Control voltage')
  await page.getByLabel('Secondary', { exact: false }).first().fill('24')
  await page.getByRole('link', { name: 'Pocket' }).click()
  await page.getByRole('link', { name: /^Control volts/ }).click()
  await expect(page.getByLabel('Secondary', { exact: false }).first()).toHaveValue('27')
  await page.getByRole('button', { name: 'Put it on a unit' }).click()
  await page.getByRole('dialog').getByRole('button', { name: /RTU-3/ }).first().click()
  const ask = page.getByRole('dialog', { name: 'Figures are typed here already' })
  await ask.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByLabel('Secondary', { exact: false }).first()).toHaveValue('24')
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('the curb and the Pocket fit and are pressed with a thumb', async ({ page }) => {
    const fits = async (what: string) =>
      expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth), what).toBe(true)
    await signIn(page, 'Ines Okafor')
    await page.goto('/pocket')
    await page.getByRole('link', { name: /^Curb fit/ }).click()
    await fill(page, 'Old curb, outside', ['88', '54'])
    await expect(page.locator('figure.scene svg')).toBeVisible()
    await fits('curb')
    await page.goto('/pocket')
    await expect(page.getByRole('link', { name: /^Curb fit/ })).toBeVisible()
    await fits('pocket')
    const low = await page
      .locator('.groups a')
      .evaluateAll((all) => all.filter((el) => el.getBoundingClientRect().height < 44).length)
    expect(low).toBe(0)
  })
})
