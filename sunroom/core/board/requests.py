"""What a person may ask of the board, and the limits that hold whatever the board is.

Adding, removing and moving are steps already; what else is asked becomes one in core.board.resolve.
"""

from __future__ import annotations

from typing import Literal

import msgspec
from msgspec import UNSET

from sunroom.core.board.items import (
    OPACITIES,
    SIZES,
    WIDTHS,
    Dash,
    Ends,
    TableItem,
    check_colour,
    check_figure,
    check_id,
    check_item,
    check_map,
    check_number,
    check_range,
    check_text,
)
from sunroom.core.board.pages import MAX_ITEMS, check_head
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    Style,
)
from sunroom.core.errors import MalformedError, SunRoomError
from sunroom.core.geometry import Affine
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.shapes.figures import DEFAULT_SIDES, FigureKind
from sunroom.core.text import Align, Family, Listing, Span
from sunroom.core.text.styles import check_spans

MAX_STEP_ITEMS = 2_000
BLACK = "#000000"
#: A rub is sent in parts when it goes on for longer.
MAX_RUB_POINTS = 600

How = Literal[
    "left", "centre", "right", "top", "middle", "bottom", "spread_across", "spread_down",
    "front", "forward", "backward", "back", "group", "ungroup", "lock", "unlock",
]  # fmt: skip


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
    figure: FigureKind
    points: tuple[tuple[float, float], ...]
    closed: bool
    curved: bool


class AsWritten(msgspec.Struct, frozen=True, tag_field="step", tag="as_written"):
    """Back to the ink that the items ``ids`` came from."""

    page: str
    ids: tuple[str, ...]


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


class TransformItems(msgspec.Struct, frozen=True, tag_field="step", tag="transform_items"):
    """Carry items along ``matrix``: resize, turn, flip."""

    page: str
    ids: tuple[str, ...]
    matrix: Affine


class StyleItems(msgspec.Struct, frozen=True, tag_field="step", tag="style_items"):
    page: str
    ids: tuple[str, ...]
    style: Style


class ArrangeItems(msgspec.Struct, frozen=True, tag_field="step", tag="arrange_items"):
    """Line items up, spread them, order, group or lock them; ``id`` names a new group."""

    page: str
    ids: tuple[str, ...]
    how: How
    id: str = ""


class RubItems(msgspec.Struct, frozen=True, tag_field="step", tag="rub_items"):
    """Take from the strokes ``ids`` what an eraser touched along ``path`` (x, y, radius).

    What is left of a stroke gets an id that begins with ``id``.
    """

    page: str
    ids: tuple[str, ...]
    id: str
    path: tuple[tuple[float, float, float], ...]


class DrawFigure(msgspec.Struct, frozen=True, tag_field="step", tag="draw_figure"):
    """An exact figure from (x, y) to (x + width, y + height)."""

    page: str
    id: str
    figure: FigureKind
    x: float
    y: float
    width: float
    height: float
    colour: str
    line_width: float
    sides: int = DEFAULT_SIDES
    fill: str = ""
    dash: Dash = "solid"
    ends: Ends = "none"
    opacity: float = 1.0
    holds: tuple[str, str] = ("", "")


class CopyPage(msgspec.Struct, frozen=True, tag_field="step", tag="copy_page"):
    """A copy of a page behind it; ``id`` for the new page."""

    page: str
    id: str


class Undo(msgspec.Struct, frozen=True, tag_field="step", tag="undo"):
    pass


class Redo(msgspec.Struct, frozen=True, tag_field="step", tag="redo"):
    pass


#: Requests that are worked out from the board alone; undo and redo need the person's history.
Plain = (
    AddItems
    | RemoveItems
    | MoveItems
    | AddPage
    | RemovePage
    | MovePage
    | ChangePage
    | CopyPage
    | Typeset
    | TrueUp
    | AsWritten
    | EditText
    | SetTable
    | TransformItems
    | StyleItems
    | ArrangeItems
    | RubItems
    | DrawFigure
)
Request = Plain | Undo | Redo


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
        case (
            RemoveItems()
            | MoveItems()
            | Typeset()
            | TrueUp()
            | AsWritten()
            | TransformItems()
            | StyleItems()
            | ArrangeItems()
            | RubItems()
        ):
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
        case Typeset():
            check_id(request.id)
            check_text(request.text)
        case EditText():
            check_id(request.id)
            if request.text:
                check_text(request.text)
            check_spans(request.spans, len(request.text))
        case SetTable():
            table = TableItem(
                id=request.id, columns=request.columns, rows=request.rows, cells=request.cells, colour=BLACK
            )
            check_item(table)
        case TrueUp():
            check_id(request.id)
            check_figure(request.points, request.curved)
        case TransformItems():
            check_map((request.matrix.a, request.matrix.b, request.matrix.c, request.matrix.d))
            check_number("matrix", request.matrix.e, MAX_COORDINATE)
            check_number("matrix", request.matrix.f, MAX_COORDINATE)
        case StyleItems():
            check_style(request.style)
        case ArrangeItems():
            if request.how == "group":
                check_id(request.id)
        case RubItems():
            check_id(request.id)
            _check_path(request.path)
        case DrawFigure():
            _check_drawn(request)
        case CopyPage():
            check_id(request.id)
        case AddPage() if request.items:
            raise MalformedError("items", "A new page starts empty.")
        case _:
            pass


def check_style(style: Style) -> None:
    """Hold a style from outside to its limits; raises MalformedError."""
    if style.colour is not UNSET:
        check_colour(style.colour)
    if style.fill not in (UNSET, ""):
        check_colour(str(style.fill))
    if style.width is not UNSET:
        check_range("width", style.width, *WIDTHS)
    if style.opacity is not UNSET:
        check_range("opacity", style.opacity, *OPACITIES)
    if style.size is not UNSET:
        check_range("size", style.size, *SIZES)


def _check_path(path: tuple[tuple[float, float, float], ...]) -> None:
    if not 1 <= len(path) <= MAX_RUB_POINTS:
        raise MalformedError("path", f"An eraser's path has between 1 and {MAX_RUB_POINTS} points.")
    for x, y, radius in path:
        check_number("path", x, MAX_COORDINATE)
        check_number("path", y, MAX_COORDINATE)
        check_range("radius", radius, 0.01, 10_000)


def _check_drawn(request: DrawFigure) -> None:
    check_id(request.id)
    for field in ("x", "y", "width", "height"):
        check_number(field, getattr(request, field), MAX_COORDINATE)
    if max(abs(request.width), abs(request.height)) < 1:
        raise MalformedError("width", "The figure is too small to be seen.")
    check_range("sides", request.sides, 3, 24)
    check_colour(request.colour)
    if request.fill:
        check_colour(request.fill)
    for held in request.holds:
        if held:
            check_id(held)
    check_range("width", request.line_width, *WIDTHS)
    check_range("opacity", request.opacity, *OPACITIES)
