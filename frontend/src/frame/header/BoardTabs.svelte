<script lang="ts">
  import { ask } from '../../wire/api'
  import type { BoardId } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'

  interface Props {
    session: Session
    link: string
    onopen: (board: string) => void
  }
  let { session, link, onopen }: Props = $props()
  const here = $derived(session.welcome?.board.id)
  const tutor = $derived(session.welcome?.role === 'tutor')

  async function newBoard() {
    try {
      onopen((await ask<BoardId>('POST', `/api/rooms/${link}/boards`, {})).id)
    } catch (error) {
      session.say((error as Error).message)
    }
  }
</script>

{#if session.boards.length > 1 || tutor}
  <nav aria-label="Boards">
    {#each session.boards as board (board.id)}
      <button
        aria-current={board.id === here ? 'page' : undefined}
        onclick={() => board.id !== here && onopen(board.id)}>{board.title}</button
      >
    {/each}
    {#if tutor}<button class="new" aria-label="New board" title="New board" onclick={newBoard}>+</button>{/if}
  </nav>
{/if}

<style>
  nav {
    display: flex;
    align-self: stretch;
    min-width: 60px;
    flex-shrink: 1;
    max-width: 30vw;
    overflow-x: auto;
    scrollbar-width: none;
  }
  button {
    border: 0;
    border-bottom: 3px solid transparent;
    background: none;
    color: var(--on-frame-muted);
    padding: 3px 10px 0;
    flex: none;
    white-space: nowrap;
    font-size: 14px;
    min-width: 40px;
  }
  button[aria-current] {
    color: var(--on-frame);
    font-weight: 600;
    border-color: var(--sun);
  }
  button:hover {
    color: var(--on-frame);
  }
  @media (max-width: 900px) {
    nav {
      display: none;
    }
  }
</style>
