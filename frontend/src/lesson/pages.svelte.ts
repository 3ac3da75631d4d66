/** The board's pages in their order, and the one that is looked at. */
import type { Page } from '../board/page'
import type { Replica } from '../board/replica'
import type { PageHead } from '../wire/generated'

export interface PagesEvents {
  /** A page is about to be turned: what is begun on this one is ended first. */
  turning(): void
  /** ``along``: another device of this person has turned it. */
  turned(along: boolean): void
}

export class Pages {
  heads = $state.raw<PageHead[]>([])
  /** The page that is looked at. */
  id = $state.raw('')
  /** The bay that was chosen or stepped to last. */
  bay = $state.raw('')
  #replica: Replica
  #events: PagesEvents
  /** A page of our own adding, to be turned to once it is there. */
  #next = ''

  constructor(replica: Replica, events: PagesEvents) {
    this.#replica = replica
    this.#events = events
  }

  get now(): Page | undefined {
    return this.#replica.pages.get(this.id)
  }

  turnTo(pageId: string, along = false): void {
    if (pageId === this.id || !this.#replica.pages.has(pageId)) return
    this.#events.turning()
    this.id = pageId
    this.#events.turned(along)
  }

  /** Turn to a page when it is there. */
  turnNext(pageId: string): void {
    this.#next = pageId
  }

  /** The page ``step`` places further, if there is one. */
  turnBy(step: number): void {
    const at = this.heads.findIndex((head) => head.id === this.id)
    const next = this.heads[at + step]
    if (next) this.turnTo(next.id)
  }

  /** The place ``by`` further on in the order; null when the page cannot go there. */
  placeOf(pageId: string, by: number): number | null {
    const at = this.heads.findIndex((head) => head.id === pageId)
    const index = Math.min(Math.max(at + by, 0), this.heads.length - 1)
    return at >= 0 && index !== at ? index : null
  }

  /** Pages have come, gone or changed; false when the one that was looked at is gone. */
  changed(): boolean {
    const before = this.heads.findIndex((head) => head.id === this.id)
    this.heads = this.#replica.inOrder().map((page) => page.head)
    if (this.#replica.pages.has(this.#next)) {
      const page = this.#next
      this.#next = ''
      this.turnTo(page)
    }
    const gone = this.id !== '' && !this.now && this.#replica.order.length > 0
    // The page that has come to its place, or the last one.
    if (gone) this.turnTo(this.heads[Math.min(Math.max(before, 0), this.heads.length - 1)]!.id)
    return !gone
  }
}
