"""What a formula means: an expression tree of our own, of numbers, names and a known set of functions."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any, Literal

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
    """Several statements: all hold ("and"), one does ("or"), or they stand beside each other and only what they say tells."""

    lines: tuple[Meaning, ...]
    joined: Literal["", "and", "or"] = ""


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


def walk(value: object) -> Iterator[msgspec.Struct]:
    """All parts of a tree, each before its own."""
    if isinstance(value, tuple):
        for part in value:
            yield from walk(part)
    elif isinstance(value, msgspec.Struct):
        yield value
        for name in value.__struct_fields__:
            yield from walk(getattr(value, name))


def has_both_signs(value: object) -> bool:
    """Whether a plus or minus is in a tree."""
    return any(isinstance(part, PlusMinus) for part in walk(value))


def with_sign(value: Any, sign: int) -> Any:
    """A tree in which each plus or minus is the one or the other."""
    if isinstance(value, tuple):
        return tuple(with_sign(part, sign) for part in value)
    if isinstance(value, PlusMinus):
        body = with_sign(value.body, sign)
        signed = body if sign > 0 else Neg(body)
        return signed if value.before is None else Add((with_sign(value.before, sign), signed))
    if not isinstance(value, msgspec.Struct):
        return value
    names = value.__struct_fields__
    return msgspec.structs.replace(value, **{name: with_sign(getattr(value, name), sign) for name in names})
