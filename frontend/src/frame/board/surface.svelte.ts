/**
 * The board on the screen: the page from tiles on one canvas, what is wet or chosen on another over it.
 * Pictures are drawn only when something has changed, at most once a frame.
 */
import type { SurfaceEvents } from '../../lesson/inside'
import type { Session } from '../../lesson/session.svelte'
import type {
  GraphItem,
  InstrumentKind,
  Item,
  Laid,
  Lead,
  Logged,
  Point,
  Pointing,
  Slide,
  Sliding,
  WetInk,
} from '../../wire/generated'
import { itemBox, union } from '../../board/box'
import { bayBox } from '../../board/bays'
import { Gestures } from '../../gestures/gestures'
import { drawBays } from './bays'
import { Overlay } from '../../board/overlay'
import type { Page } from '../../board/page'
import { arrivals } from '../../board/pictures'
import { Instruments } from '../../board/instruments/instruments.svelte'
import { measureOf, type Measure } from '../../board/instruments/measure'
import { TileLayer } from '../../board/tiles'
import { FIRST_PAPER } from '../../lesson/papers'
import { keepPlace, placeOf, type Place } from '../../lesson/places'
import { Traces } from '../../board/traces.svelte'
import { View } from '../../board/view.svelte'

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
const LARGEST_FIT = 4
const MOST_CLOSER = 3
/** A graph of which nothing is heard for so long is not moved any more. */
const MOVING_MS = 4_000
const MOST_ABOVE = 200
const SMALL_CHANGE_PX = 90
const ROLL_TOP_PX = 24
/** So much of the paper stays in sight, and so many windows an endless one may be left by. */
/** Hints stand so far inside the edge. */
const EDGE_PX = 22
const IN_SIGHT_PX = 80
const BEYOND = 0.75
const REMEMBER_MS = 400
const EMPTY_PAGE = { minX: 0, minY: 0, maxX: 1000, maxY: 620 }

export class Surface implements SurfaceEvents {
  readonly session: Session
  readonly view = new View()
  readonly instruments: Instruments
  readonly traces = new Traces()
  readonly gestures: Gestures
  #base: HTMLCanvasElement
  #over: HTMLCanvasElement
  #tiles: TileLayer | null = null
  #page: Page | undefined
  #places = new Map<string, Place>()
  /** What a gesture has shown stays until the server has answered its step. */
  #lingering: { step: string; draw: (overlay: Overlay) => void }[] = []
  #dirtyBase = true
  #dirtyOver = true
  #frame = 0
  #zoomedAt = 0
  #pictured = false
  #drawnScale = 0
  #resize: ResizeObserver

