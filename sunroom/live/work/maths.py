"""Jobs of maths for the workers: formulas set, worked out and checked, graphs drawn and looked at; within limits of time."""

from __future__ import annotations

import re

import msgspec

from sunroom.core.board.items import GraphItem
from sunroom.core.board.laying import graph_drawn
from sunroom.core.board.limits import MAX_SHOWN, check_item, check_number
from sunroom.core.errors import MalformedError
from sunroom.core.maths.notation import Row, Word, latex_of, mathml_of
from sunroom.core.maths.offers import MAX_CHECKED_LINES, Checked, OfferKind
from sunroom.core.maths.places import AtPlace, NamedPlace
from sunroom.core.maths.setting import Setting, set_formula
from sunroom.core.maths.spoken import spoken
from sunroom.core.maths.typed import read_formula, unmistakable
from sunroom.core.sentences import Sentence, said
from sunroom.live.work.pool import needs_later
from sunroom.words import say

#: Working out a formula, and drawing a graph, in seconds.
MATHS_S, GRAPH_S = 8.0, 4.0
#: Telling formulas in words.
SPOKEN_S = 4.0


class WorkedOut(msgspec.Struct, frozen=True):
    """One thing that a formula is worked out to: a formula, set, or a sentence."""

    kind: OfferKind
    formula: str
    setting: Setting | None = None
    sentence: Sentence | None = None


def set_typed(formula: str, number: str, language: str) -> tuple[Setting, str, str, str] | Sentence:
    """A typed formula set, in LaTeX, in MathML and in the words of a language, or the sentence that says why not."""
    try:
        row = read_formula(formula)
        words = spoken(row, lambda key, values: say(key, values, language))
        return set_formula(formula, number), unmistakable(latex_of(row)), mathml_of(row), words
    except MalformedError as error:
        return error.sentence


def speak_typed(formulas: list[str], language: str) -> list[str]:
    """Typed formulas in the words of a language; those that are none as they were typed."""
    return [_spoken(formula, language) for formula in formulas]


def _spoken(formula: str, language: str) -> str:
    try:
        return spoken(read_formula(formula), lambda key, values: say(key, values, language))
    except MalformedError:
        return formula


@needs_later
def work_out_typed(formula: str) -> list[WorkedOut] | Sentence:
    """What a formula can be worked out to, each set, or the sentence that says why nothing."""
    from sunroom.core.maths.algebra import UNABLE
    from sunroom.core.maths.work import work_out

    try:
        made = []
        for offer in work_out(read_formula(formula)):
            lines = r" \\ ".join(offer.lines)
            made.append(WorkedOut(offer.kind, lines, set_formula(lines) if lines else None, offer.sentence))
        return made
    except MalformedError as error:
        return error.sentence
    except UNABLE:
        return said("that-cannot-be-worked-out")


def read_mathml(text: str) -> str | Sentence:
    """The LaTeX of a formula in MathML, or the sentence that says what of it is not understood."""
    from sunroom.core.maths.mathml import latex_of_mathml

    try:
        return latex_of_mathml(text)
    except MalformedError as error:
        return error.sentence


class LineChecked(msgspec.Struct, frozen=True):
    """A line of working: the number of its formula and its own among that one's lines, how it looks, and the verdict."""

    formula: int
    line: int
    lines: int
    setting: Setting
    checked: Checked


@needs_later
def check_typed(working: tuple[list[str], list[str], list[int]]) -> list[LineChecked] | Sentence:
    """How each line stands to the one before: formulas, which may be several lines, the words before each, which begin a column."""
    from sunroom.core.maths.checking import check_working
    from sunroom.core.maths.steps import steps_of

    formulas, words, beside = working
    try:
        steps = steps_of([_read(formula) for formula in formulas], words, frozenset(beside))
        if not 2 <= len(steps) <= MAX_CHECKED_LINES:
            return said("working-has-two-lines", lines=MAX_CHECKED_LINES)
        return [
            LineChecked(
                step.formula, step.line, step.lines, set_formula(unmistakable(latex_of(step.row))), checked
            )
            for step, checked in zip(steps, check_working(steps), strict=True)
        ]
    except MalformedError as error:
        return error.sentence


def _read(formula: str) -> Row:
    """A formula, or what stands for one in a text and is none as the words that it is."""
    try:
        return read_formula(formula)
    except MalformedError:
        return Row((Word(_NO_WORDS.sub(" ", formula)),))


_NO_WORDS = re.compile(r"[\\{}$%#&~^_]")


class PlacesFound(msgspec.Struct, frozen=True):
    """What is told of a curve; ``area`` None where the curve has none."""

    places: list[NamedPlace]
    at: AtPlace | None
    area: float | None


def draw_typed_graph(graph: GraphItem) -> GraphItem | Sentence:
    """A graph with its curves, before it is put on a board."""
    try:
        check_item(graph)
        return graph_drawn(graph)
    except MalformedError as error:
        return error.sentence


@needs_later
def find_places(
    graph: GraphItem, line: int, at: float | None, low: float, high: float
) -> PlacesFound | Sentence:
    """The named places of one of a graph's curves, what it is at one, and the area from one to another."""
    from sunroom.core.maths.algebra import UNABLE
    from sunroom.core.maths.places import area_between, at_place, places

    try:
        check_item(graph)
        for value in (at or 0.0, low, high):
            check_number("at", value, MAX_SHOWN)
        formulas = [each.formula for each in graph.lines]
        if not 0 <= line < len(formulas):
            raise MalformedError("line", said("that-is-no-curve-over-x"))
        given = {letter.name: letter.value for letter in graph.letters}
        return PlacesFound(
            places(formulas, line, graph.ranges, given),
            None if at is None else at_place(formulas[line], at, given, graph.ranges),
            area_between(formulas[line], low, high, given),
        )
    except MalformedError as error:
        return error.sentence
    except UNABLE:
        return said("that-cannot-be-worked-out")
