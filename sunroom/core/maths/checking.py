"""Lines of working: whether each follows from the one before, and numbers that show it where it does not."""

from __future__ import annotations

import itertools
from collections.abc import Sequence

import sympy

from sunroom.core.errors import MalformedError
from sunroom.core.maths import algebra
from sunroom.core.maths.algebra import UNABLE, algebraic
from sunroom.core.maths.grammar import meaning_of, split
from sunroom.core.maths.meaning import Lines, Meaning, Name, Relation
from sunroom.core.maths.notation import Fenced, Node, Root, Row, Sign
from sunroom.core.maths.offers import MAX_CHECKED_LINES, Checked
from sunroom.core.maths.solving import are_inequalities, solution_set, sorted_values
from sunroom.core.maths.statements import plain, stated
from sunroom.core.maths.steps import Step
from sunroom.core.sentences import said


def check_working(steps: Sequence[Step]) -> list[Checked]:
    """How each of some lines stands to the one before it: the first one begins, and so may one that words part from it."""
    made: list[Checked] = []
    before: Meaning | None = None
    #: Before stand only numbers, from which nothing follows but what goes on with them.
    numbers = True
    for at, step in enumerate(steps[:MAX_CHECKED_LINES]):
        try:
            now: Meaning | None = _continued(step.row, before)
        except MalformedError:
            now = None
        if isinstance(now, Relation) and (by_itself := stated(now)):
            made.append(by_itself)
            before = now.sides[-1] if numbers else before
            continue
        begins, numbers = numbers and (at == 0 or isinstance(now, Relation | Lines)), False
        if begins:
            made.append(Checked("first" if now is not None else "cannot_tell"))
        elif now is None or before is None:
            made.append(Checked("cannot_tell", said("a-line-has-no-meaning")))
        else:
            found = _follows(before, now)
            parted = step.apart and found.verdict != "follows"
            made.append(Checked("cannot_tell", said("a-line-may-begin-anew")) if parted else found)
        before = now if now is not None else before
    return made


def _continued(row: Row, before: Meaning | None) -> Meaning:
    """What a line says.

    One that begins with a sign of relation goes on from the expression before it; an arrow before a line, and behind a
    bar what is done next to both sides, say nothing of their own. A set is that of the solutions of what stands before it.
    """
    nodes = row.nodes
    while nodes and nodes[0] in _ARROWS:
        nodes = nodes[1:]
    at = next((n for n, node in enumerate(nodes) if node == Sign("|") and n), len(nodes))
    nodes = nodes[:at] if nodes[at + 1 : at + 2] and _is_done(nodes[at + 1]) else nodes
    match nodes:
        case (
            Sign(name="L" | "S" | r"\mathbb{L}"),
            Sign(name="="),
            Fenced(left=r"\{", body=body, right=r"\}"),
        ):
            names = algebra.names_in(before)
            if len(names) == 1:
                return _listed(body, *names)
        case (Sign(name="="), *rest):
            return meaning_of(Row(tuple(rest)))
        case _:
            pass
    return meaning_of(Row(nodes))


_ARROWS = (Sign(r"\Rightarrow"), Sign(r"\Leftrightarrow"), Sign(r"\therefore"), Sign(r"\rightarrow"))


def _is_done(node: Node) -> bool:
    """What is done to both sides begins with such a sign."""
    return isinstance(node, Root) or (
        isinstance(node, Sign) and node.name in ("+", "-", r"\cdot", r"\times", r"\div", ":", "/")
    )


def _listed(body: Row, name: Name) -> Lines:
    """The numbers of a set as what a letter is."""
    sides = [meaning_of(value) for value in split(body, ";" if Sign(";") in body.nodes else ",")]
    if any(isinstance(side, Relation | Lines) for side in sides):
        raise MalformedError("formula", said("a-formula-has-no-meaning"))
    return Lines(tuple(Relation((name, side), ("=",)) for side in sides), "or")  # type: ignore[arg-type]


def _follows(before: Meaning, now: Meaning) -> Checked:
    try:
        if isinstance(before, Relation | Lines) and isinstance(now, Relation | Lines):
            return _same_solutions(before, now)
        if isinstance(before, Relation | Lines) or isinstance(now, Relation | Lines):
            return Checked("cannot_tell", said("a-line-is-of-another-kind"))
        return _same_value(algebraic(before), algebraic(now))
    except (MalformedError, *UNABLE):
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
            where = ", ".join(f"{name} = {plain(value)}" for name, value in at.items())
            key = "the-values-differ-at" if at else "the-values-differ"
            return Checked("does_not", said(key, where=where, one=plain(one), other=plain(other)))
    if sympy.simplify(before - now) == 0:
        return Checked("follows")
    return Checked("follows" if tried >= 12 else "cannot_tell")


