/** What chosen ink may become, and in which order that is offered. */
import type { FormulaInText, LineRead, Readings } from '../wire/generated'

export type Conversion =
  | 'asEach'
  | 'asText'
  | 'words'
  | 'rivals'
  | 'asMap'
  | 'asSketch'
  | 'asFigure'
  | 'asMaths'
  | 'otherMaths'
  | 'checks'

/** What the ink is likeliest to be stands first; none while it cannot be read. ``maths`` and ``lines``: formulas may be set, lines checked. */
export function conversionsOf(
  readings: Omit<Readings, 'type' | 'ref' | 'lines' | 'even' | 'unasked'>,
  may: { maths: boolean; lines: boolean },
): Conversion[] {
  if (readings.problem) return []
  const { readings: texts, figures, sketch } = readings
  const text: Conversion[] = texts.length ? ['asText', 'words'] : []
  if (texts.length > 1) text.push('rivals')
  const asMap: Conversion[] = readings.mind_map ? ['asMap'] : []
  // A single figure is a sketch when it stands beside writing.
  const drawn = sketch.length > (readings.figure_first ? 1 : 0)
  const figure: Conversion[] = drawn ? ['asSketch'] : []
  if (figures.length || !drawn) figure.push('asFigure')
  const maths: Conversion[] = readings.formulas.length && may.maths ? ['asMaths', 'otherMaths'] : []
  const checks: Conversion[] = may.lines ? ['checks'] : []
  const { pieces } = readings
  const each: Conversion[] = pieces && (may.maths || !pieces.formulas.length) ? ['asEach'] : []
  const first = readings.pieces_first && each.length ? [...each, ...checks] : []
  const later = first.length ? [] : each
  if (!first.length) maths.push(...checks)
  if (readings.maths_first) return [...first, ...maths, ...later, ...text, ...asMap, ...figure]
  return readings.figure_first
    ? [...first, ...figure, ...later, ...asMap, ...text, ...maths]
    : [...first, ...asMap, ...text, ...later, ...maths, ...figure]
}

/** Lines of words as one text, and where in it are the formulas among them. */
export function textOf(lines: LineRead[]): { text: string; formulas: FormulaInText[] } {
  const formulas: FormulaInText[] = []
  let text = ''
  for (const [i, { rivals, parts }] of lines.entries()) {
    if (i) text += '\n'
    for (const part of parts) {
      const start = text.length
      text += part.text
      if (part.formula) formulas.push({ start, end: text.length, ids: part.ids })
    }
    if (!parts.length) text += rivals[0]!.text
  }
  return { text, formulas }
}
