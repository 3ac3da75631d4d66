"""What counts lines of written maths, ``1) 3x + 4 = 10``: by what the readers say, or by the pen's gaps and how it counts on.

A reader of formulas takes the bracket for a 1 and the point for one of a decimal number: to it 4) 7a = 17 is 417a = 17. The pen
leaves a gap behind them, a bracket bulges to the right, and what counts lines goes up by one from line to line.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from difflib import SequenceMatcher
from typing import NamedTuple

import numpy as np

from sunroom.core.geometry import Box
from sunroom.core.geometry.curves import Points
from sunroom.core.reading.apart import at_piece, gaps_in
from sunroom.core.reading.kinds import COUNTER
from sunroom.core.reading.lines import turned
from sunroom.core.reading.readings import Reading, ReadLine

#: What is behind a counter reads so far as it did in its line; not more lines than this are looked at for one.
ALIKE, MOST_COUNTED = 0.7, 20
#: A counter has so many pieces and strokes.
MOST_PIECES, MOST_STROKES = 4, 6
#: What is high in a line is at least as high as this part of its strokes are not.
HIGH = 0.6
#: Behind a counter is a gap of so many such heights, and so many times as wide as those in it; and so it surely is behind its point.
LEAST_GAP, WIDER, SURE_GAP, SURELY_WIDER = 0.25, 1.2, 0.35, 2.0
#: A point is smaller than this part of the height; a bracket is as high, as slim, and bulges by this part of its length.
POINT, AS_HIGH, SLIM, BULGE = 0.35, 0.55, 0.5, 0.06
#: Counters below each other begin no further apart than so many heights.
ALIGNED = 1.5

_COUNTED = re.compile(r"[\w(√|−-].*[=<>≤≥+×÷·√−-]")
_DASH = "-−"

#: What some strokes, which count a line, may say, the likeliest first: a letter or a number.
Label = Callable[[Sequence[Points]], list[str]]
#: The lines that the samples of some numbers read as.
Read = Callable[[list[int]], list[ReadLine]]


class _Ahead(NamedTuple):
    """What stands ahead of a line and may count it: its strokes by number, what it may say, its ``mark``, and where it begins."""

    members: tuple[int, ...]
    labels: list[str]
    mark: str
    sure: bool
    left: float
    height: float


def counters_apart(
    lines: Sequence[ReadLine], words: Sequence[bool], samples: Sequence[Points], read: Read, label: Label
) -> tuple[list[ReadLine], list[bool]]:
    """Lines with what counts those of signs as lines of their own, right before what they count.

    A line is parted where what is left reads as it did, or where its counter is told by the pen.
    """
    looked = [
        None if kind or at >= MOST_COUNTED else _ahead(line, samples, label)
        for at, (line, kind) in enumerate(zip(lines, words, strict=True))
    ]
    parted: list[ReadLine] = []
    kinds: list[bool] = []
    for at, (line, kind) in enumerate(zip(lines, words, strict=True)):
        found = None
        if not kind and at < MOST_COUNTED:
            found = _by_text(line, samples, read) or _by_pen(line, at, looked, read)
        if found:
            said, rest = found
            members = tuple(n for n in line.members if n not in rest.members)
            box = Box.of(np.vstack([samples[n][:, :2] for n in members]))
            counter = ReadLine((Reading(said, line.rivals[0].score),), members, box, line.angle_rad)
            parted += [counter, rest]
            kinds += [True, False]
        else:
            parted.append(line)
            kinds.append(kind)
    return parted, kinds


def _by_text(line: ReadLine, samples: Sequence[Points], read: Read) -> tuple[str, ReadLine] | None:
    """What a line has as its counter, and what behind it reads as it did before."""
    counter = COUNTER.match(line.rivals[0].text)
    if not counter:
        return None
    expected = "".join(line.rivals[0].text[counter.end() :].split())
    best: tuple[float, ReadLine | None] = (ALIKE, None)
    for count in range(1, len(counter[0].strip()) + 1):
        _, behind = at_piece([samples[n] for n in line.members], count)
        rest = read([n for n in line.members if any(samples[n] is stroke for stroke in behind)])
        if len(rest) == 1:
            said = "".join(rest[0].rivals[0].text.split())
            alike = SequenceMatcher(None, expected, said).ratio()
            best = max(best, (alike, rest[0]), key=lambda found: found[0])
    return (counter[0].strip(), best[1]) if best[1] else None


def _by_pen(
    line: ReadLine, at: int, looked: Sequence[_Ahead | None], read: Read
) -> tuple[str, ReadLine] | None:
    """The counter that the pen set ahead of a line, when it surely is one or counts on with another."""
    ahead = looked[at]
    if not ahead or not ahead.labels:
        return None
    said = next((said for said in ahead.labels if _counts_on(said, ahead, at, looked)), "")
    if not said and not ahead.sure:
        return None
    rest = read([n for n in line.members if n not in ahead.members])
    if len(rest) != 1 or not _COUNTED.match(text := rest[0].rivals[0].text):
        return None
    # 3) −2x may be 31 − 2x.
    return ((said or ahead.labels[0]) + ahead.mark, rest[0]) if said or text[0] not in _DASH else None


def _counts_on(said: str, ahead: _Ahead, at: int, looked: Sequence[_Ahead | None]) -> bool:
    """Whether a counter is one more than one above, or one less than one below."""
    for other_at, other in enumerate(looked):
        if other and other is not ahead and other.mark == ahead.mark:
            aligned = abs(other.left - ahead.left) < ALIGNED * ahead.height
            if aligned and _next(said, -1 if other_at < at else 1) in other.labels:
                return True
    return False


def _next(said: str, step: int) -> str:
    return str(int(said) + step) if said.isdigit() else chr(ord(said) + step)


def _ahead(line: ReadLine, samples: Sequence[Points], label: Label) -> _Ahead | None:
    """What stands ahead of the first wide gap of a line, when that ends with a point or a bracket."""
    level = {n: turned(samples[n][:, :2], -line.angle_rad) for n in line.members}
    strokes = list(level.values())
    heights = np.sort([np.ptp(stroke[:, 1]) for stroke in strokes])
    high = max(float(np.median(heights[int(HIGH * len(heights)) :])), 1e-6)
    whole = max(np.vstack(strokes)[:, 1].max() - np.vstack(strokes)[:, 1].min(), 1e-6)
    widest = 0.0
    for count, gap in enumerate((gap * whole / high for gap in gaps_in(strokes)[:MOST_PIECES]), 1):
        ahead, _ = at_piece(strokes, count)
        if len(ahead) > MOST_STROKES:
            return None
        if len(ahead) > 1 and gap >= LEAST_GAP and gap > WIDER * widest:
            *rest, last = sorted(ahead, key=lambda stroke: float(stroke[:, 0].min() + stroke[:, 0].max()))
            sure_gap = gap >= SURE_GAP and gap > SURELY_WIDER * widest
            if mark := _mark(last, rest, high):
                sure = sure_gap if mark == "." else _bulge(last) > BULGE
                members = tuple(n for n, stroke in level.items() if any(stroke is one for one in ahead))
                left = min(float(stroke[:, 0].min()) for stroke in ahead)
                return _Ahead(members, label(rest), mark, sure, left, high)
        widest = max(widest, gap)
    return None


def _mark(last: Points, before: Sequence[Points], high: float) -> str:
    """The point or bracket that a stroke behind some others is; "" for neither."""
    sign = Box.of(np.vstack(before))
    box = Box.of(last)
    if sign.height < SLIM * high:
        return ""
    if box.height < POINT * high and box.width < POINT * high:
        return "." if box.y0 > sign.middle[1] else ""
    return ")" if box.height > AS_HIGH * high and box.width < SLIM * box.height else ""


def _bulge(stroke: Points) -> float:
    """How far a stroke reaches to the right of the line between its ends above and below, as a part of that; less than 0: to the left."""
    top, foot = stroke[stroke[:, 1].argmin()], stroke[stroke[:, 1].argmax()]
    along = foot - top
    across = ((stroke - top) @ np.array([along[1], -along[0]])) / max(float(along @ along), 1e-9)
    return float(max(across.max(), across.min(), key=abs))