#: Numbers that expressions are compared at: none is special.
_TRIED = tuple(
    sympy.Rational(*pair) for pair in ((2, 1), (3, 1), (-2, 1), (7, 5), (-13, 10), (1, 3), (5, 1), (0, 1))
)


def _same_solutions(before: Relation | Lines, now: Relation | Lines) -> Checked:
    names = {algebra.symbol(name) for name in algebra.names_in(before) | algebra.names_in(now)}
    bases = {str(name).partition("_")[0] for name in names}
    if len(bases) == 1:
        x = sympy.Symbol(bases.pop(), real=True)
        turned = _same_equation(before, now) if are_inequalities(before, now) else None
        if turned and turned.verdict == "does_not":
            return turned
        one, other = solution_set(before, x), solution_set(now, x)
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


def _shown(part: sympy.Set, name: str) -> str:
    """Some of a set's numbers in words; "" for none."""
    if part is sympy.S.EmptySet:
        return ""
    if isinstance(part, sympy.FiniteSet):
        return ", ".join(f"{name} = {plain(value)}" for value in sorted_values(part)[:3])
    try:
        low, high = part.inf, part.sup
        ends = [low + 1] * bool(low.is_finite) + [high - 1] * bool(high.is_finite)
        middle = [(low + high) / 2] if low.is_finite and high.is_finite else []
        inside = next((v for v in (*_TRIED, *ends, *middle) if part.contains(v) is sympy.true), None)
    except (NotImplementedError, TypeError, AttributeError):
        inside = None
    return f"{name} = {plain(inside)}" if inside is not None else "…"


def _same_equation(before: Relation | Lines, now: Relation | Lines) -> Checked:
    """Equations with several names: the same when one difference of sides is a constant times the other."""
    if isinstance(before, Lines):
        return _of_system(before, now)
    if isinstance(now, Lines):
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
                        where = ", ".join(f"{n} = {plain(v)}" for n, v in {**at, name: solved}.items())
                        return Checked("does_not", said("a-point-solves-only-one", where=where))
            if found:
                return Checked("follows") if ratio.is_finite is not False else Checked("cannot_tell")
    return Checked("cannot_tell")


def _of_system(before: Lines, now: Relation | Lines) -> Checked:
    """Whether what solves several equations together solves the next line, too."""
    equations = _equations(before.lines) if before.joined != "or" else None
    names = sorted({algebra.symbol(name) for name in algebra.names_in(before)}, key=str)
    if equations is None or len(equations) < len(names):
        return Checked("cannot_tell")
    found = [one for one in sympy.solve(equations, names, dict=True) if len(one) == len(names)]
    if not found or any(not value.is_real for one in found for value in one.values()):
        return Checked("cannot_tell")
    # Beside each other may stand what x and y are, or the solutions of x one by one.
    ways = ("and", "or") if isinstance(now, Lines) else ("and",)
    held = [[_holds_at(now, one, beside) for one in found] for beside in ways]
    if any(None in each for each in held):
        return Checked("cannot_tell")
    if any(map(all, held)):
        return Checked("follows")
    missed = found[held[0].index(False)]
    where = ", ".join(f"{name} = {plain(value)}" for name, value in missed.items())
    return Checked("does_not", said("a-point-solves-only-one", where=where))


def _equations(lines: Sequence[Meaning]) -> list[sympy.Eq] | None:
    """Statements as equations; None when there are others among them."""
    if not all(isinstance(line, Relation) for line in lines):
        return None
    parts = [part for line in lines for part in algebra.relation(line)]  # type: ignore[arg-type]
    return parts if all(isinstance(part, sympy.Eq) for part in parts) else None


def _holds_at(meant: Meaning, one: dict[sympy.Symbol, sympy.Expr], beside: str) -> bool | None:
    """Whether equations hold for some numbers, those ``beside`` each other joined so; None where it cannot be told."""
    if isinstance(meant, Lines):
        each = [_holds_at(line, one, beside) for line in meant.lines]
        if None in each:
            return None
        return any(each) if (meant.joined or beside) == "or" else all(each)
    equations = _equations((meant,))
    if equations is None or any(part.free_symbols - one.keys() for part in equations):
        return None
    return all(abs(sympy.N((part.args[0] - part.args[1]).subs(one), 15)) <= 1e-9 for part in equations)
