/** What the parts of a session know of it: who looks, what they see, and how to act and speak. */
import type {
  BoardCard,
  Item,
  Laid,
  Lead,
  Logged,
  Pointing,
  Request,
  Slide,
  Sliding,
  WetInk,
} from '../wire/generated'
import type { Box } from '../board/box'
import type { Line } from '../wire/socket'
import type { BoardCopy } from './board-copy.svelte'
import type { Pages } from './pages.svelte'
import type { People } from './people.svelte'
import type { Rights } from './rights.svelte'
import type { Tools } from './tools.svelte'

/** What the board's surface wants to hear of. */
export interface SurfaceEvents {
  wet(wet: WetInk[]): void
  pointing(pointing: Pointing[]): void
  /** Come in, or in again: what others have laid down, and they hear what we have. */
  cameIn(laid: Laid[]): void
  laid(laid: Laid[]): void
  slid(sliding: Sliding[]): void
  moving(slide: Omit<Slide, 'type'>): void
  landed(logged: Logged): void
  changed(): void
  /** The page is about to be turned: what is being written on it stays there. */
  turning(): void
  /** Whether the pen is on the paper. */
  readonly writing: boolean
  readonly looking: {
    /** Show this part of the page. */
    lead(box: Lead['box']): void
    /** The part of the page that is seen. */
    seen(): Lead['box']
    /** Bring a part of the page into sight with as little way as there is. */
    reach(box: Box): void
  }
}

export type Door = 'tutor' | 'student' | 'onlooker'

export interface Inside {
  readonly door: Door
  readonly rights: Rights
  readonly people: People
  readonly board: BoardCopy
  readonly pages: Pages
  readonly tools: Tools
  readonly surface: SurfaceEvents | null
  /** The board's id, "" before it is there. */
  readonly boardId: string
  /** The boards of the room. */
  readonly boards: BoardCard[]
  /** Take a step; its id, "" when nothing may be done just now. */
  do(request: Request): string
  /** Send now, or not at all. */
  send(message: Parameters<Line['send']>[0]): boolean
  /** A sentence for a while over the sill. */
  say(sentence: string): void
  /** A sentence that stays there until it was read. */
  warn(sentence: string): void
  /** Choose what is being made, as soon as it is there, if it is on the page that is looked at. */
  chooseMade(items: Item['id'][], page?: string): void
}
