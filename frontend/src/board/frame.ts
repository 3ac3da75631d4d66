/** The frame around what is chosen: its handles, and the map that dragging one of them means. */
import type { Affine } from '../wire/generated'
import type { Box } from './box'
import { about, type Point } from './place'

export const FRAME_MARGIN_PX = 8
const HANDLE_REACH_PX = 14
const TURN_ABOVE_PX = 30
const TURN_STEP_RAD = Math.PI / 180
const TURN_STEP_COARSE_RAD = Math.PI / 12
/** A thing is never dragged to less than this part of its size in one go. */
const LEAST_SCALE = 0.04

/** Which way a handle lies from the middle: -1, 0 or 1 for x and y. */
export interface Handle {
  kind: 'turn' | 'size'
  dx: -1 | 0 | 1
  dy: -1 | 0 | 1
}

const SIZES: Handle[] = (
  [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
    [0, -1],
    [1, 0],
    [0, 1],
    [-1, 0],
  ] as const
).map(([dx, dy]) => ({ kind: 'size', dx, dy }))
const TURN: Handle = { kind: 'turn', dx: 0, dy: -1 }

/** A side shorter than this on the screen has no handle in its middle: that is where the thing is grabbed. */
const LEAST_SIDE_PX = 44

/** The handles of a frame. */
export function handlesOf(box: Box, scale: number): Handle[] {
  const wide = (box.maxX - box.minX) * scale >= LEAST_SIDE_PX
  const high = (box.maxY - box.minY) * scale >= LEAST_SIDE_PX
  return [...SIZES.filter(({ dx, dy }) => (dx && dy) || (dx ? wide : high)), TURN]
}

/** Where a handle lies on the page. */
export function handlePlace(box: Box, { kind, dx, dy }: Handle, scale: number): Point {
  const margin = FRAME_MARGIN_PX / scale
  const x = (box.minX + box.maxX) / 2 + dx * ((box.maxX - box.minX) / 2 + margin)
  const y = (box.minY + box.maxY) / 2 + dy * ((box.maxY - box.minY) / 2 + margin)
  return [x, kind === 'turn' ? y - TURN_ABOVE_PX / scale : y]
}

export function handleAt(box: Box, [x, y]: Point, scale: number): Handle | undefined {
  return handlesOf(box, scale).find((handle) => {
    const [hx, hy] = handlePlace(box, handle, scale)
    return Math.hypot(hx - x, hy - y) * scale <= HANDLE_REACH_PX
  })
}

/**
 * The map of a drag from ``start`` to ``at`` by a handle. A corner keeps the proportions (``free``: it
 * does not), a side stretches, the turner turns by whole degrees (``free``: by 15).
 */
export function dragMap(box: Box, handle: Handle, start: Point, at: Point, free: boolean): Affine {
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  if (handle.kind === 'turn') {
    const turned = Math.atan2(at[1] - cy, at[0] - cx) - Math.atan2(start[1] - cy, start[0] - cx)
    const step = free ? TURN_STEP_COARSE_RAD : TURN_STEP_RAD
    return turnMap(cx, cy, Math.round(turned / step) * step)
  }
  const { dx, dy } = handle
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY]
  const grow = (moved: number, way: number, size: number) =>
    way === 0 || size < 1e-6 ? 1 : Math.max(LEAST_SCALE, 1 + (way * moved) / size)
  let sx = grow(at[0] - start[0], dx, width)
  let sy = grow(at[1] - start[1], dy, height)
  if (dx && dy && !free) {
    // The drag along the diagonal counts, so that the corner stays under the pointer.
    const diagonal = [dx * width, dy * height] as const
    const length2 = diagonal[0] ** 2 + diagonal[1] ** 2 || 1
    const along = ((at[0] - start[0]) * diagonal[0] + (at[1] - start[1]) * diagonal[1]) / length2
    sx = sy = Math.max(LEAST_SCALE, 1 + along)
  }
  const anchorX = dx < 0 ? box.maxX : dx > 0 ? box.minX : cx
  const anchorY = dy < 0 ? box.maxY : dy > 0 ? box.minY : cy
  return about(anchorX, anchorY, sx, 0, 0, sy)
}

export function turnMap(cx: number, cy: number, angle: number): Affine {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return about(cx, cy, c, s, -s, c)
}
