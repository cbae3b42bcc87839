import { expect, test, type Locator, type Page } from '@playwright/test'
import { AMPS, freshDemo, gate, POWER, PUMPS, RUN, verdict } from './helpers'

test.beforeAll(freshDemo)

/** Tabs on until something has the focus; the pointer is never used. */
async function reach(page: Page, target: Locator, back = false): Promise<void> {
  for (let i = 0; i < 120; i++) {
    if (
      await target
        .evaluate(
          (el) =>
            el === document.activeElement ||
            (el.tagName === 'FIELDSET' && el.contains(document.activeElement)),
        )
        .catch(() => false)
    )
      return
    await page.keyboard.press(back ? 'Shift+Tab' : 'Tab')
  }
  throw new Error('never reached')
}

/** Arrows on within a group of words until one is chosen. */
async function pick(page: Page, group: Locator, word: string): Promise<void> {
  const radio = group.getByRole('radio', { name: word, exact: true })
  await reach(page, group)
  await page.keyboard.press('Space')
  for (let i = 0; i < 6 && !(await radio.isChecked()); i++) await page.keyboard.press('ArrowRight')
  await expect(radio).toBeChecked()
}

/** One reading of the first run. */
async function figure(page: Page, box: string, name: string): Promise<void> {
  await reach(page, page.getByLabel(`${box}, ${name}`))
  await page.keyboard.type(PUMPS[box as keyof typeof PUMPS])
}

/** A date and a time as they are typed into a box of the browser's own. */
async function typeMoment(page: Page, at: Date): Promise<void> {
  const two = (one: number) => String(one).padStart(2, '0')
  await page.keyboard.type(`${two(at.getMonth() + 1)}${two(at.getDate())}${at.getFullYear()}`)
  await page.keyboard.press('ArrowRight')
  await page.keyboard.type(
    `${two(at.getHours() % 12 || 12)}${two(at.getMinutes())}${at.getHours() < 12 ? 'AM' : 'PM'}`,
  )
}

async function recorded(page: Page): Promise<void> {
  const slips = page.locator('.slip')
  const before = await slips.count()
  await page.keyboard.press('r')
  await expect.poll(() => slips.count()).toBeGreaterThan(before)
}

