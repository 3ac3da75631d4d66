import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { FakeSocket, head, welcome } from './stub'
import { stroke } from './surface'
import type { Box } from '../src/board/box'
import { Session } from '../src/lesson/session.svelte'
import { lineMarks } from '../src/lesson/line-marks'
import { hasLines, workingOf } from '../src/lesson/working'
import type { FormulaItem, FormulaRead, Item, LineChecked, PageHead, Readings } from '../src/wire/generated'

const BOXES: Record<string, Box> = {
  a: { minX: 0, minY: 0, maxX: 40, maxY: 30 },
  b: { minX: 50, minY: 5, maxX: 90, maxY: 25 },
  c: { minX: 0, minY: 60, maxX: 70, maxY: 84 },
}
const boxOf = (id: string) => (BOXES[id] ? [BOXES[id]] : [])
const read = (...lines: string[][]): FormulaRead =>
  ({
    formula: lines.map(() => 'x=1').join(String.raw`\\`),
    signs: lines.flatMap((ids, line) => ids.map((id) => ({ ids: [id], line }))),
  }) as unknown as FormulaRead
const verdict = (line: number, said: LineChecked['verdict'], formula = 0, lines = 2): LineChecked =>
  ({ verdict: said, formula, line, lines }) as LineChecked

const readings = (more: object): Readings =>
  ({ formulas: [], lines: [], pieces: null, maths_first: false, pieces_first: false, ...more }) as never
const written = (...lines: string[][]) =>
  workingOf([], readings({ maths_first: true, formulas: [read(...lines)] }), boxOf)

describe('written lines', () => {
  test('end where their last sign does, and are as large as the smallest of them', () => {
    const [working] = written(['a', 'b'], ['c'])
    expect(working!.size).toBe(24)
    expect([working!.endOf(0, 2), working!.endOf(1, 2)]).toEqual([
      [90, 15],
      [70, 72],
    ])
  })

  test('of which one was rubbed out meanwhile are marked where they are', () => {
    const said = [0, 2].map((line) => verdict(line, 'follows', 0, 3))
    const marks = lineMarks('seat-a', written(['a'], ['gone'], ['c']), said)
    for (const { x, y } of marks) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
    expect(marks).toHaveLength(2)
    expect(written(['gone'])).toEqual([])
  })

  test('get a tick or a cross, and nothing where nothing can be said', () => {
    const said = (['follows', 'does_not', 'cannot_tell', 'right', 'wrong', 'first'] as const).map((one) =>
      verdict(1, one),
    )
    const marks = lineMarks('seat-a', written(['a'], ['c']), said)
    expect(marks.map(({ figure }) => figure)).toEqual(['tick', 'cross', 'tick', 'cross'])
    expect(marks.every(({ x }) => x > 40)).toBe(true)
  })

  test('are several when there is more than one formula, or one of several lines', () => {
    const one = written(['a'])
    expect(hasLines(one)).toBe(false)
    expect(hasLines([...one, ...one])).toBe(true)
    expect(hasLines(written(['a'], ['c']))).toBe(true)
  })
})

