/** One press of a pointer, from down to up, with whatever is in hand. All places in page units. */
import type { Overlay } from '../board/overlay'
import type { Point } from '../board/place'

export interface Gesture {
  down(at: Point, event: PointerEvent): void
  move(at: Point, event: PointerEvent): void
  up(at: Point, event: PointerEvent): void
  cancel(): void
  draw(overlay: Overlay): void
}
