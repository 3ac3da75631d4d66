import fc from 'fast-check'
import { expect, test } from 'vitest'
import { head } from './stub'
import { alongPath, holdable, insideBox, insideLasso, topmost } from '../src/board/hit'
import { overlaps, union, type Box } from '../src/board/box'
import { Page } from '../src/board/page'
import { snap } from '../src/board/snap'
import { packSamples } from '../src/ink/samples'
import type { InkItem, Item, PictureItem } from '../src/wire/generated'

const COMMON = { z: 0, group: '', by: 'me', at_ms: 0, locked: false, pinned: false }

/** A level stroke of 40 units to the right of (x, y). */
function stroke(id: string, x: number, y: number, more: Partial<InkItem> = {}): InkItem {
  const look = { nib: 'pen', colour: '#16222b', width: 4, opacity: 1, ends: 'none' } as const
  const samples = packSamples([0, 0, 0.5, 0, 40, 0, 0.5, 9])
  return { kind: 'ink', id, x, y, map: [1, 0, 0, 1], ...COMMON, ...look, samples, ...more }
}

function picture(id: string, x: number, y: number, more: Partial<PictureItem> = {}): PictureItem {
  return {
    kind: 'picture',
    id,
    x,
    y,
    map: [1, 0, 0, 1],
    ...COMMON,
    width: 100,
    height: 60,
    ...more,
  } as PictureItem
}

function page(items: Item[], ruling = 'plain') {
  const first = head()
  const made = new Page({ ...first, paper: { ...first.paper, ruling } as typeof first.paper })
  made.load(items.map((item, at) => ({ ...item, z: item.z || at + 1 })))
  return made
}

const ids = (entries: { item: Item }[]) => entries.map(({ item }) => item.id).sort()

test('the topmost thing is met, a pinned one never, ink within its width and a finger’s slack', () => {
  const here = page([picture('under', 0, 0), stroke('ink', 20, 30), picture('sheet', 0, 0, { pinned: true })])
  expect(topmost(here, [30, 30], 2)?.item.id).toBe('ink')
  expect(topmost(here, [30, 31.9], 0)?.item.id).toBe('ink')
  expect(topmost(here, [30, 45], 2)?.item.id).toBe('under')
  expect(topmost(here, [150, 30], 2)).toBeUndefined()
  expect(topmost(page([stroke('ink', 20, 30)]), [30, 40], 2)).toBeUndefined()
  expect(topmost(page([stroke('ink', 20, 30)]), [30, 40], 9)?.item.id).toBe('ink')
})

test('an eraser meets what its way crosses, between its samples too', () => {
  const here = page([stroke('one', 0, 0), stroke('two', 0, 100), stroke('far', 200, 50)])
  expect(ids(alongPath(here, [20, -300], [20, 300], 1))).toEqual(['one', 'two'])
  expect(ids(alongPath(here, [60, 50], [190, 50], 5))).toEqual([])
  expect(ids(alongPath(here, [60, 50], [190, 50], 12))).toEqual(['far'])
})

test('a box takes what is wholly inside, a lasso what is mostly', () => {
  const here = page([stroke('in', 10, 10), stroke('half', 80, 10), stroke('out', 300, 10)])
  expect(ids(insideBox(here, { minX: 0, minY: 0, maxX: 100, maxY: 50 }))).toEqual(['in'])
  const lasso = (right: number): [number, number][] => [
    [0, 0],
    [right, 0],
    [right, 50],
    [0, 50],
  ]
  expect(ids(insideLasso(here, lasso(100)))).toEqual(['in'])
  expect(ids(insideLasso(here, lasso(130)))).toEqual(['half', 'in'])
})

test('a line holds on to pictures, not to ink', () => {
  const here = page([picture('held', 0, 0), stroke('ink', 200, 0)])
  expect(holdable(here, [50, 30], 4)).toBe('held')
  expect(holdable(here, [102, 30], 4)).toBe('held')
  expect(holdable(here, [110, 30], 4)).toBe('')
  expect(holdable(here, [210, 0], 4)).toBe('')
})

const number = fc.integer({ min: -500, max: 500 })
const box = fc
  .tuple(number, number, fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 300 }))
  .map(([minX, minY, wide, high]): Box => ({ minX, minY, maxX: minX + wide, maxY: minY + high }))

test('boxes together hold each of them, and those that overlap do so both ways', () => {
  fc.assert(
    fc.property(fc.array(box, { minLength: 1, maxLength: 6 }), (boxes) => {
      const all = union(boxes)!
      for (const one of boxes) {
        expect(overlaps(all, one)).toBe(true)
        expect(
          one.minX >= all.minX && one.maxX <= all.maxX && one.minY >= all.minY && one.maxY <= all.maxY,
        ).toBe(true)
        for (const other of boxes) expect(overlaps(one, other)).toBe(overlaps(other, one))
      }
    }),
  )
  expect(union([])).toBeNull()
})

test('what is moved is drawn to an edge or middle that is near, by no more than six px, and says where', () => {
  fc.assert(
    fc.property(
      box,
      fc.array(box, { maxLength: 5 }),
      number,
      number,
      fc.double({ min: 0.2, max: 5, noNaN: true }),
      (own, near, dx, dy, scale) => {
        const { dx: x, dy: y, guides } = snap(page([]), near, own, dx, dy, scale)
        expect(Math.abs(x - dx) * scale).toBeLessThanOrEqual(6)
        expect(Math.abs(y - dy) * scale).toBeLessThanOrEqual(6)
        for (const { level, at } of guides) {
          const [low, high, by] = level ? [own.minY, own.maxY, y] : [own.minX, own.maxX, x]
          const places = [low, (low + high) / 2, high].map((place) => Math.abs(place + by - at))
          expect(Math.min(...places)).toBeLessThan(1e-9)
        }
        if (!near.length) expect([x, y, guides]).toEqual([dx, dy, []])
      },
    ),
  )
})

test('with no thing near, the ruling of the paper catches', () => {
  const own = { minX: 0, minY: 0, maxX: 50, maxY: 20 }
  const ruled = page([], 'squares')
  expect(snap(ruled, [], own, 30, 3, 1)).toEqual({ dx: 32, dy: 0, guides: [] })
  expect(snap(page([]), [], own, 30, 3, 1)).toEqual({ dx: 30, dy: 3, guides: [] })
})
