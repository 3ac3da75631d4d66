/** A distance between two places, an angle at three: pressed one after the other, or dragged out. */
import { notablePoint } from '../board/points'
import type { Overlay } from '../board/overlay'
import type { Point } from '../board/place'
import { placed } from '../board/text'
import type { ShapeItem } from '../wire/generated'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'

const SNAP_PX = 10
/** A shorter drag is a press. */
const DRAG_PX = 8
const NEEDED = { distance: 2, angle: 3 }

export class MeasureGesture implements Gesture {
  #canvas: Canvas
  #at: Point | null = null
  #from: Point = [0, 0]

  constructor(canvas: Canvas) {
    this.#canvas = canvas
  }

  get #places(): Point[] {
    return this.#canvas.session.tools.measuringAt
  }

  down(at: Point): void {
    this.#from = this.#set(at)
    this.#canvas.session.tools.measuringAt = [...this.#places, this.#from]
    if (this.#done()) this.#make()
  }

  move(at: Point): void {
    if (this.#places.length) this.#at = this.#set(at)
  }

  up(at: Point): void {
    this.#at = null
    const to = this.#set(at)
    const dragged =
      Math.hypot(to[0] - this.#from[0], to[1] - this.#from[1]) * this.#canvas.view.scale > DRAG_PX
    if (!this.#places.length || !dragged) return
    this.#canvas.session.tools.measuringAt = [...this.#places, to]
    if (this.#done()) this.#make()
  }

  cancel(): void {
    this.#canvas.session.tools.measuringAt = this.#places.slice(0, -1)
  }

  draw(overlay: Overlay): void {
    overlay.places([...this.#places, ...(this.#at ? [this.#at] : [])])
  }

  #done(): boolean {
    const { measuring } = this.#canvas.session.tools
    return measuring !== '' && this.#places.length >= NEEDED[measuring]
  }

  #set(at: Point): Point {
    const { session, view } = this.#canvas
    return (session.pages.now && notablePoint(session.pages.now, at, SNAP_PX / view.scale)) || at
  }

  #make(): void {
    const { session } = this.#canvas
    const [[x, y], ...others] = this.#places as [Point, ...Point[]]
    session.tools.measuringAt = []
    const distance = session.tools.measuring === 'distance'
    const item: ShapeItem = {
      kind: 'shape',
      ...placed(session.rights.me, x, y),
      figure: distance ? 'line' : 'polyline',
      points: [[0, 0], ...others.map(([px, py]): Point => [px - x, py - y])],
      parts: [],
      closed: false,
      curved: false,
      colour: session.tools.ink,
      width: 2,
      fill: '',
      dash: 'solid',
      ends: distance ? 'arrows' : 'none',
      opacity: 1,
      text: '',
      size: 22,
      lines: [],
      holds: ['', ''],
      ink: [],
      measured: distance ? ['sides'] : ['angles'],
      measures: null,
    }
    session.do({ step: 'add_items', page: session.pages.id, items: [item] })
  }
}
