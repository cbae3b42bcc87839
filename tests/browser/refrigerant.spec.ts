import { expect, test, type Locator, type Page } from '@playwright/test'
import { choose, findUnit, freshDemo, openTab, record, signIn, verdict } from './helpers'

/** From nitrogen in to a charge that can be defended, at the bakery: two circuits of R-410A at 5,280 ft. */
test.beforeEach(freshDemo)

const TIGHT = 'Does it hold?'
const DRY = 'Is it dry?'
const CHARGE = 'Is the charge right?'

async function question(page: Page, words: string): Promise<void> {
  await page.locator('.rail button', { hasText: words }).click()
  await expect(page.getByRole('heading', { name: words, exact: true })).toBeVisible()
}

async function more(page: Page, tab: string): Promise<void> {
  const button = page.locator('button.all')
  if (await button.isVisible()) await button.click()
  await openTab(page, tab)
}

const frame = (page: Page): Locator => page.locator('.frame')
const figure = (page: Page, label: string): Locator =>
  frame(page)
    .getByLabel(new RegExp(`^${label}`))
    .first()
const measure = (page: Page, group: string, at: number): Locator =>
  page.getByRole('group', { name: group, exact: true }).locator('input.figure').nth(at)

/** Rows of a table, cell by cell; a row more is made where there is none. */
async function rows(page: Page, add: RegExp, figures: (string | number)[][]): Promise<void> {
  for (const [i, row] of figures.entries()) {
    if (i > 0) await page.getByRole('button', { name: add }).click()
    const cells = page.locator('.part').nth(i).locator('input.figure')
    for (const [j, text] of row.entries()) await cells.nth(j).fill(String(text))
  }
}

async function hold(page: Page, end: { psig: string; degF: string; at: string }): Promise<void> {
  await measure(page, 'End', 0).fill(end.psig)
  await measure(page, 'End', 1).fill(end.degF)
  await figure(page, 'Ended at').fill(end.at)
}

/** Where the last reading lies of the band that is drawn: between 0 (its foot) and 1 (its top). */
async function inBand(page: Page): Promise<number> {
  return page.locator('svg.curve').evaluate((svg) => {
    const at = [
      ...(svg.querySelector('path.band')?.getAttribute('d') ?? '').matchAll(/([\d.]+) ([\d.]+)/g),
    ].map((m) => [Number(m[1]), Number(m[2])] as const)
    const last = Math.max(...at.map((p) => p[0]))
    const ends = at.filter((p) => Math.abs(p[0] - last) < 0.01).map((p) => p[1])
    const dot = [...svg.querySelectorAll('circle')].at(-1)
    return (Math.max(...ends) - Number(dot?.getAttribute('cy'))) / (Math.max(...ends) - Math.min(...ends))
  })
}

test('a hold over night: started, left, and read in the morning as the cold it was or as the leak it is', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, TIGHT)
  await measure(page, 'Start', 0).fill('450')
  await measure(page, 'Start', 1).fill('74')
  await figure(page, 'Started at').fill('2026-03-02T17:40')
  await choose(page, 'Cylinder shut or off', 'yes')
  await choose(page, 'Joints soaped', 'done')
  await record(page)
  await expect(page.locator('header').getByText('Clocks')).toBeVisible()
  await page.locator('header').getByText('Clocks').click()
  await expect(page.getByRole('dialog')).toContainText(/CU-1/)
  await page.keyboard.press('Escape')

  // The next morning it stands there as it was left: only the end is read.
  await page.reload()
  await question(page, TIGHT)
  await expect(measure(page, 'Start', 0)).toHaveAttribute('placeholder', '450')
  await hold(page, { psig: '437.5', degF: '61', at: '2026-03-03T07:10' })
  await choose(page, 'Part in the sun or indoors', 'no')
  await expect(verdict(page)).toContainText(/holds/i)
  expect(await inBand(page)).toBeGreaterThan(0)
  expect(await inBand(page)).toBeLessThan(1)

  // The same night with a leak: the cold does not explain it.
  await measure(page, 'End', 0).fill('428')
  await expect(verdict(page)).toContainText(/leak/i)
  expect(await inBand(page)).toBeLessThan(0)

  // How small a leak this gauge, volume and time could have seen, and how long to see a smaller one.
  await measure(page, 'End', 0).fill('437.5')
  await figure(page, 'Volume').fill('2')
  await figure(page, 'Hottest day').fill('61')
  await expect(frame(page)).toContainText(/oz a year/)
  await record(page)
  await expect(page.locator('.rail li', { hasText: TIGHT })).toContainText('do the pressure test (circuit B)')
})

