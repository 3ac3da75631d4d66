/** The lines of ruled paper in a part of a page; twin of sunroom/core/board/rulings.py. */
import type { Paper } from '../wire/generated'
import type { Box } from './box'

const MIDDLE = [480, 320] as const
const FINE = 5
const RAY_STEP_DEG = 15
const NUMBER_GAP = 6

export interface Rule {
  kind: 'line' | 'dot' | 'circle' | 'number'
  x: number
  y: number
  x1: number
  y1: number
  r: number
  text: string
  weight: 0 | 1 | 2
}

export function rules(ruling: Paper['ruling'], spacing: number, box: Box): Rule[] {
  switch (ruling) {
    case 'squares':
      return [...upright(box, spacing, 1), ...level(box, spacing, 1)]
    case 'dots':
      return steps(box.minY, box.maxY, spacing).flatMap((y) =>
        steps(box.minX, box.maxX, spacing).map((x) => rule('dot', x, y)),
      )
    case 'lines':
      return level(box, spacing, 1)
    case 'handwriting':
      return handwriting(box, spacing / 2)
    case 'graph':
      return graph(box, spacing)
    case 'isometric':
      return isometric(box, spacing)
    case 'polar':
      return polar(box, spacing)
    case 'plain':
      return []
  }
}

function rule(kind: Rule['kind'], x: number, y: number, more: Partial<Rule> = {}): Rule {
  return { kind, x, y, x1: 0, y1: 0, r: 0, text: '', weight: 1, ...more }
}

function nearest(value: number, step: number): number {
  return Math.floor(value / step + 0.5) * step
}

function steps(low: number, high: number, step: number): number[] {
  const first = Math.ceil(low / step)
  return Array.from(
    { length: Math.max(0, Math.floor(high / step) - first + 1) },
    (_, i) => (first + i) * step,
  )
}

function upright(box: Box, step: number, weight: Rule['weight']): Rule[] {
  return steps(box.minX, box.maxX, step).map((x) =>
    rule('line', x, box.minY, { x1: x, y1: box.maxY, weight }),
  )
}

function level(box: Box, step: number, weight: Rule['weight']): Rule[] {
  return steps(box.minY, box.maxY, step).map((y) => levelLine(box, y, weight))
}

function levelLine(box: Box, y: number, weight: Rule['weight']): Rule {
  return rule('line', box.minX, y, { x1: box.maxX, y1: y, weight })
}

function handwriting(box: Box, unit: number): Rule[] {
  return steps(box.minY - 4 * unit, box.maxY, 4 * unit).flatMap((top) =>
    ([0, 1, 2, 0] as const)
      .map((weight, line) => levelLine(box, top + line * unit, weight))
      .filter(({ y }) => y >= box.minY && y <= box.maxY),
  )
}

function graph(box: Box, spacing: number): Rule[] {
  const [x0, y0] = [nearest(MIDDLE[0], spacing), nearest(MIDDLE[1], spacing)]
  const label = (number: number) => String(number).replace('-', '−')
  const found: Rule[] = [
    ...upright(box, spacing / FINE, 0),
    ...level(box, spacing / FINE, 0),
    ...upright(box, spacing, 1),
    ...level(box, spacing, 1),
    levelLine(box, y0, 2),
    rule('line', x0, box.minY, { x1: x0, y1: box.maxY, weight: 2 }),
  ]
  for (const x of steps(box.minX, box.maxX, spacing)) {
    const number = Math.floor((x - x0) / spacing + 0.5)
    if (number) found.push(rule('number', x, y0 + NUMBER_GAP, { text: label(number) }))
  }
  for (const y of steps(box.minY, box.maxY, spacing)) {
    const number = Math.floor((y0 - y) / spacing + 0.5)
    if (number) found.push(rule('number', x0 - NUMBER_GAP, y, { x1: 1, text: label(number) }))
  }
  return found
}

function isometric(box: Box, spacing: number): Rule[] {
  const slope = Math.tan((30 * Math.PI) / 180)
  const across = spacing * Math.cos((30 * Math.PI) / 180)
  const found = upright(box, across, 1)
  const reach = slope * (box.maxX - box.minX)
  for (const way of [slope, -slope]) {
    const low = Math.min(box.minY - way * box.minX, box.minY - way * box.maxX)
    for (const start of steps(low, low + (box.maxY - box.minY) + reach, spacing)) {
      found.push(rule('line', box.minX, way * box.minX + start, { x1: box.maxX, y1: way * box.maxX + start }))
    }
  }
  return found
}

function polar(box: Box, spacing: number): Rule[] {
  const [x0, y0] = [nearest(MIDDLE[0], spacing), nearest(MIDDLE[1], spacing)]
  const corners = [box.minX, box.maxX].flatMap((x) => [box.minY, box.maxY].map((y) => [x, y] as const))
  const reach = Math.max(...corners.map(([x, y]) => Math.hypot(x - x0, y - y0)))
  const found = steps(spacing, reach, spacing).map((r) => rule('circle', x0, y0, { r }))
  for (let degrees = 0; degrees < 360; degrees += RAY_STEP_DEG) {
    const angle = (degrees * Math.PI) / 180
    const [x1, y1] = [x0 + reach * Math.cos(angle), y0 + reach * Math.sin(angle)]
    found.push(rule('line', x0, y0, { x1, y1, weight: degrees % 90 === 0 ? 2 : 1 }))
  }
  return found
}
