import { expect, test } from '@playwright/test'
import { readFileSync } from 'node:fs'
import type { Reading } from '../../resources/js/api/types'
import { split, understand } from '../../resources/js/measure/readingText'
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

const plumb: Reading = {
  slot: 'plumb-left-low',
  place: {},
  kind: 'plumb',
  label: 'Plumb, left wall, lower half',
  how: '',
  tool: 'long level',
  required: true,
  ends: ['bottom', 'top'],
  height: null,
  depth: null,
  span: null,
  takes: [],
  withdrawn: [],
  group: '',
  added: false,
  is_angle: false,
  may_be_zero: true,
}
const fall: Reading = { ...plumb, kind: 'fall', ends: ['right', 'left'] }
const width: Reading = { ...plumb, kind: 'width', ends: [] }

test('a last letter names the end, and units are not mistaken for one', () => {
  expect(split('4 b', plumb.ends)).toEqual({ number: '4', end: 'bottom' })
  expect(split('3/16t', plumb.ends)).toEqual({ number: '3/16', end: 'top' })
  expect(split(' 4 top ', plumb.ends)).toEqual({ number: '4', end: 'top' })
  expect(split('4 mm', plumb.ends)).toEqual({ number: '4 mm', end: null })
  expect(split('4 mm b', plumb.ends)).toEqual({ number: '4 mm', end: 'bottom' })
  expect(split('2 r', fall.ends)).toEqual({ number: '2', end: 'right' })
  expect(split('31 5/8 in', width.ends)).toEqual({ number: '31 5/8 in', end: null })
  expect(split('', plumb.ends)).toEqual({ number: '', end: null })
})

test('an echo says what the end means', () => {
  expect(understand(plumb, '4 b', null, 'mm').echo).toBe(
    '4 mm · 3/16 in · gap at the bottom: the wall leans in',
  )
  expect(understand(plumb, '1/8', 'top', 'in').echo).toBe(
    '1/8 in · 3.2 mm · gap at the top: the wall leans out',
  )
  expect(understand(fall, '6', 'left', 'mm').echo).toBe('6 mm · 1/4 in · the left is lower')
  expect(understand(width, '31 5/8', null, 'in')).toEqual({ echo: '31 5/8 in · 803.3 mm', fault: '' })
  expect(understand(width, '', null, 'in')).toEqual({ echo: '', fault: '' })
  expect(understand(width, '5/0', null, 'in').fault).toContain('fraction over nothing')
})

test('angles are left to the server', () => {
  expect(understand({ ...width, kind: 'corner', is_angle: true }, 'steep', null, 'mm')).toEqual({
    echo: '',
    fault: '',
  })
})
