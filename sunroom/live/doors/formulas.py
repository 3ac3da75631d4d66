"""Formulas that are being typed: how they will look, and what they are to other programs."""

from __future__ import annotations

import msgspec
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_POST

from sunroom.core.maths.setting import keep_setting
from sunroom.core.maths.typed import MAX_FORMULA
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import made
from sunroom.live.work import workers
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body


class FormulaTyped(msgspec.Struct):
    """A formula as it stands in the window."""

    formula: str


class FormulaSet(msgspec.Struct):
    """How a formula looks at size 1 (see core.maths.setting), and what it is in LaTeX and MathML."""

    outline: str
    width: float
    height: float
    baseline: float
    latex: str
    mathml: str


@require_POST
@answers_problems
def set_formula(request: HttpRequest) -> HttpResponse:
    """The formula set, or the sentence that says what of it is not understood."""
    allow(request, "formula", 900, 60)
    typed = body(request, FormulaTyped)
    if len(typed.formula) > MAX_FORMULA:
        raise Problem(400, said("a-formula-has-at-most", signs=MAX_FORMULA))
    found = made(workers.set_typed, typed.formula)
    if isinstance(found, Sentence):
        raise Problem(400, found)
    setting, latex, mathml = found
    keep_setting(typed.formula, setting)
    return answer(FormulaSet(setting.outline, setting.width, setting.height, setting.baseline, latex, mathml))
