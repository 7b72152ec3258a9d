import { expect, test } from '@playwright/test'
import { Pace } from '../../resources/js/round/pace'
import { PICTURES } from '../../resources/js/words/pictures'
import { told, WORDS } from '../../resources/js/words/words'
import { leaf } from './fitting'
import { landingAlcove } from './person'

const words = (sentence: string) =>
  told(sentence).flatMap(({ text, word }) => (word ? [`${text}: ${word.name}`] : []))

test('words of the trade are found in sentences, each once, the longest first', () => {
  expect(words('The clothes rail hangs between stiles; a stile is scribed.')).toEqual([
    'clothes rail: hanging rail',
    'stiles: stile',
    'scribed: scribe',
  ])
  expect(words('Pocket screws into both sides')).toEqual(['Pocket screws: pocket screw'])
  // A box that slides home is no drawer slide, and what is trimmed is no trim.
  expect(words('A box slides home; edges are trimmed off.')).toEqual([])
  expect(
    told('A plinth under it')
      .map((part) => part.text)
      .join(''),
  ).toBe('A plinth under it')
})

test('every word of the trade is drawn in its picture', () => {
  for (const word of WORDS) {
    expect(
      PICTURES[word.picture]?.parts.some((part) => part.word === word.name || word.name === 'face frame'),
      word.name,
    ).toBe(true)
    expect(words(`A ${word.name} here`), word.name).toEqual([`${word.name}: ${word.name}`])
  }
})

test('a moving picture grows coarser while its frames come late, and sharp again when there is time', () => {
  const pace = new Pace(2)
  let now = 0
  const frames = (count: number, apart: number) =>
    Array.from({ length: count }, () => pace.next((now += apart))).at(-1) ?? 0
  expect(frames(1, 16)).toBe(2)
  expect(frames(2, 60)).toBeCloseTo(1.6, 5)
  // Not coarser than what can still be made out.
  expect(frames(60, 60)).toBeCloseTo(0.4, 5)
  // A pause is no slow frame.
  expect(frames(1, 5000)).toBeCloseTo(0.4, 5)
  expect(frames(20, 12)).toBeCloseTo(0.46, 5)
  expect(frames(1000, 12)).toBe(2)
})

test('a word in a sentence opens its picture, by mouse and by keys', async ({ page }) => {
  await landingAlcove(page, 'fit')
  await leaf(page, 'Gaps')
  const word = page.locator('.ledger').getByRole('button', { name: 'scribed', exact: true }).first()
  const card = page.getByRole('dialog')
  await word.click()
  await expect(card).toContainText('To scribe is to cut an edge along the wall’s own line')
  await expect(card.getByRole('img', { name: /Four ways to close a gap/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(card).toBeHidden()
  await word.focus()
  await page.keyboard.press('Enter')
  await expect(card).toBeVisible()
})

test('house rules stand in groups with their pictures, are found by typing, and say what hangs on them', async ({
  page,
}) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('button', { name: /rules and materials/ }).click()
  const rules = page.locator('.rules')
  for (const group of ['Going into the space', 'Closing gaps', 'Boxes', 'Drawers', 'At the saw'])
    await expect(rules.getByRole('region', { name: group }).getByRole('img')).toBeVisible()
  await rules.getByLabel('Find a rule').fill('kerf')
  await expect(rules.getByRole('region', { name: 'Closing gaps' })).toBeHidden()
  await expect(rules.getByRole('region', { name: 'At the saw' })).toContainText('Saw kerf')
  await rules.getByLabel('Find a rule').fill('plinth height')
  await rules.getByLabel('Plinth height').focus()
  await expect(rules.getByText(/Changes \d+ pieces? of this job/)).toBeVisible()
  await rules.getByLabel('Find a rule').fill('trombone')
  await expect(rules.getByText('No rule speaks of “trombone”.')).toBeVisible()
})
