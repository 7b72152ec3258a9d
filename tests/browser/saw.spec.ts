import { expect, test, type BrowserContext, type Page } from '@playwright/test'
import { dice } from './dice'
import { landingAlcove, opened } from './person'

test.use({ serviceWorkers: 'allow' })

/** Ticks of the long run; 80 on demand. */
const TICKS = Number(process.env.INCASTRO_TICKS ?? 30)

async function released(page: Page): Promise<void> {
  await landingAlcove(page, 'sheets')
  await page.getByRole('button', { name: 'Release for cutting' }).click()
  await expect(page).toHaveURL(/saw$/)
  await expect(page.getByRole('button', { name: 'Cut done' })).toBeVisible()
}

interface Told {
  station: {
    release: {
      number: number
      facts: { id: string; kind: string; part: string | null; withdraws: string[] }[]
    }
  }
}

/** The parts whose ticks stand, as the server has them. */
async function cut(page: Page): Promise<string[]> {
  const told = await page.evaluate(async () => {
    const response = await fetch(`/api/jobs/${location.pathname.split('/')[2] ?? ''}?station=saw`, {
      cache: 'reload',
    })
    return (await response.json()) as Told
  })
  const facts = told.station.release.facts
  const back = new Set(facts.flatMap((fact) => fact.withdraws))
  const parts = facts
    .filter((fact) => fact.kind === 'cut' && !back.has(fact.id))
    .map((fact) => fact.part ?? '')
  return [...new Set(parts)].sort()
}

test('a job is released and cut one setting after another, and the tape counts', async ({ page }) => {
  await landingAlcove(page, 'saw')
  await expect(page.getByRole('heading', { name: 'Nothing is released' })).toBeVisible()
  await page.getByRole('link', { name: 'Go to Sheets' }).click()
  await page.getByRole('button', { name: 'Release for cutting' }).click()
  await expect(page.getByText('Straighten: take off')).toBeVisible()
  const tape = page.getByRole('link', { name: /^Saw/ })
  await expect(tape).toContainText(/^Saw.*0 of \d+ cuts/)
  await page.getByRole('button', { name: 'Cut done' }).click()
  await expect(tape).toContainText(/1 of \d+ cuts/)
  // By keys: a second press at once is a finger that bounced.
  await page.waitForTimeout(800)
  await page.locator('body').press('Enter')
  await page.locator('body').press('Enter')
  await expect(tape).toContainText(/2 of \d+ cuts/)
  await page.locator('body').press('u')
  await expect(tape).toContainText(/1 of \d+ cuts/)
  // A press on what is cut takes nothing back: it says what *Undo cut* would.
  await page.locator('.cut.done').first().click()
  await expect(page.getByText('cut: Undo cut takes it back')).toBeVisible()
  await expect(tape).toContainText(/1 of \d+ cuts/)
  await page.getByRole('button', { name: 'Undo cut', exact: true }).click()
  await expect(tape).toContainText(/0 of \d+ cuts/)
  await page.getByRole('button', { name: 'Cut done' }).click()
  await expect(tape).toContainText(/1 of \d+ cuts/)
  await page.locator('body').press('n')
  await expect(page.getByText(/^Step \d+ of/)).toContainText('Step 2 of')
  await page.getByRole('button', { name: 'Back to the next cut' }).click()
  await expect(page.getByText(/^Step \d+ of/)).toContainText('Step 1 of')
})

test('a size as cut is judged, and a spoiled piece comes again with the next release', async ({ page }) => {
  await released(page)
  // Step by step, until a board is freed that is a piece.
  const pieces = page.locator('.cut:not(.done) .mark', { hasText: /^B1-(shelf|bottom|top)/ })
  for (let i = 0; i < 40 && (await pieces.count()) === 0; i++) {
    const open = page.locator('li[id]:has(.cut:not(.done))').first()
    const part = (await open.getAttribute('id')) ?? ''
    await page.locator(`li[id="${part}"] button`).click()
    await expect(page.locator(`li[id="${part}"] .cut:not(.done)`)).toHaveCount(0)
  }
  const mark = (await pieces.first().textContent()) ?? ''
  await page.locator('.cut', { hasText: mark }).first().click()
  await page.getByRole('button', { name: 'Measured…' }).click()
  await opened(page)
  const dialog = page.getByRole('dialog', { name: 'As cut' })
  await expect(dialog.getByText('Planned:')).toBeVisible()
  await dialog.getByLabel('Width as cut').fill('12')
  await dialog.getByLabel('Width as cut').press('Enter')
  await expect(dialog.getByText(/Is it another piece, or spoiled\?/)).toBeVisible()
  await dialog.getByRole('button', { name: 'It is spoiled…' }).click()
  await dialog.getByRole('button', { name: 'It is spoiled', exact: true }).click()
  await expect(dialog.getByText(/Spoiled\. Release again/)).toBeVisible()
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(dialog).toBeHidden()
  await page.getByRole('link', { name: /^Sheets/ }).click()
  await page.getByRole('button', { name: 'Release again' }).click()
  await expect(page).toHaveURL(/saw$/)
  await expect(page.getByText(/^Step 1 of/)).toBeVisible()
})

