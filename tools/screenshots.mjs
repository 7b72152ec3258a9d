// Takes the pictures of docs/screenshots/ from the demo of a running application: node tools/screenshots.mjs [names]
import { chromium } from '@playwright/test'

const base = process.env.APP_URL ?? 'http://127.0.0.1:8640'
const folder = process.env.SHOTS ?? 'docs/screenshots'
const wanted = process.argv.slice(2)
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
})
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })

async function shot(name, prepare) {
  if (wanted.length > 0 && !wanted.includes(name)) return
  await prepare()
  await page.evaluate(() => document.fonts.ready)
  await page.waitForTimeout(500)
  await page.screenshot({ path: `${folder}/${name}.png` })
}

const phone = { width: 390, height: 844 }
await page.goto(`${base}/sign-in`)
await page.getByRole('button', { name: 'Open the demo' }).click()
await page.locator('.job').first().waitFor()
await shot('jobs', async () => {})
await page.getByRole('link', { name: 'Landing alcove' }).first().click()
await page.locator('.tape').waitFor()
const job = page.url().replace(/measure$/, '')
const open = (station) => page.goto(job + station, { waitUntil: 'networkidle' })
await shot('measure', async () => {
  await open('measure')
  await page.getByRole('button', { name: /Width, top, at the back/ }).click()
})
await shot('scribe-line', async () => {
  await open('fit')
  await page.getByRole('tab', { name: /^Gaps/ }).click()
  await page.getByRole('button', { name: 'Scribe line: B1 right stile to wall' }).click()
})
await shot('pieces', () => open('pieces'))
await shot('sheets', () => open('sheets'))
await shot('to-buy', async () => {
  await open('sheets?tab=buy')
  await page.getByLabel('Bought: Birch plywood 18, half sheet').click()
})
await shot('saw', async () => {
  await open('sheets')
  await page.getByRole('button', { name: /^Release/ }).click()
  await page.getByRole('button', { name: 'Cut done' }).waitFor()
  for (let i = 0; i < 11; i++) {
    await page.locator('li[id] .cut:not(.done)').first().click()
    await page.waitForTimeout(150)
  }
  await page.setViewportSize(phone)
  await page.waitForTimeout(300)
})
await page.setViewportSize({ width: 1280, height: 800 })
await shot('rules', async () => {
  await open('fit')
  await page.getByRole('button', { name: /rules and materials/ }).click()
  await page.getByRole('heading', { name: 'How it is made' }).scrollIntoViewIfNeeded()
})
await shot('fit-layouts', async () => {
  await open('fit')
  await page.getByRole('button', { name: 'Start from another layout' }).click()
  await page
    .getByRole('button', { name: /^Start from: / })
    .first()
    .waitFor()
})
if (await page.getByRole('heading', { name: 'What shall stand here?' }).isVisible()) {
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.locator('g.cell').first().waitFor()
}
const other = async (name) => {
  await page.goto(base, { waitUntil: 'networkidle' })
  await page.getByRole('link', { name }).first().click()
  await page.locator('.tape').waitFor()
}
await shot('piece', async () => {
  await other('Landing alcove')
  await page.getByRole('link', { name: /^Pieces/ }).click()
  await page.getByRole('button', { name: 'B1-side-L, drawing' }).click()
  await page.getByRole('img', { name: 'B1-side-L Side' }).waitFor()
})
await shot('things', async () => {
  await other('Cylinder cupboard')
  await page.keyboard.press('Escape')
  await page.keyboard.press('o')
  await page.getByRole('button', { name: /Stop valve/ }).click()
})
await shot('workshop', async () => {
  await page.goto(base, { waitUntil: 'networkidle' })
  await page.getByRole('link', { name: 'Workshop: ways in, saws, offcuts' }).click()
  await page.getByRole('heading', { name: /^Workshop of/ }).waitFor()
})
const fit = async (name) => {
  await other(name)
  await page.getByRole('link', { name: /^Fit/ }).click()
  await page.locator('g.cell').first().waitFor()
  // The little pictures of what a cell may hold come one by one.
  await page.waitForFunction(() => !document.querySelector('.tile .wait'), null, { timeout: 30_000 })
}
await shot('fit-stair', () => fit('Oar store'))
await shot('fit', () => fit('Map wall'))
await shot('fit-picker', async () => {
  await fit('Map wall')
  await page.locator('g.cell').nth(1).click({ position: { x: 20, y: 20 } })
  await page.getByRole('button', { name: 'More for: What it holds' }).click()
  await page.getByText('being worked out').first().waitFor({ state: 'hidden', timeout: 30_000 })
  await page.waitForFunction(() => !document.body.textContent.includes('being worked out'), null, { timeout: 30_000 })
})
await shot('sums', async () => {
  await page.goto(`${base}/sums/spacing?length=1900&width=70`)
  await page.getByRole('region', { name: 'Answer' }).waitFor()
})
await page.setViewportSize(phone)
await shot('measure-phone', async () => {
  await open('measure')
  await page.getByRole('button', { name: /Plumb, left wall, lower/ }).click()
  await page.evaluate(() => document.querySelector('.station').scrollTo(0, 0))
})
await shot('fit-phone', () => fit('Oar store'))
await page.setViewportSize({ width: 1280, height: 800 })
await shot('fit-round', async () => {
  await fit('Oar store')
  await page.getByRole('button', { name: 'Round', exact: true }).click()
  await page.waitForTimeout(2500)
  const open = page.getByRole('slider', { name: 'open' })
  await open.focus()
  for (let i = 0; i < 70; i++) await page.keyboard.press('ArrowRight')
})
await browser.close()
