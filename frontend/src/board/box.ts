/** Boxes in board units, and the box of each kind of item; twin of item_box in sunroom/core/board/items.py. */
import { headReach, nibReach } from '../ink/outline'
import type { Item, ShapeItem } from '../wire/generated'
import { growth, isUpright, linesOf } from './place'

export interface Box {
  minX: number
  minY: number
  maxX: number
  maxY: number
}

export function itemBox(item: Item): Box {
  const box = pointsBox(linesOf(item).flat())
  if (isUpright(item) || item.kind === 'picture') return box
  const width = item.kind === 'ink' ? nibReach(item.nib, item.width) * growth(item.map) : item.width / 2
  const whole = grown(box, width + headReach(item.ends, item.width))
  return item.kind === 'shape' && item.measures ? withWords(whole, item) : whole
}

/** The box with the words beside a figure. */
function withWords(box: Box, { x, y, measures }: ShapeItem): Box {
  return (measures?.labels ?? []).reduce((all, [text, left, foot, size]) => {
    const words = {
      minX: x + left,
      minY: y + foot - size,
      maxX: x + left + 0.7 * size * text.length,
      maxY: y + foot + 0.3 * size,
    }
    return union([all, words])!
  }, box)
}

export function pointsBox(points: [number, number][]): Box {
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity }
  for (const [x, y] of points) {
    if (x < box.minX) box.minX = x
    if (x > box.maxX) box.maxX = x
    if (y < box.minY) box.minY = y
    if (y > box.maxY) box.maxY = y
  }
  return box
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
