/** The tool in hand and its settings; kept in this browser for the next time. */

export type Tool = 'select' | 'pen' | 'highlight' | 'eraser' | 'text' | 'pointer' | 'hand'

/** All readable on the paper (4.5:1 or more). */
export const INKS = [
  { name: 'Black', colour: '#16222b' },
  { name: 'Blue', colour: '#1f5fa8' },
  { name: 'Red', colour: '#b4472c' },
  { name: 'Green', colour: '#2f7d5b' },
  { name: 'Purple', colour: '#6b3fa0' },
]
export const HIGHLIGHTS = [
  { name: 'Yellow', colour: '#f2c41d' },
  { name: 'Mint', colour: '#63c79a' },
  { name: 'Rose', colour: '#ee8fa5' },
]
export const NIBS = [
  { name: 'Fine', width: 2.2 },
  { name: 'Medium', width: 3.6 },
  { name: 'Broad', width: 7 },
]
export const HIGHLIGHT_NIBS = [
  { name: 'Narrow', width: 14 },
  { name: 'Medium', width: 22 },
  { name: 'Wide', width: 34 },
]
export const TEXT_SIZES = [
  { name: 'Small', size: 18 },
  { name: 'Medium', size: 26 },
  { name: 'Large', size: 40 },
]
export type SelectBy = 'box' | 'lasso'

const KEPT_AS = 'sunroom-tools'

export class Tools {
  tool = $state<Tool>('pen')
  ink = $state(INKS[0]!.colour)
  highlight = $state(HIGHLIGHTS[0]!.colour)
  nib = $state(NIBS[1]!.width)
  highlightNib = $state(HIGHLIGHT_NIBS[1]!.width)
  textSize = $state(TEXT_SIZES[1]!.size)
  selectBy = $state<SelectBy>('box')

  constructor() {
    try {
      const kept = JSON.parse(localStorage.getItem(KEPT_AS) ?? '{}') as Record<string, unknown>
      if (INKS.some((ink) => ink.colour === kept.ink)) this.ink = kept.ink as string
      if (NIBS.some((nib) => nib.width === kept.nib)) this.nib = kept.nib as number
    } catch {
      // What another version kept is no reason not to write.
    }
  }

  keep(): void {
    localStorage.setItem(KEPT_AS, JSON.stringify({ ink: this.ink, nib: this.nib }))
  }
}
