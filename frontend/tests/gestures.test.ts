import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { inksOf, placesOf, Surface, standing, stroke } from './surface'
import { FakeSocket, head, PAGE } from './stub'
import type { Point } from '../src/board/place'
import { PALM_MS } from '../src/gestures/arbiter'
import { unpackSamples } from '../src/ink/samples'
import { Editing } from '../src/lesson/editing.svelte'
import type { FromBrowser, InkItem, Wet } from '../src/wire/generated'

let on: Surface

const inks = () => inksOf(on.asked())
const wet = () => on.sent().filter((message): message is Wet & FromBrowser => message.type === 'wet')
const pressuresOf = ({ samples }: InkItem): number[] => {
  const numbers = unpackSamples(samples)
  return Array.from({ length: numbers.length / 4 }, (_, i) => numbers[4 * i + 2]!)
}

beforeEach(() => {
  on = new Surface([
    stroke('locked-1', 300, { locked: true }),
    stroke('stroke-1', 200),
    stroke('stroke-2', 400),
  ])
  on.session.tools.tool = 'pen'
})

afterEach(() => on.close())

describe('a pen', () => {
  test('writes a stroke that is kept as it went, with every place between two events', () => {
    on.session.tools.inHand.steady = 0
    on.point('down', [10, 10])
    on.point('move', [40, 10], { parts: [[20, 12], [30, 8], [40, 10]] }) // prettier-ignore
    on.point('up', [40, 10], { pressure: 0 })
    expect(inks().map(placesOf)).toEqual([[[10, 10], [20, 12], [30, 8], [40, 10]]]) // prettier-ignore
    expect(on.target.captured).toEqual([1])
  })

  test('that shades for minutes writes several strokes, one from where the other ends, and loses no place', () => {
    on.session.tools.inHand.steady = 0
    const places: Point[] = Array.from({ length: 25_000 }, (_, i) => [(i % 2) * 9, i / 50])
    on.point('down', places[0]!)
    for (let at = 1; at < places.length; at += 500)
      on.point('move', places[at]!, { parts: places.slice(at, at + 500) })
    on.point('up', places.at(-1)!, { pressure: 0 })
    const strokes = inks().map(placesOf)
    expect(strokes.map((stroke) => stroke.length)).toEqual([10_000, 10_000, 5_002])
    expect(strokes[1]![0]).toEqual(strokes[0]!.at(-1))
    expect(strokes[2]!.at(-1)).toEqual([9, 500])
    expect(new Set(inks().map(({ id }) => id)).size).toBe(3)
  })

  test('is shown to the others while it writes, each place once and in order', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 30 }), (waits) => {
        const before = wet().length
        on.point('down', [0, 0])
        waits.forEach((wait, i) => {
          on.point('move', [10 * (i + 1), 0])
          vi.advanceTimersByTime(8 * wait)
        })
        vi.advanceTimersByTime(20)
        const news = wet().slice(before)
        let count = 0
        for (const { begin, samples } of news) {
          expect(begin).toBe(count)
          count += unpackSamples(samples as Uint8Array).length / 4
        }
        expect(count).toBe(waits.length + 1)
        on.point('up', [10 * waits.length, 0], { pressure: 0 })
        expect(new Set(news.map(({ id }) => id))).toEqual(new Set([inks().at(-1)!.id]))
      }),
      { numRuns: 60 },
    )
  })

  test('is drawn ahead where the browser guesses it, and what was guessed is not kept', () => {
    on.point('down', [0, 0])
    on.point('move', [10, 0], { predicted: [[90, 90]] })
    on.point('up', [10, 0], { pressure: 0 })
    expect(placesOf(inks()[0]!).some(([x]) => x > 11)).toBe(false)
  })

  test('has its own pressure, a flat brush more; a mouse has the middle one', () => {
    on.stroke([[0, 0], [30, 0]], { pressure: 0.8 }) // prettier-ignore
    on.stroke([[0, 0], [30, 0]], { kind: 'mouse', id: 9 }) // prettier-ignore
    on.session.tools.pen = on.session.tools.pens.findIndex(({ nib }) => nib === 'brush')
    on.stroke([[0, 0], [30, 0]], { pressure: 0.2, tilt: 60 }) // prettier-ignore
    const [pen, mouse, brush] = inks().map((ink) => pressuresOf(ink)[1]!)
    expect(pen).toBeCloseTo(0.8, 2)
    expect(mouse).toBeCloseTo(0.5, 2)
    expect(brush).toBeCloseTo(0.2 + (0.45 * 60) / 90, 2)
  })

  test('without pressure writes thinner in haste when it is set to', () => {
    on.session.tools.inHand.speed = true
    const mouse = { kind: 'mouse' as const }
    on.stroke(
      [0, 4, 8, 12, 16, 20].map((x): Point => [x, 0]),
      mouse,
    )
    on.stroke(
      [0, 90, 180, 270, 360, 450].map((x): Point => [x, 0]),
      mouse,
    )
    const [slow, quick] = inks().map((ink) => pressuresOf(ink).at(-1)!)
    expect(quick).toBeLessThan(slow! - 0.2)
  })

  test('pressed harder on the spot makes a broader dot of one place', () => {
    on.point('down', [50, 50], { pressure: 0.2 })
    on.point('move', [50.2, 50], { pressure: 0.9 })
    on.point('up', [50, 50], { pressure: 0 })
    expect(inks()[0]!.samples.length).toBe(11)
    expect(pressuresOf(inks()[0]!)[0]).toBeCloseTo(0.9, 2)
  })

  test('with Shift draws a straight line in steps of 15°', () => {
    on.session.tools.inHand.steady = 0
    on.point('down', [0, 0])
    on.point('move', [50, 40])
    on.point('move', [100, 24], { shift: true })
    on.point('up', [100, 24], { shift: true, pressure: 0 })
    const places = placesOf(inks()[0]!)
    const [x, y] = places.at(-1)!
    expect(Math.atan2(y, x)).toBeCloseTo(Math.PI / 12, 2)
    for (const [px, py] of places) expect(py * x).toBeCloseTo(px * y, -1)
  })

  test('evens tremor out as far as it is set to, and ends where it was lifted', () => {
    const shaky = Array.from({ length: 40 }, (_, i): Point => [5 * i, i % 2 ? 6 : 0])
    const wild = (steady: number) => {
      on.session.tools.inHand.steady = steady
      on.stroke(shaky)
      const places = placesOf(inks().at(-1)!)
      const steps = places.slice(1, -1).map(([, y], i) => Math.abs(y - places[i]![1]))
      return { end: places.at(-1)!, tremor: steps.reduce((sum, step) => sum + step) / steps.length }
    }
    const [plain, steady] = [wild(0), wild(1)]
    expect(steady.tremor).toBeLessThan(0.5 * plain.tremor)
    expect(plain.end).toEqual(shaky.at(-1))
  })

  test('that is broken off keeps what it wrote; a mouse’s stroke goes', () => {
    for (const kind of ['pen', 'mouse'] as const) {
      on.point('down', [0, 0], { kind })
      on.point('move', [30, 0], { kind })
      on.point('cancel', [30, 0], { kind })
    }
    expect(inks()).toHaveLength(1)
    expect(wet().at(-1)!.over).toBe(true)
  })

  test('may be turned round, or its side button pressed: it erases', () => {
    on.point('down', [180, 50], { button: 5, buttons: 32 })
    on.point('move', [220, 50], { buttons: 32 })
    on.point('up', [220, 50], { pressure: 0 })
    on.point('down', [380, 50], { button: 2, buttons: 2 })
    on.point('up', [420, 50], { pressure: 0, button: 2 })
    expect(inks()).toEqual([])
    expect(on.asked()).toMatchObject([
      { step: 'remove_items', ids: ['stroke-1'] },
      { step: 'remove_items', ids: ['stroke-2'] },
    ])
  })
})

