import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { leaf } from './fitting'
import { demoJob, landingAlcove, newPerson } from './person'

const STATIONS = ['measure', 'fit', 'pieces', 'sheets']

async function sizeOf(page: Page, mark: string): Promise<number> {
  const text = await page.getByRole('button', { name: `${mark}, length` }).textContent()
  return parseFloat(text ?? '')
}

test('the demo opens with one press and asks no other host for anything', async ({ page }) => {
  const hosts = new Set<string>()
  page.on('request', (request) => hosts.add(new URL(request.url()).host))
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo' }).click()
  await page.getByRole('link', { name: 'Landing alcove' }).click()
  await expect(page.getByRole('status')).toContainText('Fits. 4 edges to scribe.')
  for (const [key, heading] of [
    ['2', 'Box B1'],
    ['3', 'Pieces'],
    ['4', 'Sheets and boards'],
    ['1', 'Tape book'],
  ] as const) {
    await page.keyboard.press('Escape')
    await page.keyboard.press(key)
    await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible()
  }
  expect([...hosts]).toEqual([new URL(page.url()).host])
})

test('a width 6 mm less makes the pieces shorter, and undo brings them back', async ({ page }) => {
  await landingAlcove(page, 'pieces')
  const before = await sizeOf(page, 'B1-bottom')
  await page.keyboard.press('1')
  await page.getByRole('button', { name: /Width, bottom, at the back/ }).click()
  const field = page.getByLabel('Width, bottom, at the back', { exact: true })
  await expect(field).toHaveValue('903')
  await field.fill('897')
  await expect(page.getByText('897 mm · 35 5/16 in')).toBeVisible()
  await field.press('Enter')
  await expect(page.getByRole('button', { name: /Width, bottom, at the back/ })).toContainText('897')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect.poll(() => sizeOf(page, 'B1-bottom')).toBeLessThan(before)
  await page.getByRole('button', { name: 'B1-bottom, length' }).click()
  await expect(page.getByText('two sides')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.reload()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => sizeOf(page, 'B1-bottom')).toBe(before)
})

test('what cannot be read is refused at the field, and stays there', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: /Width, middle, at the back/ }).click()
  const field = page.getByLabel('Width, middle, at the back', { exact: true })
  await field.fill('1,203')
  await expect(page.getByText('“1,203” could be 1203 mm or 1.203 mm. Type 1203')).toBeVisible()
  await field.press('Enter')
  await expect(field).toHaveValue('1,203')
  await field.fill('9 0 5')
  await expect(page.getByText('two numbers with nothing between them')).toBeVisible()
  // The server's own word, for what the browser lets through.
  await page.getByRole('button', { name: /Corner, left back/ }).click()
  const corner = page.getByLabel('Corner, left back', { exact: true })
  await corner.fill('steep')
  await corner.press('Enter')
  await expect(
    page.getByRole('region', { name: 'Open reading' }).getByText('“steep” is not an angle'),
  ).toBeVisible()
  await expect(corner).toHaveValue('steep')
})

test('a new job goes from nothing to the cut sheet by keyboard', async ({ page }) => {
  await newPerson(page)
  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByLabel('What are you building?').fill('Shelves by the window')
  await page.getByRole('button', { name: 'Begin measuring' }).click()
  await expect(page.getByRole('status')).toContainText('Waits for 22 readings')
  await expect(page.getByLabel('Height, left', { exact: true })).toBeFocused()
  const typed = [
    '2400', '2400', '2400', '2400', '1000', '1000', '1000', '1000', '1000', '1000', '500', '500', '1118', // heights, widths, depths, a diagonal
    '0', '0', '0', '0', '4 r', '0', '0', '100', '15', // plumb, floor, skirting
  ] // prettier-ignore
  for (const [i, text] of typed.entries()) {
    const left = typed.length - i
    await expect(page.getByRole('link', { name: /^Measure/ })).toContainText(
      left === 1 ? '1 reading to go' : `${left} readings to go`,
    )
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
  }
  await expect(page.getByRole('status')).toContainText('Nothing is planned here yet: choose a layout.')
  await page.keyboard.press('Escape')
  await page.keyboard.press('2')
  const start = page.getByRole('button', { name: 'Start from: One tall cupboard' })
  await expect(start).toBeVisible()
  await start.press('Enter')
  await expect(page.getByRole('status')).toContainText('Fits')
  await page.keyboard.press('4')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Cut sheet as PDF' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('shelves-by-the-window.pdf')
  expect(readFileSync(await download.path(), 'latin1').slice(0, 5)).toBe('%PDF-')
})

test('a box that is too wide clashes, and its way out solves it', async ({ page }) => {
  await landingAlcove(page, 'fit')
  const width = page.getByLabel('Width of the bay', { exact: true })
  await width.fill('900')
  await width.press('Enter')
  await expect(page.getByRole('status')).toContainText('Does not fit: the box jams between the walls')
  // One line says it; pressed, it shows its way out.
  await leaf(page, 'Findings')
  await page.getByRole('list', { name: 'What clashes' }).getByRole('button').first().click()
  await page.getByRole('button', { name: 'Let bay 1 take what is left' }).click()
  await expect(page.getByRole('status')).toContainText('Fits')
  await leaf(page, 'Cell')
  await expect(width).toHaveValue('')
  await width.fill('7')
  await width.press('Enter')
  await expect(page.getByText('must be between 10 mm and 6000 mm')).toBeVisible()
})

