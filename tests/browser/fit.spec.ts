import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { addThing, choose, clashes, fill, leaf } from './fitting'
import { demoJob, landingAlcove, opened } from './person'

const verdict = (page: Page) => page.getByRole('status').first()
const cell = (page: Page) => page.getByRole('region', { name: 'Selected cell' })

test('the eaves berth is laid out from its survey to a verdict without clashes', async ({ page }) => {
  await demoJob(page, 'eaves-berth', false)
  await expect(verdict(page)).toContainText('choose a layout')
  await expect(page.getByRole('heading', { name: 'What shall stand here?' })).toBeVisible()
  await expect(page.getByRole('listitem')).toHaveCount(9)
  await expect(page.getByRole('heading', { name: 'To sit' })).toBeVisible()
  await page.getByRole('button', { name: 'Start from: A deep platform to lie on' }).click()
  await expect(verdict(page)).toContainText('Fits.')
  // One bay less, by key; then wider, and the whole run looked at in the round.
  await page.locator('body').press('j')
  await expect(page.getByRole('button', { name: /^Width of the box/ })).toBeVisible()
  await expect(cell(page)).toContainText('of 12 shares')
  await page.getByRole('button', { name: 'Round', exact: true }).click()
  await expect(page.getByRole('img', { name: /The furniture in its room/ })).toBeVisible()
  await page.getByRole('button', { name: 'Section' }).click()
  await expect(page.getByRole('img', { name: 'Section' })).toBeVisible()
  await expect(page.locator('g.clashing')).toHaveCount(0)
})

test('the map wall is laid out from its survey around stove and window', async ({ page }) => {
  test.setTimeout(240_000)
  await demoJob(page, 'map-wall', false)
  await page.getByRole('button', { name: 'Start from: Base cupboards, shelves above' }).click()
  // Over stove, window and socket it cannot stay: each clash is solved by one press.
  await expect(verdict(page)).toContainText('Does not fit')
  await leaf(page, 'Findings')
  for (let i = 0; i < 12; i++) {
    const line = clashes(page).first()
    if (!(await line.isVisible())) break
    await line.getByRole('button').first().click()
    const way = line.locator('.ways button').first()
    const before = await clashes(page).allTextContents()
    await way.click()
    await expect.poll(async () => (await clashes(page).allTextContents()).join() !== before.join()).toBe(true)
  }
  await expect(clashes(page)).toHaveCount(0)
  await expect(verdict(page)).toContainText(/^Fits/)
})

test('bays and tiers are split, weighted, swapped, copied and mirrored by key, and undone', async ({
  page,
}) => {
  await landingAlcove(page, 'fit')
  const boxes = page.locator('g.cell')
  await expect(boxes).toHaveCount(1)
  await page.locator('body').press('v')
  await expect(boxes).toHaveCount(2)
  await page.locator('body').press(']')
  await expect(cell(page)).toContainText('3 of 5 shares')
  await page.locator('body').press('h')
  await expect(boxes).toHaveCount(3)
  await expect(cell(page)).toContainText('tier 1 of 2')
  await page.locator('body').press('ArrowUp')
  await expect(cell(page)).toContainText('tier 2 of 2')
  await page.locator('body').press('b')
  await expect(page.getByRole('heading', { name: 'Box B3' })).toBeVisible()
  await page.locator('body').press('m')
  await expect(cell(page)).toContainText('Bay 2')
  await page.locator('body').press('c')
  await expect(boxes).toHaveCount(5)
  // Keys act on nothing while a field has the focus.
  await page.getByLabel('Depth', { exact: true }).focus()
  await page.keyboard.type('v')
  await expect(boxes).toHaveCount(5)
  await page.keyboard.press('Escape')
  await page.reload()
  for (let i = 0; i < 6; i++) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(boxes).toHaveCount(1)
  await expect(verdict(page)).toContainText('Fits. 4 edges to scribe.')
})

