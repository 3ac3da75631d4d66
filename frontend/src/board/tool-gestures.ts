/** One press of the pointer with each tool, from down to up. All places in page units. */
import type { Item } from '../wire/generated'
import { alongPath, insideBox, insideLasso, topmost, type Point } from './hit'
import type { Overlay } from './overlay'
import type { Surface } from './surface'
import { WetStroke } from './wet'

export interface Gesture {
  down(at: Point, event: PointerEvent): void
  move(at: Point, event: PointerEvent): void
  up(at: Point, event: PointerEvent): void
  cancel(): void
  draw(overlay: Overlay): void
}

/** A mouse and a finger have no pressure: they write with the nib's own width. */
const PLAIN_PRESSURE = 0.5
const GRAB_PX = 8
const DRAG_PX = 4

export class InkGesture implements Gesture {
  #surface: Surface
  #stroke: WetStroke
  #frame = 0

  constructor(surface: Surface, tool: 'pen' | 'highlight') {
    this.#surface = surface
    const { tools } = surface.session
    this.#stroke = new WetStroke(
      surface.session.pageId,
      tool === 'pen'
        ? { nib: 'pen', colour: tools.ink, width: tools.nib }
        : { nib: 'highlighter', colour: tools.highlight, width: tools.highlightNib },
    )
  }

  down(at: Point, event: PointerEvent): void {
    this.#add(at, event)
    this.#relay()
  }

  move(at: Point, event: PointerEvent): void {
    const target = event.currentTarget as HTMLElement
    const box = target.getBoundingClientRect()
    const place = (e: PointerEvent) => this.#surface.view.toPage(e.clientX - box.left, e.clientY - box.top)
    const parts = event.getCoalescedEvents?.() ?? []
    if (parts.length) for (const part of parts) this.#add(place(part), part)
    else this.#add(at, event)
    const ahead = event.getPredictedEvents?.().at(-1)
    this.#stroke.predicted = ahead ? [...place(ahead), pressureOf(ahead), 0] : []
    if (!this.#frame) this.#frame = requestAnimationFrame(() => this.#relay())
  }

  up(at: Point, event: PointerEvent): void {
    cancelAnimationFrame(this.#frame)
    if (event.pointerType !== 'pen' || event.pressure > 0) this.#add(at, event)
    const { session } = this.#surface
    session.do({ step: 'add_items', page: this.#stroke.page, items: [this.#stroke.item(session.me)] })
  }

  cancel(): void {
    cancelAnimationFrame(this.#frame)
    this.#surface.session.send(this.#stroke.over())
  }

  draw(overlay: Overlay): void {
    overlay.wet([...this.#stroke.samples, ...this.#stroke.predicted], this.#stroke.nib)
  }

  #add([x, y]: Point, event: PointerEvent): void {
    this.#stroke.add(x, y, pressureOf(event), event.timeStamp, this.#surface.view.scale)
  }

  #relay(): void {
    this.#frame = 0
    const news = this.#stroke.news()
    if (news) this.#surface.session.send(news)
  }
}

function pressureOf(event: PointerEvent): number {
  return event.pointerType === 'pen' && event.pressure > 0 ? event.pressure : PLAIN_PRESSURE
}

export class EraserGesture implements Gesture {
  #surface: Surface
  #items = new Map<string, Item>()
  #last: Point = [0, 0]
  #page: string

  static radius(scale: number): number {
    return 9 / scale
  }

  constructor(surface: Surface) {
    this.#surface = surface
    this.#page = surface.session.pageId
  }

  down(at: Point): void {
    this.#last = at
    this.move(at)
  }

  move(at: Point): void {
    const { session, view } = this.#surface
    const page = session.replica.pages.get(this.#page)
    if (!page) return
    for (const { item } of alongPath(page, this.#last, at, EraserGesture.radius(view.scale))) {
      // Only what this person may erase reacts.
      if (session.may('remove', item.by !== session.me) && (!item.locked || session.tutorSide))
        this.#items.set(item.id, item)
    }
    this.#last = at
  }

  up(at: Point): void {
    this.move(at)
    const ids = [...this.#items.keys()]
    if (ids.length) this.#surface.session.do({ step: 'remove_items', page: this.#page, ids })
  }

  cancel(): void {
    this.#items.clear()
  }

  draw(overlay: Overlay): void {
    overlay.veil([...this.#items.values()])
    overlay.eraser(this.#last, EraserGesture.radius(this.#surface.view.scale))
  }
}

export class HandGesture implements Gesture {
  #surface: Surface
  #x = 0
  #y = 0

  constructor(surface: Surface) {
    this.#surface = surface
  }

  down(_: Point, event: PointerEvent): void {
    ;[this.#x, this.#y] = [event.clientX, event.clientY]
  }

  move(_: Point, event: PointerEvent): void {
    this.#surface.pan(event.clientX - this.#x, event.clientY - this.#y)
    ;[this.#x, this.#y] = [event.clientX, event.clientY]
  }

  up(): void {}
  cancel(): void {}
  draw(): void {}
}

/** Places of a laser pointer are passed on at most this often. */
const POINT_EVERY_MS = 33

export class PointerGesture implements Gesture {
  #surface: Surface
  #sentAt = 0

  constructor(surface: Surface) {
    this.#surface = surface
  }

  down(at: Point): void {
    this.#point(at, true)
  }

  move(at: Point): void {
    this.#point(at, true)
  }

  up(at: Point): void {
    this.#sentAt = 0
    this.#point(at, false)
  }

  cancel(): void {
    this.up([0, 0])
  }

  draw(): void {}

  #point([x, y]: Point, on: boolean): void {
    const { session } = this.#surface
    const point = { type: 'point' as const, page: session.pageId, x, y, on }
    this.#surface.trail(session.me, point)
    if (performance.now() - this.#sentAt < POINT_EVERY_MS) return
    this.#sentAt = performance.now()
    session.send(point)
  }
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

  constructor(surface: Surface) {
    this.#surface = surface
  }

  down(at: Point, event: PointerEvent): void {
    const { session, view } = this.#surface
    const page = session.page
    this.#start = this.#at = at
    this.#lasso = [at]
    this.#adding = event.shiftKey
    const hit = page && topmost(page, at, GRAB_PX / view.scale)
    if (hit && !this.#adding) {
      if (!session.selection.has(hit.item.id)) session.select([hit.item.id])
      this.#moving = true
    } else if (hit) {
      const ids = new Set(session.selection)
      if (!ids.delete(hit.item.id)) ids.add(hit.item.id)
      session.select(ids)
    }
  }

  move(at: Point): void {
    const { scale } = this.#surface.view
    this.#at = at
    this.#dragged ||= Math.hypot(at[0] - this.#start[0], at[1] - this.#start[1]) * scale > DRAG_PX
    if (this.#surface.session.tools.selectBy === 'lasso') this.#lasso.push(at)
  }

  up(at: Point): void {
    this.move(at)
    const { session } = this.#surface
    const page = session.page
    if (!page) return
    if (this.#moving) {
      const [dx, dy] = this.#shift()
      const ids = this.#movable().map((item) => item.id)
      if (this.#dragged && ids.length) session.do({ step: 'move_items', page: page.head.id, ids, dx, dy })
      return
    }
    if (!this.#dragged) {
      if (!this.#adding) session.select([])
      return
    }
    const found =
      session.tools.selectBy === 'lasso' ? insideLasso(page, this.#lasso) : insideBox(page, this.#box())
    const ids = found.map((entry) => entry.item.id)
    session.select(this.#adding ? [...session.selection, ...ids] : ids)
  }

  cancel(): void {}

  draw(overlay: Overlay): void {
    const { session } = this.#surface
    const page = session.page
    if (!page) return
    const [dx, dy] = this.#moving && this.#dragged ? this.#shift() : [0, 0]
    if (this.#moving && this.#dragged) {
      overlay.veil(this.#movable())
      overlay.moving(this.#movable(), dx, dy)
    }
    overlay.selection(page, session.selection, dx, dy)
    if (this.#moving || !this.#dragged) return
    if (session.tools.selectBy === 'lasso') overlay.lasso(this.#lasso)
    else overlay.frame(this.#box())
  }

  #movable(): Item[] {
    const { session } = this.#surface
    return [...session.selection].flatMap((id) => {
      const item = session.page?.entries.get(id)?.item
      const free =
        item && session.may('change', item.by !== session.me) && (!item.locked || session.tutorSide)
      return free ? [item] : []
    })
  }

  #shift(): Point {
    return [this.#at[0] - this.#start[0], this.#at[1] - this.#start[1]]
  }

  #box() {
    return {
      minX: Math.min(this.#start[0], this.#at[0]),
      minY: Math.min(this.#start[1], this.#at[1]),
      maxX: Math.max(this.#start[0], this.#at[0]),
      maxY: Math.max(this.#start[1], this.#at[1]),
    }
  }
}
