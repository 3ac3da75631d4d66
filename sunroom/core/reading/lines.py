"""Strokes to level lines of writing."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import NamedTuple

import cv2
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Box, path_length, resample
from sunroom.core.geometry.curves import Points
from sunroom.core.reading.parting import is_ring

Stroke = NDArray[np.float64]

#: Slants that are looked for: a line tilted further is meant so, or is no line.
SLANTS_DEG = np.arange(-36, 36.5, 1.5)
#: Then closer, about the best of them.
CLOSER_DEG = np.arange(-1.25, 1.3, 0.5)
#: A line must be this much longer than it is high before its slant can be told from its letters; one of few strokes even longer,
#: as it may be a single sign that leans, and in its length the pen goes so far to and fro.
LONG, LONGER, FEW_STROKES, WINDING = 2.0, 3.0, 3, 2.6
#: A ring is small that is smaller than this part of the largest stroke.
SMALL_RING = 0.7
#: More strokes than this are several letters, whatever their box.
MANY_STROKES = 12
PROFILE_BINS = 48
#: Less than this is the unevenness of letters.
LEAST_SLANT_DEG = 1.0
#: Strokes lower than this part of a tall letter are dots, dashes and accents.
SMALL = 0.35
#: Of digits those lower than this part are pieces, which are a row of their own when they lie so far from others.
WHOLE, APART = 0.6, 0.25
#: Middles of letters further apart than this part of a tall letter stand on different lines.
LINE_GAP = 0.7
#: Groups that share more of their height than this are one line; tails and tips of two lines share less.
SHARED = 0.55
#: A group lower than a tall letter that is nearer than this to the next is a part of its letters.
TOUCHING = 0.12
#: A group of less than this part of the other's strokes is likelier a part of its letters than a line.
FEW = 0.34
TOUCHING_FEW = 0.3
#: Writing runs as the lines under it, unless these leave it so much less even than its own slant does.
PLAIN = 0.8
#: The line of a sum parts letters whose middles are nearer than this to it: of those so large a share lies over or under it.
NEXT, MOSTLY = 1.5, 0.8
#: It goes through a letter that reaches further than this to both of its sides.
THROUGH = 0.25
#: What is further from the rest of its line than this is another line beside it: a word in the next box.
BESIDE = 7.0
#: A stroke that begins or ends so near to another, as a part of a tall letter, goes on from it.
NEAR = 0.27
#: And a stroke that is wider than this is no part of a letter; more strokes are two lines of writing.
WIDE, MOST_PARTS = 1.8, 8


class InkLine(NamedTuple):
    """A line of writing.

    Attributes
    ----------
    strokes : list of (N, 2) float arrays
        Turned level, from left to right.
    members : list of int
        Which of the strokes given these are.
    angle_rad : float
        By how much the line was off level.
    """

    strokes: list[Points]
    members: list[int]
    angle_rad: float


def find_lines(
    strokes: Sequence[Stroke], ruled: Sequence[Stroke] = (), digits: bool = False
) -> list[InkLine]:
    """Group strokes into lines, from the top down; empty when there is no stroke.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
        In the order of writing; x and y in the first two columns.
    ruled : sequence of (N, K) float arrays
        Lines that were drawn under writing: it runs as they do, unless it is plain that it does not, and none of it crosses
        one that has letters above and below it, as in a sum in columns.
    digits : bool
        Whether they are rows of digits, of which nothing hangs down: few strokes are a line as well.
    """
    known = [number for number, stroke in enumerate(strokes) if len(stroke)]
    points = [np.asarray(strokes[number][:, :2], dtype=float) for number in known]
    if not points:
        return []
    angle = slant(points)
    if ruled:
        run, everything = _run(ruled), _resampled(points)
        if _unevenness(everything, math.degrees(run)) > PLAIN * _unevenness(everything, math.degrees(angle)):
            angle = run
    level = [turned(stroke, -angle) for stroke in points]
    borders = _borders(level, [turned(line[:, :2], -angle) for line in ruled])
    lines = []
    for group in _grouped(level, borders, digits):
        ordered = sorted(group, key=lambda index: float(level[index][:, 0].min()))
        lines.append(InkLine([level[i] for i in ordered], [known[i] for i in ordered], angle))
    return lines


def slant(strokes: Sequence[Points]) -> float:
    """Angle in radians by which the writing runs off level; 0 when it is too short to tell.

    The angle whose projection on the upright is most uneven: Postl 1986's projection profile.
    """
    if len(strokes) < MANY_STROKES:
        strokes = _without_rings(strokes)
    everything = _resampled(strokes)
    if len(strokes) <= FEW_STROKES:
        tells = _runs_along(everything, LONGER, sum(map(path_length, strokes)) / WINDING)
    else:
        tells = len(strokes) >= MANY_STROKES or _runs_along(everything, LONG)
    if not tells:
        return 0.0
    best = max(SLANTS_DEG, key=lambda degrees: _unevenness(everything, float(degrees)))
    best = max(best + CLOSER_DEG, key=lambda degrees: _unevenness(everything, float(degrees)))
    return math.radians(float(best)) if abs(best) > LEAST_SLANT_DEG else 0.0


def _without_rings(strokes: Sequence[Points]) -> list[Points]:
    """All strokes but small rings: a degree sign stands high up, an o low, and neither tells how a short line runs."""
    sizes = [float(np.ptp(stroke, axis=0).max()) for stroke in strokes]
    return [
        stroke
        for stroke, size in zip(strokes, sizes, strict=True)
        if size >= SMALL_RING * max(sizes) or not is_ring(stroke)
    ]


def _resampled(strokes: Sequence[Points]) -> Points:
    return np.vstack([resample(stroke, max(4, min(64, len(stroke)))) for stroke in strokes])


def _run(ruled: Sequence[Stroke]) -> float:
    """Angle in radians by which drawn lines run off level."""
    ways = [line[line[:, 0].argmax(), :2] - line[line[:, 0].argmin(), :2] for line in ruled]
    return float(np.median([math.atan2(y, x) for x, y in ways]))


def _runs_along(points: Points, long_enough: float, longest: float = math.inf) -> bool:
    """Whether ink is long enough to show how a line runs, and not a single tall sign or longer than ``longest``.

    Several lines of writing are high as well, but then they are many strokes.
    """
    corners = cv2.boxPoints(cv2.minAreaRect(points.astype(np.float32)))
    long, short = sorted(
        (corners[1] - corners[0], corners[2] - corners[1]), key=lambda side: -np.hypot(*side)
    )
    upright = abs(long[1]) > abs(long[0])
    return bool(long_enough * np.hypot(*short) <= np.hypot(*long) <= longest) and not upright


def _unevenness(points: Points, degrees: float) -> float:
    """How much of the ink lies in few levels once it is turned back by an angle."""
    y = turned(points, -math.radians(degrees))[:, 1]
    height = max(float(np.ptp(y)), 1e-6)
    counts, _ = np.histogram(y, bins=PROFILE_BINS, range=(y.min(), y.min() + height))
    # A smaller box at the right angle is denser too; a level line is likelier than a tilted one.
    return float((counts.astype(float) ** 2).sum()) / len(y) ** 2 / height * (1 - 0.003 * abs(degrees))


def turned(points: Points, angle_rad: float) -> Points:
    c, s = math.cos(angle_rad), math.sin(angle_rad)
    return np.column_stack([points[:, 0] * c - points[:, 1] * s, points[:, 0] * s + points[:, 1] * c])


def _grouped(strokes: list[Points], borders: Sequence[float], digits: bool) -> list[list[int]]:
    """Lines by the heights at which the letters' middles lie; small marks join the nearest line."""
    heights = np.array([float(np.ptp(stroke[:, 1])) for stroke in strokes])
    middles = np.array([float(stroke[:, 1].min() + stroke[:, 1].max()) / 2 for stroke in strokes])
    tall = _tall(heights, strokes)
    # Pieces of digits lie between their rows' middles.
    letters = np.flatnonzero(heights >= (WHOLE if digits else SMALL) * tall)
    if len(letters) == 0:
        letters = np.arange(len(strokes))
    order = letters[np.argsort(middles[letters])]
    gaps = np.diff(middles[order]) > LINE_GAP * tall
    for border in borders:
        after = int(np.searchsorted(middles[order], border))
        if 0 < after < len(order):
            gaps[after - 1] = True
    starts = [0, *(np.flatnonzero(gaps) + 1)]
    groups = [list(order[a:b]) for a, b in zip(starts, [*starts[1:], len(order)], strict=True)]
    bands = [_band(strokes, group) for group in groups]
    groups, bands = _merged(strokes, groups, bands, tall, borders, digits)
    for index in sorted(set(range(len(strokes))) - set(letters.tolist())):
        # A dot above belongs to the line below it, a full stop to the line it stands on.
        nearest = min(
            range(len(groups)),
            key=lambda g: max(bands[g][0] - middles[index], middles[index] - bands[g][1], 0.0),
        )
        top, bottom = bands[nearest]
        if digits and max(top - middles[index], middles[index] - bottom) > APART * tall:
            groups.append([index])
            bands.append(_band(strokes, [index]))
        else:
            groups[nearest].append(index)
    if digits:
        groups = [group for _, group in sorted(zip(bands, groups, strict=True))]
    return [part for group in groups for part in _beside(strokes, group, tall)]


