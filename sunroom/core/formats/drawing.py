"""A page drawn through one small interface, so that every writer shows what the screen shows."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Protocol

import numpy as np
from numpy.typing import NDArray

from sunroom.core.board.items import InkItem, Item, ShapeItem, TextItem, item_box
from sunroom.core.board.pages import Page
from sunroom.core.geometry import Box
from sunroom.core.geometry.curves import smooth_centreline
from sunroom.core.ink import outlines, stroke_width, uniform, unpack_samples

Points = NDArray[np.float64]

#: Highlighter ink lets what it lies on show through (frontend/src/board/draw.ts has the same).
HIGHLIGHT_OPACITY = 0.4
SQUARE = 40.0
RULING_COLOUR = "#e4ecef"
PAPER_COLOUR = "#fffefa"
#: White around the work of an endless page when it is saved.
MARGIN = 40.0
#: Items whose outlines are worked out together: enough to be fast, few enough for memory.
BATCH = 1_000


class Drawing(Protocol):
    """What a writer must be able to draw; all numbers in page units, colours as #rrggbb."""

    def begin_page(self, box: Box) -> None: ...

    def fill(self, polygons: list[Points], colour: str, opacity: float) -> None: ...

    def stroke(
        self, points: Points, closed: bool, curved: bool, colour: str, width: float, opacity: float
    ) -> None: ...

    def text(self, face: str, text: str, x: float, y: float, size: float, colour: str) -> None: ...


def page_box(page: Page) -> Box:
    """The part of the page that is saved: the sheet, or all work with a margin around it."""
    paper = page.head.paper
    if paper.kind == "sheet":
        return Box(0, 0, paper.width, paper.height)
    box = Box.union(item_box(item) for item in page.items.values())
    return box.grown(MARGIN) if box else Box(0, 0, paper.width, paper.height)


def draw_page(page: Page, drawing: Drawing) -> None:
    """Draw paper and items, highlighter first, then from the lowest to the highest."""
    box = page_box(page)
    drawing.begin_page(box)
    if page.head.paper.ruling == "squares":
        _rule_squares(box, drawing)
    items = sorted(page.in_order(), key=lambda item: not _is_highlight(item))
    for at in range(0, len(items), BATCH):
        draw_items(items[at : at + BATCH], drawing)


def draw_items(items: Sequence[Item], drawing: Drawing) -> None:
    """Draw items at their places, in this order."""
    placed = {item.id: _placed_samples(item) for item in items if isinstance(item, InkItem)}
    pressed = [item for item in items if isinstance(item, InkItem) and not _even(item, placed[item.id])]
    shapes = outlines([placed[item.id] for item in pressed], [item.width for item in pressed])
    polygons = {item.id: shape for item, shape in zip(pressed, shapes, strict=True)}
    for item in items:
        if isinstance(item, InkItem):
            if item.id in polygons:
                drawing.fill(polygons[item.id], item.colour, 1.0)
            else:
                _draw_even_ink(item, placed[item.id], drawing)
        elif isinstance(item, TextItem):
            for line in item.lines:
                for run in line.runs:
                    x, y = item.x + run.x, item.y + line.baseline
                    drawing.text(run.face, run.text, x, y, item.size, item.colour)
        elif isinstance(item, ShapeItem):
            points = np.asarray(item.points, dtype=float) + (item.x, item.y)
            drawing.stroke(points, item.closed, item.curved, item.colour, item.width, 1.0)


def _is_highlight(item: Item) -> bool:
    return isinstance(item, InkItem) and item.nib == "highlighter"


def _placed_samples(item: InkItem) -> Points:
    samples = unpack_samples(item.samples)
    samples[:, :2] += (item.x, item.y)
    return samples


def _even(item: InkItem, samples: Points) -> bool:
    """Whether the stroke is drawn as one line of even width."""
    return item.nib == "highlighter" or uniform(samples)


def _draw_even_ink(item: InkItem, samples: Points, drawing: Drawing) -> None:
    curve = smooth_centreline(samples[:, :2])
    if item.nib == "highlighter":
        drawing.stroke(curve, False, False, item.colour, item.width, HIGHLIGHT_OPACITY)
    else:
        width = float(stroke_width(item.width, samples[:1, 2])[0])
        drawing.stroke(curve, False, False, item.colour, width, 1.0)


def _rule_squares(box: Box, drawing: Drawing) -> None:
    for x in np.arange(np.ceil(box.x0 / SQUARE), np.floor(box.x1 / SQUARE) + 1) * SQUARE:
        drawing.stroke(np.array([(x, box.y0), (x, box.y1)]), False, False, RULING_COLOUR, 1.0, 1.0)
    for y in np.arange(np.ceil(box.y0 / SQUARE), np.floor(box.y1 / SQUARE) + 1) * SQUARE:
        drawing.stroke(np.array([(box.x0, y), (box.x1, y)]), False, False, RULING_COLOUR, 1.0, 1.0)
