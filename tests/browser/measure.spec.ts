import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { answer, landingAlcove, newJob, newPerson, readByDevice } from './person'

/** A closet with true corners, 1800 × 1200 and 2400 high, a door of 800 in the middle of its front. */
const CLOSET = [
  ...['2400', '2400', '2400', '2400'], // heights
  ...['1800', '1200', '500', '800', '500', '1200'], // sides, from A round to A
  ...['2163', '2163', '1800', '1769', '1769'], // diagonals A–C, B–F, C–F, A–D, B–E
  ...['1800', '1800', '1800', '1800'], // widths, foot and head, back and front
  ...['1200', '1200', '1200', '1200'], // depths
  ...['0', '0', '0', '0', '0', '0'], // plumb
  ...['3 r', '0', '0', '100', '15'], // floor, skirting
]

const toGo = (page: Page) => page.getByRole('link', { name: /^Measure/ })
const takes = async (page: Page, slot: string): Promise<string[]> => {
  const { station } = (await answer(page)) as {
    station: { readings: { slot: string; takes: { typed: string }[] }[] }
  }
  return station.readings.find((reading) => reading.slot === slot)?.takes.map((take) => take.typed) ?? []
}

test('a whole closet is entered by keyboard alone', async ({ page }) => {
  await newPerson(page)
  await newJob(page, 'Linen closet', 'Closet with a door')
  await expect(page.getByRole('status')).toContainText('Waits for 34 readings')
  await expect(page.getByLabel('Height, left back', { exact: true })).toBeFocused()
  for (const [i, text] of CLOSET.entries()) {
    const left = CLOSET.length - i
    await expect(toGo(page)).toContainText(left === 1 ? '1 reading to go' : `${left} readings to go`)
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
  }
  await expect(toGo(page)).toContainText('34 readings, all agree')
  await expect(page.getByText('The back wall is straight and plumb.')).toBeVisible()
  await expect(page.getByText('The floor falls 3 mm', { exact: false })).toBeVisible()
  // Every wall can be faced, and the drawing of each has a name.
  await page.getByRole('tab', { name: 'Left wall' }).click()
  await expect(page.getByRole('img', { name: 'Left wall, seen from the room' })).toBeVisible()
  const { violations } = await new AxeBuilder({ page }).analyze()
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')
  expect(serious.map((violation) => violation.id)).toEqual([])
})

test('a tie is decided by one more take, and the worse one stays, struck out', async ({ page }) => {
  await landingAlcove(page)
  const truth = { left: '996', right: '' }
  truth.left = (await takes(page, 'diagonal-left'))[0] ?? ''
  await page.getByRole('button', { name: /Diagonal, left back to right front/ }).click()
  const diagonal = page.getByLabel('Diagonal, left back to right front', { exact: true })
  await diagonal.fill(String(Number(truth.left) + 25.4))
  await diagonal.press('Enter')
  await expect(page.getByRole('status')).toContainText('Some readings do not agree')
  await expect(page.getByText(/One of these is wrong, and they cannot be told apart/)).toBeVisible()
  await page.keyboard.press('Escape')
  // What is asked for is taken again, each with what it read before; the wrong one reads true now.
  for (let i = 0; i < 5; i++) {
    if (!(await page.getByRole('status').textContent())?.includes('do not agree')) break
    await page.keyboard.press('r')
    const field = page.locator('section.open input')
    await expect(field).toBeFocused()
    const label = (await field.getAttribute('aria-label')) ?? ''
    const slots: Record<string, string> = {
      'Diagonal, left back to right front': 'diagonal-left',
      'Diagonal, right back to left front': 'diagonal-right',
      'Depth, left': 'depth-left',
      'Depth, right': 'depth-right',
    }
    const slot = slots[label] ?? ''
    const again = slot === 'diagonal-left' ? truth.left : ((await takes(page, slot))[0] ?? '')
    await field.fill(again)
    await field.press('Enter')
    await expect.poll(async () => (await takes(page, slot)).length).toBeGreaterThan(1)
    await page.keyboard.press('Escape')
  }
  await expect(page.getByRole('status')).toContainText('Fits')
  await expect(page.locator('.line .struck')).toContainText('1021')
  await page.getByRole('button', { name: /Diagonal, left back to right front/ }).click()
  await expect(page.getByRole('list', { name: 'Takes' })).toContainText('does not count')
})

test('a thing is placed by typing two distances, and one outside its wall is said', async ({ page }) => {
  await landingAlcove(page)
  await page.keyboard.press('Escape')
  await page.keyboard.press('o')
  await page.getByRole('combobox', { name: 'Add a thing' }).click()
  await page.getByRole('option', { name: 'Socket' }).click()
  await expect(page.locator('.caution')).toContainText('never buried')
  const along = page.getByLabel('From the side of the wall')
  await along.fill('120')
  await along.press('Enter')
  await expect(page.locator('.thing-distance.selected').filter({ hasText: '120 mm' })).toBeVisible()
  await along.fill('2000')
  await along.press('Enter')
  await expect(page.getByText(/Socket lies outside back wall/)).toBeVisible()
  await expect(along).toHaveValue('2000')
  await along.fill('120')
  await along.press('Enter')
  await expect(page.getByText(/Socket lies outside/)).toBeHidden()
  await page.getByRole('combobox', { name: 'Add a thing' }).click()
  await page.getByRole('option', { name: 'Door', exact: true }).click()
  await expect(page.locator('.form input').first()).toHaveValue('Door')
  const width = page.getByLabel('Width', { exact: true })
  await width.fill('90')
  await width.press('Enter')
  await expect(page.getByText('“90” was understood as 90 mm. It must be between 100 mm')).toBeVisible()
  await expect(width).toHaveValue('90')
})

