/** MessagePack of the wire's messages, and ids of this browser's making. */
import { decode, encode } from '@msgpack/msgpack'
import type { FromBrowser, ToBrowser } from './generated'

export function encodeMessage(message: FromBrowser): Uint8Array {
  return encode(message)
}

export function decodeMessage(data: ArrayBuffer): ToBrowser {
  return decode(new Uint8Array(data)) as ToBrowser
}

const LETTERS = '0123456789abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** An id that no other browser makes: 16 letters and digits, 95 bits. */
export function newId(): string {
  // randomUUID needs https, and a tutor's laptop in a classroom net has none.
  return Array.from(crypto.getRandomValues(new Uint32Array(16)), (n) => LETTERS[n % LETTERS.length]).join('')
}
