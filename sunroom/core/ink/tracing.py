"""From a picture of lines to strokes: their middle lines, followed as a pen would have gone."""

from __future__ import annotations

from collections import Counter, defaultdict
from typing import Any

import cv2
import numpy as np
from numpy.typing import NDArray

#: Half the thickness of a font's lines at the size at which they are traced, in px.
GLYPH_HALF = 7.0
#: In halves of a line's thickness: side branches of the middle line shorter than this are the corners of a blunt pen;
#: two lines that cross share at most about this much; a line's heading is taken over this much.
SPUR, BRIDGE, HEADING = 1.7, 3.15, 2.0
#: But a branch of this length is a line that ends soon after it has met another, when it is so thick up to its end (a
#: part of what most of the line is): a corner is thin. Of fewer px it is the edge's roughness.
TAIL, TAIL_DEPTH, LEAST_TAIL_PX = 0.4, 0.6, 4
#: Middle lines are smoothed over so much (halves of a thickness): thinning leaves steps of one pixel.
SMOOTHING = 0.72
#: A tangle of more edges than this is left in its pieces: to join it would take long.
MOST_EDGES = 300

Pixel = tuple[int, int]
#: Rows of pixels, 1 where there is a line; and (N, 2) or (N, 3) numbers.
Picture = NDArray[Any]
Points = NDArray[Any]


def trace_picture(solid: Picture, half: float = GLYPH_HALF) -> list[Points]:
    """Strokes of a black and white picture, whose lines are about twice ``half`` px thick.

    Each is an (N, 3) array of x, y in px and pressure, 0.5 where the line is as thick as most of it.
    """
    if not solid.any():
        return []
    top, left = (max(int(np.flatnonzero(solid.any(axis=axis))[0]) - 2, 0) for axis in (1, 0))
    bottom, right = (int(np.flatnonzero(solid.any(axis=axis))[-1]) + 3 for axis in (1, 0))
    cut = solid[top:bottom, left:right]
    depth = cv2.distanceTransform(cut, cv2.DIST_L2, 5)
    line = thin(cut)
    typical = np.median(depth[line > 0]) if line.any() else 1.0
    strokes = []
    paths = _strokes(line, depth / typical, half)
    for path in [*paths, *_dots(cut, depth, paths)]:
        points = np.array([(x, y) for y, x in path], dtype=float)
        points = _smooth(
            points, max(1, round(SMOOTHING * half)), closed=len(path) > 2 and path[0] == path[-1]
        )
        row, column = points[:, 1].astype(int), points[:, 0].astype(int)
        force = depth[row.clip(0, cut.shape[0] - 1), column.clip(0, cut.shape[1] - 1)] / typical * 0.5
        strokes.append(np.column_stack([points + (left, top), force.clip(0, 1)]))
    return strokes


def thin(solid: Picture) -> Picture:
    """The middle line of a picture, one pixel wide (Zhang & Suen 1984)."""
    image = np.pad(solid.astype(bool), 1).astype(np.uint8)
    while True:
        before = int(image.sum())
        for may_go in MAY_GO:
            around = cv2.filter2D(image, -1, RING, borderType=cv2.BORDER_CONSTANT)
            image[may_go[around]] = 0
        if int(image.sum()) == before:
            return image[1:-1, 1:-1]


def _may_go(kept: tuple[tuple[int, int, int], tuple[int, int, int]]) -> NDArray[np.bool_]:
    """Whether a pixel goes, by which of its neighbours are there (a bit each): unless three in ``kept`` are."""
    there = np.arange(256)[:, None] >> np.arange(8) & 1 == 1
    count, rises = there.sum(axis=1), (~there & np.roll(there, -1, axis=1)).sum(axis=1)
    stays = there[:, kept[0]].all(axis=1) | there[:, kept[1]].all(axis=1)
    goes: NDArray[np.bool_] = (count >= 2) & (count <= 6) & (rises == 1) & ~stays
    return goes


