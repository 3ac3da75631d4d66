"""Ink of several kinds, each part of it as what it is: texts, the formulas between them, and the figures beside."""

from __future__ import annotations

from collections.abc import Callable
from itertools import chain

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom import resources
from sunroom.core.board.requests.converting import MAX_PARTS
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box
from sunroom.core.maths.notation import latex_of
from sunroom.core.maths.setting import Setting, set_formula
from sunroom.core.maths.tokens import with_decimal_commas
from sunroom.core.maths.typed import read_formula, unmistakable
from sunroom.core.maths.unit_letters import is_sure, with_units
from sunroom.core.maths.written import MAX_IN_ALL, FormulaReading
from sunroom.core.maths.written_latex import breaks_off, has_words, looks_like_maths, stands_in_sums
from sunroom.core.reading import Reader, ReadLine
from sunroom.core.reading.among_words import EVERYDAY, STOPS, find_signs, led_by_so, signs_in
from sunroom.core.reading.counters import counters_apart
from sunroom.core.reading.kinds import SURE_TEXT, says_a_sum
from sunroom.core.reading.mind_map import MapFound
from sunroom.core.reading.pieces import Piece, lines_of_words, pieces_of, plain_words
from sunroom.core.shapes import HEADED, Part, frames_in, is_plainly_one, lie_in_lines
from sunroom.core.text.styles import MAX_IN_LINE

#: Signs of written maths that somebody has corrected: their strokes by number, and what they are.
Corrections = tuple[tuple[tuple[int, ...], str], ...]

#: So far, in heights of its first line, reach the signs of a formula over what of it is read in lines, and beside.
OVER, BESIDE = 0.3, 1.5
#: What stands in a row with words or a formula is a sign, but for arrows, when it is smaller than so many heights of their line.
LETTER, LARGE = 1.5, 3.0

#: Formulas among words that are read at once.
MOST_AMONG_WORDS = 20

Samples = list[NDArray[np.float64]]


class FoundFormula(msgspec.Struct, frozen=True):
    """A formula among other things with its setting, the numbers of its strokes, and where it lies."""

    reading: FormulaReading
    setting: Setting
    members: tuple[int, ...]
    box: Box


class LinePart(msgspec.Struct, frozen=True):
    """A part of a line of words as it is typed, with the spaces around it: words, or a formula with its strokes by number."""

    text: str
    formula: tuple[FormulaReading, Setting] | None = None
    members: tuple[int, ...] = ()


class TextLine(msgspec.Struct, frozen=True):
    """A line of words; in parts when there are formulas among them."""

    line: ReadLine
    parts: tuple[LinePart, ...] = ()


class Pieces(msgspec.Struct, frozen=True):
    """Ink of several kinds, with the numbers of its strokes: of each text the lines, formulas, figures."""

    texts: tuple[tuple[TextLine, ...], ...]
    formulas: tuple[FoundFormula, ...]
    figures: tuple[Part, ...]

    def are_first(self, maths_first: bool) -> bool:
        """Whether that comes before all else: before one formula (``maths_first``) only with plain words beside it, before
        a drawing only without words that may be misread.
        """
        if self.formulas or self.has_formulas_among_words:
            return not maths_first or any(plain_words(line) for line in self.lines)
        return all(line.rivals[0].score >= SURE_TEXT for line in self.lines)

    @property
    def lines(self) -> list[ReadLine]:
        return [each.line for each in chain(*self.texts)]

    @property
    def has_formulas_among_words(self) -> bool:
        return any(each.parts for each in chain(*self.texts))


