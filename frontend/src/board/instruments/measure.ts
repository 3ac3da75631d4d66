/** How lengths are measured on a paper: in what a square of it stands for, or in the paper's own centimetres. */
import type { Paper } from '../../wire/generated'

/** A centimetre in board units, which are 96 to the inch. */
const CM = 96 / 2.54

export interface Measure {
  /** One unit, and the finest mark that things are set to, in board units. */
  length: number
  mark: number
  unit: string
}

export function measureOf({ spacing, each, unit }: Paper): Measure {
  const length = unit ? spacing / each : CM
  return { length, mark: unit ? spacing / 10 : CM / 10, unit: unit || 'cm' }
}

/** A length in board units, as it is read: three digits, and at least those before the point. */
export function lengthText(length: number, { length: unit, unit: name }: Measure): string {
  const value = length / unit
  const digits = Math.max(0, Math.min(6, 2 - Math.floor(Math.log10(Math.max(Math.abs(value), 1e-9)))))
  return `${Number(value.toFixed(digits))} ${name}`
}