describe('a hand on the board', () => {
  test('writes with a finger until a pen was there; then the finger moves the paper', () => {
    const finger = { id: 2, kind: 'touch' as const }
    on.stroke([[0, 0], [30, 0]], finger) // prettier-ignore
    expect(inks()).toHaveLength(1)
    on.stroke([[0, 0], [30, 0]]) // prettier-ignore
    expect(inks()).toHaveLength(2)
    on.point('down', [0, 50], finger, 2 * PALM_MS)
    on.point('move', [40, 57], finger)
    on.point('up', [40, 57], finger)
    expect(inks()).toHaveLength(2)
    expect(on.pans).toEqual([[40, 7]])
  })

  test('with a second finger moves and zooms, and takes back what the first had begun', () => {
    const [one, other] = [{ id: 2, kind: 'touch' as const }, { id: 3, kind: 'touch' as const }] // prettier-ignore
    on.point('down', [0, 0], one)
    on.point('down', [100, 0], other)
    on.point('move', [200, 0], other)
    on.point('up', [200, 0], other)
    on.point('up', [0, 0], one)
    expect(inks()).toEqual([])
    expect(wet().at(-1)!.over).toBe(true)
    expect(on.zooms).toEqual([2])
    expect(on.pans).toEqual([[50, 0]])
  })

  test('moves the paper with the middle button, the right one, or Space held', () => {
    for (const button of [1, 2]) {
      on.point('down', [0, 0], { kind: 'mouse', button })
      on.point('move', [10, 5], { kind: 'mouse' })
      on.point('up', [10, 5], { kind: 'mouse', button })
    }
    on.key('keydown', ' ')
    on.stroke([[0, 0], [10, 5]], { kind: 'mouse' }) // prettier-ignore
    on.key('keyup', ' ')
    expect(on.pans).toEqual([[10, 5], [10, 5], [10, 5]]) // prettier-ignore
    expect(inks()).toEqual([])
    on.stroke([[0, 0], [10, 5]], { kind: 'mouse' }) // prettier-ignore
    expect(inks()).toHaveLength(1)
  })

  test('gives up with Escape: nothing is kept, and the others see it gone', () => {
    on.point('down', [0, 0])
    on.point('move', [30, 0])
    expect(on.gestures.busy).toBe(true)
    on.gestures.giveUp()
    on.point('up', [30, 0], { pressure: 0 })
    expect([inks(), on.gestures.busy, wet().at(-1)!.over]).toEqual([[], false, true])
  })
})

