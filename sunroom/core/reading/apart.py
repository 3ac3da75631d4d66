"""Which strokes of a level line are which of its numbers and words: the pen leaves gaps."""

from __future__ import annotations

import re
from collections.abc import Sequence
from itertools import groupby, pairwise

import numpy as np

from sunroom.core.geometry import Box
from sunroom.core.geometry.curves import Points
from sunroom.core.reading.numbers import is_numeric
from sunroom.core.reading.readings import Reading

#: Between two numbers lies a gap of at least this part of the digits' height, and so many times what lies between digits.
SPACE, WIDER = 0.5, 1.6
#: Digits in ruled squares stand (their middles) no further apart than so many heights, and all nearly as far; one at least is
#: wider than a 1, as a part of the height.
SQUARE, UNSTEADY, SLIM = 1.1, 0.12, 0.35
#: What lies low and is lower than this part of the height is a point or a comma.
POINT = 0.4
#: The least gap between two tokens is so many times the widest within one.
CLEAR = 1.0
#: Each of so many numbers in a row is looked at by itself.
MOST_NUMBERS = 12
STOPS = ".,:;!?)"
#: What signs of numbers are read as, or not at all.
_SEEN_AS = {"/": "[/17Il|]?", "°": "[°0o]?", ":": "[:.;]?", ".": "[.,]?", ",": "[.,]?", "%": "%?"}
_WORD = re.compile(r"[^\W\d_]{3}")


def numbers_apart(strokes: Sequence[Points]) -> list[list[Points]]:
    """The strokes of a row of numbers, from the left, each number's by itself: parted where the pen left a gap.

    A gap is wide beside the digits' height, and beside what else lies between them; so a number that is written widely is one.
    """
    pieces, boxes = _pieces(strokes)
    if not pieces:
        return []
    top, bottom = min(box.y0 for box in boxes), max(box.y1 for box in boxes)
    tall = max(bottom - top, 1e-6)
    gaps = np.array([box.x0 - before.x1 for before, box in pairwise(boxes)])
    near = gaps[gaps <= SPACE * tall]
    least = max(SPACE * tall, WIDER * float(np.median(near)) if len(near) else 0.0)
    # Beside a point or a comma there is more room, and the number goes on.
    points = np.array([box.y0 - top > tall / 2 and box.y1 - box.y0 < POINT * tall for box in boxes])
    needed = np.where(points[:-1] | points[1:], 2 * least, least)
    # In ruled squares a 1 has much room on both sides, and stands as far from its neighbours as any digit.
    steps = np.diff([(box.x0 + box.x1) / 2 for box in boxes])
    slim = np.array([box.x1 - box.x0 < SLIM * tall for box in boxes])
    by_a_one = bool((slim[:-1] | slim[1:] | (gaps <= needed)).all()) and not slim.all()
    if by_a_one and len(steps) and steps.max() <= SQUARE * tall and steps.std() <= UNSTEADY * steps.mean():
        return [[stroke for piece in pieces for stroke in piece]]
    starts = [0, *(np.flatnonzero(gaps > needed) + 1).tolist(), len(pieces)]
    return [[stroke for piece in pieces[start:end] for stroke in piece] for start, end in pairwise(starts)]


def _pieces(strokes: Sequence[Points]) -> tuple[list[list[Points]], list[Box]]:
    """What of a level line has no gap in it, from the left, and its box."""
    pieces: list[list[Points]] = []
    reach = -np.inf
    for stroke in sorted(strokes, key=lambda stroke: float(stroke[:, 0].min())):
        if stroke[:, 0].min() <= reach:
            pieces[-1].append(stroke)
        else:
            pieces.append([stroke])
        reach = max(reach, float(stroke[:, 0].max()))
    return pieces, [Box.of(np.vstack([stroke[:, :2] for stroke in piece])) for piece in pieces]


