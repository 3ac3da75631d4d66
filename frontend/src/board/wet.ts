/** Ink being drawn: our own from the pointer, and that of others from the wire. */
import { packSamples } from '../ink/samples'
import type { InkItem, Wet } from '../wire/generated'
import { newId } from '../wire/codec'

export interface Nib {
  nib: 'pen' | 'highlighter'
  colour: string
  width: number
}

/** Samples nearer than this on the screen say nothing new. */
const LEAST_MOVE_PX = 0.6

/** One stroke of our own, from the pen's landing to its lifting. Page units. */
export class WetStroke {
  readonly id = newId()
  readonly nib: Nib
  readonly page: string
  /** x, y, pressure, time: four numbers a sample. */
  readonly samples: number[] = []
  /** Where the pen will be next, as the browser guesses: drawn, never kept. */
  predicted: number[] = []
  #startMs = 0
  #sent = 0

  constructor(page: string, nib: Nib) {
    this.page = page
    this.nib = nib
  }

  get count(): number {
    return this.samples.length / 4
  }

  add(x: number, y: number, pressure: number, timeMs: number, scale: number): void {
    if (!this.samples.length) this.#startMs = timeMs
    const at = this.samples.length - 4
    if (at >= 0) {
      const moved = Math.hypot(x - this.samples[at]!, y - this.samples[at + 1]!)
      if (moved * scale < LEAST_MOVE_PX) {
        // A pen pressed harder on the spot makes the dot broader.
        this.samples[at + 2] = Math.max(this.samples[at + 2]!, pressure)
        return
      }
    }
    this.samples.push(x, y, pressure, timeMs - this.#startMs)
  }

  /** The samples that have not been passed on yet; null when there are none. */
  news(): Wet | null {
    if (this.count <= this.#sent) return null
    const samples = packSamples(this.samples.slice(this.#sent * 4))
    const wet: Wet = {
      type: 'wet',
      id: this.id,
      page: this.page,
      ...this.nib,
      begin: this.#sent,
      samples,
      over: false,
    }
    this.#sent = this.count
    return wet
  }

  over(): Wet {
    return {
      type: 'wet',
      id: this.id,
      page: this.page,
      ...this.nib,
      begin: 0,
      samples: new Uint8Array(),
      over: true,
    }
  }

  item(seat: string): InkItem {
    const [x, y] = [this.samples[0]!, this.samples[1]!]
    const relative = this.samples.map((value, i) =>
      i % 4 === 0 ? value - x : i % 4 === 1 ? value - y : value,
    )
    return {
      kind: 'ink',
      id: this.id,
      x,
      y,
      z: 0,
      by: seat,
      at_ms: 0,
      locked: false,
      ...this.nib,
      samples: packSamples(relative),
    }
  }
}

/** A stroke that somebody else is drawing. */
export interface OthersStroke {
  page: string
  nib: Nib
  samples: number[]
  heardAt: number
}
