/** Numbers along a graph's axes as people type and read them: plain, in units of π, in degrees. */
import type { Counted } from '../wire/generated'

const NUMBER = /^([+-]?)(\d+(?:\.\d*)?|\.\d+)?(π)?(?:\/(\d+(?:\.\d*)?))?(°)?$/
/** Parts of π that are shown as such. */
const MOST_PARTS = 24
const DEGREE = Math.PI / 180

/** What is meant by 1.5, −2, 1/2, π/2, 2pi, 90°, or 90 where degrees are counted; null for what is no number. */
export function numberOf(typed: string, counted: Counted = 'numbers'): number | null {
  const plain = typed
    .replace(/[\s*·]/g, '')
    .replace(',', '.')
    .replace(/[−–]/g, '-')
    .replace(/pi/i, 'π')
  const found = NUMBER.exec(plain)
  if (!found) return null
  const [, sign, factor, pi, below = '1', degrees] = found
  if (!factor && !pi) return null
  const unit = pi ? Math.PI : degrees || counted === 'degrees' ? DEGREE : 1
  const value = ((sign === '-' ? -1 : 1) * Number(factor ?? 1) * unit) / Number(below)
  return Number.isFinite(value) ? value : null
}

/** A number as it is typed: so many digits of it at most, or as a part of π, or in degrees (five). */
export function typedAs(value: number, counted: Counted = 'numbers', digits = 6): string {
  if (counted === 'degrees') return `${typedAs(value / DEGREE, 'numbers', Math.min(digits, 5))}°`
  if (counted === 'pi' && value) {
    for (let below = 1; below <= MOST_PARTS; below++) {
      const above = Math.round((value / Math.PI) * below)
      if (above && Math.abs(value - (above * Math.PI) / below) < 10 ** (1 - digits))
        return `${above < 0 ? '−' : ''}${Math.abs(above) === 1 ? '' : Math.abs(above)}π${below === 1 ? '' : `/${below}`}`
    }
  }
  return String(+value.toPrecision(digits)).replace('-', '−')
}
