"""Exact figures drawn into a box: the points of each kind, for the shape tool."""

from __future__ import annotations

import math
from typing import Literal

import msgspec
import numpy as np

from sunroom.core.geometry import ellipse_bezier
from sunroom.core.geometry.curves import QUARTER_ARC, Points

FigureKind = Literal[
    "line",
    "rectangle",
    "square",
    "rounded",
    "ellipse",
    "circle",
    "triangle",
    "right_triangle",
    "parallelogram",
    "rhombus",
    "trapezium",
    "pentagon",
    "hexagon",
    "polygon",
    "star",
    "heart",
    "arc",
    "brace",
    "axis",
    "axes",
    "number_line",
    "tick",
    "cross",
    "elbow",
    "curve",
    "polyline",
]

#: Sides of the star's and the polygon's outline when nothing is said.
DEFAULT_SIDES = 8
#: A star's inner corners lie at this part of its radius, as where the sides of a pentagram cross.
STAR_INNER = 0.382
CORNER_RADIUS = 18.0
HEAD, TICK, BRACE = 12.0, 7.0, 16.0
#: Distance of the number line's ticks.
TICK_EVERY = 40.0


class Outline(msgspec.Struct, frozen=True):
    """A figure's points in its box: see core.board.items.ShapeItem for ``parts``, ``closed``, ``curved``."""

    points: tuple[tuple[float, float], ...]
    parts: tuple[int, ...] = ()
    closed: bool = False
    curved: bool = False


def draw_figure(kind: FigureKind, width: float, height: float, sides: int = DEFAULT_SIDES) -> Outline:
    """The figure ``kind`` from (0, 0) to (``width``, ``height``), either of which may be negative.

    A line, elbow or curve runs from the first corner to the other; all else fills the box.
    ``sides`` counts the corners of a polygon and the points of a star.
    """
    if kind == "line":
        return _outline([(0, 0), (width, height)])
    if kind == "elbow":
        return _outline([(0, 0), (width / 2, 0), (width / 2, height), (width, height)])
    if kind == "curve":
        return _outline([(0, 0), (width / 2, 0), (width / 2, height), (width, height)], curved=True)
    if kind == "polyline":
        return _outline([(0, 0), (width / 3, height), (2 * width / 3, 0), (width, height)])
    x, y = min(width, 0.0), min(height, 0.0)
    made = _in_box(kind, abs(width), abs(height), sides)
    return msgspec.structs.replace(made, points=tuple((px + x, py + y) for px, py in made.points))


def _in_box(kind: FigureKind, w: float, h: float, sides: int) -> Outline:
    corners = _CORNERS.get(kind)
    if corners:
        return _outline([(u * w, v * h) for u, v in corners], closed=True)
    match kind:
        case "ellipse" | "circle":
            return _outline(ellipse_bezier(w / 2, h / 2, w / 2, h / 2, 0.0), closed=True, curved=True)
        case "rounded":
            return _rounded(w, h)
        case "polygon":
            return _outline(_fitted(_ring(sides, 1.0), w, h), closed=True)
        case "pentagon" | "hexagon":
            return _outline(_fitted(_ring(5 if kind == "pentagon" else 6, 1.0), w, h), closed=True)
        case "star":
            points = 5 if sides == DEFAULT_SIDES else sides
            return _outline(_fitted(_ring(2 * points, STAR_INNER), w, h), closed=True)
        case "arc":
            k = QUARTER_ARC
            half = [(0, h), (0, h - k * h), (w / 2 - k * w / 2, 0), (w / 2, 0),
                    (w / 2 + k * w / 2, 0), (w, h - k * h), (w, h)]  # fmt: skip
            return _outline(half, curved=True)
        case "heart":
            return _outline([(u * w, v * h) for u, v in _HEART], closed=True, curved=True)
        case "brace":
            return _brace(w, h)
        case "axis" | "axes" | "number_line":
            return _axes(kind, w, h)
        case "tick":
            return _outline([(0, h * 0.55), (w * 0.35, h), (w, 0)])
        case _:
            return _parts([[(0, 0), (w, h)], [(w, 0), (0, h)]])


_HEART = (
    (0.5, 1.0), (0.36, 0.84), (0.0, 0.6), (0.0, 0.28), (0.0, 0.08), (0.16, 0.0), (0.27, 0.0), (0.38, 0.0),
    (0.47, 0.08), (0.5, 0.2), (0.53, 0.08), (0.62, 0.0), (0.73, 0.0), (0.84, 0.0), (1.0, 0.08), (1.0, 0.28),
    (1.0, 0.6), (0.64, 0.84), (0.5, 1.0),
)  # fmt: skip
_CORNERS: dict[FigureKind, tuple[tuple[float, float], ...]] = {
    "rectangle": ((0, 0), (1, 0), (1, 1), (0, 1)),
    "square": ((0, 0), (1, 0), (1, 1), (0, 1)),
    "triangle": ((0.5, 0), (1, 1), (0, 1)),
    "right_triangle": ((0, 0), (1, 1), (0, 1)),
    "parallelogram": ((0.25, 0), (1, 0), (0.75, 1), (0, 1)),
    "rhombus": ((0.5, 0), (1, 0.5), (0.5, 1), (0, 0.5)),
    "trapezium": ((0.22, 0), (0.78, 0), (1, 1), (0, 1)),
}


