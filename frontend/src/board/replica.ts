/**
 * The board in the browser: the server's steps in their order, our own unconfirmed ones on top, and
 * the refused ones set aside so that nothing anyone wrote is lost.
 */
import { newId } from '../wire/codec'
import type { Frame, Item, Logged, PageHead, Request, Sentence, Welcome } from '../wire/generated'
import { sketchOf } from './figure'
import { Page, idsOf, type ItemStep } from './page'

export interface Unconfirmed {
  id: string
  request: Request
}

/** Something of ours that was refused, and why. */
export interface SetAside extends Unconfirmed {
  sentence: Sentence | null
}

/** Requests that bring something new: when they are refused it is set aside. */
const BRINGING = [
  'add_items',
  'draw_figure',
  'edit_text',
  'edit_formula',
  'edit_card',
  'set_table',
  'set_cell',
]

export interface ReplicaEvents {
  /** Pages, order, or what is waiting or set aside has changed. */
  changed(): void
  /** A step of somebody has landed. */
  landed(logged: Logged): void
  send(id: string, request: Request): void
  /** A step waits for its answer, or was refused and is set aside for a reason. */
  waits(id: string, request: Request, sentence: Sentence | null): void
  /** Nothing need be remembered of a step any more. */
  settled(id: string): void
  /** A number is missing: the line must be opened anew. */
  gap(): void
}

export class Replica {
  seq = -1
  order: string[] = []
  readonly pages = new Map<string, Page>()
  unconfirmed: Unconfirmed[] = []
  setAside: SetAside[] = []
  /** Steps for pages whose items are still coming in. */
  #held = new Map<string, Logged[]>()
  #events: ReplicaEvents

  constructor(events: ReplicaEvents) {
    this.#events = events
  }

  /** Take a step: shown at once, sent, and kept until the server has answered. */
  do(request: Request): string {
    const id = newId()
    this.unconfirmed.push({ id, request })
    this.#events.waits(id, request, null)
    this.#showOwn(request)
    this.#events.send(id, request)
    this.#events.changed()
    return id
  }

  welcome(message: Welcome): void {
    if (message.pages) {
      this.pages.clear()
      this.#held.clear()
      this.order = message.pages.map((head) => head.id)
      for (const head of message.pages) this.pages.set(head.id, new Page(head))
    } else {
      for (const logged of message.missed) this.#land(logged)
    }
    this.seq = message.seq
    for (const { request } of this.unconfirmed) this.#showOwn(request)
    this.#events.changed()
  }

  /** What an earlier visit has left: steps without an answer, and what was set aside. */
  remember(kept: SetAside[]): void {
    const known = new Set([...this.unconfirmed, ...this.setAside].map(({ id }) => id))
    const fresh = kept.filter(({ id }) => !known.has(id))
    if (!fresh.length) return
    const waiting = fresh.filter(({ sentence }) => !sentence)
    this.unconfirmed = [...waiting.map(({ id, request }) => ({ id, request })), ...this.unconfirmed]
    this.setAside = [...fresh.filter(({ sentence }) => sentence), ...this.setAside]
    for (const { id, request } of waiting) {
      this.#showOwn(request)
      this.#events.send(id, request)
    }
    this.#events.changed()
  }

  /** Send again all that has no answer; the ids make each land once. */
  resend(): void {
    for (const { id, request } of this.unconfirmed) this.#events.send(id, request)
  }

  pageItems(pageId: string, items: Item[], last: boolean): void {
    const page = this.pages.get(pageId)
    if (!page) return
    page.load(items)
    if (!last) return
    page.finish()
    for (const logged of this.#held.get(pageId) ?? []) this.#applyToPage(page, logged.step as ItemStep)
    this.#held.delete(pageId)
    for (const { request } of this.unconfirmed) this.#showOwn(request)
    this.#events.changed()
  }

  frame(frame: Frame): void {
    if (!frame.steps?.length && !frame.passed?.length) return
    const passed = new Set(frame.passed)
    for (const logged of frame.steps ?? []) {
      if (logged.seq <= this.seq) continue
      this.#passOver(passed)
      if (logged.seq !== this.seq + 1) return this.#events.gap()
      this.#land(logged)
    }
    this.#passOver(passed)
    this.#events.changed()
  }

  /** Steps that are not for us, as they are on hidden pages, have their numbers too. */
  #passOver(numbers: Set<number>): void {
    while (numbers.has(this.seq + 1)) this.seq++
  }

