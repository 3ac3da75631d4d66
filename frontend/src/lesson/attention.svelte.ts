/** Everyone's view: called to a place once, kept together, or following somebody. */
import type { Box } from '../board/box'
import type { Lead, Viewed } from '../wire/generated'
import { t } from '../words/words.svelte'
import type { Inside } from './inside'

const LEAD_EVERY_MS = 200

export class Attention {
  /** The view that this person is kept at. */
  held = $state.raw<Lead | null>(null)
  /** A view on another board that this person is called to. */
  calledTo = $state.raw<Lead | null>(null)
  /** Whether this person keeps everyone at their own view. */
  keeping = $state.raw(false)
  /** The seat of whom this person follows. */
  following = $state.raw('')
  #inside: Inside
  #told = ''
  /** Where somebody has led to while the pen was on the paper, which does not move under it. */
  #waits: Lead | null = null

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** Go to the view that somebody leads to; held there until they let go. */
  called(lead: Lead): void {
    this.held = lead.hold && lead.page ? lead : null
    // Who lets go leads nowhere, later either.
    this.#waits = null
    if (!lead.page) return
    if (this.#show(lead) && !lead.hold) this.#inside.say(t('asks-to-look', { name: lead.name }))
  }

  /** Look where somebody looks; "" stops it. */
  follow(seat: string): void {
    this.following = seat
    this.#inside.send({ type: 'follow', seat })
  }

  /** Whom we follow sees another place. */
  viewed(viewed: Viewed): void {
    if (viewed.seat === this.following) this.#show({ ...viewed, type: 'lead', hold: false, name: '' })
  }

  /** Our own hand has moved the view: we go our own way. */
  moved(): void {
    if (this.following && this.#inside.door !== 'onlooker') this.follow('')
  }

  /** Show a place; false when it is on another board, which is opened first. */
  #show(lead: Lead): boolean {
    if (this.#inside.surface?.writing) {
      this.#waits = lead
      return true
    }
    if (lead.board !== this.#inside.boardId) {
      this.calledTo = lead
      return false
    }
    this.#inside.pages.turnTo(lead.page)
    this.#inside.surface?.looking.lead(lead.box)
    return true
  }

  /** Our pen has left the paper. */
  lifted(): void {
    const lead = this.#waits
    this.#waits = null
    if (lead) this.#show(lead)
  }

  /** Bring everyone's view to ours: once, or keep it there. */
  lead(hold: boolean): void {
    this.keeping = hold
    const box = this.#inside.surface?.looking.seen()
    if (box) this.#inside.send({ type: 'lead', page: this.#inside.pages.id, box, hold, board: '', name: '' })
  }

  /** Bring everyone's view to a part of this page, once. */
  leadTo({ minX, minY, maxX, maxY }: Box): void {
    const box: Lead['box'] = [minX, minY, maxX, maxY]
    this.#inside.send({ type: 'lead', page: this.#inside.pages.id, box, hold: false, board: '', name: '' })
  }

  letGo(): void {
    this.keeping = false
    this.#inside.send({ type: 'lead', page: '', box: [0, 0, 0, 0], hold: false, board: '', name: '' })
  }

  #timer: ReturnType<typeof setTimeout> | undefined

  /** Our view has changed: those who follow it, or are kept at it, hear of it a few times a second. */
  viewMoved(): void {
    if (this.#timer) return
    this.#timer = setTimeout(() => {
      this.#timer = undefined
      const box = this.#inside.surface?.looking.seen()
      const told = `${this.#inside.pages.id} ${box}`
      if (!box || told === this.#told) return
      this.#told = told
      if (this.keeping) this.lead(true)
      this.#inside.send({ type: 'view', page: this.#inside.pages.id, box })
    }, LEAD_EVERY_MS)
  }
}
