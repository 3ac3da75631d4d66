/** Paper and its ruling on a canvas; as sunroom/core/formats/pages.py gives them to files. */
import type { Paper } from '../wire/generated'
import type { Box } from './box'
import { plainText } from './draw-words'
import { drawFinely } from './finer'
import { pictureOf } from './pictures'
import { rules, type Rule } from './rulings'

/** What lies around a sheet. */
const DESK_COLOUR = '#e9e1cf'
/** Rulings by weight; as in sunroom/core/formats/pages.py. */
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

/** The paper's own picture: wholly inside a sheet, else as wide as the paper from its upper edge. */
function drawBackdrop(context: CanvasRenderingContext2D, paper: Paper): void {
  const image = paper.picture ? pictureOf(paper.picture) : null
  if (!image) return
  const wide = paper.width / image.naturalWidth
  const scale = paper.kind === 'sheet' ? Math.min(wide, paper.height / image.naturalHeight) : wide
  const [width, height] = [scale * image.naturalWidth, scale * image.naturalHeight]
  const y = paper.kind === 'sheet' ? (paper.height - height) / 2 : 0
  drawFinely(context, paper.picture, image, [0, 0, 1, 1], [(paper.width - width) / 2, y, width, height])
}
