/** Pictures being brought in: put on the page, or under it as its paper. */
import { bringIn } from '../board/pictures'
import { newId } from '../wire/codec'
import type { BroughtIn, Item, PageHead } from '../wire/generated'
import type { Point } from '../board/place'
import type { Inside } from './inside'

/** A picture takes at most this part of what is seen. */
const PICTURE_PART = 0.7
/** Between two that are brought in together, in board units. */
const GAP = 16

export class Pictures {
  /** A picture on its way to the server; aborting gives it up. */
  bringing = $state.raw<AbortController | null>(null)
  #inside: Inside

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** Bring pictures in and put them side by side about a place, so that they fit into what is seen (in units). */
  async put(files: readonly Blob[], [x, y]: Point, [wide, high]: Point): Promise<void> {
    const taken = (await Promise.all(files.map((file) => this.take(file)))).filter((one) => one !== null)
    if (!taken.length) return
    const room = (PICTURE_PART * wide - GAP * (taken.length - 1)) / taken.length
    const sizes = taken.map(({ width, height }) => {
      const scale = Math.min(1, room / width, (PICTURE_PART * high) / height)
      return [width * scale, height * scale] as const
    })
    const all = sizes.reduce((sum, [width]) => sum + width, GAP * (taken.length - 1))
    let left = x - all / 2
    const items = taken.map(({ id }, i) => {
      const [width, height] = sizes[i]!
      const item = this.item(id, left, y - height / 2, width, height)
      left += width + GAP
      return item
    })
    this.#inside.do({ step: 'add_items', page: this.#inside.pages.id, items })
    this.#inside.chooseMade(items.map(({ id }) => id))
  }

  /** A picture on the page, as a new thing of ours. */
  item(picture: string, x: number, y: number, width: number, height: number): Item {
    return {
      kind: 'picture',
      id: newId(),
      x,
      y,
      map: [1, 0, 0, 1],
      z: 0,
      group: '',
      by: this.#inside.rights.me,
      at_ms: 0,
      locked: false,
      pinned: false,
      picture,
      width,
      height,
      opacity: 1,
      text: '',
    }
  }

  /** Bring a picture in as the paper of a page. */
  async asPaper(file: Blob, head: PageHead): Promise<void> {
    const taken = await this.take(file)
    if (taken)
      this.#inside.do({
        step: 'edit_page',
        page: head.id,
        paper: { ...head.paper, picture: taken.id },
      })
  }

  /** Send a picture to the server; null when it was not taken, which has been said. */
  async take(file: Blob): Promise<BroughtIn | null> {
    if (!this.#inside.rights.may('add_picture')) {
      this.#inside.say(this.#inside.rights.reason)
      return null
    }
    const bringing = (this.bringing ??= new AbortController())
    try {
      return await bringIn(file, bringing.signal)
    } catch (error) {
      if ((error as Error).message) this.#inside.warn((error as Error).message)
      return null
    } finally {
      if (this.bringing === bringing) this.bringing = null
    }
  }
}
