/** From pointer events to what they mean: a stroke, a rub, a choice, a pan or a pinch. */
import { around, topmost } from '../board/hit'
import type { Overlay } from '../board/overlay'
import type { Point } from '../board/place'
import { Editing } from '../lesson/editing.svelte'
import { Arbiter, type Contact, type Pinch } from './arbiter'
import { begin } from './by-tool'
import type { Canvas } from './canvas'
import { Crosshair } from './crosshair.svelte'
import type { Gesture } from './gesture'
import { InkGesture } from './ink-gesture'
import { InstrumentGesture } from './instrument-gesture'
import { drawChosen, SelectGesture } from './select-gestures'
import { EraserGesture, HandGesture } from './tool-gestures'
import type { Tool } from '../lesson/tools.svelte'

const INKING: readonly Tool[] = ['pen', 'highlight', 'eraser', 'pointer']
const WHEEL_ZOOM = 0.0016
const DOUBLE_PX = 8
export class Gestures {
  /** Text from another program, to be put at a place. */
  onpaste: (at: Point, text: string) => void = () => {}
  readonly crosshair: Crosshair
  #canvas: Canvas
  #target: HTMLElement
  #current: { gesture: Gesture; pen: boolean } | null = null
  #arbiter = new Arbiter()
  #spaceHeld = false
  #hover: Point | null = null
  #off = new AbortController()

