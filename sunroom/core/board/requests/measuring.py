"""Figures that show what they measure, and what is constructed from them."""

from __future__ import annotations

from typing import assert_never

import msgspec
import numpy as np
from msgspec import UNSET, UnsetType

from sunroom.core.board.following import measured
from sunroom.core.board.items import ShapeItem
from sunroom.core.board.limits import check_id
from sunroom.core.board.pages import MAX_ITEMS, Page
from sunroom.core.board.requests.cost import CHECK, NAMED, measure_work
from sunroom.core.board.requests.family import GoneError, Now, check_ids, chosen, found
from sunroom.core.board.steps import AddItems, Change, ChangeItems, Step
from sunroom.core.errors import MalformedError
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said
from sunroom.core.shapes.constructions import Construction, construct
from sunroom.core.shapes.measures import Measured

#: Figures that something is constructed from, and lines that it becomes, at most.
MAX_FROM, MAX_CONSTRUCTED = 20, 60


class MeasureItems(msgspec.Struct, frozen=True, omit_defaults=True, tag_field="step", tag="measure_items"):
    """What figures show of themselves; without ``what`` they show the same, measured anew."""

    page: str
    ids: tuple[str, ...]
    what: tuple[Measured, ...] | UnsetType = UNSET


class Construct(msgspec.Struct, frozen=True, tag_field="step", tag="construct"):
    """Lines constructed from figures; they become one group under ``id``, whose items have ids that begin with it."""

    page: str
    ids: tuple[str, ...]
    what: Construction
    id: str


Measuring = MeasureItems | Construct


def check(request: Measuring) -> None:
    check_ids(request.ids)
    if isinstance(request, Construct):
        check_id(request.id)
    elif request.what is not UNSET and len(set(request.what)) < len(request.what):
        raise MalformedError("what", said("the-figure-has-too-few"))


def named(request: Measuring) -> tuple[str, ...]:
    return request.ids if isinstance(request, MeasureItems) else ()


def actions(request: Measuring) -> list[Action]:
    return ["change"] if isinstance(request, MeasureItems) else ["add_shape"]


def work(page: Page | None, request: Measuring) -> float:
    cost = (NAMED + CHECK) * len(request.ids)
    if isinstance(request, Construct):
        return cost
    shapes = (item for item in found(page, request.ids) if isinstance(item, ShapeItem))
    return cost + sum(measure_work(shape) for shape in shapes)


def step(now: Now, request: Measuring) -> Step | None:
    shapes = [
        item for item in chosen(now.page, request.ids) if isinstance(item, ShapeItem) and not item.parts
    ]
    if not shapes:
        return None
    match request:
        case MeasureItems():
            changes = []
            for shape in shapes:
                what = shape.measured if request.what is UNSET else request.what
                new = measured(msgspec.structs.replace(shape, measured=what), now.page.head.paper)
                changes.append(Change(id=shape.id, measured=new.measured, measures=new.measures))
            return ChangeItems(now.page.head.id, tuple(changes))
        case Construct():
            return _constructed(now, request, shapes)
        case _:
            assert_never(request)


def _constructed(now: Now, request: Construct, shapes: list[ShapeItem]) -> AddItems:
    straight = [shape for shape in shapes if not shape.curved]
    if not straight:
        raise MalformedError("ids", said("only-straight-figures"))
    if len(straight) > MAX_FROM:
        raise MalformedError("ids", said("that-is-more-than-can"))
    figures = [(shape.paths()[0], shape.closed) for shape in straight]
    lines = construct(request.what, figures, now.page.head.paper.spacing)
    if not lines or len(lines) > MAX_CONSTRUCTED or len(now.page.items) + len(lines) > MAX_ITEMS:
        raise MalformedError("ids", said("that-is-more-than-can"))
    items = []
    for number, line in enumerate(lines):
        item_id = f"{request.id[:28]}-{number}"
        if item_id in now.page.items:
            raise GoneError("id_taken", said("that-is-on-the-board"))
        x, y = line[0].tolist()
        items.append(
            ShapeItem(
                id=item_id,
                x=x,
                y=y,
                z=float(now.page.next_z + number),
                by=now.seat,
                at_ms=now.at_ms,
                group=request.id if len(lines) > 1 else "",
                figure="line",
                points=((0.0, 0.0), tuple(np.subtract(line[1], line[0]).tolist())),
                closed=False,
                curved=False,
                colour=straight[0].colour,
                width=2.0,
                dash="solid" if request.what == "midpoint" else "dashed",
            )
        )
    return AddItems(now.page.head.id, tuple(items))
