"""What of a sum in columns or a long division is no writing: lines under rows, and what a divisor stands behind."""

from __future__ import annotations

from collections.abc import Sequence
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Box, path_length, resample

#: More strokes than this are neither.
MOST_STROKES = 160
#: However many points a stroke has, so many of it are looked at.
MOST_POINTS = 64
#: All sizes are in heights of its digits. A line under a step is at least so wide, and hardly as high or crooked as it is wide.
WIDE, FLAT, CROOKED = 0.95, 0.15, 1.25
#: Strokes at least so high are digits.
HIGH = 0.6
#: What stands over or under a line ends or begins so near to it, and has its middle no further beside its ends.
NEAR, BESIDE = 0.6, 0.3
#: What is no higher than this is a dot, or a line: the dots of ÷ and the two lines of = are no rows.
DOT = 0.25
#: A minus has digits beside it, so near, that reach so far above and below it.
NEXT, ACROSS = 1.0, 0.2
#: And part of a digit has an end so near to another.
JOINED = 0.12
#: How high a bracket is, how far its upright part goes to the right, how wide that is as a part of its height, and the whole.
BRACKET, DEEP, SLIM, LONG = (0.7, 2.2), 0.6, 0.5, 2.2
#: It begins so near to the line over what is divided.
MEETS = 0.45
#: An upright between dividend and divisor is at least so high, and no wider than this part of it.
UPRIGHT, UPRIGHT_WIDE = 1.7, 0.25


class InColumns(NamedTuple):
    """What of some strokes is no writing.

    Attributes
    ----------
    ruled : set of int
        The numbers of the lines under rows, over the dividend or between divisor and quotient.
    short : set of int
        Those of them that may as well be part of a digit: in a long division a line under one is as short.
    bracket : set of int
        Those of what parts the divisor from the dividend; empty where none does.
    aside : set of int
        Those of what is written on the divisor's side of it.
    """

    ruled: set[int]
    short: set[int]
    bracket: set[int]
    aside: set[int]


def columns_among(strokes: Sequence[NDArray[np.float64]]) -> InColumns | None:
    """What parts rows that stand in columns; None when nothing does.

    A column of fractions has such lines too: what the rows say must tell.
    """
    return _Looked(strokes).found() if 5 <= len(strokes) <= MOST_STROKES else None