describe('steps among words', () => {
  const said = (...steps: [string, string][]) => steps.map(([words, formula]) => ({ words, formula }))
  const found = (items: Item[], read: Readings | null = null) =>
    workingOf(items, read, boxOf).map(({ words, formula }) => ({ words, formula }))
  const one = (formula: string) => ({ formula, signs: [{ ids: ['a'], line: 0 }] }) as unknown as FormulaRead
  const line = (y: number, ...parts: (string | FormulaRead)[]) => ({
    box: [0, y, 200, y + 20],
    rivals: [{ text: 'as it was read' }],
    parts: parts.map((part) =>
      typeof part === 'string' ? { text: part, formula: null } : { text: '?', formula: part },
    ),
  })
  const piece = (formula: string, id: string) => ({ read: { formula, signs: [{ ids: [id], line: 0 }] } })
  const set = (formula: string, x: number, y: number) =>
    ({
      ...stroke(`at-${x}-${y}`, 0),
      kind: 'formula',
      formula,
      x,
      y,
      size: 20,
      width: 4,
      height: 1,
    }) as unknown as Item
  const typed = (y: number, ...lines: [text: string, outline: string][][]) =>
    ({
      ...{ ...stroke(`text-${y}`, 0), kind: 'text', x: 10, y, size: 20, listing: 'none' },
      lines: lines.map((runs, at) => [
        runs.map(([text, outline], i) => ['sans', text, 50 * i, 50, 20, 0, false, false, '', outline, 14]),
        20 + 28 * at,
        50 * runs.length,
      ]),
    }) as unknown as Item

  test('of ink: the words before each are those since the one before', () => {
    const pieces = {
      texts: [[line(40, 'so ', one('x=2')), line(90, 'Check the other:')]],
      formulas: [piece('3x+4=10', 'b'), piece('5x=20', 'last')],
    }
    BOXES.last = { minX: 0, minY: 130, maxX: 70, maxY: 150 }
    const read = readings({ pieces, pieces_first: true, maths_first: true, formulas: [one('50x=2')] })
    expect(found([], read)).toEqual(said(['', '3x+4=10'], ['so', 'x=2'], ['Check the other:', '5x=20']))
    expect(found([], readings({ pieces: null, lines: [line(0)] }))).toEqual([])
  })

  test('of typed text: formulas stand among its words', () => {
    const text = typed(
      100,
      [
        ['so ', ''],
        ['x=2', 'M0 0'],
        [' or ', ''],
        ['x=3', 'M0 0'],
      ],
      [['done', '']],
    )
    const [, , last] = workingOf([text, set('x^2-5x+6=0', 0, 40)], null, boxOf)
    expect(found([text, set('x^2-5x+6=0', 0, 40)])).toEqual(
      said(['', 'x^2-5x+6=0'], ['so', 'x=2'], ['or', 'x=3']),
    )
    expect(last!.endOf(0, 1)).toEqual([210, 114])
  })

  test('of plain text: a line that states something in signs is one', () => {
    for (const [line, ...step] of [
      ['3x + 4 = 10', '', '3x + 4 = 10'],
      ['so x = 2.', 'so', 'x = 2'],
      ['1. 3x + 4 = 10', '1.', '3x + 4 = 10'],
      ['b) Solve: x² ≤ 9', 'b) Solve:', 'x² ≤ 9'],
      ['xy = 12', '', 'xy = 12'],
      ['sin x = 1', '', 'sin x = 1'],
      ['= 3/4', '', '= 3/4'],
      ['also folgt: x = 2 or x = -2', 'also folgt:', 'x = 2 or x = -2'],
      ['1,5x = 3', '', '1,5x = 3'],
      ['3x = 6   divide by 3', '', '3x = 6'],
      ['3x = 6 (divide by 3)', '', '3x = 6'],
      ['x  =  2  or  x = 5', '', 'x  =  2  or  x = 5'],
      ['Area = length × width'],
      ['A triangle has three sides'],
      ['3x + 4'],
      ['x = 2 because of that'],
    ] as const)
      expect(found([typed(0, [[line, '']])])).toEqual(step.length ? said([...step]) : [])
    const hostile = [
      'x or '.repeat(39) + '=?',
      'so x '.repeat(39) + '=?',
      '1) '.repeat(60) + '=?',
      'ab, '.repeat(49),
    ]
    for (const line of hostile) expect(found([typed(0, [[line, '']])])).toEqual([])
    expect(found([typed(0, [['x =   2 because', '']])])).toEqual([])
    const raised = typed(0, [['x', ''], ['2', ''], [' = 9', '']]) // prettier-ignore
    expect(found([raised])).toEqual(said(['', 'x2 = 9']))
    const lifted = structuredClone(raised)
    if (lifted.kind === 'text') lifted.lines[0]![0][1]![5] = 6
    expect(found([lifted])).toEqual([])
  })

  test('in two columns are taken one column after the other, with what words stand over each', () => {
    const columns = [
      ...[set('3x=6', 0, 80), set('x=2', 0, 120), set('2y=4', 300, 82), set('y=2', 300, 118)],
      ...[typed(40, [['Ayo', '']]), { ...typed(41, [['Lin', '']]), x: 310 }],
    ]
    expect(found(columns)).toEqual(said(['Ayo', '3x=6'], ['', 'x=2'], ['Lin', '2y=4'], ['', 'y=2']))
    const remark = { ...typed(79, [['by three', '']]), x: 140 } as Item
    expect(found([...columns, remark])).toEqual(found(columns))
    const besides = (items: Item[]) => workingOf(items, null, boxOf).map(({ beside }) => beside)
    expect(besides(columns)).toEqual([false, false, true, false])
    // A line over both, or one that stands far to the right below, makes no columns.
    const one = [set('3x+4=10', 0, 40), set('3x=6', 0, 80), set('x=2', 300, 120)]
    expect(found(one).map(({ formula }) => formula)).toEqual(['3x+4=10', '3x=6', 'x=2'])
    expect(besides(one)).toEqual([false, false, false])
    const wide = { ...set('(x+1)(x+2)(x+3)=0', 0, 40), width: 25 } as Item
    expect(besides([wide, ...columns])).not.toContain(true)
  })

  test('what stands to the right of a step is a remark on it, to its left words before it', () => {
    const remark = (x: number, text: string) => ({ ...typed(41, [[text, '']]), x })
    const steps = [set('3x=6', 100, 40), set('x=2', 100, 80)]
    expect(found([...steps, remark(300, 'by three')])).toEqual(said(['', '3x=6'], ['', 'x=2']))
    expect(found([...steps, remark(10, 'b)')])).toEqual(said(['b)', '3x=6'], ['', 'x=2']))
  })
})

