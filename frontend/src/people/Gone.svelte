<script lang="ts">
  /** Who was here and is not: let back in when they were sent away, or taken off the list. */
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import { clockTime } from '../words/time'
  import { t } from '../words/words.svelte'

  let { session }: { session: Session } = $props()
  const gone = $derived(session.people.list.filter(({ tabs }) => tabs === 0))
</script>

{#if gone.length}
  <li class="gone">
    <b>{t('not-here')}</b>
    {#each gone as { seat, name, seen_ms, sent_away } (seat)}
      <span
        >{name}<small>{sent_away ? t('was-sent-away') : t('gone-since', { time: clockTime(seen_ms) })}</small>
        {#if sent_away}
          <button
            class="back"
            aria-label={t('let-back-in', { name })}
            onclick={() => session.tell({ command: 'let_back', seat })}>{t('let-in')}</button
          >
        {/if}
        {#if session.people.role === 'tutor' && !sent_away}
          <button
            class="plain"
            aria-label={t('take-off-list', { name })}
            title={t('take-off-list', { name })}
            onclick={() => session.tell({ command: 'forget', seat })}><Icon name="close" size={16} /></button
          >
        {/if}
      </span>
    {/each}
  </li>
{/if}

<style>
  .gone {
    padding: 10px 12px;
    display: grid;
    gap: 3px;
    font-size: 13px;
    color: var(--muted);
  }
  span {
    display: flex;
    align-items: center;
    gap: 6px;
    min-height: 34px;
  }
  small {
    margin-inline-start: auto;
    white-space: nowrap;
  }
  .back {
    min-height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    color: var(--ink);
  }
  .plain {
    width: 40px;
    height: 40px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--muted);
    display: grid;
    place-items: center;
    flex: none;
  }
</style>
