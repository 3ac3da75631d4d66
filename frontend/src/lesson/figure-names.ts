/** What figures are called on screen. */
import type { Figure, FigureKind } from '../wire/generated'

export const FIGURE_NAMES: Record<FigureKind, string> = {
  line: 'Line',
  elbow: 'Elbow',
  curve: 'Curve',
  rectangle: 'Rectangle',
  square: 'Square',
  rounded: 'Rounded',
  ellipse: 'Ellipse',
  circle: 'Circle',
  arc: 'Arc',
  triangle: 'Triangle',
  right_triangle: 'Right triangle',
  parallelogram: 'Parallelogram',
  rhombus: 'Rhombus',
  trapezium: 'Trapezium',
  pentagon: 'Pentagon',
  hexagon: 'Hexagon',
  polygon: 'Polygon',
  star: 'Star',
  heart: 'Heart',
  brace: 'Brace',
  axis: 'Axis',
  axes: 'Two axes',
  number_line: 'Number line',
  tick: 'Tick',
  cross: 'Cross',
  polyline: 'Polyline',
}

/** What a found figure is called: by its kind, which an arrow's drawing does not tell, and a triangle's form. */
export function nameOf({ kind, form }: Figure): string {
  if (kind === 'arrow') return 'arrow'
  if (kind === 'double_arrow') return 'double arrow'
  if (form === 'same-size') return `${FIGURE_NAMES[kind].toLowerCase()}, size as its neighbour`
  return `${form ?? ''} ${FIGURE_NAMES[kind].toLowerCase()}`.trim()
}
