"""What an item from outside may be: its ids, numbers, texts and points are held to limits before anything is done with it."""

from __future__ import annotations

import math
import re

from sunroom.core.board.items import (
    CardItem,
    ChartItem,
    Converted,
    FormulaItem,
    GraphItem,
    InkItem,
    Item,
    NoteItem,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
)
from sunroom.core.characters import has_controls, is_one_line
from sunroom.core.data.chance import check_chance
from sunroom.core.data.charts import check_title
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.ink.samples import MAX_COORDINATE, unpack_samples
from sunroom.core.maths.graph import (
    MAX_FIT,
    MAX_LETTERS,
    MAX_LINES,
)
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.sentences import said
from sunroom.core.text.styles import check_spans, is_link

MAX_TEXT, MAX_NOTE, MAX_LABEL, MAX_CELL = 5_000, 1_000, 500, 500
MAX_NAME, MAX_CARD_TITLE = 60, 120
MAX_TABLE_SIDE = 40
#: Numbers that a graph can show, and the least stretch of them; the longest name of a letter.
MAX_SHOWN, LEAST_SHOWN, MAX_LETTER = 1e6, 1e-6, 24
#: Characters of a formula's number.
MAX_NUMBER = 8
WIDTHS = (0.25, 60.0)
OPACITIES = (0.05, 1.0)
#: The least part of a picture's side that can be shown.
LEAST_CROP = 0.01
SIZES = (4.0, 400.0)
#: Of a text's pitch, in its sizes.
MOST_PITCH = 6.0
MAX_FIGURE_POINTS = 128
#: An item is at most this many times larger or smaller than it was made.
MAX_GROWTH = 200.0
#: Strokes that a converted item can hold.
MAX_INNER_INK = 600

_ID = re.compile(r"[A-Za-z0-9_-]{6,32}")
_COLOUR = re.compile(r"#[0-9a-f]{6}")


def check_item(item: Item) -> None:
    """Hold an item from outside to its limits.

    Raises
    ------
    MalformedError
        With the name of the field and a sentence that can be shown.
    """
    check_id(item.id)
    check_number("x", item.x, MAX_COORDINATE)
    check_number("y", item.y, MAX_COORDINATE)
    check_map(item.map)
    if not isinstance(item, PictureItem | CardItem):
        check_colour(item.colour)
    if item.group:
        check_id(item.group)
    if isinstance(item, Converted):
        if len(item.ink) > MAX_INNER_INK:
            raise MalformedError("ink", said("the-item-was-made-from"))
        for stroke in item.ink:
            check_item(stroke)
    match item:
        case InkItem():
            check_range("width", item.width, *WIDTHS)
            check_range("opacity", item.opacity, *OPACITIES)
            unpack_samples(item.samples)
        case TextItem():
            check_text(item.text)
            check_range("size", item.size, *SIZES)
            check_spans(item.spans, len(item.text))
            check_range("pitch", item.pitch, 0, MOST_PITCH)
            if item.wrap_width is not None:
                check_range("wrap_width", item.wrap_width, 10, 10_000)
        case ShapeItem():
            check_range("width", item.width, *WIDTHS)
            check_range("opacity", item.opacity, *OPACITIES)
            check_figure(item.points, item.curved, item.parts)
            if item.fill:
                check_colour(item.fill)
            if item.text:
                check_text(item.text, MAX_LABEL)
            check_range("size", item.size, *SIZES)
            for held in item.holds:
                if held:
                    check_id(held)
            if len(set(item.measured)) < len(item.measured):
                raise MalformedError("measured", said("the-figure-has-too-few"))
        case NoteItem():
            check_text(item.text or "-", MAX_NOTE)
            check_text(item.name or "-", MAX_NAME)
            check_range("width", item.width, 40, 2_000)
            check_range("height", item.height, 40, 2_000)
        case TableItem():
            _check_table(item)
        case PictureItem():
            check_id(item.picture)
            check_range("width", item.width, 1, 20_000)
            check_range("height", item.height, 1, 20_000)
            check_range("opacity", item.opacity, *OPACITIES)
            check_crop(item.crop)
            if item.text:
                check_text(item.text, MAX_LABEL)
        case CardItem():
            _check_card(item)
        case GraphItem():
            check_graph(item)
        case ChartItem():
            check_chart(item)
        case FormulaItem():
            check_text(item.formula, MAX_FORMULA)
            check_number_of_formula(item.number)
            check_range("size", item.size, *SIZES)


def check_number_of_formula(number: str) -> None:
    """Hold a formula's number to its length and to one line; raises MalformedError."""
    if number:
        check_text(number, MAX_NUMBER)
    if not is_one_line(number):
        raise MalformedError("number", said("a-formulas-number-is-one-line", signs=MAX_NUMBER))


