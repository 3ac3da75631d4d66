<script lang="ts">
  import { MAX_TABLE_SIDE } from '../../wire/generated'
  import { untrack } from 'svelte'
  import Button from '../../ui/Button.svelte'
  import MenuButton from '../../ui/MenuButton.svelte'
  import type { ChangeTable, TableItem } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, table }: { session: Session; table: TableItem } = $props()

  /** The row and the column that are spoken of, from 1; the last ones first. */
  let at = $state(untrack(() => ({ rows: table.rows.length, columns: table.columns.length })))
  const SIDES = $derived([
    {
      side: 'rows' as const,
      count: table.rows.length,
      word: 'table-row' as const,
      add: 'add-a-row' as const,
      drop: 'take-the-row-off' as const,
    },
    {
      side: 'columns' as const,
      count: table.columns.length,
      word: 'table-column' as const,
      add: 'add-a-column' as const,
      drop: 'take-the-column-off' as const,
    },
  ])

  function within(side: 'rows' | 'columns', count: number): number {
    return Math.min(Math.max(Math.round(at[side]) || 1, 1), count)
  }

  function change(asked: Partial<Pick<ChangeTable, 'rows' | 'columns' | 'head' | 'at'>>) {
    session.do({ step: 'change_table', page: session.pages.id, id: table.id, ...asked })
  }
</script>

<div class="stack">
  {#each SIDES as { side, count, word, add, drop } (side)}
    <div class="side">
      <label
        >{t(word)}
        <input type="number" min="1" max={count} bind:value={at[side]} aria-label={t(word)} /> / {count}</label
      >
      <div class="row">
        <Button
          disabled={count >= MAX_TABLE_SIDE}
          onclick={() => change({ [side]: 1, at: within(side, count) - 1 })}>{t('before-it')}</Button
        >
        <Button
          disabled={count >= MAX_TABLE_SIDE}
          aria-label={t(add)}
          onclick={() => change({ [side]: 1, at: within(side, count) })}>{t('after-it')}</Button
        >
        <Button
          kind="stop"
          disabled={count < 2}
          aria-label={t(drop)}
          onclick={() => change({ [side]: -1, at: within(side, count) - 1 })}>{t('take-it-off')}</Button
        >
      </div>
    </div>
  {/each}
  <MenuButton onclick={() => change({ head: !table.head })}
    >{table.head ? t('first-row-as-the-others') : t('first-row-as-a-head')}</MenuButton
  >
  <a href="/boards/{session.boardId}/pages/{session.pages.id}/{table.id}.csv" download>{t('take-csv')}</a>
  <p>{t('double-press-a-cell-to')}</p>
  <p>{t('cells-work-out')}</p>
</div>

<style>
  .stack {
    display: grid;
    width: 320px;
    max-width: 100%;
    gap: 10px;
  }
  .side {
    display: grid;
    gap: 6px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  input {
    width: 64px;
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
  }
  a {
    display: grid;
    align-items: center;
    min-height: 40px;
    padding: 0 10px;
    color: var(--ink);
    font-weight: 600;
  }
  p {
    padding: 8px 10px;
    color: var(--muted);
    font-size: 13px;
  }
</style>
