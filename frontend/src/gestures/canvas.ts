/** What gestures know of the surface that they happen on. */
import type { Overlay } from '../board/overlay'
import type { Instruments } from '../board/instruments/instruments.svelte'
import type { Measure } from '../board/instruments/measure'
import type { View } from '../board/view.svelte'
import type { Looking } from './looking.svelte'
import type { Session } from '../lesson/session.svelte'
import type { Point } from '../wire/generated'

export interface Canvas {
  readonly session: Session
  readonly view: View
  readonly looking: Looking
  readonly instruments: Instruments
  /** How lengths are measured on this page. */
  readonly measure: Measure
  /** Something that a gesture has shown stays until the server has answered its step. */
  linger(step: string, draw: (overlay: Overlay) => void): void
  /** Show where our own pointer is. */
  point(seat: string, point: Point): void
  redrawOver(): void
}
