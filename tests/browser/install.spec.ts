import { expect, test, type Page } from '@playwright/test'
import { landingAlcove } from './person'

test.use({ serviceWorkers: 'allow' })

const PHONE = { width: 390, height: 844 }

interface Told {
  station: { tasks: { name: string; done: boolean }[] }
}

/** Names of the steps that are done, as the server has them. */
async function done(page: Page): Promise<string[]> {
  const told = await page.evaluate(async () => {
    const response = await fetch(`/api/jobs/${location.pathname.split('/')[2] ?? ''}?station=install`, {
      cache: 'reload',
    })
    return (await response.json()) as Told
  })
  return told.station.tasks.filter((task) => task.done).map((task) => task.name)
}

const tape = (page: Page) => page.getByRole('link', { name: /^Install/ })
const stepNow = (page: Page) => page.locator('.task h1')
const tick = async (page: Page) => {
  const name = (await stepNow(page).textContent()) ?? ''
  await page.getByRole('button', { name: /^Done/ }).click()
  await expect(stepNow(page)).not.toHaveText(name)
  return name
}

test('a fitting day is gone through on a phone without a network and back, with two people', async ({
  page,
  browser,
}) => {
  await page.setViewportSize(PHONE)
  await landingAlcove(page, 'install')
  await expect(tape(page)).toContainText(/\d+ steps/)
  // What opens again without a network was opened once with it.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.reload()
  await expect(stepNow(page)).toHaveText('Skirting and trim off')
  const strip = await tick(page)
  await expect(tape(page)).toContainText('step 2 of')

  // Another person at the same job, at a table.
  const other = await browser.newContext({ storageState: await page.context().storageState() })
  const second = await other.newPage()
  await second.goto(page.url())
  await expect(stepNow(second)).toHaveText('Look behind')

  await page.context().setOffline(true)
  const look = await tick(page)
  const level = await tick(page)
  await expect(page.getByRole('region', { name: 'Not sent yet' })).toContainText(
    '2 ticks wait here: no network',
  )
  // The page is opened again without a network: what was ticked is ticked.
  await page.reload()
  await expect(stepNow(page)).toHaveText('Studs found and marked')
  const studs = await tick(page)
  await expect(stepNow(page)).toHaveText('P1 set and shimmed')
  // A reading that is out is judged here, and holds the step up.
  await page.getByLabel('Gap under the level').first().fill('2')
  await page.getByRole('button', { name: 'right end' }).click()
  await expect(page.getByText('Raise the right end by')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Done/ })).toBeDisabled()
  await page.getByLabel('Gap under the level').first().fill('0.5')
  await page.getByRole('button', { name: 'Read', exact: true }).click()
  await page.getByRole('button', { name: 'right end' }).click()
  await expect(page.getByText('Within 0.5 mm.')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Done/ })).toBeEnabled()

  // Meanwhile the other looks behind too, and goes on.
  await tick(second)
  await expect.poll(() => done(second)).toEqual([strip, look])

  await page.context().setOffline(false)
  await expect.poll(() => done(page), { timeout: 20_000 }).toEqual([strip, look, level, studs])
  await expect(page.getByRole('region', { name: 'Not sent yet' })).toHaveCount(0)
  await second.reload()
  await expect(stepNow(second)).toHaveText('P1 set and shimmed')
  await expect(second.getByText('Within 0.5 mm.')).toBeVisible()
  await expect(second.locator('.verdict')).toContainText('Step 5 of')

  // Taken back by the one, while the other's tick of it stands.
  await second.getByRole('button', { name: strip }).click()
  await second.getByRole('button', { name: 'Not done', exact: true }).click()
  await expect.poll(() => done(second)).toEqual([look, level, studs])
  await other.close()
})

