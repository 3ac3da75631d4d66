/** The working on all desks of a board, checked one desk after the other: what each student wrote on their own page. */
import type { Item, LineChecked, PageHead, Readings } from '../wire/generated'
import type { Formulas } from './formulas.svelte'
import type { Inside } from './inside'
import type { Selection } from './selection.svelte'
import { lineMarks } from './line-marks'
import { hasLines, workingOf, type Working } from './working'

/** An answer that has not come by then is asked for once more: another reading took its place. */
const ANSWER_MS = 12_000
/** Beyond so much of the server's time in a minute it has to be waited for. */
const WAIT_MS = 6_000
const [TRIES, TOO_OFTEN] = [12, 429]

export interface Desk {
  head: PageHead
  working: Working[]
  /** Null while it has not been checked. */
  checked: LineChecked[] | null
  /** Why there is nothing to be said of it; "" when there is. */
  problem: string
  marked: boolean
}

export class Desks {
  list = $state.raw<Desk[]>([])
  /** How many have been looked at; null when no check is going on. */
  done = $state.raw<number | null>(null)
  #waiting: { ref: number; came: (readings: Readings | null) => void } | null = null
  #run: AbortController | null = null
  #inside: Inside
  #selection: Selection
  #formulas: Formulas

  constructor(inside: Inside, selection: Selection, formulas: Formulas) {
    this.#inside = inside
    this.#selection = selection
    this.#formulas = formulas
  }

  /** The pages that are somebody's desk. */
  get heads(): PageHead[] {
    return this.#inside.pages.heads.filter(({ desk_of }) => desk_of)
  }

  async check(): Promise<void> {
    this.stop()
    const run = new AbortController()
    this.#run = run
    this.list = this.heads.map((head) => ({
      head,
      working: [],
      checked: null,
      problem: '',
      marked: false,
    }))
    for (const [at, desk] of this.list.entries()) {
      this.done = at
      const found = await this.#checked(desk, run.signal)
      if (run.signal.aborted) return
      this.list = this.list.with(at, found)
    }
    this.done = null
  }

  stop(): void {
    this.#run?.abort()
    this.#run = null
    this.done = null
    this.#waiting?.came(null)
  }

  /** Ticks and crosses on the desks that have been checked and are not marked yet. */
  mark(desks: Desk[]): void {
    for (const desk of desks) {
      const items =
        desk.checked && !desk.marked ? lineMarks(this.#inside.rights.me, desk.working, desk.checked) : []
      if (items.length) this.#inside.do({ step: 'add_items', page: desk.head.id, items })
    }
    this.list = this.list.map((desk) => (desks.includes(desk) ? { ...desk, marked: true } : desk))
  }

  /** Take readings that were asked for here; false when they are another's. */
  hear(readings: Readings): boolean {
    if (this.#waiting?.ref !== readings.ref) return false
    this.#waiting.came(readings)
    return true
  }

  async #checked(desk: Desk, signal: AbortSignal): Promise<Desk> {
    const working = await this.#working(desk.head)
    if (!hasLines(working)) return { ...desk, working, checked: [] }
    for (let tries = 0; ; tries++)
      try {
        const checked = await this.#formulas.check(working, signal)
        return { ...desk, working, checked }
      } catch (error) {
        const { status, message } = error as Error & { status?: number }
        if (signal.aborted || status !== TOO_OFTEN || tries >= TRIES)
          return { ...desk, working, checked: [], problem: message }
        await new Promise((resolve) => setTimeout(resolve, WAIT_MS))
      }
  }

  /** What the desk's own student has on it, typed, set and written. */
  async #working(head: PageHead): Promise<Working[]> {
    const entries = this.#inside.board.replica.pages.get(head.id)?.entries
    const items = [...(entries?.values() ?? [])]
      .map(({ item }) => item)
      .filter(({ by }) => by === head.desk_of)
    const ink = items.filter(isWriting).map(({ id }) => id)
    const readings = ink.length
      ? ((await this.#read(head.id, ink)) ?? (await this.#read(head.id, ink)))
      : null
    return workingOf(items, readings, (id) => [entries?.get(id) ?? []].flat())
  }

  #read(page: string, ids: string[]): Promise<Readings | null> {
    return new Promise((resolve) => {
      const timer = setTimeout(() => came(null), ANSWER_MS)
      const came = (readings: Readings | null) => {
        clearTimeout(timer)
        this.#waiting = null
        resolve(readings)
      }
      this.#waiting = { ref: this.#selection.askAbout(ids, false, page), came }
    })
  }
}

function isWriting(item: Item): boolean {
  return item.kind === 'ink' && item.nib !== 'highlighter'
}
