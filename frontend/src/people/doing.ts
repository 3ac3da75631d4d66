/** What a person is and does just now, in few words. */
import type { Session } from '../lesson/session.svelte'
import type { Caller, Person } from '../wire/generated'
import { elapsed } from '../words/time'
import { t, type Plain } from '../words/words.svelte'
import { HAND_WORDS } from './hands'

export const ROLES: Record<Person['role'], Plain> = {
  tutor: 'role-tutor',
  helper: 'role-helper',
  student: 'role-student',
  onlooker: 'role-onlooker',
}
const TRAVEL: Record<Exclude<Person['travel'], 'good'>, Plain> = {
  slow: 'line-slow',
  poor: 'line-poor',
  flooding: 'line-flooding',
}

const TROUBLE: Record<Exclude<Caller['trouble'], ''>, Plain> = {
  no_voice: 'call-trouble-voice',
  silent: 'call-trouble-silent',
  no_face: 'call-trouble-face',
  no_way: 'call-trouble-way',
}

/** Whether a student may write by the lesson: pens are up and not withheld, or theirs was passed. */
export function holdsPen({ lesson }: Session, { seat, role }: Person): boolean {
  const facts = lesson?.facts
  if (!facts?.open || facts.paused || role !== 'student') return false
  if (facts.mode === 'up') return !facts.withheld.includes(seat)
  return facts.mode === 'passed' && facts.passed.some((pen) => pen.seat === seat)
}

/** What is worth knowing, the most pressing first: “hand up, first · on page 2”. */
export function doing(session: Session, person: Person, now: number): string {
  const { lesson, pages, classroom } = session
  const hand = lesson?.hands.indexOf(person.seat) ?? -1
  const word = lesson?.words.find(([seat]) => seat === person.seat)?.[1] ?? ''
  const passed = lesson?.facts.passed.find((pen) => pen.seat === person.seat)
  const trouble = session.call.callers.find(({ seat }) => seat === person.seat)?.trouble
  const page = pages.heads.findIndex((head) => head.id === person.page) + 1
  const board = session.boards.find(({ id }) => id === person.board)
  const parts = [
    person.role !== 'student' && t(ROLES[person.role]),
    classroom.writing.has(person.seat) && t('is-writing'),
    hand >= 0 && (word ? t(HAND_WORDS[word]) : t('hand-number', { place: hand + 1 })),
    holdsPen(session, person) &&
      (passed?.until_ms ? t('pen-still', { time: elapsed(passed.until_ms - now) }) : t('has-a-pen')),
    board && board.id !== session.welcome?.board.id
      ? t('on-board', { board: board.title })
      : page > 0 && person.page !== pages.id && t('on-page', { number: page }),
    session.attention.following === person.seat && t('whom-you-follow'),
    trouble && session.people.tutorSide && t(TROUBLE[trouble]),
    person.travel !== 'good' && t(TRAVEL[person.travel]),
  ]
  return parts.filter(Boolean).join(' · ') || t('is-here')
}