test('a hold over the design pressure, or with shop air in it, is stopped before anything else', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, TIGHT)
  await measure(page, 'Start', 0).fill('460')
  await measure(page, 'Start', 1).fill('74')
  await figure(page, 'Started at').fill('2026-03-02T17:40')
  await expect(verdict(page)).toContainText('450 psig')
  await expect(page.getByRole('button', { name: 'Record the stop' })).toBeVisible()
  await measure(page, 'Start', 0).fill('-60')
  await expect(verdict(page)).toContainText(/outside|under|below|from/i)
  await expect(measure(page, 'Start', 1)).toHaveValue('74')
})

test('sections are tried one by one, and each keeps its own hold', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, TIGHT)
  const section = page.getByLabel(/^Section/)
  await section.fill('line set')
  await measure(page, 'Start', 0).fill('450')
  await measure(page, 'Start', 1).fill('74')
  await figure(page, 'Started at').fill('2026-03-02T17:40')
  await record(page)
  await page.reload()
  await question(page, TIGHT)
  await choose(page, 'Circuit', 'A')
  await expect(measure(page, 'Start', 0)).not.toHaveAttribute('placeholder', /450/)
  await section.fill('coil')
  await expect(measure(page, 'Start', 0)).not.toHaveAttribute('placeholder', /450/)
  await section.fill('line set')
  await expect(measure(page, 'Start', 0)).toHaveAttribute('placeholder', '450')
  await hold(page, { psig: '437.5', degF: '61', at: '2026-03-03T07:10' })
  await choose(page, 'Part in the sun or indoors', 'no')
  await record(page)
  await expect(page.locator('.slip').first()).toContainText('Pressure test, circuit A, line set')
})

const DECAYS = {
  wet: {
    points: [0, 2, 4, 6, 8, 10, 12, 15].map((m) => [m, Math.round(1400 - 1100 * Math.exp(-m / 6))]),
    says: /wet|water|moisture/i,
    fit: 'bends',
  },
  leaking: { points: [0, 2, 4, 6, 8, 10, 12, 15].map((m) => [m, 300 + 60 * m]), says: /leak/i, fit: 'rises' },
  dry: { points: [0, 2, 4, 6, 8, 10, 12, 15].map((m) => [m, 300 + (m % 4)]), says: /Dry: /, fit: 'stands' },
} as const

for (const [name, decay] of Object.entries(DECAYS)) {
  test(`a decay that is ${name} is read by its shape`, async ({ page }) => {
    await signIn(page, 'Ines Okafor')
    await findUnit(page, 'CU-1')
    await question(page, DRY)
    await choose(page, 'Gauge is at', 'the far end')
    await rows(page, /Add to readings/, decay.points.slice(0, 3) as unknown as number[][])
    await expect(verdict(page)).toContainText(/more|still|need/i)
    for (const [i, row] of decay.points.entries()) {
      if (i < 3) continue
      await page.getByRole('button', { name: /Add to readings/ }).click()
      const cells = page.locator('.part').nth(i).locator('input.figure')
      await cells.nth(0).fill(String(row[0]))
      await cells.nth(1).fill(String(row[1]))
    }
    await expect(verdict(page)).toContainText(decay.says)
    await expect(page.locator('svg.curve path.fit')).toHaveCount(1)
    await expect(page.locator('svg.curve .stop .word')).toContainText('1000 microns')
  })
}

