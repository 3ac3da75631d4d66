"""Equations, inequalities and systems: what solves them, and the steps by which a school gets there."""

from __future__ import annotations

import math
from collections.abc import Sequence

import sympy
from sympy.core.relational import Relational

from sunroom.core.errors import MalformedError
from sunroom.core.maths import algebra
from sunroom.core.maths.algebra import check_defined, decimal, latex
from sunroom.core.maths.meaning import Lines, Meaning, Relation, has_both_signs, with_sign
from sunroom.core.maths.offers import Offered
from sunroom.core.sentences import Sentence, said

#: Solutions that are written down at most, and names that an equation is solved for.
MAX_SOLUTIONS, MAX_NAMES = 12, 4


def solved(meant: Relation) -> list[Offered]:
    names = sorted(
        algebra.names_in(meant), key=lambda name: (name.letter not in "xyzt", name.letter, name.sub)
    )
    parts = algebra.relation(meant)
    if not names:
        holds = all(sympy.simplify(part) for part in parts)
        return [Offered("said", sentence=said("that-is-true" if holds else "that-is-not-true"))]
    if len(names) == 1 and parts:
        return _solved_for(solutions(parts, x := algebra.symbol(names[0])), x, parts)
    if len(parts) > 1 or not isinstance(parts[0], sympy.Eq):
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    made = []
    for name in names[:MAX_NAMES]:
        x = algebra.symbol(name)
        left, right = parts[0].args
        if left == x and not right.has(x):
            continue
        found = [value for value in sympy.solve(left - right, x) if not value.has(sympy.I)]
        if found and len(found) <= MAX_SOLUTIONS:
            made.append(
                Offered("solved", tuple(f"{algebra.name_latex(x)}={latex(value)}" for value in found))
            )
    if not made:
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    return made


def _solved_for(found: sympy.Set, x: sympy.Symbol, parts: Sequence[Relational]) -> list[Offered]:
    """A set of solutions, and the way to it where ``parts`` is one relation."""
    made: list[Offered] = []
    if len(parts) == 1:
        steps = _steps(parts[0], x)
        if steps:
            made.append(Offered("steps", tuple(steps)))
    lines = _set_lines(found, x)
    if isinstance(lines, Sentence):
        return [*made, Offered("said", sentence=lines)]
    if not found.has(sympy.CRootOf):
        made.insert(0, Offered("solved", tuple(lines)))
    if isinstance(found, sympy.FiniteSet) and not all(value.is_Rational for value in found):
        made.append(
            Offered(
                "decimal", tuple(rf"{algebra.name_latex(x)}\approx{decimal(v)}" for v in sorted_values(found))
            )
        )
    return made


def solutions(parts: Sequence[Relational], x: sympy.Symbol) -> sympy.Set:
    """The real numbers that make all of some relations true."""
    made: sympy.Set = sympy.S.Reals
    for part in parts:
        if part in (sympy.true, sympy.false):
            made = made if part is sympy.true else sympy.S.EmptySet
            continue
        left, right = part.args
        check_defined(left - right)
        if isinstance(part, sympy.Eq):
            found = sympy.solveset(left - right, x, sympy.S.Reals)
        elif isinstance(part, sympy.Ne):
            found = sympy.S.Reals - sympy.solveset(left - right, x, sympy.S.Reals)
        else:
            found = sympy.solve_univariate_inequality(part.func(left - right, 0), x, relational=False)
        made = made.intersect(found)
    return made


def are_inequalities(*lines: Meaning) -> bool:
    return all(isinstance(line, Relation) and line.signs[0] not in ("=", r"\ne") for line in lines)


def solution_set(meant: Relation | Lines, x: sympy.Symbol) -> sympy.Set:
    """What solves a line.

    Several equations beside each other, as of x with an index, are solutions one by one; of inequalities there all hold,
    when all can.
    """
    if has_both_signs(meant):
        upper, lower = (solution_set(with_sign(meant, sign), x) for sign in (1, -1))
        return upper.union(lower)
    if isinstance(meant, Relation):
        others = {name: x for name in map(algebra.symbol, algebra.names_in(meant)) if name != x}
        return solutions([part.xreplace(others) if others else part for part in algebra.relation(meant)], x)
    if not all(isinstance(line, Relation | Lines) for line in meant.lines):
        raise MalformedError("formula", said("a-formula-has-no-meaning"))
    sets = [solution_set(line, x) for line in meant.lines]  # type: ignore[arg-type]
    all_hold = sympy.Intersection(*sets)
    if meant.joined == "and" or (
        not meant.joined and are_inequalities(*meant.lines) and all_hold is not sympy.S.EmptySet
    ):
        return all_hold
    return sympy.Union(*sets)


