/** Words being typed: into a text, a note, a figure or a table's cell. The editor shows it, the sill sets it. */
import { CELL_PAD, LABEL_PAD, MAX_CELL, MAX_LABEL, MAX_NOTE, MAX_TEXT, NOTE_PAD } from '../wire/generated'
import type { Inside } from './inside'
import type {
  Affine,
  Align,
  Family,
  Item,
  Listing,
  NoteItem,
  ShapeItem,
  TableItem,
  TextItem,
} from '../wire/generated'
import { inverse, ownSize, partsOf, placement, pointOf, type Point } from '../board/place'
import { StyledText, type Flag, type Style } from '../board/styled'
import { newNote, newText, NOTE_SIZE } from '../board/text'
import { t } from '../words/words.svelte'

export type Edited = 'text' | 'note' | 'shape' | 'cell'
/** So many characters the server takes. */
const MOST: Record<Edited, number> = { text: MAX_TEXT, note: MAX_NOTE, shape: MAX_LABEL, cell: MAX_CELL }
/** What nothing is shown of, and the server takes in no words; as in core/board/limits.py. */
const UNPRINTABLE = /[\x00-\x08\x0b-\x1f\x7f-\x9f\u202a-\u202e\u2066-\u2069]/g

/** A line has room for at least so many times its size, and a character is at most so wide. */
const LEAST_LINE = 8
const WIDEST = 0.62

/** Where the words stand on the page, and how wide they may be (null: as they are). */
interface Frame {
  place: Affine
  width: number | null
  height: number | null
}

export class Editing {
  readonly kind: Edited
  readonly frame: Frame
  readonly page: string
  /** Lines of a new text get no longer than this, in board units. */
  limit = Infinity
  readonly paper: string
  styled = $state.raw(new StyledText('', []))
  size = $state.raw(26)
  family = $state.raw<Family>('sans')
  colour = $state.raw('')
  align = $state.raw<Align>('left')
  listing = $state.raw<Listing>('none')
  selected = $state.raw<[number, number]>([0, 0])
  /** A style for what is typed next. */
  pending = $state.raw<Style | null>(null)
  /** Counts changes that the editor must draw anew: all but typing. */
  drawn = $state.raw(0)
  /** Take the keyboard again; the editor's part. */
  focus: () => void = () => {}
  #inside: Inside
  #item: Item | null
  #cell: number
  #wrapWidth: number | null = null
  #taken = false

  private constructor(
    inside: Inside,
    kind: Edited,
    item: Item | null,
    frame: Frame,
    colour: string,
    cell = 0,
  ) {
    this.#inside = inside
    this.kind = kind
    this.#item = item
    this.#cell = cell
    this.frame = frame
    this.page = inside.pages.id
    this.colour = colour
    this.paper = kind === 'note' ? ((item as NoteItem | null)?.colour ?? inside.tools.noteColour) : ''
  }

  /** ``width`` is where its lines break; null: where the paper that is seen ends. */
  static newText(inside: Inside, at: Point, width: number | null = null): Editing {
    const { textSize, textFamily, ink } = inside.tools
    // A press stands for the middle of the first line.
    const place: Affine = [1, 0, 0, 1, at[0], at[1] - textSize * 0.65]
    const editing = new Editing(inside, 'text', null, { place, width, height: null }, ink)
    editing.#wrapWidth = width
    const right = inside.surface?.looking.seen()[2] ?? Infinity
    editing.limit = Math.max(LEAST_LINE * textSize, right - at[0] - textSize)
    editing.size = textSize
    editing.family = textFamily
    return editing
  }

  static newNote(inside: Inside, at: Point): Editing {
    const { width, height } = NOTE_SIZE
    const place: Affine = [1, 0, 0, 1, at[0] - width / 2, at[1] - height / 2]
    const editing = new Editing(inside, 'note', null, { place, width, height }, '#16222b')
    editing.size = NOTE_SIZE.size
    return editing
  }

