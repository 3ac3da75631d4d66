"""One level line of ink as the picture that the recogniser was trained to read."""

from __future__ import annotations

from collections.abc import Sequence

import cv2
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import path_length
from sunroom.core.geometry.curves import Points

HEIGHT_PX = 48
#: Measured best: ink 38 px high with lines of 2 px; thicker or lower ink reads worse.
INK_PX = 38.0
LINE_PX = 2.0
PAD_PX = 12
MAX_WIDTH_PX = 3200
#: What stands above and hangs below small letters is made no higher than they are,
LEAST_SHARE = 0.5
#: unless it hardly is.
TALL_ENOUGH = 0.85
#: So few strokes, each less than this part of the line's length, are dots.
FEW_DOTS, DOT = 3, 0.12
#: cv2 takes coordinates in 1/16 px.
SUBPIXEL_BITS = 4


def shortened(strokes: Sequence[Points]) -> list[Points]:
    """A level line whose tall letters tower over its small ones, with its tips and tails made shorter.

    Fitted into the recogniser's height such a line's small letters would be too small to be seen.
    """
    top = float(np.median([stroke[:, 1].min() for stroke in strokes]))
    bottom = float(np.median([stroke[:, 1].max() for stroke in strokes]))
    small = bottom - top
    beyond = max(top - min(s[:, 1].min() for s in strokes), 0) + max(
        max(s[:, 1].max() for s in strokes) - bottom, 0
    )
    share = max(small / max(beyond, 1e-6), LEAST_SHARE)
    if small <= 0 or share > TALL_ENOUGH:
        return [stroke[:, :2] for stroke in strokes]

    def pulled(y: NDArray[np.float64]) -> NDArray[np.float64]:
        return np.asarray(y - (1 - share) * (np.minimum(y - top, 0) + np.maximum(y - bottom, 0)))

    return [np.column_stack([stroke[:, 0], pulled(stroke[:, 1])]) for stroke in strokes]


def line_picture(strokes: Sequence[Points]) -> NDArray[np.float32]:
    """Black ink on white as the recogniser's input: (1, 3, 48, W) float32 from -1 to 1.

    Parameters
    ----------
    strokes : sequence of (N, 2) float arrays
        One level line, y down; at least one stroke.
    """
    everything = np.vstack(strokes)
    low, high = everything.min(axis=0), everything.max(axis=0)
    width, height = high - low
    flat = sum(path_length(stroke) for stroke in strokes) < 1.4 * max(_covered(strokes), height, 1e-6)
    largest = max(float(np.ptp(stroke, axis=0).max()) for stroke in strokes)
    if flat or (len(strokes) <= FEW_DOTS and largest < DOT * max(width, height)):
        # A dash or dots alone keep the size that they have beside letters.
        height = max(height, 0.6 * width, 1.0)
    scale = min(INK_PX / max(height, 1e-6), (MAX_WIDTH_PX - 2 * PAD_PX) / max(width, 1e-6))
    picture = np.full((HEIGHT_PX, int(width * scale) + 2 * PAD_PX), 255, np.uint8)
    offset = np.array([PAD_PX, HEIGHT_PX / 2]) - scale * np.array([low[0], (low[1] + high[1]) / 2])
    for stroke in strokes:
        points = np.rint((stroke * scale + offset) * 2**SUBPIXEL_BITS).astype(np.int32)
        cv2.polylines(
            picture, [points.reshape(-1, 1, 2)], False, 0, round(LINE_PX), cv2.LINE_AA, SUBPIXEL_BITS
        )
        if len(points) < 3 or np.ptp(points, axis=0).max() < 2 ** (SUBPIXEL_BITS + 1):
            centre = (int(points[0][0]), int(points[0][1]))
            cv2.circle(picture, centre, int(1.4 * 2**SUBPIXEL_BITS), 0, -1, cv2.LINE_AA, SUBPIXEL_BITS)
    normal = picture.astype(np.float32) / 127.5 - 1
    return np.repeat(normal[None, None], 3, axis=1)


def places_in(strokes: Sequence[Points], width: int, shares: NDArray[np.float64]) -> NDArray[np.float64]:
    """The x in a level line of what lies so far, 0 to 1, along its picture of that width in px."""
    left, right = min(s[:, 0].min() for s in strokes), max(s[:, 0].max() for s in strokes)
    return np.asarray(left + (shares * width - PAD_PX) / (width - 2 * PAD_PX) * (right - left))


def _covered(strokes: Sequence[Points]) -> float:
    """How much of a line's width ink lies over or under: gaps between words, however wide, make no dash of them."""
    covered, reach = 0.0, -np.inf
    for left, right in sorted((float(s[:, 0].min()), float(s[:, 0].max())) for s in strokes):
        covered += max(right - max(left, reach), 0.0)
        reach = max(reach, right)
    return covered
