import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { PAGE } from './stub'
import { standing, stroke, Surface } from './surface'
import type { Surface as Shown } from '../src/frame/board/surface.svelte'
import { handleKey, KEYS } from '../src/frame/keys'
import { TOOLS } from '../src/frame/tools'
import { looks } from '../src/ui/looks.svelte'
import type { Command, Lesson } from '../src/wire/generated'

let on: Surface
let shown: string[]
let shownBoard: Shown
/** What is open above the board. */
let panel: object | null

/** What the window has in focus: a place where letters are typed, a button, a slider; or the board. */
const PLACES = { board: '', words: 'input textarea', button: 'button', slider: 'input', chooser: 'select' }

interface Held {
  shift?: boolean
  control?: boolean
  alt?: boolean
  in?: keyof typeof PLACES
}

/** Press a key; whether it was taken. */
function press(key: string, held: Held = {}): boolean {
  const place = held.in ?? 'board'
  const selectors = (wanted: string) => {
    if (place === 'words') return /textarea|contenteditable/.test(wanted)
    if (place === 'slider') return wanted === 'input'
    return PLACES[place] !== '' && wanted.split(/\W+/).includes(PLACES[place])
  }
  const event = Object.assign(new Event('keydown', { cancelable: true }), {
    ...{ key, shiftKey: held.shift ?? false, ctrlKey: held.control ?? false, altKey: held.alt ?? false },
    metaKey: false,
  })
  const target = { matches: selectors, closest: (wanted: string) => (selectors(wanted) ? {} : null) }
  Object.defineProperty(event, 'target', { value: target })
  handleKey(event as unknown as KeyboardEvent, on.session, shownBoard)
  return event.defaultPrevented
}

const commands = () =>
  on.sent().flatMap((message) => (message.type === 'tell' ? [message.command as Command] : []))
const note = (what: string) => (): void => void shown.push(what)

beforeEach(() => {
  shown = []
  on = new Surface([stroke('stroke-1', 100), stroke('stroke-2', 200)])
  panel = null
  Object.assign(document, { querySelector: () => panel })
  on.session.lesson = { facts: { open: true } } as unknown as Lesson
  on.session.rights.own = standing(['convert', ...TOOLS.flatMap(({ needs }) => needs ?? [])])
  shownBoard = {
    gestures: {
      busy: false,
      giveUp: note('giveUp'),
      focus: note('focus'),
      crosshair: { move: () => false, press: () => false, giveUp: () => false },
    },
    looking: {
      pan: (dx: number, dy: number) => void shown.push(`pan ${dx} ${dy}`),
      zoom: (factor: number) => void shown.push(`zoom ${factor}`),
      fitPage: note('fitPage'),
      halfPage: note('halfPage'),
      nextBay: (by: number) => void shown.push(`bay ${by}`),
    },
    instruments: { laid: [], inHand: null, clear: note('clear') },
    toggle: note('toggle'),
    redrawOver: () => {},
  } as unknown as Shown
})

afterEach(() => {
  looks.letterKeys = true
  on.close()
})

describe('letters', () => {
  test('take each tool, and no letter stands for two', () => {
    for (const { key, tool } of TOOLS) {
      expect(press(key), key).toBe(true)
      expect(on.session.tools.tool, key).toBe(tool)
    }
    const told = KEYS.map(({ keys }) => keys)
    const all = [...TOOLS.map(({ key }) => key.toUpperCase()), ...told]
    expect(new Set(all).size).toBe(all.length)
  })

  test('with Caps Lock are the same letters', () => {
    press('E')
    expect(on.session.tools.tool).toBe('eraser')
  })

  test('take no tool from whoever only looks on, and students none of the tutor’s', () => {
    vi.spyOn(on.session.people, 'role', 'get').mockReturnValue('student')
    expect(press('y')).toBe(false)
    expect(on.session.tools.tool).not.toBe('bay')
    Object.assign(on.session, { door: 'onlooker' })
    expect(TOOLS.filter(({ key }) => press(key) && key !== 'j')).toEqual([])
    expect(press('1')).toBe(false)
  })

  test('can be turned off, for whoever speaks to the computer or presses by accident', () => {
    looks.letterKeys = false
    expect([press('e'), press('2'), press('u', { shift: true })]).toEqual([false, false, false])
    expect(press('Delete')).toBe(true)
    expect(on.session.tools.tool).not.toBe('eraser')
    expect(commands()).toEqual([])
  })

  test('are words where words are typed', () => {
    for (const key of ['e', '1', 'Delete', 'ArrowLeft', 'Enter', '+'])
      expect(press(key, { in: 'words' })).toBe(false)
    expect(press('z', { in: 'words', control: true })).toBe(false)
    expect(on.asked()).toEqual([])
    expect(shown).toEqual([])
  })

  test('go to the words that are typed on the board, also when a setting was pressed last', () => {
    let focused = 0
    on.session.editing = { focus: () => void focused++ } as never
    expect(press('e', { in: 'button' })).toBe(false)
    expect(press(' ', { in: 'button' })).toBe(false)
    expect(press('Delete')).toBe(false)
    expect([focused, on.asked()]).toEqual([1, []])
    on.session.editing = null
  })
})

