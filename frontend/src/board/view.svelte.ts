/** Where a person looks: the page, its place on the screen, and how large. Everyone has an own view. */
import type { Box } from './box'

export const MIN_SCALE = 0.05
export const MAX_SCALE = 16
/** Room that is left around what is shown whole; narrow windows have less to give. */
const [FIT_MARGIN_PX, FIT_MARGIN_PART] = [48, 1 / 16]
const REACH_MARGIN_PX = 32

export class View {
  /** Screen px (CSS) for each board unit. */
  scale = $state.raw(1)
  /** Screen position of the page's origin. */
  left = $state.raw(0)
  top = $state.raw(0)
  width = $state.raw(800)
  height = $state.raw(600)
  /** Whether the view still is the whole page, and should stay so when the window changes. */
  whole = $state.raw(true)

  toPage(x: number, y: number): [number, number] {
    return [(x - this.left) / this.scale, (y - this.top) / this.scale]
  }

  /** The part of the page that is seen. */
  box(): Box {
    const [minX, minY] = this.toPage(0, 0)
    const [maxX, maxY] = this.toPage(this.width, this.height)
    return { minX, minY, maxX, maxY }
  }

  pan(dx: number, dy: number): void {
    this.left += dx
    this.top += dy
    this.whole = false
  }

  /** Zoom about a point of the screen, which stays where it is. */
  zoom(factor: number, x = this.width / 2, y = this.height / 2): void {
    const scale = Math.min(MAX_SCALE, Math.max(MIN_SCALE, this.scale * factor))
    const ratio = scale / this.scale
    this.left = x - (x - this.left) * ratio
    this.top = y - (y - this.top) * ratio
    this.scale = scale
    this.whole = false
  }

  /** Show a box wholly, in the middle, without a margin: what somebody else sees. */
  show(box: Box): void {
    const width = Math.max(box.maxX - box.minX, 1)
    const height = Math.max(box.maxY - box.minY, 1)
    this.scale = Math.min(MAX_SCALE, Math.max(MIN_SCALE, Math.min(this.width / width, this.height / height)))
    this.left = (this.width - (box.minX + box.maxX) * this.scale) / 2
    this.top = (this.height - (box.minY + box.maxY) * this.scale) / 2
    this.whole = false
  }

  /** Keep what is seen inside a box, at most ``closer`` times as large as the box shown wholly. */
  stayWithin(box: Box, closer: number): void {
    const { scale, left, top } = this
    this.show(box)
    const least = this.scale
    const wanted = Math.min(Math.max(scale, least), closer * least)
    if (wanted <= least) return
    const clamp = (value: number, low: number, high: number) => Math.min(Math.max(value, low), high)
    this.scale = wanted
    const [x, y] = scale === wanted ? [left, top] : [this.left, this.top]
    this.left = clamp(x, this.width - box.maxX * wanted, -box.minX * wanted)
    this.top = clamp(y, this.height - box.maxY * wanted, -box.minY * wanted)
  }

  /** How far to pan, in px, until a box is in sight: not at all when it is, or fills the window. */
  wayTo(box: Box): [number, number] {
    const way = (start: number, end: number, size: number) => {
      if ((start >= 0 && end <= size) || (start <= 0 && end >= size)) return 0
      const spare = size - (end - start)
      // Of what is larger than the window its beginning is seen.
      const room = spare < 0 ? REACH_MARGIN_PX : Math.min(REACH_MARGIN_PX, spare / 2)
      return start < room || spare < 0 ? room - start : size - room - end
    }
    return [
      way(box.minX * this.scale + this.left, box.maxX * this.scale + this.left, this.width),
      way(box.minY * this.scale + this.top, box.maxY * this.scale + this.top, this.height),
    ]
  }

  fit(box: Box, largest = 1): void {
    const width = Math.max(box.maxX - box.minX, 1)
    const height = Math.max(box.maxY - box.minY, 1)
    const margin = Math.min(FIT_MARGIN_PX, this.width * FIT_MARGIN_PART)
    const scale = Math.min((this.width - 2 * margin) / width, (this.height - 2 * margin) / height, largest)
    this.scale = Math.max(MIN_SCALE, scale)
    this.left = (this.width - (box.minX + box.maxX) * this.scale) / 2
    this.top = (this.height - (box.minY + box.maxY) * this.scale) / 2
    this.whole = true
  }
}
