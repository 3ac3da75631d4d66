"""How a request becomes a step that every browser can apply without computing anything."""

from __future__ import annotations

from typing import Any

import msgspec

from sunroom.core.board.arrange import arrange, restyle, rub, transform
from sunroom.core.board.connect import HOLDING, attached, with_ends, with_followers
from sunroom.core.board.conversions import convert
from sunroom.core.board.items import (
    Item,
    NoteItem,
    ShapeItem,
    TableItem,
    TextItem,
    check_item,
    laid_out,
    owned,
    with_bare_ink,
)
from sunroom.core.board.mind_map import mind_map
from sunroom.core.board.pages import MAX_ITEMS, MAX_PAGES, Board, Page
from sunroom.core.board.requests import (
    ArrangeItems,
    AsWritten,
    CopyPage,
    DrawFigure,
    EditText,
    GoneError,
    MoveEnds,
    Plain,
    RubItems,
    SetTable,
    StyleItems,
    ToMindMap,
    TransformItems,
    TrueUp,
    TrueUpAll,
    Typeset,
)
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangePage,
    MoveItems,
    RemovePage,
    ReplaceItems,
    Step,
    remaining,
)
from sunroom.core.errors import MalformedError
from sunroom.core.shapes.figures import draw_figure
from sunroom.core.text import Typesetter

#: Things on a page that is copied: each copy is a step of its own in the log.
MAX_COPIED = 5_000


def resolve(board: Board, request: Plain, seat: str, at_ms: int, typesetter: Typesetter) -> Step:
    """The step that ``request`` of ``seat`` makes of ``board``.

    Raises
    ------
    GoneError
        When the page or every item it speaks of is gone, or an id is taken.
    MalformedError
        When the board would grow over its limits.
    """
    if isinstance(request, AddPage):
        _check_room_for_page(board)
        head = msgspec.structs.replace(request.head, by=seat)
        step = remaining(board, AddPage(head, request.index))
    else:
        page = board.pages.get(_page_of(request))
        if page is None:
            raise GoneError("page_gone", "That page is no longer on the board.")
        step = _on_page(board, page, request, seat, at_ms, typesetter)
    if step is None:
        raise GoneError("items_gone", "That is no longer on the board.")
    _check_new_ids(board, step)
    return step


def _check_new_ids(board: Board, step: Step) -> None:
    """What a step makes is new on its page, unless the step takes that very thing off; raises GoneError."""
    new = [item.id for item in getattr(step, "items", ())]
    gone = set(step.ids) if isinstance(step, ReplaceItems) else set()
    page = board.pages.get(getattr(step, "page", ""))
    there = page.items if page else {}
    if len(set(new)) < len(new) or any(item_id in there and item_id not in gone for item_id in new):
        raise GoneError("id_taken", "That is on the board already.")


def _on_page(
    board: Board, page: Page, request: Plain, seat: str, at_ms: int, typesetter: Typesetter
) -> Step | None:
    match request:
        case AddItems():
            return _adding(page, request.items, seat, at_ms, typesetter)
        case DrawFigure():
            return _adding(page, (attached(page, _drawn(request)),), seat, at_ms, typesetter)
        case Typeset() | TrueUp() | TrueUpAll() | AsWritten():
            return convert(page, request, seat, at_ms, typesetter)
        case ToMindMap():
            return mind_map(page, request, seat, at_ms, typesetter)
        case EditText() | SetTable():
            return _edited(page, request, typesetter)
        case MoveItems():
            step = remaining(board, request)
            return with_followers(page, step) if isinstance(step, MoveItems) else step
        case TransformItems():
            return with_followers(page, transform(page, request))
        case StyleItems():
            return restyle(page, request, typesetter)
        case ArrangeItems():
            return with_followers(page, arrange(page, request))
        case RubItems():
            return rub(page, request)
        case MoveEnds():
            return with_ends(page, request)
        case ChangePage():
            # Whose a page is does not change with its title.
            return ChangePage(msgspec.structs.replace(request.head, by=page.head.by))
        case CopyPage():
            _check_room_for_page(board)
            return remaining(board, _copy(board, page, request, seat, at_ms))
        case RemovePage() if len(board.order) == 1:
            raise GoneError("last_page", "A board keeps at least one page.")
        case _:
            return remaining(board, request)


