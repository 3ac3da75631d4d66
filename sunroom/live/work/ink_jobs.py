"""Ink read, for worker processes: what it may be, its pages' lines, and what a hand is taught by."""

from __future__ import annotations

from collections import OrderedDict
from functools import lru_cache

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom import resources
from sunroom.core.board.words import WrittenLine
from sunroom.core.geometry import Affine, Box
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.maths.setting import Setting
from sunroom.core.maths.written import MAX_STROKES as MOST_AT_ONCE
from sunroom.core.maths.written import FormulaReading
from sunroom.core.maths.written_latex import cannot_be_a_map, looks_like_maths
from sunroom.core.reading import Reading, ReadLine, figure_first, joined
from sunroom.core.reading.kinds import says_a_sum, says_nothing_else, says_words
from sunroom.core.reading.mind_map import MapFound, find_map, is_mapped
from sunroom.core.reading.own_hand import HandInk, OwnHand, Sample
from sunroom.core.reading.reader import MAX_STROKES, Reader
from sunroom.core.shapes import (
    ROUND,
    Figure,
    Part,
    any_figure,
    evened,
    find_sketch,
    frames_in,
    has_large,
    is_plainly_one,
    lie_in_lines,
    like_neighbour,
    stand_like_letters,
    writing_in,
)
from sunroom.core.shapes.even import Neighbour
from sunroom.live.work.ink_pieces import Corrections, Pieces, all_words, find_pieces, formulas_of, is_drawn

#: Hands that a worker keeps at hand.
KEPT_HANDS = 64
#: A figure this likely is one, and its strokes no sketch of several.
CLEAR = 0.6

#: One stroke: its samples' bytes, and its place on the page.
PlacedStroke = tuple[bytes, Affine]


class InkRead(msgspec.Struct, frozen=True):
    """What some ink may be; ``lines`` and ``sketch`` name its strokes by number."""

    readings: tuple[Reading, ...] = ()
    lines: tuple[ReadLine, ...] = ()
    figures: tuple[Figure, ...] = ()
    sketch: tuple[Part, ...] = ()
    #: The sketch with its figures made even; empty when nothing of it nearly is.
    even: tuple[Part, ...] = ()
    figure_first: bool = False
    mind_map: MapFound | None = None
    #: What each label of the mind map says.
    labels: tuple[str, ...] = ()
    #: The ink as written maths, each with its setting.
    formulas: tuple[tuple[FormulaReading, Setting], ...] = ()
    maths_first: bool = False
    #: What each part of the ink is by itself, when that is not the same for all.
    pieces: Pieces | None = None
    pieces_first: bool = False


