"""Working out: what a formula is worth, what solves it and how a school would get there, and whether lines follow."""

from __future__ import annotations

import itertools
import math
from collections.abc import Sequence

import msgspec
import sympy
from sympy.core.relational import Relational

from sunroom.core.errors import MalformedError
from sunroom.core.maths import algebra, chemistry, units
from sunroom.core.maths.algebra import algebraic, latex
from sunroom.core.maths.meaning import (
    Diff,
    Expr,
    Integral,
    Lines,
    Meaning,
    PlusMinus,
    Relation,
    meaning_of,
)
from sunroom.core.maths.notation import Row, latex_of
from sunroom.core.maths.offers import MAX_CHECKED_LINES, Checked, Offered
from sunroom.core.maths.typed import MAX_FORMULA, read_formula
from sunroom.core.sentences import Sentence, said

#: Digits of a decimal value that are offered.
DIGITS = 8
#: Solutions that are written down at most, and names that an equation is solved for.
MAX_SOLUTIONS, MAX_NAMES = 12, 4


def work_out(row: Row) -> list[Offered]:
    """What a formula can be worked out to, the likeliest wish first.

    Raises
    ------
    MalformedError
        With the sentence that says why it cannot.
    """
    reaction = chemistry.chemistry_of(row)
    made = _chemistry(reaction) if reaction else _offers(meaning_of(row))
    own = row
    kept: dict[tuple[str, ...], Offered] = {}
    for offer in made:
        lines = tuple(line for line in offer.lines if len(line) <= MAX_FORMULA)
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
        if substance.nodes not in seen:
            seen.add(substance.nodes)
            name = latex_of(chemistry.upright(Row(substance.nodes)))
            mass = f"{chemistry.molar_mass(substance):.2f}"
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
        return _system(meant)
    if units.has_units(meant):
        return _quantity(meant)
    if isinstance(meant, Relation):
        return _solved(meant)
    if isinstance(meant, PlusMinus):
        values = [_both(meant, sign) for sign in (1, -1)]
        return [
            Offered("value", tuple(latex(value) for value in values)),
            Offered("decimal", tuple(_decimal(value) for value in values if value.is_number)),
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
    _check_defined(done)
    simple = sympy.simplify(done)
    if isinstance(meant, Diff):
        return [Offered("derived", (latex(simple),)), Offered("factored", (latex(sympy.factor(done)),))]
    if isinstance(meant, Integral) and meant.low is None:
        return [Offered("integrated", (rf"{latex(simple)}+C",))]
    if simple.is_number:
        exact = sympy.nsimplify(simple) if simple.is_Float else simple
        made = [Offered("value", (latex(exact),))]
        if not exact.is_Integer:
            made.append(Offered("decimal", (_decimal(exact),)))
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


def _check_defined(value: sympy.Basic) -> None:
    if value.has(sympy.zoo, sympy.nan):
        raise MalformedError("formula", said("nothing-is-divided-by-0"))


def _decimal(value: sympy.Expr) -> str:
    made = sympy.N(value, DIGITS + 2)
    if not made.is_real:
        return latex(sympy.N(value, DIGITS))
    text = f"{float(made):.{DIGITS}g}" if abs(made) < 1e300 else latex(sympy.N(value, DIGITS))
    mantissa, _, exponent = text.partition("e")
    return rf"{mantissa}\cdot10^{{{int(exponent)}}}" if exponent else mantissa


def _numeric(value: sympy.Expr) -> str | None:
    if value.free_symbols:
        return None
    number = sympy.N(value, DIGITS)
    return _decimal(number) if number.is_number and number.is_finite else None


# Equations and inequalities


def _solved(meant: Relation) -> list[Offered]:
    names = sorted(
        algebra.names_in(meant), key=lambda name: (name.letter not in "xyzt", name.letter, name.sub)
    )
    parts = algebra.relation(meant)
    if not names:
        holds = all(sympy.simplify(part) for part in parts)
        return [Offered("said", sentence=said("that-is-true" if holds else "that-is-not-true"))]
    if len(names) == 1 and parts:
        return _solved_for(parts, algebra.symbol(names[0]))
    if len(parts) > 1 or not isinstance(parts[0], sympy.Eq):
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    made = []
    for name in names[:MAX_NAMES]:
        x = algebra.symbol(name)
        left, right = parts[0].args
        if left == x and not right.has(x):
            continue
        found = sympy.solve(left - right, x)
        if found and len(found) <= MAX_SOLUTIONS:
            made.append(
                Offered("solved", tuple(f"{algebra.name_latex(x)}={latex(value)}" for value in found))
            )
    if not made:
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    return made


def _solved_for(parts: Sequence[Relational], x: sympy.Symbol) -> list[Offered]:
    found = solutions(parts, x)
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
            Offered("decimal", tuple(rf"{algebra.name_latex(x)}\approx{_decimal(v)}" for v in _sorted(found)))
        )
    return made


