"""Giving things another look."""

from __future__ import annotations

import msgspec
from msgspec import UNSET

from sunroom.core.board.items import (
    CardItem,
    ChartItem,
    InkItem,
    NoteItem,
    ShapeItem,
    TableItem,
    TextItem,
)
from sunroom.core.board.laying import chart_drawn, laid_out
from sunroom.core.board.limits import OPACITIES, SIZES, WIDTHS, check_colour, check_range
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import CHECK, NAMED, chart_work, measured_work, text_work
from sunroom.core.board.requests.family import Now, check_ids, chosen, found
from sunroom.core.board.steps import Change, ChangeItems, Step, Style
from sunroom.core.pens.rules import Action
from sunroom.core.text import Typesetter


class StyleItems(msgspec.Struct, frozen=True, tag_field="step", tag="style_items"):
    page: str
    ids: tuple[str, ...]
    style: Style


def check(request: StyleItems) -> None:
    check_ids(request.ids)
    check_style(request.style)


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


def named(request: StyleItems) -> tuple[str, ...]:
    return request.ids


def actions(request: StyleItems) -> list[Action]:
    return ["change"]


def work(page: Page | None, request: StyleItems) -> float:
    items = found(page, request.ids)
    cost: float = NAMED * len(request.ids)
    cost += sum(chart_work(len(item.cells)) for item in items if isinstance(item, ChartItem))
    if request.style.colour is not UNSET:
        cost += measured_work(items)
    if request.style.size is not UNSET:
        texts = (item for item in items if isinstance(item, TextItem | ShapeItem))
        cost += CHECK * len(request.ids)
        cost += sum(text_work(item.text, getattr(item, "spans", ())) for item in texts)
    return cost


def step(now: Now, request: StyleItems) -> Step | None:
    return restyle(now.page, request, now.typesetter)


def restyle(page: Page, request: StyleItems, typesetter: Typesetter) -> ChangeItems:
    """Give items another look; text of another size is laid out anew."""
    style = {name: getattr(request.style, name) for name in request.style.__struct_fields__}
    changes = []
    for item in chosen(page, request.ids):
        change = Change(id=item.id, **style)
        if isinstance(item, TextItem | ShapeItem) and change.size is not UNSET:
            larger = laid_out(msgspec.structs.replace(item, size=float(change.size)), typesetter)
            change = msgspec.structs.replace(change, lines=larger.lines)  # type: ignore[union-attr]
        elif isinstance(item, NoteItem | TableItem | CardItem):
            # Their size is worked out from their words, or stays.
            change = msgspec.structs.replace(change, size=UNSET)
        elif isinstance(item, ChartItem):
            colour = item.colour if change.colour is UNSET else change.colour
            drawn = chart_drawn(msgspec.structs.replace(item, colour=colour)).chart or UNSET
            change = msgspec.structs.replace(change, chart=drawn)
        if not isinstance(item, InkItem | ShapeItem):
            # What is as wide as it is, is meant by no width of a line.
            change = msgspec.structs.replace(change, width=UNSET)
        # What the item has not is left out: a frame goes to everybody.
        changes.append(Change(id=item.id, **change.values(item)))
    return ChangeItems(page.head.id, tuple(changes))
