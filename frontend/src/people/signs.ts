/** Signs that everybody sees for a moment, drawn for this project on a grid of 24. */
import type { Reaction } from '../lesson/classroom.svelte'
import type { Plain } from '../words/words.svelte'

export const SIGNS: Record<Reaction, { word: Plain; path: string }> = {
  yes: { word: 'sign-yes', path: 'M4 12.5l5.500 5.500L20 6.500' },
  no: { word: 'sign-no', path: 'M5.500 5.500l13 13M18.500 5.500l-13 13' },
  bravo: {
    word: 'sign-bravo',
    path: 'M12 3v3M4.500 6.500l2 2M19.500 6.500l-2 2M3 14h3M18 14h3M12 20a6 6 0 0 0 6-6 6 6 0 0 0-12 0 6 6 0 0 0 6 6z',
  },
  wow: { word: 'sign-wow', path: 'M12 3.500v10.500M12 19v.100M7 6l1 6M17 6l-1 6' },
  slower: { word: 'sign-slower', path: 'M4 12h9M4 7h5M4 17h5M20 6v12l-6-6z' },
  lost: {
    word: 'sign-lost',
    path: 'M8.500 9a3.500 3.500 0 1 1 5 3.200c-1.100.600-1.500 1.200-1.500 2.600M12 19v.100',
  },
}