test('an odd plan is described, and readings can be added to its book', async ({ page }) => {
  await newPerson(page)
  await newJob(page, 'Odd corner', 'Any other shape')
  await page.getByRole('button', { name: 'Where to measure' }).click()
  await page.getByRole('button', { name: 'One corner more' }).click()
  await expect(page.getByText('E–A', { exact: true })).toBeVisible()
  await page.getByLabel('What stands between C and D').getByText('door').click()
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('button', { name: /Side E–A/ })).toBeVisible()
  await page.getByRole('button', { name: 'Add a reading' }).click()
  await page.getByRole('combobox', { name: 'Kind of reading' }).click()
  await page.getByRole('option', { name: 'Corner, by 3-4-5' }).click()
  await page.getByRole('button', { name: 'Put it into the book' }).click()
  await page.getByRole('button', { name: /3-4-5 at corner A/ }).click()
  await expect(page.getByText('Square is 1000', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'remove from the book' }).click()
  await expect(page.getByRole('button', { name: /3-4-5 at corner A/ })).toBeHidden()
})

test('a practice room is measured by a simulated device and then compared', async ({ page }) => {
  await newPerson(page)
  await newJob(page, 'Try-out', 'Alcove', true)
  await readByDevice(page)
  await page.getByRole('button', { name: 'How near did I come?' }).click()
  await expect(page.getByText('wide, in truth')).toBeVisible()
  await expect(page.getByText('Your readings say')).toBeVisible()
})

test('paper and CSV go out, and a filled CSV comes in', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: 'Paper and CSV' }).click()
  const fetched = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name }).click(),
    ])
    return readFileSync(await download.path(), 'latin1')
  }
  expect((await fetched('Measuring sheet, blank (PDF)')).slice(0, 5)).toBe('%PDF-')
  expect((await fetched('Measuring sheet, filled (PDF)')).slice(0, 5)).toBe('%PDF-')
  const csv = await fetched('Readings as CSV')
  expect(csv).toContain('5,width-low-back,"Width, bottom, at the back",903')
  const bring = async (text: string) =>
    page
      .getByLabel('Readings from CSV', { exact: true })
      .setInputFiles({ name: 'readings.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await bring('slot,value\ncorner-left,90.4\n')
  await expect(page.getByText('The readings are in the book.')).toBeVisible()
  await bring('slot,value\ncorner-left,steep\nnowhere,12\n')
  await expect(
    page.getByText('readings.csv:2:value: Corner, left back: “steep” is not an angle'),
  ).toBeVisible()
  await expect(page.getByText('readings.csv:3:slot: “nowhere” is not a reading of this space.')).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('button', { name: /Corner, left back/ })).toContainText('90.4')
})

test('how even the walls are is said once, and sizes are reckoned so', async ({ page }) => {
  await newPerson(page)
  const job = JSON.parse(readFileSync('tests/examples/landing-alcove-without-doors.json', 'utf8')) as {
    job: { spaces: { texture: string | null }[] }
  }
  for (const space of job.job.spaces) space.texture = null
  await page.getByLabel('Import a job').setInputFiles({
    name: 'job.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(job)),
  })
  await page.getByRole('link', { name: 'Landing alcove' }).click()
  const walls = page.getByRole('region', { name: 'How even the walls are' })
  await expect(walls.getByRole('heading', { name: 'How even are the walls?' })).toBeVisible()
  await expect(page.getByText('How even the walls are is not said', { exact: false })).toBeVisible()
  const wide = async (): Promise<number> =>
    Number(
      /may be (\d+) mm wide, give or take (\d+) mm/.exec(
        (await page.getByText('A straight box as tall', { exact: false }).textContent()) ?? '',
      )?.[2],
    )
  const ordinary = await wide()
  await walls.getByRole('button', { name: 'Old plaster, wavy' }).click()
  await expect(walls.getByText('old plaster, wavy')).toBeVisible()
  await expect(page.getByText('How even the walls are is not said', { exact: false })).toHaveCount(0)
  await expect.poll(wide).toBeGreaterThan(ordinary)
  // The side walls are board: they alone are reckoned so.
  const old = await wide()
  await walls.getByRole('button', { name: 'Change' }).click()
  await walls.getByRole('button', { name: 'One wall differs' }).click()
  for (const wall of ['left', 'right']) {
    const list = walls.getByRole('combobox', { name: new RegExp(`${wall} wall`, 'i') })
    await list.click()
    await page.getByRole('option', { name: 'Smooth board' }).click()
    await expect(list).toHaveText('Smooth board')
    await expect(page.getByRole('listbox')).toHaveCount(0)
  }
  await expect.poll(wide).toBeLessThan(old)
  await walls.getByRole('button', { name: 'Done' }).click()
  await expect(walls.getByText('2 otherwise', { exact: false })).toBeVisible()
})
