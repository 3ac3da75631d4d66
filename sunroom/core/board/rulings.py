"""The lines of ruled paper in a part of a page; twin of frontend/src/board/rulings.ts, held by golden vectors."""

from __future__ import annotations

import math
from collections.abc import Iterator
from typing import Literal

import msgspec

from sunroom.core.geometry import Box

Ruling = Literal["plain", "squares", "dots", "lines", "handwriting", "graph", "isometric", "polar"]

#: About where axes and circles have their middle: that of the part of an endless page which is seen first.
MIDDLE = (480.0, 320.0)
#: Lines of graph paper between two strong ones.
FINE = 5
RAY_STEP_DEG = 15
#: Numbers along the axes lie so far from them.
NUMBER_GAP = 6.0


class Rule(msgspec.Struct, frozen=True):
    """One mark of a ruling: a line to (x1, y1), a dot, a circle of radius ``r``, or a number.

    ``weight`` 0 is fine, 1 usual, 2 an axis or a base line.
    """

    kind: Literal["line", "dot", "circle", "number"]
    x: float
    y: float
    x1: float = 0.0
    y1: float = 0.0
    r: float = 0.0
    text: str = ""
    weight: int = 1


def rules(ruling: Ruling, spacing: float, box: Box) -> Iterator[Rule]:
    """The marks of ``ruling`` that fall into ``box``."""
    match ruling:
        case "squares":
            yield from _upright(box, spacing, 1)
            yield from _level(box, spacing, 1)
        case "dots":
            for y in _steps(box.y0, box.y1, spacing):
                for x in _steps(box.x0, box.x1, spacing):
                    yield Rule("dot", x, y)
        case "lines":
            yield from _level(box, spacing, 1)
        case "handwriting":
            yield from _handwriting(box, spacing / 2)
        case "graph":
            yield from _graph(box, spacing)
        case "isometric":
            yield from _isometric(box, spacing)
        case "polar":
            yield from _polar(box, spacing)
        case _:
            return


def middle(spacing: float) -> tuple[float, float]:
    """Where axes cross: on the ruling."""
    return _nearest(MIDDLE[0], spacing), _nearest(MIDDLE[1], spacing)


def _nearest(value: float, step: float) -> float:
    return math.floor(value / step + 0.5) * step


def _steps(low: float, high: float, step: float) -> list[float]:
    first, last = math.ceil(low / step), math.floor(high / step)
    return [number * step for number in range(first, last + 1)]


def _upright(box: Box, step: float, weight: int) -> Iterator[Rule]:
    for x in _steps(box.x0, box.x1, step):
        yield Rule("line", x, box.y0, x, box.y1, weight=weight)


def _level(box: Box, step: float, weight: int) -> Iterator[Rule]:
    for y in _steps(box.y0, box.y1, step):
        yield Rule("line", box.x0, y, box.x1, y, weight=weight)


def _handwriting(box: Box, unit: float) -> Iterator[Rule]:
    """Rows of four lines: tall letters, x-height, base line, tails; a free line between two rows."""
    for top in _steps(box.y0 - 4 * unit, box.y1, 4 * unit):
        for line, weight in ((0, 0), (1, 1), (2, 2), (3, 0)):
            y = top + line * unit
            if box.y0 <= y <= box.y1:
                yield Rule("line", box.x0, y, box.x1, y, weight=weight)


def _graph(box: Box, spacing: float) -> Iterator[Rule]:
    yield from _upright(box, spacing / FINE, 0)
    yield from _level(box, spacing / FINE, 0)
    yield from _upright(box, spacing, 1)
    yield from _level(box, spacing, 1)
    x0, y0 = middle(spacing)
    yield Rule("line", box.x0, y0, box.x1, y0, weight=2)
    yield Rule("line", x0, box.y0, x0, box.y1, weight=2)
    for x in _steps(box.x0, box.x1, spacing):
        number = math.floor((x - x0) / spacing + 0.5)
        if number:
            yield Rule("number", x, y0 + NUMBER_GAP, text=str(number).replace("-", "−"))
    for y in _steps(box.y0, box.y1, spacing):
        number = math.floor((y0 - y) / spacing + 0.5)
        if number:
            yield Rule("number", x0 - NUMBER_GAP, y, x1=1.0, text=str(number).replace("-", "−"))


def _isometric(box: Box, spacing: float) -> Iterator[Rule]:
    """Upright lines, and lines rising and falling by 30°."""
    slope = math.tan(math.radians(30))
    across = spacing * math.cos(math.radians(30))
    yield from _upright(box, across, 1)
    reach = slope * (box.x1 - box.x0)
    for way in (slope, -slope):
        # Lines y = way · x + n · spacing.
        low = min(box.y0 - way * box.x0, box.y0 - way * box.x1)
        for start in _steps(low, low + (box.y1 - box.y0) + reach, spacing):
            yield Rule("line", box.x0, way * box.x0 + start, box.x1, way * box.x1 + start)


def _polar(box: Box, spacing: float) -> Iterator[Rule]:
    x0, y0 = middle(spacing)
    corners = box.corners()
    reach = max(math.hypot(x - x0, y - y0) for x, y in corners.tolist())
    for r in _steps(spacing, reach, spacing):
        yield Rule("circle", x0, y0, r=r)
    for degrees in range(0, 360, RAY_STEP_DEG):
        angle = math.radians(degrees)
        weight = 2 if degrees % 90 == 0 else 1
        yield Rule("line", x0, y0, x0 + reach * math.cos(angle), y0 + reach * math.sin(angle), weight=weight)
