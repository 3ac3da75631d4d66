"""Line breaking: styled text to lines of runs, each run in one face at a known place.

The browser, the PDF and pictures draw these runs as given, so that all of them break lines alike.
"""

from __future__ import annotations

import unicodedata
from collections.abc import Callable, Iterator, Sequence
from typing import NamedTuple, Protocol

import msgspec
import regex

from sunroom.core.text.styles import (
    SCRIPT_SCALE,
    SUB_RISE,
    SUP_RISE,
    Align,
    Family,
    Listing,
    Span,
    face_of,
    style_at,
)

#: face and width at size 1 of a character, wanted in a face
Choose = Callable[[str, str], tuple[str, float]]


class SetInLine(Protocol):
    """A formula set at size 1 among words: its outline, and its box (core.maths.setting)."""

    @property
    def outline(self) -> str: ...
    @property
    def width(self) -> float: ...
    @property
    def height(self) -> float: ...
    @property
    def baseline(self) -> float: ...


#: Sets a typed formula; None where it is none, and then its characters stand as they were typed.
SetFormula = Callable[[str], SetInLine | None]
#: A formula is at most so high, as a part of the size, lest it reach into other lines: a higher one is set smaller.
MOST_HIGH = 1.5

#: Drawn by the browser's own font when no shipped face has the character.
OTHER_FACE = "other"
#: The space in 1 000 of French and other texts, and as which it is drawn: the faces have that.
NARROW_SPACE, THIN_SPACE = "\u202f", "\u2009"
#: What is seen as one sign: a letter with its accents, an emoji of several (Unicode text segmentation, UAX 29).
_SIGN = regex.compile(r"\X")
#: Of longer ones each part is a sign: flags in a row are counted from the first, which takes the square of their number.
MOST_OF_A_SIGN = 32

#: Indent of a list's lines, as a part of the size.
LIST_INDENT = 1.5
BULLET = "•"


class Run(msgspec.Struct, frozen=True, array_like=True, gc=False):
    """Characters of one face in a row; ``x`` from the text's left edge, in board units.

    ``size`` is the run's own, ``rise`` how far it stands above the baseline. A formula has an ``outline``, whose upper edge
    is ``above`` the baseline; its text is what was typed.
    """

    face: str
    text: str
    x: float
    width: float
    size: float
    rise: float = 0.0
    underline: bool = False
    strike: bool = False
    link: str = ""
    outline: str = ""
    above: float = 0.0


class Line(msgspec.Struct, frozen=True, array_like=True, gc=False):
    """One line; ``baseline`` from the top of the text, ``width`` its reach without trailing spaces."""

    runs: tuple[Run, ...]
    baseline: float
    width: float


class Manner(msgspec.Struct, frozen=True):
    """How the whole of a text is set. Sizes in board units; ``wrap_width`` None: lines are not broken.

    ``pitch``: every sign stands in the middle of so much room, as a part of the size, as in ruled squares; 0: as wide as it is.
    """

    size: float
    wrap_width: float | None = None
    family: Family = "sans"
    align: Align = "left"
    listing: Listing = "none"
    pitch: float = 0.0


class Cell(NamedTuple):
    """A character with its style, the face that draws it, and its width; or a formula with its size.

    Of signs that no shipped face has the whole is one cell. ``beside`` is the room to its left and to its right.
    """

    text: str
    style: Span
    face: str
    width: float
    formula: SetInLine | None = None
    size: float = 0.0
    beside: float = 0.0


def break_lines(
    text: str,
    spans: tuple[Span, ...],
    manner: Manner,
    choose: Choose,
    line_height: float,
    ascent: float,
    set_formula: SetFormula | None = None,
) -> tuple[Line, ...]:
    """Break ``text`` at its line ends and, where ``wrap_width`` asks for it, at spaces.

    A word wider than ``wrap_width`` is broken between characters.
    """
    cells: list[Cell] = []
    for part, style in _parts(text, spans, set_formula is not None):
        formula = set_formula(part) if set_formula and style.maths else None
        if formula:
            size = manner.size * min(1.0, MOST_HIGH / formula.height)
            cells.append(Cell(part, style, manner.family, formula.width * size, formula, size))
        else:
            cells += _cells(part, style, manner, choose)
    cells = _joined(cells)
    if manner.pitch:
        cells = [_pitched(cell, manner.pitch * manner.size) for cell in cells]
    indent = 0.0 if manner.listing == "none" else LIST_INDENT * manner.size
    limit = manner.wrap_width
    if limit is not None and indent:
        limit = max(limit - indent, manner.size)
    pieces: list[tuple[list[Cell], str]] = []
    for number, paragraph in enumerate(_paragraphs(cells), 1):
        marker = {"none": "", "bullets": BULLET, "numbers": f"{number}."}[manner.listing]
        for piece in _wrap(paragraph, limit):
            pieces.append((piece, marker))
            marker = ""
    widths = [_width(piece) for piece, _ in pieces]
    whole = max(widths) if manner.wrap_width is None else max(manner.wrap_width - indent, max(widths))
    lines = []
    for number, ((piece, marker), width) in enumerate(zip(pieces, widths, strict=True)):
        spare = {"left": 0.0, "centre": (whole - width) / 2, "right": whole - width}[manner.align]
        runs = _runs(piece, indent + spare, manner.size)
        if marker:
            mark = [_cell(character, Span(0, 0), manner, choose) for character in marker]
            runs = [*_runs(mark, spare + indent - _width(mark) - 0.35 * manner.size, manner.size), *runs]
        lines.append(Line(tuple(runs), ascent + number * line_height, indent + spare + width))
    return tuple(lines)


