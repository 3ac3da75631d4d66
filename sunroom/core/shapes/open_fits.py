"""Exact lines: straight, bent, headed, ticked and crossed; axes, number lines and braces."""

from __future__ import annotations

import math

import numpy as np

from sunroom.core.geometry import flatten_cubics, path_length, resample, simplify
from sunroom.core.geometry.curves import Points
from sunroom.core.ink import Ends
from sunroom.core.shapes.figures import draw_figure
from sunroom.core.shapes.ink import Fitted, Ink, distance, in_parts, levelled, spine
from sunroom.core.shapes.path import PATH_POINTS, nearest_line

#: How far a polyline's corners stand out, as parts of its size: what is tried; what each corner costs (logarithm), and how
#: near a line need not be to the ink (RMS).
CORNERS, CORNER_COST, NEAR_ENOUGH = (0.03, 0.042, 0.06, 0.1), 0.5, 0.012
#: A shaft that bends further than this part of its length is drawn as a curve.
BOW = 0.09
#: A shaft is looked at in so many points; a head is shorter than this part of it.
SHAFT_POINTS, HEAD = 64, 0.45


def fit_line(ink: Ink) -> Fitted | None:
    start, end = spine(ink.even, ink.strokes[0])
    return Fitted("line", np.array(levelled(start, end)))


def fit_polyline(ink: Ink) -> Fitted | None:
    path = ink.path
    found = [Fitted("polyline", _corners(path.points, part * path.size)) for part in CORNERS]
    # Another corner must bring the line plainly nearer to the ink.
    exact = min(
        found,
        key=lambda f: math.log(distance(f, ink) ** 2 + NEAR_ENOUGH**2) + CORNER_COST * len(f.points),
    )
    return exact if len(exact.points) >= 3 else None


def _corners(points: Points, tolerance: float) -> Points:
    """The corners of an open path: where it bends, then where the lines fitted between bends cut."""
    kept = simplify(points, tolerance)
    sides = [nearest_line(points[a : b + 1]) for a, b in zip(kept, kept[1:], strict=False)]
    made = [points[kept[0]]]
    for number, (before, after) in enumerate(zip(sides, sides[1:], strict=False)):
        cut = _cut(*before, *after)
        corner = points[kept[number + 1]]
        made.append(cut if cut is not None and np.hypot(*(cut - corner)) < 2 * tolerance else corner)
    return np.array([*made, points[kept[-1]]])


def _cut(centre: Points, way: Points, other: Points, other_way: Points) -> Points | None:
    cross = way[0] * other_way[1] - way[1] * other_way[0]
    if abs(cross) < 0.2:
        return None
    offset = other - centre
    return np.asarray(centre + way * (offset[0] * other_way[1] - offset[1] * other_way[0]) / cross)


def fit_elbow(ink: Ink) -> Fitted | None:
    """Level and upright lines in turn: two of them, or three."""
    points = ink.path.points
    found = [
        Fitted("elbow", _stepped(points, level_first, count))
        for level_first in (True, False)
        for count in (2, 3)
    ]
    # A third side must explain clearly more to be meant.
    costs = [distance(f, ink) * (1.0 if len(f.points) == 3 else 1.25) for f in found]
    return found[int(np.argmin(costs))]


def _stepped(points: Points, level_first: bool, count: int) -> Points:
    """Corners of ``count`` level and upright sides, cut where the path turns from one to the next."""
    ways = np.abs(np.diff(points, axis=0))
    level = np.where(ways[:, 0] >= ways[:, 1], 1.0, -1.0) * np.hypot(*ways.T)
    level = level if level_first else -level
    gain = np.concatenate([[0.0], np.cumsum(level)])
    last = len(points) - 1
    if count == 2:
        cuts = [int(np.argmax(2 * gain[1:last] - gain[last])) + 1]
    else:
        # The best pair of cuts: as much on its own way as can be before, between and after.
        best = np.maximum.accumulate(gain)
        total = 2 * best[:-1] - 2 * gain[:-1] + gain[last]
        second = int(np.argmax(total[2:])) + 2
        first = int(np.argmax(gain[1:second])) + 1
        cuts = [first, max(second, first + 1)]
    edges = [0, *cuts, last]
    offsets = []
    is_level = level_first
    for a, b in zip(edges, edges[1:], strict=False):
        offsets.append((is_level, float(np.median(points[a : b + 1, 1 if is_level else 0]))))
        is_level = not is_level
    ends = (points[0], points[-1])
    corners = []
    for (one_level, one), (_, two) in zip(offsets, offsets[1:], strict=False):
        corners.append((two, one) if one_level else (one, two))
    start = (ends[0][0], offsets[0][1]) if offsets[0][0] else (offsets[0][1], ends[0][1])
    final = (ends[1][0], offsets[-1][1]) if offsets[-1][0] else (offsets[-1][1], ends[1][1])
    return np.array([start, *corners, final])


