import { expect, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'

/** A new account for this test alone, signed in, with one empty home. */
export async function newPerson(page: Page): Promise<void> {
  await page.goto('/sign-in')
  await page.getByRole('button', { name: 'I am new here' }).click()
  await page.getByLabel('Your name').fill('Tess')
  await page.getByLabel('E-mail').fill(`tess-${crypto.randomUUID()}@example.org`)
  await page.getByLabel('Password').fill('a long password')
  await page.getByRole('button', { name: 'Make an account' }).click()
  await expect(page.getByRole('heading', { name: 'My home' })).toBeVisible()
}

/** The landing alcove, brought in from its file, and opened at a station. */
export async function landingAlcove(page: Page, station = 'measure'): Promise<void> {
  await newPerson(page)
  await page.getByLabel('Import a job').setInputFiles({
    name: 'job.json',
    mimeType: 'application/json',
    buffer: readFileSync('database/demo/landing-alcove.json'),
  })
  await page.getByRole('link', { name: 'Landing alcove' }).click()
  await expect(page.getByRole('status')).toContainText('Fits')
  if (station !== 'measure') await page.goto(page.url().replace('measure', station))
}
