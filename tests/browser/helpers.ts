import { execFileSync } from 'node:child_process'
import { expect, type Locator, type Page } from '@playwright/test'

/** The demo as it is when it has just been loaded. */
export function freshDemo(): void {
  const artisan = process.env.ARTISAN
  if (artisan === undefined) throw new Error('ARTISAN is not set: run bin/test browser')
  execFileSync(artisan, ['migrate:fresh', '--force', '--no-interaction'], { stdio: 'pipe' })
  execFileSync(artisan, ['db:seed', '--class=DemoSeeder', '--force', '--no-interaction'], { stdio: 'pipe' })
}

export async function signIn(page: Page, name = 'Rafe Lindqvist'): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: new RegExp(name) }).click()
  await expect(page.getByRole('heading', { name: 'Harrow Lane Library' })).toBeVisible()
}

/** A unit on the board, by its own name: others may be told of in its row. */
export function unitRow(page: Page, name: string): Locator {
  return page.locator('a.row', { has: page.locator('.name', { hasText: name }) }).first()
}

export async function openMachine(page: Page, name: string): Promise<void> {
  await unitRow(page, name).click()
  await expect(page.locator('.verdict, .past, .start').first()).toBeVisible()
}

/** A unit of a job that is not today's, as the search finds it. */
export async function findUnit(page: Page, name: string): Promise<void> {
  await page.locator('button.find').click()
  await page.getByRole('searchbox').last().fill(name)
  await page.getByRole('option', { name: new RegExp(`^${name},`) }).click()
  await expect(page.locator('.verdict, .past, .start, .job').first()).toBeVisible()
}

export async function openTab(page: Page, name: string): Promise<void> {
  const tab = page.getByRole('tab', { name: new RegExp(`^${name}`) })
  await tab.click()
  await expect(tab).toHaveAttribute('aria-selected', 'true')
  await expect(page.locator('.verdict, .past, .job, .start').first()).toBeVisible()
}

/** Chooses one of a few words. */
export async function choose(page: Page | Locator, group: string | RegExp, word: string): Promise<void> {
  await page.getByRole('group', { name: group }).getByRole('radio', { name: word, exact: true }).click()
}

/** Goes down the pre-start list, item by item: nothing of it is answered in bulk. */
export async function walkPrestart(page: Page): Promise<void> {
  const items = page.locator('.walked fieldset')
  for (let i = 0; i < (await items.count()); i++) {
    const item = items.nth(i)
    if (/^Neutral/.test((await item.textContent()) ?? '')) {
      await item.getByRole('radio', { name: 'n/a' }).click()
      await item.getByRole('button', { name: 'none in the diagram' }).click()
    } else await item.getByRole('radio', { name: 'yes' }).click()
  }
}

/** A compressor's row on the rotation bench. */
export function compressor(page: Page, name: string): Locator {
  return page.getByRole('group', { name, exact: true })
}

export async function seen(
  page: Page,
  name: string,
  parts: 'yes' | 'no',
  noise: 'normal' | 'loud',
  amps?: string,
): Promise<void> {
  const row = compressor(page, name)
  await row.getByRole('radio', { name: parts, exact: true }).click()
  await row.getByRole('radio', { name: noise, exact: true }).click()
  if (amps !== undefined) await row.getByRole('textbox').first().fill(amps)
}

export function verdict(page: Page): Locator {
  return page.locator('.verdict p')
}

/** What the five motors of RTU-1 and RTU-2 draw, in the order they are read. */
export const AMPS = ['9.2', '9.3', '9.1', '9.1', '9.2', '9.0', '7.0', '7.1', '7.0', '1.2', '1.2']

export async function readAmps(page: Page): Promise<void> {
  const boxes = await page.locator('.part .figure').all()
  for (const [i, amps] of AMPS.entries()) await boxes[i]?.fill(amps)
}

/** Presses Record and waits until the tape has one entry more, arrived. */
export async function record(page: Page, name: string | RegExp = /^Record/): Promise<void> {
  const slips = page.locator('.slip:not(.waits)')
  const before = await slips.count()
  await page.locator('.foot').getByRole('button', { name }).click()
  await expect.poll(() => slips.count()).toBeGreaterThan(before)
}