def fit_arrow(ink: Ink) -> Fitted | None:
    shaft = _shaft(ink)
    heads = [_other_ink(ink, shaft, end) for end in (shaft[0], shaft[-1])]
    return _headed(shaft if heads[1] >= heads[0] else shaft[::-1], "arrow")


def fit_double_arrow(ink: Ink) -> Fitted | None:
    return _headed(_shaft(ink), "arrows")


def head_gap(ink: Ink) -> float:
    """How far a stroke beside the shaft keeps from its ends, as a part of the shaft's length; of all the furthest."""
    shaft = _shaft(ink)
    length = max(float(np.hypot(*(shaft[-1] - shaft[0]))), 1e-9)
    gaps = [min(float(np.hypot(*(stroke - end).T).min()) for end in shaft[[0, -1]]) for stroke in ink.strokes]
    return max(gaps) / length


def _shaft(ink: Ink) -> Points:
    """What of the stroke that reaches furthest lies between a head and the other end, or two heads.

    A head runs back from its tip: that is the point furthest from the other end.
    """
    stroke = resample(
        max(ink.strokes, key=lambda points: float(np.hypot(*np.ptp(points, axis=0)))), SHAFT_POINTS
    )
    shafts = []
    for drawn in (stroke, stroke[::-1]):
        tip = _furthest(drawn)
        tail = tip - _furthest(drawn[tip::-1])
        shafts += [drawn[: tip + 1], drawn[tail : tip + 1]]
    return min((part for part in shafts if len(part) > 4), key=_detour, default=stroke)


def _furthest(points: Points) -> int:
    """Which point is furthest from the first, when the pen is there for the first time."""
    far = np.hypot(*(points - points[0]).T)
    there = far > 0.9 * far.max()
    first = int(np.argmax(there))
    away = int(np.argmin(there[first:])) or len(far)
    return first + int(np.argmax(far[first : first + away]))


def _detour(points: Points) -> float:
    return path_length(points) / max(float(np.hypot(*(points[-1] - points[0]))), 1e-9)


def _other_ink(ink: Ink, shaft: Points, end: Points) -> float:
    """How much ink lies about an end of the shaft and not on it."""
    near = np.hypot(*(ink.even - end).T) < HEAD * np.hypot(*(shaft[-1] - shaft[0]))
    return float(np.hypot(*np.moveaxis(ink.even[near][:, None] - shaft, 2, 0)).min(axis=1).sum())


def _headed(shaft: Points, ends: Ends) -> Fitted | None:
    length = float(np.hypot(*(shaft[-1] - shaft[0])))
    if length <= 0:
        return None
    way = (shaft[-1] - shaft[0]) / length
    t = np.clip((shaft - shaft[0]) @ way / length, 0, 1)
    arch = 4 * t * (1 - t)
    bend = float(arch @ ((shaft - shaft[0]) @ np.array([-way[1], way[0]])) / max(float(arch @ arch), 1e-9))
    if abs(bend) < BOW * length:
        return Fitted("line", np.array(levelled(*spine(shaft, shaft))), ends=ends)
    # A cubic whose middle lies ``bend`` off the chord has its control points 4/3 as far off.
    third, lift = way * length / 3, np.array([-way[1], way[0]]) * bend * 4 / 3
    points = np.array([shaft[0], shaft[0] + third + lift, shaft[-1] - third + lift, shaft[-1]])
    return Fitted("curve", points, curved=True, ends=ends)


def fit_tick(ink: Ink) -> Fitted | None:
    path = ink.path.points
    if path[0][0] > path[-1][0]:
        path = path[::-1]
    inner = path[6:-6]
    corner = inner[int(np.argmax(inner[:, 1]))]
    return Fitted("tick", np.array([path[0], corner, path[-1]]))


