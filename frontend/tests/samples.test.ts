import { expect, test } from 'vitest'
import './stub'
import { byText, isLine, lines, rows } from '../src/hand/samples'
import type { HandSample } from '../src/wire/generated'

const LANGUAGES = ['en', 'de', 'fr', 'es']
const sample = (id: number, text: string): HandSample => ({ id, text, taught: false, strokes: [] })

test('samples are found by what they say, the oldest first', () => {
  const found = byText([sample(1, 'a'), sample(2, 'noon'), sample(3, 'a')])
  expect(found.get('a')?.map(({ id }) => id)).toEqual([1, 3])
  expect(found.get('noon')?.map(({ id }) => id)).toEqual([2])
  expect(byText().size).toBe(0)
})

test('a line has several characters, however they are coded', () => {
  expect(['a', 'ü', '🌞'].some(isLine)).toBe(false)
  expect(['ab', 'a b'].every(isLine)).toBe(true)
})

test.each(LANGUAGES)(
  'the lines of %s have nearly all its letters, digits too, and fit a telephone',
  (language) => {
    const all = lines(language)
    expect(new Set(all).size).toBe(all.length)
    expect(Math.max(...all.map((line) => line.length))).toBeLessThanOrEqual(24)
    const written = new Set(all.join('').toLowerCase().normalize('NFD'))
    const missing = [...'abcdefghijklmnopqrstuvwxyz'].filter((letter) => !written.has(letter))
    expect(missing.length).toBeLessThanOrEqual(3)
    expect([...'0124'].every((digit) => written.has(digit))).toBe(true)
  },
)

test('an unknown language has the lines of English', () => {
  expect(lines('xx')).toEqual(lines('en'))
})

test('letters and digits are needed, accents are there where a language has them', () => {
  const needed = (language: string) =>
    rows(language)
      .filter((row) => row.needed)
      .flatMap(({ characters }) => characters)
  expect(LANGUAGES.map((language) => needed(language).length)).toEqual([62, 62, 62, 62])
  expect(rows('de').some(({ characters }) => characters.includes('ß'))).toBe(true)
  expect(rows('en').some(({ characters }) => characters.includes('ß'))).toBe(false)
})
