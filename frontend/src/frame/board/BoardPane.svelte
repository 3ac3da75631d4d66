<script lang="ts">
  import type { Heard } from '../../lesson/cards.svelte'
  import { MAX_CELL, MAX_TABLE_SIDE, MAX_TEXT, type CardItem } from '../../wire/generated'
  import { onDestroy, onMount, untrack } from 'svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { bringFiles } from '../bring'
  import { Surface } from './surface.svelte'
  import { newTable, newText, spreadsheetRows } from '../../board/text'
  import BoardMirror from './BoardMirror.svelte'
  import Player from './Player.svelte'
  import TextEditor from './TextEditor.svelte'
  import { t } from '../../words/words.svelte'

  let { session, onready }: { session: Session; onready: (surface: Surface | null) => void } = $props()
  let base: HTMLCanvasElement
  let over: HTMLCanvasElement
  let surface = $state.raw<Surface | null>(null)

  onMount(() => {
    surface = new Surface(session, base, over)
    surface.gestures.onpaste = pasteText
    onready(surface)
  })
  onDestroy(() => {
    surface?.destroy()
    untrack(() => onready(null))
  })

  /** What plays here, as long as its card is on the board. */
  const heard = $derived.by<Heard | null>(() => {
    const { play, alone } = session.cards
    if (session.board.version < 0) return null
    const card = alone ?? (play?.board === session.boardId ? cardOf(play.page, play.item) : null)
    return card ? { file: card.file, title: card.title, of: card.of, play: alone ? null : play } : null
  })

  function cardOf(page: string, id: string): CardItem | null {
    const item = session.board.replica.pages.get(page)?.entries.get(id)?.item
    return item?.kind === 'card' ? item : null
  }

  const PASTE_WRAP = 560

  /** Words from another program: what they looked like there stays there. */
  function pasteText([x, y]: [number, number], text: string) {
    if (!session.rights.may('add_text')) return session.say(session.rights.reason)
    const rows = spreadsheetRows(text, MAX_TABLE_SIDE)
    if (rows && rows.flat().every((cell) => cell.length <= MAX_CELL)) {
      const table = newTable(session.rights.me, [x, y], rows)
      session.do({ step: 'add_items', page: session.pages.id, items: [table] })
      return session.selection.chooseMade([table.id])
    }
    const plain = text.replace(/\r\n?/g, '\n').replace(/[^\S\n]+/g, ' ')
    if (plain.length > MAX_TEXT) return session.say(t('that-is-more-text-than'))
    const { textSize, ink } = session.tools
    const item = newText(session.rights.me, plain, x - PASTE_WRAP / 2, y, textSize, ink, PASTE_WRAP)
    session.do({ step: 'add_items', page: session.pages.id, items: [item] })
    session.selection.chooseMade([item.id])
  }

  /** What is dropped on the board lies where it was dropped. */
  function ondrop(event: DragEvent) {
    event.preventDefault()
    const files = [...(event.dataTransfer?.files ?? [])]
    if (!files.length || !surface) return
    const box = over.getBoundingClientRect()
    bringFiles(
      files,
      session,
      surface,
      surface.view.toPage(event.clientX - box.left, event.clientY - box.top),
    )
  }
</script>

<main
  ondragover={(event) => event.preventDefault()}
  {ondrop}
  data-tool={session.tools.tool}
  class:still={!session.rights.standing || !session.rights.may('add_ink')}
>
  <canvas bind:this={base} aria-hidden="true"></canvas>
  <canvas
    class="over"
    bind:this={over}
    tabindex="0"
    aria-label={t('board-things-on-this-page', { count: session.pages.now?.entries.size ?? 0 })}
    data-testid="board"
    data-whole={surface?.view.whole ?? true}
    data-items={session.board.version >= 0 ? (session.pages.now?.entries.size ?? 0) : 0}
  ></canvas>
  <BoardMirror {session} />
  <div class="unseen" role="status" aria-live="polite">{surface?.gestures.crosshair.said ?? ''}</div>
  {#if heard}{#key heard.file}<Player {session} {heard} />{/key}{/if}
  {#if surface && session.editing}
    {#key session.editing}
      <TextEditor {session} {surface} editing={session.editing} />
    {/key}
  {/if}
</main>

<style>
  main {
    grid-area: board;
    position: relative;
    background: var(--glass);
    overflow: hidden;
    min-width: 0;
    min-height: 0;
  }
  canvas {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    touch-action: none;
  }
  /* The evening dims the pane; the colours of the ink stay as they are. */
  :global([data-theme='evening']) main::after {
    content: '';
    position: absolute;
    inset: 0;
    background: rgb(10 16 14 / 26%);
    pointer-events: none;
  }
  .over {
    cursor: crosshair;
  }
  .over:focus-visible {
    outline-offset: -3px;
  }
  main[data-tool='hand'] .over {
    cursor: grab;
  }
  main[data-tool='select'] .over {
    cursor: default;
  }
  main[data-tool='text'] .over,
  main[data-tool='note'] .over {
    cursor: text;
  }
  main[data-tool='eraser'] .over {
    cursor: none;
  }
  main.still .over {
    cursor: default;
  }
</style>
