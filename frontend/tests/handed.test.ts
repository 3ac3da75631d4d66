import { expect, test } from 'vitest'
import { head } from './stub'
import { Page } from '../src/board/page'
import { deskless, handedOut, handOut, meant, noteOn } from '../src/lesson/handed'
import type { Inside } from '../src/lesson/inside'
import type { NoteItem, PageHead, Person, Request } from '../src/wire/generated'

const desk = (id: string, of: string, from: string): PageHead => ({
  ...head(id),
  title: `${of} · Tasks`,
  writers: 'desk',
  desk_of: of,
  desk_from: from,
})
const person = (seat: string, role: Person['role'] = 'student', tabs = 1) =>
  ({ seat, name: seat, role, tabs }) as Person

function inside(heads: PageHead[], list: Person[]) {
  const asked: Request[] = []
  const session = {
    pages: { heads },
    people: { list, of: (seat: string) => list.find((one) => one.seat === seat) },
    rights: { me: 'imani' },
    tools: { noteColour: '#ffe9a8' },
    do: (request: Request) => (asked.push(request), 'step'),
  }
  return { session: session as unknown as Inside, asked }
}

test('desks stand with the page that was handed out, in the order of handing out', () => {
  const tasks = { ...head('page-tasks'), title: 'Tasks' }
  const heads = [
    tasks,
    desk('desk-1', 'noor', 'page-tasks'),
    desk('desk-2', 'elio', 'page-tasks'),
    desk('desk-3', 'noor', 'page-gone'),
    desk('desk-4', 'noor', ''),
  ]
  expect(handedOut(heads).map(({ from, title, desks }) => [from, title, desks.map(({ id }) => id)])).toEqual([
    ['page-tasks', 'Tasks', ['desk-1', 'desk-2']],
    ['page-gone', '', ['desk-3']],
    ['', '', ['desk-4']],
  ])
  const all = handedOut(heads)
  expect(meant(all, 'page-tasks')).toBe(all[0])
  expect(meant(all, 'desk-3')).toBe(all[1])
  expect(meant(all, 'page-other')).toBe(all[2])
  expect(meant([], 'page-other')).toBeUndefined()
})

test('a page goes to each student who is here and has none of it, and keeps their order', () => {
  const tasks = { ...head('page-tasks'), title: 'T'.repeat(80) }
  const people = [
    person('imani', 'tutor'),
    person('noor'),
    person('elio'),
    person('gone', 'student', 0),
    person('tomasz'),
  ]
  const heads = [tasks, desk('desk-1', 'noor', 'page-tasks'), desk('desk-2', 'elio', 'page-other')]
  const { session, asked } = inside(heads, people)
  expect(deskless(session, 'page-tasks').map(({ seat }) => seat)).toEqual(['elio', 'tomasz'])
  expect(handOut(session, tasks)).toBe(2)
  expect(
    asked.map((step) => step.step === 'copy_page' && [step.page, step.desk_of, step.title.length]),
  ).toEqual([
    ['page-tasks', 'tomasz', 80],
    ['page-tasks', 'elio', 80],
  ])
  // Whoever had a desk before it was kept what of has one of everything.
  const old = inside([tasks, desk('desk-1', 'noor', '')], people)
  expect(deskless(old.session, 'page-tasks').map(({ seat }) => seat)).toEqual(['elio', 'tomasz'])
})

test('a note lies in the corner of a sheet, below what is there already, and beside the work elsewhere', () => {
  const { session, asked } = inside([], [person('imani', 'tutor')])
  const first = head('desk-1')
  const sheet = new Page({ ...first, paper: { ...first.paper, kind: 'sheet', width: 800, height: 600 } })
  const endless = new Page(head('desk-2'))
  const put = (page: Page) => {
    noteOn(session, page, 'Well begun')
    const step = asked.at(-1)!
    return step.step === 'add_items' ? (step.items[0] as NoteItem) : null
  }
  const one = put(sheet)!
  expect([one.text, one.name, one.by, one.x, one.y]).toEqual(['Well begun', 'imani', 'imani', 586, 24])
  sheet.load([one])
  expect(put(sheet)!.y).toBe(24 + one.height + 24)
  expect(put(endless)!.x).toBe(1024)
})
