"""Our trees as SymPy's and back: what is worked out is worked out there, within limits that are held before.

SymPy's own parser never sees anything; each node becomes the object that it names.
"""

from __future__ import annotations

import math

import sympy
from sympy import Expr as Algebraic

from sunroom.core.errors import MalformedError
from sunroom.core.maths import meaning
from sunroom.core.maths.meaning import (
    Add,
    Big,
    Call,
    Diff,
    Div,
    Expr,
    Integral,
    Limit,
    Mul,
    Name,
    Neg,
    Num,
    PlusMinus,
    Pow,
    Relation,
    Unit,
)
from sunroom.core.sentences import said

#: A power of numbers may have so many digits, a factorial be of so much.
MAX_DIGITS, MAX_FACTORIAL = 400, 300
#: A sum or product of numbers has at most so many parts that are added up.
MAX_SUMMED = 100_000
#: Digits of a decimal value that is written.
DIGITS = 8
#: A number is written with at most so many digits after the point.
MAX_NUMBER = 60

#: What another's algebra raises where it can do no more.
UNABLE = (NotImplementedError, TypeError, ValueError, AttributeError, ArithmeticError, RecursionError)

CONSTANTS = {r"\pi": sympy.pi, "e": sympy.E, r"\infty": sympy.oo}
FUNCTIONS = {
    "sin": sympy.sin, "cos": sympy.cos, "tan": sympy.tan, "cot": sympy.cot, "arcsin": sympy.asin, "arccos": sympy.acos, "arctan": sympy.atan,
    "sinh": sympy.sinh, "cosh": sympy.cosh, "tanh": sympy.tanh, "exp": sympy.exp, "ln": sympy.log, "abs": sympy.Abs, "max": sympy.Max,
    "min": sympy.Min,
}  # fmt: skip
RELATIONS = {
    "=": sympy.Eq,
    "<": sympy.Lt,
    ">": sympy.Gt,
    r"\le": sympy.Le,
    r"\ge": sympy.Ge,
    r"\ne": sympy.Ne,
}


def symbol(name: Name) -> sympy.Symbol:
    """A name as a real number that is not known."""
    return sympy.Symbol(f"{name.letter}_{name.sub}" if name.sub else name.letter, real=True)


def name_latex(name: sympy.Symbol) -> str:
    letter, _, sub = str(name).partition("_")
    return f"{letter}_{{{sub}}}" if sub else letter


def names_in(value: object) -> set[Name]:
    """The names of a tree that are no constants, but for those that a sum or an integral runs over."""
    match value:
        case Name(letter=letter, sub="") if letter in CONSTANTS:
            return set()
        case Name():
            return {value}
        case Integral(low=low, high=high, body=body, by=by):
            return (
                (names_in(body) - {by} if low is not None else names_in(body))
                | names_in(low)
                | names_in(high)
            )
        case Big(by=by, low=low, high=high, body=body):
            return (names_in(body) - {by}) | names_in(low) | names_in(high)
        case Limit(by=by, to=to, body=body):
            return (names_in(body) - {by}) | names_in(to)
        case tuple():
            return set().union(*(names_in(part) for part in value))
        case str() | int() | None:
            return set()
        case _:
            return set().union(*(names_in(getattr(value, field)) for field in value.__struct_fields__))  # type: ignore[attr-defined]


