import { expect, test, type Page } from '@playwright/test'
import { choose, freshDemo, gate, openTab, record, RUN, signIn, unitRow, verdict } from './helpers'

test.beforeAll(freshDemo)

const ROOMS = [
  'Press hall north',
  'Press hall south',
  'Plate room',
  'Office',
  'Design',
  'Meeting',
  'Bindery',
  'Reception',
  'Plate store',
]
const question = (page: Page, name: string) => page.locator('.rail button', { hasText: name }).first().click()

async function system(page: Page): Promise<void> {
  await signIn(page)
  await unitRow(page, 'VRF-A').click()
  await expect(page.locator('.verdict, .past, .start').first()).toBeVisible()
}

async function more(page: Page): Promise<void> {
  const press = page.getByRole('button', { name: 'More', exact: true })
  if ((await press.count()) > 0) await press.click()
}

test('the tree is drawn once, and everything after it knows it', async ({ page }) => {
  await system(page)
  await question(page, 'Are the joints sound?')
  await openTab(page, 'Piping tree, as built')
  await expect(page.locator('.tree .node.indoor')).toHaveCount(ROOMS.length)
  await expect(page.locator('.tree tr', { hasText: 'after the first joint' })).toContainText(
    '113 ft of 131 ft',
  )
  await expect(page.locator('.tree .path')).toContainText('J1 › J2 › B3 › I9')
  await expect(page.getByText('2 things were built otherwise than planned')).toBeVisible()
  await expect(page.locator('.changes')).toContainText('J2 › B3 13.5 m, planned 12 m')

  // One unit farther than the sheet allows is said with its path, before anything is recorded.
  const run = page.getByRole('group', { name: 'I9', exact: true })
  await run.getByLabel(/^Length/).fill('21')
  await expect(verdict(page)).toContainText('J1 > J2 > B3 > I9')
  await expect(verdict(page)).toContainText('after the first joint')
  await record(page, 'Record the stop')
  await expect(page.locator('.slip').first()).toContainText('after the first joint')
  await run.getByLabel(/^Length/).fill('15')
  await expect(verdict(page)).toContainText('The tree is within the sheet')
  await record(page)

  await question(page, 'Does it start and turn')
  await openTab(page, 'Commissioning')
  await expect(page.locator('.part', { hasText: 'I9' })).toBeVisible()
})

test('a tree is taken from a table, once no line of it is wrong', async ({ page }) => {
  await system(page)
  await question(page, 'Are the joints sound?')
  await openTab(page, 'Piping tree, as built')
  const head = 'name,kind,from,length (m),rise (m),liquid,gas,ports,capacity (kW),capped,room'
  const rows = [
    'OU1,outdoor,,,,,,,28,,',
    'B1,box,OU1,20,-6,3/8 in,7/8 in,2,,,',
    'I1,indoor,B1,9,,3/8 in,5/8 in,1,7.1,,Press hall',
    'I2,indoor,B1,12,,1/4 in,1/2 in,2,3.6,,Office',
  ]
  const read = (lines: string[]) =>
    page.locator('.tree-file input[type=file]').setInputFiles({
      name: 'tree.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from([head, ...lines].join('\n')),
    })
  await read([...rows.slice(0, 3), 'I2,indoor,B9,12,,1/4 in,1/2 in,2,3.6,,Office'])
  await expect(page.locator('.tree-file')).toContainText('Line 5: "B9" is not in the table. What feeds it?')
  await expect(page.locator('.tree .node.indoor')).toHaveCount(ROOMS.length)
  await read(rows)
  await expect(page.locator('.tree-file')).toContainText('4 units, joints and boxes, 3 pipes.')
  await page.getByRole('button', { name: 'Take it', exact: true }).click()
  await expect(page.locator('.tree .node.indoor')).toHaveCount(2)
  await expect(page.locator('.tree .node.indoor').first()).toContainText('Press hall')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'As CSV' }).click(),
  ])
  expect(file.suggestedFilename()).toMatch(/^tree-\d+\.csv$/)
})

