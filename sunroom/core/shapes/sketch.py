"""A sketch of several figures: which strokes are which figure, and which lines hold on to which."""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Box, path_length
from sunroom.core.shapes.find import Figure, Finder
from sunroom.core.shapes.fits import Kind
from sunroom.core.shapes.ink import Ink
from sunroom.core.shapes.open_fits import head_gap
from sunroom.core.shapes.path import join

#: Strokes of one figure follow each other in time, at most so many; and so many where one is that many times as large as
#: each other, as the line is of ticks and heads.
MOST_TOGETHER, MOST_ON_A_LINE, LINE = 6, 14, 3.0
MOST_STROKES = 240
#: What each figure of a sketch costs: four lines that are a rectangle are rather that. And each stroke of
#: writing: a ring and an arrow beside it could be letters too.
EACH_COST, STROKE_COST = 0.7, 0.5
#: Several strokes that are a figure less surely than this are less likely still; those that swallow much are none.
DOUBTFUL = 0.9
#: What adds nothing to a figure that is there without it, and what is no writing, is so much less likely (logarithm).
UNLIKELY = 4.0
#: Letters of a word stand nearer than this part of the taller of two; a stroke that is so many times as large as one
#: inside it is no letter.
APART, AROUND = 0.45, 2.0
#: Letters are at least so high beside each other, and share so much of their height.
LETTER_HEIGHTS = 0.6
#: So much of a figure on each side is its edge.
EDGE = 0.06
#: A stroke belongs to a figure no further away than this part of the larger of the two.
NEAR = 0.7
#: A line holds on to a figure when its end lies within this part of the figure's size of it.
HOLDS = 0.3
#: Among writing, figures are so many times as large as its middling stroke is high.
LARGER_THAN_LETTERS = 3.0
#: A stroke is straight when its ends are so far apart, as a part of its length, and a dot when it is so low beside the middling one.
STRAIGHT, SPECK = 0.9, 0.4
#: Figures that end where they begin, and all that are drawn as one line; within which parts of their size ends meet.
ROUND: tuple[Kind, ...] = (
    "circle", "ellipse", "triangle", "rectangle", "square", "rhombus", "parallelogram", "trapezium", "pentagon",
    "hexagon", "star",
)  # fmt: skip
IN_ONE_LINE: tuple[Kind, ...] = ("polyline", "elbow", "arc", "tick", "brace", *ROUND)
MEETING, CLOSING = 0.13, 0.16
#: Arrows, and within which part of the shaft's length from its ends their heads reach.
HEADED: tuple[Kind, ...] = ("arrow", "double_arrow")
HEAD_GAP = 0.15
#: Figures to which each tick and each head belongs, though they are there without it.
OF_MANY: tuple[Kind, ...] = ("axes", "number_line")
#: Figures that a bar of a t or a joined word looks like: these reach no further out of their line of writing than this part of its height.
IN_WRITING: tuple[Kind, ...] = ("line", "polyline", "elbow", "arc", "tick", "brace")
OUT_OF_LINE = 0.3
#: Figures whose ends can hold on (see core.board.connect).
HOLDING = ("line", "elbow", "curve")


#: Strokes that follow each other, by number: from the first up to before the second.
Span = tuple[int, int]


class Part(msgspec.Struct, frozen=True):
    """A figure of a sketch: its strokes by number, and the parts that a line's ends hold on to (-1: none)."""

    figure: Figure
    members: tuple[int, ...]
    holds: tuple[int, int] = (-1, -1)


