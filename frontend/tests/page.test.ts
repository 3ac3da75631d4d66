import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { inOrder } from '../src/board/order'
import type { Entry, Page } from '../src/board/page'
import { Replica } from '../src/board/replica'
import { packSamples } from '../src/ink/samples'
import type { InkItem, Item, Logged, Request, Step, Welcome } from '../src/wire/generated'

const PAGE = 'page-one'
const HEAD = {
  id: PAGE,
  title: '',
  paper: { kind: 'endless', ruling: 'plain', width: 0, height: 0, spacing: 32, colour: '', picture: '' },
  writers: 'lesson',
  desk_of: '',
  bays: [],
  by: '',
} as unknown as Page['head']

function stroke(id: string, x = 0): InkItem {
  const look = { nib: 'pen', colour: '#16222b', width: 3, opacity: 1, ends: 'none' } as const
  const own = { z: 0, group: '', by: 'me', at_ms: 0, locked: false, pinned: false }
  const samples = packSamples([0, 0, 0.5, 0, 40, 0, 0.5, 9])
  return { kind: 'ink', id, x, y: 0, map: [1, 0, 0, 1], ...own, ...look, samples }
}

/** The server's part: numbers, places in the order, and answers; and a page to come in to. */
class Server {
  log: Logged[] = []
  items = new Map<string, Item>()
  #z = 1
  #landed = new Set<string>()

