import { expect, test } from 'vitest'
import { numberOf, typedAs } from '../src/lesson/counted'

const { PI } = Math

test('numbers are understood as they are typed', () => {
  const meant: Record<string, number> = {
    '1.5': 1.5, '1,5': 1.5, '−2': -2, '–2': -2, ' - 2 ': -2, '+3': 3, '.5': 0.5, '1/2': 0.5,
    'π': PI, '-pi': -PI, '2π': 2 * PI, '2 * Pi': 2 * PI, '3π/2': 1.5 * PI, 'π/4': PI / 4, '90°': PI / 2,
  } // prettier-ignore
  for (const [typed, value] of Object.entries(meant)) expect(numberOf(typed), typed).toBeCloseTo(value, 12)
  expect(numberOf('180', 'degrees')).toBeCloseTo(PI, 12)
  expect(numberOf('2π', 'degrees')).toBeCloseTo(2 * PI, 12)
})

test('what is no number is none', () => {
  for (const typed of ['', '-', 'x', '1/0', '1..2', '2x', 'π π', '1e999', '°', '/2'])
    expect(numberOf(typed), typed).toBeNull()
})

test('a number is shown as it is counted, and understood again', () => {
  expect(typedAs(-1.5 * PI, 'pi')).toBe('−3π/2')
  expect(typedAs(PI, 'pi')).toBe('π')
  expect(typedAs(1, 'pi')).toBe('1')
  expect(typedAs(0, 'pi')).toBe('0')
  expect(typedAs(-PI, 'degrees')).toBe('−180°')
  expect(typedAs(2 * PI)).toBe('6.28319')
  expect(typedAs(-0.1, 'degrees')).toBe('−5.7296°')
  for (const counted of ['numbers', 'pi', 'degrees'] as const)
    for (const value of [0, -2.5, PI / 6, -2 * PI, 7, 1e3, -0.004])
      expect(numberOf(typedAs(value, counted), counted), `${value} ${counted}`).toBeCloseTo(value, 2)
})
