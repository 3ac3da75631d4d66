<script lang="ts">
  import Icon from '../ui/Icon.svelte'
  import { newId } from '../wire/codec'
  import type { Paper } from '../wire/generated'
  import PageThumb from './PageThumb.svelte'
  import type { Session } from './session.svelte'

  let { session }: { session: Session } = $props()
  let choosing = $state(false)
  let menu = $state<HTMLElement>()

  const A4 = { width: 794, height: 1123 }
  const PAPERS: { label: string; hint: string; paper: Paper }[] = [
    {
      label: 'Endless, squares',
      hint: 'grows in any direction',
      paper: { kind: 'endless', ruling: 'squares', width: 1123, height: 794 },
    },
    {
      label: 'Endless, plain',
      hint: 'grows in any direction',
      paper: { kind: 'endless', ruling: 'plain', width: 1123, height: 794 },
    },
    {
      label: 'A4 sheet, squares',
      hint: 'lying',
      paper: { kind: 'sheet', ruling: 'squares', width: A4.height, height: A4.width },
    },
    { label: 'A4 sheet, plain', hint: 'standing', paper: { kind: 'sheet', ruling: 'plain', ...A4 } },
  ]

  function add(paper: Paper) {
    choosing = false
    const at = session.heads.findIndex((head) => head.id === session.pageId) + 1
    session.do({
      step: 'add_page',
      head: { id: newId(), title: '', paper, writers: 'lesson' },
      index: at,
      items: [],
    })
  }

  function remove() {
    choosing = false
    session.do({ step: 'remove_page', page: session.pageId })
  }

  function outside(event: PointerEvent) {
    if (choosing && !menu?.contains(event.target as Node)) choosing = false
  }
</script>

<svelte:window onpointerdown={outside} onkeydown={(event) => event.key === 'Escape' && (choosing = false)} />

<nav aria-label="Pages">
  <ol>
    {#each session.heads as head, i (head.id)}
      <li>
        <button
          class="page"
          aria-current={head.id === session.pageId ? 'page' : undefined}
          title={head.title || `Page ${i + 1}`}
          onclick={() => session.turnTo(head.id)}
        >
          <PageThumb {session} pageId={head.id} />
          <span>{i + 1}{head.title ? ` ${head.title}` : ''}</span>
        </button>
      </li>
    {/each}
  </ol>
  {#if session.may('add_page')}
    <div class="add" bind:this={menu}>
      <button
        class="plus"
        aria-expanded={choosing}
        aria-label="Add a page"
        title="Add a page"
        onclick={() => (choosing = !choosing)}
      >
        <Icon name="plus" size={20} />
      </button>
      {#if choosing}
        <div class="menu" role="menu">
          {#each PAPERS as { label, hint, paper } (label)}
            <button role="menuitem" onclick={() => add(paper)}><b>{label}</b> <span>{hint}</span></button>
          {/each}
          {#if session.tutorSide && session.heads.length > 1}
            <button role="menuitem" class="stop" onclick={remove}
              ><b>Remove this page</b> <span>undo brings it back</span></button
            >
          {/if}
        </div>
      {/if}
    </div>
  {/if}
</nav>

<style>
  nav {
    display: flex;
    align-items: center;
    gap: 6px;
    padding: 6px 10px;
    border-left: 1px solid var(--sand-line);
    min-width: 0;
    max-width: 40%;
  }
  ol {
    display: flex;
    gap: 6px;
    list-style: none;
    margin: 0;
    padding: 2px;
    overflow-x: auto;
    scrollbar-width: thin;
  }
  .page {
    position: relative;
    width: 68px;
    height: 48px;
    padding: 0;
    border: 1px solid var(--sand-line);
    border-radius: 2px;
    background: var(--glass);
    overflow: hidden;
    display: block;
  }
  .page[aria-current] {
    border-color: var(--leaf);
    box-shadow: 0 0 0 1.5px var(--leaf);
  }
  .page span {
    position: absolute;
    left: 0;
    top: 0;
    max-width: 100%;
    font-size: 12px;
    line-height: 1.2;
    padding: 1px 4px;
    background: var(--glass);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .add {
    position: relative;
  }
  .plus {
    width: 40px;
    height: 44px;
    border: 1px dashed var(--sand-line);
    border-radius: var(--radius);
    background: none;
    display: grid;
    place-items: center;
  }
  .menu {
    position: absolute;
    right: 0;
    bottom: calc(100% + 12px);
    width: 260px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    padding: 6px;
    display: grid;
    z-index: 5;
  }
  .menu button {
    border: 0;
    background: none;
    text-align: left;
    min-height: 42px;
    padding: 0 10px;
    border-radius: 3px;
  }
  .menu button:hover {
    background: var(--sand);
  }
  .menu span {
    color: var(--muted);
    font-size: 13px;
  }
  .menu .stop {
    border-top: 1px solid var(--sand-2);
    color: var(--clay);
  }
  @media (max-width: 900px) {
    nav {
      max-width: none;
      border-left: 0;
    }
  }
</style>
