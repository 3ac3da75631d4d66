"""Other words for a text, a note, a figure or a table."""

from __future__ import annotations

import msgspec

from sunroom.core.board.items import (
    Item,
    NoteItem,
    ShapeItem,
    TableItem,
    TextItem,
    check_id,
    check_item,
    check_text,
    laid_out,
)
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import NOTE, TEXT, cells_work
from sunroom.core.board.requests.family import GoneError, Now
from sunroom.core.board.steps import ReplaceItems, Step
from sunroom.core.pens.rules import Action
from sunroom.core.text import Align, Family, Listing, Span
from sunroom.core.text.styles import check_spans

BLACK = "#000000"


class EditText(msgspec.Struct, frozen=True, tag_field="step", tag="edit_text"):
    """Other words for a text, a note or the inside of a figure; styles count for texts alone.

    Empty ``text`` takes the words out of a figure.
    """

    page: str
    id: str
    text: str
    spans: tuple[Span, ...] = ()
    family: Family = "sans"
    align: Align = "left"
    listing: Listing = "none"


class SetTable(msgspec.Struct, frozen=True, tag_field="step", tag="set_table"):
    """Other cells, columns or rows for a table."""

    page: str
    id: str
    columns: tuple[float, ...]
    rows: tuple[float, ...]
    cells: tuple[str, ...]
    head: bool = True


Words = EditText | SetTable


def check(request: Words) -> None:
    if isinstance(request, EditText):
        check_id(request.id)
        if request.text:
            check_text(request.text)
        check_spans(request.spans, len(request.text))
    else:
        table = TableItem(
            id=request.id, columns=request.columns, rows=request.rows, cells=request.cells, colour=BLACK
        )
        check_item(table)


def named(request: Words) -> tuple[str, ...]:
    return (request.id,)


def actions(request: Words) -> list[Action]:
    return ["change"]


def work(page: Page | None, request: Words) -> float:
    if isinstance(request, SetTable):
        return cells_work(request.cells)
    item = page.items.get(request.id) if page else None
    return len(request.text) * (NOTE if isinstance(item, NoteItem) else TEXT)


def step(now: Now, request: Words) -> Step | None:
    item = now.page.items.get(request.id)
    if isinstance(request, SetTable):
        if not isinstance(item, TableItem):
            raise GoneError("items_gone", "That is no longer on the board.")
        new: Item = msgspec.structs.replace(
            item, columns=request.columns, rows=request.rows, cells=request.cells, head=request.head
        )
    elif isinstance(item, TextItem) and request.text.strip():
        new = msgspec.structs.replace(
            item, text=request.text, spans=request.spans, family=request.family, align=request.align,
            listing=request.listing,
        )  # fmt: skip
    elif isinstance(item, NoteItem | ShapeItem):
        new = msgspec.structs.replace(item, text=request.text)
        check_item(new)
    else:
        raise GoneError("items_gone", "That is no longer on the board.")
    return ReplaceItems(now.page.head.id, (new.id,), (laid_out(new, now.typesetter),))
