import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { FakeSocket } from './stub'
import { inksOf, Surface } from './surface'
import type { Readings, Request } from '../src/wire/generated'

let on: Surface
let seq = 0

const reads = () => on.sent().flatMap((message) => (message.type === 'read' ? [message] : []))
const typesets = () => on.asked().flatMap((step) => (step.step === 'typeset' ? [step] : []))
const answer = (ref: number, more: Partial<Readings> = {}) =>
  FakeSocket.last.hear({
    ...{ type: 'readings', ref, lines: [], figures: [], formulas: [], sketch: [], problem: null },
    ...{ readings: [{ text: 'noon' }], unasked: 'typeset', ...more },
  })
const landing = (id: string, step: Request) =>
  FakeSocket.last.hear({
    type: 'frame',
    steps: [{ seq: ++seq, id, by: 'seat-a', at_ms: 0, how: 'do', of: 0, step }],
  })

/** Write a stroke, and let it land. */
function write(x: number): string {
  on.stroke([[x, 0], [x, 40]]) // prettier-ignore
  return land()
}

function land(): string {
  const { id, request } = on.sent().findLast((message) => message.type === 'do')!
  landing(id, request)
  return inksOf([request]).at(-1)!.id
}

beforeEach(() => {
  on = new Surface([])
  seq = 0
  on.session.tools.tool = 'pen'
  on.session.asYouGo.set('always')
})

afterEach(() => {
  on.session.asYouGo.set('off')
  on.close()
})

test('after a pause what was written is asked about, all strokes at once', () => {
  const ids = [write(0), write(20)]
  vi.advanceTimersByTime(1_000)
  ids.push(write(40))
  vi.advanceTimersByTime(1_200)
  expect(reads()).toEqual([])
  vi.advanceTimersByTime(200)
  expect(reads().map((read) => [read.ids, read.unasked])).toEqual([[ids, true]])
})

test('what is sure is set; what is not is offered', () => {
  const id = write(0)
  vi.advanceTimersByTime(1_400)
  answer(reads()[0]!.ref, { unasked: '' })
  expect([typesets(), on.session.asYouGo.offer!.ids]).toEqual([[], [id]])
  on.session.asYouGo.drop()
  const next = write(100)
  vi.advanceTimersByTime(1_400)
  answer(reads()[1]!.ref)
  expect(typesets()).toMatchObject([{ ids: [next], text: 'noon' }])
  expect(on.session.asYouGo.offer).toBeNull()
})

test('an offer is only made where it is wished to be', () => {
  on.session.asYouGo.set('offer')
  write(0)
  vi.advanceTimersByTime(1_400)
  answer(reads()[0]!.ref)
  expect([typesets(), on.session.asYouGo.offer === null]).toEqual([[], false])
  on.session.asYouGo.set('off')
  write(60)
  vi.advanceTimersByTime(5_000)
  expect([reads().length, on.session.asYouGo.offer]).toEqual([1, null])
})

test('a word that goes on before the answer comes is not set by half: all of it is asked about', () => {
  const ids = [write(0)]
  vi.advanceTimersByTime(1_400)
  ids.push(write(20))
  answer(reads()[0]!.ref)
  expect([typesets(), on.session.asYouGo.offer]).toEqual([[], null])
  vi.advanceTimersByTime(1_400)
  expect(reads()[1]!.ids).toEqual(ids)
  answer(reads()[1]!.ref)
  expect(typesets()).toMatchObject([{ ids }])
})

test('nothing is asked or set while the pen is on the paper', () => {
  const ids = [write(0)]
  on.point('down', [30, 0])
  vi.advanceTimersByTime(3_000)
  expect(reads()).toEqual([])
  on.point('up', [30, 30], { pressure: 0 })
  ids.push(land())
  vi.advanceTimersByTime(1_400)
  on.point('down', [60, 0])
  answer(reads()[0]!.ref)
  expect(typesets()).toEqual([])
  // A stroke that is given up is as if it had not been.
  on.gestures.giveUp()
  vi.advanceTimersByTime(1_400)
  expect(reads()[1]!.ids).toEqual(ids)
})

test('strokes that were taken off meanwhile are not asked about', () => {
  const [gone, stays] = [write(0), write(20)]
  landing('removal-1', { step: 'remove_items', page: on.session.pages.id, ids: [gone] })
  vi.advanceTimersByTime(1_400)
  expect(reads()[0]!.ids).toEqual([stays])
})

test('what cannot be read is left as it is', () => {
  write(0)
  vi.advanceTimersByTime(1_400)
  answer(reads()[0]!.ref, { problem: { key: 'that-is-too-large-a', facts: {} } as never, readings: [] })
  expect([typesets(), on.session.asYouGo.offer]).toEqual([[], null])
})
