import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { FakeSocket, head, PAGE, welcome } from './stub'
import { Editing } from '../src/lesson/editing.svelte'
import { Session } from '../src/lesson/session.svelte'
import { packSamples } from '../src/ink/samples'
import { MAX_READ } from '../src/wire/generated'
import type { InkItem, Request } from '../src/wire/generated'
import { Unsent } from '../src/wire/unsent'

let session: Session

function stroke(id: string): InkItem {
  const look = { nib: 'pen', colour: '#16222b', width: 3, opacity: 1, ends: 'none' } as const
  const own = { z: 0, group: '', by: 'seat-a', at_ms: 0, locked: false, pinned: false }
  const samples = packSamples([0, 0, 0.5, 0, 40, 0, 0.5, 9])
  return { kind: 'ink', id, x: 0, y: 0, map: [1, 0, 0, 1], ...own, ...look, samples }
}

const add = (id: string): Request => ({ step: 'add_items', page: PAGE, items: [stroke(id)] })

function come(more: object = {}): FakeSocket {
  const socket = FakeSocket.last
  socket.open()
  socket.hear(welcome(more))
  for (const page of [PAGE, 'page-two'])
    if (!('pages' in more)) socket.hear({ type: 'page_items', page, items: [], last: true })
  return socket
}

function land(socket: FakeSocket, seq: number, request: Request, more: object = {}): void {
  const logged = { seq, id: `step-${seq}`, by: 'seat-a', at_ms: 0, how: 'do', of: 0, step: request, ...more }
  socket.hear({ type: 'frame', steps: [logged] })
}

const asked = (socket: FakeSocket) =>
  socket.sent.flatMap((message) => (message.type === 'do' ? [message.request.step] : []))

/** What goes to the browser's store is there in a moment. */
const settled = () => new Promise((resolve) => setTimeout(resolve, 30))

beforeEach(() => {
  FakeSocket.all = []
  session = new Session('tutor', 'link', '')
})

afterEach(async () => {
  session.close()
  for (const { id } of await new Unsent('board-1', 'seat-a').all())
    await new Unsent('board-1', 'seat-a').drop(id)
})

describe('what is put on the board', () => {
  const long = (id: string, samples: number): InkItem => ({
    ...stroke(id),
    samples: packSamples(Array.from({ length: 4 * samples }, (_, i) => i % 97)),
  })

  test('goes in parts when it is much, in its order', () => {
    const socket = come()
    const items = Array.from({ length: 12 }, (_, i) => long(`long-${i}`, 8_000))
    session.do({ step: 'add_items', page: PAGE, items })
    const parts = socket.sent.flatMap((message) =>
      message.type === 'do' && message.request.step === 'add_items' ? [message.request.items] : [],
    )
    expect(parts.map((part) => part.length)).toEqual([4, 4, 4])
    expect(parts.flat().map(({ id }) => id)).toEqual(items.map(({ id }) => id))
  })

  test('is set aside when it is more than the server takes, and does not end the line again and again', async () => {
    const socket = come()
    session.do({ step: 'add_items', page: PAGE, items: [long('giant-01', 250_000)] })
    session.do(add('small-01'))
    await settled()
    expect(asked(socket)).toEqual(['add_items'])
    expect(session.board.setAside.map(({ request }) => request.step)).toEqual(['add_items'])
    expect(session.board.waiting).toBe(1)
    expect(session.notice).not.toBe('')
    session.board.replica.throwSetAside()
  })

  test('is read only as far as the server reads', () => {
    const socket = come()
    session.selection.askAbout(Array.from({ length: 9_000 }, (_, i) => `stroke-${i}`))
    const [read] = socket.sent.filter((message) => message.type === 'read')
    expect(read).toMatchObject({ ids: { length: MAX_READ + 1 } })
  })
})

describe('a question to everybody', () => {
  const check = (id: string) => ({
    id,
    question: 'Where is noon?',
    options: [],
    shared: false,
    answers: [],
    answered: [],
  })
  const lesson = { hands: [], plan: { pages: [] } }

  test('stays written until everybody sees it', () => {
    const socket = come()
    session.classroom.draft = { question: 'Where is noon?', options: 'Left\nRight' }
    session.ask('Where is noon?', ['Left', 'Right'])
    const [told] = socket.sent.flatMap((message) => (message.type === 'tell' ? [message.command] : []))
    expect(told).toMatchObject({ command: 'ask_check', question: 'Where is noon?' })
    socket.hear({ type: 'frame', lesson: { ...lesson, check: check('another-1') } })
    socket.hear(welcome({ lesson: { ...lesson, check: null } }))
    expect(session.classroom.draft.question).toBe('Where is noon?')
    const { id } = told as { id: string }
    socket.hear(welcome({ lesson: { ...lesson, check: check(id) } }))
    expect(session.classroom.draft).toEqual({ question: '', options: 'Left\nRight' })
  })

  test('that was written meanwhile stays', () => {
    const socket = come()
    session.ask('Where is noon?', ['Left', 'Right'])
    session.classroom.draft = { question: 'And at six?', options: '' }
    const { id } = socket.sent.flatMap((m) => (m.type === 'tell' ? [m.command] : []))[0] as { id: string }
    socket.hear({ type: 'frame', lesson: { ...lesson, check: check(id) } })
    expect(session.classroom.draft.question).toBe('And at six?')
  })
})

