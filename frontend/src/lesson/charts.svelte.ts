/** Charts of tables: put beside them, and changed. */
import { newId } from '../wire/codec'
import { freeBeside } from '../board/beside'
import { itemBox } from '../board/box'
import { placed } from '../board/text'
import type { ChartForm, ChartItem, TableItem } from '../wire/generated'
import type { Inside } from './inside'

/** A new chart in board units, and how far from its table it stands. */
const [WIDTH, HEIGHT, BESIDE] = [440, 320, 40]

/** What of a chart is changed. */
export type ChartChange = Partial<Pick<ChartItem, 'form' | 'title' | 'by_rows' | 'fit'>>

export class Charts {
  #inside: Inside

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** A new chart beside its table. */
  put(table: TableItem, form: ChartForm): void {
    const [x, y] = freeBeside(this.#inside.pages.now, itemBox(table), [WIDTH, HEIGHT], BESIDE, 'right')
    const item: ChartItem = {
      kind: 'chart',
      ...placed(this.#inside.rights.me, x, y),
      id: newId(),
      form,
      width: WIDTH,
      height: HEIGHT,
      columns: table.columns.length,
      cells: table.cells,
      table: table.id,
      title: '',
      by_rows: false,
      fit: form === 'scatter',
      colour: '#16222b',
      chart: null,
    }
    this.#inside.do({ step: 'add_items', page: this.#inside.pages.id, items: [item] })
    this.#inside.chooseMade([item.id])
  }

  change(chart: ChartItem, change: ChartChange): void {
    const { form, title, by_rows, fit } = { ...chart, ...change }
    const page = this.#inside.pages.id
    this.#inside.do({ step: 'set_chart', page, id: chart.id, form, title, by_rows, fit })
  }
}
