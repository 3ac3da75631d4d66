import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { Arbiter, PALM_MS, PINCH_GRACE_MS, type Contact, type Pinch } from '../src/gestures/arbiter'

/** What a board does with what the arbiter says: strokes of the samples that arrived, pans and zooms. */
class Follower {
  readonly arbiter = new Arbiter()
  readonly strokes: { id: number; kind: string; xs: number[]; end: 'lifted' | 'broken off' | '' }[] = []
  pinches: [Pinch, Pinch][] = []

  get #open() {
    const last = this.strokes.at(-1)
    return last?.end === '' ? last : undefined
  }

  down(contact: Contact): void {
    const { givenUp, leads } = this.arbiter.down(contact)
    if (givenUp) this.#end('broken off')
    if (!leads) return
    expect(this.#open).toBeUndefined()
    this.strokes.push({ id: contact.id, kind: contact.kind, xs: [contact.x], end: '' })
    this.arbiter.writing = true
  }

  move(contact: Contact): void {
    const { leads, pinch } = this.arbiter.move(contact)
    if (pinch) this.pinches.push(pinch)
    if (leads) this.#open!.xs.push(contact.x)
  }

  up(id: number, at = 0): void {
    if (this.arbiter.up(id, at)) this.#end('lifted')
  }

  #end(how: 'lifted' | 'broken off'): void {
    this.#open!.end = how
  }
}

const contact = (id: number, kind: Contact['kind'], at: number, x = 0, y = 0): Contact => ({
  id,
  kind,
  at,
  x,
  y,
})

describe('a pen', () => {
  test('that lands after its palm writes', () => {
    const board = new Follower()
    board.down(contact(1, 'touch', 0))
    board.down(contact(2, 'pen', 50, 5))
    board.move(contact(1, 'touch', 60, 300))
    board.move(contact(2, 'pen', 70, 6))
    board.up(2)
    board.up(1)
    expect(board.strokes.at(-1)).toEqual({ id: 2, kind: 'pen', xs: [5, 6], end: 'lifted' })
  })

  test('that lands after two contacts of its palm writes, and the page stays', () => {
    const board = new Follower()
    board.down(contact(1, 'touch', 0))
    board.down(contact(2, 'touch', 5, 80))
    board.down(contact(3, 'pen', 50, 5))
    board.move(contact(1, 'touch', 60, 300))
    board.move(contact(3, 'pen', 70, 6))
    expect(board.strokes.at(-1)!.xs).toEqual([5, 6])
    expect(board.pinches).toEqual([])
  })

  test('goes on writing when its palm lands after it', () => {
    const board = new Follower()
    board.down(contact(3, 'pen', 0, 5))
    board.down(contact(1, 'touch', 20))
    board.down(contact(2, 'touch', 40, 90))
    board.move(contact(1, 'touch', 60, 300))
    board.move(contact(3, 'pen', 70, 6))
    board.up(3)
    board.move(contact(1, 'touch', 80, 400))
    expect(board.strokes).toEqual([{ id: 3, kind: 'pen', xs: [5, 6], end: 'lifted' }])
    expect(board.pinches).toEqual([])
  })

  test('keeps its palm away for a moment after it was lifted, or seen over the board', () => {
    const board = new Follower()
    board.arbiter.near(0)
    board.down(contact(1, 'touch', PALM_MS - 1))
    expect(board.strokes).toEqual([])
    board.move(contact(9, 'pen', PALM_MS, 5, 5)) // it lies there still
    board.move(contact(9, 'pen', 2 * PALM_MS, 5, 5))
    board.down(contact(2, 'touch', 2 * PALM_MS + 1))
    expect(board.strokes.map(({ id }) => id)).toEqual([2])
    board.up(2)
    board.down(contact(9, 'pen', 3 * PALM_MS, 5, 5))
    board.up(9, 9 * PALM_MS)
    board.down(contact(3, 'touch', 9 * PALM_MS + 100))
    expect(board.strokes.map(({ id }) => id)).toEqual([2, 9])
  })
})

