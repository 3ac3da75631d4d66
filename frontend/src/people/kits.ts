/** The ready kits of pens as they are offered, and what a pen may do in words; what each allows comes from the core. */
import { READY_KITS, type Action, type Right } from '../wire/generated'
import { speech, t, type Plain } from '../words/words.svelte'

const KIT_WORDS: Record<string, { word: Plain; hint: Plain; short: Plain }> = {
  'full pen': { word: 'kit-full', hint: 'kit-full-hint', short: 'kit-full-short' },
  'ink only': { word: 'kit-ink', hint: 'kit-ink-hint', short: 'right-write-short' },
  'notes only': { word: 'kit-notes', hint: 'kit-notes-hint', short: 'right-note-short' },
  'cards only': { word: 'kit-cards', hint: 'kit-cards-hint', short: 'kit-cards-short' },
  'pointer only': { word: 'kit-pointer', hint: 'kit-pointer-hint', short: 'right-point-short' },
}

export const KITS = Object.entries(READY_KITS).map(([name, rights]) => ({
  ...(KIT_WORDS[name] ?? KIT_WORDS['full pen']!),
  name,
  rights,
}))
export type Kit = (typeof KITS)[number]

export const RIGHT_NAMES: [Right, Plain][] = [
  ['write', 'right-write'],
  ['note', 'right-note'],
  ['text', 'right-text'],
  ['shape', 'right-shape'],
  ['maths', 'right-maths'],
  ['bring_in', 'right-bring-in'],
  ['convert', 'right-convert'],
  ['change_others', 'right-change-others'],
  ['erase_others', 'right-erase-others'],
  ['add_page', 'right-add-page'],
  ['point', 'right-point'],
  ['chat_all', 'right-chat-all'],
  ['chat_tutor', 'right-chat-tutor'],
]

/** What a pen does, in a word each, and the action that asks for it. */
const SHORT: [Right, Action, Plain][] = [
  ['write', 'add_ink', 'right-write-short'],
  ['note', 'add_note', 'right-note-short'],
  ['text', 'add_text', 'right-text-short'],
  ['shape', 'add_shape', 'right-shape-short'],
  ['maths', 'add_formula', 'right-maths-short'],
  ['bring_in', 'add_picture', 'right-bring-in-short'],
  ['point', 'point', 'right-point-short'],
]
/** More words than this are no chip any more. */
const MOST_WORDS = 3

/** The ready kit that these rights are, if it is one. */
export function kitOf(rights: readonly Right[]): Kit | undefined {
  return KITS.find(
    (kit) => kit.rights.length === rights.length && kit.rights.every((right) => rights.includes(right)),
  )
}

function listed(words: string[]): string {
  const few = words.length > MOST_WORDS ? [...words.slice(0, MOST_WORDS), '…'] : words
  return new Intl.ListFormat(speech.locale, { type: 'unit', style: 'narrow' }).format(few)
}

/** What a pen of these rights may do: “write, notes”; what goes without saying, such as moving that, is not said. */
export function rightWords(rights: readonly Right[]): string {
  const kit = kitOf(rights)
  if (kit) return t(kit.short)
  const words = SHORT.filter(([right]) => rights.includes(right)).map(([, , word]) => t(word))
  if (words.length) return listed(words)
  return rights.includes('move_own') ? t('kit-cards-short') : t('right-nothing')
}

/** What a person may do on the page they look at, in words; "" for nothing, null for all that a pen can. */
export function allowedWords(allowed: readonly Action[]): string | null {
  const making = SHORT.filter(([, action]) => allowed.includes(action))
  if (making.length === SHORT.length) return null
  if (!making.length && allowed.includes('change')) return t('kit-cards-short')
  return listed(making.map(([, , word]) => t(word)))
}
