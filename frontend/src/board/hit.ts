/** What lies under the pointer, under an eraser's path, or inside a box or a lasso. */
import type { Item } from '../wire/generated'
import type { Box } from './box'
import type { Entry, Page } from './page'
import { growth, isUpright, linesOf, type Point } from './place'

/** The topmost item at a place, within ``slack`` board units. */
export function topmost(page: Page, [x, y]: Point, slack: number): Entry | undefined {
  return page
    .at({ minX: x - slack, minY: y - slack, maxX: x + slack, maxY: y + slack })
    .filter((entry) => !entry.item.pinned && distance(entry, [x, y], [x, y]) <= slack)
    .sort((a, b) => b.unconfirmed - a.unconfirmed || b.item.z - a.item.z)[0]
}

/** The topmost thing that a line's end can hold on to at a place. */
export function holdable(page: Page, at: Point, slack: number): string {
  const box = { minX: at[0] - slack, minY: at[1] - slack, maxX: at[0] + slack, maxY: at[1] + slack }
  const found = page
    .at(box)

    .filter(
      ({ item }) => isUpright(item) || item.kind === 'picture' || (item.kind === 'shape' && item.closed),
    )
    .filter(({ item }) => within(at, linesOf(item)[0]!) || distanceTo(item, at) <= slack)
    .sort((a, b) => b.item.z - a.item.z)[0]
  return found?.item.id ?? ''
}

function distanceTo(item: Item, at: Point): number {
  const line = linesOf(item)[0]!
  return Math.min(...line.slice(1).map((point, i) => toSegment(at, line[i]!, point)))
}

/** Items that a path from a to b, ``radius`` wide on each side, touches. */
export function alongPath(page: Page, a: Point, b: Point, radius: number): Entry[] {
  const box = {
    minX: Math.min(a[0], b[0]) - radius,
    minY: Math.min(a[1], b[1]) - radius,
    maxX: Math.max(a[0], b[0]) + radius,
    maxY: Math.max(a[1], b[1]) + radius,
  }
  return page.at(box).filter((entry) => distance(entry, a, b) <= radius)
}

/** Items that lie wholly inside a box. */
export function insideBox(page: Page, box: Box): Entry[] {
  return page
    .at(box)
    .filter((e) => e.minX >= box.minX && e.minY >= box.minY && e.maxX <= box.maxX && e.maxY <= box.maxY)
}

/** Items of which most points lie inside a closed path. */
export function insideLasso(page: Page, lasso: Point[]): Entry[] {
  const xs = lasso.map((p) => p[0])
  const ys = lasso.map((p) => p[1])
  const box = { minX: Math.min(...xs), minY: Math.min(...ys), maxX: Math.max(...xs), maxY: Math.max(...ys) }
  return page.at(box).filter((entry) => {
    const points = linesOf(entry.item).flat()
    const inside = points.filter((point) => within(point, lasso)).length
    return inside > 0.6 * points.length
  })
}

/** Distance from the drawn item to the segment a–b; 0 inside typed text and filled figures. */
function distance(entry: Entry, a: Point, b: Point): number {
  const item = entry.item
  const lines = linesOf(item)
  const solid =
    isUpright(item) || item.kind === 'picture' || (item.kind === 'shape' && (item.fill || item.text))
  if (solid && (within(a, lines[0]!) || within(b, lines[0]!))) return 0
  const half =
    isUpright(item) || item.kind === 'picture'
      ? 0
      : (item.width * (item.kind === 'ink' ? growth(item.map) : 1)) / 2
  let least = Infinity
  for (const points of lines) {
    if (points.length === 1) least = Math.min(least, segmentDistance(points[0]!, points[0]!, a, b))
    for (let i = 1; i < points.length && least > half; i++) {
      least = Math.min(least, segmentDistance(points[i - 1]!, points[i]!, a, b))
    }
  }
  return Math.max(0, least - half)
}

function segmentDistance(a: Point, b: Point, c: Point, d: Point): number {
  if (cross(a, b, c, d)) return 0
  return Math.min(toSegment(a, c, d), toSegment(b, c, d), toSegment(c, a, b), toSegment(d, a, b))
}

function cross(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0])
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0
}

function toSegment(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const length = dx * dx + dy * dy
  const t = length ? Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / length)) : 0
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy)
}

/** Whether a point lies inside a closed path (even-odd). */
function within([x, y]: Point, path: Point[]): boolean {
  let inside = false
  for (let i = 0, j = path.length - 1; i < path.length; j = i++) {
    const [xi, yi] = path[i]!
    const [xj, yj] = path[j]!
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside
  }
  return inside
}

/** The smallest closed figure around a place, though it has no fill there: for its words. */
export function around(page: Page, [x, y]: Point): Item | undefined {
  const size = (entry: Entry) => (entry.maxX - entry.minX) * (entry.maxY - entry.minY)
  return page
    .at({ minX: x, minY: y, maxX: x, maxY: y })
    .filter(({ item }) => item.kind === 'shape' && item.closed)
    .sort((a, b) => size(a) - size(b))[0]?.item
}
