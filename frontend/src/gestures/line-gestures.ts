/** Dragging one end of a chosen line to another place, or onto a thing that it is to hold. */
import type { ShapeItem } from '../wire/generated'
import { bendsOf, bent } from '../board/bends'
import { holdable } from '../board/hit'
import type { Overlay } from '../board/overlay'
import { placement, pointOf, type Point } from '../board/place'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'

const REACH_PX = 12
export const HOLD_PX = 10
export const LINE_STEP_RAD = Math.PI / 12
const DIRECTED: readonly string[] = ['line', 'elbow', 'curve']

export function isDirected(figure: string): boolean {
  return DIRECTED.includes(figure)
}

/** A line's two ends on the page. */
export function endsOf(line: ShapeItem): [Point, Point] {
  const along = placement(line)
  const [first, last] = [line.points[0]!, line.points.at(-1)!]
  return [pointOf(along, ...first), pointOf(along, ...last)]
}

/** From ``from`` to a place, in steps of 15°. */
export function straightFrom(from: Point, [x, y]: Point): Point {
  const angle = Math.round(Math.atan2(y - from[1], x - from[0]) / LINE_STEP_RAD) * LINE_STEP_RAD
  const length = Math.hypot(x - from[0], y - from[1])
  return [from[0] + length * Math.cos(angle), from[1] + length * Math.sin(angle)]
}

/** The one line that is chosen and may be changed. */
export function chosenLine(canvas: Canvas): ShapeItem | null {
  const { session } = canvas
  const [item, ...more] = session.selection.ids.size === 1 ? session.selection.items('change') : []
  return item?.kind === 'shape' && isDirected(item.figure) && !more.length ? item : null
}

/** Dragging one end of the chosen line to another place, or onto a thing that it is to hold; or a handle of its bend. */
export class LineEndGesture implements Gesture {
  #canvas: Canvas
  #line: ShapeItem
  #ends: [Point, Point]
  /** The end that is dragged, or the handle when it is a bend. */
  #dragged: { end: 0 | 1 } | { bend: number }
  #inner: Point[] = []

  /** The gesture for the end of the chosen line, or the handle of its bend, that lies at a place, if one does. */
  static at(canvas: Canvas, at: Point): LineEndGesture | null {
    const line = chosenLine(canvas)
    if (!line) return null
    const near = ([x, y]: Point) => Math.hypot(x - at[0], y - at[1]) * canvas.view.scale <= REACH_PX
    const end = endsOf(line).findIndex(near)
    if (end >= 0) return new LineEndGesture(canvas, line, { end: end as 0 | 1 })
    const bend = bendsOf(line).findIndex(near)
    return bend < 0 ? null : new LineEndGesture(canvas, line, { bend })
  }

  constructor(canvas: Canvas, line: ShapeItem, dragged: { end: 0 | 1 } | { bend: number }) {
    this.#canvas = canvas
    this.#line = line
    this.#ends = endsOf(line)
    this.#dragged = dragged
  }

  down(): void {}

  move(at: Point, event: PointerEvent): void {
    const dragged = this.#dragged
    if ('bend' in dragged) {
      this.#inner = bendsOf(this.#line).map((place, i) => (i === dragged.bend ? at : place))
      return
    }
    const fixed = this.#ends[1 - dragged.end]!
    const straight = event.shiftKey && this.#line.figure === 'line'
    this.#ends[dragged.end] = straight ? straightFrom(fixed, at) : at
  }

  up(at: Point, event: PointerEvent): void {
    this.move(at, event)
    const { session } = this.#canvas
    const [start, end] = this.#ends
    const holds: [string, string] = [...this.#line.holds]
    if ('end' in this.#dragged) holds[this.#dragged.end] = this.#heldAt()
    const [page, id] = [session.pages.id, this.#line.id]
    session.do({ step: 'move_ends', page, id, start, end, holds, inner: this.#inner })
  }

  cancel(): void {}

  draw(overlay: Overlay): void {
    overlay.items([this.#shown()])
    const held = this.#canvas.session.pages.now?.entries.get(this.#heldAt())
    if (held) overlay.frame(held)
  }

  /** The line as it runs while it is dragged. */
  #shown(): ShapeItem {
    const [start, end] = this.#ends
    const [x, y] = start
    const course = bent(this.#line, start, end, this.#inner)
    const points = course.map(([px, py]): Point => [px - x, py - y])
    return { ...this.#line, x, y, map: [1, 0, 0, 1], points }
  }

  /** What the dragged end would hold on to. */
  #heldAt(): string {
    const { session, view } = this.#canvas
    const dragged = this.#dragged
    if ('bend' in dragged || !session.pages.now) return ''
    return holdable(session.pages.now, this.#ends[dragged.end]!, HOLD_PX / view.scale)
  }
}
