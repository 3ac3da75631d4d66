/** The keyboard's way to everything; KEYS is what the sheet shows. */
import { turnMap } from '../board/frame'
import type { Surface } from './board/surface.svelte'
import { asHtml, asText, copied } from '../lesson/clipboard'
import type { Session } from '../lesson/session.svelte'
import type { Tool } from '../lesson/tools.svelte'

const TOOL_KEYS: Record<string, Tool> = {
  s: 'select',
  p: 'pen',
  h: 'highlight',
  e: 'eraser',
  t: 'text',
  f: 'shape',
  k: 'note',
  b: 'table',
  i: 'stamp',
  o: 'pointer',
  m: 'hand',
}

export const KEYS: [string, string][] = [
  ['S P H E', 'Select, pen, highlight, eraser'],
  ['T F K B I', 'Text, figure, note, table, stamp'],
  ['O M', 'Pointer, move the paper'],
  ['R', 'The ruler: lay it down, take it away'],
  ['1 to 4', 'The ready pens'],
  ['Shift while drawing', 'Straight, in steps of 15°; equal sides'],
  ['Ctrl Z', 'Undo your last step'],
  ['Ctrl Shift Z', 'Redo it'],
  ['Delete', 'Remove what is selected'],
  ['Arrow keys', 'Move what is selected, or the paper'],
  ['Ctrl A', 'Select all on the page'],
  [', and .', 'Select the thing before, the thing after'],
  ['Ctrl C, X, V', 'Copy, cut, paste, also between boards'],
  ['Ctrl D', 'Duplicate; again repeats the offset'],
  ['Ctrl G, Ctrl Shift G', 'Group, ungroup'],
  ['Ctrl ] and [', 'One forward, one back'],
  ['Alt and arrow keys', 'Turn what is selected by 1°, with Shift by 15°'],
  ['Enter', 'Typeset the selected ink; edit the selected words'],
  ['Esc', 'Give up, or select nothing'],
  ['Page Up, Page Down', 'Turn pages'],
  ['N', 'Half a page down'],
  ['J, Shift J', 'The next bay, the one before'],
  ['+ −', 'Zoom in and out'],
  ['0', 'Show the whole page'],
  ['Space and drag', 'Move the paper'],
  ['?', 'These keys'],
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
  const done = control ? controlKey(event, session) : plainKey(event, session, surface)
  if (done) event.preventDefault()
}

function takesLetters(target: HTMLElement): boolean {
  return target.matches('input:not([type=radio], [type=checkbox], [type=range]), textarea, [contenteditable]')
}

function controlKey(event: KeyboardEvent, session: Session): boolean {
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
      return true
  }
  return false
}

function plainKey(event: KeyboardEvent, session: Session, surface: Surface): boolean {
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
  if (arrow && session.tools.tool === 'ruler' && surface.ruler.on) {
    surface.ruler.turn((event.shiftKey ? 15 : 1) * (arrow[0] + arrow[1]))
    surface.redrawOver()
    return true
  }
  if (arrow) {
    const by = event.shiftKey ? 1 : NUDGE
    if (session.selection.ids.size) session.chosen.move(arrow[0] * by, arrow[1] * by)
    else surface.pan(-arrow[0] * PAN_PX, -arrow[1] * PAN_PX)
    return true
  }
  switch (event.key) {
    case 'Delete':
    case 'Backspace':
      session.chosen.remove()
      return true
    case 'Enter': {
      const best = session.selection.readings?.readings[0]
      if (best) session.chosen.typeset(best.text)
      return Boolean(best) || session.chosen.editWords()
    }
    case 'Escape':
      // An open panel closes by it, even when what was pressed in it has given the focus back to the board.
      if (document.querySelector(':popover-open')) return false
      if (surface.gestures.busy) surface.gestures.giveUp()
      else session.selection.choose([])
      return true
    case 'PageUp':
      session.pages.turnBy(-1)
      return true
    case 'PageDown':
      session.pages.turnBy(1)
      return true
    case '+':
    case '=':
      surface.zoom(1.25)
      return true
    case '-':
      surface.zoom(0.8)
      return true
    case '0':
      surface.fitPage()
      return true
  }
  if (event.key === '.' || event.key === ',') {
    session.chosen.chooseNext(event.key === '.' ? 1 : -1)
    return true
  }
  if (event.key.toLowerCase() === 'j') {
    surface.nextBay(event.shiftKey ? -1 : 1)
    return true
  }
  if (event.key.toLowerCase() === 'n') {
    surface.halfPage()
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
    if (event.key.toLowerCase() === 'r') {
      surface.toggleRuler()
      return true
    }
  }
  const tool = TOOL_KEYS[event.key.toLowerCase()]
  if (!tool || session.door === 'onlooker' || event.altKey) return false
  session.take(tool)
  surface.redrawOver()
  return true
}

/** Copy, cut and paste come as events of their own, with what other programs brought. */
export function handleClipboard(event: ClipboardEvent, session: Session, surface: Surface): void {
  const target = event.target as HTMLElement
  if (target.closest?.('input, textarea, [contenteditable]') || !event.clipboardData) return
  if (event.type === 'paste') {
    const picture = [...event.clipboardData.files].find((file) => file.type.startsWith('image/'))
    if (picture) {
      event.preventDefault()
      return void session.pictures.put(picture, surface.middle(), surface.view.width / surface.view.scale)
    }
    const text = event.clipboardData.getData('text/plain').trim()
    const own = copied().items
    const middle = surface.middle()
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
