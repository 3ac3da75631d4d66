/** Choosing, moving, resizing and turning. */
import type { Affine, ChangeTable, Item, TableItem } from '../wire/generated'
import type { Box } from '../board/box'
import { dragMap, handleAt, type Handle } from '../board/frame'
import { insideBox, insideLasso, topmost } from '../board/hit'
import { Lifted } from '../board/lifted'
import { bendsOf } from '../board/bends'
import { chosenLine, endsOf } from './line-gestures'
import { inOrder } from '../board/order'
import type { Overlay } from '../board/overlay'
import type { Page } from '../board/page'
import { growth, inverse, ownSize, placement, type Point } from '../board/place'
import { catchers, snap, type Guide } from '../board/snap'
import { changedTable } from '../board/tables'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'
import { t } from '../words/words.svelte'

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
export function drawChosen(canvas: Canvas, overlay: Overlay, free: Box | null): void {
  overlay.selection(free ?? canvas.session.selection.box(), Boolean(free))
  const line = chosenLine(canvas)
  if (line) overlay.ends(endsOf(line), bendsOf(line), line.figure === 'curve')
}

/** Click, drag a box, draw a lasso, or move what is chosen. */
export class SelectGesture implements Gesture {
  #canvas: Canvas
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
  /** What the dragged things may be drawn to. */
  #near: Box[] | null = null

  constructor(canvas: Canvas) {
    this.#canvas = canvas
  }

  down(at: Point, event: PointerEvent): void {
    const { session, view } = this.#canvas
    const page = session.pages.now
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
    const { scale } = this.#canvas.view
    this.#at = at
    this.#free = event.shiftKey
    this.#dragged ||= Math.hypot(at[0] - this.#start[0], at[1] - this.#start[1]) * scale > DRAG_PX
    if (this.#canvas.session.tools.selectBy === 'lasso') this.#lasso.push(at)
  }

  up(at: Point, event: PointerEvent): void {
    this.move(at, event)
    const { session } = this.#canvas
    const page = session.pages.now
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
    const { session } = this.#canvas
    const page = session.pages.now
    if (!page) return
    if (this.#dragged && (this.#moving || this.#handle)) {
      const along = this.#map()
      this.#lifted ??= new Lifted(overlay.context, this.#seen(page))
      overlay.lifted(this.#lifted, along)
      if (this.#box) overlay.carriedFrame(this.#box, along)
      overlay.guides(this.#guides, this.#canvas.view.box())
      return
    }
    if (this.#border && this.#dragged) {
      overlay.items([changedTable(this.#border.table, this.#resized())])
      return
    }
    drawChosen(this.#canvas, overlay, this.#box)
    if (this.#moving || this.#handle || !this.#dragged) return
    if (session.tools.selectBy === 'lasso') overlay.lasso(this.#lasso)
    else overlay.frame(this.#marquee())
  }

  /** What is seen of the things that are dragged, in their order. */
  #seen(page: Page): Item[] {
    const { rights, selection } = this.#canvas.session
    const seen = page.at(this.#canvas.view.box()).filter(({ item }) => selection.ids.has(item.id))
    return seen
      .sort(inOrder)
      .map(({ item }) => item)
      .filter((item) => rights.may('change', item))
  }

  /** The inner or last border of the one table chosen that lies at a place. */
  #borderAt(at: Point): Border | null {
    const { session, view } = this.#canvas
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
    return { step: 'change_table', page: this.#canvas.session.pages.id, id: table.id, side }
  }

  #drop(): void {
    const { session } = this.#canvas
    const ids = session.selection.items('change').map((item) => item.id)
    if (!ids.length) return session.say(t('not-yours-to-move'))
    const along = this.#map()
    if (this.#moving)
      session.do({ step: 'move_items', page: session.pages.id, ids, dx: along[4], dy: along[5] })
    else session.do({ step: 'transform_items', page: session.pages.id, ids, matrix: along })
  }

  /** The map that the drag so far means. */
  #map(): Affine {
    const { session, view } = this.#canvas
    if (this.#handle && this.#box) return dragMap(this.#box, this.#handle, this.#start, this.#at, this.#free)
    const [dx, dy] = [this.#at[0] - this.#start[0], this.#at[1] - this.#start[1]]
    this.#guides = []
    // Held down while moving, Shift lets go of everything that would catch.
    if (!session.tools.snap || this.#free || !session.pages.now || !this.#box) return [1, 0, 0, 1, dx, dy]
    // Looked for once a drag: among thousands of things it takes longer than a frame.
    this.#near ??= catchers(session.pages.now, session.selection.ids, view.box())
    const caught = snap(session.pages.now, this.#near, this.#box, dx, dy, view.scale)
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
