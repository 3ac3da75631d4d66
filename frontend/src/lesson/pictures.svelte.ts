/** Pictures being brought in: put on the page, or under it as its paper. */
import { bringIn } from '../board/pictures'
import { newId } from '../wire/codec'
import type { BroughtIn, Item, PageHead } from '../wire/generated'
import type { Inside } from './inside'

/** A picture takes at most this part of what is seen. */
const PICTURE_PART = 0.6

export class Pictures {
  /** A picture on its way to the server; aborting gives it up. */
  bringing = $state.raw<AbortController | null>(null)
  #inside: Inside

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** Bring a picture in and put it at a place, at most ``room`` units wide. */
  async put(file: Blob, [x, y]: [number, number], room: number): Promise<void> {
    const taken = await this.take(file)
    if (!taken) return
    const scale = Math.min(1, (PICTURE_PART * room) / taken.width)
    const [width, height] = [taken.width * scale, taken.height * scale]
    const item: Item = {
      kind: 'picture',
      id: newId(),
      x: x - width / 2,
      y: y - height / 2,
      map: [1, 0, 0, 1],
      z: 0,
      group: '',
      by: this.#inside.rights.me,
      at_ms: 0,
      locked: false,
      pinned: false,
      picture: taken.id,
      width,
      height,
      opacity: 1,
    }
    this.#inside.do({ step: 'add_items', page: this.#inside.pages.id, items: [item] })
    this.#inside.chooseMade([item.id])
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
      if ((error as Error).message) this.#inside.say((error as Error).message)
      return null
    } finally {
      if (this.bringing === bringing) this.bringing = null
    }
  }
}
