/** Copying things between pages, boards and rooms, and as text and picture for other programs. */
import { decode, encode } from '@msgpack/msgpack'
import type { Box } from '../board/box'
import { grown, union, itemBox } from '../board/box'
import { drawItems } from '../board/draw'
import { newId } from '../wire/codec'
import type { Item } from '../wire/generated'
import { keepHere } from '../words/here'

const KEPT_AS = 'sunroom-copied-2'
/** A browser keeps about 5 MB for a site, and base64 takes a third more. */
const MOST_BYTES = 3_000_000
const PICTURE_MARGIN = 12
const MOST_PICTURE_PX = 1600

interface Copied {
  /** The board they were copied from: its pictures are fetched from there. */
  board: string
  items: Item[]
}

/** Keep items of a board for pasting, in this browser; false when they are too much. */
export function keepCopied(board: string, items: Item[]): boolean {
  const bytes = encode({ board, items } satisfies Copied)
  if (bytes.length > MOST_BYTES) return false
  return keepHere(KEPT_AS, asBase64(bytes))
}

export function asBase64(bytes: Uint8Array): string {
  let text = ''
  for (let at = 0; at < bytes.length; at += 0x8000)
    text += String.fromCharCode(...bytes.subarray(at, at + 0x8000))
  return btoa(text)
}

export function fromBase64(text: string): Uint8Array {
  return Uint8Array.from(atob(text), (character) => character.charCodeAt(0))
}

/** What was copied last; without items when there is nothing. */
export function copied(): Copied {
  const kept = localStorage.getItem(KEPT_AS)
  try {
    if (kept) return decode(fromBase64(kept)) as Copied
  } catch {
    // What another version kept cannot be pasted.
  }
  return { board: '', items: [] }
}

/** Copies of items under new ids and groups, moved by (dx, dy). */
export function copiesOf(items: Item[], dx: number, dy: number): Item[] {
  const groups = new Map<string, string>()
  const inOrder = items.toSorted((a, b) => a.z - b.z)
  const ids = new Map(items.map(({ id }) => [id, newId()]))
  return inOrder.map((item) => {
    if (item.group && !groups.has(item.group)) groups.set(item.group, newId())
    const group = groups.get(item.group) ?? ''
    // A chart that is copied with its table follows the copy; a line holds on to the copies of what it held.
    if (item.kind === 'chart') item = { ...item, table: ids.get(item.table) ?? item.table }
    if (item.kind === 'shape') {
      const [start, end] = item.holds
      item = { ...item, holds: [ids.get(start) ?? '', ids.get(end) ?? ''] }
    }
    return {
      ...item,
      id: ids.get(item.id)!,
      x: item.x + dx,
      y: item.y + dy,
      z: 0,
      group,
      locked: false,
      pinned: false,
    }
  })
}

export function boxOf(items: Item[]): Box | null {
  return union(items.map(itemBox))
}

/** What other programs get: the typed text, and a picture of everything. */
export function asText(items: Item[]): string {
  return items.flatMap((item) => (item.kind === 'text' ? [item.text] : [])).join('\n')
}

export function asHtml(items: Item[]): string {
  const box = grown(boxOf(items)!, PICTURE_MARGIN)
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY]
  const scale = Math.min(2, MOST_PICTURE_PX / Math.max(width, height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.ceil(width * scale)
  canvas.height = Math.ceil(height * scale)
  const context = canvas.getContext('2d')!
  context.setTransform(scale, 0, 0, scale, -box.minX * scale, -box.minY * scale)
  drawItems(
    context,
    items.toSorted((a, b) => a.z - b.z),
    scale,
  )
  return `<img src="${canvas.toDataURL()}" width="${Math.round(width)}" height="${Math.round(height)}">`
}
