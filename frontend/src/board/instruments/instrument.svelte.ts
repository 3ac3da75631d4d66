/** A drawing instrument that lies on the board: moved, turned and opened by hand. Ink begun at an edge runs along it. */
import type { Instrument as Lying, InstrumentKind } from '../../wire/generated'
import type { Point } from '../place'
import { DEGREE, FORMS, fromLine, GRIP_ALONG, partAt, type Edge, type Form, type Part } from './forms'

/** Ink that begins this near an edge runs along it. */
const GUIDE_PX = 16
/** It begins and ends at a mark, or at a point of the page, that is this near. */
const MARK_PX = 5
const PIVOT_PX = 8
/** Compasses draw their arc in steps of at most this. */
const ARC_STEP = 3 * DEGREE

/** A point of the page that ink or a needle can be set on, near a place. */
export type Notable = (at: Point, reach: number) => Point | null

/** An instrument as it lay when a part of it was taken, and where that was. */
export interface Grabbed extends Lying {
  at: Point
}

export class Instrument implements Lying {
  readonly kind: InstrumentKind
  x = $state.raw(0)
  y = $state.raw(0)
  /** Clockwise, in radians. */
  angle = $state.raw(0)
  size = $state.raw(0)
  arm = $state.raw(60)
  /** How far an arc has been drawn, in degrees; null when none is. */
  swept = $state.raw<number | null>(null)
  /** The edge that the ink in hand runs along; undefined before it has begun. */
  #edge: Edge | null | undefined
  #last = 0

  constructor(kind: InstrumentKind, [x, y]: Point, seenWidth: number) {
    this.kind = kind
    this.x = x
    this.y = y
    const { part, least } = this.form
    this.size = Math.max(least, Math.round((seenWidth * part) / 10) * 10)
    if (kind.startsWith('square')) this.move(-this.size / 2, this.size / 3)
    if (kind === 'protractor') this.move(0, this.size / 2)
  }

  get form(): Form {
    return FORMS[this.kind]
  }

  get lying(): Lying {
    const { kind, x, y, angle, size, arm } = this
    return { kind, x, y, angle, size, arm }
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

  /** Make it larger or open it by ``steps``: degrees of the arm, or marks of length. */
  open(steps: number, mark: number): void {
    if (this.form.opens === 'arm') this.arm = Math.min(180, Math.max(0, Math.round(this.arm + steps)))
    else this.resize((Math.round(this.size / mark) + steps) * mark)
  }

  resize(size: number): void {
    this.size = Math.min(this.form.most, Math.max(this.form.least, size))
  }

  partAt(at: Point, px: number): Part | null {
    return partAt(this, this.own(at), px)
  }

  /**
   * Drag a part to a place from where and as it was ``grabbed``: turned and opened by whole degrees and marks, or
   * ``coarse``ly by 15°; what has a pivot is set on a point of the page that is near.
   */
  drag(part: Part, grabbed: Grabbed, to: Point, coarse: boolean, mark: number, notable: Notable): void {
    const step = (coarse ? 15 : 1) * DEGREE
    const way = ([x, y]: Point) => Math.atan2(y - this.y, x - this.x)
    if (part === 'body') {
      const at: Point = [grabbed.x + to[0] - grabbed.at[0], grabbed.y + to[1] - grabbed.at[1]]
      ;[this.x, this.y] = (this.kind !== 'ruler' && notable(at, PIVOT_PX)) || at
    } else if (part === 'turn') {
      this.angle = normal(Math.round((grabbed.angle + way(to) - way(grabbed.at)) / step) * step)
    } else if (this.form.opens === 'arm') {
      const degrees = ((-normal(way(to) - this.angle) / DEGREE + 450) % 360) - 90
      this.arm = Math.min(180, Math.max(0, (Math.round((degrees * DEGREE) / step) * step) / DEGREE))
    } else this.resize(Math.round(this.own(to)[0] / GRIP_ALONG / mark) * mark)
  }

  /** Where a place lies in the instrument's own space. */
  own([x, y]: Point): Point {
    const [c, s] = [Math.cos(this.angle), Math.sin(this.angle)]
    const [dx, dy] = [x - this.x, y - this.y]
    return [dx * c + dy * s, -dx * s + dy * c]
  }

  out([x, y]: Point): Point {
    const [c, s] = [Math.cos(this.angle), Math.sin(this.angle)]
    return [this.x + x * c - y * s, this.y + x * s + y * c]
  }

  /** Whether ink that begins at a place will run along an edge. */
  begin(at: Point, px: number, mark: number): boolean {
    const own = this.own(at)
    const distances = this.form
      .edges(this.lying, px, mark)
      .map((edge) => ({ edge, away: fromEdge(own, edge) }))
    const nearest = distances.sort((a, b) => a.away - b.away)[0]
    this.#edge = nearest && nearest.away <= GUIDE_PX * px ? nearest.edge : null
    if (this.#edge?.kind === 'arc') {
      this.#last = Math.atan2(own[1], own[0])
      this.swept = 0
    }
    return this.#edge !== null
  }

  /**
   * Where ink goes along the edge: one place, or on an arc the places on the way to it. ``ends``: it begins or ends
   * here, on a mark of the edge or a point of the page that is near.
   */
  guide(at: Point, px: number, ends: Notable | null): Point[] {
    const edge = this.#edge
    if (!edge) return [at]
    const own = this.own(at)
    const notable = ends?.(at, 2 * MARK_PX)
    const near = (value: number, step: number, unit: number) => {
      const mark = Math.round(value / step) * step
      return ends && Math.abs(mark - value) * unit <= MARK_PX * px ? mark : value
    }
    if (edge.kind === 'line') {
      const [ux, uy] = unit(edge)
      const along = ([x, y]: Point) => (x - edge.from[0]) * ux + (y - edge.from[1]) * uy
      const to = notable ? along(this.own(notable)) : near(along(own), edge.marks, 1)
      return [this.out([edge.from[0] + to * ux, edge.from[1] + to * uy])]
    }
    const wanted = notable ? this.own(notable) : own
    const turn = normal(near(Math.atan2(wanted[1], wanted[0]), edge.marks, edge.radius) - this.#last)
    const steps = Math.max(1, Math.ceil(Math.abs(turn) / ARC_STEP))
    const places = Array.from({ length: steps }, (_, n) => {
      const angle = this.#last + (turn * (n + 1)) / steps
      return this.out([edge.radius * Math.cos(angle), edge.radius * Math.sin(angle)])
    })
    this.#last += turn
    this.swept = (this.swept ?? 0) - turn / DEGREE
    if (this.kind === 'compasses') {
      // The lead goes with the ink.
      this.angle = normal(this.angle + this.#last)
      this.#last = 0
    }
    return places
  }

  /** The stroke is over. */
  release(): void {
    this.#edge = undefined
    this.swept = null
  }
}

function unit({ from, to }: { from: Point; to: Point }): Point {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1
  return [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
}

function fromEdge(own: Point, edge: Edge): number {
  if (edge.kind === 'line') return fromLine(own, edge.from, edge.to)
  if (edge.begins) return Math.hypot(own[0] - edge.begins[0], own[1] - edge.begins[1]) / 1.5
  const angle = Math.atan2(own[1], own[0])
  return angle >= edge.low && angle <= edge.high ? Math.abs(Math.hypot(...own) - edge.radius) : Infinity
}

function normal(angle: number): number {
  return Math.atan2(Math.sin(angle), Math.cos(angle))
}
