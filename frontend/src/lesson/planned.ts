/** The pages that a lesson's plan names, put on the board that is opened for it. */
import { FIRST_PAPER, newHead } from './papers'
import type { Session } from './session.svelte'

export function addPlannedPages(session: Session): void {
  const known = new Set(session.pages.heads.map(({ title }) => title.trim().toLowerCase()))
  const missing = (session.lesson?.plan.pages ?? []).filter((title) => !known.has(title.toLowerCase()))
  const [only, ...others] = session.pages.heads
  let index = session.pages.heads.length
  if (missing.length && only && !others.length && !only.title && !session.pages.now?.entries.size) {
    // A board that was just begun has an empty page: it is the last of them.
    session.do({ step: 'edit_page', page: only.id, title: missing.pop()! })
    index = 0
  }
  // Each goes before the one after it: the first is added last, and is the one that is then shown.
  for (const title of missing.reverse()) {
    session.do({ step: 'add_page', head: newHead(title, only?.paper ?? FIRST_PAPER), index, items: [] })
  }
}
