import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { standing, stroke, Surface } from './surface'
import { FakeSocket, PAGE } from './stub'
import type { Box } from '../src/board/box'
import { handlePlace, type Handle } from '../src/board/frame'
import { pointOf, type Point } from '../src/board/place'
import { changedTable } from '../src/board/tables'
import { newTable, newText } from '../src/board/text'
import { copied, copiesOf, keepCopied } from '../src/lesson/clipboard'
import type { Affine, InkItem, Item, Readings, Request, ShapeItem } from '../src/wire/generated'

let on: Surface

const chosen = () => [...on.session.selection.ids].sort()
const last = <Step extends Request['step']>(step: Step) =>
  on.asked().findLast((one): one is Request & { step: Step } => one.step === step)
const mouse = { kind: 'mouse' as const }
const drag = (from: Point, to: Point, shift = false) => on.stroke([from, to], { ...mouse, shift })

const table = { ...newTable('seat-a', [500, 300], [['', ''], ['', '']]), id: 'table-1' } as Item // prettier-ignore
const line: ShapeItem = {
  ...({ kind: 'shape', figure: 'line', z: 9, group: '', by: 'seat-a', at_ms: 0 } as ShapeItem),
  ...{ id: 'line-001', x: 100, y: 400, map: [1, 0, 0, 1], locked: false, pinned: false },
  ...{ points: [[0, 0], [80, 0]], closed: false, curved: false, parts: [], holds: ['', ''] }, // prettier-ignore
  ...{ width: 3, colour: '#16222b', fill: '', dash: 'solid', ends: 'none', opacity: 1, text: '', lines: [] },
}

beforeEach(() => {
  on = new Surface([
    stroke('stroke-1', 100),
    stroke('stroke-2', 200, { group: 'pair' }),
    stroke('stroke-3', 260, { group: 'pair' }),
    stroke('locked-1', 400, { locked: true }),
    table,
    line,
  ])
  on.session.tools.tool = 'select'
  on.session.tools.snap = false
})

afterEach(() => on.close())

test('what was chosen before is not read as what is chosen now', () => {
  const { selection } = on.session
  const read = vi.spyOn(selection, 'askAbout')
  selection.choose(['stroke-1'])
  const ref = read.mock.results[0]!.value as number
  selection.choose(['line-001']) // no ink, about which nobody is asked
  selection.hear({ ref, readings: [], lines: [] } as unknown as Readings)
  expect(selection.readings).toBeNull()
})

test('the width of a line is not shown as that of a picture that is chosen with it', () => {
  const picture = { ...stroke('picture-1', 600), kind: 'picture', width: 300, height: 200 } as unknown as Item
  on.session.do({ step: 'add_items', page: PAGE, items: [picture] })
  on.session.do({ step: 'style_items', page: PAGE, ids: ['stroke-1', 'picture-1'], style: { width: 7 } })
  const width = (id: string) => (on.session.pages.now!.entries.get(id)!.item as InkItem).width
  expect([width('stroke-1'), width('picture-1')]).toEqual([7, 300])
})

test('a row or column of a table comes and goes where it was asked for, before the server has answered', () => {
  const of = (cells: string[][]) => newTable('seat-a', [0, 0], cells)
  const change = { step: 'change_table', page: 'page-one', id: 'table-1' } as const
  const three = of([['a', 'b'], ['c', 'd'], ['e', 'f']]) // prettier-ignore
  expect(changedTable(three, { ...change, rows: -1, at: 0 }).cells).toEqual(['c', 'd', 'e', 'f'])
  expect(changedTable(three, { ...change, rows: 1, at: 1 }).cells.slice(1, 5)).toEqual(['b', '', '', 'c'])
  expect(changedTable(three, { ...change, columns: 1, at: 0 }).cells.slice(0, 3)).toEqual(['', 'a', 'b'])
  expect(changedTable(three, { ...change, columns: -1 }).cells).toEqual(['a', 'c', 'e'])
  expect(changedTable(three, { ...change, rows: -1, at: 9 }).cells).toEqual(['a', 'b', 'c', 'd'])
})