def _outline(
    points: Points | list[tuple[float, float]], closed: bool = False, curved: bool = False
) -> Outline:
    rows = tuple((round(float(x), 3), round(float(y), 3)) for x, y in points)
    return Outline(rows, (), closed, curved)


def _parts(lines: list[list[tuple[float, float]]]) -> Outline:
    made = _outline([point for line in lines for point in line])
    return msgspec.structs.replace(made, parts=tuple(len(line) for line in lines))


def _ring(count: int, inner: float) -> Points:
    """Corners on a circle from the top, every other one at ``inner`` of the radius."""
    angle = -math.pi / 2 + np.arange(count) * (2 * math.pi / count)
    radius = np.where(np.arange(count) % 2 == 0, 1.0, inner)
    return np.column_stack([radius * np.cos(angle), radius * np.sin(angle)])


def _fitted(points: Points, w: float, h: float) -> Points:
    low = points.min(axis=0)
    return np.asarray((points - low) / np.ptp(points, axis=0) * (w, h))


def _rounded(w: float, h: float) -> Outline:
    r = min(CORNER_RADIUS, w / 2, h / 2)
    k = r * (1 - QUARTER_ARC)
    path: list[tuple[float, float]] = [(r, 0)]
    turns = (((w - r, 0), (w - k, 0), (w, k), (w, r)), ((w, h - r), (w, h - k), (w - k, h), (w - r, h)),
             ((r, h), (k, h), (0, h - k), (0, h - r)), ((0, r), (0, k), (k, 0), (r, 0)))  # fmt: skip
    for start, one, other, end in turns:
        last = path[-1]
        # A straight side as a cubic: its control points on the line.
        path += [_on(last, start, 1 / 3), _on(last, start, 2 / 3), start, one, other, end]
    return _outline(path, closed=True, curved=True)


def _on(a: tuple[float, float], b: tuple[float, float], t: float) -> tuple[float, float]:
    return a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])


def _brace(w: float, h: float) -> Outline:
    """A brace over a wide box opens downwards, beside a high one to the right."""
    if w < h:
        upright = _brace(h, w)
        return msgspec.structs.replace(upright, points=tuple((y, x) for x, y in upright.points))
    # However deep the box, a brace is as deep as its two bends.
    depth = min(h, 2 * BRACE)
    top = (h - depth) / 2
    h, middle, r = top + depth, top + depth / 2, min(BRACE, w / 4)
    path: list[tuple[float, float]] = [(0, h), (0, middle), (0, middle), (r, middle)]
    path += [_on((r, middle), (w / 2 - r, middle), 1 / 3), _on((r, middle), (w / 2 - r, middle), 2 / 3)]
    path += [(w / 2 - r, middle), (w / 2, middle), (w / 2, middle), (w / 2, top)]
    path += [(w / 2, middle), (w / 2, middle), (w / 2 + r, middle)]
    path += [
        _on((w / 2 + r, middle), (w - r, middle), 1 / 3),
        _on((w / 2 + r, middle), (w - r, middle), 2 / 3),
    ]
    path += [(w - r, middle), (w, middle), (w, middle), (w, h)]
    return _outline(path, curved=True)


def _axes(kind: FigureKind, w: float, h: float) -> Outline:
    """One axis (level), two crossing in the middle, or a line with a tick every ``TICK_EVERY``."""
    middle = h / 2
    lines: list[list[tuple[float, float]]] = [[(0, middle), (w, middle)], _head(w, middle, -1, 0)]
    if kind == "axes":
        lines += [[(w / 2, h), (w / 2, 0)], _head(w / 2, 0, 0, 1)]
    if kind == "number_line":
        count = min(int((w - 2 * HEAD) / TICK_EVERY), 24)
        ticks = [w / 2 + (number - count / 2) * TICK_EVERY for number in range(count + 1)]
        lines += [[(x, middle - TICK), (x, middle + TICK)] for x in ticks]
        lines.append(_head(0, middle, 1, 0))
    return _parts(lines)


def _head(x: float, y: float, dx: float, dy: float) -> list[tuple[float, float]]:
    """An open arrow head with its tip at (x, y), its line going on towards (dx, dy)."""
    wing = HEAD * 0.55
    return [(x + HEAD * dx - wing * dy, y + HEAD * dy - wing * dx), (x, y),
            (x + HEAD * dx + wing * dy, y + HEAD * dy + wing * dx)]  # fmt: skip
