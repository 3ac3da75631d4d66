/**
 * The forms of drawing instruments, in each one's own space: where it can be gripped, and which edges guide ink.
 * Own space: the pivot that it turns about is its origin; y goes down; one unit is a board unit.
 */
import type { Instrument as Lying, InstrumentKind } from '../../wire/generated'
import type { Plain } from '../../words/words.svelte'
import type { Point } from '../place'

export const DEGREE = Math.PI / 180
export const RULER_PX = 64
/** The last part of a ruler at each end, by which it is turned. */
const END_PART = 0.16
/** The edges belong to the pen: an instrument is gripped this far inside of them. */
const INSIDE_PX = 10
const GRIP_PX = 18
const LEAD_PX = 26
/** The legs of compasses are at least so long, in board units. */
const LEAST_LEG = 150
/** Compasses are opened by a grip on the leg with the lead, so far along between needle and lead. */
export const GRIP_ALONG = 5 / 6
/** The hinge of compasses is as far above the page as a hand is. */
export const HINGE_PX = 20

/** What a press on an instrument does: move it, turn it, or open it. */
export type Part = 'body' | 'turn' | 'open'
export interface Grip {
  part: Part
  at: Point
}
/** A straight edge, or an arc about the origin between two angles (radians, clockwise); ``marks`` lie so far apart. */
export type Edge =
  | { kind: 'line'; from: Point; to: Point; marks: number }
  | { kind: 'arc'; radius: number; low: number; high: number; marks: number; begins?: Point }

export interface Form {
  word: Plain
  /** Sizes in board units; and the part of the seen width that it takes when it is laid down. */
  least: number
  most: number
  part: number
  opens: 'size' | 'arm' | null
  /** ``px``: board units to a pixel of the screen; ``mark``: how far apart marks of length lie. */
  edges(lying: Lying, px: number, mark: number): Edge[]
  grips(lying: Lying, px: number): Grip[]
  /** Whether a place belongs to it, but for its edges. */
  holds(lying: Lying, at: Point, px: number): boolean
}

const ruler: Form = {
  word: 'instrument-ruler',
  least: 160,
  most: 1600,
  part: 0.6,
  opens: null,
  edges({ size }, px, marks) {
    const [half, wide] = [size / 2, (RULER_PX / 2) * px]
    return [-1, 1].map((side) => ({
      kind: 'line',
      from: [-half, side * wide],
      to: [half, side * wide],
      marks,
    }))
  },
  grips({ size }, px) {
    const at = size / 2 - 20 * px
    return [
      { part: 'turn', at: [at, 0] },
      { part: 'turn', at: [-at, 0] },
    ]
  },
  holds({ size }, [x, y], px) {
    return Math.abs(x) <= size / 2 && Math.abs(y) <= (RULER_PX / 2 - INSIDE_PX) * px
  },
}

const protractor: Form = {
  word: 'instrument-protractor',
  least: 80,
  most: 800,
  part: 0.17,
  opens: 'arm',
  edges({ size, arm }, _px, marks) {
    return [
      { kind: 'line', from: [-size, 0], to: [size, 0], marks },
      { kind: 'arc', radius: size, low: -Math.PI, high: 0, marks: DEGREE },
      { kind: 'line', from: [0, 0], to: onArc(size, arm), marks },
    ]
  },
  grips({ size, arm }, px) {
    return [
      { part: 'open', at: onArc(size + 16 * px, arm) },
      { part: 'turn', at: [-0.42 * size, -(INSIDE_PX + GRIP_PX) * px] },
      { part: 'turn', at: [0.42 * size, -(INSIDE_PX + GRIP_PX) * px] },
    ]
  },
  holds({ size, arm }, [x, y], px) {
    const inside = y < -INSIDE_PX * px && Math.hypot(x, y) < size - INSIDE_PX * px
    const [ax, ay] = onArc(1, arm)
    return inside && !(x * ax + y * ay > 0 && Math.abs(x * ay - y * ax) < INSIDE_PX * px)
  },
}

function square(steep: number): Form {
  const corners = (size: number): Point[] => [
    [0, 0],
    [size, 0],
    [0, -size * steep],
  ]
  return {
    word: 'instrument-square',
    least: 100,
    most: 1000,
    part: 0.28,
    opens: null,
    edges({ size }, _px, marks) {
      const [corner, far, high] = corners(size) as [Point, Point, Point]
      return [
        { kind: 'line', from: corner, to: far, marks },
        { kind: 'line', from: corner, to: high, marks },
        { kind: 'line', from: far, to: high, marks },
      ]
    },
    grips({ size }) {
      return [{ part: 'turn', at: [0.6 * size, -0.16 * size * steep] }]
    },
    holds({ size }, [x, y], px) {
      const inset = INSIDE_PX * px
      // How far inside of the long side.
      const across = (size * steep - steep * x + y) / Math.hypot(1, steep)
      return x > inset && -y > inset && across > inset
    },
  }
}

const compasses: Form = {
  word: 'instrument-compasses',
  least: 8,
  most: 2000,
  part: 0.12,
  opens: 'size',
  edges({ size }) {
    return [
      {
        kind: 'arc',
        radius: size,
        low: -Infinity,
        high: Infinity,
        marks: DEGREE,
        begins: [size, 0] as Point,
      },
    ]
  },
  grips(lying) {
    return [{ part: 'open', at: [GRIP_ALONG * lying.size, hingeOf(lying)[1] / 3] }]
  },
  holds(lying, at, px) {
    const hinge = hingeOf(lying)
    const near = (to: Point, reach: number) => Math.hypot(at[0] - to[0], at[1] - to[1]) <= reach * px
    if (near([lying.size, 0], LEAD_PX)) return false
    return (
      near(hinge, HINGE_PX) ||
      near([0, 0], GRIP_PX) ||
      fromLine(at, [0, 0], hinge) <= INSIDE_PX * px ||
      fromLine(at, hinge, [lying.size, 0]) <= INSIDE_PX * px
    )
  },
}

export const FORMS: Record<InstrumentKind, Form> = {
  ruler,
  protractor,
  square_45: square(1),
  square_60: square(Math.tan(30 * DEGREE)),
  compasses,
}
export const STEEP: Partial<Record<InstrumentKind, number>> = {
  square_45: 1,
  square_60: Math.tan(30 * DEGREE),
}

/** A protractor's place of some degrees, which it counts from the right, against the clock. */
export function onArc(radius: number, degrees: number): Point {
  return [radius * Math.cos(degrees * DEGREE), -radius * Math.sin(degrees * DEGREE)]
}

/** Where the two legs of compasses meet: on the upper side as one looks at them. */
export function hingeOf({ size, angle }: Lying): Point {
  const leg = Math.max(LEAST_LEG, 0.62 * size)
  const high = Math.sqrt(leg ** 2 - (size / 2) ** 2)
  return [size / 2, Math.cos(angle) >= 0 ? -high : high]
}

/** The part of an instrument at a place of its own space. */
export function partAt(lying: Lying, at: Point, px: number): Part | null {
  const form = FORMS[lying.kind]
  const grip = form
    .grips(lying, px)
    .find(({ at: [x, y] }) => Math.hypot(at[0] - x, at[1] - y) <= GRIP_PX * px)
  if (grip) return grip.part
  if (!form.holds(lying, at, px)) return null
  return lying.kind === 'ruler' && Math.abs(at[0]) > (lying.size / 2) * (1 - 2 * END_PART) ? 'turn' : 'body'
}

/** How far a place is from a line between two others. */
export function fromLine([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay]
  const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)))
  return Math.hypot(x - ax - t * dx, y - ay - t * dy)
}
