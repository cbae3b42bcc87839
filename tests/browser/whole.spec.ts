import { expect, test, type Locator, type Page } from '@playwright/test'
import {
  choose,
  compressor,
  draw,
  freshDemo,
  gate,
  openMachine,
  openTab,
  POWER,
  record,
  RUN,
  runFirst,
  seen,
  signIn,
  tripLeakSensor,
  walkPrestart,
  warm,
} from './helpers'

test.beforeAll(freshDemo)
const AIR = 'Is it moving enough air and making enough heat?'
const CONTROLS = 'Does it do what the controls call for?'
const LEAVE = 'Can we leave?'
const AIM = 90
/** What it took when this was written, with the first run and the leak sensor in it: it may only become less. */
const MOST = 255

/** Counts what a person does: presses, and keys other than those of the figures. */
async function counted(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const more = () =>
      sessionStorage.setItem('acts', String(Number(sessionStorage.getItem('acts') ?? '0') + 1))
    window.addEventListener('pointerdown', more, true)
    window.addEventListener(
      'keydown',
      (event) => {
        if (!/^[\d.,-]$/.test(event.key)) more()
      },
      true,
    )
  })
  return async () => Number(await page.evaluate(() => sessionStorage.getItem('acts') ?? '0'))
}

/** Presses a box and types what is read. */
async function read(page: Page | Locator, figures: Record<string, string>) {
  for (const [label, text] of Object.entries(figures)) {
    const box = page.getByLabel(new RegExp(`^${label}`)).first()
    await box.click()
    await box.pressSequentially(text)
  }
}

/** The first box by a press, the others by Enter, as one reads down a bench. */
async function down(page: Page, first: Locator, figures: string[]) {
  await first.click()
  for (const [i, figure] of figures.entries()) {
    if (i > 0) await page.keyboard.press('Enter')
    await page.keyboard.type(figure)
  }
}

async function signHere(page: Page) {
  await draw(page)
  await expect(page.locator('canvas')).toBeHidden()
}

async function closeAll(page: Page, word: string) {
  const out = page.locator('.entry-out').getByRole('button', { name: 'Put back' })
  while ((await out.count()) > 0) {
    const before = await out.count()
    await out.first().click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Say how you put it back.').fill(word)
    await dialog.getByRole('button', { name: 'Put back' }).click()
    await expect.poll(() => out.count()).toBeLessThan(before)
  }
}

