/** A board under the hand: what pointers and keys do to a lesson, up to what goes over its line. */
// @ts-expect-error Node has it; its types are not here.
import { setMaxListeners } from 'node:events'
import { vi } from 'vitest'
import { FakeSocket, head, PAGE, welcome } from './stub'
import type { Point } from '../src/board/place'
import { View } from '../src/board/view.svelte'
import type { Canvas } from '../src/gestures/canvas'
import { Gestures } from '../src/gestures/gestures'
import { packSamples, unpackSamples } from '../src/ink/samples'
import { Session } from '../src/lesson/session.svelte'
import type { InkItem, Item, Lead, Request, Standing } from '../src/wire/generated'

// One signal takes all of a board's listeners off.
setMaxListeners(20)

const ALLOWED = ['add_ink', 'add_text', 'add_note', 'add_shape', 'change', 'convert', 'remove', 'point']
const writing = { allowed: true, reason: '', sentence: { word: 'reason-pens-down', facts: {} } }

/** What somebody may do, on their own things and on others'. */
export const standing = (allowed: readonly string[] = ALLOWED, onOthers = allowed) =>
  ({ allowed, on_others: onOthers, writing }) as unknown as Standing

/** A pointer, or what is special about it. */
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

class FakeTarget extends EventTarget {
  captured: number[] = []
  getBoundingClientRect = () => ({ left: 10, top: 20 })
  setPointerCapture = (id: number) => void this.captured.push(id)
  focus = () => {}
}

/** An upright stroke of another's that lies on the page, 100 long. */
export function stroke(id: string, x: number, more: Partial<InkItem> = {}): InkItem {
  const look = { nib: 'pen', colour: '#16222b', width: 3, opacity: 1, ends: 'none' } as const
  const own = { z: 0, group: '', by: 'seat-b', at_ms: 0, locked: false, pinned: false }
  const samples = packSamples(Array.from({ length: 11 }, (_, i) => [0, 10 * i, 0.5, i]).flat())
  return { kind: 'ink', id, x, y: 0, map: [1, 0, 0, 1], ...own, ...look, samples, ...more }
}

export const inksOf = (steps: Request[]) =>
  steps.flatMap((step) => (step.step === 'add_items' ? (step.items as InkItem[]) : []))

/** Where a stroke went, on the page, to a tenth. */
export function placesOf({ x, y, samples }: InkItem): Point[] {
  const numbers = unpackSamples(samples)
  return Array.from({ length: numbers.length / 4 }, (_, i) => [
    Math.round(10 * (x + numbers[4 * i]!)) / 10,
    Math.round(10 * (y + numbers[4 * i + 1]!)) / 10,
  ])
}

/** A px is a unit of the page, until ``view`` is moved. The clock goes on by 8 ms with each event. */
export class Surface {
  readonly session: Session
  readonly view = new View()
  readonly gestures: Gestures
  readonly target = new FakeTarget()
  pans: Point[] = []
  zooms: number[] = []
  /** Where others have led to. */
  leads: Lead['box'][] = []
  #keys = new EventTarget()
  #clock = 1_000

  constructor(items: Item[]) {
    FakeSocket.all = []
    vi.stubGlobal('addEventListener', this.#keys.addEventListener.bind(this.#keys))
    vi.stubGlobal('requestAnimationFrame', (act: () => void) => setTimeout(act, 16))
    vi.stubGlobal('cancelAnimationFrame', (id: number) => clearTimeout(id))
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    this.session = new Session('tutor', 'link', '')
    FakeSocket.last.open()
    FakeSocket.last.hear(welcome({ pages: [head()] }))
    FakeSocket.last.hear({ type: 'page_items', page: PAGE, items, last: true })
    this.session.rights.own = standing()
    Object.assign(this.view, { width: 900, height: 600, scale: 1, left: 0, top: 0 })
    const canvas = {
      session: this.session,
      view: this.view,
      looking: {
        pan: (dx: number, dy: number) => void this.pans.push([dx, dy]),
        zoom: (factor: number) => void this.zooms.push(factor),
      },
      instruments: { guiding: false, guide: (at: Point) => [at], release: () => {}, partAt: () => null },
      measure: {},
      linger: () => {},
      point: () => {},
      redrawOver: () => {},
    }
    this.gestures = new Gestures(canvas as unknown as Canvas, this.target as unknown as HTMLElement)
    const { gestures, leads } = this
    this.session.surface = {
      turning: () => gestures.endInk(),
      get writing() {
        return gestures.writing
      },
      ...{ changed: () => {}, landed: () => {}, wet: () => {}, pointing: () => {}, cameIn: () => {} },
      ...{ laid: () => {}, slid: () => {}, moving: () => {} },
      looking: { lead: (box) => void leads.push(box), seen: () => [0, 0, 900, 600], reach: () => {} },
    }
  }

  close(): void {
    this.gestures.destroy()
    this.session.close()
    vi.useRealTimers()
    vi.unstubAllGlobals()
  }

  /** A pointer event at a place of the page; ``ms`` after the one before. */
  point(type: 'down' | 'move' | 'up' | 'cancel', at: Point, contact: Contact = {}, ms = 8): void {
    this.#clock += ms
    const timeStamp = this.#clock
    const { id = 1, kind = 'pen', pressure = 0.4, button = type === 'move' ? -1 : 0, tilt = 0 } = contact
    const facts = ([x, y]: Point) => ({
      pointerId: id,
      pointerType: kind,
      pressure: kind === 'pen' ? pressure : 0.5,
      button,
      buttons: contact.buttons ?? 1,
      shiftKey: contact.shift ?? false,
      clientX: x + 10,
      clientY: y + 20,
      tiltX: tilt,
      tiltY: 0,
    })
    const many = (places: Point[] = []) => places.map((place) => ({ ...facts(place), timeStamp }))
    const event = Object.assign(new Event(`pointer${type}`, { cancelable: true }), facts(at), {
      getCoalescedEvents: () => many(contact.parts),
      getPredictedEvents: () => many(contact.predicted),
    })
    Object.defineProperty(event, 'timeStamp', { value: timeStamp })
    this.target.dispatchEvent(event)
  }

  /** Down at the first place, up at the last. */
  stroke(places: Point[], contact: Contact = {}): void {
    this.point('down', places[0]!, contact)
    for (const place of places.slice(1)) this.point('move', place, contact)
    this.point('up', places.at(-1)!, { ...contact, pressure: 0 })
  }

  /** A key that nothing is typed with. */
  key(type: 'keydown' | 'keyup', name: string): void {
    const event = Object.assign(new Event(type, { cancelable: true }), { key: name })
    Object.defineProperty(event, 'target', { value: { closest: () => null } })
    this.#keys.dispatchEvent(event)
  }

  /** Another window is looked at. */
  blur(): void {
    this.#keys.dispatchEvent(new Event('blur'))
  }

  /** What went over the line. */
  sent = () => FakeSocket.last.sent
  asked = () => this.sent().flatMap((message) => (message.type === 'do' ? [message.request as Request] : []))
}
