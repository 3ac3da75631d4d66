"""Formulas that are being typed: how they will look, and what they are to other programs."""

from __future__ import annotations

from collections.abc import Callable
from typing import TypeVar

import msgspec
from asgiref.sync import async_to_sync
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_POST

from sunroom.core.board.items import GraphItem
from sunroom.core.maths.offers import MAX_CHECKED_LINES, LineVerdict, OfferKind
from sunroom.core.maths.setting import Setting, keep_setting
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import made
from sunroom.live.work import workers
from sunroom.live.work.pool import JobError
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body

T = TypeVar("T")


class FormulaTyped(msgspec.Struct):
    """A formula as it stands in the window."""

    formula: str


class FormulaLook(msgspec.Struct):
    """How a formula looks at size 1, see core.maths.setting."""

    outline: str
    width: float
    height: float
    baseline: float


class FormulaSet(msgspec.Struct):
    """A formula set, and what it is in LaTeX and MathML."""

    look: FormulaLook
    latex: str
    mathml: str


class WorkedOffer(msgspec.Struct):
    """What a formula can be worked out to: a formula, with its outline, or a sentence where there is none."""

    kind: OfferKind
    formula: str
    look: FormulaLook | None = None
    sentence: Sentence | None = None


class Working(msgspec.Struct):
    """Lines of working, from the first on."""

    formulas: list[str]


class LineChecked(msgspec.Struct):
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
    found = _worked(workers.work_out_typed, typed.formula)
    return answer(
        [WorkedOffer(w.kind, w.formula, _look(w.setting) if w.setting else None, w.sentence) for w in found]
    )


@require_POST
@answers_problems
def check_working(request: HttpRequest) -> HttpResponse:
    """Of each line whether it follows from the one before, and what shows it."""
    allow(request, "formula-work", 60, 60)
    lines = body(request, Working).formulas
    if not 2 <= len(lines) <= MAX_CHECKED_LINES:
        raise Problem(400, said("working-has-two-lines", lines=MAX_CHECKED_LINES))
    for line in lines:
        _check(line)
    found = _worked(workers.check_typed, lines)
    return answer([LineChecked(line.verdict, line.sentence) for line in found])


def _check(formula: str) -> None:
    if len(formula) > MAX_FORMULA:
        raise Problem(400, said("a-formula-has-at-most", signs=MAX_FORMULA))


def _worked(job: Callable[..., T | Sentence], given: object) -> T:
    """What a worker finds, within the time that mathematics may take; raises Problem with its sentence."""
    try:
        found = async_to_sync(workers.run_file)(job, given, limit_s=workers.MATHS_S)
    except JobError as error:
        raise Problem(422, said("it-takes-too-long")) from error
    if isinstance(found, Sentence):
        raise Problem(422, found)
    return found


@require_POST
@answers_problems
def draw_graph(request: HttpRequest) -> HttpResponse:
    """A graph as it will look: while a letter's slider is moved, some thirty times a second."""
    allow(request, "graph", 3_000, 60)
    found = made(workers.draw_typed_graph, body(request, GraphItem))
    if isinstance(found, Sentence):
        raise Problem(400, found)
    return answer(found)


@require_POST
@answers_problems
def set_formula(request: HttpRequest) -> HttpResponse:
    """The formula set, or the sentence that says what of it is not understood."""
    allow(request, "formula", 900, 60)
    typed = body(request, FormulaTyped)
    _check(typed.formula)
    found = made(workers.set_typed, typed.formula)
    if isinstance(found, Sentence):
        raise Problem(400, found)
    setting, latex, mathml = found
    keep_setting(typed.formula, setting)
    return answer(FormulaSet(_look(setting), latex, mathml))
