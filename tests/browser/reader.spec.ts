import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { echo, readLength, Unreadable, type JobUnit } from '../../resources/js/tape/lengthReader'

interface Vector {
  text: string
  unit: JobUnit
  nm?: number
  refused?: string
}

const { vectors } = JSON.parse(readFileSync('tests/vectors/lengths.json', 'utf8')) as { vectors: Vector[] }

test('the browser reads every vector as the core does', () => {
  expect(vectors.length).toBeGreaterThan(100)
  for (const { text, unit, nm, refused } of vectors) {
    if (refused === undefined) {
      expect(readLength(text, unit), `${unit}: ${text}`).toBe(nm)
    } else {
      let sentence = 'it was taken'
      try {
        readLength(text, unit)
      } catch (error) {
        expect(error).toBeInstanceOf(Unreadable)
        sentence = (error as Error).message
      }
      expect(sentence, `${unit}: ${text}`).toContain(refused)
    }
  }
})

test('what was understood is echoed in both systems', () => {
  expect(echo(803_275_000, 'mm')).toBe('803.3 mm · 31 5/8 in')
  expect(echo(803_000_000, 'in')).toBe('31 5/8 in · 803 mm')
  expect(echo(19_050_000, 'in')).toBe('3/4 in · 19.1 mm')
})
