/** A bay dragged out over the page. */
import { LEAST_BAY } from '../wire/generated'
import { bayAt } from '../board/bays'
import type { Box } from '../board/box'
import type { Overlay } from '../board/overlay'
import type { Point } from '../board/place'
import { newId } from '../wire/codec'
import type { Bay } from '../wire/generated'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'

/** Drag out a bay, or press on one to choose it. */
export class BayGesture implements Gesture {
  #canvas: Canvas
  #start: Point = [0, 0]
  #at: Point = [0, 0]

  constructor(canvas: Canvas) {
    this.#canvas = canvas
  }

  down(at: Point): void {
    this.#start = this.#at = at
  }

  move(at: Point): void {
    this.#at = at
  }

  up(at: Point): void {
    this.#at = at
    const { session } = this.#canvas
    const head = session.pages.now?.head
    if (!head) return
    const { minX, minY, maxX, maxY } = this.#box()
    if (maxX - minX < LEAST_BAY || maxY - minY < LEAST_BAY) {
      session.pages.bay = bayAt(head, this.#start)?.id ?? ''
      return
    }
    const bay: Bay = {
      id: newId(),
      x: minX,
      y: minY,
      width: maxX - minX,
      height: maxY - minY,
      title: '',
      rule: 'page',
      people: [],
      prints: 'page',
    }
    session.do({ step: 'put_bay', page: head.id, bay })
    session.pages.bay = bay.id
  }

  cancel(): void {
    this.#at = this.#start
  }

  draw(overlay: Overlay): void {
    overlay.frame(this.#box())
  }

  #box(): Box {
    const [[x0, y0], [x1, y1]] = [this.#start, this.#at]
    return { minX: Math.min(x0, x1), minY: Math.min(y0, y1), maxX: Math.max(x0, x1), maxY: Math.max(y0, y1) }
  }
}
