"""Tables as CSV (RFC 4180): those of a board, and lists."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable, Sequence

from sunroom.core.board.items import TableItem
from sunroom.core.data.cells import is_worked_out, shown_cells

#: What a spreadsheet takes for the beginning of a formula.
FORMULA = ("=", "+", "-", "@", "\t", "\r")


def table_csv(table: TableItem) -> bytes:
    """The cells of a table on a board; see ``rows_csv``."""
    wide = len(table.columns)
    texts = [
        # A spreadsheet knows the minus of keyboards only.
        text.replace("−", "-") if is_worked_out(cell) else text
        for cell, text in zip(table.cells, shown_cells(table.cells, wide), strict=True)
    ]
    return rows_csv(texts[start : start + wide] for start in range(0, len(texts), wide))


def rows_csv(rows: Iterable[Sequence[str]]) -> bytes:
    """Rows of cells, each a line, in UTF-8 with the mark that spreadsheets look for.

    Nothing that somebody typed runs as a formula: what would begin one, and is no number, has an apostrophe before it.
    """
    out = io.StringIO(newline="")
    csv.writer(out).writerows([_plain(cell) for cell in row] for row in rows)
    return out.getvalue().encode("utf-8-sig")


def _plain(cell: str) -> str:
    return f"'{cell}" if cell.startswith(FORMULA) and not _is_number(cell) else cell


def _is_number(cell: str) -> bool:
    try:
        float(cell.replace(",", "."))
    except ValueError:
        return False
    return True
