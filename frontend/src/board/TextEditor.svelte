<script lang="ts">
  import { onMount, untrack } from 'svelte'
  import type { Session } from '../lesson/session.svelte'
  import type { TextItem } from '../wire/generated'
  import type { Surface } from './surface'
  import { newText } from './text'

  interface Props {
    session: Session
    surface: Surface
    at: [number, number]
    itemId: string | null
    onclose: () => void
  }
  let { session, surface, at, itemId, onclose }: Props = $props()

  const page = untrack(() => session.pageId)
  const edited = untrack(() => (itemId ? session.page?.entries.get(itemId)?.item : undefined)) as
    TextItem | undefined
  const size = edited?.size ?? untrack(() => session.tools.textSize)
  const colour = edited?.colour ?? untrack(() => session.tools.ink)
  // A press stands for the middle of the first line.
  const origin = edited ? [edited.x, edited.y] : untrack(() => [at[0], at[1] - size * 0.65])
  let text = $state(edited?.text ?? '')
  let area: HTMLTextAreaElement
  let closed = false

  onMount(() => {
    area.focus()
    area.select()
  })

  const left = $derived(origin[0]! * surface.view.scale + surface.view.left)
  const top = $derived(origin[1]! * surface.view.scale + surface.view.top)
  const columns = $derived(Math.max(8, ...text.split('\n').map((line) => line.length + 2)))

  function take() {
    if (closed) return
    closed = true
    const written = text.replace(/\s+$/, '')
    if (edited && written && written !== edited.text) {
      session.do({ step: 'edit_text', page, id: edited.id, text: written })
    } else if (!edited && written) {
      session.do({
        step: 'add_items',
        page,
        items: [newText(session.me, written, origin[0]!, origin[1]!, size, colour)],
      })
    }
    onclose()
  }

  function onkeydown(event: KeyboardEvent) {
    event.stopPropagation()
    if (event.key === 'Escape') {
      closed = true
      onclose()
    } else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) take()
  }
</script>

<textarea
  bind:this={area}
  bind:value={text}
  {onkeydown}
  onblur={take}
  rows={text.split('\n').length}
  cols={columns}
  spellcheck="true"
  aria-label="Text on the board. Ctrl and Enter take it, Escape gives up."
  style:left="{left}px"
  style:top="{top}px"
  style:font-size="{size * surface.view.scale}px"
  style:color={colour}></textarea>

<style>
  textarea {
    position: absolute;
    font-family: 'sans', 'sans-ext', 'greek', 'maths', sans-serif;
    font-kerning: none;
    font-variant-ligatures: none;
    line-height: 1.3;
    padding: 0;
    margin: 0;
    border: 0;
    outline: 1.5px dashed var(--leaf);
    outline-offset: 6px;
    background: rgb(255 254 250 / 85%);
    resize: none;
    overflow: hidden;
    white-space: pre;
  }
</style>
