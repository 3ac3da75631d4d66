/** What people do on the board before or beside writing on it: ink that is still wet, and pointers. */
import { unpackSamples } from '../ink/samples'
import type { Item, Laid, Point, WetInk } from '../wire/generated'
import { RING_MS, TRAIL_MS, type Overlay, type Trail } from './overlay'
import type { OthersStroke } from './wet'

/** Ink of others that has gone silent for this long will not become a stroke any more. */
const WET_SILENCE_MS = 12_000

export class Traces {
  /** Whether an arrow points anywhere on the board. */
  hasArrows = $state.raw(false)
  #wet = new Map<string, OthersStroke>()
  #laid = new Map<string, Laid>()
  #trails = new Map<string, Trail>()
  #rings: { page: string; x: number; y: number; at: number }[] = []
  #arrows = new Map<string, { page: string; x: number; y: number; name: string; colour?: string }>()

  /** More of others' wet ink; our own, of ``connection``, is drawn as it is written. */
  wet(all: WetInk[], ours: string): void {
    for (const { connection, seat, wet } of all) {
      if (connection === ours) continue
      if (wet.over) {
        this.#wet.delete(wet.id)
        continue
      }
      let stroke = this.#wet.get(wet.id)
      if (!stroke) {
        const { nib, colour, width, opacity, ends } = wet
        const look = { nib, colour, width, opacity, ends }
        this.#wet.set(wet.id, (stroke = { page: wet.page, seat, look, samples: [], heardAt: 0 }))
      }
      // A part that was missed leaves a straight piece, until the stroke itself comes.
      stroke.samples.push(...unpackSamples(wet.samples))
      stroke.heardAt = performance.now()
    }
  }

  /** Others' instruments as they lie now; ours, of ``connection``, are drawn as they are used. */
  laid(all: Laid[], ours: string): void {
    for (const each of all) {
      if (each.lay.instruments.length && each.connection !== ours) this.#laid.set(each.connection, each)
      else this.#laid.delete(each.connection)
    }
  }

  forgetLaid(): void {
    this.#laid.clear()
  }

  /** Those who have laid instruments on a page. */
  laidOn(pageId: string): Laid[] {
    return [...this.#laid.values()].filter(({ lay }) => lay.page === pageId)
  }

  /** What was wet is on the board now. */
  dried(items: Item[]): void {
    for (const item of items) this.#wet.delete(item.id)
  }

  /** A pointer's place, and that it fades; or an arrow that stays until it is cleared. */
  point(seat: string, point: Point, name: string, colour?: string): void {
    const { page, x, y, on, stay } = point
    if (stay) {
      if (on) this.#arrows.set(seat, { page, x, y, name, colour })
      else this.#arrows.delete(seat)
      this.hasArrows = this.#arrows.size > 0
      return
    }
    const trail = this.#trails.get(seat) ?? { name, colour, page, points: [], on: false }
    // A press is seen as a ring, also when the pointer is not moved.
    if (on && !trail.on) this.#rings.push({ page, x, y, at: performance.now() })
    trail.on = on
    if (on) {
      trail.page = page
      trail.points.push({ x, y, at: performance.now() })
    }
    this.#trails.set(seat, trail)
  }

  /** Draw others' wet ink on a page; whether there is any, which must be looked at again later. */
  drawWet(overlay: Overlay, now: number, pageId: string): boolean {
    for (const [id, stroke] of this.#wet) {
      if (now - stroke.heardAt > WET_SILENCE_MS) this.#wet.delete(id)
      else if (stroke.page === pageId) overlay.wet(stroke.samples, stroke.look)
    }
    return this.#wet.size > 0
  }

  /** Where others write or point on a page just now, by seat. */
  places(now: number, pageId: string): Map<string, { x: number; y: number }> {
    const found = new Map<string, { x: number; y: number }>()
    for (const { page, seat, samples, heardAt } of this.#wet.values()) {
      const last = samples.length - 4
      if (page === pageId && last >= 0 && now - heardAt < 2 * TRAIL_MS)
        found.set(seat, { x: samples[last]!, y: samples[last + 1]! })
    }
    for (const [seat, { page, points }] of this.#trails) {
      const last = points.at(-1)
      if (page === pageId && last) found.set(seat, last)
    }
    return found
  }

  /** Draw the pointers on a page; whether one is still fading. */
  drawPointers(overlay: Overlay, now: number, pageId: string): boolean {
    for (const arrow of this.#arrows.values()) if (arrow.page === pageId) overlay.arrow(arrow)
    this.#rings = this.#rings.filter(({ at }) => now - at < RING_MS)
    for (const ring of this.#rings) if (ring.page === pageId) overlay.ring(ring, (now - ring.at) / RING_MS)
    let fading = this.#rings.length > 0
    for (const [seat, trail] of this.#trails) {
      trail.points = trail.points.filter(
        (point, i) => now - point.at < TRAIL_MS || (trail.on && i === trail.points.length - 1),
      )
      if (!trail.points.length) this.#trails.delete(seat)
      else if (trail.page === pageId) overlay.trail(trail, now)
      fading ||= trail.points.some((point) => now - point.at < TRAIL_MS)
    }
    return fading
  }
}
