/** Parts of a lesson that come after it: one that is first wanted when the line is down would not come any more. */
export const parts = {
  again: () => import('./pages/Again.svelte'),
  card: () => import('./rack/CardWindow.svelte'),
  desks: () => import('./pages/DesksChecked.svelte'),
  drawings: () => import('./rack/Drawings.svelte'),
  elements: () => import('./rack/PeriodicTable.svelte'),
  formula: () => import('./rack/FormulaWindow.svelte'),
  moments: () => import('./pages/Moments.svelte'),
  practice: () => import('../hand/PracticePage.svelte'),
  printed: () => import('./sill/PrintedWords.svelte'),
  round: () => import('./pages/DeskRound.svelte'),
  replay: () => import('./pages/Replay.svelte'),
  shelf: () => import('./rack/Shelf.svelte'),
  templates: () => import('./pages/Templates.svelte'),
}

const LATER_MS = 4_000

/** Fetch them all when the lesson has come; what is returned gives that up. */
export function fetchParts(): () => void {
  const timer = setTimeout(() => {
    for (const load of Object.values(parts)) load().catch(() => {}) // said when it is wanted
  }, LATER_MS)
  return () => clearTimeout(timer)
}
