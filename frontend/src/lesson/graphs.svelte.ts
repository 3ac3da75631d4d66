/** Graphs: put on the board, their formulas, letters and ranges changed, and seen while a letter is moved. */
import { freeBeside } from '../board/beside'
import { itemBox } from '../board/box'
import type { Point } from '../board/place'
import { placed } from '../board/text'
import { ask } from '../wire/api'
import type { FormulaItem, GraphItem, PlacesFound, TableItem } from '../wire/generated'
import { told } from '../words/words.svelte'
import type { Inside } from './inside'

/** A new graph in board units, how far from its formula it stands, and the numbers that it shows. */
const [WIDTH, HEIGHT, BESIDE] = [520, 400, 30]
const TELL_MS = 110
const SHOWN = { x0: -6.5, x1: 6.5, y0: -5, y1: 5 }

export const GRAPH_COLOURS = [
  '#1f5fa8',
  '#b4472c',
  '#2f7d5b',
  '#6b3fa0',
  '#8a6d1f',
  '#16222b',
  '#0f7c8a',
  '#a03a78',
]

/** What of a graph is changed. */
export type GraphChange = Partial<Pick<GraphItem, 'ranges' | 'lines' | 'letters' | 'counted'>>

export class Graphs {
  #inside: Inside
  #asking: AbortController | null = null

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** A new graph with its middle at a place. */
  async put(formulas: string[], [x, y]: Point): Promise<void> {
    const item: GraphItem = {
      kind: 'graph',
      ...placed(this.#inside.rights.me, x - WIDTH / 2, y - HEIGHT / 2),
      width: WIDTH,
      height: HEIGHT,
      ranges: SHOWN,
      lines: formulas.map((formula, at) => ({
        formula,
        colour: GRAPH_COLOURS[at % 8]!,
        width: 3,
        shown: true,
        fit: 0,
      })),
      letters: [],
      counted: 'numbers',
      colour: '#16222b',
      drawn: null,
    }
    const page = this.#inside.pages.id
    try {
      const drawn = await ask<GraphItem>('POST', '/api/graphs', item)
      const problem = drawn.drawn?.problems.find(Boolean)
      if (problem && formulas.length === 1) return this.#inside.warn(told(problem))
      this.#inside.do({ step: 'add_items', page, items: [drawn] })
      this.#inside.chooseMade([item.id], page)
    } catch (error) {
      this.#inside.warn((error as Error).message)
    }
  }

  /** A new graph of a formula, beside it. */
  putBeside(item: FormulaItem): Promise<void> {
    const [x, y] = freeBeside(this.#inside.pages.now, itemBox(item), [WIDTH, HEIGHT], BESIDE, 'below')
    return this.put([item.formula], [x + WIDTH / 2, y + HEIGHT / 2])
  }

  /** How a graph would look; null when another is asked for already. */
  async preview(graph: GraphItem, change: GraphChange): Promise<GraphItem | null> {
    this.#asking?.abort()
    const asking = (this.#asking = new AbortController())
    try {
      return await ask<GraphItem>('POST', '/api/graphs', { ...graph, ...change }, asking.signal)
    } catch (error) {
      if (asking.signal.aborted) return null
      throw error
    }
  }

  /** Everybody sees it as it is moved; others not more often than they can be told. */
  moved({ id, ranges, letters, drawn }: GraphItem): void {
    if (!drawn) return
    const page = this.#inside.pages.id
    this.#inside.surface?.moving({ page, id, ranges, letters, drawn })
    const now = performance.now()
    if (now - this.#told < TELL_MS) return
    this.#told = now
    this.#inside.send({ type: 'slide', page, id, ranges, letters, drawn })
  }
  #told = 0

  /** Named places of one of its curves, and what it is at one. */
  places(graph: GraphItem, line: number, at: number | null, low: number, high: number): Promise<PlacesFound> {
    return ask<PlacesFound>('POST', '/api/graphs/places', { graph, line, at, low, high })
  }

  /** The first two columns of numbers of a table as points, with a line of best fit. */
  takeTable(graph: GraphItem, table: TableItem): void {
    const colour = GRAPH_COLOURS[graph.lines.length % GRAPH_COLOURS.length]!
    this.#inside.do({
      step: 'plot_table',
      page: this.#inside.pages.id,
      id: graph.id,
      table: table.id,
      colour,
    })
  }

  change(graph: GraphItem, change: GraphChange): void {
    const { ranges, lines, letters, counted } = { ...graph, ...change }
    const page = this.#inside.pages.id
    this.#inside.do({ step: 'set_graph', page, id: graph.id, ranges, lines, letters, counted })
  }
}
