"""Statements about numbers alone, as a line of working or for themselves: whether they are right."""

from __future__ import annotations

import sympy

from sunroom.core.errors import MalformedError
from sunroom.core.maths import algebra, units
from sunroom.core.maths.algebra import UNABLE, algebraic
from sunroom.core.maths.meaning import Expr, Neg, Num, Relation
from sunroom.core.maths.offers import Checked
from sunroom.core.sentences import said


def stated(now: Relation) -> Checked | None:
    """Whether a statement about numbers alone is right; None for others."""
    if algebra.names_in(now):
        return None
    rounded = None
    try:
        for left, sign, right in zip(now.sides, now.signs, now.sides[1:], strict=False):
            one, other, unit = _measured(left, right)
            if not _holds(one, sign, other):
                least = max(map(_last_digit, (left, right)))
                if sign == r"\approx" and not least:
                    return Checked("cannot_tell")
                if sign in ("=", r"\approx") and not unit and least > 0 and abs(one - other) <= least / 2:
                    exact = other if _last_digit(left) == least else one
                    rounded = rounded or said("a-side-is-rounded", value=plain(exact))
                    continue
                sides = {"one": plain(one) + unit, "other": plain(other) + unit}
                return Checked("wrong", said("the-sides-differ", **sides))
    except MalformedError as error:
        return Checked("cannot_tell", error.sentence)
    except UNABLE:
        return Checked("cannot_tell")
    return Checked("right", rounded)


def _measured(left: Expr, right: Expr) -> tuple[sympy.Expr, sympy.Expr, str]:
    """What two sides come to as numbers, and in which unit.

    Raises
    ------
    MalformedError
        Where they are no real numbers, or units do not go together.
    """
    if not units.has_units((left, right)):
        one, other = (sympy.N(algebraic(side).doit(), 20) for side in (left, right))
        if not (one.is_real and other.is_real and one.is_finite and other.is_finite):
            raise MalformedError("formula", said("a-formula-has-no-meaning"))
        return one, other, ""
    quantities = units.quantity(left), units.quantity(right)
    name = next(
        (name for name in units.units_in((left, right)) if units.unit_of(name).of == quantities[0].of), ""
    )
    if not name or quantities[1].of != quantities[0].of:
        raise MalformedError("formula", said("units-do-not-go-together"))
    one, other = (sympy.Rational(found.value / units.unit_of(name).value) for found in quantities)
    return one, other, f" {name}"


def _holds(one: sympy.Expr, sign: str, other: sympy.Expr) -> bool:
    same = abs(one - other) <= 1e-12 * max(1, abs(one), abs(other))
    return bool(
        {
            "=": same,
            r"\ne": not same,
            "<": one < other and not same,
            ">": one > other and not same,
            r"\le": one < other or same,
            r"\ge": one > other or same,
        }.get(sign, False)
    )


def _last_digit(side: Expr) -> float:
    """What the last digit of a number counts that is written with a point; 0 for all else."""
    number = side.body if isinstance(side, Neg) else side
    decimals = number.digits.partition(".")[2] if isinstance(number, Num) else ""
    return 10.0 ** -len(decimals) if decimals else 0.0


def plain(value: sympy.Expr) -> str:
    """A number as a sentence has it."""
    return f"{float(value):.6g}".replace("-", "−")
