import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'

/** A new account, signed in; gives its e-mail and the recovery code that was shown once. */
export async function register(page: Page, name: string): Promise<{ email: string; code: string }> {
  const email = `${name.toLowerCase()}-${crypto.randomUUID()}@example.org`
  await page.goto('/sign-in')
  await page.getByRole('button', { name: 'I am new here' }).click()
  await page.getByLabel('Your name').fill(name)
  await page.getByLabel('E-mail').fill(email)
  await page.getByLabel('Password').fill('a long password')
  await page.getByRole('button', { name: 'Make an account' }).click()
  const code = (await page.locator('.recovery .large').textContent()) ?? ''
  await page.getByRole('button', { name: 'I have it on paper' }).click()
  return { email, code }
}

/** Asks the server as the page would, with the page's own cookies. */
async function ask(page: Page, method: 'get' | 'post', path: string, with_: object = {}): Promise<unknown> {
  const cookies = await page.context().cookies()
  const key = decodeURIComponent(cookies.find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? '')
  // A cookie counts only for the page that it was given to.
  const base = test.info().project.use.baseURL ?? ''
  const response = await page.request[method](path, {
    headers: { Accept: 'application/json', 'X-XSRF-TOKEN': key, Origin: base, Referer: `${base}/` },
    ...with_,
  })
  expect(response.ok(), `${method} ${path}: ${response.status()}`).toBe(true)
  return response.status() === 204 ? null : await response.json()
}

/** A new account for this test alone, signed in, without its pages, which have tests of their own. Gives its e-mail. */
async function signedIn(page: Page): Promise<string> {
  const email = `tess-${crypto.randomUUID()}@example.org`
  await page.request.get('/sanctum/csrf-cookie')
  await ask(page, 'post', '/api/account', { data: { name: 'Tess', email, password: 'a long password' } })
  return email
}

/** A new account for this test alone, signed in, with one empty home. Gives its e-mail. */
export async function newPerson(page: Page): Promise<string> {
  const email = await signedIn(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'My home' })).toBeVisible()
  return email
}

/** A job of a new person, brought in from its file, and opened at a station. */
async function broughtIn(page: Page, file: Buffer, station: string, isSignedIn = false): Promise<void> {
  if (!isSignedIn) await signedIn(page)
  const homes = (await ask(page, 'get', '/api/homes')) as { id: string }[]
  const { id } = (await ask(page, 'post', `/api/homes/${homes[0]?.id}/import`, {
    multipart: { file: { name: 'job.json', mimeType: 'application/json', buffer: file } },
  })) as { id: string }
  await page.goto(`/jobs/${id}/${station}`)
  await expect(page.getByRole('status').first()).toBeVisible()
}

/** A new job in a space of a kind, opened at Measure; for practice with a hidden room. */
export async function newJob(page: Page, name: string, kind: string, practice = false): Promise<void> {
  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByLabel('What are you building?').fill(name)
  await page.getByRole('combobox', { name: 'The space it goes into' }).click()
  await page.getByRole('option', { name: kind }).click()
  if (practice) await page.getByRole('checkbox', { name: /Practise first/ }).check()
  await page.getByRole('button', { name: 'Begin measuring' }).click()
  await expect(page.getByRole('region', { name: 'Open reading' })).toBeVisible()
}

/** Practice in a hidden room that is the same every time, opened at Measure. */
export async function practiceRoom(page: Page, kind: string, seed: number): Promise<void> {
  await newPerson(page)
  await newJob(page, 'Walked through', kind, true)
  const id = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? ''
  const file = (await ask(page, 'get', `/api/jobs/${id}/export`)) as {
    job: { spaces: { practice: number }[] }
  }
  for (const space of file.job.spaces) space.practice = seed
  await broughtIn(page, Buffer.from(JSON.stringify(file)), 'measure', true)
}

