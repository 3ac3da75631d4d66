/** Pictures of the room: fetched once, told about when they have come, and brought in. */
import { ask } from '../rooms/api'
import type { BroughtIn } from '../wire/generated'

/** Says when a picture has come, so that what shows it is drawn again. */
export const arrivals = new EventTarget()
/** The board whose pictures are asked for. */
let board = ''
const pictures = new Map<string, HTMLImageElement>()

export function showPicturesOf(boardId: string): void {
  board = boardId
}

/** The picture, or null while it is on its way or when there is none. */
export function pictureOf(id: string): HTMLImageElement | null {
  let picture = pictures.get(id)
  if (!picture) {
    picture = new Image()
    picture.onload = () => arrivals.dispatchEvent(new Event('picture'))
    picture.src = `/boards/${board}/pictures/${id}`
    pictures.set(id, picture)
  }
  return picture.complete && picture.naturalWidth ? picture : null
}

/** Send a picture to the server; rejects with a sentence when it is not taken, or without when given up. */
export function bringIn(file: Blob, signal: AbortSignal): Promise<BroughtIn> {
  return ask('POST', `/api/boards/${board}/pictures`, file, signal)
}
