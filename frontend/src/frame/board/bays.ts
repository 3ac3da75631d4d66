/** Bays drawn over the page: whose they are, and which are one's own to write in. */
import { bayBox } from '../../board/bays'
import type { Overlay } from '../../board/overlay'
import type { Session } from '../../lesson/session.svelte'
import type { Bay } from '../../wire/generated'
import { t } from '../../words/words.svelte'

/** Whose it is to write in a bay. */
export function whose(bay: Bay, session: Session): string {
  switch (bay.rule) {
    case 'tutor_side':
      return t('bay-tutor-only')
    case 'open':
      return t('bay-open-to-all')
    case 'people':
      return bay.people.map((seat) => session.people.nameOf(seat)).join(', ') || t('bay-nobody-yet')
    case 'page':
      return ''
  }
}

export function drawBays(overlay: Overlay, session: Session, chosen: string): void {
  const head = session.pages.now?.head
  for (const bay of head?.bays ?? []) {
    const writing = session.rights.standing?.bays.find((known) => known.bay === bay.id)?.writing
    const mine = session.people.role === 'student' && (writing?.allowed ?? false)
    overlay.bay(bayBox(bay), bay.title, whose(bay, session), mine, bay.id === chosen)
  }
}
