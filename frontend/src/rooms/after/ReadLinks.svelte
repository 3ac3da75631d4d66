<script lang="ts">
  /** Links by which anybody reads a board, until a day. */
  import Button from '../../ui/Button.svelte'
  import CopyLink from '../../ui/CopyLink.svelte'
  import { ask } from '../../wire/api'
  import type { HomeBoard, WrapUp } from '../../wire/generated'
  import { longDay } from '../../words/time'
  import { t } from '../../words/words.svelte'

  interface Props {
    link: string
    after: WrapUp
    boards: HomeBoard[]
    onchange: (after: WrapUp) => void
  }
  let { link, after, boards, onchange }: Props = $props()
  let board = $state('')
  let days = $state(14)
  let problem = $state('')
  const titles = $derived(new Map(boards.map(({ id, title }) => [id, title])))

  async function asked(method: 'POST' | 'DELETE', end: string, body?: unknown) {
    problem = ''
    try {
      onchange(await ask<WrapUp>(method, `/api/rooms/${link}/read-links${end}`, body))
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<p class="muted">{t('links-to-read-hint')}</p>
{#each after.links as one (one.token)}
  <div class="link">
    <a href="/s/{one.token}">{titles.get(one.board) ?? ''}</a>
    <span class="muted">{t('until-day', { day: longDay(one.until_ms) })}</span>
    <CopyLink path="/s/{one.token}" />
    <Button kind="quiet" onclick={() => asked('DELETE', `/${one.token}`)}>{t('end-link')}</Button>
  </div>
{/each}
<form
  onsubmit={(event) => {
    event.preventDefault()
    void asked('POST', '', { board: board || boards[0]?.id, days })
  }}
>
  <label
    >{t('board')}
    <select bind:value={board}>
      {#each boards as { id, title }, i (id)}<option value={i ? id : ''}>{title}</option>{/each}
    </select></label
  >
  <label>{t('link-good-for-days')}<input type="number" min="1" max="366" required bind:value={days} /></label>
  <Button type="submit" disabled={!boards.length}>{t('make-link')}</Button>
</form>
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<style>
  .muted {
    color: var(--muted);
    font-size: 14px;
    margin: 0 0 8px;
  }
  .link {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px 10px;
    padding-bottom: 8px;
    margin-bottom: 8px;
    border-bottom: 1px solid var(--sand-line);
  }
  .link a {
    color: var(--leaf-dark);
    min-height: 40px;
    display: grid;
    align-items: center;
    overflow-wrap: anywhere;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: end;
  }
  label {
    display: grid;
    gap: 3px;
    font-size: 13px;
    color: var(--muted);
    min-width: 0;
  }
  input {
    width: 90px;
  }
  input,
  select {
    min-height: 40px;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    color: var(--ink);
    max-width: 220px;
  }
  .problem {
    color: var(--clay);
  }
</style>
