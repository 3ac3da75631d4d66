"""What a person asks of the board, and how it becomes a step that every browser can apply.

Adding, removing and moving are steps already; a conversion is worked out here: the server takes the
ink from its own board, so no browser can put words in the place of ink it has not got.
"""

from __future__ import annotations

import statistics

import msgspec

from sunroom.core.board.items import (
    Figure,
    InkItem,
    Item,
    ShapeItem,
    TextItem,
    check_figure,
    check_id,
    check_item,
    check_number,
    check_text,
    item_box,
    moved,
)
from sunroom.core.board.pages import MAX_ITEMS, MAX_PAGES, Board, Page, check_head
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangePage,
    MoveItems,
    RemoveItems,
    RemovePage,
    ReplaceItems,
    Step,
    remaining,
)
from sunroom.core.errors import MalformedError, SunRoomError
from sunroom.core.geometry import Box
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.text import Typesetter
from sunroom.core.text.fonts import BASELINE, LINE_HEIGHT

MAX_STEP_ITEMS = 2_000
#: Typed text follows the width of its ink within these parts of the size that its height asks for.
WIDER_THAN_HIGH = (0.7, 1.25)
#: Below this size typed text cannot be read at 100 %.
LEAST_SIZE = 10.0


class Typeset(msgspec.Struct, frozen=True, tag_field="step", tag="typeset"):
    """Ink ``ids`` to the typed ``text``; ``id`` for the new item."""

    page: str
    ids: tuple[str, ...]
    id: str
    text: str


class TrueUp(msgspec.Struct, frozen=True, tag_field="step", tag="true_up"):
    """Ink ``ids`` to an exact figure, its points in page units."""

    page: str
    ids: tuple[str, ...]
    id: str
    figure: Figure
    points: tuple[tuple[float, float], ...]
    closed: bool
    curved: bool


class AsWritten(msgspec.Struct, frozen=True, tag_field="step", tag="as_written"):
    """Back to the ink that the items ``ids`` came from."""

    page: str
    ids: tuple[str, ...]


class EditText(msgspec.Struct, frozen=True, tag_field="step", tag="edit_text"):
    page: str
    id: str
    text: str


class Undo(msgspec.Struct, frozen=True, tag_field="step", tag="undo"):
    pass


class Redo(msgspec.Struct, frozen=True, tag_field="step", tag="redo"):
    pass


Request = (
    AddItems
    | RemoveItems
    | MoveItems
    | AddPage
    | RemovePage
    | ChangePage
    | Typeset
    | TrueUp
    | AsWritten
    | EditText
    | Undo
    | Redo
)
#: Requests that are worked out from the board alone; undo and redo need the person's history.
Plain = (
    AddItems
    | RemoveItems
    | MoveItems
    | AddPage
    | RemovePage
    | ChangePage
    | Typeset
    | TrueUp
    | AsWritten
    | EditText
)


class GoneError(SunRoomError):
    """What the request speaks of is no longer on the board: nobody's fault, nothing was changed."""

    def __init__(self, code: str, sentence: str) -> None:
        super().__init__(sentence)
        self.code = code


def check_request(request: Request) -> None:
    """Hold a request from outside to its limits, whatever the board; raises MalformedError."""
    match request:
        case AddItems():
            if not 1 <= len(request.items) <= MAX_STEP_ITEMS:
                raise MalformedError("items", f"A step adds between 1 and {MAX_STEP_ITEMS:,} items.")
            if len({item.id for item in request.items}) < len(request.items):
                raise MalformedError("items", "Two items of the step have the same id.")
            for item in request.items:
                check_item(item)
        case RemoveItems() | MoveItems() | Typeset() | TrueUp() | AsWritten():
            if not 1 <= len(request.ids) <= MAX_ITEMS:
                raise MalformedError("ids", "The step names no item, or too many.")
        case AddPage() | ChangePage():
            check_head(request.head)
        case _:
            pass
    match request:
        case MoveItems():
            check_number("dx", request.dx, MAX_COORDINATE)
            check_number("dy", request.dy, MAX_COORDINATE)
        case Typeset() | EditText():
            check_id(request.id)
            check_text(request.text)
        case TrueUp():
            check_id(request.id)
            check_figure(request.points, request.curved)
        case AddPage() if request.items:
            raise MalformedError("items", "A new page starts empty.")
        case _:
            pass