test('digits take the pens that lie ready', () => {
  on.session.tools.tool = 'hand'
  press('3')
  expect([on.session.tools.pen, on.session.tools.tool]).toEqual([2, 'pen'])
  expect(press('9')).toBe(false)
})

describe('the lesson', () => {
  test('is held by Shift and a letter, by the tutor side alone and while it is open', () => {
    for (const key of ['U', 'D', 'N']) press(key, { shift: true })
    expect(commands()).toEqual([
      { command: 'set_pens', mode: 'up' },
      { command: 'set_pens', mode: 'down' },
      { command: 'pass_to_next' },
    ])
    const before = commands().length
    on.session.lesson = { facts: { open: false } } as unknown as Lesson
    expect(press('D', { shift: true })).toBe(false)
    vi.spyOn(on.session.people, 'role', 'get').mockReturnValue('student')
    on.session.lesson = { facts: { open: true } } as unknown as Lesson
    press('U', { shift: true })
    expect(commands()).toHaveLength(before)
  })

  test('is undone and done again, by both ways that keyboards know', () => {
    vi.spyOn(on.session, 'undo').mockImplementation(note('undo'))
    vi.spyOn(on.session, 'redo').mockImplementation(note('redo'))
    press('z', { control: true })
    press('Z', { control: true, shift: true })
    press('y', { control: true })
    expect(shown).toEqual(['undo', 'redo', 'redo'])
  })

  test('is undone though it was done a moment ago, and has no answer yet', () => {
    press('z', { control: true })
    expect(on.asked()).toEqual([])
    on.session.do({ step: 'remove_items', page: PAGE, ids: ['stroke-1'] })
    press('z', { control: true })
    expect(on.asked()).toMatchObject([{ step: 'remove_items' }, { step: 'undo' }])
  })
})

describe('arrows', () => {
  test('move what is chosen, finely with Shift; else the paper', () => {
    on.session.selection.choose(['stroke-1'])
    press('ArrowRight')
    press('ArrowUp', { shift: true })
    expect(on.asked()).toMatchObject([
      { step: 'move_items', ids: ['stroke-1'], dx: 10, dy: 0 },
      { step: 'move_items', dx: 0, dy: -1 },
    ])
    on.session.selection.choose([])
    press('ArrowDown')
    expect(shown).toEqual(['pan 0 -80'])
  })

  test('turn what is chosen with Alt, by one degree or by 15', () => {
    on.session.selection.choose(['stroke-1'])
    press('ArrowRight', { alt: true })
    press('ArrowLeft', { alt: true, shift: true })
    const turned = on.asked().flatMap((step) => (step.step === 'transform_items' ? [step.matrix] : []))
    const degrees = turned.map(([a, b]) => Math.round((Math.atan2(b, a) * 180) / Math.PI))
    expect(degrees).toEqual([1, -15])
  })

  test('are a slider’s and a chooser’s own', () => {
    expect(press('ArrowRight', { in: 'slider' })).toBe(false)
    expect(press('ArrowRight', { in: 'chooser' })).toBe(false)
    expect(shown).toEqual([])
  })

  test('move a cross-hair where something is set down by keys', () => {
    shownBoard.gestures.crosshair.move = () => true
    press('ArrowLeft')
    expect(shown).toEqual(['focus'])
  })
})

