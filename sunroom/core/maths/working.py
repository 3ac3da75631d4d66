"""Lines of working in written maths: where one line ends and another begins below it, and where a fraction goes on.

Wherever nothing is written from the left to the right edge a line may end. Whether one does is told by how wide that room
is and by what the net of formulas (core.maths.strokes) says of the strokes on both sides: a numerator hangs on the stroke
below it, an index on what it belongs to, and what begins a line of its own hangs on nothing but the line above.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from sunroom.core.maths.hanging import Numbers
from sunroom.core.maths.written_latex import ABOVE, BELOW, INSIDE, RIGHT, SUB, SUP

#: Room counts from so many heights of a usual stroke on; that is as high as three of four are not.
LEAST_ROOM, USUAL = 0.02, 0.75
#: A level stroke, by its height in widths and its width in heights of a usual one; and how its neighbours' distance counts.
LEVEL, LEAST_WIDTH, NEAR = 0.35, 0.5, 0.4
#: How likely (log odds) a line ends in a room: of every room, and by each evidence (see Room); fitted by training.workings.
WEIGHTS = (3.12, 1.56, -0.47, -5.01, -0.08, -1.77, 1.37, -5.23, -2.14, -1.45)
#: The same by room and stroke alone, for more ink than the net looks at.
PLAIN_WEIGHTS = (2.2, 1.74, -3.56)


class Said(NamedTuple):
    """What the net says of n strokes, as logs of shares but for ``same``.

    ``signs`` (n, classes); ``same`` (n, n), log odds of two being one sign; ``at_stroke`` (n, n, relations), the first
    hanging on the second; ``at_none`` (n,), hanging on nothing.
    """

    signs: Numbers
    same: Numbers
    at_stroke: Numbers
    at_none: Numbers


class Room(NamedTuple):
    """Room from edge to edge, and what speaks for and against a line that ends there, shares from 0 to 1."""

    #: The strokes above by number.
    above: frozenset[int]
    #: Log of its width in heights of a usual stroke.
    width: float
    #: Some stroke above and another below are one sign.
    together: float = 0.0
    #: One above hangs on one below, as a numerator does.
    upward: float = 0.0
    #: One below is beside, at the foot or at the head of one above, and inside of it.
    script: float = 0.0
    inside: float = 0.0
    #: One below hangs under one above: as lines do,
    below: float = 0.0
    #: and as a denominator does, which the stroke above does not have yet, and as limits do.
    denominator: float = 0.0
    limit: float = 0.0
    #: A level stroke is near to what stands across the room.
    stroke: float = 0.0

    @property
    def log_odds(self) -> float:
        return float(np.dot(WEIGHTS, (1.0, *self[1:])))

    @property
    def plain_log_odds(self) -> float:
        return float(np.dot(PLAIN_WEIGHTS, (1.0, self.width, self.stroke)))


def parts_of_working(strokes: Sequence[Numbers], most: int) -> list[list[int]]:
    """Strokes by number in parts from the top, of no more than ``most`` each if that can be, by room alone."""
    rooms = sorted(rooms_of(strokes), key=lambda room: -room.plain_log_odds)
    cut: list[Room] = []
    parts = parted(len(strokes), cut)
    while max(map(len, parts)) > most and rooms:
        cut.append(rooms.pop(0))
        parts = parted(len(strokes), cut)
    return parts


def parted(count: int, rooms: Sequence[Room]) -> list[list[int]]:
    """Strokes by number, from the top, cut where these ``rooms`` are."""
    parts, done = [], set[int]()
    for above in (*sorted((room.above for room in rooms), key=len), frozenset(range(count))):
        parts.append(sorted(above - done))
        done |= above
    return parts


def rooms_of(
    strokes: Sequence[Numbers], said: Said | None = None, limited: NDArray[np.int_] | None = None
) -> list[Room]:
    """Where a line may end, from the top; without what the net says of the ``strokes`` by their places alone."""
    low = np.array([stroke[:, :2].min(axis=0) for stroke in strokes])
    high = np.array([stroke[:, :2].max(axis=0) for stroke in strokes])
    heights = np.sort(high[:, 1] - low[:, 1])
    usual = max(float(heights[int(USUAL * len(heights))]), 1e-6)
    across = _across_level_strokes(low, high, usual)
    found = []
    order = np.argsort(low[:, 1], kind="stable")
    foot = high[order[0], 1]
    for number, at in enumerate(order[1:], 1):
        width = (low[at, 1] - foot) / usual
        if width > LEAST_ROOM:
            above = np.zeros(len(strokes), bool)
            above[order[:number]] = True
            stroke = max((near for one, other, near in across if above[one] != above[other]), default=0.0)
            place = frozenset(order[:number].tolist()), math.log(width)
            evidence = () if said is None or limited is None else _evidence(above, said, limited)
            found.append(Room(*place, *evidence)._replace(stroke=stroke))
        foot = max(foot, high[at, 1])
    return found


def _evidence(above: NDArray[np.bool_], said: Said, limited: NDArray[np.int_]) -> tuple[float, ...]:
    shares = np.exp(said.at_stroke)
    up, down = np.flatnonzero(above), np.flatnonzero(~above)
    downward = shares[np.ix_(down, up)]
    under = downward[..., BELOW]
    parent = up[np.unravel_index(int(under.argmax()), under.shape)[1]]
    below = float(under.sum(axis=1).max())
    at_parent = shares[up, parent]
    return (
        float(1 / (1 + np.exp(-said.same[np.ix_(up, down)].max()))),
        float(shares[np.ix_(up, down)].sum(axis=(1, 2)).max()),
        float(downward[..., [RIGHT, SUP, SUB, ABOVE]].sum(axis=(1, 2)).max()),
        float(downward[..., INSIDE].sum(axis=1).max()),
        below,
        below * float(at_parent[:, ABOVE].max() * (1 - at_parent[:, BELOW].max())),
        below * float(np.exp(said.signs[parent, limited]).sum()),
    )


def _across_level_strokes(low: Numbers, high: Numbers, usual: float) -> list[tuple[int, int, float]]:
    """Level strokes with ink above and below: each with its neighbour, and how near that is, from 0 to 1."""
    found = []
    middle, width = (low + high) / 2, high[:, 0] - low[:, 0]
    level = (high[:, 1] - low[:, 1] < LEVEL * width) & (width > LEAST_WIDTH * usual)
    for at in np.flatnonzero(level):
        beside = np.abs(middle[:, 0] - middle[at, 0]) < 0.6 * width[at]
        beside[at] = False
        over = np.flatnonzero(beside & (middle[:, 1] < low[at, 1]))
        under = np.flatnonzero(beside & (middle[:, 1] > high[at, 1]))
        if not len(over) or not len(under):
            continue
        one, other = int(over[high[over, 1].argmax()]), int(under[low[under, 1].argmin()])
        away = max(low[at, 1] - high[one, 1], 0.0) / usual, max(low[other, 1] - high[at, 1], 0.0) / usual
        for neighbour, own, opposite in ((one, *away), (other, *away[::-1])):
            if not level[neighbour]:
                near = math.exp(-own / NEAR) * math.exp(-max(opposite - LEVEL, 0.0) / NEAR)
                found.append((int(at), neighbour, near))
    return found
