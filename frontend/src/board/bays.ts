/** Bays of a page: where they lie. */
import type { Bay, PageHead } from '../wire/generated'
import type { Box } from './box'
import type { Point } from './place'

export function bayBox({ x, y, width, height }: Bay): Box {
  return { minX: x, minY: y, maxX: x + width, maxY: y + height }
}

/** The bay at a place: of those that overlap, the later one. */
export function bayAt(head: PageHead, [x, y]: Point): Bay | undefined {
  return head.bays.findLast(
    (bay) => x >= bay.x && x <= bay.x + bay.width && y >= bay.y && y <= bay.y + bay.height,
  )
}
