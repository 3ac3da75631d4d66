/** The keyboard's way to everything; KEYS is what the sheet shows. */
import { turnMap } from '../board/frame'
import type { Surface } from './board/surface.svelte'
import { asHtml, asText, copied } from '../lesson/clipboard'
import { mathmlIn } from '../lesson/formulas.svelte'
import type { Session } from '../lesson/session.svelte'
import { looks } from '../ui/looks.svelte'
import type { Plain } from '../words/words.svelte'
import { bringFiles } from './bring'
import { takeTool, TOOLS } from './tools'

/** All keys but those of the tools, which stand with the tools. */
export const KEYS: { keys: string; word: Plain; tutorSide?: boolean }[] = [
  { keys: '1 2 3 4', word: 'key-pens' },
  { keys: 'Shift U', word: 'key-pens-up', tutorSide: true },
  { keys: 'Shift D', word: 'key-pens-down', tutorSide: true },
  { keys: 'Shift L', word: 'key-look-here', tutorSide: true },
  { keys: 'Shift N', word: 'key-pass-next', tutorSide: true },
  { keys: 'Shift R', word: 'key-round', tutorSide: true },
  { keys: 'Ctrl Z', word: 'key-undo' },
  { keys: 'Ctrl Shift Z', word: 'key-redo' },
  { keys: 'Delete', word: 'key-remove' },
  { keys: '← ↑ → ↓', word: 'key-arrows' },
  { keys: 'Ctrl A', word: 'key-all' },
  { keys: ', .', word: 'key-next' },
  { keys: 'Ctrl C X V', word: 'key-copy' },
  { keys: 'Ctrl D', word: 'key-duplicate' },
  { keys: 'Ctrl G', word: 'key-group' },
  { keys: 'Ctrl ] [', word: 'key-order' },
  { keys: 'Ctrl P', word: 'key-print' },
  { keys: 'Alt ← →', word: 'key-turn' },
  { keys: 'Enter', word: 'key-enter' },
  { keys: '← → Enter', word: 'key-crosshair' },
  { keys: 'Shift', word: 'key-shift' },
  { keys: 'Esc', word: 'key-escape' },
  { keys: 'Page ↑ ↓', word: 'key-pages' },
  { keys: 'N', word: 'key-half-page' },
  { keys: 'J, Shift J', word: 'key-bays' },
  { keys: '+ −', word: 'key-zoom' },
  { keys: '0', word: 'key-whole-page' },
  { keys: 'Space', word: 'key-space' },
  { keys: 'V', word: 'key-speak' },
  { keys: '?', word: 'key-keys' },
]
const NUDGE = 10
const PAN_PX = 80

export function handleKey(event: KeyboardEvent, session: Session, surface: Surface): void {
  const target = event.target as HTMLElement
  if (session.editing && !event.ctrlKey && !event.metaKey && !takesLetters(target)) {
    // Letters are for the words being typed, also when a setting was pressed last; a button keeps its Space.
    if (event.key.length === 1 && event.key !== ' ') session.editing.focus()
    return
  }
  if (takesLetters(target) || target.closest('select, dialog')) return
  // Arrows and Space are the way among radio buttons and sliders.
  if (target.matches('input') && (event.key.startsWith('Arrow') || event.key === ' ')) return
  if (event.key === 'Enter' && target.closest('button, a')) return
  const control = event.ctrlKey || event.metaKey
  const done = control ? controlKey(event, session, surface) : plainKey(event, session, surface)
  if (done) event.preventDefault()
}

function takesLetters(target: HTMLElement): boolean {
  return target.matches('input:not([type=radio], [type=checkbox], [type=range]), textarea, [contenteditable]')
}

function controlKey(event: KeyboardEvent, session: Session, surface: Surface): boolean {
  switch (event.key.toLowerCase()) {
    case 'z':
      if (event.shiftKey) session.redo()
      else session.undo()
      return true
    case 'y':
      session.redo()
      return true
    case 'd':
      session.chosen.duplicate()
      return true
    case 'g':
      session.chosen.arrange(event.shiftKey ? 'ungroup' : 'group')
      return true
    case 'p':
      // Of the window itself a printer would have the tools, and of the page what is seen.
      open(`/boards/${session.boardId}/board.pdf?page=${session.pages.id}&print`, '_blank')
      return true
    case ']':
      session.chosen.arrange('forward')
      return true
    case '[':
      session.chosen.arrange('backward')
      return true
    case 'a':
      session.tools.tool = 'select'
      session.selection.choose(
        [...(session.pages.now?.entries.values() ?? [])].flatMap(({ item }) =>
          item.pinned ? [] : [item.id],
        ),
      )
      // Enter is for what is chosen now, and not for the button that was pressed last.
      surface.gestures.focus()
      return true
  }
  return false
}

/** What the tutor side does with the whole lesson, by Shift and a letter. */
function lessonKey(event: KeyboardEvent, session: Session): boolean {
  if (!event.shiftKey || !session.people.tutorSide) return false
  const open = Boolean(session.lesson?.facts.open)
  switch (event.key.toLowerCase()) {
    case 'u':
      if (open) session.tell({ command: 'set_pens', mode: 'up' })
      return open
    case 'd':
      if (open) session.tell({ command: 'set_pens', mode: 'down' })
      return open
    case 'n':
      if (open) session.tell({ command: 'pass_to_next' })
      return open
    case 'l':
      session.attention.lead(session.attention.keeping)
      return true
    case 'r':
      session.roundShown = true
      return true
  }
  return false
}

