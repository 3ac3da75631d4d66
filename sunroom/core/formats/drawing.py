"""A page drawn through one small interface, so that every writer shows what the screen shows."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Protocol

import numpy as np
from numpy.typing import NDArray

from sunroom.core.board.items import InkItem, Item, ShapeItem, TextItem, item_box
from sunroom.core.board.pages import Page
from sunroom.core.board.rulings import rules
from sunroom.core.geometry import Affine, Box, ellipse_bezier, flatten_cubics, smooth_centreline
from sunroom.core.ink import arrow_head, outlines, stroke_width, uniform, unpack_samples

Points = NDArray[np.float64]

#: Highlighter ink lets what it lies on show through (frontend/src/board/draw.ts has the same).
HIGHLIGHT_OPACITY = 0.4
#: Dashes and gaps, in widths of the line; a dot is a dash without length under a round cap.
DASHES: dict[str, tuple[float, ...]] = {"solid": (), "dashed": (4.0, 3.0), "dotted": (0.01, 2.2)}
#: Rulings by weight (frontend/src/board/draw.ts has the same).
RULE_COLOURS, RULE_WIDTHS = ("#eef2f3", "#dfe8ec", "#9fb3bd"), (1.0, 1.0, 1.4)
DOT_COLOUR, DOT_WIDTH = "#b9c8cf", 2.4
NUMBER_COLOUR, NUMBER_SIZE = "#5e6a66", 12.0
#: White around the work of an endless page when it is saved.
MARGIN = 40.0
#: Items whose outlines are worked out together: enough to be fast, few enough for memory.
BATCH = 1_000


class Drawing(Protocol):
    """What a writer must be able to draw; all numbers in page units, colours as #rrggbb."""

    def begin_page(self, box: Box, colour: str) -> None: ...

    def fill(self, polygons: list[Points], curved: bool, colour: str, opacity: float) -> None: ...

    def stroke(
        self,
        points: Points,
        closed: bool,
        curved: bool,
        colour: str,
        width: float,
        opacity: float,
        dashes: tuple[float, ...] = (),
    ) -> None: ...

    def text(self, face: str, text: str, place: Affine, size: float, colour: str) -> None: ...


def page_box(page: Page) -> Box:
    """The part of the page that is saved: the sheet, the roll down to its last work, or all work with a
    margin around it."""
    paper = page.head.paper
    sheet = Box(0, 0, paper.width, paper.height)
    if paper.kind == "sheet":
        return sheet
    work = Box.union(item_box(item) for item in page.items.values())
    if paper.kind == "roll":
        return Box(0, 0, paper.width, max(paper.height, work.y1 + MARGIN if work else 0))
    return work.grown(MARGIN) if work else sheet


def draw_page(page: Page, drawing: Drawing) -> None:
    """Draw paper and items, highlighter first, then from the lowest to the highest."""
    box = page_box(page)
    drawing.begin_page(box, page.head.paper.colour)
    _draw_rules(page, box, drawing)
    items = sorted(page.in_order(), key=lambda item: not _is_highlight(item))
    for at in range(0, len(items), BATCH):
        draw_items(items[at : at + BATCH], drawing)


def draw_items(items: Sequence[Item], drawing: Drawing) -> None:
    """Draw items at their places, in this order."""
    placed = {item.id: _placed_samples(item) for item in items if isinstance(item, InkItem)}
    pressed = [i for i in items if isinstance(i, InkItem) and not uniform(i.nib, placed[i.id])]
    shapes = outlines([i.nib for i in pressed], [placed[i.id] for i in pressed], [_nib(i) for i in pressed])
    polygons = {item.id: shape for item, shape in zip(pressed, shapes, strict=True)}
    for item in items:
        if isinstance(item, InkItem):
            _draw_ink(item, placed[item.id], polygons.get(item.id), drawing)
        elif isinstance(item, TextItem):
            _draw_text(item, drawing)
        elif isinstance(item, ShapeItem):
            _draw_shape(item, drawing)


def _is_highlight(item: Item) -> bool:
    return isinstance(item, InkItem) and item.nib == "highlighter"


def _placed_samples(item: InkItem) -> Points:
    samples = unpack_samples(item.samples)
    samples[:, :2] = item.placement.points(samples[:, :2])
    return samples


def _nib(item: InkItem) -> float:
    """The nib's width on the page."""
    return item.width * item.placement.growth


def _draw_ink(item: InkItem, samples: Points, polygons: list[Points] | None, drawing: Drawing) -> None:
    opacity = HIGHLIGHT_OPACITY if item.nib == "highlighter" else item.opacity
    width = float(stroke_width(item.nib, _nib(item), samples[:1, 2])[0])
    if polygons:
        drawing.fill(polygons, False, item.colour, opacity)
    else:
        curve = smooth_centreline(samples[:, :2])
        drawing.stroke(curve, False, False, item.colour, width, opacity)
    _draw_heads(item.ends, [samples[:, :2]], item.colour, _nib(item), opacity, drawing)


def _draw_heads(
    ends: str, lines: list[Points], colour: str, width: float, opacity: float, drawing: Drawing
) -> None:
    if ends != "none":
        drawing.stroke(arrow_head(lines[-1], width), False, False, colour, width, opacity)
    if ends == "arrows":
        drawing.stroke(arrow_head(lines[0][::-1], width), False, False, colour, width, opacity)


def _draw_text(item: TextItem, drawing: Drawing) -> None:
    for line in item.lines:
        for run in line.runs:
            place = item.placement.after(Affine(e=run.x, f=line.baseline))
            drawing.text(run.face, run.text, place, item.size, item.colour)


def _draw_shape(item: ShapeItem, drawing: Drawing) -> None:
    lines = item.lines()
    if item.fill:
        drawing.fill(lines, item.curved, item.fill, item.opacity)
    dashes = tuple(part * item.width for part in DASHES[item.dash])
    for line in lines:
        drawing.stroke(line, item.closed, item.curved, item.colour, item.width, item.opacity, dashes)
    flat = [flatten_cubics(line) if item.curved else line for line in lines]
    _draw_heads(item.ends, flat, item.colour, item.width, item.opacity, drawing)


def _draw_rules(page: Page, box: Box, drawing: Drawing) -> None:
    paper = page.head.paper
    for rule in rules(paper.ruling, paper.spacing, box):
        colour, width = RULE_COLOURS[rule.weight], RULE_WIDTHS[rule.weight]
        match rule.kind:
            case "line":
                ends = np.array([(rule.x, rule.y), (rule.x1, rule.y1)])
                drawing.stroke(ends, False, False, colour, width, 1.0)
            case "dot":
                drawing.stroke(np.array([(rule.x, rule.y)]), False, False, DOT_COLOUR, DOT_WIDTH, 1.0)
            case "circle":
                ring = ellipse_bezier(rule.x, rule.y, rule.r, rule.r, 0.0)
                drawing.stroke(ring, True, True, colour, width, 1.0)
            case _:
                # Below its axis in the middle, or left of it.
                wide = 0.55 * NUMBER_SIZE * len(rule.text)
                x = rule.x - wide if rule.x1 else rule.x - wide / 2
                y = rule.y + NUMBER_SIZE * (0.35 if rule.x1 else 0.8)
                drawing.text("sans", rule.text, Affine(e=x, f=y), NUMBER_SIZE, NUMBER_COLOUR)
