"""Rubbing out: what an eraser's path leaves of each stroke, cut exactly where the eraser's edge passed."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.geometry.curves import Points
from sunroom.core.sentences import said

#: Less than this many samples' distance is a crumb that nobody can see or erase again.
LEAST_STRETCH = 1e-3

#: Pieces of strokes that are held against pieces of the path, about half a microsecond each.
MAX_PAIRS = 2_000_000
#: Pieces of the path that are looked at together: it bounds memory.
PATH_PART = 64

#: From one sample number to another; between samples in proportion.
Stretch = tuple[float, float]


def rubbed(
    strokes: Sequence[Points], reaches: Sequence[float], path: NDArray[np.float64]
) -> list[list[Stretch] | None]:
    """The stretches of each stroke that an eraser leaves.

    Parameters
    ----------
    strokes : sequence of (N, 2) float arrays
        The samples' places on the page; N >= 1.
    reaches : sequence of float
        Half the width of each stroke: the eraser takes what its edge touches, not only the middle line.
    path : (K, 3) float array
        x, y and radius of the eraser; between two of them it has the larger radius. K >= 1.

    Returns
    -------
    list of (list of (float, float) or None)
        For each stroke ranges of sample numbers, in order, empty when nothing is left; None for an
        untouched stroke.

    Raises
    ------
    MalformedError
        When more than ``MAX_PAIRS`` pieces of strokes and path lie near each other.
    """
    steps = path if len(path) > 1 else np.repeat(path, 2, axis=0)
    begins, ends = steps[:-1, :2], steps[1:, :2]
    radii = np.maximum(steps[:-1, 2], steps[1:, 2])
    # The boxes of all pieces of the path with the eraser around them.
    low = np.minimum(begins, ends) - radii[:, None]
    high = np.maximum(begins, ends) + radii[:, None]
    left: list[list[Stretch] | None] = []
    room = MAX_PAIRS
    for stroke, reach in zip(strokes, reaches, strict=True):
        # A dot is a stretch without length.
        points = stroke if len(stroke) > 1 else np.repeat(stroke, 2, axis=0)
        lowest, highest = points.min(axis=0) - reach, points.max(axis=0) + reach
        over = np.flatnonzero(((high >= lowest) & (low <= highest)).all(axis=1))
        taken: list[tuple[Points, Points]] = []
        for start in range(0, len(over), PATH_PART):
            some = over[start : start + PATH_PART]
            piece, of = np.nonzero(_overlapping(points, reach, low[some], high[some]))
            room -= len(piece)
            if room < 0:
                raise MalformedError("path", said("that-rubs-over-too-much"))
            if len(piece):
                way = points[piece + 1] - points[piece]
                part = some[of]
                first, last = _inside(points[piece], way, begins[part], ends[part], radii[part] + reach)
                hit = first <= last
                taken.append(((piece + first)[hit], (piece + last)[hit]))
        ranges = _merged(taken)
        left.append(_left(ranges, len(stroke)) if ranges else None)
    return left


def _overlapping(points: Points, reach: float, low: Points, high: Points) -> NDArray[np.bool_]:
    """Which pieces between points ((N, 2)) have boxes that overlap those from ``low`` to ``high`` ((K, 2)): (N - 1, K)."""
    lowest = np.minimum(points[:-1], points[1:]) - reach
    highest = np.maximum(points[:-1], points[1:]) + reach
    found = (high[None, :, 0] >= lowest[:, None, 0]) & (low[None, :, 0] <= highest[:, None, 0])
    found &= (high[None, :, 1] >= lowest[:, None, 1]) & (low[None, :, 1] <= highest[:, None, 1])
    return np.asarray(found)


def _merged(found: list[tuple[Points, Points]]) -> list[Stretch]:
    """Ranges in order, those that touch made one."""
    if not found:
        return []
    first = np.concatenate([pair[0] for pair in found])
    last = np.concatenate([pair[1] for pair in found])
    if not len(first):
        return []
    order = np.argsort(first)
    first, last = first[order], np.maximum.accumulate(last[order])
    begins = np.concatenate([[True], first[1:] > last[:-1] + LEAST_STRETCH])
    ends = np.concatenate([np.flatnonzero(begins)[1:] - 1, [len(first) - 1]])
    return list(zip(first[begins].tolist(), last[ends].tolist(), strict=True))


def cut(samples: NDArray[np.float64], stretch: Stretch) -> NDArray[np.float64]:
    """The samples of one stretch, (M, K), its ends put in between samples where they fall there."""
    first, last = stretch
    inner = samples[int(np.floor(first)) + 1 : int(np.ceil(last))]
    return np.vstack([_between(samples, first), inner, _between(samples, last)])


def _between(samples: NDArray[np.float64], at: float) -> NDArray[np.float64]:
    before = min(int(at), len(samples) - 1)
    after = min(before + 1, len(samples) - 1)
    return np.asarray(samples[before] + (at - before) * (samples[after] - samples[before]))


def _left(taken: list[Stretch], count: int) -> list[Stretch]:
    """What lies between the ranges ``taken`` of a stroke with ``count`` samples."""
    left, at = [], 0.0
    for first, last in taken:
        if first > at + LEAST_STRETCH:
            left.append((at, first))
        at = last
    if count - 1 > at + LEAST_STRETCH:
        left.append((at, float(count - 1)))
    return left


def _inside(
    starts: Points, ways: Points, begins: Points, ends: Points, radius: NDArray[np.float64]
) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """The part (0–1) of each segment inside the capsule around its ``begins``–``ends``; first > last when none.

    A capsule is convex, so the part is one range: the hull of what its two discs and its middle hold.
    """
    parts = [_in_disc(starts - centre, ways, radius) for centre in (begins, ends)]
    along = ends - begins
    length = np.hypot(along[:, 0], along[:, 1])
    along = along / np.where(length > 0, length, 1.0)[:, None]
    across = np.column_stack([-along[:, 1], along[:, 0]])
    offset = starts - begins
    span = _in_band(_dot(offset, along), _dot(ways, along), np.zeros(len(starts)), length)
    band = _in_band(_dot(offset, across), _dot(ways, across), -radius, radius)
    middle = np.maximum(span[0], band[0]), np.minimum(span[1], band[1])
    # An eraser that was only set down has no middle.
    parts.append((np.where(length > 0, middle[0], np.inf), np.where(length > 0, middle[1], -np.inf)))
    clipped = [(np.maximum(first, 0.0), np.minimum(last, 1.0)) for first, last in parts]
    first = np.min([np.where(a <= b, a, np.inf) for a, b in clipped], axis=0)
    last = np.max([np.where(a <= b, b, -np.inf) for a, b in clipped], axis=0)
    return first, last


def _dot(a: Points, b: Points) -> NDArray[np.float64]:
    return np.asarray((a * b).sum(axis=1))


def _in_disc(
    offset: Points, ways: Points, radius: NDArray[np.float64]
) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    a = (ways**2).sum(axis=1)
    b = (offset * ways).sum(axis=1)
    c = (offset**2).sum(axis=1) - radius**2
    root = b**2 - a * c
    moves = a > 1e-18
    reached = np.sqrt(np.maximum(root, 0.0))
    safe = np.where(moves, a, 1.0)
    first = np.where(moves, (-b - reached) / safe, 0.0)
    last = np.where(moves, (-b + reached) / safe, 1.0)
    hit = np.where(moves, root >= 0, c <= 0)
    return np.where(hit, first, np.inf), np.where(hit, last, -np.inf)


def _in_band(
    at: NDArray[np.float64], speed: NDArray[np.float64], low: NDArray[np.float64], high: NDArray[np.float64]
) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """When ``at + t · speed`` lies between ``low`` and ``high``."""
    moves = np.abs(speed) > 1e-12
    safe = np.where(moves, speed, 1.0)
    one, other = (low - at) / safe, (high - at) / safe
    inside = (at >= low) & (at <= high)
    first = np.where(moves, np.minimum(one, other), np.where(inside, -np.inf, np.inf))
    last = np.where(moves, np.maximum(one, other), np.where(inside, np.inf, -np.inf))
    return first, last
