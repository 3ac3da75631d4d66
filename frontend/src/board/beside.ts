/** Free paper beside a thing, for what is made of it. */
import type { Box } from './box'
import type { Page } from './page'

type Side = 'below' | 'right'

/** How often one looks past what is there, and how far away at most, in board units. */
const [MOST_LOOKS, FARTHEST] = [40, 2000]
/** Things that stand beside each other want more room than lines do. */
const LEAST_BESIDE = 40
/** So much further, in board units, may a place be to be on the side that is wanted. */
const FURTHER = 80

/**
 * Upper left corner of the nearest free place of a size below or to the right of a thing, at ``side`` when both are about
 * as near; where neither has any, that side's place all the same.
 */
export function freeBeside(
  page: Page | undefined,
  of: Box,
  [width, height]: [number, number],
  gap: number,
  side: Side,
): [number, number] {
  const sheet = page?.sheet
  const long = page?.head.paper.kind !== 'sheet'
  // What the thing lies on is no obstacle: a picture, a frame.
  const taken = [...(page?.entries.values() ?? [])].filter((box) => !covers(box, of))

  function place(side: Side): { x: number; y: number; far: number } {
    const room = side === 'below' ? gap : Math.max(gap, LEAST_BESIDE)
    const [startX, startY] = side === 'below' ? [of.minX, of.maxY + room] : [of.maxX + room, of.minY]
    let [x, y] = [startX, startY]
    for (let looks = 0; looks < MOST_LOOKS; looks++) {
      const far = x - startX + y - startY
      const onPaper =
        !sheet || (x >= sheet.minX && x + width <= sheet.maxX && (long || y + height <= sheet.maxY))
      if (!onPaper || far > FARTHEST) break
      const met = taken.filter(
        (box) => box.minX < x + width && box.maxX > x && box.minY < y + height && box.maxY > y,
      )
      if (!met.length) return { x, y, far }
      if (side === 'below') y = Math.max(...met.map((box) => box.maxY)) + room
      else x = Math.max(...met.map((box) => box.maxX)) + room
    }
    return { x: startX, y: startY, far: Infinity }
  }

  const first = place(side)
  const other = place(side === 'below' ? 'right' : 'below')
  const { x, y } = other.far + FURTHER < first.far ? other : first
  return [x, y]
}

function covers(box: Box, of: Box): boolean {
  return box.minX <= of.minX && box.minY <= of.minY && box.maxX >= of.maxX && box.maxY >= of.maxY
}