def find_sketch(finder: Finder, strokes: Sequence[NDArray[np.float64]]) -> list[Part]:
    """The figures of a sketch in the order of drawing; what is writing, or no larger than the letters of it, is left out.

    Parameters
    ----------
    strokes : sequence of (N, K) float arrays
        In the order of drawing.
    """
    if not 2 <= len(strokes) <= MOST_STROKES:
        return []
    boxes = [Box.of(stroke[:, :2]) for stroke in strokes]
    spans = [
        (start, end)
        for start in range(len(strokes))
        for end in range(start + 1, min(start + MOST_ON_A_LINE, len(strokes)) + 1)
        if _together(boxes[start:end])
    ]
    groups = [[strokes[n] for n in range(start, end)] for start, end in spans]
    scores = dict(zip(spans, finder.scores(groups), strict=True))
    # Several figures may look like one of another kind: it must fit as well.
    several = [span for span, (_, kind) in scores.items() if kind and span[1] - span[0] > 1]
    fitted = finder.find_each([[strokes[n] for n in range(*span)] for span in several])
    for span, figures in zip(several, fitted, strict=True):
        fits = figures[0].score if figures else 0.0
        kind = scores[span][1]
        doubted = 0.0 if kind in OF_MANY else fits**2
        scores[span] = (fits if fits >= DOUBTFUL else doubted, kind)
    logs = {
        span: math.log(max(likely, 1e-4))
        - UNLIKELY * (_is_unlikely(span, kind, boxes, scores) or _falls_apart(kind, group))
        for (span, (likely, kind)), group in zip(scores.items(), groups, strict=True)
    }
    chosen = _best_parts(len(strokes), logs, {span for span, (_, kind) in scores.items() if kind})
    drawn = [span for span in chosen if scores[span][1]]
    found = finder.find_each([[strokes[n] for n in range(*span)] for span in drawn])
    parts = [
        Part(figures[0], tuple(range(*span))) for span, figures in zip(drawn, found, strict=True) if figures
    ]
    parts = _drawn_among(parts, strokes)
    return [msgspec.structs.replace(part, holds=_holds(part, parts)) for part in parts]


def _drawn_among(parts: Sequence[Part], strokes: Sequence[NDArray[np.float64]]) -> list[Part]:
    """Those parts of a sketch that are no letters of a word, and larger than those of the writing among them would be."""
    boxes = [Box.of(np.vstack([strokes[n][:, :2] for n in part.members])) for part in parts]
    letters = _letters(boxes)
    taken = {
        number
        for part, box in zip(parts, boxes, strict=True)
        if box not in letters
        for number in part.members
    }
    writing = [stroke for number, stroke in enumerate(strokes) if number not in taken]
    if not writing:
        return list(parts)
    letter = float(np.median([np.ptp(stroke[:, 1]) for stroke in writing]))
    return [
        part
        for part, box in zip(parts, boxes, strict=True)
        if box not in letters and max(box.width, box.height) > LARGER_THAN_LETTERS * letter
    ]


def _letters(boxes: Sequence[Box]) -> list[Box]:
    """Of figures in the order of drawing those that are small beside the largest, and follow each other as letters do."""
    largest = max((max(box.width, box.height) for box in boxes), default=0.0)
    found: list[Box] = []
    for one, two in itertools.pairwise(boxes):
        tall = max(one.height, two.height)
        beside = abs(two.x0 - one.x1) < APART * tall or (two.x0 < one.x1 and one.x0 < two.x0)
        level = min(one.y1, two.y1) - max(one.y0, two.y0) > LETTER_HEIGHTS * min(one.height, two.height)
        if beside and level and LARGER_THAN_LETTERS * max(one.width, two.width, tall) < largest:
            found += [one, two]
    return found


def stand_like_letters(parts: Sequence[Part]) -> bool:
    """Whether figures stand in one row, as high as each other and close, as the digits of a number do."""
    boxes = sorted((Box.of(np.array(part.figure.points)) for part in parts), key=lambda box: box.x0)
    tall = max(box.height for box in boxes)
    if min(box.height for box in boxes) < LETTER_HEIGHTS * tall:
        return False
    return all(
        two.x0 - one.x1 < APART * tall and min(one.y1, two.y1) - max(one.y0, two.y0) > LETTER_HEIGHTS * tall
        for one, two in zip(boxes[:-1], boxes[1:], strict=True)
    )