test('sessions give dates, one is left out, a visit is taken, and the calendar is saved', async ({
  page,
}) => {
  await landingAlcove(page, 'install')
  await expect(page.getByText('Say when you have time, and dates appear.')).toBeVisible()
  await page.getByRole('button', { name: 'When…' }).click()
  const dialog = page.getByRole('dialog', { name: 'When, and with what' })
  const saturday = new Date(Date.now() + 14 * 86400_000)
  saturday.setUTCDate(saturday.getUTCDate() + ((6 - saturday.getUTCDay() + 7) % 7))
  await dialog.getByLabel('From the day').fill(saturday.toISOString().slice(0, 10))
  await dialog.getByRole('combobox', { name: 'With' }).click()
  await page.getByRole('option', { name: '2 people' }).click()
  await dialog.getByLabel('Weeks').fill('9')
  await dialog.getByLabel('Weeks').press('Tab')
  await dialog.getByRole('button', { name: '9 Saturdays' }).click()
  await expect(dialog.getByRole('listitem')).toHaveCount(9)
  // An end before the beginning is refused by its field, and nothing changes.
  await dialog.getByLabel('End of session 2').fill('07:00')
  await dialog.getByLabel('End of session 2').press('Tab')
  await expect(dialog.getByRole('alert')).toContainText('is before it begins')
  await dialog.getByRole('button', { name: 'Not then: session 9' }).click()
  await expect(dialog.getByRole('listitem')).toHaveCount(8)
  const saved = page.waitForEvent('download')
  await dialog.getByRole('link', { name: 'For your calendar (.ics)' }).click()
  expect((await saved).suggestedFilename()).toBe('fitting.ics')
  await page.keyboard.press('Escape')
  await expect(page.getByText(/It ends on Saturday/)).toBeVisible()
  const before = await page.locator('.head p').first().textContent()
  await page.getByText('What would help').click()
  await page.getByRole('button', { name: 'Do that' }).first().click()
  await expect(page.locator('.head p').first()).not.toHaveText(before ?? '')
  // A wish that no wall allows is refused, with the circle.
  await page.getByRole('button', { name: 'B1 packed and fixed' }).click()
  await page.getByRole('combobox', { name: 'Do it before' }).click()
  await page.getByRole('option', { name: 'B1 plumb and square' }).click()
  await expect(page.getByText(/cannot come before/)).toBeVisible()
})

test('studs are found along the wall, and screws go into them', async ({ page }) => {
  await landingAlcove(page, 'install')
  await page.getByRole('button', { name: 'B1 packed and fixed' }).click()
  await expect(page.getByText('No stud is noted on this wall')).toBeVisible()
  await page.getByRole('button', { name: 'Wall', exact: true }).click()
  for (const [u, is] of [
    ['120', 'Three studs tell where the others are.'],
    ['520', 'Three studs tell where the others are.'],
  ] as const) {
    await page.getByLabel('Found one here').fill(u)
    await page.getByLabel('Found one here').press('Enter')
    await page.getByRole('button', { name: 'Stud', exact: true }).click()
    await expect(page.getByText(`${u} mm stud`)).toBeVisible()
    await expect(page.getByText(is)).toBeVisible()
  }
  await page.getByRole('button', { name: 'Now', exact: true }).click()
  await expect(page.getByText('No stud is noted on this wall')).toHaveCount(0)
  await expect(page.getByText('B1-nailer-top: 120 mm along the wall')).toBeVisible()
  await expect(page.getByText('in the stud').first()).toBeVisible()
})

test('every step is ticked to the end: what dries says until when, and three questions are asked', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await landingAlcove(page, 'install')
  const all = Number(/(\d+) steps/.exec((await tape(page).locator('.fact').textContent()) ?? '')?.[1])
  for (let i = 1; i < all; i++) {
    const name = await tick(page)
    if (name.startsWith('Fill')) {
      await page.getByRole('button', { name: 'Drying', exact: true }).click()
      await expect(page.getByText('for: Sand')).toBeVisible()
      await page.getByRole('button', { name: 'Still tacky' }).click()
      await page.getByRole('button', { name: 'Now', exact: true }).click()
    }
  }
  await page.getByRole('button', { name: /^Done/ }).click()
  await expect(page.getByRole('heading', { name: 'All fitted' })).toBeVisible()
  await expect(page.getByText(/Heavy loads, and doors shut, from/)).toBeVisible()
  await expect(page.locator('.verdict')).toContainText('All fitted.')
  await page.getByRole('link', { name: 'To the Log' }).click()
  await page.getByLabel('What would you do otherwise?').fill('Read the stair twice.')
  await page.getByRole('button', { name: 'Keep the answers' }).click()
  await expect(page.getByText('What would you do otherwise? Read the stair twice.')).toBeVisible()
  await expect(page.getByText(new RegExp(`${all} steps of fitting`))).toBeVisible()
})

test('what is typed stays in its field while the server still answers the tick before it', async ({
  page,
}) => {
  await landingAlcove(page, 'install')
  for (let i = 0; i < 3; i++) await tick(page)
  await page.route('**/facts', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500))
    await route.continue()
  })
  const answered = page.waitForResponse(/\/facts$/)
  await tick(page)
  await expect(stepNow(page)).toHaveText('P1 set and shimmed')
  await page.getByLabel('Gap under the level').first().fill('1.5')
  await answered
  await expect(tape(page)).toContainText('step 5 of')
  await expect(page.getByLabel('Gap under the level').first()).toHaveValue('1.5')
})
