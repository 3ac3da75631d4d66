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
    const change = changer(asked.columns, asked.at, columns.length)
    columns = change(columns, TABLE_COLUMN)
    cells = cells.map((row) => change(row, ''))
    lines = lines.map((row) => change(row, []))
  }
  if (asked.rows) {
    const change = changer(asked.rows, asked.at, rows.length)
    rows = change(rows, TABLE_ROW)
    cells = change(
      cells,
      columns.map(() => ''),
    )
    lines = change(
      lines,
      columns.map(() => []),
    )
  }
  const { side } = asked
  if (side?.across && side.index < columns.length) columns = columns.with(side.index, side.units)
  if (side && !side.across && side.index < rows.length) rows = rows.with(side.index, side.units)
  return { ...table, columns, rows, cells: cells.flat(), lines: lines.flat(), head: asked.head ?? table.head }
}

/** Puts a new one into a list at a place (its end when none is said), or takes the one there out. */
function changer(by: number, at: number | undefined, count: number): <T>(list: T[], made: T) => T[] {
  const last = by > 0 ? count : count - 1
  const place = Math.min(at ?? last, last)
  return (list, made) => (by > 0 ? list.toSpliced(place, 0, made) : list.toSpliced(place, 1))
}