def tokens_apart(text: str, strokes: Sequence[Points]) -> list[tuple[str, list[Points]]]:
    """The tokens of a level line of words and numbers, each with its strokes; empty when there are none, or the gaps do not say.

    What reads as numbers after each other may be one.
    """
    tokens = text.split()
    if not any(map(_WORD.search, tokens)) or not 0 < sum(map(like_number, tokens)) <= MOST_NUMBERS:
        return []
    groups = groupby(tokens, like_number)
    as_one = [token for numbers, some in groups for token in (["".join(some)] if numbers else some)]
    pieces, boxes = _pieces(strokes)
    gaps = np.array([box.x0 - before.x1 for before, box in pairwise(boxes)])
    found: list[tuple[str, list[Points]]] = []
    clearest = CLEAR
    for said in (tokens, as_one):
        count = len(said) - 1
        if not 0 < count <= len(gaps):
            continue
        order = np.argsort(-gaps)
        clear = gaps[order[count - 1]] / max(gaps[order[count:]].max(initial=0.0), 1e-6)
        if clear > clearest:
            clearest = clear
            starts = [0, *sorted((order[:count] + 1).tolist()), len(pieces)]
            parts = [[s for piece in pieces[start:end] for s in piece] for start, end in pairwise(starts)]
            found = list(zip(said, parts, strict=True))
    return found


def at_first_gap(strokes: Sequence[Points], most: int) -> tuple[list[Points], list[Points]]:
    """A level line parted at the widest gap after one to ``most`` pieces; nothing in the second where there is none."""
    pieces, boxes = _pieces(strokes)
    gaps = [box.x0 - before.x1 for before, box in pairwise(boxes)][:most]
    return at_piece(strokes, int(np.argmax(gaps)) + 1 if gaps else len(pieces))


def at_piece(strokes: Sequence[Points], count: int) -> tuple[list[Points], list[Points]]:
    """A level line parted after so many pieces."""
    pieces, _ = _pieces(strokes)
    before, behind = (
        [stroke for piece in some for stroke in piece] for some in (pieces[:count], pieces[count:])
    )
    return before, behind


def gaps_in(strokes: Sequence[Points]) -> list[float]:
    """The gaps of a level line from the left, in its heights."""
    _, boxes = _pieces(strokes)
    tall = max(max(box.y1 for box in boxes) - min(box.y0 for box in boxes), 1e-6)
    return [(box.x0 - before.x1) / tall for before, box in pairwise(boxes)]


def between_gaps(
    strokes: Sequence[Points], begins: tuple[float, float], ends: tuple[float, float]
) -> list[Points]:
    """What of a level line stands between the widest gaps whose middles are in two ranges of x; nothing without both.

    A range that reaches the line's end (infinity) needs no gap.
    """
    pieces, boxes = _pieces(strokes)
    edges = zip([-np.inf, *(box.x1 for box in boxes)], [*(box.x0 for box in boxes), np.inf], strict=True)
    gaps = list(edges)

    def widest(low: float, high: float) -> int:
        within = [at for at, (left, right) in enumerate(gaps) if low <= (left + right) / 2 <= high]
        return max(within, key=lambda at: gaps[at][1] - gaps[at][0], default=-1)

    first, last = widest(*begins), widest(*ends)
    return [stroke for piece in pieces[first:last] for stroke in piece] if 0 <= first < last else []


def with_signs(token: str, numbers: Sequence[Reading]) -> list[Reading]:
    """Of what a token's ink may be as a number what has its digits, but for signs that were not seen or taken for a 1."""
    return [number for number in numbers if _form(number.text).fullmatch(token)]


def _form(number: str) -> re.Pattern[str]:
    """What a number may be read as where its signs are small or look like digits."""
    return re.compile("".join(_SEEN_AS.get(sign, re.escape(sign)) for sign in number))


def like_number(token: str) -> bool:
    """Whether a token is a number as it is read: no ``1.`` that counts lines."""
    return token[-1:] not in STOPS and any(c.isdigit() for c in token) and is_numeric(token, len(token))
