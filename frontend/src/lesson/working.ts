/** Lines of working: formulas and written maths below each other; and marks beside those that were checked. */
import { union, type Box } from '../board/box'
import { ownSize, placement, pointOf, type Point } from '../board/place'
import { placed } from '../board/text'
import {
  UNIT_FIGURES,
  type FormulaItem,
  type FormulaRead,
  type LineChecked,
  type Readings,
  type ShapeItem,
} from '../wire/generated'

/** A formula of one line or several; where each of so many lines ends on the page, and how large it is. */
export interface Working {
  formula: string
  top: number
  size: number
  endOf: (line: number, lines: number) => Point
}

const MARKS = {
  follows: { figure: 'tick', colour: '#2f7d5b' },
  does_not: { figure: 'cross', colour: '#b4472c' },
} as const
const [MARK_SIDE, MARK_GAP, MARK_WIDTH] = [0.55, 0.5, 3]

/** Whether there is more than one line in it. */
export function hasLines(working: Working[]): boolean {
  return working.length > 1 || working.some(({ formula }) => /\n|\\\\/.test(formula))
}

export function workingOf(item: FormulaItem): Working {
  const [width, height] = ownSize(item)
  return {
    formula: item.formula,
    top: item.y,
    size: item.size,
    endOf: (line, lines) => pointOf(placement(item), width, (height * (line + 0.5)) / lines),
  }
}

/** The formula that some ink is rather than words, or the one that it has among words and figures. */
export function formulaAmong({
  maths_first,
  formulas,
  pieces,
  pieces_first,
}: Readings): FormulaRead | undefined {
  if (maths_first && !pieces_first) return formulas[0]
  return pieces?.formulas.length === 1 ? pieces.formulas[0]!.read : undefined
}

/** Ink that was read as a formula; ``boxOf`` is where a stroke lies. */
export function writtenWorking(
  { formula, signs }: FormulaRead,
  boxOf: (id: string) => Box[],
): Working | null {
  const lines: Box[] = []
  for (const at of new Set(signs.map(({ line }) => line))) {
    const box = union(signs.filter(({ line }) => line === at).flatMap(({ ids }) => ids.flatMap(boxOf)))
    if (box) lines[at] = box
  }
  const [first] = lines
  if (!first) return null
  // A line whose strokes are gone meanwhile has no box.
  const size = Math.min(...Object.values(lines).map(({ minY, maxY }) => maxY - minY))
  return {
    formula,
    top: first.minY,
    size,
    endOf: (line) => {
      const { maxX, minY, maxY } = lines[line] ?? first
      return [maxX, (minY + maxY) / 2]
    },
  }
}

/** A tick or a cross beside each line of which something is known. */
export function lineMarks(by: string, working: Working[], checked: LineChecked[]): ShapeItem[] {
  return checked.flatMap(({ verdict, formula, line, lines }): ShapeItem[] => {
    if (verdict !== 'follows' && verdict !== 'does_not') return []
    const { endOf, size } = working[formula]!
    const end = endOf(line, lines)
    const { figure, colour } = MARKS[verdict]
    const { points, parts, closed, curved } = UNIT_FIGURES[figure]
    const side = size * MARK_SIDE
    return [
      {
        kind: 'shape',
        ...placed(by, end[0] + size * MARK_GAP, end[1] - side / 2),
        figure,
        points: points.map(([x, y]) => [(x * side) / 100, (y * side) / 100]),
        parts,
        closed,
        curved,
        colour,
        width: MARK_WIDTH,
        fill: '',
        dash: 'solid',
        ends: 'none',
        opacity: 1,
        text: '',
        size: 22,
        lines: [],
        holds: ['', ''],
        measured: [],
        measures: null,
        ink: [],
      },
    ]
  })
}