test('a gap is closed another way when the person says so', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await leaf(page, 'Gaps')
  await page.getByRole('combobox', { name: 'B1 left stile to wall: closed with' }).click()
  await page.getByRole('option', { name: 'cover trim' }).click()
  await expect(page.getByRole('row', { name: /B1 left stile to wall/ })).toContainText('chosen by you')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await expect(page.getByText('B1-trim-left', { exact: true })).toBeVisible()
})

test('inches are written as true fractions all the way', async ({ page }) => {
  await landingAlcove(page, 'pieces')
  await page.getByRole('button', { name: 'Landing alcove: rules and materials' }).click()
  await page.getByRole('combobox', { name: 'Unit and working fraction' }).click()
  await page.getByRole('option', { name: 'inches, to 1/16', exact: true }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /B1-bottom, length: \d+ \d+\/\d+ in/ })).toBeVisible()
})

test('a bad file is refused with the path inside it', async ({ page }) => {
  await newPerson(page)
  const buffer = Buffer.from(
    readFileSync('tests/examples/landing-alcove-without-doors.json', 'utf8').replace(
      '"painted": true',
      '"painted": "yes"',
    ),
  )
  await page
    .getByLabel('Import a job')
    .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer })
  await expect(page.getByText('$.job.painted: This is string; it must be boolean.')).toBeVisible()
  await expect(page.getByText('Nothing is being built here yet')).toBeVisible()
})

test('an account is left with its password changed, and deleted with everything in it', async ({ page }) => {
  await newPerson(page)
  await page.getByRole('link', { name: 'Tess' }).click()
  await page.getByLabel('Password now').fill('wrong')
  await page.getByLabel('New password').fill('another long one')
  await page.getByRole('button', { name: 'Change the password' }).click()
  await expect(page.getByText('That is not the password you sign in with now.')).toBeVisible()
  await page.getByLabel('Password, to be sure', { exact: true }).fill('a long password')
  await page.getByRole('button', { name: 'Delete the account and everything in it' }).click()
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
})

for (const theme of ['light', 'dark'] as const) {
  test(`every station passes the accessibility check in the ${theme} theme`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: theme })
    await landingAlcove(page)
    await expect(page.locator('html')).toHaveClass(theme === 'dark' ? /dark/ : /^((?!dark).)*$/)
    for (const station of STATIONS) {
      await page.goto(page.url().replace(/[a-z]+$/, station))
      await expect(page.locator('.drawing').first()).toBeVisible()
      const { violations } = await new AxeBuilder({ page }).analyze()
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
      expect(
        serious.map(
          ({ id, nodes }) => `${station}: ${id}: ${nodes.map((node) => node.html.slice(0, 200)).join(' | ')}`,
        ),
      ).toEqual([])
    }
  })
}

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a reading is taken with one thumb', async ({ page }) => {
    await landingAlcove(page)
    await expect(page.getByRole('heading', { name: /Height, left/ })).toBeVisible()
    for (const key of ['2', '4', '0', '5']) await page.getByRole('button', { name: key, exact: true }).tap()
    await expect(page.getByText('2405 mm · 94 11/16 in')).toBeVisible()
    await page.getByRole('button', { name: 'Keep, next' }).tap()
    await expect(page.getByRole('heading', { name: /Height, right/ })).toBeVisible()
    await expect(page.getByRole('button', { name: /Height, left/ })).toContainText('2405')
    const width = await page.evaluate(() => document.documentElement.scrollWidth)
    expect(width).toBeLessThanOrEqual(390)
    for (const button of await page.locator('.pad button').all())
      expect((await button.boundingBox())?.height).toBeGreaterThanOrEqual(44)
  })
})

test('a shape opens with the places to mark it out by, and is saved as a file', async ({ page }) => {
  await demoJob(page, 'cylinder-cupboard')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await page.getByRole('button', { name: 'S1-shelf-2, drawing' }).click()
  const dialog = page.getByRole('dialog', { name: 'S1-shelf-2 · Shelf' })
  const drawing = dialog.getByRole('img', { name: 'S1-shelf-2 Shelf' })
  // The slot for the pipe is 58 mm wide, and 80 mm deep from the back edge.
  for (const text of ['0', '1843', '1901', '80'])
    await expect(drawing.getByText(text, { exact: true }).first()).toBeVisible()
  await expect(dialog.getByText('slot for hot pipe, 80 mm deep from the back edge')).toBeVisible()
  const saved = page.waitForEvent('download')
  await dialog.getByRole('link', { name: 'DXF in mm' }).click()
  expect((await saved).suggestedFilename()).toBe('s1-shelf-2-shelf.dxf')
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
})