function plainKey(event: KeyboardEvent, session: Session, surface: Surface): boolean {
  if (!looks.letterKeys && /^[\p{L}\d]$/u.test(event.key)) return false
  if (lessonKey(event, session)) return true
  if (event.key.toLowerCase() === 'v' && session.call.on) {
    session.call.hold()
    return true
  }
  const arrows: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
  }
  const arrow = arrows[event.key]
  if (arrow && event.altKey && session.selection.ids.size) {
    const degrees = (event.shiftKey ? 15 : 1) * (arrow[0] + arrow[1])
    session.chosen.transform(({ minX, minY, maxX, maxY }) =>
      turnMap((minX + maxX) / 2, (minY + maxY) / 2, (degrees * Math.PI) / 180),
    )
    return true
  }
  const { instruments } = surface
  if (arrow && session.tools.tool === 'ruler' && instruments.inHand) {
    const { inHand } = instruments
    const steps = event.shiftKey ? 15 : 1
    if (event.altKey)
      inHand.move(arrow[0] * steps * surface.measure.mark, arrow[1] * steps * surface.measure.mark)
    else if (arrow[0] || !inHand.form.opens) inHand.turn((arrow[0] + arrow[1]) * steps)
    else inHand.open(-arrow[1] * steps, surface.measure.mark)
    instruments.changed()
    surface.redrawOver()
    return true
  }
  if (arrow) {
    const by = event.shiftKey ? 1 : NUDGE
    const { crosshair } = surface.gestures
    if (session.selection.ids.size) session.chosen.move(arrow[0] * by, arrow[1] * by)
    else if (crosshair.move(...arrow, event.shiftKey)) surface.gestures.focus()
    else surface.looking.pan(-arrow[0] * PAN_PX, -arrow[1] * PAN_PX)
    return true
  }
  switch (event.key) {
    case 'Delete':
    case 'Backspace':
      session.chosen.remove()
      return true
    case 'Enter':
      return session.chosen.convert() || session.chosen.editWords() || surface.gestures.crosshair.press()
    case 'Escape':
      // An open panel closes by it, even when what was pressed in it has given the focus back to the board.
      if (document.querySelector(':popover-open')) return false
      if (session.tools.measuringAt.length) {
        session.tools.measuringAt = []
        surface.redrawOver()
        return true
      }
      if (surface.gestures.busy) surface.gestures.giveUp()
      else if (!surface.gestures.crosshair.giveUp()) session.selection.choose([])
      return true
    case 'PageUp':
      session.pages.turnBy(-1)
      return true
    case 'PageDown':
      session.pages.turnBy(1)
      return true
    case '+':
    case '=':
      surface.looking.zoom(1.25)
      return true
    case '-':
      surface.looking.zoom(0.8)
      return true
    case '0':
      surface.looking.fitPage()
      return true
  }
  if (event.key === '.' || event.key === ',') {
    session.chosen.chooseNext(event.key === '.' ? 1 : -1)
    return true
  }
  if (event.key.toLowerCase() === 'j') {
    surface.looking.nextBay(event.shiftKey ? -1 : 1)
    return true
  }
  if (event.key.toLowerCase() === 'n') {
    surface.looking.halfPage()
    return true
  }
  if (session.door !== 'onlooker' && !event.altKey) {
    const pen = Number(event.key) - 1
    if (session.tools.pens[pen]) {
      session.tools.pen = pen
      session.take('pen')
      session.tools.keep()
      return true
    }
  }
  const facts = TOOLS.find(({ key }) => key === event.key.toLowerCase())
  if (!facts || session.door === 'onlooker' || event.altKey) return false
  if (facts.tutorSide && !session.people.tutorSide) return false
  takeTool(facts, session, surface)
  return true
}

/** Copy, cut and paste come as events of their own, with what other programs brought. */
export function handleClipboard(event: ClipboardEvent, session: Session, surface: Surface): void {
  const target = event.target as HTMLElement
  if (target.closest?.('input, textarea, [contenteditable]') || !event.clipboardData) return
  if (event.type === 'paste') {
    const files = [...event.clipboardData.files]
    if (files.length) {
      event.preventDefault()
      return bringFiles(files, session, surface)
    }
    const text = event.clipboardData.getData('text/plain').trim()
    const mathml = mathmlIn(event.clipboardData)
    if (mathml && session.rights.may('add_formula')) {
      event.preventDefault()
      return void session.formulas.paste(mathml, surface.looking.middle())
    }
    const own = copied().items
    const middle = surface.looking.middle()
    if (own.length && (!text || text === asText(own).trim())) void session.chosen.paste(middle)
    else if (text) surface.gestures.onpaste(middle, text)
    else return
  } else {
    const items = session.chosen.copy()
    if (!items.length) return
    event.clipboardData.setData('text/plain', asText(items))
    event.clipboardData.setData('text/html', asHtml(items))
    if (event.type === 'cut') session.chosen.remove()
  }
  event.preventDefault()
}
