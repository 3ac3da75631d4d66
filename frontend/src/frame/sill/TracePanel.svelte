<script lang="ts">
  import { onMount } from 'svelte'
  import { clockTime, longDay } from '../../words/time'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, id }: { session: Session; id: string } = $props()
  const traces = $derived(session.classroom.traces)

  function said(what: string, name: string): string {
    const [done = '', how] = what.split('-')
    if (how === 'undo') return t('trace-undo', { what: done, name })
    return how === 'redo' ? t('trace-redo', { what: done, name }) : t('trace', { what: done, name })
  }

  onMount(() => session.classroom.inspect(id))
</script>

<ol>
  {#each traces ?? [] as { at_ms, name, what }, i (i)}
    <li>
      <time>{t('day-and-time', { day: longDay(at_ms), time: clockTime(at_ms) })}</time>
      {said(what, name)}
    </li>
  {:else}
    <li>{traces ? t('nothing-is-known-of-it') : t('looking-it-up')}</li>
  {/each}
</ol>

<style>
  ol {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 6px;
    min-width: 240px;
    font-size: 14px;
  }
  time {
    display: block;
    color: var(--muted);
    font-size: 12.5px;
  }
</style>