  /** Edit the words of an item; null when it has none that could be edited there. */
  static of(inside: Inside, item: Item, at: Point): Editing | null {
    const place = placement(item)
    switch (item.kind) {
      case 'text': {
        const frame = { place, width: item.wrap_width, height: null }
        const editing = new Editing(inside, 'text', item, frame, item.colour)
        editing.#wrapWidth = item.wrap_width
        editing.styled = StyledText.of(item.text, item.spans)
        editing.size = item.size
        editing.family = item.family
        editing.align = item.align
        editing.listing = item.listing
        return editing
      }
      case 'note': {
        const frame = { place, width: item.width, height: item.height }
        const editing = new Editing(inside, 'note', item, frame, '#16222b')
        editing.styled = StyledText.of(item.text, [])
        editing.size = item.size
        return editing
      }
      case 'shape':
        return item.closed ? Editing.#label(inside, item) : null
      case 'table':
        return Editing.#cellAt(inside, item, at)
      default:
        return null
    }
  }

  static #label(inside: Inside, item: ShapeItem): Editing {
    const points = partsOf(item).flat()
    const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
    const [low, high] = [Math.min(...xs), Math.max(...xs)]
    const width = Math.max(high - low - 2 * LABEL_PAD, item.size)
    const middle = pointOf(placement(item), (low + high) / 2, (Math.min(...ys) + Math.max(...ys)) / 2)
    const height = Math.max(1, item.lines.length) * 1.3 * item.size
    const place: Affine = [1, 0, 0, 1, middle[0] - width / 2, middle[1] - height / 2]
    const editing = new Editing(inside, 'shape', item, { place, width, height: null }, item.colour)
    editing.styled = StyledText.of(item.text, [])
    editing.size = item.size
    editing.align = 'centre'
    return editing
  }

  static #cellAt(inside: Inside, item: TableItem, at: Point): Editing | null {
    const [x, y] = inverse(placement(item), at)
    const [width, height] = ownSize(item)
    if (x < 0 || y < 0 || x >= width || y >= height) return null
    const [column, left] = sideAt(item.columns, x)
    const [row, top] = sideAt(item.rows, y)
    return Editing.cell(inside, item, row * item.columns.length + column, left, top)
  }

  private static cell(inside: Inside, item: TableItem, cell: number, left: number, top: number): Editing {
    const [a, b, c, d] = item.map
    const [x, y] = pointOf(placement(item), left, top)
    const width = item.columns[cell % item.columns.length]!
    const height = item.rows[Math.floor(cell / item.columns.length)]!
    const frame: Frame = { place: [a, b, c, d, x, y], width, height }
    const editing = new Editing(inside, 'cell', item, frame, '#16222b', cell)
    editing.styled = StyledText.of(item.cells[cell]!, [])
    editing.size = item.size
    return editing
  }

  /** Room between the frame and the words. */
  get pad(): number {
    return this.kind === 'note' ? NOTE_PAD : this.kind === 'cell' ? CELL_PAD : 0
  }

  typed(raw: string): void {
    const text = raw.replace(/\r\n?/g, '\n').replace(UNPRINTABLE, '')
    if (raw === this.styled.text) return
    if ([...text].length > MOST[this.kind]) {
      this.drawn++
      return this.#inside.say(t('that-is-more-text-than'))
    }
    this.styled = this.styled.typed(text, this.pending)
    if (this.pending || raw !== text) this.drawn++
    this.pending = null
  }

  /** Whether what is selected, or typed next, has a style. */
  has(wanted: (style: Style) => boolean): boolean {
    const [start, end] = this.selected
    if (this.pending) return wanted(this.pending)
    return start < end ? this.styled.has(start, end, wanted) : wanted(this.styled.at(start - 1))
  }

  toggle(flag: Flag): void {
    this.restyle({ [flag]: !this.has((style) => Boolean(style[flag])) })
  }

  script(script: 'sub' | 'sup'): void {
    this.restyle({ script: this.has((style) => style.script === script) ? '' : script })
  }

  /** Style what is selected, or what is typed next. */
  restyle(change: Style): void {
    const [start, end] = this.selected
    if (start === end) this.pending = { ...this.styled.at(start - 1), ...this.pending, ...change }
    else {
      this.styled = this.styled.styled(start, end, change)
      this.drawn++
    }
  }

  /** Put the words on the board, once. */
  take(): void {
    if (this.#taken) return
    this.#taken = true
    const text = this.styled.text.replace(/\s+$/, '')
    const inside = this.#inside
    const item = this.#itemNow()
    const spans = this.styled.spans(text.length)
    const { family, align, listing, page } = this
    if (!item) {
      if (!text) return
      const made = this.kind === 'note' ? this.#newNote(text) : this.#newText(text)
      inside.do({ step: 'add_items', page, items: [made] })
    } else if (item.kind === 'table') {
      // Columns and rows may have come meanwhile.
      const wide = (this.#item as TableItem).columns.length
      const [row, column] = [Math.floor(this.#cell / wide), this.#cell % wide]
      if (text !== item.cells[row * item.columns.length + column])
        inside.do({ step: 'set_cell', page, id: item.id, row, column, text })
    } else if (item.kind === 'text' && !text) {
      // A text without words would be there and could be found by nobody.
      if (inside.rights.may('remove', item)) inside.do({ step: 'remove_items', page, ids: [item.id] })
    } else if (item.kind === 'text') {
      const before = [item.text, item.spans, item.family, item.align, item.listing]
      if (this.colour !== item.colour)
        inside.do({ step: 'style_items', page, ids: [item.id], style: { colour: this.colour } })
      if (JSON.stringify(before) !== JSON.stringify([text, spans, family, align, listing]))
        inside.do({ step: 'edit_text', page, id: item.id, text, spans, family, align, listing })
    } else if ((item as NoteItem | ShapeItem).text !== text) {
      inside.do({ step: 'edit_text', page, id: item.id, text, spans: [], family, align, listing })
    }
  }

  /** The cell ``by`` places further on in the table; null for all else and at its end. */
  nextCell(by: number): Editing | null {
    const item = this.#itemNow()
    if (item?.kind !== 'table') return null
    const cell = this.#cell + by
    if (cell < 0 || cell >= item.cells.length) return null
    const before = (sides: number[], count: number) => sides.slice(0, count).reduce((a, b) => a + b, 0)
    const [column, row] = [cell % item.columns.length, Math.floor(cell / item.columns.length)]
    return Editing.cell(this.#inside, item, cell, before(item.columns, column), before(item.rows, row))
  }

  /** The item that is edited, with what has been done to it meanwhile. */
  #itemNow(): Item | null {
    return this.#item && (this.#inside.pages.now?.entries.get(this.#item.id)?.item ?? this.#item)
  }

  #newText(text: string): TextItem {
    const [, , , , x, y] = this.frame.place
    const longest = Math.max(...text.split('\n').map((line) => line.length)) * WIDEST * this.size
    const wrap = this.#wrapWidth ?? (longest > this.limit ? this.limit : null)
    const made = newText(this.#inside.rights.me, text, x, y, this.size, this.colour, wrap)
    const { family, align, listing } = this
    return { ...made, family, align, listing, spans: this.styled.spans(text.length) }
  }

  #newNote(text: string): NoteItem {
    const [, , , , x, y] = this.frame.place
    const { rights, people } = this.#inside
    const writer = { seat: rights.me, name: people.of(rights.me)?.name ?? '' }
    return { ...newNote(writer, text, x, y, this.paper), size: this.size }
  }
}

/** The column or row at a place along a side, and where it begins. */
function sideAt(sides: number[], at: number): [number, number] {
  let begin = 0
  for (const [i, side] of sides.entries()) {
    if (at < begin + side) return [i, begin]
    begin += side
  }
  return [sides.length - 1, begin - sides.at(-1)!]
}
