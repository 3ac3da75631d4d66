/** Drawing items on a canvas; the same look as sunroom/core/formats/things.py gives to files. */
import { LINE_HEIGHT, HIGHLIGHT_OPACITY, LABEL_PAD } from '../wire/generated'
import { arrowHead, centreline, outline, strokeWidth, uniform } from '../ink/outline'
import type { Samples } from '../ink/samples'
import type { Affine, Dash, Ends, InkItem, Item, Nib, PictureItem, ShapeItem } from '../wire/generated'
import { samplesOf } from '../ink/samples'
import { drawCard, drawDrawn, drawFormula, drawGraph, drawLines, drawNote, drawTable } from './draw-words'
import { drawFinely } from './finer'
import { pictureOf } from './pictures'
import { growth, isPlain, linesOf, partsOf, placement, pointOf } from './place'
const WHOLE: PictureItem['crop'] = [0, 0, 1, 1]
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
    const line = strokeWidth(nib, width, samples[2]!)
    const [x, y] = [curve[0]!, curve[1]!]
    if (curve.every((value, i) => i % 3 === 2 || value === (i % 3 ? y : x))) {
      // A canvas draws no line without length: the dot of a tap is a disc.
      path.arc(x, y, line / 2, 0, 2 * Math.PI)
      return { path, line: 0 }
    }
    path.moveTo(x, y)
    for (let i = 3; i < curve.length; i += 3) path.lineTo(curve[i]!, curve[i + 1]!)
    return { path, line }
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
    case 'card':
      return inPlace(context, placement(item), () => drawCard(context, item))
    case 'formula':
      return inPlace(context, placement(item), () => drawFormula(context, item))
    case 'chart':
      return inPlace(context, placement(item), () => item.chart && drawDrawn(context, item.chart))
    case 'graph':
      return inPlace(context, placement(item), () => drawGraph(context, item))
    case 'picture':
      return inPlace(context, placement(item), () => drawPicture(context, item))
  }
}

function drawPicture(
  context: CanvasRenderingContext2D,
  { picture, width, height, opacity, crop }: PictureItem,
): void {
  // One that a browser of before has not sent yet says nothing of a part.
  const image = pictureOf(picture)
  context.globalAlpha *= opacity
  if (image) drawFinely(context, picture, image, crop ?? WHOLE, [0, 0, width, height])
  else {
    context.fillStyle = AWAITED_COLOUR
    context.fillRect(0, 0, width, height)
  }
}

function inPlace(context: CanvasRenderingContext2D, place: Affine, paint: () => void): void {
  context.save()
  context.transform(...place)
  paint()
  context.restore()
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
  const { measures } = item
  if (measures) inPlace(context, [1, 0, 0, 1, item.x, item.y], () => drawDrawn(context, measures))
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
