"""Rubbing out: what an eraser's path leaves of each stroke, cut exactly where the eraser's edge passed."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry.curves import Points

#: Less than this many samples' distance is a crumb that nobody can see or erase again.
LEAST_STRETCH = 1e-3

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
    """
    # A dot is a stretch without length.
    paths = [stroke if len(stroke) > 1 else np.repeat(stroke, 2, axis=0) for stroke in strokes]
    starts = np.vstack([stroke[:-1] for stroke in paths])
    ways = np.vstack([np.diff(stroke, axis=0) for stroke in paths])
    counts = np.array([len(stroke) - 1 for stroke in paths])
    stroke_of = np.repeat(np.arange(len(paths)), counts)
    number = np.arange(len(starts)) - np.repeat(np.cumsum(counts) - counts, counts)
    reach = np.asarray(reaches, dtype=float)[stroke_of]
    # The boxes of all pieces with the ink around them: left, top, right, bottom.
    x0, y0 = (np.minimum(starts, starts + ways) - reach[:, None]).T
    x1, y1 = (np.maximum(starts, starts + ways) + reach[:, None]).T
    # Numbers that run through all strokes: each stroke has its own thousands.
    apart = float(max(len(stroke) for stroke in strokes) + 1)
    base = number + apart * stroke_of
    found: list[tuple[NDArray[np.float64], NDArray[np.float64]]] = []
    steps = path if len(path) > 1 else np.repeat(path, 2, axis=0)
    for begin, end in zip(steps[:-1], steps[1:], strict=True):
        radius = max(begin[2], end[2])
        left, top = np.minimum(begin[:2], end[:2]) - radius
        right, bottom = np.maximum(begin[:2], end[:2]) + radius
        near = np.flatnonzero((x1 >= left) & (x0 <= right) & (y1 >= top) & (y0 <= bottom))
        first, last = _inside(starts[near], ways[near], begin[:2], end[:2], radius + reach[near])
        hit = first <= last
        found.append(((base[near] + first)[hit], (base[near] + last)[hit]))
    taken: list[list[Stretch]] = [[] for _ in strokes]
    for first_at, last_at in _merged(found):
        stroke = int(first_at // apart)
        taken[stroke].append((first_at - stroke * apart, last_at - stroke * apart))
    return [
        _left(ranges, len(stroke)) if ranges else None for ranges, stroke in zip(taken, strokes, strict=True)
    ]


def _merged(found: list[tuple[NDArray[np.float64], NDArray[np.float64]]]) -> list[Stretch]:
    """Ranges in order, those that touch made one."""
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
    starts: Points, ways: Points, begin: Points, end: Points, radius: NDArray[np.float64]
) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    """The part (0–1) of each segment inside the capsule around ``begin``–``end``; first > last when none.

    A capsule is convex, so the part is one range: the hull of what its two discs and its middle hold.
    """
    parts = [_in_disc(starts - centre, ways, radius) for centre in (begin, end)]
    along = end - begin
    length = float(np.hypot(*along))
    if length > 0:
        along = along / length
        across = np.array((-along[1], along[0]))
        offset = starts - begin
        span = _in_band(offset @ along, ways @ along, np.zeros(len(starts)), np.full(len(starts), length))
        band = _in_band(offset @ across, ways @ across, -radius, radius)
        parts.append((np.maximum(span[0], band[0]), np.minimum(span[1], band[1])))
    clipped = [(np.maximum(first, 0.0), np.minimum(last, 1.0)) for first, last in parts]
    first = np.min([np.where(a <= b, a, np.inf) for a, b in clipped], axis=0)
    last = np.max([np.where(a <= b, b, -np.inf) for a, b in clipped], axis=0)
    return first, last


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
