import { expect, test, type BrowserContext, type Page } from '@playwright/test'
import { dice } from './dice'
import { newJob, newPerson } from './person'

/** Readings of the long run; 60 on demand. */
const READINGS = Number(process.env.INCASTRO_READINGS ?? 20)

test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 }, hasTouch: true })

/** All that was ever typed, struck or not, as the server's file of the job has it. */
async function book(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    const response = await fetch(`/api/jobs/${location.pathname.split('/')[2] ?? ''}/export`)
    type Take = { value: { typed: string }; taken_at: string }
    const file = (await response.json()) as {
      job: { spaces: { takes: Take[] }[] }
      record: { takes: Take[] }
    }
    return [...file.job.spaces.flatMap((space) => space.takes), ...file.record.takes]
      .sort((a, b) => a.taken_at.localeCompare(b.taken_at))
      .map((take) => take.value.typed)
  })
}

/** Types a reading into the open slot by the thumb pad, and waits until the page has it. */
async function type(page: Page, text: string) {
  const pad = page.getByLabel('Thumb pad')
  for (const key of text) await pad.getByRole('button', { name: key, exact: true }).tap()
  await pad.getByRole('button', { name: 'Keep, next' }).tap()
}

/** The answer to every third reading is lost on its way back: the server has taken it. */
async function loseAnswers(context: BrowserContext, chance: () => number) {
  await context.route('**/facts', async (route) => {
    if (chance() < 0.3) {
      await route.fetch().catch(() => undefined)
      await route.abort('connectionreset')
    } else await route.continue()
  })
}

test('readings, cuts, reloads and lost answers: each reading ends in the book once and in order', async ({
  page,
  context,
}) => {
  test.setTimeout(240_000)
  const chance = dice(20)
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Closet')
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  await page.reload()
  await expect(page.getByRole('region', { name: 'Open reading' })).toBeVisible()
  await loseAnswers(context, chance)
  const heading = () => page.getByRole('region', { name: 'Open reading' }).getByRole('heading').first()
  const field = page.getByRole('region', { name: 'Open reading' }).locator('input').first()
  const readings: string[] = []
  const typed: string[] = []
  let isOffline = false
  let isRound = false
  for (let i = 0; i < READINGS; i++) {
    if (chance() < 0.5) {
      isOffline = !isOffline
      await context.setOffline(isOffline)
    }
    let reading = (await heading().textContent()) ?? ''
    // A lean or an angle is typed otherwise: from there on, what was read is corrected, or taken again where it is in doubt.
    isRound ||= /plumb|level|fall|corner|angle/i.test(reading)
    if (isRound) {
      const open = reading
      reading = readings[Math.floor(chance() * readings.length)] ?? ''
      if (reading !== open) await page.getByRole('button', { name: reading }).first().tap()
      await expect(heading()).toHaveText(reading)
    } else readings.push(reading)
    const text = String(900 + i)
    await type(page, text)
    await expect(field).not.toHaveValue(text)
    typed.push(text)
    if (chance() < 0.2) {
      await page.reload()
      await expect(page.getByRole('region', { name: 'Open reading' })).toBeVisible()
      // What waits is read back after the page: until then another reading may stand open.
      await page.waitForTimeout(500)
    }
  }
  expect(readings.length).toBeGreaterThan(5)
  await context.setOffline(false)
  await expect.poll(() => book(page), { timeout: 90_000 }).toEqual(typed)
  await expect(page.getByRole('region', { name: 'Not sent yet' })).toBeHidden()
})

test('a reading that the server cannot take is gone round, and is taken when it can', async ({ page }) => {
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  let isBroken = true
  await page.route('**/facts', async (route) => {
    if (isBroken && route.request().postData()?.includes('"2400"'))
      await route.fulfill({
        status: 500,
        contentType: 'application/json',
        body: '{"message":"Server Error"}',
      })
    else await route.continue()
  })
  for (const text of ['2400', '2398', '2401', '2399']) await type(page, text)
  await expect.poll(() => book(page), { timeout: 40_000 }).toEqual(['2398', '2401', '2399'])
  const waiting = page.getByRole('region', { name: 'Not sent yet' })
  await expect(waiting).toContainText(
    'The server could not take 1 reading. It stays here and is tried again.',
  )
  isBroken = false
  await waiting.getByRole('button', { name: 'Send now' }).tap()
  await expect.poll(() => book(page)).toEqual(['2400', '2398', '2401', '2399'])
  await expect(waiting).toBeHidden()
})

test('two people at one job: what both typed without a network is there once', async ({
  page,
  context,
  browser,
}) => {
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  const invited = await page.evaluate(async () => {
    const token = decodeURIComponent(
      document.cookie
        .split('; ')
        .find((pair) => pair.startsWith('XSRF-TOKEN='))
        ?.slice(11) ?? '',
    )
    const job = location.pathname.split('/')[2] ?? ''
    const response = await fetch(`/api/jobs/${job}/invitations`, {
      method: 'POST',
      headers: { Accept: 'application/json', 'X-XSRF-TOKEN': token },
    })
    return ((await response.json()) as { url: string }).url
  })
  const others = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })
  const helper = await others.newPage()
  await newPerson(helper)
  await helper.goto(invited)
  await helper.getByRole('button', { name: 'Help with this job' }).tap()
  await expect(helper.getByRole('region', { name: 'Open reading' })).toBeVisible()
  await context.setOffline(true)
  await others.setOffline(true)
  for (const text of ['2400', '2398', '2401']) await type(page, text)
  for (const text of ['2410', '2408', '2411']) await type(helper, text)
  await others.setOffline(false)
  await context.setOffline(false)
  await expect
    .poll(async () => (await book(page)).sort(), { timeout: 30_000 })
    .toEqual(['2398', '2400', '2401', '2408', '2410', '2411'])
  await others.close()
})