describe('the working on all desks', () => {
  let session: Session
  let checks: { formulas: string[] }[]
  let answers: (() => Response)[]

  const desk = (page: string, seat: string): PageHead => ({ ...head(page), desk_of: seat, writers: 'desk' })
  const formula = (id: string, by: string, text: string): FormulaItem =>
    ({
      ...{ ...stroke(id, 0), kind: 'formula', by, formula: text, number: '', size: 30 },
      ...{ width: 4, height: 2, baseline: 1, outline: '', ink: [] },
    }) as unknown as FormulaItem
  const reads = () => FakeSocket.all[0]!.sent.flatMap((one) => (one.type === 'read' ? [one] : []))
  const settled = async (ms = 0) => void (await vi.advanceTimersByTimeAsync(ms))

  beforeEach(() => {
    vi.useFakeTimers()
    FakeSocket.all = []
    ;[checks, answers] = [[], []]
    Object.assign(document, { cookie: '' })
    vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
      const asked = JSON.parse(body) as { formulas: string[] }
      checks.push(asked)
      const lines = asked.formulas.flatMap((text, at) => {
        const count = text.split(String.raw`\\`).length
        return Array.from({ length: count }, (_, line) =>
          verdict(line, line ? 'does_not' : 'follows', at, count),
        )
      })
      return answers.shift()?.() ?? new Response(JSON.stringify(lines))
    })
    session = new Session('tutor', 'link', '')
    FakeSocket.last.open()
    const pages = [head(), desk('desk-ayo', 'seat-b'), desk('desk-lin', 'seat-c'), desk('desk-sam', 'seat-d')]
    FakeSocket.last.hear(welcome({ pages }))
    const things: Record<string, unknown[]> = {
      'desk-ayo': [formula('one-0001', 'seat-b', '2x=4'), formula('two-0001', 'seat-b', 'x=2'), formula('not-own1', 'seat-a', 'x=9')], // prettier-ignore
      'desk-lin': [{ ...stroke('ink-0001', 0), by: 'seat-c' }],
    }
    for (const { id } of pages)
      FakeSocket.last.hear({ type: 'page_items', page: id, items: things[id] ?? [], last: true })
  })
  afterEach(() => {
    session.close()
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })
  const answer = (more: Partial<Readings>) =>
    FakeSocket.last.hear({ ...readings(more), type: 'readings', ref: reads().at(-1)!.ref })

  test('is checked one after the other, of each what its own student wrote', async () => {
    const done = session.desks.check()
    await settled()
    expect(checks).toHaveLength(1)
    expect(JSON.stringify(checks[0])).not.toContain('x=9')
    expect(session.desks.done).toBe(1)
    expect(reads().map(({ page, ids }) => [page, ids])).toEqual([['desk-lin', ['ink-0001']]])
    answer({ maths_first: true, formulas: [read(['ink-0001'], ['ink-0001'])] })
    await settled()
    await done
    expect(session.desks.list.map(({ checked }) => checked?.length)).toEqual([2, 2, 0])
    expect(session.desks.done).toBeNull()
    session.desks.mark(session.desks.list)
    session.desks.mark(session.desks.list)
    const marked = FakeSocket.last.sent.flatMap((one) => (one.type === 'do' ? [one.request] : []))
    expect(marked.map((step) => 'page' in step && step.page)).toEqual(['desk-ayo', 'desk-lin'])
  })

  test('whose reading was lost on the way is asked for once more, and then passed over', async () => {
    const done = session.desks.check()
    await settled(12_100)
    expect(reads()).toHaveLength(2)
    await settled(12_100)
    await done
    expect(reads()).toHaveLength(2)
    expect(session.desks.list[1]!.checked).toEqual([])
  })

  test('waits when the server has had enough for a while', async () => {
    answers = [() => new Response('{}', { status: 429 })]
    const done = session.desks.check()
    await settled(5_000)
    expect(checks).toHaveLength(1)
    await settled(1_100)
    expect(checks).toHaveLength(2)
    session.desks.stop()
    await settled(30_000)
    await done
    expect(session.desks.done).toBeNull()
  })

  test('of which one cannot be checked goes on with the next, and says why', async () => {
    answers = [() => new Response('{}', { status: 500 })]
    const done = session.desks.check()
    await settled()
    answer({ maths_first: false })
    await settled()
    await done
    expect(session.desks.list[0]!.problem).not.toBe('')
    expect(session.desks.list.every(({ checked }) => checked)).toBe(true)
  })
})
