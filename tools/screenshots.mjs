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
await shot('fit', () => fit('Map wall'))
// Fitting day of the map wall, begun on a Saturday: studs found, the plinth set, the first box in and out of square.
const saturday = new Date(Date.now() + 7 * 86_400_000)
saturday.setUTCDate(saturday.getUTCDate() + ((6 - saturday.getUTCDay() + 7) % 7))
const fittingDay = async () => {
  await other('Map wall')
  await page.goto(page.url().replace(/measure$/, 'install'), { waitUntil: 'networkidle' })
  await page.locator('.task h1').waitFor()
  if (await page.getByText('Say when you have time').isVisible()) {
    await page.getByRole('button', { name: 'When…' }).click()
    await page.getByLabel('From the day').fill(saturday.toISOString().slice(0, 10))
    await page.getByRole('combobox', { name: 'With' }).click()
    await page.getByRole('option', { name: '2 people' }).click()
    await page.getByLabel('Weeks').fill('8')
    await page.getByLabel('Weeks').press('Tab')
    await page.getByRole('button', { name: '8 Saturdays' }).click()
    await page.getByRole('listitem').nth(7).waitFor()
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Wall', exact: true }).click()
    for (const stud of ['1615', '2012', '2416']) {
      await page.getByLabel('Found one here').fill(stud)
      await page.getByLabel('Found one here').press('Enter')
      await page.getByRole('button', { name: 'Stud', exact: true }).click()
      await page.getByText(`${stud} mm stud`).waitFor()
    }
    await page.getByRole('button', { name: 'Now', exact: true }).click()
    for (let i = 0; i < 7; i++) {
      const name = await page.locator('.task h1').textContent()
      await page.getByRole('button', { name: /^Done/ }).click()
      await page.waitForFunction((was) => document.querySelector('.task h1')?.textContent !== was, name)
    }
    const about = Number(/about (\d+)/.exec((await page.locator('.check').first().textContent()) ?? '')?.[1])
    await page.getByLabel('Foot left to top right').fill(String(about + 2))
    await page.getByLabel('Foot right to top left').fill(String(about - 1))
    await page.getByLabel('Foot right to top left').press('Enter')
    await page.getByText('too far right').waitFor()
  }
}
await shot('install', fittingDay)
await shot('log', async () => {
  await other('Map wall')
  await page.getByRole('link', { name: /^Log/ }).click()
  await page.getByRole('button', { name: 'Write what happened' }).click()
  const keep = async (sort, fill) => {
    await page.getByRole('button', { name: sort, exact: true }).click()
    await fill()
    await page.getByRole('button', { name: 'Keep it' }).click()
    await page.getByText('Kept. Another?').waitFor()
  }
  for (const [work, took] of [
    ['Sawing', '6:30'],
    ['Assembling', '4:10'],
    ['Fitting', '3:35'],
  ])
    await keep('Hours', async () => {
      await page.getByRole('combobox', { name: 'Worked at' }).last().click()
      await page.getByRole('option', { name: work }).click()
      await page.getByLabel(/How long/).fill(took)
    })
  for (const [what, paid, shop] of [
    ['Eight sheets of birch ply', '498.00', 'Sheet yard'],
    ['Hinges, screws, pins', '86.40', 'Hardware shop'],
    ['One hinge too many', '-4.20', 'Hardware shop'],
  ])
    await keep('Paid', async () => {
      await page.getByLabel('What', { exact: true }).fill(what)
      await page.getByLabel(/Amount/).fill(paid)
      await page.getByLabel(/Shop/).fill(shop)
    })
  await keep('Went wrong', async () => {
    await page.getByRole('combobox', { name: 'What', exact: true }).click()
    await page.getByRole('option', { name: 'A notch was cut twice' }).click()
    await page.getByLabel(/Where/).fill('B1, behind')
    await page.getByLabel('Words').fill('The pipe stands 4 mm further out than it was read.')
  })
  await page.keyboard.press('Escape')
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
await shot('install-phone', fittingDay)
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
