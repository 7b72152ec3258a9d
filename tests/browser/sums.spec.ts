import { expect, test, type Page } from '@playwright/test'
import { demoJob, newPerson } from './person'

test.use({ serviceWorkers: 'allow' })

/** Each sum once right and once wrong: what is typed in which field, what is answered, and what is refused. */
const SUMS: [
  name: string,
  right: [string, string][],
  answer: string,
  wrong: [string, string],
  refusal: string,
][] = [
  [
    'Equal spacing',
    [['Length of the row', '1900']],
    '60.7 mm',
    ['Width of a slat', '2000'],
    'One slat of 2000 mm is wider than the row of 1900 mm.',
  ],
  [
    'Divide an opening',
    [['Clear width or height', '1203']],
    '287 mm',
    ['Thickness of a board', '250'],
    'must be',
  ],
  [
    'Mitre',
    [['Inner angle of the corner', '93.4']],
    '43.3°',
    ['Inner angle of the corner', '180'],
    'A straight run has no mitre.',
  ],
  ['Board count', [['Width to cover', '2338']], '60 mm', ['Gap at each end', '101'], 'must be'],
  ['Square?', [['Width, or one leg', '1164']], '2313.5 mm', ['Height, or the other leg', '0'], 'must be'],
  ['Slope', [['Rise, plumb', '1240']], '36.84°', ['Run, level', '0'], 'must be'],
  [
    'Circle',
    [['Chord', '1100']],
    '1150.4 mm',
    ['Rise in its middle', '600'],
    'More than half a circle: give three points.',
  ],
  [
    'Screw',
    [['Layers from the head on', '18.1; 18.1']],
    '30 mm',
    ['Layers from the head on', '18.1'],
    'Which is the last?',
  ],
  [
    'Drawer box',
    [['Width of the opening', '523']],
    '496.6 mm',
    ['Depth of the opening', '200'],
    'The shortest slide is 250 mm',
  ],
  ['Doors', [['Width of the opening', '1127']], '559.5 mm', ['Gap round them', '11'], 'must be'],
  [
    'Weight',
    [
      ['Thickness', '18'],
      ['Density', '750'],
    ],
    '40.2 kg',
    ['Density', 'heavy'],
    'is not a number',
  ],
  ['Paint', [['Area', '14.6']], '2.68', ['Tins as litres = price', 'large'], '“large” is not a tin.'],
  ['Tape', [['Lengths', '31 5/8 in + 2\' 7" - 3/4 in']], '61 7/8 in', ['Lengths', 'hello'], 'is not known'],
]

async function type(page: Page, [field, text]: [string, string]) {
  const input = page.getByLabel(field, { exact: true })
  await input.fill(text)
  await input.press('Enter')
}

test('each quick sum answers what is typed, and says at its field what cannot be', async ({ page }) => {
  await newPerson(page)
  await page.getByRole('link', { name: 'Quick sums' }).click()
  const answer = page.getByRole('region', { name: 'Answer' })
  for (const [name, right, expected, wrong, refusal] of SUMS) {
    await page.getByRole('link', { name: new RegExp(`^${name.replace('?', '\\?')}`) }).click()
    await expect(page.getByText('An example stands here until you type your own numbers.')).toBeVisible()
    for (const one of right) await type(page, one)
    await expect(answer.locator('dd').filter({ hasText: expected }).first()).toBeVisible()
    await expect(answer.locator('svg').first()).toBeVisible()
    await type(page, wrong)
    await expect(page.getByText(refusal).first()).toBeVisible()
    // What was answered last stands on, faded, and what was typed stays in its field.
    await expect(answer).toHaveClass(/faded/)
    await expect(page.getByLabel(wrong[0], { exact: true })).toHaveValue(wrong[1])
    await page.getByRole('link', { name: 'All quick sums' }).click()
  }
})