def find_pieces(
    samples: Samples,
    lines: list[ReadLine],
    parts: list[Part],
    read: Callable[[list[int]], list[ReadLine]],
    reader: Reader,
) -> Pieces | None:
    """What each part of some ink is; None when all of it is of one kind.

    ``lines`` are those beside the figures ``parts``; ``read`` reads the samples of some numbers as ``reader`` does.
    """
    boxes = {n: Box.of(stroke[:, :2]) for n, stroke in enumerate(samples)}
    if parts:
        drawn, parts = parts, _without_signs(parts, lines, boxes, frames_in(parts, samples))
        for number in {number for part in parts for number in part.members}:
            del boxes[number]
        if not boxes:
            return None
        if len(parts) < len(drawn):
            lines = read(list(boxes))
    if reader.knows("so", EVERYDAY):
        lines = [led_by_so(line, samples) for line in lines]
    words = lines_of_words(lines, boxes)
    signs = sum(len(line.members) for line, kind in zip(lines, words, strict=True) if not kind)
    if signs > MAX_IN_ALL:
        return None  # more than is read as formulas at once
    lines, words = counters_apart(lines, words, samples, read, reader.labels)
    pieces = pieces_of(lines, words, boxes)
    if not (any(words) or parts) or len(pieces) >= MAX_PARTS:
        return None
    formulas = {}
    for piece in pieces:
        if not piece.words:
            made = _formula_in(samples, piece, boxes)
            says = "\n".join(line.rivals[0].text for line in piece.lines)
            if made and _is_formula(made[0].latex, says):
                formulas[piece.members] = FoundFormula(*made, piece.members, piece.box)
            else:
                words = [kind or line in piece.lines for line, kind in zip(lines, words, strict=True)]
    pieces = pieces_of(lines, words, boxes)
    loose = sorted(boxes.keys() - {number for piece in pieces for number in piece.members})
    lines = [line for piece in pieces if piece.words for line in piece.lines]
    among = _formulas_among_words(samples, lines, loose, reader)
    texts = tuple(
        tuple(among.get(line.members) or TextLine(line) for line in piece.lines)
        for piece in pieces
        if piece.words
    )
    found = tuple(formulas[piece.members] for piece in pieces if piece.members in formulas)
    several = bool(texts) + bool(found) + bool(parts) + bool(among) > 1
    return Pieces(texts, found, tuple(parts)) if several else None


def all_words(lines: list[ReadLine], samples: Samples) -> bool:
    """Whether ink is several lines of words, each by itself, and some plainly: ``you are``, ``he is``."""
    boxes = {n: Box.of(stroke[:, :2]) for n, stroke in enumerate(samples)}
    return len(lines) > 1 and any(map(plain_words, lines)) and all(lines_of_words(lines, boxes))


def is_drawn(found: MapFound, pieces: Pieces | None) -> bool:
    """Whether most links of a mind map are drawn, and no signs of a formula."""
    formulas = pieces.formulas if pieces else ()
    signs = {number for formula in formulas for number in formula.members}
    return sum(not signs.issuperset(link.members) for link in found.links) > len(found.links) / 2


def formulas_of(
    samples: Samples, numbers: list[int], chosen: Corrections = ()
) -> list[tuple[FormulaReading, Setting]]:
    """The formulas that the samples of these numbers may be and that can be set, likeliest first."""
    made = []
    at = {number: n for n, number in enumerate(numbers)}
    known = {tuple(at[n] for n in ns): name for ns, name in chosen if at.keys() >= set(ns)}
    for reading in resources.written_reader().read([samples[n] for n in numbers], known):
        try:
            latex = unmistakable(with_decimal_commas(reading.latex, "{,}"))
            with_upright = with_units(read_formula(latex))
            if with_upright is not None and is_sure(with_upright):
                latex = latex_of(with_upright)
            signs = tuple(
                msgspec.structs.replace(sign, members=tuple(numbers[n] for n in sign.members))
                for sign in reading.signs
            )
            reading = msgspec.structs.replace(reading, latex=latex, signs=signs)
            made.append((reading, set_formula(reading.latex)))
        except MalformedError:
            continue
    return made


def _formula_in(
    samples: Samples, piece: Piece, boxes: dict[int, Box]
) -> tuple[FormulaReading, Setting] | None:
    """The likeliest formula of a piece; where it has more lines than there are rows of ink, row by row."""
    made = formulas_of(samples, list(piece.members))
    if not made or len(made[0][0].lines) <= len(piece.lines):
        return made[0] if made else None
    rows: list[list[int]] = [[] for _ in piece.lines]
    for number in piece.members:
        middle = float(boxes[number].middle[1])
        at = min(range(len(rows)), key=lambda at: abs(float(piece.lines[at].box.middle[1]) - middle))
        rows[at].append(number)
    each = [found[0][0] for row in rows if row and (found := formulas_of(samples, row))]
    if len(each) < len(rows) or any(len(reading.lines) > 1 for reading in each):
        return made[0]
    latex = r" \\ ".join(reading.latex for reading in each)
    signs = [
        msgspec.structs.replace(sign, line=at) for at, reading in enumerate(each) for sign in reading.signs
    ]
    try:
        return FormulaReading(latex, min(reading.score for reading in each), tuple(signs)), set_formula(latex)
    except MalformedError:
        return made[0]


def _is_formula(latex: str, says: str) -> bool:
    """Whether ink without words, which ``says`` something as type, is a formula, and no number, name or range."""
    return looks_like_maths(latex) or stands_in_sums(latex) or says_a_sum(says)


