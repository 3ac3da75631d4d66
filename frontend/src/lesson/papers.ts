/** Kinds, sizes and rulings of paper as they are offered. Sizes in board units: 96 to the inch. */
import type { Paper } from '../wire/generated'

export const SIZES = [
  { name: 'A4', short: 794, long: 1123 },
  { name: 'A5', short: 559, long: 794 },
  { name: 'Letter', short: 816, long: 1056 },
  { name: '16:9', short: 720, long: 1280 },
] as const

export const KINDS: { value: Paper['kind']; label: string; hint: string }[] = [
  { value: 'endless', label: 'Endless', hint: 'in any direction' },
  { value: 'roll', label: 'Roll', hint: 'grows down as you write' },
  { value: 'sheet', label: 'Sheet', hint: 'one size, for printing' },
]

export const RULINGS: { value: Paper['ruling']; label: string }[] = [
  { value: 'plain', label: 'Plain' },
  { value: 'squares', label: 'Squares' },
  { value: 'dots', label: 'Dots' },
  { value: 'lines', label: 'Lines' },
  { value: 'handwriting', label: 'Handwriting' },
  { value: 'graph', label: 'Graph' },
  { value: 'isometric', label: 'Isometric' },
  { value: 'polar', label: 'Polar' },
]

export const PAPER_COLOURS = [
  { name: 'White', colour: '#fffefa' },
  { name: 'Cream', colour: '#fbf3df' },
  { name: 'Mint', colour: '#eaf5ee' },
  { name: 'Sky', colour: '#e8f1f8' },
  { name: 'Rose', colour: '#faecec' },
  { name: 'Slate', colour: '#22323a' },
]

export const FIRST_PAPER: Paper = {
  kind: 'endless',
  ruling: 'squares',
  width: 1123,
  height: 794,
  spacing: 40,
  colour: '#fffefa',
  picture: '',
}

/** The size's name, and whether it lies on its long side; "" for another size. */
export function sizeOf({ width, height }: Paper): { name: string; lying: boolean } {
  const found = SIZES.find(
    ({ short, long }) => Math.min(width, height) === short && Math.max(width, height) === long,
  )
  return { name: found?.name ?? '', lying: width > height }
}
