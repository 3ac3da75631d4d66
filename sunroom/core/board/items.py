"""What lies on a page: ink, typed text and shapes, as frozen values that know their box."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from functools import lru_cache
from typing import Literal, TypeVar

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.data.chance import Chance
from sunroom.core.data.charts import ChartForm
from sunroom.core.drawn import Drawn
from sunroom.core.geometry import Affine, Box, flatten_cubics
from sunroom.core.ink.outline import Ends, Nib, head_reach, nib_reach
from sunroom.core.ink.samples import unpack_samples
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import (
    Counted,
    GraphLetter,
    GraphLine,
    GraphPaths,
)
from sunroom.core.shapes.figures import FigureKind
from sunroom.core.shapes.measures import Measured
from sunroom.core.text import Align, Family, Line, Listing, Span
from sunroom.core.text.fonts import LINE_HEIGHT

#: Room around text: in a figure, on a note (and for the name below it), in a table's cell.
LABEL_PAD, NOTE_PAD, NOTE_NAME, CELL_PAD = 8.0, 14.0, 20.0, 8.0
#: Of a card: where its sign ends and its title begins, the room around that, and below it for where it leads.
CARD_SIGN, CARD_PAD, CARD_PLACE = 64.0, 14.0, 22.0
CARD_LARGEST, CARD_LEAST = 20.0, 9.0
#: The whole of a picture as ``crop``.
WHOLE = (0.0, 0.0, 1.0, 1.0)
#: What of an address names the place (frontend/src/board/draw-words.ts has the same).
_PLACE = re.compile(r"(?:https?://(?:www\.)?|mailto:)([^/?#]+)", re.IGNORECASE)
MAX_PLACE = 36

Dash = Literal["solid", "dashed", "dotted"]
Medium = Literal["link", "sound", "video"]


# Items are values of values, in no circle: Python's collector of circles, which stands everything still while it looks
# at all there is, need not look at them (gc=False).


class Placed(msgspec.Struct, frozen=True, kw_only=True, gc=False):
    """What all items share.

    Attributes
    ----------
    id : str
        Made by the browser that made the item; unique on its board.
    x, y : float
        Place of the item's origin in board units; all else in the item is relative to it.
    map : (float, float, float, float)
        a, b, c, d of the map from the item's own space to the page, about its origin: turned,
        stretched, mirrored.
    z : float
        Order of drawing on the page, given by the server.
    group : str
        Items of one group are chosen together; "" when the item is in none.
    by : str
        The seat that made it, given by the server.
    at_ms : int
        When, by the server's clock.
    locked, pinned : bool
        Locked by the tutor side; and pinned as background, where it cannot be chosen either.
    """

    id: str
    x: float = 0.0
    y: float = 0.0
    map: tuple[float, float, float, float] = (1.0, 0.0, 0.0, 1.0)
    z: float = 0.0
    group: str = ""
    by: str = ""
    at_ms: int = 0
    locked: bool = False
    pinned: bool = False

    @property
    def placement(self) -> Affine:
        """The map from the item's own space to the page."""
        return Affine(*self.map, self.x, self.y)


class InkItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="ink"):
    """One stroke; ``samples`` as in core.ink.samples, ``width`` of the nib in board units."""

    nib: Nib
    colour: str
    width: float
    samples: bytes
    opacity: float = 1.0
    ends: Ends = "none"


class TextItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="text"):
    """Typed text from its top left corner; ``lines`` are laid out by the server.

    ``spans`` style parts of it. ``ink`` are the strokes it was typeset from, placed relative to this item.
    ``pitch``: each sign has so much room, as a part of ``size``, as the digits of a sum in ruled squares; 0: as wide as it is.
    """

    text: str
    size: float
    colour: str
    wrap_width: float | None = None
    family: Family = "sans"
    align: Align = "left"
    listing: Listing = "none"
    spans: tuple[Span, ...] = ()
    lines: tuple[Line, ...] = ()
    ink: tuple[InkItem, ...] = ()
    pitch: float = 0.0


class NoteItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="note"):
    """A note of ``width`` by ``height`` with text that fits itself, and its writer's ``name`` on it.

    ``colour`` is the paper's; ``size`` and ``lines`` are the server's.
    """

    text: str
    colour: str
    name: str = ""
    width: float = 190.0
    height: float = 170.0
    size: float = 22.0
    lines: tuple[Line, ...] = ()


class TableItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="table"):
    """A table: ``cells`` row by row; widths of columns and heights of rows in board units.

    ``lines`` are the laid out texts of the cells in the same order, by the server, of a cell that begins with = what it
    works out to (core.data.cells); the first row is a head when ``head`` is set. ``chance``: it counts what is thrown.
    """

    columns: tuple[float, ...]
    rows: tuple[float, ...]
    cells: tuple[str, ...]
    colour: str
    size: float = 18.0
    head: bool = True
    lines: tuple[tuple[Line, ...], ...] = ()
    chance: Chance | None = None


class ShapeItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="shape"):
    """An exact figure: corner points, or with ``curved`` a chain of 1 + 3·n cubic control points.

    ``parts`` tells how many points belong to each of several lines (axes, a cross); empty for one.
    ``fill`` is a colour, or "" for none. ``text`` stands in its middle, laid out in ``lines`` by the
    server. ``holds`` are the items that a line's two ends hold on to, "" for none. ``ink`` are the strokes it was trued up from, placed
    relative to this item. ``measured`` is what it shows of itself; ``measures``, relative to its place, are the server's.
    """

    figure: FigureKind
    points: tuple[tuple[float, float], ...]
    closed: bool
    curved: bool
    colour: str
    width: float
    parts: tuple[int, ...] = ()
    fill: str = ""
    dash: Dash = "solid"
    ends: Ends = "none"
    opacity: float = 1.0
    text: str = ""
    size: float = 22.0
    lines: tuple[Line, ...] = ()
    holds: tuple[str, str] = ("", "")
    ink: tuple[InkItem, ...] = ()
    measured: tuple[Measured, ...] = ()
    measures: Drawn | None = None

    def paths(self) -> list[NDArray[np.float64]]:
        """The points of each line on the page."""
        points = self.placement.points(np.asarray(self.points, dtype=float))
        return np.split(points, np.cumsum(self.parts)[:-1]) if self.parts else [points]


class PictureItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="picture"):
    """A picture that was brought in: ``picture`` is its id among the room's, shown ``width`` by ``height``.

    ``text`` says what it shows to those who cannot see it; ``crop`` which part is shown: its left, upper, right and
    lower edge in parts of the whole.
    """

    picture: str
    width: float
    height: float
    opacity: float = 1.0
    text: str = ""
    crop: tuple[float, float, float, float] = WHOLE

    def whole(self) -> Affine:
        """From the unit square of the whole picture to the page."""
        left, upper, right, lower = self.crop
        width, height = self.width / (right - left), self.height / (lower - upper)
        return self.placement.after(Affine(width, 0, 0, height, -left * width, -upper * height))


class CardItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="card"):
    """A card for what lies elsewhere, or plays: its title, and where it leads.

    ``file`` is the id of a sound or video of the room's own, "" for what lies at ``address``. ``lines`` are the laid out
    title, by the server.
    """

    of: Medium
    title: str
    address: str = ""
    file: str = ""
    width: float = 320.0
    height: float = 92.0
    size: float = CARD_LARGEST
    lines: tuple[Line, ...] = ()


class FormulaItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="formula"):
    """A formula, as it was typed or read, from its upper left corner.

    ``outline``, ``width``, ``height`` and ``baseline`` are the server's, see core.maths.setting; they hold at size 1.
    ``number`` stands to its right in brackets, for words to speak of it. ``ink`` are the strokes that it was read from,
    placed relative to this item.
    """

    formula: str
    size: float
    colour: str
    number: str = ""
    outline: str = ""
    width: float = 0.0
    height: float = 0.0
    baseline: float = 0.0
    ink: tuple[InkItem, ...] = ()


class GraphItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="graph"):
    """A graph of ``width`` by ``height`` board units that shows some ``ranges`` of numbers.

    ``letters`` have values that can be moved. ``drawn`` is the server's, see core.maths.graph.
    """

    width: float
    height: float
    ranges: Ranges
    lines: tuple[GraphLine, ...]
    letters: tuple[GraphLetter, ...] = ()
    counted: Counted = "numbers"
    colour: str = "#16222b"
    drawn: GraphPaths | None = None


class ChartItem(Placed, frozen=True, kw_only=True, gc=False, tag_field="kind", tag="chart"):
    """A chart of ``width`` by ``height`` board units: of the table with the id ``table``, which it follows as long as it is there.

    ``cells``, row by row in ``columns``, are what that showed last. Series are columns, or rows when ``by_rows`` is set;
    ``fit`` adds lines of best fit. ``chart`` is the server's, see core.data.charts.
    """

    form: ChartForm
    width: float
    height: float
    columns: int
    cells: tuple[str, ...]
    table: str = ""
    title: str = ""
    by_rows: bool = False
    fit: bool = False
    colour: str = "#16222b"
    chart: Drawn | None = None


Item = (
    InkItem
    | TextItem
    | ShapeItem
    | NoteItem
    | TableItem
    | PictureItem
    | CardItem
    | FormulaItem
    | GraphItem
    | ChartItem
)
#: Kinds that keep their proportions and are never mirrored: they are there to be read.
Upright = TextItem | NoteItem | TableItem | CardItem | FormulaItem | GraphItem | ChartItem
#: Kinds that ink is turned into, and that hold it.
Converted = TextItem | ShapeItem | FormulaItem
Kind = TypeVar(
    "Kind",
    InkItem,
    TextItem,
    ShapeItem,
    NoteItem,
    TableItem,
    PictureItem,
    CardItem,
    FormulaItem,
    GraphItem,
    ChartItem,
    Item,
)


def moved(item: Kind, dx: float, dy: float) -> Kind:
    """The item at another place."""
    return msgspec.structs.replace(item, x=item.x + dx, y=item.y + dy)


def owned(item: Item, seat: str) -> Item:
    """The item, and the ink that it was made from, as ``seat``'s."""
    if isinstance(item, Converted) and item.ink:
        ink = tuple(msgspec.structs.replace(stroke, by=seat) for stroke in item.ink)
        item = msgspec.structs.replace(item, ink=ink)
    return msgspec.structs.replace(item, by=seat)


def with_bare_ink(item: Item) -> Item:
    """The item with nothing but the strokes themselves inside: no locks, no pins, no groups, no order."""
    if not isinstance(item, Converted) or not item.ink:
        return item
    return msgspec.structs.replace(item, ink=tuple(bare(stroke) for stroke in item.ink))


def bare(stroke: InkItem) -> InkItem:
    """A stroke that lies inside another item."""
    return msgspec.structs.replace(stroke, locked=False, pinned=False, group="", z=0.0)


def carried(item: Kind, along: Affine) -> Kind:
    """The item as ``along`` takes it; text stays upright, unmirrored and in its proportions."""
    place = along.after(item.placement)
    if isinstance(item, Upright):
        place = _without_shear(place, own_box(item))
    return msgspec.structs.replace(item, x=place.e, y=place.f, map=(place.a, place.b, place.c, place.d))