test('RTU-2 from the board to a held and a loosened gate without touching the pointer', async ({ page }) => {
  const group = (name: string | RegExp) => page.getByRole('group', { name })
  await page.goto('/')
  await expect(page.getByRole('button', { name: /Rafe/ })).toBeVisible()
  await reach(page, page.getByRole('button', { name: /Rafe/ }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('link', { name: 'Open it' })).toBeVisible()
  await reach(page, page.getByRole('link', { name: 'Open it' }))
  await page.keyboard.press('Enter')
  await expect(verdict(page)).toBeVisible()

  await pick(page, group('Phase rotation meter'), 'C-B-A')
  await expect(verdict(page)).toContainText('The supply is reversed')
  await recorded(page)
  await expect(gate(page, POWER)).toHaveClass(/stopped/)

  // Tabs by bracket; Enter goes from reading to reading and at last to the button.
  await page.keyboard.press(']')
  await page.keyboard.press(']')
  await page.keyboard.press(']')
  await page.keyboard.press(']')
  await expect(page.getByRole('tab', { name: 'Lockout' })).toHaveAttribute('aria-selected', 'true')
  await reach(page, page.getByLabel('Lock', { exact: true }))
  await page.keyboard.type('15')
  await pick(page, group('Lock is on'), "the unit's disconnect")
  await pick(page, group('Working on'), 'load side')
  await pick(page, group(/Meter checked live, before/), 'yes')
  await reach(page, page.getByLabel('L1–L2 (A–B)'))
  for (let i = 0; i < 6; i++) {
    await page.keyboard.type('0.1')
    await page.keyboard.press('Enter')
  }
  await pick(page, group(/Meter checked live, after/), 'yes')
  await expect(verdict(page)).toContainText('Dead')
  await recorded(page)
  await expect(page.locator('.entry-out')).toContainText('Lock 15 on')

  await toTab(page, 'Rotation')
  await pick(page, group('Phase rotation meter'), 'A-B-C')
  await recorded(page)
  await expect(gate(page, POWER)).toHaveClass(/answered/)

  // Put-back by P, then on to the next question by N and the start list.
  await page.keyboard.press('p')
  await expect(page.getByRole('dialog')).toBeVisible()
  await reach(page, page.getByLabel('Say how you put it back.'))
  await page.keyboard.type('lock off')
  await page.keyboard.press('Enter')
  await expect(page.locator('.entry-out')).toHaveCount(0)
  await page.keyboard.press('n')
  await expect(page.getByRole('heading', { name: RUN })).toBeVisible()
  // Crankcase heat since yesterday, with the shell that proves it.
  await expect(page.getByRole('tab', { name: /^Crankcase heat/ })).toHaveAttribute('aria-selected', 'true')
  await reach(page, page.getByRole('textbox', { name: /^Heater on since/ }))
  await typeMoment(page, new Date(Date.now() - 15 * 3_600_000))
  for (const [box, degrees] of [
    ['Compressor shell', '62'],
    ['Outdoor air', '34'],
  ] as const) {
    await reach(page, page.getByLabel(box))
    await page.keyboard.type(degrees)
  }
  await expect(verdict(page)).toContainText('It has had its 12 h')
  await page.keyboard.press('Escape')
  await recorded(page)
  await expect(page.getByRole('tab', { name: /^Pre-start list/ })).toHaveAttribute('aria-selected', 'true')
  const items = page.locator('.walked fieldset')
  for (let i = 0; i < (await items.count()); i++) {
    const isNeutral = /^Neutral/.test((await items.nth(i).textContent()) ?? '')
    await pick(page, items.nth(i), isNeutral ? 'n/a' : 'yes')
    if (!isNeutral) continue
    await reach(page, page.getByRole('button', { name: 'none in the diagram' }))
    await page.keyboard.press('Enter')
  }
  await expect(verdict(page)).toContainText('Ready')
  await recorded(page)

  // The first run: R is the press at hand.
  await expect(page.getByRole('tab', { name: /^First run/ })).toHaveAttribute('aria-selected', 'true')
  for (const name of ['Blower', 'C1', 'C2', 'Heat']) {
    for (const box of name.startsWith('C') ? Object.keys(PUMPS).slice(0, 2) : [])
      await figure(page, box, name)
    await expect(page.getByRole('button', { name: `Start ${name}` })).toBeEnabled()
    await page.keyboard.press('Escape')
    await recorded(page)
    await expect(page.getByRole('button', { name: 'Right', exact: true })).toBeEnabled()
    for (const box of name.startsWith('C') ? Object.keys(PUMPS).slice(2) : []) await figure(page, box, name)
    await page.keyboard.press('Escape')
    await recorded(page)
    await expect(page.locator('.slip', { hasText: `${name} runs right.` })).toHaveCount(1)
  }

  // The wheel, loaded voltage, amps: Run is answered.
  await expect(page.getByRole('tab', { name: /^Rotation, running/ })).toHaveAttribute('aria-selected', 'true')
  await pick(page, group('Phase rotation meter'), 'A-B-C')
  for (const name of ['C1', 'C2']) {
    await pick(
      page,
      page.getByRole('group', { name, exact: true }).getByRole('group', { name: 'Pumping' }),
      'yes',
    )
    await pick(
      page,
      page.getByRole('group', { name, exact: true }).getByRole('group', { name: 'Noise' }),
      'normal',
    )
  }
  await pick(page, page.getByRole('group', { name: 'Blower' }).getByRole('group'), 'with the arrow')
  await expect(verdict(page)).toContainText('Rotation is right')
  await recorded(page)
  await expect(page.getByRole('tab', { name: 'Loaded voltage' })).toHaveAttribute('aria-selected', 'true')
  await reach(page, page.getByLabel('L1–L2 (A–B)'))
  for (const volts of ['478', '475', '480']) {
    await page.keyboard.type(volts)
    await page.keyboard.press('Enter')
  }
  await expect(page.locator('.foot').getByRole('button', { name: /^Record/ })).toBeFocused()
  await expect(verdict(page)).toContainText('Good to run')
  await recorded(page)
  await expect(page.getByRole('tab', { name: /^Running amps/ })).toHaveAttribute('aria-selected', 'true')
  await pick(page, group('Doors and panels on'), 'yes')
  await reach(page, page.locator('.part .figure').first())
  for (const amps of AMPS) {
    await page.keyboard.type(amps)
    await page.keyboard.press('Enter')
  }
  await expect(verdict(page)).toContainText('All 5 motors')
  await recorded(page)
  await expect(page.getByRole('tab', { name: /^Leak sensor/ })).toHaveAttribute('aria-selected', 'true')
  await pick(page, group(/^Sensor fitted/), 'yes')
  await pick(page, group(/^The board knows it/), 'yes')
  await pick(page, group('Tested by'), "the board's test")
  for (const word of [/^Blower came on/, /^Compressor stopped/, /^Heat and sparks off/])
    await pick(page, group(word), 'yes')
  await reach(page, page.getByLabel('Time it took'))
  await page.keyboard.type('6')
  await reach(page, page.getByLabel('Blower ran on'))
  await page.keyboard.type('5')
  await pick(page, group(/^It reset/), 'yes')
  await reach(page, page.getByLabel('Airflow', { exact: true }))
  await page.keyboard.type('4850')
  await expect(verdict(page)).toContainText('A leak alarm makes it safe')
  await page.keyboard.press('Escape')
  await recorded(page)
  await expect(gate(page, RUN)).toHaveClass(/answered/)

  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('Run: does it start and turn as it should?')
  await reach(page, page.getByRole('dialog').getByRole('button', { name: 'Keys' }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toContainText('next empty reading')
  await page.keyboard.press('Escape')
})

/** Tabs to the first box of a group of measures and types from box to box, also where the record fills them. */
async function type(page: Page, group: string, figures: string[]): Promise<void> {
  await reach(page, page.getByRole('group', { name: group, exact: true }).locator('input.figure').first())
  for (const figure of figures) {
    await page.keyboard.type(figure)
    await page.keyboard.press('Tab')
  }
}

async function toTab(page: Page, name: string): Promise<void> {
  const tab = page.getByRole('tab', { name: new RegExp(`^${name}`) })
  const more = page.locator('button.all')
  if ((await tab.count()) === 0) {
    await reach(page, more)
    await page.keyboard.press('Enter')
  }
  await page.getByRole('tab', { selected: true }).focus()
  for (let i = 0; i < 20 && (await tab.getAttribute('aria-selected')) !== 'true'; i++)
    await page.keyboard.press('ArrowRight')
  await expect(tab).toHaveAttribute('aria-selected', 'true')
}

test('a roof is surveyed without touching the pointer: curb, way in, lift day', async ({ page }) => {
  const group = (name: string | RegExp) => page.getByRole('group', { name })
  await page.goto('/')
  await reach(page, page.getByRole('button', { name: /Ines/ }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Harrow Lane Library' })).toBeVisible()
  await page.keyboard.press('/')
  await page.keyboard.type('RTU-4')
  await expect(page.getByRole('option', { name: /^RTU-4,/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('tab', { name: /^Curb fit/ })).toBeVisible()

  // The curb by its boxes, then a handle of the drawing by arrows: both are one measure.
  await toTab(page, 'Curb fit')
  await type(page, 'Old curb, outside', ['88', '54'])
  await type(page, "New unit's base", ['84', '50'])
  await pick(page, group('Discharge'), 'side')
  await expect(verdict(page)).toContainText('curb adapter')
  await reach(page, page.locator('[data-handle="curb_outside.length"]'), true)
  await page.keyboard.press('ArrowLeft')
  await expect(group('Old curb, outside').locator('input.figure').first()).toHaveValue('87.75')
  await recorded(page)

  // A door and an elevator: the tightest is named, what the car carries is counted, and it has to be booked.
  await toTab(page, 'Route')
  await type(page, 'The piece', ['40', '30', '60'])
  await reach(page, page.getByLabel('Piece weight'))
  await page.keyboard.type('180')
  const step = group('Path, in order')
  await reach(page, step.first().getByRole('combobox'))
  await page.keyboard.type('door')
  await reach(page, step.first().getByLabel('Width'))
  await page.keyboard.type('36')
  await page.keyboard.press('Enter')
  await page.keyboard.type('80')
  await reach(page, page.getByRole('button', { name: 'Add to path, in order' }))
  await page.keyboard.press('Enter')
  await reach(page, step.nth(1).getByRole('combobox'))
  await page.keyboard.type('elev')
  await reach(page, step.nth(1).locator('input[inputmode]').first())
  for (const figure of ['36', '84', '60', '60', '90', '2500']) {
    await page.keyboard.type(figure)
    await page.keyboard.press('Enter')
  }
  await expect(verdict(page)).not.toContainText('Still need')
  await reach(page, page.locator('.foot').getByRole('button', { name: /^Record/ }))
  await recorded(page)
  await expect(page.locator('.slip', { hasText: 'elevator' })).not.toHaveCount(0)

  // What has to be arranged is arranged on one page.
  await toTab(page, 'Lift day')
  await reach(page, page.getByLabel('Who looked at the ground'))
  await page.keyboard.type('Rafe')
  await reach(page, page.getByLabel('Elevator booked with'))
  await page.keyboard.type('custodian, car 2')
  await expect(verdict(page)).not.toContainText('Still need')
  await reach(page, page.locator('.foot').getByRole('button', { name: /^Record/ }))
  await recorded(page)
  await expect(page.getByRole('tab', { name: /^Lift day/ })).toContainText('done')
})
