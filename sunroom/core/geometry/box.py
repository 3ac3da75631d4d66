"""Axis-parallel boxes in board units, origin top left, y down."""

from __future__ import annotations

import math
from collections.abc import Iterable

import msgspec
import numpy as np
from numpy.typing import NDArray


class Box(msgspec.Struct, frozen=True, array_like=True):
    """A box from (x0, y0) to (x1, y1); x0 <= x1 and y0 <= y1."""

    x0: float
    y0: float
    x1: float
    y1: float

    @staticmethod
    def of(points: NDArray[np.float64], margin: float = 0.0) -> Box:
        """The box of ``points`` ((N, 2), N >= 1), grown by ``margin`` on each side."""
        low, high = points.min(axis=0), points.max(axis=0)
        return Box(
            float(low[0]) - margin, float(low[1]) - margin, float(high[0]) + margin, float(high[1]) + margin
        )

    @staticmethod
    def union(boxes: Iterable[Box]) -> Box | None:
        """The smallest box around ``boxes``; None when there are none."""
        rows = list(boxes)
        if not rows:
            return None
        return Box(
            min(box.x0 for box in rows),
            min(box.y0 for box in rows),
            max(box.x1 for box in rows),
            max(box.y1 for box in rows),
        )

    @property
    def width(self) -> float:
        return self.x1 - self.x0

    @property
    def height(self) -> float:
        return self.y1 - self.y0

    @property
    def middle(self) -> NDArray[np.float64]:
        """(2,)"""
        return np.array([(self.x0 + self.x1) / 2, (self.y0 + self.y1) / 2])

    def gap(self, other: Box) -> float:
        """How far it is from here to ``other``; 0 when they overlap."""
        dx = max(self.x0 - other.x1, other.x0 - self.x1, 0.0)
        return math.hypot(dx, max(self.y0 - other.y1, other.y0 - self.y1, 0.0))

    def corners(self) -> NDArray[np.float64]:
        """(4, 2), clockwise from the upper left."""
        return np.array([(self.x0, self.y0), (self.x1, self.y0), (self.x1, self.y1), (self.x0, self.y1)])

    def grown(self, margin: float) -> Box:
        return Box(self.x0 - margin, self.y0 - margin, self.x1 + margin, self.y1 + margin)

    def moved(self, dx: float, dy: float) -> Box:
        return Box(self.x0 + dx, self.y0 + dy, self.x1 + dx, self.y1 + dy)

    def contains(self, other: Box) -> bool:
        """Whether all of the other box lies in this one."""
        return self.x0 <= other.x0 and self.y0 <= other.y0 and other.x1 <= self.x1 and other.y1 <= self.y1

    def overlaps(self, other: Box) -> bool:
        return self.x0 <= other.x1 and other.x0 <= self.x1 and self.y0 <= other.y1 and other.y0 <= self.y1