def _borders(strokes: list[Points], ruled: list[Points]) -> list[float]:
    """How far down lines are that have letters above and below them and hardly any beside: of a sum, not under a word.

    None goes through a letter.
    """
    boxes = [Box.of(stroke) for stroke in strokes]
    tall = _tall([box.height for box in boxes], strokes)
    letters = [box for box in boxes if box.height >= SMALL * tall]
    across = np.array([(box.x0 + box.x1) / 2 for box in letters])
    tops, bottoms = (np.array([getattr(box, side) for box in letters]) for side in ("y0", "y1"))
    down = (tops + bottoms) / 2
    found = []
    for line in map(Box.of, ruled):
        border = (line.y0 + line.y1) / 2
        near = np.abs(down - border) < NEXT * tall
        along = near & (across > line.x0 - tall) & (across < line.x1 + tall)
        through = along & (np.minimum(border - tops, bottoms - border) > THROUGH * tall)
        both = len(set(down[along] > border)) == 2
        if both and not through.any() and along.sum() >= MOSTLY * near.sum():
            found.append(border)
    return found


def _tall(heights: Sequence[float] | Points, strokes: list[Points]) -> float:
    """About how high a tall letter is."""
    return float(np.percentile(heights, 80)) or max(float(max(path_length(s) for s in strokes)), 1.0)