  constructor(session: Session, base: HTMLCanvasElement, over: HTMLCanvasElement) {
    this.session = session
    this.#base = base
    this.#over = over
    this.instruments = new Instruments((lay) => session.send({ type: 'lay', ...lay }))
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
    clearTimeout(this.#remembering)
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

  changed(): void {
    const page = this.session.pages.now
    if (page !== this.#page) this.#turnTo(page)
    else if (this.view.whole && page?.loaded && this.#fitted !== paperOf(page)) this.fitPage()
    this.redrawOver()
  }

  // Views

  fitPage(): void {
    const page = this.#page
    if (!page) return
    this.#leave()
    const paper = page.head.paper
    if (paper.kind === 'sheet') {
      this.view.fit(page.sheet!, 2)
    } else if (paper.kind === 'roll') {
      // A roll is read from its top, as wide as the window.
      this.view.fit({ minX: 0, minY: 0, maxX: paper.width, maxY: 1 }, 2)
      this.view.top = ROLL_TOP_PX
    } else {
      // An endless page begins as a screenful at its true size; work beyond it is brought into view.
      const work = union([...page.entries.values(), ...page.head.bays.map(bayBox), EMPTY_PAGE])!
      this.view.fit(work)
    }
    this.#fitted = page.loaded ? paperOf(page) : ''
    this.redraw()
  }
  /** The paper that the view was fitted to, once its work was there. */
  #fitted = ''

  lead([x0, y0, x1, y1]: Lead['box']): void {
    this.view.show({ minX: x0, minY: y0, maxX: x1, maxY: y1 })
    this.#jumped()
  }

  seen(): Lead['box'] {
    const { minX, minY, maxX, maxY } = this.view.box()
    return [minX, minY, maxX, maxY]
  }

  /** Who is kept at a view may look closer, but not elsewhere. */
  #stayWithin(): void {
    const { held } = this.session.attention
    if (!held) return
    const [minX, minY, maxX, maxY] = held.box
    this.view.stayWithin({ minX, minY, maxX, maxY }, MOST_CLOSER)
  }

  /** Half a screen further down: the old work stays in sight above. */
  halfPage(): void {
    this.pan(0, -this.view.height / 2)
  }

  /** The middle of what is seen, in page units. */
  middle(): [number, number] {
    return this.view.toPage(this.view.width / 2, this.view.height / 2)
  }

  /** Bring what is chosen into view. */
  fitSelection(): void {
    const box = this.session.selection.box()
    if (!box) return
    this.#leave()
    this.view.fit(box, LARGEST_FIT)
    this.#jumped()
  }

  /** As wide as the page's paper, or its work, from where it is looked at. */
  fitWidth(): void {
    const page = this.#page
    if (!page) return
    this.#leave()
    const box = page.sheet ?? union([...page.entries.values(), EMPTY_PAGE])!
    const { top, scale } = this.view
    this.view.fit({ ...box, minY: 0, maxY: 1 }, LARGEST_FIT)
    this.view.top = (top * this.view.scale) / scale
    this.#jumped()
  }

  /** To a scale of ``scale`` screen px for a board unit, about the middle. */
  zoomTo(scale: number): void {
    if (!Number.isFinite(scale)) return
    this.#leave()
    this.zoom(scale / this.view.scale)
  }

  get canGoBack(): boolean {
    return this.#last !== null
  }

  /** Back to where the page was looked at before the last jump. */
  goBack(): void {
    const last = this.#last
    if (!last) return
    this.#leave()
    Object.assign(this.view, last)
    this.#jumped()
  }

  #last = $state.raw<{ scale: number; left: number; top: number } | null>(null)

  #leave(): void {
    const { scale, left, top } = this.view
    this.#last = { scale, left, top }
  }

  #jumped(): void {
    this.view.whole = false
    this.#zoomedAt = performance.now()
    this.redraw()
  }

  zoom(factor: number, x?: number, y?: number): void {
    this.session.attention.moved()
    this.view.zoom(factor, x, y)
    this.#keepPaper()
    this.#stayWithin()
    this.#zoomedAt = performance.now()
    this.redraw()
  }

  pan(dx: number, dy: number): void {
    this.session.attention.moved()
    this.view.pan(dx, dy)
    this.#keepPaper()
    this.#stayWithin()
    this.redraw()
  }

  linger(step: string, draw: (overlay: Overlay) => void): void {
    this.#lingering.push({ step, draw })
  }

  /** Lay an instrument on the page, or take it away. */
  toggle(kind: InstrumentKind): void {
    const { minX, minY, maxX, maxY } = this.view.box()
    this.instruments.toggle(kind, [(minX + maxX) / 2, (minY + maxY) / 2], maxX - minX)
    this.redrawOver()
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

  /** After a reload the page is looked at as it was. */
  #rememberSoon(): void {
    clearTimeout(this.#remembering)
    this.#remembering = setTimeout(() => {
      const page = this.#page?.head.id
      const { scale, left, top, whole } = this.view
      if (page) keepPlace(this.session.boardId, page, { scale, left, top, whole })
    }, REMEMBER_MS)
  }
  #remembering: ReturnType<typeof setTimeout> | undefined

