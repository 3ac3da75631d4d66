<script lang="ts">
  /** What can be done with a board as a whole: for the tutor. */
  import { ask } from '../../wire/api'
  import type { BoardCard, BoardId } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import MenuButton from '../../ui/MenuButton.svelte'
  import { t } from '../../words/words.svelte'

  interface Props {
    session: Session
    link: string
    board: BoardCard
    onopen: (board: string) => void
    onclose: () => void
  }
  let { session, link, board, onopen, onclose }: Props = $props()
  const at = $derived(session.boards.findIndex(({ id }) => id === board.id))
  const path = $derived(`/api/rooms/${link}/boards/${board.id}`)
  let title = $state('')
  let renaming = $state(false)

  async function change(wanted: { title?: string; place?: number; away?: boolean }) {
    try {
      await ask('PATCH', path, wanted)
      onclose()
    } catch (error) {
      session.warn((error as Error).message)
    }
  }

  async function copy() {
    onclose()
    try {
      onopen((await ask<BoardId>('POST', `${path}/copy`)).id)
    } catch (error) {
      session.warn((error as Error).message)
    }
  }

  /** It is put aside, and can be fetched back from the room's home. */
  async function putAway() {
    onclose()
    const next = session.boards[at + 1] ?? session.boards[at - 1]
    try {
      await ask('PATCH', path, { away: true })
      if (next) onopen(next.id)
    } catch (error) {
      session.warn((error as Error).message)
    }
  }
</script>

<div class="menu">
  {#if renaming}
    <form
      onsubmit={(event) => {
        event.preventDefault()
        void change({ title })
      }}
    >
      <!-- svelte-ignore a11y_autofocus -->
      <input bind:value={title} maxlength="80" aria-label={t('board-title')} autofocus />
      <Button kind="go" type="submit">{t('rename')}</Button>
    </form>
  {:else}
    <MenuButton onclick={() => ((title = board.title), (renaming = true))}>{t('rename-board')}</MenuButton>
  {/if}
  <MenuButton disabled={at <= 0} onclick={() => change({ place: at - 1 })}>{t('move-earlier')}</MenuButton>
  <MenuButton disabled={at >= session.boards.length - 1} onclick={() => change({ place: at + 1 })}
    >{t('move-later')}</MenuButton
  >
  <MenuButton onclick={copy}>{t('copy-board')}</MenuButton>
  <MenuButton
    onclick={() => {
      onclose()
      session.past = { board }
    }}>{t('moments')}</MenuButton
  >
  <MenuButton disabled={session.boards.length < 2} onclick={putAway}
    ><span class="stop">{t('delete-board')}</span></MenuButton
  >
</div>

<style>
  .menu {
    display: grid;
    min-width: 230px;
  }
  form {
    display: flex;
    gap: 6px;
    padding: 4px;
  }
  input {
    flex: 1;
    min-width: 0;
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
  }
  .stop {
    color: var(--clay);
  }
</style>
