"""What lies around some ink: other ink that tells a letter from a figure, a mind map's word to branch off."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from sunroom.core.board.items import InkItem, ShapeItem, TextItem, carried, item_box
from sunroom.core.board.pages import Page
from sunroom.core.geometry import Box
from sunroom.core.shapes.figures import FigureKind

#: Looked at are this many sizes around, and at most so many strokes.
AROUND, MOST = 2.0, 60
MOST_FIGURES = 12
#: A branch is written no further from its word than this many of the word's heights.
BRANCH = 2.6


def ink_beside(page: Page, ids: set[str]) -> list[InkItem]:
    """Other ink near the items ``ids``, without highlighter; of typed words the ink that they came from."""
    box = Box.union(item_box(page.items[item_id]) for item_id in ids if item_id in page.items)
    if box is None:
        return []
    near = box.grown(AROUND * max(box.width, box.height))
    found: list[InkItem] = []
    for item in page.items.values():
        if item.id in ids or not isinstance(item, InkItem | TextItem) or not item_box(item).overlaps(near):
            continue
        if isinstance(item, TextItem):
            found += [s for s in (carried(s, item.placement) for s in item.ink) if isinstance(s, InkItem)]
        elif item.nib != "highlighter":
            found.append(item)
        if len(found) >= MOST:
            break
    return found[:MOST]


def figures_beside(page: Page, ink: Sequence[InkItem]) -> tuple[tuple[FigureKind, Box], ...]:
    """The nearest closed figures to some ink, each by what it is drawn as and its box."""
    box = Box.union(item_box(stroke) for stroke in ink)
    shapes = [item for item in page.items.values() if isinstance(item, ShapeItem) and item.closed]
    if box is None or not shapes:
        return ()
    # Turned figures are not measured by their boxes.
    near = [(box.gap(item_box(s)), s.figure, _bare_box(s)) for s in shapes if s.map[1] == s.map[2] == 0]
    return tuple((figure, own) for _, figure, own in sorted(near, key=lambda row: row[0])[:MOST_FIGURES])


def _bare_box(shape: ShapeItem) -> Box:
    """A figure's box without the width of its line."""
    return Box.of(shape.placement.points(np.asarray(shape.points, dtype=float)))


def word_beside(page: Page, ink: Sequence[InkItem]) -> ShapeItem | None:
    """The word of a mind map that ink is written next to: an oval with words that lines hold on to."""
    held = {end for item in page.items.values() if isinstance(item, ShapeItem) for end in item.holds}
    near = []
    for word in (page.items.get(item_id) for item_id in held):
        if isinstance(word, ShapeItem) and word.figure == "ellipse" and word.text:
            box = item_box(word)
            gap = min(box.gap(item_box(stroke)) for stroke in ink)
            if gap < BRANCH * box.height:
                near.append((gap, word.id, word))
    return min(near)[2] if near else None
