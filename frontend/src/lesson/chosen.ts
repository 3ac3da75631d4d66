/** What can be done with what is chosen: move, look, arrange, copy, convert, remove. */
import type { Box } from '../board/box'
import { Editing } from '../board/editing.svelte'
import { placement } from '../board/place'
import { newId } from '../wire/codec'
import type {
  Affine,
  Figure,
  Arrangement,
  Item,
  MindMap,
  Readings,
  SketchPart,
  Style,
  TrueUp,
} from '../wire/generated'
import { boxOf, copied, copiesOf, keepCopied } from './clipboard'
import type { Session } from './session.svelte'

const PASTE_OFFSET = 24
/** The server takes up to 2,000 items in one step, and a message must not hold up the line. */
const MOST_ITEMS_A_STEP = 400

export class Chosen {
  #session: Session

  constructor(session: Session) {
    this.#session = session
  }

  move(dx: number, dy: number): void {
    const ids = this.#session.selection.items('change').map((item) => item.id)
    if (ids.length) this.#session.do({ step: 'move_items', page: this.#session.pageId, ids, dx, dy })
  }

  transform(make: (box: Box) => Affine): void {
    const box = this.#session.selection.box('change')
    const ids = this.#session.selection.items('change').map((item) => item.id)
    if (box) this.#session.do({ step: 'transform_items', page: this.#session.pageId, ids, matrix: make(box) })
  }

  style(style: Style): void {
    const ids = this.#session.selection.items('change').map((item) => item.id)
    if (ids.length) this.#session.do({ step: 'style_items', page: this.#session.pageId, ids, style })
  }

