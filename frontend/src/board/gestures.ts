/** From pointer events to what they mean: a stroke, a rub, a choice, a pan or a pinch. */
import { Arbiter, type Contact, type Pinch } from './arbiter'
import type { Point } from './place'
import { STAMPS, setDown } from '../lesson/stamps'
import { Editing } from './editing.svelte'
import { BayGesture } from './bays'
import { topmost } from './hit'
import { LineEndGesture } from './line-gestures'
import type { Overlay } from './overlay'
import { newTable } from './text'
import { drawChosen, RulerGesture, SelectGesture, SetDownGesture, ShapeGesture } from './select-gestures'
import type { Surface } from './surface.svelte'
import { EraserGesture, HandGesture, InkGesture, PointerGesture, type Gesture } from './tool-gestures'

const WHEEL_ZOOM = 0.0016
const DOUBLE_PX = 8
const EMPTY_TABLE = [
  ['', '', ''],
  ['', '', ''],
  ['', '', ''],
]

export class Gestures {
  /** Text from another program, to be put at a place. */
  onpaste: (at: Point, text: string) => void = () => {}
  #surface: Surface
  #target: HTMLElement
  #current: { gesture: Gesture; pen: boolean } | null = null
  #arbiter = new Arbiter()
  #spaceHeld = false
  #hover: Point | null = null
  #off = new AbortController()

  constructor(surface: Surface, target: HTMLElement) {
    this.#surface = surface
    this.#target = target
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
  }

  destroy(): void {
    this.#off.abort()
  }

  get busy(): boolean {
    return this.#current !== null
  }

  /** Give up what is being drawn or dragged. */
  giveUp(): void {
    this.#current?.gesture.cancel()
    this.#current = null
    this.#arbiter.drop()
    this.#surface.redrawOver()
  }