test('two browsers tick, lose the network and are opened again: what was ticked is what is cut', async ({
  browser,
  page,
  context,
}) => {
  test.setTimeout(240_000)
  const chance = dice(7)
  await released(page)
  const url = page.url()
  // The second browser is signed in to the same account.
  const other: BrowserContext = await browser.newContext({ storageState: await context.storageState() })
  const second = await other.newPage()
  await second.goto(url)
  const people = [
    { page, context, isOffline: false },
    { page: second, context: other, isOffline: false },
  ]
  for (const one of people) {
    await one.page.evaluate(async () => {
      localStorage.removeItem('incastro.device')
      await navigator.serviceWorker.ready
    })
    await one.page.reload()
    await expect(one.page.getByRole('button', { name: 'Cut done' })).toBeVisible()
  }
  const ticks: { who: number; part: string }[] = []
  for (let i = 0; i < TICKS; i++) {
    const who = Math.floor(chance() * 2)
    const one = people[who]
    if (!one) break
    if (chance() < 0.45) {
      one.isOffline = !one.isOffline
      await one.context.setOffline(one.isOffline)
    }
    if (i === Math.floor(TICKS / 2)) {
      // A release follows another in the middle: what was cut stays cut, whoever noted it on the older one.
      await people[0]?.context.setOffline(false)
      if (people[0]) people[0].isOffline = false
      await expect(page.getByRole('region', { name: 'Not sent yet' })).toBeHidden({ timeout: 30_000 })
      await page.goto(url.replace('saw', 'sheets'))
      await page.getByRole('button', { name: 'Release again' }).click()
      await expect(page).toHaveURL(/saw$/)
      await expect(page.getByRole('button', { name: 'Cut done' })).toBeVisible()
    }
    const open = one.page.locator('li[id]:has(.cut:not(.done))').first()
    const part = (await open.getAttribute('id')) ?? ''
    await one.page.locator(`li[id="${part}"] button`).click()
    await expect(
      one.page
        .locator(`li[id="${part}"] .cut.done`)
        .or(one.page.locator(`.step:not(:has(li[id="${part}"]))`))
        .first(),
    ).toBeVisible()
    ticks.push({ who, part })
    if (chance() < 0.2) {
      await one.page.reload()
      await expect(one.page.getByRole('button', { name: /Cut done|Next step/ })).toBeVisible()
    }
  }
  for (const one of people) await one.context.setOffline(false)
  const wanted = [...new Set(ticks.map((tick) => tick.part))].sort()
  await expect.poll(() => cut(page), { timeout: 60_000 }).toEqual(wanted)
  for (const one of people) await expect(one.page.getByRole('region', { name: 'Not sent yet' })).toBeHidden()
  await other.close()
})

test('what is bought is ticked in the shop without a network, and stays ticked', async ({
  page,
  context,
}) => {
  await landingAlcove(page, 'sheets')
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  await page.reload()
  await page.getByRole('button', { name: 'To buy' }).click()
  const status = page.locator('.left')
  await expect(status).toHaveText(/^\d+ of \d+ to buy/)
  const many = Number(/of (\d+)/.exec((await status.textContent()) ?? '')?.[1])
  await context.setOffline(true)
  await page.getByLabel('Bought: Pocket screw, 32 mm').click()
  await expect(status).toContainText(`${many - 1} of ${many} to buy`)
  await page.getByText('In the shop: only what is to go').click()
  await expect(page.getByRole('button', { name: /^Pocket screw, 32 mm/ })).toBeHidden()
  await page.reload()
  await page.getByRole('button', { name: 'To buy' }).click()
  await expect(status).toContainText(`${many - 1} of ${many} to buy`)
  await context.setOffline(false)
  await expect(page.getByRole('region', { name: 'Not sent yet' })).toBeHidden({ timeout: 20_000 })
  await page.reload()
  await page.getByRole('button', { name: 'To buy' }).click()
  await expect(status).toContainText(`${many - 1} of ${many} to buy`)
  // Taken back, it is on the list again.
  await page.getByLabel('Bought: Pocket screw, 32 mm').click()
  await expect(status).toContainText(`${many} of ${many} to buy`)
})

