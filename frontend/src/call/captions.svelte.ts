/** What is being said, written down by the tutor or a helper for those who do not hear it. */
import type { Caption } from '../wire/generated'

/** A line is shown for so long after it came. */
const SHOWN_MS = 20_000
const MOST_LINES = 2

export class Captions {
  lines = $state.raw<string[]>([])
  /** This person writes them down. */
  writing = $state.raw(false)
  #going: ReturnType<typeof setTimeout> | undefined

  constructor(private send: (message: Caption) => boolean) {}

  /** Write a line to everybody; false when there is no line to the server. */
  say(text: string): boolean {
    return this.send({ type: 'caption', text })
  }

  hear(text: string): void {
    this.lines = [...this.lines.slice(1 - MOST_LINES), text]
    clearTimeout(this.#going)
    this.#going = setTimeout(() => (this.lines = []), SHOWN_MS)
  }
}
