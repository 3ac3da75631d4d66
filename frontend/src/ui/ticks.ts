/**
 * For boxes whose state is not ours: they go on to show what is so, and are ticked when that has come. Whoever is refused,
 * or has no line, sees them as they were.
 */
export function asks(does: (on: boolean) => void) {
  return ({ currentTarget: box }: { currentTarget: HTMLInputElement }): void => {
    const on = box.checked
    box.checked = !on
    does(on)
  }
}
