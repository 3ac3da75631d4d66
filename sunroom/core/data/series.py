"""A table's cells as series of numbers with their names."""

from __future__ import annotations

from collections.abc import Sequence
from typing import NamedTuple

from sunroom.core.data.cells import number_of


class Series(NamedTuple):
    """One series: its name, and a number for each thing, None where there is none."""

    name: str
    values: tuple[float | None, ...]

    @property
    def known(self) -> list[float]:
        return [value for value in self.values if value is not None]


class Data(NamedTuple):
    """What a chart shows: the things' names under their title, and series of numbers about them."""

    title: str
    names: tuple[str, ...]
    series: tuple[Series, ...]


def data_of(cells: Sequence[str], columns: int, by_rows: bool = False, of_things: bool = False) -> Data:
    """Series from columns, or from rows; the first row has their names and the first column the things', when these are no numbers.

    ``of_things``: the first of several columns names things in any case, as angles and years do.
    """
    rows = [list(cells[start : start + columns]) for start in range(0, len(cells), columns)]
    if by_rows:
        rows = [list(row) for row in zip(*rows, strict=True)]
    head = rows[0] if rows and _are_names(rows[0][1:] or rows[0]) else None
    body = rows[1:] if head else rows
    body = [row for row in body if any(cell.strip() for cell in row)]
    named = bool(body) and len(body[0]) > 1 and (of_things or _are_names([row[0] for row in body]))
    series = []
    for at in range(1 if named else 0, len(body[0]) if body else 0):
        name = head[at].strip() if head else ""
        values = tuple(number_of(row[at]) for row in body)
        if any(value is not None for value in values):
            series.append(Series(name, values))
    names = tuple(row[0].strip() if named else str(n + 1) for n, row in enumerate(body))
    return Data(head[0].strip() if head and named else "", names, tuple(series))


def _are_names(cells: Sequence[str]) -> bool:
    """Whether most of the cells are words rather than numbers."""
    filled = [cell for cell in cells if cell.strip()]
    return bool(filled) and sum(number_of(cell) is None for cell in filled) * 2 > len(filled)
