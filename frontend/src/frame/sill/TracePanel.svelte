<script lang="ts">
  import { onMount } from 'svelte'
  import { clockTime, longDay } from '../../ui/time'
  import type { Session } from '../../lesson/session.svelte'

  let { session, id }: { session: Session; id: string } = $props()
  const traces = $derived(session.classroom.traces)

  onMount(() => session.classroom.inspect(id))
</script>

<ol>
  {#each traces ?? [] as { at_ms, name, what }, i (i)}
    <li><time>{longDay(at_ms)}, {clockTime(at_ms)}</time> {what} by <b>{name}</b></li>
  {:else}
    <li>{traces ? 'Nothing is known of it.' : 'Looking it up.'}</li>
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