def has_large(strokes: Sequence[NDArray[np.float64]]) -> bool:
    """Whether a stroke is larger than letters are; a word that is joined is long, and neither straight nor closed."""
    boxes = [Box.of(stroke[:, :2]) for stroke in strokes]
    heights = np.array([box.height for box in boxes])
    letter = max(float(np.median(heights[heights >= SPECK * np.median(heights)])), 1e-6)
    for stroke, box in zip(strokes, boxes, strict=True):
        size, chord = max(box.width, box.height), math.dist(stroke[0, :2], stroke[-1, :2])
        plain = chord >= STRAIGHT * path_length(stroke[:, :2]) or chord <= CLOSING * size
        if (size if plain else box.height) > LARGER_THAN_LETTERS * letter:
            return True
    return False


def lie_in_lines(parts: Sequence[Part], lines: Sequence[Box]) -> bool:
    """Whether all figures of a sketch are open lines that lie in lines of writing."""
    return all(
        part.figure.kind in IN_WRITING
        and any(
            line.grown(OUT_OF_LINE * line.height).contains(Box.of(np.array(part.figure.points)))
            for line in lines
        )
        for part in parts
    )


def is_plainly_one(part: Part) -> bool:
    """Whether a figure among writing is one for sure: no bar, tick or bracket, which writing has too."""
    return part.figure.score >= DOUBTFUL and part.figure.kind in (*ROUND, *HEADED, *OF_MANY)


def frames_in(parts: Sequence[Part], strokes: Sequence[NDArray[np.float64]]) -> set[int]:
    """The strokes, by number, of a sketch's closed figures that are plain and larger than signs: no part of a formula beside or in them."""
    closed = [part for part in parts if is_plainly_one(part) and part.figure.kind in ROUND]
    drawn = {number for part in closed for number in part.members}
    heights = [float(np.ptp(stroke[:, 1])) for number, stroke in enumerate(strokes) if number not in drawn]
    if not heights:
        return set()
    letter = float(np.median(heights))
    sizes = [float(np.ptp(np.array(part.figure.points), axis=0).max()) for part in closed]
    large = [part for part, size in zip(closed, sizes, strict=True) if size > LARGER_THAN_LETTERS * letter]
    return {number for part in large for number in part.members}


def writing_in(parts: Sequence[Part], strokes: Sequence[NDArray[np.float64]]) -> list[list[int]]:
    """The strokes, by number, that are none of a sketch's figures: what stands in each figure, and what in none, from the top."""
    drawn = {number for part in parts for number in part.members}
    around = [Box.of(np.array(part.figure.points)) for part in parts if part.figure.kind in ROUND]
    groups: dict[int, list[int]] = {}
    for number in sorted(set(range(len(strokes))) - drawn):
        middle = Box.of(strokes[number][:, :2]).middle
        inside = [n for n, box in enumerate(around) if box.contains(Box(*middle, *middle))]
        groups.setdefault(min(inside, key=lambda n: around[n].width, default=-1), []).append(number)
    return sorted(groups.values(), key=lambda group: min(strokes[n][:, 1].min() for n in group))


def _together(boxes: list[Box]) -> bool:
    """Whether each stroke lies near the others, in whatever order they were drawn; of many one is a line to the others."""
    if len(boxes) > MOST_TOGETHER:
        *_, second, largest = sorted(max(box.width, box.height) for box in boxes)
        if largest < LINE * second:
            return False
    union, left = boxes[0], boxes[1:]
    while left:
        for number, box in enumerate(left):
            size = max(union.width, union.height, box.width, box.height)
            if union.grown(NEAR * size).overlaps(box):
                union = Box.union((union, left.pop(number))) or union
                break
        else:
            return False
    return True


