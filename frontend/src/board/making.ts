/** The making of a page out of its log: its state after any step, and when in a playing each step comes. */
import { packSamples, samplesOf } from '../ink/samples'
import type { InkItem, Item, Logged, PageHead, Step } from '../wire/generated'
import { union, type Box } from './box'
import { Page, type ItemStep } from './page'

/** Longer pauses are shortened to this. */
const PAUSE_MS = 1_200
/** What landed together comes one after the other. */
const LEAST_MS = 40
/** A state is kept every so many steps: no way back is longer. */
const KEPT_EVERY = 1_000
const NOWHERE: Box = { minX: 0, minY: 0, maxX: 1, maxY: 1 }

export class Making {
  page: Page
  /** The page after all its steps. */
  readonly whole: Page
  /** All that was ever written on. */
  reach: Box = NOWHERE
  #head: PageHead
  #steps: Logged[] = []
  /** When each step comes, with long pauses and without; in ms from the first. */
  #times: number[] = []
  #short: number[] = []
  #at = 0
  #kept = new Map<number, Item[]>()

  constructor(head: PageHead) {
    this.#head = head
    this.page = new Page(head)
    this.whole = new Page(head)
  }

  get count(): number {
    return this.#steps.length
  }

  /** Steps that follow those that are there. */
  add(steps: Logged[]): void {
    for (const logged of steps) {
      const last = this.#steps.at(-1)
      const gap = last ? Math.max(0, logged.at_ms - last.at_ms) : 0
      const takes = writingMs(logged.step)
      this.#times.push((this.#times.at(-1) ?? 0) + (last ? gap : takes))
      const short = Math.max(Math.min(gap, PAUSE_MS + takes), LEAST_MS)
      this.#short.push((this.#short.at(-1) ?? 0) + (last ? short : takes))
      this.#steps.push(logged)
      apply(this.whole, logged.step)
      for (const id of idsMade(logged.step)) {
        const entry = this.whole.entries.get(id)
        if (entry) this.reach = this.reach === NOWHERE ? entry : union([this.reach, entry])!
      }
      if (this.#steps.length % KEPT_EVERY === 0) this.#kept.set(this.#steps.length, items(this.whole))
    }
  }

  /** Whoever made something of it. */
  people(): string[] {
    return [...new Set(this.#steps.map(({ by }) => by))].filter(Boolean)
  }

  length(short: boolean): number {
    return (short ? this.#short : this.#times).at(-1) ?? 0
  }

  /** The time in a playing without shortened pauses at which it was this time of day. */
  clockAt(ms: number): number {
    // From the last step: a clock that was put back makes pauses of nothing before it.
    const last = this.#steps.at(-1)
    return last ? ms - last.at_ms + this.length(false) : 0
  }

  /** The same moment in the other playing, when ``ms`` is of the one that is ``short`` or not. */
  sameMoment(ms: number, short: boolean): number {
    const [of, into] = short ? [this.#short, this.#times] : [this.#times, this.#short]
    const next = this.stepAt(ms, short)
    if (next >= of.length) return into.at(-1) ?? 0
    // A stroke that is being written is as far from its end.
    return Math.max(into[next]! - (of[next]! - ms), into[next - 1] ?? 0)
  }

  /** How many steps have come by then. */
  stepAt(ms: number, short: boolean): number {
    const times = short ? this.#short : this.#times
    let [low, high] = [0, times.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (times[middle]! <= ms) low = middle + 1
      else high = middle
    }
    return low
  }

  /** On to a later step: what came on top, or null when anything else has changed. */
  goOn(step: number): Item[] | null {
    const fresh: Item[] = []
    let onTop = true
    for (; this.#at < step; this.#at++) {
      const { step: done } = this.#steps[this.#at]!
      apply(this.page, done)
      if (done.step === 'add_items') fresh.push(...done.items)
      else onTop = false
    }
    return onTop ? fresh : null
  }

  /** To any step. */
  seek(step: number): void {
    if (step < this.#at) {
      const from = Math.floor(step / KEPT_EVERY) * KEPT_EVERY
      this.page = new Page(this.#head)
      this.page.load(this.#kept.get(from) ?? [])
      this.#at = this.#kept.has(from) ? from : 0
    }
    this.goOn(step)
  }

  /** The stroke that is being written then, as far as it is. */
  growing(ms: number, short: boolean): InkItem | null {
    const index = this.stepAt(ms, short)
    const step = this.#steps[index]?.step
    if (step?.step !== 'add_items' || step.items.length !== 1 || step.items[0]!.kind !== 'ink') return null
    const left = (short ? this.#short : this.#times)[index]! - ms
    const item = step.items[0]!
    const samples = samplesOf(item)
    const until = writingMs(step) - left
    let count = 0
    while (count * 4 < samples.length && samples[count * 4 + 3]! <= until) count++
    return count > 1 ? { ...item, samples: packSamples(samples.slice(0, count * 4)) } : null
  }
}

function apply(page: Page, step: Step): void {
  if (step.step === 'add_page') page.load(step.items)
  else page.apply(step as ItemStep, [])
}

function items(page: Page): Item[] {
  return [...page.entries.values()].map(({ item }) => item)
}

function idsMade(step: Step): string[] {
  return 'items' in step ? step.items.map(({ id }) => id) : 'ids' in step ? step.ids : []
}

/** How long whoever made it was about it, of one stroke. */
function writingMs(step: Step): number {
  if (step.step !== 'add_items' || step.items.length !== 1 || step.items[0]!.kind !== 'ink') return 0
  return samplesOf(step.items[0]!).at(-1) ?? 0
}
