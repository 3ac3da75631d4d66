"""Putting new things on a page."""

from __future__ import annotations

from typing import assert_never

import msgspec

from sunroom.core.board.connect import HOLDING, attached
from sunroom.core.board.following import measured, of_table
from sunroom.core.board.items import (
    CardItem,
    ChartItem,
    Dash,
    FormulaItem,
    GraphItem,
    InkItem,
    Item,
    NoteItem,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
    owned,
    with_bare_ink,
)
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import (
    OPACITIES,
    WIDTHS,
    check_colour,
    check_id,
    check_item,
    check_number,
    check_range,
)
from sunroom.core.board.pages import MAX_ITEMS, Page
from sunroom.core.board.requests.cost import making
from sunroom.core.board.requests.family import GoneError, Now, check_holds
from sunroom.core.board.steps import AddItems, Step
from sunroom.core.errors import MalformedError
from sunroom.core.ink import Ends
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said
from sunroom.core.shapes.figures import DEFAULT_SIDES, FigureKind, draw_figure

MAX_STEP_ITEMS = 2_000


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


Adding = AddItems | DrawFigure


def check(request: Adding) -> None:
    if isinstance(request, DrawFigure):
        return _check_drawn(request)
    if not 1 <= len(request.items) <= MAX_STEP_ITEMS:
        raise MalformedError("items", said("a-step-adds-between-1", stepitems=MAX_STEP_ITEMS))
    if len({item.id for item in request.items}) < len(request.items):
        raise MalformedError("items", said("two-items-of-the-step"))
    for item in request.items:
        check_item(item)


def _check_drawn(request: DrawFigure) -> None:
    check_id(request.id)
    for field in ("x", "y", "width", "height"):
        check_number(field, getattr(request, field), MAX_COORDINATE)
    if max(abs(request.width), abs(request.height)) < 1:
        raise MalformedError("width", said("the-figure-is-too-small"))
    check_range("sides", request.sides, 3, 24)
    check_colour(request.colour)
    if request.fill:
        check_colour(request.fill)
    check_holds(request.holds)
    check_range("width", request.line_width, *WIDTHS)
    check_range("opacity", request.opacity, *OPACITIES)


def named(request: Adding) -> tuple[str, ...]:
    return ()


def actions(request: Adding) -> list[Action]:
    if isinstance(request, DrawFigure):
        return ["add_shape"]
    return sorted({_adding(item) for item in request.items})


def _adding(item: Item) -> Action:
    match item:
        case InkItem():
            return "add_ink"
        case NoteItem():
            return "add_note"
        case TextItem() | TableItem() | ChartItem():
            return "add_text"
        case FormulaItem() | GraphItem():
            return "add_formula"
        case ShapeItem():
            return "add_shape"
        case PictureItem() | CardItem():
            return "add_picture"
        case _:
            assert_never(item)


def work(page: Page | None, request: Adding) -> float:
    if not isinstance(request, AddItems):
        return 0
    return sum(making(item, _table_of(page, item)) for item in request.items)


def _table_of(page: Page | None, item: Item) -> TableItem | None:
    table = page.items.get(item.table) if page and isinstance(item, ChartItem) else None
    return table if isinstance(table, TableItem) else None


def step(now: Now, request: Adding) -> Step | None:
    page = now.page
    items = (attached(page, _drawn(request)),) if isinstance(request, DrawFigure) else request.items
    if len(page.items) + len(items) > MAX_ITEMS:
        raise MalformedError("items", said("the-page-is-full-add"))
    if any(item.id in page.items for item in items):
        raise GoneError("id_taken", said("that-is-on-the-board"))
    # Heights are written into the step, so that every reader of the log gives the same ones.
    stamped = (_stamped(now, item, float(page.next_z + number)) for number, item in enumerate(items))
    return AddItems(page.head.id, tuple(stamped))


def _stamped(now: Now, item: Item, z: float) -> Item:
    """The item as the server keeps it: whose, when, how high, with its lines laid out."""
    item = msgspec.structs.replace(item, at_ms=now.at_ms, z=z, locked=False, pinned=False)
    if isinstance(item, ChartItem):
        item = of_table(item, _table_of(now.page, item))
    if isinstance(item, ShapeItem):
        item = measured(item, now.page.head.paper)
    return laid_out(with_bare_ink(owned(item, now.seat)), now.typesetter)


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


def signed(request: AddItems, name: str) -> AddItems:
    """The request with all its notes under ``name``."""
    return msgspec.structs.replace(
        request,
        items=tuple(
            msgspec.structs.replace(item, name=name) if isinstance(item, NoteItem) else item
            for item in request.items
        ),
    )
