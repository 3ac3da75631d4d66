/** One page in the browser: what the server has confirmed, and what is shown with our own steps on top. */
import RBush from 'rbush'
import type {
  AddItems,
  ChangeItems,
  ChangeTable,
  EditText,
  Item,
  MoveItems,
  PageHead,
  RemoveItems,
  ReplaceItems,
  SetCell,
  Style,
  StyleItems,
  TransformItems,
} from '../wire/generated'
import { itemBox, union, type Box } from './box'
import { sheetBox } from './draw-paper'
import { inOrder, type Placed } from './order'
import { carried } from './place'
import { changedTable, withCell } from './tables'
import { plainLines } from './text'

const EVERYWHERE = { minX: -Infinity, minY: -Infinity, maxX: Infinity, maxY: Infinity }

/** What is looked at of an endless page without work. */
export const EMPTY_PAGE = { minX: 0, minY: 0, maxX: 1000, maxY: 620 }

/** More things than this that change at once are put in their places together. */
const MANY = 500

interface Shown {
  item: Item | undefined
  /** It is there only because of a step of our own that has no answer yet. */
  waits: boolean
}

export interface Entry extends Box, Placed {}

/** Steps of the log about items, and those of our own requests that can be shown before they are answered. */
export type ItemStep =
  | AddItems
  | RemoveItems
  | MoveItems
  | ChangeItems
  | ReplaceItems
  | TransformItems
  | StyleItems
  | EditText
  | SetCell
  | ChangeTable

/** Told which part of the page must be drawn anew, and the entry when it only came on top. */
export type Changed = (box: Box, onTop: Entry | null) => void

export class Page {
  head: PageHead
  /** False while the page's items are still coming in. */
  loaded = false
  readonly entries = new Map<string, Entry>()
  #confirmed = new Map<string, Item>()
  #index = new RBush<Entry>()
  #top = 0
  /** Own strokes that were shown before they were confirmed, counted in the order of writing. */
  #own = 0
  /** Lower edge of the lowest work. */
  #bottom = 0
  changed: Changed = () => {}
  /** Counts what has changed on this page. */
  revision = 0

  constructor(head: PageHead) {
    this.head = head
  }

  /** Where the paper ends; null when it does not. */
  get sheet(): Box | null {
    return sheetBox(this.head.paper, this.#bottom)
  }

  /** Its sheet, or on an endless page all work. */
  get whole(): Box {
    return this.sheet ?? union([...this.entries.values(), EMPTY_PAGE])!
  }

  /** Another title, paper or rule. */
  rename(head: PageHead): void {
    const samePaper = JSON.stringify(head.paper) === JSON.stringify(this.head.paper)
    this.head = head
    if (!samePaper) this.#tell(EVERYWHERE, null)
  }

  load(items: Item[]): void {
    const fresh: Entry[] = []
    for (const item of items) {
      this.#confirmed.set(item.id, item)
      const entry = { ...itemBox(item), item, unconfirmed: 0 }
      const shown = this.entries.get(item.id)
      if (shown) this.#index.remove(shown)
      this.entries.set(item.id, entry)
      fresh.push(entry)
      this.#bottom = Math.max(this.#bottom, entry.maxY)
      this.#top = Math.max(this.#top, Math.floor(item.z))
    }
    this.#index.load(fresh)
  }

  /** All items are there: the page can be drawn. */
  finish(): void {
    this.loaded = true
    this.#tell(EVERYWHERE, null)
  }

  /** Apply a step from the log; ``waiting`` are our own steps on this page that are not confirmed. */
  apply(step: ItemStep, waiting: ItemStep[]): void {
    for (const [id, item] of changes(step, (id) => this.#confirmed.get(id))) {
      if (!item) this.#confirmed.delete(id)
      else {
        const z = item.z || this.#top + 1
        this.#top = Math.max(this.#top, Math.floor(z))
        this.#confirmed.set(id, item.z ? item : { ...item, z })
      }
    }
    this.show(idsOf(step), waiting)
  }

  /** Work out again how these items are shown. */
  show(ids: Iterable<string>, waiting: ItemStep[]): void {
    const shown = new Map<string, Shown>()
    for (const id of ids) shown.set(id, { item: this.#confirmed.get(id), waits: false })
    for (const step of waiting) {
      for (const [id, item] of changes(step, (id) => shown.get(id)?.item)) {
        const before = shown.get(id)
        if (before) shown.set(id, { item, waits: before.waits || (!before.item && item !== undefined) })
      }
    }
    if (shown.size > MANY) this.#putMany(shown)
    else for (const [id, { item, waits }] of shown) this.#put(id, item, waits)
  }

  at(box: Box): Entry[] {
    return this.#index.search(box)
  }

  #put(id: string, item: Item | undefined, waits: boolean): void {
    const before = this.entries.get(id)
    if (before?.item === item && before && before.unconfirmed > 0 === waits) return
    const unconfirmed = waits ? before?.unconfirmed || ++this.#own : 0
    const entry = item && { ...itemBox(item), item, unconfirmed }
    // A confirmed stroke mostly looks just as it did while it waited: nothing need be drawn again.
    const same = before && entry && sameDrawing(before.item, entry.item) && this.#liesAs(before, entry)
    if (before) {
      this.#index.remove(before)
      this.entries.delete(id)
      if (!same) this.#tell(before, null)
    }
    if (entry) {
      this.entries.set(id, entry)
      this.#index.insert(entry)
      if (entry.maxY > this.#bottom) {
        this.#bottom = entry.maxY
        if (this.head.paper.kind === 'roll') this.#tell(EVERYWHERE, null)
      }
      if (!same) this.#tell(entry, this.#others(entry).every((o) => inOrder(o, entry) < 0) ? entry : null)
    }
  }

  /** As ``#put`` for many at once: the index is built anew, and all of it is drawn again. */
  #putMany(shown: Map<string, Shown>): void {
    let box: Box | null = null
    for (const [id, { item, waits }] of shown) {
      const before = this.entries.get(id)
      if (before?.item === item && before && before.unconfirmed > 0 === waits) continue
      const entry = item && {
        ...itemBox(item),
        item,
        unconfirmed: waits ? before?.unconfirmed || ++this.#own : 0,
      }
      if (entry) this.entries.set(id, entry)
      else this.entries.delete(id)
      box = union([...(box ? [box] : []), ...(before ? [before] : []), ...(entry ? [entry] : [])])
      this.#bottom = Math.max(this.#bottom, entry?.maxY ?? 0)
    }
    if (!box) return
    this.#index.clear()
    this.#index.load([...this.entries.values()])
    this.#tell(this.head.paper.kind === 'roll' ? EVERYWHERE : box, null)
  }

  #tell(box: Box, onTop: Entry | null): void {
    this.revision++
    this.changed(box, onTop)
  }

  /** Whether one thing lies between the same others as another in its place. */
  #liesAs(before: Entry, now: Entry): boolean {
    return this.#others(now).every((other) => inOrder(other, before) < 0 === inOrder(other, now) < 0)
  }

