/** The ruler that lies on the board: it is this person's own, moved and turned by hand, and guides ink. */
import type { Point } from './place'

export const RULER_PX = 64
/** Ink that begins this near an edge runs along it. */
const GUIDE_PX = 16
/** The last part of the ruler at each end, by which it is turned. */
const END_PART = 0.16
const DEGREE = Math.PI / 180

export class Ruler {
  on = $state.raw(false)
  x = $state.raw(0)
  y = $state.raw(0)
  angle = $state.raw(0)
  /** Length in board units. */
  length = $state.raw(600)
  /** The edge that the ink in hand runs along: on which side of the middle line. */
  #edge: -1 | 0 | 1 = 0
  #begun = false

  /** Lay it down in the middle of what is seen, or take it away. */
  toggle(middle: Point, seenWidth: number): void {
    this.on = !this.on
    if (!this.on) return
    ;[this.x, this.y] = middle
    this.length = Math.max(160, Math.round((seenWidth * 0.6) / 10) * 10)
  }

  turn(degrees: number): void {
    this.angle = normal(Math.round(this.angle / DEGREE + degrees) * DEGREE)
  }

  /** Turn by an angle as two fingers give it, not in whole degrees. */
  spin(angle: number): void {
    this.angle = normal(this.angle + angle)
  }

  move(dx: number, dy: number): void {
    this.x += dx
    this.y += dy
  }

  /** Turn so that the end that was at ``from`` points to ``to``; in whole degrees, or in 15s. */
  turnTowards(to: Point, far: boolean, coarse: boolean): void {
    const step = (coarse ? 15 : 1) * DEGREE
    const angle = Math.atan2(to[1] - this.y, to[0] - this.x) + (far ? 0 : Math.PI)
    this.angle = normal(Math.round(angle / step) * step)
  }

  /** Which part of the ruler lies at a place: its body, an end, or nothing. */
  partAt(at: Point, scale: number): 'body' | 'far end' | 'near end' | null {
    if (!this.on) return null
    const [along, across] = this.#own(at)
    const half = this.length / 2
    // The edges belong to the pen.
    if (Math.abs(along) > half || Math.abs(across) > RULER_PX / scale / 2 - 10 / scale) return null
    if (along > half * (1 - 2 * END_PART)) return 'far end'
    return along < -half * (1 - 2 * END_PART) ? 'near end' : 'body'
  }

  /** Where ink goes: along the edge, once it has begun near it. */
  guide(at: Point, scale: number): Point {
    if (!this.on) return at
    const [along, across] = this.#own(at)
    const half = RULER_PX / scale / 2
    if (!this.#begun) {
      this.#begun = true
      const near = Math.abs(Math.abs(across) - half) * scale <= GUIDE_PX
      this.#edge = near && Math.abs(along) <= this.length / 2 ? (across < 0 ? -1 : 1) : 0
    }
    if (!this.#edge) return at
    const [c, s] = [Math.cos(this.angle), Math.sin(this.angle)]
    const off = this.#edge * half
    return [this.x + along * c - off * s, this.y + along * s + off * c]
  }

  /** The stroke is over. */
  release(): void {
    this.#begun = false
    this.#edge = 0
  }

  /** Degrees from level, anticlockwise as in geometry lessons, 0 to 180. */
  get degrees(): number {
    return ((Math.round(-this.angle / DEGREE) % 180) + 180) % 180 || 0
  }

  #own([x, y]: Point): Point {
    const [c, s] = [Math.cos(this.angle), Math.sin(this.angle)]
    const [dx, dy] = [x - this.x, y - this.y]
    return [dx * c + dy * s, -dx * s + dy * c]
  }
}

function normal(angle: number): number {
  return Math.atan2(Math.sin(angle), Math.cos(angle))
}
