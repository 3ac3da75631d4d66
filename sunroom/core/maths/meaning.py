"""What a formula means: an expression tree of our own, of numbers, names and a known set of functions."""

from __future__ import annotations

import msgspec


class Num(msgspec.Struct, frozen=True, tag="num"):
    """A number as it is written, with a point."""

    digits: str


class Name(msgspec.Struct, frozen=True, tag="name"):
    """A letter (or a Greek one by its name in LaTeX), with what stands at its foot and its primes."""

    letter: str
    sub: str = ""


class Unit(msgspec.Struct, frozen=True, tag="unit"):
    name: str


class Add(msgspec.Struct, frozen=True, tag="add"):
    terms: tuple[Expr, ...]


class Neg(msgspec.Struct, frozen=True, tag="neg"):
    body: Expr


class PlusMinus(msgspec.Struct, frozen=True, tag="pm"):
    """Both of them: a value that is added and taken away; ``before`` None for nothing."""

    before: Expr | None
    body: Expr


class Mul(msgspec.Struct, frozen=True, tag="mul"):
    factors: tuple[Expr, ...]


class Div(msgspec.Struct, frozen=True, tag="div"):
    above: Expr
    below: Expr


class Pow(msgspec.Struct, frozen=True, tag="pow"):
    base: Expr
    exponent: Expr


class Call(msgspec.Struct, frozen=True, tag="call"):
    """A known function of a value; ``base`` is a logarithm's or a root's."""

    name: str
    body: Expr
    base: Expr | None = None


class Diff(msgspec.Struct, frozen=True, tag="diff"):
    body: Expr
    by: Name
    order: int = 1


class Integral(msgspec.Struct, frozen=True, tag="integral"):
    body: Expr
    by: Name
    low: Expr | None = None
    high: Expr | None = None


class Big(msgspec.Struct, frozen=True, tag="big"):
    """A sum or a product over whole numbers."""

    kind: str
    by: Name
    low: Expr
    high: Expr
    body: Expr


class Limit(msgspec.Struct, frozen=True, tag="limit"):
    body: Expr
    by: Name
    to: Expr


class Relation(msgspec.Struct, frozen=True, tag="relation"):
    """Values with a sign between every two of them: = < > \\le \\ge \\ne \\approx."""

    sides: tuple[Expr, ...]
    signs: tuple[str, ...]


class Lines(msgspec.Struct, frozen=True, tag="lines"):
    """Several statements, that hold together or follow from each other."""

    lines: tuple[Meaning, ...]


Expr = Num | Name | Unit | Add | Neg | PlusMinus | Mul | Div | Pow | Call | Diff | Integral | Big | Limit
Meaning = Expr | Relation | Lines

RELATIONS = frozenset(["=", "<", ">", r"\le", r"\ge", r"\ne", r"\approx"])
CALLED = frozenset(
    [
        "sin",
        "cos",
        "tan",
        "cot",
        "arcsin",
        "arccos",
        "arctan",
        "sinh",
        "cosh",
        "tanh",
        "exp",
        "ln",
        "lg",
        "log",
        "max",
        "min",
    ]
)
