"""What lies on a page: ink, typed text and shapes, as frozen values that know their box."""

from __future__ import annotations

import math
import re
from typing import Literal

import msgspec
import numpy as np

from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box, flatten_cubics
from sunroom.core.ink.outline import GAIN, LIGHTEST
from sunroom.core.ink.samples import MAX_COORDINATE, unpack_samples
from sunroom.core.text import Line
from sunroom.core.text.fonts import LINE_HEIGHT

MAX_TEXT = 5_000
MAX_WIDTH = 60.0
MAX_FIGURE_POINTS = 64

_ID = re.compile(r"[A-Za-z0-9_-]{6,32}")
_COLOUR = re.compile(r"#[0-9a-f]{6}")
#: C0 and C1 controls but tab and line feed, and the characters that turn the reading direction.
_UNPRINTABLE = re.compile("[\x00-\x08\x0b-\x1f\x7f-\x9f\u202a-\u202e\u2066-\u2069]")

Nib = Literal["pen", "highlighter"]
Figure = Literal["line", "circle", "ellipse", "rectangle", "square", "triangle"]


class Placed(msgspec.Struct, frozen=True, kw_only=True):
    """What all items share.

    Attributes
    ----------
    id : str
        Made by the browser that made the item; unique on its board.
    x, y : float
        Place of the item's origin in board units; all else in the item is relative to it.
    z : int
        Order of drawing on the page, given by the server.
    by : str
        The seat that made it, given by the server.
    at_ms : int
        When, by the server's clock.
    locked : bool
        Locked by the tutor side.
    """

    id: str
    x: float = 0.0
    y: float = 0.0
    z: int = 0
    by: str = ""
    at_ms: int = 0
    locked: bool = False


class InkItem(Placed, frozen=True, kw_only=True, tag_field="kind", tag="ink"):
    """One stroke; ``samples`` as in core.ink.samples, ``width`` of the nib in board units."""

    nib: Nib
    colour: str
    width: float
    samples: bytes


class TextItem(Placed, frozen=True, kw_only=True, tag_field="kind", tag="text"):
    """Typed text from its top left corner; ``lines`` are laid out by the server.

    ``ink`` are the strokes it was typeset from, placed relative to this item.
    """

    text: str
    size: float
    colour: str
    wrap_width: float | None = None
    lines: tuple[Line, ...] = ()
    ink: tuple[InkItem, ...] = ()


class ShapeItem(Placed, frozen=True, kw_only=True, tag_field="kind", tag="shape"):
    """An exact figure: corner points, or with ``curved`` a chain of 1 + 3·n cubic control points.

    ``ink`` are the strokes it was trued up from, placed relative to this item.
    """

    figure: Figure
    points: tuple[tuple[float, float], ...]
    closed: bool
    curved: bool
    colour: str
    width: float
    ink: tuple[InkItem, ...] = ()


Item = InkItem | TextItem | ShapeItem


def moved(item: Item, dx: float, dy: float) -> Item:
    """The item at another place."""
    return msgspec.structs.replace(item, x=item.x + dx, y=item.y + dy)


def item_box(item: Item) -> Box:
    """The box that the item's drawing fills, in page units."""
    if isinstance(item, InkItem):
        reach = item.width * (LIGHTEST + GAIN) / 2
        return Box.of(unpack_samples(item.samples)[:, :2], reach).moved(item.x, item.y)
    if isinstance(item, TextItem):
        width = max((line.width for line in item.lines), default=0.0)
        height = max(1, len(item.lines)) * LINE_HEIGHT * item.size
        return Box(item.x, item.y, item.x + width, item.y + height)
    points = np.asarray(item.points, dtype=float)
    if item.curved:
        points = flatten_cubics(points)
    return Box.of(points, item.width / 2).moved(item.x, item.y)


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
    if not _COLOUR.fullmatch(item.colour):
        raise MalformedError("colour", "A colour is written as # and six digits from 0 to f.")
    if isinstance(item, TextItem):
        check_text(item.text)
        _check_range("size", item.size, 4, 400)
        if item.wrap_width is not None:
            _check_range("wrap_width", item.wrap_width, 10, 10_000)
    else:
        _check_range("width", item.width, 0.25, MAX_WIDTH)
    if isinstance(item, InkItem):
        unpack_samples(item.samples)
    if isinstance(item, ShapeItem):
        check_figure(item.points, item.curved)


def check_figure(points: tuple[tuple[float, float], ...], curved: bool) -> None:
    """Hold a figure's points to their number and range; see ``check_item`` for errors."""
    if not 2 <= len(points) <= MAX_FIGURE_POINTS or (curved and len(points) % 3 != 1):
        raise MalformedError("points", "The figure has too few or too many points.")
    for point in points:
        for value in point:
            check_number("points", value, MAX_COORDINATE)


def check_id(value: str) -> None:
    """An item's, page's or step's id: 6 to 32 letters, digits, - or _."""
    if not _ID.fullmatch(value):
        raise MalformedError("id", "An id has 6 to 32 letters, digits, dashes or underscores.")


def check_number(field: str, value: float, limit: float) -> None:
    """A finite number of at most ``limit`` on either side of 0."""
    if not (math.isfinite(value) and abs(value) <= limit):
        raise MalformedError(field, "A number is missing, not finite, or off every board.")


def check_text(text: str) -> None:
    """Text that has something to show, within its length, without control characters."""
    if not text.strip():
        raise MalformedError("text", "There is no text to put on the board.")
    if len(text) > MAX_TEXT:
        raise MalformedError("text", f"The text has {len(text):,} characters; {MAX_TEXT:,} are the most.")
    if _UNPRINTABLE.search(text):
        raise MalformedError("text", "The text has characters that cannot be shown.")


def _check_range(field: str, value: float, low: float, high: float) -> None:
    if not (math.isfinite(value) and low <= value <= high):
        raise MalformedError(field, f"The {field.replace('_', ' ')} lies between {low:g} and {high:g}.")