#: A pixel's neighbours as bits, from the one above it on, clockwise; and which pixels go in each half of a round.
RING = np.array([[128, 1, 2], [64, 0, 4], [32, 16, 8]], np.uint8)
MAY_GO = _may_go(((0, 2, 4), (2, 4, 6))), _may_go(((0, 2, 6), (0, 4, 6)))


def _dots(solid: Picture, depth: Points, paths: list[list[Pixel]]) -> list[list[Pixel]]:
    """What has no length has no middle line: a round dot is one pixel, its deepest."""
    count, parts = cv2.connectedComponents(solid)
    drawn = {int(parts[pixel]) for path in paths for pixel in path}
    return [
        [divmod(int(np.argmax(np.where(parts == part, depth, -1))), depth.shape[1])]
        for part in range(1, count)
        if part not in drawn
    ]


def _strokes(line: Picture, depth: Points, half: float) -> list[list[Pixel]]:
    """The middle line as paths that run straight on through crossings; ``depth`` is 1 where the line is as thick as most."""
    pixels = {(int(y), int(x)) for y, x in zip(*np.nonzero(line), strict=True)}
    edges = _edges(pixels)
    at = Counter(end for e in edges for end in {e[0], e[-1]})
    ahead = round(HEADING * half)
    edges = [e for e in edges if len(e) >= SPUR * half or not _is_spur(e, at) or _is_tail(e, at, depth, half)]
    if len(edges) > MOST_EDGES:
        return [_from_upper_left(edge) for edge in edges]
    edges = [_to_its_ends(e, at, depth, ahead) for e in edges]
    return _joined(_without_bridges(edges, BRIDGE * half), ahead)


