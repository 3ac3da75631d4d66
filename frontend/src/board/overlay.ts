/** What lies over the page for a moment: wet ink, pointers, the selection. Drawn anew each frame. */
import { PAPER_COLOUR } from '../wire/generated'
import type { Samples } from '../ink/samples'
import type { Affine, FormulaRead, Instrument, Item, LineRead } from '../wire/generated'
import type { Box } from './box'
import { drawHeads, drawInkPath, drawItem, inkOpacity, inkPath } from './draw'
import { ghostFormula, ghostLine } from './ghosts'
import { FRAME_MARGIN_PX, handlePlace, handlesOf } from './frame'
import { drawInstrument } from './instruments/draw'
import type { Measure } from './instruments/measure'
import type { Lifted } from './lifted'
import { placement, pointOf, type Point } from './place'
import type { Guide } from './snap'
import type { Look } from './wet'

const SELECTED_COLOUR = '#2f7d5b'
const BAY_COLOUR = '#5e6a66'
const BAY_MINE = '#f2a81d'
const POINTER_COLOUR = '#b4472c'
const VEIL = 0.78
export const TRAIL_MS = 900
export const RING_MS = 600

export interface Trail {
  colour?: string
  name: string
  page: string
  points: { x: number; y: number; at: number }[]
  on: boolean
}

export class Overlay {
  static #rest: HTMLCanvasElement | null = null
  #context: CanvasRenderingContext2D
  #scale: number

  constructor(context: CanvasRenderingContext2D, scale: number) {
    this.#context = context
    this.#scale = scale
  }

  get context(): CanvasRenderingContext2D {
    return this.#context
  }

