/** What a practice page asks for, and the samples of a hand. */

import type { HandSample } from '../wire/generated'
import { t } from '../words/words.svelte'

/** x, y in the box's units, pressure 0–1, time in ms from the first stroke's start. */
export type SampleRow = [number, number, number, number]

export interface Row {
  name: string
  characters: string[]
  /** Whether the page is done only with these. */
  needed: boolean
}

export function byCharacter(samples: HandSample[] = []): Map<string, HandSample[]> {
  const found = new Map<string, HandSample[]>()
  for (const sample of samples) found.set(sample.character, [...(found.get(sample.character) ?? []), sample])
  return found
}

const ACCENTS: Record<string, string> = {
  fr: 'éèêëàâçîïôùû',
  de: 'äöüß',
  es: 'áéíóúüñ',
}

export function rows(language: string): Row[] {
  const made: [string, string, boolean][] = [
    [t('hand-small'), 'abcdefghijklmnopqrstuvwxyz', true],
    [t('hand-capitals'), 'ABCDEFGHIJKLMNOPQRSTUVWXYZ', true],
    [t('hand-digits'), '0123456789', true],
    [t('hand-accents'), ACCENTS[language] ?? '', false],
    [t('hand-signs'), '+-=×÷/%°.,:!?()€£$', false],
  ]
  return made
    .filter(([, characters]) => characters)
    .map(([name, characters, needed]) => ({ name, characters: [...characters], needed }))
}
