/** What a press means with each tool, and the action that the rule book must allow for it. */
import type { Point } from '../board/place'
import { newTable } from '../board/text'
import { Editing } from '../lesson/editing.svelte'
import { setDown, STAMPS } from '../lesson/stamps'
import type { Tool } from '../lesson/tools.svelte'
import type { Action } from '../wire/generated'
import { BayGesture } from './bay-gesture'
import type { Canvas } from './canvas'
import type { Gesture } from './gesture'
import { LineEndGesture } from './line-gestures'
import { InkGesture } from './ink-gesture'
import { SetDownGesture, ShapeGesture, TextGesture } from './make-gestures'
import { topmost } from '../board/hit'
import { MeasureGesture } from './measure-gesture'
import { SelectGesture } from './select-gestures'
import { EraserGesture, HandGesture, PointerGesture } from './tool-gestures'

interface Meaning {
  needs?: Action
  /** The gesture of a press at a place; null when the press itself was all, as with words to be typed. */
  begin(canvas: Canvas, at: Point): Gesture | null
}

/** A text that is pressed this near is edited. */
const NEAR_PX = 4

const EMPTY_TABLE = [
  ['', '', ''],
  ['', '', ''],
  ['', '', ''],
]

const MOVE: Meaning = { begin: (canvas) => new HandGesture(canvas) }

const BY_TOOL: Record<Tool, Meaning> = {
  hand: MOVE,
  ruler: {
    begin: (canvas) => {
      const { tools, rights } = canvas.session
      if (tools.measuring && rights.may('add_shape')) return new MeasureGesture(canvas)
      return new HandGesture(canvas)
    },
  },
  bring: MOVE,
  pen: { needs: 'add_ink', begin: (canvas) => new InkGesture(canvas, 'pen') },
  highlight: { needs: 'add_ink', begin: (canvas) => new InkGesture(canvas, 'highlight') },
  eraser: { needs: 'remove', begin: (canvas) => new EraserGesture(canvas) },
  pointer: { needs: 'point', begin: (canvas) => new PointerGesture(canvas) },
  select: { begin: (canvas, at) => LineEndGesture.at(canvas, at) ?? new SelectGesture(canvas) },
  shape: { needs: 'add_shape', begin: (canvas) => new ShapeGesture(canvas) },
  bay: { needs: 'set_pens', begin: (canvas) => new BayGesture(canvas) },
  text: {
    needs: 'add_text',
    begin: (canvas, at) => {
      const { session, view } = canvas
      const there = session.pages.now && topmost(session.pages.now, at, NEAR_PX / view.scale)?.item
      if (there?.kind === 'text' && session.rights.may('change', there)) {
        const editing = Editing.of(session, there, at)
        if (editing) return type(session, editing)
      }
      return new TextGesture(canvas)
    },
  },
  formula: {
    needs: 'add_formula',
    begin: ({ session, view }, at) => {
      const there = session.pages.now && topmost(session.pages.now, at, NEAR_PX / view.scale)?.item
      const item = there?.kind === 'formula' && session.rights.may('change', there) ? there : null
      session.formulas.typing = { item, at }
      return null
    },
  },
  note: { needs: 'add_note', begin: ({ session }, at) => type(session, Editing.newNote(session, at)) },
  table: {
    needs: 'add_text',
    begin: (canvas) =>
      new SetDownGesture(canvas, (at) => [newTable(canvas.session.rights.me, at, EMPTY_TABLE)]),
  },
  stamp: {
    needs: 'add_shape',
    begin: (canvas) => {
      const { tools, rights } = canvas.session
      const stamp = [...STAMPS, ...tools.ownStamps][tools.stamp] ?? STAMPS[0]!
      return new SetDownGesture(canvas, (at) => setDown(stamp, at, rights.me))
    },
  },
}

function type(session: Canvas['session'], editing: Editing): null {
  session.editing = editing
  return null
}

/** The gesture of a press with a tool; null when there is none, or none is allowed, which is said. */
export function begin(tool: Tool, canvas: Canvas, at: Point): Gesture | null {
  const { needs, begin } = BY_TOOL[tool]
  const { rights } = canvas.session
  if (!needs || rights.may(needs)) return begin(canvas, at)
  canvas.session.say(rights.reason)
  return null
}
