/** The order of people in their column. */
import type { Session } from '../lesson/session.svelte'
import type { Person } from '../wire/generated'
import { speech, type Plain } from '../words/words.svelte'

export type Sort = 'hand' | 'name' | 'page' | 'stroke'
export const SORTS: { value: Sort; word: Plain }[] = [
  { value: 'hand', word: 'sort-hand' },
  { value: 'name', word: 'sort-name' },
  { value: 'page', word: 'sort-page' },
  { value: 'stroke', word: 'sort-stroke' },
]

/** The tutor side first, onlookers last; students between by what was asked for, and then as they came. */
export function ranked(people: readonly Person[], sort: Sort, session: Session): Person[] {
  const hands = session.lesson?.hands ?? []
  const ends = { tutor: -2, helper: -1, student: 0, onlooker: 1 }
  const value = (person: Person): number => {
    if (sort === 'hand') return hands.includes(person.seat) ? hands.indexOf(person.seat) : hands.length
    if (sort === 'page') return session.pages.heads.findIndex(({ id }) => id === person.page)
    return sort === 'stroke' ? -(session.classroom.lastStroke.get(person.seat) ?? 0) : 0
  }
  return people.toSorted(
    (a, b) =>
      ends[a.role] - ends[b.role] ||
      (sort === 'name' ? a.name.localeCompare(b.name, speech.locale) : value(a) - value(b)),
  )
}

/** ``people`` in the order that their rows had, ``before`` by their seats; who is new comes last. */
export function unmoved(people: readonly Person[], before: readonly string[]): Person[] {
  const place = new Map(before.map((seat, at) => [seat, at]))
  const last = before.length
  return people.toSorted((a, b) => (place.get(a.seat) ?? last) - (place.get(b.seat) ?? last))
}
