/** Formulas: typed in a window that shows how they will look, and put on the board. */
import type { Point } from '../board/place'
import { placed } from '../board/text'
import { ask } from '../wire/api'
import type { FormulaItem, FormulaSet } from '../wire/generated'
import type { Inside } from './inside'

/** What is typed: a formula of the board, or a new one about a place. */
export interface FormulaTyping {
  item: FormulaItem | null
  at: Point
}

export class Formulas {
  /** The formula that is typed just now. */
  typing = $state.raw<FormulaTyping | null>(null)
  #inside: Inside

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** How a formula will look; rejects with the sentence that says what of it is not understood. */
  preview(formula: string, signal?: AbortSignal): Promise<FormulaSet> {
    return ask<FormulaSet>('POST', '/api/formulas', { formula }, signal)
  }

  /** Put a formula on the board, its middle or its upper left corner at a place. */
  put(formula: string, made: FormulaSet, [x, y]: Point, corner = false, size = this.size): void {
    const [width, height] = [made.width * size, made.height * size]
    const { outline, baseline } = made
    const item: FormulaItem = {
      kind: 'formula',
      ...placed(this.#inside.rights.me, corner ? x : x - width / 2, corner ? y : y - height / 2),
      formula,
      size,
      colour: this.#inside.tools.ink,
      outline,
      width: made.width,
      height: made.height,
      baseline,
      ink: [],
    }
    this.#inside.do({ step: 'add_items', page: this.#inside.pages.id, items: [item] })
    this.#inside.chooseMade([item.id])
  }

  /** The size of new formulas: a little larger than that of words, as their parts are smaller. */
  get size(): number {
    return Math.round(this.#inside.tools.textSize * 1.25)
  }

  edit(item: FormulaItem, formula: string): void {
    if (formula === item.formula) return
    this.#inside.do({ step: 'edit_formula', page: this.#inside.pages.id, id: item.id, formula })
  }
}
