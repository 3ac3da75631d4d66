/** A table as it will be after a request, shown until the server has answered; twin of requests/words.py. */
import { TABLE_ROW, TABLE_COLUMN } from '../wire/generated'
import type { ChangeTable, SetCell, TableItem } from '../wire/generated'
import { plainLines } from './text'

export function withCell(table: TableItem, { row, column, text }: SetCell): TableItem {
  const at = row * table.columns.length + column
  if (column >= table.columns.length || at >= table.cells.length) return table
  const lines = table.lines.length === table.cells.length ? table.lines : table.cells.map(() => [])
  return {
    ...table,
    cells: table.cells.with(at, text),
    lines: lines.with(at, text ? plainLines(text, table.size) : []),
  }
}

export function changedTable(table: TableItem, asked: ChangeTable): TableItem {
  const wide = table.columns.length
  const byRow = <T>(list: T[]) => table.rows.map((_, i) => list.slice(i * wide, (i + 1) * wide))
  let [cells, lines, rows, columns] = [byRow(table.cells), byRow(table.lines), table.rows, table.columns]
  if (asked.columns) {
    const more = asked.columns > 0
    columns = more ? [...columns, TABLE_COLUMN] : columns.slice(0, -1)
    cells = cells.map((row) => (more ? [...row, ''] : row.slice(0, -1)))
    lines = lines.map((row) => (more ? [...row, []] : row.slice(0, -1)))
  }
  if (asked.rows) {
    const more = asked.rows > 0
    rows = more ? [...rows, TABLE_ROW] : rows.slice(0, -1)
    cells = more ? [...cells, columns.map(() => '')] : cells.slice(0, -1)
    lines = more ? [...lines, columns.map(() => [])] : lines.slice(0, -1)
  }
  const { side } = asked
  if (side?.across && side.index < columns.length) columns = columns.with(side.index, side.units)
  if (side && !side.across && side.index < rows.length) rows = rows.with(side.index, side.units)
  return { ...table, columns, rows, cells: cells.flat(), lines: lines.flat(), head: asked.head ?? table.head }
}
