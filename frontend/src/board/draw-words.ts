/** Typed lines, notes and tables on a canvas, each from the origin of the space the context is in. */
import {
  CARD_PAD,
  CARD_SIGN,
  CARD_SIGNS,
  CELL_PAD,
  FORMULA_UNITS,
  AREA_OPACITY,
  GRAPH_AXIS,
  GRAPH_GRID,
  GRAPH_LABEL,
  PATH_UNITS,
  LINE_HEIGHT,
  NOTE_PAD,
  RULE,
  STRIKE,
  UNDERLINE,
} from '../wire/generated'
import type { CardItem, Drawn, FormulaItem, GraphItem, Line, NoteItem, TableItem } from '../wire/generated'
import { ownSize } from './place'
const LINK_COLOUR = '#1f5fa8'
const NOTE_INK = '#16222b'
const NOTE_NAME_INK = '#5e6a66'
const NOTE_NAME_SIZE = 13
const TABLE_HEAD = '#f1e9d8'
const TABLE_LINE = 1.4
const [CARD_PAPER, CARD_LINE, CARD_INK] = ['#fdf9ef', '#cfc1a0', '#1d5c5f']
const [SIGN_SIDE, SIGN_LINE] = [40, 2.4]
/** What of an address names the place, as place_of in the core. */
const PLACE = /^(?:https?:\/\/(?:www\.)?|mailto:)([^/?#]{1,36})/i
/** Every width on the board is the sum of its characters': see core/text. */
export function plainText(context: CanvasRenderingContext2D): void {
  context.fontKerning = 'none'
  context.textRendering = 'optimizeSpeed'
  context.textBaseline = 'alphabetic'
}

/** Lines of text from the origin of the space that the context is in. */
export function drawLines(context: CanvasRenderingContext2D, lines: Line[], colour: string): void {
  plainText(context)
  for (const [runs, baseline] of lines) {
    for (const [face, text, x, width, size, rise, underline, strike, link, outline, above] of runs) {
      context.font = `${size}px ${face === 'other' ? 'sans-serif' : `"${face}"`}`
      context.fillStyle = context.strokeStyle = link ? LINK_COLOUR : colour
      const y = baseline - rise
      if (outline) {
        context.save()
        context.translate(x, y - above)
        context.scale(size / FORMULA_UNITS, size / FORMULA_UNITS)
        context.fill(outlineOf(outline))
        context.restore()
      } else if (face === 'other') context.fillText(text, x, y, width)
      else context.fillText(text, x, y)
      context.lineWidth = RULE * size
      if (underline) drawRule(context, x, y + UNDERLINE * size, width)
      if (strike) drawRule(context, x, y - STRIKE * size, width)
    }
  }
}

function drawRule(context: CanvasRenderingContext2D, x: number, y: number, width: number): void {
  context.beginPath()
  context.moveTo(x, y)
  context.lineTo(x + width, y)
  context.stroke()
}

export function drawNote(context: CanvasRenderingContext2D, item: NoteItem): void {
  context.fillStyle = item.colour
  context.fillRect(0, 0, item.width, item.height)
  context.save()
  context.translate(NOTE_PAD, NOTE_PAD)
  drawLines(context, item.lines, NOTE_INK)
  context.restore()
  context.fillStyle = NOTE_NAME_INK
  context.font = `${NOTE_NAME_SIZE}px "sans"`
  context.fillText(item.name, NOTE_PAD, item.height - NOTE_PAD * 0.7)
}

function placeOf(address: string): string {
  return PLACE.exec(address)?.[1] ?? ''
}

export function drawCard(context: CanvasRenderingContext2D, item: CardItem): void {
  const { width, height, address, of, lines, size } = item
  context.fillStyle = CARD_PAPER
  context.fillRect(0, 0, width, height)
  context.strokeStyle = CARD_LINE
  context.lineWidth = TABLE_LINE
  context.strokeRect(0, 0, width, height)
  context.save()
  context.translate((CARD_SIGN - SIGN_SIDE) / 2, (height - SIGN_SIDE) / 2)
  context.beginPath()
  for (const line of CARD_SIGNS[of])
    for (const [i, [x, y]] of line.entries()) {
      if (i) context.lineTo(x!, y!)
      else context.moveTo(x!, y!)
    }
  context.strokeStyle = CARD_INK
  context.lineWidth = SIGN_LINE
  context.lineCap = context.lineJoin = 'round'
  context.stroke()
  context.restore()
  context.save()
  const spare = height - lines.length * LINE_HEIGHT * size
  context.translate(CARD_SIGN, address ? CARD_PAD : Math.max(spare / 2, 0))
  drawLines(context, lines, NOTE_INK)
  context.restore()
  if (!address) return
  context.fillStyle = LINK_COLOUR
  context.font = `${NOTE_NAME_SIZE}px "sans"`
  context.fillText(placeOf(address), CARD_SIGN, height - CARD_PAD)
}

/** Grid, curves, then the axes with their numbers; what a graph shows the server has worked out. */
export function drawGraph(context: CanvasRenderingContext2D, { drawn, lines, colour }: GraphItem): void {
  if (!drawn) return
  context.lineCap = context.lineJoin = 'round'
  context.save()
  context.scale(1 / PATH_UNITS, 1 / PATH_UNITS)
  const stroke = (path: string, of: string, width: number) => {
    context.strokeStyle = of
    context.lineWidth = width * PATH_UNITS
    context.stroke(outlineOf(path))
  }
  stroke(drawn.grid, GRAPH_GRID, 1)
  context.globalAlpha *= AREA_OPACITY
  for (const [at, path] of drawn.areas.entries()) if (path) stroke(path, lines[at]!.colour, 1)
  context.globalAlpha /= AREA_OPACITY
  for (const [at, path] of drawn.curves.entries()) {
    const line = lines[at]
    if (path && line) stroke(path, line.colour, line.width)
  }
  stroke(drawn.axes, colour, GRAPH_AXIS)
  context.restore()
  context.fillStyle = colour
  context.font = `${GRAPH_LABEL}px "sans"`
  for (const [text, x, y] of drawn.labels) context.fillText(text, x, y)
}

/** What the server has drawn: patches in their order, then words. */
export function drawDrawn(context: CanvasRenderingContext2D, { patches, labels }: Drawn): void {
  context.lineCap = context.lineJoin = 'round'
  context.save()
  context.scale(1 / PATH_UNITS, 1 / PATH_UNITS)
  for (const [path, fill, line, width] of patches) {
    context.fillStyle = fill
    context.strokeStyle = line
    context.lineWidth = width * PATH_UNITS
    if (fill) context.fill(outlineOf(path))
    if (width) context.stroke(outlineOf(path))
  }
  context.restore()
  for (const [text, x, y, size, colour] of labels) {
    context.fillStyle = colour
    context.font = `${size}px "sans"`
    context.fillText(text, x, y)
  }
}

const outlines = new Map<string, Path2D>()
const MOST_OUTLINES = 500

/** A formula's outline, as a path that is made once. */
export function outlineOf(outline: string): Path2D {
  let path = outlines.get(outline)
  if (!path) {
    if (outlines.size >= MOST_OUTLINES) outlines.delete(outlines.keys().next().value!)
    outlines.set(outline, (path = new Path2D(outline)))
  }
  return path
}

export function drawFormula(context: CanvasRenderingContext2D, { outline, size, colour }: FormulaItem): void {
  context.scale(size / FORMULA_UNITS, size / FORMULA_UNITS)
  context.fillStyle = colour
  context.fill(outlineOf(outline))
}

export function drawTable(context: CanvasRenderingContext2D, item: TableItem): void {
  const [width, height] = ownSize(item)
  const edges = (sides: number[]) => sides.reduce((all, side) => [...all, all.at(-1)! + side], [0])
  const [xs, ys] = [edges(item.columns), edges(item.rows)]
  if (item.head) {
    context.fillStyle = TABLE_HEAD
    context.fillRect(0, 0, width, item.rows[0]!)
  }
  context.beginPath()
  for (const x of xs) {
    context.moveTo(x, 0)
    context.lineTo(x, height)
  }
  for (const y of ys) {
    context.moveTo(0, y)
    context.lineTo(width, y)
  }
  context.strokeStyle = item.colour
  context.lineWidth = TABLE_LINE
  context.stroke()
  for (const [i, lines] of item.lines.entries()) {
    context.save()
    context.translate(
      xs[i % item.columns.length]! + CELL_PAD,
      ys[Math.floor(i / item.columns.length)]! + CELL_PAD,
    )
    drawLines(context, lines, NOTE_INK)
    context.restore()
  }
}
