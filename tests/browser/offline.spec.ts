import { expect, test, type Page } from '@playwright/test'
import { answer, landingAlcove, newJob, newPerson } from './person'

test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 }, hasTouch: true })

const press = async (page: Page, text: string) => {
  const pad = page.getByLabel('Thumb pad')
  for (const key of text) await pad.getByRole('button', { name: key, exact: true }).tap()
  await pad.getByRole('button', { name: 'Keep, next' }).tap()
}
const waiting = (page: Page) => page.getByRole('region', { name: 'Not sent yet' })
const typed = async (page: Page) => {
  const { station } = (await answer(page)) as { station: { readings: { takes: { typed: string }[] }[] } }
  return station.readings.flatMap((reading) => reading.takes.map((take) => take.typed))
}

test('readings typed while the network is gone wait on the phone and go out in order, once', async ({
  page,
  context,
}) => {
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  await press(page, '2400')
  await expect(page.getByRole('status')).toContainText('Waits for 21')
  await context.setOffline(true)
  await press(page, '2398')
  await press(page, '2401')
  await expect(waiting(page)).toContainText('2 readings wait here: no network')
  await expect(page.getByRole('button', { name: /Height, right/ })).toContainText('waits here')
  // The next reading stays open, in large type, for the next thumb.
  await expect(page.getByRole('heading', { name: /Ceiling height in front/ })).toBeVisible()
  await context.setOffline(false)
  await expect(waiting(page)).toBeHidden({ timeout: 15_000 })
  await expect(page.getByRole('status')).toContainText('Waits for 19')
  expect(await typed(page)).toEqual(['2400', '2398', '2401'])
  // What came back from the server is the same after opening the page anew.
  await page.reload()
  await expect(page.getByRole('button', { name: /Height, right/ })).toContainText('2398')
  expect(await typed(page)).toEqual(['2400', '2398', '2401'])
})

test('on a slow network the next number goes into the next reading at once', async ({ page }) => {
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  await page.route('**/facts', async (route) => {
    await new Promise((later) => setTimeout(later, 1500))
    await route.continue()
  })
  for (const text of ['2400', '2398', '2401']) await press(page, text)
  await expect(page.getByRole('heading', { name: /Ceiling height in front/ })).toBeVisible()
  await expect(page.getByRole('status')).toContainText('Waits for 19')
  expect(await typed(page)).toEqual(['2400', '2398', '2401'])
})

test('what waits survives closing the page', async ({ page, context }) => {
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  const address = page.url()
  await context.setOffline(true)
  await press(page, '2400')
  await expect(waiting(page)).toContainText('1 reading waits')
  await page.close()
  await context.setOffline(false)
  const again = await context.newPage()
  await again.goto(address)
  await expect(again.getByRole('region', { name: 'Open reading' })).toBeVisible()
  await expect.poll(() => typed(again), { timeout: 15_000 }).toEqual(['2400'])
})

test('the page opens again without a network, with what waits and what was there', async ({
  page,
  context,
}) => {
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  await press(page, '2400')
  await expect(page.getByRole('status')).toContainText('Waits for 21')
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  // Looked at once more while there is a network, then taken into the closet.
  await page.reload()
  await expect(page.getByRole('status')).toContainText('Waits for 21')
  await context.setOffline(true)
  await page.reload()
  await expect(page.getByRole('button', { name: /Height, left/ })).toContainText('2400')
  await press(page, '2398')
  await expect(waiting(page)).toContainText('1 reading waits')
  await page.reload()
  await expect(waiting(page)).toContainText('1 reading waits')
  await context.setOffline(false)
  await expect.poll(() => typed(page), { timeout: 20_000 }).toEqual(['2400', '2398'])
})

test('also on the first visit, a job that was opened opens again without a network', async ({
  page,
  context,
}) => {
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  const address = page.url()
  // Another browser than the one that made it: it sees the page, its worker, and then no network.
  const fresh = await (await context.browser())?.newContext({ storageState: await context.storageState() })
  if (!fresh) throw new Error('There is no browser.')
  const first = await fresh.newPage()
  await first.goto(address)
  await expect(first.getByRole('region', { name: 'Open reading' })).toBeVisible()
  await expect
    .poll(() =>
      first.evaluate(async () => {
        const kept = await (await caches.open('answers')).keys()
        return kept.filter((request) => /\/api\/(session|vocabulary|jobs\/)/.test(request.url)).length
      }),
    )
    .toBe(3)
  await fresh.setOffline(true)
  await first.reload()
  await expect(first.getByRole('region', { name: 'Open reading' })).toBeVisible()
  await fresh.close()
})

test('an expired session keeps what was typed, asks to sign in, and then sends it', async ({
  page,
  context,
}) => {
  const email = await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  await context.clearCookies()
  await press(page, '2400')
  await expect(waiting(page)).toContainText('you are signed out')
  await waiting(page).getByRole('button', { name: 'Sign in' }).tap()
  await page.getByLabel('E-mail').fill(email)
  await page.getByLabel('Password').fill('a long password')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Open reading' })).toBeVisible()
  await expect.poll(() => typed(page), { timeout: 15_000 }).toEqual(['2400'])
  await expect(waiting(page)).toBeHidden()
})

test('signing out with something waiting warns, and another account sends nothing of it', async ({
  page,
  context,
}) => {
  await newPerson(page)
  await newJob(page, 'Under the eaves', 'Alcove')
  const address = page.url()
  await context.setOffline(true)
  await press(page, '2400')
  await expect(waiting(page)).toContainText('1 reading waits')
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await expect(page.getByText('1 reading is on this device and not on the server yet')).toBeVisible()
  await context.setOffline(false)
  // The server is back before the person decides: what waited is sent meanwhile.
  await page.getByRole('button', { name: 'Stay signed in' }).click()
  await expect.poll(() => typed(page), { timeout: 15_000 }).toEqual(['2400'])
  await expect(waiting(page)).toBeHidden()
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await expect(page.getByRole('button', { name: 'I am new here' })).toBeVisible()
  await newPerson(page)
  await page.goto(address)
  await expect(page.getByText('This does not exist, or it is not yours.')).toBeVisible()
})

test('a reading in doubt is announced on the phone too', async ({ page }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: /Width, middle, at the back/ }).tap()
  await press(page, '1105')
  await expect(page.getByRole('status')).toContainText('Some readings do not agree')
  await expect(page.getByRole('alert')).toContainText('Take it again')
})
