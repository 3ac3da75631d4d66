<script lang="ts">
  import Icon from '../../ui/Icon.svelte'
  import { newId } from '../../wire/codec'
  import type { Paper } from '../../wire/generated'
  import MenuButton from '../../ui/MenuButton.svelte'
  import Popover from '../../ui/Popover.svelte'
  import PagePanel from './PagePanel.svelte'
  import PageThumb from './PageThumb.svelte'
  import { FIRST_PAPER } from '../../lesson/papers'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()

  const head = $derived(session.pages.heads.find((other) => other.id === session.pages.id))
  let dragged = $state('')
  const PAPERS = $derived<{ label: string; hint: string; paper: Paper }[]>([
    { label: 'Like this one', hint: 'same paper', paper: head?.paper ?? FIRST_PAPER },
    { label: 'Endless, squares', hint: 'grows in any direction', paper: FIRST_PAPER },
    {
      label: 'Roll, lines',
      hint: 'grows down as you write',
      paper: { ...FIRST_PAPER, kind: 'roll', ruling: 'lines' },
    },
    { label: 'A4 sheet, squares', hint: 'lying', paper: { ...FIRST_PAPER, kind: 'sheet' } },
    {
      label: 'A4 sheet, plain',
      hint: 'standing',
      paper: { ...FIRST_PAPER, kind: 'sheet', ruling: 'plain', width: 794, height: 1123 },
    },
  ])

  function add(paper: Paper) {
    const at = session.pages.heads.findIndex((head) => head.id === session.pages.id) + 1
    session.do({
      step: 'add_page',
      head: { id: newId(), title: '', paper, writers: 'lesson', desk_of: '', bays: [], by: '' },
      index: at,
      items: [],
    })
  }

  function drop(index: number) {
    const from = session.pages.heads.findIndex((other) => other.id === dragged)
    if (from >= 0) session.movePage(dragged, index - from)
    dragged = ''
  }

  function onpagekey(event: KeyboardEvent, id: string) {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
    if (!step || !event.altKey) return
    event.preventDefault()
    event.stopPropagation()
    session.movePage(id, step)
  }
</script>

<nav aria-label="Pages">
  <ol>
    {#each session.pages.heads as head, i (head.id)}
      <li>
        <button
          class="page"
          aria-current={head.id === session.pages.id ? 'page' : undefined}
          title={head.title || `Page ${i + 1}`}
          draggable={session.rights.may('change_page')}
          ondragstart={() => (dragged = head.id)}
          ondragover={(event) => dragged && event.preventDefault()}
          ondrop={() => drop(i)}
          onkeydown={(event) => onpagekey(event, head.id)}
          onclick={() => session.pages.turnTo(head.id)}
        >
          <PageThumb {session} pageId={head.id} />
          <span>{i + 1}{head.title ? ` ${head.title}` : ''}</span>
          {#if head.writers !== 'lesson'}
            <em
              >{head.writers === 'desk'
                ? session.people.nameOf(head.desk_of)
                : head.writers === 'open'
                  ? 'open'
                  : 'tutor'}</em
            >
          {/if}
        </button>
      </li>
    {/each}
  </ol>
  {#if head && (session.rights.may('change_page') || session.rights.may('add_page') || session.rights.may('remove'))}
    <Popover label="Page and paper" side="right">
      {#snippet face()}<Icon name="more" size={20} />{/snippet}
      {#snippet children(close)}<PagePanel {session} {head} onclose={close} />{/snippet}
    </Popover>
  {/if}
  {#if session.rights.may('add_page')}
    <Popover label="Add a page" side="right">
      {#snippet face()}<Icon name="plus" size={20} />{/snippet}
      {#snippet children(close)}
        <div class="papers">
          {#each PAPERS as { label, hint, paper } (label)}
            <MenuButton
              onclick={() => {
                close()
                add(paper)
              }}><b>{label}</b> <span>{hint}</span></MenuButton
            >
          {/each}
        </div>
      {/snippet}
    </Popover>
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
  .page em {
    position: absolute;
    right: 0;
    bottom: 0;
    padding: 0 4px;
    background: var(--sun-pale);
    font-size: 12px;
    font-style: normal;
    line-height: 1.25;
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
  .papers {
    display: grid;
    min-width: 260px;
  }
  .papers span {
    color: var(--muted);
    font-size: 13px;
  }
  @media (max-width: 900px) {
    nav {
      max-width: none;
      border-left: 0;
    }
  }
</style>