  items(items: Item[]): void {
    for (const item of items) drawItem(this.#context, item)
  }

  wet(values: number[], { nib, colour, width, opacity, ends }: Look): void {
    if (!values.length) return
    const samples = Float32Array.from(values) as Samples
    drawInkPath(this.#context, inkPath(samples, nib, width), colour, inkOpacity(nib, opacity))
    if (ends === 'none') return
    const points: Point[] = []
    for (let i = 0; i < values.length; i += 4) points.push([values[i]!, values[i + 1]!])
    drawHeads(this.#context, ends, [points], colour, width)
  }

  /** A thing as it is just now, in the place of how it is drawn on the page. */
  instead(item: Extract<Item, { width: number; height: number }>): void {
    const context = this.#context
    context.save()
    const [a, b, c, d, e, f] = placement(item)
    context.transform(a, b, c, d, e, f)
    context.fillStyle = PAPER_COLOUR
    context.fillRect(0, 0, item.width, item.height)
    context.restore()
    drawItem(context, item)
  }

  /** Items about to go, or on their way elsewhere, pale. */
  veil(items: Item[]): void {
    const context = this.#context
    for (const item of items) {
      drawItem(context, { ...item, colour: PAPER_COLOUR, opacity: 1 } as Item)
      context.globalAlpha = 1 - VEIL
      drawItem(context, item)
      context.globalAlpha = 1
    }
  }

  /** What an eraser has left so far of some strokes. */
  rubbed(items: Item[], path: [number, number, number][]): void {
    if (!items.length) return
    const context = this.#context
    // One canvas for all rubs: they are shown for as long as the server takes, at every frame.
    Overlay.#rest ??= document.createElement('canvas')
    const rest = Overlay.#rest
    rest.width = context.canvas.width
    rest.height = context.canvas.height
    const picture = rest.getContext('2d')!
    picture.setTransform(context.getTransform())
    for (const item of items) {
      drawItem(context, { ...item, colour: PAPER_COLOUR, opacity: 1 } as Item)
      drawItem(picture, item)
    }
    picture.globalCompositeOperation = 'destination-out'
    picture.lineCap = 'round'
    for (const [i, [x, y, radius]] of path.entries()) {
      const [beforeX, beforeY, beforeRadius] = path[Math.max(0, i - 1)]!
      picture.lineWidth = 2 * Math.max(radius, beforeRadius)
      picture.beginPath()
      picture.moveTo(beforeX, beforeY)
      picture.lineTo(x, y)
      picture.stroke()
    }
    const view = context.getTransform()
    context.resetTransform()
    context.drawImage(rest, 0, 0)
    context.setTransform(view)
  }

  lifted(lifted: Lifted, along: Affine): void {
    lifted.draw(this.#context, along)
  }

  /** The frame around what is chosen, with handles when it may be changed. */
  selection(box: Box | null, handles: boolean): void {
    if (!box) return
    this.frame(box, FRAME_MARGIN_PX / this.#scale)
    if (!handles) return
    const context = this.#context
    const unit = 1 / this.#scale
    context.lineWidth = 1.6 * unit
    context.strokeStyle = SELECTED_COLOUR
    context.fillStyle = PAPER_COLOUR
    for (const handle of handlesOf(box, this.#scale)) {
      const [x, y] = handlePlace(box, handle, this.#scale)
      context.beginPath()
      if (handle.kind === 'turn') {
        const [, top] = handlePlace(box, { ...handle, kind: 'size' }, this.#scale)
        context.moveTo(x, top)
        context.lineTo(x, y + 6 * unit)
        context.stroke()
        context.beginPath()
        context.arc(x, y, 6.5 * unit, 0, 2 * Math.PI)
      } else context.rect(x - 4.5 * unit, y - 4.5 * unit, 9 * unit, 9 * unit)
      context.fill()
      context.stroke()
    }
  }

  /** A chosen line's ends, by which it is dragged elsewhere, and the handles of its bend, which may be ``tied`` to them. */
  ends(places: Point[], bends: Point[], tied: boolean): void {
    const context = this.#context
    context.lineWidth = 1.6 / this.#scale
    context.strokeStyle = SELECTED_COLOUR
    context.fillStyle = PAPER_COLOUR
    for (const [i, [x, y]] of bends.entries()) {
      if (tied) {
        context.beginPath()
        context.moveTo(...places[i]!)
        context.lineTo(x, y)
        context.stroke()
      }
      context.beginPath()
      context.arc(x, y, 5.5 / this.#scale, 0, 2 * Math.PI)
      context.fill()
      context.stroke()
    }
    context.strokeStyle = PAPER_COLOUR
    context.fillStyle = SELECTED_COLOUR
    for (const [x, y] of places) {
      context.beginPath()
      context.arc(x, y, 6 / this.#scale, 0, 2 * Math.PI)
      context.fill()
      context.stroke()
    }
  }

  /** The frame on its way. */
  carriedFrame(box: Box, along: Affine): void {
    const context = this.#context
    const margin = FRAME_MARGIN_PX / this.#scale
    const corners: Point[] = [
      [box.minX - margin, box.minY - margin],
      [box.maxX + margin, box.minY - margin],
      [box.maxX + margin, box.maxY + margin],
      [box.minX - margin, box.maxY + margin],
    ]
    context.beginPath()
    for (const [x, y] of corners) context.lineTo(...pointOf(along, x, y))
    context.closePath()
    this.#dash()
  }

  guides(guides: Guide[], seen: Box): void {
    const context = this.#context
    context.strokeStyle = POINTER_COLOUR
    context.lineWidth = 1 / this.#scale
    context.beginPath()
    for (const { level, at } of guides) {
      context.moveTo(level ? seen.minX : at, level ? at : seen.minY)
      context.lineTo(level ? seen.maxX : at, level ? at : seen.maxY)
    }
    context.stroke()
  }

  instrument(lying: Instrument, measure: Measure, look: Parameters<typeof drawInstrument>[4]): void {
    drawInstrument(this.#context, this.#scale, lying, measure, look)
  }

  /** Places that something is measured between. */
  places(places: Point[]): void {
    const context = this.#context
    context.strokeStyle = context.fillStyle = SELECTED_COLOUR
    context.lineWidth = 1.6 / this.#scale
    context.beginPath()
    for (const [x, y] of places) context.lineTo(x, y)
    context.stroke()
    for (const [x, y] of places) {
      context.beginPath()
      context.arc(x, y, 5 / this.#scale, 0, 2 * Math.PI)
      context.fill()
    }
  }

  frame(box: Box, margin = 0): void {
    const context = this.#context
    context.beginPath()
    context.rect(
      box.minX - margin,
      box.minY - margin,
      box.maxX - box.minX + 2 * margin,
      box.maxY - box.minY + 2 * margin,
    )
    this.#dash()
  }

  lasso(points: Point[]): void {
    const context = this.#context
    context.beginPath()
    for (const [x, y] of points) context.lineTo(x, y)
    context.closePath()
    context.fillStyle = 'rgb(47 125 91 / 8%)'
    context.fill()
    this.#dash()
  }

  #dash(): void {
    const context = this.#context
    context.strokeStyle = SELECTED_COLOUR
    context.lineWidth = 1.4 / this.#scale
    context.setLineDash([5 / this.#scale, 4 / this.#scale])
    context.stroke()
    context.setLineDash([])
  }

  eraser([x, y]: Point, radius: number): void {
    const context = this.#context
    context.beginPath()
    context.arc(x, y, radius, 0, 2 * Math.PI)
    context.strokeStyle = '#5e6a66'
    context.lineWidth = 1.4 / this.#scale
    context.stroke()
  }

  /** Refused ink: ours alone, dotted around. */
  setAside(items: Item[], boxes: Box[]): void {
    this.#context.globalAlpha = 0.45
    for (const item of items) drawItem(this.#context, item)
    this.#context.globalAlpha = 1
    this.#context.strokeStyle = POINTER_COLOUR
    this.#context.lineWidth = 1.2 / this.#scale
    this.#context.setLineDash([2 / this.#scale, 4 / this.#scale])
    for (const box of boxes)
      this.#context.strokeRect(box.minX - 4, box.minY - 4, box.maxX - box.minX + 8, box.maxY - box.minY + 8)
    this.#context.setLineDash([])
  }

  /** A bay's frame with its title, and whose it is; ``mine``: this student may write there. */
  bay(box: Box, title: string, whose: string, mine: boolean, chosen: boolean): void {
    const context = this.#context
    const unit = 1 / this.#scale
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY]
    context.strokeStyle = mine ? BAY_MINE : BAY_COLOUR
    context.lineWidth = (chosen || mine ? 2.4 : 1.4) * unit
    context.strokeRect(box.minX, box.minY, width, height)
    const words = [title, whose].filter(Boolean).join(' · ')
    if (!words) return
    context.font = `600 ${13 * unit}px "Atkinson Hyperlegible Next", sans-serif`
    const wide = Math.min(context.measureText(words).width + 14 * unit, width)
    context.fillStyle = mine ? BAY_MINE : BAY_COLOUR
    context.fillRect(box.minX, box.minY - 20 * unit, wide, 20 * unit)
    context.fillStyle = mine ? '#16222b' : '#fff'
    context.textBaseline = 'middle'
    context.textAlign = 'left'
    context.fillText(words, box.minX + 7 * unit, box.minY - 9.5 * unit, wide - 10 * unit)
  }

  /** Whose a thing is, on its upper left corner. */
  writer(box: Box, name: string, colour: string): void {
    const context = this.#context
    const unit = 1 / this.#scale
    context.font = `600 ${11 * unit}px "Atkinson Hyperlegible Next", sans-serif`
    const wide = context.measureText(name).width + 8 * unit
    context.fillStyle = colour
    context.fillRect(box.minX, box.minY - 15 * unit, wide, 15 * unit)
    context.fillStyle = '#fff'
    context.textBaseline = 'middle'
    context.textAlign = 'left'
    context.fillText(name, box.minX + 4 * unit, box.minY - 7 * unit)
  }

  ghost(line: LineRead): void {
    ghostLine(this.#context, this.#scale, line)
  }

  ghostFormula(formula: FormulaRead, box: Box): void {
    ghostFormula(this.#context, this.#scale, formula, box)
  }

  /** A ring that opens where somebody pressed; ``part`` (0–1) of its time. */
  ring({ x, y }: { x: number; y: number }, part: number): void {
    const context = this.#context
    context.beginPath()
    context.arc(x, y, (8 + 22 * part) / this.#scale, 0, 2 * Math.PI)
    context.strokeStyle = `rgb(180 71 44 / ${Math.round(80 * (1 - part))}%)`
    context.lineWidth = 3 / this.#scale
    context.stroke()
  }

  /** An arrow with its tip at a place and its owner's name on it. */
  arrow({ x, y, name, colour }: { x: number; y: number; name: string; colour?: string }): void {
    const context = this.#context
    context.save()
    context.translate(x, y)
    context.scale(1 / this.#scale, 1 / this.#scale)
    context.font = '600 14px "Atkinson Hyperlegible Next", sans-serif'
    const wide = context.measureText(name).width + 20
    context.beginPath()
    context.moveTo(0, 0)
    context.lineTo(16, -13)
    context.lineTo(16 + wide, -13)
    context.lineTo(16 + wide, 13)
    context.lineTo(16, 13)
    context.closePath()
    context.fillStyle = colour ?? POINTER_COLOUR
    context.fill()
    context.fillStyle = '#fff'
    context.textBaseline = 'middle'
    context.fillText(name, 24, 0.5)
    context.restore()
  }

  /** At the edge of what is seen: somebody writes or points further out, towards ``angle`` (radians). */
  beyond(x: number, y: number, angle: number, name: string, colour: string): void {
    const context = this.#context
    context.save()
    context.translate(x, y)
    context.scale(1 / this.#scale, 1 / this.#scale)
    context.fillStyle = colour
    context.beginPath()
    context.moveTo(12 * Math.cos(angle), 12 * Math.sin(angle))
    for (const turn of [2.5, -2.5]) context.lineTo(10 * Math.cos(angle + turn), 10 * Math.sin(angle + turn))
    context.fill()
    context.font = '600 12px "Atkinson Hyperlegible Next", sans-serif'
    context.textAlign = Math.cos(angle) > 0.4 ? 'right' : Math.cos(angle) < -0.4 ? 'left' : 'center'
    context.textBaseline = 'middle'
    context.lineWidth = 4
    context.strokeStyle = PAPER_COLOUR
    const [tx, ty] = [-18 * Math.cos(angle), -18 * Math.sin(angle)]
    context.strokeText(name, tx, ty)
    context.fillText(name, tx, ty)
    context.restore()
  }

  trail(trail: Trail, now: number): void {
    const context = this.#context
    const unit = 1 / this.#scale
    context.lineCap = 'round'
    for (let i = 1; i < trail.points.length; i++) {
      const [a, b] = [trail.points[i - 1]!, trail.points[i]!]
      const left = 1 - (now - b.at) / TRAIL_MS
      if (left <= 0) continue
      context.beginPath()
      context.moveTo(a.x, a.y)
      context.lineTo(b.x, b.y)
      context.strokeStyle = `rgb(180 71 44 / ${Math.round(60 * left)}%)`
      context.lineWidth = (2 + 5 * left) * unit
      context.stroke()
    }
    const tip = trail.points.at(-1)
    if (!tip || !trail.on) return
    context.beginPath()
    context.arc(tip.x, tip.y, 11 * unit, 0, 2 * Math.PI)
    context.fillStyle = 'rgb(180 71 44 / 25%)'
    context.fill()
    context.beginPath()
    context.arc(tip.x, tip.y, 4.5 * unit, 0, 2 * Math.PI)
    context.fillStyle = trail.colour ?? POINTER_COLOUR
    context.fill()
    if (trail.name) this.#name(trail.name, tip.x + 14 * unit, tip.y + 5 * unit, trail.colour)
  }

  #name(name: string, x: number, y: number, colour = POINTER_COLOUR): void {
    const context = this.#context
    context.font = `600 ${13 / this.#scale}px 'Atkinson Hyperlegible Next', sans-serif`
    context.lineWidth = 4 / this.#scale
    context.strokeStyle = PAPER_COLOUR
    context.lineJoin = 'round'
    context.strokeText(name, x, y)
    context.fillStyle = colour
    context.fillText(name, x, y)
  }
}
