"""What is constructed from lines and figures with ruler and compasses: midpoints, perpendiculars, parallels, bisectors."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.sentences import said

Points = NDArray[np.float64]
Construction = Literal["midpoint", "perpendicular", "parallel", "bisector"]

#: Half the arm of the cross that marks a point, and the least that lines are apart to cross.
CROSS, PARALLEL = 6.0, 1e-6


def construct(what: Construction, figures: Sequence[tuple[Points, bool]], apart: float) -> list[Points]:
    """Lines of what is wished, from figures as their corners and whether they are closed.

    A parallel lies ``apart`` from its line. Raises MalformedError when the figures are not what it is made from.
    """
    if what == "bisector":
        return _bisectors(figures)
    made = []
    for corners, closed in figures:
        ends = np.roll(corners, -1, axis=0) if closed else corners[1:]
        for start, end in zip(corners if closed else corners[:-1], ends, strict=True):
            way = end - start
            length = float(np.hypot(*way))
            if length < 1:
                continue
            way = way / length
            normal, middle = np.array([way[1], -way[0]]), (start + end) / 2
            if what == "midpoint":
                made += [
                    np.array([middle - CROSS * arm, middle + CROSS * arm])
                    for arm in (way + normal, way - normal)
                ]
            elif what == "perpendicular":
                made.append(np.array([middle - normal * length / 2, middle + normal * length / 2]))
            else:
                made.append(np.array([start, end]) + apart * normal)
    return made


def _bisectors(figures: Sequence[tuple[Points, bool]]) -> list[Points]:
    """Of all angles of one figure, or of the angle between two lines."""
    if len(figures) == 2 and all(len(corners) == 2 for corners, _ in figures):
        return _between(figures[0][0], figures[1][0])
    made = []
    for corners, closed in figures:
        count = len(corners)
        if count < 3:
            raise MalformedError("ids", said("a-bisector-needs-an-angle"))
        for at in range(count) if closed else range(1, count - 1):
            corner = corners[at]
            way = _half(corners[at - 1] - corner, corners[(at + 1) % count] - corner)
            reach = max(
                np.hypot(*(corners[at - 1] - corner)), np.hypot(*(corners[(at + 1) % count] - corner))
            )
            made.append(np.array([corner, _to_side(corners, at, way, float(reach), closed)]))
    return made


def _to_side(corners: Points, at: int, way: Points, reach: float, closed: bool) -> Points:
    """Where a line from a corner meets the figure's other sides; so far when it meets none."""
    corner = corners[at]
    hits = [reach]
    count = len(corners)
    if closed:
        hits = []
        for n in range(count):
            if n in (at, (at - 1) % count):
                continue
            side = corners[(n + 1) % count] - corners[n]
            cross = way[0] * side[1] - way[1] * side[0]
            if abs(cross) < PARALLEL:
                continue
            offset = corners[n] - corner
            t = (offset[0] * side[1] - offset[1] * side[0]) / cross
            s = (offset[0] * way[1] - offset[1] * way[0]) / cross
            if t > PARALLEL and -PARALLEL <= s <= 1 + PARALLEL:
                hits.append(float(t))
    return np.asarray(corner + way * (min(hits) if hits else reach))


def _between(one: Points, other: Points) -> list[Points]:
    """The bisector of the angle at which two lines meet, or would."""
    a, b = one[1] - one[0], other[1] - other[0]
    cross = a[0] * b[1] - a[1] * b[0]
    if abs(cross) < PARALLEL * np.hypot(*a) * np.hypot(*b):
        raise MalformedError("ids", said("a-bisector-needs-an-angle"))
    offset = other[0] - one[0]
    corner = one[0] + a * (offset[0] * b[1] - offset[1] * b[0]) / cross
    # From the crossing towards the further end of each.
    arms = [max(line, key=lambda end: float(np.hypot(*(end - corner)))) - corner for line in (one, other)]
    way = _half(arms[0], arms[1])
    return [np.array([corner, corner + way * max(np.hypot(*arms[0]), np.hypot(*arms[1]))])]


def _half(one: Points, other: Points) -> Points:
    way = one / np.hypot(*one) + other / np.hypot(*other)
    length = float(np.hypot(*way))
    # Of a straight angle it is the perpendicular.
    return np.asarray(way / length if length > PARALLEL else np.array([-one[1], one[0]]) / np.hypot(*one))
