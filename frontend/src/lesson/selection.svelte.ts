/** What is chosen on the page, and what chosen ink may be. */
import { union, type Box } from '../board/box'
import { MAX_READ } from '../wire/generated'
import type { Action, ChosenSign, Item, Readings } from '../wire/generated'
import type { Inside } from './inside'

export class Selection {
  ids = $state.raw<ReadonlySet<string>>(new Set())
  readings = $state.raw<Readings | null>(null)
  /** Whether the server has been asked and has not answered yet. */
  reading = $state.raw(false)
  #inside: Inside
  #ref = 0
  /** Signs of the ink as a formula that were corrected by hand. */
  #corrected = $state.raw<ChosenSign[]>([])
  /** The question about what is chosen now. */
  #asked = $state(0)

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** Choose items, each with its whole group. */
  choose(ids: Iterable<string>): void {
    this.ids = new Set(this.#withGroups(ids))
    this.readings = null
    this.reading = false
    this.#asked = 0 // an answer that is on its way is about what was chosen before
    this.#corrected = []
    this.#inside.surface?.changed()
    this.#ask()
  }

  toggle(id: string): void {
    const touched = this.#withGroups([id])
    const rest = [...this.ids].filter((other) => !touched.includes(other))
    this.choose(this.ids.has(id) ? rest : [...rest, ...touched])
  }

  /** Choose what is being made and bring it into sight, as soon as it is there; not what comes on another page. */
  chooseMade(ids: string[], page = this.#inside.pages.id): void {
    if (page !== this.#inside.pages.id) return
    this.#inside.tools.tool = 'select'
    this.choose(ids)
    const box = this.box()
    if (box) this.#inside.surface?.looking.reach(box)
  }

  /** Leave out what is not on the page any more. */
  dropGone(): void {
    const there = [...this.ids].filter((id) => this.#inside.pages.now?.entries.has(id))
    if (there.length < this.ids.size) this.choose(there)
  }

  /** Chosen items that this person may ``action``. */
  items(action?: Action): Item[] {
    return [...this.ids].flatMap((id) => {
      const item = this.#inside.pages.now?.entries.get(id)?.item
      if (!item) return []
      return !action || this.#inside.rights.may(action, item) ? [item] : []
    })
  }

  /** Ids of the chosen ink that can be converted. */
  ink(): string[] {
    return this.items('convert').flatMap((item) =>
      item.kind === 'ink' && item.nib !== 'highlighter' ? [item.id] : [],
    )
  }

  /** The box around the chosen items (those that may be changed, with ``'change'``). */
  box(action?: 'change'): Box | null {
    return union(this.items(action).flatMap((item) => this.#inside.pages.now?.entries.get(item.id) ?? []))
  }

  /** Ask what some ink of a page, this one when none is named, could be; the number that comes back with the answer. */
  askAbout(ids: string[], unasked = false, page = this.#inside.pages.id): number {
    // Of more it is said that they are too many.
    ids = ids.slice(0, MAX_READ + 1)
    const chosen = unasked || page !== this.#inside.pages.id ? [] : this.#corrected
    this.#inside.send({ type: 'read', ref: ++this.#ref, page, ids, unasked, chosen })
    return this.#ref
  }

  /** Say what a sign of the ink as a formula is; what was read stands until the answer comes. */
  correct(sign: ChosenSign): void {
    const others = this.#corrected.filter(({ ids }) => ids.join() !== sign.ids.join())
    this.#corrected = [...others, sign]
    this.#asked = this.askAbout(this.ink())
  }

  isCorrected(ids: string[]): boolean {
    return this.#corrected.some((sign) => sign.ids.join() === ids.join())
  }

  /** An answer; one to an older question is passed over. */
  hear(readings: Readings): void {
    if (readings.ref !== this.#asked) return
    this.readings = readings
    this.reading = false
    this.#inside.surface?.changed()
  }

  /** Whether an answer about corrected signs is on its way. */
  get rereading(): boolean {
    return this.readings !== null && this.readings.ref !== this.#asked
  }

  #ask(): void {
    const ids = this.ink()
    if (!this.#inside.pages.now || !ids.length) return
    this.reading = true
    this.#asked = this.askAbout(ids)
  }

  #withGroups(ids: Iterable<string>): string[] {
    const entries = this.#inside.pages.now?.entries
    const chosen = new Set(ids)
    const groups = new Set([...chosen].map((id) => entries?.get(id)?.item.group).filter(Boolean))
    if (entries && groups.size) {
      for (const [id, { item }] of entries) if (groups.has(item.group)) chosen.add(id)
    }
    return [...chosen]
  }
}
