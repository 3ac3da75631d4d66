// @ts-expect-error Node has it; its types are not here.
import { setMaxListeners } from 'node:events'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { FakeSocket, head, PAGE, welcome } from './stub'
import type { Point } from '../src/board/place'
import { PALM_MS } from '../src/gestures/arbiter'
import type { Canvas } from '../src/gestures/canvas'
import { Gestures } from '../src/gestures/gestures'
import { packSamples, unpackSamples } from '../src/ink/samples'
import { Session } from '../src/lesson/session.svelte'
import type { FromBrowser, InkItem, Request, Standing, Wet } from '../src/wire/generated'

/** A board on a screen: px are page units, until it is moved. */
class FakeTarget extends EventTarget {
  captured: number[] = []
  getBoundingClientRect = () => ({ left: 10, top: 20 })
  setPointerCapture = (id: number) => void this.captured.push(id)
  focus = () => {}
}

const ALLOWED = ['add_ink', 'add_text', 'add_note', 'add_shape', 'change', 'remove', 'point'] as const
const writing = { allowed: true, reason: '', sentence: { word: 'reason-pens-down', facts: {} } }

// One signal takes all of a board's listeners off.
setMaxListeners(20)

let session: Session
let target: FakeTarget
let gestures: Gestures
let pans: Point[]
let zooms: number[]
let pages: EventTarget
let clock: number

const standing = (allowed: readonly string[] = ALLOWED) =>
  ({ allowed: [...allowed], on_others: [...allowed], writing }) as unknown as Standing

interface Contact {
  id?: number
  kind?: 'pen' | 'touch' | 'mouse'
  pressure?: number
  button?: number
  buttons?: number
  shift?: boolean
  /** The places that the pen was at since the last event. */
  parts?: Point[]
  predicted?: Point[]
  tilt?: number
}

/** A pointer event at (x, y) of the page, ``ms`` after the one before. */
function point(type: string, [x, y]: Point, contact: Contact = {}, ms = 8): Event {
  clock += ms
  const { id = 1, kind = 'pen', pressure = 0.4, button = type === 'move' ? -1 : 0, tilt = 0 } = contact
  const facts = ([px, py]: Point) => ({
    pointerId: id,
    pointerType: kind,
    pressure: kind === 'pen' ? pressure : 0.5,
    button,
    buttons: contact.buttons ?? 1,
    shiftKey: contact.shift ?? false,
    clientX: px + 10,
    clientY: py + 20,
    tiltX: tilt,
    tiltY: 0,
  })
  const event = new Event(`pointer${type}`, { cancelable: true })
  const many = (places: Point[] = []) => places.map((place) => ({ ...facts(place), timeStamp: clock }))
  Object.assign(event, facts([x, y]), {
    getCoalescedEvents: () => many(contact.parts),
    getPredictedEvents: () => many(contact.predicted),
  })
  Object.defineProperty(event, 'timeStamp', { value: clock })
  target.dispatchEvent(event)
  return event
}

function stroke(places: Point[], contact: Contact = {}): void {
  point('down', places[0]!, contact)
  for (const place of places.slice(1)) point('move', place, contact)
  point('up', places.at(-1)!, { ...contact, pressure: 0 })
}

function key(type: 'keydown' | 'keyup', name: string): void {
  const event = Object.assign(new Event(type, { cancelable: true }), { key: name })
  Object.defineProperty(event, 'target', { value: { closest: () => null } })
  pages.dispatchEvent(event)
}

const sent = () => FakeSocket.last.sent
const asked = () => sent().flatMap((message) => (message.type === 'do' ? [message.request as Request] : []))
const inks = () => asked().flatMap((step) => (step.step === 'add_items' ? (step.items as InkItem[]) : []))
const wet = () => sent().filter((message): message is Wet & FromBrowser => message.type === 'wet')
/** Where a stroke went, on the page, to a tenth. */
const placesOf = ({ x, y, samples }: InkItem): Point[] => {
  const numbers = unpackSamples(samples)
  return Array.from({ length: numbers.length / 4 }, (_, i) => [
    Math.round(10 * (x + numbers[4 * i]!)) / 10,
    Math.round(10 * (y + numbers[4 * i + 1]!)) / 10,
  ])
}
const pressuresOf = ({ samples }: InkItem): number[] => {
  const numbers = unpackSamples(samples)
  return Array.from({ length: numbers.length / 4 }, (_, i) => numbers[4 * i + 2]!)
}

/** A stroke of another's that lies on the page. */
function theirs(id: string, x: number, more: Partial<InkItem> = {}): InkItem {
  const look = { nib: 'pen', colour: '#16222b', width: 3, opacity: 1, ends: 'none' } as const
  const own = { z: 0, group: '', by: 'seat-b', at_ms: 0, locked: false, pinned: false }
  const samples = packSamples([0, 0, 0.5, 0, 0, 100, 0.5, 9])
  return { kind: 'ink', id, x, y: 0, map: [1, 0, 0, 1], ...own, ...look, samples, ...more }
}

