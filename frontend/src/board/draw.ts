/** Drawing items on a canvas; the same look as sunroom/core/formats/drawing.py gives to files. */
import { outline, centreline, strokeWidth, uniform } from '../ink/outline'
import type { Samples } from '../ink/samples'
import type { InkItem, Item, PageHead } from '../wire/generated'
import { samplesOf, type Box } from './box'

export const HIGHLIGHT_OPACITY = 0.4
export const PAPER_COLOUR = '#fffefa'
/** What lies around a sheet. */
const DESK_COLOUR = '#e9e1cf'
const RULING_COLOUR = '#e4ecef'
const SQUARE = 40

/** Every width on the board is the sum of its characters': see core/text. */
export function plainText(context: CanvasRenderingContext2D): void {
  context.fontKerning = 'none'
  context.textRendering = 'optimizeSpeed'
  context.textBaseline = 'alphabetic'
}

interface InkPath {
  path: Path2D
  /** Line width to stroke the path with; 0: fill it. */
  line: number
}

const paths = new WeakMap<Uint8Array, InkPath>()

export function inkPath(samples: Samples, width: number, highlighter: boolean): InkPath {
  const path = new Path2D()
  if (highlighter || uniform(samples)) {
    const curve = centreline(samples)
    path.moveTo(curve[0]!, curve[1]!)
    for (let i = 3; i < curve.length; i += 3) path.lineTo(curve[i]!, curve[i + 1]!)
    if (curve.length === 3) path.lineTo(curve[0]!, curve[1]!)
    return { path, line: highlighter ? width : strokeWidth(width, samples[2]!) }
  }
  for (const polygon of outline(samples, width)) {
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
  highlighter: boolean,
): void {
  context.globalAlpha = highlighter ? HIGHLIGHT_OPACITY : 1
  if (ink.line) {
    context.strokeStyle = colour
    context.lineWidth = ink.line
    context.lineCap = context.lineJoin = 'round'
    context.stroke(ink.path)
  } else {
    context.fillStyle = colour
    context.fill(ink.path)
  }
  context.globalAlpha = 1
}

function drawInk(context: CanvasRenderingContext2D, item: InkItem): void {
  const highlighter = item.nib === 'highlighter'
  let ink = paths.get(item.samples)
  if (!ink) paths.set(item.samples, (ink = inkPath(samplesOf(item), item.width, highlighter)))
  context.translate(item.x, item.y)
  drawInkPath(context, ink, item.colour, highlighter)
  context.translate(-item.x, -item.y)
}

export function drawItem(context: CanvasRenderingContext2D, item: Item): void {
  if (item.kind === 'ink') return drawInk(context, item)
  if (item.kind === 'text') {
    plainText(context)
    context.fillStyle = item.colour
    for (const [runs, baseline] of item.lines) {
      for (const [face, text, x] of runs) {
        context.font = `${item.size}px ${face === 'other' ? 'sans-serif' : `"${face}"`}`
        context.fillText(text, item.x + x, item.y + baseline)
      }
    }
    return
  }
  context.strokeStyle = item.colour
  context.lineWidth = item.width
  context.lineCap = context.lineJoin = 'round'
  context.beginPath()
  const point = (i: number): [number, number] => [item.x + item.points[i]![0], item.y + item.points[i]![1]]
  context.moveTo(...point(0))
  if (item.curved) {
    for (let i = 1; i + 2 < item.points.length; i += 3) {
      context.bezierCurveTo(...point(i), ...point(i + 1), ...point(i + 2))
    }
  } else {
    for (let i = 1; i < item.points.length; i++) context.lineTo(...point(i))
  }
  if (item.closed) context.closePath()
  context.stroke()
}

/** Ink thinner than this on the screen shows no pressure: a plain line of few points looks the same. */
const COARSE_PX = 1.6
const COARSE_STEP_PX = 0.8

/** Draw many items in this order; ink that is tiny on the screen in few strokes of the canvas. */
export function drawItems(context: CanvasRenderingContext2D, items: Item[], scale: number): void {
  let batch = ''
  for (const item of items) {
    const coarse = item.kind === 'ink' && layer(item) === 1 && item.width * scale < COARSE_PX
    const style = coarse ? `${item.colour} ${item.width}` : ''
    if (batch && style !== batch) context.stroke()
    if (coarse) {
      if (style !== batch) {
        context.beginPath()
        context.strokeStyle = item.colour
        context.lineWidth = strokeWidth(item.width, 0.5)
        context.lineCap = context.lineJoin = 'round'
      }
      traceCoarsely(context, item, COARSE_STEP_PX / scale)
    } else drawItem(context, item)
    batch = style
  }
  if (batch) context.stroke()
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

/** Paper and ruling of the part ``box`` of a page. */
export function drawPaper(context: CanvasRenderingContext2D, head: PageHead, box: Box, scale: number): void {
  const paper = head.paper
  let part = box
  if (paper.kind === 'sheet') {
    context.fillStyle = DESK_COLOUR
    context.fillRect(box.minX, box.minY, box.maxX - box.minX, box.maxY - box.minY)
    part = {
      minX: Math.max(0, box.minX),
      minY: Math.max(0, box.minY),
      maxX: Math.min(paper.width, box.maxX),
      maxY: Math.min(paper.height, box.maxY),
    }
    if (part.minX >= part.maxX || part.minY >= part.maxY) return
  }
  context.fillStyle = PAPER_COLOUR
  context.fillRect(part.minX, part.minY, part.maxX - part.minX, part.maxY - part.minY)
  if (paper.ruling !== 'squares') return
  // Far out the squares would be a grey veil: only every fifth line is drawn.
  const step = SQUARE * scale < 7 ? SQUARE * 5 : SQUARE
  context.strokeStyle = RULING_COLOUR
  context.lineWidth = 1
  context.beginPath()
  for (let x = Math.ceil(part.minX / step) * step; x <= part.maxX; x += step) {
    context.moveTo(x, part.minY)
    context.lineTo(x, part.maxY)
  }
  for (let y = Math.ceil(part.minY / step) * step; y <= part.maxY; y += step) {
    context.moveTo(part.minX, y)
    context.lineTo(part.maxX, y)
  }
  context.stroke()
}
