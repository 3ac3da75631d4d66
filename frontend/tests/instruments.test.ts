import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { head, PAGE } from './stub'
import { InstrumentGesture } from '../src/gestures/instrument-gesture'
import type { Canvas } from '../src/gestures/canvas'
import { DEGREE, FORMS, hingeOf, onArc, type Part } from '../src/board/instruments/forms'
import { Instrument, type Grabbed } from '../src/board/instruments/instrument.svelte'
import { Instruments } from '../src/board/instruments/instruments.svelte'
import { lengthText, measureOf } from '../src/board/instruments/measure'
import type { Point } from '../src/board/place'
import type { InstrumentKind, Lay } from '../src/wire/generated'

const KINDS = Object.keys(FORMS) as InstrumentKind[]
const MARK = measureOf(head().paper).mark
const nothing = () => null
const place = fc.tuple(fc.double({ min: -900, max: 900, noNaN: true }), fc.double({ min: -900, max: 900, noNaN: true })) // prettier-ignore
const turned = fc.integer({ min: -180, max: 180 })
const near = (a: Point, b: Point, digits = 6) => {
  expect(a[0]).toBeCloseTo(b[0], digits)
  expect(a[1]).toBeCloseTo(b[1], digits)
}

function laid(kind: InstrumentKind, degrees = 0): Instrument {
  const one = new Instrument(kind, [300, 200], 1000)
  one.turn(degrees)
  return one
}

function drag(one: Instrument, part: Part, from: Point, to: Point, coarse = false): void {
  const grabbed: Grabbed = { at: from, ...one.lying }
  one.drag(part, grabbed, to, coarse, MARK, nothing)
}

describe('an instrument', () => {
  test.each(KINDS)('%s: a place in its own space is the same place on the page', (kind) => {
    fc.assert(
      fc.property(place, turned, (at, degrees) => {
        const one = laid(kind, degrees)
        near(one.out(one.own(at)), at)
      }),
    )
  })

  test.each(KINDS)('%s is gripped by its body and by its grips, and its edges are the pen’s', (kind) => {
    const one = laid(kind, 25)
    for (const { part, at } of one.form.grips(one.lying, 1)) expect(one.partAt(one.out(at), 1)).toBe(part)
    const [edge] = one.form.edges(one.lying, 1, MARK)
    const onEdge: Point =
      edge!.kind === 'line'
        ? [0.3 * edge!.from[0] + 0.7 * edge!.to[0], 0.3 * edge!.from[1] + 0.7 * edge!.to[1]]
        : (edge!.begins ?? [edge!.radius, 0])
    expect(one.partAt(one.out(onEdge), 1)).toBeNull()
    expect(one.begin(one.out(onEdge), 1, MARK)).toBe(true)
    expect(one.begin(one.out([onEdge[0] + 900, onEdge[1] + 900]), 1, MARK)).toBe(false)
  })

  test('is moved with its hand, and turns about its pivot by whole degrees', () => {
    const one = laid('ruler')
    drag(one, 'body', [310, 210], [350, 190])
    expect([one.x, one.y]).toEqual([340, 180])
    fc.assert(
      fc.property(place, place, fc.boolean(), (from, to, coarse) => {
        const other = laid('square_60', 10)
        drag(other, 'turn', from, to, coarse)
        const degrees = other.angle / DEGREE
        const step = coarse ? 15 : 1
        expect(degrees / step).toBeCloseTo(Math.round(degrees / step), 6)
        expect(Math.abs(degrees)).toBeLessThanOrEqual(180 + 1e-9)
      }),
    )
  })

  test('with a needle is set on a point of the page that is near; a ruler is not', () => {
    const corner: Point = [400, 260]
    for (const [kind, at] of [
      ['compasses', corner],
      ['ruler', [397, 258]],
    ] as const) {
      const one = laid(kind)
      one.drag('body', { at: [one.x, one.y], ...one.lying }, [397, 258], false, MARK, () => corner)
      expect([one.x, one.y]).toEqual(at)
    }
  })

  test('opens by marks and by whole degrees, no further than it goes', () => {
    fc.assert(
      fc.property(place, fc.boolean(), turned, (to, coarse, degrees) => {
        const [compasses, protractor] = [laid('compasses', degrees), laid('protractor', degrees)]
        drag(compasses, 'open', [0, 0], to, coarse)
        const { least, most } = compasses.form
        expect(compasses.size).toBeGreaterThanOrEqual(least)
        expect(compasses.size).toBeLessThanOrEqual(most)
        const marks = compasses.size / MARK
        if (compasses.size > least) expect(marks).toBeCloseTo(Math.round(marks), 6)
        expect(Number.isFinite(hingeOf(compasses.lying)[1])).toBe(true)
        drag(protractor, 'open', [0, 0], to, coarse)
        expect(protractor.arm).toBeGreaterThanOrEqual(0)
        expect(protractor.arm).toBeLessThanOrEqual(180)
        expect(protractor.arm).toBeCloseTo(Math.round(protractor.arm), 6)
      }),
    )
  })

  test('whose arm is pulled to some degrees shows them', () => {
    const one = laid('protractor', 30)
    for (const degrees of [0, 37, 90, 152, 180]) {
      drag(one, 'open', [0, 0], one.out(onArc(one.size, degrees)))
      expect(one.arm).toBe(degrees)
    }
  })
})

