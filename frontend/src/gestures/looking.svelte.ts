/** Where on its page the board is looked at: moved by hand, by keys and buttons, and by the tutor. */
import { bayBox } from '../board/bays'
import { union, type Box } from '../board/box'
import { EMPTY_PAGE, type Page } from '../board/page'
import { View } from '../board/view.svelte'
import { keepPlace, placeOf, type Place } from '../lesson/places'
import type { Session } from '../lesson/session.svelte'
import type { Lead } from '../wire/generated'

const LARGEST_FIT = 4
const MOST_CLOSER = 3
const ROLL_TOP_PX = 24
/** So much of the paper stays in sight, and so many windows an endless one may be left by. */
const [IN_SIGHT_PX, BEYOND] = [80, 0.75]
const REMEMBER_MS = 400

export class Looking {
  readonly view = new View()
  /** When it last came closer or went further away, in ms of the page's clock. */
  zoomedAt = 0
  #page: Page | undefined
  #places = new Map<string, Place>()
  #before = $state.raw<Omit<Place, 'whole'> | null>(null)
  /** The paper that the view was fitted to, once its work was there. */
  #fitted = ''
  #remembering: ReturnType<typeof setTimeout> | undefined

  constructor(
    private session: Session,
    private redraw: () => void,
  ) {}

  /** To another page, where it was looked at last. */
  turnTo(page: Page | undefined): void {
    if (this.#page) this.#places.set(this.#page.head.id, this.#place())
    this.#page = page
    const place = page && (this.#places.get(page.head.id) ?? placeOf(this.session.boardId, page.head.id))
    if (place && !place.whole) Object.assign(this.view, place)
    else {
      this.view.whole = true
      this.fitPage()
    }
  }

  /** The page has changed, or come: seen whole, it is fitted anew. */
  pageChanged(): void {
    if (this.view.whole && this.#page?.loaded && this.#fitted !== paperOf(this.#page)) this.fitPage()
  }

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

  /** Show this part of the page. */
  lead([x0, y0, x1, y1]: Lead['box']): void {
    this.view.show({ minX: x0, minY: y0, maxX: x1, maxY: y1 })
    this.#jumped()
  }

  /** The part of the page that is seen. */
  seen(): Lead['box'] {
    const { minX, minY, maxX, maxY } = this.view.box()
    return [minX, minY, maxX, maxY]
  }

  /** The middle of what is seen, in page units. */
  middle(): [number, number] {
    return this.view.toPage(this.view.width / 2, this.view.height / 2)
  }

  /** Half a screen further down: the old work stays in sight above. */
  halfPage(): void {
    this.pan(0, -this.view.height / 2)
  }

  /** Bring what is chosen into view. */
  fitSelection(): void {
    const box = this.session.selection.box()
    if (!box) return
    this.#leave()
    this.view.fit(box, LARGEST_FIT)
    this.#jumped()
  }

  /** Bring a box into sight with as little way as there is. */
  reach(box: Box): void {
    const [dx, dy] = this.view.wayTo(box)
    if (!dx && !dy) return
    this.#leave()
    this.pan(dx, dy)
  }

  /** As wide as the page's paper, or its work, from where it is looked at. */
  fitWidth(): void {
    const page = this.#page
    if (!page) return
    this.#leave()
    const box = page.whole
    const { top, scale } = this.view
    this.view.fit({ ...box, minY: 0, maxY: 1 }, LARGEST_FIT)
    this.view.top = (top * this.view.scale) / scale
    this.#jumped()
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

  /** To a scale of ``scale`` screen px for a board unit, about the middle. */
  zoomTo(scale: number): void {
    if (!Number.isFinite(scale)) return
    this.#leave()
    this.zoom(scale / this.view.scale)
  }

  get canGoBack(): boolean {
    return this.#before !== null
  }

  /** Back to where the page was looked at before the last jump. */
  goBack(): void {
    const before = this.#before
    if (!before) return
    this.#leave()
    Object.assign(this.view, before)
    this.#jumped()
  }

  zoom(factor: number, x?: number, y?: number): void {
    this.session.attention.moved()
    this.view.zoom(factor, x, y)
    this.zoomedAt = performance.now()
    this.#moved()
  }

  pan(dx: number, dy: number): void {
    this.session.attention.moved()
    this.view.pan(dx, dy)
    this.#moved()
  }

  /** After a reload the page is looked at as it was. */
  rememberSoon(): void {
    clearTimeout(this.#remembering)
    this.#remembering = setTimeout(() => {
      if (this.#page) keepPlace(this.session.boardId, this.#page.head.id, this.#place())
    }, REMEMBER_MS)
  }

  forget(): void {
    clearTimeout(this.#remembering)
  }

  #place(): Place {
    const { scale, left, top, whole } = this.view
    return { scale, left, top, whole }
  }

  #leave(): void {
    const { scale, left, top } = this.view
    this.#before = { scale, left, top }
  }

  #jumped(): void {
    this.view.whole = false
    this.zoomedAt = performance.now()
    this.redraw()
  }

  #moved(): void {
    this.#keepPaper()
    this.#stayWithin()
    this.redraw()
  }

  /** Who is kept at a view may look closer, but not elsewhere. */
  #stayWithin(): void {
    const { held } = this.session.attention
    if (!held) return
    const [minX, minY, maxX, maxY] = held.box
    this.view.stayWithin({ minX, minY, maxX, maxY }, MOST_CLOSER)
  }

  /** The paper is never lost: a part of what is on it, or of its sheet, stays in sight. */
  #keepPaper(): void {
    const page = this.#page
    if (!page) return
    const { view } = this
    const box = page.whole
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
}

/** What of a page's paper decides how it is fitted into the window. */
function paperOf({ head: { paper } }: Page): string {
  return `${paper.kind} ${paper.width} ${paper.height}`
}
