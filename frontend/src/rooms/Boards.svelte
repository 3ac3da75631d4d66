<script lang="ts">
  import { ask } from '../wire/api'
  import type { BoardId, RoomHome } from '../wire/generated'
  import Button from '../ui/Button.svelte'
  import Icon from '../ui/Icon.svelte'
  import TextLink from '../ui/TextLink.svelte'
  import { when } from '../words/time'
  import { t } from '../words/words.svelte'
  import BringFileIn from './BringFileIn.svelte'
  import DeleteBoard from './DeleteBoard.svelte'
  import WordSearch from './WordSearch.svelte'

  interface Props {
    home: RoomHome
    busy: boolean
    /** Do something; why it could not be done is said. */
    tried: (what: () => Promise<void>) => Promise<boolean>
    onchanged: () => Promise<void>
  }
  let { home, busy, tried, onchanged }: Props = $props()
  const link = $derived(home.link)

  const putAway = (board: string, away: boolean) =>
    tried(async () => {
      await ask('PATCH', `/api/rooms/${link}/boards/${board}`, { away })
      await onchanged()
    })

  const newBoard = () =>
    tried(async () => {
      const board = await ask<BoardId>('POST', `/api/rooms/${link}/boards`, {})
      location.href = `/rooms/${link}/boards/${board.id}`
    })
</script>

<div class="line">
  <h2>{t('boards')}</h2>
  <span class="muted">{t('kept-all-the-time')}</span>
  <BringFileIn
    to="/api/rooms/{link}/packages"
    what="board"
    label={t('bring-a-board-in')}
    hint={t('a-board-that-was-saved')}
    onbrought={onchanged}
  />
</div>
<WordSearch {link} />
<ul class="there">
  {#each home.boards as board (board.id)}
    <li>
      <a class="board" href="/rooms/{link}/boards/{board.id}">
        <img
          src="/boards/{board.id}/picture.png?{board.seq}"
          alt={t('first-page-of', { title: board.title })}
          loading="lazy"
        />
        <b>{board.title}</b>
        <span class="muted">{t('board-facts', { count: board.pages, when: when(board.changed_ms) })}</span>
      </a>
      <div class="does">
        <TextLink
          href="/boards/{board.id}/board.zip"
          download
          title={t('save-as-a-file-that', { title: board.title })}
          ><Icon name="save" size={16} />{t('save-as-a-package')}</TextLink
        >
        {#if home.boards.length > 1}
          <Button
            kind="quiet"
            aria-label={t('put-away-named', { title: board.title })}
            onclick={() => putAway(board.id, true)}>{t('put-away')}</Button
          >
        {/if}
      </div>
    </li>
  {/each}
  <li><button disabled={busy} onclick={newBoard}>{t('new-board')}</button></li>
</ul>
{#if home.away.length}
  <details>
    <summary>{t('boards-put-away', { count: home.away.length })}</summary>
    <ul class="away">
      {#each home.away as board (board.id)}
        <li>
          <span>{board.title}</span>
          <Button onclick={() => putAway(board.id, false)}>{t('bring-back')}</Button>
          <DeleteBoard {link} {board} ondeleted={onchanged} />
        </li>
      {/each}
    </ul>
  </details>
{/if}

<style>
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 14px;
    align-items: baseline;
    margin-bottom: 10px;
  }
  .line > :global(:last-child) {
    margin-left: auto;
  }
  h2 {
    font-size: 16px;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
  }
  .there {
    grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
    gap: 14px;
  }
  .board {
    display: grid;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    overflow: hidden;
    color: var(--ink);
    text-decoration: none;
  }
  .board:hover {
    border-color: var(--leaf);
  }
  .board img {
    width: 100%;
    aspect-ratio: 16 / 9;
    object-fit: cover;
    object-position: top left;
    border-bottom: 1px solid var(--sand-line);
    background: var(--glass);
  }
  .board b {
    padding: 10px 12px 0;
    overflow-wrap: anywhere;
  }
  .board .muted {
    padding: 0 12px 10px;
  }
  .does {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    font-size: 14px;
  }
  /* As far in as the words on the card. */
  .does > :global(*) {
    padding: 0 12px;
  }
  .there button {
    width: 100%;
    height: 100%;
    min-height: 170px;
    border: 1px dashed var(--sand-line);
    border-radius: var(--radius);
    background: transparent;
    color: var(--leaf-dark);
    font-weight: 600;
  }
  summary {
    min-height: 40px;
    cursor: pointer;
  }
  .away {
    gap: 6px;
  }
  .away li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  .away span {
    margin-inline-end: auto;
  }
</style>
