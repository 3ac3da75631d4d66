"""Figures made even with others, as an offer: the same size as a neighbour of the same kind, and in one row."""

from __future__ import annotations

from collections.abc import Sequence

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Box
from sunroom.core.shapes.figures import FigureKind
from sunroom.core.shapes.find import Figure
from sunroom.core.shapes.sketch import Part

#: Sizes that differ by no more than this part of the larger may be meant to be the same.
ALIKE = 0.22
#: Middles off each other by no more than this part of the larger size may be meant to be in one line.
IN_LINE = 0.16
#: A neighbour is no further away than this many of its sizes.
NEAR = 4.0

#: Another closed figure of the page: what it is drawn as, and its box.
Neighbour = tuple[FigureKind, Box]


def like_neighbour(figure: Figure, neighbours: Sequence[Neighbour]) -> Figure | None:
    """``figure`` about its middle in the size of its nearest neighbour of the same kind, when that is near it."""
    if not figure.closed:
        return None
    box = _box(figure)
    near = [
        (box.gap(other), other)
        for kind, other in neighbours
        if kind == figure.figure and box.gap(other) < NEAR * max(other.width, other.height)
    ]
    for _, other in sorted(near, key=lambda pair: pair[0]):
        if (box.width, box.height) == (other.width, other.height):
            return None
        if _alike(box.width, other.width) and _alike(box.height, other.height):
            made = _in_box(figure, box.middle, other.width, other.height)
            return msgspec.structs.replace(made, form="same-size")
    return None


def evened(parts: Sequence[Part]) -> list[Part]:
    """A sketch whose closed figures of a kind have one size where they nearly had, in rows and columns.

    The same parts when nothing is nearly even.
    """
    closed = [number for number, part in enumerate(parts) if part.figure.closed]
    boxes = [_box(parts[number].figure) for number in closed]
    kinds = [parts[number].figure.figure for number in closed]
    widths = _levelled(np.array([box.width for box in boxes]), kinds)
    heights = _levelled(np.array([box.height for box in boxes]), kinds)
    size = max((max(box.width, box.height) for box in boxes), default=1.0)
    xs = _gathered(np.array([box.middle[0] for box in boxes]), IN_LINE * size)
    ys = _gathered(np.array([box.middle[1] for box in boxes]), IN_LINE * size)
    made = list(parts)
    for n, number in enumerate(closed):
        figure = _in_box(parts[number].figure, np.array((xs[n], ys[n])), widths[n], heights[n])
        made[number] = msgspec.structs.replace(parts[number], figure=figure)
    return made


def _levelled(sizes: NDArray[np.float64], kinds: Sequence[FigureKind]) -> NDArray[np.float64]:
    """Sizes of figures of one kind that are nearly the same, made their mean."""
    made = sizes.copy()
    for kind in dict.fromkeys(kinds):
        of_kind = np.array([n for n, other in enumerate(kinds) if other == kind])
        largest = float(sizes[of_kind].max())
        made[of_kind] = _gathered(sizes[of_kind], ALIKE * largest)
    return made


def _gathered(values: NDArray[np.float64], within: float) -> NDArray[np.float64]:
    """Values that lie within a range of each other, made their mean."""
    made = values.copy()
    left = list(np.argsort(values))
    while left:
        group = [n for n in left if values[n] - values[left[0]] <= within]
        made[group] = values[group].mean()
        left = [n for n in left if n not in group]
    return made


def _alike(a: float, b: float) -> bool:
    return abs(a - b) <= ALIKE * max(a, b)


def _in_box(figure: Figure, middle: NDArray[np.float64], width: float, height: float) -> Figure:
    """The figure stretched to a box."""
    box = _box(figure)
    scale = np.array((width / max(box.width, 1e-6), height / max(box.height, 1e-6)))
    points = (np.array(figure.points) - box.middle) * scale + middle
    rounded = tuple((round(float(x), 2), round(float(y), 2)) for x, y in points)
    return msgspec.structs.replace(figure, points=rounded)


def _box(figure: Figure) -> Box:
    """The box of a figure: its corners, or the control points of its curves, which reach as far."""
    return Box.of(np.array(figure.points, dtype=float))