def _set_lines(found: sympy.Set, x: sympy.Symbol) -> list[str] | Sentence:
    """A set of solutions in lines, or the sentence that says that there are none, or all."""
    name = algebra.name_latex(x)
    if found is sympy.S.EmptySet:
        return said("there-is-no-solution")
    if found == sympy.S.Reals:
        return said("every-number-solves-it")
    if isinstance(found, sympy.FiniteSet):
        values = sorted_values(found)
        if len(values) > MAX_SOLUTIONS:
            raise MalformedError("formula", said("that-cannot-be-worked-out"))
        if len(values) == 1:
            return [f"{name}={latex(values[0])}"]
        single = "_" not in name
        return [
            f"{name}_{{{at}}}={latex(v)}" if single else f"{name}={latex(v)}"
            for at, v in enumerate(values, 1)
        ]
    if isinstance(found, sympy.Interval):
        return [_interval(found, name)]
    if isinstance(found, sympy.ImageSet):
        return [_image(found, name)]
    if (
        isinstance(found, sympy.Complement)
        and found.args[0] == sympy.S.Reals
        and isinstance(found.args[1], sympy.FiniteSet)
    ):
        return [rf"{name}\ne{latex(value)}" for value in sorted_values(found.args[1])]
    if isinstance(found, sympy.Union):
        lines: list[str] = []
        for part in sorted(found.args, key=_start_of):
            inner = _set_lines(part, x)
            if isinstance(inner, Sentence):
                raise MalformedError("formula", said("that-cannot-be-worked-out"))
            lines += (
                inner
                if not isinstance(part, sympy.FiniteSet)
                else [f"{name}={latex(v)}" for v in sorted_values(part)]
            )
        return lines
    raise MalformedError("formula", said("that-cannot-be-worked-out"))


def _start_of(part: sympy.Set) -> float:
    try:
        return float(part.inf)
    except (TypeError, NotImplementedError, ValueError):
        return -math.inf


def sorted_values(found: sympy.FiniteSet) -> list[sympy.Expr]:
    return sorted(found, key=lambda value: float(sympy.N(value)))


def _interval(found: sympy.Interval, name: str) -> str:
    less = {True: "<", False: r"\le "}
    low, high = latex(found.start), latex(found.end)
    if found.end == sympy.oo:
        return f"{name}{'>' if found.left_open else _AT_LEAST}{low}"
    above = f"{name}{less[bool(found.right_open)]}{high}"
    return above if found.start == -sympy.oo else f"{low}{less[bool(found.left_open)]}{above}"


_AT_LEAST = r"\ge "


def _image(found: sympy.ImageSet, name: str) -> str:
    """Solutions that come again and again, by whole numbers k."""
    k = sympy.Symbol("k", integer=True)
    (variable,) = found.lamda.variables
    return rf"{name}={latex(sympy.expand(found.lamda.expr.subs(variable, k)))},\ k\in\mathbb{{Z}}"


def _steps(part: Relational, x: sympy.Symbol) -> list[str]:
    """How a school gets there: linear equations and inequalities, and quadratic equations; [] for others."""
    left, right = (sympy.expand(side) for side in part.args)
    sign = _SIGNS[type(part)]
    if not (left.is_polynomial(x) and right.is_polynomial(x)):
        return []
    whole = sympy.Poly(left - right, x)
    name = algebra.name_latex(x)
    if whole.degree() == 1:
        return _linear_steps(left, right, sign, x, name)
    if whole.degree() == 2 and sign == "=":
        return _quadratic_steps(left, right, whole, name)
    return []


def _linear_steps(left: sympy.Expr, right: sympy.Expr, sign: str, x: sympy.Symbol, name: str) -> list[str]:
    a, b = sympy.Poly(left, x).coeff_monomial(x), sympy.Poly(left, x).coeff_monomial(1)
    c, d = sympy.Poly(right, x).coeff_monomial(x), sympy.Poly(right, x).coeff_monomial(1)
    slope, rest = a - c, d - b
    if slope.free_symbols:
        return []
    turned = {"<": ">", ">": "<", r"\le ": r"\ge ", r"\ge ": r"\le "}.get(sign, sign) if slope < 0 else sign
    lines = [
        rf"{latex(left)}{sign}{latex(right)}",
        rf"{latex(slope * x + b)}{sign}{latex(d)}" if c else "",
        rf"{latex(slope * x)}{sign}{latex(rest)}",
        rf"{name}{turned}{latex(sympy.simplify(rest / slope))}",
    ]
    return list(dict.fromkeys(line for line in lines if line))


