/** Where items lie: affine maps as in sunroom/core/geometry/affine.py, and the points of items on the page. */
import { LINE_HEIGHT } from '../wire/generated'
import type { Affine, Item, ShapeItem } from '../wire/generated'
import { samplesOf } from '../ink/samples'

export type Point = [number, number]
/** Pieces that each curve of a figure is made straight in, for hits and boxes. */
const PIECES = 8

export function placement({ map: [a, b, c, d], x, y }: Item): Affine {
  return [a, b, c, d, x, y]
}

export function isPlain({ map: [a, b, c, d] }: Item): boolean {
  return a === 1 && b === 0 && c === 0 && d === 1
}

export function pointOf([a, b, c, d, e, f]: Affine, x: number, y: number): Point {
  return [a * x + c * y + e, b * x + d * y + f]
}

/** The map that does ``first`` and then ``then``. */
export function after([a, b, c, d, e, f]: Affine, first: Affine): Affine {
  const [fa, fb, fc, fd, fe, ff] = first
  return [
    a * fa + c * fb,
    b * fa + d * fb,
    a * fc + c * fd,
    b * fc + d * fd,
    a * fe + c * ff + e,
    b * fe + d * ff + f,
  ]
}

/** A linear map that leaves (x, y) where it is. */
export function about(x: number, y: number, a: number, b: number, c: number, d: number): Affine {
  return [a, b, c, d, x - a * x - c * y, y - b * x - d * y]
}

/** The point that a map takes to (x, y). */
export function inverse([a, b, c, d, e, f]: Affine, [x, y]: Point): Point {
  const det = a * d - b * c
  return [(d * (x - e) - c * (y - f)) / det, (-b * (x - e) + a * (y - f)) / det]
}

export function growth([a, b, c, d]: Affine | Item['map']): number {
  return Math.sqrt(Math.abs(a * d - b * c))
}

/** The item as a map takes it; the server says where text comes to lie exactly. */
export function carried<T extends Item>(item: T, along: Affine): T {
  // Where words come to lie when they are flipped the core works out.
  if (isUpright(item) && along[0] * along[3] - along[1] * along[2] < 0) return item
  const [a, b, c, d, x, y] = after(along, placement(item))
  return { ...item, map: [a, b, c, d], x, y }
}

export type Upright = Extract<
  Item,
  { kind: 'text' | 'note' | 'table' | 'card' | 'formula' | 'graph' | 'chart' }
>

/** Kinds that are there to be read: they keep their proportions and are never mirrored. */
export function isUpright(item: Item): item is Upright {
  return ['text', 'note', 'table', 'card', 'formula', 'graph', 'chart'].includes(item.kind)
}

/** Width and height in the item's own space. */
export function ownSize(item: Upright): [number, number] {
  if (item.kind === 'note' || item.kind === 'card' || item.kind === 'graph' || item.kind === 'chart')
    return [item.width, item.height]
  if (item.kind === 'formula') return [item.width * item.size, item.height * item.size]
  if (item.kind === 'table') return [sum(item.columns), sum(item.rows)]
  const width = Math.max(0, ...item.lines.map((line) => line[2]))
  return [width, Math.max(1, item.lines.length) * LINE_HEIGHT * item.size]
}

function sum(values: number[]): number {
  return values.reduce((total, value) => total + value, 0)
}

/** The item's lines on the page, curves made straight, for hits and boxes. */
export function linesOf(item: Item): Point[][] {
  const place = placement(item)
  if (isUpright(item) || item.kind === 'picture') {
    const [width, height] = item.kind === 'picture' ? [item.width, item.height] : ownSize(item)
    const corners: Point[] = [
      [0, 0],
      [width, 0],
      [width, height],
      [0, height],
      [0, 0],
    ]
    return [corners.map(([x, y]) => pointOf(place, x, y))]
  }
  if (item.kind === 'ink') {
    const samples = samplesOf(item)
    const points: Point[] = []
    for (let i = 0; i < samples.length; i += 4) points.push(pointOf(place, samples[i]!, samples[i + 1]!))
    return [points]
  }
  return partsOf(item).map((part) => {
    const points = part.map(([x, y]) => pointOf(place, x, y))
    const line = item.curved ? straightened(points) : points
    return item.closed ? [...line, line[0]!] : line
  })
}

/** The points of each line of a figure, in its own space. */
export function partsOf(item: ShapeItem): Point[][] {
  if (!item.parts.length) return [item.points]
  let at = 0
  return item.parts.map((count) => item.points.slice(at, (at += count)))
}

function straightened(control: Point[]): Point[] {
  const points: Point[] = [control[0]!]
  for (let i = 1; i + 2 < control.length; i += 3) {
    const [a, b, c, d] = [control[i - 1]!, control[i]!, control[i + 1]!, control[i + 2]!]
    for (let piece = 1; piece <= PIECES; piece++) {
      const t = piece / PIECES
      const blend = (axis: 0 | 1) =>
        (1 - t) ** 3 * a[axis] +
        3 * t * (1 - t) ** 2 * b[axis] +
        3 * t * t * (1 - t) * c[axis] +
        t ** 3 * d[axis]
      points.push([blend(0), blend(1)])
    }
  }
  return points
}
