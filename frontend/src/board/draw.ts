/** Drawing items on a canvas; the same look as sunroom/core/formats/drawing.py gives to files. */
import { arrowHead, centreline, outline, strokeWidth, uniform } from '../ink/outline'
import type { Samples } from '../ink/samples'
import type {
  Affine,
  Dash,
  Ends,
  InkItem,
  Item,
  Line,
  Nib,
  NoteItem,
  Paper,
  PictureItem,
  ShapeItem,
  TableItem,
} from '../wire/generated'
import { samplesOf, type Box } from './box'
import { pictureOf } from './pictures'
import { rules, type Rule } from './rulings'
import { growth, isPlain, LINE_HEIGHT, linesOf, ownSize, partsOf, placement, pointOf } from './place'

export const HIGHLIGHT_OPACITY = 0.4
export const PAPER_COLOUR = '#fffefa'
/** What lies around a sheet. */
const DESK_COLOUR = '#e9e1cf'
/** Rulings by weight; as in sunroom/core/formats/drawing.py. */
const RULE_COLOURS = ['#eef2f3', '#dfe8ec', '#9fb3bd'] as const
const RULE_WIDTHS = [1, 1, 1.4] as const
const DOT_COLOUR = '#b9c8cf'
const DOT_WIDTH = 2.4
const NUMBER_COLOUR = '#5e6a66'
const NUMBER_SIZE = 12
const VEIL_PX = 7
const FINE_FROM_SCALE = 0.45
/** Free paper below the last work on a roll. */
const ROLL_SPARE = 600

/** Every width on the board is the sum of its characters': see core/text. */
export function plainText(context: CanvasRenderingContext2D): void {
  context.fontKerning = 'none'
  context.textRendering = 'optimizeSpeed'
  context.textBaseline = 'alphabetic'
}

/** Text, notes and tables; as in sunroom/core/formats/drawing.py and core/board/items.py. */
const UNDERLINE = 0.12
const STRIKE = 0.27
const RULE = 0.06
const LINK_COLOUR = '#1f5fa8'
const LABEL_PAD = 8
const NOTE_PAD = 14
const NOTE_INK = '#16222b'
const NOTE_NAME_INK = '#5e6a66'
const NOTE_NAME_SIZE = 13
const CELL_PAD = 8
const TABLE_HEAD = '#f1e9d8'
const TABLE_LINE = 1.4
/** Where a picture will be that has not come yet. */
const AWAITED_COLOUR = '#e9e1cf'
/** Dashes and gaps, in widths of the line; as DASHES in the core. */
const DASHES: Record<Dash, number[]> = { solid: [], dashed: [4, 3], dotted: [0.01, 2.2] }

interface InkPath {
  path: Path2D
  /** Line width to stroke the path with; 0: fill it. */
  line: number
}

const paths = new WeakMap<Uint8Array, InkPath>()
/** Paths of ink that is turned or stretched: in the page's space, without the item's place. */
const mapped = new WeakMap<InkItem, InkPath>()

export function inkPath(samples: Samples, nib: Nib, width: number): InkPath {
  const path = new Path2D()
  if (uniform(nib, samples)) {
    const curve = centreline(samples)
    path.moveTo(curve[0]!, curve[1]!)
    for (let i = 3; i < curve.length; i += 3) path.lineTo(curve[i]!, curve[i + 1]!)
    if (curve.length === 3) path.lineTo(curve[0]!, curve[1]!)
    return { path, line: strokeWidth(nib, width, samples[2]!) }
  }
  for (const polygon of outline(nib, samples, width)) {
    path.moveTo(polygon[0]!, polygon[1]!)
    for (let i = 2; i < polygon.length; i += 2) path.lineTo(polygon[i]!, polygon[i + 1]!)
    path.closePath()
  }
  return { path, line: 0 }
}

