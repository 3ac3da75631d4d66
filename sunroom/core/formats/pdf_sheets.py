"""A page's content on the sheets of a PDF, and the marks by which cut sheets are laid together; all in points."""

from __future__ import annotations

from collections.abc import Sequence

import pikepdf
from pikepdf import Array, Dictionary

from sunroom.core.formats.sheets import EDGE, OVERLAP, Sheet

#: Marks in the white edge: where to cut, where the neighbour's edge comes to lie, and which sheet it is.
MARK, LINE, GREY = 10.0, 0.5, 0.45
#: The small map of all sheets in the upper edge: how high at most, and how large a cell.
MAP_HIGH, CELL = 20.0, 6.0


def placed(sheet: Sheet, content: str) -> str:
    """A page's content where it lies on the sheet."""
    if (sheet.scale, sheet.x, sheet.y) == (1.0, 0.0, 0.0):
        return content
    return f"{sheet.scale:.6f} 0 0 {sheet.scale:.6f} {sheet.x:.4f} {sheet.y:.4f} cm {content}"


def room(sheet: Sheet) -> str:
    """The part of the sheet that is printed on: left, low, width and height."""
    return f"{EDGE:.2f} {EDGE:.2f} {sheet.width - 2 * EDGE:.2f} {sheet.height - 2 * EDGE:.2f}"


def place_links(
    pdf: pikepdf.Pdf, page: pikepdf.Object, sheet: Sheet, links: Sequence[pikepdf.Object]
) -> None:
    """Links made for the page alone, where they lie on the sheet; those beside it are left out.

    On several sheets each has its own; on a lone one it is the link itself, which the page's tags know.
    """
    found = Array()
    for link in links:
        x0, y0, x1, y1 = (float(side) * sheet.scale for side in link.Rect)
        x0, y0, x1, y1 = x0 + sheet.x, y0 + sheet.y, x1 + sheet.x, y1 + sheet.y
        if x1 > 0 and y1 > 0 and x0 < sheet.width and y0 < sheet.height:
            alone = sheet.columns * sheet.rows == 1
            own = link if alone else pdf.make_indirect(Dictionary(dict(link.items())))
            own.Rect = Array([x0, y0, x1, y1])
            found.append(own)
    if len(found):
        page.Annots = found


def cutting_marks(sheet: Sheet) -> str:
    """A sheet is cut at the marks of its left and upper edge, and laid on those of the neighbours there."""
    lines = []
    xs = [EDGE] * (sheet.column > 0) + [sheet.width - EDGE - OVERLAP] * (sheet.column + 1 < sheet.columns)
    ys = [sheet.height - EDGE] * (sheet.row > 0) + [EDGE + OVERLAP] * (sheet.row + 1 < sheet.rows)
    spare = (EDGE - MARK) / 2
    for x in xs:
        for y in (spare, sheet.height - spare - MARK):
            lines.append(f"{x:.2f} {y:.2f} m {x:.2f} {y + MARK:.2f} l")
    for y in ys:
        for x in (spare, sheet.width - spare - MARK):
            lines.append(f"{x:.2f} {y:.2f} m {x + MARK:.2f} {y:.2f} l")
    return f"{GREY} G {GREY} g {LINE} w {' '.join(lines)} S {_map(sheet)}"


def _map(sheet: Sheet) -> str:
    """All sheets as cells, this one filled."""
    cell = min(CELL, MAP_HIGH / sheet.rows)
    left, top = 2 * EDGE, sheet.height - (EDGE - min(MAP_HIGH, cell * sheet.rows)) / 2
    cells = [
        f"{left + column * cell:.2f} {top - (row + 1) * cell:.2f} {cell:.2f} {cell:.2f} re"
        for row in range(sheet.rows)
        for column in range(sheet.columns)
    ]
    own = cells[sheet.row * sheet.columns + sheet.column]
    return f"{' '.join(cells)} S {own} f"