def fit_cross(ink: Ink) -> Fitted | None:
    """Two lines: those of two strokes, or of the ink by its direction."""
    long = sorted(ink.strokes, key=path_length)[-2:]
    if len(long) == 2 and path_length(long[0]) > 0.4 * path_length(long[1]):
        groups = [resample(stroke, 40) for stroke in long]
    else:
        ways = np.diff(ink.even, axis=0)
        rising = ways[:, 0] * ways[:, 1] < 0
        groups = [ink.even[1:][rising], ink.even[1:][~rising]]
    if min(map(len, groups)) < 3:
        return None
    ends = [end for group in groups for end in spine(group, group)]
    return Fitted("cross", np.array(ends), parts=(2, 2))


def fit_axes(ink: Ink) -> Fitted | None:
    """A level and an upright line where the longest such strokes lie, each with a head."""
    level, upright = _longest(ink, 0), _longest(ink, 1)
    if level is None or upright is None:
        return None
    y, x = float(np.median(level[:, 1])), float(np.median(upright[:, 0]))
    x0, x1 = min(float(level[:, 0].min()), x), max(float(level[:, 0].max()), x)
    y0, y1 = min(float(upright[:, 1].min()), y), max(float(upright[:, 1].max()), y)
    head = 0.05 * ink.size
    lines = [
        [(x0, y), (x1, y)],
        [(x1 - head, y - 0.55 * head), (x1, y), (x1 - head, y + 0.55 * head)],
        [(x, y1), (x, y0)],
        [(x - 0.55 * head, y0 + head), (x, y0), (x + 0.55 * head, y0 + head)],
    ]
    return in_parts("axes", lines)


def _longest(ink: Ink, axis: int) -> Points | None:
    """The points of the longest run of ink along an axis (0 level, 1 upright)."""
    best: Points | None = None
    for stroke in ink.strokes:
        points = resample(stroke, PATH_POINTS)
        ways = np.abs(np.diff(points, axis=0))
        along = ways[:, axis] > ways[:, 1 - axis]
        part = points[1:][along]
        if len(part) > 8 and (best is None or np.ptp(part[:, axis]) > np.ptp(best[:, axis])):
            best = part
    return best


def fit_number_line(ink: Ink) -> Fitted | None:
    """A level line with a tick at each short stroke that crosses it, evenly spaced, and heads."""
    level = _longest(ink, 0)
    if level is None:
        return None
    y, x0, x1 = float(np.median(level[:, 1])), float(level[:, 0].min()), float(level[:, 0].max())
    ticks = sorted(
        float(np.median(s[:, 0]))
        for s in ink.strokes
        if np.ptp(s[:, 1]) > 2 * np.ptp(s[:, 0]) and np.ptp(s[:, 1]) < 0.4 * (x1 - x0)
    )
    if len(ticks) < 2:
        return None
    number = np.arange(len(ticks))
    step, first = np.polyfit(number, ticks, 1)
    tall = (
        float(np.median([np.ptp(s[:, 1]) for s in ink.strokes if np.ptp(s[:, 1]) > 2 * np.ptp(s[:, 0])])) / 2
    )
    head = 0.045 * (x1 - x0)
    lines: list[list[tuple[float, float]]] = [[(x0, y), (x1, y)]]
    lines += [[(x, y - tall), (x, y + tall)] for x in first + step * number]
    lines.append([(x1 - head, y - 0.55 * head), (x1, y), (x1 - head, y + 0.55 * head)])
    return in_parts("number_line", lines)


def fit_brace(ink: Ink) -> Fitted | None:
    """A brace along the longer side of the ink's box, as deep and to the side as lies nearest to the ink."""
    along, across = (1, 0) if ink.high[1] - ink.low[1] > ink.high[0] - ink.low[0] else (0, 1)
    length = float(ink.high[along] - ink.low[along])
    if length <= 0:
        return None
    outline = np.array(
        draw_figure("brace", *((length / 4, length) if along else (length, length / 4))).points
    )
    low, high = outline.min(axis=0), outline.max(axis=0)
    outline = (outline - low) / (high - low)
    flat = flatten_cubics(outline)
    # 0 at the beak and 1 at the ends: below 0 when the beak points to the other side.
    lift = np.interp((ink.even[:, along] - ink.low[along]) / length, flat[:, along], flat[:, across])
    (depth, middle), *_ = np.linalg.lstsq(
        np.column_stack([lift, np.ones(len(lift))]), ink.even[:, across], rcond=None
    )
    outline[:, along] = ink.low[along] + length * outline[:, along]
    outline[:, across] = middle + depth * outline[:, across]
    return Fitted("brace", outline, curved=True)
