"""Formulas that are being typed: how they will look, and what they are to other programs."""

from __future__ import annotations

import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from typing import TypeVar

import msgspec
from asgiref.sync import async_to_sync
from django.core.cache import cache
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_POST

from sunroom.core.board.items import GraphItem
from sunroom.core.board.limits import check_number_of_formula
from sunroom.core.errors import MalformedError
from sunroom.core.maths.mathml import MAX_MATHML
from sunroom.core.maths.offers import MAX_CHECKED_LINES, LineVerdict, OfferKind
from sunroom.core.maths.setting import Setting, keep_setting
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import made
from sunroom.live.work import maths, workers
from sunroom.live.work.pool import JobError
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body, language_of

T = TypeVar("T")

#: Formulas that are told at once.
MAX_SPOKEN = 60
#: An address has so much of the workers' time in so many seconds.
SPENT_MS, SPENT_IN_S = 24_000, 60


class FormulaTyped(msgspec.Struct):
    """A formula as it stands in the window, and its number."""

    formula: str
    number: str = ""


class FormulaLook(msgspec.Struct):
    """How a formula looks at size 1, see core.maths.setting."""

    outline: str
    width: float
    height: float
    baseline: float


class FormulaSet(msgspec.Struct):
    """A formula set, and what it is in LaTeX, in MathML and in words."""

    look: FormulaLook
    latex: str
    mathml: str
    spoken: str


class WorkedOffer(msgspec.Struct):
    """What a formula can be worked out to: a formula, with its outline, or a sentence where there is none."""

    kind: OfferKind
    formula: str
    look: FormulaLook | None = None
    sentence: Sentence | None = None


class Working(msgspec.Struct):
    """Formulas, each a line of working or several, from the first on, and the ``words`` that stand before each.

    ``beside`` are the numbers of those that begin a column.
    """

    formulas: list[str]
    words: list[str] = []
    beside: list[int] = []


class LineChecked(msgspec.Struct):
    """A line of working: ``line`` of the ``lines`` of a formula, by number, and whether it follows from the one before."""

    formula: int
    line: int
    lines: int
    look: FormulaLook
    verdict: LineVerdict
    sentence: Sentence | None = None


def _look(setting: Setting) -> FormulaLook:
    return FormulaLook(setting.outline, setting.width, setting.height, setting.baseline)


@require_POST
@answers_problems
def work_out(request: HttpRequest) -> HttpResponse:
    """What a formula is worth, what solves it: offers, or the sentence that says why nothing."""
    allow(request, "formula-work", 60, 60)
    typed = body(request, FormulaTyped)
    _check(typed.formula)
    found = _worked(request, maths.work_out_typed, typed.formula)
    return answer(
        [WorkedOffer(w.kind, w.formula, _look(w.setting) if w.setting else None, w.sentence) for w in found]
    )


@require_POST
@answers_problems
def check_working(request: HttpRequest) -> HttpResponse:
    """Of each line whether it follows from the one before, and what shows it."""
    allow(request, "formula-work", 60, 60)
    working = body(request, Working)
    if not 1 <= len(working.formulas) <= MAX_CHECKED_LINES:
        raise Problem(400, said("working-has-two-lines", lines=MAX_CHECKED_LINES))
    for formula in working.formulas:
        _check(formula)
    found = _worked(request, maths.check_typed, (working.formulas, working.words, working.beside))
    return answer(
        [
            LineChecked(
                li.formula, li.line, li.lines, _look(li.setting), li.checked.verdict, li.checked.sentence
            )
            for li in found
        ]
    )


@contextmanager
def _spending(request: HttpRequest, on: str, most_s: float) -> Iterator[None]:
    """What is done inside takes of the time that an address has: all workers together are everybody's.

    Raises Problem when nothing is left. The most that it may take is put down first, so that many at once get no further.
    """
    key = f"spent:{on}:{request.META.get('REMOTE_ADDR', '')}"
    most_ms, begun = int(1000 * most_s), time.monotonic()
    cache.add(key, 0, SPENT_IN_S)
    spent = 0
    with suppress(ValueError):  # it may have run out between the lines
        spent = cache.incr(key, most_ms)
    try:
        if spent > SPENT_MS + most_ms:
            raise Problem(429, said("that-was-tried-too-often"))
        yield
    finally:
        with suppress(ValueError):
            cache.decr(key, most_ms - min(int(1000 * (time.monotonic() - begun)), most_ms))