beforeEach(() => {
  FakeSocket.all = []
  pages = new EventTarget()
  clock = 1_000
  vi.stubGlobal('addEventListener', pages.addEventListener.bind(pages))
  vi.stubGlobal('requestAnimationFrame', (act: () => void) => setTimeout(act, 16))
  vi.stubGlobal('cancelAnimationFrame', (id: number) => clearTimeout(id))
  vi.stubGlobal('WheelEvent', { DOM_DELTA_LINE: 1 })
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  session = new Session('tutor', 'link', '')
  FakeSocket.last.open()
  FakeSocket.last.hear(welcome({ pages: [head()] }))
  const items = [theirs('locked-1', 300, { locked: true }), theirs('stroke-1', 200), theirs('stroke-2', 400)]
  FakeSocket.last.hear({ type: 'page_items', page: PAGE, items, last: true })
  session.rights.own = standing()
  session.tools.tool = 'pen'
  ;[pans, zooms] = [[], []]
  const canvas = {
    session,
    view: { scale: 1, toPage: (x: number, y: number): Point => [x, y] },
    looking: {
      pan: (dx: number, dy: number) => void pans.push([dx, dy]),
      zoom: (factor: number) => void zooms.push(factor),
    },
    instruments: {
      guiding: false,
      guide: (at: Point) => [at],
      release: () => {},
      partAt: () => null,
      changed: () => {},
    },
    measure: {},
    linger: () => {},
    point: () => {},
    redrawOver: () => {},
  }
  target = new FakeTarget()
  gestures = new Gestures(canvas as unknown as Canvas, target as unknown as HTMLElement)
})

afterEach(() => {
  gestures.destroy()
  session.close()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a pen', () => {
  test('writes a stroke that is kept as it went, with every place between two events', () => {
    session.tools.inHand.steady = 0
    point('down', [10, 10])
    point('move', [40, 10], { parts: [[20, 12], [30, 8], [40, 10]] }) // prettier-ignore
    point('up', [40, 10], { pressure: 0 })
    expect(inks().map(placesOf)).toEqual([[[10, 10], [20, 12], [30, 8], [40, 10]]]) // prettier-ignore
    expect(target.captured).toEqual([1])
  })

  test('is shown to the others while it writes, each place once and in order', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 30 }), (waits) => {
        const before = wet().length
        point('down', [0, 0])
        waits.forEach((wait, i) => {
          point('move', [10 * (i + 1), 0])
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
        point('up', [10 * waits.length, 0], { pressure: 0 })
        expect(new Set(news.map(({ id }) => id))).toEqual(new Set([inks().at(-1)!.id]))
      }),
      { numRuns: 60 },
    )
  })

  test('is drawn ahead where the browser guesses it, and what was guessed is not kept', () => {
    point('down', [0, 0])
    point('move', [10, 0], { predicted: [[90, 90]] })
    point('up', [10, 0], { pressure: 0 })
    expect(placesOf(inks()[0]!).some(([x]) => x > 11)).toBe(false)
  })

  test('has its own pressure, a flat brush more; a mouse has the middle one', () => {
    stroke([[0, 0], [30, 0]], { pressure: 0.8 }) // prettier-ignore
    stroke([[0, 0], [30, 0]], { kind: 'mouse', id: 9 }) // prettier-ignore
    session.tools.pen = session.tools.pens.findIndex(({ nib }) => nib === 'brush')
    stroke([[0, 0], [30, 0]], { pressure: 0.2, tilt: 60 }) // prettier-ignore
    const [pen, mouse, brush] = inks().map((ink) => pressuresOf(ink)[1]!)
    expect(pen).toBeCloseTo(0.8, 2)
    expect(mouse).toBeCloseTo(0.5, 2)
    expect(brush).toBeCloseTo(0.2 + (0.45 * 60) / 90, 2)
  })

  test('without pressure writes thinner in haste when it is set to', () => {
    session.tools.inHand.speed = true
    const mouse = { kind: 'mouse' as const }
    stroke(
      [0, 4, 8, 12, 16, 20].map((x): Point => [x, 0]),
      mouse,
    )
    stroke(
      [0, 90, 180, 270, 360, 450].map((x): Point => [x, 0]),
      mouse,
    )
    const [slow, quick] = inks().map((ink) => pressuresOf(ink).at(-1)!)
    expect(quick).toBeLessThan(slow! - 0.2)
  })

  test('pressed harder on the spot makes a broader dot of one place', () => {
    point('down', [50, 50], { pressure: 0.2 })
    point('move', [50.2, 50], { pressure: 0.9 })
    point('up', [50, 50], { pressure: 0 })
    expect(inks()[0]!.samples.length).toBe(11)
    expect(pressuresOf(inks()[0]!)[0]).toBeCloseTo(0.9, 2)
  })

  test('with Shift draws a straight line in steps of 15°', () => {
    session.tools.inHand.steady = 0
    point('down', [0, 0])
    point('move', [50, 40])
    point('move', [100, 24], { shift: true })
    point('up', [100, 24], { shift: true, pressure: 0 })
    const places = placesOf(inks()[0]!)
    const [x, y] = places.at(-1)!
    expect(Math.atan2(y, x)).toBeCloseTo(Math.PI / 12, 2)
    for (const [px, py] of places) expect(py * x).toBeCloseTo(px * y, -1)
  })

  test('evens tremor out as far as it is set to, and ends where it was lifted', () => {
    const shaky = Array.from({ length: 40 }, (_, i): Point => [5 * i, i % 2 ? 6 : 0])
    const wild = (steady: number) => {
      session.tools.inHand.steady = steady
      stroke(shaky)
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
      point('down', [0, 0], { kind })
      point('move', [30, 0], { kind })
      point('cancel', [30, 0], { kind })
    }
    expect(inks()).toHaveLength(1)
    expect(wet().at(-1)!.over).toBe(true)
  })

  test('may be turned round, or its side button pressed: it erases', () => {
    point('down', [180, 50], { button: 5, buttons: 32 })
    point('move', [220, 50], { buttons: 32 })
    point('up', [220, 50], { pressure: 0 })
    point('down', [380, 50], { button: 2, buttons: 2 })
    point('up', [420, 50], { pressure: 0, button: 2 })
    expect(inks()).toEqual([])
    expect(asked()).toMatchObject([
      { step: 'remove_items', ids: ['stroke-1'] },
      { step: 'remove_items', ids: ['stroke-2'] },
    ])
  })
})

