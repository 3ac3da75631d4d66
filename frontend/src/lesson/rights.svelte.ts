/** Who looks at this page, and what they may do on it, as the server's rule book says. */
import type { Action, Item, SeenAs, Standing } from '../wire/generated'

export class Rights {
  /** This browser's own seat. */
  seat = $state.raw('')
  own = $state.raw<Standing | null>(null)
  /** The student whose eyes the tutor looks through. */
  as = $state.raw<SeenAs | null>(null)

  /** The seat that is looked from. */
  get me(): string {
    return this.as?.seat ?? this.seat
  }

  get standing(): Standing | null {
    return this.as?.standing ?? this.own
  }

  /** Whether an action is allowed: on ``item`` as it is, or to begin with something new. */
  may(action: Action, item?: Item): boolean {
    if (item?.locked && action !== 'lock') return false
    return item && item.by !== this.me
      ? this.mayOnOthers(action)
      : (this.standing?.allowed.includes(action) ?? false)
  }

  mayOnOthers(action: Action): boolean {
    return this.standing?.on_others.includes(action) ?? false
  }

  /** Why writing is not allowed. */
  get reason(): string {
    return this.standing?.writing.sentence ?? 'The board is not there yet.'
  }
}