def _page_of(request: Plain) -> str:
    return request.head.id if isinstance(request, AddPage | ChangePage) else request.page


def _check_room_for_page(board: Board) -> None:
    if len(board.order) >= MAX_PAGES:
        raise MalformedError("page", f"A board has at most {MAX_PAGES} pages.")


def _adding(page: Page, items: tuple[Item, ...], seat: str, at_ms: int, typesetter: Typesetter) -> AddItems:
    if len(page.items) + len(items) > MAX_ITEMS:
        raise MalformedError("items", "The page is full. Add a page to go on.")
    if any(item.id in page.items for item in items):
        raise GoneError("id_taken", "That is on the board already.")
    # Heights are written into the step, so that every reader of the log gives the same ones.
    stamped = (
        _stamped(item, seat, at_ms, float(page.next_z + number), typesetter)
        for number, item in enumerate(items)
    )
    return AddItems(page.head.id, tuple(stamped))


def _stamped(item: Item, seat: str, at_ms: int, z: float, typesetter: Typesetter) -> Item:
    """The item as the server keeps it: whose, when, how high, with its lines laid out."""
    item = msgspec.structs.replace(item, at_ms=at_ms, z=z, locked=False, pinned=False)
    return laid_out(with_bare_ink(owned(item, seat)), typesetter)


def _edited(page: Page, request: EditText | SetTable, typesetter: Typesetter) -> ReplaceItems:
    item = page.items.get(request.id)
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
    return ReplaceItems(page.head.id, (new.id,), (laid_out(new, typesetter),))


def _drawn(request: DrawFigure) -> ShapeItem:
    outline = draw_figure(request.figure, request.width, request.height, request.sides)
    return ShapeItem(
        id=request.id,
        x=request.x,
        y=request.y,
        figure=request.figure,
        points=outline.points,
        parts=outline.parts,
        closed=outline.closed,
        curved=outline.curved,
        colour=request.colour,
        width=request.line_width,
        fill=request.fill if outline.closed else "",
        dash=request.dash,
        ends=request.ends if not outline.closed else "none",
        opacity=request.opacity,
        holds=request.holds if request.figure in HOLDING else ("", ""),
    )


def _copy(board: Board, page: Page, request: CopyPage, seat: str, at_ms: int) -> AddPage:
    """The page with all its items, which belong to the one who copied it."""
    in_order = page.in_order()
    if len(in_order) > MAX_COPIED:
        raise MalformedError(
            "items", f"A page with more than {MAX_COPIED:,} things is too full to be copied."
        )
    ids = {item.id: f"{request.id[:20]}-{number}" for number, item in enumerate(in_order)}
    items = tuple(
        _held_anew(owned(item, seat), ids, id=ids[item.id], at_ms=at_ms, locked=False, pinned=False)
        for item in in_order
    )
    head = msgspec.structs.replace(page.head, id=request.id, by=seat)
    if request.desk_of:
        # A desk's bays are its owner's like the rest of it.
        head = msgspec.structs.replace(
            head, title=request.title, writers="desk", desk_of=request.desk_of, bays=()
        )
    elif head.writers == "desk":
        head = msgspec.structs.replace(head, writers="lesson", desk_of="")
    return AddPage(head, board.order.index(request.page) + 1, items)


def _held_anew(item: Item, ids: dict[str, str], **values: Any) -> Item:
    """A copy of an item with other values, which holds on to the copies of what it held."""
    if isinstance(item, ShapeItem) and any(item.holds):
        values["holds"] = tuple(ids.get(held, "") for held in item.holds)
    return msgspec.structs.replace(item, **values)
