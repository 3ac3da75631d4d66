/** One press of the pointer with each tool, from down to up. All places in page units. */
import { newId } from '../wire/codec'
import type { Item } from '../wire/generated'
import { alongPath } from './hit'
import type { Point } from './place'
import type { Overlay } from './overlay'
import type { Surface } from './surface.svelte'
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
/** Pressure that haste stands for: at rest, and what each px a ms takes away. */
const SLOW_PRESSURE = 0.72
const HASTE = 0.22
const LEAST_PRESSURE = 0.2
/** A brush laid flat writes as broad as one pressed this much harder. */
const TILT_GAIN = 0.45
/** A straight line keeps to steps of this angle. */
const STRAIGHT_STEP_RAD = Math.PI / 12

export class InkGesture implements Gesture {
  #surface: Surface
  #stroke: WetStroke
  #frame = 0
  #start: Point = [0, 0]
  #level: boolean
  #speed: boolean
  #leans: boolean
  #hastePressure = SLOW_PRESSURE
  #last: { x: number; y: number; at: number } | null = null

  constructor(surface: Surface, tool: 'pen' | 'highlight') {
    this.#surface = surface
    const { tools } = surface.session
    const { nib, colour, width, opacity, ends, steady, speed } = tools.inHand
    this.#level = tool === 'highlight' && tools.straightHighlight
    this.#speed = tool === 'pen' && speed
    this.#leans = tool === 'pen' && nib === 'brush'
    this.#stroke = new WetStroke(
      surface.session.pageId,
      tool === 'pen'
        ? { nib, colour, width, opacity, ends }
        : {
            nib: 'highlighter',
            colour: tools.highlight,
            width: tools.highlightNib,
            opacity: 1,
            ends: 'none',
          },
      tool === 'pen' ? steady : 0,
    )
  }

  down(at: Point, event: PointerEvent): void {
    this.#start = this.#guided(at)
    this.#add(at, event)
    this.#relay()
  }

  move(at: Point, event: PointerEvent): void {
    if (event.shiftKey || this.#level) {
      this.#stroke.straightTo(...this.#straight(at), event.timeStamp)
      return
    }
    const target = event.currentTarget as HTMLElement
    const box = target.getBoundingClientRect()
    const place = (e: PointerEvent) => this.#surface.view.toPage(e.clientX - box.left, e.clientY - box.top)
    const parts = event.getCoalescedEvents?.() ?? []
    if (parts.length) for (const part of parts) this.#add(place(part), part)
    else this.#add(at, event)
    const ahead = event.getPredictedEvents?.().at(-1)
    this.#stroke.predicted = ahead ? [...this.#guided(place(ahead)), this.#pressure(ahead), 0] : []
    if (!this.#frame) this.#frame = requestAnimationFrame(() => this.#relay())
  }

  up(at: Point, event: PointerEvent): void {
    cancelAnimationFrame(this.#frame)
    if (event.pointerType !== 'pen' || event.pressure > 0) {
      const { scale } = this.#surface.view
      this.#stroke.finish(...this.#guided(at), this.#pressure(event), event.timeStamp, scale)
    }
    this.keep()
  }

  /** What has been written goes on the board. */
  keep(): void {
    cancelAnimationFrame(this.#frame)
    this.#surface.ruler.release()
    const { session } = this.#surface
    session.do({ step: 'add_items', page: this.#stroke.page, items: [this.#stroke.item(session.me)] })
  }

  cancel(): void {
    cancelAnimationFrame(this.#frame)
    this.#surface.ruler.release()
    this.#surface.session.send(this.#stroke.over())
  }

  draw(overlay: Overlay): void {
    overlay.wet([...this.#stroke.samples, ...this.#stroke.predicted], this.#stroke.look)
  }

  /** The end of a straight line, in steps of 15° from where it began; a level highlighter has one step. */
  #straight([x, y]: Point): Point {
    const [dx, dy] = [x - this.#start[0], y - this.#start[1]]
    if (this.#level) return [x, this.#start[1]]
    const angle = Math.round(Math.atan2(dy, dx) / STRAIGHT_STEP_RAD) * STRAIGHT_STEP_RAD
    const length = dx * Math.cos(angle) + dy * Math.sin(angle)
    return [this.#start[0] + length * Math.cos(angle), this.#start[1] + length * Math.sin(angle)]
  }

  #add(at: Point, event: PointerEvent): void {
    this.#stroke.add(...this.#guided(at), this.#pressure(event), event.timeStamp, this.#surface.view.scale)
  }

  /** Ink begun near the ruler's edge runs along it. */
  #guided(at: Point): Point {
    return this.#surface.ruler.guide(at, this.#surface.view.scale)
  }

  #pressure(event: PointerEvent): number {
    if (event.pointerType === 'pen' && event.pressure > 0)
      return this.#leans ? Math.min(1, event.pressure + TILT_GAIN * leanOf(event)) : event.pressure
    if (!this.#speed) return PLAIN_PRESSURE
    const last = this.#last
    this.#last = { x: event.clientX, y: event.clientY, at: event.timeStamp }
    if (!last || event.timeStamp <= last.at) return this.#hastePressure
    const speed = Math.hypot(event.clientX - last.x, event.clientY - last.y) / (event.timeStamp - last.at)
    const wanted = Math.max(LEAST_PRESSURE, SLOW_PRESSURE - HASTE * speed)
    return (this.#hastePressure += 0.25 * (wanted - this.#hastePressure))
  }

  #relay(): void {
    this.#frame = 0
    const news = this.#stroke.news()
    if (news) this.#surface.session.send(news)
  }
}

/** How flat a pen lies: 0 upright, 1 on the paper. */
function leanOf({ tiltX, tiltY }: PointerEvent): number {
  const [x, y] = [Math.tan((tiltX * Math.PI) / 180), Math.tan((tiltY * Math.PI) / 180)]
  return Math.atan(Math.hypot(x, y)) / (Math.PI / 2)
}

const ERASER_PX = 9
/** The eraser grows with its speed up to this many times, and shrinks again in about a tenth of a second. */
const ERASER_GROWTH = 4
const ERASER_PER_SPEED = 1.1
/** A rub goes on in another step before it has more points than one may have. */
const MAX_RUB_POINTS = 500

export class EraserGesture implements Gesture {
  #surface: Surface
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

  constructor(surface: Surface) {
    this.#surface = surface
    this.#page = surface.session.pageId
    this.#rub = surface.session.tools.eraseBy === 'rub'
  }

  down(at: Point, event: PointerEvent): void {
    this.#last = at
    this.move(at, event)
  }

  move(at: Point, event: PointerEvent): void {
    this.#grow(event)
    const { session, view } = this.#surface
    const page = session.replica.pages.get(this.#page)
    if (!page) return
    const radius = this.#radiusPx / view.scale
    for (const { item } of alongPath(page, this.#last, at, radius)) {
      // Only what this person may erase reacts, and what is locked stays for everybody.
      if (item.locked || !session.may('remove', item.by !== session.me)) continue
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
    overlay.eraser(this.#last, this.#radiusPx / this.#surface.view.scale)
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
    const { session } = this.#surface
    const items = [...this.#items.values()]
    const ids = items.map((item) => item.id)
    const path = this.#path
    this.#items.clear()
    this.#path = path.slice(-1)
    if (!ids.length) return
    if (!this.#rub) return void session.do({ step: 'remove_items', page: this.#page, ids })
    const step = session.do({ step: 'rub_items', page: this.#page, ids, id: newId(), path })
    this.#surface.linger(step, (overlay) => overlay.rubbed(items, path))
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
  /** Whether an arrow is left at the place, or a light is shown that fades. */
  #arrow: boolean

  constructor(surface: Surface) {
    this.#surface = surface
    this.#arrow = surface.session.tools.pointWith === 'arrow'
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
    const { session } = this.#surface
    const point = { type: 'point' as const, page: session.pageId, x, y, on, stay: this.#arrow }
    if (!this.#arrow) this.#surface.point(session.me, point)
    if (performance.now() - this.#sentAt < POINT_EVERY_MS) return
    this.#sentAt = performance.now()
    session.send(point)
  }
}
