"""A line of writing as the pen's path: what the reader of joined-up writing looks at."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry.curves import Points

#: Numbers for each point of the path.
FEATURES = 8
#: Distance of points, and the height of writing, in spreads: a spread is how far ink lies from its middle height.
STEP = 0.38
#: What is flatter than this part of its width or length is no higher to us.
LEAST_SPREAD = 0.05
#: A stroke has at least so many points, that a dot is seen.
LEAST_POINTS = 4
#: No line has more points than this; longer paths are made of wider steps.
MOST_POINTS = 6_000
#: A stroke wider than this (in spreads) is parted where a smaller one belongs into it: a dot, a bar.
WIDE = 4.0
#: Ways back and jumps are told up to so many spreads.
FAR = 6.0


def pen_path(strokes: Sequence[Points]) -> NDArray[np.float32]:
    """(T, FEATURES) of one level line: points at even distances, strokes from left to right.

    Each row: the way to the next point (x, y; 1 is a step), height, how far the pen is behind its
    furthest right, the jump before it (x, y), and whether a stroke begins and ends here. What was added late,
    such as dots and bars, stands where its letter is; so neither the order nor the time of writing counts.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
        x and y first, y down; not empty.
    """
    points = np.vstack([stroke[:, :2] for stroke in strokes]).astype(float)
    counts = np.array([len(stroke) for stroke in strokes])
    firsts = np.cumsum(counts) - counts
    gaps = np.hypot(*np.diff(points, axis=0, prepend=points[:1]).T)
    gaps[firsts] = 0.0
    middle, spread = _middle_and_spread(points, gaps)
    points, gaps = (points - (0, middle)) / spread, gaps / spread
    step = max(STEP, float(gaps.sum()) / MOST_POINTS)
    return _rows(_in_reading_order(_even(points, gaps, firsts, step)), step)


def _middle_and_spread(points: Points, gaps: NDArray[np.float64]) -> tuple[float, float]:
    """Mean height of ink and its standard deviation, by length; ``gaps`` lead to each point of a stroke."""
    length = float(gaps.sum())
    heights = points[:, 1] if length <= 0 else (points[:, 1] + np.roll(points[:, 1], 1)) / 2
    weights = np.ones(len(points)) if length <= 0 else gaps
    middle = float(np.average(heights, weights=weights))
    spread = float(np.sqrt(np.average((heights - middle) ** 2, weights=weights)))
    # A dash alone has no height: it keeps the size it has beside letters.
    return middle, max(spread, LEAST_SPREAD * min(float(np.ptp(points[:, 0])), length), 1e-6)


def _even(points: Points, gaps: NDArray[np.float64], firsts: NDArray[np.int64], step: float) -> list[Points]:
    """Each stroke with its points at even distances."""
    apart = gaps.copy()
    apart[firsts[1:]] = 1.0  # so that a stroke's end and the next one's start are two places
    along = np.cumsum(apart)
    starts, ends = along[firsts], along[np.append(firsts[1:], len(points)) - 1]
    counts = np.maximum(LEAST_POINTS, np.rint((ends - starts) / step).astype(int) + 1)
    number = np.arange(int(counts.sum())) - np.repeat(np.cumsum(counts) - counts, counts)
    wanted = np.repeat(starts, counts) + number * np.repeat((ends - starts) / (counts - 1), counts)
    even = np.column_stack([np.interp(wanted, along, points[:, axis]) for axis in (0, 1)])
    return np.split(even, np.cumsum(counts)[:-1])


def _in_reading_order(lines: list[Points]) -> list[tuple[Points, bool, bool]]:
    """Strokes from left to right, wide ones parted where smaller ones stand over or under them.

    Each with whether it begins and ends a stroke, or is a part of one.
    """
    sides = [(float(line[:, 0].min()), float(line[:, 0].max())) for line in lines]
    wide = [line for line, (left, right) in zip(lines, sides, strict=True) if right - left > WIDE]
    small = [line for line, (left, right) in zip(lines, sides, strict=True) if right - left <= WIDE]
    places = [(left + right) / 2 for left, right in sides if right - left <= WIDE]
    parts: list[tuple[float, Points, bool, bool]] = []
    for line in wide:
        reach = np.maximum.accumulate(line[:, 0])
        inside = sorted(place for place in places if reach[0] < place < reach[-1])
        cuts = sorted({int(np.searchsorted(reach, place)) for place in inside} - {0, len(line)})
        ends = [0, *cuts, len(line)]
        for number, (start, end) in enumerate(zip(ends[:-1], ends[1:], strict=True)):
            place = float(reach[start]) if number else float(line[:, 0].min())
            parts.append((place, line[start:end], number == 0, end == len(line)))
    parts += [(place, line, True, True) for place, line in zip(places, small, strict=True)]
    return [(line, begins, ends) for _, line, begins, ends in sorted(parts, key=lambda part: part[0])]


def _rows(parts: list[tuple[Points, bool, bool]], step: float) -> NDArray[np.float32]:
    points = np.vstack([line for line, _, _ in parts])
    starts = np.cumsum([0, *(len(line) for line, _, _ in parts)])
    ways = np.diff(points, axis=0, append=points[-1:])
    ways[starts[1:] - 1] = 0.0
    rows = np.zeros((len(points), FEATURES), np.float32)
    rows[:, 0:2] = ways / step
    rows[:, 2] = points[:, 1]
    behind = np.maximum.accumulate(points[:, 0]) - points[:, 0]
    rows[:, 3] = np.minimum(behind, FAR)
    rows[starts[1:-1], 4:6] = np.clip(points[starts[1:-1]] - points[starts[1:-1] - 1], -FAR, FAR)
    rows[starts[:-1], 6] = [begins for _, begins, _ in parts]
    rows[starts[1:] - 1, 7] = [ends for _, _, ends in parts]
    return rows
