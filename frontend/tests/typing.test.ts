import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { FakeSocket } from './stub'
import { standing, Surface } from './surface'
import { newTable, newText } from '../src/board/text'
import { Editing } from '../src/lesson/editing.svelte'
import { MAX_TEXT } from '../src/wire/generated'
import type { Item, NoteItem, Request, TableItem, TextItem } from '../src/wire/generated'

let on: Surface
let seq = 0

const words: TextItem = { ...newText('seat-a', 'noon', 100, 100, 26, '#16222b'), id: 'words-01' }
const table: TableItem = { ...newTable('seat-a', [500, 300], [['h', 's'], ['2', '']]), id: 'table-01' } // prettier-ignore
const note: NoteItem = {
  ...({
    ...words,
    kind: 'note',
    id: 'note-001',
    text: 'Bring a stick',
    name: 'Imani',
  } as unknown as NoteItem),
  ...{ width: 190, height: 170, colour: '#ffe7a8', lines: [] },
}
const asked = () => on.asked().map((step) => ({ ...step }) as Record<string, unknown>)
const theirs = (step: Request) =>
  FakeSocket.last.hear({
    type: 'frame',
    steps: [{ seq: ++seq, id: `step-${seq}`, by: 'seat-b', at_ms: 0, how: 'do', of: 0, step }],
  })
const edit = (item: Item) => Editing.of(on.session, item, [item.x + 5, item.y + 5])!

beforeEach(() => {
  seq = 0
  on = new Surface([words, table, note])
})

afterEach(() => on.close())

describe('a new text', () => {
  test('takes no more than there is room for, and nothing that cannot be seen', () => {
    const editing = Editing.newText(on.session, [200, 120])
    editing.typed('n'.repeat(MAX_TEXT))
    editing.typed('n'.repeat(MAX_TEXT + 1))
    expect([editing.styled.text.length, editing.drawn, on.session.notice !== '']).toEqual([MAX_TEXT, 1, true])
    editing.typed('noon\r\nsun\u000b\u202e')
    expect([editing.styled.text, editing.drawn]).toEqual(['noon\nsun', 2])
  })

  test('begins at its press, and is put on the board once', () => {
    const editing = Editing.newText(on.session, [200, 120])
    editing.typed('The sun stands high  \n')
    editing.take()
    editing.take()
    const [step, ...more] = asked()
    expect(more).toEqual([])
    const [item] = step!.items as TextItem[]
    expect(item).toMatchObject({ kind: 'text', text: 'The sun stands high', x: 200, wrap_width: null })
    expect(item!.y).toBeLessThan(120)
  })

  test('of nothing is none', () => {
    const editing = Editing.newText(on.session, [0, 0])
    editing.typed('  \n ')
    editing.take()
    expect(asked()).toEqual([])
  })

  test('that was dragged is as wide as the drag; a long one ends where the paper does', () => {
    const wide = Editing.newText(on.session, [0, 0], 240)
    wide.typed('h')
    wide.take()
    const long = Editing.newText(on.session, [0, 0])
    long.limit = 300
    long.typed('How long is a shadow at noon, and how long at four?')
    long.take()
    expect(asked().map((step) => (step.items as TextItem[])[0]!.wrap_width)).toEqual([240, 300])
  })

  test('has the styles of its parts, and of what is typed next', () => {
    const editing = Editing.newText(on.session, [0, 0])
    editing.toggle('bold')
    editing.typed('Noon')
    editing.selected = [4, 4]
    editing.toggle('bold')
    editing.typed('Noon is short')
    editing.selected = [5, 7]
    editing.toggle('italic')
    expect(editing.has((style) => Boolean(style.italic))).toBe(true)
    editing.script('sup')
    editing.script('sup')
    editing.take()
    const [item] = asked()[0]!.items as TextItem[]
    expect(item!.spans).toEqual([
      { start: 0, end: 4, bold: true },
      { start: 5, end: 7, italic: true },
    ])
  })
})

