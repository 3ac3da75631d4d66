/** Ink being drawn: our own from the pointer, and that of others from the wire. */
import { packSamples } from '../ink/samples'
import type { InkItem, Wet } from '../wire/generated'
import { newId } from '../wire/codec'

/** How a stroke is to look. */
export type Look = Pick<InkItem, 'nib' | 'colour' | 'width' | 'opacity' | 'ends'>

/** Samples nearer than this on the screen say nothing new. */
const LEAST_MOVE_PX = 0.6

/** The steadiest pen goes a third of the way to the pointer with each sample. */
const MOST_STEADY = 0.67

/** One stroke of our own, from the pen's landing to its lifting. Page units. */
export class WetStroke {
  readonly id = newId()
  readonly look: Look
  readonly page: string
  /** x, y, pressure, time: four numbers a sample. */
  readonly samples: number[] = []
  /** Where the pen will be next, as the browser guesses: drawn, never kept. */
  predicted: number[] = []
  #startMs = 0
  #sent = 0
  #steady: number
  #straight = false

  /** ``steady`` (0–1): how much of a hand's tremor is evened out. */
  constructor(page: string, look: Look, steady = 0) {
    this.page = page
    this.look = look
    this.#steady = steady
  }

  get count(): number {
    return this.samples.length / 4
  }

  add(x: number, y: number, pressure: number, timeMs: number, scale: number): void {
    if (!this.samples.length) this.#startMs = timeMs
    if (this.#straight) return
    const at = this.samples.length - 4
    if (at >= 0) {
      const follow = 1 - MOST_STEADY * this.#steady
      x = this.samples[at]! + follow * (x - this.samples[at]!)
      y = this.samples[at + 1]! + follow * (y - this.samples[at + 1]!)
      const moved = Math.hypot(x - this.samples[at]!, y - this.samples[at + 1]!)
      if (moved * scale < LEAST_MOVE_PX) {
        // A pen pressed harder on the spot makes the dot broader.
        this.samples[at + 2] = Math.max(this.samples[at + 2]!, pressure)
        return
      }
    }
    this.samples.push(x, y, pressure, timeMs - this.#startMs)
  }

  /** Another stroke that looks as this one does, and goes on from where it is. */
  next(timeMs: number): WetStroke {
    const stroke = new WetStroke(this.page, this.look, this.#steady)
    const [x, y, pressure] = this.samples.slice(-4) as [number, number, number]
    stroke.add(x, y, pressure, timeMs, 1)
    return stroke
  }

  /** From here on each sample is taken as it is: along an edge, or where the pen lifts. */
  exact(): void {
    this.#steady = 0
  }

  get last(): [number, number] {
    const at = this.samples.length - 4
    return [this.samples[at]!, this.samples[at + 1]!]
  }

  /** Make the stroke a straight line from its beginning to (x, y). */
  straightTo(x: number, y: number, timeMs: number): void {
    this.#straight = true
    this.predicted = []
    const [x0, y0, pressure] = this.samples as [number, number, number]
    this.samples.length = 4
    for (const t of [1 / 3, 2 / 3, 1]) {
      this.samples.push(x0 + t * (x - x0), y0 + t * (y - y0), pressure, t * (timeMs - this.#startMs))
    }
  }

  /** The samples that have not been passed on yet; null when there are none. */
  news(): Wet | null {
    // A straight line is another one with each move: the others see it when it is done.
    if (this.#straight || this.count <= this.#sent) return null
    const samples = packSamples(this.samples.slice(this.#sent * 4))
    const wet: Wet = {
      type: 'wet',
      id: this.id,
      page: this.page,
      ...this.look,
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
      ...this.look,
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
      map: [1, 0, 0, 1],
      z: 0,
      group: '',
      by: seat,
      at_ms: 0,
      locked: false,
      pinned: false,
      ...this.look,
      samples: packSamples(relative),
    }
  }
}

/** A stroke that somebody else is drawing. */
export interface OthersStroke {
  seat: string
  page: string
  look: Look
  samples: number[]
  heardAt: number
}