describe('fingers', () => {
  test('two are a pinch; the moment before was its beginning', () => {
    const board = new Follower()
    board.down(contact(1, 'touch', 0))
    board.down(contact(2, 'touch', PINCH_GRACE_MS, 100))
    board.move(contact(2, 'touch', PINCH_GRACE_MS + 9, 200))
    expect(board.strokes[0]!.end).toBe('broken off')
    expect(board.pinches.map(([a, b]) => b.distance / a.distance)).toEqual([2])
  })

  test('what one has written for a while was meant', () => {
    const board = new Follower()
    board.down(contact(1, 'touch', 0))
    board.down(contact(2, 'touch', PINCH_GRACE_MS + 1, 100))
    board.move(contact(1, 'touch', 300, 7))
    board.up(1)
    expect(board.strokes).toEqual([{ id: 1, kind: 'touch', xs: [0, 7], end: 'lifted' }])
    board.down(contact(3, 'touch', 400)) // the other still rests there
    expect(board.strokes.at(-1)).toMatchObject({ id: 3, end: '' })
  })

  test('the pair that pinches stays the same when a third comes, and no lift makes the page jump', () => {
    const board = new Follower()
    board.down(contact(1, 'touch', 0))
    board.down(contact(2, 'touch', 10, 100))
    board.down(contact(3, 'touch', 20, 900))
    board.move(contact(3, 'touch', 30, 950))
    expect(board.pinches).toEqual([])
    board.up(1)
    board.move(contact(2, 'touch', 40, 101))
    expect(board.pinches.map(([a, b]) => [a.distance, b.distance])).toEqual([[850, 849]])
  })

  test('a pinch that the system ends throws nothing and spoils no stroke', () => {
    const board = new Follower()
    board.down(contact(1, 'touch', 0))
    board.down(contact(2, 'touch', 10, 100))
    board.up(1)
    board.move(contact(2, 'touch', 20, 120))
    board.up(2)
    board.down(contact(3, 'touch', 30, 5))
    board.move(contact(3, 'touch', 40, 6))
    expect(board.strokes.at(-1)).toMatchObject({ id: 3, xs: [5, 6] })
  })
})

const KINDS: Contact['kind'][] = ['pen', 'pen', 'touch', 'touch', 'touch', 'touch', 'mouse']
const acts = fc.array(
  fc.record({
    id: fc.nat(KINDS.length - 1),
    act: fc.constantFrom('down', 'move', 'move', 'move', 'up', 'lost' as const),
    wait: fc.nat(300),
    x: fc.integer({ min: -500, max: 500 }),
    y: fc.integer({ min: -500, max: 500 }),
  }),
  { maxLength: 80 },
)

describe('whatever touches the board in whatever order', () => {
  test('all samples of the first pen arrive, nothing throws, nothing stays on', () => {
    fc.assert(
      fc.property(acts, (list) => {
        const board = new Follower()
        const down = new Set<number>()
        let pen = null as { id: number; xs: number[] } | null
        const written: number[][] = []
        let at = 1_000
        for (const { id, act, wait, x, y } of list) {
          at += wait
          const now = contact(id, KINDS[id]!, at, x, y)
          if (act === 'down' || (act === 'move' && down.has(id))) {
            // Now and then a contact comes down again whose end was never heard of.
            if (act === 'move') board.move(now)
            else {
              const again = down.has(id)
              board.down(now)
              down.add(id)
              if (again && pen?.id === id) {
                written.push(pen.xs)
                pen = null
              }
              if (now.kind === 'pen' && !pen) pen = { id, xs: [] }
            }
            if (pen?.id === id) pen.xs.push(x)
          } else if (act === 'up' && down.delete(id)) {
            board.up(id, at)
            if (pen?.id === id) {
              written.push(pen.xs)
              pen = null
            }
          }
          expect(board.arbiter.pinching && board.arbiter.leader !== null).toBe(false)
        }
        for (const id of down) board.up(id)
        if (pen) written.push(pen.xs)
        expect(board.strokes.filter(({ kind }) => kind === 'pen').map(({ xs }) => xs)).toEqual(written)
        expect(board.strokes.every(({ end }) => end !== '')).toBe(true)
        expect(board.arbiter.leader).toBeNull()
        expect(board.arbiter.pinching).toBe(false)
      }),
      { numRuns: 2_000 },
    )
  })

  test('a pinch goes on from where it was', () => {
    fc.assert(
      fc.property(acts, (list) => {
        const arbiter = new Arbiter()
        const places = new Map<number, Contact>()
        let at = 1_000
        for (const { id, act, wait, x, y } of list) {
          at += wait
          const now = contact(id, KINDS[id]!, at, x, y)
          if (act === 'down') {
            places.set(id, now)
            arbiter.down(now)
          } else if (act === 'move' && places.has(id)) {
            const was = places.get(id)!
            places.set(id, now)
            const { pinch } = arbiter.move(now)
            // Its middle goes half as far as the finger that moved: no lift and no third finger makes a jump.
            if (pinch) {
              expect(pinch[1].x - pinch[0].x).toBeCloseTo((x - was.x) / 2)
              expect(pinch[1].y - pinch[0].y).toBeCloseTo((y - was.y) / 2)
            }
          } else if (places.delete(id)) arbiter.up(id, at)
        }
      }),
    )
  })
})