  /** The one chosen thing whose words may be edited: a text, a note, a figure, a table. */
  withWords(): Item | null {
    const [item, ...more] = this.#session.selection.items('change')
    if (!item || more.length || this.#session.selection.ids.size > 1) return null
    return ['text', 'note', 'table'].includes(item.kind) || (item.kind === 'shape' && item.closed)
      ? item
      : null
  }

  /** Type in it; false when there is nothing to type in. A table begins with its first cell. */
  editWords(): boolean {
    const item = this.withWords()
    if (!item) return false
    const [, , , , x, y] = placement(item)
    this.#session.editing = Editing.of(this.#session, item, [x, y])
    return true
  }

  /** Line up, spread, order, group; locking is the tutor side's, on everything chosen. */
  arrange(how: Arrangement): void {
    const locking = ['lock', 'unlock', 'pin', 'unpin'].includes(how)
    const ids = (locking ? this.#session.selection.items() : this.#session.selection.items('change')).map(
      (item) => item.id,
    )
    if (ids.length)
      this.#session.do({ step: 'arrange_items', page: this.#session.pageId, ids, how, id: newId() })
  }

  copy(): Item[] {
    const items = this.#session.selection.items()
    if (items.length && !keepCopied(this.#session.welcome!.board.id, items)) {
      this.#session.say('That is more than can be copied at once. Copy it in parts.')
      return []
    }
    return items
  }

  /** Paste what was copied: beside where it lay on this page, or into the middle of what is seen. */
  async paste(middle: [number, number]): Promise<void> {
    const { board, items } = copied()
    const box = boxOf(items)
    if (!box) return
    const here = items.some((item) => this.#session.page?.entries.has(item.id))
    const [dx, dy] = here
      ? [PASTE_OFFSET, PASTE_OFFSET]
      : [middle[0] - (box.minX + box.maxX) / 2, middle[1] - (box.minY + box.maxY) / 2]
    this.#put(await this.#withPictures(board, copiesOf(items, dx, dy)))
  }

  /** Pictures copied on a board of another room are brought into this one. */
  async #withPictures(from: string, items: Item[]): Promise<Item[]> {
    const here = this.#session.boards.some(({ id }) => id === from)
    const settled = await Promise.all(
      items.map(async (item) => {
        if (here || item.kind !== 'picture') return item
        const answer = await fetch(`/boards/${from}/pictures/${item.picture}`)
        const taken = answer.ok ? await this.#session.pictures.take(await answer.blob()) : null
        return taken && { ...item, picture: taken.id }
      }),
    )
    return settled.filter((item) => item !== null)
  }

  /** A copy beside the selection; again, and it repeats the offset that the last one was moved by. */
  duplicate(): void {
    const items = this.#session.selection.items()
    const box = boxOf(items)
    if (!box) return
    let [dx, dy] = [PASTE_OFFSET, PASTE_OFFSET]
    const last = this.#duplicated
    if (last && items.length === last.ids.length && items.every((item) => last.ids.includes(item.id))) {
      ;[dx, dy] = [box.minX - last.minX, box.minY - last.minY]
    }
    const copies = copiesOf(items, dx, dy)
    this.#duplicated = { ids: copies.map((item) => item.id), minX: box.minX, minY: box.minY }
    this.#put(copies)
  }
  #duplicated: { ids: string[]; minX: number; minY: number } | null = null

  #put(items: Item[]): void {
    for (let at = 0; at < items.length; at += MOST_ITEMS_A_STEP) {
      this.#session.do({
        step: 'add_items',
        page: this.#session.pageId,
        items: items.slice(at, at + MOST_ITEMS_A_STEP),
      })
    }
    this.#session.selection.chooseMade(items.map((item) => item.id))
  }

  /** What this person may clear off the page: of those whose work ``of`` is, what is not locked. */
  clearable(of: (seat: string) => boolean): string[] {
    const items =
      this.#session.version >= 0
        ? [...(this.#session.page?.entries.values() ?? [])].map(({ item }) => item)
        : []
    const free = items.filter(
      (item) => !item.locked && this.#session.may('remove', item.by !== this.#session.me),
    )
    return free.filter((item) => of(item.by)).map((item) => item.id)
  }

  /** Choose the thing ``step`` places further in reading order: the keyboard's way to any of them. */
  chooseNext(step: number): void {
    const entries = [...(this.#session.page?.entries.values() ?? [])].sort(
      (a, b) => a.minY - b.minY || a.minX - b.minX,
    )
    if (!entries.length) return
    const at = entries.findIndex(({ item }) => this.#session.selection.ids.has(item.id))
    const next =
      entries[(at < 0 ? (step > 0 ? 0 : entries.length - 1) : at + step + entries.length) % entries.length]!
    this.#session.selection.chooseMade([next.item.id])
  }

  remove(): void {
    const ids = this.#session.selection.items('remove').map((item) => item.id)
    if (ids.length) this.#session.do({ step: 'remove_items', page: this.#session.pageId, ids })
    else if (this.#session.selection.ids.size)
      this.#session.say('That was made by somebody else, and your pen is for your own work.')
  }

  /** Selected ink to typed text. */
  typeset(
    text: string,
    ink = this.#session.selection.ink(),
    readings = this.#session.selection.readings,
  ): void {
    // What only marks the words (underlines, boxes) stays ink.
    const written = readings?.lines.flatMap((line) => line.ids) ?? []
    const ids = written.length ? ink.filter((id) => written.includes(id)) : ink
    if (!ids.length) return
    this.#teach(text, readings)
    const angle_rad = readings?.lines[0]?.angle_rad ?? 0
    this.#session.do({ step: 'typeset', page: this.#session.pageId, ids, id: newId(), text, angle_rad })
  }

  /** Lines that say something else than was read first: the own hand is learned from them. */
  #teach(text: string, readings: Readings | null): void {
    const said = text.split('\n')
    const lines = readings?.lines ?? []
    if (said.length !== lines.length) return
    const corrected = lines.flatMap(({ rivals, ids }, i) =>
      said[i] === rivals[0]?.text ? [] : [{ ids, text: said[i]! }],
    )
    if (corrected.length) {
      this.#session.send({ type: 'teach', page: this.#session.pageId, lines: corrected })
    }
  }

  /** Selected ink to an exact figure. */
  trueUp(figure: Figure, ids = this.#session.selection.ink()): void {
    if (ids.length) this.#session.do(this.#trueUp(figure, ids, newId()))
  }

  #trueUp({ figure, points, closed, curved, parts, ends }: Figure, ids: string[], id: string): TrueUp {
    return {
      step: 'true_up',
      page: this.#session.pageId,
      ids,
      id,
      figure,
      points,
      closed,
      curved,
      parts,
      ends,
    }
  }

  /** A selected sketch to all its figures, with lines that hold on to them. */
  trueUpAll(sketch: SketchPart[]): void {
    const made = sketch.map(() => newId())
    this.#session.do({
      step: 'true_up_all',
      page: this.#session.pageId,
      figures: sketch.map(({ figure, ids }, i) => this.#trueUp(figure, ids, made[i]!)),
      holds: sketch.map(({ holds: [start, end] }) => [made[start] ?? '', made[end] ?? '']),
    })
  }

  /** Selected words and lines to a mind map, or to branches of one that is there. */
  toMindMap({ labels, lines, centre, of }: MindMap): void {
    const made = labels.map(() => newId())
    const at = (number: number) => made[number] ?? of
    this.#session.do({
      step: 'to_mind_map',
      page: this.#session.pageId,
      labels: labels.map(({ ids, text }, i) => ({ ids, text, id: made[i]! })),
      links: lines.map(({ ids, ends: [start, end] }) => ({ ids, id: newId(), ends: [at(start), at(end)] })),
      centre: of ? '' : at(centre),
    })
  }

  /** Selected converted items back to the ink they came from. */
  asWritten(): void {
    const ids = this.#session.selection
      .items('convert')
      .flatMap((item) => ('ink' in item && item.ink.length ? [item.id] : []))
    if (ids.length) this.#session.do({ step: 'as_written', page: this.#session.pageId, ids })
  }
}
