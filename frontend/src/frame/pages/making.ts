/** The steps of a page's making, fetched part by part. */
import type { Making } from '../../board/making'
import { askThings } from '../../wire/api'
import type { Making as Part } from '../../wire/generated'

/** Put all steps into ``making``, and tell of each part that has come; rejects with Problem. */
export async function each(board: string, page: string, making: Making, came: (part: Part) => void) {
  let after = 0
  for (;;) {
    const part = await askThings<Part>(`/api/boards/${board}/pages/${page}/making?after=${after}`)
    making.add(part.steps)
    came(part)
    if (part.whole) return
    after = part.after
  }
}
