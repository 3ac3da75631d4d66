/** What can be done with what is chosen: move, look, arrange, copy, convert, remove. */
import type { Box } from '../board/box'
import { Editing } from './editing.svelte'
import { placement } from '../board/place'
import { newId } from '../wire/codec'
import type {
  Affine,
  Figure,
  FormulaRead,
  Arrangement,
  Item,
  LineRead,
  MindMap,
  Pieces,
  Readings,
  SetMaths,
  SketchPart,
  Style,
  TrueUp,
  TrueUpAll,
  Typeset,
} from '../wire/generated'
import { conversionsOf, textOf } from './conversions'
import { boxOf, copied, copiesOf, keepCopied } from './clipboard'
import type { Inside } from './inside'
import type { Pictures } from './pictures.svelte'
import type { Selection } from './selection.svelte'
import { t } from '../words/words.svelte'

const PASTE_OFFSET = 24
/** More lines than this are one text, wherever they stand. */
const MOST_LINES = 40

type WrittenFormula = Pick<FormulaRead, 'formula' | 'lines'>

export class Chosen {
  #inside: Inside
  #selection: Selection
  #pictures: Pictures
  #type: (editing: Editing) => void

  /** ``type`` begins the typing of words. */
  constructor(inside: Inside, selection: Selection, pictures: Pictures, type: (editing: Editing) => void) {
    this.#inside = inside
    this.#selection = selection
    this.#pictures = pictures
    this.#type = type
  }

  move(dx: number, dy: number): void {
    const ids = this.ids()
    if (ids.length) this.#inside.do({ step: 'move_items', page: this.#inside.pages.id, ids, dx, dy })
  }

  transform(make: (box: Box) => Affine): void {
    const box = this.#selection.box('change')
    const ids = this.ids()
    if (box) this.#inside.do({ step: 'transform_items', page: this.#inside.pages.id, ids, matrix: make(box) })
  }

  /** The things that a change would change. */
  ids(): string[] {
    return this.#selection.items('change').map((item) => item.id)
  }

  style(style: Style, ids = this.ids(), page = this.#inside.pages.id): void {
    if (ids.length) this.#inside.do({ step: 'style_items', page, ids, style })
  }

