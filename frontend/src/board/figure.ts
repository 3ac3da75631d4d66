/** A figure while it is dragged out: the core's outline of it, stretched into the box. */
import { UNIT_FIGURES, type DrawFigure, type ShapeItem } from '../wire/generated'

const UNIT = 100

export function sketchOf(drawn: DrawFigure): ShapeItem {
  const outline = UNIT_FIGURES[drawn.figure]
  // A line runs from corner to corner; all else fills the box whichever way it was dragged.
  const directed = ['line', 'elbow', 'curve'].includes(drawn.figure)
  const x = directed ? drawn.x : Math.min(drawn.x, drawn.x + drawn.width)
  const y = directed ? drawn.y : Math.min(drawn.y, drawn.y + drawn.height)
  const width = directed ? drawn.width : Math.abs(drawn.width)
  const height = directed ? drawn.height : Math.abs(drawn.height)
  return {
    kind: 'shape',
    id: drawn.id,
    x,
    y,
    map: [1, 0, 0, 1],
    z: 0,
    group: '',
    by: '',
    at_ms: 0,
    locked: false,
    pinned: false,
    figure: drawn.figure,
    points: outline.points.map(([u, v]) => [(u * width) / UNIT, (v * height) / UNIT]),
    parts: outline.parts,
    closed: outline.closed,
    curved: outline.curved,
    colour: drawn.colour,
    width: drawn.line_width,
    fill: outline.closed ? drawn.fill : '',
    dash: drawn.dash,
    ends: outline.closed ? 'none' : drawn.ends,
    opacity: drawn.opacity,
    text: '',
    size: 22,
    lines: [],
    holds: drawn.holds,
    measured: [],
    measures: null,
    ink: [],
  }
}
