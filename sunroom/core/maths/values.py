"""A tree's value at many numbers at once: for graphs. What is not defined somewhere is no number there."""

from __future__ import annotations

from collections.abc import Callable, Mapping

import numpy as np
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.maths.meaning import Add, Call, Div, Expr, Mul, Name, Neg, Num, Pow, Unit
from sunroom.core.sentences import said

Values = NDArray[np.float64]

CONSTANTS = {r"\pi": np.pi, "e": np.e}
FUNCTIONS: dict[str, Callable[[Values], Values]] = {
    "sin": np.sin, "cos": np.cos, "tan": np.tan, "cot": lambda x: 1 / np.tan(x), "arcsin": np.arcsin, "arccos": np.arccos, "arctan": np.arctan,
    "sinh": np.sinh, "cosh": np.cosh, "tanh": np.tanh, "exp": np.exp, "ln": np.log, "lg": np.log10, "abs": np.abs,
}  # fmt: skip


def values(tree: Expr, at: Mapping[str, Values | float]) -> Values:
    """The tree's values; ``at`` gives its names (with their index after an underscore) numbers.

    Raises
    ------
    MalformedError
        For a name without a number, and for what has no value of its own (integrals, units).
    """
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
