"""The outline of a stroke: what screen, PDF and pictures fill.

Twin of frontend/src/ink/outline.ts; tests/golden/ink.json holds the two together.
"""

from __future__ import annotations

import math

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry.curves import Points, smooth_centreline

#: Width at no pressure, as a part of the nib's width: a light touch is thin, never gone.
LIGHTEST = 0.45
#: Gain over the nib's width at full pressure; at half pressure the width is the nib's own.
GAIN = 1.1
#: Strokes whose pressure varies less than this are drawn as one line of even width.
EVEN_PRESSURE = 1.5 / 255
#: Points of a round cap or joint on its half circle.
CAP_POINTS = 6


def stroke_width(width: float, pressure: NDArray[np.float64]) -> NDArray[np.float64]:
    """Width in board units at each pressure (0–1) for a nib of ``width``."""
    return np.asarray(width * (LIGHTEST + GAIN * pressure))


def uniform(samples: NDArray[np.float64]) -> bool:
    """Whether the stroke is drawn with one even width (a mouse, a highlighter, a dot)."""
    return bool(np.ptp(samples[:, 2]) <= EVEN_PRESSURE)


def outline(samples: NDArray[np.float64], width: float) -> list[Points]:
    """Polygons that together cover the stroke, to be filled with the non-zero rule.

    Parameters
    ----------
    samples : (N, 4) float array
        x, y, pressure, time; N >= 1.
    width : float
        Width of the nib in board units.

    Returns
    -------
    list of (M, 2) float arrays
        First the ribbon along the stroke, then a disc at each sharp turn, where a ribbon alone
        would leave a notch.
    """
    curve = smooth_centreline(samples[:, :3])
    if len(curve) > 1:
        # Equal neighbours have no direction.
        moved = np.hypot(*np.diff(curve[:, :2], axis=0).T) > 1e-6
        curve = curve[np.concatenate([[True], moved])]
    points, radius = curve[:, :2], stroke_width(width, curve[:, 2]) / 2
    if len(points) == 1:
        return [_disc(points[0], float(radius[0]))]
    step = np.diff(points, axis=0)
    step /= np.hypot(step[:, 0], step[:, 1])[:, None]
    before, after = np.vstack([step[:1], step]), np.vstack([step, step[-1:]])
    along = before + after
    length = np.hypot(along[:, 0], along[:, 1])
    turned_back = length < 1e-6
    along[turned_back], length[turned_back] = before[turned_back], 1
    along /= length[:, None]
    normal = np.column_stack([along[:, 1], -along[:, 0]]) * radius[:, None]
    ribbon = np.vstack(
        [
            points + normal,
            _cap(points[-1], normal[-1]),
            (points - normal)[::-1],
            _cap(points[0], -normal[0]),
        ]
    )
    sharp = np.flatnonzero((before * after).sum(axis=1) < 0.5)
    return [ribbon, *(_disc(points[index], float(radius[index])) for index in sharp)]


def _cap(centre: Points, start: Points) -> Points:
    """Half a circle around ``centre`` from ``centre + start``, the way the ribbon runs."""
    angle = np.arange(1, CAP_POINTS) * (math.pi / CAP_POINTS)
    c, s = np.cos(angle), np.sin(angle)
    return np.asarray(centre + np.column_stack([start[0] * c - start[1] * s, start[0] * s + start[1] * c]))


def _disc(centre: Points, radius: float) -> Points:
    angle = np.arange(2 * CAP_POINTS) * (math.pi / CAP_POINTS)
    return np.asarray(centre + radius * np.column_stack([np.cos(angle), np.sin(angle)]))
