/** Drawing instruments on the board: the same for whoever uses them and for those who look on. */
import type { Instrument as Lying } from '../../wire/generated'
import { PAPER_COLOUR } from '../../wire/generated'
import type { Point } from '../place'
import { DEGREE, FORMS, HINGE_PX, hingeOf, onArc, RULER_PX, STEEP } from './forms'
import { lengthText, type Measure } from './measure'

const BODY = 'rgb(239 230 211 / 68%)'
const EDGE = '#8a7d5f'
const INK = '#16222b'
const GRIP = '#2f7d5b'
const ARM = '#b4472c'
const FONT = '"Atkinson Hyperlegible Next", sans-serif'
/** Marks stand at least so far apart; every fifth is longer, every tenth has a number. */
const LEAST_APART_PX = 5
const MARK_PX = [7, 11, 15]
const PARTS = [1, 2, 5]

interface Brush {
  context: CanvasRenderingContext2D
  /** Board units to a pixel of the screen. */
  px: number
  measure: Measure
  /** How far it is turned on the screen: words stay upright. */
  angle: number
}

/**
 * An instrument on the page. ``mine`` has grips; others' have their ``name``. ``swept``: degrees of the arc that is
 * being drawn along it.
 */
export function drawInstrument(
  context: CanvasRenderingContext2D,
  scale: number,
  lying: Lying,
  measure: Measure,
  { mine = true, name = '', swept = null as number | null } = {},
): void {
  const px = 1 / scale
  const brush: Brush = { context, px, measure, angle: lying.angle }
  context.save()
  context.translate(lying.x, lying.y)
  context.rotate(lying.angle)
  context.lineWidth = px
  context.strokeStyle = EDGE
  context.fillStyle = BODY
  context.lineJoin = 'round'
  if (lying.kind === 'ruler') drawRuler(brush, lying)
  else if (lying.kind === 'protractor') drawProtractor(brush, lying, swept)
  else if (lying.kind === 'compasses') drawCompasses(brush, lying, swept)
  else drawSquare(brush, lying)
  if (mine) for (const { at } of FORMS[lying.kind].grips(lying, px)) drawGrip(brush, at)
  else write(brush, name, nameAt(lying, px), 12)
  context.restore()
}

function drawRuler(brush: Brush, lying: Lying): void {
  const { context, px, measure } = brush
  const [half, wide] = [lying.size / 2, (RULER_PX / 2) * px]
  context.fillRect(-half, -wide, lying.size, 2 * wide)
  context.strokeRect(-half, -wide, lying.size, 2 * wide)
  marks(brush, [-half, -wide], [1, 0], lying.size, [0, 1], true)
  marks(brush, [-half, wide], [1, 0], lying.size, [0, -1], false)
  write(brush, `${levelDegrees(lying.angle)}° · ${lengthText(lying.size, measure)}`, [0, 8 * px], 14)
}

function drawSquare(brush: Brush, lying: Lying): void {
  const { context, px, measure } = brush
  const { size } = lying
  const high = size * STEEP[lying.kind]!
  context.beginPath()
  context.moveTo(0, 0)
  context.lineTo(size, 0)
  context.lineTo(0, -high)
  context.closePath()
  context.fill()
  context.stroke()
  marks(brush, [0, 0], [1, 0], size, [0, -1], true, high / size)
  marks(brush, [0, 0], [0, -1], high, [1, 0], true, size / high)
  const corner = 12 * px
  context.strokeRect(0, -corner, corner, corner)
  const steep = lying.kind === 'square_45' ? ['45°', '45°'] : ['30°', '60°']
  if (size > 200 * px) {
    write(brush, steep[0]!, [size * 0.8, -high * 0.075], 11)
    write(brush, steep[1]!, [size * 0.09, -high * 0.74], 11)
  }
  write(brush, `${levelDegrees(lying.angle)}°`, [size * 0.28, -high * 0.36], 14)
  write(brush, lengthText(size, measure), [size * 0.28, -high * 0.36 + 17 * px], 12)
}

function drawProtractor(brush: Brush, lying: Lying, swept: number | null): void {
  const { context, px } = brush
  const { size, arm } = lying
  context.beginPath()
  context.arc(0, 0, size, Math.PI, 2 * Math.PI)
  context.closePath()
  context.fill()
  context.stroke()
  context.beginPath()
  const fine = size * DEGREE >= 3 * px ? 1 : 5
  for (let degrees = 0; degrees <= 180; degrees += fine) {
    const long = MARK_PX[degrees % 10 === 0 ? 2 : degrees % 5 === 0 ? 1 : 0]! * px
    context.moveTo(...onArc(size, degrees))
    context.lineTo(...onArc(size - long, degrees))
  }
  context.moveTo(-6 * px, 0)
  context.lineTo(6 * px, 0)
  context.moveTo(0, 0)
  context.lineTo(0, -8 * px)
  context.stroke()
  const numbers = size > 150 * px ? 10 : 30
  for (let degrees = 0; degrees <= 180; degrees += numbers) {
    const along = Math.min(Math.max(degrees, 3), 177)
    write(brush, String(degrees), onArc(size - 24 * px, along), 11)
    if (size > 150 * px) write(brush, String(180 - degrees), onArc(size - 40 * px, along), 9, EDGE)
  }
  context.strokeStyle = ARM
  context.lineWidth = 1.6 * px
  context.beginPath()
  context.moveTo(0, 0)
  context.lineTo(...onArc(size + 10 * px, arm))
  context.moveTo(size * 0.3, 0)
  context.arc(0, 0, size * 0.3, 0, -arm * DEGREE, true)
  context.stroke()
  write(brush, `${swept === null ? arm : Math.abs(Math.round(swept))}°`, onArc(size * 0.44, arm / 2), 15, ARM)
}

