/** Everyone's view: called to a place once, or kept together. */
import type { Lead } from '../wire/generated'
import type { Session } from './session.svelte'

const LEAD_EVERY_MS = 200

export class Attention {
  /** The view that this person is kept at. */
  held = $state.raw<Lead | null>(null)
  /** A view on another board that this person is called to. */
  calledTo = $state.raw<Lead | null>(null)
  /** Whether this person keeps everyone at their own view. */
  keeping = $state.raw(false)
  #session: Session

  constructor(session: Session) {
    this.#session = session
  }

  /** Go to the view that somebody leads to; held there until they let go. */
  follow(lead: Lead): void {
    this.held = lead.hold && lead.page ? lead : null
    if (!lead.page) return
    if (lead.board !== this.#session.welcome?.board.id) {
      this.calledTo = lead
      return
    }
    this.#session.turnTo(lead.page)
    this.#session.surface?.lead(lead.box)
    if (!lead.hold) this.#session.say(`${lead.name}: look here.`)
  }

  /** Bring everyone's view to ours: once, or keep it there. */
  lead(hold: boolean): void {
    this.keeping = hold
    const box = this.#session.surface?.seen()
    if (box) this.#session.send({ type: 'lead', page: this.#session.pageId, box, hold, board: '', name: '' })
  }

  letGo(): void {
    this.keeping = false
    this.#session.send({ type: 'lead', page: '', box: [0, 0, 0, 0], hold: false, board: '', name: '' })
  }

  #leadTimer: ReturnType<typeof setTimeout> | undefined

  /** Our view has changed: those who are kept at it follow, a few times a second. */
  viewMoved(): void {
    if (!this.keeping || this.#leadTimer) return
    this.#leadTimer = setTimeout(() => {
      this.#leadTimer = undefined
      if (this.keeping) this.lead(true)
    }, LEAD_EVERY_MS)
  }
}
