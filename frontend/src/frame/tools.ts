/** Every tool with its word, its picture, its key, and what it needs; and racks of them, ready by subject. */
import type { Session } from '../lesson/session.svelte'
import type { Tool } from '../lesson/tools.svelte'
import type { IconName } from '../ui/icons'
import type { Action } from '../wire/generated'
import type { Plain } from '../words/words.svelte'
import type { Surface } from './board/surface.svelte'

export interface ToolFacts {
  tool: Tool
  word: Plain
  icon: IconName
  /** The letter that takes it. */
  key: string
  needs: Action | null
  tutorSide?: boolean
}

export const TOOLS: ToolFacts[] = [
  { tool: 'select', word: 'tool-select', icon: 'select', key: 's', needs: 'change' },
  { tool: 'pen', word: 'tool-pen', icon: 'pen', key: 'p', needs: 'add_ink' },
  { tool: 'highlight', word: 'tool-highlight', icon: 'highlight', key: 'h', needs: 'add_ink' },
  { tool: 'eraser', word: 'tool-eraser', icon: 'eraser', key: 'e', needs: 'remove' },
  { tool: 'ruler', word: 'tool-ruler', icon: 'ruler', key: 'r', needs: 'add_ink' },
  { tool: 'shape', word: 'tool-shape', icon: 'shape', key: 'f', needs: 'add_shape' },
  { tool: 'text', word: 'tool-text', icon: 'text', key: 't', needs: 'add_text' },
  { tool: 'formula', word: 'tool-formula', icon: 'formula', key: 'x', needs: 'add_formula' },
  { tool: 'note', word: 'tool-note', icon: 'note', key: 'k', needs: 'add_note' },
  { tool: 'table', word: 'tool-table', icon: 'table', key: 'b', needs: 'add_text' },
  { tool: 'stamp', word: 'tool-stamp', icon: 'stamp', key: 'i', needs: 'add_shape' },
  { tool: 'bring', word: 'tool-bring', icon: 'bring', key: 'g', needs: 'add_picture' },
  { tool: 'bay', word: 'tool-bay', icon: 'bay', key: 'y', needs: 'set_pens', tutorSide: true },
  { tool: 'pointer', word: 'tool-pointer', icon: 'pointer', key: 'o', needs: 'point' },
  { tool: 'hand', word: 'tool-move', icon: 'hand', key: 'm', needs: null },
]

export const RACKS: { word: Plain; tools: Tool[] }[] = [
  { word: 'rack-everything', tools: TOOLS.map(({ tool }) => tool) },
  {
    word: 'rack-maths',
    tools: [
      'select',
      'pen',
      'highlight',
      'eraser',
      'ruler',
      'shape',
      'formula',
      'table',
      'text',
      'note',
      'pointer',
      'hand',
    ],
  },
  {
    word: 'rack-language',
    tools: ['select', 'pen', 'highlight', 'eraser', 'text', 'note', 'table', 'stamp', 'pointer', 'hand'],
  },
  {
    word: 'rack-science',
    tools: [
      'select',
      'pen',
      'eraser',
      'ruler',
      'shape',
      'formula',
      'text',
      'table',
      'bring',
      'stamp',
      'pointer',
      'hand',
    ],
  },
]

export function isUsable({ needs }: ToolFacts, session: Session): boolean {
  return needs === null || session.rights.may(needs)
}

/** Take a tool, by its button or its key; one that may not be used just now says why. */
export function takeTool(facts: ToolFacts, session: Session, surface: Surface | null): void {
  if (!isUsable(facts, session)) session.say(session.rights.reason)
  if (facts.tool === 'ruler' && surface) {
    if (session.tools.tool === 'ruler' && surface.instruments.laid.length) {
      // Pressed again, all are taken away.
      surface.instruments.clear()
      surface.redrawOver()
      return session.take('pen')
    }
    if (!surface.instruments.laid.length) surface.toggle('ruler')
  }
  session.take(facts.tool)
  surface?.redrawOver()
}
