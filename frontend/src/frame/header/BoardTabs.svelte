<script lang="ts">
  import { ask } from '../../wire/api'
  import type { BoardId } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Icon from '../../ui/Icon.svelte'
  import MenuButton from '../../ui/MenuButton.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { t } from '../../words/words.svelte'
  import BoardMenu from './BoardMenu.svelte'

  interface Props {
    session: Session
    link: string
    /** There is room for one name only: the others are in its list. */
    list?: boolean
    onopen: (board: string) => void
  }
  let { session, link, list = false, onopen }: Props = $props()
  const here = $derived(session.welcome?.board.id)
  const tutor = $derived(session.welcome?.role === 'tutor')
  const card = $derived(session.boards.find(({ id }) => id === here) ?? session.welcome?.board)
  let nav = $state<HTMLElement>()
  /** How many tabs there is room for. */
  let fitting = $state(Infinity)

  $effect(() => {
    if (!nav || list) return
    void session.boards
    fitting = Infinity
    const measure = () => {
      const tabs = [...nav!.querySelectorAll<HTMLElement>('.tab')]
      const edge = nav!.clientWidth - 44
      let used = 0
      const last = tabs.findIndex((tab) => (used += tab.offsetWidth) > edge)
      if (last >= 0) fitting = Math.max(1, last)
    }
    const observer = new ResizeObserver(() => {
      fitting = Infinity
      queueMicrotask(measure)
    })
    observer.observe(nav)
    return () => observer.disconnect()
  })

  /** The board that is open is always among the tabs. */
  const tabs = $derived.by(() => {
    const first = session.boards.slice(0, fitting)
    if (!card || first.some(({ id }) => id === here)) return first
    return [...first.slice(0, -1), card]
  })

  let making = $state(false)

  async function newBoard() {
    making = true
    try {
      onopen((await ask<BoardId>('POST', `/api/rooms/${link}/boards`, {})).id)
    } catch (error) {
      session.warn((error as Error).message)
    }
    making = false
  }
</script>

{#snippet rows(close: () => void)}
  <div class="rows">
    {#each session.boards as board (board.id)}
      <MenuButton
        aria-current={board.id === here ? 'page' : undefined}
        onclick={() => {
          close()
          if (board.id !== here) onopen(board.id)
        }}>{board.title}</MenuButton
      >
    {/each}
    {#if tutor}
      <MenuButton onclick={() => (close(), newBoard())}><b>{t('new-board')}</b></MenuButton>
      {#if card}<BoardMenu {session} {link} board={card} {onopen} onclose={close} />{/if}
    {/if}
  </div>
{/snippet}

{#if list}
  <nav class="list" aria-label={t('boards')}>
    <Popover label={t('boards')} title={card?.title} now={card?.title} below dark bare>
      {#snippet face()}<span class="name">{card?.title ?? ''}</span><Icon name="open" size={16} />{/snippet}
      {#snippet children(close)}{@render rows(close)}{/snippet}
    </Popover>
  </nav>
{:else}
  <nav aria-label={t('boards')} bind:this={nav}>
    {#each tabs as board (board.id)}
      <span class="tab" class:here={board.id === here} class:alone={tabs.length === 1}>
        <button
          aria-current={board.id === here ? 'page' : undefined}
          title={board.title}
          onclick={() => board.id !== here && onopen(board.id)}>{board.title}</button
        >
        {#if tutor && board.id === here}
          <Popover label={t('this-board')} below dark bare>
            {#snippet face()}<Icon name="open" size={16} />{/snippet}
            {#snippet children(close)}
              <BoardMenu {session} {link} {board} {onopen} onclose={close} />
            {/snippet}
          </Popover>
        {/if}
      </span>
    {/each}
    {#if tabs.length < session.boards.length}
      <Popover label={t('more-boards')} below dark bare>
        {#snippet face()}<Icon name="more" size={18} />{/snippet}
        {#snippet children(close)}{@render rows(close)}{/snippet}
      </Popover>
    {:else if tutor}
      <button
        class="new"
        aria-label={t('new-board')}
        title={t('new-board')}
        disabled={making}
        onclick={newBoard}><Icon name="plus" size={16} /></button
      >
    {/if}
  </nav>
{/if}

<style>
  nav {
    display: flex;
    align-items: center;
    align-self: stretch;
    flex: 1 1 0;
    min-width: 230px;
    overflow: hidden;
  }
  .list {
    flex: 0 1 auto;
    min-width: 108px;
  }
  .list :global(.whole),
  .list :global(.face) {
    min-width: 0;
    max-width: 100%;
  }
  .name {
    font-weight: 600;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: min(32vw, 190px);
  }
  .tab {
    display: flex;
    align-items: center;
    align-self: stretch;
    flex: none;
    max-width: 210px;
    border-bottom: 3px solid transparent;
  }
  .tab button,
  .new {
    border: 0;
    background: none;
    color: var(--on-frame-muted);
    padding: 3px 10px 0;
    min-height: 40px;
    min-width: 40px;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
    font-size: 14px;
  }
  .alone {
    flex: 0 1 auto;
    min-width: 0;
  }
  .here {
    border-color: var(--sun);
  }
  .here button {
    color: var(--on-frame);
    font-weight: 600;
  }
  .tab button:hover,
  .new:hover {
    color: var(--on-frame);
  }
  .new {
    display: grid;
    place-items: center;
    padding: 0;
    flex: none;
  }
  .rows {
    display: grid;
    min-width: 230px;
  }
</style>
