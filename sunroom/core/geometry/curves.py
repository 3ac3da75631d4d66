"""Polylines and Bézier curves as plain (N, 2) arrays in board units."""

from __future__ import annotations

import math

import numpy as np
from numpy.typing import NDArray

Points = NDArray[np.float64]

#: Half the side of the control polygon that draws a quarter circle of radius 1
#: with an error of 0.03 % (the usual constant, 4/3 · (√2 − 1)).
QUARTER_ARC = 0.5522847498307936

#: A curve is drawn as straight pieces once they stray less than this from it:
#: below a quarter unit nobody sees a corner at 400 %.
FLATNESS = 0.06


def path_length(points: Points) -> float:
    """Length of the polyline ``points`` ((N, 2)); 0 for fewer than two points."""
    if len(points) < 2:
        return 0.0
    return float(np.hypot(*np.diff(points, axis=0).T).sum())


def resample(points: Points, count: int) -> Points:
    """``count`` points at equal distances along the polyline.

    A polyline without length gives ``count`` copies of its first point.
    """
    steps = np.hypot(*np.diff(points, axis=0).T) if len(points) > 1 else np.zeros(0)
    along = np.concatenate([[0.0], np.cumsum(steps)])
    if along[-1] <= 0:
        return np.repeat(points[:1], count, axis=0)
    wanted = np.linspace(0, along[-1], count)
    return np.column_stack([np.interp(wanted, along, points[:, 0]), np.interp(wanted, along, points[:, 1])])


def simplify(points: Points, tolerance: float) -> NDArray[np.intp]:
    """Indices of the points to keep so that no dropped one lies further than ``tolerance`` away.

    Ramer 1972, Douglas & Peucker 1973; without recursion.
    """
    keep = np.zeros(len(points), dtype=bool)
    if len(points) == 0:
        return np.flatnonzero(keep)
    keep[[0, -1]] = True
    stack = [(0, len(points) - 1)]
    while stack:
        first, last = stack.pop()
        if last - first < 2:
            continue
        chord = points[last] - points[first]
        offsets = points[first + 1 : last] - points[first]
        # The distance from the chord itself: a line that goes on beyond its end and comes back keeps its tip.
        along = np.clip(offsets @ chord / max(float(chord @ chord), 1e-18), 0, 1)
        distances = np.hypot(*(offsets - along[:, None] * chord).T)
        worst = int(np.argmax(distances))
        if distances[worst] > tolerance:
            middle = first + 1 + worst
            keep[middle] = True
            stack += [(first, middle), (middle, last)]
    return np.flatnonzero(keep)


def smooth_centreline(rows: Points) -> Points:
    """The curve through the midpoints of ``rows``, flattened to straight pieces.

    Each inner sample is the control point of a quadratic from the midpoint before it to the midpoint
    after it, so the curve has no corners and never leaves the hull of the samples. The browser draws
    ink by the same rule (frontend/src/ink/outline.ts); golden vectors hold the two together.

    Parameters
    ----------
    rows : (N, K) float array
        Samples; the first two columns are x and y, further columns (pressure) are blended alike.

    Returns
    -------
    (M, K) float array
        M >= N for N >= 3; ``rows`` itself for fewer.
    """
    return smooth_centrelines(rows, np.array([len(rows)]))[0]


def smooth_centrelines(rows: Points, counts: NDArray[np.intp]) -> tuple[Points, NDArray[np.intp]]:
    """``smooth_centreline`` of many polylines at once, which is many times faster than one by one.

    Parameters
    ----------
    rows : (N, K) float array
        The samples of all polylines, one after the other.
    counts : (P,) int array
        How many of them belong to each; at least 1.

    Returns
    -------
    (M, K) float array, (P,) int array
        The points of all curves, and how many belong to each.
    """
    ends = np.cumsum(counts)
    first, last = ends - counts, ends - 1
    start, control, end = rows.copy(), rows, rows.copy()
    middle = (rows[:-1] + rows[1:]) / 2
    start[1:], end[:-1] = middle, middle
    # A first sample, and the second of two, stand for themselves: quadratics that do not move.
    fixed = np.concatenate([first, last])
    start[fixed] = end[fixed] = rows[fixed]
    long = counts > 2
    start[first[long] + 1] = rows[first[long]]
    end[last[long] - 1] = rows[last[long]]
    # A quadratic strays from n equal chords by |start − 2·control + end| / (4 · n²) (de Boor 1978).
    bend = np.hypot(*(start - 2 * control + end)[:, :2].T)
    pieces = np.clip(np.ceil(np.sqrt(bend / (4 * FLATNESS))), 1, 16).astype(np.intp)
    pieces[last[long]] = 0
    which = np.repeat(np.arange(len(rows)), pieces)
    begun = np.cumsum(pieces) - pieces
    t = ((np.arange(len(which)) - begun[which] + 1) / pieces[which])[:, None]
    curve = (1 - t) ** 2 * start[which] + 2 * t * (1 - t) * control[which] + t**2 * end[which]
    return curve, np.add.reduceat(pieces, first)


def ellipse_bezier(cx: float, cy: float, rx: float, ry: float, angle_rad: float) -> Points:
    """An ellipse as four cubics: 13 control points, closed, first = last."""
    k = QUARTER_ARC
    unit = np.array(
        [
            (1, 0),
            (1, k),
            (k, 1),
            (0, 1),
            (-k, 1),
            (-1, k),
            (-1, 0),
            (-1, -k),
            (-k, -1),
            (0, -1),
            (k, -1),
            (1, -k),
            (1, 0),
        ]
    )
    c, s = math.cos(angle_rad), math.sin(angle_rad)
    scaled = unit * (rx, ry)
    turned = np.column_stack([scaled[:, 0] * c - scaled[:, 1] * s, scaled[:, 0] * s + scaled[:, 1] * c])
    return turned + (cx, cy)


def bezier_points(control: Points, t: float) -> Points:
    """The points at ``t`` of a chain of cubics given by 1 + 3·n control points: (n, 2)."""
    a, b, c, d = control[0:-1:3], control[1::3], control[2::3], control[3::3]
    return np.asarray((1 - t) ** 3 * a + 3 * t * (1 - t) ** 2 * b + 3 * t**2 * (1 - t) * c + t**3 * d)


def flatten_cubics(control: Points, pieces: int = 16) -> Points:
    """A chain of cubics as straight pieces, ``pieces`` to each cubic."""
    columns = [bezier_points(control, (step + 1) / pieces) for step in range(pieces)]
    return np.vstack([control[:1], np.stack(columns, axis=1).reshape(-1, 2)])
