/** Figures dragged out, ready things set down. */
import { newId } from '../wire/codec'
import type { DrawFigure, Item } from '../wire/generated'
import { sketchOf } from '../board/figure'
import { holdable } from '../board/hit'
import { HOLD_PX, isDirected, straightFrom } from './line-gestures'
import type { Overlay } from '../board/overlay'
import { type Point } from '../board/place'
import { Editing } from '../lesson/editing.svelte'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'

const DRAG_PX = 4
/** A figure is as large as the drag; a mere press makes one of this size. */
const PRESSED_PX = 120
/** A shorter drag of the text tool is a press. */
const LEAST_TEXT_PX = 24
const ALWAYS_EQUAL = ['square', 'circle']

export class ShapeGesture implements Gesture {
  #canvas: Canvas
  #start: Point = [0, 0]
  #id = newId()
  #drawn: DrawFigure | null = null

  constructor(canvas: Canvas) {
    this.#canvas = canvas
  }

  down(at: Point): void {
    this.#start = at
  }

  move(at: Point, event: PointerEvent): void {
    this.#drawn = this.#figure(at[0] - this.#start[0], at[1] - this.#start[1], event.shiftKey)
  }

  up(at: Point, event: PointerEvent): void {
    const { session, view } = this.#canvas
    this.move(at, event)
    const drawn = this.#drawn!
    if (Math.hypot(drawn.width, drawn.height) * view.scale < DRAG_PX) {
      const side = PRESSED_PX / view.scale
      this.#drawn = this.#figure(side, side, true)
    }
    session.do(this.#drawn!)
    if (!session.tools.drawsOn) session.selection.chooseMade([this.#id])
  }

  cancel(): void {
    this.#drawn = null
  }

  draw(overlay: Overlay): void {
    if (this.#drawn) overlay.items([sketchOf(this.#drawn)])
  }

  /** What a line's end at a place holds on to. */
  #holdAt(at: Point): string {
    const { session, view } = this.#canvas
    if (!isDirected(session.tools.shape.figure) || !session.pages.now) return ''
    return holdable(session.pages.now, at, HOLD_PX / view.scale)
  }

  /** ``even``: equal sides, a circle, or a line in steps of 15°. */
  #figure(width: number, height: number, even: boolean): DrawFigure {
    const { session } = this.#canvas
    const { shape, ink } = session.tools
    if (isDirected(shape.figure)) {
      if (even && shape.figure === 'line') [width, height] = straightFrom([0, 0], [width, height])
    } else if (even || ALWAYS_EQUAL.includes(shape.figure)) {
      const side = Math.max(Math.abs(width), Math.abs(height))
      ;[width, height] = [Math.sign(width || 1) * side, Math.sign(height || 1) * side]
    }
    return {
      step: 'draw_figure',
      page: session.pages.id,
      id: this.#id,
      figure: shape.figure,
      x: this.#start[0],
      y: this.#start[1],
      width,
      height,
      colour: ink,
      line_width: shape.width,
      sides: shape.sides,
      fill: shape.fill,
      dash: shape.dash,
      ends: shape.ends,
      opacity: 1,
      holds: [this.#holdAt(this.#start), this.#holdAt([this.#start[0] + width, this.#start[1] + height])],
    }
  }
}

/** A press begins a text; a drag begins one as wide as it. */
export class TextGesture implements Gesture {
  #canvas: Canvas
  #start: Point = [0, 0]
  #end: Point = [0, 0]

  constructor(canvas: Canvas) {
    this.#canvas = canvas
  }

  down(at: Point): void {
    this.#start = this.#end = at
  }

  move(at: Point): void {
    this.#end = at
  }

  up(at: Point): void {
    const { session, view } = this.#canvas
    const width = Math.abs(at[0] - this.#start[0])
    const left: Point = [Math.min(at[0], this.#start[0]), this.#start[1]]
    const dragged = width * view.scale >= LEAST_TEXT_PX
    session.editing = Editing.newText(session, dragged ? left : this.#start, dragged ? width : null)
  }

  cancel(): void {
    this.#end = this.#start
  }

  draw(overlay: Overlay): void {
    const [x, y] = this.#start
    if (Math.abs(this.#end[0] - x) * this.#canvas.view.scale < LEAST_TEXT_PX) return
    const size = this.#canvas.session.tools.textSize
    overlay.frame({
      minX: Math.min(x, this.#end[0]),
      maxX: Math.max(x, this.#end[0]),
      minY: y - size * 0.65,
      maxY: y + size * 0.65,
    })
  }
}

/** One press sets something ready down. */
export class SetDownGesture implements Gesture {
  #canvas: Canvas
  #make: (at: Point) => Item[]
  #items: Item[] = []

  constructor(canvas: Canvas, make: (at: Point) => Item[]) {
    this.#canvas = canvas
    this.#make = make
  }

  down(at: Point): void {
    this.#items = this.#make(at)
  }

  move(at: Point): void {
    this.#items = this.#make(at)
  }

  up(): void {
    const { session } = this.#canvas
    session.do({ step: 'add_items', page: session.pages.id, items: this.#items })
    // A table is filled next; a stamp may be wanted again.
    if (session.tools.tool === 'table') session.selection.chooseMade(this.#items.map((item) => item.id))
  }

  cancel(): void {
    this.#items = []
  }

  draw(overlay: Overlay): void {
    overlay.items(this.#items)
  }
}
