/** What ink reads as, pale, below where it lies. */
import { FORMULA_UNITS, PAPER_COLOUR, type FormulaRead, type LineRead } from '../wire/generated'
import type { Box } from './box'
import { outlineOf } from './draw-words'

type Context = CanvasRenderingContext2D

const GHOST_COLOUR = '#2f7d5b'
/** How far the tallest letters reach above their baseline, as a part of the size. */
const ASCENT = 0.8
/** From the ink to its ghost, and the rim of paper around that, in px. */
const [BELOW_PX, RIM_PX] = [10, 4]

/** A line with the formulas among its words; ``scale`` in px of a board unit. */
export function ghostLine(
  context: Context,
  scale: number,
  { rivals, parts, box: [x0, y0, x1, y1] }: LineRead,
): void {
  const size = Math.min(Math.max(0.5 * (y1 - y0), 13 / scale), 30 / scale)
  const shown = parts.length ? parts : [{ text: rivals[0]!.text, formula: null }]
  context.save()
  context.font = `${size}px "Atkinson Hyperlegible Next", sans-serif`
  context.textBaseline = 'alphabetic'
  context.textAlign = 'left'
  const widths = shown.map(({ text, formula }) =>
    formula ? formula.width * size : context.measureText(text).width,
  )
  const width = widths.reduce((sum, each) => sum + each, 0)
  const above = Math.max(ASCENT, ...shown.map(({ formula }) => formula?.baseline ?? 0))
  context.translate(x0, y1 + BELOW_PX / scale + above * size)
  context.scale(Math.min(1, Math.max(x1 - x0, 200 / scale) / width), 1)
  let x = 0
  for (const [i, { text, formula }] of shown.entries()) {
    if (formula) drawOutline(context, scale, formula.outline, x, -formula.baseline * size, size)
    else {
      look(context, RIM_PX / scale)
      context.strokeText(text, x, 0)
      context.fillText(text, x, 0)
    }
    x += widths[i]!
  }
  context.restore()
}

/** A formula by itself. */
export function ghostFormula(
  context: Context,
  scale: number,
  { outline, height }: FormulaRead,
  { minX, minY, maxY }: Box,
): void {
  const size = Math.min(Math.max((0.5 * (maxY - minY)) / height, 14 / scale), 30 / scale)
  drawOutline(context, scale, outline, minX, maxY + BELOW_PX / scale, size)
}

function drawOutline(
  context: Context,
  scale: number,
  outline: string,
  x: number,
  y: number,
  size: number,
): void {
  const path = outlineOf(outline)
  context.save()
  context.translate(x, y)
  context.scale(size / FORMULA_UNITS, size / FORMULA_UNITS)
  look(context, (RIM_PX / scale / size) * FORMULA_UNITS)
  context.stroke(path)
  context.fill(path)
  context.restore()
}

function look(context: Context, rim: number): void {
  context.lineWidth = rim
  context.lineJoin = 'round'
  context.strokeStyle = PAPER_COLOUR
  context.fillStyle = GHOST_COLOUR
}
