"""Ink of several kinds in pieces: lines of words, and between them what may be formulas."""

from __future__ import annotations

import re
from collections.abc import Sequence

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Box
from sunroom.core.reading.among_words import words_with_signs
from sunroom.core.reading.kinds import ONLY_LETTERS, SHORT_WORD, says_letters, says_words_among
from sunroom.core.reading.readings import ReadLine

Points = NDArray[np.float64]

#: What stands further apart in a row than so many of its heights is no one formula.
ACROSS = 3.0
#: A stroke hangs at a line when their middles are not further apart than so many of its heights.
HANGING = 1.2
_COUNTS = re.compile(r"(?:[a-z]|\d{1,2})[.)]")
#: Lines of words further below each other than so many of their heights are texts of their own.
BELOW = 1.5


class Piece(msgspec.Struct, frozen=True):
    """Lines of ink of one kind: words, or what may be a formula; ``members`` are its strokes by number, also what is in no line."""

    words: bool
    lines: tuple[ReadLine, ...]
    members: tuple[int, ...]

    @property
    def box(self) -> Box:
        box = Box.union(line.box for line in self.lines)
        assert box is not None
        return box


def lines_of_words(lines: Sequence[ReadLine], boxes: dict[int, Box]) -> list[bool]:
    """Of each line, among formulas, whether it is words; a short one is when nothing stands beside it.

    What hangs at a stroke that is in no line, as a numerator does, is words only when it has some.
    ``lines`` and ``boxes`` as in ``pieces_of``.
    """
    in_lines = {number for line in lines for number in line.members}
    loose = [box for number, box in boxes.items() if number not in in_lines]

    def is_words(line: ReadLine) -> bool:
        reading, box = line.rivals[0], line.box
        if says_words_among(reading) or words_with_signs(reading.text):
            return True
        others = (other.box for other in lines if other is not line)
        alone = not any(box.y0 < other.y1 and other.y0 < box.y1 for other in others)
        hangs = any(
            abs(float(bar.middle[1] - box.middle[1])) < HANGING * box.height
            and bar.x0 < box.x1
            and box.x0 < bar.x1
            for bar in loose
        )
        return not hangs and says_letters(reading.text, SHORT_WORD if alone else ONLY_LETTERS)

    return [is_words(line) for line in lines]


def pieces_of(lines: Sequence[ReadLine], words: Sequence[bool], boxes: dict[int, Box]) -> list[Piece]:
    """Lines in pieces of one kind each, from the top; what is counted is one by itself, and so is what counts it.

    Parameters
    ----------
    lines : sequence of ReadLine
    words : sequence of bool
        Of each line whether it is words.
    boxes : dict of Box
        Of each stroke by its number, also of those that are in no line: what lies nearest to a formula is part of it, as
        fraction strokes are; what lies nearest to words only marks them.
    """
    pieces: list[Piece] = []
    counters = [line for line, kind in zip(lines, words, strict=True) if kind and _counts(line)]
    for line, kind in sorted(zip(lines, words, strict=True), key=lambda each: float(each[0].box.middle[1])):
        starts = any(line is counter or (not kind and _beside(counter.box, line.box)) for counter in counters)
        for number in reversed(range(len(pieces))):
            piece = pieces[number]
            if piece.words == kind and not starts and _goes_on(piece, line, pieces):
                pieces[number] = Piece(kind, (*piece.lines, line), (*piece.members, *line.members))
                break
        else:
            pieces.append(Piece(kind, (line,), line.members))
    in_lines = {number for line in lines for number in line.members}
    for number in sorted(boxes.keys() - in_lines):
        middle = float(boxes[number].middle[1])
        beside = [at for at, piece in enumerate(pieces) if piece.box.y0 < middle < piece.box.y1]
        # What stands in a row with something is rather of that than of what lies above or below.
        near = beside or range(len(pieces))
        at = min(near, key=lambda at: pieces[at].box.gap(boxes[number]), default=-1)
        if at >= 0 and not pieces[at].words:
            pieces[at] = msgspec.structs.replace(pieces[at], members=(*pieces[at].members, number))
    return [msgspec.structs.replace(piece, members=tuple(sorted(piece.members))) for piece in pieces]


def plain_words(line: ReadLine) -> bool:
    """Whether a line is words, or counts one of signs, by what it says."""
    reading = line.rivals[0]
    return says_words_among(reading) or words_with_signs(reading.text) or _counts(line)


def _counts(line: ReadLine) -> bool:
    return bool(_COUNTS.fullmatch(line.rivals[0].text))


def _beside(counter: Box, line: Box) -> bool:
    """Whether a counter is that of a line: right before it, in the same row."""
    return (
        counter.y0 < line.y1 and line.y0 < counter.y1 and 0 <= line.x0 - counter.x1 <= ACROSS * counter.height
    )


def _goes_on(piece: Piece, line: ReadLine, pieces: Sequence[Piece]) -> bool:
    """Whether a line is one more of a piece above or beside it."""
    last, box = piece.lines[-1].box, piece.box
    if piece.words and _counts(piece.lines[-1]):
        return False
    if not piece.words:
        height = max(last.height, line.box.height)
        apart = max(line.box.x0 - box.x1, box.x0 - line.box.x1)
        return apart <= ACROSS * height and not _between(box, line.box, pieces)
    high = max(last.height, line.box.height)
    across = min(box.x1, line.box.x1) - max(box.x0, line.box.x0)
    return across > 0 and line.box.y0 - last.y1 <= BELOW * high and not _between(box, line.box, pieces)


def _between(above: Box, below: Box, pieces: Sequence[Piece]) -> bool:
    """Whether some line has its middle between two boxes, and over or under either."""
    left, right = min(above.x0, below.x0), max(above.x1, below.x1)
    return any(
        above.y1 < line.box.middle[1] < below.y0 and line.box.x0 < right and left < line.box.x1
        for piece in pieces
        for line in piece.lines
    )