  draw(overlay: Overlay): void {
    const { session } = this.#surface
    this.#current?.gesture.draw(overlay)
    if (session.selection.ids.size && !(this.#current?.gesture instanceof SelectGesture)) {
      const free = session.selection.box('change')
      drawChosen(this.#surface, overlay, free)
    }
    const { tools } = session
    if (tools.tool === 'eraser' && this.#hover && !this.#current) {
      overlay.eraser(this.#hover, EraserGesture.radius(this.#surface.view.scale))
    }
  }

  #at(event: MouseEvent): Point {
    const box = this.#target.getBoundingClientRect()
    return this.#surface.view.toPage(event.clientX - box.left, event.clientY - box.top)
  }

  #down(event: PointerEvent): void {
    const { givenUp, leads } = this.#arbiter.down(contactOf(event))
    if (givenUp) this.#breakOff()
    if (!leads) return
    const gesture = this.#choose(event)
    if (!gesture) return this.#arbiter.drop()
    event.preventDefault()
    this.#target.focus({ preventScroll: true })
    this.#target.setPointerCapture(event.pointerId)
    this.#current = { gesture, pen: event.pointerType === 'pen' }
    this.#arbiter.writing = gesture instanceof InkGesture
    gesture.down(this.#at(event), event)
    this.#surface.redrawOver()
  }

  /** End what is being done before its time: what a pen has written stays. */
  #breakOff(): void {
    const current = this.#current
    this.#current = null
    if (current?.pen && current.gesture instanceof InkGesture) current.gesture.keep()
    else current?.gesture.cancel()
    this.#surface.redrawOver()
  }

  #choose(event: PointerEvent): Gesture | null {
    const surface = this.#surface
    const { session } = surface
    // A pen's side button erases; a mouse's other buttons move the paper.
    const penButton = event.pointerType === 'pen' && event.button === 2
    if (session.classroom.as) return new HandGesture(surface)
    const panning = (!penButton && (event.button === 1 || event.button === 2)) || this.#spaceHeld
    if (panning) return new HandGesture(surface)
    const part = event.button === 0 ? surface.ruler.partAt(this.#at(event), surface.view.scale) : null
    if (part) return new RulerGesture(surface.ruler, part)
    if (event.pointerType === 'touch' && this.#arbiter.penSeen) return new HandGesture(surface)
    if (event.button !== 0 && event.button !== 5 && !penButton) return null
    // A pen turned around says so with a button of its own.
    const turned = event.button === 5 || event.buttons & 32
    const tool = turned || penButton ? 'eraser' : session.tools.tool
    switch (tool) {
      case 'hand':
        return new HandGesture(surface)
      case 'pen':
      case 'highlight':
        if (session.may('add_ink')) return new InkGesture(surface, tool)
        break
      case 'eraser':
        if (session.may('remove')) return new EraserGesture(surface)
        break
      case 'pointer':
        if (session.may('point')) return new PointerGesture(surface)
        break
      case 'select':
        return LineEndGesture.at(surface, this.#at(event)) ?? new SelectGesture(surface)
      case 'shape':
        if (session.may('add_shape')) return new ShapeGesture(surface)
        break
      case 'bay':
        if (session.may('set_pens')) return new BayGesture(surface)
        break
      case 'ruler':
      case 'bring':
        return new HandGesture(surface)
      case 'text':
        if (session.may('add_text')) return this.#write(Editing.newText(session, this.#at(event)), event)
        break
      case 'note':
        if (session.may('add_note')) return this.#write(Editing.newNote(session, this.#at(event)), event)
        break
      case 'table':
        if (session.may('add_text'))
          return new SetDownGesture(surface, (at) => [newTable(session.me, at, EMPTY_TABLE)])
        break
      case 'stamp':
        if (session.may('add_shape')) {
          const stamp = [...STAMPS, ...session.tools.ownStamps][session.tools.stamp] ?? STAMPS[0]!
          return new SetDownGesture(surface, (at) => setDown(stamp, at, session.me))
        }
    }
    session.say(session.standing?.writing.sentence ?? 'The board is not there yet.')
    return null
  }

  #write(editing: Editing, event: PointerEvent): null {
    event.preventDefault()
    this.#surface.session.editing = editing
    return null
  }

  #move(event: PointerEvent): void {
    this.#hover = event.pointerType === 'touch' ? null : this.#at(event)
    const { leads, pinch } = this.#arbiter.move(contactOf(event))
    if (pinch) return this.#pinched(...pinch)
    if (leads && this.#current) {
      this.#current.gesture.move(this.#at(event), event)
      this.#surface.redrawOver()
    } else if (this.#surface.session.tools.tool === 'eraser') this.#surface.redrawOver()
  }

  #up(event: PointerEvent): void {
    if (!this.#arbiter.up(event.pointerId) || !this.#current) return
    const { gesture } = this.#current
    this.#current = null
    gesture.up(this.#at(event), event)
    this.#surface.redrawOver()
  }

  #cancel(event: PointerEvent): void {
    if (this.#arbiter.up(event.pointerId)) this.#breakOff()
  }

  #leave(): void {
    this.#hover = null
    this.#surface.redrawOver()
  }

  #pinched(before: Pinch, now: Pinch): void {
    const box = this.#target.getBoundingClientRect()
    const { ruler, view } = this.#surface
    if (ruler.partAt(view.toPage(before.x - box.left, before.y - box.top), view.scale)) {
      // Two fingers on the ruler move and turn it, and leave the paper where it is.
      ruler.move((now.x - before.x) / view.scale, (now.y - before.y) / view.scale)
      ruler.spin(now.angle - before.angle)
      return this.#surface.redrawOver()
    }
    this.#surface.pan(now.x - before.x, now.y - before.y)
    this.#surface.zoom(now.distance / before.distance, now.x - box.left, now.y - box.top)
  }

  #wheel(event: WheelEvent): void {
    event.preventDefault()
    if (!event.ctrlKey && this.#surface.ruler.partAt(this.#at(event), this.#surface.view.scale)) {
      this.#surface.ruler.turn(Math.sign(event.deltaY || event.deltaX) * (event.shiftKey ? 15 : 1))
      return this.#surface.redrawOver()
    }
    const unit = event.deltaMode === WheelEvent.DOM_DELTA_LINE ? 20 : 1
    if (event.ctrlKey || event.metaKey) {
      const box = this.#target.getBoundingClientRect()
      const factor = Math.exp(
        -Math.max(-200, Math.min(200, event.deltaY * unit)) * WHEEL_ZOOM * (event.deltaMode ? 1 : 2),
      )
      this.#surface.zoom(factor, event.clientX - box.left, event.clientY - box.top)
    } else {
      const [dx, dy] = event.shiftKey ? [event.deltaY, event.deltaX] : [event.deltaX, event.deltaY]
      this.#surface.pan(-dx * unit, -dy * unit)
    }
  }

  #doubleClick(event: MouseEvent): void {
    const { session, view } = this.#surface
    if (session.tools.tool !== 'select' || !session.page) return
    const at = this.#at(event)
    const item = topmost(session.page, at, DOUBLE_PX / view.scale)?.item
    if (!item || item.locked || !session.may('change', item.by !== session.me)) return
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
