/** Who looks at this page, and what they may do on it, as the server's rule book says. */
import type { Action, Item, SeenAs, Standing } from '../wire/generated'
import { t, told } from '../words/words.svelte'

const MAKING: readonly Action[] = [
  'add_ink',
  'add_text',
  'add_formula',
  'add_note',
  'add_shape',
  'add_picture',
  'change',
  'remove',
  'point',
]

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

  /** Whether anything at all may be put on the page, or moved there. */
  get makes(): boolean {
    return MAKING.some((action) => this.may(action))
  }

  /** Why writing is not allowed. */
  get reason(): string {
    return this.standing ? told(this.standing.writing.sentence) : t('fetching-board')
  }
}
