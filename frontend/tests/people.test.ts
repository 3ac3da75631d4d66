import fc from 'fast-check'
import { expect, test } from 'vitest'
import './stub'
import { People } from '../src/lesson/people.svelte'
import { Rights } from '../src/lesson/rights.svelte'
import type { Session } from '../src/lesson/session.svelte'
import { shortNames } from '../src/people/names'
import { ranked, unmoved, type Sort } from '../src/people/sort'
import { elapsed } from '../src/words/time'
import type { Person } from '../src/wire/generated'

const person = (seat: string, role: Person['role'] = 'student', page = 'page-one') =>
  ({ seat, name: seat, role, tabs: 1, page }) as Person

const session = (hands: string[], strokes: [string, number][] = []) =>
  ({
    lesson: { hands },
    pages: { heads: [{ id: 'page-one' }, { id: 'page-two' }] },
    classroom: { lastStroke: new Map(strokes) },
  }) as unknown as Session

const order = (people: Person[], sort: Sort, of: Session) => ranked(people, sort, of).map(({ seat }) => seat)

test('who was in company stays so when the others come back later', () => {
  const people = new People(new Rights())
  people.list = [person('imani', 'tutor')]
  expect(people.accompanied).toBe(false)
  people.list = [person('imani', 'tutor'), person('noor')]
  people.list = [person('imani', 'tutor')]
  expect(people.accompanied).toBe(true)
})

test('hands stand before the others, who raised theirs first before all', () => {
  const people = ['elio', 'noor', 'saskia', 'tomasz'].map((seat) => person(seat))
  expect(order(people, 'hand', session([]))).toEqual(['elio', 'noor', 'saskia', 'tomasz'])
  expect(order(people, 'hand', session(['tomasz']))).toEqual(['tomasz', 'elio', 'noor', 'saskia'])
  expect(order(people, 'hand', session(['saskia', 'noor']))).toEqual(['saskia', 'noor', 'elio', 'tomasz'])
})

test('by name, by page, and by who wrote last', () => {
  const people = [person('tomasz', 'student', 'page-two'), person('elio'), person('noor')]
  expect(order(people, 'name', session([]))).toEqual(['elio', 'noor', 'tomasz'])
  expect(order(people, 'page', session([]))).toEqual(['elio', 'noor', 'tomasz'])
  const wrote = session([], [['elio', 10], ['noor', 90]]) // prettier-ignore
  expect(order(people, 'stroke', wrote)).toEqual(['noor', 'elio', 'tomasz'])
})

test('rows that are held stay in their order, whoever is new comes last and whoever is gone leaves no gap', () => {
  const now = ['tomasz', 'elio', 'noor', 'saskia'].map((seat) => person(seat))
  const seats = unmoved(now, ['elio', 'lena', 'saskia', 'tomasz']).map(({ seat }) => seat)
  expect(seats).toEqual(['elio', 'saskia', 'tomasz', 'noor'])
})

test('whatever is asked for, the tutor side is first, onlookers are last and nobody is lost', () => {
  const role = fc.constantFrom<Person['role']>('tutor', 'helper', 'student', 'onlooker')
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.string({ minLength: 1, maxLength: 3 }), { maxLength: 12 }),
      fc.infiniteStream(role),
      fc.constantFrom<Sort>('hand', 'name', 'page', 'stroke'),
      (seats, roles, sort) => {
        const people = seats.map((seat) => person(seat, roles.next().value))
        const found = ranked(people, sort, session(seats.slice(0, 3)))
        const places = { tutor: 0, helper: 1, student: 2, onlooker: 3 }
        const ranks = found.map(({ role }) => places[role])
        expect(ranks).toEqual(ranks.toSorted((a, b) => a - b))
        expect(new Set(found.map(({ seat }) => seat))).toEqual(new Set(seats))
        expect(found.length).toBe(seats.length)
      },
    ),
  )
})

test('names that begin alike are told apart by their ends, and stand whole where these are alike, too', () => {
  const short = (...names: string[]) => [...shortNames(names).values()]
  expect(short('Noor', 'Tomasz')).toEqual(['Noor', 'Tomasz'])
  expect(short('Alexandra Komarova', 'Alexandra Petrossian')).toEqual([
    'Alexandr…omarova',
    'Alexandr…rossian',
  ])
  expect(short('Wairimu Alexandra Komarova', 'Elio')).toEqual(['Wairimu Alexandra Komarova', 'Elio'])
  const twins = ['Alexandra Anna Komarova', 'Alexandra Maria Komarova']
  expect(short(...twins)).toEqual(twins)
  fc.assert(
    fc.property(fc.uniqueArray(fc.string({ maxLength: 24 }), { maxLength: 8 }), (names) => {
      expect(new Set(short(...names)).size).toBe(names.length)
    }),
  )
})

test('a length of time is minutes and seconds, with hours from one on, and never less than nothing', () => {
  expect([0, 999, 61_000, 3_600_000, 3_661_000, -5].map(elapsed)).toEqual([
    '00:00',
    '00:00',
    '01:01',
    '1:00:00',
    '1:01:01',
    '00:00',
  ])
})
