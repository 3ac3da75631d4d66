import fc from 'fast-check'
import { expect, test } from 'vitest'
import { StyledText } from '../src/board/styled'
import type { Span } from '../src/wire/generated'

const characters = fc.array(fc.constantFrom('a', 'b', ' ', 'é', '🌞', '𝑥', '\n'), { maxLength: 12 })
/** A text, and spans of it in whole characters, one after the other and none beside a like one. */
const styled = characters.chain((text) =>
  fc.uniqueArray(fc.integer({ min: 0, max: text.length }), { maxLength: 6 }).map((places) => {
    const edges = places.toSorted((a, b) => a - b)
    const spans = edges
      .slice(1)
      .map((end, n): Span => ({ start: edges[n]!, end, ...(n % 2 ? { italic: true } : { bold: true }) }))
    return { text: text.join(''), spans }
  }),
)

test('what is bold stays bold, whatever signs stand before it', () => {
  const text = StyledText.of('🌞 at noon', [{ start: 5, end: 9, bold: true }])
  expect(text.parts().map(({ text }) => text)).toEqual(['🌞 at ', 'noon'])
  expect(text.spans(text.text.length)).toEqual([{ start: 5, end: 9, bold: true }])
  expect(text.styled(0, 2, { italic: true }).spans(text.text.length)[0]).toEqual({
    start: 0,
    end: 1,
    italic: true,
  })
})

test('spans are the same after they were opened and taken again, and never longer than the text', () => {
  fc.assert(
    fc.property(styled, fc.integer({ min: 0, max: 12 }), ({ text, spans }, cut) => {
      const opened = StyledText.of(text, spans)
      expect(opened.spans(text.length)).toEqual(spans)
      const kept = [...text].slice(0, cut)
      for (const { start, end } of opened.spans(kept.join('').length)) {
        expect(start).toBeLessThan(end)
        expect(end).toBeLessThanOrEqual(kept.length)
      }
    }),
  )
})

test('typing keeps the style of what was there, and parts no character', () => {
  fc.assert(
    fc.property(styled, characters, fc.boolean(), ({ text, spans }, typed, bold) => {
      const after = StyledText.of(text, spans).typed(typed.join(''), bold ? { bold: true } : null)
      expect(after.text).toBe(typed.join(''))
      expect(after.parts().flatMap((part) => [...part.text])).toEqual(typed)
      for (const { start, end } of after.spans(after.text.length)) expect(end).toBeGreaterThan(start)
    }),
  )
  const sun = StyledText.of('🌞', [{ start: 0, end: 1, bold: true }])
  expect(sun.typed('🌝', { italic: true }).spans(2)).toEqual([{ start: 0, end: 1, italic: true }])
  expect(sun.typed('🌞 noon', null).spans(7)).toEqual([{ start: 0, end: 6, bold: true }])
})
