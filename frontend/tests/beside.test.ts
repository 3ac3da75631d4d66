import { expect, test } from 'vitest'
import { freeBeside, freeNear } from '../src/board/beside'
import type { Box } from '../src/board/box'
import type { Page } from '../src/board/page'

const of = { minX: 100, minY: 100, maxX: 300, maxY: 140 }
const box = (minX: number, minY: number, width: number, height: number): Box => ({
  ...{ minX, minY, maxX: minX + width, maxY: minY + height },
})

function page(things: Box[], sheet: Box | null = null, kind = sheet ? 'sheet' : 'endless'): Page {
  const entries = new Map([of, ...things].map((box, n) => [`${n}`, box]))
  return { entries, sheet, head: { paper: { kind } } } as unknown as Page
}

const put = (on: Page, side: 'below' | 'right' = 'below', size: [number, number] = [500, 400]) =>
  freeBeside(on, of, size, 20, side)

test('what is made of a thing stands beside it, where the paper is free', () => {
  expect(put(page([]))).toEqual([100, 160])
  expect(put(page([]), 'right')).toEqual([340, 100])
  // A line of words below: past it. A whole graph there: to the right, past that too.
  expect(put(page([box(100, 170, 300, 40)]))).toEqual([100, 230])
  expect(put(page([box(100, 170, 500, 400)]))).toEqual([640, 100])
})

test('what it lies on is no obstacle, and where all is full it stands there all the same', () => {
  expect(put(page([box(0, 0, 2000, 2000)]))).toEqual([100, 160])
  const crowd = Array.from({ length: 100 }, (_, n) => [
    box(100, 150 + 60 * n, 90, 40),
    box(310 + 60 * n, 90, 40, 90),
  ])
  expect(put(page(crowd.flat()))).toEqual([100, 160])
})

test('it stays on its sheet, and goes on down a roll', () => {
  const sheet = box(0, 0, 1000, 400)
  expect(put(page([], sheet), 'below', [500, 300])).toEqual([340, 100])
  expect(put(page([], sheet, 'roll'), 'below', [500, 300])).toEqual([100, 160])
  expect(put(page([], box(0, 0, 600, 1000)), 'right')).toEqual([100, 160])
})

test('what is brought in lies where it was to, or where the paper is free nearest to that', () => {
  const near = (things: Box[], sheet: Box | null = null) =>
    freeNear(page(things, sheet), [400, 400], [200, 100], 16)
  expect(near([])).toEqual([400, 400])
  expect(near([box(350, 350, 400, 60)])).toEqual([400, 426])
  expect(near([box(350, 390, 400, 600)])).toEqual([400, 274])
  expect(near([box(350, 0, 300, 2000)])).toEqual([666, 400])
  expect(near([box(390, 0, 1000, 2000)], box(390, 0, 1000, 2000))).toEqual([400, 400])
})
