"""Messages about what ink may be: asked for, answered, and corrected."""

from __future__ import annotations

import msgspec

from sunroom.core.geometry import Box
from sunroom.core.reading import Reading, Taken
from sunroom.core.sentences import Sentence
from sunroom.core.shapes import Figure


class ChosenSign(msgspec.Struct, frozen=True):
    """What a sign of written maths, some strokes by id, was said to be, by its name in LaTeX."""

    ids: tuple[str, ...]
    name: str


class Read(msgspec.Struct, frozen=True, tag_field="type", tag="read"):
    """What could these strokes be? ``ref`` comes back with the answer.

    ``unasked``: it is read while somebody writes, beside what that person has selected. ``chosen``: signs of the formula
    that somebody has corrected.
    """

    ref: int
    page: str
    ids: tuple[str, ...]
    unasked: bool = False
    chosen: tuple[ChosenSign, ...] = ()


class LineTaught(msgspec.Struct, frozen=True):
    """What a line of ink, some strokes by id, really says."""

    ids: tuple[str, ...]
    text: str


class Teach(msgspec.Struct, frozen=True, tag_field="type", tag="teach"):
    """Readings that this person corrected, from which their own hand is learned."""

    page: str
    lines: tuple[LineTaught, ...]


class SketchPart(msgspec.Struct, frozen=True):
    """A figure of a sketch: its strokes by id, and the parts (by number, -1: none) that its ends hold on to."""

    figure: Figure
    ids: tuple[str, ...]
    holds: tuple[int, int]


class MapLabel(msgspec.Struct, frozen=True):
    """A word of a mind map in ink: its strokes by id, and what they say."""

    ids: tuple[str, ...]
    text: str


class MapLine(msgspec.Struct, frozen=True):
    """A line between two labels, by number (-1: the one that is on the board); no strokes when none is drawn."""

    ids: tuple[str, ...]
    ends: tuple[int, int]


class MindMap(msgspec.Struct, frozen=True):
    """Ink that may be a mind map, or with ``of``, an item of the board, branches of one."""

    labels: tuple[MapLabel, ...]
    lines: tuple[MapLine, ...]
    centre: int
    of: str = ""


class SignName(msgspec.Struct, frozen=True):
    """A sign by its name in LaTeX, and as a person knows it."""

    name: str
    shown: str


class SignRead(msgspec.Struct, frozen=True):
    """A sign of a formula that was read: its strokes by id, the number of its line, and what else it may be."""

    sign: SignName
    ids: tuple[str, ...]
    line: int
    rivals: tuple[SignName, ...]


class FormulaRead(msgspec.Struct, frozen=True):
    """A formula that ink may be, how likely it is among its rivals, and how it looks at size 1 (core.maths.setting).

    ``signs``: from the left, line by line; of the likeliest formula only. ``lines``: the strokes of each line by id, where
    there are several.
    """

    formula: str
    score: float
    outline: str
    width: float
    height: float
    baseline: float
    signs: tuple[SignRead, ...] = ()
    lines: tuple[tuple[str, ...], ...] = ()


class LinePart(msgspec.Struct, frozen=True):
    """A part of a line as it is typed, with the spaces around it: words, or a formula with its strokes by id."""

    text: str
    formula: FormulaRead | None = None
    ids: tuple[str, ...] = ()


class LineRead(msgspec.Struct, frozen=True):
    """A line of the ink that was asked about: what it may say, its strokes by id, where it lies, and how it runs.

    ``parts``: from the left, when there are formulas among its words.
    """

    rivals: tuple[Reading, ...]
    ids: tuple[str, ...]
    box: Box
    angle_rad: float
    parts: tuple[LinePart, ...] = ()


class FormulaPiece(msgspec.Struct, frozen=True):
    """A formula among other things, its strokes by id, and where it lies."""

    read: FormulaRead
    ids: tuple[str, ...]
    box: Box


class Pieces(msgspec.Struct, frozen=True):
    """What each part of some ink is by itself, when they are of several kinds; of each text its lines."""

    texts: tuple[tuple[LineRead, ...], ...]
    formulas: tuple[FormulaPiece, ...]
    figures: tuple[SketchPart, ...]


class Readings(msgspec.Struct, frozen=True, tag_field="type", tag="readings"):
    """What ink could be: texts and figures, best first; ``problem`` when it could not be read.

    ``figure_first``: the figure is likelier meant; ``unasked``: what may be made of it for whoever always takes what
    is sure. ``sketch`` has its figures when there are several,
    ``even`` the same made even, when they nearly are. ``formulas`` are the same ink as written maths, ``maths_first`` when it
    is rather that than words, ``pieces_first`` when what each part of the ink is comes before all else.
    """

    ref: int
    readings: tuple[Reading, ...] = ()
    lines: tuple[LineRead, ...] = ()
    figures: tuple[Figure, ...] = ()
    sketch: tuple[SketchPart, ...] = ()
    even: tuple[SketchPart, ...] = ()
    figure_first: bool = False
    formulas: tuple[FormulaRead, ...] = ()
    maths_first: bool = False
    mind_map: MindMap | None = None
    pieces: Pieces | None = None
    pieces_first: bool = False
    problem: Sentence | None = None
    unasked: Taken = ""
