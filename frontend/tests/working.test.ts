import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { FakeSocket, head, welcome } from './stub'
import { stroke } from './surface'
import type { Box } from '../src/board/box'
import { Session } from '../src/lesson/session.svelte'
import { formulaAmong, hasLines, lineMarks, writtenWorking } from '../src/lesson/working'
import type { FormulaItem, FormulaRead, LineChecked, PageHead, Readings } from '../src/wire/generated'

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

describe('written lines', () => {
  test('end where their last sign does, and are as large as the smallest of them', () => {
    const working = writtenWorking(read(['a', 'b'], ['c']), boxOf)!
    expect([working.top, working.size]).toEqual([0, 24])
    expect([working.endOf(0, 2), working.endOf(1, 2)]).toEqual([
      [90, 15],
      [70, 72],
    ])
  })

  test('of which one was rubbed out meanwhile are marked where they are', () => {
    const working = writtenWorking(read(['a'], ['gone'], ['c']), boxOf)!
    const marks = lineMarks(
      'seat-a',
      [working],
      [0, 2].map((line) => verdict(line, 'follows', 0, 3)),
    )
    for (const { x, y } of marks) expect(Number.isFinite(x) && Number.isFinite(y)).toBe(true)
    expect(marks).toHaveLength(2)
    expect(writtenWorking(read(['gone']), boxOf)).toBeNull()
  })

  test('get a tick or a cross, and nothing where nothing can be said', () => {
    const working = writtenWorking(read(['a'], ['c']), boxOf)!
    const said = [verdict(0, 'follows'), verdict(1, 'does_not'), verdict(1, 'cannot_tell')]
    const marks = lineMarks('seat-a', [working], said)
    expect(marks.map(({ figure }) => figure)).toEqual(['tick', 'cross'])
    expect(marks.every(({ x }) => x > 40)).toBe(true)
  })

  test('are several when there is more than one formula, or one of several lines', () => {
    const one = writtenWorking(read(['a']), boxOf)!
    expect(hasLines([one])).toBe(false)
    expect(hasLines([one, one])).toBe(true)
    expect(hasLines([writtenWorking(read(['a'], ['c']), boxOf)!])).toBe(true)
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
    FakeSocket.last.hear({ type: 'readings', ref: reads().at(-1)!.ref, formulas: [], ...more })

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

test('the one formula among words is checked as the only one is; of several none is', () => {
  const [whole, one, other] = [read(['a']), read(['b']), read(['c'])]
  const among = (...formulas: FormulaRead[]) => ({ pieces: { formulas: formulas.map((read) => ({ read })) } })
  for (const [readings, found] of [
    [{ maths_first: true, formulas: [whole] }, whole],
    [{ maths_first: true, formulas: [whole], ...among(one) }, whole],
    [{ maths_first: true, formulas: [whole], ...among(one), pieces_first: true }, one],
    [{ formulas: [], ...among(one) }, one],
    [{ formulas: [], ...among(one, other) }, undefined],
    [{ formulas: [whole] }, undefined],
  ] as const)
    expect(formulaAmong(readings as never)).toBe(found)
})
