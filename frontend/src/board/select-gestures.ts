/** Choosing, moving, resizing and turning; dragging out a figure; moving the ruler. */
import { newId } from '../wire/codec'
import type { Affine, DrawFigure } from '../wire/generated'
import type { Box } from './box'
import { sketchOf } from './figure'
import { dragMap, handleAt, type Handle } from './frame'
import { insideBox, insideLasso, topmost } from './hit'
import { Lifted } from './lifted'
import type { Overlay } from './overlay'
import type { Point } from './place'
import type { Ruler } from './ruler.svelte'
import { snap, type Guide } from './snap'
import type { Surface } from './surface'
import type { Gesture } from './tool-gestures'

const GRAB_PX = 8
const DRAG_PX = 4

/** Click, drag a box, draw a lasso, or move what is chosen. */
export class SelectGesture implements Gesture {
  #surface: Surface
  #start: Point = [0, 0]
  #at: Point = [0, 0]
  #lasso: Point[] = []
  #moving = false
  #dragged = false
  #adding = false
  #free = false
  #handle: Handle | undefined
  #box: Box | null = null
  #lifted: Lifted | null = null
  #guides: Guide[] = []

  constructor(surface: Surface) {
    this.#surface = surface
  }

  down(at: Point, event: PointerEvent): void {
    const { session, view } = this.#surface
    const page = session.page
    this.#start = this.#at = at
    this.#lasso = [at]
    this.#adding = event.shiftKey
    this.#box = session.selectionBox('change')
    this.#handle = this.#box ? handleAt(this.#box, at, view.scale) : undefined
    if (this.#handle) return
    const hit = page && topmost(page, at, GRAB_PX / view.scale)
    if (hit && !this.#adding) {
      if (!session.selection.has(hit.item.id)) session.select([hit.item.id])
      this.#moving = true
      this.#box = session.selectionBox('change')
    } else if (hit) {
      session.toggleSelected(hit.item.id)
    }
  }

  move(at: Point, event: PointerEvent): void {
    const { scale } = this.#surface.view
    this.#at = at
    this.#free = event.shiftKey
    this.#dragged ||= Math.hypot(at[0] - this.#start[0], at[1] - this.#start[1]) * scale > DRAG_PX
    if (this.#surface.session.tools.selectBy === 'lasso') this.#lasso.push(at)
  }

  up(at: Point, event: PointerEvent): void {
    this.move(at, event)
    const { session } = this.#surface
    const page = session.page
    if (!page) return
    if (this.#moving || this.#handle) {
      if (this.#dragged) this.#drop()
      return
    }
    if (!this.#dragged) {
      if (!this.#adding) session.select([])
      return
    }
    const found =
      session.tools.selectBy === 'lasso' ? insideLasso(page, this.#lasso) : insideBox(page, this.#marquee())
    const ids = found.filter((entry) => !entry.item.locked).map((entry) => entry.item.id)
    session.select(this.#adding ? [...session.selection, ...ids] : ids)
  }

  cancel(): void {}

  draw(overlay: Overlay): void {
    const { session } = this.#surface
    const page = session.page
    if (!page) return
    if (this.#dragged && (this.#moving || this.#handle)) {
      const along = this.#map()
      this.#lifted ??= new Lifted(overlay.context, session.selected('change'))
      overlay.lifted(this.#lifted, along)
      if (this.#box) overlay.carriedFrame(this.#box, along)
      overlay.guides(this.#guides, this.#surface.view.box())
      return
    }
    overlay.selection(this.#box ?? session.selectionBox(), Boolean(this.#box))
    if (this.#moving || this.#handle || !this.#dragged) return
    if (session.tools.selectBy === 'lasso') overlay.lasso(this.#lasso)
    else overlay.frame(this.#marquee())
  }

  #drop(): void {
    const { session } = this.#surface
    const ids = session.selected('change').map((item) => item.id)
    if (!ids.length) return session.say('That is not yours to move.')
    const along = this.#map()
    if (this.#moving)
      session.do({ step: 'move_items', page: session.pageId, ids, dx: along[4], dy: along[5] })
    else session.do({ step: 'transform_items', page: session.pageId, ids, matrix: along })
  }

  /** The map that the drag so far means. */
  #map(): Affine {
    const { session, view } = this.#surface
    if (this.#handle && this.#box) return dragMap(this.#box, this.#handle, this.#start, this.#at, this.#free)
    const [dx, dy] = [this.#at[0] - this.#start[0], this.#at[1] - this.#start[1]]
    this.#guides = []
    // Held down while moving, Shift lets go of everything that would catch.
    if (!session.tools.snap || this.#free || !session.page || !this.#box) return [1, 0, 0, 1, dx, dy]
    const caught = snap(session.page, session.selection, this.#box, dx, dy, view.box(), view.scale)
    this.#guides = caught.guides
    return [1, 0, 0, 1, caught.dx, caught.dy]
  }

  #marquee(): Box {
    return {
      minX: Math.min(this.#start[0], this.#at[0]),
      minY: Math.min(this.#start[1], this.#at[1]),
      maxX: Math.max(this.#start[0], this.#at[0]),
      maxY: Math.max(this.#start[1], this.#at[1]),
    }
  }
}

/** A figure is as large as the drag; a mere press makes one of this size. */
const PRESSED_PX = 120
const ALWAYS_EQUAL = ['square', 'circle']
const DIRECTED = ['line', 'elbow', 'curve']
const LINE_STEP_RAD = Math.PI / 12

export class ShapeGesture implements Gesture {
  #surface: Surface
  #start: Point = [0, 0]
  #id = newId()
  #drawn: DrawFigure | null = null

  constructor(surface: Surface) {
    this.#surface = surface
  }

  down(at: Point): void {
    this.#start = at
  }

  move(at: Point, event: PointerEvent): void {
    this.#drawn = this.#figure(at[0] - this.#start[0], at[1] - this.#start[1], event.shiftKey)
  }

  up(at: Point, event: PointerEvent): void {
    const { session, view } = this.#surface
    this.move(at, event)
    const drawn = this.#drawn!
    if (Math.hypot(drawn.width, drawn.height) * view.scale < DRAG_PX) {
      const side = PRESSED_PX / view.scale
      this.#drawn = this.#figure(side, side, true)
    }
    session.do(this.#drawn!)
    session.selectNext([this.#id])
  }

  cancel(): void {
    this.#drawn = null
  }

  draw(overlay: Overlay): void {
    if (this.#drawn) overlay.items([sketchOf(this.#drawn)])
  }

  /** ``even``: equal sides, a circle, or a line in steps of 15°. */
  #figure(width: number, height: number, even: boolean): DrawFigure {
    const { session } = this.#surface
    const { shape, ink } = session.tools
    if (DIRECTED.includes(shape.figure)) {
      if (even && shape.figure === 'line') {
        const angle = Math.round(Math.atan2(height, width) / LINE_STEP_RAD) * LINE_STEP_RAD
        const length = Math.hypot(width, height)
        ;[width, height] = [length * Math.cos(angle), length * Math.sin(angle)]
      }
    } else if (even || ALWAYS_EQUAL.includes(shape.figure)) {
      const side = Math.max(Math.abs(width), Math.abs(height))
      ;[width, height] = [Math.sign(width || 1) * side, Math.sign(height || 1) * side]
    }
    return {
      step: 'draw_figure',
      page: session.pageId,
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
    }
  }
}

/** Moving the ruler by its body, turning it by an end. */
export class RulerGesture implements Gesture {
  #ruler: Ruler
  #part: string
  #last: Point = [0, 0]

  constructor(ruler: Ruler, part: 'body' | 'far end' | 'near end') {
    this.#ruler = ruler
    this.#part = part
  }

  down(at: Point): void {
    this.#last = at
  }

  move(at: Point, event: PointerEvent): void {
    if (this.#part === 'body') this.#ruler.move(at[0] - this.#last[0], at[1] - this.#last[1])
    else this.#ruler.turnTowards(at, this.#part === 'far end', event.shiftKey)
    this.#last = at
  }

  up(): void {}
  cancel(): void {}
  draw(): void {}
}