  /** The paper is never lost: a part of what is on it, or of its sheet, stays in sight. */
  #keepPaper(): void {
    const page = this.#page
    if (!page) return
    const { view } = this
    const box = page.sheet ?? union([...page.entries.values(), EMPTY_PAGE])!
    // An endless page grows wherever one goes: it may be left by most of a window.
    const [beyondX, beyondY] = page.sheet ? [0, 0] : [BEYOND * view.width, BEYOND * view.height]
    view.left = Math.min(
      Math.max(view.left, IN_SIGHT_PX - beyondX - box.maxX * view.scale),
      view.width - IN_SIGHT_PX + beyondX - box.minX * view.scale,
    )
    view.top = Math.min(
      Math.max(view.top, IN_SIGHT_PX - beyondY - box.maxY * view.scale),
      view.height - IN_SIGHT_PX + beyondY - box.minY * view.scale,
    )
  }

  // Drawing

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
    if (this.view.whole && moved) this.fitPage()
    this.redraw()
  }

  #turnTo(page: Page | undefined): void {
    if (this.#page) {
      const { scale, left, top, whole } = this.view
      this.#places.set(this.#page.head.id, { scale, left, top, whole })
    }
    this.#tiles?.detach()
    this.#page = page
    this.instruments.onPage(page?.head.id ?? '')
    this.#pictured = false
    this.#tiles = page ? new TileLayer(page) : null
    if (this.#tiles) this.#tiles.onchange = () => this.redraw()
    const place = page && (this.#places.get(page.head.id) ?? placeOf(this.session.boardId, page.head.id))
    if (place && !place.whole) {
      Object.assign(this.view, place)
    } else {
      this.view.whole = true
      this.fitPage()
    }
    this.redraw()
  }

  #draw(now: number): void {
    this.#frame = 0
    if (this.#dirtyBase) this.#drawBase(now)
    if (this.#dirtyOver) this.#drawOver(now)
  }

  #drawBase(now: number): void {
    this.#dirtyBase = false
    this.#rememberSoon()
    this.session.attention.viewMoved()
    const context = this.#base.getContext('2d', { alpha: false })!
    const ratio = this.#base.width / Math.max(1, this.view.width)
    const scale = this.view.scale * ratio
    const settled = now - this.#zoomedAt > SETTLE_MS || this.#drawnScale === 0
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
    // What the chosen ink reads as, beside it, before anything is changed; a mind map is not read in lines.
    const { readings } = this.session.selection
    const asMap = readings?.mind_map && !readings.mind_map.of
    if (readings && !readings.figure_first && !asMap && this.session.selection.ids.size)
      for (const { rivals, box } of readings.lines) overlay.ghost(rivals[0]!.text, box)
    this.#drawMoving(overlay, now, page)
    this.#drawInstruments(overlay, page.head.id)
    this.#drawBeyond(overlay, now, page.head.id)
    this.gestures.draw(overlay)
    if (this.traces.drawPointers(overlay, now, page.head.id)) this.redrawOver()
    if (wet) setTimeout(() => this.redrawOver(), 1_000)
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

  /** Show the bay ``step`` places further. */
  nextBay(step: number): void {
    const bays = this.#page?.head.bays ?? []
    if (!bays.length) return
    const at = bays.findIndex(({ id }) => id === this.session.pages.bay)
    const next = bays[(at < 0 ? (step > 0 ? 0 : bays.length - 1) : at + step + bays.length) % bays.length]!
    this.session.pages.bay = next.id
    this.#leave()
    this.view.fit(bayBox(next), LARGEST_FIT)
    this.#jumped()
  }

  #drawSetAside(overlay: Overlay, pageId: string): void {
    const items: Item[] = this.session.board.replica.setAside.flatMap(({ request }) =>
      request.step === 'add_items' && request.page === pageId ? request.items : [],
    )
    if (items.length) overlay.setAside(items, items.map(itemBox))
  }
}

/** What of a page's paper decides how it is fitted into the window. */
function paperOf({ head: { paper } }: Page): string {
  return `${paper.kind} ${paper.width} ${paper.height}`
}
