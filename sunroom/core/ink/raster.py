"""Strokes as a small picture of where ink lies and which way it runs: what the nets look at."""

from __future__ import annotations

from collections.abc import Sequence

import cv2
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import path_length, resample

#: Empty border around the ink, in px.
PAD_PX = 2.0
#: Ink is laid down this often along each px of a stroke.
STEPS_PER_PX = 3.0
BLUR_PX = 0.6
MAX_STEPS = 1500
#: Strokes beyond this many count alike.
MANY_STROKES = 8


def ink_raster(strokes: Sequence[NDArray[np.float64]], side: int) -> NDArray[np.float32]:
    """Ink fitted into a square: (3, side, side) float32.

    The first layer is 0 to 1, how much ink there is; the others hold it times the cosine and sine of twice
    its direction, so that a line looks the same drawn from either end.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
        x and y in the first two columns, y down; at least one point.
    """
    everything = np.vstack([stroke[:, :2] for stroke in strokes])
    low, high = everything.min(axis=0), everything.max(axis=0)
    scale = (side - 1 - 2 * PAD_PX) / max(float((high - low).max()), 1e-9)
    offset = (side - 1) / 2 - scale * (low + high) / 2
    points = [_steps(stroke[:, :2] * scale + offset) for stroke in strokes]
    ways = np.vstack([np.gradient(line, axis=0) for line in points])
    twice = 2 * np.arctan2(ways[:, 1], ways[:, 0])
    ink = np.column_stack([np.ones(len(ways)), np.cos(twice), np.sin(twice)]) / STEPS_PER_PX
    layers = _laid(np.vstack(points), ink, side)
    layers = np.stack([cv2.GaussianBlur(layer, (0, 0), BLUR_PX) for layer in layers])
    # Ink gone over twice is no darker.
    return np.asarray(layers / np.maximum(layers[0], 0.6), np.float32)


def ink_measures(strokes: Sequence[NDArray[np.float64]]) -> NDArray[np.float32]:
    """What a picture of fitted size does not tell: (6,) float32.

    Width and height over the diagonal, ink's length over the diagonal, strokes, how far the first end is
    from the last over the diagonal, and the largest stroke's share of the length.
    """
    everything = np.vstack([stroke[:, :2] for stroke in strokes])
    width, height = np.ptp(everything, axis=0)
    size = max(float(np.hypot(width, height)), 1e-9)
    lengths = [path_length(stroke[:, :2]) for stroke in strokes]
    gap = float(np.hypot(*(strokes[0][0, :2] - strokes[-1][-1, :2]))) / size
    share = max(lengths) / max(sum(lengths), 1e-9)
    count = min(len(strokes), MANY_STROKES) / MANY_STROKES
    return np.array(
        [width / size, height / size, np.log1p(sum(lengths) / size), count, gap, share], np.float32
    )


def _steps(points: NDArray[np.float64]) -> NDArray[np.float64]:
    return resample(points, min(int(path_length(points) * STEPS_PER_PX) + 2, MAX_STEPS))


def _laid(points: NDArray[np.float64], ink: NDArray[np.float64], side: int) -> NDArray[np.float32]:
    """Each point's ink spread over the four px around it."""
    cell = np.floor(points).astype(int)
    part = points - cell
    layers = np.zeros((3, side * side))
    for dx in (0, 1):
        for dy in (0, 1):
            share = np.abs(1 - dx - part[:, 0]) * np.abs(1 - dy - part[:, 1])
            x, y = (cell[:, 0] + dx).clip(0, side - 1), (cell[:, 1] + dy).clip(0, side - 1)
            for layer, amount in zip(layers, ink.T, strict=True):
                layer += np.bincount(y * side + x, share * amount, side * side)
    return layers.reshape(3, side, side).astype(np.float32)
