/** Typed text of our own making, as it is shown until the server has laid it out. */
import { newId } from '../wire/codec'
import type { TextItem } from '../wire/generated'

const LINE_HEIGHT = 1.3
/** About how wide a character is: good enough for the few milliseconds until the server knows. */
const ABOUT_WIDE = 0.5

export function newText(
  by: string,
  text: string,
  x: number,
  y: number,
  size: number,
  colour: string,
  wrap_width: number | null = null,
): TextItem {
  return {
    kind: 'text',
    id: newId(),
    x,
    y,
    map: [1, 0, 0, 1],
    z: 0,
    group: '',
    by,
    at_ms: 0,
    locked: false,
    text,
    size,
    colour,
    wrap_width,
    lines: text
      .split('\n')
      .map((line, i) => [
        [['sans', line, 0, 0]],
        size * (1 + LINE_HEIGHT * i),
        line.length * size * ABOUT_WIDE,
      ]),
    ink: [],
  }
}
