"""The outline of a stroke: what screen, PDF and pictures fill.

Twin of frontend/src/ink/outline.ts; tests/golden/ink.json holds the two together.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry.curves import Points, smooth_centrelines

Nib = Literal["pencil", "pen", "brush", "highlighter"]
Ends = Literal["none", "arrow", "arrows"]

#: Width at no pressure, and what full pressure adds, as parts of the nib's width. At half pressure the
#: width is the nib's own; a light touch is thin, never gone.
PRESSURE: dict[Nib, tuple[float, float]] = {
    "pencil": (1.0, 0.0),
    "pen": (0.45, 1.1),
    "brush": (0.15, 1.7),
    "highlighter": (1.0, 0.0),
}
#: An arrow head's two lines: their length (so many widths, and a little more) and angle to the stroke.
HEAD_WIDTHS, HEAD_LEAST, HEAD_ANGLE_RAD = 2.6, 7.0, 0.5
#: Strokes whose pressure varies less than this are drawn as one line of even width.
EVEN_PRESSURE = 1.5 / 255
#: Points of a round cap or joint on its half circle.
CAP_POINTS = 6


def stroke_width(nib: Nib, width: float, pressure: NDArray[np.float64]) -> NDArray[np.float64]:
    """Width in board units at each pressure (0–1) for a nib of ``width``."""
    least, gain = PRESSURE[nib]
    return np.asarray(width * (least + gain * pressure))


def nib_reach(nib: Nib, width: float) -> float:
    """How far ink reaches from its samples at most."""
    return width * sum(PRESSURE[nib]) / 2


def uniform(nib: Nib, samples: NDArray[np.float64]) -> bool:
    """Whether the stroke is drawn with one even width (a pencil, a mouse, a highlighter, a dot)."""
    return PRESSURE[nib][1] == 0 or bool(np.ptp(samples[:, 2]) <= EVEN_PRESSURE)


def arrow_head(points: Points, width: float) -> Points:
    """The open head of an arrow at the last of ``points``: (3, 2), the tip in the middle.

    Its direction is that of the piece of the line as long as the head, so that a hand's last
    tremor does not turn it.
    """
    tip, length = points[-1], HEAD_WIDTHS * width + HEAD_LEAST
    away = np.hypot(*(points - tip).T) >= length
    start = points[np.flatnonzero(away)[-1]] if away.any() else points[0]
    angle = math.atan2(tip[1] - start[1], tip[0] - start[0]) if len(points) > 1 else 0.0
    sides = [angle + math.pi + turn for turn in (HEAD_ANGLE_RAD, -HEAD_ANGLE_RAD)]
    wings = [tip + length * np.array((math.cos(side), math.sin(side))) for side in sides]
    return np.array([wings[0], tip, wings[1]])


def head_reach(ends: str, width: float) -> float:
    """How far arrow heads reach from their line at most."""
    return 0.0 if ends == "none" else HEAD_WIDTHS * width + HEAD_LEAST


def outline(nib: Nib, samples: NDArray[np.float64], width: float) -> list[Points]:
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
    return outlines([nib], [samples], [width])[0]


def outlines(
    nibs: Sequence[Nib], strokes: Sequence[NDArray[np.float64]], widths: Sequence[float]
) -> list[list[Points]]:
    """``outline`` of many strokes at once, which is many times faster than one by one."""
    if not strokes:
        return []
    counts = np.array([len(stroke) for stroke in strokes])
    curve, counts = smooth_centrelines(np.concatenate([stroke[:, :3] for stroke in strokes]), counts)
    stroke_of = np.repeat(np.arange(len(counts)), counts)
    # Equal neighbours have no direction.
    kept = np.ones(len(curve), dtype=bool)
    kept[1:] = (stroke_of[1:] != stroke_of[:-1]) | (np.hypot(*np.diff(curve[:, :2], axis=0).T) > 1e-6)
    curve, stroke_of = curve[kept], stroke_of[kept]
    counts = np.bincount(stroke_of, minlength=len(counts))
    ends = np.cumsum(counts)
    first, last = ends - counts, ends - 1
    points = curve[:, :2]
    least, gain = np.array([PRESSURE[nib] for nib in nibs]).T[:, stroke_of]
    radius = np.asarray(widths)[stroke_of] * (least + gain * curve[:, 2]) / 2
    before, after = _directions(points, first, last)
    along = before + after
    length = np.hypot(along[:, 0], along[:, 1])
    turned_back = length < 1e-6
    along[turned_back], length[turned_back] = before[turned_back], 1
    along /= length[:, None]
    normal = np.column_stack([along[:, 1], -along[:, 0]]) * radius[:, None]
    left, right = points + normal, points - normal
    end_caps, start_caps = _caps(points[last], normal[last]), _caps(points[first], -normal[first])
    sharp = np.flatnonzero((before * after).sum(axis=1) < 0.5)
    polygons: list[list[Points]] = []
    for number, (a, b) in enumerate(zip(first.tolist(), ends.tolist(), strict=True)):
        if b - a == 1:
            polygons.append([_disc(points[a], float(radius[a]))])
            continue
        ribbon = (left[a:b], end_caps[number], right[a:b][::-1], start_caps[number])
        polygons.append([np.concatenate(ribbon)])
    for index in sharp.tolist():
        if counts[stroke_of[index]] > 1:
            polygons[stroke_of[index]].append(_disc(points[index], float(radius[index])))
    return polygons


def _directions(points: Points, first: NDArray[np.intp], last: NDArray[np.intp]) -> tuple[Points, Points]:
    """Unit vectors into and out of each point; at a stroke's ends the one that there is serves as both."""
    step = np.zeros_like(points)
    step[:-1] = np.diff(points, axis=0)
    step /= np.maximum(np.hypot(step[:, 0], step[:, 1]), 1e-12)[:, None]
    before, after = np.roll(step, 1, axis=0), step
    before[first] = step[first]
    after[last] = before[last]
    return before, after


def _caps(centre: Points, start: Points) -> Points:
    """Half circles around each ``centre`` from ``centre + start``, the way the ribbon runs: (P, 5, 2)."""
    angle = np.arange(1, CAP_POINTS) * (math.pi / CAP_POINTS)
    c, s = np.cos(angle), np.sin(angle)
    x, y = start[:, :1], start[:, 1:]
    return np.asarray(centre[:, None] + np.stack([x * c - y * s, x * s + y * c], axis=2))


def _disc(centre: Points, radius: float) -> Points:
    angle = np.arange(2 * CAP_POINTS) * (math.pi / CAP_POINTS)
    return np.asarray(centre + radius * np.column_stack([np.cos(angle), np.sin(angle)]))