/** What is provoked, and the press that solves it. */
const causes: {
  name: string
  provoke: (page: Page) => Promise<void>
  says: RegExp
  way: RegExp
  leaves?: RegExp
}[] = [
  {
    name: 'a covered socket',
    provoke: (page) => addThing(page, 'Socket'),
    says: /Socket would be buried behind box B1/,
    way: /Cut an opening/,
  },
  {
    name: 'a closed vent',
    provoke: (page) => addThing(page, 'Vent'),
    says: /its air path would be closed/,
    way: /Leave an open gap/,
  },
  {
    name: 'a window that may be an escape',
    provoke: (page) => addThing(page, 'Window'),
    says: /it may be an escape route/,
    way: /Leave an open gap/,
  },
  {
    name: 'a buried junction box',
    provoke: (page) => addThing(page, 'Junction box'),
    says: /Junction box would be buried behind box B1/,
    way: /Cut an opening/,
  },
  {
    name: 'heat too near',
    provoke: (page) =>
      addThing(page, 'Flue', async () => {
        await fill(page, 'Stands out by', '120')
        await fill(page, 'Clearance kept', '150')
      }),
    says: /too near to flue, which keeps 150 mm/,
    way: /Leave an open gap/,
  },
  {
    name: 'trim in the way',
    provoke: (page) => addThing(page, 'Window trim', () => fill(page, 'Stands out by', '18')),
    says: /Window trim stands in the way of box B1/,
    way: /Window trim will be removed/,
  },
  {
    name: 'a shut-off out of reach',
    provoke: async (page) => {
      await addThing(page, 'Valve')
      await leaf(page, 'Findings')
      await clashes(page).first().getByRole('button').first().click()
      await page.getByRole('button', { name: 'Cut an opening for it in the back' }).click()
      await page.getByRole('button', { name: /rules and materials/ }).click()
      await opened(page)
      await fill(page, 'How far a hand reaches in', '300')
      await page.keyboard.press('Escape')
    },
    says: /deep in box B1; a hand reaches 300 mm/,
    way: /Make the run 300 mm deep/,
  },
  {
    name: 'a door of the room that strikes',
    provoke: (page) =>
      addThing(page, 'Door', async () => {
        await page.getByRole('combobox', { name: 'Wall', exact: true }).click()
        await page.getByRole('option', { name: 'left wall' }).click()
        await page.getByRole('button', { name: 'left', exact: true }).last().click()
      }),
    says: /strikes box B1 when it opens/,
    way: /will slide instead/,
    // It is behind the box’s side all the same.
    leaves: /of door, which stays uncovered/,
  },
  {
    name: 'a shelf too shallow',
    provoke: (page) => fill(page, 'Depth', '150'),
    says: /A shelf here is \d+ mm deep/,
    way: /Make the box \d+ mm deep/,
  },
  {
    name: 'tiers that ask for too much',
    provoke: async (page) => {
      await page.locator('body').press('h')
      await expect(page.locator('g.cell')).toHaveCount(2)
      await fill(page, 'Height of the tier', '3000')
    },
    says: /The tiers of this bay ask for/,
    way: /./,
  },
  {
    name: 'a box that is too high',
    provoke: (page) => fill(page, 'Height over its foot', '2330'),
    says: /cannot be slid home under the ceiling/,
    way: /As high as goes in|Lower the run/,
  },
  {
    name: 'a run that stands out',
    provoke: (page) => fill(page, 'Depth', '900'),
    says: /stands out in front of the space/,
    way: /As deep as goes/,
  },
  {
    name: 'shelves too close',
    provoke: (page) => fill(page, 'Adjustable shelves', '20'),
    says: /is the least that a hand gets into/,
    way: /^Keep \d+ shelves/,
  },
  {
    name: 'a knee space too narrow',
    provoke: async (page) => {
      await page.locator('body').press('v')
      await expect(page.locator('g.cell')).toHaveCount(2)
      await choose(page, 'What it holds', 'Knee space')
    },
    says: /knees need 600 mm/,
    way: /open gap instead/,
  },
  {
    name: 'a bay thinner than its boards',
    provoke: async (page) => {
      await page.locator('body').press('v')
      await expect(page.locator('g.cell')).toHaveCount(2)
      await fill(page, 'Width of the bay', '40')
    },
    says: /has no room between its boards/,
    way: /Join|share what is left/,
  },
]

for (const clash of causes) {
  test(`${clash.name} clashes, and its way out solves it with one press`, async ({ page }) => {
    await landingAlcove(page, 'fit')
    await expect(page.locator('g.cell')).toHaveCount(1)
    await clash.provoke(page)
    await leaf(page, 'Findings')
    const card = clashes(page).filter({ hasText: clash.says }).first()
    await expect(card).toBeVisible()
    await expect(verdict(page)).toContainText('Does not fit')
    // One line, opened by a press.
    await card.getByRole('button').first().click()
    await card.locator('.ways').getByRole('button', { name: clash.way }).first().click()
    await expect(clashes(page).filter({ hasText: clash.says })).toHaveCount(0)
    if (clash.leaves) await expect(verdict(page)).toContainText(clash.leaves)
    else await expect(verdict(page)).not.toContainText('Does not fit')
  })
}

test('templates and drawings are downloaded', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('button', { name: 'Templates and files' }).click()
  for (const [link, start] of [
    ['Templates to print, PDF', '%PDF-'],
    ['Templates at full size, SVG', '<svg '],
    ['Templates at full size, DXF in mm', '0\r\nSECTION'],
    ['Drawing as SVG, 1:10', '<svg '],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: link }).click(),
    ])
    expect(readFileSync(await download.path(), 'latin1').slice(0, start.length)).toBe(start)
  }
})

test('offsets that make a template sure are asked for, and taken in the tape book', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await leaf(page, 'Gaps')
  await page.getByRole('button', { name: 'Ask for offsets: B1 left stile to wall' }).click()
  await page.getByRole('link', { name: /^Measure/ }).click()
  await expect(page.getByRole('button', { name: /Offset, left wall, station 1 / })).toBeVisible()
})

test('two runs that go through one corner clash until one stops', async ({ page }) => {
  await demoJob(page, 'cylinder-cupboard', false)
  await page.getByRole('button', { name: 'Start from: Shelves from wall to wall' }).click()
  await expect(page.getByRole('region', { name: 'Run', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Add a run: left wall' }).click()
  await expect(page.getByRole('heading', { name: 'Run along the left wall' })).toBeVisible()
  await page.getByRole('combobox', { name: 'Its right end' }).click()
  await page.getByRole('option', { name: 'goes through' }).click()
  await leaf(page, 'Findings')
  const clash = clashes(page).filter({ hasText: /Where two runs meet, box B\d+ would stand/ })
  await clash.first().getByRole('button').first().click()
  await clash
    .first()
    .locator('.ways')
    .getByRole('button', { name: 'Let its right end stop at the other run' })
    .click()
  await expect(clash).toHaveCount(0)
  await page.getByRole('button', { name: 'Plan', exact: true }).click()
  await expect(page.getByRole('img', { name: 'From above' })).toBeVisible()
})
