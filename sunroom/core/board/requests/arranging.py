"""Arranging things: line up, spread, order, group, lock.

Every one of them becomes new values for the chosen items only: nobody else's item is touched, not even
when something is brought before it.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from typing import Literal

import msgspec
import numpy as np

from sunroom.core.board.connect import with_followers
from sunroom.core.board.items import Item, item_box
from sunroom.core.board.limits import check_id
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import BOXES, WITH_BOX, held_work
from sunroom.core.board.requests.family import Now, check_ids, chosen
from sunroom.core.board.steps import Change, ChangeItems, Step
from sunroom.core.geometry import Box
from sunroom.core.pens.rules import Action

Arrangement = Literal[
    "left", "centre", "right", "top", "middle", "bottom", "spread_across", "spread_down",
    "front", "forward", "backward", "back", "group", "ungroup", "lock", "unlock", "pin", "unpin",
]  # fmt: skip


class ArrangeItems(msgspec.Struct, frozen=True, tag_field="step", tag="arrange_items"):
    """Line items up, spread them, order, group or lock them; ``id`` names a new group."""

    page: str
    ids: tuple[str, ...]
    how: Arrangement
    id: str = ""


def check(request: ArrangeItems) -> None:
    check_ids(request.ids)
    if request.how == "group":
        check_id(request.id)


def named(request: ArrangeItems) -> tuple[str, ...]:
    return request.ids


def actions(request: ArrangeItems) -> list[Action]:
    return ["lock" if request.how in ("lock", "unlock", "pin", "unpin") else "change"]


def work(page: Page | None, request: ArrangeItems) -> float:
    on_page = len(page.items) if page else 0
    if request.how in ("forward", "backward"):
        return WITH_BOX * on_page + (WITH_BOX + BOXES * on_page) * len(request.ids)
    # Lines may hold on to what is lined up or spread.
    held = request.how in _LINE_UP or request.how in ("spread_across", "spread_down")
    follow = held_work(page, frozenset(request.ids)) if held else 0
    return WITH_BOX * len(request.ids) + 2 * on_page + follow


def step(now: Now, request: ArrangeItems) -> Step | None:
    return with_followers(now.page, arrange(now.page, request))


def arrange(page: Page, request: ArrangeItems) -> ChangeItems:
    """Line up, spread, order, group or lock."""
    items = chosen(page, request.ids)
    if request.how in _LINE_UP:
        return ChangeItems(page.head.id, _lined_up(items, _LINE_UP[request.how]))
    match request.how:
        case "spread_across" | "spread_down":
            changes = _spread(items, across=request.how == "spread_across")
        case "front" | "forward" | "backward" | "back":
            changes = _ordered(page, items, request.how)
        case "group" | "ungroup":
            group = request.id if request.how == "group" else ""
            changes = tuple(Change(id=item.id, group=group) for item in items)
        case _:
            # What is pinned is locked as well; unlocking lets go of both.
            locked, pinned = request.how in ("lock", "pin"), request.how == "pin"
            changes = tuple(Change(id=item.id, locked=locked, pinned=pinned) for item in items)
    return ChangeItems(page.head.id, changes)


#: How far a block with the first box goes so that it is lined up in the second.
_LINE_UP: dict[Arrangement, Callable[[Box, Box], tuple[float, float]]] = {
    "left": lambda box, whole: (whole.x0 - box.x0, 0.0),
    "right": lambda box, whole: (whole.x1 - box.x1, 0.0),
    "centre": lambda box, whole: ((whole.x0 + whole.x1 - box.x0 - box.x1) / 2, 0.0),
    "top": lambda box, whole: (0.0, whole.y0 - box.y0),
    "bottom": lambda box, whole: (0.0, whole.y1 - box.y1),
    "middle": lambda box, whole: (0.0, (whole.y0 + whole.y1 - box.y0 - box.y1) / 2),
}

#: Items that are arranged as one, and the box around them.
Block = tuple[list[Item], Box]


def _blocks(items: list[Item]) -> list[Block]:
    """Groups, and single items, each with its box."""
    together: dict[str, list[Item]] = {}
    for item in items:
        together.setdefault(item.group or item.id, []).append(item)
    return [(block, _box(block)) for block in together.values()]


def _box(items: Sequence[Item]) -> Box:
    box = Box.union(item_box(item) for item in items)
    assert box is not None
    return box


def _shifted(block: list[Item], dx: float, dy: float) -> list[Change]:
    return [Change(id=item.id, x=item.x + dx, y=item.y + dy) for item in block]


def _lined_up(items: list[Item], shift: Callable[[Box, Box], tuple[float, float]]) -> tuple[Change, ...]:
    whole = _box(items)
    return tuple(c for block, box in _blocks(items) for c in _shifted(block, *shift(box, whole)))


def _spread(items: list[Item], across: bool) -> tuple[Change, ...]:
    """Equal gaps between blocks; the first and the last stay where they are."""

    def span(box: Box) -> tuple[float, float]:
        return (box.x0, box.x1) if across else (box.y0, box.y1)

    blocks = sorted(_blocks(items), key=lambda block: sum(span(block[1])))
    low, high = span(blocks[0][1])[0], span(blocks[-1][1])[1]
    free = high - low - sum(span(box)[1] - span(box)[0] for _, box in blocks)
    gap = free / max(1, len(blocks) - 1)
    changes: list[Change] = []
    at = low
    for block, box in blocks:
        start, end = span(box)
        shift = at - start if len(blocks) > 1 else 0.0
        changes += _shifted(block, shift if across else 0.0, 0.0 if across else shift)
        at += end - start + gap
    return tuple(changes)


def _ordered(page: Page, items: list[Item], how: str) -> tuple[Change, ...]:
    """New heights for ``items`` alone: between those of the others there is always room."""
    moving = {item.id for item in items}
    others = [item for item in page.in_order() if item.id not in moving]
    low, high = items[0].z, items[-1].z
    if how == "front":
        return _between(items, float(page.next_z - 1), None)
    if how == "back":
        return _between(items, None, others[0].z if others else low)
    # One step is past the next thing that they overlap: past any other nothing would be seen.
    touching = _touching(others, items)
    if how == "forward":
        passed = next((other for other in touching if other.z > low), None)
        above = next((other for other in others if passed and other.z > passed.z), None)
        return _between(items, passed.z, above.z if above else None) if passed else _between(items, low, high)
    passed = next((other for other in reversed(touching) if other.z < high), None)
    below = next((other for other in reversed(others) if passed and other.z < passed.z), None)
    return _between(items, below.z if below else None, passed.z) if passed else _between(items, low, high)


def _touching(others: list[Item], items: list[Item]) -> list[Item]:
    """Those of ``others`` whose boxes overlap the box of one of ``items``."""
    if not others:
        return []
    theirs = np.array([msgspec.structs.astuple(item_box(other)) for other in others])
    found = np.zeros(len(others), bool)
    for box in (item_box(item) for item in items):
        found |= (
            (theirs[:, 0] <= box.x1)
            & (theirs[:, 2] >= box.x0)
            & (theirs[:, 1] <= box.y1)
            & (theirs[:, 3] >= box.y0)
        )
    return [other for other, hit in zip(others, found, strict=True) if hit]


def _between(items: list[Item], low: float | None, high: float | None) -> tuple[Change, ...]:
    """Heights for ``items`` in their order, strictly between two; 0 is never given, it means “on top”."""
    if low == high:
        return tuple(Change(id=item.id, z=item.z) for item in items)
    if low is None:
        low = (high or 0.0) - len(items) - 1
    if high is None:
        high = low + len(items) + 1
    step = (high - low) / (len(items) + 1)
    heights = [low + step * (number + 1) for number in range(len(items))]
    return tuple(Change(id=item.id, z=z or step / 2) for item, z in zip(items, heights, strict=True))
