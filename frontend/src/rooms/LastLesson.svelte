<script lang="ts">
  import TextLink from '../ui/TextLink.svelte'
  import { clockTime } from '../words/time'
  import type { RoomHome } from '../wire/generated'
  import { t, told } from '../words/words.svelte'

  let { home }: { home: RoomHome } = $props()
</script>

{#if home.attendance.length}
  <h2>{home.lesson_open ? t('here-so-far') : t('at-the-last-lesson')}</h2>
  <dl>
    {#each home.attendance as { name, minutes }, i (i)}
      <dt>{name}</dt>
      <dd>
        {t('was-there', { count: minutes })}
      </dd>
    {/each}
  </dl>
  <p><TextLink href="/api/rooms/{home.link}/attendance.csv" download>{t('take-csv')}</TextLink></p>
{/if}
{#if home.record.length}
  <details>
    <summary>{home.lesson_open ? t('record-of-this-lesson') : t('record-of-last-lesson')}</summary>
    <ol>
      {#each home.record as entry, i (i)}
        <li>
          <time>{clockTime(entry.at_ms)}</time>
          {told({ key: entry.said.key, values: { ...entry.said.values, by: entry.name } })}
        </li>
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
