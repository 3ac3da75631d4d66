"""In which bays of a page things lie: what the rule book is asked about.

A thing lies in a bay when any of its ink, outline or area does. The paths of a thing are cut wherever they cross the
edge of a bay; between two cuts all points lie in the same bays, so that one of them answers for all.
"""

from __future__ import annotations

from collections.abc import Iterable

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.board.items import InkItem, Item, ShapeItem, item_box, own_box
from sunroom.core.board.pages import Bay, PageHead
from sunroom.core.geometry import Box, flatten_cubics
from sunroom.core.ink import unpack_samples
from sunroom.core.ink.outline import nib_reach
from sunroom.core.pens import BESIDE, BayFacts, Target

Points = NDArray[np.float64]

#: Ink is where the pen's tip went; of a wider nib only this much may reach over an edge.
NIB_MAY_REACH = 8.0


def page_target(head: PageHead) -> Target:
    """The page as the rule book sees it, beside its bays."""
    return Target(head.writers, head.desk_of, head.by, hidden=head.hidden)


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
        found |= dict.fromkeys(_bays_of_item(head, item))
    return tuple(found) or (BESIDE,)


def bays_at(head: PageHead, points: Points) -> tuple[BayFacts, ...]:
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


def _bays_of_item(head: PageHead, item: Item) -> tuple[BayFacts, ...]:
    near = [bay for bay in head.bays if bay.box.overlaps(item_box(item))]
    if not near:
        return (BESIDE,)
    paths, areas = _paths(item), _areas(item)
    places = [_cut(path, near) for path in paths]
    # An area that holds a bay has none of the bay's edge in its outline.
    places += [corners[_inside(corners, area)] for area in areas for corners in _corners(near)]
    return bays_at(msgspec.structs.replace(head, bays=tuple(near)), np.vstack(places))


def _paths(item: Item) -> list[Points]:
    """The lines of an item's drawing on the page, each (N, 2)."""
    if isinstance(item, InkItem):
        line = item.placement.points(unpack_samples(item.samples)[:, :2])
        spare = nib_reach(item.nib, item.width) * item.placement.growth - NIB_MAY_REACH
        return [line] if spare <= 0 else [line, *_edges(line, spare)]
    if isinstance(item, ShapeItem):
        lines = [flatten_cubics(line) if item.curved else line for line in item.paths()]
        return [np.vstack([line, line[:1]]) if item.closed else line for line in lines]
    corners = item.placement.points(own_box(item).corners())
    return [np.vstack([corners, corners[:1]])]


def _areas(item: Item) -> list[Points]:
    if isinstance(item, InkItem) or (isinstance(item, ShapeItem) and not item.closed):
        return []
    return _paths(item)


def _edges(line: Points, reach: float) -> list[Points]:
    """The two sides of a wide stroke along ``line``, and its width where it is only a dot."""
    if len(line) < 2:
        return [
            line
            + np.array([(-reach, -reach), (reach, -reach), (reach, reach), (-reach, reach), (-reach, -reach)])
        ]
    way = np.gradient(line, axis=0)
    length = np.hypot(way[:, 0], way[:, 1])
    across = np.column_stack([-way[:, 1], way[:, 0]]) / np.where(length > 0, length, 1.0)[:, None]
    return [line + reach * across, line - reach * across]


def _corners(bays: list[Bay]) -> list[Points]:
    """Of each bay its corners and middle, a hair inside."""
    found = []
    for bay in bays:
        box = bay.box
        inner = Box(box.x0 + 1e-6, box.y0 + 1e-6, box.x1 - 1e-6, box.y1 - 1e-6)
        found.append(np.vstack([inner.corners(), inner.middle]))
    return found


def _cut(path: Points, bays: list[Bay]) -> Points:
    """Points of a path, one at least of every stretch between the edges of bays."""
    if len(path) < 2:
        return path
    start, way = path[:-1], np.diff(path, axis=0)
    still = np.where(way == 0, 1.0, way)
    cuts = [np.zeros(len(start)), np.ones(len(start))]
    for bay in bays:
        box = bay.box
        for axis, side in ((0, box.x0), (0, box.x1), (1, box.y0), (1, box.y1)):
            at = (side - start[:, axis]) / still[:, axis]
            cuts.append(np.where((way[:, axis] != 0) & (at > 0) & (at < 1), at, 0.0))
    crossing = np.flatnonzero(np.max(cuts[2:], axis=0) > 0)
    if not len(crossing):
        return path
    places = np.sort(np.column_stack([cut[crossing] for cut in cuts]), axis=1)
    middles = (places[:, 1:] + places[:, :-1]) / 2
    points = start[crossing, None, :] + middles[:, :, None] * way[crossing, None, :]
    return np.vstack([path, points.reshape(-1, 2)])


def _inside(points: Points, area: Points) -> NDArray[np.bool_]:
    """Which points lie in a closed outline, by the even-odd rule."""
    a, b = area[:-1], area[1:]
    above = (a[:, 1] > points[:, None, 1]) != (b[:, 1] > points[:, None, 1])
    rise = np.where(b[:, 1] == a[:, 1], 1.0, b[:, 1] - a[:, 1])
    x = a[:, 0] + (points[:, None, 1] - a[:, 1]) * (b[:, 0] - a[:, 0]) / rise
    return np.asarray((above & (points[:, None, 0] < x)).sum(axis=1) % 2 == 1)
