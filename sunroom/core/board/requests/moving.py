"""Moving, resizing, turning and flipping things, and giving a line other ends."""

from __future__ import annotations

from itertools import chain

import msgspec
import numpy as np
from msgspec import UNSET

from sunroom.core.board.bends import bent
from sunroom.core.board.connect import HOLDING, attached, laid, with_followers
from sunroom.core.board.items import ChartItem, GraphItem, Item, ShapeItem, carried
from sunroom.core.board.laying import chart_drawn, graph_drawn
from sunroom.core.board.limits import check_item, check_map, check_number
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import ITEM, NAMED, chart_work, graph_work, held_work, measured_work
from sunroom.core.board.requests.family import Now, check_holds, check_ids, chosen, found
from sunroom.core.board.steps import Change, ChangeItems, MoveItems, Step, remaining
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said

#: What has grown by less is as large as it was.
SAME_SIZE = 1e-6


class TransformItems(msgspec.Struct, frozen=True, tag_field="step", tag="transform_items"):
    """Carry items along ``matrix``: resize, turn, flip."""

    page: str
    ids: tuple[str, ...]
    matrix: Affine


class MoveEnds(msgspec.Struct, frozen=True, tag_field="step", tag="move_ends"):
    """A line, elbow or curve from another start to another end, which may hold on to other items.

    ``inner`` bends it: a place on an elbow's middle part, or a curve's two control points; without it, it stays as
    it is bent.
    """

    page: str
    id: str
    start: tuple[float, float]
    end: tuple[float, float]
    holds: tuple[str, str] = ("", "")
    inner: tuple[tuple[float, float], ...] = ()


Moving = MoveItems | TransformItems | MoveEnds


def check(request: Moving) -> None:
    match request:
        case MoveItems():
            check_ids(request.ids)
            check_number("dx", request.dx, MAX_COORDINATE)
            check_number("dy", request.dy, MAX_COORDINATE)
        case TransformItems():
            check_ids(request.ids)
            check_map((request.matrix.a, request.matrix.b, request.matrix.c, request.matrix.d))
            check_number("matrix", request.matrix.e, MAX_COORDINATE)
            check_number("matrix", request.matrix.f, MAX_COORDINATE)
        case MoveEnds():
            if len(request.inner) > 2:
                raise MalformedError("inner", said("a-line-has-two-handles"))
            for place in chain(request.start, request.end, *request.inner):
                check_number("end", place, MAX_COORDINATE)
            check_holds(request.holds)


def named(request: Moving) -> tuple[str, ...]:
    return (request.id,) if isinstance(request, MoveEnds) else request.ids


def actions(request: Moving) -> list[Action]:
    return ["change"]


def work(page: Page | None, request: Moving) -> float:
    # Lines may hold on to what moves: all of the page is looked through for them.
    ids = frozenset(named(request))
    cost = NAMED * len(ids) + ITEM * (len(page.items) if page else 0) + held_work(page, ids)
    items = [] if isinstance(request, MoveItems) else found(page, named(request))
    cost += measured_work(items)
    if isinstance(request, TransformItems) and abs(request.matrix.growth - 1) > SAME_SIZE:
        # Graphs and charts of another size are drawn anew.
        cost += sum(graph_work(item.lines) for item in items if isinstance(item, GraphItem))
        cost += sum(chart_work(len(item.cells)) for item in items if isinstance(item, ChartItem))
    return cost


def step(now: Now, request: Moving) -> Step | None:
    match request:
        case MoveItems():
            step = remaining(now.board, request)
            if not isinstance(step, MoveItems):
                return step
            for item in found(now.page, step.ids):
                check_number("x", item.x + step.dx, MAX_COORDINATE)
                check_number("y", item.y + step.dy, MAX_COORDINATE)
            return with_followers(now.page, step)
        case TransformItems():
            return with_followers(now.page, transform(now.page, request))
        case MoveEnds():
            return with_ends(now.page, request)


def transform(page: Page, request: TransformItems) -> ChangeItems:
    """Carry items along a map; raises MalformedError when one would become too small or too large."""
    items = [carried(item, request.matrix) for item in chosen(page, request.ids)]
    for item in items:
        check_map(item.map)
        check_number("x", item.x, MAX_COORDINATE)
        check_number("y", item.y, MAX_COORDINATE)
    return ChangeItems(page.head.id, tuple(_placed(item) for item in items))


def _placed(item: Item) -> Change:
    """Where an item lies now; a graph or chart that has grown is larger, and its words stay as large as they were."""
    growth = item.placement.growth
    if not isinstance(item, GraphItem | ChartItem) or abs(growth - 1) < SAME_SIZE:
        return Change(id=item.id, x=item.x, y=item.y, map=item.map)
    a, b, c, d = (value / growth for value in item.map)
    width, height = item.width * growth, item.height * growth
    larger = msgspec.structs.replace(item, map=(a, b, c, d), width=width, height=height)
    check_item(larger)
    change = Change(id=item.id, x=item.x, y=item.y, map=larger.map, width=width, height=height)
    if isinstance(larger, GraphItem):
        return msgspec.structs.replace(change, drawn=graph_drawn(larger).drawn or UNSET)
    return msgspec.structs.replace(change, chart=chart_drawn(larger).chart or UNSET)


def with_ends(page: Page, request: MoveEnds) -> ChangeItems | None:
    """The step that gives a line other ends; None when it is gone, or no line."""
    line = page.items.get(request.id)
    if not isinstance(line, ShapeItem) or line.figure not in HOLDING:
        return None
    start, end = np.array(request.start), np.array(request.end)
    # A line holds on to other things only.
    holds = tuple(held if held in page.items and held != line.id else "" for held in request.holds)
    moved_line = laid(line, bent(line, start, end, request.inner))
    run = attached(page, msgspec.structs.replace(moved_line, holds=holds))
    change = Change(id=line.id, x=run.x, y=run.y, map=run.map, points=run.points, holds=run.holds)
    return ChangeItems(page.head.id, (change,))
