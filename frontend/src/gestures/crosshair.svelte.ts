/** Setting things down by keys: arrows move a cross-hair over the page, Enter presses there with the tool in hand. */
import { topmost } from '../board/hit'
import type { Overlay } from '../board/overlay'
import type { Point } from '../board/place'
import type { Tool } from '../lesson/tools.svelte'
import { t } from '../words/words.svelte'
import { begin } from './by-tool'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'

/** Tools with which a place is chosen; of these some are dragged from one place to another. */
const SET_DOWN: readonly Tool[] = ['text', 'formula', 'note', 'table', 'stamp', 'shape', 'bay']
const DRAGGED: readonly Tool[] = ['shape', 'bay']
const STEP_PX = 24
const FINE_PX = 3
/** Nearer to the window's edge the paper moves. */
const EDGE_PX = 48
const ARM_PX = 15
const COLOURS = [
  ['#ffffff', 5],
  ['#b4472c', 2],
] as const

export class Crosshair {
  /** Where it is, for those who listen. */
  said = $state.raw('')
  #canvas: Canvas
  #at: Point | null = null
  #page = ''
  /** A figure or a bay between its two corners. */
  #begun: { tool: Tool; gesture: Gesture } | null = null

  constructor(canvas: Canvas) {
    this.#canvas = canvas
  }

  /** Move it by arrows, ``fine`` in small steps; false when nothing is set down with the tool in hand. */
  move(dx: number, dy: number, fine: boolean): boolean {
    const at = this.#place()
    if (!at) return false
    const { view } = this.#canvas
    const step = (fine ? FINE_PX : STEP_PX) / view.scale
    this.#at = [at[0] + dx * step, at[1] + dy * step]
    this.#keepInSight(this.#at)
    this.#begun?.gesture.move(this.#at, PRESS)
    this.#say()
    return true
  }

  /** Press where it is: the first press shows it, of what is dragged the third sets the other corner. */
  press(): boolean {
    const { session } = this.#canvas
    const shown = this.#shown
    const at = this.#place()
    if (!at) return false
    if (!shown) this.#say()
    else if (this.#begun) this.#end(at)
    else {
      const gesture = begin(session.tools.tool, this.#canvas, at)
      gesture?.down(at, PRESS)
      if (gesture) this.#begun = { tool: session.tools.tool, gesture }
      if (!DRAGGED.includes(session.tools.tool)) this.#end(at)
    }
    this.#canvas.redrawOver()
    return true
  }

  /** Give up what was begun, or put the cross-hair away; false when there is neither. */
  giveUp(): boolean {
    const shown = this.#shown
    if (this.#begun) this.#drop()
    else this.#at = null
    this.#canvas.redrawOver()
    return shown
  }

  draw(overlay: Overlay): void {
    if (this.#begun && this.#begun.tool !== this.#canvas.session.tools.tool) this.#drop()
    if (!this.#shown) return
    this.#begun?.gesture.draw(overlay)
    const [x, y] = this.#at!
    const { context } = overlay
    const arm = ARM_PX / this.#canvas.view.scale
    for (const [colour, width] of COLOURS) {
      context.beginPath()
      context.moveTo(x - arm, y)
      context.lineTo(x + arm, y)
      context.moveTo(x, y - arm)
      context.lineTo(x, y + arm)
      context.strokeStyle = colour
      context.lineWidth = width / this.#canvas.view.scale
      context.stroke()
    }
  }

  get #shown(): boolean {
    const { session } = this.#canvas
    const fits = SET_DOWN.includes(session.tools.tool) && !session.selection.ids.size && !session.editing
    return this.#at !== null && this.#page === session.pages.id && fits
  }

  /** Where it is, or comes to be: in the middle of what is seen. Null when it is not for the tool in hand. */
  #place(): Point | null {
    const { session, view } = this.#canvas
    if (!SET_DOWN.includes(session.tools.tool) || session.selection.ids.size || session.rights.as) return null
    const { minX, minY, maxX, maxY } = view.box()
    const [x, y] = this.#at ?? [Infinity, 0]
    const inSight = x >= minX && x <= maxX && y >= minY && y <= maxY
    if (!inSight || this.#page !== session.pages.id) {
      this.#drop()
      this.#at = view.toPage(view.width / 2, view.height / 2)
      this.#page = session.pages.id
    }
    return this.#at
  }

  #end(at: Point): void {
    this.#begun?.gesture.up(at, PRESS)
    this.#begun = null
  }

  #drop(): void {
    this.#begun?.gesture.cancel()
    this.#begun = null
  }

  #keepInSight([x, y]: Point): void {
    const { view } = this.#canvas
    const [left, top] = [x * view.scale + view.left, y * view.scale + view.top]
    const dx = Math.max(EDGE_PX - left, 0) + Math.min(view.width - EDGE_PX - left, 0)
    const dy = Math.max(EDGE_PX - top, 0) + Math.min(view.height - EDGE_PX - top, 0)
    if (dx || dy) this.#canvas.looking.pan(dx, dy)
    this.#canvas.redrawOver()
  }

  #say(): void {
    const [x, y] = this.#at!
    const { session, view } = this.#canvas
    const there = session.pages.now && topmost(session.pages.now, [x, y], 1 / view.scale)
    this.said = t('crosshair-at', { across: Math.round(x), down: Math.round(y), things: there ? 1 : 0 })
  }
}

/** A press of keys, as gestures know presses. */
const PRESS = { shiftKey: false } as PointerEvent