describe('ink along an edge', () => {
  test('stays on it, however the hand strays', () => {
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 20 }), turned, (hand, degrees) => {
        const one = laid('ruler', degrees)
        const [, lower] = one.form.edges(one.lying, 1, MARK)
        const start = one.out([0, (lower as { from: Point }).from[1] + 5])
        one.begin(start, 1, MARK)
        for (const at of [start, ...hand])
          for (const on of one.guide(at, 1, null))
            expect(one.own(on)[1]).toBeCloseTo((lower as { from: Point }).from[1], 6)
      }),
    )
  })

  test('begins and ends at a mark that is near, or at a point of the page', () => {
    const one = laid('ruler')
    const y = (one.form.edges(one.lying, 1, 20)[1] as { from: Point }).from[1]
    const left = -one.size / 2
    const at = one.out([left + 43, y + 3])
    one.begin(at, 1, 20)
    expect(one.own(one.guide(at, 1, nothing)[0]!)[0]).toBeCloseTo(left + 40, 6)
    expect(one.own(one.guide(at, 1, null)[0]!)[0]).toBeCloseTo(left + 43, 6)
    const corner = one.out([left + 48, y + 6])
    expect(one.own(one.guide(at, 1, () => corner)[0]!)[0]).toBeCloseTo(left + 48, 6)
  })

  test('of compasses is an arc about the needle, in short steps, and says how far it went', () => {
    const one = laid('compasses')
    const { size } = one
    one.begin(one.out([size, 0]), 1, MARK)
    let last = one.out([size, 0])
    for (let degrees = 0; degrees <= 400; degrees += 40) {
      const hand: Point = [one.x + 2 * size * Math.cos(-degrees * DEGREE), one.y + 2 * size * Math.sin(-degrees * DEGREE)] // prettier-ignore
      for (const at of one.guide(hand, 1, null)) {
        expect(Math.hypot(at[0] - one.x, at[1] - one.y)).toBeCloseTo(size, 6)
        expect(Math.hypot(at[0] - last[0], at[1] - last[1])).toBeLessThan(3.1 * DEGREE * size)
        last = at
      }
    }
    expect(one.swept).toBeCloseTo(400, 6)
    one.release()
    expect(one.swept).toBeNull()
  })
})

describe('what lies on the board', () => {
  let shared: Omit<Lay, 'type'>[]
  let instruments: Instruments

  beforeEach(() => {
    vi.useFakeTimers()
    shared = []
    instruments = new Instruments((lay) => void shared.push(lay))
    instruments.onPage(PAGE)
  })
  afterEach(() => void vi.useRealTimers())

  test('is told to the others a few times a second, and as gone once it is taken away', () => {
    instruments.toggle('ruler', [0, 0], 1000)
    for (let move = 0; move < 30; move++) {
      instruments.inHand!.move(1, 0)
      instruments.changed()
      vi.advanceTimersByTime(8)
    }
    vi.advanceTimersByTime(100)
    expect(shared.length).toBeLessThan(7)
    expect(shared.at(-1)!.instruments[0]).toMatchObject({ kind: 'ruler', x: 30 })
    instruments.toggle('ruler', [0, 0], 1000)
    vi.advanceTimersByTime(100)
    expect(shared.at(-1)).toEqual({ page: PAGE, instruments: [] })
  })

  test('is gripped where it lies uppermost, and what was gripped comes to lie there', () => {
    instruments.toggle('square_45', [0, 0], 1000)
    instruments.toggle('ruler', [0, 0], 1000)
    const square = instruments.laid[0]!
    const under = square.out([0.2 * square.size, -0.2 * square.size])
    expect(instruments.partAt(under, 1)!.instrument).toBe(square)
    instruments.take(square)
    expect(instruments.inHand).toBe(square)
    expect(instruments.partAt([5_000, 0], 1)).toBeNull()
  })

  test('lies again as it was when a drag of it is given up, as far open too', () => {
    for (const part of ['body', 'turn', 'open'] as const) {
      const one = laid('compasses', 20)
      const before = one.lying
      const canvas = { instruments, measure: { mark: MARK }, view: { scale: 1 }, session: { pages: {} } }
      const gesture = new InstrumentGesture(canvas as unknown as Canvas, { instrument: one, part })
      gesture.down([300, 200])
      gesture.move([640, 90], { shiftKey: false } as PointerEvent)
      expect(one.lying).not.toEqual(before)
      gesture.cancel()
      expect(one.lying).toEqual(before)
    }
  })
})

test('lengths are read in the paper’s own centimetres, or in what a square stands for', () => {
  const paper = head().paper
  expect(lengthText((96 / 2.54) * 5, measureOf(paper))).toBe('5 cm')
  expect(lengthText(80, measureOf({ ...paper, spacing: 32, each: 2, unit: 'm' } as never))).toBe('5 m')
  expect(lengthText((96 / 2.54) * 12.345, measureOf(paper))).toBe('12.3 cm')
  expect(lengthText((96 / 2.54) * 0.01234, measureOf(paper))).toBe('0.0123 cm')
})
