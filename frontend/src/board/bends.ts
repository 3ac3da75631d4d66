/** How elbows and curves bend between their ends: the twin of core/board/bends.py, for what is shown while one drags. */
import type { ShapeItem } from '../wire/generated'
import { placement, pointOf, type Point } from './place'

const LEAST = 1
const NEAR = 0.5
const BEYOND = 3

/** The course from ``start`` to ``end``, bent as ``line`` is, or by where its handles (``inner``) were put. */
export function bent(line: ShapeItem, start: Point, end: Point, inner: Point[] = []): Point[] {
  const along = placement(line)
  const was = line.points.map(([x, y]) => pointOf(along, x, y))
  if (line.figure === 'elbow') return elbow(was, start, end, inner)
  return line.figure === 'curve' ? curve(was, start, end, inner) : [start, end]
}

/** Where the handles of a line's bend are: on an elbow's middle part, or a curve's control points. */
export function bendsOf(line: ShapeItem): Point[] {
  const along = placement(line)
  const [, one, other] = line.points.map(([x, y]) => pointOf(along, x, y))
  if (line.points.length !== 4) return []
  if (line.figure === 'curve') return [one!, other!]
  return line.figure === 'elbow' ? [[(one![0] + other![0]) / 2, (one![1] + other![1]) / 2]] : []
}

function elbow(was: Point[], start: Point, end: Point, inner: Point[]): Point[] {
  const [first, second] = was as [Point, Point]
  const last = was.at(-1)!
  const axis = Math.abs(second[0] - first[0]) >= Math.abs(second[1] - first[1]) ? 0 : 1
  const span = end[axis] - start[axis]
  if (Math.abs(span) < LEAST || Math.abs(end[1 - axis]! - start[1 - axis]!) < LEAST) return [start, end]
  let share = 0.5
  const before = last[axis] - first[axis]
  if (inner.length === 1) share = (inner[0]![axis] - start[axis]) / span
  else if ((was.length === 3 || was.length === 4) && Math.abs(before) >= LEAST)
    share = (second[axis] - first[axis]) / before
  const at = start[axis] + Math.min(Math.max(share, -BEYOND), 1 + BEYOND) * span
  const upTo = (at: number, [x, y]: Point): Point => (axis === 0 ? [at, y] : [x, at])
  // Of an elbow whose middle part stands at one of its ends two sides are left.
  if (Math.abs(at - start[axis]) < LEAST) return [start, upTo(start[axis], end), end]
  if (Math.abs(at - end[axis]) < LEAST) return [start, upTo(end[axis], start), end]
  return [start, upTo(at, start), upTo(at, end), end]
}

function curve(was: Point[], start: Point, end: Point, inner: Point[]): Point[] {
  if (inner.length === 2) return [start, ...inner, end]
  const [first, one, other, last] = was as [Point, Point, Point, Point]
  const plain = plainCurve(start, end)
  if (was.length !== 4) return plain
  const unbent = plainCurve(first, last)
  if (was.every(([x, y], i) => Math.abs(x - unbent[i]![0]) < NEAR && Math.abs(y - unbent[i]![1]) < NEAR))
    return plain
  const [cx, cy] = [last[0] - first[0], last[1] - first[1]]
  const size = cx * cx + cy * cy
  if (Math.sqrt(size) < LEAST) return plain
  // The bend turns and grows with the way between the ends.
  const [wx, wy] = [end[0] - start[0], end[1] - start[1]]
  const [c, s] = [(wx * cx + wy * cy) / size, (wy * cx - wx * cy) / size]
  const turned = [one, other].map(([x, y]): Point => {
    const [dx, dy] = [x - first[0], y - first[1]]
    return [start[0] + c * dx - s * dy, start[1] + s * dx + c * dy]
  })
  return [start, ...turned, end]
}

function plainCurve(start: Point, end: Point): Point[] {
  const middle = (start[0] + end[0]) / 2
  return [start, [middle, start[1]], [middle, end[1]], end]
}