test('a sum lies in its address, shows its working, and reads the unit that is chosen', async ({ page }) => {
  await newPerson(page)
  await page.goto('/sums/divide?width=35+5/8&count=3&measure=in/16')
  const answer = page.getByRole('region', { name: 'Answer' })
  await expect(answer.locator('dd').first()).toContainText('11 3/8 in')
  await expect(page.getByLabel('Clear width or height')).toHaveValue('35 5/8')
  await page.getByText('Show the working').click()
  await expect(page.getByRole('table', { name: 'Each clear' })).toContainText('35 5/8 in')
  await page.getByRole('combobox', { name: 'Unit and fraction' }).click()
  await page.getByRole('option', { name: 'millimetres, to the full mm' }).click()
  await expect(answer.locator('dd').first()).toContainText('287 mm')
  await page.getByRole('spinbutton', { name: 'Parts' }).press('ArrowUp')
  await expect(page).toHaveURL(/count=5/)
  // (1203 − 4·18.1)/5 = 226.12.
  await expect(answer.locator('dd').first()).toContainText('226 mm')
})

test('a sum fills the field it was asked from', async ({ page }) => {
  await demoJob(page, 'landing-alcove')
  const depth = page.getByLabel('Depth', { exact: true }).first()
  await depth.focus()
  await page
    .locator('.length')
    .filter({ has: page.getByLabel('Depth', { exact: true }) })
    .getByRole('button', { name: 'Quick sum' })
    .click()
  const dialog = page.getByRole('dialog', { name: 'Quick sum for “Depth”' })
  await dialog.getByLabel('Clear width or height').fill('680')
  await dialog.getByLabel('Clear width or height').press('Enter')
  await dialog.getByRole('spinbutton', { name: 'Parts' }).fill('2')
  await dialog.getByRole('spinbutton', { name: 'Parts' }).press('Enter')
  // (680 − 18.1)/2 = 330.95, down to 330.
  await dialog.getByRole('button', { name: 'Use 330 mm, Each clear' }).click()
  await expect(dialog).toBeHidden()
  await expect(depth).toHaveValue('330 mm')
})

test('a sum opens again without a network, waits with what is typed, and is kept in the log', async ({
  page,
}) => {
  await demoJob(page, 'landing-alcove')
  const job = page.url()
  await page.goto('/sums/divide?width=1203&count=4&measure=mm/1')
  const answer = page.getByRole('region', { name: 'Answer' })
  await expect(answer.locator('dd').first()).toContainText('287 mm')
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.reload()
  await expect(answer.locator('dd').first()).toContainText('287 mm')
  await page.getByRole('link', { name: 'All quick sums' }).click()
  await expect(page.getByRole('heading', { name: 'Worked out last' })).toBeVisible()
  await page.context().setOffline(true)
  await page.locator('.last').getByRole('link').first().click()
  await expect(answer.locator('dd').first()).toContainText('287 mm')
  // A new one waits with its inputs, and is worked out by itself.
  await type(page, ['Clear width or height', '1000'])
  await expect(page.getByText('is worked out when it is back.')).toBeVisible()
  await page.context().setOffline(false)
  // (1000 − 3·18.1)/4 = 236.4.
  await expect(answer.locator('dd').first()).toContainText('236 mm', { timeout: 20_000 })
  await page.goto(job)
  await page
    .locator('.length')
    .filter({ has: page.getByLabel('Depth', { exact: true }) })
    .getByRole('button', { name: 'Quick sum' })
    .first()
    .click()
  const dialog = page.getByRole('dialog', { name: 'Quick sum for “Depth”' })
  await dialog.getByLabel('Clear width or height').fill('680')
  await dialog.getByLabel('Clear width or height').press('Enter')
  await dialog.getByRole('button', { name: /^Keep in the log of/ }).click()
  await expect(dialog.getByRole('button', { name: 'Kept' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.goto(job.replace('fit', 'log'))
  await expect(page.getByText(/\(680\): Each clear/)).toBeVisible()
})