test('a tree is drawn by keys alone, line by line', async ({ page }) => {
  await signIn(page)
  await page.goto('/pocket')
  await page.getByRole('link', { name: /^Piping tree/ }).click()
  const press = async (...keys: string[]) => {
    for (const key of keys)
      await (/^(Tab|Enter|Arrow)/.test(key) ? page.keyboard.press(key) : page.keyboard.type(key))
  }
  const drawn = page.locator('.tree .node')
  const line = page.locator('.tree-lines .part')
  await page.getByLabel('Name').focus()
  await press('OU1', 'Tab', 'out')
  await expect(line.getByLabel('Capacity')).toBeVisible()
  await press('Tab', '95', 'Enter')
  await expect(line).toHaveCount(2)
  await press('B1', 'Tab', 'branch')
  await expect(line.nth(1).getByLabel('Length')).toBeVisible()
  await press('Tab', 'OU1', 'Tab', '20', 'Tab', '-6', 'Tab', '3/8', 'Tab', '7/8')
  await press('Tab', '1', 'Tab', '2', 'Enter')
  await expect(line).toHaveCount(3)
  await press('I1', 'Tab', 'indoor')
  await expect(line.nth(2).getByLabel('Room')).toBeVisible()
  // What leaves a box leaves it from a port.
  await press('Tab', 'B1')
  await expect(line.nth(2).getByLabel('Ports')).toBeVisible()
  await press('Tab', '30', 'Tab', 'Tab', '3/8', 'Tab', '5/8', 'Tab', '1', 'Tab', '24', 'Tab', 'Press hall')
  await expect(drawn).toHaveCount(3)
  await expect(page.locator('.tree svg')).toContainText('30 ft')
  await expect(page.locator('.tree .node.indoor')).toContainText('Press hall')

  // The box has another name: what it feeds goes with it. What goes out takes its pipe along.
  await line.nth(1).getByLabel('Name').fill('')
  await line.nth(1).getByLabel('Name').pressSequentially('I1X')
  await line.nth(1).getByLabel('Name').fill('BX')
  await expect(page.locator('.tree .node.box')).toContainText('BX')
  await expect(line.nth(2).getByLabel('Fed from')).toHaveValue('BX')
  await expect(page.locator('.tree svg')).toContainText('30 ft')
  await page.getByRole('button', { name: 'Take I1 out' }).click()
  await expect(drawn).toHaveCount(2)
  await expect(page.locator('.tree svg')).not.toContainText('30 ft')
})

test('addresses are taken from a table, once no line of it is wrong', async ({ page }) => {
  await system(page)
  await question(page, 'Does it start and turn')
  await openTab(page, 'Addresses')
  const read = (...lines: string[]) =>
    page.locator('.tree-file input[type=file]').setInputFiles({
      name: 'addresses.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(['name,kind,box,address', 'OU1,outdoor,,1', 'B1,box,,51', ...lines].join('\n')),
    })
  await read('I1,indoor,B1,7', 'I2,indoor,B4,8')
  await expect(page.locator('.tree-file')).toContainText('Line 5: "B4" is no box of this table.')
  await read('I1,indoor,B1,7', 'I2,indoor,B1,7')
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(page.locator('.part', { hasText: 'indoor' })).toHaveCount(2)
  await choose(page, /^Powered/, 'no')
  await expect(verdict(page)).toContainText('I2')
})

test('the charge is figured over every line, and the small room says no before the cylinder is opened', async ({
  page,
}) => {
  await system(page)
  await question(page, 'Is the charge right?')
  await openTab(page, 'System charge')
  await expect(page.locator('.left')).toContainText('for the lines')
  await page.getByLabel('Smallest room, floor').fill('103')
  await page.getByLabel('Height', { exact: true }).first().fill('8.5')
  await page.getByLabel('In it already').fill('26')
  await expect(verdict(page)).toContainText('in that room')
  await expect(page.locator('.frame')).toContainText('Leak detection with shutoff')
})

