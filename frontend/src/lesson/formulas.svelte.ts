/** Formulas: typed in a window that shows how they will look, put on the board, and worked out. */
import { freeBeside } from '../board/beside'
import { itemBox } from '../board/box'
import { growth, type Point } from '../board/place'
import { placed } from '../board/text'
import { ask } from '../wire/api'
import type {
  FormulaItem,
  FormulaLook,
  FormulaRead,
  FormulaSet,
  FormulaTyped,
  LineChecked,
  WorkedOffer,
} from '../wire/generated'
import type { Inside } from './inside'
import type { Working } from './working'

/** What is typed: a formula of the board, or a new one about a place. */
export interface FormulaTyping {
  item: FormulaItem | null
  at: Point
  /** Ink that it is to take the place of, and what that was read as. */
  ink?: { ids: string[]; formula: string; lines: FormulaRead['lines'] }
}

/** Formulas that the server is asked to tell at once. */
const MOST_SPOKEN = 60
/** Room between a formula and what it is worked out to, in sizes. */
const GAP = 0.25

export class Formulas {
  /** The formula that is typed just now. */
  typing = $state.raw<FormulaTyping | null>(null)
  #inside: Inside
  #spoken = $state.raw<Record<string, string>>({})
  #unspoken = new Set<string>()

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** The size of new formulas: a little larger than that of words, as their parts are smaller. */
  get size(): number {
    return Math.round(this.#inside.tools.textSize * 1.25)
  }

  /** How a formula will look; rejects with the sentence that says what of it is not understood. */
  preview(formula: string, number = '', signal?: AbortSignal): Promise<FormulaSet> {
    return ask<FormulaSet>('POST', '/api/formulas', { formula, number }, signal)
  }

  /** The number after the greatest that a formula of this page has. */
  get nextNumber(): string {
    const numbers = [...(this.#inside.pages.now?.entries.values() ?? [])].map(({ item }) =>
      item.kind === 'formula' ? Number.parseInt(item.number) || 0 : 0,
    )
    return String(1 + Math.max(0, ...numbers))
  }

  /** A formula in the words of this browser's language; as it was typed until the server has told them. */
  inWords(formula: string): string {
    const known = this.#spoken[formula]
    if (known === undefined && !this.#unspoken.size) setTimeout(() => void this.#speak())
    if (known === undefined) this.#unspoken.add(formula)
    return known ?? formula
  }

  /** Formulas whose words are known: what is told of them is told anew when there are more. */
  get told(): number {
    return Object.keys(this.#spoken).length
  }

  async #speak(): Promise<void> {
    const formulas = [...this.#unspoken].slice(0, MOST_SPOKEN)
    this.#unspoken.clear()
    // Where the server cannot be asked they are told as they were typed, and asked for once more when the page changes.
    const words = await ask<string[]>('POST', '/api/formulas/spoken', { formulas }).catch(() => null)
    if (!words) return
    this.#spoken = { ...this.#spoken, ...Object.fromEntries(formulas.map((each, i) => [each, words[i]!])) }
  }

  /** What a formula can be worked out to; rejects with the sentence that says why nothing. */
  workOut(formula: string, signal: AbortSignal): Promise<WorkedOffer[]> {
    return ask<WorkedOffer[]>('POST', '/api/formulas/worked-out', { formula }, signal)
  }

  /** Of each of some lines whether it follows from the one before. */
  check(working: Omit<Working, 'size' | 'endOf'>[], signal: AbortSignal): Promise<LineChecked[]> {
    const formulas = working.map(({ formula }) => formula)
    const words = working.map((step) => step.words)
    const beside = working.flatMap((step, at) => (step.beside ? [at] : []))
    return ask<LineChecked[]>('POST', '/api/formulas/checked', { formulas, words, beside }, signal)
  }

  /** Put a formula on the board, its middle at a place. */
  put(formula: string, look: FormulaLook, [x, y]: Point, number = ''): void {
    const size = this.size
    this.#add({
      ...this.#made(formula, look, x - (look.width * size) / 2, y - (look.height * size) / 2),
      size,
      number,
      colour: this.#inside.tools.ink,
    })
  }

  /** Put what a formula is worked out to beside it, as large and of its colour. */
  putBeside(of: FormulaItem, formula: string, look: FormulaLook): void {
    const { map, size, colour } = of
    const made = { ...this.#made(formula, look, of.x, of.y), map, size, colour }
    const { minX, minY, maxX, maxY } = itemBox(made)
    const room: [number, number] = [maxX - minX, maxY - minY]
    const [x, y] = freeBeside(this.#inside.pages.now, itemBox(of), room, GAP * size * growth(map), 'below')
    this.#add({ ...made, x: made.x + x - minX, y: made.y + y - minY })
  }

  /** A formula in MathML, as it would be typed. */
  async fromMathml(text: string): Promise<string> {
    return (await ask<FormulaTyped>('POST', '/api/formulas/mathml', { formula: text })).formula
  }

  /** A formula from another program, its middle at a place. */
  async paste(mathml: string, middle: Point): Promise<void> {
    try {
      const formula = await this.fromMathml(mathml)
      this.put(formula, (await this.preview(formula)).look, middle)
    } catch (error) {
      this.#inside.warn((error as Error).message)
    }
  }

  edit(item: FormulaItem, formula: string, number: string): void {
    if (formula === item.formula && number === item.number) return
    this.#inside.do({ step: 'edit_formula', page: this.#inside.pages.id, id: item.id, formula, number })
  }

  #made(formula: string, { outline, width, height, baseline }: FormulaLook, x: number, y: number) {
    const own = placed(this.#inside.rights.me, x, y)
    return {
      kind: 'formula' as const,
      ...own,
      formula,
      number: '',
      outline,
      width,
      height,
      baseline,
      ink: [],
    }
  }

  #add(item: FormulaItem): void {
    this.#inside.do({ step: 'add_items', page: this.#inside.pages.id, items: [item] })
    this.#inside.chooseMade([item.id])
  }
}

/** The formula that another program has put on the clipboard, in MathML; "" when there is none. */
export function mathmlIn(clipboard: DataTransfer): string {
  for (const kind of ['application/mathml+xml', 'text/plain', 'text/html']) {
    const found = /<(?:m:|mml:)?math[\s>][\s\S]*?<\/(?:m:|mml:)?math>/.exec(clipboard.getData(kind))
    if (found) return found[0]
  }
  return ''
}
