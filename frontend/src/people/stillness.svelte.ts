/** Rows stay where they are under a hand that is among them: what is pressed is what was aimed at. */
export class Stillness {
  /** Rows keep their order. */
  still = $state(false)
  /** A hand is among them just now: what comes above them waits as well. */
  pointed = $state(false)
  #timer: ReturnType<typeof setTimeout> | undefined

  /** A hand or a key is among them now, and as long as something of theirs is open. */
  keep(rows: HTMLElement, byHand = true) {
    this.still = true
    this.pointed = byHand
    clearTimeout(this.#timer)
    this.#timer = setTimeout(() => {
      if (rows.querySelector(':popover-open, :focus-visible')) this.keep(rows, false)
      else this.still = this.pointed = false
    }, STILL_MS)
  }

  stop() {
    clearTimeout(this.#timer)
  }
}
const STILL_MS = 1_500