/** Enters a lock on the unit's disconnect and the six readings of a dead load side. */
export async function readDead(page: Page, lock: string): Promise<void> {
  await page.getByLabel('Lock', { exact: true }).fill(lock)
  await choose(page, 'Lock is on', "the unit's disconnect")
  await choose(page, 'Working on', 'load side')
  await choose(page, /Meter checked live, before/, 'yes')
  for (const leg of [
    'L1–L2 (A–B)',
    'L2–L3 (B–C)',
    'L3–L1 (C–A)',
    'L1 to ground (A)',
    'L2 to ground (B)',
    'L3 to ground (C)',
  ])
    await page.getByLabel(leg).fill('0.1')
  await choose(page, /Meter checked live, after/, 'yes')
}

export async function lockOut(page: Page, lock: string): Promise<void> {
  await readDead(page, lock)
  await expect(verdict(page)).toContainText('Dead')
  await record(page)
}

export async function lockOff(page: Page, word: string): Promise<void> {
  await page.locator('.entry-out').getByRole('button', { name: 'Put back' }).first().click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Say how you put it back.').fill(word)
  await dialog.getByRole('button', { name: 'Put back' }).click()
  await expect(page.locator('.entry-out')).toHaveCount(0)
}

/** What the rail says of a question. */
export function gate(page: Page, question: string): Locator {
  return page.locator('.rail li', { hasText: question })
}

export const POWER = 'Is the power right, and the rotation?'
export const RUN = 'Does it start and turn as it should?'

/** Draws a signature into the field and signs with it. */
export async function draw(page: Page): Promise<void> {
  const box = await page.locator('canvas').boundingBox()
  if (box === null) throw new Error('no field to sign in')
  await page.mouse.move(box.x + 30, box.y + 90)
  await page.mouse.down()
  for (let i = 0; i < 24; i++)
    await page.mouse.move(box.x + 30 + i * 8, box.y + 70 + 40 * Math.sin(i / 2), { steps: 2 })
  await page.mouse.up()
  await page.getByRole('button', { name: 'Sign', exact: true }).click()
}

/** A moment some hours ago, as a person writes it. */
export function hoursAgo(hours: number): string {
  const at = new Date(Date.now() - hours * 3_600_000)
  const two = (figure: number) => String(figure).padStart(2, '0')
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}:${two(at.getMinutes())}`
}

/** Types a figure as a person does: into its box, key by key. */
async function type(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).click()
  await page.keyboard.type(text)
}

/** Since when the crankcase heater has power, with the shell that proves it. */
export async function warm(page: Page, hours = 15): Promise<void> {
  await openTab(page, 'Crankcase heat')
  await page.getByRole('textbox', { name: /^Heater on since/ }).fill(hoursAgo(hours))
  await type(page, 'Compressor shell', '62')
  await type(page, 'Outdoor air', '34')
}

/** One thing is started, read and seen right. */
export async function startOne(page: Page, name: string, read: Record<string, string> = {}): Promise<void> {
  await page.getByRole('button', { name: `Start ${name}`, exact: true }).click()
  await expect(page.getByRole('button', { name: 'Right', exact: true })).toBeEnabled()
  for (const [label, text] of Object.entries(read)) await type(page, `${label}, ${name}`, text)
  await page.getByRole('button', { name: 'Right', exact: true }).click()
  await expect(page.locator('.slip', { hasText: `${name} runs right.` })).toHaveCount(1)
}

/** The gauges of a compressor that pumps. */
export const PUMPS = {
  'Suction, at rest': '98',
  'Discharge, at rest': '98',
  'Suction, running': '71',
  'Discharge, running': '176',
  Amps: '9.2',
}

/** Blower, both compressors, heat: one after the other. */
export async function runFirst(page: Page): Promise<void> {
  await openTab(page, 'First run')
  await startOne(page, 'Blower', { Amps: '7.0' })
  await startOne(page, 'C1', PUMPS)
  await startOne(page, 'C2', PUMPS)
  await startOne(page, 'Heat')
  await expect(page.locator('.slip', { hasText: 'All 4 ran right' })).toHaveCount(1)
}

/** The leak sensor by its button: what stops, what comes on, how soon. */
export async function tripLeakSensor(page: Page): Promise<void> {
  await openTab(page, 'Leak sensor')
  for (const word of [
    'Sensor fitted',
    'The board knows it',
    'Blower came on',
    'Compressor stopped',
    'Heat and sparks off',
    'It reset',
  ]) {
    if (word === 'Blower came on') await choose(page, 'Tested by', "the board's test")
    await choose(page, new RegExp(`^${word}`), 'yes')
  }
  await type(page, 'Time it took', '6')
  await type(page, 'Airflow', '4850')
  await type(page, 'Blower ran on', '5')
}
