<script lang="ts">
  import { clockTime } from '../ui/time'
  import type { RoomHome } from '../wire/generated'

  let { home }: { home: RoomHome } = $props()
</script>

{#if home.attendance.length}
  <h2>{home.lesson_open ? 'Here so far' : 'At the last lesson'}</h2>
  <dl>
    {#each home.attendance as { name, minutes } (name)}
      <dt>{name}</dt>
      <dd>
        {minutes < 1 ? 'less than a minute' : minutes === 1 ? '1 minute' : `${minutes} minutes`}
      </dd>
    {/each}
  </dl>
{/if}
{#if home.record.length}
  <details>
    <summary>Who changed what in {home.lesson_open ? 'this' : 'the last'} lesson</summary>
    <ol>
      {#each home.record as entry, i (i)}
        <li><time>{clockTime(entry.at_ms)}</time> {entry.name} {entry.text}.</li>
      {/each}
    </ol>
  </details>
{/if}

<style>
  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 4px 18px;
    margin: 0;
  }
  dd {
    margin: 0;
    color: var(--muted);
  }
  details {
    margin-top: 18px;
  }
  summary {
    cursor: pointer;
    font-weight: 600;
    min-height: 40px;
  }
  details ol {
    list-style: none;
    margin: 0;
    padding: 0;
    display: block;
  }
  time {
    color: var(--muted);
    font-variant-numeric: tabular-nums;
    margin-right: 8px;
  }
  h2 {
    font-size: 16px;
    margin: 28px 0 10px;
  }
</style>