describe('when somebody leads elsewhere', () => {
  beforeEach(() => void (on.session.tools.inHand.steady = 0))

  const lead = (page = PAGE, board = on.session.boardId) =>
    FakeSocket.last.hear({
      ...{
        type: 'lead',
        page,
        box: [500, 500, 900, 900],
        hold: false,
        board,
        name: 'Imani',
      },
    })

  test('the paper does not move under a pen that writes, but when it is lifted', () => {
    on.point('down', [10, 10])
    on.point('move', [40, 10])
    lead()
    on.point('move', [80, 10])
    expect(on.leads).toEqual([])
    on.point('up', [80, 10], { pressure: 0 })
    expect(inks().map((ink) => placesOf(ink).at(-1))).toEqual([[80, 10]])
    expect(on.leads).toEqual([[500, 500, 900, 900]])
    lead()
    expect(on.leads).toHaveLength(2)
  })

  test('who has let go meanwhile leads nowhere, and another board is opened when the stroke is there', () => {
    on.point('down', [10, 10])
    lead()
    FakeSocket.last.hear({
      ...{ type: 'lead', page: '', box: [0, 0, 0, 0], hold: false, board: on.session.boardId, name: '' },
    })
    on.point('up', [40, 10], { pressure: 0 })
    expect(on.leads).toEqual([])
    on.point('down', [10, 50])
    lead(PAGE, 'board-2')
    expect(on.session.attention.calledTo).toBeNull()
    on.point('up', [40, 50], { pressure: 0 })
    expect([on.session.attention.calledTo?.board, inks().length]).toEqual(['board-2', 2])
  })

  test('words are typed on, as long as it is the same page', () => {
    const editing = Editing.newText(on.session, [200, 120])
    editing.typed('noon')
    on.session.editing = editing
    lead()
    expect([on.session.editing, on.asked()]).toEqual([editing, []])
    turn()
    expect(on.session.editing).toBeNull()
    expect(on.asked()).toMatchObject([{ step: 'add_items', page: PAGE, items: [{ text: 'noon' }] }])
  })

  /** Another page comes, and is turned to. */
  function turn() {
    const step = { step: 'add_page', head: head('page-two'), index: 1, items: [] }
    const logged = { seq: 1, id: 'step-1', by: 'seat-b', at_ms: 0, how: 'do', of: 0, step }
    FakeSocket.last.hear({ type: 'frame', steps: [logged] })
    on.session.pages.turnTo('page-two')
    expect(on.session.pages.id).toBe('page-two')
  }

  test('a picture that is on its way lands on the page that it was brought to, and is not chosen on another', async () => {
    vi.spyOn(on.session.pictures, 'take').mockImplementation(async () => {
      turn()
      return { id: 'picture-1', width: 300, height: 200 }
    })
    await on.session.pictures.put([new Blob()], [100, 100])
    expect(on.asked()).toMatchObject([{ step: 'add_items', page: PAGE, items: [{ kind: 'picture' }] }])
    expect(on.session.selection.ids.size).toBe(0)
  })

  test('ink that is being written stays on the page on which it was begun, and a figure is given up', () => {
    on.point('down', [10, 10], { kind: 'mouse' })
    on.point('move', [40, 10], { kind: 'mouse' })
    turn()
    on.point('move', [400, 300], { kind: 'mouse' })
    on.point('up', [400, 300], { kind: 'mouse' })
    expect(on.asked()).toMatchObject([{ step: 'add_items', page: PAGE }])
    expect(placesOf(inks()[0]!).at(-1)).toEqual([40, 10])
    on.session.tools.tool = 'shape'
    on.point('down', [10, 10], { kind: 'mouse' })
    on.session.pages.turnTo(PAGE)
    on.point('up', [90, 90], { kind: 'mouse' })
    expect(on.asked()).toHaveLength(1)
  })
})

