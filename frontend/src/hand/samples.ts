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

export function byText(samples: HandSample[] = []): Map<string, HandSample[]> {
  const found = new Map<string, HandSample[]>()
  for (const sample of samples) found.set(sample.text, [...(found.get(sample.text) ?? []), sample])
  return found
}

/** Whether a sample is a line of several characters. */
export const isLine = (text: string) => [...text].length > 1

/** Lines to write that have nearly all letters of a language, short enough for a telephone. */
const LINES: Record<string, string[]> = {
  en: [
    'The quick brown fox',
    'jumps over a lazy dog',
    'Pack my box with five',
    'dozen oak jugs',
    'Is it noon? Yes, 12:05',
    'a shadow of 14 cm',
  ],
  de: [
    'Zwölf große Boxkämpfer',
    'jagen Viktor quer über',
    'den langen Sylter Deich',
    'Ist es Mittag? Ja, 12:05',
    'ein Schatten von 14 cm',
  ],
  fr: [
    "Voix ambiguë d'un cœur",
    'qui préfère au zéphyr',
    'les jattes de kiwis',
    'Est-il midi ? Oui, 12:05',
    'une ombre de 14 cm',
  ],
  es: [
    'El pingüino del zoo',
    'bajo exhaustiva lluvia',
    'hizo kilómetros y soñó',
    '¿Es mediodía? Sí, 12:05',
    'una sombra de 14 cm',
  ],
}

export const lines = (language: string): string[] => LINES[language] ?? LINES.en!

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