describe('a press', () => {
  test('chooses what lies there, with its whole group; beside everything, nothing', () => {
    drag([200, 50], [200, 50])
    expect(chosen()).toEqual(['stroke-2', 'stroke-3'])
    drag([330, 50], [330, 50])
    expect(chosen()).toEqual([])
  })

  test('with Shift adds and takes away', () => {
    drag([100, 50], [100, 50])
    drag([260, 50], [260, 50], true)
    expect(chosen()).toEqual(['stroke-1', 'stroke-2', 'stroke-3'])
    drag([200, 50], [200, 50], true)
    expect(chosen()).toEqual(['stroke-1'])
  })

  test('asks what chosen ink may be, once; an answer that is too late is passed over', () => {
    drag([100, 50], [100, 50])
    const asked = on.sent().filter((message) => message.type === 'read')
    expect(asked).toMatchObject([{ ids: ['stroke-1'] }])
    expect(on.session.selection.reading).toBe(true)
    const answer = { ...{ type: 'readings', lines: [], readings: [], figures: [], formulas: [] }, ref: 99 }
    FakeSocket.last.hear(answer)
    expect(on.session.selection.readings).toBeNull()
    FakeSocket.last.hear({ ...answer, ref: (asked[0] as { ref: number }).ref })
    expect([on.session.selection.reading, on.session.selection.readings === null]).toEqual([false, false])
  })
})

describe('a drag', () => {
  test('beside everything draws a box around what it chooses, but for what is locked', () => {
    drag([60, -20], [450, 130])
    expect(chosen()).toEqual(['stroke-1', 'stroke-2', 'stroke-3'])
    drag([60, -20], [150, 50])
    expect(chosen()).toEqual([])
  })

  test('draws a lasso, inside which most of a thing lies', () => {
    on.session.tools.selectBy = 'lasso'
    on.stroke([[80, -10], [120, -10], [120, 90], [80, 90], [80, -10]], mouse) // prettier-ignore
    expect(chosen()).toEqual(['stroke-1'])
    on.stroke([[180, -10], [300, -10], [300, 40], [180, 40]], mouse) // prettier-ignore
    expect(chosen()).toEqual([])
  })

  test('of a thing moves it, and all that is chosen with it', () => {
    drag([200, 50], [230, 90])
    expect(last('move_items')).toMatchObject({ ids: ['stroke-2', 'stroke-3'], dx: 30, dy: 40 })
  })

  test('that hardly moves is a press', () => {
    drag([100, 50], [102, 51])
    expect(on.asked()).toEqual([])
  })

  test('is caught by what is near, unless Shift is held', () => {
    on.session.tools.snap = true
    drag([100, 50], [196, 50])
    const { entries } = on.session.pages.now!
    const [moved, other] = [entries.get('stroke-1')!, entries.get('stroke-2')!]
    const edges = ({ minX, maxX }: Box) => [minX, (minX + maxX) / 2, maxX]
    expect(edges(moved).some((edge) => edges(other).some((at) => Math.abs(edge - at) < 1e-6))).toBe(true)
    const x = moved.item.x
    on.point('down', [x, 50], mouse)
    on.point('up', [x + 96, 50], { ...mouse, shift: true })
    expect(last('move_items')!.dx).toBe(96)
  })

  test('of what is another’s and may not be changed moves nothing, and says so', () => {
    on.session.rights.own = standing(undefined, [])
    drag([100, 50], [150, 50])
    expect(on.asked()).toEqual([])
    expect(on.session.notice).not.toBe('')
  })
})

