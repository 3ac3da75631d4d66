/** Pages handed out to desks: who has one, who gets one, and what the tutor side leaves there. */
import { freeNear } from '../board/beside'
import type { Page } from '../board/page'
import { newNote, NOTE_SIZE } from '../board/text'
import { newId } from '../wire/codec'
import { MAX_TITLE, type Logged, type PageHead, type Person } from '../wire/generated'
import { t } from '../words/words.svelte'
import type { Inside } from './inside'

/** A page that was handed out ("" when that is not known), and its desks in the board's order. */
export interface Handed {
  from: string
  title: string
  desks: PageHead[]
}

/** Room around a note, in board units. */
const GAP = 24

/** What was handed out, by the first of its desks. */
export function handedOut(heads: readonly PageHead[]): Handed[] {
  const all = new Map<string, Handed>()
  for (const head of heads) {
    if (!head.desk_of) continue
    const from = head.desk_from
    const title = heads.find(({ id }) => id === from)?.title ?? ''
    const handed = all.get(from) ?? { from, title, desks: [] }
    handed.desks.push(head)
    all.set(from, handed)
  }
  return [...all.values()]
}

/** What a page, or the page of a desk, was handed out as; else what was handed out last. */
export function meant(all: readonly Handed[], page: string): Handed | undefined {
  return all.find(({ from, desks }) => from === page || desks.some(({ id }) => id === page)) ?? all.at(-1)
}

/** Students who are here and have no desk with this page; who got a desk before it was kept with what has one. */
export function deskless({ people, pages }: Inside, page: string): Person[] {
  const there = pages.heads.filter(({ desk_from }) => !desk_from || desk_from === page)
  return people.list.filter(
    ({ seat, role, tabs }) =>
      role === 'student' && tabs > 0 && !there.some(({ desk_of }) => desk_of === seat),
  )
}

/** A desk with this page for each student who has none; how many there are. */
export function handOut(inside: Inside, { id: page, title }: PageHead): number {
  const students = deskless(inside, page)
  // Each copy goes right behind the page: the last name first keeps them in order.
  for (const { seat, name } of students.toReversed()) {
    const named = (title ? `${name} · ${title}` : name).slice(0, MAX_TITLE)
    inside.do({ step: 'copy_page', page, id: newId(), title: named, desk_of: seat })
  }
  return students.length
}

/** A note in our name where a page has room for it: on a sheet in its corner, else beside what is there. */
export function noteOn(inside: Inside, page: Page, text: string): void {
  const { rights, people, tools } = inside
  const { width, height } = NOTE_SIZE
  const { sheet, whole } = page
  const corner: [number, number] = sheet
    ? [sheet.maxX - width - GAP, sheet.minY + GAP]
    : [whole.maxX + GAP, whole.minY]
  const [x, y] = freeNear(page, corner, [width, height], GAP)
  const writer = { seat: rights.me, name: people.of(rights.me)?.name ?? '' }
  const note = newNote(writer, text, x, y, tools.noteColour)
  inside.do({ step: 'add_items', page: page.head.id, items: [note] })
}

/** Who is handed a desk is told, and taken there unless ``held`` elsewhere; a note on it is told, too. */
export function heardOfDesk(inside: Inside, { step, by, how }: Logged, held: boolean): void {
  const { pages, people, rights } = inside
  if (how === 'undo' || by === rights.seat) return
  if (step.step === 'add_items' && step.items.some(({ kind }) => kind === 'note')) {
    const desk = pages.heads.find(({ id }) => id === step.page)
    if (desk?.desk_of === rights.seat) inside.say(t('note-on-your-desk', { name: people.nameOf(by) }))
  }
  if (step.step !== 'add_page' || step.head.desk_of !== rights.seat || held) return
  pages.turnNext(step.head.id)
  inside.say(t('your-desk'))
}
