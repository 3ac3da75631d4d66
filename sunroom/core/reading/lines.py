"""Strokes to level lines of writing."""

from __future__ import annotations

import math
from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import path_length, resample
from sunroom.core.geometry.curves import Points

Stroke = NDArray[np.float64]

#: Slants that are looked for: a line tilted further is meant so, or is no line.
SLANTS_DEG = np.arange(-16, 16.5, 1.0)
#: A line must be this much longer than it is high before its slant can be told from its letters.
LONG_ENOUGH = 2.2
#: Strokes lower than this part of a tall letter are dots, dashes and accents.
SMALL = 0.35
#: Middles of letters further apart than this part of a tall letter stand on different lines.
LINE_GAP = 0.7
#: Groups that share more of their height than this are one line; tails and tips of two lines share less.
SHARED = 0.55
#: A group lower than a tall letter that is nearer than this to the next is a part of its letters.
TOUCHING = 0.12
#: A group of less than this part of the other's strokes is likelier a part of its letters than a line.
FEW = 0.34
TOUCHING_FEW = 0.3


def find_lines(strokes: Sequence[Stroke]) -> list[list[Points]]:
    """Group strokes into lines, from the top down, each turned level.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
        In the order of writing; x and y in the first two columns.

    Returns
    -------
    list of lists of (N, 2) float arrays
        Strokes of each line from left to right; empty when there is no stroke.
    """
    points = [np.asarray(stroke[:, :2], dtype=float) for stroke in strokes if len(stroke)]
    if not points:
        return []
    angle = slant(points)
    level = [_turned(stroke, -angle) for stroke in points]
    return [sorted(line, key=lambda stroke: float(stroke[:, 0].min())) for line in _grouped(level)]


def slant(strokes: Sequence[Points]) -> float:
    """Angle in radians by which the writing runs off level; 0 when it is too short to tell.

    The angle whose projection on the upright is most uneven: Postl 1986's projection profile.
    """
    everything = np.vstack([resample(stroke, max(4, min(64, len(stroke)))) for stroke in strokes])
    width, height = np.ptp(everything, axis=0)
    # Several lines of writing are high as well, but then they are many strokes.
    if width < LONG_ENOUGH * height and len(strokes) < 12:
        return 0.0
    bins = 48
    best, best_angle = -1.0, 0.0
    for degrees in SLANTS_DEG:
        y = _turned(everything, -math.radians(degrees))[:, 1]
        counts, _ = np.histogram(y, bins=bins, range=(y.min(), y.min() + max(float(np.ptp(y)), 1e-6)))
        # Evenly spread ink scores 1/bins; a smaller box at the right angle is denser too.
        score = float((counts.astype(float) ** 2).sum()) / len(y) ** 2 / max(float(np.ptp(y)), 1e-6)
        score *= 1 - 0.004 * abs(degrees)
        if score > best:
            best, best_angle = score, math.radians(degrees)
    return best_angle


def _turned(points: Points, angle_rad: float) -> Points:
    c, s = math.cos(angle_rad), math.sin(angle_rad)
    return np.column_stack([points[:, 0] * c - points[:, 1] * s, points[:, 0] * s + points[:, 1] * c])


def _grouped(strokes: list[Points]) -> list[list[Points]]:
    """Lines by the heights at which the letters' middles lie; small marks join the nearest line."""
    heights = np.array([float(np.ptp(stroke[:, 1])) for stroke in strokes])
    middles = np.array([float(stroke[:, 1].min() + stroke[:, 1].max()) / 2 for stroke in strokes])
    tall = float(np.percentile(heights, 80)) or max(float(max(path_length(s) for s in strokes)), 1.0)
    letters = np.flatnonzero(heights >= SMALL * tall)
    if len(letters) == 0:
        letters = np.arange(len(strokes))
    order = letters[np.argsort(middles[letters])]
    starts = [0, *(np.flatnonzero(np.diff(middles[order]) > LINE_GAP * tall) + 1)]
    groups = [list(order[a:b]) for a, b in zip(starts, [*starts[1:], len(order)], strict=True)]
    groups, bands = _merged(groups, [_band(strokes, group) for group in groups], tall)
    for index in sorted(set(range(len(strokes))) - set(letters.tolist())):
        # A dot above belongs to the line below it, a full stop to the line it stands on.
        nearest = min(
            range(len(groups)),
            key=lambda g: max(bands[g][0] - middles[index], middles[index] - bands[g][1], 0.0),
        )
        groups[nearest].append(index)
    return [[strokes[i] for i in group] for group in groups]


def _band(strokes: list[Points], group: list[int]) -> tuple[float, float]:
    """Top and bottom of a group's ink."""
    return (
        float(min(strokes[i][:, 1].min() for i in group)),
        float(max(strokes[i][:, 1].max() for i in group)),
    )


def _merged(
    groups: list[list[int]], bands: list[tuple[float, float]], tall: float
) -> tuple[list[list[int]], list[tuple[float, float]]]:
    """Groups joined with the one before when they share its height or touch it: parts of tall letters."""
    kept_groups, kept_bands = [list(groups[0])], [bands[0]]
    for group, (top, bottom) in zip(groups[1:], bands[1:], strict=True):
        last_top, last_bottom = kept_bands[-1]
        shared = min(bottom, last_bottom) - max(top, last_top)
        low = min(bottom - top, last_bottom - last_top)
        fewer, more = sorted((len(group), len(kept_groups[-1])))
        near = TOUCHING if fewer > FEW * more else TOUCHING_FEW
        if shared > SHARED * low or (low < tall and shared > -near * tall):
            kept_groups[-1] += group
            kept_bands[-1] = (min(top, last_top), max(bottom, last_bottom))
        else:
            kept_groups.append(list(group))
            kept_bands.append((top, bottom))
    return kept_groups, kept_bands