/** Reads all that is to be read with the simulated device, and again what is in doubt. */
export async function readByDevice(page: Page): Promise<void> {
  const toGo = page.getByRole('link', { name: /^Measure/ })
  const field = page.locator('section.open input')
  // What was kept last may come into doubt and open again while the device reads: its number is of another line then.
  const read = () =>
    expect(async () => {
      await page.getByRole('button', { name: /^Read the/ }).click()
      await expect(field).not.toHaveValue('', { timeout: 3000 })
    }).toPass()
  for (let i = 0; i < 80 && (await toGo.textContent())?.includes('to go'); i++) {
    await read()
    const number = await page.locator('section.open h2 .soft').textContent()
    await field.press('Enter')
    // On to the next, unless the reading itself is in doubt: then its field is emptied for another take.
    await expect(async () => {
      const now = await page.locator('section.open h2 .soft').textContent()
      const doubted = await page.locator('section.open.doubted').count()
      expect(now !== number || (doubted > 0 && (await field.inputValue()) === '')).toBe(true)
    }).toPass()
  }
  // Where readings disagree the page says which to take again. What the server makes of the last one comes a moment later.
  const settled = async () => {
    await expect(page.getByRole('region', { name: 'Not sent yet' })).toHaveCount(0)
    const id = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? ''
    let told = ''
    // Asked again each time: an answer from before the last reading landed is never on the screen again.
    await expect(async () => {
      const { tape } = (await ask(page, 'get', `/api/jobs/${id}?station=measure`)) as {
        tape: { measure: string }
      }
      told = tape.measure
      await expect(toGo).toContainText(told, { timeout: 1000 })
    }).toPass()
    return told
  }
  for (let i = 0; i < 8 && (await settled()).includes('disagree'); i++) {
    await page.keyboard.press('Escape')
    await page.keyboard.press('r')
    await read()
    await field.press('Enter')
  }
}

/** Notes many things of the open job at once, as one more device would. */
export async function noted(
  page: Page,
  station: string,
  facts: { kind: string; part: string; release?: string }[],
): Promise<void> {
  const device = crypto.randomUUID()
  const id = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? ''
  await ask(page, 'post', `/api/jobs/${id}/facts`, {
    data: {
      station,
      facts: facts.map((fact, i) => ({
        ...fact,
        id: crypto.randomUUID(),
        device,
        sequence: i + 1,
        at: new Date().toISOString(),
        withdraws: [],
      })),
    },
  })
}

/** The open job at a station, as the server has it. */
export async function stationOf<T>(page: Page, station: string): Promise<T> {
  const id = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? ''
  return ((await ask(page, 'get', `/api/jobs/${id}?station=${station}`)) as { station: T }).station
}

/** The landing alcove, brought in from its file, and opened at a station. */
export async function landingAlcove(page: Page, station = 'measure'): Promise<void> {
  await broughtIn(page, readFileSync('tests/examples/landing-alcove-without-doors.json'), station)
  await expect(page.getByRole('status').first()).toContainText('Fits')
}

/** A dialog takes the focus when it has opened: until then an Enter may land on its close button. */
export async function opened(page: Page): Promise<void> {
  await expect(page.locator('.p-dialog :focus, .p-drawer :focus')).toHaveCount(1)
}

/** The open job as the server has it, asked as its own page asks. */
export function answer(page: Page): Promise<unknown> {
  const job = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? ''
  return page.evaluate(async (id) => {
    const response = await fetch(`/api/jobs/${id}?station=measure`, {
      headers: { Accept: 'application/json' },
    })
    return (await response.json()) as unknown
  }, job)
}

/** A demo job, brought in from its file, and opened at Fit. */
export async function demoJob(page: Page, file: string, keepLayout = true): Promise<void> {
  const job = JSON.parse(readFileSync(`database/demo/${file}.json`, 'utf8')) as {
    job: { spaces: { layout: unknown; things: { id: string }[] }[] }
  }
  if (!keepLayout && job.job.spaces[0])
    job.job.spaces[0].layout = { runs: [], members: [], fronts: [], closings: {}, openings: [], marks: {} }
  await broughtIn(page, Buffer.from(JSON.stringify(job)), 'fit')
}