test('a rooftop unit from a reversed supply to a signed record', async ({ page, browser }) => {
  test.setTimeout(300_000)
  page.setDefaultTimeout(20_000)
  const acts = await counted(page)
  const told: [string, number][] = []
  const mark = async (what: string) => told.push([what, await acts()])
  await signIn(page)
  await page.getByRole('link', { name: 'Open it' }).click()

  // Power: reversed, swapped under lock, proved.
  await choose(page, 'Phase rotation meter', 'C-B-A')
  await seen(page, 'C1', 'no', 'loud')
  await choose(page, /^Blower/, 'backwards')
  await record(page, 'Record the stop')
  await openTab(page, 'Lockout')
  await read(page, { Lock: '15' })
  await choose(page, 'Lock is on', "the unit's disconnect")
  await choose(page, 'Working on', 'load side')
  await choose(page, /Meter checked live, before/, 'yes')
  await down(page, page.getByLabel('L1–L2 (A–B)'), ['0', '0', '0', '0', '0', '0'])
  await choose(page, /Meter checked live, after/, 'yes')
  await record(page)
  await openTab(page, 'Rotation')
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await compressor(page, 'C1')
    .getByLabel(/ran backwards/i)
    .click()
  await page.keyboard.type('0.2')
  await record(page)
  await expect(gate(page, POWER)).toHaveClass(/answered/)
  await mark('Power')

  // Run.
  await closeAll(page, 'two lines swapped, lock off')
  await gate(page, RUN).getByRole('button').click()
  await warm(page)
  await record(page)
  await openTab(page, 'Pre-start list')
  await walkPrestart(page)
  await record(page)
  await runFirst(page)
  await openTab(page, 'Loaded voltage')
  await down(page, page.getByLabel('L1–L2 (A–B)'), ['478', '475', '480'])
  await record(page)
  await openTab(page, 'Rotation, running')
  await choose(page, 'Phase rotation meter', 'A-B-C')
  await seen(page, 'C1', 'yes', 'normal')
  await seen(page, 'C2', 'yes', 'normal')
  await choose(page, /^Blower/, 'with the arrow')
  await record(page)
  await openTab(page, 'Running amps')
  await down(
    page,
    page.locator('.part .figure').first(),
    '9.2 9.3 9.1 9.1 9.2 9.0 7.0 7.1 7.0 1.2 1.2'.split(' '),
  )
  await choose(page, 'Doors and panels on', 'yes')
  await record(page)
  await tripLeakSensor(page)
  await record(page)
  await expect(gate(page, RUN)).toHaveClass(/answered/)
  await mark('Run')
  // Charge, both circuits.
  await gate(page, 'Is the charge right?').getByRole('button').click()
  for (const circuit of ['A', 'B']) {
    await openTab(page, 'Superheat and subcooling')
    if (circuit === 'B') await page.getByRole('radio', { name: 'B', exact: true }).click()
    await read(page.locator('.frame'), {
      'Low side': '128',
      'Suction line': '60',
      'High side': '365',
      'Liquid line': '103',
      'Running for': '25',
      'Air into the condenser': '88',
    })
    await record(page)
  }
  await mark('Charge')

  // Air and heat.
  const frame = page.locator('.frame')
  await gate(page, AIR).getByRole('button').click()
  await openTab(page, 'Temperature split')
  await read(frame, {
    'Return air': '78',
    'Return wet bulb': '65',
    'Supply air': '59.5',
    'Outdoor air': '88',
    'Running for': '30',
  })
  await choose(page, 'Doors and panels on', 'yes')
  await record(page)
  await openTab(page, 'Static pressure')
  await read(frame, { 'Return static': '-0.32', 'Supply static': '0.41' })
  await record(page)
  await openTab(page, 'Gas pressure')
  await choose(page, 'Gas', 'natural')
  await read(frame, { Manifold: '3.4', 'Inlet, nothing': '7.6', 'Inlet, firing': '7.1' })
  await choose(page, /Everything on the line/, 'yes')
  await record(page)
  await openTab(page, 'Clock the meter')
  await choose(page, 'Gas', 'natural')
  await read(frame, { Dial: '2', Turns: '1', Time: '41.4' })
  await choose(page, /Everything else on the meter/, 'yes')
  await record(page)
  await openTab(page, 'Temperature rise')
  await read(frame, { 'Return air': '68', 'Supply air': '108', 'Firing for': '20' })
  await choose(page, /Out of sight/, 'yes')
  await choose(page, /Opened since/, 'nothing')
  await record(page)
  await openTab(page, 'Float')
  await choose(page, 'Tested by', 'water')
  await choose(page, /It stopped/, 'yes')
  await choose(page, /It came back/, 'yes')
  await read(frame, { 'Time it took': '4' })
  await record(page)
  await openTab(page, 'Outdoor air')
  await read(frame, { 'Return air': '72', 'Mixed air': '65.6', 'Outdoor air': '40', 'Wanted share': '20' })
  await record(page)
  await openTab(page, 'Fan drive')
  await read(frame, {
    'Airflow now': '4900',
    'Airflow wanted': '5000',
    'Blower speed': '880',
    'Blower amps': '7.0',
  })
  await choose(page, /^Rotation/, 'with the arrow')
  await record(page)
  await expect(gate(page, AIR)).toHaveClass(/answered/)
  await mark('Air and heat')

  // Controls.
  await gate(page, CONTROLS).getByRole('button').click()
  await openTab(page, 'Terminals')
  await choose(page, 'Thermostat is', 'conventional')
  for (const terminal of ['R', 'C', 'G', 'Y1', 'Y2', 'W1', 'W2'])
    await page
      .getByRole('group', { name: 'Landed at the thermostat' })
      .getByText(terminal, { exact: true })
      .click()
  await page.getByRole('button', { name: 'Same as landed at the thermostat' }).click()
  await record(page)
  await openTab(page, 'Settings')
  await page.getByRole('button', { name: 'The rest: “As found” like “Required”' }).click()
  await page.getByRole('button', { name: 'The rest: “As left” like “As found”' }).click()
  await record(page)
  await openTab(page, 'Staging')
  await read(frame, { 'Cooling set point': '74', 'Heating set point': '70' })
  await page.getByRole('button', { name: 'Add stages by count' }).click()
  await read(frame, { 'Cooling stages': '2', 'Heating stages': '2', 'Between stages': '1.5', Deadband: '1' })
  await record(page)
  await openTab(page, 'Calls')
  // The calls and what each brings on stand there by the sheet.
  const calls = page.locator('.part')
  await expect(calls).toHaveCount(6)
  for (const row of await calls.all()) await row.getByRole('button', { name: /^same/i }).click()
  const first = calls.first()
  await read(first, { 'Watched for': '10' })
  await choose(first, 'Proved by', 'amps')
  await first.getByLabel('none, Still on after').check()
  await page.getByRole('button', { name: /^The rest like/ }).click()
  await record(page)
  await mark('Controls')

  // Hand over.
  await gate(page, LEAVE).getByRole('button').click()
  await openTab(page, 'Owner walk-through')
  await choose(page, 'How to change the setpoints', 'yes')
  await page.getByRole('button', { name: 'Mark the rest yes' }).click()
  await choose(page, 'What was left undone, and when it will be done', 'yes')
  await record(page)
  await openTab(page, 'Hand over')
  await signHere(page)
  await mark('Hand over')

  // The lead looks it through and signs.
  const lead = await browser.newPage({ baseURL: process.env.BASE_URL })
  lead.setDefaultTimeout(20_000)
  const leads = await counted(lead)
  await signIn(lead, 'Ines Okafor')
  await openMachine(lead, 'RTU-2')
  await gate(lead, LEAVE).getByRole('button').click()
  await read(lead, { 'You read it all': 'read whole' })
  await lead
    .getByRole('button', { name: /review/i })
    .last()
    .click()
  await signHere(lead)
  told.push(['Lead', (await acts()) + (await leads())])
  await lead.getByRole('link', { name: 'The record' }).first().click()
  await expect(lead.locator('.summary').first()).toContainText('All questions of this job are answered.')
  await expect(lead.locator('.signatures figcaption')).toHaveCount(2)

  let before = 0
  for (const [what, count] of told) {
    process.stdout.write(`  ${what}: ${count - before}\n`)
    before = count
  }
  process.stdout.write(`  ${before} actions in all (keys other than figures, and presses; aim ${AIM})\n`)
  expect(before).toBeLessThan(MOST)
})
