"""The things of a page drawn through one small interface: ink, shapes, texts, notes, cards, tables, graphs."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import groupby

import numpy as np

from sunroom.core.board.items import (
    CARD_PAD,
    CARD_SIGN,
    CELL_PAD,
    LABEL_PAD,
    NOTE_PAD,
    WHOLE,
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    Item,
    NoteItem,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
    item_box,
    own_box,
    place_of,
)
from sunroom.core.drawn import Drawn, path_lines
from sunroom.core.formats.drawing import Drawing, Points
from sunroom.core.geometry import Affine, Box, flatten_cubics, smooth_centreline
from sunroom.core.ink import arrow_head, outlines, stroke_width, uniform, unpack_samples
from sunroom.core.maths.graph import LABEL_SIZE
from sunroom.core.maths.setting import UNITS, outline_curves
from sunroom.core.text import Line, Run
from sunroom.core.text.fonts import LINE_HEIGHT

#: Highlighter ink lets what it lies on show through (frontend/src/board/draw.ts has the same).
HIGHLIGHT_OPACITY = 0.4
#: Lines under and through text: their distance from the baseline and width, as parts of the size.
UNDERLINE, STRIKE, RULE = 0.12, 0.27, 0.06
LINK_COLOUR = "#1f5fa8"
NOTE_INK, NOTE_NAME_INK, NOTE_NAME_SIZE = "#16222b", "#5e6a66", 13.0
CARD_PAPER, CARD_LINE, CARD_INK = "#fdf9ef", "#cfc1a0", "#1d5c5f"
#: The signs of cards, as lines in a square of 40 in the middle of their place; closed where they end as they began.
CARD_SIGNS: dict[str, tuple[tuple[tuple[float, float], ...], ...]] = {
    "link": (
        ((23, 6), (34, 6), (34, 17)),
        ((34, 6), (18, 22)),
        ((27, 21), (27, 34), (6, 34), (6, 13), (19, 13)),
    ),
    "sound": (
        ((5, 15), (12, 15), (21, 7), (21, 33), (12, 25), (5, 25), (5, 15)),
        ((27, 14), (30, 20), (27, 26)),
        ((32, 9), (36.5, 20), (32, 31)),
    ),
    "video": (((4, 8), (36, 8), (36, 32), (4, 32), (4, 8)), ((16, 14), (26, 20), (16, 26), (16, 14))),
}
SIGN_SIDE, SIGN_LINE = 40.0, 2.4
#: Of graphs: the grid, and how thick its axes are.
GRAPH_GRID, GRAPH_AXIS, AREA_OPACITY = "#d5dee2", 1.6, 0.6
TABLE_HEAD, TABLE_LINE = "#f1e9d8", 1.4
#: Dashes and gaps, in widths of the line; a dot is a dash without length under a round cap.
DASHES: dict[str, tuple[float, ...]] = {"solid": (), "dashed": (4.0, 3.0), "dotted": (0.01, 2.2)}


def draw_items(items: Sequence[Item], drawing: Drawing) -> None:
    """Draw items at their places, in this order."""
    placed = {item.id: _placed_samples(item) for item in items if isinstance(item, InkItem)}
    pressed = [i for i in items if isinstance(i, InkItem) and not uniform(i.nib, placed[i.id])]
    shapes = outlines([i.nib for i in pressed], [placed[i.id] for i in pressed], [_nib(i) for i in pressed])
    polygons = {item.id: shape for item, shape in zip(pressed, shapes, strict=True)}
    for item in items:
        drawing.item(item.id)
        if isinstance(item, InkItem):
            _draw_ink(item, placed[item.id], polygons.get(item.id), drawing)
        elif isinstance(item, ShapeItem):
            _draw_shape(item, drawing)
        elif isinstance(item, TableItem):
            _draw_table(item, drawing)
        elif isinstance(item, FormulaItem):
            # Outlines say nothing: who listens hears the formula as it was typed.
            drawing.begin("picture", item_box(item), item.formula)
            to_page = item.placement.after(Affine(item.size / UNITS, 0, 0, item.size / UNITS))
            curves = [to_page.points(curve) for curve in outline_curves(item.outline)]
            drawing.fill(curves, True, item.colour, 1.0)
            drawing.end()
        elif isinstance(item, GraphItem):
            _draw_graph(item, drawing)
        elif isinstance(item, ChartItem):
            drawing.begin("picture", item_box(item), item.title or item.form)
            if item.chart:
                draw_drawn(item.chart, item.placement, drawing)
            drawing.end()
        elif isinstance(item, PictureItem):
            cut = None if item.crop == WHOLE else item.placement.points(own_box(item).corners())
            drawing.begin("picture", item_box(item), item.text)
            drawing.picture(item.picture, item.whole(), item.opacity, cut)
            drawing.end()
        else:
            drawing.begin("words", item_box(item))
            if isinstance(item, TextItem):
                _draw_lines(item.lines, item.placement, item.colour, drawing)
            elif isinstance(item, NoteItem):
                _draw_note(item, drawing)
            else:
                _draw_card(item, drawing)
            drawing.end()


def _draw_graph(item: GraphItem, drawing: Drawing) -> None:
    """Grid, curves, then the axes with their numbers."""
    place, drawn = item.placement, item.drawn
    drawing.begin("picture", item_box(item), "; ".join(line.formula for line in item.lines) or "0")
    if drawn:
        for points in path_lines(drawn.grid):
            drawing.stroke(place.points(points), False, False, GRAPH_GRID, place.growth, 1.0)
        for line, area in zip(item.lines, drawn.areas, strict=False):
            for points in path_lines(area):
                drawing.stroke(place.points(points), False, False, line.colour, place.growth, AREA_OPACITY)
        for line, curve in zip(item.lines, drawn.curves, strict=False):
            for points in path_lines(curve):
                drawing.stroke(
                    place.points(points), False, False, line.colour, line.width * place.growth, 1.0
                )
        for points in path_lines(drawn.axes):
            drawing.stroke(place.points(points), False, False, item.colour, GRAPH_AXIS * place.growth, 1.0)
        for number in drawn.labels:
            drawing.text(
                "sans", number.text, place.after(Affine(e=number.x, f=number.y)), LABEL_SIZE, item.colour
            )
    drawing.end()


def draw_drawn(drawn: Drawn, place: Affine, drawing: Drawing) -> None:
    """Patches and labels in their order."""
    for patch in drawn.patches:
        lines = [place.points(points) for points in path_lines(patch.path)]
        if patch.fill:
            drawing.fill(lines, False, patch.fill, 1.0)
        for points in lines if patch.width else ():
            drawing.stroke(points, False, False, patch.line, patch.width * place.growth, 1.0)
    for label in drawn.labels:
        # Each character in the face that has it, as the browser chooses it too.
        x = label.x
        for face, run in groupby(
            label.text, lambda character: drawing.typesetter.choose(character, "sans")[0]
        ):
            text = "".join(run)
            drawing.text(face, text, place.after(Affine(e=x, f=label.y)), label.size, label.colour)
            x += label.size * sum(drawing.typesetter.choose(character, "sans")[1] for character in text)


def is_highlight(item: Item) -> bool:
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


def _draw_lines(lines: Sequence[Line], place: Affine, colour: str, drawing: Drawing) -> None:
    for line in lines:
        for run in line.runs:
            at = place.after(Affine(e=run.x, f=line.baseline - run.rise))
            if run.outline:
                scale = run.size / UNITS
                glyphs = at.after(Affine(scale, 0.0, 0.0, scale, 0.0, -run.above))
                curves = [glyphs.points(curve) for curve in outline_curves(run.outline)]
                drawing.fill(curves, True, LINK_COLOUR if run.link else colour, 1.0)
            else:
                drawing.text(run.face, run.text, at, run.size, LINK_COLOUR if run.link else colour)
            if run.link:
                drawing.link(run.link, at.points(_run_corners(run)))
            for wanted, height in ((run.underline, UNDERLINE), (run.strike, -STRIKE)):
                if wanted:
                    y = line.baseline - run.rise + height * run.size
                    ends = place.points(np.array([(run.x, y), (run.x + run.width, y)]))
                    width = RULE * run.size * place.growth
                    drawing.stroke(ends, False, False, LINK_COLOUR if run.link else colour, width, 1.0)


def _run_corners(run: Run) -> Points:
    up, down = -run.size, 0.3 * run.size
    return np.array([(0, up), (run.width, up), (run.width, down), (0, down)], dtype=float)


def _draw_shape(item: ShapeItem, drawing: Drawing) -> None:
    paths = item.paths()
    if item.fill:
        drawing.fill(paths, item.curved, item.fill, item.opacity)
    dashes = tuple(part * item.width for part in DASHES[item.dash])
    for path in paths:
        drawing.stroke(path, item.closed, item.curved, item.colour, item.width, item.opacity, dashes)
    flat = [flatten_cubics(path) if item.curved else path for path in paths]
    _draw_heads(item.ends, flat, item.colour, item.width, item.opacity, drawing)
    if item.lines:
        drawing.begin("words", item_box(item))
        _draw_lines(item.lines, _label_place(item), item.colour, drawing)
        drawing.end()
    if item.measures:
        drawing.begin("words", item_box(item))
        draw_drawn(item.measures, Affine(e=item.x, f=item.y), drawing)
        drawing.end()


def _label_place(item: ShapeItem) -> Affine:
    """Where a figure's words begin, so that they stand in its middle; never mirrored."""
    box = own_box(item)
    width = max(box.width - 2 * LABEL_PAD, item.size)
    height = len(item.lines) * LINE_HEIGHT * item.size
    x, y = (box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2
    cx, cy = item.placement.point(x, y)
    return Affine(e=cx - width / 2, f=cy - height / 2)


def _draw_note(item: NoteItem, drawing: Drawing) -> None:
    place = item.placement
    drawing.fill([place.points(own_box(item).corners())], False, item.colour, 1.0)
    _draw_lines(item.lines, place.after(Affine(e=NOTE_PAD, f=NOTE_PAD)), NOTE_INK, drawing)
    if item.name:
        at = place.after(Affine(e=NOTE_PAD, f=item.height - NOTE_PAD * 0.7))
        drawing.text("sans", item.name, at, NOTE_NAME_SIZE, NOTE_NAME_INK)


def _draw_card(item: CardItem, drawing: Drawing) -> None:
    place = item.placement
    corners = place.points(own_box(item).corners())
    drawing.fill([corners], False, CARD_PAPER, 1.0)
    drawing.stroke(corners, True, False, CARD_LINE, TABLE_LINE * place.growth, 1.0)
    middle = Affine(e=(CARD_SIGN - SIGN_SIDE) / 2, f=(item.height - SIGN_SIDE) / 2)
    for line in CARD_SIGNS[item.of]:
        points = place.after(middle).points(np.array(line, dtype=float))
        drawing.stroke(points, False, False, CARD_INK, SIGN_LINE * place.growth, 1.0)
    spare = item.height - len(item.lines) * LINE_HEIGHT * item.size
    top = CARD_PAD if item.address else max(spare / 2, 0.0)
    _draw_lines(item.lines, place.after(Affine(e=CARD_SIGN, f=top)), NOTE_INK, drawing)
    if item.address:
        at = place.after(Affine(e=CARD_SIGN, f=item.height - CARD_PAD))
        drawing.text("sans", place_of(item.address), at, NOTE_NAME_SIZE, LINK_COLOUR)
        drawing.link(item.address, corners)


def _draw_table(item: TableItem, drawing: Drawing) -> None:
    place, box = item.placement, own_box(item)
    if item.head:
        head = Box(0.0, 0.0, box.x1, item.rows[0])
        drawing.fill([place.points(head.corners())], False, TABLE_HEAD, 1.0)
    xs, ys = np.cumsum((0.0, *item.columns)), np.cumsum((0.0, *item.rows))
    for x in xs:
        ends = place.points(np.array([(x, 0.0), (x, box.y1)]))
        drawing.stroke(ends, False, False, item.colour, TABLE_LINE, 1.0)
    for y in ys:
        ends = place.points(np.array([(0.0, y), (box.x1, y)]))
        drawing.stroke(ends, False, False, item.colour, TABLE_LINE, 1.0)
    whole = item_box(item)
    drawing.begin("table", whole)
    for row in range(len(item.rows)):
        drawing.begin("row", whole)
        for column in range(len(item.columns)):
            number = row * len(item.columns) + column
            at = Affine(e=float(xs[column]) + CELL_PAD, f=float(ys[row]) + CELL_PAD)
            drawing.begin("head" if item.head and row == 0 else "cell", whole)
            _draw_lines(
                item.lines[number] if number < len(item.lines) else (), place.after(at), NOTE_INK, drawing
            )
            drawing.end()
        drawing.end()
    drawing.end()