  /** The one chosen thing whose words may be edited: a text, a note, a figure, a table. */
  withWords(): Item | null {
    const [item, ...more] = this.#selection.items('change')
    if (!item || more.length || this.#selection.ids.size > 1) return null
    return ['text', 'note', 'table'].includes(item.kind) || (item.kind === 'shape' && item.closed)
      ? item
      : null
  }

  /** Type in it; false when there is nothing to type in. A table begins with its first cell. */
  editWords(): boolean {
    const item = this.withWords()
    if (!item) return false
    const [, , , , x, y] = placement(item)
    const editing = Editing.of(this.#inside, item, [x, y])
    if (editing) this.#type(editing)
    return editing !== null
  }

  /** Line up, spread, order, group; locking is the tutor side's, on everything chosen. */
  arrange(how: Arrangement): void {
    const locking = ['lock', 'unlock', 'pin', 'unpin'].includes(how)
    const ids = (locking ? this.#selection.items() : this.#selection.items('change')).map((item) => item.id)
    if (ids.length)
      this.#inside.do({ step: 'arrange_items', page: this.#inside.pages.id, ids, how, id: newId() })
  }

  copy(): Item[] {
    const items = this.#selection.items()
    if (items.length && !keepCopied(this.#inside.boardId, items)) {
      this.#inside.say(t('too-much-to-copy'))
      return []
    }
    return items
  }

  /** Paste what was copied: beside where it lay on this page, or into the middle of what is seen. */
  async paste(middle: [number, number]): Promise<void> {
    const { board, items } = copied()
    const box = boxOf(items)
    if (!box) return
    const here = items.some((item) => this.#inside.pages.now?.entries.has(item.id))
    // What is pasted again lies beside the last one, not on it.
    const key = [this.#inside.pages.id, ...items.map(({ id }) => id)].join(' ')
    this.#pasted = { key, times: this.#pasted.key === key ? this.#pasted.times + 1 : 0 }
    const beside = PASTE_OFFSET * (this.#pasted.times + (here ? 1 : 0))
    const [dx, dy] = here
      ? [beside, beside]
      : [middle[0] - (box.minX + box.maxX) / 2 + beside, middle[1] - (box.minY + box.maxY) / 2 + beside]
    const { id: page } = this.#inside.pages
    this.#put(await this.#withPictures(board, copiesOf(items, dx, dy)), page)
  }

  #pasted = { key: '', times: 0 }

  /** Pictures copied on a board of another room are brought into this one. */
  async #withPictures(from: string, items: Item[]): Promise<Item[]> {
    const here = this.#inside.boards.some(({ id }) => id === from)
    const settled = await Promise.all(
      items.map(async (item) => {
        if (here || item.kind !== 'picture') return item
        const answer = await fetch(`/boards/${from}/pictures/${item.picture}`)
        const taken = answer.ok ? await this.#pictures.take(await answer.blob()) : null
        return taken && { ...item, picture: taken.id }
      }),
    )
    return settled.filter((item) => item !== null)
  }

  /** A copy beside the selection; again, and it repeats the offset that the last one was moved by. */
  duplicate(): void {
    const items = this.#selection.items()
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

  #put(items: Item[], page = this.#inside.pages.id): void {
    this.#inside.do({ step: 'add_items', page, items })
    this.#selection.chooseMade(
      items.map((item) => item.id),
      page,
    )
  }

  /** What this person may clear off the page: of those whose work ``of`` is, what is not locked. */
  clearable(of: (seat: string) => boolean): string[] {
    const items =
      this.#inside.board.version >= 0
        ? [...(this.#inside.pages.now?.entries.values() ?? [])].map(({ item }) => item)
        : []
    const free = items.filter((item) => this.#inside.rights.may('remove', item))
    return free.filter((item) => of(item.by)).map((item) => item.id)
  }

  /** Choose the thing or group ``step`` places further in reading order: the keyboard's way to any of them. */
  chooseNext(step: number): void {
    const groups = new Set<string>()
    const items = [...(this.#inside.pages.now?.entries.values() ?? [])]
      .sort((a, b) => a.minY - b.minY || a.minX - b.minX)
      .map(({ item }) => item)
      .filter(({ group }) => !group || (!groups.has(group) && groups.add(group)))
    if (!items.length) return
    const at = items.findIndex((item) => this.#selection.ids.has(item.id))
    const next = at < 0 ? (step > 0 ? 0 : items.length - 1) : at + step + items.length
    this.#selection.chooseMade([items[next % items.length]!.id])
  }

  remove(): void {
    const ids = this.#selection.items('remove').map((item) => item.id)
    if (ids.length) this.#inside.do({ step: 'remove_items', page: this.#inside.pages.id, ids })
    else if (this.#selection.ids.size) this.#inside.say(t('reason-not-yours'))
  }

  /** Selected ink to what it is likeliest to be, as it is offered first; false when nothing is offered. */
  convert(): boolean {
    const { readings } = this.#selection
    if (!readings || !this.#selection.ink().length) return false
    const may = { maths: this.#inside.rights.may('add_formula'), lines: false }
    const { readings: texts, figures, formulas, sketch, mind_map: map, pieces } = readings
    const [first] = conversionsOf(readings, may)
    // Words beside a map that is there are words, unless it is said that they are a branch.
    switch (first === 'asMap' && map!.of && texts.length ? 'asText' : first) {
      case 'asEach':
        this.toEach(pieces!)
        return true
      case 'asText':
        this.typeset(texts[0]!.text)
        return true
      case 'asMaths':
        this.setMaths(formulas[0]!)
        return true
      case 'asSketch':
        this.trueUpAll(sketch)
        return true
      case 'asMap':
        this.toMindMap(map!)
        return true
      case 'asFigure':
        if (figures[0]) this.trueUp(figures[0])
        return figures.length > 0
      default:
        return false
    }
  }

  /** Selected ink to typed text. */
  typeset(text: string, ink = this.#selection.ink(), readings = this.#selection.readings): void {
    // What only marks the words (underlines, boxes) stays ink.
    const written = readings?.lines.flatMap((line) => line.ids) ?? []
    const ids = written.length ? ink.filter((id) => written.includes(id)) : ink
    if (!ids.length) return
    this.#teach(text, readings)
    this.#inside.do(this.#typeset(text, ids, readings?.lines ?? []))
  }

  #typeset(text: string, ids: string[], read: LineRead[]): Typeset {
    // Lines that stand beside each other become texts of their own.
    const rows = text.split('\n').length
    const parted = rows <= MOST_LINES && read.length === rows ? read : []
    const lines = parted.map((line) => line.ids.filter((id) => ids.includes(id)))
    const more = lines.slice(1).map(() => newId())
    const angle_rad = read[0]?.angle_rad ?? 0
    const page = this.#inside.pages.id
    return { step: 'typeset', page, ids, id: newId(), text, angle_rad, more, lines, formulas: [] }
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
      this.#inside.send({ type: 'teach', page: this.#inside.pages.id, lines: corrected })
    }
  }

  /** Selected ink to an exact figure. */
  trueUp(figure: Figure, ids = this.#selection.ink()): void {
    if (ids.length) this.#inside.do(this.#trueUp(figure, ids, newId()))
  }

  #trueUp({ figure, points, closed, curved, parts, ends }: Figure, ids: string[], id: string): TrueUp {
    return {
      step: 'true_up',
      page: this.#inside.pages.id,
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
    this.#inside.do(this.#trueUpAll(sketch))
  }

  #trueUpAll(sketch: SketchPart[]): TrueUpAll {
    const made = sketch.map(() => newId())
    return {
      step: 'true_up_all',
      page: this.#inside.pages.id,
      figures: sketch.map(({ figure, ids }, i) => this.#trueUp(figure, ids, made[i]!)),
      holds: sketch.map(({ holds: [start, end] }) => [made[start] ?? '', made[end] ?? '']),
    }
  }

  /** Selected ink of several kinds, each part of it to what it is. */
  toEach(pieces: Pieces): void {
    const texts = pieces.texts.map((lines) => {
      const { text, formulas } = textOf(lines)
      const ids = lines.flatMap((line) => line.ids)
      return { ...this.#typeset(text, ids, lines), formulas }
    })
    const formulas = pieces.formulas.map(({ read, ids }) => this.#setMaths(read, ids))
    const sketch = pieces.figures.length ? this.#trueUpAll(pieces.figures) : null
    this.#inside.do({ step: 'convert_each', page: this.#inside.pages.id, texts, formulas, sketch })
    const ids = [...texts, ...formulas, ...(sketch?.figures ?? [])].map(({ id }) => id)
    this.#inside.chooseMade([...ids, ...[...texts, ...formulas].flatMap(({ more }) => more)])
  }

  /** Selected words and lines to a mind map, or to branches of one that is there. */
  toMindMap({ labels, lines, centre, of }: MindMap): void {
    const made = labels.map(() => newId())
    const at = (number: number) => made[number] ?? of
    this.#inside.do({
      step: 'to_mind_map',
      page: this.#inside.pages.id,
      labels: labels.map(({ ids, text }, i) => ({ ids, text, id: made[i]! })),
      links: lines.map(({ ids, ends: [start, end] }) => ({ ids, id: newId(), ends: [at(start), at(end)] })),
      centre: of ? '' : at(centre),
    })
  }

  /** Selected ink to a set formula. */
  setMaths(read: WrittenFormula, ids = this.#selection.ink(), readings = this.#selection.readings): void {
    // What frames a formula stays ink.
    const frames = readings?.maths_first ? readings.sketch.flatMap((part) => part.ids) : []
    const asked = this.#setMaths(
      read,
      ids.filter((one) => !frames.includes(one)),
    )
    this.#inside.do(asked)
    this.#inside.chooseMade([asked.id, ...asked.more])
  }

  /** Lines of working become formulas of their own. */
  #setMaths({ formula, lines }: WrittenFormula, ids: string[]): SetMaths {
    const more = lines.slice(1).map(() => newId())
    return { step: 'set_maths', page: this.#inside.pages.id, ids, id: newId(), formula, more, lines }
  }

  /** Selected converted items back to the ink they came from. */
  asWritten(): void {
    const ids = this.#selection
      .items('convert')
      .flatMap((item) => ('ink' in item && item.ink.length ? [item.id] : []))
    if (ids.length) this.#inside.do({ step: 'as_written', page: this.#inside.pages.id, ids })
  }
}