def solutions(parts: Sequence[Relational], x: sympy.Symbol) -> sympy.Set:
    """The real numbers that make all of some relations true."""
    made: sympy.Set = sympy.S.Reals
    for part in parts:
        left, right = part.args
        _check_defined(left - right)
        if isinstance(part, sympy.Eq):
            found = sympy.solveset(left - right, x, sympy.S.Reals)
        elif isinstance(part, sympy.Ne):
            found = sympy.S.Reals - sympy.solveset(left - right, x, sympy.S.Reals)
        else:
            found = sympy.solve_univariate_inequality(part.func(left - right, 0), x, relational=False)
        made = made.intersect(found)
    return made


def _set_lines(found: sympy.Set, x: sympy.Symbol) -> list[str] | Sentence:
    """A set of solutions in lines, or the sentence that says that there are none, or all."""
    name = algebra.name_latex(x)
    if found is sympy.S.EmptySet:
        return said("there-is-no-solution")
    if found == sympy.S.Reals:
        return said("every-number-solves-it")
    if isinstance(found, sympy.FiniteSet):
        values = _sorted(found)
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
        return [rf"{name}\ne{latex(value)}" for value in _sorted(found.args[1])]
    if isinstance(found, sympy.Union):
        lines: list[str] = []
        for part in sorted(found.args, key=_start_of):
            inner = _set_lines(part, x)
            if isinstance(inner, Sentence):
                raise MalformedError("formula", said("that-cannot-be-worked-out"))
            lines += (
                inner
                if not isinstance(part, sympy.FiniteSet)
                else [f"{name}={latex(v)}" for v in _sorted(part)]
            )
        return lines
    raise MalformedError("formula", said("that-cannot-be-worked-out"))


def _start_of(part: sympy.Set) -> float:
    try:
        return float(part.inf)
    except (TypeError, NotImplementedError, ValueError):
        return -math.inf


def _sorted(found: sympy.FiniteSet) -> list[sympy.Expr]:
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


def _system(meant: Lines) -> list[Offered]:
    """Equations that hold together."""
    parts = [part for line in meant.lines if isinstance(line, Relation) for part in algebra.relation(line)]
    names = sorted(algebra.names_in(meant.lines), key=lambda name: (name.letter, name.sub))
    if len(parts) < len(meant.lines) or not names:
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    symbols = [algebra.symbol(name) for name in names]
    if len(symbols) == 1:
        return _solved_for(parts, symbols[0])
    if not all(isinstance(part, sympy.Eq) for part in parts):
        raise MalformedError("formula", said("that-cannot-be-worked-out"))
    found = sympy.solve(parts, symbols, dict=True)
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


# Lines that follow from each other


def check_working(rows: Sequence[Row]) -> list[Checked]:
    """How each of some lines stands to the one before it: the first one begins."""
    made: list[Checked] = []
    before: Meaning | None = None
    for at, row in enumerate(rows[:MAX_CHECKED_LINES]):
        try:
            now: Meaning | None = _continued(row, before)
        except MalformedError:
            now = None
        if at == 0:
            made.append(Checked("first" if now is not None else "cannot_tell"))
        elif now is None or before is None:
            made.append(Checked("cannot_tell", said("a-line-has-no-meaning")))
        else:
            made.append(_follows(before, now))
        before = now if now is not None else before
    return made


def _continued(row: Row, before: Meaning | None) -> Meaning:
    """A line that begins with a sign of relation goes on from the expression before it."""
    first = row.nodes[0] if row.nodes else None
    if getattr(first, "name", "") == "=":
        return meaning_of(Row(row.nodes[1:]))
    del before
    return meaning_of(row)


def _follows(before: Meaning, now: Meaning) -> Checked:
    try:
        if isinstance(before, Relation | Lines) and isinstance(now, Relation | Lines):
            return _same_solutions(before, now)
        if isinstance(before, Relation | Lines) or isinstance(now, Relation | Lines):
            return Checked("cannot_tell", said("a-line-is-of-another-kind"))
        return _same_value(algebraic(before), algebraic(now))
    except (MalformedError, NotImplementedError, TypeError, ValueError):
        return Checked("cannot_tell")


def _same_value(before: sympy.Expr, now: sympy.Expr) -> Checked:
    """Whether two expressions are worth the same wherever both are defined; numbers show where they are not."""
    before, now = before.doit(), now.doit()
    names = sorted(before.free_symbols | now.free_symbols, key=str)
    tried = 0
    for values in itertools.islice(itertools.product(_TRIED, repeat=len(names)), 60):
        at = dict(zip(names, values, strict=True))
        one, other = (sympy.N(side.subs(at), 20) for side in (before, now))
        if not (one.is_real and other.is_real and one.is_finite and other.is_finite):
            continue
        tried += 1
        if abs(one - other) > 1e-9 * max(1, abs(one), abs(other)):
            where = ", ".join(f"{name} = {_plain(value)}" for name, value in at.items())
            key = "the-values-differ-at" if at else "the-values-differ"
            return Checked("does_not", said(key, where=where, one=_plain(one), other=_plain(other)))
    if sympy.simplify(before - now) == 0:
        return Checked("follows")
    return Checked("follows" if tried >= 12 else "cannot_tell")


