/** MessagePack of the wire's messages, and ids of this browser's making. */
import { decode, encode } from '@msgpack/msgpack'
import type { FromBrowser, Item, Request, ToBrowser } from './generated'

export function encodeMessage(message: FromBrowser): Uint8Array {
  return encode(message)
}

export function decodeMessage(data: ArrayBuffer): ToBrowser {
  return decode(new Uint8Array(data)) as ToBrowser
}

/** So much of one step does not hold up the line: the server takes more, but puts others first. */
const [MOST_ITEMS, MOST_BYTES] = [400, 400_000]

/** A request in parts that each go over the line by themselves: many or large new things are put on in several steps. */
export function inParts(request: Request): Request[] {
  if (request.step !== 'add_items' || request.items.length < 2) return [request]
  const parts: Item[][] = [[]]
  let bytes = 0
  for (const item of request.items) {
    const size = encode(item).length
    if (parts.at(-1)!.length === MOST_ITEMS || (bytes && bytes + size > MOST_BYTES)) {
      parts.push([])
      bytes = 0
    }
    parts.at(-1)!.push(item)
    bytes += size
  }
  return parts.map((items) => ({ ...request, items }))
}

const LETTERS = '0123456789abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** An id that no other browser makes: 16 letters and digits, 95 bits. */
export function newId(): string {
  // randomUUID needs https, and a tutor's laptop in a classroom net has none.
  return Array.from(crypto.getRandomValues(new Uint32Array(16)), (n) => LETTERS[n % LETTERS.length]).join('')
}
