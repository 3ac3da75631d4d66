/** A stroke of the pen or the highlighter. */
import type { Point } from '../board/place'
import type { Overlay } from '../board/overlay'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'
import { notablePoint } from '../board/points'
import { WetStroke } from '../board/wet'

/** A mouse and a finger have no pressure: they write with the nib's own width. */
const PLAIN_PRESSURE = 0.5
/** Pressure that haste stands for: at rest, and what each px a ms takes away. */
const SLOW_PRESSURE = 0.72
const HASTE = 0.22
const LEAST_PRESSURE = 0.2
/** A brush laid flat writes as broad as one pressed this much harder. */
const TILT_GAIN = 0.45
/** A hand that shades for minutes writes several strokes, each of which is soon kept; the server takes twice as many samples. */
const MOST_SAMPLES = 10_000
/** A straight line keeps to steps of this angle. */
const STRAIGHT_STEP_RAD = Math.PI / 12

export class InkGesture implements Gesture {
  #canvas: Canvas
  #stroke: WetStroke
  #frame = 0
  #start: Point = [0, 0]
  #level: boolean
  #speed: boolean
  #leans: boolean
  #hastePressure = SLOW_PRESSURE
  #last: { x: number; y: number; at: number } | null = null

  constructor(canvas: Canvas, tool: 'pen' | 'highlight') {
    this.#canvas = canvas
    const { tools } = canvas.session
    const { nib, colour, width, opacity, ends, steady, speed } = tools.inHand
    this.#level = tool === 'highlight' && tools.straightHighlight
    this.#speed = tool === 'pen' && speed
    this.#leans = tool === 'pen' && nib === 'brush'
    this.#stroke = new WetStroke(
      canvas.session.pages.id,
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
    this.#add(at, event, true)
    this.#start = this.#stroke.last
    if (this.#canvas.instruments.guiding) this.#stroke.exact()
    this.#canvas.session.asYouGo.pen(true)
    this.#relay()
  }

  move(at: Point, event: PointerEvent): void {
    if (event.shiftKey || this.#level) {
      this.#stroke.straightTo(...this.#straight(at), event.timeStamp)
      return
    }
    const target = event.currentTarget as HTMLElement
    const box = target.getBoundingClientRect()
    const place = (e: PointerEvent) => this.#canvas.view.toPage(e.clientX - box.left, e.clientY - box.top)
    const parts = event.getCoalescedEvents?.() ?? []
    if (parts.length) for (const part of parts) this.#add(place(part), part)
    else this.#add(at, event)
    const ahead = event.getPredictedEvents?.().at(-1)
    const guided = this.#canvas.instruments.guiding
    this.#stroke.predicted = ahead && !guided ? [...place(ahead), this.#pressure(ahead), 0] : []
    if (!this.#frame) this.#frame = requestAnimationFrame(() => this.#relay())
  }

  up(at: Point, event: PointerEvent): void {
    cancelAnimationFrame(this.#frame)
    if (event.pointerType !== 'pen' || event.pressure > 0) {
      this.#stroke.exact()
      this.#add(at, event, true)
    }
    this.keep()
  }

  /** What has been written goes on the board. */
  keep(): void {
    this.#lifted()
    const { session } = this.#canvas
    session.do({ step: 'add_items', page: this.#stroke.page, items: [this.#stroke.item(session.rights.me)] })
  }

  cancel(): void {
    this.#lifted()
    this.#canvas.session.send(this.#stroke.over())
  }

  #lifted(): void {
    cancelAnimationFrame(this.#frame)
    this.#canvas.instruments.release()
    this.#canvas.session.asYouGo.pen(false)
    this.#canvas.session.attention.lifted()
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

  /** Ink begun near an instrument's edge runs along it; where it ``ends`` or begins, it is set on what is near. */
  #add(at: Point, event: PointerEvent, ends = false): void {
    const { instruments, view, session } = this.#canvas
    const page = session.pages.now
    const paper = page?.head.paper
    const notable = (place: Point, reach: number) =>
      page ? notablePoint(page, place, reach / view.scale) : null
    const places = paper ? instruments.guide(at, 1 / view.scale, ends ? notable : null, paper) : [at]
    const pressure = this.#pressure(event)
    for (const place of places) {
      if (this.#stroke.count >= MOST_SAMPLES) this.#goOn(event.timeStamp)
      this.#stroke.add(...place, pressure, event.timeStamp, view.scale)
    }
  }

  /** What has been written goes on the board, and the pen writes on from where it is. */
  #goOn(timeMs: number): void {
    const { session } = this.#canvas
    const written = this.#stroke
    this.#stroke = written.next(timeMs)
    session.do({ step: 'add_items', page: written.page, items: [written.item(session.rights.me)] })
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
    if (news) this.#canvas.session.send(news)
  }
}

/** How flat a pen lies: 0 upright, 1 on the paper. */
function leanOf({ tiltX, tiltY }: PointerEvent): number {
  const [x, y] = [Math.tan((tiltX * Math.PI) / 180), Math.tan((tiltY * Math.PI) / 180)]
  return Math.atan(Math.hypot(x, y)) / (Math.PI / 2)
}
