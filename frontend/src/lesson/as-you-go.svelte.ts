/** Reading while somebody writes: after a pause what was written last is offered as type or as a figure. */
import type { Readings } from '../wire/generated'
import type { Chosen } from './chosen'
import type { Inside } from './inside'
import type { Selection } from './selection.svelte'
import { keepHere } from '../words/here'

const KEPT = 'sunroom-as-you-go'
const PAUSE_MS = 1_300
/** Strokes further apart in time than this are not of one burst. */
const BURST_MS = 4_000

export type AsYouGoMode = 'off' | 'offer' | 'always'

export class AsYouGo {
  mode = $state.raw<AsYouGoMode>('off')
  offer = $state.raw<{ ids: string[]; readings: Readings } | null>(null)
  #inside: Inside
  #selection: Selection
  #chosen: Chosen
  #burst: string[] = []
  #lastAt = 0
  #timer: ReturnType<typeof setTimeout> | undefined
  #asked: { ref: number; ids: string[] } | null = null

  constructor(inside: Inside, selection: Selection, chosen: Chosen) {
    this.#inside = inside
    this.#selection = selection
    this.#chosen = chosen
    const kept = localStorage.getItem(KEPT)
    if (kept === 'offer' || kept === 'always') this.mode = kept
  }

  set(mode: AsYouGoMode): void {
    this.mode = mode
    keepHere(KEPT, mode)
    this.drop()
  }

  /** Our pen is on the paper, or no longer: what was asked before the word went on is not wanted any more. */
  pen(down: boolean): void {
    this.#asked = null
    clearTimeout(this.#timer)
    if (!down && this.#burst.length) this.#timer = setTimeout(() => this.#ask(), PAUSE_MS)
  }

  /** A stroke of our own has landed. */
  wrote(id: string): void {
    if (this.mode === 'off') return
    const now = performance.now()
    if (now - this.#lastAt > BURST_MS) this.#burst = []
    this.#lastAt = now
    this.#burst.push(id)
    this.offer = null
    this.pen(false)
  }

  #ask(): void {
    const ids = this.#burst.filter((id) => this.#inside.pages.now?.entries.has(id))
    if (ids.length && this.#inside.rights.may('convert')) {
      this.#asked = { ref: this.#selection.askAbout(ids, true), ids }
    }
  }

  /** An answer to what we asked; false when it is to something else. */
  hear(readings: Readings): boolean {
    if (readings.ref !== this.#asked?.ref) return false
    const { ids } = this.#asked
    this.#asked = null
    this.#burst = []
    if (readings.problem) return true
    this.offer = { ids, readings }
    if (this.mode === 'always') this.#takeWhatIsSure()
    return true
  }

  #takeWhatIsSure(): void {
    const { unasked } = this.offer!.readings
    if (unasked === 'true_up') this.trueUp()
    else if (unasked === 'typeset') this.typeset()
  }

  typeset(): void {
    const { ids, readings } = this.offer!
    this.#chosen.typeset(readings.readings[0]!.text, ids, readings)
    this.drop()
  }

  trueUp(): void {
    const { ids, readings } = this.offer!
    this.#chosen.trueUp(readings.figures[0]!, ids)
    this.drop()
  }

  drop(): void {
    this.offer = null
    this.#burst = []
  }
}