def _quadratic_steps(left: sympy.Expr, right: sympy.Expr, whole: sympy.Poly, name: str) -> list[str]:
    a, b, c = (whole.coeff_monomial(whole.gen**power) for power in (2, 1, 0))
    if any(value.free_symbols for value in (a, b, c)):
        return []
    inside = b**2 - 4 * a * c
    lines = [f"{latex(left)}={latex(right)}"]
    if b != 0:
        lines.append(f"{latex(whole.as_expr())}=0")
    if b == 0:
        lines.append(rf"{name}^{{2}}={latex(-c / a)}")
    else:
        square = f"({latex(b)})^{{2}}" if b < 0 else f"{latex(b)}^{{2}}"
        minus = f"-({latex(b)})" if b < 0 else f"-{latex(b)}"
        rest = f"-4\\cdot{_in_brackets(a)}\\cdot{_in_brackets(c)}"
        two = rf"2\cdot{_in_brackets(a)}"
        lines.append(rf"{name}_{{1,2}}=\frac{{{minus}\pm\sqrt{{{square}{rest}}}}}{{{two}}}")
        if inside >= 0:
            lines.append(rf"{name}_{{1,2}}=\frac{{{latex(-b)}\pm\sqrt{{{latex(inside)}}}}}{{{latex(2 * a)}}}")
    if inside > 0:
        root = sympy.sqrt(inside)
        values = sorted(((-b - root) / (2 * a), (-b + root) / (2 * a)), key=lambda v: float(v))
        lines += [f"{name}_{{{at}}}={latex(sympy.simplify(value))}" for at, value in enumerate(values, 1)]
    elif inside == 0:
        lines.append(f"{name}={latex(-b / (2 * a))}")
    return list(dict.fromkeys(lines))


def _in_brackets(value: sympy.Expr) -> str:
    return f"({latex(value)})" if value < 0 else latex(value)


_SIGNS = {
    sympy.Eq: "=",
    sympy.Lt: "<",
    sympy.Gt: ">",
    sympy.Le: r"\le ",
    sympy.Ge: r"\ge ",
    sympy.Ne: r"\ne ",
}


def solved_system(meant: Lines) -> list[Offered]:
    """Equations that hold together."""
    parts = [part for line in meant.lines if isinstance(line, Relation) for part in algebra.relation(line)]
    names = sorted(algebra.names_in(meant.lines), key=lambda name: (name.letter, name.sub))
    if len(parts) < len(meant.lines) or not names:
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    symbols = [algebra.symbol(name) for name in names]
    if len(symbols) == 1:
        return _solved_for(solution_set(meant, symbols[0]), symbols[0], ())
    if meant.joined == "or" or not all(isinstance(part, sympy.Eq) for part in parts):
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    solved_for = sympy.solve(parts, symbols, dict=True)
    found = [one for one in solved_for if not any(value.has(sympy.I) for value in one.values())]
    if not found:
        return [Offered("said", sentence=said("there-is-no-solution"))]
    if len(found) > MAX_SOLUTIONS:
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    made = [
        Offered("solved", tuple(f"{algebra.name_latex(x)}={latex(value)}" for x, value in solution.items()))
        for solution in found
    ]
    steps = _substitution(parts, symbols)
    return [*made, Offered("steps", tuple(steps))] if steps else made


def _substitution(parts: Sequence[Relational], names: Sequence[sympy.Symbol]) -> list[str]:
    """Two linear equations by putting one into the other; [] for other systems."""
    if len(parts) != 2 or len(names) != 2:
        return []
    wholes = [sympy.expand(part.args[0] - part.args[1]) for part in parts]
    try:
        if any(sympy.Poly(whole, *names).total_degree() != 1 for whole in wholes):
            return []
    except sympy.PolynomialError:
        return []
    # The letter that stands alone, or else the one that is easily set free.
    at, y = min(
        ((at, y) for at in (0, 1) for y in reversed(names) if wholes[at].coeff(y)),
        key=lambda pair: (abs(wholes[pair[0]].coeff(pair[1])) != 1, pair[0]),
        default=(0, None),
    )
    if y is None:
        return []
    x = names[1] if y == names[0] else names[0]
    free = sympy.expand(sympy.solve(wholes[at], y)[0])
    other = parts[1 - at]
    left, right = (side.subs(y, sympy.Symbol("ZZ")) for side in other.args)
    put = [latex(side).replace("ZZ", rf"({latex(free)})") for side in (left, right)]
    lines = [rf"{algebra.name_latex(y)}={latex(free)}", f"{put[0]}={put[1]}"]
    found = sympy.solve(wholes[1 - at].subs(y, free), x)
    if not found:
        return []
    lines.append(f"{algebra.name_latex(x)}={latex(found[0])}")
    lines.append(f"{algebra.name_latex(y)}={latex(sympy.simplify(free.subs(x, found[0])))}")
    return lines
