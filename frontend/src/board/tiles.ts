/**
 * The page as tiles of 512 px, drawn in slices of time and kept: a pan only copies tiles, and a new
 * stroke is painted onto those it touches without drawing anything else again.
 */
import { overlaps, type Box } from './box'
import { drawItems } from './draw'
import { drawPaper } from './draw-paper'
import { inOrder, layer } from './order'
import type { Entry, Page } from './page'

const TILE_PX = 512
/** About 160 MB of pictures at most. */
const MAX_TILES = 160
const SLICE_MS = 9

interface Tile {
  canvas: HTMLCanvasElement
  context: CanvasRenderingContext2D
  box: Box
  fresh: boolean
  usedAt: number
}

export class TileLayer {
  #page: Page
  /** Device pixels for each board unit that the tiles are drawn at. */
  #scale = 1
  #tiles = new Map<string, Tile>()
  /** Tiles of the scale before, shown until the new ones are drawn. */
  #before: Tile[] = []
  #clock = 0

  #canvas: () => HTMLCanvasElement

  constructor(page: Page, canvas = () => document.createElement('canvas')) {
    this.#page = page
    this.#canvas = canvas
    page.changed = (box, onTop) => this.#invalidate(box, onTop)
    this.onchange = () => {}
  }

  onchange: () => void

  get count(): number {
    return this.#tiles.size
  }

  detach(): void {
    this.#page.changed = () => {}
    this.#tiles.clear()
    this.#before = []
  }

  redrawAll(): void {
    for (const tile of this.#tiles.values()) tile.fresh = false
  }

  /**
   * Draw the part of the page that is seen; true when all of it is fresh.
   * While a gesture runs (``settled`` false) tiles of another scale are stretched instead of drawn anew.
   */
  draw(context: CanvasRenderingContext2D, seen: Box, scale: number, settled: boolean): boolean {
    if (scale !== this.#scale && (settled || this.#tiles.size === 0)) this.#rescale(scale)
    const until = performance.now() + SLICE_MS
    let complete = true
    this.#clock++
    const wanted = this.#scale === scale ? this.#seen(seen) : this.#there(seen)
    for (const tile of wanted) {
      if (!tile.fresh) {
        if (performance.now() < until) this.#render(tile)
        else complete = false
      }
    }
    if (!complete)
      for (const tile of this.#before) if (overlaps(tile.box, seen)) this.#copy(context, tile, seen, scale)
    for (const tile of wanted) if (tile.fresh) this.#copy(context, tile, seen, scale)
    if (complete && this.#scale === scale) this.#before = []
    this.#forget()
    return complete && this.#scale === scale
  }

  /** The tiles of all that is seen, made where they are missing: a screenful at the scale they are drawn at. */
  #seen(seen: Box): Tile[] {
    const unit = TILE_PX / this.#scale
    const tiles: Tile[] = []
    for (let row = Math.floor(seen.minY / unit); row * unit < seen.maxY; row++) {
      for (let column = Math.floor(seen.minX / unit); column * unit < seen.maxX; column++) {
        tiles.push(this.#tile(column, row, unit))
      }
    }
    return tiles
  }

  /** What has been drawn of what is seen: at another scale a screen may be thousands of tiles wide. */
  #there(seen: Box): Tile[] {
    return [...this.#tiles.values()].filter((tile) => overlaps(tile.box, seen))
  }

  #copy(context: CanvasRenderingContext2D, tile: Tile, seen: Box, scale: number): void {
    // Whole device pixels on both edges, so that no seam shows between tiles.
    const x = Math.round((tile.box.minX - seen.minX) * scale)
    const y = Math.round((tile.box.minY - seen.minY) * scale)
    const right = Math.round((tile.box.maxX - seen.minX) * scale)
    const bottom = Math.round((tile.box.maxY - seen.minY) * scale)
    context.drawImage(tile.canvas, x, y, right - x, bottom - y)
  }

  #rescale(scale: number): void {
    const drawn = [...this.#tiles.values()].filter((tile) => tile.fresh)
    if (drawn.length) this.#before = drawn
    this.#tiles.clear()
    this.#scale = scale
  }

  #tile(column: number, row: number, unit: number): Tile {
    const key = `${column}:${row}`
    let tile = this.#tiles.get(key)
    if (!tile) {
      const canvas = this.#canvas()
      canvas.width = canvas.height = TILE_PX
      const box = { minX: column * unit, minY: row * unit, maxX: (column + 1) * unit, maxY: (row + 1) * unit }
      tile = { canvas, context: canvas.getContext('2d')!, box, fresh: false, usedAt: 0 }
      this.#tiles.set(key, tile)
    }
    tile.usedAt = this.#clock
    return tile
  }

  #render(tile: Tile): void {
    const { context, box } = tile
    this.#enter(tile)
    drawPaper(context, this.#page.head.paper, this.#page.sheet, box, this.#scale)
    // While its items are still coming in, a page shows its paper: it is drawn once, as a whole.
    const entries = this.#page.loaded ? this.#page.at(box).sort(inOrder) : []
    drawItems(
      context,
      entries.map((entry) => entry.item),
      this.#scale,
    )
    tile.fresh = true
  }

  #enter(tile: Tile): void {
    const { context, box } = tile
    context.setTransform(this.#scale, 0, 0, this.#scale, -box.minX * this.#scale, -box.minY * this.#scale)
  }

  #invalidate(box: Box, onTop: Entry | null): void {
    for (const tile of this.#tiles.values()) {
      if (!tile.fresh || !overlaps(tile.box, box)) continue
      if (onTop && layer(onTop.item) === 1) {
        this.#enter(tile)
        drawItems(tile.context, [onTop.item], this.#scale)
      } else tile.fresh = false
    }
    this.onchange()
  }

  #forget(): void {
    if (this.#tiles.size <= MAX_TILES) return
    const oldest = [...this.#tiles].sort((a, b) => a[1].usedAt - b[1].usedAt)
    for (const [key, tile] of oldest.slice(0, this.#tiles.size - MAX_TILES)) {
      if (tile.usedAt !== this.#clock) this.#tiles.delete(key)
    }
  }
}
