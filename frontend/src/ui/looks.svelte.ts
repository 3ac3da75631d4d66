/** How the interface looks and listens to this person; kept in this browser. */
import { keepHere } from '../words/here'

/** Where the pictures of the call are: in the people's column, in a strip over the board, large in its place, or nowhere. */
export type FacesAt = 'column' | 'strip' | 'big' | 'nowhere'
export type Theme = 'day' | 'evening' | 'system'
const KEPT_AS = 'sunroom-looks'
const KEPT = ['theme', 'letterKeys', 'folded', 'readsInk', 'facesAt', 'captions'] as const

class Looks {
  theme = $state.raw<Theme>('day')
  /** Single letters take tools. */
  letterKeys = $state.raw(true)
  /** The people's column is folded to a strip. */
  folded = $state.raw(false)
  /** In the page's words ink is told by what it reads as. */
  readsInk = $state.raw(false)
  facesAt = $state.raw<FacesAt>('column')
  /** What is written down of what is said is shown. */
  captions = $state.raw(true)
  /** Nothing but the board and the sill. */
  boardOnly = $state.raw(false)

  begin(): void {
    try {
      const kept = JSON.parse(localStorage.getItem(KEPT_AS) ?? '{}') as Partial<Looks>
      if (kept.theme === 'evening' || kept.theme === 'system') this.theme = kept.theme
      if (kept.letterKeys === false) this.letterKeys = false
      if (kept.folded === true) this.folded = true
      if (kept.readsInk === true) this.readsInk = true
      if (kept.captions === false) this.captions = false
      if (kept.facesAt === 'strip' || kept.facesAt === 'nowhere') this.facesAt = kept.facesAt
    } catch {
      // What another version kept is no reason not to begin.
    }
    this.#show()
    matchMedia('(prefers-color-scheme: dark)').addEventListener('change', () => this.#show())
  }

  set(wanted: Partial<Pick<Looks, (typeof KEPT)[number]>>): void {
    Object.assign(this, wanted)
    keepHere(KEPT_AS, JSON.stringify(Object.fromEntries(KEPT.map((key) => [key, this[key]]))))
    this.#show()
  }

  #show(): void {
    const dark = matchMedia('(prefers-color-scheme: dark)').matches
    const evening = this.theme === 'evening' || (this.theme === 'system' && dark)
    document.documentElement.dataset.theme = evening ? 'evening' : 'day'
  }
}

export const looks = new Looks()
