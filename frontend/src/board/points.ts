/** Points of a page that something can be set on exactly: corners of figures, ends of lines and strokes. */
import { unpackSamples } from '../ink/samples'
import type { Item } from '../wire/generated'
import type { Page } from './page'
import { placement, pointOf, type Point } from './place'

/** Of more things than this in one place none is meant. */
const MOST = 60

/** The nearest such point that is no further than ``reach`` (board units) from a place. */
export function notablePoint(page: Page, [x, y]: Point, reach: number): Point | null {
  const near = page.at({ minX: x - reach, minY: y - reach, maxX: x + reach, maxY: y + reach })
  let found: Point | null = null
  for (const { item } of near.slice(-MOST)) {
    for (const point of pointsOf(item)) {
      const away = Math.hypot(point[0] - x, point[1] - y)
      if (away <= reach) [found, reach] = [point, away]
    }
  }
  return found
}

function pointsOf(item: Item): Point[] {
  const along = placement(item)
  if (item.kind === 'ink') {
    const samples = unpackSamples(item.samples)
    const last = samples.length - 4
    return last < 0 ? [] : [0, last].map((at) => pointOf(along, samples[at]!, samples[at + 1]!))
  }
  if (item.kind !== 'shape') return []
  // Of a curved line every third point lies on it.
  const points = item.curved ? item.points.filter((_, n) => n % 3 === 0) : item.points
  const middle: [number, number][] =
    item.figure === 'circle' || item.figure === 'ellipse' ? [middleOf(item.points)] : []
  return [...points, ...middle].map(([x, y]) => pointOf(along, x, y))
}

function middleOf(points: readonly (readonly [number, number])[]): [number, number] {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2]
}
