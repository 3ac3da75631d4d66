/** The piece box: things kept off the page, to be set down on a page or on all desks. */
import { freeNear } from '../board/beside'
import type { Page } from '../board/page'
import { ask, askThings } from '../wire/api'
import type { Item, ShelfCard } from '../wire/generated'
import { boxOf, copiesOf } from './clipboard'
import type { Inside } from './inside'

/** Room around a piece, in board units. */
const GAP = 24
const MOST_TITLE = 40

/** Keep chosen things in the box; what they are called there. Rejects with a sentence. */
export async function keepPiece(inside: Inside, link: string, items: Item[], other: string): Promise<string> {
  const words = items.map((item) => ('text' in item ? item.text : item.kind === 'card' ? item.title : ''))
  const title = words.join(' ').replace(/\s+/g, ' ').trim().slice(0, MOST_TITLE).trim() || other
  const ids = items.map(({ id }) => id)
  await ask('POST', `/api/rooms/${link}/shelf`, { board: inside.boardId, page: inside.pages.id, title, ids })
  return title
}

/** Set a piece down: about the middle of what is seen, or of the whole page on others. Rejects with a sentence. */
export async function setPieceDown(
  inside: Inside,
  link: string,
  { id }: ShelfCard,
  pages: Page[],
): Promise<void> {
  const items = await askThings<Item[]>(`/api/rooms/${link}/shelf/${id}/things`, new Blob())
  const box = boxOf(items)
  if (!box) return
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY]
  for (const page of pages) {
    const here = page.head.id === inside.pages.id
    const { whole } = page
    const [x0, y0, x1, y1] = here
      ? inside.surface!.looking.seen()
      : [whole.minX, whole.minY, whole.maxX, whole.maxY]
    const middle: [number, number] = [(x0 + x1 - width) / 2, (y0 + y1 - height) / 2]
    const [x, y] = freeNear(page, middle, [width, height], GAP)
    const copies = copiesOf(items, x - box.minX, y - box.minY).map((item) => ({
      ...item,
      by: inside.rights.me,
    }))
    inside.do({ step: 'add_items', page: page.head.id, items: copies })
    if (here) inside.chooseMade(copies.map((item) => item.id))
  }
}
