import { expect, test, type Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { choose, leaf } from './fitting'
import { demoJob, landingAlcove } from './person'

const verdict = (page: Page) => page.getByRole('status').first()

interface Gltf {
  asset: { version: string }
  nodes: { name?: string; mesh?: number }[]
  meshes: { primitives: { attributes: { POSITION: number } }[] }[]
  accessors: { min?: number[]; max?: number[]; count: number }[]
}

/** The scene of a binary glTF, read by its own header and first chunk. */
function glb(file: string): Gltf {
  const data = readFileSync(file)
  expect(data.toString('latin1', 0, 4)).toBe('glTF')
  expect(data.readUInt32LE(4)).toBe(2)
  expect(data.readUInt32LE(8)).toBe(data.length)
  expect(data.toString('latin1', 16, 20)).toBe('JSON')
  return JSON.parse(data.toString('utf8', 20, 20 + data.readUInt32LE(12))) as Gltf
}

test('a door is hung from its picture, opened in the round, and taken home as glTF', async ({ page }) => {
  await demoJob(page, '../../tests/examples/oar-store-with-shelves')
  await choose(page, 'In front', 'Door')
  await expect(page.getByRole('radio', { name: 'Door' })).toBeChecked()
  await page.getByRole('button', { name: 'Round', exact: true }).click()
  const canvas = page.getByRole('img', { name: /The furniture in its room/ })
  await expect(canvas).toBeVisible()
  await expect(page.getByRole('button', { name: 'Download as glTF' })).toBeVisible()
  const door = async (): Promise<number[]> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Download as glTF' }).click(),
    ])
    const scene = glb(await download.path())
    expect(scene.asset.version).toBe('2.0')
    const names = scene.nodes.map((node) => node.name)
    for (const mark of ['B1-side-L', 'B1-door-R', 'B3-bottom']) expect(names).toContain(mark)
    const mesh = scene.nodes.find((node) => node.name === 'B1-door-R')?.mesh ?? -1
    const at = scene.accessors[scene.meshes[mesh]?.primitives[0]?.attributes.POSITION ?? -1]
    return (at?.max ?? []).map((most, i) => most - (at?.min?.[i] ?? 0))
  }
  // The choice is on its way to the server while the first scene is drawn.
  let closed: number[] = []
  await expect(async () => {
    closed = await door()
    expect(closed).toHaveLength(3)
  }).toPass()
  // In metres: a leaf of some 700 by 18, standing.
  expect(Math.min(closed[0] ?? 0, closed[2] ?? 0)).toBeCloseTo(0.018, 3)
  const slider = page.getByRole('slider', { name: 'open' })
  await slider.focus()
  await page.keyboard.press('End')
  const open = await door()
  // Turned by a right angle: what was wide is deep.
  expect(open[0]).toBeCloseTo(closed[2] ?? 0, 3)
  expect(open[2]).toBeCloseTo(closed[0] ?? 0, 3)
  expect(open[1]).toBeCloseTo(closed[1] ?? 0, 3)
})

test('a piece pressed in the round is selected, hidden, shown again and found among the pieces', async ({
  page,
}) => {
  await landingAlcove(page, 'fit')
  await page.getByRole('button', { name: 'Round', exact: true }).click()
  const canvas = page.getByRole('img', { name: /The furniture in its room/ })
  const picked = page.locator('.picked')
  const pressMiddle = () =>
    expect
      .poll(async () => {
        const box = await canvas.boundingBox()
        if (box) await canvas.click({ position: { x: box.width / 2, y: box.height / 2 } })
        return picked.count()
      })
      .toBe(1)
  await pressMiddle()
  await expect(picked).toContainText(/B1-/)
  const mark = /B1-\S+/.exec((await picked.textContent()) ?? '')?.[0] ?? ''
  await picked.getByRole('link', { name: 'its piece' }).click()
  await expect(page.getByRole('dialog').getByRole('img', { name: new RegExp(mark) })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.goBack()
  await page.getByRole('button', { name: 'Round', exact: true }).click()
  await pressMiddle()
  await picked.getByRole('button', { name: 'Hide it' }).click()
  await page.getByRole('button', { name: 'Show what is hidden (1)' }).click()
  await expect(picked).toHaveCount(0)
  // By key it turns: another piece comes to the middle sooner or later, and nothing else is pressed by it.
  await canvas.press('ArrowRight')
  await canvas.press('+')
  await expect(verdict(page)).toContainText('Fits.')
})

test('units are chosen by keys alone, drawn in their cell with their verdicts', async ({ page }) => {
  await landingAlcove(page, 'fit')
  const more = page.getByRole('button', { name: 'More for: What it holds' })
  await more.focus()
  await page.keyboard.press('Enter')
  const picker = page.getByRole('dialog', { name: 'What it holds' })
  await expect(picker.getByRole('radio', { name: 'Shelves', exact: true })).toContainText('Fits here.')
  // What cannot be made here is there too, and says why.
  const knee = picker.getByRole('radio', { name: 'Shelves between walls' })
  await expect(knee).not.toContainText('being worked out', { timeout: 20_000 })
  const drawers = picker.getByRole('radio', { name: 'Drawers' })
  await expect(drawers.locator('svg')).toBeVisible()
  await drawers.focus()
  await page.keyboard.press('Enter')
  await expect(picker).toBeHidden()
  await expect(page.getByRole('radio', { name: 'Drawers' })).toBeChecked()
  await expect(page.getByRole('spinbutton', { name: 'Drawers' })).toHaveValue('3')
})

test('a finding is opened from its flag and from the verdict, and solved by its way out', async ({
  page,
}) => {
  await landingAlcove(page, 'fit')
  const width = page.getByLabel('Width of the bay', { exact: true })
  await width.fill('900')
  await width.press('Enter')
  await expect(verdict(page)).toContainText('Does not fit')
  await page.getByRole('button', { name: /^1: / }).click()
  await expect(page.getByRole('tab', { name: /Findings/, selected: true })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Let bay 1 take what is left' })).toBeVisible()
  await leaf(page, 'Cell')
  await verdict(page).getByRole('link').click()
  await expect(page.getByRole('tab', { name: /Findings/, selected: true })).toBeVisible()
  await page.getByRole('button', { name: 'Let bay 1 take what is left' }).click()
  await expect(verdict(page)).toContainText('Fits.')
})
