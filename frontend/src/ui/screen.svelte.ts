/** How much room the window gives, and whether it is touched. */

function follow(query: string, set: (matches: boolean) => void): void {
  if (typeof matchMedia === 'undefined') return
  const list = matchMedia(query)
  set(list.matches)
  list.addEventListener('change', () => set(list.matches))
}

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
    follow('(max-height: 520px)', (matches) => (this.low = matches))
    follow('(pointer: coarse)', (matches) => (this.touch = matches))
  }

  /** One sheet at a time, over the board. */
  get sheets(): boolean {
    return this.phone || this.low
  }
}

export const screen = new Screen()
