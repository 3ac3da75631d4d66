/** Moving an instrument by its body, turning or opening it by a grip. */
import type { Part } from '../board/instruments/forms'
import type { Grabbed, Instrument } from '../board/instruments/instrument.svelte'
import { notablePoint } from '../board/points'
import type { Point } from '../board/place'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'

export class InstrumentGesture implements Gesture {
  #canvas: Canvas
  #instrument: Instrument
  #part: Part
  #grabbed: Grabbed

  constructor(canvas: Canvas, { instrument, part }: { instrument: Instrument; part: Part }) {
    this.#canvas = canvas
    this.#instrument = instrument
    this.#part = part
    this.#grabbed = { at: [0, 0], ...instrument.lying }
    canvas.instruments.take(instrument)
  }

  down(at: Point): void {
    this.#grabbed = { at, ...this.#instrument.lying }
  }

  move(at: Point, event: PointerEvent): void {
    const { measure, instruments, view, session } = this.#canvas
    const page = session.pages.now
    this.#instrument.drag(this.#part, this.#grabbed, at, event.shiftKey, measure.mark, (place, reach) =>
      page ? notablePoint(page, place, reach / view.scale) : null,
    )
    instruments.changed()
  }

  up(): void {}

  /** It lies again where it was taken, as far open as it was. */
  cancel(): void {
    const { x, y, angle, size, arm } = this.#grabbed
    Object.assign(this.#instrument, { x, y, angle, size, arm })
    this.#canvas.instruments.changed()
  }

  draw(): void {}
}
