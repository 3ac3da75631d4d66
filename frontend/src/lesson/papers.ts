/** Kinds, sizes and rulings of paper as they are offered. Sizes in board units: 96 to the inch. */
import { newId } from '../wire/codec'
import type { PageHead, Paper } from '../wire/generated'
import type { Plain } from '../words/words.svelte'

export const SIZES = [
  { name: 'A4', short: 794, long: 1123 },
  { name: 'A5', short: 559, long: 794 },
  { name: 'Letter', short: 816, long: 1056 },
  { name: '16:9', short: 720, long: 1280 },
] as const

export const KINDS: { value: Paper['kind']; word: Plain }[] = [
  { value: 'endless', word: 'paper-kind-endless' },
  { value: 'roll', word: 'paper-kind-roll' },
  { value: 'sheet', word: 'paper-kind-sheet' },
]

export const RULINGS: { value: Paper['ruling']; word: Plain }[] = [
  { value: 'plain', word: 'ruling-plain' },
  { value: 'squares', word: 'ruling-squares' },
  { value: 'dots', word: 'ruling-dots' },
  { value: 'lines', word: 'ruling-lines' },
  { value: 'handwriting', word: 'ruling-handwriting' },
  { value: 'graph', word: 'ruling-graph' },
  { value: 'isometric', word: 'ruling-isometric' },
  { value: 'polar', word: 'ruling-polar' },
]

export const PAPER_COLOURS: { word: Plain; colour: string }[] = [
  { word: 'paper-white', colour: '#fffefa' },
  { word: 'paper-cream', colour: '#fbf3df' },
  { word: 'paper-mint', colour: '#eaf5ee' },
  { word: 'paper-sky', colour: '#e8f1f8' },
  { word: 'paper-rose', colour: '#faecec' },
  { word: 'paper-slate', colour: '#22323a' },
]

export const FIRST_PAPER: Paper = {
  kind: 'endless',
  ruling: 'squares',
  width: 1123,
  height: 794,
  spacing: 40,
  colour: '#fffefa',
  picture: '',
  each: 1,
  unit: '',
}

/** The size's name, and whether it lies on its long side; "" for another size. */
export function sizeOf({ width, height }: Paper): { name: string; lying: boolean } {
  const found = SIZES.find(
    ({ short, long }) => Math.min(width, height) === short && Math.max(width, height) === long,
  )
  return { name: found?.name ?? '', lying: width > height }
}

/** The head of a new page, as the lesson writes on it. */
export function newHead(title: string, paper: Paper): PageHead {
  const own = { writers: 'lesson', desk_of: '', desk_from: '', by: '', hidden: false } as const
  return { id: newId(), title, paper, bays: [], ...own }
}