def _without_shear(place: Affine, box: Box) -> Affine:
    """The turn and growth of ``place`` alone, about the middle of ``box``."""
    x, y = (box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2
    angle = math.atan2(place.b, place.a)
    if place.det < 0:
        # A mirror that leaves the upper side up has turned the writing's direction about.
        angle = math.atan2(-place.b, -place.a) if place.a < 0 else angle
    c, s = place.growth * math.cos(angle), place.growth * math.sin(angle)
    cx, cy = place.point(x, y)
    return Affine(c, s, -s, c, cx - c * x + s * y, cy - s * x - c * y)


def own_box(item: Item) -> Box:
    """The box of the item's drawing in its own space, without the width of its lines."""
    if isinstance(item, InkItem):
        return Box.of(unpack_samples(item.samples)[:, :2])
    if isinstance(item, TextItem):
        width = max((line.width for line in item.lines), default=0.0)
        return Box(0.0, 0.0, width, max(1, len(item.lines)) * LINE_HEIGHT * item.size)
    if isinstance(item, NoteItem | PictureItem | CardItem | GraphItem | ChartItem):
        return Box(0.0, 0.0, item.width, item.height)
    if isinstance(item, TableItem):
        return Box(0.0, 0.0, sum(item.columns), sum(item.rows))
    if isinstance(item, FormulaItem):
        return Box(0.0, 0.0, item.width * item.size, item.height * item.size)
    points = np.asarray(item.points, dtype=float)
    return Box.of(flatten_cubics(points) if item.curved and not item.parts else points)


def item_box(item: Item) -> Box:
    """The box that the item's drawing fills, in page units."""
    if isinstance(item, InkItem):
        return _kept_ink_box(item) if len(item.samples) <= KEPT_SAMPLES else _ink_box(item)
    place = item.placement
    if isinstance(item, Upright | PictureItem):
        return Box.of(place.points(own_box(item).corners()))
    lines = [flatten_cubics(line) if item.curved else line for line in item.paths()]
    box = Box.of(np.vstack(lines), item.width / 2 + head_reach(item.ends, item.width))
    return _with_labels(box, item) if item.measures else box


def _ink_box(item: InkItem) -> Box:
    place = item.placement
    points = place.points(unpack_samples(item.samples)[:, :2])
    return Box.of(points, nib_reach(item.nib, item.width) * place.growth + head_reach(item.ends, item.width))


#: Whoever looks for what lies around something asks for the boxes of a whole page, again and again. Ink of more bytes
#: than ``KEPT_SAMPLES`` is not held in memory for that.
KEPT_SAMPLES = 2_200
_kept_ink_box = lru_cache(maxsize=16_000)(_ink_box)


def _with_labels(box: Box, item: ShapeItem) -> Box:
    """The box with the words beside a figure; twin of the one in frontend/src/board/box.ts."""
    assert item.measures
    boxes = [box]
    for text, x, y, size, _ in map(msgspec.structs.astuple, item.measures.labels):
        left, foot = item.x + x, item.y + y
        boxes.append(Box(left, foot - size, left + 0.7 * size * len(text), foot + 0.3 * size))
    return Box.union(boxes) or box


def lines_weight(lines: Sequence[Line]) -> int:
    """Roughly the bytes of lines that are laid out, with the outlines of the formulas among them."""
    return 400 * len(lines) + sum(len(run.outline) for line in lines for run in line.runs)


def item_weight(item: Item) -> int:
    """Roughly the bytes that an item holds in memory, with the ink that it was made from."""
    match item:
        case InkItem():
            return 400 + len(item.samples)
        case TextItem() | ShapeItem():
            inner = sum(item_weight(stroke) for stroke in item.ink)
            return 500 + 8 * len(item.text) + lines_weight(item.lines) + inner
        case FormulaItem():
            inner = sum(item_weight(stroke) for stroke in item.ink)
            return 500 + len(item.formula) + len(item.outline) + inner
        case GraphItem():
            return 2_000 + sum(map(len, item.drawn.curves)) if item.drawn else 2_000
        case ChartItem():
            drawn = sum(len(patch.path) for patch in item.chart.patches) if item.chart else 0
            return 2_000 + sum(map(len, item.cells)) + drawn
        case NoteItem():
            return 500 + 8 * len(item.text) + 400 * len(item.lines)
        case CardItem():
            return 500 + 8 * len(item.title) + len(item.address) + 400 * len(item.lines)
        case TableItem():
            return 500 + 500 * len(item.cells) + 8 * sum(map(len, item.cells))
        case _:
            return 500


def place_of(address: str) -> str:
    """Where an address leads, as a card shows it: the name of the place, or to whom a mail goes."""
    found = _PLACE.match(address)
    return found[1][:MAX_PLACE] if found else ""