function drawCompasses(brush: Brush, lying: Lying, swept: number | null): void {
  const { context, px, measure } = brush
  const { size } = lying
  const hinge = hingeOf(lying)
  context.setLineDash([4 * px, 5 * px])
  context.beginPath()
  context.arc(0, 0, size, 0, 2 * Math.PI)
  context.stroke()
  context.setLineDash([])
  for (const [foot, colour] of [
    [[0, 0], EDGE],
    [[size, 0], INK],
  ] as [Point, string][]) {
    context.strokeStyle = EDGE
    context.lineWidth = 9 * px
    line(context, hinge, towards(foot, hinge, 18 * px))
    context.strokeStyle = BODY
    context.lineWidth = 7 * px
    line(context, hinge, towards(foot, hinge, 18 * px))
    context.strokeStyle = colour
    context.lineWidth = 2 * px
    line(context, towards(foot, hinge, 18 * px), foot)
  }
  context.lineWidth = px
  context.strokeStyle = EDGE
  context.fillStyle = '#efe6d3'
  context.beginPath()
  context.arc(...hinge, HINGE_PX * 0.7 * px, 0, 2 * Math.PI)
  context.fill()
  context.stroke()
  const up = hinge[1] < 0 ? 1 : -1
  const turned = swept === null ? '' : ` · ${Math.abs(Math.round(swept))}°`
  write(brush, `r ${lengthText(size, measure)}${turned}`, [size / 2, 16 * px * up], 14)
}

function drawGrip({ context, px }: Brush, at: Point): void {
  context.beginPath()
  context.arc(...at, 7 * px, 0, 2 * Math.PI)
  context.fillStyle = PAPER_COLOUR
  context.strokeStyle = GRIP
  context.lineWidth = 2 * px
  context.fill()
  context.stroke()
}

/** Marks of length along an edge, to its inner side; ``narrows``: the room for them ends with the edge. */
function marks(
  brush: Brush,
  from: Point,
  along: Point,
  length: number,
  inward: Point,
  numbers: boolean,
  narrows = 0,
): void {
  const { context, px, measure } = brush
  const step = stepOf(measure, px)
  context.strokeStyle = EDGE
  context.beginPath()
  for (let n = 0; n * step <= length; n++) {
    const room = narrows ? Math.min(narrows, 1 / narrows) * (length - n * step) : Infinity
    const long = Math.min(MARK_PX[n % 10 === 0 ? 2 : n % 5 === 0 ? 1 : 0]! * px, room)
    const [x, y] = [from[0] + along[0] * n * step, from[1] + along[1] * n * step]
    context.moveTo(x, y)
    context.lineTo(x + inward[0] * long, y + inward[1] * long)
  }
  context.stroke()
  for (let n = 10; numbers && (n + 1) * step <= length; n += 10) {
    if (narrows && (length - n * step) * Math.min(narrows, 1 / narrows) < 34 * px) break
    const away = 22 * px
    const value = Number(((n * step) / measure.length).toPrecision(6))
    write(
      brush,
      String(value),
      [from[0] + along[0] * n * step + inward[0] * away, from[1] + along[1] * n * step + inward[1] * away],
      11,
    )
  }
}

/** The smallest round step of the measure whose marks do not run together. */
function stepOf({ length }: Measure, px: number): number {
  for (let power = 0.1; ; power *= 10)
    for (const part of PARTS) if (part * power * length >= LEAST_APART_PX * px) return part * power * length
}

/** Words that stay upright for the one who looks at them, about a place. */
function write(
  { context, px, angle }: Brush,
  words: string,
  [x, y]: Point,
  size: number,
  colour = INK,
): void {
  context.save()
  context.translate(x, y)
  if (Math.cos(angle) < -1e-9) context.rotate(Math.PI)
  context.font = `${size > 12 ? '600 ' : ''}${size * px}px ${FONT}`
  context.textAlign = 'center'
  context.textBaseline = 'middle'
  context.fillStyle = colour
  context.fillText(words, 0, 0)
  context.restore()
}

function nameAt({ kind, size }: Lying, px: number): Point {
  if (kind === 'ruler') return [-size / 2 + 60 * px, 8 * px]
  return kind === 'protractor' ? [0, 12 * px] : [size / 2, kind === 'compasses' ? -16 * px : 12 * px]
}

function line(context: CanvasRenderingContext2D, from: Point, to: Point): void {
  context.beginPath()
  context.moveTo(...from)
  context.lineTo(...to)
  context.stroke()
}

/** The place ``away`` from one point on the way to another. */
function towards([x, y]: Point, [tx, ty]: Point, away: number): Point {
  const length = Math.hypot(tx - x, ty - y) || 1
  return [x + ((tx - x) * away) / length, y + ((ty - y) * away) / length]
}

/** Degrees from level, anticlockwise as in geometry lessons, 0 to 180. */
function levelDegrees(angle: number): number {
  return ((Math.round(-angle / DEGREE) % 180) + 180) % 180 || 0
}
