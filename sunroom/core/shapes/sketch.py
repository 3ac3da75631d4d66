"""A sketch of several figures: which strokes are which figure, and which lines hold on to which."""

from __future__ import annotations

import math
from collections.abc import Sequence

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Box
from sunroom.core.shapes.find import Figure, Finder

#: Strokes of one figure follow each other in time, at most so many.
MOST_TOGETHER = 6
MOST_STROKES = 60
#: What each figure of a sketch costs: four lines that are a rectangle are rather that. And each stroke of
#: writing: a ring and an arrow beside it could be letters too.
EACH_COST, STROKE_COST = 0.7, 0.5
#: Several strokes that are a figure less likely than this are looked at again by how well it fits.
DOUBTFUL = 0.9
#: A stroke belongs to a figure no further away than this part of the larger of the two.
NEAR = 0.7
#: A line holds on to a figure when its end lies within this part of the figure's size of it.
HOLDS = 0.3
#: Among writing, figures are so many times as large as its middling stroke is high.
LARGER_THAN_LETTERS = 3.0
#: Figures whose ends can hold on (see core.board.connect).
HOLDING = ("line", "elbow", "curve")


class Part(msgspec.Struct, frozen=True):
    """A figure of a sketch: its strokes by number, and the parts that a line's ends hold on to (-1: none)."""

    figure: Figure
    members: tuple[int, ...]
    holds: tuple[int, int] = (-1, -1)


def find_sketch(finder: Finder, strokes: Sequence[NDArray[np.float64]]) -> list[Part]:
    """The figures of a sketch in the order of drawing; what is writing or nothing is left out.

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
        for end in range(start + 1, min(start + MOST_TOGETHER, len(strokes)) + 1)
        if _together(boxes[start:end])
    ]
    groups = [[strokes[n] for n in range(start, end)] for start, end in spans]
    scores = dict(zip(spans, finder.scores(groups), strict=True))
    # Several figures may look like a poor one of another kind: what is doubtful must fit as well.
    doubtful = [
        span
        for span, (likely, figure) in scores.items()
        if figure and likely < DOUBTFUL and span[1] - span[0] > 1
    ]
    fitted = finder.find_each([[strokes[n] for n in range(*span)] for span in doubtful])
    scores |= {
        span: (figures[0].score ** 2 if figures else 0.0, True)
        for span, figures in zip(doubtful, fitted, strict=True)
    }
    chosen = _best_parts(len(strokes), scores)
    drawn = [span for span in chosen if scores[span][1]]
    found = finder.find_each([[strokes[n] for n in range(*span)] for span in drawn])
    parts = [
        Part(figures[0], tuple(range(*span))) for span, figures in zip(drawn, found, strict=True) if figures
    ]
    return [msgspec.structs.replace(part, holds=_holds(part, parts)) for part in parts]


def drawn_among(parts: Sequence[Part], strokes: Sequence[NDArray[np.float64]]) -> list[Part]:
    """Those parts of a sketch that are larger than letters of the writing among them would be."""
    taken = {number for part in parts for number in part.members}
    writing = [stroke for number, stroke in enumerate(strokes) if number not in taken]
    if not writing:
        return list(parts)
    letter = float(np.median([np.ptp(stroke[:, 1]) for stroke in writing]))
    boxes = [Box.of(np.vstack([strokes[n][:, :2] for n in part.members])) for part in parts]
    return [
        part
        for part, box in zip(parts, boxes, strict=True)
        if max(box.width, box.height) > LARGER_THAN_LETTERS * letter
    ]


def _together(boxes: list[Box]) -> bool:
    """Whether each stroke lies near those before it."""
    union = boxes[0]
    for box in boxes[1:]:
        size = max(union.width, union.height, box.width, box.height)
        if not union.grown(NEAR * size).overlaps(box):
            return False
        union = Box.union((union, box)) or union
    return True


def _best_parts(count: int, scores: dict[tuple[int, int], tuple[float, bool]]) -> list[tuple[int, int]]:
    """The likeliest way to part the strokes, by dynamic programming over the order of drawing."""
    best: list[tuple[float, list[tuple[int, int]]]] = [(0.0, [])]
    for end in range(1, count + 1):
        options = []
        for (start, stop), (likely, figure) in scores.items():
            if stop == end:
                log, parts = best[start]
                cost = EACH_COST if figure else STROKE_COST * (stop - start)
                options.append((log + math.log(max(likely, 1e-4)) - cost, [*parts, (start, stop)]))
        best.append(max(options))
    return best[-1][1]


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