describe('Enter', () => {
  const text = {
    lines: [{ ids: ['stroke-1'], angle_rad: 0, rivals: [{ text: 'l' }] }],
    readings: [{ text: 'l' }],
  }
  const figure = { figure: 'line', points: [], closed: false, curved: false, parts: [], ends: 'none' }
  const map = { labels: [{ ids: ['stroke-1'], text: 'l' }], lines: [], centre: 0, of: '' }

  test.each([
    [text, { step: 'typeset', ids: ['stroke-1'], text: 'l' }],
    [
      { ...text, formulas: [{ formula: 'l=1', lines: [['stroke-1']] }], maths_first: true },
      { step: 'set_maths', formula: 'l=1', more: [], lines: [['stroke-1']] },
    ],
    [
      { ...text, figures: [figure], figure_first: true },
      { step: 'true_up', figure: 'line' },
    ],
    [
      {
        ...text,
        sketch: [
          { figure, ids: ['stroke-1'], holds: [] },
          { figure, ids: ['stroke-2'], holds: [] },
        ],
        figure_first: true,
      },
      { step: 'true_up_all' },
    ],
    [
      {
        ...text,
        pieces_first: true,
        pieces: {
          texts: [text.lines.map((line) => ({ ...line, parts: [] }))],
          formulas: [{ read: { formula: 'l=1', lines: [['a'], ['b']] }, ids: ['a', 'b'] }],
          figures: [{ figure, ids: ['stroke-2'], holds: [-1, -1] }],
        },
      },
      {
        step: 'convert_each',
        texts: [{ step: 'typeset', ids: ['stroke-1'], text: 'l', lines: [['stroke-1']], more: [] }],
        formulas: [{ formula: 'l=1', ids: ['a', 'b'], lines: [['a'], ['b']], more: [expect.any(String)] }],
        sketch: { figures: [{ figure: 'line', ids: ['stroke-2'] }], holds: [['', '']] },
      },
    ],
    [{ ...text, mind_map: map }, { step: 'to_mind_map' }],
    [{ ...text, mind_map: { ...map, of: 'oval-001' } }, { step: 'typeset' }],
  ])('makes of chosen ink what is offered first', (readings, step) => {
    on.session.rights.own = standing(['convert', 'add_formula'])
    on.session.selection.choose(['stroke-1'])
    on.session.selection.readings = { figures: [], sketch: [], formulas: [], ...readings } as never
    expect(press('Enter')).toBe(true)
    expect(on.asked()).toMatchObject([step])
  })

  test('does nothing to ink of which nothing is known, or that may not be changed', () => {
    on.session.selection.choose(['stroke-1'])
    expect(press('Enter')).toBe(false)
    on.session.rights.own = standing([])
    on.session.selection.readings = { figures: [], sketch: [], formulas: [], ...text } as never
    expect([press('Enter'), on.asked()]).toEqual([false, []])
  })

  test('on a button is that button’s', () => {
    on.session.selection.readings = { lines: [], readings: [{ text: 'l' }] } as never
    expect(press('Enter', { in: 'button' })).toBe(false)
    expect(on.asked()).toEqual([])
  })
})

describe('Escape', () => {
  test('gives up one thing at a time: a measure, what is drawn, then what is chosen', () => {
    on.session.selection.choose(['stroke-1'])
    on.session.tools.measuringAt = [[1, 2]]
    Object.assign(shownBoard.gestures, { busy: true })
    press('Escape')
    expect([on.session.tools.measuringAt, shown]).toEqual([[], []])
    press('Escape')
    expect([shown, on.session.selection.ids.size]).toEqual([['giveUp'], 1])
    Object.assign(shownBoard.gestures, { busy: false })
    press('Escape')
    expect(on.session.selection.ids.size).toBe(0)
  })

  test('closes an open panel before all else', () => {
    on.session.selection.choose(['stroke-1'])
    panel = {}
    expect(press('Escape')).toBe(false)
    expect(on.session.selection.ids.size).toBe(1)
  })
})

test('all of a page is chosen but what belongs to its background', () => {
  on.close()
  on = new Surface([stroke('stroke-1', 0), stroke('pinned-1', 50, { pinned: true })])
  press('a', { control: true, in: 'button' })
  expect([[...on.session.selection.ids], on.session.tools.tool, shown]).toEqual([
    ['stroke-1'],
    'select',
    ['focus'],
  ])
})

test('chosen things are removed, copied beside, put together and in front', () => {
  on.session.selection.choose(['stroke-1', 'stroke-2'])
  press('g', { control: true })
  press('G', { control: true, shift: true })
  press(']', { control: true })
  press('[', { control: true })
  press('Backspace')
  press('d', { control: true })
  const steps = on.asked()
  expect(steps.flatMap((step) => (step.step === 'arrange_items' ? [step.how] : []))).toEqual([
    ...['group', 'ungroup', 'forward', 'backward'],
  ])
  expect(steps.some(({ step }) => step === 'remove_items')).toBe(true)
  expect(press('s', { control: true })).toBe(false)
})

test('the view goes closer, further, to the whole page, half a page on, and from bay to bay', () => {
  for (const key of ['+', '=', '-', '0', 'n', 'j']) press(key)
  press('J', { shift: true })
  expect(shown).toEqual(['zoom 1.25', 'zoom 1.25', 'zoom 0.8', 'fitPage', 'halfPage', 'bay 1', 'bay -1'])
})