def check_graph(graph: GraphItem) -> None:
    """Hold a graph's settings to their limits; raises MalformedError."""
    check_range("width", graph.width, 80, 2_000)
    check_range("height", graph.height, 80, 2_000)
    ranges = graph.ranges
    for low, high in ((ranges.x0, ranges.x1), (ranges.y0, ranges.y1)):
        check_number("ranges", low, MAX_SHOWN)
        check_number("ranges", high, MAX_SHOWN)
        check_range("ranges", high - low, LEAST_SHOWN, 2 * MAX_SHOWN)
    if len(graph.lines) > MAX_LINES or len(graph.letters) > MAX_LETTERS:
        raise MalformedError("lines", said("a-graph-has-at-most", lines=MAX_LINES))
    for line in graph.lines:
        check_text(line.formula, MAX_FORMULA)
        check_colour(line.colour)
        check_range("width", line.width, *WIDTHS)
        check_range("fit", line.fit, 0, MAX_FIT)
    for letter in graph.letters:
        check_text(letter.name, MAX_LETTER)
        for value in (letter.value, letter.low, letter.high):
            check_number("letters", value, MAX_SHOWN)


def check_chart(chart: ChartItem) -> None:
    """Hold a chart's settings and numbers to their limits; raises MalformedError."""
    check_range("width", chart.width, 80, 2_000)
    check_range("height", chart.height, 80, 2_000)
    check_title(chart.title)
    if chart.title:
        check_text(chart.title)
    if chart.table:
        check_id(chart.table)
    check_range("columns", chart.columns, 1, MAX_TABLE_SIDE)
    if len(chart.cells) > MAX_TABLE_SIDE**2 or len(chart.cells) % chart.columns:
        raise MalformedError("table", said("the-tables-cells-do-not"))
    for cell in chart.cells:
        if cell:
            check_text(cell, MAX_CELL)


def _check_card(card: CardItem) -> None:
    check_text(card.title, MAX_CARD_TITLE)
    if card.file:
        check_id(card.file)
    if card.address and not is_link(card.address):
        raise MalformedError("address", said("a-link-begins-with-http"))
    if bool(card.file) == bool(card.address) or (card.file and card.of == "link"):
        raise MalformedError("address", said("a-card-leads-to-one"))
    check_range("width", card.width, 160, 2_000)
    check_range("height", card.height, 60, 2_000)


def check_crop(crop: tuple[float, float, float, float]) -> None:
    """Hold the shown part of a picture to its limits; raises MalformedError."""
    for low, high in ((crop[0], crop[2]), (crop[1], crop[3])):
        check_range("crop", low, 0.0, 1.0 - LEAST_CROP)
        check_range("crop", high, low + LEAST_CROP, 1.0)


def _check_table(table: TableItem) -> None:
    if not (1 <= len(table.columns) <= MAX_TABLE_SIDE and 1 <= len(table.rows) <= MAX_TABLE_SIDE):
        raise MalformedError("table", said("a-table-has-1-to", tableside=MAX_TABLE_SIDE))
    if len(table.cells) != len(table.columns) * len(table.rows):
        raise MalformedError("table", said("the-tables-cells-do-not"))
    for side in (*table.columns, *table.rows):
        check_range("table", side, 16, 2_000)
    check_range("size", table.size, *SIZES)
    if table.chance:
        check_chance(table.chance)
    for cell in table.cells:
        if cell:
            check_text(cell, MAX_CELL)


def check_figure(points: tuple[tuple[float, float], ...], curved: bool, parts: tuple[int, ...] = ()) -> None:
    """Hold a figure's points to their number and range; see ``check_item`` for errors."""
    lines = parts or (len(points),)
    whole = sum(lines) == len(points) <= MAX_FIGURE_POINTS and min(lines) >= 2
    if not whole or (curved and any(count % 3 != 1 for count in lines)):
        raise MalformedError("points", said("the-figure-has-too-few"))
    for point in points:
        for value in point:
            check_number("points", value, MAX_COORDINATE)


def check_colour(value: str) -> None:
    if not _COLOUR.fullmatch(value):
        raise MalformedError("colour", said("a-colour-is-written-as"))


def check_map(values: tuple[float, float, float, float]) -> None:
    """A map that neither flattens an item nor makes it larger than anybody needs."""
    for value in values:
        check_number("map", value, MAX_GROWTH)
    if Affine(*values).growth < 1 / MAX_GROWTH:
        raise MalformedError("map", said("that-would-make-the-item"))


def check_id(value: str) -> None:
    """An item's, page's or step's id: 6 to 32 letters, digits, - or _."""
    if not _ID.fullmatch(value):
        raise MalformedError("id", said("an-id-has-6-to"))


def check_number(field: str, value: float, limit: float) -> None:
    """A finite number of at most ``limit`` on either side of 0."""
    if not (math.isfinite(value) and abs(value) <= limit):
        raise MalformedError(field, said("a-number-is-missing-not"))


def check_text(text: str, longest: int = MAX_TEXT) -> None:
    """Text that has something to show, within its length, without control characters."""
    if not text.strip():
        raise MalformedError("text", said("there-is-no-text-to"))
    if len(text) > longest:
        raise MalformedError("text", said("the-text-has-characters-are", count=len(text), longest=longest))
    if has_controls(text):
        raise MalformedError("text", said("the-text-has-characters-that"))


def check_range(field: str, value: float, low: float, high: float) -> None:
    """A finite number from ``low`` to ``high``."""
    if not (math.isfinite(value) and low <= value <= high):
        raise MalformedError(
            field, said("the-lies-between-and", value=field.replace("_", " "), low=low, high=high)
        )