def _without_bridges(edges: list[list[Pixel]], longest: float) -> list[list[Pixel]]:
    """Two thick lines that cross leave two crossings and a short bridge: made one crossing again."""
    edges = [list(e) for e in edges]
    while True:
        ends = [end for e in edges for end in (e[0], e[-1])]
        bridge = next(
            (
                e
                for e in edges
                if len(e) < longest and e[0] != e[-1] and min(ends.count(e[0]), ends.count(e[-1])) > 2
            ),
            None,
        )
        if bridge is None:
            return edges
        edges.remove(bridge)
        middle = bridge[len(bridge) // 2]
        for e in edges:
            for at in (0, -1):
                if e[at] in (bridge[0], bridge[-1]):
                    e[at] = middle


def _near(pixel: Pixel) -> list[Pixel]:
    y, x = pixel
    return [
        (y + dy, x + dx) for dy, dx in ((0, 1), (1, 0), (0, -1), (-1, 0), (1, 1), (1, -1), (-1, 1), (-1, -1))
    ]


def _edges(pixels: set[Pixel]) -> list[list[Pixel]]:
    """Runs of pixels between ends and crossings; a crossing's pixels count as one place."""
    degree = {p: sum(n in pixels for n in _near(p)) for p in pixels}
    crossing = {p for p in pixels if degree[p] > 2}
    place: dict[Pixel, Pixel] = {}
    for pixel in crossing:
        if pixel in place:
            continue
        group, queue = [pixel], [pixel]
        place[pixel] = pixel
        while queue:
            for n in _near(queue.pop()):
                if n in crossing and n not in place:
                    place[n] = pixel
                    group.append(n)
                    queue.append(n)
        y, x = np.mean(group, axis=0)
        centre = (int(y), int(x))
        for member in group:
            place[member] = centre
    rest, edges = pixels - crossing, []
    ends = [p for p in rest if sum(n in rest for n in _near(p)) <= 1]
    for start in [*sorted(ends), *sorted(rest)]:
        if start not in rest:
            continue
        path = [start]
        rest.discard(start)
        while nexts := [n for n in _near(path[-1]) if n in rest]:
            path.append(nexts[0])
            rest.discard(nexts[0])
        before = next((place[n] for n in _near(path[0]) if n in place), None)
        after = next((place[n] for n in _near(path[-1]) if n in place and place[n] != before), None)
        if after is None and len(path) > 4:
            after = next((place[n] for n in _near(path[-1]) if n in place), None)
        if before is None and after is None and path[-1] in _near(path[0]) and len(path) > 8:
            path.append(path[0])
        edges.append([p for p in (before, *path, after) if p is not None])
    return edges


def _is_spur(edge: list[Pixel], at: Counter[Pixel]) -> bool:
    """Only one end of it is at a crossing; ``at`` says how many edges end at each place."""
    ends = [at[end] for end in (edge[0], edge[-1])]
    return min(ends) == 1 and max(ends) > 1


def _is_tail(edge: list[Pixel], at: Counter[Pixel], depth: Points, half: float) -> bool:
    """A line that ends soon after it has met another: as thick up to its end as others are, where a corner is thin."""
    end = edge[0] if at[edge[0]] == 1 else edge[-1]
    return len(edge) >= max(TAIL * half, LEAST_TAIL_PX) and bool(depth[end] >= TAIL_DEPTH)


def _to_its_ends(edge: list[Pixel], at: Counter[Pixel], depth: Points, ahead: int) -> list[Pixel]:
    """Thinning shortens what ends: it goes on straight ahead for as long as there is line on both sides."""
    for _ in range(2):
        edge = edge[::-1]
        if at[edge[-1]] == 1 and edge[0] != edge[-1] and len(edge) > 2:
            way = -_heading(edge, False, ahead)
            steps = np.rint(edge[-1] + np.outer(np.arange(1, ahead + 1), way)).astype(int)
            steps = steps[((steps >= 0) & (steps < depth.shape)).all(axis=1)]
            inside = int(np.argmin([*(depth[steps[:, 0], steps[:, 1]] >= TAIL_DEPTH), False]))
            edge = [*edge, *map(tuple, steps[:inside].tolist())]
    return edge


def _joined(edges: list[list[Pixel]], ahead: int) -> list[list[Pixel]]:
    """Edges joined at their common places, the straightest pair first."""
    paths = [list(e) for e in edges]
    while True:
        at: dict[Pixel, list[tuple[int, bool]]] = defaultdict(list)
        for number, path in enumerate(paths):
            at[path[0]].append((number, True))
            at[path[-1]].append((number, False))
        best: tuple[float, tuple[int, bool], tuple[int, bool]] | None = None
        for ends in at.values():
            for i, one in enumerate(ends):
                for two in ends[i + 1 :]:
                    if one[0] == two[0]:
                        continue
                    turn = float(
                        np.dot(_heading(paths[one[0]], one[1], ahead), _heading(paths[two[0]], two[1], ahead))
                    )
                    if best is None or turn < best[0]:
                        best = (turn, one, two)
        if best is None or best[0] > 0.3:
            return [_from_upper_left(path) for path in paths]
        (_, (a, a_start), (b, b_start)) = best
        first = paths[a][::-1] if a_start else paths[a]
        second = paths[b] if b_start else paths[b][::-1]
        paths = [p for n, p in enumerate(paths) if n not in (a, b)] + [first + second[1:]]


def _heading(path: list[Pixel], at_start: bool, ahead: int) -> Points:
    """Direction in which a path leaves its end, over ``ahead`` pixels."""
    near, far = (
        (path[0], path[min(ahead, len(path) - 1)])
        if at_start
        else (path[-1], path[max(-ahead - 1, -len(path))])
    )
    step = np.subtract(far, near).astype(float)
    return step / (np.hypot(*step) or 1.0)


def _from_upper_left(path: list[Pixel]) -> list[Pixel]:
    (y0, x0), (y1, x1) = path[0], path[-1]
    return path if y0 + 0.6 * x0 <= y1 + 0.6 * x1 else path[::-1]


def _smooth(points: Points, over: int, closed: bool) -> Points:
    if len(points) < 2 * over:
        return points
    padded = np.pad(points, ((over, over), (0, 0)), mode="wrap" if closed else "edge")
    kernel = np.hanning(2 * over + 3)[1:-1]
    kernel /= kernel.sum()
    smooth = np.column_stack([np.convolve(padded[:, axis], kernel, "valid") for axis in (0, 1)])
    if not closed:
        smooth[0], smooth[-1] = points[0], points[-1]
    return smooth