describe('undo', () => {
  test('counts true after a line was lost and steps were missed', () => {
    const socket = come()
    land(socket, 1, add('one-0001'))
    expect(session.board.undos).toBe(1)
    const missed = [
      { seq: 2, id: 'step-2', by: 'seat-a', at_ms: 0, how: 'do', of: 0, step: add('two-0001') },
      { seq: 3, id: 'step-3', by: 'seat-a', at_ms: 0, how: 'do', of: 0, step: add('three-01') },
    ]
    session['join']()
    socket.hear(welcome({ pages: null, missed, seq: 3, undos: 3 }))
    expect(session.board.undos).toBe(3)
  })

  test('counts true whatever lands while lines are lost and found', () => {
    const acts = fc.array(fc.constantFrom('do', 'theirs', 'undo', 'redo', 'lose', 'come', 'again' as const), {
      maxLength: 40,
    })
    fc.assert(
      fc.property(acts, (list) => {
        const one = new Session('tutor', 'link', '')
        const log: object[] = []
        let [undos, redos, on, heard] = [0, 0, true, 0]
        const socket = () => FakeSocket.last
        const say = () => {
          const missed = log.slice(heard)
          heard = log.length
          socket().hear(
            welcome(
              one.board.replica.seq < 0
                ? { seq: log.length, undos, redos }
                : { pages: null, missed, seq: log.length, undos, redos },
            ),
          )
          for (const page of [PAGE, 'page-two'])
            socket().hear({ type: 'page_items', page, items: [], last: true })
        }
        socket().open()
        say()
        for (const act of list) {
          if (act === 'lose') on = false
          else if (act === 'come' && !on) {
            on = true
            say()
          } else if (act === 'again' && on) say()
          else if (
            act === 'do' ||
            act === 'theirs' ||
            (act === 'undo' && undos) ||
            (act === 'redo' && redos)
          ) {
            const how = act === 'undo' || act === 'redo' ? act : 'do'
            if (act === 'do') [undos, redos] = [undos + 1, 0]
            if (act === 'undo') [undos, redos] = [undos - 1, redos + 1]
            if (act === 'redo') [undos, redos] = [undos + 1, redos - 1]
            const seq = log.length + 1
            const step = add(`item-${String(seq).padStart(4, '0')}`)
            const by = act === 'theirs' ? 'seat-b' : 'seat-a'
            log.push({ seq, id: `step-${seq}`, by, at_ms: 0, how, of: 0, step })
            if (on) {
              socket().hear({ type: 'frame', steps: log.slice(heard) })
              heard = log.length
            }
          }
          if (on) expect([one.board.undos, one.board.redos]).toEqual([undos, redos])
        }
        one.close()
      }),
      { numRuns: 150 },
    )
  })

  test('goes to the page that it is about, and says so', () => {
    const socket = come()
    session.pages.turnTo('page-two')
    land(socket, 1, add('one-0001'))
    land(socket, 2, { step: 'remove_items', page: PAGE, ids: ['one-0001'] }, { how: 'undo', of: 1 })
    expect(session.pages.id).toBe(PAGE)
    expect(session.notice).toBe('Undone on page 1.')
  })

  test('without a line is not put by: it would all come at once later', () => {
    const socket = come({ undos: 4 })
    socket.close()
    for (let press = 0; press < 4; press++) session.undo()
    expect(session.board.replica.unconfirmed).toEqual([])
    expect(session.notice).toContain('Undo works again')
  })

  test("through a student's eyes counts our own steps only, and turns no page of ours", () => {
    const socket = come()
    session.classroom.seeAs('seat-b')
    socket.hear({ type: 'seen_as', seat: 'seat-b', standing: { allowed: [], on_others: [], writing: {} } })
    expect(session.rights.me).toBe('seat-b')
    const theirs = { by: 'seat-b' }
    land(socket, 1, add('one-0001'), theirs)
    land(socket, 2, { step: 'add_page', head: head('page-new'), index: 2, items: [] }, theirs)
    expect([session.board.undos, session.pages.id]).toEqual([0, PAGE])
  })
})

