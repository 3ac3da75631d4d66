/** The page in words, in its reading order, for those who listen to it; and what others add, a few at a time. */
import { ask } from '../wire/api'
import type { Item, TextItem, Writing, WrittenLine } from '../wire/generated'
import { t } from '../words/words.svelte'
import { FIGURE_NAMES } from './figure-names'
import type { Session } from './session.svelte'

/** The words follow the page this much later: they are not for the eye. Ink is read when it has rested for longer. */
const WAIT_MS = 1_500
const REST_MS = 2_500
/** More is not listened to; and strokes this near to each other are told as one. */
const MOST = 400
const NEAR = 60

interface Told {
  x: number
  y: number
  words: string
}

export class PageWords {
  lines = $state.raw<string[]>([])
  news = $state.raw('')
  #session: Session
  #known = { page: '', ids: new Set<string>() }
  #wantsInk = false
  #timer: ReturnType<typeof setTimeout> | undefined
  #reading: ReturnType<typeof setTimeout> | undefined
  /** What the ink of a page was read as; ``ink`` tells of which. */
  #read: { page: string; ink: string; lines: WrittenLine[] } | null = null

  constructor(session: Session) {
    this.#session = session
  }

  /** The page may have changed; ``readInk``: ink is told by what it reads as. */
  changed(readInk: boolean): void {
    this.#wantsInk = readInk
    this.#timer ??= setTimeout(() => {
      this.#timer = undefined
      this.#look()
    }, WAIT_MS)
  }

  close(): void {
    clearTimeout(this.#timer)
    clearTimeout(this.#reading)
  }

  #look(): void {
    const { pages, rights, people } = this.#session
    const items = [...(pages.now?.entries.values() ?? [])].map(({ item }) => item).sort(inOrder)
    const ids = new Set(items.map(({ id }) => id))
    if (this.#known.page === pages.id) {
      const added = items.filter(({ id, by }) => !this.#known.ids.has(id) && by !== rights.me)
      const writers = [...new Set(added.map(({ by }) => people.nameOf(by)))]
      if (added.length)
        this.news = t('was-added', { count: added.length, names: writers.slice(0, 3).join(', ') })
    }
    this.#known = { page: pages.id, ids }
    const ink = this.#wantsInk ? inkOf(items) : ''
    const fits = this.#read?.page === pages.id && this.#read.ink === ink
    if (ink && !fits) {
      clearTimeout(this.#reading)
      this.#reading = setTimeout(() => void this.#readInk(pages.id, ink), REST_MS)
    }
    const told = items.slice(0, MOST).flatMap((item) => (item.kind === 'ink' ? [] : [this.#thing(item)]))
    const written = ink && fits ? this.#read!.lines.map((line) => this.#written(line)) : this.#strokes(items)
    this.lines = [...told, ...written].sort(inOrder).map(({ words }) => words)
  }

  async #readInk(page: string, ink: string): Promise<void> {
    const path = `/api/boards/${this.#session.boardId}/pages/${page}/writing`
    try {
      const { lines, unread } = await ask<Writing>('GET', path)
      if (unread) this.#reading = setTimeout(() => void this.#readInk(page, ink), REST_MS)
      else {
        this.#read = { page, ink, lines }
        this.#look()
      }
    } catch {
      // The strokes are told until it is asked again, when the page changes.
    }
  }

  /** Strokes of one writer that lie near each other. */
  #strokes(items: Item[]): Told[] {
    const told: Told[] = []
    let ink: { by: string; x: number; y: number; count: number } | null = null
    const end = () => {
      if (ink)
        told.push({
          ...ink,
          words: t('heard-ink', { count: ink.count, name: this.#session.people.nameOf(ink.by) }),
        })
      ink = null
    }
    for (const item of items.slice(0, MOST)) {
      if (item.kind !== 'ink' || !ink || ink.by !== item.by || item.y - ink.y > NEAR) end()
      if (item.kind === 'ink') {
        ink ??= { by: item.by, x: item.x, y: item.y, count: 0 }
        ink.count++
      }
    }
    end()
    return told
  }

  #written({ by, x, y, texts }: WrittenLine): Told {
    const name = this.#session.people.nameOf(by)
    return { x, y, words: t('heard-writing', { words: texts[0] ?? '', name }) }
  }

  /** A text with the formulas in it as they are spoken. */
  #textInWords({ text, spans }: TextItem): string {
    let [words, at] = ['', 0]
    for (const { start, end, maths } of spans) {
      if (!maths) continue
      words += text.slice(at, start) + this.#session.formulas.inWords(text.slice(start, end))
      at = end
    }
    return words + text.slice(at)
  }

  #thing(item: Exclude<Item, { kind: 'ink' }>): Told {
    const name = this.#session.people.nameOf(item.by)
    if (item.kind === 'text') {
      const words = this.#textInWords(item)
      return { x: item.x, y: item.y, words: t('heard-text', { words, name }) }
    }
    const words =
      item.kind === 'formula'
        ? t('heard-formula', {
            words: this.#session.formulas.inWords(item.formula),
            number: item.number && ` (${item.number})`,
            name,
          })
        : thingInWords(item, name)
    return { x: item.x, y: item.y, words }
  }
}

function inOrder(a: { x: number; y: number }, b: { x: number; y: number }): number {
  return a.y - b.y || a.x - b.x
}

/** A mark of the page's ink and where it lies. */
function inkOf(items: Item[]): string {
  return items.flatMap(({ kind, id, x, y, map }) => (kind === 'ink' ? [`${id} ${x} ${y} ${map}`] : [])).join()
}

function thingInWords(item: Exclude<Item, { kind: 'ink' | 'formula' | 'text' }>, name: string): string {
  switch (item.kind) {
    case 'note':
      return t('heard-note', { words: item.text, name: item.name || name })
    case 'table':
      return t('heard-table', {
        rows: item.rows.length,
        columns: item.columns.length,
        words: item.cells.filter(Boolean).join(', '),
        name,
      })
    case 'shape':
      return t('heard-figure', { figure: t(FIGURE_NAMES[item.figure]), words: item.text, name })
    case 'graph':
      return t('heard-graph', { words: item.lines.map(({ formula }) => formula).join('; '), name })
    case 'chart':
      return t('heard-chart', { words: item.title, name })
    case 'card':
      return t('heard-card', { words: item.title, what: item.of, name })
    case 'picture':
      return t('heard-picture', { words: item.text, name })
  }
}
