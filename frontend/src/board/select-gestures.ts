/** Choosing, moving, resizing and turning; dragging out a figure; moving the ruler. */
import { newId } from '../wire/codec'
import type { Affine, ChangeTable, DrawFigure, Item, TableItem } from '../wire/generated'
import type { Box } from './box'
import { sketchOf } from './figure'
import { dragMap, handleAt, type Handle } from './frame'
import { holdable, insideBox, insideLasso, topmost } from './hit'
import { Lifted } from './lifted'
import { chosenLine, endsOf, HOLD_PX, isDirected, straightFrom } from './line-gestures'
import type { Overlay } from './overlay'
import { growth, inverse, ownSize, placement, type Point } from './place'
import type { Ruler } from './ruler.svelte'
import { snap, type Guide } from './snap'
import { changedTable } from './tables'
import type { Surface } from './surface.svelte'
import type { Gesture } from './tool-gestures'

const GRAB_PX = 8
const BORDER_PX = 6
/** No column or row of a table is dragged to less. */
const LEAST_SIDE = 24
const DRAG_PX = 4

/** A border between a table's columns (``across``) or rows, after number ``index``. */
interface Border {
  table: TableItem
  across: boolean
  index: number
}

/** The frame around what is chosen; handles when ``free`` is the box of what may be changed. */
export function drawChosen(surface: Surface, overlay: Overlay, free: Box | null): void {
  overlay.selection(free ?? surface.session.selection.box(), Boolean(free))
  const line = chosenLine(surface)
  if (line) overlay.ends(endsOf(line))
}

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
  /** The border of a table that is dragged: its number among columns or rows. */
  #border: Border | null = null
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
    this.#box = session.selection.box('change')
    this.#handle = this.#box ? handleAt(this.#box, at, view.scale) : undefined
    if (this.#handle) return
    this.#border = this.#borderAt(at)
    if (this.#border) return
    const hit = page && topmost(page, at, GRAB_PX / view.scale)
    if (hit && !this.#adding) {
      if (!session.selection.ids.has(hit.item.id)) session.selection.choose([hit.item.id])
      this.#moving = true
      this.#box = session.selection.box('change')
    } else if (hit) {
      session.selection.toggle(hit.item.id)
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
    if (this.#border) {
      if (this.#dragged) session.do(this.#resized())
      return
    }
    if (this.#moving || this.#handle) {
      if (this.#dragged) this.#drop()
      return
    }
    if (!this.#dragged) {
      if (!this.#adding) session.selection.choose([])
      return
    }
    const found =
      session.tools.selectBy === 'lasso' ? insideLasso(page, this.#lasso) : insideBox(page, this.#marquee())
    const ids = found.filter((entry) => !entry.item.locked).map((entry) => entry.item.id)
    session.selection.choose(this.#adding ? [...session.selection.ids, ...ids] : ids)
  }

  cancel(): void {}

  draw(overlay: Overlay): void {
    const { session } = this.#surface
    const page = session.page
    if (!page) return
    if (this.#dragged && (this.#moving || this.#handle)) {
      const along = this.#map()
      this.#lifted ??= new Lifted(overlay.context, session.selection.items('change'))
      overlay.lifted(this.#lifted, along)
      if (this.#box) overlay.carriedFrame(this.#box, along)
      overlay.guides(this.#guides, this.#surface.view.box())
      return
    }
    if (this.#border && this.#dragged) {
      overlay.items([changedTable(this.#border.table, this.#resized())])
      return
    }
    drawChosen(this.#surface, overlay, this.#box)
    if (this.#moving || this.#handle || !this.#dragged) return
    if (session.tools.selectBy === 'lasso') overlay.lasso(this.#lasso)
    else overlay.frame(this.#marquee())
  }

  /** The inner or last border of the one table chosen that lies at a place. */
  #borderAt(at: Point): Border | null {
    const { session, view } = this.#surface
    const [item, ...more] = session.selection.items('change')
    if (item?.kind !== 'table' || more.length) return null
    const [x, y] = inverse(placement(item), at)
    const [width, height] = ownSize(item)
    const reach = BORDER_PX / (view.scale * growth(item.map))
    if (x < 0 || y < 0 || x > width + reach || y > height + reach) return null
    for (const [across, sides, place] of [
      [true, item.columns, x],
      [false, item.rows, y],
    ] as const) {
      let edge = 0
      for (const [index, side] of sides.entries()) {
        edge += side
        if (Math.abs(edge - place) <= reach) return { table: item, across, index }
      }
    }
    return null
  }

  /** The step that gives the dragged border its new place. */
  #resized(): ChangeTable {
    const { table, across, index } = this.#border!
    const place = placement(table)
    const [a, b] = [inverse(place, this.#start), inverse(place, this.#at)]
    const moved = across ? b[0] - a[0] : b[1] - a[1]
    const units = Math.max(LEAST_SIDE, (across ? table.columns : table.rows)[index]! + moved)
    const side = { across, index, units }
    return { step: 'change_table', page: this.#surface.session.pageId, id: table.id, side }
  }

  #drop(): void {
    const { session } = this.#surface
    const ids = session.selection.items('change').map((item) => item.id)
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
    const caught = snap(session.page, session.selection.ids, this.#box, dx, dy, view.box(), view.scale)
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
    session.selection.chooseMade([this.#id])
  }

  cancel(): void {
    this.#drawn = null
  }

  draw(overlay: Overlay): void {
    if (this.#drawn) overlay.items([sketchOf(this.#drawn)])
  }

  /** What a line's end at a place holds on to. */
  #holdAt(at: Point): string {
    const { session, view } = this.#surface
    if (!isDirected(session.tools.shape.figure) || !session.page) return ''
    return holdable(session.page, at, HOLD_PX / view.scale)
  }

  /** ``even``: equal sides, a circle, or a line in steps of 15°. */
  #figure(width: number, height: number, even: boolean): DrawFigure {
    const { session } = this.#surface
    const { shape, ink } = session.tools
    if (isDirected(shape.figure)) {
      if (even && shape.figure === 'line') [width, height] = straightFrom([0, 0], [width, height])
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
      holds: [this.#holdAt(this.#start), this.#holdAt([this.#start[0] + width, this.#start[1] + height])],
    }
  }
}

/** One press sets something ready down. */
export class SetDownGesture implements Gesture {
  #surface: Surface
  #make: (at: Point) => Item[]
  #items: Item[] = []

  constructor(surface: Surface, make: (at: Point) => Item[]) {
    this.#surface = surface
    this.#make = make
  }

  down(at: Point): void {
    this.#items = this.#make(at)
  }

  move(at: Point): void {
    this.#items = this.#make(at)
  }

  up(): void {
    const { session } = this.#surface
    session.do({ step: 'add_items', page: session.pageId, items: this.#items })
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
