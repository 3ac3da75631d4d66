/** A figure's outline as points on the page, for hit tests only. */
import type { ShapeItem } from '../wire/generated'

const PIECES = 8

export function outlinePoints(item: ShapeItem): [number, number][] {
  const at = (i: number): [number, number] => [item.x + item.points[i]![0], item.y + item.points[i]![1]]
  const points: [number, number][] = [at(0)]
  if (!item.curved) {
    for (let i = 1; i < item.points.length; i++) points.push(at(i))
    if (item.closed) points.push(at(0))
    return points
  }
  for (let i = 1; i + 2 < item.points.length; i += 3) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    for (let piece = 1; piece <= PIECES; piece++) {
      const t = piece / PIECES
      const blend = (axis: 0 | 1) =>
        (1 - t) ** 3 * a[axis] +
        3 * t * (1 - t) ** 2 * b[axis] +
        3 * t * t * (1 - t) * c[axis] +
        t ** 3 * d[axis]
      points.push([blend(0), blend(1)])
    }
  }
  return points
}