describe('a hand on the board', () => {
  test('writes with a finger until a pen was there; then the finger moves the paper', () => {
    const finger = { id: 2, kind: 'touch' as const }
    stroke([[0, 0], [30, 0]], finger) // prettier-ignore
    expect(inks()).toHaveLength(1)
    stroke([[0, 0], [30, 0]]) // prettier-ignore
    expect(inks()).toHaveLength(2)
    point('down', [0, 50], finger, 2 * PALM_MS)
    point('move', [40, 57], finger)
    point('up', [40, 57], finger)
    expect(inks()).toHaveLength(2)
    expect(pans).toEqual([[40, 7]])
  })

  test('with a second finger moves and zooms, and takes back what the first had begun', () => {
    const [one, other] = [{ id: 2, kind: 'touch' as const }, { id: 3, kind: 'touch' as const }] // prettier-ignore
    point('down', [0, 0], one)
    point('down', [100, 0], other)
    point('move', [200, 0], other)
    point('up', [200, 0], other)
    point('up', [0, 0], one)
    expect(inks()).toEqual([])
    expect(wet().at(-1)!.over).toBe(true)
    expect(zooms).toEqual([2])
    expect(pans).toEqual([[50, 0]])
  })

  test('moves the paper with the middle button, the right one, or Space held', () => {
    for (const button of [1, 2]) {
      point('down', [0, 0], { kind: 'mouse', button })
      point('move', [10, 5], { kind: 'mouse' })
      point('up', [10, 5], { kind: 'mouse', button })
    }
    key('keydown', ' ')
    stroke([[0, 0], [10, 5]], { kind: 'mouse' }) // prettier-ignore
    key('keyup', ' ')
    expect(pans).toEqual([[10, 5], [10, 5], [10, 5]]) // prettier-ignore
    expect(inks()).toEqual([])
    stroke([[0, 0], [10, 5]], { kind: 'mouse' }) // prettier-ignore
    expect(inks()).toHaveLength(1)
  })

  test('gives up with Escape: nothing is kept, and the others see it gone', () => {
    point('down', [0, 0])
    point('move', [30, 0])
    expect(gestures.busy).toBe(true)
    gestures.giveUp()
    point('up', [30, 0], { pressure: 0 })
    expect([inks(), gestures.busy, wet().at(-1)!.over]).toEqual([[], false, true])
  })
})

describe('without the right to', () => {
  test('nothing is written, nothing is shown to others, and why is said', () => {
    session.rights.own = standing([])
    stroke([[0, 0], [30, 0]]) // prettier-ignore
    expect([asked(), wet()]).toEqual([[], []])
    expect(session.notice).not.toBe('')
  })

  test('remove, an eraser takes nothing; and nobody takes what is locked', () => {
    session.tools.tool = 'eraser'
    stroke([[290, 50], [310, 50]]) // prettier-ignore
    session.rights.own = { ...standing(), on_others: [] }
    stroke([[180, 50], [420, 50]]) // prettier-ignore
    expect(asked()).toEqual([])
  })

  test('see with own eyes: who looks through a student’s writes nothing in their name', () => {
    session.rights.as = { seat: 'seat-b', standing: standing() } as never
    stroke([[0, 0], [30, 0]]) // prettier-ignore
    expect(asked()).toEqual([])
    expect(pans).toEqual([[30, 0]])
  })
})