def read_ink(
    strokes: tuple[PlacedStroke, ...],
    language: str = "en",
    beside: tuple[PlacedStroke, ...] = (),
    hand: HandInk | None = None,
    branch_of: Box | None = None,
    neighbours: tuple[Neighbour, ...] = (),
    expected: frozenset[str] = frozenset(),
    maths: bool = False,
    chosen: Corrections = (),
) -> InkRead:
    """What some strokes may be, among the ink beside them and the figures around, written by ``hand``.

    ``branch_of`` is the word of a mind map that they lie next to; ``expected`` are words that are likely here;
    ``maths``: whether they are read as a formula too, with the ``chosen`` signs in it.
    """
    samples, around = [_placed(stroke) for stroke in strokes], [_placed(stroke) for stroke in beside]
    finder = resources.finder()
    reader, own = _reader(language, expected), _own_hand(hand)

    def level(numbers: list[int]) -> list[ReadLine]:
        return _numbered(reader.read_level([samples[n] for n in numbers], own), numbers)

    figures = finder.find(samples)
    in_columns = reader.read_in_columns(samples, own)
    # Words in which nothing is large are no sketch; to look for one takes longer than to read them.
    plain = None if in_columns or has_large(samples) else reader.read_level(samples, own)
    writing = says_nothing_else(joined(plain)[0]) if plain else False
    looked_for = not in_columns and not writing and (not figures or figures[0].score < CLEAR)
    sketch = find_sketch(finder, samples) if looked_for else []
    # One figure is none of the writing beside it when it is plain; several are.
    alone = len(sketch) == 1 and is_plainly_one(sketch[0]) and len(sketch[0].members) < len(samples)
    drawn = {n for part in sketch for n in part.members} if len(sketch) > 1 or alone else set()
    # What stands beside a sketch may be a sum; all of it is none.
    among = [
        line
        for numbers in (writing_in(sketch, samples) if drawn else ())
        for line in _numbered(reader.read_lines([samples[n] for n in numbers], own), numbers)
    ]
    if among and lie_in_lines(sketch, [line.box for line in among]) and says_words(joined(among)[0]):
        sketch, drawn, among = [], set(), []  # bars of a t, and joined words
    # Beside figures that cannot be read nothing is: the figures are no text.
    lines = in_columns or among
    if not lines and not 0 < len(drawn) < len(samples):
        lines = reader.read_level(samples, own) if plain is None else plain
    readings = joined(lines)
    first = not in_columns and figure_first(readings, any_figure(figures), samples, around)
    if len(drawn) == len(samples):
        # Boxes and arrows are read as a letter or two; a text of some length is writing.
        said = "".join(readings[0].text.split()) if readings else ""
        first = len(said) <= len(sketch) + 1 and not (said and stand_like_letters(sketch))
    elif drawn:
        first = not alone
    parts = [part for part in sketch if drawn.issuperset(part.members)]
    if not first and not alone:
        sketch = []  # letters that look like figures, in a word
    found = find_map(samples, branch_of)
    pieces = find_pieces(samples, lines, parts, level, reader) if maths and not in_columns else None
    if (
        found
        and (len(lines) < len(found.labels) or (pieces and pieces.texts and pieces.formulas))
        and not is_drawn(found, pieces)
    ):
        found = None  # lines, and the room in them or between them
    labels = [reader.read([samples[n] for n in label], own) for label in found.labels] if found else []
    texts = tuple(label[0].text for label in labels if label)
    # Each of its words is one; what is written beside a word of a map may be a branch, whatever it says.
    if found and (len(texts) < len(labels) or not (branch_of or is_mapped(found, texts))):
        found, texts = None, ()
    formulas: tuple[tuple[FormulaReading, Setting], ...] = ()
    maths_first = False
    if found:
        pieces = None
    # What is words for the most part is not read as one formula as well.
    apart = pieces and pieces.formulas and pieces.texts and says_nothing_else(joined(pieces.lines)[0])
    if maths and not apart:
        frames = frames_in(sketch, samples)
        signs = [n for n in range(len(samples)) if n not in frames]
        sure = _sure_of_figures(sketch, figures) if first else 0.0
        others = (found is not None, bool(in_columns))
        words = bool(readings) and (says_words(readings[0]) or all_words(lines, samples))
        formulas, maths_first = _as_maths(samples, signs, readings, words, sure, *others, chosen)
        if maths_first and sketch:
            # Crosses and bars are signs then, and the text has them too; frames stay figures.
            sketch, first = [part for part in sketch if frames.issuperset(part.members)], False
            lines = level(signs)
            readings = joined(lines)
    same = like_neighbour(figures[0], neighbours) if figures else None
    if same:
        figures.insert(1, same)
    even = evened(sketch)
    pieces_first = bool(pieces and pieces.are_first(maths_first))
    if pieces and maths_first and pieces.texts and not pieces_first:
        pieces = None  # signs of one formula that say something by themselves
    return InkRead(
        tuple(readings),
        tuple(lines),
        tuple(figures),
        tuple(sketch),
        tuple(even) if even != sketch else (),
        first,
        found,
        texts,
        formulas,
        maths_first,
        pieces,
        pieces_first,
    )


def _sure_of_figures(sketch: list[Part], figures: list[Figure]) -> float:
    """How surely some ink is figures, 0 to 1. Bars of fractions, roots and arrows are open lines too: of a sketch round figures say it."""
    if not sketch:
        return any_figure(figures)
    scores = [part.figure.score for part in sketch if part.figure.kind in ROUND]
    return float(np.mean(scores)) if scores else SURE_FORMULA


