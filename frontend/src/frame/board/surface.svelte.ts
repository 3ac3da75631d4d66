/**
 * The board on the screen: the page from tiles on one canvas, what is wet or chosen on another over it.
 * Pictures are drawn only when something has changed, at most once a frame.
 */
import { conversionsOf } from '../../lesson/conversions'
import type { SurfaceEvents } from '../../lesson/inside'
import type { Session } from '../../lesson/session.svelte'
import type {
  GraphItem,
  InstrumentKind,
  Item,
  Laid,
  Logged,
  Point,
  Pointing,
  Slide,
  Sliding,
  WetInk,
} from '../../wire/generated'
import { itemBox, union } from '../../board/box'
import { Gestures } from '../../gestures/gestures'
import { Looking } from '../../gestures/looking.svelte'
import { drawBays } from './bays'
import { Overlay } from '../../board/overlay'
import type { Page } from '../../board/page'
import { arrivals } from '../../board/pictures'
import { Instruments } from '../../board/instruments/instruments.svelte'
import { measureOf, type Measure } from '../../board/instruments/measure'
import { TileLayer } from '../../board/tiles'
import { FIRST_PAPER } from '../../lesson/papers'
import { Traces } from '../../board/traces.svelte'
import type { View } from '../../board/view.svelte'

/** A zoom has ended when nothing has changed for this long: then tiles are drawn sharp. */
const SETTLE_MS = 140
/** The faces of board text that may be met, and a character of each. */
const FACES = [
  ['sans', 'a'],
  ['sans-ext', 'ā'],
  ['greek', 'θ'],
  ['maths', '→'],
  ['signs', '₂'],
  ['symbols', '☀'],
] as const
/** More names than this on one screen say nothing. */
const MOST_WRITERS = 300
/** A graph of which nothing is heard for so long is not moved any more. */
const MOVING_MS = 4_000
const MOST_ABOVE = 200
const SMALL_CHANGE_PX = 90
/** Hints stand so far inside the edge. */
const EDGE_PX = 22

export class Surface implements SurfaceEvents {
  readonly session: Session
  readonly looking: Looking
  readonly instruments: Instruments
  readonly traces = new Traces()
  readonly gestures: Gestures
  #base: HTMLCanvasElement
  #over: HTMLCanvasElement
  #tiles: TileLayer | null = null
  #page: Page | undefined
  /** What a gesture has shown stays until the server has answered its step. */
  #lingering: { step: string; draw: (overlay: Overlay) => void }[] = []
  #dirtyBase = true
  #dirtyOver = true
  #frame = 0
  #pictured = false
  #drawnScale = 0
  #resize: ResizeObserver

