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
LEAST_GAP, WIDER, SURE_GAP, SURELY_WIDER = 0.2, 1.2, 0.3, 2.0
#: A point is smaller than this part of the height; a bracket is as high, no higher above the line, as slim, and bulges by this
#: part of its length.
POINT, AS_HIGH, RAISED, SLIM, BULGE = 0.35, 0.55, 0.25, 0.65, 0.06
#: A letter or digit is no wider than so many times its height, or that of its bracket.
WIDE = 1.4
#: Counters below each other begin no further apart than so many heights.
ALIGNED = 1.5

_COUNTED = re.compile(r"[\w(√|−-].*[=<>≤≥+×÷·√−-]")
_DASH = "-−"
_COUNTS = re.compile(r"(?:[a-z]|[1-9]\d?)[.)](?=\s|$)")

#: What some strokes, which count a line, may say, the likeliest first: a letter or a number.
Label = Callable[[Sequence[Points]], list[str]]
#: The lines that the samples of some numbers read as.
Read = Callable[[list[int]], list[ReadLine]]


class _Ahead(NamedTuple):
    """What the pen set ahead of a line: its strokes by number, what it may say, its ``mark``, and whether it surely counts."""

    members: tuple[int, ...]
    labels: list[str]
    mark: str
    sure: bool


def counters_apart(
    lines: Sequence[ReadLine], words: Sequence[bool], samples: Sequence[Points], read: Read, label: Label
) -> tuple[list[ReadLine], list[bool]]:
    """Lines with what counts those of signs as lines of their own, right before what they count.

    A line is parted where what is left reads as it did, or where its counter is told by the pen.
    """
    both = list(zip(lines, words, strict=True))
    aheads = [
        None if kind or at >= MOST_COUNTED else _ahead(line, samples, label)
        for at, (line, kind) in enumerate(both)
    ]
    said = [_said(line, ahead) for line, ahead in zip(lines, aheads, strict=True)]
    parted: list[ReadLine] = []
    kinds: list[bool] = []
    for at, (line, kind) in enumerate(both):
        found = None
        if not kind and at < MOST_COUNTED:
            expected = _expected(at, lines, said)
            found = _by_pen(line, aheads[at], expected, read) or _by_text(line, samples, read)
        if not found:
            parted.append(line)
            kinds.append(kind)
            continue
        counter, rest = found
        members = tuple(n for n in line.members if n not in rest.members)
        box = Box.of(np.vstack([samples[n][:, :2] for n in members]))
        score = line.rivals[0].score
        parted += [ReadLine((Reading(counter, score),), members, box, line.angle_rad), rest]
        kinds += [True, False]
    return parted, kinds


def _said(line: ReadLine, ahead: _Ahead | None) -> set[str]:
    """What may count a line, by its text and by the pen."""
    by_text = _COUNTS.match(line.rivals[0].text)
    by_pen = {each + ahead.mark for each in ahead.labels} if ahead else set()
    return by_pen | ({by_text[0]} if by_text else set())


def _expected(at: int, lines: Sequence[ReadLine], said: Sequence[set[str]]) -> set[str]:
    """What a line's counter is by its text, or when those above and below it count on."""
    by_text = COUNTER.match(lines[at].rivals[0].text)
    found = {by_text[0].strip()} if by_text else set()
    for other, counters in enumerate(said):
        aligned = abs(lines[other].box.x0 - lines[at].box.x0) < ALIGNED * lines[at].box.height
        if other != at and aligned:
            found |= {_next(counter, 1 if other < at else -1) for counter in counters}
    return found


def _next(counter: str, step: int) -> str:
    label, mark = counter[:-1], counter[-1]
    return (str(int(label) + step) if label.isdigit() else chr(ord(label) + step)) + mark


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
    line: ReadLine, ahead: _Ahead | None, expected: set[str], read: Read
) -> tuple[str, ReadLine] | None:
    """The counter that the pen set ahead of a line, when it surely is one or is ``expected`` there."""
    if not ahead:
        return None
    counters = [label + ahead.mark for label in ahead.labels]
    counts_on = next((counter for counter in counters if counter in expected), "")
    # By itself a number counts, and a letter where it is the first: log is no h).
    by_itself = [counter for counter in counters if counter[0].isdigit() or counters[0][0] == "a"]
    if not counts_on and not (ahead.sure and by_itself):
        return None
    rest = read([n for n in line.members if n not in ahead.members])
    if len(rest) != 1 or not _COUNTED.match(text := rest[0].rivals[0].text):
        return None
    # 3) −2x may be 31 − 2x.
    return None if text[0] in _DASH and not counts_on else (counts_on or by_itself[0], rest[0])


def _ahead(line: ReadLine, samples: Sequence[Points], label: Label) -> _Ahead | None:
    """What stands ahead of the first wide gap of a line, when that ends with a point or a bracket."""
    level = {n: turned(samples[n][:, :2], -line.angle_rad) for n in line.members}
    strokes = list(level.values())
    heights = np.sort([np.ptp(stroke[:, 1]) for stroke in strokes])
    high = max(float(np.median(heights[int(HIGH * len(heights)) :])), 1e-6)
    gaps = [gap * float(np.ptp(np.vstack(strokes)[:, 1])) / high for gap in gaps_in(strokes)]
    best: tuple[tuple[bool, float], _Ahead] | None = None
    for count, gap in enumerate(gaps[:MOST_PIECES], 1):
        within = max(gaps[: count - 1], default=0.0)
        ahead, _ = at_piece(strokes, count)
        if not 1 < len(ahead) <= MOST_STROKES or gap < LEAST_GAP or gap <= WIDER * within:
            continue
        *sign, last = sorted(ahead, key=lambda stroke: float(stroke[:, 0].min() + stroke[:, 0].max()))
        box, behind = Box.of(np.vstack(sign)), Box.of(last)
        mark = _mark(behind, box, high)
        wide = WIDE * max(box.height, behind.height)
        labels = [each for each in label(sign) if box.width < wide * len(each)] if mark else []
        if not labels:
            continue
        sure = gap >= SURE_GAP and (gap > SURELY_WIDER * within if mark == "." else _bulge(last) > BULGE)
        if best is None or (sure, gap) > best[0]:
            members = tuple(n for n, stroke in level.items() if any(stroke is one for one in ahead))
            best = (sure, gap), _Ahead(members, labels, mark, sure)
    return best[1] if best else None


def _mark(box: Box, sign: Box, high: float) -> str:
    """The point or bracket that a stroke behind a sign is, in lines so ``high``; "" for neither."""
    if sign.height < AS_HIGH * high:
        return ""
    if max(box.height, box.width) < POINT * high:
        return "." if box.y0 > sign.middle[1] else ""
    stands = box.height > AS_HIGH * high and box.y1 > sign.y1 - RAISED * high
    return ")" if stands and box.width < SLIM * box.height else ""


def _bulge(stroke: Points) -> float:
    """How far a stroke reaches to the right of the line between its ends above and below, as a part of that; less than 0: to the left."""
    top, foot = stroke[stroke[:, 1].argmin()], stroke[stroke[:, 1].argmax()]
    along = foot - top
    across = ((stroke - top) @ np.array([along[1], -along[0]])) / max(float(along @ along), 1e-9)
    return float(max(across.max(), across.min(), key=abs))