def _beside(strokes: list[Points], group: list[int], tall: float) -> list[list[int]]:
    """The lines beside each other that a group is, from the left: with wide gaps between them."""
    parts: list[list[int]] = []
    reach = -math.inf
    for index in sorted(group, key=lambda number: float(strokes[number][:, 0].min())):
        if not parts or float(strokes[index][:, 0].min()) - reach > BESIDE * tall:
            parts.append([])
        parts[-1].append(index)
        reach = max(reach, float(strokes[index][:, 0].max()))
    return parts


def _band(strokes: list[Points], group: list[int]) -> tuple[float, float]:
    """Top and bottom of a group's ink."""
    return (
        float(min(strokes[i][:, 1].min() for i in group)),
        float(max(strokes[i][:, 1].max() for i in group)),
    )


def _is_continued(strokes: list[Points], above: list[int], below: list[int], tall: float) -> bool:
    """Whether each stroke of one group hangs on the other, by itself or by strokes it touches: parts of letters."""
    parts = [*above, *below]
    if len(parts) > MOST_PARTS or any(np.ptp(strokes[number][:, 0]) > WIDE * tall for number in parts):
        return False

    def touch(one: int, two: int) -> bool:
        return any(
            float(np.hypot(*(strokes[a][[0, -1]][:, None] - strokes[b][None]).transpose(2, 0, 1)).min())
            < NEAR * tall
            for a, b in ((one, two), (two, one))
        )

    def hangs_on(group: list[int], others: list[int]) -> bool:
        left, on = set(group), others
        while on and left:
            on = [number for number in left if any(touch(number, other) for other in on)]
            left.difference_update(on)
        return not left

    return hangs_on(above, below) or hangs_on(below, above)


def _merged(
    strokes: list[Points],
    groups: list[list[int]],
    bands: list[tuple[float, float]],
    tall: float,
    borders: Sequence[float],
    digits: bool,
) -> tuple[list[list[int]], list[tuple[float, float]]]:
    """Groups joined with the one before when they share its height or touch it: parts of tall letters; never over a border."""
    kept_groups, kept_bands = [list(groups[0])], [bands[0]]
    for group, (top, bottom) in zip(groups[1:], bands[1:], strict=True):
        last_top, last_bottom = kept_bands[-1]
        shared = min(bottom, last_bottom) - max(top, last_top)
        low = min(bottom - top, last_bottom - last_top)
        fewer, more = sorted((len(group), len(kept_groups[-1])))
        few = fewer <= FEW * more and not digits
        # The tail of a g hangs far down and overlaps its line a little; few strokes that do are such tails.
        touches = shared > 0 if low >= tall else shared > -(TOUCHING_FEW if few else TOUCHING) * tall
        parted = any(_middle(last_top, last_bottom) < border < _middle(top, bottom) for border in borders)
        if not parted and (
            shared > SHARED * low
            or (touches and (few or low < tall))
            or (shared > -TOUCHING * tall and _is_continued(strokes, kept_groups[-1], group, tall))
        ):
            kept_groups[-1] += group
            kept_bands[-1] = (min(top, last_top), max(bottom, last_bottom))
        else:
            kept_groups.append(list(group))
            kept_bands.append((top, bottom))
    return kept_groups, kept_bands


def _middle(top: float, bottom: float) -> float:
    return (top + bottom) / 2