describe('a handle', () => {
  const at = (handle: Handle): Point => handlePlace(on.session.selection.box('change')!, handle, 1)
  const dragged = (handle: Handle, dx: number, dy: number, shift = false): Affine => {
    const [x, y] = at(handle)
    drag([x, y], [x + dx, y + dy], shift)
    return last('transform_items')!.matrix
  }
  beforeEach(() => drag([200, 50], [200, 50]))

  test('at a corner resizes about the other one and keeps the proportions, freely with Shift', () => {
    const box = on.session.selection.box()!
    const map = dragged({ kind: 'size', dx: 1, dy: 1 }, 60, 100)
    expect([map[1], map[2]]).toEqual([0, 0])
    expect(map[0]).toBe(map[3])
    expect(map[0]).toBeGreaterThan(1.5)
    const [x, y] = pointOf(map, box.minX, box.minY)
    expect([x, y]).toEqual([expect.closeTo(box.minX, 3), expect.closeTo(box.minY, 3)])
    const free = dragged({ kind: 'size', dx: 1, dy: 1 }, 60, 0, true)
    expect(free[0]).toBeGreaterThan(1.4)
    expect(free[3]).toBe(1)
  })

  test('of a side stretches, and never turns a thing inside out', () => {
    expect(dragged({ kind: 'size', dx: 0, dy: 1 }, 40, -500)).toMatchObject({ 0: 1, 3: 0.04 })
  })

  test('above turns by whole degrees about the middle, by 15 with Shift', () => {
    const degrees = ([a, b]: Affine) => (Math.atan2(b, a) * 180) / Math.PI
    const map = dragged({ kind: 'turn', dx: 0, dy: -1 }, 21, 3)
    expect(degrees(map)).toBeCloseTo(Math.round(degrees(map)), 6)
    expect(degrees(map)).toBeGreaterThan(5)
    expect(degrees(dragged({ kind: 'turn', dx: 0, dy: -1 }, 21, 3, true))).toBeCloseTo(15, 6)
  })
})

describe('of a table and of a line', () => {
  test('a border between columns is dragged, to no less than can be pressed', () => {
    const [wide] = (table as { columns: number[] }).columns
    const [left, y] = [table.x, table.y + 20]
    drag([left + 9, y], [left + 9, y])
    drag([left + wide!, y], [left + wide! + 30, y])
    expect(last('change_table')!.side).toEqual({ across: true, index: 0, units: wide! + 30 })
    drag([left + wide! + 30, y], [left - 90, y])
    expect(last('change_table')!.side!.units).toBe(24)
  })

  test('an end is dragged, level with Shift, and holds on to what it is set on', () => {
    drag([140, 400], [140, 400])
    drag([180, 400], [240, 410], true)
    const level = last('move_ends')!
    expect(level.end[1]).toBeCloseTo(400, 6)
    expect(level.start).toEqual([100, 400])
    drag([180, 400], [510, 310])
    expect(last('move_ends')).toMatchObject({ end: [510, 310], holds: ['', 'table-1'] })
  })
})

describe('copies', () => {
  const added = () => on.asked().flatMap((step) => (step.step === 'add_items' ? [step.items as Item[]] : []))

  test('have names and groups of their own, and are chosen', () => {
    drag([200, 50], [200, 50])
    on.session.chosen.duplicate()
    const [copies] = added()
    expect(copies!.map(({ x }) => x)).toEqual([224, 284])
    expect(new Set(copies!.map(({ group }) => group)).size).toBe(1)
    expect(copies![0]!.group).not.toBe('pair')
    expect(chosen()).toEqual(copies!.map(({ id }) => id).sort())
  })

  test('of what is locked are free', () => {
    on.session.selection.choose(['locked-1'])
    on.session.chosen.duplicate()
    expect(added()[0]![0]).toMatchObject({ locked: false, pinned: false })
  })

  test('are pasted beside what they were taken from, each a little further', async () => {
    drag([100, 50], [100, 50])
    expect(on.session.chosen.copy()).toHaveLength(1)
    await on.session.chosen.paste([0, 0])
    await on.session.chosen.paste([0, 0])
    expect(added().map(([item]) => item!.x)).toEqual([124, 148])
  })

  test('from another board come into the middle of what is seen', async () => {
    keepCopied('board-1', [stroke('elsewhere', 5_000)])
    await on.session.chosen.paste([300, 200])
    const [[item]] = added() as [[Item]]
    expect([item.x, item.y]).toEqual([expect.closeTo(300, 0), expect.closeTo(150, 0)])
  })

  test('of a great many go in steps that hold up no line, none left out', async () => {
    const many = Array.from({ length: 950 }, (_, i) => stroke(`many-${i}`, i))
    keepCopied('board-1', many)
    await on.session.chosen.paste([0, 0])
    expect(added().map((items) => items.length)).toEqual([400, 400, 150])
  })

  test('of a line hold on to the copies of what it held, and to nothing else', () => {
    const held = { ...line, id: 'line-002', holds: ['table-1', 'line-001'] } as Item
    const [copy, of] = copiesOf([{ ...table, z: 1 }, { ...held, z: 2 }], 5, 5) // prettier-ignore
    expect((of as ShapeItem).holds).toEqual([copy!.id, ''])
  })

  test('of a chart follow the copy of its table', async () => {
    const chart = { ...stroke('chart-01', 0), kind: 'chart', table: 'table-1' } as unknown as Item
    keepCopied('board-1', [chart, table])
    const before = copied().items.map(({ id }) => id)
    await on.session.chosen.paste([0, 0])
    const [items] = added()
    const made = items!.find(({ kind }) => kind === 'table')!
    expect(items!.find(({ kind }) => kind === 'chart')).toMatchObject({ table: made.id })
    expect(before).not.toContain(made.id)
  })

  test('that there is no room for are refused, and what was copied before stays', () => {
    const ink = stroke('stroke-1', 0)
    expect(keepCopied('board-1', [ink])).toBe(true)
    expect(keepCopied('board-1', [{ ...ink, samples: new Uint8Array(3_100_000) }])).toBe(false)
    const full = vi.spyOn(localStorage, 'setItem').mockImplementation(() => {
      throw new DOMException('', 'QuotaExceededError')
    })
    expect(keepCopied('board-1', [{ ...ink, samples: new Uint8Array(10) }])).toBe(false)
    full.mockRestore()
    expect(copied().items.map(({ id }) => id)).toEqual(['stroke-1'])
  })

  test('that another version kept are none', () => {
    localStorage.setItem('sunroom-copied-2', 'no base64 at all!')
    expect(copied()).toEqual({ board: '', items: [] })
  })
})

