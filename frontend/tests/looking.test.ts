import fc from 'fast-check'
import { beforeEach, expect, test, vi } from 'vitest'
import { head } from './stub'
import { Page } from '../src/board/page'
import { Looking } from '../src/gestures/looking.svelte'
import { placeOf } from '../src/lesson/places'
import type { Session } from '../src/lesson/session.svelte'
import type { Paper } from '../src/wire/generated'

type Held = { box: [number, number, number, number] } | null

let held: Held
let chosen: { minX: number; minY: number; maxX: number; maxY: number } | null
let bay: string
let drawn: number

function looking(board = 'board-1') {
  const session = {
    boardId: board,
    attention: {
      moved: () => {},
      get held() {
        return held
      },
    },
    selection: { box: () => chosen },
    pages: {
      get bay() {
        return bay
      },
      set bay(id: string) {
        bay = id
      },
    },
  }
  return new Looking(session as unknown as Session, () => drawn++)
}

function page(paper: Partial<Paper> = {}, more: object = {}) {
  const first = head()
  const made = new Page({ ...first, ...more, paper: { ...first.paper, ...paper } })
  made.loaded = true
  return made
}

const at = ({ view: { scale, left, top } }: Looking) => ({ scale, left, top })
const px = fc.integer({ min: -3000, max: 3000 })
const moves = fc.array(
  fc.oneof(
    fc.record({ dx: px, dy: px }),
    fc.record({ factor: fc.double({ min: 0.2, max: 5, noNaN: true }), x: px, y: px }),
  ),
  { maxLength: 30 },
)

function move(seen: Looking, all: ({ dx: number; dy: number } | { factor: number; x: number; y: number })[]) {
  for (const one of all)
    if ('dx' in one) seen.pan(one.dx, one.dy)
    else seen.zoom(one.factor, one.x, one.y)
}

beforeEach(() => {
  ;[held, chosen, bay, drawn] = [null, null, '', 0]
})

test('a sheet is never lost, however it is moved', () => {
  fc.assert(
    fc.property(moves, (all) => {
      const seen = looking()
      const sheet = page({ kind: 'sheet', width: 900, height: 600 })
      seen.turnTo(sheet)
      move(seen, all)
      const { minX, minY, maxX, maxY } = seen.view.box()
      expect(Math.min(maxX, 900) - Math.max(minX, 0)).toBeGreaterThan(0)
      expect(Math.min(maxY, 600) - Math.max(minY, 0)).toBeGreaterThan(0)
    }),
  )
})

test('who is kept at a view sees no more than that, and nothing beside it', () => {
  held = { box: [100, 100, 500, 400] }
  fc.assert(
    fc.property(moves, (all) => {
      const seen = looking()
      seen.turnTo(page())
      seen.lead(held!.box)
      const whole = seen.view.scale
      move(seen, [...all, { dx: 0, dy: 0 }])
      expect(seen.view.scale).toBeGreaterThanOrEqual(whole - 1e-9)
      expect(seen.view.scale).toBeLessThanOrEqual(3 * whole + 1e-9)
      const [x, y] = seen.middle()
      expect(x).toBeGreaterThanOrEqual(99)
      expect(x).toBeLessThanOrEqual(501)
      expect(y).toBeGreaterThanOrEqual(99)
      expect(y).toBeLessThanOrEqual(401)
    }),
  )
})

test('after a jump one gets back to where one was, and again to where one jumped', () => {
  const seen = looking()
  seen.turnTo(page())
  move(seen, [
    { dx: -40, dy: 25 },
    { factor: 1.5, x: 300, y: 200 },
  ])
  const here = at(seen)
  chosen = { minX: 700, minY: 700, maxX: 720, maxY: 710 }
  seen.fitSelection()
  const there = at(seen)
  expect(there).not.toEqual(here)
  expect([seen.canGoBack, there.scale]).toEqual([true, 4])
  seen.goBack()
  expect(at(seen)).toEqual(here)
  seen.goBack()
  expect(at(seen)).toEqual(there)
})

test('with nothing chosen, no bay and no page nothing moves', () => {
  const seen = looking()
  const before = at(seen)
  seen.fitSelection()
  seen.fitPage()
  seen.fitWidth()
  seen.nextBay(1)
  seen.zoomTo(Number.NaN)
  seen.goBack()
  expect(at(seen)).toEqual(before)
  expect(drawn).toBe(0)
})

test('each page is looked at where it was left, in this tab and after a reload', () => {
  vi.useFakeTimers()
  const [one, two] = [page(), page({}, { id: 'page-two' })]
  const seen = looking('board-reloaded')
  seen.turnTo(one)
  seen.pan(-120, 30)
  seen.rememberSoon()
  const left = at(seen)
  vi.advanceTimersByTime(1_000)
  seen.turnTo(two)
  expect(seen.view.whole).toBe(true)
  seen.turnTo(one)
  expect(at(seen)).toEqual(left)
  expect(placeOf('board-reloaded', 'page-one')).toMatchObject(left)
  const again = looking('board-reloaded')
  again.turnTo(page())
  expect(at(again)).toEqual(left)
  vi.useRealTimers()
})

test('a page seen whole is fitted anew when its paper changes, one that was moved is not', () => {
  const seen = looking('board-papers')
  seen.turnTo(page({ kind: 'sheet', width: 400, height: 300 }))
  const wide = at(seen)
  seen.turnTo(page({ kind: 'sheet', width: 4000, height: 300 }, { id: 'page-wide' }))
  expect(seen.view.scale).toBeLessThan(wide.scale)
  seen.pan(5, 5)
  const moved = at(seen)
  seen.pageChanged()
  expect(at(seen)).toEqual(moved)
})

test('what is made comes into sight, and nothing moves for what is seen', () => {
  const seen = looking('board-made')
  seen.turnTo(page())
  seen.zoomTo(1)
  const [minX, minY, maxX, maxY] = seen.seen()
  const still = at(seen)
  seen.reach({ minX, minY, maxX, maxY: minY + 1 })
  seen.reach({ minX: minX - 9, minY: minY + 9, maxX: maxX + 9, maxY: minY + 20 })
  expect(at(seen)).toEqual(still)
  seen.reach({ minX: minX - 20, minY: maxY - 50, maxX: minX + 80, maxY: maxY + 150 })
  expect(at(seen).scale).toBe(still.scale)
  const now = seen.seen()
  expect(now[0]).toBeCloseTo(minX - 52)
  expect(now[3]).toBeCloseTo(maxY + 182)
  // Too tall for the window: from its top.
  seen.reach({ minX: now[0] + 60, minY: now[3] + 40, maxX: now[0] + 90, maxY: now[3] + 5000 })
  expect(seen.seen()[1]).toBeCloseTo(now[3] + 8)
  seen.goBack()
  expect(seen.seen()[1]).toBeCloseTo(now[1])
})

test('bays come one after the other, and round again', () => {
  const bays = ['bay-1111', 'bay-2222'].map((id, n) => ({
    id,
    title: '',
    x: 1000 * n,
    y: 0,
    width: 300,
    height: 200,
    writers: 'lesson',
    desk_of: '',
  }))
  const seen = looking('board-bays')
  seen.turnTo(page({}, { bays }))
  const been: string[] = []
  for (const step of [1, 1, 1, -1]) {
    seen.nextBay(step)
    been.push(bay)
    const [x] = seen.middle()
    expect(x).toBeCloseTo(bay === 'bay-1111' ? 150 : 1150)
  }
  expect(been).toEqual(['bay-1111', 'bay-2222', 'bay-1111', 'bay-2222'])
})
