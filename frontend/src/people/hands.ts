/** What a raised hand may say. */
import type { RaiseHand } from '../wire/generated'
import type { Plain } from '../words/words.svelte'

export const HAND_WORDS: Record<Exclude<RaiseHand['word'], ''>, Plain> = {
  stuck: 'hand-stuck',
  answer: 'hand-answer',
  done: 'hand-done',
}
