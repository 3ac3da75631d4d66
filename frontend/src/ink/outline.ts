/**
 * The outline of a stroke; twin of sunroom/core/ink/outline.py and of smooth_centreline in
 * sunroom/core/geometry/curves.py. Golden vectors (tests/golden/ink.json) hold the two together.
 */
import type { Ends, Nib } from '../wire/generated'
import type { Samples } from './samples'

/** Width at no pressure, and what full pressure adds, as parts of the nib's width. */
const PRESSURE: Record<Nib, [number, number]> = {
  pencil: [1, 0],
  pen: [0.45, 1.1],
  brush: [0.15, 1.7],
  highlighter: [1, 0],
}
const HEAD_WIDTHS = 2.6
const HEAD_LEAST = 7
const HEAD_ANGLE_RAD = 0.5
const EVEN_PRESSURE = 1.5 / 255
const CAP_POINTS = 6
const FLATNESS = 0.06

export function strokeWidth(nib: Nib, width: number, pressure: number): number {
  const [least, gain] = PRESSURE[nib]
  return width * (least + gain * pressure)
}

/** How far ink reaches from its samples at most. */
export function nibReach(nib: Nib, width: number): number {
  return strokeWidth(nib, width, 1) / 2
}

export function uniform(nib: Nib, samples: Samples): boolean {
  if (PRESSURE[nib][1] === 0) return true
  let low = 1
  let high = 0
  for (let i = 2; i < samples.length; i += 4) {
    low = Math.min(low, samples[i]!)
    high = Math.max(high, samples[i]!)
  }
  return high - low <= EVEN_PRESSURE
}

/** The open head of an arrow at the last of the points: wing, tip, wing. */
export function arrowHead(points: [number, number][], width: number): [number, number][] {
  const tip = points.at(-1)!
  const length = HEAD_WIDTHS * width + HEAD_LEAST
  const away = ([x, y]: [number, number]) => Math.hypot(x - tip[0], y - tip[1]) >= length
  const start = points.findLast(away) ?? points[0]!
  const angle = points.length > 1 ? Math.atan2(tip[1] - start[1], tip[0] - start[0]) : 0
  const wing = (turn: number): [number, number] => [
    tip[0] + length * Math.cos(angle + Math.PI + turn),
    tip[1] + length * Math.sin(angle + Math.PI + turn),
  ]
  return [wing(HEAD_ANGLE_RAD), tip, wing(-HEAD_ANGLE_RAD)]
}

/** How far arrow heads reach from their line at most. */
export function headReach(ends: Ends, width: number): number {
  return ends === 'none' ? 0 : HEAD_WIDTHS * width + HEAD_LEAST
}

/** The curve through the midpoints of the samples, as x, y, pressure one after the other. */
export function centreline(samples: Samples): number[] {
  const count = samples.length / 4
  const curve: number[] = []
  const push = (x: number, y: number, p: number) => curve.push(x, y, p)
  if (count < 3) {
    for (let i = 0; i < count; i++) push(samples[4 * i]!, samples[4 * i + 1]!, samples[4 * i + 2]!)
    return curve
  }
  push(samples[0]!, samples[1]!, samples[2]!)
  for (let i = 1; i < count - 1; i++) {
    const at = (index: number, axis: number) => samples[4 * index + axis]!
    const start = [0, 1, 2].map((axis) => (i === 1 ? at(0, axis) : (at(i - 1, axis) + at(i, axis)) / 2))
    const end = [0, 1, 2].map((axis) =>
      i === count - 2 ? at(count - 1, axis) : (at(i, axis) + at(i + 1, axis)) / 2,
    )
    const control = [at(i, 0), at(i, 1), at(i, 2)]
    const bend = Math.hypot(start[0]! - 2 * control[0]! + end[0]!, start[1]! - 2 * control[1]! + end[1]!)
    const pieces = Math.min(16, Math.max(1, Math.ceil(Math.sqrt(bend / (4 * FLATNESS)))))
    for (let piece = 1; piece <= pieces; piece++) {
      const t = piece / pieces
      const blend = (axis: number) =>
        (1 - t) ** 2 * start[axis]! + 2 * t * (1 - t) * control[axis]! + t ** 2 * end[axis]!
      push(blend(0), blend(1), blend(2))
    }
  }
  return curve
}

/** Polygons (x, y one after the other) that together cover the stroke under the non-zero rule. */
export function outline(nib: Nib, samples: Samples, width: number): number[][] {
  const curve = withoutRepeats(centreline(samples))
  const count = curve.length / 3
  const x = (i: number) => curve[3 * i]!
  const y = (i: number) => curve[3 * i + 1]!
  const radius = (i: number) => strokeWidth(nib, width, curve[3 * i + 2]!) / 2
  if (count === 1) return [disc(x(0), y(0), radius(0))]
  const forth: number[] = []
  const back: number[] = []
  const discs: number[][] = []
  let [firstX, firstY, lastX, lastY] = [0, 0, 0, 0]
  for (let i = 0; i < count; i++) {
    const before = direction(curve, Math.max(0, i - 1))
    const after = direction(curve, Math.min(count - 2, i))
    let [alongX, alongY] = [before[0] + after[0], before[1] + after[1]]
    let length = Math.hypot(alongX, alongY)
    if (length < 1e-6) [alongX, alongY, length] = [before[0], before[1], 1]
    const r = radius(i)
    const normalX = (alongY / length) * r
    const normalY = (-alongX / length) * r
    forth.push(x(i) + normalX, y(i) + normalY)
    back.push(x(i) - normalX, y(i) - normalY)
    if (i === 0) [firstX, firstY] = [-normalX, -normalY]
    if (i === count - 1) [lastX, lastY] = [normalX, normalY]
    if (before[0] * after[0] + before[1] * after[1] < 0.5) discs.push(disc(x(i), y(i), r))
  }
  const ribbon = forth
  pushCap(ribbon, x(count - 1), y(count - 1), lastX, lastY)
  for (let i = count - 1; i >= 0; i--) ribbon.push(back[2 * i]!, back[2 * i + 1]!)
  pushCap(ribbon, x(0), y(0), firstX, firstY)
  return [ribbon, ...discs]
}

function withoutRepeats(curve: number[]): number[] {
  const kept = curve.slice(0, 3)
  for (let i = 3; i < curve.length; i += 3) {
    // Beside the point before it, kept or not: the same rule as in Python.
    if (Math.hypot(curve[i]! - curve[i - 3]!, curve[i + 1]! - curve[i - 2]!) > 1e-6) {
      kept.push(curve[i]!, curve[i + 1]!, curve[i + 2]!)
    }
  }
  return kept
}

function direction(curve: number[], i: number): [number, number] {
  const dx = curve[3 * i + 3]! - curve[3 * i]!
  const dy = curve[3 * i + 4]! - curve[3 * i + 1]!
  const length = Math.hypot(dx, dy)
  return [dx / length, dy / length]
}

function pushCap(polygon: number[], cx: number, cy: number, startX: number, startY: number): void {
  for (let i = 1; i < CAP_POINTS; i++) {
    const angle = (i * Math.PI) / CAP_POINTS
    const [c, s] = [Math.cos(angle), Math.sin(angle)]
    polygon.push(cx + startX * c - startY * s, cy + startX * s + startY * c)
  }
}

function disc(cx: number, cy: number, radius: number): number[] {
  const polygon: number[] = []
  for (let i = 0; i < 2 * CAP_POINTS; i++) {
    const angle = (i * Math.PI) / CAP_POINTS
    polygon.push(cx + radius * Math.cos(angle), cy + radius * Math.sin(angle))
  }
  return polygon
}