def _parts(text: str, spans: tuple[Span, ...], formulas: bool) -> Iterator[tuple[str, Span]]:
    """Each sign with its style; the formulas of a text whole."""
    at = 0
    styles = style_at(spans, len(text))
    while at < len(text):
        style, end = styles[at], at + 1
        if formulas and style.maths:
            end = min(style.end, len(text))
        elif text[end : end + 1] > "\x7f":
            end = at + _SIGN.match(text[at : at + MOST_OF_A_SIGN]).end()
        yield text[at:end], style
        at = end


def _cell(character: str, style: Span, manner: Manner, choose: Choose) -> Cell:
    face, advance = choose(character, face_of(manner.family, style))
    return Cell(character, style, face, advance * manner.size * (SCRIPT_SCALE if style.script else 1.0))


def _cells(sign: str, style: Span, manner: Manner, choose: Choose) -> list[Cell]:
    """The characters of one sign. What only joins or parts others is in no face, and is not drawn by itself."""
    first = _cell(THIN_SPACE if sign[0] == NARROW_SPACE else sign[0], style, manner, choose)
    if unicodedata.category(sign[0]) == "Cf":
        return []
    if first.face == OTHER_FACE:
        return [first._replace(text=sign)]
    rest = (_cell(character, style, manner, choose) for character in sign[1:])
    return [first, *(cell for cell in rest if cell.face != OTHER_FACE)]


def _pitched(cell: Cell, room: float) -> Cell:
    return cell if cell.text == "\n" else cell._replace(width=room, beside=(room - cell.width) / 2)


def _joined(cells: list[Cell]) -> list[Cell]:
    """Words that no shipped face has, with the spaces between them: the browser knows in which order they are read."""
    neighbours = zip(cells, cells[1:], cells[2:], strict=False)
    between = [
        middle._replace(face=OTHER_FACE)
        if middle.text == " " and before.face == after.face == OTHER_FACE
        else middle
        for before, middle, after in neighbours
    ]
    return [*cells[:1], *between, *cells[max(1, len(cells) - 1) :]]


def _paragraphs(cells: Sequence[Cell]) -> list[list[Cell]]:
    paragraphs: list[list[Cell]] = [[]]
    for cell in cells:
        if cell.text == "\n":
            paragraphs.append([])
        else:
            paragraphs[-1].append(cell)
    return paragraphs


def _width(cells: Sequence[Cell]) -> float:
    """Width without trailing spaces."""
    end = len(cells)
    while end and cells[end - 1].text == " ":
        end -= 1
    return sum(cell.width for cell in cells[:end])


def _wrap(paragraph: list[Cell], limit: float | None) -> list[list[Cell]]:
    if limit is None:
        return [paragraph]
    lines: list[list[Cell]] = []
    start, last_space, width = 0, -1, 0.0
    for index, cell in enumerate(paragraph):
        if cell.text == " ":
            last_space = index
        width += cell.width
        if width <= limit + 1e-6 * limit or cell.text == " " or index == start:
            continue
        if last_space > start:
            lines.append(paragraph[start:last_space])
            start = last_space + 1
        else:
            lines.append(paragraph[start:index])
            start = index
        width = sum(c.width for c in paragraph[start : index + 1])
    return [*lines, paragraph[start:]]


def _runs(cells: Sequence[Cell], x: float, size: float) -> list[Run]:
    runs: list[Run] = []
    at = 0
    while at < len(cells):
        _, style, face, wide, formula, own_size, beside = cells[at]
        if formula:
            above = formula.baseline * own_size
            runs.append(
                Run(
                    face,
                    cells[at].text,
                    x + beside,
                    wide - 2 * beside,
                    own_size,
                    0.0,
                    style.underline,
                    style.strike,
                    style.link,
                    formula.outline,
                    above,
                )
            )
            x += wide
            at += 1
            continue
        end = at
        while (
            end < len(cells)
            and cells[end].face == face
            and not cells[end].formula
            and (end == at or not (beside or cells[end].beside))
            and _alike(cells[end].style, style)
        ):
            end += 1
        width = sum(cell.width for cell in cells[at:end])
        rise = {"": 0.0, "sub": SUB_RISE * size, "sup": SUP_RISE * size}[style.script]
        text = "".join(cell.text for cell in cells[at:end])
        own_size = size * (SCRIPT_SCALE if style.script else 1.0)
        underline = style.underline or bool(style.link)
        runs.append(
            Run(
                face,
                text,
                x + beside,
                width - 2 * beside,
                own_size,
                rise,
                underline,
                style.strike,
                style.link,
            )
        )
        x += width
        at = end
    return runs


def _alike(a: Span, b: Span) -> bool:
    return a is b or msgspec.structs.replace(a, start=0, end=0) == msgspec.structs.replace(b, start=0, end=0)
