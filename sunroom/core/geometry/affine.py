"""Affine maps of the plane, written as canvas and PDF write them: six numbers a, b, c, d, e, f."""

from __future__ import annotations

import math

import msgspec
import numpy as np
from numpy.typing import NDArray


class Affine(msgspec.Struct, frozen=True, array_like=True):
    """Takes (u, v) to (a·u + c·v + e, b·u + d·v + f)."""

    a: float = 1.0
    b: float = 0.0
    c: float = 0.0
    d: float = 1.0
    e: float = 0.0
    f: float = 0.0

    @staticmethod
    def about(x: float, y: float, a: float, b: float, c: float, d: float) -> Affine:
        """The linear map a, b, c, d with (x, y) left where it is."""
        return Affine(a, b, c, d, x - a * x - c * y, y - b * x - d * y)

    @staticmethod
    def turn(angle_rad: float) -> Affine:
        """The turn about the origin, from the x axis towards the y axis."""
        c, s = math.cos(angle_rad), math.sin(angle_rad)
        return Affine(c, s, -s, c)

    @property
    def det(self) -> float:
        """How much areas grow; negative when the map mirrors."""
        return self.a * self.d - self.b * self.c

    @property
    def growth(self) -> float:
        """How much lengths grow on average: the root of ``det`` without its sign."""
        return math.sqrt(abs(self.det))

    def point(self, x: float, y: float) -> tuple[float, float]:
        return self.a * x + self.c * y + self.e, self.b * x + self.d * y + self.f

    def points(self, points: NDArray[np.float64]) -> NDArray[np.float64]:
        """Where ``points`` ((N, 2)) come to lie: (N, 2)."""
        linear = np.array([(self.a, self.b), (self.c, self.d)])
        return np.asarray(points @ linear + (self.e, self.f))

    def inverse(self) -> Affine:
        """The map back; ``det`` must not be 0."""
        a, b, c, d = self.d / self.det, -self.b / self.det, -self.c / self.det, self.a / self.det
        return Affine(a, b, c, d, -a * self.e - c * self.f, -b * self.e - d * self.f)

    def after(self, first: Affine) -> Affine:
        """The map that does ``first`` and then this one."""
        e, f = self.point(first.e, first.f)
        return Affine(
            self.a * first.a + self.c * first.b,
            self.b * first.a + self.d * first.b,
            self.a * first.c + self.c * first.d,
            self.b * first.c + self.d * first.d,
            e,
            f,
        )
