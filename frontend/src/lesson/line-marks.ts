/** Marks beside lines of working that were checked. */
import { placed } from '../board/text'
import { UNIT_FIGURES, type LineChecked, type LineVerdict, type ShapeItem } from '../wire/generated'
import type { Working } from './working'

const [TICK, CROSS] = [
  { figure: 'tick', colour: '#2f7d5b' },
  { figure: 'cross', colour: '#b4472c' },
] as const
const MARKS: Partial<Record<LineVerdict, typeof TICK | typeof CROSS>> = {
  follows: TICK,
  right: TICK,
  does_not: CROSS,
  wrong: CROSS,
}
const [MARK_SIDE, MARK_GAP, MARK_WIDTH] = [0.55, 0.5, 3]

/** A tick or a cross beside each line of which something is known. */
export function lineMarks(by: string, working: Working[], checked: LineChecked[]): ShapeItem[] {
  return checked.flatMap(({ verdict, formula, line, lines }): ShapeItem[] => {
    const mark = MARKS[verdict]
    if (!mark) return []
    const { endOf, size } = working[formula]!
    const end = endOf(line, lines)
    const { figure, colour } = mark
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
