/** Boxes in board units, and the box of each kind of item; twin of item_box in sunroom/core/board/items.py. */
import { reach } from '../ink/outline'
import { unpackSamples, type Samples } from '../ink/samples'
import type { InkItem, Item } from '../wire/generated'

export interface Box {
  minX: number
  minY: number
  maxX: number
  maxY: number
}

const LINE_HEIGHT = 1.3

const unpacked = new WeakMap<Uint8Array, Samples>()

/** The samples of a stroke, relative to its place; unpacked once. */
export function samplesOf(item: InkItem): Samples {
  let samples = unpacked.get(item.samples)
  if (!samples) unpacked.set(item.samples, (samples = unpackSamples(item.samples)))
  return samples
}

export function itemBox(item: Item): Box {
  if (item.kind === 'ink')
    return grown(moved(pointsBox(samplesOf(item), 4), item.x, item.y), reach(item.width))
  if (item.kind === 'text') {
    const width = Math.max(0, ...item.lines.map((line) => line[2]))
    const height = Math.max(1, item.lines.length) * LINE_HEIGHT * item.size
    return { minX: item.x, minY: item.y, maxX: item.x + width, maxY: item.y + height }
  }
  return grown(moved(pointsBox(item.points.flat(), 2), item.x, item.y), item.width / 2)
}

function pointsBox(values: ArrayLike<number>, stride: number): Box {
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity }
  for (let i = 0; i < values.length; i += stride) {
    box.minX = Math.min(box.minX, values[i]!)
    box.maxX = Math.max(box.maxX, values[i]!)
    box.minY = Math.min(box.minY, values[i + 1]!)
    box.maxY = Math.max(box.maxY, values[i + 1]!)
  }
  return box
}

export function moved(box: Box, dx: number, dy: number): Box {
  return { minX: box.minX + dx, minY: box.minY + dy, maxX: box.maxX + dx, maxY: box.maxY + dy }
}

export function grown(box: Box, by: number): Box {
  return { minX: box.minX - by, minY: box.minY - by, maxX: box.maxX + by, maxY: box.maxY + by }
}

export function union(boxes: Iterable<Box>): Box | null {
  let all: Box | null = null
  for (const box of boxes) {
    all = all
      ? {
          minX: Math.min(all.minX, box.minX),
          minY: Math.min(all.minY, box.minY),
          maxX: Math.max(all.maxX, box.maxX),
          maxY: Math.max(all.maxY, box.maxY),
        }
      : { ...box }
  }
  return all
}

export function overlaps(a: Box, b: Box): boolean {
  return a.minX <= b.maxX && b.minX <= a.maxX && a.minY <= b.maxY && b.minY <= a.maxY
}