export function drawInkPath(
  context: CanvasRenderingContext2D,
  ink: InkPath,
  colour: string,
  opacity: number,
): void {
  context.globalAlpha *= opacity
  if (ink.line) {
    context.strokeStyle = colour
    context.lineWidth = ink.line
    context.lineCap = context.lineJoin = 'round'
    context.stroke(ink.path)
  } else {
    context.fillStyle = colour
    context.fill(ink.path)
  }
  context.globalAlpha /= opacity
}

export function drawHeads(
  context: CanvasRenderingContext2D,
  ends: Ends,
  lines: [number, number][][],
  colour: string,
  width: number,
): void {
  if (ends === 'none') return
  const heads = [arrowHead(lines.at(-1)!, width)]
  if (ends === 'arrows') heads.push(arrowHead(lines[0]!.toReversed(), width))
  context.strokeStyle = colour
  context.lineWidth = width
  context.lineCap = context.lineJoin = 'round'
  context.beginPath()
  for (const head of heads) {
    context.moveTo(...head[0]!)
    for (const point of head) context.lineTo(...point)
  }
  context.stroke()
}

export function inkOpacity(nib: Nib, opacity: number): number {
  return nib === 'highlighter' ? HIGHLIGHT_OPACITY : opacity
}

function drawInk(context: CanvasRenderingContext2D, item: InkItem): void {
  const opacity = inkOpacity(item.nib, item.opacity)
  context.translate(item.x, item.y)
  drawInkPath(context, pathOf(item), item.colour, opacity)
  context.translate(-item.x, -item.y)
  if (item.ends === 'none') return
  context.globalAlpha *= opacity
  drawHeads(context, item.ends, linesOf(item), item.colour, item.width * growth(item.map))
  context.globalAlpha /= opacity
}

function pathOf(item: InkItem): InkPath {
  if (isPlain(item)) {
    let ink = paths.get(item.samples)
    if (!ink) paths.set(item.samples, (ink = inkPath(samplesOf(item), item.nib, item.width)))
    return ink
  }
  let ink = mapped.get(item)
  if (!ink) {
    const samples = samplesOf(item).slice()
    const place: Affine = [...item.map, 0, 0]
    for (let i = 0; i < samples.length; i += 4) {
      ;[samples[i], samples[i + 1]] = pointOf(place, samples[i]!, samples[i + 1]!)
    }
    mapped.set(item, (ink = inkPath(samples, item.nib, item.width * growth(item.map))))
  }
  return ink
}

export function drawItem(context: CanvasRenderingContext2D, item: Item): void {
  switch (item.kind) {
    case 'ink':
      return drawInk(context, item)
    case 'shape':
      return drawShape(context, item)
    case 'text':
      return inPlace(context, placement(item), () => drawLines(context, item.lines, item.colour))
    case 'note':
      return inPlace(context, placement(item), () => drawNote(context, item))
    case 'table':
      return inPlace(context, placement(item), () => drawTable(context, item))
    case 'picture':
      return inPlace(context, placement(item), () => drawPicture(context, item))
  }
}

function drawPicture(
  context: CanvasRenderingContext2D,
  { picture, width, height, opacity }: PictureItem,
): void {
  const image = pictureOf(picture)
  context.globalAlpha *= opacity
  if (image) context.drawImage(image, 0, 0, width, height)
  else {
    context.fillStyle = AWAITED_COLOUR
    context.fillRect(0, 0, width, height)
  }
}

/** The paper's own picture: wholly inside a sheet, else as wide as the paper from its upper edge. */
function drawBackdrop(context: CanvasRenderingContext2D, paper: Paper): void {
  const image = paper.picture ? pictureOf(paper.picture) : null
  if (!image) return
  const wide = paper.width / image.naturalWidth
  const scale = paper.kind === 'sheet' ? Math.min(wide, paper.height / image.naturalHeight) : wide
  const [width, height] = [scale * image.naturalWidth, scale * image.naturalHeight]
  const y = paper.kind === 'sheet' ? (paper.height - height) / 2 : 0
  context.drawImage(image, (paper.width - width) / 2, y, width, height)
}

