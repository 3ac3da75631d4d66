/** Steps without an answer, kept in this browser while it is offline, so that a reload loses nothing. */
import { decode, encode } from '@msgpack/msgpack'
import type { Unconfirmed } from '../board/replica'

function key(board: string, seat: string): string {
  return `sunroom-unsent:${board}:${seat}`
}

export function keepUnsent(board: string, seat: string, steps: Unconfirmed[]): void {
  if (!steps.length) return localStorage.removeItem(key(board, seat))
  const bytes = encode(steps.map(({ id, request }) => ({ id, request })))
  let text = ''
  for (const byte of bytes) text += String.fromCharCode(byte)
  try {
    localStorage.setItem(key(board, seat), btoa(text))
  } catch {
    // The browser's store is full: the steps are still in memory and on the screen.
  }
}

export function takeUnsent(board: string, seat: string): Unconfirmed[] {
  const text = localStorage.getItem(key(board, seat))
  if (!text) return []
  localStorage.removeItem(key(board, seat))
  try {
    return decode(Uint8Array.from(atob(text), (c) => c.charCodeAt(0))) as Unconfirmed[]
  } catch {
    return []
  }
}