  constructor(session: Session, base: HTMLCanvasElement, over: HTMLCanvasElement) {
    this.session = session
    this.#base = base
    this.#over = over
    this.instruments = new Instruments((lay) => session.send({ type: 'lay', ...lay }))
    this.looking = new Looking(session, () => this.redraw())
    this.gestures = new Gestures(this, over)
    session.surface = this
    this.#resize = new ResizeObserver(() => this.#measure())
    this.#resize.observe(base)
    // A canvas does not wait for fonts: what was drawn before they came is drawn again.
    void Promise.all(FACES.map(([face, sample]) => document.fonts.load(`16px "${face}"`, sample))).then(
      this.#drawAgain,
    )
    // The others come when a text asks for them.
    document.fonts.addEventListener('loadingdone', this.#drawAgain)
    arrivals.addEventListener('picture', this.#drawAgain)
    this.#measure()
  }

  #drawAgain = (): void => {
    this.#tiles?.redrawAll()
    for (const page of this.session.board.replica.pages.values()) page.revision++
    this.session.board.version++
    this.redraw()
  }

  destroy(): void {
    document.fonts.removeEventListener('loadingdone', this.#drawAgain)
    arrivals.removeEventListener('picture', this.#drawAgain)
    this.#resize.disconnect()
    this.gestures.destroy()
    this.#tiles?.detach()
    cancelAnimationFrame(this.#frame)
    this.looking.forget()
    if (this.session.surface === this) this.session.surface = null
  }

  // What the session tells

  wet(all: WetInk[]): void {
    this.traces.wet(all, this.session.welcome?.connection ?? '')
    this.redrawOver()
  }

  pointing(all: Pointing[]): void {
    for (const { seat, point } of all) {
      if (seat !== this.session.rights.me || point.stay)
        this.point(seat, point, this.session.people.nameOf(seat))
    }
  }

  slid(all: Sliding[]): void {
    for (const { connection, slide } of all)
      if (connection !== this.session.welcome?.connection) this.moving(slide)
  }

  /** A graph as it is moved just now, until its step lands or nothing is heard of it any more. */
  moving({ page, id, ranges, letters, drawn }: Omit<Slide, 'type'>): void {
    this.#moving.set(id, { page, ranges, letters, drawn, at: performance.now() })
    this.redrawOver()
  }
  #moving = new Map<string, Pick<GraphItem, 'ranges' | 'letters' | 'drawn'> & { page: string; at: number }>()

  cameIn(laid: Laid[]): void {
    this.traces.forgetLaid()
    this.laid(laid)
    if (this.instruments.laid.length) this.instruments.changed()
  }

  laid(all: Laid[]): void {
    this.traces.laid(all, this.session.welcome?.connection ?? '')
    this.redrawOver()
  }

  /** Where somebody points; our own pointer has no name. */
  point(seat: string, point: Point, name = ''): void {
    this.traces.point(seat, point, name, name ? this.session.people.colourOf(seat) : undefined)
    this.redrawOver()
  }

  landed(logged: Logged): void {
    if (logged.step.step === 'add_items') this.traces.dried(logged.step.items)
    if (logged.step.step === 'replace_items') for (const { id } of logged.step.items) this.#moving.delete(id)
    this.redrawOver()
  }

  turning(): void {
    this.gestures.endInk()
  }

  get writing(): boolean {
    return this.gestures.writing
  }

  changed(): void {
    const page = this.session.pages.now
    if (page !== this.#page) this.#turnTo(page)
    else this.looking.pageChanged()
    this.redrawOver()
  }

  // Drawing

  linger(step: string, draw: (overlay: Overlay) => void): void {
    this.#lingering.push({ step, draw })
  }

  /** Lay an instrument on the page, or take it away. */
  toggle(kind: InstrumentKind): void {
    const { minX, minY, maxX, maxY } = this.view.box()
    this.instruments.toggle(kind, [(minX + maxX) / 2, (minY + maxY) / 2], maxX - minX)
    this.redrawOver()
  }

  get view(): View {
    return this.looking.view
  }

  get measure(): Measure {
    return measureOf(this.#page?.head.paper ?? FIRST_PAPER)
  }

  redraw(): void {
    this.#dirtyBase = true
    this.redrawOver()
  }

  redrawOver(): void {
    this.#dirtyOver = true
    if (!this.#frame) this.#frame = requestAnimationFrame((now) => this.#draw(now))
  }

  #measure(): void {
    const ratio = devicePixelRatio || 1
    const { clientWidth, clientHeight } = this.#base
    // A sill that grows by a line must not move the paper under the pen.
    const moved =
      Math.abs(clientWidth - this.view.width) > 1 ||
      Math.abs(clientHeight - this.view.height) > SMALL_CHANGE_PX
    this.view.width = clientWidth
    this.view.height = clientHeight
    for (const canvas of [this.#base, this.#over]) {
      canvas.width = Math.max(1, Math.round(clientWidth * ratio))
      canvas.height = Math.max(1, Math.round(clientHeight * ratio))
    }
    if (this.view.whole && moved) this.looking.fitPage()
    this.redraw()
  }

  #turnTo(page: Page | undefined): void {
    this.#tiles?.detach()
    this.#page = page
    this.instruments.onPage(page?.head.id ?? '')
    this.#pictured = false
    this.#tiles = page ? new TileLayer(page) : null
    if (this.#tiles) this.#tiles.onchange = () => this.redraw()
    this.looking.turnTo(page)
    this.redraw()
  }

  #draw(now: number): void {
    this.#frame = 0
    if (this.#dirtyBase) this.#drawBase(now)
    if (this.#dirtyOver) this.#drawOver(now)
  }

  #drawBase(now: number): void {
    this.#dirtyBase = false
    this.looking.rememberSoon()
    this.session.attention.viewMoved()
    const context = this.#base.getContext('2d', { alpha: false })!
    const ratio = this.#base.width / Math.max(1, this.view.width)
    const scale = this.view.scale * ratio
    const settled = now - this.looking.zoomedAt > SETTLE_MS || this.#drawnScale === 0
    if (!this.#tiles) {
      context.fillStyle = '#fffefa'
      context.fillRect(0, 0, this.#base.width, this.#base.height)
      return
    }
    const complete = this.#tiles.draw(context, this.view.box(), scale, settled)
    this.#drawnScale = scale
    if (!complete) this.redraw()
    else if (this.#page?.loaded && !this.#pictured) {
      this.#pictured = true
      performance.mark('page-drawn') // measured by ./run bench
    }
  }

  #drawOver(now: number): void {
    this.#dirtyOver = false
    const context = this.#over.getContext('2d')!
    const ratio = this.#over.width / Math.max(1, this.view.width)
    const { scale, left, top } = this.view
    context.setTransform(1, 0, 0, 1, 0, 0)
    context.clearRect(0, 0, this.#over.width, this.#over.height)
    context.setTransform(scale * ratio, 0, 0, scale * ratio, left * ratio, top * ratio)
    const page = this.#page
    if (!page) return
    const overlay = new Overlay(context, scale)
    drawBays(overlay, this.session, this.session.pages.bay)
    if (this.session.classroom.writersShown) this.#drawWriters(overlay, page)
    this.#drawSetAside(overlay, page.head.id)
    const wet = this.traces.drawWet(overlay, now, page.head.id)
    const waiting = new Set(this.session.board.replica.unconfirmed.map(({ id }) => id))
    this.#lingering = this.#lingering.filter(({ step }) => waiting.has(step))
    for (const { draw } of this.#lingering) draw(overlay)
    this.#drawReading(overlay)
    this.#drawMoving(overlay, now, page)
    this.#drawInstruments(overlay, page.head.id)
    this.#drawBeyond(overlay, now, page.head.id)
    this.gestures.draw(overlay)
    if (this.traces.drawPointers(overlay, now, page.head.id)) this.redrawOver()
    if (wet) setTimeout(() => this.redrawOver(), 1_000)
  }

  /** What the chosen ink reads as, below it, before anything is changed; a mind map is not read in lines. */
  #drawReading(overlay: Overlay): void {
    const { readings, ids } = this.session.selection
    if (!readings || !ids.size) return
    const maths = this.session.rights.may('add_formula')
    const [first] = conversionsOf(readings, { maths, lines: false })
    if (first === 'asEach') {
      const { texts, formulas } = readings.pieces!
      for (const line of texts.flat()) overlay.ghost(line)
      for (const { read, box } of formulas) {
        const [minX, minY, maxX, maxY] = box
        overlay.ghostFormula(read, { minX, minY, maxX, maxY })
      }
      return
    }
    const around = union(
      readings.lines.map(({ box: [minX, minY, maxX, maxY] }) => ({ minX, minY, maxX, maxY })),
    )
    if (first === 'asMaths' && around) overlay.ghostFormula(readings.formulas[0]!, around)
    else if (first === 'asText' || (first === 'asMap' && readings.mind_map!.of))
      for (const line of readings.lines) overlay.ghost(line)
  }

  #drawMoving(overlay: Overlay, now: number, page: Page): void {
    for (const [id, { at, ...moved }] of this.#moving) {
      const item = page.entries.get(id)?.item
      if (now - at > MOVING_MS) this.#moving.delete(id)
      else if (item?.kind === 'graph' && moved.page === page.head.id) {
        overlay.instead({ ...item, ...moved })
        // What lies on it stays on it.
        const above = page.at(itemBox(item)).filter((entry) => entry.item.z > item.z)
        overlay.items(above.slice(0, MOST_ABOVE).map((entry) => entry.item))
      }
    }
    if (this.#moving.size) setTimeout(() => this.redrawOver(), MOVING_MS)
  }

  #drawInstruments(overlay: Overlay, pageId: string): void {
    const { people } = this.session
    for (const { seat, lay } of this.traces.laidOn(pageId))
      for (const each of lay.instruments)
        overlay.instrument(each, this.measure, { mine: false, name: people.nameOf(seat) })
    for (const each of this.instruments.laid) overlay.instrument(each, this.measure, { swept: each.swept })
  }

  /** Who writes or points outside what is seen is hinted at the edge. */
  #drawBeyond(overlay: Overlay, now: number, pageId: string): void {
    const { minX, minY, maxX, maxY } = this.view.box()
    const inset = EDGE_PX / this.view.scale
    for (const [seat, { x, y }] of this.traces.places(now, pageId)) {
      if (seat === this.session.rights.me || (x >= minX && x <= maxX && y >= minY && y <= maxY)) continue
      const at = [
        Math.min(Math.max(x, minX + inset), maxX - inset),
        Math.min(Math.max(y, minY + inset), maxY - inset),
      ] as const
      const { people } = this.session
      overlay.beyond(...at, Math.atan2(y - at[1], x - at[0]), people.nameOf(seat), people.colourOf(seat))
    }
  }

  /** Each thing's writer; with one writer chosen, all others' things are pale. */
  #drawWriters(overlay: Overlay, page: Page): void {
    const { onlyBy } = this.session.classroom
    const { minX, minY, maxX, maxY } = this.view.box()
    const seen = page.at({ minX, minY, maxX, maxY })
    if (onlyBy) overlay.veil(seen.map(({ item }) => item).filter(({ by }) => by !== onlyBy))
    for (const entry of seen.slice(0, MOST_WRITERS)) {
      const { by } = entry.item
      if (!onlyBy || by === onlyBy)
        overlay.writer(entry, this.session.people.nameOf(by), this.session.people.colourOf(by))
    }
  }

  #drawSetAside(overlay: Overlay, pageId: string): void {
    const items: Item[] = this.session.board.replica.setAside.flatMap(({ request }) =>
      request.step === 'add_items' && request.page === pageId ? request.items : [],
    )
    if (items.length) overlay.setAside(items, items.map(itemBox))
  }
}
