"""Strokes of written maths as the net of formulas looks at them: each with what is around it, and every two together."""

from __future__ import annotations

from collections.abc import Sequence
from typing import NamedTuple

import cv2
import numpy as np
from numpy.typing import NDArray

#: px of a side of the pictures.
SIDE = 28
#: Of each stroke: itself and the others, near and in a wider view.
LAYERS = 4
#: A picture's side in sizes of its stroke, and the least in sizes of a usual stroke.
NEAR, NEAR_LEAST, FAR, FAR_LEAST = 1.4, 0.5, 3.4, 2.6
MEASURES, PAIR_MEASURES = 10, 14
#: Points that say how far two strokes are from each other.
COARSE = 12
#: A stroke that strays no further from its straight line than this part of it is straight: whole px make a line tremble.
STRAIGHT = 0.025
#: Positions are drawn in parts of a px.
SHIFT = 4

Points = NDArray[np.float64]


class Seen(NamedTuple):
    """(n, LAYERS, SIDE, SIDE) uint8, (n, MEASURES) and (n, n, PAIR_MEASURES) float32."""

    pictures: NDArray[np.uint8]
    measures: NDArray[np.float32]
    pairs: NDArray[np.float32]


def seen_strokes(strokes: Sequence[Points]) -> Seen:
    """``strokes`` are (N, K) with x and y (down) in the first columns, in the order of writing."""
    lines = [stroke[:, :2] for stroke in strokes]
    low = np.array([line.min(axis=0) for line in lines])
    high = np.array([line.max(axis=0) for line in lines])
    sizes = (high - low).max(axis=1)
    usual = usual_size(sizes)
    return Seen(
        _pictures(lines, low, high, usual),
        _measures(lines, low, high, usual),
        _pairs(lines, low, high, usual),
    )


def steadied(stroke: Points) -> Points:
    """A stroke that is nearly straight as its two ends, any other as it is; (N, 2)."""
    line = np.asarray(stroke[:, :2], float)
    way = line[-1] - line[0]
    length = float(np.hypot(*way))
    along, strays = (line - line[0]) @ way, np.abs((line - line[0]) @ (-way[1], way[0]))
    least = STRAIGHT * length**2
    # What turns back on its way does not lie between its ends.
    between = along.min() >= -least and along.max() <= length**2 + least
    return line[[0, -1]] if length and strays.max() <= least and between else line


def usual_size(sizes: NDArray[np.float64]) -> float:
    """The size that most strokes have: dots and long bars aside."""
    large = sizes[sizes > 0.15 * sizes.max()]
    return max(float(np.median(large if len(large) else sizes)), 1e-6)


def _pictures(
    lines: list[Points], low: NDArray[np.float64], high: NDArray[np.float64], usual: float
) -> NDArray[np.uint8]:
    made = np.zeros((len(lines), LAYERS, SIDE, SIDE), np.uint8)
    middle, size = (low + high) / 2, (high - low).max(axis=1)
    for at in range(len(lines)):
        for layer, (share, least) in ((0, (NEAR, NEAR_LEAST)), (2, (FAR, FAR_LEAST))):
            side = max(share * size[at], least * usual)
            corner = middle[at] - side / 2
            inside = np.flatnonzero(((high >= corner) & (low <= corner + side)).all(axis=1))
            scale = (SIDE - 1) / side * 2**SHIFT
            own, others = made[at, layer], made[at, layer + 1]
            for other in inside:
                # Beyond what the drawing can count, nothing is seen anyway.
                line = ((lines[other] - corner) * scale).clip(-30_000, 30_000).round().astype(np.int32)
                cv2.polylines(own if other == at else others, [line], False, 255, 1, cv2.LINE_AA, SHIFT)
    return made


def _measures(
    lines: list[Points], low: NDArray[np.float64], high: NDArray[np.float64], usual: float
) -> NDArray[np.float32]:
    extent = high - low
    whole_low, whole = low.min(axis=0), np.maximum(np.ptp(np.vstack([low, high]), axis=0), 1e-6)
    middle = ((low + high) / 2 - whole_low) / whole
    ends = np.array([line[-1] - line[0] for line in lines])
    lengths = np.array([np.hypot(*np.diff(line, axis=0).T).sum() if len(line) > 1 else 0.0 for line in lines])
    columns = [
        np.log(extent[:, 0] / usual + 0.02),
        np.log(extent[:, 1] / usual + 0.02),
        np.log(lengths / usual + 0.02),
        middle[:, 0],
        middle[:, 1],
        ends[:, 0] / usual,
        ends[:, 1] / usual,
        np.full(len(lines), np.log(whole[0] / usual + 0.02)),
        np.full(len(lines), np.log(whole[1] / usual + 0.02)),
        np.full(len(lines), np.log(len(lines))),
    ]
    return np.asarray(np.arcsinh(np.column_stack(columns)), np.float32)


def _pairs(
    lines: list[Points], low: NDArray[np.float64], high: NDArray[np.float64], usual: float
) -> NDArray[np.float32]:
    """Of the second stroke as the first sees it."""
    count = len(lines)
    middle, extent = (low + high) / 2, np.maximum(high - low, 0.02 * usual)
    coarse = np.stack([line[np.linspace(0, len(line) - 1, COARSE).round().astype(int)] for line in lines])
    away = np.full((count, count), np.inf)
    for one in range(COARSE):
        # (count, 1, 2) against (count, COARSE, 2) of all: the nearest two points.
        gaps = coarse[:, None, None, one] - coarse[None]
        away = np.minimum(away, np.hypot(gaps[..., 0], gaps[..., 1]).min(axis=2))
    away = np.minimum(away, away.T)
    order = np.arange(count)
    later = order[None] - order[:, None]
    apart = (middle[None] - middle[:, None]) / usual
    after = (low[None] - high[:, None]) / usual
    before = (low[:, None] - high[None]) / usual
    grown = np.log(extent[None] / extent[:, None])
    shared = (np.minimum(high[:, None], high[None]) - np.maximum(low[:, None], low[None])) / np.minimum(
        extent[:, None], extent[None]
    )
    columns = [apart, after, before, grown, shared.clip(-3, 1), (away / usual)[..., None]]
    timed = [np.sign(later), np.abs(later) == 1, np.arcsinh(later)]
    stacked = np.concatenate([*columns, np.stack(timed, axis=2)], axis=2)
    return np.asarray(np.arcsinh(stacked), np.float32)
