import { expect, type Page } from '@playwright/test'
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

/** A new account for this test alone, signed in, with one empty home. Gives its e-mail. */
export async function newPerson(page: Page): Promise<string> {
  const { email } = await register(page, 'Tess')
  await expect(page.getByRole('heading', { name: 'My home' })).toBeVisible()
  return email
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

/** The landing alcove, brought in from its file, and opened at a station. */
export async function landingAlcove(page: Page, station = 'measure'): Promise<void> {
  await newPerson(page)
  await page.getByLabel('Import a job').setInputFiles({
    name: 'job.json',
    mimeType: 'application/json',
    buffer: readFileSync('tests/examples/landing-alcove-without-doors.json'),
  })
  await page.getByRole('link', { name: 'Landing alcove' }).click()
  await expect(page.getByRole('status')).toContainText('Fits')
  if (station !== 'measure') await page.goto(page.url().replace('measure', station))
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
export async function demoJob(page: Page, file: string, name: string, keepLayout = true): Promise<void> {
  await newPerson(page)
  const job = JSON.parse(readFileSync(`database/demo/${file}.json`, 'utf8')) as {
    job: { spaces: { layout: unknown; things: { id: string }[] }[] }
  }
  if (!keepLayout && job.job.spaces[0])
    job.job.spaces[0].layout = { runs: [], members: [], fronts: [], closings: {}, openings: [], marks: {} }
  await page.getByLabel('Import a job').setInputFiles({
    name: 'job.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(job)),
  })
  await page.getByRole('link', { name }).click()
  await expect(page.getByRole('status')).toBeVisible()
  await page.goto(page.url().replace('measure', 'fit'))
}
