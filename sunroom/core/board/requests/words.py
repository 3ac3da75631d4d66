"""Other words for a text, a note, a figure or a table."""

from __future__ import annotations

from typing import Any

import msgspec
from msgspec import UNSET, UnsetType

from sunroom.core.board.items import (
    CardItem,
    FormulaItem,
    GraphItem,
    Item,
    NoteItem,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
)
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import (
    MAX_CARD_TITLE,
    MAX_TABLE_SIDE,
    check_id,
    check_item,
    check_number,
    check_number_of_formula,
    check_range,
    check_text,
)
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import NOTE, cells_work, formula_work, graph_work, table_work, text_work
from sunroom.core.board.requests.family import Now
from sunroom.core.board.steps import ReplaceItems, Step
from sunroom.core.data.cells import shifted
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import Counted, GraphLetter, GraphLine
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.pens.rules import Action
from sunroom.core.text import Align, Family, Listing, Span
from sunroom.core.text.styles import check_spans

BLACK = "#000000"


class EditText(msgspec.Struct, frozen=True, tag_field="step", tag="edit_text"):
    """Other words for a text, a note, the inside of a figure, or what a picture shows; styles count for texts alone.

    Empty ``text`` takes the words out of a figure, or from a picture.
    """

    page: str
    id: str
    text: str
    spans: tuple[Span, ...] = ()
    family: Family = "sans"
    align: Align = "left"
    listing: Listing = "none"


class EditCard(msgspec.Struct, frozen=True, tag_field="step", tag="edit_card"):
    """Another title for a card, and for one that leads elsewhere another address."""

    page: str
    id: str
    title: str
    address: str = ""


class EditFormula(msgspec.Struct, frozen=True, tag_field="step", tag="edit_formula"):
    """A formula typed otherwise, and its number."""

    page: str
    id: str
    formula: str
    number: str = ""


class SetGraph(msgspec.Struct, frozen=True, tag_field="step", tag="set_graph"):
    """A graph's formulas, letters and ranges of numbers."""

    page: str
    id: str
    ranges: Ranges
    lines: tuple[GraphLine, ...]
    letters: tuple[GraphLetter, ...] = ()
    counted: Counted = "numbers"


class SetTable(msgspec.Struct, frozen=True, tag_field="step", tag="set_table"):
    """A table whole; pages of before ask for it, and may have kept it unsent."""

    page: str
    id: str
    columns: tuple[float, ...]
    rows: tuple[float, ...]
    cells: tuple[str, ...]
    head: bool = True


class SetCell(msgspec.Struct, frozen=True, tag_field="step", tag="set_cell"):
    """Other words for one cell of a table: who writes in another one at the same time loses nothing."""

    page: str
    id: str
    row: int
    column: int
    text: str


class Side(msgspec.Struct, frozen=True):
    """The width of column ``index``, or the height of a row when it does not lie ``across``."""

    across: bool
    index: int
    units: float


class ChangeTable(msgspec.Struct, frozen=True, omit_defaults=True, tag_field="step", tag="change_table"):
    """A row or a column comes or goes (1 or -1) at a place, a side, whether there is a head.

    ``at`` is the place from 0: what comes stands there, what goes stood there; without it, the end.
    """

    page: str
    id: str
    rows: int | UnsetType = UNSET
    columns: int | UnsetType = UNSET
    side: Side | UnsetType = UNSET
    head: bool | UnsetType = UNSET
    at: int | UnsetType = UNSET


#: What a row and a column that come are high and wide, in board units.
ROW, COLUMN = 40.0, 120.0

Words = EditText | EditCard | EditFormula | SetGraph | SetTable | SetCell | ChangeTable


def check(request: Words) -> None:
    check_id(request.id)
    match request:
        case EditText(text=text) | SetCell(text=text):
            if text:
                check_text(text)
            if isinstance(request, EditText):
                check_spans(request.spans, len(text))
        case EditCard():
            check_text(request.title, MAX_CARD_TITLE)
        case SetGraph():
            check_item(_graph(request))
        case EditFormula():
            check_text(request.formula, MAX_FORMULA)
            check_number_of_formula(request.number)
        case SetTable(id=table_id, columns=columns, rows=rows, cells=cells):
            check_item(TableItem(id=table_id, columns=columns, rows=rows, cells=cells, colour=BLACK))
        case ChangeTable(side=side):
            check_range("rows", request.rows or 0, -1, 1)
            check_range("columns", request.columns or 0, -1, 1)
            check_range("at", request.at or 0, 0, MAX_TABLE_SIDE)
            if side is not UNSET:
                check_number("side", side.units, MAX_COORDINATE)


def _graph(request: SetGraph) -> GraphItem:
    return GraphItem(
        id=request.id,
        width=400,
        height=300,
        ranges=request.ranges,
        lines=request.lines,
        letters=request.letters,
    )


def named(request: Words) -> tuple[str, ...]:
    return (request.id,)


def actions(request: Words) -> list[Action]:
    return ["change"]