  answered(id: string): void {
    this.#drop(id)
    this.#events.changed()
  }

  /** A refused step: new work is set aside, all else goes back to how it was. */
  refused(id: string, reason: string, sentence: Sentence | null): Request | undefined {
    const request = this.#drop(id)
    if (request && BRINGING.includes(request.step) && reason !== 'id_taken') {
      this.setAside = [...this.setAside, { id, request, sentence }]
      this.#events.waits(id, request, sentence)
    }
    this.#events.changed()
    return request
  }

  /** Try to put what was set aside on the board again. */
  retrySetAside(): void {
    const waiting = this.setAside
    this.setAside = []
    for (const { id, request } of waiting) {
      this.do(request)
      this.#events.settled(id)
    }
  }

  throwSetAside(): void {
    for (const { id } of this.setAside) this.#events.settled(id)
    this.setAside = []
    this.#events.changed()
  }

  /** Whether every page has all its items: then only what was missed need be sent again. */
  get whole(): boolean {
    return this.order.every((id) => this.pages.get(id)?.loaded)
  }

  inOrder(): Page[] {
    return this.order.flatMap((id) => this.pages.get(id) ?? [])
  }

  #drop(id: string): Request | undefined {
    const at = this.unconfirmed.findIndex((waiting) => waiting.id === id)
    if (at < 0) return undefined
    const [{ request }] = this.unconfirmed.splice(at, 1) as [Unconfirmed]
    this.#events.settled(id)
    this.#showOwn(request)
    return request
  }

  #land(logged: Logged): void {
    const at = this.unconfirmed.findIndex((waiting) => waiting.id === logged.id)
    const own = at >= 0 ? this.unconfirmed.splice(at, 1)[0] : undefined
    if (own) this.#events.settled(own.id)
    this.seq = logged.seq
    this.#apply(logged)
    // Ours may have landed otherwise than it was shown: an item gone meanwhile, text laid out.
    if (own) this.#showOwn(own.request)
    this.#events.landed(logged)
  }

  #apply(logged: Logged): void {
    const step = logged.step
    switch (step.step) {
      case 'add_page':
        this.#addPage(step.head, step.index, step.items)
        break
      case 'remove_page':
        this.pages.delete(step.page)
        this.order = this.order.filter((id) => id !== step.page)
        break
      case 'move_page': {
        const order = this.order.filter((id) => id !== step.page)
        this.order = [...order.slice(0, step.index), step.page, ...order.slice(step.index)]
        break
      }
      case 'change_page': {
        this.pages.get(step.head.id)?.rename(step.head)
        break
      }
      default: {
        const page = this.pages.get(step.page)
        if (page?.loaded) this.#applyToPage(page, step)
        else if (page) this.#held.set(step.page, [...(this.#held.get(step.page) ?? []), logged])
      }
    }
  }

  #applyToPage(page: Page, step: ItemStep): void {
    page.apply(step, this.#waiting(page.head.id))
  }

  #addPage(head: PageHead, index: number, items: Item[]): void {
    const page = new Page(head)
    page.load(items)
    page.finish()
    this.pages.set(head.id, page)
    this.order = [...this.order.slice(0, index), head.id, ...this.order.slice(index)]
  }

  #showOwn(request: Request): void {
    const step = shownAs(request)
    if (step) this.pages.get(step.page)?.show(idsOf(step), this.#waiting(step.page))
  }

  #waiting(pageId: string): ItemStep[] {
    return this.unconfirmed.flatMap(({ request }) => {
      const step = shownAs(request)
      return step?.page === pageId ? [step] : []
    })
  }
}

/** What a request of our own looks like until it is answered; null: nothing is shown before. */
function shownAs(request: Request): ItemStep | null {
  switch (request.step) {
    case 'add_items':
    case 'remove_items':
    case 'move_items':
    case 'transform_items':
    case 'style_items':
    case 'edit_text':
    case 'set_cell':
    case 'change_table':
      return request
    case 'draw_figure':
      return { step: 'add_items', page: request.page, items: [sketchOf(request)] }
    default:
      return null
  }
}
