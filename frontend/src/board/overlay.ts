/** What lies over the page for a moment: wet ink, pointers, the selection. Drawn anew each frame. */
import type { Samples } from '../ink/samples'
import type { Item } from '../wire/generated'
import { moved, union, type Box } from './box'
import { drawInkPath, drawItem, inkPath, PAPER_COLOUR } from './draw'
import type { Point } from './hit'
import type { Page } from './page'
import type { Nib } from './wet'

const SELECTED_COLOUR = '#2f7d5b'
const POINTER_COLOUR = '#b4472c'
const VEIL = 0.78
export const TRAIL_MS = 900

export interface Trail {
  name: string
  page: string
  points: { x: number; y: number; at: number }[]
  on: boolean
}

export class Overlay {
  #context: CanvasRenderingContext2D
  #scale: number

  constructor(context: CanvasRenderingContext2D, scale: number) {
    this.#context = context
    this.#scale = scale
  }

  wet(samples: number[], nib: Nib): void {
    if (!samples.length) return
    const highlighter = nib.nib === 'highlighter'
    const path = inkPath(Float32Array.from(samples) as Samples, nib.width, highlighter)
    drawInkPath(this.#context, path, nib.colour, highlighter)
  }

  /** Items about to go, or on their way elsewhere, pale. */
  veil(items: Item[]): void {
    const context = this.#context
    for (const item of items) {
      drawItem(context, { ...item, colour: PAPER_COLOUR })
      context.globalAlpha = 1 - VEIL
      drawItem(context, item)
      context.globalAlpha = 1
    }
  }

  moving(items: Item[], dx: number, dy: number): void {
    for (const item of items) drawItem(this.#context, { ...item, x: item.x + dx, y: item.y + dy })
  }

  selection(page: Page, ids: ReadonlySet<string>, dx: number, dy: number): void {
    const boxes = [...ids].flatMap((id) => page.entries.get(id) ?? [])
    const box = union(boxes)
    if (!box) return
    this.frame(moved(box, dx, dy), 8 / this.#scale)
  }

  frame(box: Box, margin = 0): void {
    const context = this.#context
    context.strokeStyle = SELECTED_COLOUR
    context.lineWidth = 1.4 / this.#scale
    context.setLineDash([5 / this.#scale, 4 / this.#scale])
    context.strokeRect(
      box.minX - margin,
      box.minY - margin,
      box.maxX - box.minX + 2 * margin,
      box.maxY - box.minY + 2 * margin,
    )
    context.setLineDash([])
  }

  lasso(points: Point[]): void {
    const context = this.#context
    context.beginPath()
    for (const [x, y] of points) context.lineTo(x, y)
    context.closePath()
    context.fillStyle = 'rgb(47 125 91 / 8%)'
    context.fill()
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
    context.fillStyle = POINTER_COLOUR
    context.fill()
    if (trail.name) this.#name(trail.name, tip.x + 14 * unit, tip.y + 5 * unit)
  }

  #name(name: string, x: number, y: number): void {
    const context = this.#context
    context.font = `600 ${13 / this.#scale}px 'Atkinson Hyperlegible Next', sans-serif`
    context.lineWidth = 4 / this.#scale
    context.strokeStyle = PAPER_COLOUR
    context.lineJoin = 'round'
    context.strokeText(name, x, y)
    context.fillStyle = POINTER_COLOUR
    context.fillText(name, x, y)
  }
}
