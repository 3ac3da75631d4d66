/** Stamps: small things ready to be set down. Some come with the board, others are made of what is chosen. */
import { itemBox, union } from '../board/box'
import { sketchOf } from '../board/figure'
import type { Point } from '../board/place'
import { newText } from '../board/text'
import { newId } from '../wire/codec'
import type { FigureKind, Item } from '../wire/generated'
import { t, type Plain } from '../words/words.svelte'
import { keepHere } from '../words/here'
import { asBase64, copiesOf, fromBase64 } from './clipboard'

export interface Stamp {
  /** What a person called it; those that come with the board are called by a ``word``. */
  name: string
  word?: Plain
  items: Item[]
}

const KEPT_AS = 'sunroom-stamps'
export const MOST_OWN = 12
const MOST_CHARACTERS = 200_000

function figure(kind: FigureKind, colour: string, size: number, filled: boolean): Item {
  return sketchOf({
    step: 'draw_figure',
    page: '',
    id: newId(),
    figure: kind,
    x: -size / 2,
    y: -size / 2,
    width: size,
    height: size,
    colour,
    line_width: filled ? 2.5 : 7,
    sides: 8,
    fill: filled ? `${colour}` : '',
    dash: 'solid',
    ends: 'none',
    opacity: 1,
    holds: ['', ''],
  })
}

function words(text: string, colour: string, size: number): Item {
  return { ...newText('', text, -size * text.length * 0.2, -size * 0.65, size, colour), family: 'hand' }
}

export const STAMPS: Stamp[] = [
  { name: '', word: 'figure-tick', items: [figure('tick', '#2f7d5b', 44, false)] },
  { name: '', word: 'figure-cross', items: [figure('cross', '#b4472c', 38, false)] },
  { name: '', word: 'figure-star', items: [figure('star', '#dda43a', 52, true)] },
  { name: '', word: 'figure-heart', items: [figure('heart', '#b4472c', 46, true)] },
  { name: '', word: 'question', items: [words('?', '#6b3fa0', 64)] },
  {
    name: '',
    word: 'sign-bravo',
    get items() {
      return [words(t('sign-bravo'), '#2f7d5b', 44)]
    },
  },
]

export function ownStamps(): Stamp[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEPT_AS) ?? '[]', (_, value) =>
      // Ink travels as bytes, which JSON has not.
      value && typeof value === 'object' && typeof value.bytes === 'string' ? fromBase64(value.bytes) : value,
    )
    return Array.isArray(kept) ? (kept as Stamp[]) : []
  } catch {
    return []
  }
}

export function keepOwn(stamps: Stamp[]): boolean {
  const text = JSON.stringify(stamps, (_, value: unknown) =>
    value instanceof Uint8Array ? { bytes: asBase64(value) } : value,
  )
  return text.length <= MOST_CHARACTERS && keepHere(KEPT_AS, text)
}

/** A stamp of items, its middle at the origin. */
export function stampOf(name: string, items: Item[]): Stamp {
  const box = union(items.map(itemBox))!
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  return { name, items: copiesOf(items, -x, -y) }
}

/** The things to add when a stamp is set down at a place; they hold together. */
export function setDown({ items }: Stamp, [x, y]: Point, by: string): Item[] {
  const copies = copiesOf(items, x, y)
  const group = copies.length > 1 ? newId() : ''
  return copies.map((item) => ({ ...item, by, group }))
}
