"""A line of writing as the best way to part its strokes into symbols."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from itertools import pairwise

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import path_length
from sunroom.core.geometry.curves import Points

#: Log likelihoods of what groups of strokes may be, a row for each group.
LogsOf = Callable[[Sequence[Sequence[Points]]], NDArray[np.float64]]

#: A symbol has at most so many strokes.
MOST_STROKES = 4
#: Texts kept at each stroke while a line is parted, and what a symbol may be at most.
BEAM, LIKELY = 20, 8
#: Strokes smaller than this part of the tallest are points; low ones are decimal points.
POINT = 0.22
#: Log likelihood of a point that is one, of a speck so near (in heights) to another stroke that it is rather
#: a piece of that, and of strokes that cannot be a symbol.
SURE_POINT, SPECK, NEAR, NO_SYMBOL = -0.05, -2.5, 0.12, -9.0
#: A low stroke is rather a comma than a point when it is higher than this (in heights; half sure that much more
#: or less); one that hangs from the baseline is a comma when it is no wider and no higher.
COMMA, COMMA_STEP = 0.1, 0.025
HANGING, MOST_COMMA = 0.3, (0.3, 0.65)
#: The dots of a colon are less than the one (in heights) beside each other and more than the other above.
COLON = (0.25, 0.15)
#: How likely a straight stroke is that of a fraction rather than a 1 (log odds): by its lean from the upright in radians,
#: and by how far, in heights of the others, it reaches above and below them; as fitted by training.number_signs.
SLASH_ODDS, SLASH_LEAN, SLASH_ABOVE, SLASH_BELOW = -2.64, 4.97, 7.25, 6.47
MOST_LEAN, REACH, STRAIGHT = 0.75, (-0.1, 0.3), 0.9
#: How likely a ring is a degree sign rather than a 0 (log odds): by its height, and by how far above the others it ends, both in
#: heights of theirs; fitted likewise. Its ends are no further apart than this part of its length; one that ends no higher than
#: this stands on the line.
RING_ODDS, RING_HEIGHT, RING_LIFT, OPEN, STANDS = 5.76, -14.32, 16.25, 0.25, 0.1
#: What joining strokes costs for each part of the height that lies empty between them, and what parting
#: strokes costs that lie over each other.
APART, OVER = 7.0, 3.0
#: A digit wider than this, in heights, is two.
WIDE = 1.15
TOO_WIDE = 6.0
#: Signs that are small and lie high, or low, or are flat, or tall without dots; all others are not tiny.
RAISED, LOWERED, FLAT, TALL = "°'\"", ".,", "-", "0123456789"
TINY, HALF, SMALL, HALF_WAY = 0.25, 0.5, 0.6, 0.55
#: How far down a line, as a part of its height, what is flat may lie.
AMONG = (0.2, 0.85)
#: Log likelihood of a sign whose size or place is not its own.
MISFIT = -3.5
#: Gaps, in heights of the tallest stroke: a narrower one is no space between words, a wider one is.
LEAST_SPACE, MOST_GAP = 0.12, 0.9


class Parted:
    """A level line of strokes in all the ways in which they may be symbols.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
    characters : str
        What the symbols may be.
    logs_of : callable
        From M groups of strokes to (M, len(characters)) log likelihoods.
    marks : bool
        Whether the stroke of a fraction is told from a 1, and a degree sign from a 0, by its place; all are among ``characters``.
    """

    def __init__(
        self, strokes: Sequence[Points], characters: str, logs_of: LogsOf, marks: bool = False
    ) -> None:
        self._tall = max(float(max(np.ptp(s[:, 1]) for s in strokes)), 1e-6)
        colons = self._colons(strokes)
        middles = [float(s[:, 0].min() + s[:, 0].max()) / 2 for s in strokes]
        for dots in colons:
            # In writing that leans a stroke may lie between them.
            for dot in dots:
                middles[dot] = sum(middles[n] for n in dots) / 2
        #: From left to right; ``order`` has their numbers among those that were given.
        self.order = sorted(range(len(strokes)), key=lambda n: middles[n])
        self._colon_starts = {min(self.order.index(n) for n in dots) for dots in colons}
        self.strokes = strokes = [strokes[number] for number in self.order]
        self._bottom = float(max(s[:, 1].max() for s in strokes))
        spans = [
            (start, end)
            for start in range(len(strokes))
            for end in range(start + 1, min(start + MOST_STROKES, len(strokes)) + 1)
        ]
        bottoms = [s[:, 1].max() for s in strokes if np.ptp(s[:, 1]) >= HALF * self._tall]
        self._baseline = float(np.median(bottoms or [self._bottom]))
        self._dots = [self._is_small(s) and self._is_apart(s, strokes) for s in strokes]
        looks = logs_of([strokes[start:end] for start, end in spans])
        logs = looks + self._misfits(spans, characters)
        self._steps: dict[int, list[tuple[int, dict[str, float]]]] = {}
        for (start, end), look, row in zip(spans, looks, logs, strict=True):
            point = self._point(start) if end == start + 1 else {}
            if end == start + 2 and start in self._colon_starts:
                found = {":": SURE_POINT}
            elif "." in point:
                found = point
            else:
                cost = self._cost(start, end)
                found = {c: float(log) + cost for c, log in zip(characters, row, strict=True)} | point
                if end == start + 1 and marks:
                    found |= self._slash(start, found["1"])
                    found |= self._ring(start, *(float(look[characters.index(c)]) + cost for c in "0°"))
            self._steps.setdefault(start, []).append((end, found))

    def texts(self) -> list[tuple[str, float]]:
        """The likeliest texts and their log likelihoods, best first."""
        beams: list[dict[str, float]] = [{"": 0.0}, *({} for _ in self.strokes)]
        for start in range(len(self.strokes)):
            best = sorted(beams[start].items(), key=lambda pair: -pair[1])[:BEAM]
            for end, found in self._steps.get(start, ()):
                likely = sorted(found.items(), key=lambda pair: -pair[1])[:LIKELY]
                for text, log in best:
                    for character, more in likely:
                        longer = text + character
                        beams[end][longer] = max(beams[end].get(longer, -math.inf), log + more)
        return sorted(beams[-1].items(), key=lambda pair: -pair[1])[:BEAM]

    def log_of(self, text: str) -> float:
        """How likely ``text`` is, over the best way to part the strokes."""
        return self._best(text)[0]

    def symbols_of(self, text: str) -> list[tuple[float, tuple[int, ...]]]:
        """For each character of ``text`` how likely it is and its strokes' numbers; empty if it cannot be."""
        return [(log, tuple(self.order[start:end])) for start, end, log in self._best(text)[1]]

    def spacing(self, text: str) -> float:
        """What it costs (log likelihood) that spaces of ``text`` are no gaps in the ink, and gaps no spaces."""
        spans = self._best("".join(text.split()))[1]
        cost, number = 0.0, -1
        for before, character in zip(" " + text, text, strict=False):
            if character == " ":
                continue
            number += 1
            if 0 < number < len(spans):
                left = max(
                    float(s[:, 0].max()) for s in self.strokes[spans[number - 1][0] : spans[number][0]]
                )
                gap = (float(self.strokes[spans[number][0]][:, 0].min()) - left) / self._tall
                cost += MISFIT * (gap < LEAST_SPACE if before == " " else gap > MOST_GAP)
        return cost

    def _best(self, text: str) -> tuple[float, tuple[tuple[int, int, float], ...]]:
        """The likeliest way to part the strokes into ``text``: its log, and each symbol's span and log."""
        best: dict[int, tuple[float, tuple[tuple[int, int, float], ...]]] = {0: (0.0, ())}
        for character in text:
            reached: dict[int, tuple[float, tuple[tuple[int, int, float], ...]]] = {}
            for start, (log, spans) in best.items():
                for end, found in self._steps.get(start, ()):
                    more = found.get(character, NO_SYMBOL)
                    if end not in reached or log + more > reached[end][0]:
                        reached[end] = (log + more, (*spans, (start, end, more)))
            best = reached
        return best.get(len(self.strokes), (-math.inf, ()))

    def _misfits(self, spans: list[tuple[int, int]], characters: str) -> NDArray[np.float64]:
        """(spans, characters) costs of signs that are too large or too small, or lie too high or too low."""
        tops = np.array([min(s[:, 1].min() for s in self.strokes[start:end]) for start, end in spans])
        bottoms = np.array([max(s[:, 1].max() for s in self.strokes[start:end]) for start, end in spans])
        top = float(min(s[:, 1].min() for s in self.strokes))
        height = (bottoms - tops) / self._tall
        down = ((tops + bottoms) / 2 - top) / max(self._bottom - top, 1e-6)
        low = down > HALF_WAY
        of = {c: (height > SMALL) | low for c in RAISED} | {c: (height > SMALL) | ~low for c in LOWERED}
        dotted = np.array([end - start > 1 and any(self._dots[start:end]) for start, end in spans])
        # What lies as high as the bar of a 5 is none between numbers.
        flat = (height > SMALL) | (down < AMONG[0]) | (down > AMONG[1])
        of |= dict.fromkeys(FLAT, flat) | dict.fromkeys(TALL, (height < HALF) | dotted)
        of_all = np.column_stack([of.get(c, height < TINY) for c in characters]).astype(float)
        of_all[:, [c in TALL for c in characters]] += (height < TINY)[:, None]
        return MISFIT * of_all

    def _is_small(self, stroke: Points) -> bool:
        return float(np.ptp(stroke[:, :2], axis=0).max()) < POINT * self._tall

    def _is_apart(self, stroke: Points, strokes: Sequence[Points]) -> bool:
        """Whether a stroke is by itself: a speck near another stroke is rather a piece of that."""
        return all(_gap(stroke, other) >= NEAR * self._tall for other in strokes if other is not stroke)

    def _point(self, number: int) -> dict[str, float]:
        """What a low and narrow stroke is as a point or a comma, with log likelihoods; mostly nothing."""
        stroke = self.strokes[number]
        width, height = np.ptp(stroke[:, :2], axis=0) / self._tall
        top, bottom = float(stroke[:, 1].min()), float(stroke[:, 1].max())
        if self._is_small(stroke):
            if self._bottom - (top + bottom) / 2 >= 0.35 * self._tall:
                return {}
            sure = SURE_POINT if self._dots[number] else SPECK
            comma = 1 / (1 + math.exp((COMMA - height) / COMMA_STEP))
            return {".": sure + math.log(1 - comma), ",": sure + math.log(comma)}
        hangs = top > self._baseline - HANGING * self._tall
        if not hangs or width > MOST_COMMA[0] or height > MOST_COMMA[1]:
            return {}
        return {",": SURE_POINT if self._is_apart(stroke, self.strokes) else SPECK}

    def _slash(self, number: int, one: float) -> dict[str, float]:
        """What a straight stroke among digits is as the stroke of a fraction, and as a 1; mostly nothing."""
        stroke = self.strokes[number]
        reach = reach_of(stroke, [other for other in self.strokes if other is not stroke])
        if reach is None or not is_straight(stroke):
            return {}
        odds = SLASH_ODDS + float(np.dot(reach, (SLASH_LEAN, SLASH_ABOVE, SLASH_BELOW)))
        return {"/": -math.log1p(math.exp(-odds)), "1": one - math.log1p(math.exp(odds))}

    def _ring(self, number: int, zero: float, degree: float) -> dict[str, float]:
        """What a ring among digits is as a degree sign, and as a 0, which look alike; mostly nothing."""
        stroke = self.strokes[number]
        place = ring_of(stroke, [other for other in self.strokes if other is not stroke])
        if place is None or place[1] < STANDS:
            return {}
        odds = RING_ODDS + float(np.dot(place, (RING_HEIGHT, RING_LIFT)))
        return {
            "°": max(zero, degree) - math.log1p(math.exp(-odds)),
            "0": zero - math.log1p(math.exp(odds)),
        }

    def _colons(self, strokes: Sequence[Points]) -> list[tuple[int, int]]:
        """The numbers of strokes that are two dots, one above the other: at least one of them by itself."""
        small = [n for n, stroke in enumerate(strokes) if self._is_small(stroke)]
        found: list[tuple[int, int]] = []
        for one, two in pairwise(small):
            across, down = (
                np.abs(strokes[one][:, :2].mean(axis=0) - strokes[two][:, :2].mean(axis=0)) / self._tall
            )
            stacked = across < COLON[0] and COLON[1] < down and not (found and one in found[-1])
            if stacked and any(self._is_apart(strokes[dot], strokes) for dot in (one, two)):
                found.append((one, two))
        return found

    def _cost(self, start: int, end: int) -> float:
        """What it costs that these strokes and no others are one symbol."""
        group = self.strokes[start:end]
        left, right = min(s[:, 0].min() for s in group), max(s[:, 0].max() for s in group)
        height = max(float(max(s[:, 1].max() for s in group) - min(s[:, 1].min() for s in group)), 1e-6)
        cost = -TOO_WIDE * max(float(right - left) / max(height, 0.6 * self._tall) - WIDE, 0.0)
        reach = float(group[0][:, 0].max())
        for stroke in group[1:]:
            cost -= APART * max(float(stroke[:, 0].min()) - reach, 0.0) / self._tall
            reach = max(reach, float(stroke[:, 0].max()))
        if end < len(self.strokes):
            over = float(right) - float(self.strokes[end][:, 0].min())
            cost -= OVER * max(over, 0.0) / self._tall
        return cost