#: Numbers that expressions are compared at: none is special.
_TRIED = tuple(
    sympy.Rational(*pair) for pair in ((2, 1), (3, 1), (-2, 1), (7, 5), (-13, 10), (1, 3), (5, 1), (0, 1))
)


def _plain(value: sympy.Expr) -> str:
    return f"{float(value):.6g}".replace("-", "−")


def _same_solutions(before: Relation | Lines, now: Relation | Lines) -> Checked:
    names = {algebra.symbol(name) for name in algebra.names_in(before) | algebra.names_in(now)}
    bases = {str(name).partition("_")[0] for name in names}
    if len(bases) == 1:
        x = sympy.Symbol(bases.pop(), real=True)
        turned = _same_equation(before, now) if _are_inequalities(before, now) else None
        if turned and turned.verdict == "does_not":
            return turned
        one, other = _solution_set(before, x), _solution_set(now, x)
        lost, gained = one - other, other - one
        if lost is sympy.S.EmptySet and gained is sympy.S.EmptySet:
            return Checked("follows")
        if isinstance(lost, sympy.Complement) or isinstance(gained, sympy.Complement):
            return Checked("cannot_tell")
        shown = [_shown(part, str(x)) for part in (lost, gained)]
        if all(shown):
            return Checked("does_not", said("solutions-are-lost-and-gained", lost=shown[0], gained=shown[1]))
        if shown[0]:
            return Checked("does_not", said("solutions-are-lost", lost=shown[0]))
        return Checked("does_not", said("solutions-are-gained", gained=shown[1]))
    return _same_equation(before, now)


def _are_inequalities(*lines: Relation | Lines) -> bool:
    return all(isinstance(line, Relation) and line.signs[0] not in ("=", r"\ne") for line in lines)


def _solution_set(meant: Relation | Lines, x: sympy.Symbol) -> sympy.Set:
    """What solves a line; several statements beside each other, as of x with an index, are solutions one by one."""
    if isinstance(meant, Relation):
        parts = [part.xreplace({name: x for name in part.free_symbols}) for part in algebra.relation(meant)]
        return solutions(parts, x)
    made: sympy.Set = sympy.S.EmptySet
    for line in meant.lines:
        if not isinstance(line, Relation):
            raise MalformedError("formula", said("a-formula-has-no-meaning"))
        made = made.union(_solution_set(line, x))
    return made


def _shown(part: sympy.Set, name: str) -> str:
    """Some of a set's numbers in words; "" for none."""
    if part is sympy.S.EmptySet:
        return ""
    if isinstance(part, sympy.FiniteSet):
        return ", ".join(f"{name} = {_plain(value)}" for value in _sorted(part)[:3])
    try:
        low, high = part.inf, part.sup
        ends = [low + 1] * bool(low.is_finite) + [high - 1] * bool(high.is_finite)
        middle = [(low + high) / 2] if low.is_finite and high.is_finite else []
        inside = next((v for v in (*_TRIED, *ends, *middle) if part.contains(v) is sympy.true), None)
    except (NotImplementedError, TypeError, AttributeError):
        inside = None
    return f"{name} = {_plain(inside)}" if inside is not None else "…"


def _same_equation(before: Relation | Lines, now: Relation | Lines) -> Checked:
    """Equations with several names: the same when one difference of sides is a constant times the other."""
    if not isinstance(before, Relation) or not isinstance(now, Relation):
        return Checked("cannot_tell")
    (one, *more), (other, *others) = algebra.relation(before), algebra.relation(now)
    if more or others or type(one) is not type(other):
        return Checked("cannot_tell")
    ratio = sympy.simplify((one.args[0] - one.args[1]) / (other.args[0] - other.args[1]))
    if ratio.is_number and ratio.is_finite and not ratio.is_zero:
        turned = ratio.is_negative and not isinstance(one, sympy.Eq | sympy.Ne)
        return Checked("does_not", said("the-sign-has-to-be-turned")) if turned else Checked("follows")
    if isinstance(one, sympy.Eq):
        # Points that solve the first line are put into the second.
        names = sorted(one.free_symbols & other.free_symbols, key=str)
        for name in names:
            found = sympy.solve(one.args[0] - one.args[1], name)
            rest = sorted((one.free_symbols | other.free_symbols) - {name}, key=str)
            for value in found[:2]:
                for values in itertools.islice(itertools.product(_TRIED[:4], repeat=len(rest)), 12):
                    at = dict(zip(rest, values, strict=True))
                    solved = value.subs(at)
                    difference = sympy.N((other.args[0] - other.args[1]).subs({**at, name: solved}), 15)
                    if difference.is_real and difference.is_finite and abs(difference) > 1e-9:
                        where = ", ".join(f"{n} = {_plain(v)}" for n, v in {**at, name: solved}.items())
                        return Checked("does_not", said("a-point-solves-only-one", where=where))
            if found:
                return Checked("follows") if ratio.is_finite is not False else Checked("cannot_tell")
    return Checked("cannot_tell")
