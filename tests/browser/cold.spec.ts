import { expect, test, type Browser, type Page } from '@playwright/test'
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
} from './helpers'

/** A cold morning at the Library: two people, two units, one panel. */
test.describe.configure({ mode: 'serial' })
test.beforeAll(freshDemo)

async function another(
  browser: Browser,
  name: string,
  size?: { width: number; height: number },
): Promise<Page> {
  const page = await (await browser.newContext(size === undefined ? {} : { viewport: size })).newPage()
  await signIn(page, name)
  return page
}
const ask = (page: Page) => page.locator('.asks li')
const standing = async (page: Page, circuit: string, liquid: string, suction: string) => {
  await openTab(page, 'Standing pressure')
  await page.getByRole('radio', { name: circuit, exact: true }).click()
  await page.getByLabel('Liquid side').fill(liquid)
  await page.getByLabel('Suction side').fill(suction)
  await page.getByLabel('Outdoor air').fill('34')
  await page.getByLabel('Stood for').fill('14')
  await choose(page, /^Service valves open/, 'yes')
}

test('one unit comes in reversed and the other says so at once; nothing starts cold, flat or out of turn', async ({
  page,
  browser,
}) => {
  test.setTimeout(240_000)
  const mina = await another(browser, 'Mina Petrov')

  // Yesterday's finding stands on both: RTU-1 came in reversed on the same panel.
  await expect(unitRow(mina, 'RTU-3')).toContainText('RTU-1 came in reversed on R-1')
  await openMachine(mina, 'RTU-3')
  await expect(ask(mina)).toContainText('RTU-1 came in reversed on R-1, which feeds this unit too.')
  await signIn(page)
  await openMachine(page, 'RTU-2')

  // Standing pressures before anything turns: one circuit of RTU-3 is flat.
  await gate(mina, RUN).getByRole('button').click()
  await standing(mina, 'A', '98', '97')
  await expect(verdict(mina)).toContainText('There is liquid in it: 98 psig is saturation.')
  await record(mina)
  await standing(mina, 'B', '0', '0')
  await expect(verdict(mina)).toContainText('Flat: 0 psig')
  await record(mina, 'Record the stop')
  await openTab(mina, 'First run')
  await expect(verdict(mina)).toContainText('Not ready to start')
  await expect(mina.locator('.why')).toContainText(/standing pressure|flat/i)
  await expect(mina.getByRole('button', { name: /^Start / })).toHaveCount(0)

  // RTU-2 comes in reversed: RTU-3 says so at once, now for RTU-2.
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await seen(page, 'C1', 'no', 'loud', '5.1')
  await choose(page, /^Blower/, 'backwards')
  await record(page, 'Record the stop')
  await expect(ask(mina)).toContainText('RTU-2 came in reversed on R-1', { timeout: 15_000 })
  await mina.getByRole('button', { name: 'Read here too' }).click()
  await expect(mina.locator('h1', { hasText: POWER })).toBeVisible()
  await expect(mina.getByRole('tab', { name: /^Rotation/ })).toHaveAttribute('aria-selected', 'true')
  await openTab(mina, 'Feed')
  await expect(mina.locator('.feed li', { hasText: 'RTU-2' })).toContainText('came in reversed')
  await expect(mina.locator('.feed li', { hasText: 'RTU-1' })).toContainText('turns right')
  await expect(mina.locator('.feed li', { hasText: 'RTU-3' })).toContainText('read it here')

  // The swap is written down, the lockout between.
  await openTab(page, 'Lockout')
  await lockOut(page, '15')
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await openTab(page, 'Swap')
  await page.getByLabel('Of what').fill('supply')
  await choose(page, 'Where', 'disconnect, load side')
  await choose(page, 'This one', 'L1')
  await choose(page, 'With that one', 'L3')
  await expect(verdict(page)).toContainText('L1 and L3 of supply swapped')
  await record(page)
  await openTab(page, 'Rotation')
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await compressor(page, 'C1')
    .getByLabel(/ran backwards/i)
    .fill('0.2')
  await record(page)
  await expect(gate(page, POWER)).toHaveClass(/answered/)
  await lockOff(page, 'two lines swapped, lock off')

  // The crankcase: held until it has had its hours, whatever the hurry.
  await gate(page, RUN).getByRole('button').click()
  await warm(page, 10)
  await expect(verdict(page)).toContainText(/2 h|earliest|until/i)
  await record(page, /^Record/)
  await openTab(page, 'First run')
  await expect(page.locator('.why')).toContainText(/crankcase/i)
  await warm(page, 15)
  await expect(verdict(page)).toContainText('It has had its 12 h of crankcase heat')
  await record(page)
  await openTab(page, 'Pre-start list')
  await walkPrestart(page)
  await record(page)

  // The first run: what is not right holds what follows.
  await openTab(page, 'First run')
  await startOne(page, 'Blower', { Amps: '7.0' })
  for (const [label, text] of Object.entries(PUMPS).slice(0, 2))
    await page.getByLabel(`${label}, C1`).fill(text)
  await page.getByRole('button', { name: 'Start C1', exact: true }).click()
  await expect(page.locator('.count')).toHaveText(/0:0[1-9]/, { timeout: 15_000 })
  await page.getByLabel('Suction, running, C1').fill('112')
  await page.getByLabel('Discharge, running, C1').fill('99')
  await expect(page.locator('.problem')).toContainText('rose while it ran')
  await page.getByLabel('Suction, running, C1').fill('98')
  await choose(page, 'Sound, C1', 'loud')
  await page.getByRole('button', { name: 'Not right, off' }).click()
  await expect(verdict(page)).toContainText('C1 does not pump')
  await expect(page.locator('.slip').first()).toContainText('C1 does not pump')
  await expect(
    page.getByRole('group', { name: 'Sound, C1' }).getByRole('radio', { name: 'loud' }),
  ).toBeChecked()
  await expect(page.getByRole('button', { name: 'Start C1 again' })).toBeDisabled()
  await expect(page.getByRole('button', { name: 'Start C2' })).toHaveCount(0)
  await expect(page.locator('.timer')).toContainText('Compressor off time 3 min')
  await expect(page.locator('.count')).toHaveText(/2:\d\d/)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('the first run is worked with one thumb', async ({ page }) => {
    await signIn(page)
    await openMachine(page, 'RTU-2')
    await page.locator('.thumbs button').first().tap()
    await gate(page, RUN).getByRole('button').tap()
    await openTab(page, 'First run')
    await expect(page.locator('.count')).toBeVisible()
    for (const press of await page.locator('.presses .press').all()) {
      const box = await press.boundingBox()
      expect(box?.height).toBeGreaterThanOrEqual(44)
      expect((box?.x ?? 0) + (box?.width ?? 0)).toBeLessThanOrEqual(390)
    }
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await expect(page.locator('.thing.mine').first()).toContainText('C1')
  })
})