def algebraic(value: Expr) -> Algebraic:
    """The tree as SymPy's; raises MalformedError for what would be too large, or has no single value."""
    match value:
        case Num(digits=digits):
            if len(digits) > MAX_NUMBER:
                raise _too_large()
            return sympy.Rational(digits)
        case Name(letter=letter, sub="") if letter in CONSTANTS:
            return CONSTANTS[letter]
        case Name():
            return symbol(value)
        case Unit(name="°"):
            return sympy.pi / 180
        case Unit():
            raise MalformedError("formula", said("units-do-not-belong-there"))
        case Add(terms=terms):
            return sympy.Add(*map(algebraic, terms))
        case Neg(body=body):
            return -algebraic(body)
        case PlusMinus():
            raise MalformedError("formula", said("a-formula-has-two-values"))
        case Mul(factors=factors):
            return sympy.Mul(*map(algebraic, factors))
        case Div(above=above, below=below):
            divisor = algebraic(below)
            if divisor.is_zero:
                raise MalformedError("formula", said("nothing-is-divided-by-0"))
            return algebraic(above) / divisor
        case Pow(base=base, exponent=exponent):
            return _power(algebraic(base), algebraic(exponent))
        case Call():
            return _called(value)
        case Diff(body=body, by=by, order=order):
            return sympy.Derivative(algebraic(body), symbol(by), order)
        case meaning.Integral(body=body, by=by, low=None):
            return sympy.Integral(algebraic(body), symbol(by))
        case meaning.Integral(body=body, by=by, low=low, high=high):
            assert low is not None and high is not None
            return sympy.Integral(algebraic(body), (symbol(by), algebraic(low), algebraic(high)))
        case Big(kind=kind, by=by, low=low, high=high, body=body):
            # What is summed over is a whole number.
            over = sympy.Symbol(str(symbol(by)), integer=True)
            ends = algebraic(low), algebraic(high)
            if all(end.is_Integer for end in ends) and ends[1] - ends[0] > MAX_SUMMED:
                raise _too_large()
            made = algebraic(body).subs(symbol(by), over)
            return (sympy.Sum if kind == r"\sum" else sympy.Product)(made, (over, *ends))
        case Limit(body=body, by=by, to=to):
            return sympy.Limit(
                algebraic(body), symbol(by), algebraic(to), "+-" if to != Name(r"\infty") else "-"
            )
    raise AssertionError(value)


def relation(value: Relation) -> list[sympy.Rel]:
    """A chain of relations, one after another."""
    sides = [algebraic(side) for side in value.sides]
    made = []
    for left, sign, right in zip(sides, value.signs, sides[1:], strict=False):
        if sign not in RELATIONS:
            raise MalformedError("formula", said("a-formula-has-no-meaning"))
        made.append(RELATIONS[sign](left, right, evaluate=False))
    return made


def latex(value: sympy.Basic) -> str:
    """SymPy's result as LaTeX that our own reader takes."""
    names = {name: name_latex(name) for name in value.free_symbols if isinstance(name, sympy.Symbol)}
    made: str = sympy.latex(
        value, symbol_names=names, inv_trig_style="full", ln_notation=True, fold_short_frac=False
    )
    return made.replace(r"\operatorname{asin}", r"\arcsin").replace(r"\limits", "")


def check_defined(value: sympy.Basic) -> None:
    if value.has(sympy.zoo, sympy.nan):
        raise MalformedError("formula", said("nothing-is-divided-by-0"))


def decimal(value: sympy.Expr) -> str:
    made = sympy.N(value, DIGITS + 2)
    if not made.is_real:
        return latex(sympy.N(value, DIGITS))
    text = f"{float(made):.{DIGITS}g}" if abs(made) < 1e300 else latex(sympy.N(value, DIGITS))
    mantissa, _, exponent = text.partition("e")
    return rf"{mantissa}\cdot10^{{{int(exponent)}}}" if exponent else mantissa


def _power(base: Algebraic, exponent: Algebraic) -> Algebraic:
    if base.is_number and exponent.is_number:
        try:
            size = abs(float(exponent)) * abs(math.log10(max(abs(float(base)), 1e-300)))
        except (OverflowError, TypeError, ValueError):
            raise _too_large() from None
        if size > MAX_DIGITS and not base.is_zero:
            raise _too_large()
    if exponent.is_Number and abs(exponent) > MAX_DIGITS:
        raise _too_large()
    if base.is_zero and exponent.is_negative:
        raise MalformedError("formula", said("nothing-is-divided-by-0"))
    return base**exponent


def _called(value: Call) -> Algebraic:
    body = algebraic(value.body)
    match value.name:
        case "root":
            index = sympy.Integer(2) if value.base is None else algebraic(value.base)
            if index.is_zero:
                raise MalformedError("formula", said("nothing-is-divided-by-0"))
            if body.is_number and body.is_negative and index.is_Integer and index % 2:
                return -_power(-body, 1 / index)  # the real root, as schools have it
            return _power(body, 1 / index)
        case "log":
            return sympy.log(body, 10 if value.base is None else algebraic(value.base))
        case "lg":
            return sympy.log(body, 10)
        case "factorial":
            if body.is_number and not (body.is_Integer and 0 <= body <= MAX_FACTORIAL):
                raise _too_large()
            return sympy.factorial(body)
        case name if name in FUNCTIONS:
            return FUNCTIONS[name](body)
    raise MalformedError("formula", said("a-formula-has-no-meaning"))


def _too_large() -> MalformedError:
    return MalformedError("formula", said("a-value-is-too-large"))
