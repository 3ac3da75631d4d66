"""Strokes as one sequence of evenly spaced points: what a net follows from the pen's first touch to its last."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import path_length, resample

#: A dot or a slip of the pen is still so many points.
LEAST_POINTS = 2


def ink_sequence(strokes: Sequence[NDArray[np.float64]], count: int) -> NDArray[np.float32]:
    """Ink as ``count`` points at about equal distances: (5, count) float32.

    The layers are x and y from the middle of the ink's box (its longer side is 2), the cosine and sine of the
    pen's way there, and 1 where a stroke begins.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
        x and y in the first two columns; at least one point. Only the first ``count / 2`` are followed.
    """
    lines = [stroke[:, :2] for stroke in strokes[: count // LEAST_POINTS]]
    everything = np.vstack(lines)
    low, high = everything.min(axis=0), everything.max(axis=0)
    scale = 2 / max(float((high - low).max()), 1e-9)
    lengths = np.array([path_length(line) for line in lines])
    # Each stroke ends at its part of all points, so that together they are neither more nor fewer.
    spare = count - LEAST_POINTS * len(lines)
    ends = np.round(np.cumsum(lengths) / max(float(lengths.sum()), 1e-9) * spare).astype(int)
    ends[-1] = spare
    made = np.zeros((5, count), np.float32)
    at = 0
    for line, points in zip(lines, np.diff(ends, prepend=0) + LEAST_POINTS, strict=True):
        even = (resample(line, int(points)) - (low + high) / 2) * scale
        way = np.gradient(even, axis=0)
        length = np.maximum(np.hypot(*way.T), 1e-9)
        made[:2, at : at + points] = even.T
        made[2:4, at : at + points] = way.T / length
        made[4, at] = 1
        at += int(points)
    return made