function inPlace(context: CanvasRenderingContext2D, place: Affine, paint: () => void): void {
  context.save()
  context.transform(...place)
  paint()
  context.restore()
}

/** Lines of text from the origin of the space that the context is in. */
function drawLines(context: CanvasRenderingContext2D, lines: Line[], colour: string): void {
  plainText(context)
  for (const [runs, baseline] of lines) {
    for (const [face, text, x, width, size, rise, underline, strike, link] of runs) {
      context.font = `${size}px ${face === 'other' ? 'sans-serif' : `"${face}"`}`
      context.fillStyle = context.strokeStyle = link ? LINK_COLOUR : colour
      const y = baseline - rise
      context.fillText(text, x, y)
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

function drawNote(context: CanvasRenderingContext2D, item: NoteItem): void {
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

function drawTable(context: CanvasRenderingContext2D, item: TableItem): void {
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

/** A figure's words in its middle, never mirrored. */
function drawLabel(context: CanvasRenderingContext2D, item: ShapeItem): void {
  const points = partsOf(item).flat()
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const width = Math.max(maxX - minX - 2 * LABEL_PAD, item.size)
  const [x, y] = pointOf(placement(item), (minX + maxX) / 2, (minY + maxY) / 2)
  const height = item.lines.length * LINE_HEIGHT * item.size
  inPlace(context, [1, 0, 0, 1, x - width / 2, y - height / 2], () =>
    drawLines(context, item.lines, item.colour),
  )
}

function drawShape(context: CanvasRenderingContext2D, item: ShapeItem): void {
  const place = placement(item)
  context.beginPath()
  for (const part of partsOf(item)) {
    const points = part.map(([x, y]) => pointOf(place, x, y))
    context.moveTo(...points[0]!)
    if (item.curved) {
      for (let i = 1; i + 2 < points.length; i += 3) {
        context.bezierCurveTo(...points[i]!, ...points[i + 1]!, ...points[i + 2]!)
      }
    } else for (const point of points.slice(1)) context.lineTo(...point)
    if (item.closed) context.closePath()
  }
  context.globalAlpha *= item.opacity
  if (item.fill) {
    context.fillStyle = item.fill
    context.fill()
  }
  context.strokeStyle = item.colour
  context.lineWidth = item.width
  context.lineCap = context.lineJoin = 'round'
  context.setLineDash(DASHES[item.dash].map((part) => part * item.width))
  context.stroke()
  context.setLineDash([])
  drawHeads(context, item.ends, linesOf(item), item.colour, item.width)
  context.globalAlpha /= item.opacity
  if (item.lines.length) drawLabel(context, item)
}

/** Ink thinner than this on the screen shows no pressure: a plain line of few points looks the same. */
const COARSE_PX = 1.6
const COARSE_STEP_PX = 0.8

/** Draw many items in this order; ink that is tiny on the screen in few strokes of the canvas. */
export function drawItems(context: CanvasRenderingContext2D, items: Item[], scale: number): void {
  let batch = ''
  for (const item of items) {
    const coarse = item.kind === 'ink' && isCoarse(item, scale)
    const style = coarse ? `${item.colour} ${item.width}` : ''
    if (batch && style !== batch) context.stroke()
    if (coarse) {
      if (style !== batch) {
        context.beginPath()
        context.strokeStyle = item.colour
        context.lineWidth = item.width
        context.lineCap = context.lineJoin = 'round'
      }
      traceCoarsely(context, item, COARSE_STEP_PX / scale)
    } else drawItem(context, item)
    batch = style
  }
  if (batch) context.stroke()
}

function isCoarse(item: InkItem, scale: number): boolean {
  const plain = item.nib !== 'highlighter' && item.opacity === 1 && item.ends === 'none' && isPlain(item)
  return plain && item.width * scale < COARSE_PX
}

function traceCoarsely(context: CanvasRenderingContext2D, item: InkItem, step: number): void {
  const samples = samplesOf(item)
  let [x, y] = [samples[0]!, samples[1]!]
  context.moveTo(item.x + x, item.y + y)
  for (let i = 4; i < samples.length; i += 4) {
    const last = i + 4 >= samples.length
    if (!last && Math.abs(samples[i]! - x) + Math.abs(samples[i + 1]! - y) < step) continue
    ;[x, y] = [samples[i]!, samples[i + 1]!]
    context.lineTo(item.x + x, item.y + y)
  }
  if (samples.length === 4) context.lineTo(item.x + x, item.y + y)
}

/** Highlighter lies under all else, the rest from the lowest to the highest. */
export function layer(item: Item): number {
  return item.kind === 'ink' && item.nib === 'highlighter' ? 0 : 1
}

/** The page that the paper shows: null for one without end. A roll is as long as its work and a bit more. */
export function sheetBox(paper: Paper, workBottom: number): Box | null {
  if (paper.kind === 'endless') return null
  const height = paper.kind === 'sheet' ? paper.height : Math.max(paper.height, workBottom + ROLL_SPARE)
  return { minX: 0, minY: 0, maxX: paper.width, maxY: height }
}

/** Paper and ruling of the part ``box`` of a page; ``sheet`` is where the paper ends, null when it does not. */
export function drawPaper(
  context: CanvasRenderingContext2D,
  paper: Paper,
  sheet: Box | null,
  box: Box,
  scale: number,
): void {
  let part = box
  if (sheet) {
    context.fillStyle = DESK_COLOUR
    context.fillRect(box.minX, box.minY, box.maxX - box.minX, box.maxY - box.minY)
    part = {
      minX: Math.max(sheet.minX, box.minX),
      minY: Math.max(sheet.minY, box.minY),
      maxX: Math.min(sheet.maxX, box.maxX),
      maxY: Math.min(sheet.maxY, box.maxY),
    }
    if (part.minX >= part.maxX || part.minY >= part.maxY) return
  }
  context.save()
  context.fillStyle = paper.colour
  context.beginPath()
  context.rect(part.minX, part.minY, part.maxX - part.minX, part.maxY - part.minY)
  context.fill()
  context.clip()
  drawBackdrop(context, paper)
  // Far out the ruling would be a grey veil: only every fifth line is drawn.
  const spacing = paper.spacing * scale < VEIL_PX ? paper.spacing * 5 : paper.spacing
  drawRules(context, rules(paper.ruling, spacing, part), scale)
  context.restore()
}

function drawRules(context: CanvasRenderingContext2D, all: Rule[], scale: number): void {
  for (const weight of [0, 1, 2] as const) {
    // Fine lines go first when they come too close.
    if (weight === 0 && scale < FINE_FROM_SCALE) continue
    context.beginPath()
    for (const { kind, x, y, x1, y1, r, weight: own } of all) {
      if (own !== weight) continue
      if (kind === 'line') {
        context.moveTo(x, y)
        context.lineTo(x1, y1)
      } else if (kind === 'circle') {
        context.moveTo(x + r, y)
        context.arc(x, y, r, 0, 2 * Math.PI)
      }
    }
    context.strokeStyle = RULE_COLOURS[weight]
    context.lineWidth = RULE_WIDTHS[weight]
    context.stroke()
  }
  context.fillStyle = DOT_COLOUR
  for (const { kind, x, y } of all) {
    if (kind === 'dot') context.fillRect(x - DOT_WIDTH / 2, y - DOT_WIDTH / 2, DOT_WIDTH, DOT_WIDTH)
  }
  plainText(context)
  context.fillStyle = NUMBER_COLOUR
  context.font = `${NUMBER_SIZE}px "sans"`
  for (const { kind, x, y, x1, text } of all) {
    if (kind !== 'number') continue
    const wide = 0.55 * NUMBER_SIZE * text.length
    context.fillText(text, x1 ? x - wide : x - wide / 2, y + NUMBER_SIZE * (x1 ? 0.35 : 0.8))
  }
}
