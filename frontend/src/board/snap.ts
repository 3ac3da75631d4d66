/** Catching a moved box at the edges and middles of others and at the page's ruling. */
import type { Box } from './box'
import type { Page } from './page'

export interface Guide {
  /** A level guide at y, or an upright one at x. */
  level: boolean
  at: number
}

export interface Snapped {
  dx: number
  dy: number
  guides: Guide[]
}

const CATCH_PX = 6
/** More things than this near by would catch everywhere. */
const MAX_OTHERS = 150

/** What things that move may be drawn to: the edges of others that are seen. ``ids`` are what moves. */
export function catchers(page: Page, ids: ReadonlySet<string>, seen: Box): Box[] {
  return page
    .at(seen)
    .filter((entry) => !ids.has(entry.item.id))
    .slice(0, MAX_OTHERS)
}

/** The move (dx, dy) of ``box``, drawn to whatever is near enough. */
export function snap(page: Page, near: Box[], box: Box, dx: number, dy: number, scale: number): Snapped {
  const spacing = page.head.paper.ruling === 'plain' ? 0 : page.head.paper.spacing
  const x = caught(
    box.minX + dx,
    box.maxX + dx,
    near.map((e) => [e.minX, e.maxX]),
    spacing,
    scale,
  )
  const y = caught(
    box.minY + dy,
    box.maxY + dy,
    near.map((e) => [e.minY, e.maxY]),
    spacing,
    scale,
  )
  const guides: Guide[] = []
  if (x.guide !== null) guides.push({ level: false, at: x.guide })
  if (y.guide !== null) guides.push({ level: true, at: y.guide })
  return { dx: dx + x.by, dy: dy + y.by, guides }
}

function caught(
  low: number,
  high: number,
  others: [number, number][],
  spacing: number,
  scale: number,
): { by: number; guide: number | null } {
  const own = [low, (low + high) / 2, high]
  let best: { by: number; guide: number | null } = { by: 0, guide: null }
  let least = CATCH_PX / scale
  for (const [a, b] of others) {
    for (const place of [a, (a + b) / 2, b]) {
      for (const edge of own) {
        if (Math.abs(place - edge) < least) {
          least = Math.abs(place - edge)
          best = { by: place - edge, guide: place }
        }
      }
    }
  }
  if (best.guide !== null || !spacing) return best
  for (const edge of [low, high]) {
    const line = Math.round(edge / spacing) * spacing
    if (Math.abs(line - edge) < least) {
      least = Math.abs(line - edge)
      best = { by: line - edge, guide: null }
    }
  }
  return best
}
