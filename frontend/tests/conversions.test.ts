import { describe, expect, it } from 'vitest'
import { conversionsOf, textOf } from '../src/lesson/conversions'
import type {
  Figure,
  FormulaRead,
  LineRead,
  MindMap,
  Pieces,
  Reading,
  SketchPart,
} from '../src/wire/generated'

const nothing = {
  readings: [] as Reading[],
  figures: [] as Figure[],
  sketch: [] as SketchPart[],
  figure_first: false,
  formulas: [] as FormulaRead[],
  maths_first: false,
  mind_map: null as MindMap | null,
  pieces: null as Pieces | null,
  pieces_first: false,
  problem: null,
}
const [word, other] = [{ text: 'noon' }, { text: 'moon' }] as Reading[]
const [figure, part, formula, map] = [{} as Figure, {} as SketchPart, {} as FormulaRead, {} as MindMap]
const all = { maths: true, lines: true }

describe('what ink may become', () => {
  it('is a figure that is not seen when nothing is', () => {
    expect(conversionsOf(nothing, { maths: true, lines: false })).toEqual(['asFigure'])
  })

  it('is nothing while it cannot be read', () => {
    const problem = { key: 'that-is-too-large-a', facts: {} } as never
    expect(conversionsOf({ ...nothing, readings: [word!], problem }, all)).toEqual([])
  })

  it('has other readings only when there is more than one', () => {
    expect(conversionsOf({ ...nothing, readings: [word!] }, all)).not.toContain('rivals')
    expect(conversionsOf({ ...nothing, readings: [word!, other!] }, all)).toContain('rivals')
  })

  it('begins with what it is likeliest to be', () => {
    const read = { ...nothing, readings: [word!], figures: [figure], formulas: [formula], mind_map: map }
    expect(conversionsOf(read, all)[0]).toBe('asMap')
    expect(conversionsOf({ ...read, mind_map: null }, all)[0]).toBe('asText')
    expect(conversionsOf({ ...read, maths_first: true }, all)[0]).toBe('asMaths')
    expect(conversionsOf({ ...read, figure_first: true }, all)[0]).toBe('asFigure')
  })

  it('offers a sketch as a whole, and its figures alone only when they are seen', () => {
    const sketch = { ...nothing, sketch: [part, part], figure_first: true }
    expect(conversionsOf(sketch, { maths: false, lines: false })).toEqual(['asSketch'])
    expect(conversionsOf({ ...sketch, figures: [figure] }, { maths: false, lines: false })).toEqual([
      'asSketch',
      'asFigure',
    ])
  })

  it('offers the one figure that stands beside writing after its text', () => {
    const beside = { ...nothing, readings: [word!], sketch: [part] }
    expect(conversionsOf(beside, { maths: false, lines: false })).toEqual(['asText', 'words', 'asSketch'])
  })

  it('sets no formula for whoever may set none, and checks lines that are there', () => {
    const read = { ...nothing, formulas: [formula], maths_first: true }
    expect(conversionsOf(read, { maths: false, lines: true })[0]).toBe('checks')
    expect(conversionsOf(read, { maths: true, lines: false })).not.toContain('checks')
  })

  it('offers each part as what it is first where that is likelier, and to whoever may set its formulas', () => {
    const pieces = { texts: [], formulas: [{}], figures: [] } as unknown as Pieces
    const read = {
      ...nothing,
      readings: [word!],
      sketch: [part, part],
      figures: [figure],
      pieces,
      pieces_first: true,
    }
    for (const more of [{}, { figure_first: true }, { maths_first: true, formulas: [formula] }]) {
      expect(conversionsOf({ ...read, ...more }, all)[0]).toBe('asEach')
      expect(conversionsOf({ ...read, ...more }, { maths: false, lines: false })).not.toContain('asEach')
    }
    const unsure = { ...read, figure_first: true, pieces_first: false, pieces: { ...pieces, formulas: [] } }
    expect(conversionsOf(unsure, { maths: false, lines: false })).toEqual([
      'asSketch',
      'asFigure',
      'asEach',
      'asText',
      'words',
    ])
  })
})

describe('lines as one text', () => {
  it('have the formulas among their words where these are in it', () => {
    const said = (text: string) => ({ rivals: [{ text }], parts: [] }) as unknown as LineRead
    const parts = [
      { text: 'so ', formula: null, ids: [] },
      { text: 'x=4', formula, ids: ['stroke-1'] },
      { text: ' then', formula: null, ids: [] },
    ]
    const lines = [said('noon'), { ...said('so x = 4 then'), parts } as LineRead, said('dusk')]
    expect(textOf(lines)).toEqual({
      text: 'noon\nso x=4 then\ndusk',
      formulas: [{ start: 8, end: 11, ids: ['stroke-1'] }],
    })
    expect(textOf([])).toEqual({ text: '', formulas: [] })
  })
})
