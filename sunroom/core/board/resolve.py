"""How a request becomes a step that every browser can apply without computing anything."""

from __future__ import annotations

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
        step = remaining(board, request)
    else:
        page = board.pages.get(_page_of(request))
        if page is None:
            raise GoneError("page_gone", "That page is no longer on the board.")
        step = _on_page(board, page, request, seat, at_ms, typesetter)
    if step is None:
        raise GoneError("items_gone", "That is no longer on the board.")
    return step


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
    return laid_out(owned(item, seat), typesetter)


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
    items = tuple(
        msgspec.structs.replace(
            item, id=f"{request.id[:20]}-{number}", by=seat, at_ms=at_ms, locked=False, pinned=False
        )
        for number, item in enumerate(page.in_order())
    )
    head = msgspec.structs.replace(page.head, id=request.id)
    if request.desk_of:
        # A desk's bays are its owner's like the rest of it.
        head = msgspec.structs.replace(
            head, title=request.title, writers="desk", desk_of=request.desk_of, bays=()
        )
    elif head.writers == "desk":
        head = msgspec.structs.replace(head, writers="lesson", desk_of="")
    return AddPage(head, board.order.index(request.page) + 1, items)