describe('a text that is there', () => {
  test('is changed only where it was', () => {
    edit(words).take()
    expect(asked()).toEqual([])
    const editing = edit(words)
    editing.typed('noon!')
    editing.take()
    expect(asked()).toMatchObject([{ step: 'edit_text', id: 'words-01', text: 'noon!' }])
  })

  test('of another colour keeps its words', () => {
    const editing = edit(words)
    editing.colour = '#b4472c'
    editing.take()
    expect(asked()).toMatchObject([{ step: 'style_items', style: { colour: '#b4472c' } }])
  })

  test('without words is removed, by whoever may remove it', () => {
    const editing = edit(words)
    editing.typed('')
    editing.take()
    expect(asked()).toMatchObject([{ step: 'remove_items', ids: ['words-01'] }])
    on.session.rights.own = standing(['change'], ['change'])
    const other = edit(words)
    other.typed(' ')
    other.take()
    expect(asked()).toHaveLength(1)
  })

  test('that somebody else changed meanwhile is told of what it is now', () => {
    const editing = edit(words)
    const change = { page: on.session.pages.id, id: 'words-01', text: 'evening', spans: [] }
    theirs({ step: 'edit_text', ...change, family: 'sans', align: 'left', listing: 'none' })
    // Nothing was typed here: theirs stays.
    editing.typed('evening')
    editing.take()
    expect(asked()).toEqual([])
  })
})

describe('in a table', () => {
  test('the cell that was pressed is typed in, and the next ones come after it', () => {
    const at = (column: number, row: number) =>
      Editing.of(on.session, table, [
        table.x + (column + 0.5) * table.columns[0]!,
        table.y + (row + 0.5) * table.rows[0]!,
      ])!
    const first = at(0, 0)
    expect(first.styled.text).toBe('h')
    const second = first.nextCell(1)!
    expect(second.styled.text).toBe('s')
    const third = second.nextCell(1)!
    expect(third.styled.text).toBe('2')
    expect(third.frame.place[5]).toBe(table.y + table.rows[0]!)
    expect(third.nextCell(-1)!.styled.text).toBe('s')
    expect(first.nextCell(-1)).toBeNull()
    expect(at(1, 1).nextCell(1)).toBeNull()
    third.typed('2.4')
    third.take()
    expect(asked()).toMatchObject([{ step: 'set_cell', id: 'table-01', row: 1, column: 0, text: '2.4' }])
  })

  test('a column that came meanwhile moves no words into another cell', () => {
    const editing = Editing.of(on.session, table, [table.x + 5, table.y + 1.5 * table.rows[0]!])!
    expect(editing.styled.text).toBe('2')
    theirs({ step: 'change_table', page: on.session.pages.id, id: 'table-01', columns: 1 })
    editing.typed('2')
    editing.take()
    expect(asked()).toEqual([])
    const other = Editing.of(on.session, table, [table.x + 5, table.y + 1.5 * table.rows[0]!])!
    other.typed('2.4')
    other.take()
    expect(asked()).toMatchObject([{ step: 'set_cell', row: 1, column: 0, text: '2.4' }])
  })

  test('nothing is typed beside it', () => {
    expect(Editing.of(on.session, table, [table.x - 5, table.y])).toBeNull()
  })
})

test('a note has its writer’s name, and may be empty again', () => {
  const fresh = Editing.newNote(on.session, [400, 300])
  fresh.typed('Noon')
  fresh.take()
  const [item] = asked()[0]!.items as NoteItem[]
  expect(item).toMatchObject({
    kind: 'note',
    text: 'Noon',
    name: 'Imani',
    colour: on.session.tools.noteColour,
  })
  const editing = edit(note)
  expect(editing.styled.text).toBe('Bring a stick')
  editing.typed('')
  editing.take()
  expect(asked()[1]).toMatchObject({ step: 'edit_text', id: 'note-001', text: '' })
})
