"""A page drawn through one small interface, so that every writer shows what the screen shows."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from itertools import groupby
from typing import Literal, Protocol

import msgspec
import numpy as np
from numpy.typing import NDArray

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
from sunroom.core.board.pages import Bay, Page, Paper
from sunroom.core.board.rulings import rules
from sunroom.core.drawn import Drawn, path_lines
from sunroom.core.geometry import Affine, Box, ellipse_bezier, flatten_cubics, smooth_centreline
from sunroom.core.ink import arrow_head, outlines, stroke_width, uniform, unpack_samples
from sunroom.core.maths.graph import LABEL_SIZE
from sunroom.core.maths.setting import UNITS, outline_curves
from sunroom.core.text import Line, Run, Typesetter
from sunroom.core.text.fonts import LINE_HEIGHT

Points = NDArray[np.float64]

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
#: Rulings by weight (frontend/src/board/draw.ts has the same).
RULE_COLOURS, RULE_WIDTHS = ("#eef2f3", "#dfe8ec", "#9fb3bd"), (1.0, 1.0, 1.4)
DOT_COLOUR, DOT_WIDTH = "#b9c8cf", 2.4
NUMBER_COLOUR, NUMBER_SIZE = "#5e6a66", 12.0
BAY_COLOUR, BAY_LINE, BAY_TITLE_SIZE = "#5e6a66", 1.4, 13.0
#: Marks of a ruling on one saved page.
MAX_RULES = 120_000
#: White around the work of an endless page when it is saved.
MARGIN = 40.0
#: Items whose outlines are worked out together: enough to be fast, few enough for memory.
BATCH = 1_000


class Parts(msgspec.Struct, frozen=True):
    """What of a page is saved besides its writing: the paper's colour and picture, its ruling, notes, names on them."""

    paper: bool = True
    ruling: bool = True
    notes: bool = True
    names: bool = True


ALL = Parts()


#: What things are to whoever listens to a page.
Role = Literal["words", "heading", "picture", "table", "row", "head", "cell"]


class Drawing(Protocol):
    """What a writer must be able to draw; all numbers in page units, colours as #rrggbb."""

    typesetter: Typesetter

    def begin_page(self, box: Box, colour: str) -> None: ...

    def item(self, uid: str) -> None:
        """What is drawn from here on is that item."""
        ...

    def begin(self, role: Role, box: Box, alt: str = "") -> None:
        """What is drawn until ``end`` is one thing, somewhere in ``box``; ``alt`` says what a picture shows."""
        ...

    def end(self) -> None: ...

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

    def link(self, address: str, corners: Points) -> None:
        """What lies between four corners leads to ``address``."""
        ...

    def picture(self, picture: str, place: Affine, opacity: float, shown: Points | None = None) -> None:
        """A picture in the unit square that ``place`` takes to the page; of it only what lies between the four
        corners ``shown``.
        """
        ...

    def picture_size(self, picture: str) -> tuple[float, float] | None:
        """Width and height in pixels; None when there is no such picture."""
        ...


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


def draw_page(page: Page, drawing: Drawing, parts: Parts = ALL) -> None:
    """Draw paper and items, highlighter first, then from the lowest to the highest."""
    box = page_box(page)
    drawing.begin_page(box, page.head.paper.colour)
    if parts.paper:
        _draw_backdrop(page, drawing)
    if parts.ruling:
        _draw_rules(page, box, drawing)
    _draw_bays(page, drawing)
    items = [item for item in _wanted(page, parts) if not _in_bay_not_saved(item, page)]
    for at in range(0, len(items), BATCH):
        draw_items(items[at : at + BATCH], drawing)


def draw_bay(page: Page, bay: Bay, drawing: Drawing, parts: Parts = ALL) -> None:
    """A bay as a page of its own: what of the page lies in it."""
    drawing.begin_page(bay.box, page.head.paper.colour)
    if parts.ruling:
        _draw_rules(page, bay.box, drawing)
    draw_items([item for item in _wanted(page, parts) if item_box(item).overlaps(bay.box)], drawing)


def _wanted(page: Page, parts: Parts) -> list[Item]:
    """The items to be saved in the order in which they are drawn."""
    items = [item for item in page.in_order() if parts.notes or not isinstance(item, NoteItem)]
    if not parts.names:
        items = [msgspec.structs.replace(i, name="") if isinstance(i, NoteItem) else i for i in items]
    return sorted(items, key=lambda item: not _is_highlight(item))


def _draw_bays(page: Page, drawing: Drawing) -> None:
    """Frames and titles of the bays that are saved with the page."""
    for bay in page.head.bays:
        if bay.prints != "no":
            drawing.stroke(bay.box.corners(), True, False, BAY_COLOUR, BAY_LINE, 1.0)
            if bay.title:
                at = Affine(e=bay.x, f=bay.y - 0.4 * BAY_TITLE_SIZE)
                drawing.begin("heading", bay.box)
                drawing.text("sans-bold", bay.title, at, BAY_TITLE_SIZE, BAY_COLOUR)
                drawing.end()


def _in_bay_not_saved(item: Item, page: Page) -> bool:
    box = item_box(item)
    x, y = (box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2
    found = [b for b in page.head.bays if b.box.x0 <= x <= b.box.x1 and b.box.y0 <= y <= b.box.y1]
    return bool(found) and found[-1].prints == "no"


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


def pictures_of(pages: Iterable[Page]) -> set[str]:
    """Ids of all pictures that the pages show."""
    found: set[str] = set()
    for page in pages:
        found |= {page.head.paper.picture} | pictures_in(page.items.values())
    return found - {""}


def pictures_in(items: Iterable[Item]) -> set[str]:
    """Ids of the pictures among the items."""
    return {item.picture for item in items if isinstance(item, PictureItem)}


def media_of(pages: Iterable[Page]) -> set[str]:
    """Ids of all sounds and videos of the room's own that the pages have cards for."""
    found = {i.file for page in pages for i in page.items.values() if isinstance(i, CardItem)}
    return found - {""}


def _draw_backdrop(page: Page, drawing: Drawing) -> None:
    """The paper's own picture: wholly inside a sheet, else as wide as the paper from its upper edge."""
    paper = page.head.paper
    size = drawing.picture_size(paper.picture) if paper.picture else None
    if size is None:
        return
    scale = paper.width / size[0]
    if paper.kind == "sheet":
        scale = min(scale, paper.height / size[1])
    x = (paper.width - scale * size[0]) / 2
    y = (paper.height - scale * size[1]) / 2 if paper.kind == "sheet" else 0.0
    drawing.picture(paper.picture, Affine(scale * size[0], 0, 0, scale * size[1], x, y), 1.0)


def _spacing(paper: Paper, box: Box) -> float:
    """The distance of a ruling's lines; twice as far, and again, where there would be too many to tell apart."""
    spacing = paper.spacing
    while True:
        across, down = box.width / spacing, box.height / spacing
        marks = across * down if paper.ruling == "dots" else 8 * (across + down)
        if marks <= MAX_RULES:
            return spacing
        spacing *= 2


def _draw_rules(page: Page, box: Box, drawing: Drawing) -> None:
    paper = page.head.paper
    for rule in rules(paper.ruling, _spacing(paper, box), box):
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