def _check(formula: str) -> None:
    if len(formula) > MAX_FORMULA:
        raise Problem(400, said("a-formula-has-at-most", signs=MAX_FORMULA))


def _worked(request: HttpRequest, job: Callable[..., T | Sentence], given: object) -> T:
    """What a worker finds, within the time that mathematics may take; raises Problem with its sentence."""
    try:
        with _spending(request, "maths", maths.MATHS_S):
            found = async_to_sync(workers.run_file)(job, given, limit_s=maths.MATHS_S)
    except JobError as error:
        raise Problem(422, said("it-takes-too-long")) from error
    if isinstance(found, Sentence):
        raise Problem(422, found)
    return found


@require_POST
@answers_problems
def draw_graph(request: HttpRequest) -> HttpResponse:
    """A graph as it will look: while a letter's slider is moved, some thirty times a second."""
    allow(request, "graph", 1_800, 60)
    graph = body(request, GraphItem)
    with _spending(request, "graphs", maths.GRAPH_S):
        found = made(maths.draw_typed_graph, graph, limit_s=maths.GRAPH_S)
    if isinstance(found, Sentence):
        raise Problem(400, found)
    return answer(found)


class PlacesAsked(msgspec.Struct, frozen=True):
    """Of which curve of a graph the named places are asked; ``at`` a place of it, and an area from ``low`` to ``high``."""

    graph: GraphItem
    line: int
    at: float | None = None
    low: float = 0.0
    high: float = 1.0


@require_POST
@answers_problems
def find_places(request: HttpRequest) -> HttpResponse:
    """Zeros, turning points and crossings of one of a graph's curves, as it is now."""
    allow(request, "graph", 1_800, 60)
    asked = body(request, PlacesAsked)
    with _spending(request, "graphs", maths.GRAPH_S):
        found = made(
            maths.find_places,
            asked.graph,
            asked.line,
            asked.at,
            asked.low,
            asked.high,
            limit_s=maths.GRAPH_S,
        )
    if isinstance(found, Sentence):
        raise Problem(400, found)
    return answer(found)


@require_POST
@answers_problems
def take_mathml(request: HttpRequest) -> HttpResponse:
    """A formula in MathML, as other programs copy it, as it would be typed here."""
    allow(request, "formula", 900, 60)
    text = body(request, FormulaTyped).formula
    if len(text) > MAX_MATHML:
        raise Problem(400, said("a-formula-has-at-most", signs=MAX_MATHML))
    found = made(maths.read_mathml, text)
    if isinstance(found, Sentence):
        raise Problem(400, found)
    return answer(FormulaTyped(found))


@require_POST
@answers_problems
def set_formula(request: HttpRequest) -> HttpResponse:
    """The formula set, or the sentence that says what of it is not understood."""
    allow(request, "formula", 900, 60)
    typed = body(request, FormulaTyped)
    _check(typed.formula)
    try:
        check_number_of_formula(typed.number)
    except MalformedError as error:
        raise Problem(400, error.sentence) from error
    found = made(maths.set_typed, typed.formula, typed.number, language_of(request))
    if isinstance(found, Sentence):
        raise Problem(400, found)
    setting, latex, mathml, spoken = found
    latex += rf"\tag{{{typed.number}}}" if typed.number else ""
    keep_setting(typed.formula, setting, typed.number)
    return answer(FormulaSet(_look(setting), latex, mathml, spoken))


class Formulas(msgspec.Struct):
    """Formulas of a page, to be told to somebody who listens."""

    formulas: list[str]


@require_POST
@answers_problems
def speak_formulas(request: HttpRequest) -> HttpResponse:
    """Each formula in words, in the language of this browser."""
    allow(request, "formula", 900, 60)
    formulas = body(request, Formulas).formulas
    if len(formulas) > MAX_SPOKEN:
        raise Problem(400, said("so-many-formulas-at-once", formulas=MAX_SPOKEN))
    for formula in formulas:
        _check(formula)
    with _spending(request, "spoken", maths.SPOKEN_S):
        return answer(made(maths.speak_typed, formulas, language_of(request), limit_s=maths.SPOKEN_S))
