/** Where a board was looked at last in this tab, for the next time that it is opened here. */
import { keepHere } from '../words/here'

export interface Place {
  scale: number
  left: number
  top: number
  whole: boolean
}
interface Kept {
  page: string
  places: Record<string, Place>
}

const KEPT_AS = 'sunroom-place-'

function kept(board: string): Kept {
  try {
    return JSON.parse(sessionStorage.getItem(KEPT_AS + board) ?? '') as Kept
  } catch {
    return { page: '', places: {} }
  }
}

export function pageOf(board: string): string {
  return kept(board).page
}

export function placeOf(board: string, page: string): Place | undefined {
  return kept(board).places[page]
}

export function keepPlace(board: string, page: string, place: Place): void {
  if (!board) return
  const { places } = kept(board)
  const now = { page, places: { ...places, [page]: place } }
  keepHere(KEPT_AS + board, JSON.stringify(now), sessionStorage)
}
