"""Sums in columns and long divisions to typed texts: each row where it stood, digits in their columns."""

from __future__ import annotations

import re
import statistics
from collections.abc import Sequence
from itertools import pairwise

import numpy as np

from sunroom.core.board.items import InkItem, TextItem, item_box
from sunroom.core.geometry import Box
from sunroom.core.text import Family, Typesetter
from sunroom.core.text.fonts import BASELINE

#: A row of a sum: one has its sign. And one of a long division that says what is divided and what comes out.
_OF_SUM = re.compile(r"(?:[-−+×÷=] ?)?\d+(?:[.,]\d+)?")
_DIVISION = re.compile(r"\d+ ?[:÷/] ?\d+ ?=(?: ?\d+)?")
_LETTER = re.compile(r"[^\W\d_]")
SIGNS = "-−+×÷="
#: So large a share of the rows may be misread, but has no letter.
MOST_UNLIKE = 0.25
#: So many numbers without a sign are the steps of a long division, when they stand in columns and at no common edge, by so
#: many digits.
STEPS, STAGGERED = 4, 0.4
#: What makes digits stand below each other where they have no squares, and how wide digits are, as a part of the size.
EVEN: Family = "mono"
DIGIT_WIDE = 0.54
#: Below this size typed text cannot be read at 100 %.
LEAST_SIZE, MOST_SIZE = 10.0, 400.0
#: Rows whose digits' distances are unknown end at one edge, within so many heights of their digits.
RAGGED = 0.8
#: Digits stand at even distances when those of most differ from the middle one by no more than this part of it.
UNEVEN, MOSTLY = 0.22, 0.7
#: About how wide a written digit is, in heights.
DIGIT = 0.55
#: In heights of the digits: what stands further apart is no number.
MOST_APART = 2.5
#: And by no more than this are off their column; what is further off stands between columns, and stays there.
OFF = 0.3


def are_columns(rows: Sequence[str]) -> bool:
    """Whether texts may be the rows of a sum in columns or of a long division."""
    if len(rows) < 2 or not all(row.strip() and not _LETTER.search(row) for row in rows):
        return False
    unlike = sum(not (_OF_SUM.fullmatch(row) or _DIVISION.fullmatch(row)) for row in rows)
    return unlike <= MOST_UNLIKE * len(rows) and (_say_so(rows) or len(rows) >= STEPS)


def _say_so(rows: Sequence[str]) -> bool:
    """Whether rows have a sign, or say what is divided."""
    return any(row[0] in SIGNS or _DIVISION.fullmatch(row) for row in rows)


def typed_in_columns(
    ids: Sequence[str], rows: Sequence[str], inks: Sequence[list[InkItem]], typesetter: Typesetter
) -> list[TextItem]:
    """The rows typed, level; none when their digits stand neither in columns nor at one edge."""
    boxes = [box for ink in inks if (box := Box.union(item_box(stroke) for stroke in ink))]
    tall = statistics.median(box.height for box in boxes)
    above, _ = typesetter.extent("0")
    size = min(max(tall / above, LEAST_SIZE), MOST_SIZE)
    close = ["".join(row.split()) for row in rows]
    middles = [_middles(row, ink) for row, ink in zip(close, inks, strict=True)]
    pitch = 0.0
    if not any(set(".,") & set(row) for row in rows):
        between = [right - left for row in middles for left, right in pairwise(row)]
        # Slanted digits stand over each other: then rows are as wide as their digits.
        wide = [
            (box.width - DIGIT * tall) / (len(row) - 1)
            for row, box in zip(close, boxes, strict=True)
            if len(row) > 1 and row.isdecimal()
        ]
        pitch = _even(between) or _even(wide)
        # As type can be: what is tiny would stand over each other, what is huge too far apart.
        pitch = pitch if DIGIT_WIDE * LEAST_SIZE < pitch < MOST_APART * above * size else 0.0
    if pitch:
        rows, size = close, min(size, pitch / DIGIT_WIDE)
        lefts = _lefts(close, middles, boxes, pitch)
        spread = min(np.std([box.x0 for box in boxes]), np.std([box.x1 for box in boxes]))
        if not _say_so(rows) and spread < STAGGERED * pitch:
            return []
    elif not _say_so(rows):
        return []
    size = round(max(size, LEAST_SIZE), 1)
    pitch = round(pitch / size, 4)
    family: Family = "sans" if pitch else EVEN
    lines = [typesetter.layout(row, size, family=family, pitch=pitch) for row in rows]
    if not pitch:
        edge = max(box.x1 for box in boxes)
        if min(box.x1 for box in boxes) < edge - RAGGED * tall:
            return []
        lefts = [edge - line[0].width for line in lines]
    return [
        TextItem(
            id=uid,
            x=left,
            y=(box.y0 + box.y1) / 2 - size * (BASELINE - above / 2),
            text=row,
            size=size,
            colour=statistics.mode(stroke.colour for stroke in ink),
            family=family,
            lines=line,
            pitch=pitch,
        )
        for uid, row, box, ink, left, line in zip(ids, rows, boxes, inks, lefts, lines, strict=False)
    ]


def _middles(row: str, ink: list[InkItem]) -> list[float]:
    """How far across each character of a row stands; none where they cannot be told apart."""
    parts: list[tuple[float, float]] = []
    for box in sorted((item_box(stroke) for stroke in ink), key=lambda box: box.x0):
        if parts and box.x0 < parts[-1][1]:
            parts[-1] = (parts[-1][0], max(parts[-1][1], box.x1))
        else:
            parts.append((box.x0, box.x1))
    return [(start + end) / 2 for start, end in parts] if len(parts) == len(row) else []


def _even(gaps: Sequence[float]) -> float:
    """The distance of digits that stand at even distances; 0 when these do not."""
    if len(gaps) < 2:
        return 0.0
    pitch = float(np.median(gaps))
    even = [gap for gap in gaps if abs(gap - pitch) < UNEVEN * pitch]
    return statistics.fmean(even) if len(even) >= MOSTLY * len(gaps) else 0.0


def _lefts(
    rows: Sequence[str], middles: Sequence[list[float]], boxes: Sequence[Box], pitch: float
) -> list[float]:
    """Where each row begins, so that its digits stand in the columns of the others."""
    # Whether a sign stands before the first digit.
    signed = [row[0] in SIGNS and len(row) > 1 for row in rows]
    firsts: list[float] = []
    for row, sign, known, box in zip(rows, signed, middles, boxes, strict=True):
        if known:
            firsts.append(known[sign])
        elif _DIVISION.fullmatch(row):
            firsts.append(box.x0 + pitch / 2)
        else:
            firsts.append(box.x1 - (len(row) - sign - 0.5) * pitch)
    turns = np.exp(2j * np.pi * np.array(firsts) / pitch)
    start = float(np.angle(turns.sum())) / (2 * np.pi) * pitch
    lefts = []
    for sign, first in zip(signed, firsts, strict=True):
        column = round((first - start) / pitch) * pitch + start
        at = column if abs(column - first) < OFF * pitch else first
        lefts.append(at - pitch * (0.5 + sign))
    return lefts
