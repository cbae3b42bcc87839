import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import { choose, draw, freshDemo, gate, openMachine, openTab, record, signIn } from './helpers'

test.describe.configure({ mode: 'serial' })
test.beforeAll(() => {
  freshDemo()
  execFileSync(
    process.env.ARTISAN ?? '',
    ['db:seed', '--class=Tests\\Support\\AnsweredSeeder', '--force', '--no-interaction'],
    { stdio: 'pipe' },
  )
})
const LEAVE = 'Can we leave?'
const holds = (page: Page) => page.locator('.leave li')

async function atHandover(page: Page, name?: string) {
  await signIn(page, name)
  await openMachine(page, 'RTU-1')
  await gate(page, LEAVE).getByRole('button').click()
}

test('the handover waits for the put-back list, the owner, and what nobody has', async ({ page }) => {
  await atHandover(page)
  await expect(page.locator('.verdict')).toContainText('3 things are holding it up')
  await openTab(page, 'Owner walk-through')
  await choose(page, 'How to change the setpoints', 'yes')
  await page.getByRole('button', { name: 'Mark the rest yes' }).click()
  await choose(page, 'What was left undone, and when it will be done', 'yes')
  await record(page)
  await openTab(page, 'Hand over')
  const dialog = page.getByRole('dialog')
  for (const [what, word] of [
    ['Roof door', 'hatch bolted'],
    ['detector', 'uncovered, caretaker told'],
  ] as const) {
    await holds(page).filter({ hasText: what }).getByRole('button').click()
    await dialog.getByLabel('Say how you put it back.').fill(word)
    await dialog.getByRole('button', { name: 'Put back' }).click()
    await expect(dialog).toBeHidden()
  }
  await page.getByRole('button', { name: 'Add an open item' }).click()
  await dialog.getByLabel('What', { exact: true }).fill('Second filter set')
  await dialog.getByRole('button', { name: 'Add an open item' }).click()
  await expect(page.locator('.verdict')).toContainText('one thing is holding it up')
  await holds(page).filter({ hasText: 'Who owns it, and by when' }).getByRole('button').click()
  await dialog.getByLabel('Owner').fill('Mina Petrov')
  await dialog.getByLabel('Due').fill('2030-05-03')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(page.locator('.verdict')).toContainText('Everything is done. Sign it.')
})

test('a picture stands with its reading, small on the tape and whole behind it', async ({ page }) => {
  await atHandover(page)
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAYAAACNMs+9AAAAFUlEQVR42mNk+M9Qz0AEYBxVSF+FAAhKDveksOjmAAAAAElFTkSuQmCC',
    'base64',
  )
  await page.locator('.slip', { hasText: 'Owner walk-through' }).first().click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Add photo', exact: true }).click()
  const picture = page.getByRole('dialog', { name: 'Add a photo' })
  await picture
    .locator('input[type=file]')
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: png })
  await picture.getByLabel('Which item').selectOption('papers')
  await picture.getByLabel('What it shows').fill('Folder in the cabinet')
  await picture.getByRole('button', { name: 'Save' }).click()
  await expect(page.locator('.slip', { hasText: 'Owner walk-through' }).first().locator('img')).toBeVisible()
})

test('the starter signs, the lead reviews and signs', async ({ page, browser }) => {
  await atHandover(page)
  await draw(page)
  await expect(page.locator('.leave figcaption')).toContainText('Rafe Lindqvist, start-up tech')
  await expect(page.locator('.leave')).toContainText('Waiting on the other signature.')
  const lead = await browser.newPage()
  await atHandover(lead, 'Ines Okafor')
  await lead.getByLabel('You read it all. In your own words:').fill('Read it all, agrees with what I saw')
  await lead.getByRole('button', { name: 'Reviewed' }).click()
  await draw(lead)
  await expect(lead.locator('.verdict')).toContainText('Turned over: signed by start-up tech and lead.')
  await expect(page.locator('.verdict')).toContainText('Turned over')
  await lead.close()
})

test('the record is read as PDF and proves itself as a file', async ({ page }) => {
  await atHandover(page, 'Ines Okafor')
  await page.getByRole('link', { name: 'The record' }).first().click()
  await expect(page.locator('.signatures figcaption')).toHaveCount(2)
  await expect(page.locator('.summary').first()).toContainText('All questions of this job are answered.')
  const digest = ((await page.locator('.proof').textContent()) ?? '').match(/[0-9a-f]{64}/)?.[0] ?? 'none'

  const folder = mkdtempSync(join(tmpdir(), 'record-'))
  const fetched = async (kind: string) => {
    const file = join(folder, `record.${kind}`)
    const address = await page.locator(`a[href$="record.${kind}"]`).getAttribute('href')
    writeFileSync(file, await (await page.request.get(address ?? '')).body())
    return file
  }
  const pdf = await fetched('pdf')
  const text = execFileSync('pdftotext', ['-layout', pdf, '-']).toString()
  expect(text).toContain('RTU-1, Harrow Lane Library')
  expect(text).toContain('Can we leave?')
  expect(text).toContain('Ines Okafor, lead')
  const pages = text.split('\f').filter((one) => one.trim() !== '')
  expect(pages.length).toBeGreaterThan(1)
  for (const one of pages) expect(one).toContain(digest)
  execFileSync('pdftoppm', ['-r', '60', '-png', '-f', '1', '-l', '1', pdf, join(folder, 'page')])

  const json = await fetched('json')
  const verify = (file: string) => {
    try {
      return execFileSync('bin/verify', [file, '--digest', digest]).toString()
    } catch (error) {
      return String((error as { stdout: Buffer }).stdout)
    }
  }
  expect(verify(json)).toContain('The key of Tallow & Finch Mechanical vouches for it')
  expect(verify(json)).toContain('Signed as lead by Ines Okafor')
  writeFileSync(json, readFileSync(json, 'utf8').replace('hatch bolted', 'hatch bolteD'))
  expect(verify(json)).toMatch(/NOT AS WRITTEN: Entry \d+ is not as it was written/)
})

test('what is written after the signatures is an addendum', async ({ page }) => {
  await atHandover(page)
  await openTab(page, 'Note')
  await page.getByLabel('Note', { exact: true }).fill('Owner called: all quiet')
  await page.getByRole('button', { name: 'Save note' }).click()
  await expect(page.locator('.slip').first()).toContainText('Owner called')
  await openTab(page, 'Hand over')
  await expect(page.locator('.leave')).toContainText('One entry was written after the last signature.')
})