test('a decay is typed and recorded with the keyboard alone', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, DRY)
  const press = async (...keys: string[]) => {
    for (const key of keys) await (/^[\d.]+$/.test(key) ? page.keyboard.type(key) : page.keyboard.press(key))
  }
  const parts = page.locator('.part')
  await page.getByRole('radio', { name: 'the far end' }).focus()
  await press('Space', 'Tab', 'Tab')
  await expect(parts.first().locator('input').first()).toBeFocused()
  for (const [i, [minutes, micron]] of DECAYS.dry.points.entries()) {
    await press(String(minutes), 'Enter', String(micron), 'Enter')
    // The next row is there, and in it the first figure.
    await expect(parts).toHaveCount(i + 2)
    await expect(parts.last().locator('input').first()).toBeFocused()
  }
  // In a row that stays empty Enter goes on past the table.
  await press('Enter')
  await expect(parts).toHaveCount(DECAYS.dry.points.length)
  await expect(figure(page, 'Pulled to')).toBeFocused()
  await press('Escape')
  await expect(verdict(page)).toContainText(/Dry: /)
  await press('r')
  await expect(page.locator('.slip').first()).toContainText('Vacuum decay, circuit A')
})

test('readings are pasted as they come out of a table', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, DRY)
  await choose(page, 'Gauge is at', 'the far end')
  const lines = DECAYS.dry.points.map((row) => row.join('\t')).join('\n')
  await page.evaluate((text) => navigator.clipboard.writeText(text), lines)
  await page.locator('.part input').first().focus()
  await page.keyboard.press('ControlOrMeta+v')
  await expect(page.locator('.part')).toHaveCount(DECAYS.dry.points.length)
  expect(
    await page.locator('.part input').evaluateAll((all) => all.map((one) => (one as HTMLInputElement).value)),
  ).toEqual(DECAYS.dry.points.flat().map(String))
  await expect(verdict(page)).toContainText(/Dry: /)
})

test('readings are taken by the clock, and go on from the first of them after a while', async ({ page }) => {
  const start = new Date()
  const at = (minutes: number) => page.clock.setFixedTime(new Date(start.getTime() + minutes * 60_000))
  await at(0)
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, TIGHT)
  await page.getByRole('button', { name: 'Now, Started at' }).click()
  await expect(figure(page, 'Started at')).toHaveValue(
    await page.evaluate(() => {
      const now = new Date()
      return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
    }),
  )
  await question(page, DRY)
  await choose(page, 'Gauge is at', 'the far end')
  const take = page.getByRole('button', { name: 'Take a reading' })
  const minute = (row: number) => page.locator('.part').nth(row).locator('input').first()
  for (const [row, minutes] of [0, 2.5, 5, 7.5].entries()) {
    await at(minutes)
    await take.click()
    await expect(minute(row)).toHaveValue(String(minutes))
    await page.keyboard.type(String(300 + row))
  }
  await record(page)
  await choose(page, 'Circuit', 'A')
  await at(12)
  await take.click()
  await expect(minute(4)).toHaveValue('12')
  await page.keyboard.type('303')
  await expect(page.locator('.part').nth(4).locator('input').nth(1)).toHaveValue('303')
  await expect(verdict(page)).toContainText(/Dry: /)
  await record(page)
  // Another circuit begins anew.
  await choose(page, 'Circuit', 'B')
  await take.click()
  await expect(minute(0)).toHaveValue('0')
})

