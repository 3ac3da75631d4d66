<script lang="ts">
  import type { Session } from '../lesson/session.svelte'
  import { t } from '../words/words.svelte'

  interface Props {
    session: Session
    /** A hand is among the rows below: who knocks now is shown when it is gone, and moves none of them under it. */
    waiting: boolean
  }
  let { session, waiting }: Props = $props()
  let shown: string[] = []
  const knocks = $derived.by(() => {
    const now = session.classroom.knocks.filter(({ seat }) => !waiting || shown.includes(seat))
    shown = now.map(({ seat }) => seat)
    return now
  })
</script>

{#if knocks.length}
  <section aria-label={t('at-the-door')} role="status">
    <div class="head">
      <b>{t('at-the-door-count', { count: knocks.length })}</b>
      {#if knocks.length > 1}
        <button onclick={() => session.tell({ command: 'admit', seat: '' })}>{t('let-all-in')}</button>
      {/if}
    </div>
    {#each knocks as { seat, name } (seat)}
      <div class="row">
        <span>{name}</span>
        <button
          onclick={() => session.tell({ command: 'turn_away', seat })}
          aria-label={t('not-now-for', { name })}>{t('not-now')}</button
        >
        <button
          class="go"
          onclick={() => session.tell({ command: 'admit', seat })}
          aria-label={t('let-in-name', { name })}>{t('let-in')}</button
        >
      </div>
    {/each}
  </section>
{/if}

<style>
  section {
    margin: 0 8px 8px;
    padding: 8px;
    background: var(--sun-pale);
    color: var(--on-pale);
    border: 1px solid var(--sun);
    border-radius: var(--radius);
    display: grid;
    gap: 4px;
    max-height: 34%;
    overflow-y: auto;
    flex: none;
  }
  .head,
  .row {
    display: flex;
    align-items: center;
    gap: 6px;
    min-width: 0;
  }
  .head {
    justify-content: space-between;
    font-size: 14px;
  }
  span {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  button {
    min-height: 36px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    font-weight: 600;
    font-size: 13px;
  }
  .go {
    background: var(--leaf);
    border-color: var(--leaf);
    color: #fff;
  }
</style>
