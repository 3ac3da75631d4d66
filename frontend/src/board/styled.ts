/**
 * Text with styled parts while it is edited: one style for each of the browser's units of text, spans for the wire. Those
 * count whole characters, as the core does: a picture sign is one of them, and two units.
 */
import type { Span } from '../wire/generated'

export type Style = Omit<Span, 'start' | 'end'>
export type Flag = 'bold' | 'italic' | 'underline' | 'strike' | 'maths'

const PLAIN: Style = {}
/** The second unit of a character that has two. */
const SECOND_HALF = /[\udc00-\udfff]/

export class StyledText {
  readonly text: string
  readonly #styles: readonly Style[]

  constructor(text: string, styles: readonly Style[]) {
    this.text = text
    this.#styles = styles
  }

  static of(text: string, spans: Span[]): StyledText {
    const styles: Style[] = Array.from({ length: text.length }, () => PLAIN)
    const units = [0]
    for (const character of text) units.push(units.at(-1)! + character.length)
    for (const { start, end, ...style } of spans)
      for (let i = units[start] ?? text.length; i < (units[end] ?? text.length); i++) styles[i] = style
    return new StyledText(text, styles)
  }

  /** The text after it was typed over: what came in gets ``style``, or that of its neighbour. */
  typed(text: string, style: Style | null): StyledText {
    const least = Math.min(this.text.length, text.length)
    let head = 0
    while (head < least && this.text[head] === text[head]) head++
    if (SECOND_HALF.test(text[head] ?? '') || SECOND_HALF.test(this.text[head] ?? '')) head--
    let tail = 0
    while (tail < least - head && this.text.at(-1 - tail) === text.at(-1 - tail)) tail++
    if (tail && SECOND_HALF.test(text.at(-tail)!)) tail--
    const given = cleaned(style ?? this.#styles[head - 1] ?? PLAIN)
    const inner = Array.from({ length: text.length - head - tail }, () => given)
    return new StyledText(text, [
      ...this.#styles.slice(0, head),
      ...inner,
      ...this.#styles.slice(this.#styles.length - tail),
    ])
  }

  /** The text with ``change`` to the styles of some characters. */
  styled(start: number, end: number, change: Style): StyledText {
    return new StyledText(
      this.text,
      this.#styles.map((style, i) => (i >= start && i < end ? cleaned({ ...style, ...change }) : style)),
    )
  }

  at(index: number): Style {
    return this.#styles[index] ?? PLAIN
  }

  /** Whether all of a part has a style. */
  has(start: number, end: number, wanted: (style: Style) => boolean): boolean {
    return start < end && this.#styles.slice(start, end).every(wanted)
  }

  /** Parts of one style each, from the first character to the last. */
  parts(): { text: string; style: Style; start: number }[] {
    const parts: { text: string; style: Style; start: number }[] = []
    for (let i = 0; i < this.text.length; i++) {
      const last = parts.at(-1)
      if (last && same(last.style, this.at(i))) last.text += this.text[i]
      else parts.push({ text: this.text[i]!, style: this.at(i), start: i })
    }
    return parts
  }

  /** Spans of the styled parts of the text up to ``length`` units. */
  spans(length: number): Span[] {
    let at = 0
    return this.parts().flatMap(({ text, style, start }) => {
      const first = at
      at += [...text.slice(0, Math.max(0, length - start))].length
      return Object.keys(style).length && first < at ? [{ start: first, end: at, ...style }] : []
    })
  }
}

function same(a: Style, b: Style): boolean {
  return a === b || JSON.stringify(cleaned(a)) === JSON.stringify(cleaned(b))
}

/** Without what is off, in one order. */
function cleaned(style: Style): Style {
  return Object.fromEntries(
    Object.entries(style)
      .filter(([, value]) => value)
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  )
}