test('when all is cut, an offcut is kept, stands on the shelf of the workshop, and is taken off it', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await released(page)
  // All cuts at once, as a device would send them that was away for the day.
  await page.evaluate(async () => {
    const job = location.pathname.split('/')[2] ?? ''
    const headers = {
      Accept: 'application/json',
      'Content-Type': 'application/json',
      'X-XSRF-TOKEN': decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? ''),
    }
    type Step = { cuts: { id: string }[] }
    const told = (await (await fetch(`/api/jobs/${job}?station=saw`, { headers })).json()) as {
      station: { release: { id: string; cutting: { steps: Step[] } } }
    }
    const { id: release, cutting } = told.station.release
    const device = crypto.randomUUID()
    const facts = cutting.steps
      .flatMap((step) => step.cuts)
      .map((cut, i) => ({
        id: crypto.randomUUID(),
        device,
        sequence: i + 1,
        kind: 'cut',
        release,
        part: cut.id,
        at: new Date().toISOString(),
        withdraws: [],
      }))
    await fetch(`/api/jobs/${job}/facts`, { method: 'POST', headers, body: JSON.stringify({ facts }) })
  })
  await page.reload()
  await expect(page.getByRole('heading', { name: 'All cut' })).toBeVisible()
  await page.getByLabel('Where they go').fill('Behind the door')
  await page
    .getByRole('button', { name: /^Keep what is left of/ })
    .first()
    .click()
  await expect(page.getByText('O-1', { exact: true })).toBeVisible()
  await page.goto('/')
  await page.getByRole('link', { name: 'Workshop' }).first().click()
  const shelf = page.locator('section', { has: page.getByRole('heading', { name: 'Offcut shelf' }) })
  await expect(shelf.getByText('Behind the door, from Landing alcove')).toBeVisible()
  await shelf.getByRole('button', { name: 'O-1 was used, or is not there' }).click()
  await expect(shelf.getByText('Empty. When a job is cut')).toBeVisible()
})

test('plans stand side by side, another is taken, and a sheet is locked as it lies', async ({ page }) => {
  await landingAlcove(page, 'sheets')
  await page.getByRole('button', { name: 'Compare with other plans' }).click()
  const plans = page.locator('.plan')
  await expect(plans).toHaveCount(4)
  await expect(page.getByRole('button', { name: /^Least money, taken/ })).toContainText(
    /the saw is set \d+ times/,
  )
  await page.getByRole('button', { name: /^Biggest offcut/ }).click()
  await page.getByRole('button', { name: 'Compare with other plans' }).click()
  await expect(page.getByRole('button', { name: /^Biggest offcut, taken/ })).toBeVisible()

  const last = page.locator('article.sheet').last()
  const title = (await last.locator('h2').textContent()) ?? ''
  await last.getByRole('button', { name: 'Lock' }).click()
  // What is locked comes first, and the rest is planned round it.
  await expect(page.locator('article.sheet').first().getByRole('button', { name: 'Locked' })).toBeVisible()
  await expect(page.locator('article.sheet').first().locator('h2')).toHaveText(
    title.replace(/^Sheet \d+/, 'Sheet 1'),
  )
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: 'Locked' })).toHaveCount(0)
})

test('a piece that is too short is kept, its box follows, and the cutting goes on', async ({ page }) => {
  await released(page)
  const job = page.url().split('/').at(-2) ?? ''
  // Somebody else cut the bottom.
  await page.evaluate(async (id) => {
    interface Saw {
      station: { release: { id: string; cutting: { pieces: { mark: string; part: string }[] } } }
    }
    const { release } = (
      (await (await fetch(`/api/jobs/${id}?station=saw`, { cache: 'reload' })).json()) as Saw
    ).station
    const bottom = release.cutting.pieces.find((piece) => piece.mark === 'B1-bottom')
    const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '')
    await fetch(`/api/jobs/${id}/facts`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token },
      body: JSON.stringify({
        facts: [
          {
            id: crypto.randomUUID(),
            device: crypto.randomUUID(),
            sequence: 1,
            kind: 'cut',
            release: release.id,
            part: bottom?.part,
            at: new Date().toISOString(),
            withdraws: [],
          },
        ],
      }),
    })
  }, job)
  await page.reload()
  await page
    .getByRole('button', { name: /^Measured/ })
    .first()
    .click()
  const field = page.getByLabel('Length as cut')
  await field.fill('845')
  await field.press('Enter')
  const answer = page.getByRole('button', { name: 'Keep it so' })
  await expect(page.getByText(/^Keep it at 845 mm: \d+ other sizes follow\.$/)).toBeVisible()
  await answer.click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByRole('link', { name: /^Saw/ })).toContainText(/0 of \d+ cuts/)
})
