/** A PDF being brought in: taken whole, its pages chosen, and brought one after the other. */
import { freeNear } from '../board/beside'
import { itemBox } from '../board/box'
import type { Point } from '../board/place'
import { ask, askThings } from '../wire/api'
import { newId } from '../wire/codec'
import type { BroughtIn, Item, Opened } from '../wire/generated'
import type { Inside } from './inside'
import { FIRST_PAPER, newHead } from './papers'
import type { Pictures } from './pictures.svelte'

/** A point is 1/72 inch, a board unit 1/96. */
const UNITS = 96 / 72
/** A sheet's sides in board units, as the core has them. */
const SIDES = [200, 10_000] as const
const GAP = 24
/** A page that becomes a thing takes at most this part of the width that is seen. */
const PAGE_PART = 0.7

/** What the pages become: pages of the board to write on, or things on the page that is looked at. */
export type As = 'pages' | 'things'

export class Documents {
  opening = $state.raw(false)
  opened = $state.raw<(Opened & { name: string }) | null>(null)
  /** How many of how many pages are in; null while none are brought. */
  progress = $state.raw<{ done: number; all: number } | null>(null)
  /** Pages that come by this: of them only the first is turned to. */
  readonly later = new Set<string>()
  #inside: Inside
  #pictures: Pictures
  #given: AbortController | null = null

  constructor(inside: Inside, pictures: Pictures) {
    this.#inside = inside
    this.#pictures = pictures
  }

  get #path(): string {
    return `/api/boards/${this.#inside.boardId}/documents`
  }

  thumb(number: number): string {
    return `${this.#path}/${this.opened?.id}/${number}.png`
  }

  async open(file: File): Promise<void> {
    const { rights } = this.#inside
    if (!rights.may('add_picture')) return this.#inside.say(rights.reason)
    if (this.opening || this.opened) return
    this.#given = new AbortController()
    this.opening = true
    try {
      const path = `${this.#path}?name=${encodeURIComponent(file.name)}`
      const opened = await ask<Opened>('POST', path, file, this.#given.signal)
      this.opened = { ...opened, name: file.name.replace(/\.\w+$/, '') }
    } catch (error) {
      this.#failed(error)
    } finally {
      this.opening = false
    }
  }

  /** Let the pages of a document that the server has be chosen. */
  show(opened: Opened, name: string): void {
    if (!this.opened) this.opened = { ...opened, name }
  }

  /** Put what a file of words, a table or ink holds on the page, its upper edge's middle at a place. */
  async openThings(file: File, [x, y]: Point): Promise<void> {
    const { rights, pages } = this.#inside
    const page = pages.id
    this.opening = true
    try {
      const path = `/api/boards/${this.#inside.boardId}/things?name=${encodeURIComponent(file.name)}`
      const things = await askThings<Item[]>(path, file)
      const wide = Math.max(...things.map((item) => itemBox(item).maxX))
      const group = things.length > 1 && things.every(({ kind }) => kind === 'ink') ? newId() : ''
      const items = things.map((item) => ({
        ...item,
        id: newId(),
        by: rights.me,
        x: item.x + x - wide / 2,
        y: item.y + y,
        group,
      }))
      this.#inside.do({ step: 'add_items', page, items })
      this.#inside.chooseMade(
        items.map(({ id }) => id),
        page,
      )
    } catch (error) {
      this.#failed(error)
    } finally {
      this.opening = false
    }
  }

  /** Bring pages (from 1) in, each as soon as it is made; what has come stays when the rest is given up. */
  async bring(numbers: number[], as: As): Promise<void> {
    const { opened } = this
    if (!opened || this.progress) return
    this.#given = new AbortController()
    this.progress = { done: 0, all: numbers.length }
    const { pages } = this.#inside
    // They go where they were brought to, whatever is looked at meanwhile.
    const page = pages.id
    const first = pages.heads.findIndex(({ id }) => id === page) + 1
    const sizes = numbers.map((number) => opened.sizes[number - 1]!)
    const places = as === 'things' ? this.#column(sizes) : []
    const put: string[] = []
    try {
      for (const [at, number] of numbers.entries()) {
        const path = `${this.#path}/${opened.id}/${number}`
        const { id } = await ask<BroughtIn>('POST', path, {}, this.#given.signal)
        if (as === 'pages') {
          const [width, height] = sizes[at]!
          this.#addPage(id, width * UNITS, height * UNITS, first + at, number)
        } else {
          const item = this.#pictures.item(id, ...places[at]!)
          this.#inside.do({ step: 'add_items', page, items: [item] })
          put.push(item.id)
        }
        this.progress = { done: at + 1, all: numbers.length }
      }
      this.close()
    } catch (error) {
      this.#failed(error)
    } finally {
      this.progress = null
      if (put.length) this.#inside.chooseMade(put, page)
    }
  }

  /** Places and sizes of pages one below the other, each within what is seen, where there is room for all. */
  #column(sizes: Opened['sizes']): [x: number, y: number, width: number, height: number][] {
    const [minX, minY, maxX] = this.#inside.surface!.looking.seen()
    const made = sizes.map(([width, height]): Point => {
      const scale = Math.min(UNITS, (PAGE_PART * (maxX - minX)) / width)
      return [width * scale, height * scale]
    })
    const wide = Math.max(...made.map(([width]) => width))
    const tall = made.reduce((sum, [, height]) => sum + height + GAP, -GAP)
    const corner: Point = [(minX + maxX - wide) / 2, minY + GAP]
    const [left, top] = freeNear(this.#inside.pages.now, corner, [wide, tall], GAP)
    let y = top
    return made.map(([width, height]) => {
      const place: [number, number, number, number] = [left + (wide - width) / 2, y, width, height]
      y += height + GAP
      return place
    })
  }

  #addPage(picture: string, width: number, height: number, index: number, number: number): void {
    const { opened } = this
    // A page that is too small or large for a sheet keeps its proportions.
    const scale = Math.min(
      Math.max(1, SIDES[0] / Math.min(width, height)),
      SIDES[1] / Math.max(width, height),
    )
    const many = (opened?.sizes.length ?? 1) > 1
    const title = (many ? `${opened?.name.slice(0, 70)} ${number}` : (opened?.name.slice(0, 80) ?? '')).trim()
    const head = newHead(title, {
      ...FIRST_PAPER,
      kind: 'sheet',
      ruling: 'plain',
      width: width * scale,
      height: height * scale,
      colour: '#ffffff',
      picture,
    })
    if (this.progress?.done) this.later.add(head.id)
    this.#inside.do({ step: 'add_page', head, index, items: [] })
  }

  giveUp(): void {
    this.#given?.abort()
  }

  /** The document goes; nothing that was brought does. */
  close(): void {
    const { opened } = this
    this.opened = null
    if (opened) void ask('DELETE', `${this.#path}/${opened.id}`).catch(() => {})
  }

  #failed(error: unknown): void {
    if ((error as Error).message) this.#inside.warn((error as Error).message)
  }
}
