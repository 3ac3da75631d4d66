/** Lines of working: formulas and written maths below each other, with the words that stand before them. */
import { itemBox, pointsBox, union, type Box } from '../board/box'
import { growth, ownSize, placement, pointOf, type Point } from '../board/place'
import type { FormulaItem, FormulaRead, Item, Readings, TextItem } from '../wire/generated'

/** A formula of one line or several; where each of so many lines ends on the page, and how large it is. */
interface Step {
  formula: string
  size: number
  endOf: (line: number, lines: number) => Point
}

export interface Working extends Step {
  /** What stands before it, from the formula before on; what stands to the right of that one is a remark on it. */
  words: string
  /** It begins a column that stands to the right of another. */
  beside: boolean
}

/** What stands in one line, from its left: words and steps. */
interface Row {
  box: Box
  parts: (string | Step)[]
}

/** Steps of two columns are so many heights of a line apart. */
const COLUMN_GAP = 1.5
/** Above its baseline lies the middle of a formula among words, in sizes. */
const HALF_A_LETTER = 0.3

/**
 * A line of plain text that states something in signs, behind the words and counters that lead into it, and the same before a
 * remark; longer ones are not looked at.
 */
const [STATEMENT, WITH_REMARK] = (() => {
  const functions = 'sqrt|sin|cos|tan|log|and'
  const word = String.raw`(?!(?:${functions})\b)\p{L}{2,}[:,]?\s+(?=[\p{L}\d(√])`
  const counter = String.raw`(?:[\p{L}\d]{1,2}[.)]|[•–-])\s+`
  // Each sign, and the first relation, is told in one way only: a hostile line takes no longer than another.
  const [relation, other] = ['=<>≤≥≠', String.raw`\d\s.,+−±*×·÷:/^²³½¼¾()|√°-`]
  const sign = (signs: string) => String.raw`(?:${functions}|\p{L}{1,2}(?!\p{L})|[${signs}])`
  const begun = `^(?<lead>(?:${word}|${counter})*)(?<formula>${sign(other)}*[${relation}]\\s*(?=\\S)${sign(relation + other)}+`
  const remark = String.raw`(?:\s{2,}|\s+(?=\(\p{L}{2}))\S.*`
  return [new RegExp(`${begun})$`, 'u'), new RegExp(`${begun}?)${remark}$`, 'u')]
})()
const MOST_SIGNS = 200
/** Each thing is looked at once: while it is chosen, whatever anybody writes asks for it again. */
const known = new WeakMap<TextItem, Row[]>()

/** Where a stroke lies; nothing once it is gone. */
type BoxOf = (id: string) => Box[]

/** Whether there is more than one line in it. */
export function hasLines(working: Working[]): boolean {
  return working.length > 1 || working.some(({ formula }) => /\n|\\\\/.test(formula))
}

/** The formulas among some things, and in the ink that was read, from the top. */
export function workingOf(items: Item[], readings: Readings | null, boxOf: BoxOf): Working[] {
  const rows = items.flatMap((item): Row[] => {
    if (item.kind === 'formula') return [{ box: itemBox(item), parts: [setFormula(item)] }]
    if (item.kind !== 'text') return []
    if (!known.has(item)) known.set(item, typedRows(item))
    return known.get(item)!
  })
  return inOrder(readings ? [...rows, ...inkRows(readings, boxOf)] : rows)
}

function inOrder(rows: Row[]): Working[] {
  return columnsOf(linesFrom(rows)).flatMap((lines, column) =>
    stepsIn(lines).map((step, at) => ({ ...step, beside: column > 0 && at === 0 })),
  )
}

function stepsIn(lines: Row[][]): Omit<Working, 'beside'>[] {
  const found: Omit<Working, 'beside'>[] = []
  let words: string[] = []
  for (const line of lines) {
    for (const part of line.flatMap(({ parts }) => parts)) {
      if (isStep(part)) found.push({ ...part, words: words.splice(0).join(' ').trim() })
      else words.push(part)
    }
    if (line.some(hasStep)) words = []
  }
  return found
}

/** Lines column by column, from the left, where steps stand beside each other; what has words alone goes with the column below it. */
function columnsOf(lines: Row[][]): Row[][][] {
  const pieces = lines.map(piecesOf)
  if (!pieces.some((line) => line.filter((piece) => piece.some(hasStep)).length > 1)) return [lines]
  let columns: Box[] = []
  for (const piece of pieces.flat().filter((piece) => piece.some(hasStep))) {
    const box = boxOfAll(piece)
    const under = columns.filter((column) => across(column, box) > 0)
    columns = [...columns.filter((column) => !under.includes(column)), union([box, ...under])!]
  }
  columns.sort((a, b) => a.minX - b.minX)
  const columnOf = (piece: Row[]) => {
    const shared = columns.map((column) => across(column, boxOfAll(piece)))
    return shared.indexOf(Math.max(...shared))
  }
  return columns.map((_, at) =>
    pieces
      .map((line) => line.filter((piece) => columnOf(piece) === at).flat())
      .filter(({ length }) => length),
  )
}

