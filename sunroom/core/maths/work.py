"""Working out: what a formula is worth, what solves it and how a school would get there, and whether lines follow."""

from __future__ import annotations

import re
from contextlib import suppress

import msgspec
import sympy

from sunroom.core.errors import MalformedError
from sunroom.core.maths import chemistry, units
from sunroom.core.maths.algebra import DIGITS, algebraic, check_defined, decimal, latex
from sunroom.core.maths.grammar import meaning_of
from sunroom.core.maths.meaning import (
    Diff,
    Expr,
    Integral,
    Lines,
    Meaning,
    PlusMinus,
    Relation,
)
from sunroom.core.maths.notation import Row, latex_of, upright
from sunroom.core.maths.offers import Offered
from sunroom.core.maths.solving import solved, solved_system
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.maths.typed import read_formula
from sunroom.core.maths.unit_letters import is_sure, with_units
from sunroom.core.sentences import said

_POINT = re.compile(r"(?<=\d)\.(?=\d)")


def work_out(row: Row) -> list[Offered]:
    """What a formula can be worked out to, the likeliest wish first; with a comma for the point where it has one.

    Raises
    ------
    MalformedError
        With the sentence that says why it cannot.
    """
    reaction = chemistry.chemistry_of(row)
    made = _chemistry(reaction) if reaction else _offers(meaning_of(row))
    if not reaction and (quantity := with_units(row)) is not None:
        # Units that were written by hand are letters like all others.
        with suppress(MalformedError):
            found = _quantity(meaning_of(quantity))
            made = [*found, *made] if is_sure(quantity) else [*made, *found]
    own = row
    comma = "{,}" in latex_of(row)
    kept: dict[tuple[str, ...], Offered] = {}
    for offer in made:
        lines = tuple(
            _POINT.sub("{,}", line) if comma else line for line in offer.lines if len(line) <= MAX_FORMULA
        )
        # What is already written is no offer.
        if offer.sentence or (lines and not (len(lines) == 1 and _same(lines[0], own))):
            kept.setdefault(lines or (str(offer.sentence),), msgspec.structs.replace(offer, lines=lines))
    if not kept:
        raise MalformedError("formula", said("nothing-more-to-work-out"))
    return list(kept.values())


def _chemistry(reaction: chemistry.Reaction) -> list[Offered]:
    """A reaction balanced, and what its substances weigh."""
    made: list[Offered] = []
    if reaction.arrow:
        more = chemistry.surplus(reaction)
        if more:
            said_more = ", ".join(f"{_kind(kind)} {abs(count)}" for kind, count in sorted(more.items()))
            made.append(Offered("balanced", (latex_of(chemistry.balanced(reaction)),)))
            made.append(Offered("said", sentence=said("a-reaction-is-not-balanced", more=said_more)))
        else:
            made.append(Offered("said", sentence=said("a-reaction-is-balanced")))
    seen: set[tuple[object, ...]] = set()
    for substance in (*reaction.left, *reaction.right):
        if substance.nodes not in seen and chemistry.has_atoms(substance):
            seen.add(substance.nodes)
            name = latex_of(upright(Row(substance.nodes)))
            # 55.845 is rounded up, though the computer has a little less.
            mass = f"{chemistry.molar_mass(substance) + 1e-9:.2f}"
            made.append(Offered("mass", (rf"M({name})={mass}\,\frac{{\mathrm{{g}}}}{{\mathrm{{mol}}}}",)))
    return made


def _kind(kind: str) -> str:
    return "±" if kind == chemistry.CHARGE else kind


def _same(line: str, row: Row) -> bool:
    try:
        return read_formula(line) == row
    except MalformedError:
        return False


def _offers(meant: Meaning) -> list[Offered]:
    if isinstance(meant, Lines):
        return solved_system(meant)
    if units.has_units(meant):
        return _quantity(meant)
    if isinstance(meant, Relation):
        return solved(meant)
    if isinstance(meant, PlusMinus):
        values = [_both(meant, sign) for sign in (1, -1)]
        return [
            Offered("value", tuple(latex(value) for value in values)),
            Offered("decimal", tuple(decimal(value) for value in values if value.is_number)),
        ]
    return _worth(meant)


def _both(value: PlusMinus, sign: int) -> sympy.Expr:
    before = sympy.Integer(0) if value.before is None else algebraic(value.before)
    return sympy.simplify(before + sign * algebraic(value.body))


def _quantity(meant: Meaning) -> list[Offered]:
    if isinstance(meant, Relation):
        if meant.signs[0] != "=":
            raise MalformedError("formula", said("units-do-not-belong-there"))
        meant = meant.sides[-1]
    assert not isinstance(meant, Lines)
    return [Offered("quantity", (line,)) for line in units.offers(meant)]


def _worth(meant: Expr) -> list[Offered]:
    """A value, or an expression with names in other forms."""
    value = algebraic(meant)
    done = value.doit()
    if done.has(sympy.Integral, sympy.Sum, sympy.Limit, sympy.Product):
        number = _numeric(done)
        if number is None:
            raise MalformedError("formula", said("that-cannot-be-worked-out"))
        return [Offered("decimal", (number,))]
    check_defined(done)
    simple = sympy.simplify(done)
    if isinstance(meant, Diff):
        return [Offered("derived", (latex(simple),)), Offered("factored", (latex(sympy.factor(done)),))]
    if isinstance(meant, Integral) and meant.low is None:
        return [Offered("integrated", (rf"{latex(_on_both_sides(simple, value))}+C",))]
    if simple.is_number:
        exact = sympy.nsimplify(simple) if simple.is_Float else simple
        made = [Offered("value", (latex(exact),))]
        if not exact.is_Integer:
            made.append(Offered("decimal", (decimal(exact),)))
        return made
    made = [
        Offered("simplified", (latex(simple),)),
        Offered("expanded", (latex(sympy.expand(done)),)),
        Offered("factored", (latex(sympy.factor(done)),)),
    ]
    names = sorted(done.free_symbols, key=str)
    if len(names) == 1:
        made.append(Offered("derived", (latex(sympy.simplify(sympy.diff(done, names[0]))),)))
    return made


def _on_both_sides(found: sympy.Expr, integral: sympy.Expr) -> sympy.Expr:
    """Logarithms that integrating brought are of absolute values: ln|x| is there below zero, too."""
    new = [
        part for part in found.atoms(sympy.log) - integral.atoms(sympy.log) if not part.args[0].is_positive
    ]
    return found.subs({part: sympy.log(sympy.Abs(part.args[0])) for part in new})


def _numeric(value: sympy.Expr) -> str | None:
    if value.free_symbols:
        return None
    number = sympy.N(value, DIGITS)
    return decimal(number) if number.is_number and number.is_finite else None