  #others(entry: Entry): Entry[] {
    return this.at(entry).filter(({ item }) => item.id !== entry.item.id)
  }
}

function sameDrawing(a: Item, b: Item): boolean {
  if (a.kind !== 'ink' || b.kind !== 'ink') return false
  const fields = ['x', 'y', 'nib', 'colour', 'width', 'opacity', 'ends'] as const
  return (
    fields.every((field) => a[field] === b[field]) &&
    a.map.every((value, i) => value === b.map[i]) &&
    equalBytes(a.samples, b.samples)
  )
}

function equalBytes(a: Uint8Array, b: Uint8Array): boolean {
  return a === b || (a.length === b.length && a.every((value, i) => value === b[i]))
}

export function idsOf(step: ItemStep): string[] {
  if (step.step === 'add_items') return step.items.map((item) => item.id)
  if (step.step === 'replace_items') return [...step.ids, ...step.items.map((item) => item.id)]
  if (step.step === 'change_items') return step.changes.map((change) => change.id)
  return 'ids' in step ? step.ids : [step.id]
}

/** What a step makes of each item it speaks of; undefined: taken off. */
function changes(step: ItemStep, find: (id: string) => Item | undefined): [string, Item | undefined][] {
  switch (step.step) {
    case 'add_items':
      return step.items.map((item) => [item.id, item])
    case 'remove_items':
      return step.ids.map((id) => [id, undefined])
    case 'move_items':
      return each(step.ids, find, (item) => ({ ...item, x: item.x + step.dx, y: item.y + step.dy }))
    case 'transform_items':
      return each(step.ids, find, (item) => carried(item, step.matrix))
    case 'style_items':
      return each(step.ids, find, (item) => withStyle(item, step.style))
    case 'change_items':
      return step.changes.flatMap((change) => each([change.id], find, (item) => withFields(item, change)))
    case 'edit_text':
      return each([step.id], find, (item) => withWords(item, step))
    case 'set_cell':
      return each([step.id], find, (item) => (item.kind === 'table' ? withCell(item, step) : item))
    case 'change_table':
      return each([step.id], find, (item) => (item.kind === 'table' ? changedTable(item, step) : item))
    case 'replace_items':
      return [
        ...step.ids.map((id) => [id, undefined] as [string, undefined]),
        ...step.items.map((item) => [item.id, item] as [string, Item]),
      ]
  }
}

function each(
  ids: string[],
  find: (id: string) => Item | undefined,
  change: (item: Item) => Item,
): [string, Item][] {
  return ids.flatMap((id) => {
    const item = find(id)
    return item ? [[id, change(item)] as [string, Item]] : []
  })
}

/** The item with other words, until the server has set them. */
function withWords(item: Item, { text, spans, family, align, listing }: EditText): Item {
  if (item.kind === 'text')
    return { ...item, text, spans, family, align, listing, lines: plainLines(text, item.size) }
  if (item.kind === 'note' || item.kind === 'shape')
    return { ...item, text, lines: text ? plainLines(text, item.size) : [] }
  return item.kind === 'picture' ? { ...item, text } : item
}

/** The item with another look; twin of requests/styling.py. */
function withStyle(item: Item, { width, size, ...style }: Style): Item {
  const lined = item.kind === 'ink' || item.kind === 'shape'
  const sized = !['note', 'table', 'card'].includes(item.kind)
  return withFields(item, {
    ...style,
    ...(lined && width !== undefined && { width }),
    ...(sized && size !== undefined && { size }),
  })
}

/** The item with those new values whose fields it has. */
function withFields(item: Item, values: object): Item {
  return { ...item, ...Object.fromEntries(Object.entries(values).filter(([name]) => name in item)) }
}
