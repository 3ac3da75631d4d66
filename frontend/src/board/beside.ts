/** Free paper near a place, for what is brought in, or beside a thing, for what is made of it. */
import type { Box } from './box'
import type { Page } from './page'

type Way = 'down' | 'right' | 'up' | 'left'
type Corner = [x: number, y: number]

/** How often one looks past what is there, and how far away at most, in board units. */
const [MOST_LOOKS, FARTHEST] = [40, 2000]
/** Things that stand beside each other want more room than lines do. */
const LEAST_BESIDE = 40
/** So much further, in board units, may a place be to be on the side that is wanted. */
const FURTHER = 80

/**
 * Upper left corner of the nearest free place of a size below or to the right of a thing, on ``side`` when both are about
 * as near; where neither has any, that side's place all the same.
 */
export function freeBeside(
  page: Page | undefined,
  of: Box,
  size: [width: number, height: number],
  gap: number,
  side: 'below' | 'right',
): Corner {
  const room = Math.max(gap, LEAST_BESIDE)
  // What the thing lies on is no obstacle: a picture, a frame.
  const taken = boxesOf(page).filter((box) => !covers(box, of))
  const below = slide(page, taken, [of.minX, of.maxY + gap], size, gap, 'down')
  const right = slide(page, taken, [of.maxX + room, of.minY], size, room, 'right')
  const [first, other] = side === 'below' ? [below, right] : [right, below]
  return other.far + FURTHER < first.far ? other.corner : first.corner
}

/** Upper left corner of the free place of a size that is nearest to ``corner``; that one when there is none. */
export function freeNear(
  page: Page | undefined,
  corner: Corner,
  size: [width: number, height: number],
  gap: number,
): Corner {
  const taken = boxesOf(page)
  const ways = (['down', 'right', 'up', 'left'] as const).map((way) =>
    slide(page, taken, corner, size, gap, way),
  )
  return ways.reduce((best, found) => (found.far < best.far ? found : best)).corner
}

/** Where one comes to and how far that is; Infinity, and where one began, when nothing is free on the way. */
interface Found {
  corner: Corner
  far: number
}

function slide(
  page: Page | undefined,
  taken: Box[],
  start: Corner,
  [width, height]: [number, number],
  gap: number,
  way: Way,
): Found {
  const sheet = page?.sheet
  const long = page?.head.paper.kind !== 'sheet'
  let [x, y] = start
  for (let looks = 0; looks < MOST_LOOKS; looks++) {
    const far = Math.abs(x - start[0]) + Math.abs(y - start[1])
    const onPaper =
      !sheet ||
      (x >= sheet.minX && x + width <= sheet.maxX && y >= sheet.minY && (long || y + height <= sheet.maxY))
    if (!onPaper || far > FARTHEST) break
    const met = taken.filter(
      (box) => box.minX < x + width && box.maxX > x && box.minY < y + height && box.maxY > y,
    )
    if (!met.length) return { corner: [x, y], far }
    if (way === 'down') y = Math.max(...met.map((box) => box.maxY)) + gap
    else if (way === 'right') x = Math.max(...met.map((box) => box.maxX)) + gap
    else if (way === 'up') y = Math.min(...met.map((box) => box.minY)) - gap - height
    else x = Math.min(...met.map((box) => box.minX)) - gap - width
  }
  return { corner: start, far: Infinity }
}

function boxesOf(page: Page | undefined): Box[] {
  return [...(page?.entries.values() ?? [])]
}

function covers(box: Box, of: Box): boolean {
  return box.minX <= of.minX && box.minY <= of.minY && box.maxX >= of.maxX && box.maxY >= of.maxY
}
