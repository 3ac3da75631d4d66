/** What figures are called on screen. */
import type { Figure, FigureKind } from '../wire/generated'
import { t, type Plain } from '../words/words.svelte'

export const FIGURE_NAMES: Record<FigureKind, Plain> = {
  line: 'figure-line',
  elbow: 'figure-elbow',
  curve: 'figure-curve',
  rectangle: 'figure-rectangle',
  square: 'figure-square',
  rounded: 'figure-rounded',
  ellipse: 'figure-ellipse',
  circle: 'figure-circle',
  arc: 'figure-arc',
  triangle: 'figure-triangle',
  right_triangle: 'figure-right-triangle',
  parallelogram: 'figure-parallelogram',
  rhombus: 'figure-rhombus',
  trapezium: 'figure-trapezium',
  pentagon: 'figure-pentagon',
  hexagon: 'figure-hexagon',
  polygon: 'figure-polygon',
  star: 'figure-star',
  heart: 'figure-heart',
  brace: 'figure-brace',
  axis: 'figure-axis',
  axes: 'figure-axes',
  number_line: 'figure-number-line',
  tick: 'figure-tick',
  cross: 'figure-cross',
  polyline: 'figure-polyline',
}

/** What a found figure is called: by its kind, which an arrow's drawing does not tell, and a triangle's form. */
export function nameOf({ kind, form }: Figure): string {
  if (kind === 'arrow') return t('found-arrow')
  if (kind === 'double_arrow') return t('found-double-arrow')
  if (form === 'same-size') return t('found-same-size', { figure: t(FIGURE_NAMES[kind]) })
  return form ? t('found-triangle', { form }) : t(FIGURE_NAMES[kind])
}
