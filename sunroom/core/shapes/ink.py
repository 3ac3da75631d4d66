"""The ink of one figure, what several fits ask of it, and the exact figure that a fit makes."""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import cached_property
from typing import Literal

import msgspec
import numpy as np

from sunroom.core.geometry import flatten_cubics, path_length, resample
from sunroom.core.geometry.curves import Points
from sunroom.core.ink import Ends
from sunroom.core.shapes.figures import FigureKind
from sunroom.core.shapes.path import Ring, RoughPath, join, nearest_line

Form = Literal["", "right", "isosceles", "equilateral", "same-size"]

#: Figures within this angle of level or upright are meant to be so.
LEVEL_RAD = math.radians(8)
ERROR_POINTS = 160
#: A polygon further from the ink than this part of its size explains nothing.
FAR = 0.5


class Fitted(msgspec.Struct, frozen=True):
    """An exact figure: its points as in core.board.items.ShapeItem, in board units."""

    figure: FigureKind
    points: Points
    closed: bool = False
    curved: bool = False
    parts: tuple[int, ...] = ()
    ends: Ends = "none"
    form: Form = ""

    def lines(self) -> list[Points]:
        """What is drawn, as polylines."""
        lines = np.split(self.points, np.cumsum(self.parts)[:-1]) if self.parts else [self.points]
        if self.curved:
            lines = [flatten_cubics(line) for line in lines]
        return [np.vstack([line, line[:1]]) for line in lines] if self.closed else lines


class Ink:
    """The strokes of one figure, and what several fits ask of them."""

    def __init__(self, strokes: Sequence[Points]) -> None:
        self.strokes = [stroke[:, :2] for stroke in strokes]
        self.everything = np.vstack(self.strokes)
        self.low, self.high = self.everything.min(axis=0), self.everything.max(axis=0)
        self.size = float(np.hypot(*(self.high - self.low)))
        self._corners: dict[int, Points | None] = {}
        #: Points spread evenly over the ink, however fast it was drawn.
        total = sum(path_length(stroke) for stroke in self.strokes) or 1.0
        self.even = np.vstack(
            [resample(s, max(2, round(ERROR_POINTS * path_length(s) / total))) for s in self.strokes]
        )

    @cached_property
    def path(self) -> RoughPath:
        """One path through all strokes; around the middle when they do not meet."""
        return join(self.strokes) or RoughPath(_around(self.even))

    @cached_property
    def _ring(self) -> Ring:
        return Ring(self.path)

    def corners(self, count: int) -> Points | None:
        """The corners of the polygon of ``count`` sides nearest to the ink; None when it is far from one."""
        if count not in self._corners:
            found, error = self._ring.polygon(count)
            self._corners[count] = found if error < FAR else None
        return self._corners[count]


def _around(points: Points) -> Points:
    middle = points.mean(axis=0)
    order = np.argsort(np.arctan2(*(points - middle).T[::-1]))
    ring = points[order]
    return np.vstack([ring, ring[:1]])


def spine(points: Points, drawn: Points) -> tuple[Points, Points]:
    """The ends of the line through ``points``, in the direction in which ``drawn`` runs."""
    centre, way = nearest_line(points)
    if float(np.dot(drawn[-1] - drawn[0], way)) < 0:
        way = -way
    along = (points - centre) @ way
    return centre + along.min() * way, centre + along.max() * way


def levelled(start: Points, end: Points) -> tuple[Points, Points]:
    """A line that is almost level or upright made so, about its middle."""
    dx, dy = end - start
    middle, half = (start + end) / 2, np.hypot(dx, dy) / 2
    if abs(dy) < math.tan(LEVEL_RAD) * abs(dx):
        return middle - (math.copysign(half, dx), 0), middle + (math.copysign(half, dx), 0)
    if abs(dx) < math.tan(LEVEL_RAD) * abs(dy):
        return middle - (0, math.copysign(half, dy)), middle + (0, math.copysign(half, dy))
    return start, end


def in_parts(figure: FigureKind, lines: list[list[tuple[float, float]]]) -> Fitted:
    points = np.array([point for line in lines for point in line])
    return Fitted(figure, points, parts=tuple(len(line) for line in lines))


def distance(fitted: Fitted, ink: Ink) -> float:
    """Root mean square distance of the ink from the figure, as a part of the ink's size."""
    starts = np.vstack([line[:-1] for line in fitted.lines()])
    ends = np.vstack([line[1:] for line in fitted.lines()])
    points = ink.even
    if fitted.ends != "none":
        # Heads are not among the points: ink about the tips is passed over.
        tips = fitted.points[-1:] if fitted.ends == "arrow" else fitted.points[[0, -1]]
        far = np.min([np.hypot(*(points - tip).T) for tip in tips], axis=0) > 0.35 * ink.size
        points = points[far] if far.sum() > 3 else points
    sides = ends - starts
    lengths = (sides**2).sum(axis=1) + 1e-12
    offsets = points[:, None] - starts[None]
    t = np.clip((offsets * sides).sum(axis=2) / lengths, 0, 1)
    gaps = np.hypot(*np.moveaxis(points[:, None] - starts - t[..., None] * sides, 2, 0)).min(axis=1)
    return float(np.sqrt((gaps**2).mean())) / max(ink.size, 1e-9)
