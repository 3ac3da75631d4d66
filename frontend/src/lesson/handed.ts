/** Pages handed out to desks: who has one, who gets one, and what the tutor side leaves there. */
import { freeNear } from '../board/beside'
import { union, type Box } from '../board/box'
import type { Page } from '../board/page'
import { newNote, NOTE_SIZE } from '../board/text'
import { newId } from '../wire/codec'
import { MAX_TITLE, type PageHead, type Person } from '../wire/generated'
import type { Inside } from './inside'

/** A page that was handed out ("" when that is not known), and its desks in the board's order. */
export interface Handed {
  from: string
  title: string
  desks: PageHead[]
}

/** Room around a note, in board units, and what an empty endless page shows. */
const GAP = 24
const EMPTY_PAGE = { minX: 0, minY: 0, maxX: 1000, maxY: 620 }

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
  const work = workOf(page)
  const corner: [number, number] = page.sheet
    ? [page.sheet.maxX - width - GAP, page.sheet.minY + GAP]
    : [work.maxX + GAP, work.minY]
  const [x, y] = freeNear(page, corner, [width, height], GAP)
  const writer = { seat: rights.me, name: people.of(rights.me)?.name ?? '' }
  const note = newNote(writer, text, x, y, tools.noteColour)
  inside.do({ step: 'add_items', page: page.head.id, items: [note] })
}

/** The part of a page that is looked at when all of it is. */
export function workOf(page: Page): Box {
  return page.sheet ?? union([...page.entries.values(), EMPTY_PAGE])!
}
