<script lang="ts">
  import MenuButton from '../ui/MenuButton.svelte'
  import { tableStep } from '../board/editing.svelte'
  import type { TableItem } from '../wire/generated'
  import type { Session } from './session.svelte'

  let { session, table }: { session: Session; table: TableItem } = $props()
  const COLUMN = 120
  const ROW = 40
  const MOST = 40

  function set(changes: Partial<Pick<TableItem, 'columns' | 'rows' | 'cells' | 'head'>>) {
    session.do({ ...tableStep(session.pageId, table), ...changes })
  }

  function addRow() {
    set({ rows: [...table.rows, ROW], cells: [...table.cells, ...table.columns.map(() => '')] })
  }

  function dropRow() {
    set({ rows: table.rows.slice(0, -1), cells: table.cells.slice(0, -table.columns.length) })
  }

  /** The cells row by row, each row changed. */
  function eachRow(change: (row: string[]) => string[]): string[] {
    const count = table.columns.length
    return table.rows.flatMap((_, i) => change(table.cells.slice(i * count, (i + 1) * count)))
  }

  function addColumn() {
    set({ columns: [...table.columns, COLUMN], cells: eachRow((row) => [...row, '']) })
  }

  function dropColumn() {
    set({ columns: table.columns.slice(0, -1), cells: eachRow((row) => row.slice(0, -1)) })
  }
</script>

<div class="stack">
  <MenuButton disabled={table.rows.length >= MOST} onclick={addRow}>Add a row</MenuButton>
  <MenuButton disabled={table.rows.length < 2} onclick={dropRow}>Take the last row off</MenuButton>
  <MenuButton disabled={table.columns.length >= MOST} onclick={addColumn}>Add a column</MenuButton>
  <MenuButton disabled={table.columns.length < 2} onclick={dropColumn}>Take the last column off</MenuButton>
  <MenuButton onclick={() => set({ head: !table.head })}
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