  /** Land a request; one that comes again is answered at once. */
  take(id: string, request: Request, from?: Replica): void {
    if (this.#landed.has(id)) return from?.answered(id)
    this.#landed.add(id)
    let step: Step
    if (request.step === 'add_items') {
      const items = request.items.map((item) => ({ ...item, z: this.#z++ }))
      for (const item of items) this.items.set(item.id, item)
      step = { ...request, items }
    } else if (request.step === 'remove_items') {
      for (const gone of request.ids) this.items.delete(gone)
      step = request
    } else if (request.step === 'arrange_items') {
      const changes = request.ids.flatMap((item) => {
        const found = this.items.get(item)
        if (!found) return []
        const z = Math.min(0, ...[...this.items.values()].map((other) => other.z)) - 1
        this.items.set(item, { ...found, z })
        return [{ id: item, z }]
      })
      step = { step: 'change_items', page: PAGE, changes }
    } else throw new Error(request.step)
    this.log.push({ seq: this.log.length + 1, id, by: '', at_ms: 0, how: 'do', of: 0, step } as Logged)
  }

  welcome(have: number): Welcome {
    const whole = have < 0
    return {
      type: 'welcome',
      pages: whole ? [HEAD] : null,
      seq: this.log.length,
      missed: whole ? [] : this.log.slice(have),
    } as unknown as Welcome
  }
}

/** One browser, with a tile that is painted as the page says. */
class Screen {
  readonly replica: Replica
  painted: string[] = []
  out: [string, Request][] = []
  #page: Page | undefined

  constructor() {
    this.replica = new Replica({
      changed: () => this.#look(),
      landed: () => {},
      waits: () => {},
      settled: () => {},
      send: (id, request) => this.out.push([id, request]),
      gap: () => {
        throw new Error('a step is missing')
      },
    })
  }

  get page(): Page {
    return this.replica.pages.get(PAGE)!
  }

  get drawn(): string[] {
    return [...this.page.entries.values()].sort(inOrder).map(({ item }) => item.id)
  }

  #look(): void {
    const page = this.replica.pages.get(PAGE)
    if (page === this.#page) return
    this.#page = page
    if (!page) return
    this.painted = []
    page.changed = (_, onTop: Entry | null) => {
      if (!page.loaded) return
      if (onTop) this.painted.push(onTop.item.id)
      else this.painted = this.drawn
    }
  }

  come(server: Server, loads: number): void {
    const have = this.replica.whole ? this.replica.seq : -1
    const welcome = server.welcome(have)
    this.out = []
    this.replica.welcome(welcome)
    this.replica.resend()
    if (!welcome.pages) return
    const items = [...server.items.values()]
    this.replica.pageItems(PAGE, items.slice(0, loads), false)
    this.replica.pageItems(PAGE, items.slice(loads), true)
  }

  hear(server: Server): void {
    const steps = server.log.slice(this.replica.seq)
    this.replica.frame({ type: 'frame', steps } as never)
  }
}

describe('a page', () => {
  test('that is loaded with a stroke which waits here has it once, and it can be erased', () => {
    const [server, screen] = [new Server(), new Screen()]
    screen.come(server, 0)
    screen.replica.do({ step: 'add_items', page: PAGE, items: [stroke('mine-1')] })
    for (const [id, request] of screen.out) server.take(id, request)
    const { unconfirmed } = screen.replica
    const again = new Screen()
    again.replica.unconfirmed = [...unconfirmed]
    again.come(server, 0)
    again.replica.answered(unconfirmed[0]!.id)
    expect(again.page.at({ minX: -99, minY: -99, maxX: 99, maxY: 99 })).toHaveLength(1)
    again.replica.do({ step: 'remove_items', page: PAGE, ids: ['mine-1'] })
    expect(again.page.at({ minX: -99, minY: -99, maxX: 99, maxY: 99 })).toHaveLength(0)
  })

  test('of a thousand things that move at once has each in its place, before the answer and after it', () => {
    const [server, screen] = [new Server(), new Screen()]
    const ids = Array.from({ length: 1_000 }, (_, n) => `stroke-${n}`)
    screen.come(server, 0)
    server.take('a', { step: 'add_items', page: PAGE, items: ids.map((id, n) => stroke(id, 100 * n)) })
    screen.hear(server)
    const id = screen.replica.do({ step: 'move_items', page: PAGE, ids, dx: 0, dy: 500 })
    const far = { minX: -99, minY: 400, maxX: 1e6, maxY: 600 }
    const near = { minX: -99, minY: -99, maxX: 1e6, maxY: 99 }
    expect([screen.page.at(far).length, screen.page.at(near).length]).toEqual([1_000, 0])
    screen.replica.refused(id, 'locked', { key: 'reason-locked' })
    expect([screen.page.at(far).length, screen.page.at(near).length]).toEqual([0, 1_000])
    screen.replica.do({ step: 'remove_items', page: PAGE, ids: ids.slice(0, 700) })
    expect(screen.page.at(near).length).toBe(300)
  })

  test('tells apart what changed on it and what did not', () => {
    const [server, screen] = [new Server(), new Screen()]
    screen.come(server, 0)
    const before = screen.page.revision
    server.take('a', { step: 'add_items', page: PAGE, items: [stroke('a')] })
    screen.hear(server)
    const after = screen.page.revision
    expect(after).toBeGreaterThan(before)
    screen.replica.answered('nothing')
    expect(screen.page.revision).toBe(after)
  })

  test('is painted anew when ink goes to the back', () => {
    const [server, screen] = [new Server(), new Screen()]
    screen.come(server, 0)
    server.take('a', { step: 'add_items', page: PAGE, items: [stroke('a')] })
    server.take('b', { step: 'add_items', page: PAGE, items: [stroke('b')] })
    server.take('c', { step: 'arrange_items', page: PAGE, ids: ['b'], how: 'back', id: '' })
    screen.hear(server)
    expect(screen.painted).toEqual(['b', 'a'])
  })
})

const acts = fc.array(
  fc.record({
    act: fc.constantFrom('write', 'write', 'write', 'send', 'hear', 'hear', 'erase', 'back', 'lost' as const),
    who: fc.nat(1),
    which: fc.nat(6),
    part: fc.nat(5),
  }),
  { maxLength: 60 },
)

describe('two who write at once, with lines that break', () => {
  test('see the same in the same order, each as it is painted, and nothing that is not there', () => {
    fc.assert(
      fc.property(acts, (list) => {
        const server = new Server()
        const screens = [new Screen(), new Screen()]
        for (const screen of screens) screen.come(server, 0)
        let count = 0
        for (const { act, who, which, part } of list) {
          const screen = screens[who]!
          const [first] = [...screen.page.entries.keys()].slice(which)
          if (act === 'write')
            screen.replica.do({
              step: 'add_items',
              page: PAGE,
              items: [stroke(`${'abcdefgh'[which]}${++count}`, 20 * (which % 3))],
            })
          else if (act === 'erase' && first)
            screen.replica.do({ step: 'remove_items', page: PAGE, ids: [first] })
          else if (act === 'back' && first)
            screen.replica.do({ step: 'arrange_items', page: PAGE, ids: [first], how: 'back', id: '' })
          else if (act === 'send') {
            const next = screen.out.shift()
            if (next) server.take(...next, screen.replica)
          } else if (act === 'hear') screen.hear(server)
          else if (act === 'lost') {
            // A part of the page comes, or the line breaks before it does.
            if (part === 5) screen.replica.seq = -1
            if (part === 5) screen.replica.pages.get(PAGE)!.loaded = false
            screen.come(server, part)
          }
        }
        for (const screen of screens)
          for (const one of screen.out.splice(0)) server.take(...one, screen.replica)
        for (const screen of screens) screen.hear(server)
        const order = [...server.items.values()].sort((a, b) => a.z - b.z).map(({ id }) => id)
        for (const screen of screens) {
          expect(screen.replica.unconfirmed).toEqual([])
          expect(screen.drawn).toEqual(order)
          const seen = screen.page.at({ minX: -1e6, minY: -1e6, maxX: 1e6, maxY: 1e6 })
          expect(seen.map(({ item }) => item.id).sort()).toEqual(order.toSorted())
          // Of any two that overlap the one painted later lies above.
          const last = new Map(screen.painted.map((id, at) => [id, at]))
          const entries = [...screen.page.entries.values()].sort(inOrder)
          for (const [at, below] of entries.entries())
            for (const above of entries.slice(at + 1))
              if (below.minX <= above.maxX && above.minX <= below.maxX)
                expect(last.get(below.item.id)!).toBeLessThan(last.get(above.item.id)!)
        }
      }),
      { numRuns: 500 },
    )
  })
})
