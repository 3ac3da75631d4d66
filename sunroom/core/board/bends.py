"""How elbows and curves bend between their ends: kept when an end moves, changed by a handle."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.board.items import ShapeItem

Point = tuple[float, float]
Points = NDArray[np.float64]

#: A part of an elbow that is shorter is none; a curve that is nearer to its plain course has not been bent.
LEAST, NEAR = 1.0, 0.5
#: An elbow's middle part stands no further beyond its ends, in lengths of the way between them.
BEYOND = 3.0


def bent(
    line: ShapeItem, start: Points, end: Points, inner: Sequence[Point] = (), across: bool | None = None
) -> Points:
    """The course of a line, elbow or curve from ``start`` to ``end`` (page units), bent as ``line`` is.

    Parameters
    ----------
    inner : sequence of points
        Where handles were put: one on an elbow's middle part, or a curve's two control points.
    across : bool or None
        Whether an elbow leaves its ends level; None: as it does.

    Returns
    -------
    (N, 2) array
        Of an elbow its corners, 2 to 4; of a curve its four control points.
    """
    was = line.placement.points(np.array(line.points, float))
    if line.figure == "elbow":
        return _elbow(was, start, end, inner, across)
    if line.figure == "curve":
        return _curve(was, start, end, inner)
    return np.array([start, end])


def _elbow(was: Points, start: Points, end: Points, inner: Sequence[Point], across: bool | None) -> Points:
    first = np.abs(was[1] - was[0])
    was_across = bool(first[0] >= first[1])
    axis = 0 if (was_across if across is None else across) else 1
    span = float(end[axis] - start[axis])
    if abs(span) < LEAST or abs(end[1 - axis] - start[1 - axis]) < LEAST:
        return np.array([start, end])
    share = 0.5
    if len(inner) == 1:
        share = (inner[0][axis] - start[axis]) / span
    elif axis == (0 if was_across else 1) and len(was) in (3, 4):
        before = was[-1, axis] - was[0, axis]
        share = (was[1, axis] - was[0, axis]) / before if abs(before) >= LEAST else 0.5
    at = float(start[axis] + min(max(share, -BEYOND), 1 + BEYOND) * span)
    # Of an elbow whose middle part stands at one of its ends two sides are left.
    if abs(at - start[axis]) < LEAST:
        at, kept = float(start[axis]), [0, 2, 3]
    elif abs(at - end[axis]) < LEAST:
        at, kept = float(end[axis]), [0, 1, 2]
    else:
        kept = [0, 1, 2, 3]
    corners = np.array([start, start, end, end])
    corners[1:3, axis] = at
    return corners[kept]


def _curve(was: Points, start: Points, end: Points, inner: Sequence[Point]) -> Points:
    if len(inner) == 2:
        return np.array([start, *inner, end], float)
    plain = _plain(start, end)
    if len(was) != 4 or np.abs(was - _plain(was[0], was[3])).max() < NEAR:
        return plain
    chord, way = complex(*(was[3] - was[0])), complex(*(end - start))
    if abs(chord) < LEAST:
        return plain
    # The bend turns and grows with the way between the ends.
    turned = [complex(*(point - was[0])) * way / chord for point in was[1:3]]
    return np.array([start, *([start[0] + z.real, start[1] + z.imag] for z in turned), end])


def _plain(start: Points, end: Points) -> Points:
    """A curve that leaves its ends level (core.shapes.figures)."""
    middle = (start[0] + end[0]) / 2
    return np.array([start, [middle, start[1]], [middle, end[1]], end])
