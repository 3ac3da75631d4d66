/** How much room the window gives, and whether it is touched. */

function follow(query: string, set: (matches: boolean) => void): void {
  if (typeof matchMedia === 'undefined') return
  const list = matchMedia(query)
  set(list.matches)
  list.addEventListener('change', () => set(list.matches))
}

/** A keyboard on the screen needs so long to go, in ms. */
const KEYBOARD_GOES_MS = 600
const WRITTEN_IN = 'input, textarea, [contenteditable]'

class Screen {
  /** One column: a telephone held upright. */
  phone = $state(false)
  /** Too narrow for a column of people beside the board. */
  narrow = $state(false)
  /** Too low for more than the board, the rack and the sill. */
  low = $state(false)
  touch = $state(false)

  constructor() {
    follow('(max-width: 600px)', (matches) => (this.phone = matches))
    follow('(max-width: 1000px)', (matches) => (this.narrow = matches))
    follow('(pointer: coarse)', (matches) => (this.touch = matches))
    let low = false
    const settle = () => {
      // Some browsers give the keyboard of a touched screen a part of the window: the frame stays while somebody types.
      if (!low || !this.touch || !document.activeElement?.matches(WRITTEN_IN)) this.low = low
    }
    follow('(max-height: 520px)', (matches) => ((low = matches), settle()))
    if (typeof document !== 'undefined')
      document.addEventListener('focusout', () => setTimeout(settle, KEYBOARD_GOES_MS))
  }

  /** One sheet at a time, over the board. */
  get sheets(): boolean {
    return this.phone || this.low
  }
}

export const screen = new Screen()
