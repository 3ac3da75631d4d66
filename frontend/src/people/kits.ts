/** The ready kits of pens as they are offered; what each allows comes from the core. */
import { READY_KITS, type Right } from '../wire/generated'

const HINTS: Record<string, string> = {
  'full pen': 'everything but touching what others made',
  'ink only': 'ink, highlighter, eraser on own work',
  'notes only': 'notes with their name on them',
  'cards only': 'move things, nothing else',
  'pointer only': 'point, nothing else',
}

export const KITS = Object.entries(READY_KITS).map(([name, rights]) => ({
  name,
  rights,
  hint: HINTS[name] ?? '',
}))

export const RIGHT_NAMES: [Right, string][] = [
  ['write', 'Write with ink'],
  ['note', 'Stick notes'],
  ['text', 'Type text and tables'],
  ['shape', 'Draw figures, set stamps'],
  ['bring_in', 'Bring pictures in'],
  ['convert', 'Typeset and true up'],
  ['change_others', 'Change others’ things'],
  ['erase_others', 'Erase others’ things'],
  ['add_page', 'Add and arrange pages'],
  ['point', 'Point'],
  ['chat_all', 'Say something to everyone'],
  ['chat_tutor', 'Say something to the tutor'],
]

/** The ready kit that these rights are; "" for none. */
export function kitName(rights: readonly Right[]): string {
  const found = KITS.find(
    (kit) => kit.rights.length === rights.length && kit.rights.every((r) => rights.includes(r)),
  )
  return found?.name ?? ''
}
