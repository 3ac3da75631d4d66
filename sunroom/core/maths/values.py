"""A tree's value at many numbers at once: for graphs. What is not defined somewhere is no number there."""

from __future__ import annotations

from collections.abc import Callable, Mapping

import numpy as np
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.maths.meaning import (
    Add,
    Big,
    Call,
    Diff,
    Div,
    Expr,
    Integral,
    Mul,
    Name,
    Neg,
    Num,
    Pow,
    Unit,
    walk,
)
from sunroom.core.sentences import said

Values = NDArray[np.float64]

CONSTANTS = {r"\pi": np.pi, "e": np.e}
FUNCTIONS: dict[str, Callable[[Values], Values]] = {
    "sin": np.sin, "cos": np.cos, "tan": np.tan, "cot": lambda x: 1 / np.tan(x), "arcsin": np.arcsin, "arccos": np.arccos, "arctan": np.arctan,
    "sinh": np.sinh, "cosh": np.cosh, "tanh": np.tanh, "exp": np.exp, "ln": np.log, "lg": np.log10, "abs": np.abs,
}  # fmt: skip
#: Steps of a derivative's differences, and how often one is taken; terms of a sum; samples of an integral (Gauss, Legendre).
STEP, MOST_ORDER, MOST_TERMS, SAMPLES = 2e-3, 3, 100, 48
#: Derivatives, sums and integrals in one formula, at most.
MOST_MANY = 3
_NODES, _WEIGHTS = np.polynomial.legendre.leggauss(SAMPLES)


def values(tree: Expr, at: Mapping[str, Values | float]) -> Values:
    """The tree's values; ``at`` gives its names (with their index after an underscore) numbers.

    Raises
    ------
    MalformedError
        For a name without a number, and for what has no value of its own (integrals without bounds, limits, units).
    """
    if _manies(tree) > MOST_MANY:
        raise MalformedError("formula", said("a-formula-is-too-long-to"))
    with np.errstate(all="ignore"):
        made = np.asarray(_value(tree, at), float)
    return np.where(np.isfinite(made), made, np.nan)


def name_of(name: Name) -> str:
    return f"{name.letter}_{name.sub}" if name.sub else name.letter


def _value(tree: Expr, at: Mapping[str, Values | float]) -> Values | float:
    match tree:
        case Num(digits=digits):
            return float(digits)
        case Name():
            found = at.get(name_of(tree), CONSTANTS.get(tree.letter) if not tree.sub else None)
            if found is None:
                raise MalformedError(
                    "formula", said("a-letter-has-no-value", name=name_of(tree).replace("\\", ""))
                )
            return found
        case Unit(name="°"):
            return np.pi / 180
        case Add(terms=terms):
            return sum(_value(term, at) for term in terms)
        case Neg(body=body):
            return -_value(body, at)
        case Mul(factors=factors):
            made: Values | float = 1.0
            for factor in factors:
                made = made * _value(factor, at)
            return made
        case Div(above=above, below=below):
            return np.divide(_value(above, at), _value(below, at))
        case Pow(base=base, exponent=exponent):
            return _power(_value(base, at), exponent, at)
        case Call():
            return _called(tree, at)
        case Diff() | Big() | Integral() if not _manies(tree.body):
            return _of_many(tree, at)
    raise MalformedError("formula", said("a-formula-has-no-graph"))


def _power(base: Values | float, exponent: Expr, at: Mapping[str, Values | float]) -> Values:
    # The third root of a negative number is real, as schools have it.
    if isinstance(exponent, Div) and isinstance(exponent.above, Num) and isinstance(exponent.below, Num):
        above, below = float(exponent.above.digits), float(exponent.below.digits)
        if above % 1 == 0 and below % 2 == 1:
            return np.asarray(np.sign(base) ** above * np.abs(base) ** (above / below))
    return np.asarray(np.power(np.asarray(base, float), _value(exponent, at)))


def _called(call: Call, at: Mapping[str, Values | float]) -> Values | float:
    body = np.asarray(_value(call.body, at), float)
    if call.name == "root":
        index = 2.0 if call.base is None else np.asarray(_value(call.base, at), float)
        if np.ndim(index) == 0 and float(index) % 2 == 1:
            return np.asarray(np.sign(body) * np.abs(body) ** (1 / float(index)))
        return np.where(body < 0, np.nan, np.abs(body) ** (1 / index))
    if call.name == "log":
        base = 10.0 if call.base is None else _value(call.base, at)
        return np.asarray(np.log(body) / np.log(base))
    if call.name in FUNCTIONS:
        return FUNCTIONS[call.name](body)
    raise MalformedError("formula", said("a-formula-has-no-graph"))


def _manies(value: object) -> int:
    """How many parts take many values to be worth one: few may be in a formula, and none in another."""
    return sum(isinstance(part, Diff | Big | Integral) for part in walk(value))


def _of_many(tree: Diff | Big | Integral, at: Mapping[str, Values | float]) -> Values | float:
    match tree:
        case Diff(body=body, by=by, order=order) if order <= MOST_ORDER and name_of(by) in at:
            return _slope(body, name_of(by), order, at)
        case Big(low=low, high=high):
            return _summed(tree, _whole(_value(low, at)), _whole(_value(high, at)), at)
        case Integral(low=low, high=high) if low is not None and high is not None:
            return _integrated(tree, np.asarray(_value(low, at)), np.asarray(_value(high, at)), at)
    raise MalformedError("formula", said("a-formula-has-no-graph"))


def _slope(body: Expr, by: str, order: int, at: Mapping[str, Values | float]) -> Values:
    """By differences over four points about each (Abramowitz and Stegun 25.3.6)."""

    def moved(steps: int) -> Values | float:
        there = {**at, by: at[by] + steps * STEP}
        return _value(body, there) if order == 1 else _slope(body, by, order - 1, there)

    return np.asarray((moved(-2) - 8 * moved(-1) + 8 * moved(1) - moved(2)) / (12 * STEP))


def _whole(value: Values | float) -> int:
    """A bound of a sum: a slider between whole numbers counts as the lower one."""
    if np.ndim(value) or not np.isfinite(value):
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    return int(np.floor(value))


def _summed(big: Big, low: int, high: int, at: Mapping[str, Values | float]) -> Values | float:
    if high - low >= MOST_TERMS:
        raise MalformedError("formula", said("a-value-is-too-large"))
    terms = [_value(big.body, {**at, name_of(big.by): float(n)}) for n in range(low, high + 1)]
    made: Values | float = 0.0 if big.kind == r"\sum" else 1.0
    for term in terms:
        made = made + term if big.kind == r"\sum" else made * term
    return made


def _integrated(integral: Integral, low: Values, high: Values, at: Mapping[str, Values | float]) -> Values:
    low, high = np.broadcast_arrays(low, high)
    half = (high - low)[..., None] / 2
    along = (low + high)[..., None] / 2 + half * _NODES
    there = {name: value[..., None] if np.ndim(value) else value for name, value in at.items()}  # type: ignore[index]
    height = np.broadcast_to(
        np.asarray(_value(integral.body, {**there, name_of(integral.by): along})), along.shape
    )
    return np.asarray((height * _WEIGHTS * half).sum(axis=-1))