test('the script is walked until a fault, and said what to look at', async ({ page }) => {
  await system(page)
  await question(page, 'Does it start and turn')
  await openTab(page, 'Commissioning')
  await choose(page.locator('.part', { hasText: 'I1' }).first(), 'Reports ready', 'yes')
  await page.getByRole('button', { name: /^The rest like/ }).click()
  await expect(verdict(page)).toContainText('First: all covers on')
  await page.getByLabel('all covers on').check()
  await page.getByLabel('service valves open').check()
  await expect(verdict(page)).toContainText('All report ready: start the script, step S1.')
  await page.getByRole('radio', { name: 'S1, looks for its units' }).click()
  await page.getByLabel('Display shows', { exact: true }).fill('s1')
  await page.getByLabel('In this step for').fill('3')
  await expect(verdict(page)).toContainText(
    'S1 (looks for its units) is running: up to 5 min more, until it shows S2.',
  )
  await page.getByLabel('Display shows', { exact: true }).fill('F2')
  await expect(verdict(page)).toContainText('F2: a unit is lost.')
  await expect(page.locator('.frame')).toContainText('bus joints, then power at that unit')
})

test('two zones that are crossed are found from what their coils did', async ({ page }) => {
  await system(page)
  await question(page, 'controls call for?')
  await openTab(page, 'Crossed zones')
  const changes = ROOMS.flatMap((called) => {
    const answers = called === 'Office' ? 'Meeting' : called === 'Meeting' ? 'Office' : called
    return ROOMS.map((coil) => (coil === answers ? '-21' : '-1'))
  })
  // As they come out of a table: all of them from the first cell on.
  await page
    .locator('.matrix input')
    .first()
    .evaluate((box, text) => {
      const data = new DataTransfer()
      data.setData('text/plain', text)
      box.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
    }, changes.join('\t'))
  await expect(
    page.getByRole('textbox', { name: 'Plate store called, change at Plate store', exact: true }),
  ).toHaveValue('-21')
  await expect(verdict(page)).toContainText('Office and Meeting are swapped.')
  await expect(page.locator('.frame')).toContainText('Read their addresses first')
  await record(page, /^Record/)
  await expect(page.locator('.slip').first()).toContainText('Office and Meeting are swapped.')
})

test('a night of a unit that leaks by is read from its file', async ({ page }) => {
  await system(page)
  await question(page, 'controls call for?')
  await more(page)
  await openTab(page, 'Overnight watch')
  const lines = Array.from({ length: 2 }, (_, period) =>
    Array.from({ length: 46 }, (_, minute) => {
      const air = 74 - minute / 30
      return `I4,${60 * period + minute},0,${air - 20},${air - 12},${air},0`
    }),
  ).flat()
  await page.locator('.file input[type=file]').setInputFiles({
    name: 'night.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      ['unit,time,valve_pulses,liquid_pipe,gas_pipe,return_air,thermo_on', ...lines].join('\n'),
    ),
  })
  await expect(page.getByText('93 lines')).toBeVisible()
  await choose(page, 'Temperatures in', '°F')
  await expect(verdict(page)).toContainText('I4: its valve leaks by')
  await choose(page, 'Temperatures in', '°C')
  await expect(page.getByText(/no room is like that|no use|°F/).first()).toBeVisible()
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('one call at a time is typed, and the script by the thumb; nothing is wider than the screen', async ({
    page,
  }) => {
    const fits = async () =>
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await system(page)
    await page.locator('.thumbs button').first().tap()
    await gate(page, 'controls call for?').getByRole('button').tap()
    await openTab(page, 'Crossed zones')
    await fits()
    await page.locator('.matrix .pick select').selectOption('Office')
    await expect(page.locator('.matrix input:visible')).toHaveCount(ROOMS.length)
    for (const box of await page.locator('.matrix input:visible').all())
      expect((await box.boundingBox())?.height).toBeGreaterThanOrEqual(44)
    await page.getByRole('textbox', { name: 'Office called, change at Meeting', exact: true }).fill('-20')
    await expect(verdict(page)).toContainText('Still need')
    await page.locator('.thumbs button').first().tap()
    await gate(page, RUN).getByRole('button').tap()
    await openTab(page, 'Commissioning')
    await expect(page.locator('.part').first()).toContainText('I1')
    await fits()
  })
})
