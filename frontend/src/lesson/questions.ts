/** Questions that a tutor has prepared; kept in this browser, for every lesson. */
import { keepHere } from '../words/here'

export interface Question {
  question: string
  options: string[]
}
const KEPT_AS = 'sunroom-questions'
const MOST = 60

export function prepared(): Question[] {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT_AS) ?? '[]') as Question[]
    return kept.filter(({ question, options }) => typeof question === 'string' && Array.isArray(options))
  } catch {
    return []
  }
}

export function keepPrepared(questions: readonly Question[]): void {
  keepHere(KEPT_AS, JSON.stringify(questions.slice(-MOST)))
}