test('a logger file is looked at, mapped, read, taken, and remembered with its instrument', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, DRY)
  await choose(page, 'Gauge is at', 'the far end')
  const line = (i: number, micron: number) =>
    `3/2/2026 ${8 + Math.floor(i / 60)}:${String(i % 60).padStart(2, '0')}:00 AM,${micron}`
  const text = [
    'Gauge log',
    'Time,Vacuum (microns)',
    ...Array.from({ length: 90 }, (_, i) => line(i, i < 60 ? 90_000 - 1490 * i : 350 + (i % 3))),
  ].join('\r\n')
  await page.getByRole('button', { name: 'Read a logger file' }).click()
  const dialog = page.getByRole('dialog')
  const gauge = dialog.getByLabel('Read with')
  await gauge.selectOption({ index: 1 })
  const chosen = await gauge.inputValue()
  await dialog
    .locator('input[type=file]')
    .setInputFiles({ name: 'gauge.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(dialog.getByRole('button', { name: 'Take them' })).toBeDisabled()
  await dialog.getByLabel('Time is written as').selectOption('mdy')
  await expect(dialog).toContainText('90 readings over 89 min, one every 60 s')
  await dialog.getByLabel('From minute').fill('60')
  await dialog.getByLabel('From minute').blur()
  await dialog.getByRole('button', { name: 'Take these 30' }).click()
  await expect(verdict(page)).toContainText(/Dry: /)
  await expect(frame(page)).toContainText('From gauge.csv: 30 readings, 30 kept.')
  await expect(frame(page)).toContainText('24 readings between')
  await record(page)
  await page.locator('.slip').first().click()
  await expect(page.getByRole('dialog')).toContainText('gauge.csv')
  await page.keyboard.press('Escape')

  // The next file of that gauge is read the same way, without a question.
  await page.reload()
  await question(page, DRY)
  await page.getByRole('button', { name: 'Read a logger file' }).click()
  await dialog.getByLabel('Read with').selectOption(chosen)
  await dialog
    .locator('input[type=file]')
    .setInputFiles({ name: 'next.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(dialog).toContainText("Columns as this instrument's file was read last time.")
  await expect(dialog.getByRole('button', { name: 'Take these 90' })).toBeEnabled()

  // A clock that was set back: said at its line, and nothing is lost.
  await dialog.locator('input[type=file]').setInputFiles({
    name: 'back.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`${text}\r\n${line(3, 340)}`),
  })
  await expect(dialog.getByRole('alert')).toContainText('Line 93: the time runs backwards here')
})

test('the valves stay closed until it holds and is dry, and stand open on the board once they are', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, DRY)
  await openTab(page, 'Opening the valves')
  await choose(page, 'Charge let in', 'factory charge')
  await page.locator('.part').getByLabel('Valve').fill('liquid')
  await page.locator('.part').getByLabel('Turns').fill('6')
  await expect(verdict(page)).toContainText('Not yet: the valves stay closed.')
  await expect(frame(page)).toContainText('do the pressure test (circuit A)')
  await expect(page.locator('.foot').getByRole('button', { name: 'Opening the valves now' })).toBeDisabled()

  await question(page, TIGHT)
  await measure(page, 'Start', 0).fill('450')
  await measure(page, 'Start', 1).fill('74')
  await figure(page, 'Started at').fill('2026-03-02T17:40')
  await hold(page, { psig: '437.5', degF: '61', at: '2026-03-03T07:10' })
  await choose(page, 'Part in the sun or indoors', 'no')
  await choose(page, 'Joints soaped', 'done')
  await expect(verdict(page)).toContainText(/holds/i)
  await record(page)
  await question(page, DRY)
  await openTab(page, 'Vacuum decay')
  await choose(page, 'Gauge is at', 'the far end')
  await rows(page, /Add to readings/, DECAYS.dry.points as unknown as number[][])
  await expect(verdict(page)).toContainText(/Dry: /)
  await record(page)

  await openTab(page, 'Opening the valves')
  await expect(page.locator('.part').getByLabel('Valve')).toHaveValue('liquid')
  await expect(verdict(page)).toContainText('Open: liquid. The factory charge is in the circuit.')
  await record(page, 'Opening the valves now')
  await openTab(page, 'Opening the valves')
  await expect(page.locator('.board')).toContainText(/liquid.*6 turns/)
})

