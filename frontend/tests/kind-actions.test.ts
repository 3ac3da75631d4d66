import { describe, expect, test } from 'vitest'
import { actionsOf } from '../src/lesson/kind-actions'
import type { Item } from '../src/wire/generated'

const everything = { change: true, formula: true, text: true, leads: true }
const nothing = { change: false, formula: false, text: false, leads: false }
const offered = (item: Partial<Item>, may = everything) => actionsOf(item as Item, may)

describe('what one thing offers because of its kind', () => {
  test('an inequality has a place on a number line, another formula has none', () => {
    for (const formula of ['x<3', 'x >= 2', String.raw`x \le 3`, String.raw`1 \geq y`])
      expect(offered({ kind: 'formula', formula })).toEqual(['works', 'graphs', 'lined', 'reformula'])
    for (const formula of ['x=3', String.raw`\left(x\right)`, String.raw`\lefteq`])
      expect(offered({ kind: 'formula', formula })).not.toContain('lined')
  })

  test('a card is opened by everybody, heard by all only if it can be heard', () => {
    expect(offered({ kind: 'card', file: '' }, nothing)).toEqual(['opens'])
    expect(offered({ kind: 'card', file: '' })).toEqual(['opens', 'recard'])
    expect(offered({ kind: 'card', file: 'sound-1' })).toEqual(['plays', 'opens', 'recard'])
  })

  test('who may change nothing is offered no change', () => {
    for (const kind of ['formula', 'table', 'graph', 'chart', 'picture', 'ink', 'text'] as const)
      expect(offered({ kind, formula: 'x', chance: null } as Partial<Item>, nothing)).toEqual([])
  })
})
