"""The strokes of a figure joined to one path, and its best corners."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from sunroom.core.geometry import path_length, resample
from sunroom.core.geometry.curves import Points

#: Points on the joined path: enough for corners, few enough for 5 ms.
PATH_POINTS = 128
MOST_CORNERS = 6
#: Ends of strokes count as meeting within this part of the figure's size.
MEETING = 0.22


class RoughPath:
    """The strokes of one figure as one path of evenly spaced points.

    Attributes
    ----------
    points : (PATH_POINTS, 2) float array
    size : float
        Diagonal of the ink's box.
    closed : bool
        Whether its ends meet.
    """

    def __init__(self, points: Points) -> None:
        self.points = resample(points, PATH_POINTS)
        self.size = float(np.hypot(*np.ptp(points, axis=0)))
        self.length = path_length(self.points)
        self.gap = float(np.hypot(*(self.points[0] - self.points[-1])))
        self.closed = self.gap < MEETING * self.size and self.length > 1.8 * self.size


def join(strokes: Sequence[Points], meeting: float = MEETING) -> RoughPath | None:
    """One path through all strokes, end to nearest end; None when they do not meet.

    Parameters
    ----------
    strokes : sequence of (N, 2) float arrays
    meeting : float
        How far apart two ends may be that meet, as a part of the figure's size.
    """
    everything = np.vstack(strokes)
    size = float(np.hypot(*np.ptp(everything, axis=0)))
    # What is small beside the whole (a slip of the pen) is not a side of the figure.
    left = [stroke for stroke in strokes if path_length(stroke) > 0.06 * size]
    if not left or size <= 0:
        return None
    path = left.pop(int(np.argmax([path_length(stroke) for stroke in left])))
    while left:
        gaps = [
            (float(np.hypot(*(end - stroke[at]))), number, at, where)
            for number, stroke in enumerate(left)
            for at in (0, -1)
            for where, end in (("after", path[-1]), ("before", path[0]))
        ]
        gap, number, at, where = min(gaps)
        if gap > meeting * size:
            return None
        stroke = left.pop(number)
        forward = stroke if (at == 0) == (where == "after") else stroke[::-1]
        path = np.vstack([path, forward] if where == "after" else [forward, path])
    return RoughPath(path)


class Ring:
    """A closed path without what overshoots, and the polygons nearest to it.

    Corners are picked by dynamic reduction: of all points the one is dropped whose loss adds the
    least area, until as many are left as are asked for (Visvalingam & Whyatt 1993); then a line is fitted to
    each side and neighbours are cut with each other.
    """

    def __init__(self, path: RoughPath) -> None:
        self.points = _trimmed(path)
        self.size = path.size
        self._picked = _picked(self.points)

    def polygon(self, count: int) -> tuple[Points, float]:
        """The polygon with ``count`` corners, 3 to ``MOST_CORNERS``, nearest to the path.

        Returns
        -------
        (count, 2) float array, float
            Corners, and the root mean square distance of the path from its sides as a part of its size.
        """
        ring, kept = self.points, self._picked[count]
        corners = ring[kept]
        for _ in range(4):
            cut = _cut_sides(ring, kept)
            near = [int(np.argmin(np.hypot(*(ring - corner).T))) for corner in cut]
            if len(set(near)) < count or list(np.roll(near, -int(np.argmin(near)))) != sorted(near):
                break  # sides that cut each other elsewhere: the corners as they were are nearer
            corners, kept = cut, sorted(near)
        return corners, polygon_error(ring, corners) / self.size


def _picked(ring: Points) -> dict[int, list[int]]:
    """The numbers of the points that are left as corners, for each count of corners."""
    rows: list[tuple[float, float]] = ring.tolist()

    def area(at: int) -> float:
        (ax, ay), (bx, by), (cx, cy) = rows[kept[at - 1]], rows[kept[at]], rows[kept[(at + 1) % len(kept)]]
        return abs((bx - ax) * (cy - ay) - (by - ay) * (cx - ax))

    kept = list(range(len(rows)))
    areas = [area(at) for at in kept]
    picked = {}
    while len(kept) > 3:
        at = areas.index(min(areas))
        del kept[at], areas[at]
        for near in (at - 1, at % len(kept)):
            areas[near] = area(near)
        if len(kept) <= MOST_CORNERS:
            picked[len(kept)] = kept.copy()
    return picked


def polygon_error(points: Points, corners: Points) -> float:
    """Root mean square distance of ``points`` from the nearest side of the polygon."""
    starts, ends = corners, np.roll(corners, -1, axis=0)
    sides = ends - starts
    lengths = (sides**2).sum(axis=1) + 1e-12
    offsets = points[:, None, :] - starts[None]
    t = np.clip((offsets * sides).sum(axis=2) / lengths, 0, 1)
    nearest = starts + t[..., None] * sides
    distances = np.hypot(*np.moveaxis(points[:, None, :] - nearest, 2, 0)).min(axis=1)
    return float(np.sqrt((distances**2).mean()))


def _trimmed(path: RoughPath) -> Points:
    """The closed path without what overshoots where its ends cross or pass each other."""
    points, reach = path.points, PATH_POINTS // 8
    gaps = np.hypot(*np.moveaxis(points[:reach, None] - points[None, -reach:], 2, 0))
    # Cutting further back must bring the ends clearly closer to be worth it.
    cost = gaps / path.size + 0.02 * (np.arange(reach)[:, None] + np.arange(reach)[::-1][None]) / reach
    first, last = np.unravel_index(int(np.argmin(cost)), cost.shape)
    return resample(points[int(first) : PATH_POINTS - reach + int(last) + 1], PATH_POINTS - 1)


def _cut_sides(ring: Points, kept: list[int]) -> Points:
    lines = []
    for start, end in zip(kept, [*kept[1:], kept[0] + len(ring)], strict=True):
        # The rounded ends of a side say little about where it runs.
        inset = (end - start) // 6
        index = np.arange(start + inset, max(end - inset, start + inset + 1) + 1) % len(ring)
        lines.append(nearest_line(ring[index]))
    corners = []
    for number, (centre, way) in enumerate(lines):
        before_centre, before_way = lines[number - 1]
        cross = before_way[0] * way[1] - before_way[1] * way[0]
        if abs(cross) < 0.17:  # sides within 10° of each other do not cut at a place worth having
            corners.append(ring[kept[number]])
            continue
        offset = centre - before_centre
        t = (offset[0] * way[1] - offset[1] * way[0]) / cross
        corners.append(before_centre + t * before_way)
    return np.array(corners)


def nearest_line(points: Points) -> tuple[Points, Points]:
    """Centre and unit direction of the line nearest to ``points`` in total least squares."""
    centre = points.mean(axis=0)
    if len(points) < 2:
        return centre, np.array([1.0, 0.0])
    _, _, axes = np.linalg.svd(points - centre, full_matrices=False)
    way = axes[0]
    return centre, way if np.dot(points[-1] - points[0], way) >= 0 else -way