def _numbered(lines: list[ReadLine], numbers: list[int]) -> list[ReadLine]:
    """Lines read of some strokes, with the numbers that these have among all."""
    return [msgspec.structs.replace(line, members=tuple(numbers[n] for n in line.members)) for line in lines]


def _as_maths(
    samples: list[NDArray[np.float64]],
    numbers: list[int],
    readings: list[Reading],
    words: bool,
    figure: float,
    mind_map: bool,
    in_columns: bool,
    chosen: Corrections,
) -> tuple[tuple[tuple[FormulaReading, Setting], ...], bool]:
    """What of the readings as a formula can be set, and whether it is rather one than words, figures or a mind map.

    ``numbers``: the samples that may be signs. ``words``: whether ``readings`` are rather words. ``figure``: how likely the ink is some figure, when it is rather that than a text; else 0.
    """
    if words and (len(samples) > MOST_AT_ONCE or says_nothing_else(readings[0])):
        return (), False  # it would be read once more for nothing, and that takes longest
    made = formulas_of(samples, numbers, chosen)
    sums = bool(readings) and says_a_sum(readings[0].text)
    like_maths = bool(made) and (bool(chosen) or sums or looks_like_maths(made[0][0].latex))
    if figure and not like_maths:
        return (), False
    sure = made[0][0].score if made else 0.0
    # Boxes and arrows are read as a sign or two: a formula is surer than they are, and has parts.
    whole = len(numbers) > MANY_STROKES and sure >= max(SURE_FORMULA, figure)
    scattered = mind_map and not (sure >= SURE_FORMULA and cannot_be_a_map(made[0][0].latex))
    # The line of a sum in columns is no fraction's, and the bracket of a long division no root.
    other = scattered or words or in_columns
    return tuple(made), like_maths and not other and (whole or not figure)


#: What is taken for figures as well is rather a formula when it has more strokes than this, and is read so surely.
MANY_STROKES, SURE_FORMULA = 4, 0.4


@lru_cache(maxsize=4)
def _reader(language: str, expected: frozenset[str]) -> Reader:
    """The reader of a language, to whom some words are likelier."""
    return resources.reader(language).expecting(expected) if expected else resources.reader(language)


def taught_by(strokes: tuple[PlacedStroke, ...], text: str, language: str, hand: HandInk) -> list[Sample]:
    """The samples in a line that says ``text``, each with its strokes where they lie on the page."""
    samples = [_placed(stroke) for stroke in strokes]
    found = resources.reader(language).taught_by(samples, text, _own_hand(hand))
    return [(text, tuple(pack_samples(samples[n]) for n in members)) for text, members in found]


def _own_hand(hand: HandInk | None) -> OwnHand | None:
    """A hand as the nets see it, by its mark: the samples are looked at once."""
    if hand is None:
        return None
    if hand.mark not in _hands:
        samples = [(text, [unpack_samples(stroke) for stroke in strokes]) for text, strokes in hand.samples]
        _hands[hand.mark] = resources.reader().own_hand(samples)
        if len(_hands) > KEPT_HANDS:
            _hands.popitem(last=False)
    return _hands[hand.mark]


_hands: OrderedDict[str, OwnHand | None] = OrderedDict()


def read_page(
    strokes: tuple[PlacedStroke, ...], by: str, language: str, hand: HandInk | None = None
) -> list[WrittenLine]:
    """The lines of a page's writing; strokes in the order in which ``by`` wrote them."""
    reader, own, found = resources.reader(language), _own_hand(hand), []
    for start in range(0, len(strokes), MAX_STROKES):
        samples = [_placed(stroke) for stroke in strokes[start : start + MAX_STROKES]]
        for line in reader.read_lines(samples, own):
            texts = tuple(rival.text for rival in line.rivals)
            found.append(WrittenLine(by, line.box.x0, line.box.y0, texts))
    return found


def _placed(stroke: PlacedStroke) -> NDArray[np.float64]:
    data, placement = stroke
    rows = unpack_samples(data)
    rows[:, :2] = placement.points(rows[:, :2])
    return rows
