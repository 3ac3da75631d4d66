<script lang="ts">
  import { MAX_TABLE_SIDE } from '../../wire/generated'
  import MenuButton from '../../ui/MenuButton.svelte'
  import type { ChangeTable, TableItem } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'

  let { session, table }: { session: Session; table: TableItem } = $props()

  function change(asked: Partial<Pick<ChangeTable, 'rows' | 'columns' | 'head'>>) {
    session.do({ step: 'change_table', page: session.pages.id, id: table.id, ...asked })
  }
</script>

<div class="stack">
  <MenuButton disabled={table.rows.length >= MAX_TABLE_SIDE} onclick={() => change({ rows: 1 })}
    >Add a row</MenuButton
  >
  <MenuButton disabled={table.rows.length < 2} onclick={() => change({ rows: -1 })}
    >Take the last row off</MenuButton
  >
  <MenuButton disabled={table.columns.length >= MAX_TABLE_SIDE} onclick={() => change({ columns: 1 })}
    >Add a column</MenuButton
  >
  <MenuButton disabled={table.columns.length < 2} onclick={() => change({ columns: -1 })}
    >Take the last column off</MenuButton
  >
  <MenuButton onclick={() => change({ head: !table.head })}
    >{table.head ? 'First row as the others' : 'First row as a head'}</MenuButton
  >
  <p>Double press a cell to write in it. Tab goes on. Borders can be dragged.</p>
</div>

<style>
  .stack {
    display: grid;
    width: 250px;
  }
  p {
    padding: 8px 10px;
    color: var(--muted);
    font-size: 13px;
  }
</style>
