"""Lines whose ends hold on to items: where such a line runs, and how it follows what it holds."""

from __future__ import annotations

from collections.abc import Collection
from typing import NamedTuple

import msgspec
import numpy as np
from msgspec import UNSET

from sunroom.core.board.bends import Points, bent
from sunroom.core.board.items import Item, ShapeItem, item_box, moved
from sunroom.core.board.pages import Page
from sunroom.core.board.steps import Change, ChangeItems, MoveItems
from sunroom.core.geometry import Box, flatten_cubics

#: A held line keeps this far from the item's edge, so that an arrow head touches and does not cross it.
GAP = 4.0
#: Figures whose ends can hold on to items.
HOLDING = ("line", "elbow", "curve")
#: Further than any item reaches.
FAR = 1e5


class Held(NamedTuple):
    """The box and the outline of a thing that lines hold on to."""

    box: Box
    outline: Points


def attached(page: Page, line: ShapeItem, known: dict[str, Held | None] | None = None) -> ShapeItem:
    """``line`` from edge to edge of the items it holds; an end that holds nothing stays.

    ``known`` is filled with what is found of those items: many lines may hold on to one.
    """
    known = {} if known is None else known
    held = [known[i] if i in known else known.setdefault(i, _held(page, i)) for i in line.holds]
    if not any(held):
        return line
    ends = line.placement.points(np.array([line.points[0], line.points[-1]], dtype=float))
    boxes = [one.box if one else Box(*end, *end) for one, end in zip(held, ends, strict=True)]
    aims = [box.middle for box in boxes]
    across = _leaves_across(*boxes) if line.figure == "elbow" else None
    if across is not None:
        # An elbow leaves from the sides that face each other.
        way = np.array([1.0, 0.0] if across else [0.0, 1.0]) * FAR
        way = way if (aims[1] - aims[0]) @ way >= 0 else -way
        towards = [aims[0] + way, aims[1] - way]
    else:
        towards = [aims[1], aims[0]]
    start = _edge(held[0].outline, aims[0], towards[0]) if held[0] else ends[0]
    end = _edge(held[1].outline, aims[1], towards[1]) if held[1] else ends[1]
    return laid(line, bent(line, start, end, across=across))


def laid(line: ShapeItem, course: Points) -> ShapeItem:
    """``line`` along a course of points on the page, which becomes its own."""
    points = tuple((float(x), float(y)) for x, y in course - course[0])
    x, y = course[0].tolist()
    return msgspec.structs.replace(line, x=x, y=y, map=(1.0, 0.0, 0.0, 1.0), points=points)


def _leaves_across(one: Box, other: Box) -> bool | None:
    """Whether level lines between two boxes are longer than upright ones; None when the boxes meet."""
    level = max(other.x0 - one.x1, one.x0 - other.x1)
    upright = max(other.y0 - one.y1, one.y0 - other.y1)
    return level >= upright if max(level, upright) > 2 * GAP else None


def lines_on(page: Page, ids: Collection[str]) -> list[ShapeItem]:
    """All lines of the page that hold on to one of ``ids``."""
    return [
        item
        for item in page.items.values()
        if isinstance(item, ShapeItem) and (item.holds[0] in ids or item.holds[1] in ids)
    ]


def with_followers(page: Page, step: MoveItems | ChangeItems) -> MoveItems | ChangeItems:
    """``step``, and with it the new runs of all lines that hold on to what it moves.

    A line that is moved away by itself lets go; one that is locked stays where it is.
    """
    changed = _after(page, step)
    loose = [i for i in changed.values() if _holding(i) and not any(held in changed for held in _holding(i))]
    lines = [line for line in lines_on(page, changed) if not line.locked or line.id in changed]
    if not lines and not loose:
        return step
    then = msgspec.structs.replace(page, items=page.items.update(changed))
    changes = {change.id: change for change in _as_changes(changed, step)}
    for line in loose:
        changes[line.id] = msgspec.structs.replace(changes[line.id], holds=("", ""))
    found: dict[str, Held | None] = {}
    for line in lines:
        run = attached(then, changed.get(line.id, line), found)  # type: ignore[arg-type]
        known = changes.get(line.id, Change(id=line.id))
        changes[line.id] = msgspec.structs.replace(known, x=run.x, y=run.y, map=run.map, points=run.points)
    return ChangeItems(page.head.id, tuple(changes.values()))


def _holding(item: Item) -> tuple[str, ...]:
    """The items that the ends of a line hold on to."""
    return tuple(held for held in item.holds if held) if isinstance(item, ShapeItem) else ()


def _after(page: Page, step: MoveItems | ChangeItems) -> dict[str, Item]:
    """The items that the step moves, as they are after it."""
    if isinstance(step, MoveItems):
        return {i: moved(page.items[i], step.dx, step.dy) for i in step.ids if i in page.items}
    moving = [c for c in step.changes if c.id in page.items and not (c.x is UNSET and c.map is UNSET)]
    return {c.id: msgspec.structs.replace(page.items[c.id], **c.values(page.items[c.id])) for c in moving}


def _as_changes(changed: dict[str, Item], step: MoveItems | ChangeItems) -> tuple[Change, ...]:
    if isinstance(step, ChangeItems):
        return step.changes
    return tuple(Change(id=item.id, x=item.x, y=item.y) for item in changed.values())


def _edge(outline: Points, middle: Points, towards: Points) -> Points:
    """Where the line from ``middle`` to ``towards`` leaves an outline, and a little further."""
    way = towards - middle
    length = float(np.hypot(*way))
    if length < 1e-6:
        return middle
    sides = np.roll(outline, -1, axis=0) - outline
    offset = outline - middle
    # middle + t · way = outline + s · side
    cross = way[0] * sides[:, 1] - way[1] * sides[:, 0]
    safe = np.where(np.abs(cross) > 1e-12, cross, 1.0)
    t = (offset[:, 0] * sides[:, 1] - offset[:, 1] * sides[:, 0]) / safe
    s = (offset[:, 0] * way[1] - offset[:, 1] * way[0]) / safe
    hits = t[(np.abs(cross) > 1e-12) & (s >= 0) & (s <= 1) & (t >= 0)]
    at = float(hits.max()) if len(hits) else 0.0
    return np.asarray(middle + way * min(1.0, at + GAP / length))


def _held(page: Page, item_id: str) -> Held | None:
    item = page.items.get(item_id)
    if item is None:
        return None
    box = item_box(item)
    if isinstance(item, ShapeItem) and item.closed:
        (points,) = item.paths()
        return Held(box, flatten_cubics(points) if item.curved else points)
    return Held(box, box.corners())
