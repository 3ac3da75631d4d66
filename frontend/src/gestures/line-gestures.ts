/** Dragging one end of a chosen line to another place, or onto a thing that it is to hold. */
import type { DrawFigure, ShapeItem } from '../wire/generated'
import { sketchOf } from '../board/figure'
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

export class LineEndGesture implements Gesture {
  #canvas: Canvas
  #line: ShapeItem
  #ends: [Point, Point]
  #end: 0 | 1

  /** The gesture for the end of the chosen line that lies at a place, if one does. */
  static at(canvas: Canvas, at: Point): LineEndGesture | null {
    const line = chosenLine(canvas)
    if (!line) return null
    const near = endsOf(line).findIndex(
      ([x, y]) => Math.hypot(x - at[0], y - at[1]) * canvas.view.scale <= REACH_PX,
    )
    return near < 0 ? null : new LineEndGesture(canvas, line, near as 0 | 1)
  }

  constructor(canvas: Canvas, line: ShapeItem, end: 0 | 1) {
    this.#canvas = canvas
    this.#line = line
    this.#ends = endsOf(line)
    this.#end = end
  }

  down(): void {}

  move(at: Point, event: PointerEvent): void {
    const fixed = this.#ends[1 - this.#end]!
    const straight = event.shiftKey && this.#line.figure === 'line'
    this.#ends[this.#end] = straight ? straightFrom(fixed, at) : at
  }

  up(at: Point, event: PointerEvent): void {
    this.move(at, event)
    const { session } = this.#canvas
    const [start, end] = this.#ends
    const holds: [string, string] = [...this.#line.holds]
    holds[this.#end] = this.#heldAt()
    session.do({ step: 'move_ends', page: session.pages.id, id: this.#line.id, start, end, holds })
  }

  cancel(): void {}

  draw(overlay: Overlay): void {
    const [[x, y], [endX, endY]] = this.#ends
    const { figure, colour, width, dash, ends, opacity } = this.#line
    const drawn: DrawFigure = {
      step: 'draw_figure',
      page: '',
      id: this.#line.id,
      figure,
      x,
      y,
      width: endX - x,
      height: endY - y,
      colour,
      line_width: width,
      sides: 0,
      fill: '',
      dash,
      ends,
      opacity,
      holds: ['', ''],
    }
    overlay.items([sketchOf(drawn)])
    const held = this.#canvas.session.pages.now?.entries.get(this.#heldAt())
    if (held) overlay.frame(held)
  }

  /** What the dragged end would hold on to. */
  #heldAt(): string {
    const { session, view } = this.#canvas
    return session.pages.now ? holdable(session.pages.now, this.#ends[this.#end]!, HOLD_PX / view.scale) : ''
  }
}