def resolve(board: Board, request: Plain, seat: str, at_ms: int, typesetter: Typesetter) -> Step:
    """The step that ``request`` of ``seat`` makes of ``board``.

    Raises
    ------
    GoneError
        When the page or every item it speaks of is gone, or an id is taken.
    MalformedError
        When the board would grow over its limits.
    """
    page = None if isinstance(request, AddPage) else board.pages.get(_page_of(request))
    if page is None and not isinstance(request, AddPage):
        raise GoneError("page_gone", "That page is no longer on the board.")
    match request:
        case AddPage():
            if len(board.order) >= MAX_PAGES:
                raise MalformedError("page", f"A board has at most {MAX_PAGES} pages.")
        case AddItems():
            assert page is not None
            if len(page.items) + len(request.items) > MAX_ITEMS:
                raise MalformedError("items", "The page is full. Add a page to go on.")
            if any(item.id in page.items for item in request.items):
                raise GoneError("id_taken", "That is on the board already.")
            return AddItems(
                request.page, tuple(_stamped(item, seat, at_ms, typesetter) for item in request.items)
            )
        case Typeset() | TrueUp() | AsWritten() | EditText():
            assert page is not None
            return _conversion(page, request, seat, at_ms, typesetter)
        case RemovePage() if len(board.order) == 1:
            raise GoneError("last_page", "A board keeps at least one page.")
        case _:
            pass
    step = remaining(board, request)
    if step is None:
        raise GoneError("items_gone", "That is no longer on the board.")
    return step


def _page_of(request: Plain) -> str:
    return request.head.id if isinstance(request, AddPage | ChangePage) else request.page


def _stamped(item: Item, seat: str, at_ms: int, typesetter: Typesetter) -> Item:
    """The item as the server keeps it: whose, when, on top, with its lines laid out."""
    item = msgspec.structs.replace(item, by=seat, at_ms=at_ms, z=0, locked=False)
    if isinstance(item, TextItem):
        lines = typesetter.layout(item.text, item.size, item.wrap_width)
        return msgspec.structs.replace(item, lines=lines, ink=())
    if isinstance(item, ShapeItem):
        return msgspec.structs.replace(item, ink=())
    return item


def _conversion(
    page: Page,
    request: Typeset | TrueUp | AsWritten | EditText,
    seat: str,
    at_ms: int,
    typesetter: Typesetter,
) -> ReplaceItems:
    gone = GoneError("items_gone", "That is no longer on the board.")
    if isinstance(request, EditText):
        text = page.items.get(request.id)
        if not isinstance(text, TextItem):
            raise gone
        lines = typesetter.layout(request.text, text.size, text.wrap_width)
        edited = msgspec.structs.replace(text, text=request.text, lines=lines)
        return ReplaceItems(request.page, (text.id,), (edited,))
    found = [page.items[item_id] for item_id in dict.fromkeys(request.ids) if item_id in page.items]
    if isinstance(request, AsWritten):
        back = [item for item in found if isinstance(item, TextItem | ShapeItem) and item.ink]
        if not back:
            raise gone
        ink = tuple(moved(stroke, item.x, item.y) for item in back for stroke in item.ink)
        return ReplaceItems(request.page, tuple(item.id for item in back), ink)
    strokes = [item for item in found if isinstance(item, InkItem)]
    if not strokes:
        raise gone
    if request.id in page.items:
        raise GoneError("id_taken", "That is on the board already.")
    ids = tuple(stroke.id for stroke in strokes)
    made = _typed(request, strokes, typesetter) if isinstance(request, Typeset) else _figure(request, strokes)
    ink = tuple(moved(stroke, -made.x, -made.y) for stroke in strokes)
    made = msgspec.structs.replace(made, ink=ink, by=seat, at_ms=at_ms, z=max(stroke.z for stroke in strokes))
    return ReplaceItems(request.page, ids, (made,))


def _typed(request: Typeset, strokes: list[InkItem], typesetter: Typesetter) -> TextItem:
    """Text that stands where its ink stood: as high as the letters written, about as wide."""
    box = Box.union(item_box(stroke) for stroke in strokes)
    assert box is not None
    lines = request.text.split("\n")
    above, _ = typesetter.extent(lines[0])
    _, below = typesetter.extent(lines[-1])
    by_height = box.height / (above + below + LINE_HEIGHT * (len(lines) - 1))
    by_width = box.width / max(typesetter.width(request.text, 1.0), 0.01)
    low, high = (share * by_height for share in WIDER_THAN_HIGH)
    size = round(min(max(by_width, low, LEAST_SIZE), max(high, LEAST_SIZE), 400.0), 1)
    # The ink's upper edge is the top of the first line's tallest letter.
    spare = box.height - size * (above + below + LINE_HEIGHT * (len(lines) - 1))
    top = box.y0 + spare / 2 - size * (BASELINE - above)
    colour = statistics.mode(stroke.colour for stroke in strokes)
    return TextItem(
        id=request.id,
        x=box.x0,
        y=top,
        text=request.text,
        size=size,
        colour=colour,
        lines=typesetter.layout(request.text, size),
    )


def _figure(request: TrueUp, strokes: list[InkItem]) -> ShapeItem:
    x, y = request.points[0]
    return ShapeItem(
        id=request.id,
        x=x,
        y=y,
        figure=request.figure,
        points=tuple((px - x, py - y) for px, py in request.points),
        closed=request.closed,
        curved=request.curved,
        colour=strokes[0].colour,
        width=strokes[0].width,
    )