test('a charge by arithmetic, by the scale, by superheat and subcooling, and to the last ounce', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, CHARGE)
  await openTab(page, 'Weigh-in')
  await page.locator('.part').first().locator('select').selectOption('5/8 in')
  await page.locator('.part').first().getByLabel('Length').fill('64')
  await figure(page, 'In it already').fill('14.25')
  await expect(frame(page)).toContainText('49 ft of 5/8 in.: 4 lb 14 oz.')
  await expect(page.locator('svg.column .large')).toContainText('4 lb 14 oz')
  for (const [i, [name, before, after]] of [
    ['V-1', '25', '22.5'],
    ['V-2', '30', '27.6'],
  ].entries()) {
    await page.getByRole('button', { name: 'Add to weighings' }).click()
    const row = page.locator('.part').nth(1 + i)
    await row.getByLabel('Cylinder').fill(name!)
    await row.getByLabel('Scale before').fill(before!)
    await row.getByLabel('Scale after').fill(after!)
  }
  await expect(verdict(page)).toContainText('19 lb 2 oz')
  await record(page)
  await openTab(page, 'Weigh-in')
  await choose(page, 'Circuit', 'A')
  await expect(page.getByRole('link', { name: 'Charge label (PDF)' })).toBeVisible()

  await openTab(page, 'Superheat and subcooling')
  const read: Record<string, string> = {
    'Low side': '112',
    'Suction line': '55',
    'High side': '330',
    'Liquid line': '92',
    'Running for': '25',
    'Air into the condenser': '80',
  }
  for (const [label, text] of Object.entries(read))
    await frame(page)
      .getByLabel(new RegExp(`^${label}`))
      .first()
      .fill(text)
  await expect(page.locator('svg.dome')).toBeVisible()
  const told = (await page.locator('svg.dome').getAttribute('aria-label')) ?? ''
  // At 5,280 ft the gauge reads against thinner air: 112 psig are not what they are at the sea.
  expect(told).toContain('superheat 19')
  expect(told).toContain('high side 330 psig')
  const lengths = await page.locator('svg.dome').evaluate((svg) =>
    ['superheat', 'subcooling'].map((one) => {
      const line = svg.querySelector(`line.${one}`)
      return Number(line?.getAttribute('x2')) - Number(line?.getAttribute('x1'))
    }),
  )
  expect(lengths.every((one) => one > 4)).toBe(true)
  await expect(frame(page)).toContainText('Superheat 19 °F')

  await more(page, 'Trim')
  await figure(page, 'Target').fill('12')
  // What was weighed in stands there already.
  await expect(figure(page, 'Weighed total')).toHaveAttribute('placeholder', /306|19\.1/)
  await rows(page, /Add to steps/, [
    ['18', '4'],
    ['18.5', '7'],
  ])
  await expect(verdict(page)).toContainText(/13(\.\d)? oz/)

  await more(page, 'Room limit')
  await figure(page, 'Charge of the circuit').fill('19.1')
  await measure(page, 'Smallest room', 0).fill('120')
  await measure(page, 'Smallest room', 1).fill('9')
  await expect(verdict(page)).not.toContainText('Still need')
})

test('when the pair contradicts itself, the causes stand in their order with the one next test', async ({
  page,
}) => {
  await signIn(page, 'Ines Okafor')
  await findUnit(page, 'CU-1')
  await question(page, CHARGE)
  await more(page, 'What is wrong')
  const read: Record<string, string> = {
    'Low side': '78',
    'Suction line': '58',
    'High side': '255',
    'Liquid line': '70',
    'Return air': '75',
    'Supply air': '64',
    'Air into the condenser': '80',
    'Running for': '25',
    'Amps over nameplate': '0.7',
  }
  for (const [label, text] of Object.entries(read))
    await frame(page)
      .getByLabel(new RegExp(`^${label}`))
      .first()
      .fill(text)
  await expect(verdict(page)).not.toContainText('Still need')
  // What was read speaks for the first and, on some of it, against those behind it.
  const cause = (at: number) => page.locator('svg.ranking g.cause').nth(at)
  await expect(cause(0)).toContainText('liquid line restriction')
  await expect(cause(0).locator('.for')).toHaveCount(5)
  await expect(cause(0).locator('.against')).toHaveCount(0)
  await expect(cause(2)).toContainText('low charge')
  await expect(cause(2).locator('.against')).toHaveCount(1)
  await expect(frame(page).locator('.next, ol, .steps').first()).toContainText(/drier|rotation|static|bulb/i)
})

test('a refrigerant is looked up both ways, drawn, and saved as a file', async ({ page }) => {
  await signIn(page, 'Ines Okafor')
  await page.goto('/shelf/refrigerants/R-410A')
  await page.getByLabel('Gauge pressure').fill('118.4')
  await expect(verdict(page)).toContainText('R-410A at 118 psig boils at 40 °F.')
  await expect(page.locator('.mark circle')).toHaveCount(2)
  await page.getByLabel('Or temperature').fill('40')
  await expect(page.getByLabel('Gauge pressure')).toHaveValue('')
  await expect(verdict(page)).toContainText('118 psig')
  await page.getByLabel('Altitude').fill('5280')
  await expect(verdict(page)).toContainText('121 psig')
  await page.getByRole('link', { name: /R-454B/ }).click()
  await expect(page.getByRole('heading', { name: 'R-454B' })).toBeVisible()
  await expect(page.locator('dl')).toContainText('A2L')
  await expect(page.locator('path.line.bubble').first()).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as CSV, every degree' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('R-454B.csv')
  await page.getByLabel('Gauge pressure').fill('900')
  await expect(verdict(page)).toContainText('outside the table')
})
