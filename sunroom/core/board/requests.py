"""What a person may ask of the board, and the limits that hold whatever the board is.

Adding, removing and moving are steps already; what else is asked becomes one in core.board.resolve.
"""

from __future__ import annotations

import math
from typing import Literal

import msgspec
from msgspec import UNSET

from sunroom.core.board.items import (
    MAX_LABEL,
    OPACITIES,
    SIZES,
    WIDTHS,
    Dash,
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
from sunroom.core.board.pages import MAX_ITEMS, MAX_SEAT, PageHead, check_head
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
from sunroom.core.ink import Ends
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.shapes.figures import DEFAULT_SIDES, FigureKind
from sunroom.core.text import Align, Family, Listing, Span
from sunroom.core.text.styles import check_spans

MAX_STEP_ITEMS = 2_000
BLACK = "#000000"
#: A rub is sent in parts when it goes on for longer.
MAX_FIGURES = 60
MAX_MAP_PARTS = 160
MAX_RUB_POINTS = 600

Arrangement = Literal[
    "left", "centre", "right", "top", "middle", "bottom", "spread_across", "spread_down",
    "front", "forward", "backward", "back", "group", "ungroup", "lock", "unlock", "pin", "unpin",
]  # fmt: skip


class Typeset(msgspec.Struct, frozen=True, tag_field="step", tag="typeset"):
    """Ink ``ids`` to the typed ``text``; ``id`` for the new item, ``angle_rad`` by which the line runs off level."""

    page: str
    ids: tuple[str, ...]
    id: str
    text: str
    angle_rad: float = 0.0


class TrueUp(msgspec.Struct, frozen=True, tag_field="step", tag="true_up"):
    """Ink ``ids`` to an exact figure; for its points (in page units), parts and ends see shapes.Figure."""

    page: str
    ids: tuple[str, ...]
    id: str
    figure: FigureKind
    points: tuple[tuple[float, float], ...]
    closed: bool
    curved: bool
    parts: tuple[int, ...] = ()
    ends: Ends = "none"


class TrueUpAll(msgspec.Struct, frozen=True, tag_field="step", tag="true_up_all"):
    """A sketch to its figures at once; ``holds`` are for each the ids of the figures that its ends hold on to."""

    page: str
    figures: tuple[TrueUp, ...]
    holds: tuple[tuple[str, str], ...] = ()

    @property
    def ids(self) -> tuple[str, ...]:
        return tuple(item_id for figure in self.figures for item_id in figure.ids)


class Label(msgspec.Struct, frozen=True):
    """Words of a mind map: the ink ``ids`` that says ``text``, and the new item's ``id``."""

    ids: tuple[str, ...]
    id: str
    text: str


class Link(msgspec.Struct, frozen=True):
    """A line of a mind map from one label to another, new ones or on the board; ``ids`` if it was drawn."""

    ids: tuple[str, ...]
    id: str
    ends: tuple[str, str]


class ToMindMap(msgspec.Struct, frozen=True, tag_field="step", tag="to_mind_map"):
    """Ink to typed words in ovals with lines between them; ``centre`` is the label in the middle.

    Labels that are linked to an item of the board become its branches.
    """

    page: str
    labels: tuple[Label, ...]
    links: tuple[Link, ...]
    centre: str = ""

    @property
    def parts(self) -> list[Label | Link]:
        return [*self.labels, *self.links]

    @property
    def ids(self) -> tuple[str, ...]:
        return tuple(item_id for part in self.parts for item_id in part.ids)


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
    how: Arrangement
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


class MoveEnds(msgspec.Struct, frozen=True, tag_field="step", tag="move_ends"):
    """A line, elbow or curve from another start to another end, which may hold on to other items."""

    page: str
    id: str
    start: tuple[float, float]
    end: tuple[float, float]
    holds: tuple[str, str] = ("", "")


class CopyPage(msgspec.Struct, frozen=True, tag_field="step", tag="copy_page"):
    """A copy of a page behind it; ``id`` for the new page.

    ``desk_of``: the copy is the desk of this seat, under the title ``title``.
    """

    page: str
    id: str
    title: str = ""
    desk_of: str = ""


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
    | TrueUpAll
    | ToMindMap
    | AsWritten
    | EditText
    | SetTable
    | TransformItems
    | StyleItems
    | ArrangeItems
    | RubItems
    | DrawFigure
    | MoveEnds
)
Request = Plain | Undo | Redo


class GoneError(SunRoomError):
    """What the request speaks of is no longer on the board: nobody's fault, nothing was changed."""

    def __init__(self, code: str, sentence: str) -> None:
        super().__init__(sentence)
        self.code = code


def _check_mind_map(request: ToMindMap) -> None:
    parts = request.parts
    if len(parts) > MAX_MAP_PARTS or len({part.id for part in parts}) < len(parts):
        raise MalformedError(
            "labels", f"A mind map has at most {MAX_MAP_PARTS} words and lines, each with its own id."
        )
    for part in parts:
        check_id(part.id)
    for label in request.labels:
        check_text(label.text, MAX_LABEL)
    for link in request.links:
        _check_holds(link.ends)


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
            | TrueUpAll()
            | ToMindMap()
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
            check_range("angle", request.angle_rad, -math.pi, math.pi)
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
            check_figure(request.points, request.curved, request.parts)
        case TrueUpAll():
            if len(request.figures) > MAX_FIGURES or len({f.id for f in request.figures}) < len(
                request.figures
            ):
                raise MalformedError(
                    "figures", f"A sketch has at most {MAX_FIGURES} figures, each with its own id."
                )
            for figure in request.figures:
                check_id(figure.id)
                check_figure(figure.points, figure.curved, figure.parts)
            for holds in request.holds:
                _check_holds(holds)
        case ToMindMap():
            _check_mind_map(request)
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
        case MoveEnds():
            for place in (*request.start, *request.end):
                check_number("end", place, MAX_COORDINATE)
            _check_holds(request.holds)
        case CopyPage():
            check_id(request.id)
            check_head(PageHead(request.id, request.title))
            if len(request.desk_of) > MAX_SEAT:
                raise MalformedError("desk_of", "Nobody has such a seat.")
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
    _check_holds(request.holds)
    check_range("width", request.line_width, *WIDTHS)
    check_range("opacity", request.opacity, *OPACITIES)


def _check_holds(holds: tuple[str, str]) -> None:
    for held in holds:
        if held:
            check_id(held)
