"""In which bays of a page things lie: what the rule book is asked about."""

from __future__ import annotations

from collections.abc import Iterable

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.board.items import InkItem, Item, item_box
from sunroom.core.board.pages import PageHead
from sunroom.core.ink import unpack_samples
from sunroom.core.pens import BESIDE, BayFacts, Target

#: A box is looked at in this many places a side: bays are no smaller than a part of most things.
PLACES = 5


def page_target(head: PageHead) -> Target:
    """The page as the rule book sees it, beside its bays."""
    return Target(page=head.writers, desk_of=head.desk_of)


def targets_of(head: PageHead) -> list[Target]:
    """The page as the rule book sees it beside its bays, then in each of them."""
    page = page_target(head)
    return [page, *(msgspec.structs.replace(page, bays=(bay.facts,)) for bay in head.bays)]


def bays_of(head: PageHead, items: Iterable[Item]) -> tuple[BayFacts, ...]:
    """The bays that any part of some items lies in, and ``BESIDE`` when a part lies in none."""
    if not head.bays:
        return (BESIDE,)
    found: dict[BayFacts, None] = {}
    for item in items:
        found |= dict.fromkeys(bays_at(head, _places(item)))
    return tuple(found) or (BESIDE,)


def bays_at(head: PageHead, points: NDArray[np.float64]) -> tuple[BayFacts, ...]:
    """The bays that points ((N, 2), page units) lie in; of bays that overlap, the later one."""
    free = np.ones(len(points), bool)
    found: dict[BayFacts, None] = {}
    for bay in reversed(head.bays):
        box = bay.box
        inside = free & (points >= (box.x0, box.y0)).all(axis=1) & (points <= (box.x1, box.y1)).all(axis=1)
        if inside.any():
            found[bay.facts] = None
            free &= ~inside
    if free.any():
        found[BESIDE] = None
    return tuple(found)


def _places(item: Item) -> NDArray[np.float64]:
    """Places of an item: all samples of ink, else a grid over its box."""
    if isinstance(item, InkItem):
        return item.placement.points(unpack_samples(item.samples)[:, :2])
    box = item_box(item)
    x, y = np.meshgrid(np.linspace(box.x0, box.x1, PLACES), np.linspace(box.y0, box.y1, PLACES))
    return np.column_stack([x.ravel(), y.ravel()])
