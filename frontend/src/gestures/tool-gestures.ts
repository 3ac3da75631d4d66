/** Rubbing out, moving the paper, pointing. */
import { MAX_RUB_POINTS } from '../wire/generated'
import { newId } from '../wire/codec'
import type { Item } from '../wire/generated'
import { alongPath } from '../board/hit'
import type { Point } from '../board/place'
import type { Overlay } from '../board/overlay'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'

const ERASER_PX = 9
/** The eraser grows with its speed up to this many times, and shrinks again in about a tenth of a second. */
const ERASER_GROWTH = 4
const ERASER_PER_SPEED = 1.1

export class EraserGesture implements Gesture {
  #canvas: Canvas
  #items = new Map<string, Item>()
  #last: Point = [0, 0]
  #page: string
  #rub: boolean
  #path: [number, number, number][] = []
  #radiusPx = ERASER_PX
  #seen: { x: number; y: number; at: number } | null = null

  static radius(scale: number): number {
    return ERASER_PX / scale
  }

  constructor(canvas: Canvas) {
    this.#canvas = canvas
    this.#page = canvas.session.pages.id
    this.#rub = canvas.session.tools.eraseBy === 'rub'
  }

  down(at: Point, event: PointerEvent): void {
    this.#last = at
    this.move(at, event)
  }

  move(at: Point, event: PointerEvent): void {
    this.#grow(event)
    const { session, view } = this.#canvas
    const page = session.board.replica.pages.get(this.#page)
    if (!page) return
    const radius = this.#radiusPx / view.scale
    for (const { item } of alongPath(page, this.#last, at, radius)) {
      // Only what this person may erase reacts, and what is locked stays for everybody.
      if (!session.rights.may('remove', item)) continue
      if (!this.#rub || item.kind === 'ink') this.#items.set(item.id, item)
    }
    this.#last = at
    this.#path.push([...at, radius])
    if (this.#path.length >= MAX_RUB_POINTS) this.#take()
  }

  up(at: Point, event: PointerEvent): void {
    this.move(at, event)
    this.#take()
  }

  cancel(): void {
    this.#items.clear()
  }

  draw(overlay: Overlay): void {
    const items = [...this.#items.values()]
    if (this.#rub) overlay.rubbed(items, this.#path)
    else overlay.veil(items)
    overlay.eraser(this.#last, this.#radiusPx / this.#canvas.view.scale)
  }

  #grow(event: PointerEvent): void {
    const last = this.#seen
    this.#seen = { x: event.clientX, y: event.clientY, at: event.timeStamp }
    if (!last || event.timeStamp <= last.at) return
    const speed = Math.hypot(event.clientX - last.x, event.clientY - last.y) / (event.timeStamp - last.at)
    const wanted = ERASER_PX * Math.min(ERASER_GROWTH, Math.max(1, ERASER_PER_SPEED * speed))
    this.#radiusPx += 0.3 * (wanted - this.#radiusPx)
  }

  #take(): void {
    const { session } = this.#canvas
    const items = [...this.#items.values()]
    const ids = items.map((item) => item.id)
    const path = this.#path
    this.#items.clear()
    this.#path = path.slice(-1)
    if (!ids.length) return
    if (!this.#rub) return void session.do({ step: 'remove_items', page: this.#page, ids })
    const step = session.do({ step: 'rub_items', page: this.#page, ids, id: newId(), path })
    this.#canvas.linger(step, (overlay) => overlay.rubbed(items, path))
  }
}

export class HandGesture implements Gesture {
  #canvas: Canvas
  #x = 0
  #y = 0

  constructor(canvas: Canvas) {
    this.#canvas = canvas
  }

  down(_: Point, event: PointerEvent): void {
    ;[this.#x, this.#y] = [event.clientX, event.clientY]
  }

  move(_: Point, event: PointerEvent): void {
    this.#canvas.looking.pan(event.clientX - this.#x, event.clientY - this.#y)
    ;[this.#x, this.#y] = [event.clientX, event.clientY]
  }

  up(): void {}
  cancel(): void {}
  draw(): void {}
}

/** Places of a laser pointer are passed on at most this often. */
const POINT_EVERY_MS = 33

export class PointerGesture implements Gesture {
  #canvas: Canvas
  #sentAt = 0
  /** Whether an arrow is left at the place, or a light is shown that fades. */
  #arrow: boolean

  constructor(canvas: Canvas) {
    this.#canvas = canvas
    this.#arrow = canvas.session.tools.pointWith === 'arrow'
  }

  down(at: Point): void {
    if (this.#arrow) return
    this.#point(at, true)
  }

  move(at: Point): void {
    if (!this.#arrow) this.#point(at, true)
  }

  up(at: Point): void {
    this.#sentAt = 0
    if (this.#arrow) return this.#point(at, true)
    this.#point(at, false)
  }

  cancel(): void {
    if (!this.#arrow) this.up([0, 0])
  }

  draw(): void {}

  #point([x, y]: Point, on: boolean): void {
    const { session } = this.#canvas
    const point = { type: 'point' as const, page: session.pages.id, x, y, on, stay: this.#arrow }
    if (!this.#arrow) this.#canvas.point(session.rights.me, point)
    if (performance.now() - this.#sentAt < POINT_EVERY_MS) return
    this.#sentAt = performance.now()
    session.send(point)
  }
}
