<script lang="ts">
  import { onMount, untrack } from 'svelte'
  import type { Session } from '../../lesson/session.svelte'
  import type { Editing } from '../../lesson/editing.svelte'
  import type { Style } from '../../board/styled'
  import type { Surface } from './surface.svelte'
  import { t } from '../../words/words.svelte'

  let { session, surface, editing }: { session: Session; surface: Surface; editing: Editing } = $props()
  let area: HTMLDivElement
  let closed = false
  let ready = false

  const place = $derived.by(() => {
    const [a, b, c, d, e, f] = editing.frame.place
    const { scale, left, top } = surface.view
    const values = [a * scale, b * scale, c * scale, d * scale, e * scale + left, f * scale + top]
    return `matrix(${values.join(',')})`
  })
  const FACES = {
    sans: "'sans','sans-ext','greek','maths','signs','symbols',sans-serif",
    serif: "'serif','sans-ext','greek','maths','signs','symbols',serif",
    hand: "'hand','sans-ext','greek','maths','signs','symbols',cursive",
    mono: "'mono','sans-ext','greek','maths','signs','symbols',monospace",
  }
  const ALIGN = { left: 'left', centre: 'center', right: 'right' }
  const WORDS = {
    text: t('text-on-the-board'),
    note: t('words-of-the-note'),
    shape: t('words-in-the-figure'),
    cell: t('words-of-the-cell'),
  }

  onMount(() => {
    draw(untrack(() => editing.styled.text.length))
    ready = true
    area.focus()
    editing.focus = () => {
      const [start, end] = editing.selected
      area.focus()
      select(start, end)
    }
    document.addEventListener('selectionchange', follow)
    return () => document.removeEventListener('selectionchange', follow)
  })

  $effect(() => {
    // Another style is drawn; typing the browser draws itself.
    if (editing.drawn && ready) untrack(() => draw(editing.selected[1], editing.selected[0]))
  })

  function draw(end: number, start = end) {
    const marker = editing.styled.parts().map(({ text, style }) => {
      const span = document.createElement('span')
      span.textContent = text
      span.className = classes(style)
      return span
    })
    area.replaceChildren(...marker)
    select(start, end)
  }

  function classes(style: Style): string {
    return Object.entries(style)
      .map(([name, value]) => (name === 'script' ? String(value) : value ? name : ''))
      .join(' ')
  }

  /** Where in the text a place of the editor's nodes is. */
  function offset(node: Node, at: number): number {
    const range = document.createRange()
    range.selectNodeContents(area)
    range.setEnd(node, at)
    return range.toString().length
  }

  function select(start: number, end: number) {
    const find = (index: number): [Node, number] => {
      let left = index
      const walker = document.createTreeWalker(area, NodeFilter.SHOW_TEXT)
      for (let node = walker.nextNode(); node; node = walker.nextNode()) {
        const { length } = node.textContent!
        if (left <= length) return [node, left]
        left -= length
      }
      return [area, area.childNodes.length]
    }
    getSelection()?.setBaseAndExtent(...find(start), ...find(end))
  }

  function follow() {
    const selection = getSelection()
    if (!selection?.anchorNode || !area.contains(selection.anchorNode)) return
    const a = offset(selection.anchorNode, selection.anchorOffset)
    const b = offset(selection.focusNode!, selection.focusOffset)
    const [start, end] = editing.selected
    if (Math.min(a, b) !== start || Math.max(a, b) !== end) {
      editing.selected = [Math.min(a, b), Math.max(a, b)]
    }
  }

  function oninput() {
    follow()
    editing.typed(area.textContent ?? '')
  }

  function close(take: boolean, next: Editing | null = null) {
    if (closed) return
    closed = true
    if (take) editing.take()
    session.editing = next
  }

  function onkeydown(event: KeyboardEvent) {
    event.stopPropagation()
    // While letters are being put together, keys are for that.
    if (event.isComposing) return
    const control = event.ctrlKey || event.metaKey
    const flags = { b: 'bold', i: 'italic', u: 'underline', m: 'maths' } as const
    const flag = flags[event.key.toLowerCase() as keyof typeof flags]
    if (event.key === 'Escape') close(true)
    else if (event.key === 'Enter' && control) close(true)
    else if (event.key === 'Tab' && editing.kind === 'cell') {
      event.preventDefault()
      editing.take()
      close(false, editing.nextCell(event.shiftKey ? -1 : 1))
    } else if (control && editing.kind === 'text' && flag) {
      event.preventDefault()
      editing.toggle(flag)
    }
  }

  function onblur(event: FocusEvent) {
    // The sill's settings belong to the words: pressing them does not end the typing.
    if (!(event.relatedTarget as HTMLElement | null)?.closest?.('.sill')) close(true)
  }
</script>

<div
  class="frame {editing.kind}"
  style:transform={place}
  style:width={editing.frame.width === null ? undefined : `${editing.frame.width}px`}
  style:max-width={editing.kind === 'text' && editing.frame.width === null && Number.isFinite(editing.limit)
    ? `${editing.limit}px`
    : undefined}
  style:height={editing.frame.height === null ? undefined : `${editing.frame.height}px`}
  style:padding="{editing.pad}px"
  style:background={editing.paper || undefined}
>
  <div
    bind:this={area}
    class="area"
    class:list={editing.listing !== 'none'}
    contenteditable="plaintext-only"
    role="textbox"
    aria-multiline="true"
    tabindex="0"
    spellcheck="true"
    aria-label={t('editor-keys', { what: WORDS[editing.kind] })}
    style:font-family={FACES[editing.family]}
    style:font-size="{editing.size}px"
    style:text-align={ALIGN[editing.align]}
    style:color={editing.colour}
    {oninput}
    {onkeydown}
    {onblur}
  ></div>
</div>

<style>
  .frame {
    position: absolute;
    left: 0;
    top: 0;
    transform-origin: 0 0;
    outline: 1.5px dashed var(--leaf);
    outline-offset: 4px;
  }
  .text,
  .shape,
  .cell {
    background: rgb(255 254 250 / 88%);
  }
  .area {
    min-width: 1em;
    min-height: 1.3em;
    outline: 0;
    line-height: 1.3;
    font-kerning: none;
    font-variant-ligatures: none;
    white-space: pre-wrap;
    overflow-wrap: anywhere;
    cursor: text;
  }
  .text .area {
    width: max-content;
    max-width: inherit;
  }
  .list {
    padding-left: 1.5em;
  }
  .area :global(.bold) {
    font-weight: 700;
  }
  .area :global(.italic) {
    font-style: italic;
  }
  .area :global(.underline),
  .area :global(.link) {
    text-decoration: underline;
  }
  .area :global(.strike) {
    text-decoration: line-through;
  }
  /* A formula as it is typed; it is set with the text. */
  .area :global(.maths) {
    padding: 0 0.15em;
    border-radius: 4px;
    background: color-mix(in srgb, var(--sun) 28%, transparent);
    font-family: 'mono', monospace;
    font-size: 0.85em;
  }
  .area :global(.sub),
  .area :global(.sup) {
    font-size: 62%;
    line-height: 0;
  }
  .area :global(.sub) {
    vertical-align: sub;
  }
  .area :global(.sup) {
    vertical-align: super;
  }
</style>