describe('words being typed', () => {
  test('are taken when another page is looked at', () => {
    const socket = come()
    session.editing = Editing.newText(session, [10, 10])
    session.editing.typed('noon')
    session.pages.turnTo('page-two')
    expect(session.editing).toBeNull()
    const taken = socket.sent.find((message) => message.type === 'do')
    expect(taken).toMatchObject({ request: { step: 'add_items', page: PAGE, items: [{ text: 'noon' }] } })
  })

  test('are taken once, however often the typing ends', () => {
    const socket = come()
    const editing = Editing.newText(session, [10, 10])
    editing.typed('noon')
    editing.take()
    editing.take()
    expect(asked(socket)).toEqual(['add_items'])
  })

  test('edited twice without a line are edited from what they became', () => {
    const socket = come()
    const text = { ...textItem('text-001'), text: 'noon' }
    land(socket, 1, { step: 'add_items', page: PAGE, items: [text] })
    socket.close()
    const first = Editing.of(session, session.pages.now!.entries.get('text-001')!.item, [0, 0])!
    first.typed('noon sun')
    first.take()
    const again = Editing.of(session, session.pages.now!.entries.get('text-001')!.item, [0, 0])!
    expect(again.styled.text).toBe('noon sun')
  })
})

function textItem(id: string) {
  const { samples: _, nib: __, ends: ___, opacity: ____, width: _____, ...placed } = stroke(id)
  const type = { family: 'sans', align: 'left', listing: 'none', wrap_width: null, pitch: 0 } as const
  return { ...placed, kind: 'text' as const, text: '', size: 20, ...type, spans: [], lines: [], ink: [] }
}

describe('what could not be sent', () => {
  test('is there again after a reload, sent in its order, and forgotten when it has landed', async () => {
    come()
    await settled()
    FakeSocket.last.close()
    session.do(add('one-0001'))
    session.do(add('two-0001'))
    await settled()
    session.close()
    session = new Session('tutor', 'link', '')
    const socket = come()
    await settled()
    const sent = socket.sent.filter((message) => message.type === 'do')
    expect(sent.map(({ request }) => (request as { items: InkItem[] }).items[0]!.id)).toEqual([
      'one-0001',
      'two-0001',
    ])
    for (const { id } of sent) socket.hear({ type: 'answered', id, seq: 1 })
    await settled()
    expect(await new Unsent('board-1', 'seat-a').all()).toEqual([])
  })

  test('of two tabs of a seat is kept beside each other', async () => {
    come()
    await settled()
    FakeSocket.last.close()
    session.do(add('one-0001'))
    const other = new Session('tutor', 'link', '')
    come()
    await settled()
    FakeSocket.last.close()
    other.do(add('two-0001'))
    other.close()
    await settled()
    const kept = await new Unsent('board-1', 'seat-a').all()
    expect(kept).toHaveLength(2)
  })

  test('and was refused is set aside also after a reload, with its reason', async () => {
    const socket = come()
    await settled()
    const id = session.do(add('one-0001'))
    socket.hear({ type: 'refused', id, reason: 'pens_down', sentence: 'Pens are down.' })
    await settled()
    session.close()
    session = new Session('tutor', 'link', '')
    come()
    await settled()
    expect(session.board.setAside.map(({ sentence }) => sentence)).toEqual(['Pens are down.'])
    expect(session.board.replica.unconfirmed).toEqual([])
    session.board.replica.throwSetAside()
    await settled()
    expect(await new Unsent('board-1', 'seat-a').all()).toEqual([])
  })

  test('and is a refused edit of a text is set aside with its words', () => {
    const socket = come()
    land(socket, 1, { step: 'add_items', page: PAGE, items: [{ ...textItem('text-001'), text: 'noon' }] })
    const edit = { step: 'edit_text' as const, page: PAGE, id: 'text-001', text: 'evening', spans: [] }
    const id = session.do({ ...edit, family: 'sans', align: 'left', listing: 'none' })
    socket.hear({ type: 'refused', id, reason: 'locked', sentence: 'That is locked.' })
    expect(session.board.setAside.map(({ request }) => (request as { text: string }).text)).toEqual([
      'evening',
    ])
    expect((session.pages.now!.entries.get('text-001')!.item as { text: string }).text).toBe('noon')
  })

  test.each([
    { step: 'edit_formula', page: PAGE, id: 'formula-1', formula: 'x^2=9', number: '' } as const,
    {
      step: 'edit_card',
      page: PAGE,
      id: 'card-0001',
      title: 'Sundials',
      address: 'https://sun.test/',
    } as const,
  ])('and is a refused $step is set aside as it was typed', (edit) => {
    const socket = come()
    socket.hear({ type: 'refused', id: session.do(edit), reason: 'pens_down', sentence: 'Pens are down.' })
    expect(session.board.setAside.map(({ request }) => request)).toEqual([edit])
    expect(session.warnings).toEqual([])
  })

  test('by a page of before, in one piece, is taken over', async () => {
    const { encode } = await import('@msgpack/msgpack')
    const bytes = encode([{ id: 'old-step', request: add('old-0001') }])
    localStorage.setItem('sunroom-unsent:board-1:seat-a', btoa(String.fromCharCode(...bytes)))
    const socket = come()
    await settled()
    expect(asked(socket)).toEqual(['add_items'])
    expect(localStorage.getItem('sunroom-unsent:board-1:seat-a')).toBeNull()
  })
})
