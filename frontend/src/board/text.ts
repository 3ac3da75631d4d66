/** Typed text and tables of our own making, as they are shown until the server has laid them out. */
import { LINE_HEIGHT, TABLE_ROW, TABLE_COLUMN } from '../wire/generated'
import { newId } from '../wire/codec'
import type { Line, NoteItem, TableItem, TextItem } from '../wire/generated'

/** About how wide a character is: good enough for the few milliseconds until the server knows. */
const ABOUT_WIDE = 0.5

export function placed(by: string, x: number, y: number) {
  return {
    id: newId(),
    x,
    y,
    map: [1, 0, 0, 1] as TextItem['map'],
    z: 0,
    group: '',
    by,
    at_ms: 0,
    locked: false,
    pinned: false,
  }
}

/** Words in lines as they were typed, about where the server will set them. */
export function plainLines(text: string, size: number): Line[] {
  return text
    .split('\n')
    .map((line, i) => [
      [['sans', line, 0, 0, size, 0, false, false, '', '', 0]],
      size * (1 + LINE_HEIGHT * i),
      line.length * size * ABOUT_WIDE,
    ])
}

export function newText(
  by: string,
  text: string,
  x: number,
  y: number,
  size: number,
  colour: string,
  wrap_width: number | null = null,
): TextItem {
  return {
    kind: 'text',
    ...placed(by, x, y),
    text,
    size,
    colour,
    wrap_width,
    family: 'sans',
    align: 'left',
    listing: 'none',
    spans: [],
    lines: plainLines(text, size),
    ink: [],
    pitch: 0,
  }
}

export const NOTE_SIZE = { width: 190, height: 170, size: 22 }

/** A note with the name of who writes it, its upper left corner at a place. */
export function newNote(
  { seat, name }: { seat: string; name: string },
  text: string,
  x: number,
  y: number,
  colour: string,
): NoteItem {
  return { kind: 'note', ...placed(seat, x, y), text, colour, name, ...NOTE_SIZE, lines: [] }
}

/** A table with its middle at a place. */
export function newTable(by: string, [x, y]: [number, number], rows: string[][]): TableItem {
  const columns = Math.max(...rows.map((row) => row.length))
  return {
    kind: 'table',
    ...placed(by, x - (columns * TABLE_COLUMN) / 2, y - (rows.length * TABLE_ROW) / 2),
    columns: Array.from({ length: columns }, () => TABLE_COLUMN),
    rows: rows.map(() => TABLE_ROW),
    cells: rows.flatMap((row) => Array.from({ length: columns }, (_, i) => row[i] ?? '')),
    colour: '#8a7d5f',
    size: 18,
    head: true,
    lines: [],
    chance: null,
  }
}

/** The rows of a part of a spreadsheet, as it comes over the clipboard; null when the text is none. */
export function spreadsheetRows(text: string, most: number): string[][] | null {
  const rows = text
    .replace(/\n+$/, '')
    .split('\n')
    .map((row) => row.split('\t').map((cell) => cell.trim()))
  const fits = rows.length <= most && rows.every((row) => row.length <= most)
  return fits && rows.length > 0 && rows.some((row) => row.length > 1) ? rows : null
}
