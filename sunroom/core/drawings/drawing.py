"""What drawings are drawn with: figures, polylines and smooth lines in a square of ``SIDE`` board units."""

from __future__ import annotations

from collections.abc import Callable, Sequence

import numpy as np

from sunroom.core.board.items import Item, ShapeItem
from sunroom.core.geometry import ellipse_bezier
from sunroom.core.shapes.figures import FigureKind, draw_figure

SIDE = 200.0
INK = "#16222b"
WHITE, SAND, SUN, LEAF, MOSS, SKY, WATER, CLAY, ROSE, STONE, WOOD = (
    "#fffefa", "#f1e9d8", "#f2c230", "#7fb58f", "#2f7d5b", "#cfe3f2", "#6fa8d6", "#c8694e", "#f0c3b4", "#c9d3cd", "#b98a5a",
)  # fmt: skip
WIDTH = 3.0

Point = tuple[float, float]


class Picture:
    """A drawing being made, with ids ``part-1`` … in their order from below."""

    def __init__(self) -> None:
        self.items: list[Item] = []

    def figure(
        self, kind: FigureKind, x: float, y: float, w: float, h: float, fill: str = "", width: float = WIDTH
    ) -> None:
        """A figure with its upper left corner at (x, y)."""
        made = draw_figure(kind, w, h)
        self._add(kind, x, y, made.points, made.closed, made.curved, fill, width, made.parts)

    def oval(
        self, x: float, y: float, rx: float, ry: float | None = None, fill: str = "", width: float = WIDTH
    ) -> None:
        """An ellipse about its middle."""
        self.figure(
            "circle" if ry is None else "ellipse", x - rx, y - (ry or rx), 2 * rx, 2 * (ry or rx), fill, width
        )

    def turned(self, x: float, y: float, rx: float, ry: float, degrees: float, fill: str = "") -> None:
        """An ellipse turned clockwise."""
        points = ellipse_bezier(0.0, 0.0, rx, ry, np.radians(degrees))
        self._add("ellipse", x, y, [(float(px), float(py)) for px, py in points], True, True, fill, WIDTH)

    def dot(self, x: float, y: float, r: float = 4.0) -> None:
        self.oval(x, y, r, fill=INK, width=1.0)

    def line(self, *points: Point, width: float = WIDTH) -> None:
        self._path(points, False, "", width)

    def area(self, *points: Point, fill: str = WHITE, width: float = WIDTH) -> None:
        self._path(points, True, fill, width)

    def curve(self, *points: Point, width: float = WIDTH) -> None:
        """A smooth line through points."""
        self._smooth(points, False, "", width)

    def blob(self, *points: Point, fill: str = WHITE, width: float = WIDTH) -> None:
        """A smooth outline through points."""
        self._smooth(points, True, fill, width)

    def _path(self, points: Sequence[Point], closed: bool, fill: str, width: float) -> None:
        x, y = points[0]
        self._add("polyline", x, y, [(px - x, py - y) for px, py in points], closed, False, fill, width)

    def _smooth(self, points: Sequence[Point], closed: bool, fill: str, width: float) -> None:
        x, y = points[0]
        chain = [(px - x, py - y) for px, py in _through(points, closed)]
        self._add("curve", x, y, chain, closed, True, fill, width)

    def _add(
        self,
        kind: FigureKind,
        x: float,
        y: float,
        points: Sequence[Point],
        closed: bool,
        curved: bool,
        fill: str,
        width: float,
        parts: tuple[int, ...] = (),
    ) -> None:
        self.items.append(
            ShapeItem(
                id=f"part-{len(self.items) + 1}", x=x, y=y, figure=kind, points=tuple(points), parts=parts, closed=closed,
                curved=curved, colour=INK, width=width, fill=fill,
            )
        )  # fmt: skip


def _through(points: Sequence[Point], closed: bool) -> list[Point]:
    """Cubic control points, 1 + 3·n, of a smooth line through points (centripetal ends, Catmull–Rom between)."""
    p = np.asarray(points, dtype=float)
    before = np.roll(p, 1, axis=0) if closed else np.vstack([p[:1], p[:-1]])
    after = np.roll(p, -1, axis=0) if closed else np.vstack([p[1:], p[-1:]])
    way = (after - before) / 6
    chain = [p[0]]
    for n in range(len(p) if closed else len(p) - 1):
        nxt = (n + 1) % len(p)
        chain += [p[n] + way[n], p[nxt] - way[nxt], p[nxt]]
    return [(round(float(x), 2), round(float(y), 2)) for x, y in chain]


Drawing = Callable[[Picture], None]
