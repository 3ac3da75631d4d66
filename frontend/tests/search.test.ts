import { expect, test } from 'vitest'
import { has } from '../src/ui/search'

test('capitals and accents do not hide what is looked for', () => {
  for (const [words, wanted] of [
    ['Éclair', 'eclair'],
    ['Zoë', 'ZOE'],
    ['zoe', 'Zoë'],
    ['Noor', ' noo '],
    ['Noor', ''],
  ] as const)
    expect(has(words, wanted), wanted).toBe(true)
  expect(has('Marit', 'Maria')).toBe(false)
})