  constructor(canvas: Canvas, target: HTMLElement) {
    this.#canvas = canvas
    this.#target = target
    this.crosshair = new Crosshair(canvas)
    const on = { signal: this.#off.signal }
    target.addEventListener('pointerdown', (event) => this.#down(event), on)
    target.addEventListener('pointermove', (event) => this.#move(event), on)
    target.addEventListener('pointerup', (event) => this.#up(event), on)
    target.addEventListener('pointercancel', (event) => this.#cancel(event), on)
    target.addEventListener('lostpointercapture', (event) => this.#cancel(event), on)
    target.addEventListener('pointerleave', () => this.#leave(), on)
    target.addEventListener('wheel', (event) => this.#wheel(event), { ...on, passive: false })
    target.addEventListener('contextmenu', (event) => event.preventDefault(), on)
    target.addEventListener('dblclick', (event) => this.#doubleClick(event), on)
    addEventListener('keydown', (event) => this.#space(event, true), on)
    addEventListener('keyup', (event) => this.#space(event, false), on)
    // A key that is let go in another window is not heard of.
    addEventListener('blur', () => (this.#spaceHeld = false), on)
  }

  destroy(): void {
    this.#off.abort()
  }

  /** Keys go to the board. */
  focus(): void {
    this.#target.focus({ preventScroll: true })
  }

  get busy(): boolean {
    return this.#current !== null
  }

  /** Give up what is being drawn or dragged. */
  giveUp(): void {
    const current = this.#current
    this.#current = null
    current?.gesture.cancel()
    this.#arbiter.drop()
    this.#canvas.redrawOver()
  }

  /** What is being written goes on the board as far as it is; all else that is begun is given up. */
  endInk(): void {
    const current = this.#current
    if (current?.gesture instanceof InkGesture) {
      this.#current = null
      current.gesture.keep()
    }
    this.giveUp()
  }

  get writing(): boolean {
    return this.#current?.gesture instanceof InkGesture
  }

  draw(overlay: Overlay): void {
    const { session } = this.#canvas
    this.#current?.gesture.draw(overlay)
    this.crosshair.draw(overlay)
    if (session.selection.ids.size && !(this.#current?.gesture instanceof SelectGesture)) {
      const free = session.selection.box('change')
      drawChosen(this.#canvas, overlay, free)
    }
    const { tools } = session
    if (tools.measuringAt.length && tools.tool === 'ruler' && !this.#current)
      overlay.places(tools.measuringAt)
    if (tools.tool === 'eraser' && this.#hover && !this.#current) {
      overlay.eraser(this.#hover, EraserGesture.radius(this.#canvas.view.scale))
    }
  }

  #at(event: MouseEvent): Point {
    const box = this.#target.getBoundingClientRect()
    return this.#canvas.view.toPage(event.clientX - box.left, event.clientY - box.top)
  }

  #down(event: PointerEvent): void {
    const { givenUp, leads } = this.#arbiter.down(contactOf(event))
    if (givenUp) this.#breakOff()
    if (!leads) return
    const gesture = this.#choose(event)
    if (!gesture) return this.#arbiter.drop()
    event.preventDefault()
    this.focus()
    this.#target.setPointerCapture(event.pointerId)
    this.#current = { gesture, pen: event.pointerType === 'pen' }
    this.#arbiter.writing = gesture instanceof InkGesture
    gesture.down(this.#at(event), event)
    this.#canvas.redrawOver()
  }

  /** End what is being done before its time: what a pen has written stays. */
  #breakOff(): void {
    const current = this.#current
    this.#current = null
    if (current?.pen && current.gesture instanceof InkGesture) current.gesture.keep()
    else current?.gesture.cancel()
    this.#canvas.redrawOver()
  }

  #choose(event: PointerEvent): Gesture | null {
    const canvas = this.#canvas
    const { session } = canvas
    // A pen's side button erases; a mouse's other buttons move the paper.
    const penButton = event.pointerType === 'pen' && event.button === 2
    if (session.rights.as) return new HandGesture(canvas)
    const panning = (!penButton && (event.button === 1 || event.button === 2)) || this.#spaceHeld
    if (panning) return new HandGesture(canvas)
    const taken = event.button === 0 && canvas.instruments.partAt(this.#at(event), 1 / canvas.view.scale)
    if (taken) return new InstrumentGesture(canvas, taken)
    // Where a pen writes, a finger moves the paper; it still chooses, stamps and types.
    const inking = INKING.includes(session.tools.tool)
    if (event.pointerType === 'touch' && this.#arbiter.penSeen && inking) return new HandGesture(canvas)
    if (event.button !== 0 && event.button !== 5 && !penButton) return null
    // A pen turned around says so with a button of its own.
    const turned = event.button === 5 || event.buttons & 32
    const gesture = begin(turned || penButton ? 'eraser' : session.tools.tool, canvas, this.#at(event))
    // Words are typed from here: the press must not take the keyboard back.
    if (session.editing) event.preventDefault()
    return gesture
  }

  #move(event: PointerEvent): void {
    this.#hover = event.pointerType === 'touch' ? null : this.#at(event)
    const { leads, pinch } = this.#arbiter.move(contactOf(event))
    if (pinch) return this.#pinched(...pinch)
    if (leads && this.#current) {
      this.#current.gesture.move(this.#at(event), event)
      this.#canvas.redrawOver()
    } else if (this.#canvas.session.tools.tool === 'eraser') this.#canvas.redrawOver()
  }

  #up(event: PointerEvent): void {
    if (!this.#arbiter.up(event.pointerId, event.timeStamp) || !this.#current) return
    const { gesture } = this.#current
    this.#current = null
    gesture.up(this.#at(event), event)
    this.#canvas.redrawOver()
  }

  #cancel(event: PointerEvent): void {
    if (this.#arbiter.up(event.pointerId, event.timeStamp)) this.#breakOff()
  }

  #leave(): void {
    this.#hover = null
    this.#canvas.redrawOver()
  }

  #pinched(before: Pinch, now: Pinch): void {
    const box = this.#target.getBoundingClientRect()
    const { instruments, view } = this.#canvas
    const under = instruments.partAt(view.toPage(before.x - box.left, before.y - box.top), 1 / view.scale)
    if (under) {
      // Two fingers on an instrument move and turn it, open compasses, and leave the paper where it is.
      const { instrument } = under
      instrument.move((now.x - before.x) / view.scale, (now.y - before.y) / view.scale)
      instrument.spin(now.angle - before.angle)
      if (instrument.form.opens === 'size')
        instrument.resize((instrument.size * now.distance) / before.distance)
      instruments.changed()
      return this.#canvas.redrawOver()
    }
    this.#canvas.looking.pan(now.x - before.x, now.y - before.y)
    this.#canvas.looking.zoom(now.distance / before.distance, now.x - box.left, now.y - box.top)
  }

  #wheel(event: WheelEvent): void {
    event.preventDefault()
    const { instruments, view } = this.#canvas
    const under = event.ctrlKey ? null : instruments.partAt(this.#at(event), 1 / view.scale)
    if (under) {
      // The wheel turns it; over the grip that opens it, it opens it.
      const steps = Math.sign(event.deltaY || event.deltaX) * (event.shiftKey ? 15 : 1)
      if (under.part === 'open') under.instrument.open(-steps, this.#canvas.measure.mark)
      else under.instrument.turn(steps)
      instruments.changed()
      return this.#canvas.redrawOver()
    }
    const unit = event.deltaMode === WheelEvent.DOM_DELTA_LINE ? 20 : 1
    if (event.ctrlKey || event.metaKey) {
      const box = this.#target.getBoundingClientRect()
      const factor = Math.exp(
        -Math.max(-200, Math.min(200, event.deltaY * unit)) * WHEEL_ZOOM * (event.deltaMode ? 1 : 2),
      )
      this.#canvas.looking.zoom(factor, event.clientX - box.left, event.clientY - box.top)
    } else {
      const [dx, dy] = event.shiftKey ? [event.deltaY, event.deltaX] : [event.deltaX, event.deltaY]
      this.#canvas.looking.pan(-dx * unit, -dy * unit)
    }
  }

  #doubleClick(event: MouseEvent): void {
    const { session, view } = this.#canvas
    if (session.tools.tool !== 'select' || !session.pages.now) return
    const at = this.#at(event)
    const item = topmost(session.pages.now, at, DOUBLE_PX / view.scale)?.item ?? around(session.pages.now, at)
    if (item?.kind === 'card') return session.cards.open(item)
    if (!item || !session.rights.may('change', item)) return
    if (item.kind === 'formula') return void (session.formulas.typing = { item, at })
    session.editing = Editing.of(session, item, at)
  }

  #space(event: KeyboardEvent, down: boolean): void {
    if (
      event.key !== ' ' ||
      (event.target as HTMLElement).closest('input, textarea, button, a, [contenteditable]')
    )
      return
    this.#spaceHeld = down
    event.preventDefault()
  }
}

function contactOf(event: PointerEvent): Contact {
  const kind = event.pointerType === 'pen' || event.pointerType === 'touch' ? event.pointerType : 'mouse'
  return { id: event.pointerId, kind, x: event.clientX, y: event.clientY, at: event.timeStamp }
}
