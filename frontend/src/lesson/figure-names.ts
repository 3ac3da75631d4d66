/** What figures are called on screen. */
import type { FigureKind } from '../wire/generated'

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
  brace: 'Brace',
  axis: 'Axis',
  axes: 'Two axes',
  number_line: 'Number line',
  tick: 'Tick',
  cross: 'Cross',
}