def _is_unlikely(
    span: Span, kind: Kind | None, boxes: list[Box], scores: dict[Span, tuple[float, Kind | None]]
) -> bool:
    """Whether strokes are no one figure, as the largest of them is it already, or no writing, as they stand apart or
    around each other.
    """
    numbers = range(*span)
    if len(numbers) == 1 or kind in OF_MANY:
        return False
    sizes = {n: max(boxes[n].width, boxes[n].height) for n in numbers}
    if kind:
        # A letter inside a box is no part of it; an arrow's head makes an arrow of a line.
        largest = max(numbers, key=lambda n: sizes[n])
        parts = [((largest, largest + 1), n) for n in numbers if n != largest]
        parts += [((span[0], span[1] - 1), span[1] - 1), ((span[0] + 1, span[1]), span[0])]
        return any(
            part in scores
            and scores[part][0] > DOUBTFUL
            and scores[part][1] == kind
            and _inner(boxes[part[0] : part[1]]).contains(boxes[n])
            for part, n in parts
        )
    for before, after in zip(numbers[:-1], numbers[1:], strict=True):
        one, two = boxes[before], boxes[after]
        gap = max(two.x0 - one.x1, one.x0 - two.x1, two.y0 - one.y1, one.y0 - two.y1)
        if gap > APART * max(sizes[before], sizes[after]):
            return True
    return any(
        boxes[n].contains(boxes[m]) and sizes[n] > AROUND * sizes[m] > 0.2 * sizes[n]
        for n in numbers
        for m in numbers
        if n != m
    )


def _falls_apart(kind: Kind | None, strokes: Sequence[NDArray[np.float64]]) -> bool:
    """Whether strokes are no figure in one line, as they do not meet, or no arrow, as a head is not at its end."""
    lines = [stroke[:, :2] for stroke in strokes]
    if len(lines) == 1:
        return False
    if kind in HEADED:
        return head_gap(Ink(lines)) > HEAD_GAP
    if kind not in IN_ONE_LINE:
        return False
    path = join(lines, MEETING)
    return path is None or (kind in ROUND and path.gap > CLOSING * path.size)


def _inner(boxes: list[Box]) -> Box:
    """What lies well within some boxes together."""
    box = Box.union(boxes) or boxes[0]
    return box.grown(-EDGE * min(box.width, box.height))


def _best_parts(count: int, logs: dict[Span, float], figures: set[Span]) -> list[Span]:
    """The likeliest way to part the strokes, by dynamic programming over the order of drawing."""
    ending: list[list[Span]] = [[] for _ in range(count + 1)]
    for span in logs:
        ending[span[1]].append(span)
    best: list[tuple[float, Span]] = [(0.0, (0, 0))]
    for end in range(1, count + 1):
        best.append(
            max(
                (
                    best[start][0]
                    + logs[start, stop]
                    - (EACH_COST if (start, stop) in figures else STROKE_COST * (stop - start)),
                    (start, stop),
                )
                for start, stop in ending[end]
            )
        )
    parts, at = [], count
    while at:
        parts.append(best[at][1])
        at = parts[-1][0]
    return parts[::-1]


def _holds(part: Part, parts: list[Part]) -> tuple[int, int]:
    if part.figure.figure not in HOLDING:
        return (-1, -1)
    start, end = _held_at(part.figure.points[0], parts), _held_at(part.figure.points[-1], parts)
    # A line inside one figure is a part of its drawing.
    return (-1, -1) if start == end else (start, end)


def _held_at(place: tuple[float, float], parts: list[Part]) -> int:
    """The closed figure that a line's end touches, or nearly does."""
    found = (math.inf, -1)
    for number, other in enumerate(parts):
        if other.figure.closed:
            box = Box.of(np.array(other.figure.points))
            dx = max(box.x0 - place[0], place[0] - box.x1, 0.0)
            dy = max(box.y0 - place[1], place[1] - box.y1, 0.0)
            gap = math.hypot(dx, dy) / max(box.width, box.height)
            if gap < HOLDS:
                found = min(found, (gap, number))
    return found[1]
