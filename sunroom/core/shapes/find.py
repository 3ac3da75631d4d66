"""Which exact figures a few strokes could be: line, circle, ellipse, rectangle, square, triangle."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Literal

import cv2
import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import ellipse_bezier, path_length, resample
from sunroom.core.geometry.curves import Points
from sunroom.core.shapes.path import RoughPath, fit_line, join, polygon, polygon_error

Kind = Literal["line", "circle", "ellipse", "rectangle", "square", "triangle"]

#: More strokes than this are writing or a drawing, not one figure.
MAX_STROKES = 6
#: Root mean square error, as a part of the figure's size, at which a fit scores 1/e.
TOLERANCE = 0.045
#: Below this score a figure is not worth offering.
LEAST_SCORE = 0.2
#: Figures within this angle of level or upright are meant to be so.
LEVEL_RAD = math.radians(7)
#: Sides (or axes) within this ratio are meant to be equal.
EQUAL_RATIO = 0.84
#: A hand draws a square with sides of 0.9 often and of 0.75 hardly ever.
EQUAL_STEEPNESS = 20
#: A quadrilateral is a rectangle while its corners stray less than this from right angles.
RIGHT_ANGLE_SLACK_RAD = math.radians(24)


class Figure(msgspec.Struct, frozen=True):
    """An exact figure that the ink may mean.

    ``points`` in page units: corners, or with ``curved`` 1 + 3·n cubic control points.
    """

    kind: Kind
    score: float
    points: tuple[tuple[float, float], ...]
    closed: bool
    curved: bool


def find_shapes(strokes: Sequence[NDArray[np.float64]]) -> list[Figure]:
    """Figures that ``strokes`` may mean together, best first; empty when none is seen.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
        The first two columns are x and y in board units; strokes without length are passed over.
    """
    lines = [stroke[:, :2] for stroke in strokes if path_length(stroke[:, :2]) > 1e-3]
    if not 1 <= len(lines) <= MAX_STROKES:
        return []
    path = join(lines)
    if path is None or path.size < 1e-3:
        return []
    found = _closed_figures(path) if path.closed else _open_figures(path)
    return sorted((f for f in found if f.score >= LEAST_SCORE), key=lambda f: -f.score)


def _score(error: float, tolerance: float = TOLERANCE) -> float:
    return round(math.exp(-((error / tolerance) ** 2)), 3)


def _evenness(ratio: float) -> float:
    """How likely sides or axes of this ratio (0–1) are meant to be equal."""
    return 1 / (1 + math.exp(-(ratio - EQUAL_RATIO) * EQUAL_STEEPNESS))


def _open_figures(path: RoughPath) -> list[Figure]:
    centre, way = fit_line(path.points)
    offsets = path.points - centre
    across = np.abs(offsets[:, 0] * way[1] - offsets[:, 1] * way[0])
    along = offsets @ way
    span = float(np.ptp(along))
    # A line never turns back; ink that is much longer than its span is a scribble or a letter.
    if span <= 0 or path.length > 1.25 * span:
        return []
    score = _score(float(np.sqrt((across**2).mean())) / span, 0.05)
    start, end = centre + along[0] * way, centre + along[-1] * way
    return [Figure("line", score, _rows(np.array(_levelled(start, end))), False, False)]


def _levelled(start: Points, end: Points) -> tuple[Points, Points]:
    """A line that is almost level or upright made so, about its middle."""
    dx, dy = end - start
    middle, half = (start + end) / 2, np.hypot(dx, dy) / 2
    if abs(dy) < math.tan(LEVEL_RAD) * abs(dx):
        return middle - (math.copysign(half, dx), 0), middle + (math.copysign(half, dx), 0)
    if abs(dx) < math.tan(LEVEL_RAD) * abs(dy):
        return middle - (0, math.copysign(half, dy)), middle + (0, math.copysign(half, dy))
    return start, end


def _closed_figures(path: RoughPath) -> list[Figure]:
    found = _round_figures(path)
    for count, build in ((3, _triangle), (4, _rectangle)):
        corners, error = polygon(path, count)
        if error < 0.25:
            found += build(path, corners, error)
    # A polygon with more corners always fits better; one that explains as much with fewer is meant.
    return found


def _round_figures(path: RoughPath) -> list[Figure]:
    ring = resample(path.points, 64)
    (cx, cy), (d1, d2), degrees = cv2.fitEllipseDirect(ring.astype(np.float32))
    rx, ry, angle = d1 / 2, d2 / 2, math.radians(degrees)
    if not (math.isfinite(rx + ry) and 0.02 * path.size < min(rx, ry) and max(rx, ry) < 1.2 * path.size):
        return []
    error = _ellipse_error(ring, cx, cy, rx, ry, angle) / path.size
    # The two shapes share their error; the ratio of the axes decides which is meant.
    ratio = min(rx, ry) / max(rx, ry)
    roundness = _evenness(ratio)
    radius = (rx + ry) / 2
    score = _score(error)
    if rx < ry:
        rx, ry, angle = ry, rx, angle + math.pi / 2
    turn = (angle + math.pi / 2) % math.pi - math.pi / 2
    for level in (0.0, math.pi / 2, -math.pi / 2):
        if abs(turn - level) < 2 * LEVEL_RAD:
            turn = level
    return [
        Figure(
            "circle",
            round(score * roundness, 3),
            _rows(ellipse_bezier(cx, cy, radius, radius, 0)),
            True,
            True,
        ),
        Figure(
            "ellipse",
            round(score * (1 - roundness), 3),
            _rows(ellipse_bezier(cx, cy, rx, ry, turn)),
            True,
            True,
        ),
    ]


def _ellipse_error(points: Points, cx: float, cy: float, rx: float, ry: float, angle: float) -> float:
    """Root mean square of the distance to the ellipse, to first order (Taubin 1991)."""
    c, s = math.cos(angle), math.sin(angle)
    x = ((points[:, 0] - cx) * c + (points[:, 1] - cy) * s) / rx
    y = (-(points[:, 0] - cx) * s + (points[:, 1] - cy) * c) / ry
    value = x**2 + y**2 - 1
    slope = 2 * np.hypot(x / rx, y / ry) + 1e-12
    return float(np.sqrt(np.mean((value / slope) ** 2)))


def _triangle(path: RoughPath, corners: Points, error: float) -> list[Figure]:
    sides = np.hypot(*(corners - np.roll(corners, 1, axis=0)).T)
    if sides.min() < 0.12 * sides.max():
        return []
    corners = _level_sides(corners)
    return [Figure("triangle", _score(error), _rows(corners), True, False)]


def _level_sides(corners: Points) -> Points:
    """A triangle whose one side is almost level or upright, with that side made so."""
    corners = corners.copy()
    for number in range(3):
        other = (number + 1) % 3
        dx, dy = np.abs(corners[other] - corners[number])
        if dy < math.tan(LEVEL_RAD) * dx:
            corners[[number, other], 1] = corners[[number, other], 1].mean()
        elif dx < math.tan(LEVEL_RAD) * dy:
            corners[[number, other], 0] = corners[[number, other], 0].mean()
    return corners


def _rectangle(path: RoughPath, corners: Points, error: float) -> list[Figure]:
    sides = np.roll(corners, -1, axis=0) - corners
    lengths = np.hypot(sides[:, 0], sides[:, 1])
    if lengths.min() < 0.08 * lengths.max():
        return []
    ways = np.arctan2(sides[:, 1], sides[:, 0])
    turns = (np.roll(ways, -1) - ways + math.pi) % (2 * math.pi) - math.pi
    slack = float(np.abs(np.abs(turns) - math.pi / 2).max())
    if slack > RIGHT_ANGLE_SLACK_RAD or abs(turns.sum()) < 6:
        return []
    # All four sides say which way the rectangle is turned, long ones louder; angles count modulo 90°.
    angle = float(np.angle((lengths * np.exp(4j * ways)).sum())) / 4
    if abs(angle) < LEVEL_RAD:
        angle = 0.0
    turn = np.array([[math.cos(angle), -math.sin(angle)], [math.sin(angle), math.cos(angle)]])
    flat = corners @ turn
    low = np.sort(flat, axis=0)[:2].mean(axis=0)
    high = np.sort(flat, axis=0)[2:].mean(axis=0)
    width, height = high - low
    ratio = min(width, height) / max(width, height)
    exact = np.array([low, (high[0], low[1]), high, (low[0], high[1])])
    fit = polygon_error(path.points, exact @ turn.T) / path.size
    # Strayed angles cost as well: a rhombus lies close to some rectangle.
    score = _score((error + fit) / 2 + 0.02 * slack)
    evenness = _evenness(ratio)
    middle, half = (low + high) / 2, (width + height) / 4
    square = np.array([middle + half * np.array(way) for way in ((-1, -1), (1, -1), (1, 1), (-1, 1))])
    return [
        Figure("rectangle", round(score * (1 - evenness), 3), _rows(exact @ turn.T), True, False),
        Figure("square", round(score * evenness, 3), _rows(square @ turn.T), True, False),
    ]


def _rows(points: Points) -> tuple[tuple[float, float], ...]:
    return tuple((round(float(x), 2), round(float(y), 2)) for x, y in points)
