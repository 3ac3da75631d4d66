/** Bays of a page: how they are drawn over it, and dragging out a new one. */
import type { Session } from '../lesson/session.svelte'
import { newId } from '../wire/codec'
import type { Bay, PageHead } from '../wire/generated'
import type { Box } from './box'
import type { Overlay } from './overlay'
import type { Point } from './place'
import type { Surface } from './surface.svelte'
import type { Gesture } from './tool-gestures'

/** As the core has it: a bay smaller than this a side holds no word. */
const LEAST_SIDE = 40

export function bayBox({ x, y, width, height }: Bay): Box {
  return { minX: x, minY: y, maxX: x + width, maxY: y + height }
}

/** The bay at a place: of those that overlap, the later one. */
export function bayAt(head: PageHead, [x, y]: Point): Bay | undefined {
  return head.bays.findLast(
    (bay) => x >= bay.x && x <= bay.x + bay.width && y >= bay.y && y <= bay.y + bay.height,
  )
}

/** Whose it is to write in a bay. */
export function whose(bay: Bay, session: Session): string {
  switch (bay.rule) {
    case 'tutor_side':
      return 'tutor only'
    case 'open':
      return 'open to all'
    case 'people':
      return bay.people.map((seat) => session.nameOf(seat)).join(', ') || 'nobody yet'
    case 'page':
      return ''
  }
}

export function drawBays(overlay: Overlay, session: Session, chosen: string): void {
  const head = session.page?.head
  for (const bay of head?.bays ?? []) {
    const writing = session.standing?.bays.find((known) => known.bay === bay.id)?.writing
    const mine = session.role === 'student' && (writing?.allowed ?? false)
    overlay.bay(bayBox(bay), bay.title, whose(bay, session), mine, bay.id === chosen)
  }
}

/** Drag out a bay, or press on one to choose it. */
export class BayGesture implements Gesture {
  #surface: Surface
  #start: Point = [0, 0]
  #at: Point = [0, 0]

  constructor(surface: Surface) {
    this.#surface = surface
  }

  down(at: Point): void {
    this.#start = this.#at = at
  }

  move(at: Point): void {
    this.#at = at
  }

  up(at: Point): void {
    this.#at = at
    const { session } = this.#surface
    const head = session.page?.head
    if (!head) return
    const { minX, minY, maxX, maxY } = this.#box()
    if (maxX - minX < LEAST_SIDE || maxY - minY < LEAST_SIDE) {
      session.bay = bayAt(head, this.#start)?.id ?? ''
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
    session.bay = bay.id
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