def _formulas_among_words(
    samples: Samples, lines: list[ReadLine], loose: list[int], reader: Reader
) -> dict[tuple[int, ...], TextLine]:
    """Lines of words that have formulas among these, by their strokes; ``loose`` are the strokes that are in no line."""
    found: dict[tuple[int, ...], TextLine] = {}
    left = MOST_AMONG_WORDS
    for line in lines:
        if not left:
            break  # to find more of them takes time as well
        text, at = line.rivals[0].text, 0
        parts: list[LinePart] = []
        for signs, members in find_signs(line, samples, loose, reader.places, reader.knows)[:left]:
            left -= 1
            made, says = formulas_of(samples, list(members)), text[signs.start : signs.end]
            if made and _stands_among_words(latex := made[0][0].latex, says):
                words = _words(text[at : signs.start], behind=bool(parts), before=True)
                parts += [words, LinePart(latex, made[0], members)]
                # A stop behind it is one of the sentence.
                at = signs.end - (says[-1] in STOPS and not latex.endswith(says[-1]))
        if parts:
            parts.append(_words(text[at:], behind=True, before=False))
            whole = sorted({*line.members, *(number for part in parts for number in part.members)})
            box = Box.of(np.vstack([samples[number][:, :2] for number in whole]))
            whole_line = msgspec.structs.replace(line, members=tuple(whole), box=box)
            found[line.members] = TextLine(whole_line, tuple(parts))
    return found


def _stands_among_words(latex: str, says: str) -> bool:
    """Whether ink in a line of words, which ``says`` something as type, is rather a formula, that can be set in a line."""
    in_line = r"\\" not in latex and len(latex) <= MAX_IN_LINE
    return in_line and _is_formula(latex, says) and not has_words(latex) and not breaks_off(latex)


def _words(text: str, *, behind: bool, before: bool) -> LinePart:
    """Words behind or before a formula, from which a space parts them."""
    left = " " if behind and text[:1].isalnum() else ""
    return LinePart(left + text + (" " if before and text[-1:].isalnum() else ""))


def _without_signs(
    parts: list[Part], lines: list[ReadLine], boxes: dict[int, Box], frames: set[int]
) -> list[Part]:
    """The figures of a sketch but for signs: what is drawn in words, or in a formula that it does not frame."""
    words = lines_of_words(lines, boxes)
    of_words = [line.box for line, kind in zip(lines, words, strict=True) if kind]
    rows = [_row(line, kind) for line, kind in zip(lines, words, strict=True)]
    formulas = [_reach(piece) for piece in pieces_of(lines, words, boxes) if not piece.words]

    def is_figure(part: Part) -> bool:
        box = Box.union(boxes[number] for number in part.members)
        assert box is not None
        size = max(box.width, box.height)
        small = any(_beside(box, row) and size < least * row.height for row, least in rows)
        if small and part.figure.kind not in HEADED:
            return False
        if frames.issuperset(part.members):
            return True
        in_formula = any(formula.contains(box) for formula in formulas)
        # Without words what is not plainly a figure may be part of one formula.
        figure = bool(of_words) or is_plainly_one(part)
        return figure and not in_formula and not lie_in_lines([part], of_words)

    left = [number for number, part in enumerate(parts) if is_figure(part)]
    at = {number: n for n, number in enumerate(left)} | {-1: -1}
    return [
        msgspec.structs.replace(
            parts[n], holds=(at.get(parts[n].holds[0], -1), at.get(parts[n].holds[1], -1))
        )
        for n in left
    ]


def _row(line: ReadLine, words: bool) -> tuple[Box, float]:
    """Where the signs of a line are, and smaller than how many heights of that; a formula's hang out of it, as a denominator does."""
    if words and not signs_in(line.rivals[0].text):
        return line.box, LETTER
    return (line.box.grown(OVER * line.box.height) if words else line.box), LARGE


def _beside(box: Box, row: Box) -> bool:
    """Whether half of either is as high on the page as the other."""
    return min(box.y1, row.y1) - max(box.y0, row.y0) >= min(box.height, row.height) / 2


def _reach(piece: Piece) -> Box:
    """Where what is drawn is rather a sign of a formula, as its last 0."""
    box, height = piece.box, piece.lines[0].box.height
    return Box(
        box.x0 - BESIDE * height, box.y0 - OVER * height, box.x1 + BESIDE * height, box.y1 + OVER * height
    )
