/** The instruments that this person has laid on the board; the others see them while they are in use. */
import type { InstrumentKind, Lay, Paper } from '../../wire/generated'
import type { Point } from '../place'
import type { Part } from './forms'
import { Instrument, type Notable } from './instrument.svelte'
import { measureOf } from './measure'

/** The others hear of a moved instrument at most this often. */
const SHARE_MS = 60

export class Instruments {
  /** The one that was touched last is the last. */
  laid = $state.raw<Instrument[]>([])
  /** Whoever draws: the instrument whose edge the ink runs along. */
  #guiding: Instrument | null | undefined
  #share: (lay: Omit<Lay, 'type'>) => void
  #timer: ReturnType<typeof setTimeout> | undefined
  #page = ''

  constructor(share: (lay: Omit<Lay, 'type'>) => void) {
    this.#share = share
  }

  get inHand(): Instrument | undefined {
    return this.laid.at(-1)
  }

  has(kind: InstrumentKind): boolean {
    return this.laid.some((each) => each.kind === kind)
  }

  /** Lay one down in the middle of what is seen, or take it away. */
  toggle(kind: InstrumentKind, middle: Point, seenWidth: number): void {
    this.laid = this.has(kind)
      ? this.laid.filter((each) => each.kind !== kind)
      : [...this.laid, new Instrument(kind, middle, seenWidth)]
    this.changed()
  }

  /** Another form in the place of an instrument. */
  change(instrument: Instrument, kind: InstrumentKind): void {
    const { x, y, angle, size } = instrument
    const other = Object.assign(new Instrument(kind, [x, y], 0), { x, y, angle, size })
    this.laid = [...this.laid.filter((each) => each !== instrument), other]
  }

  clear(): void {
    this.laid = []
    this.changed()
  }

  /** The topmost part at a place. */
  partAt(at: Point, px: number): { instrument: Instrument; part: Part } | null {
    for (const instrument of this.laid.toReversed()) {
      const part = instrument.partAt(at, px)
      if (part) return { instrument, part }
    }
    return null
  }

  take(instrument: Instrument): void {
    if (this.inHand !== instrument)
      this.laid = [...this.laid.filter((each) => each !== instrument), instrument]
  }

  /** Where ink goes: see Instrument.guide. The first place decides which instrument guides it, if one does. */
  guide(at: Point, px: number, ends: Notable | null, paper: Paper): Point[] {
    if (this.#guiding === undefined) {
      const { mark } = measureOf(paper)
      this.#guiding = this.laid.toReversed().find((each) => each.begin(at, px, mark)) ?? null
    }
    const places = this.#guiding?.guide(at, px, ends) ?? [at]
    if (this.#guiding?.kind === 'compasses') this.changed()
    return places
  }

  get guiding(): boolean {
    return Boolean(this.#guiding)
  }

  /** The stroke is over. */
  release(): void {
    this.#guiding?.release()
    this.#guiding = undefined
  }

  /** On which page they lie, as the others see it; "" when they are not to be seen. */
  onPage(page: string): void {
    if (page === this.#page) return
    this.#page = page
    if (this.laid.length) this.changed()
  }

  /** The others are told, also after the line has been lost. */
  changed(): void {
    this.#timer ??= setTimeout(() => {
      this.#timer = undefined
      this.#share({ page: this.#page, instruments: this.#page ? this.laid.map((each) => each.lying) : [] })
    }, SHARE_MS)
  }
}
