/** The making of a page, played: at any place in time it is the page after the steps that had come by then. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { Making } from '../src/board/making'
import { Page, type ItemStep } from '../src/board/page'
import { packSamples, samplesOf } from '../src/ink/samples'
import type { InkItem, Item, Logged, Step } from '../src/wire/generated'

const PAGE = 'page-one'
const HEAD = {
  id: PAGE,
  title: '',
  paper: { kind: 'endless', ruling: 'plain', width: 0, height: 0, spacing: 32, colour: '', picture: '' },
} as unknown as Page['head']
const WRITING_MS = 400

function stroke(id: string, z: number): InkItem {
  const look = { nib: 'pen', colour: '#16222b', width: 3, opacity: 1, ends: 'none' } as const
  const own = { z, group: '', by: 'me', at_ms: 0, locked: false, pinned: false }
  const samples = packSamples([0, 0, 0.5, 0, 20, 0, 0.5, WRITING_MS / 2, 40, 0, 0.5, WRITING_MS])
  return { kind: 'ink', id, x: z, y: 0, map: [1, 0, 0, 1], ...own, ...look, samples }
}

/** Any making: strokes come, move and go, at any pace. */
const logs = fc
  .array(fc.tuple(fc.nat(3), fc.nat(9), fc.nat(20_000)), { minLength: 1, maxLength: 60 })
  .map((rows) => {
    let at_ms = 1_000
    return rows.map(([kind, number, gap], i): Logged => {
      at_ms += gap
      const ids = [`stroke-${number}`]
      const steps: Step[] = [
        { step: 'add_items', page: PAGE, items: [stroke(ids[0]!, i + 1)] },
        { step: 'add_items', page: PAGE, items: [stroke(`other-${i}`, i + 1), stroke(`more-${i}`, i + 1)] },
        { step: 'move_items', page: PAGE, ids, dx: 5, dy: 1 },
        { step: 'remove_items', page: PAGE, ids },
      ]
      return { seq: i + 1, id: `s${i}`, by: 'me', at_ms, how: 'do', of: 0, step: steps[kind]! }
    })
  })

function after(log: Logged[], count: number): Item[] {
  const page = new Page(HEAD)
  for (const { step } of log.slice(0, count)) page.apply(step as ItemStep, [])
  return items(page)
}

function items(page: Page): Item[] {
  return [...page.entries.values()].map(({ item }) => item).sort((a, b) => (a.id < b.id ? -1 : 1))
}

describe('the making of a page', () => {
  test('with pauses shortened or not the same moment shows the same', () => {
    fc.assert(
      fc.property(logs, fc.double({ min: 0, max: 1, noNaN: true }), (log, place) => {
        const making = new Making(HEAD)
        making.add(log)
        const ms = place * making.length(false)
        const there = making.sameMoment(ms, false)
        expect(making.stepAt(there, true)).toBe(making.stepAt(ms, false))
        expect(making.growing(there, true)?.samples).toEqual(making.growing(ms, false)?.samples)
        const back = making.sameMoment(place * making.length(true), true)
        expect(making.stepAt(back, false)).toBeGreaterThanOrEqual(
          making.stepAt(place * making.length(true), true),
        )
      }),
    )
  })

  test('any way through it shows at each place what had come by then', () => {
    fc.assert(
      fc.property(
        logs,
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 12 }),
        fc.boolean(),
        (log, places, short) => {
          const making = new Making(HEAD)
          making.add(log.slice(0, 7))
          making.add(log.slice(7))
          expect(items(making.whole)).toEqual(after(log, log.length))
          for (const place of [...places, 1]) {
            const step = making.stepAt(place * making.length(short), short)
            making.seek(step)
            expect(items(making.page)).toEqual(after(log, step))
          }
          expect(making.stepAt(making.length(short), short)).toBe(log.length)
          expect(making.length(true)).toBeLessThanOrEqual(making.length(false) + 40 * log.length)
        },
      ),
      { numRuns: 60 },
    )
  })

  test('by the time of day each step comes when it was taken, also after a clock that was put back', () => {
    fc.assert(
      fc.property(logs, fc.nat(90_000), (log, back) => {
        const making = new Making(HEAD)
        const [first, ...rest] = log
        making.add([{ ...first!, at_ms: first!.at_ms + back }, ...rest])
        for (const [i, { at_ms }] of rest.entries()) {
          if (at_ms < first!.at_ms + back) continue
          const came = making.stepAt(making.clockAt(at_ms), false)
          expect(came).toBeGreaterThanOrEqual(i + 2)
          expect(log.slice(0, came).every((step) => step.at_ms <= at_ms || step === first)).toBe(true)
        }
      }),
      { numRuns: 60 },
    )
  })

  test('only what comes on top is told as such', () => {
    const making = new Making(HEAD)
    const log = [stroke('a', 1), stroke('b', 2)].map((item, i): Logged => ({
      seq: i + 1,
      id: `s${i}`,
      by: 'me',
      at_ms: 1_000 * i,
      how: 'do',
      of: 0,
      step: { step: 'add_items', page: PAGE, items: [item] },
    }))
    log.push({ ...log[0]!, seq: 3, id: 's2', step: { step: 'remove_items', page: PAGE, ids: ['a'] } })
    making.add(log)
    expect(making.goOn(2)?.map(({ id }) => id)).toEqual(['a', 'b'])
    expect(making.goOn(3)).toBeNull()
  })

  test('a stroke grows while it is written', () => {
    const making = new Making(HEAD)
    const step: Step = { step: 'add_items', page: PAGE, items: [stroke('a', 1)] }
    making.add([{ seq: 1, id: 's', by: 'me', at_ms: 0, how: 'do', of: 0, step }])
    expect(making.growing(0, true)).toBeNull()
    expect(samplesOf(making.growing(WRITING_MS * 0.6, true)!).length).toBe(8)
    expect(making.growing(WRITING_MS, true)).toBeNull()
  })
})