/** A line where it is parted by wide gaps. */
function piecesOf(line: Row[]): Row[][] {
  const pieces: Row[][] = []
  for (const row of line) {
    const before = pieces.at(-1)
    const gap = before ? row.box.minX - boxOfAll(before).maxX : 0
    const low = Math.min(...[row, ...(before ?? [])].map(({ box }) => box.maxY - box.minY))
    if (before && gap < COLUMN_GAP * low) before.push(row)
    else pieces.push([row])
  }
  return pieces
}

function boxOfAll(rows: Row[]): Box {
  return union(rows.map(({ box }) => box))!
}

/** How much of their width two boxes have in common; less than 0: how far they are apart. */
function across(a: Box, b: Box): number {
  return Math.min(a.maxX, b.maxX) - Math.max(a.minX, b.minX)
}

/** Rows that stand beside each other, each from the left; the lines from the top. */
function linesFrom(rows: Row[]): Row[][] {
  const lines: { box: Box; rows: Row[] }[] = []
  for (const row of rows.toSorted((a, b) => middle(a) - middle(b))) {
    const line = lines.at(-1)
    if (line && middle(row) < line.box.maxY) line.rows.push(row)
    else lines.push({ box: row.box, rows: [row] })
  }
  return lines.map((line) => line.rows.toSorted((a, b) => a.box.minX - b.box.minX))
}

function middle({ box }: Row): number {
  return (box.minY + box.maxY) / 2
}

function hasStep({ parts }: Row): boolean {
  return parts.some(isStep)
}

function isStep(part: string | Step): part is Step {
  return typeof part !== 'string'
}

function setFormula(item: FormulaItem): Step {
  const [width, height] = ownSize(item)
  return {
    formula: item.formula,
    size: item.size,
    endOf: (line, lines) => pointOf(placement(item), width, (height * (line + 0.5)) / lines),
  }
}

/** The lines of a typed text, as the server laid them out: a formula among words is an outline. */
function typedRows(item: TextItem): Row[] {
  const map = placement(item)
  return item.lines.map(([runs, baseline, lineWidth]) => {
    const step = (formula: string, x: number, size: number): Step => ({
      formula,
      size: size * growth(map),
      endOf: () => pointOf(map, x, baseline - size * HALF_A_LETTER),
    })
    const box = pointsBox([pointOf(map, 0, baseline - item.size), pointOf(map, lineWidth, baseline)])
    // A raised 2 is a power to whoever reads it, and not to whom the letters are given.
    const plain = runs.every(([, , , , , rise, , , , outline]) => !outline && !rise)
    const whole = runs.map(([, text]) => text).join(item.listing === 'none' ? '' : ' ')
    const states = plain && whole.length <= MOST_SIGNS && (STATEMENT.exec(whole) ?? WITH_REMARK.exec(whole))
    const { lead, formula } = (states && states.groups) || {}
    if (formula) return { box, parts: [lead!, step(formula.replace(/[\s.,;]+$/, ''), lineWidth, item.size)] }
    return {
      box,
      parts: runs.map(([, text, x, width, size, , , , , outline]) =>
        outline ? step(text, x + width, size) : text,
      ),
    }
  })
}

/** Ink as what it is rather: one formula of some lines, or lines of words and formulas. */
function inkRows({ maths_first, formulas, lines, pieces, pieces_first }: Readings, boxOf: BoxOf): Row[] {
  const asRow = (read: FormulaRead): Row[] => {
    const written = writtenFormula(read, boxOf)
    return written ? [{ box: written.box, parts: [written.step] }] : []
  }
  if (maths_first && !pieces_first) return formulas.slice(0, 1).flatMap(asRow)
  const words = (pieces ? pieces.texts.flat() : lines).map(({ box, rivals, parts }) => ({
    box: { minX: box[0], minY: box[1], maxX: box[2], maxY: box[3] },
    parts: parts.length
      ? parts.map(({ text, formula }) => (formula && writtenFormula(formula, boxOf)?.step) ?? text)
      : [rivals[0]!.text],
  }))
  return [...words, ...(pieces?.formulas.flatMap(({ read }) => asRow(read)) ?? [])]
}

/** Ink that was read as a formula; null when it is gone meanwhile. */
function writtenFormula({ formula, signs }: FormulaRead, boxOf: BoxOf): { box: Box; step: Step } | null {
  const lines: Box[] = []
  for (const at of new Set(signs.map(({ line }) => line))) {
    const box = union(signs.filter(({ line }) => line === at).flatMap(({ ids }) => ids.flatMap(boxOf)))
    if (box) lines[at] = box
  }
  // A line whose strokes are gone meanwhile has no box.
  const there = Object.values(lines)
  const box = union(there)
  if (!box) return null
  const endOf = (line: number): Point => {
    const { maxX, minY, maxY } = lines[line] ?? there[0]!
    return [maxX, (minY + maxY) / 2]
  }
  return { box, step: { formula, size: Math.min(...there.map(({ minY, maxY }) => maxY - minY)), endOf } }
}
