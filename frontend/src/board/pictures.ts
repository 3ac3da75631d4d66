/** Pictures of the room: fetched once, told about when they have come, and brought in. */
import { ask, askFile } from '../wire/api'
import type { BroughtIn, Flatten, PrintedLine, PrintedWords } from '../wire/generated'

/** Says when a picture has come, so that what shows it is drawn again. */
export const arrivals = new EventTarget()
/** The board whose pictures are asked for. */
let board = ''
const pictures = new Map<string, HTMLImageElement>()
/** A picture that did not come is asked for again after this, twice as long each time. */
const AGAIN_MS = 2_000
const LAST_AGAIN_MS = 120_000

export function showPicturesOf(boardId: string): void {
  board = boardId
}

/** The picture, or null while it is on its way or when there is none. */
export function pictureOf(id: string): HTMLImageElement | null {
  const picture = pictures.get(id) ?? fetched(id)
  return picture.complete && picture.naturalWidth ? picture : null
}

/** Where a picture of the board's room is fetched. */
export function addressOf(id: string): string {
  return `/boards/${board}/pictures/${id}`
}

function fetched(id: string): HTMLImageElement {
  const picture = new Image()
  const address = addressOf(id)
  let again = AGAIN_MS
  picture.onload = () => arrivals.dispatchEvent(new Event('picture'))
  picture.onerror = () => {
    setTimeout(() => (picture.src = address), again)
    again = Math.min(2 * again, LAST_AGAIN_MS)
  }
  picture.src = address
  pictures.set(id, picture)
  return picture
}

/** The printed words of a picture that is a page of a document. */
export async function printedWords(id: string): Promise<PrintedLine[]> {
  return (await ask<PrintedWords>('GET', `/api${addressOf(id)}/words`)).lines
}

/** What the server makes of a picture: where a sheet lies in it, that sheet made flat, its ink as strokes. */
export function work<T>(
  id: string,
  what: 'sheet' | 'flat' | 'ink',
  wanted: unknown = {},
  signal?: AbortSignal,
): Promise<T> {
  return ask('POST', `/api/boards/${board}/pictures/${id}/${what}`, wanted, signal)
}

/** The sheet in a picture made flat, only to be looked at. */
export function flatSheet(id: string, wanted: Flatten, signal: AbortSignal): Promise<Blob> {
  return askFile(`/api/boards/${board}/pictures/${id}/flat`, wanted, signal)
}

/** Send a picture to the server; rejects with a sentence when it is not taken, or without when given up. */
export function bringIn(file: Blob, signal: AbortSignal): Promise<BroughtIn> {
  return ask('POST', `/api/boards/${board}/pictures`, file, signal)
}