class _Looked:
    """Strokes by their boxes and sizes."""

    def __init__(self, strokes: Sequence[NDArray[np.float64]]) -> None:
        self.strokes = [resample(stroke[:, :2], max(4, min(MOST_POINTS, len(stroke)))) for stroke in strokes]
        self.boxes = [Box.of(stroke) for stroke in self.strokes]
        heights = np.array([box.height for box in self.boxes])
        # Digits in pieces are many low strokes.
        self.letter = max(float(np.median(heights[heights >= np.percentile(heights, 80) / 2])), 1e-6)
        lines = [number for number in range(len(strokes)) if self._is_line(number)]
        self.written = {*range(len(strokes))} - {*lines}
        self.digits = {n for n in self.written if self.boxes[n].height > HIGH * self.letter}
        self.lines = [number for number in lines if self.boxes[number].width > LONG * self.letter]
        self.lines += [n for n in lines if n not in self.lines and not self._is_part(n)]

    def found(self) -> InColumns | None:
        behind = self._corner() or self._curve() or self._upright()
        found = behind or InColumns(set(), set(), set(), set())
        self.digits -= found.bracket
        below = max((self.boxes[n].y0 for n in found.bracket), default=-np.inf)
        steps = {n for n in self.lines if self.boxes[n].y1 > below and self._parts(n)}
        if not steps - found.ruled:
            return None
        ruled = found.ruled | steps
        short = {n for n in ruled if self.boxes[n].width < LONG * self.letter}
        return found._replace(ruled=ruled, short=short)

    def _is_line(self, number: int) -> bool:
        box = self.boxes[number]
        flat = box.height < max(FLAT * box.width, 0.5 * FLAT * self.letter)
        length = path_length(self.strokes[number])
        return box.width > WIDE * self.letter and flat and length < CROOKED * box.width

    def _is_part(self, number: int) -> bool:
        """Whether a line is the minus of a row, or part of a digit: the foot of a 2, the bar of a 7."""
        line, far, across = self.boxes[number], NEXT * self.letter, ACROSS * self.letter
        down = line.middle[1]
        ends = self.strokes[number][[0, -1]]
        for n in self.digits:
            box = self.boxes[n]
            beside = line.x0 - far < box.x1 and box.x0 < line.x1 + far
            if beside and box.height < UPRIGHT * self.letter and box.y0 + across < down < box.y1 - across:
                return True
        return any(
            np.hypot(*(ends[:, None] - self.strokes[n][None]).transpose(2, 0, 1)).min() < JOINED * self.letter
            for n in self.written
        )

    def _parts(self, number: int) -> bool:
        """Whether a line has a row over it and one under it; under a long one what comes out may not be written yet."""
        long = self.boxes[number].width > LONG * self.letter
        return self._is_row(self._over(number)) and (long or self._is_row(self._under(number)))

    def _is_row(self, found: Sequence[int]) -> bool:
        return any(self.boxes[n].height > DOT * self.letter for n in found)

    def _over(self, number: int) -> list[int]:
        """What stands on a line."""
        return self._along(number, [box.y1 for box in self.boxes])

    def _under(self, number: int) -> list[int]:
        """What hangs from a line."""
        return self._along(number, [box.y0 for box in self.boxes])

    def _along(self, number: int, edges: Sequence[float]) -> list[int]:
        """What is written along a line with an edge near it; digits may be in pieces."""
        line, more = self.boxes[number], BESIDE * self.letter
        return [
            n
            for n in self.written
            if line.x0 - more < self.boxes[n].middle[0] < line.x1 + more
            and abs(edges[n] - line.middle[1]) < NEAR * self.letter
        ]

    def _left_of(self, number: int, across: float) -> set[int]:
        """What is written left of a place beside a bracket or an upright."""
        row, more = self.boxes[number], BESIDE * self.letter
        middles = {n: self.boxes[n].middle for n in self.written - {number}}
        return {n for n, (x, y) in middles.items() if row.y0 - more < y < row.y1 + more and x < across}

    def _corner(self) -> InColumns | None:
        """A bracket with the line over the dividend, in one stroke."""
        for number in self.digits:
            box, stroke = self.boxes[number], self.strokes[number]
            if box.width < LONG * self.letter or not _within(box.height / self.letter, BRACKET):
                continue
            if path_length(stroke) > CROOKED * (box.width + box.height):
                continue
            low = stroke[stroke[:, 1] > box.y0 + max(0.3 * self.letter, FLAT * box.width)]
            right = box.x0 + DEEP * self.letter
            held = [
                n
                for n in self.digits - {number}
                if right - BESIDE * self.letter < self.boxes[n].middle[0] < box.x1
                and box.y0 < self.boxes[n].middle[1] < box.y1
            ]
            aside = self._left_of(number, box.x0)
            if (low[:, 0] < right).all() and held and aside:
                return InColumns(set(), set(), {number}, aside)
        return None

    def _curve(self) -> InColumns | None:
        """A bracket, and a line of its own over the dividend: the topmost of all lines."""
        if not self.lines:
            return None
        top = min(self.lines, key=lambda n: self.boxes[n].y0)
        line = self.boxes[top]

        def gap(number: int) -> float:
            """From a stroke's upper end to where the line begins."""
            ends = self.strokes[number][[0, -1]]
            return float(np.hypot(*(ends[ends[:, 1].argmin()] - (line.x0, line.middle[1]))))

        like = [
            n
            for n in self.digits
            if _within(self.boxes[n].height / self.letter, BRACKET)
            and self.boxes[n].width < SLIM * self.boxes[n].height
        ]
        # The last digit of the divisor may be a 1.
        number = min(like, key=gap, default=-1)
        if number < 0 or gap(number) > MEETS * self.letter or len(self._under(top)) < 2:
            return None
        aside = self._left_of(number, self.boxes[number].x0)
        return InColumns({top}, set(), {number}, aside) if aside else None

    def _upright(self) -> InColumns | None:
        """A line down beside the dividend, and one from it between divisor and quotient."""
        for number in self.digits:
            box = self.boxes[number]
            if box.height < UPRIGHT * self.letter or box.width > UPRIGHT_WIDE * box.height:
                continue
            for between in self.lines:
                line = self.boxes[between]
                meets = abs(line.x0 - box.middle[0]) < MEETS * self.letter + box.width / 2
                if not meets or not box.y0 < line.middle[1] < box.y1 or not self._over(between):
                    continue
                left, both = self._left_of(number, box.middle[0]), self._left_of(number, np.inf)
                if left:
                    return InColumns({between}, set(), {number}, both - left)
        return None


def _within(value: float, bounds: tuple[float, float]) -> bool:
    return bounds[0] <= value <= bounds[1]
