/** The board in this browser: its replica, what of ours waits or was set aside, and how far back we can go. */
import { Replica, type SetAside } from '../board/replica'
import type { Logged, Request, Welcome } from '../wire/generated'
import { Unsent } from '../wire/unsent'

export interface BoardCopyEvents {
  /** Pages, items, or what is waiting or set aside has changed. */
  changed(): void
  landed(logged: Logged): void
  send(id: string, request: Request): void
  gap(): void
}

export class BoardCopy {
  readonly replica: Replica
  /** Counts changes, for what is drawn from the board outside the surface. */
  version = $state.raw(0)
  waiting = $state.raw(0)
  setAside = $state.raw<SetAside[]>([])
  undos = $state.raw(0)
  redos = $state.raw(0)
  #unsent: Unsent | null = null

  constructor(events: BoardCopyEvents) {
    this.replica = new Replica({
      ...events,
      changed: () => {
        this.waiting = this.replica.unconfirmed.length
        this.setAside = this.replica.setAside
        events.changed()
        this.version++
      },
      waits: (id, request, sentence) => void this.#unsent?.put({ id, request, sentence }),
      settled: (id) => void this.#unsent?.drop(id),
    })
  }

  /** What was done a moment ago has no answer yet, and is there to be taken back. */
  get mayUndo(): boolean {
    return this.undos > 0 || this.waiting > 0
  }

  welcome(welcome: Welcome): void {
    this.replica.welcome(welcome)
    // Steps that were missed are counted in these already.
    this.undos = welcome.undos
    this.redos = welcome.redos
    if (!this.#unsent) void this.#remember(welcome.board.id, welcome.seat)
  }

  /** What an earlier visit, or a tab that was closed, could not send. */
  async #remember(board: string, seat: string): Promise<void> {
    this.#unsent = new Unsent(board, seat)
    this.replica.remember(await this.#unsent.all())
  }

  /** A step of our own has landed. */
  count(how: Logged['how']): void {
    if (how === 'do') [this.undos, this.redos] = [this.undos + 1, 0]
    else if (how === 'undo') [this.undos, this.redos] = [this.undos - 1, this.redos + 1]
    else [this.undos, this.redos] = [this.undos + 1, this.redos - 1]
  }
}