describe('what is chosen', () => {
  test('is gone through in reading order by keys, round and round, a group as one', () => {
    const { chosen: doing, selection } = on.session
    const seen = Array.from({ length: 7 }, () => {
      doing.chooseNext(1)
      return [...selection.ids].sort().join()
    })
    const all = ['stroke-1', 'stroke-2,stroke-3', 'locked-1', 'table-1', 'line-001']
    expect(seen).toEqual([...all, ...all.slice(0, 2)])
    doing.chooseNext(-1)
    doing.chooseNext(-1)
    expect([...selection.ids]).toEqual(['line-001'])
  })

  test('is removed as far as one may; of what one may not, it is said', () => {
    on.session.rights.own = standing(undefined, [])
    on.session.selection.choose(['stroke-1', 'table-1'])
    on.session.chosen.remove()
    expect(last('remove_items')!.ids).toEqual(['table-1'])
    on.session.selection.choose(['stroke-1'])
    on.session.chosen.remove()
    expect(on.asked()).toHaveLength(1)
    expect(on.session.notice).not.toBe('')
  })

  test('is no longer, once it is gone from the page', () => {
    on.session.selection.choose(['stroke-1', 'table-1'])
    const step = { step: 'remove_items', page: on.session.pages.id, ids: ['stroke-1'] }
    const logged = { seq: 1, id: 'step-1', by: 'seat-b', at_ms: 0, how: 'do', of: 0, step }
    FakeSocket.last.hear({ type: 'frame', steps: [logged] })
    expect(chosen()).toEqual(['table-1'])
  })

  test('can be cleared by whose work it is, but for what is locked', () => {
    on.session.rights.own = standing()
    expect(on.session.chosen.clearable((seat) => seat === 'seat-b')).toEqual(['stroke-1', 'stroke-2', 'stroke-3']) // prettier-ignore
  })

  test('of words, and of nothing else alone, can be typed in', () => {
    const words = { ...newText('seat-a', 'noon', 10, 10, 26, '#16222b'), id: 'words-01' }
    FakeSocket.last.hear({ type: 'page_items', page: on.session.pages.id, items: [words], last: true })
    on.session.selection.choose(['stroke-1'])
    expect(on.session.chosen.editWords()).toBe(false)
    on.session.selection.choose(['words-01', 'stroke-1'])
    expect(on.session.chosen.editWords()).toBe(false)
    on.session.selection.choose(['words-01'])
    expect(on.session.chosen.editWords()).toBe(true)
    expect(on.session.editing!.styled.text).toBe('noon')
  })
})
