import { expect, test } from '@playwright/test'
import { answer, landingAlcove, newPerson, register } from './person'

test('a forgotten password: the printed code leads back, and a new one is shown', async ({ page }) => {
  const { email, code } = await register(page, 'Hedda')
  await page.getByRole('button', { name: 'Sign out' }).click()
  await page.getByRole('button', { name: 'Forgotten?' }).click()
  await page.getByLabel('E-mail').fill(email)
  await page.getByLabel('Recovery code').fill('0000 0000 0000 0000 0000')
  await page.getByLabel('New password').fill('quite another one')
  await page.getByRole('button', { name: 'Sign in with the code' }).click()
  await expect(page.getByRole('alert')).toContainText('E-mail and code do not belong together')
  await page.getByLabel('Recovery code').fill(code.replaceAll('-', ' '))
  await page.getByRole('button', { name: 'Sign in with the code' }).click()
  await expect(page.locator('.recovery .large')).not.toHaveText(code)
  await page.getByRole('button', { name: 'I have it on paper' }).click()
  await expect(page.getByRole('heading', { name: 'My home' })).toBeVisible()
})

test('the devices on which one is signed in are listed, and another is signed out', async ({
  page,
  browser,
}) => {
  const { email } = await register(page, 'Hedda')
  const other = await (await browser.newContext()).newPage()
  await other.goto('/sign-in')
  await other.getByLabel('E-mail').fill(email)
  await other.getByLabel('Password').fill('a long password')
  await other.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(other.getByRole('heading', { name: 'My home' })).toBeVisible()
  await page.goto('/account')
  await expect(page.locator('.devices li')).toHaveCount(2)
  await page.getByRole('button', { name: /^Sign out Chrome/ }).click()
  await expect(page.locator('.devices li')).toHaveCount(1)
  await other.reload()
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await other.context().close()
})

test('a helper comes by a link, changes the job with its owner, and is let go', async ({ page, browser }) => {
  await landingAlcove(page)
  await page.getByRole('button', { name: 'People' }).click()
  await page.getByRole('button', { name: 'Invite a helper' }).click()
  const link = await page.getByLabel(/Send this link/).inputValue()
  const helper = await (await browser.newContext()).newPage()
  await register(helper, 'Hedda')
  await helper.goto(link)
  await expect(
    helper.getByRole('heading', { name: 'Tess asks you to help with “Landing alcove”' }),
  ).toBeVisible()
  await helper.getByRole('button', { name: 'Help with this job' }).click()
  await expect(helper.getByRole('status')).toContainText('Fits')
  // The link is used up.
  const stranger = await (await browser.newContext()).newPage()
  await newPerson(stranger)
  await stranger.goto(link)
  await expect(stranger.getByRole('heading', { name: 'This link leads nowhere' })).toBeVisible()
  await stranger.context().close()
  await helper
    .getByRole('button', { name: /Corner, left|Angle, left/ })
    .first()
    .click()
  const open = helper.getByRole('region', { name: 'Open reading' })
  await open.getByRole('textbox').first().fill('90.1')
  await open.getByRole('textbox').first().press('Enter')
  await expect(helper.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await page.reload()
  await page.getByRole('button', { name: 'People' }).click()
  await expect(page.locator('.told li').first()).toContainText('Hedda')
  await page.getByRole('button', { name: 'Let Hedda go' }).click()
  await expect(page.locator('.people li')).toHaveCount(1)
  await helper.goto('/')
  await expect(helper.getByText('Jobs you help with')).toBeHidden()
  await helper.goBack()
  await expect(helper.getByRole('heading', { name: 'This job cannot be opened' })).toBeVisible()
  // Nothing of the job stays on the helper's device.
  expect(
    await helper.evaluate(
      async () =>
        (await (await caches.open('answers')).keys()).filter((kept) => /\/api\/jobs\//.test(kept.url)).length,
    ),
  ).toBe(0)
  expect(JSON.stringify(await answer(page))).toContain('90.1')
  await helper.context().close()
})
