<script lang="ts">
  import { MAX_TABLE_SIDE, MAX_TEXT } from '../../wire/generated'
  import { onDestroy, onMount, untrack } from 'svelte'
  import CheckCard from './CheckCard.svelte'
  import SeeingAs from './SeeingAs.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import type { Item } from '../../wire/generated'
  import { Surface } from './surface.svelte'
  import { newTable, newText, spreadsheetRows } from '../../board/text'
  import TextEditor from './TextEditor.svelte'
  import ViewReadout from './ViewReadout.svelte'

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

  const PASTE_WRAP = 560
  /** A table has at most so many rows and columns. */

  /** Words from another program: what they looked like there stays there. */
  function pasteText([x, y]: [number, number], text: string) {
    if (!session.rights.may('add_text')) return session.say(session.rights.standing?.writing.sentence ?? '')
    const rows = spreadsheetRows(text, MAX_TABLE_SIDE)
    if (rows) {
      const table = newTable(session.rights.me, [x, y], rows)
      session.do({ step: 'add_items', page: session.pages.id, items: [table] })
      return session.selection.chooseMade([table.id])
    }
    const plain = text.replace(/\r\n?/g, '\n').replace(/[^\S\n]+/g, ' ')
    if (plain.length > MAX_TEXT) return session.say('That is more text than fits into one piece: paste less.')
    const { textSize, ink } = session.tools
    const item = newText(session.rights.me, plain, x - PASTE_WRAP / 2, y, textSize, ink, PASTE_WRAP)
    session.do({ step: 'add_items', page: session.pages.id, items: [item] })
    session.selection.chooseMade([item.id])
  }

  function wordsOf(item: Item): string {
    if (item.kind === 'table') return item.cells.join(', ')
    return item.kind === 'ink' || item.kind === 'picture' ? '' : item.text
  }

  /** The typed text of the page in reading order, for those who listen to the board. */
  const spoken = $derived.by(() => {
    void session.board.version
    const texts = [...(session.pages.now?.entries.values() ?? [])].flatMap((e) =>
      wordsOf(e.item) ? [e.item] : [],
    )
    return texts.sort((a, b) => a.y - b.y || a.x - b.x).map(wordsOf)
  })

  /** A picture dropped on the board lies where it was dropped. */
  function ondrop(event: DragEvent) {
    event.preventDefault()
    const file = [...(event.dataTransfer?.files ?? [])].find(({ type }) => type.startsWith('image/'))
    if (!file || !surface) return
    const box = over.getBoundingClientRect()
    const at = surface.view.toPage(event.clientX - box.left, event.clientY - box.top)
    void session.pictures.put(file, at, surface.view.width / surface.view.scale)
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
    aria-label="Board, {session.pages.now?.entries.size ?? 0} things on this page"
    data-testid="board"
    data-items={session.board.version >= 0 ? (session.pages.now?.entries.size ?? 0) : 0}
  ></canvas>
  <div class="unseen">
    {#each spoken as text, i (i)}<p>{text}</p>{/each}
  </div>
  {#if surface && session.editing}
    {#key session.editing}
      <TextEditor {session} {surface} editing={session.editing} />
    {/key}
  {/if}
  {#if session.attention.held}
    <p class="held" role="status">{session.attention.held.name} keeps everyone together here.</p>
  {/if}
  <SeeingAs {session} />
  <CheckCard {session} />
  {#if surface}<ViewReadout {surface} />{/if}
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
  .held {
    position: absolute;
    left: 12px;
    bottom: 12px;
    padding: 8px 12px;
    background: var(--sun-pale);
    border: 1px solid var(--sun);
    border-radius: var(--radius);
    font-weight: 600;
    font-size: 14px;
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