def work(page: Page | None, request: Words) -> float:
    item = page.items.get(request.id) if page else None
    match request:
        case SetTable():
            return cells_work(request.cells) + table_work(page, (request.id,), len(request.cells))
        case SetCell() | ChangeTable():
            if not isinstance(item, TableItem):
                return 0
            cells = (*item.cells, getattr(request, "text", ""))
            return cells_work(cells) + table_work(page, (request.id,), len(cells))
        case EditCard():
            return len(request.title) * NOTE
        case SetGraph():
            return graph_work(request.lines)
        case EditFormula():
            return formula_work(request.formula)
        case EditText():
            if isinstance(item, NoteItem):
                return len(request.text) * NOTE
            return text_work(request.text, request.spans)


def step(now: Now, request: Words) -> Step | None:
    item = now.page.items.get(request.id)
    if isinstance(request, EditText):
        new = _edited(item, request)
    elif isinstance(request, EditCard):
        new = _with_card(item, request)
    elif isinstance(request, SetGraph):
        new = None
        if isinstance(item, GraphItem):
            new = msgspec.structs.replace(
                item,
                ranges=request.ranges,
                lines=request.lines,
                letters=request.letters,
                counted=request.counted,
            )
    elif isinstance(request, EditFormula):
        new = (
            msgspec.structs.replace(item, formula=request.formula, number=request.number)
            if isinstance(item, FormulaItem)
            else None
        )
    elif isinstance(item, TableItem):
        new = _changed(item, request)
    else:
        return None
    if new is None:
        return None
    return ReplaceItems(now.page.head.id, (new.id,), (laid_out(new, now.typesetter),))


def _edited(item: Item | None, request: EditText) -> Item | None:
    if isinstance(item, TextItem) and request.text.strip():
        return msgspec.structs.replace(
            item, text=request.text, spans=request.spans, family=request.family, align=request.align,
            listing=request.listing,
        )  # fmt: skip
    if not isinstance(item, NoteItem | ShapeItem | PictureItem):
        return None
    new = msgspec.structs.replace(item, text=request.text)
    check_item(new)
    return new


def _with_card(item: Item | None, request: EditCard) -> Item | None:
    if not isinstance(item, CardItem):
        return None
    address = "" if item.file else request.address
    new = msgspec.structs.replace(item, title=request.title, address=address)
    check_item(new)
    return new


def _changed(table: TableItem, request: SetTable | SetCell | ChangeTable) -> TableItem | None:
    match request:
        case SetTable(columns=columns, rows=rows, cells=cells, head=head):
            new = msgspec.structs.replace(table, columns=columns, rows=rows, cells=cells, head=head)
        case SetCell(row=row, column=column, text=text):
            if not (0 <= row < len(table.rows) and 0 <= column < len(table.columns)):
                return None
            at = row * len(table.columns) + column
            new = msgspec.structs.replace(table, cells=(*table.cells[:at], text, *table.cells[at + 1 :]))
        case ChangeTable():
            new = _grown(table, request.rows or 0, request.columns or 0, request.at)
            if request.head is not UNSET:
                new = msgspec.structs.replace(new, head=request.head)
            if request.side is not UNSET:
                new = _with_side(new, request.side)
    check_item(new)
    return new


def _grown(table: TableItem, by_rows: int, by_columns: int, at: int | UnsetType) -> TableItem:
    """The table with a row or a column more or less, at a place or at its end."""
    wide = len(table.columns)
    cells = [list(table.cells[start : start + wide]) for start in range(0, len(table.cells), wide)]
    rows, columns = list(table.rows), list(table.columns)
    if by_columns:
        column = _place(at, len(columns), by_columns)
        cells = [[shifted(cell, True, column, by_columns) for cell in row] for row in cells]
        _put_or_take(columns, column, by_columns, COLUMN)
        for row in cells:
            _put_or_take(row, column, by_columns, "")
    if by_rows:
        place = _place(at, len(rows), by_rows)
        cells = [[shifted(cell, False, place, by_rows) for cell in row] for row in cells]
        _put_or_take(rows, place, by_rows, ROW)
        _put_or_take(cells, place, by_rows, [""] * len(columns))
    return msgspec.structs.replace(
        table, rows=tuple(rows), columns=tuple(columns), cells=tuple(cell for row in cells for cell in row)
    )


def _place(at: int | UnsetType, count: int, by: int) -> int:
    last = count if by > 0 else count - 1
    return last if at is UNSET else min(at, last)


def _put_or_take(row: list[Any], place: int, by: int, new: Any) -> None:
    if by > 0:
        row.insert(place, new)
    elif row:
        del row[place]


def _with_side(table: TableItem, side: Side) -> TableItem:
    sides = list(table.columns if side.across else table.rows)
    if not 0 <= side.index < len(sides):
        return table
    sides[side.index] = side.units
    name = "columns" if side.across else "rows"
    return msgspec.structs.replace(table, **{name: tuple(sides)})