test('Space that is let go in another window moves the paper no longer', () => {
  on.key('keydown', ' ')
  on.blur()
  on.stroke([[10, 10], [40, 10]]) // prettier-ignore
  expect([on.pans, inks().length]).toEqual([[], 1])
})

describe('without the right to', () => {
  test('nothing is written, nothing is shown to others, and why is said', () => {
    on.session.rights.own = standing([])
    on.stroke([[0, 0], [30, 0]]) // prettier-ignore
    expect([on.asked(), wet()]).toEqual([[], []])
    expect(on.session.notice).not.toBe('')
  })

  test('remove, an eraser takes nothing; and nobody takes what is locked', () => {
    on.session.tools.tool = 'eraser'
    on.stroke([[290, 50], [310, 50]]) // prettier-ignore
    on.session.rights.own = { ...standing(), on_others: [] }
    on.stroke([[180, 50], [420, 50]]) // prettier-ignore
    expect(on.asked()).toEqual([])
  })

  test('see with own eyes: who looks through a student’s writes nothing in their name', () => {
    on.session.rights.as = { seat: 'seat-b', standing: standing() } as never
    on.stroke([[0, 0], [30, 0]]) // prettier-ignore
    expect(on.asked()).toEqual([])
    expect(on.pans).toEqual([[30, 0]])
  })
})