def is_straight(stroke: Points) -> bool:
    """Whether a stroke's ends lie nearly as far apart as it is long."""
    return math.dist(stroke[0, :2], stroke[-1, :2]) >= STRAIGHT * path_length(stroke)


def is_ring(stroke: Points) -> bool:
    """Whether a stroke ends about where it began."""
    return math.dist(stroke[0, :2], stroke[-1, :2]) <= OPEN * path_length(stroke)


def reach_of(stroke: Points, others: Sequence[Points]) -> tuple[float, float, float] | None:
    """How far a stroke leans (radians), and reaches above and below the others (in their heights), within bounds.

    None when it is low, or there is no other that is high.
    """
    tall = max(*(float(np.ptp(s[:, 1])) for s in (stroke, *others)), 1e-6)
    high = [other for other in others if np.ptp(other[:, 1]) >= HALF * tall]
    if not high or np.ptp(stroke[:, 1]) < HALF * tall:
        return None
    upper, lower = sorted((stroke[0], stroke[-1]), key=lambda point: float(point[1]))
    lean = math.atan2(float(upper[0] - lower[0]), float(lower[1] - upper[1]))
    height = float(np.median([np.ptp(other[:, 1]) for other in high]))
    above = float(np.median([other[:, 1].min() for other in high])) - float(stroke[:, 1].min())
    below = float(stroke[:, 1].max()) - float(np.median([other[:, 1].max() for other in high]))
    within = [min(max(reach / height, REACH[0]), REACH[1]) for reach in (above, below)]
    return min(max(lean, 0.0), MOST_LEAN), within[0], within[1]


def ring_of(stroke: Points, others: Sequence[Points]) -> tuple[float, float] | None:
    """How high a stroke is, and how far above the others it ends (in their heights), within bounds.

    None when it is no ring, or there is no other that is high.
    """
    tall = max(*(float(np.ptp(s[:, 1])) for s in (stroke, *others)), 1e-6)
    high = [other for other in others if np.ptp(other[:, 1]) >= HALF * tall]
    if not high or not is_ring(stroke):
        return None
    height = float(np.median([np.ptp(other[:, 1]) for other in high]))
    lift = float(np.median([other[:, 1].max() for other in high])) - float(stroke[:, 1].max())
    return min(float(np.ptp(stroke[:, 1])) / height, 1.0), min(max(lift / height, 0.0), 1.0)


def _gap(a: Points, b: Points) -> float:
    """The least distance between points of two strokes."""
    return float(np.hypot(*(a[:, None, :2] - b[None, :, :2]).transpose(2, 0, 1)).min())
