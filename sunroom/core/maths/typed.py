r"""Typed formulas to notation: LaTeX, or maths as keyboards have it (``x^2``, ``(a+b)/2``, ``sqrt(x)``, ``<=``, ``alpha``).

What holds a backslash or a brace is LaTeX. A known set of commands is understood, nothing else is ever run or looked up.
"""

from __future__ import annotations

from contextlib import suppress

from sunroom.core.errors import MalformedError
from sunroom.core.maths.chemistry import typed_substances
from sunroom.core.maths.keyboard import KeyboardReader, usual
from sunroom.core.maths.latex import LatexReader
from sunroom.core.maths.notation import Row
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.sentences import said


def read_formula(text: str) -> Row:
    """The notation of a typed formula, several lines of it as one table.

    Raises
    ------
    MalformedError
        With a sentence that says what is not understood, or too long or deep.
    """
    if len(text) > MAX_FORMULA:
        raise MalformedError("formula", said("a-formula-has-at-most", signs=MAX_FORMULA))
    if not text.strip():
        raise MalformedError("formula", said("a-formula-is-empty"))
    reader = LatexReader(text) if is_latex(text) else KeyboardReader(typed_substances(usual(text)))
    row = reader.read()
    if not row.nodes:
        raise MalformedError("formula", said("a-formula-is-empty"))
    return row


def unmistakable(latex: str) -> str:
    """LaTeX as ``read_formula`` understands it: without a command or a brace 72km/h is a fraction, and 5!=120 an inequality."""
    if is_latex(latex):
        return latex
    meant = LatexReader(latex).read()
    for text in (latex, latex.replace("!=", "! =")):
        with suppress(MalformedError):
            if read_formula(text) == meant:
                return text
    return rf"\relax {latex}"


def is_latex(text: str) -> bool:
    return "\\" in text or "^{" in text or "_{" in text or "{,}" in text
