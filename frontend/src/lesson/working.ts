/** Lines of working: formulas below each other, or the lines of one; and marks beside those that were checked. */
import { ownSize, placement, pointOf } from '../board/place'
import { placed } from '../board/text'
import {
  UNIT_FIGURES,
  type FormulaItem,
  type LineChecked,
  type FormulaLook,
  type ShapeItem,
} from '../wire/generated'

/** A line: what it says, how it looks when it is a formula of its own, its right end on the page, its size. */
export interface WorkingLine {
  formula: string
  look: FormulaLook | null
  end: [number, number]
  size: number
}

const MARKS = {
  follows: { figure: 'tick', colour: '#2f7d5b' },
  does_not: { figure: 'cross', colour: '#b4472c' },
} as const
const [MARK_SIDE, MARK_GAP, MARK_WIDTH] = [0.55, 0.5, 3]
const ALIGNED = /^\s*\\begin\{(?:aligned|align\*?|gathered)\}([\s\S]*)\\end\{[^}]*\}\s*$/

/** From the upper one on. */
export function linesOfWorking(formulas: FormulaItem[]): WorkingLine[] {
  return formulas
    .toSorted((a, b) => a.y - b.y || a.x - b.x)
    .flatMap((item) => {
      const [width, height] = ownSize(item)
      const parts = partsOf(item.formula)
      return parts.map((formula, at) => ({
        formula,
        look: parts.length === 1 ? item : null,
        end: pointOf(placement(item), width, (height * (at + 0.5)) / parts.length),
        size: item.size,
      }))
    })
}

/** The lines of a formula of several; what stands in a table of its own is one. */
function partsOf(formula: string): string[] {
  const inner = ALIGNED.exec(formula)?.[1] ?? formula
  if (inner.includes('\\begin')) return [formula]
  const parts = inner.includes('\\') ? inner.split('\\\\') : inner.split('\n')
  return parts.map((part) => part.replaceAll('&', ' ').trim()).filter(Boolean)
}

/** A tick or a cross beside each line of which something is known. */
export function lineMarks(by: string, lines: WorkingLine[], checked: LineChecked[]): ShapeItem[] {
  return checked.flatMap(({ verdict }, at): ShapeItem[] => {
    if (verdict !== 'follows' && verdict !== 'does_not') return []
    const { end, size } = lines[at]!
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
