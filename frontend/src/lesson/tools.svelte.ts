/** The tool in hand and its settings; kept in this browser for the next time. */
import type { Look } from '../board/wet'
import type { Dash, Ends, Family, FigureKind, Nib } from '../wire/generated'
import type { Plain } from '../words/words.svelte'
import { keepOwn, MOST_OWN, ownStamps, STAMPS, type Stamp } from './stamps'
import { keepHere } from '../words/here'

const ALL_TOOLS = [
  'select',
  'pen',
  'highlight',
  'eraser',
  'ruler',
  'shape',
  'text',
  'formula',
  'note',
  'table',
  'stamp',
  'bring',
  'bay',
  'pointer',
  'hand',
] as const
export type Tool = (typeof ALL_TOOLS)[number]

/** All readable on the paper (4.5:1 or more). */
export const INKS: { word: Plain; colour: string }[] = [
  { word: 'colour-black', colour: '#16222b' },
  { word: 'colour-blue', colour: '#1f5fa8' },
  { word: 'colour-red', colour: '#b4472c' },
  { word: 'colour-green', colour: '#2f7d5b' },
  { word: 'colour-purple', colour: '#6b3fa0' },
]
export const HIGHLIGHTS: { word: Plain; colour: string }[] = [
  { word: 'colour-yellow', colour: '#f2c41d' },
  { word: 'colour-mint', colour: '#63c79a' },
  { word: 'colour-rose', colour: '#ee8fa5' },
  { word: 'colour-sky', colour: '#6db6e8' },
  { word: 'colour-peach', colour: '#f0a35e' },
]
export const HIGHLIGHT_NIBS: { word: Plain; width: number }[] = [
  { word: 'nib-narrow', width: 14 },
  { word: 'nib-medium', width: 22 },
  { word: 'nib-wide', width: 34 },
]
export const NOTE_COLOURS: { word: Plain; colour: string }[] = [
  { word: 'colour-yellow', colour: '#ffe7a8' },
  { word: 'colour-mint', colour: '#cfe8dc' },
  { word: 'colour-sky', colour: '#cfe3f2' },
  { word: 'colour-rose', colour: '#f7d3d6' },
  { word: 'colour-lilac', colour: '#e1d5ef' },
  { word: 'colour-sand', colour: '#efe0c4' },
]
export const NIB_NAMES: Record<Exclude<Nib, 'highlighter'>, Plain> = {
  pencil: 'nib-pencil',
  pen: 'nib-pen',
  brush: 'nib-brush',
}
export const PEN_WIDTHS = { least: 0.5, most: 40 }
export const MAX_RECENT = 8

export type SelectBy = 'box' | 'lasso'
export type PointWith = 'light' | 'arrow'
export type EraseBy = 'stroke' | 'rub'

/** A pen that lies ready. ``steady`` (0–1) evens out tremor; ``speed``: without pressure, haste thins the line. */
export interface ReadyPen extends Look {
  nib: Exclude<Nib, 'highlighter'>
  steady: number
  speed: boolean
}

function readyPen(nib: ReadyPen['nib'], colour: string, width: number): ReadyPen {
  return { nib, colour, width, opacity: 1, ends: 'none', steady: 0.2, speed: false }
}

const FIRST_PENS = (): ReadyPen[] => [
  readyPen('pen', INKS[0]!.colour, 3.6),
  readyPen('pencil', INKS[1]!.colour, 2),
  readyPen('brush', INKS[2]!.colour, 8),
  readyPen('pen', INKS[3]!.colour, 6),
]

export interface ShapeStyle {
  figure: FigureKind
  width: number
  fill: string
  dash: Dash
  ends: Ends
  sides: number
}

const FIRST_SHAPE: ShapeStyle = {
  figure: 'rectangle',
  width: 3,
  fill: '',
  dash: 'solid',
  ends: 'none',
  sides: 8,
}
const KEPT_AS = 'sunroom-tools-2'
/** What is kept of the tools. */
const KEPT = [
  'pens',
  'pen',
  'highlight',
  'highlightNib',
  'straightHighlight',
  'eraseBy',
  'selectBy',
  'pointWith',
  'snap',
  'textSize',
  'textFamily',
  'noteColour',
  'shape',
  'drawsOn',
  'recent',
  'rack',
] as const

export class Tools {
  tool = $state<Tool>('pen')
  pens = $state(FIRST_PENS())
  /** Which of the ready pens is in hand. */
  pen = $state(0)
  highlight = $state(HIGHLIGHTS[0]!.colour)
  highlightNib = $state(HIGHLIGHT_NIBS[1]!.width)
  /** The highlighter runs level from where it was set down. */
  straightHighlight = $state(false)
  eraseBy = $state<EraseBy>('stroke')
  selectBy = $state<SelectBy>('box')
  snap = $state(true)
  textSize = $state(26)
  textFamily = $state<Family>('sans')
  noteColour = $state(NOTE_COLOURS[0]!.colour)
  /** Which stamp is in hand: the board's own first, then those made by this person. */
  stamp = $state(0)
  ownStamps = $state.raw<Stamp[]>(ownStamps())
  shape = $state({ ...FIRST_SHAPE })
  /** After a figure comes another one. */
  drawsOn = $state(false)
  /** What is measured by pressing places, and those that were pressed. */
  measuring = $state<'' | 'distance' | 'angle'>('')
  measuringAt = $state.raw<[number, number][]>([])
  pointWith = $state<PointWith>('light')
  /** The tools that stand on the rack, in their order. */
  rack = $state.raw<Tool[]>([...ALL_TOOLS])
  /** Colours mixed lately, the newest first. */
  recent = $state<string[]>([])

  constructor() {
    try {
      const kept = JSON.parse(localStorage.getItem(KEPT_AS) ?? '{}') as Record<string, unknown>
      for (const name of KEPT)
        if (kept[name] !== null && typeof kept[name] === typeof this[name])
          Object.assign(this, { [name]: kept[name] })
      if (!Array.isArray(this.pens) || this.pens.length < 4) this.pens = FIRST_PENS()
      this.rack = Array.isArray(this.rack) ? this.rack.filter((tool) => ALL_TOOLS.includes(tool)) : []
      if (!this.rack.length) this.rack = [...ALL_TOOLS]
      this.pen = Math.min(Math.max(0, Math.round(this.pen)), this.pens.length - 1)
    } catch {
      // What another version kept is no reason not to write.
    }
  }

  get inHand(): ReadyPen {
    return this.pens[this.pen]!
  }

  get ink(): string {
    return this.inHand.colour
  }

  setPen(changes: Partial<ReadyPen>): void {
    this.pens[this.pen] = { ...this.inHand, ...changes }
    this.keep()
  }

  /** A colour that is none of the wells is remembered. */
  mixed(colour: string): void {
    if (INKS.some((ink) => ink.colour === colour)) return
    this.recent = [colour, ...this.recent.filter((other) => other !== colour)].slice(0, MAX_RECENT)
    this.keep()
  }

  /** Keep a stamp that was made; false when there is no room for it. */
  addStamp(stamp: Stamp): boolean {
    const all = [...this.ownStamps, stamp]
    if (all.length > MOST_OWN || !keepOwn(all)) return false
    this.ownStamps = all
    this.stamp = STAMPS.length + all.length - 1
    return true
  }

  dropStamp(index: number): void {
    this.ownStamps = this.ownStamps.filter((_, i) => i !== index)
    this.stamp = 0
    keepOwn(this.ownStamps)
  }

  keep(): void {
    keepHere(KEPT_AS, JSON.stringify(Object.fromEntries(KEPT.map((name) => [name, this[name]]))))
  }
}
