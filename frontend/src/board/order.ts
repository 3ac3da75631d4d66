/** In which order the things of a page lie over each other, the same on every screen. */
import type { Item } from '../wire/generated'

export interface Placed {
  item: Item
  /** 0: confirmed. Our own that are not lie above all that has a place already, by this number. */
  unconfirmed: number
}

/** Highlighter lies under all else, the rest from the lowest to the highest. */
export function layer(item: Item): number {
  return item.kind === 'ink' && item.nib === 'highlighter' ? 0 : 1
}

export function inOrder(a: Placed, b: Placed): number {
  return (
    layer(a.item) - layer(b.item) ||
    a.unconfirmed - b.unconfirmed ||
    a.item.z - b.item.z ||
    (a.item.id < b.item.id ? -1 : 1)
  )
}
