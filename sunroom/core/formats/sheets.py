"""Paper to print on: a page fitted into one sheet, or cut into several that are laid together."""

from __future__ import annotations

import math
from typing import Literal, NamedTuple

import msgspec

from sunroom.core.board.pages import PaperKind

PaperSize = Literal["", "a4", "a3", "letter"]

POINTS_PER_MM = 72 / 25.4
#: Width and height upright, in points (ISO 216; ANSI Y14.1).
SIZES: dict[str, tuple[float, float]] = {
    "a4": (210 * POINTS_PER_MM, 297 * POINTS_PER_MM),
    "a3": (297 * POINTS_PER_MM, 420 * POINTS_PER_MM),
    "letter": (612.0, 792.0),
}
#: What printers leave white at each side, and what two neighbours both show, in points.
EDGE, OVERLAP = 10 * POINTS_PER_MM, 10 * POINTS_PER_MM
#: A page is not cut into more sheets than this: it gets smaller on them.
MAX_SHEETS = 60


class Sheets(msgspec.Struct, frozen=True):
    """What pages are printed on: "" is paper as large as each page; ``cut`` keeps what does not fit at its size."""

    paper: PaperSize = ""
    cut: bool = False


AS_LARGE = Sheets()


class Sheet(NamedTuple):
    """One sheet of a page.

    Attributes
    ----------
    width, height : float
        In points.
    scale, x, y : float
        Where the page's lower left corner comes to lie, in points, and how much of its size it keeps.
    column, row, columns, rows : int
        Which of the page's sheets it is, from the upper left one.
    """

    width: float
    height: float
    scale: float
    x: float
    y: float
    column: int = 0
    row: int = 0
    columns: int = 1
    rows: int = 1


def sheets_for(width: float, height: float, kind: PaperKind, sheets: Sheets) -> list[Sheet]:
    """The sheets of a page of ``width`` by ``height`` points, row by row; one when it is not to be cut, or fits."""
    if not sheets.paper:
        return [Sheet(width, height, 1.0, 0.0, 0.0)]
    upright = SIZES[sheets.paper]
    turned = upright[::-1]
    if not sheets.cut or kind == "sheet":
        size = turned if width > height else upright
        scale = min(1.0, _room(size[0]) / width, _room(size[1]) / height)
        return _laid(width, height, size, scale)
    if kind == "roll":  # read downwards: its whole width stays together
        scale = min(1.0, _room(upright[0]) / width)
        return _laid(width, height, upright, _few_enough(width, height, upright, scale))
    found = [_laid(width, height, size, _few_enough(width, height, size, 1.0)) for size in (upright, turned)]
    return min(found, key=len)


def _room(side: float) -> float:
    return side - 2 * EDGE


def _number(length: float, side: float) -> int:
    """Sheets that a length takes, of which neighbours overlap."""
    return max(1, math.ceil((length - OVERLAP - 1e-6) / (_room(side) - OVERLAP)))


def _few_enough(width: float, height: float, size: tuple[float, float], scale: float) -> float:
    while _number(width * scale, size[0]) * _number(height * scale, size[1]) > MAX_SHEETS:
        scale *= 0.9
    return scale


def _laid(width: float, height: float, size: tuple[float, float], scale: float) -> list[Sheet]:
    wide, high = width * scale, height * scale
    columns, rows = _number(wide, size[0]), _number(high, size[1])
    # A lone row or column is in the middle; others begin at the upper left edge.
    left = (size[0] - wide) / 2 if columns == 1 else EDGE
    top = (size[1] - high) / 2 if rows == 1 else EDGE
    across, down = _room(size[0]) - OVERLAP, _room(size[1]) - OVERLAP
    return [
        Sheet(
            *size,
            scale,
            left - column * across,
            size[1] - top - high + row * down,
            column,
            row,
            columns,
            rows,
        )
        for row in range(rows)
        for column in range(columns)
    ]
