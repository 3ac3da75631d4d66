"""Units: what each is in the base units of the SI, and quantities that are added, multiplied and converted."""

from __future__ import annotations

from fractions import Fraction as Exact

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.maths.meaning import Add, Div, Expr, Mul, Neg, Num, Pow, Unit, walk
from sunroom.core.sentences import said

#: Powers of m, kg, s, A, K, mol, cd and of bits.
Dimensions = tuple[int, ...]
NONE: Dimensions = (0,) * 7

_BASE: dict[str, tuple[int | Exact, Dimensions]] = {
    "m": (1, (1, 0, 0, 0, 0, 0, 0)), "g": (Exact(1, 1000), (0, 1, 0, 0, 0, 0, 0)), "s": (1, (0, 0, 1, 0, 0, 0, 0)), "A": (1, (0, 0, 0, 1, 0, 0, 0)),
    "K": (1, (0, 0, 0, 0, 1, 0, 0)), "mol": (1, (0, 0, 0, 0, 0, 1, 0)), "cd": (1, (0, 0, 0, 0, 0, 0, 1)), "N": (1, (1, 1, -2, 0, 0, 0, 0)),
    "J": (1, (2, 1, -2, 0, 0, 0, 0)), "W": (1, (2, 1, -3, 0, 0, 0, 0)), "Pa": (1, (-1, 1, -2, 0, 0, 0, 0)), "Hz": (1, (0, 0, -1, 0, 0, 0, 0)),
    "C": (1, (0, 0, 1, 1, 0, 0, 0)), "V": (1, (2, 1, -3, -1, 0, 0, 0)), "Ω": (1, (2, 1, -3, -2, 0, 0, 0)), "T": (1, (0, 1, -2, -1, 0, 0, 0)),
    "F": (1, (-2, -1, 4, 2, 0, 0, 0)), "l": (Exact(1, 1000), (3, 0, 0, 0, 0, 0, 0)), "L": (Exact(1, 1000), (3, 0, 0, 0, 0, 0, 0)),
    "Wh": (3600, (2, 1, -2, 0, 0, 0, 0)), "eV": (Exact("1.602176634e-19"), (2, 1, -2, 0, 0, 0, 0)), "bar": (100_000, (-1, 1, -2, 0, 0, 0, 0)),
}  # fmt: skip
_OTHERS: dict[str, tuple[int | Exact, Dimensions]] = {
    "min": (60, (0, 0, 1, 0, 0, 0, 0)), "h": (3600, (0, 0, 1, 0, 0, 0, 0)), "d": (86_400, (0, 0, 1, 0, 0, 0, 0)), "t": (1000, (0, 1, 0, 0, 0, 0, 0)),
    "ha": (10_000, (2, 0, 0, 0, 0, 0, 0)),
}  # fmt: skip
_PREFIXES: dict[str, int | Exact] = {
    "T": 10**12, "G": 10**9, "M": 10**6, "k": 1000, "h": 100, "d": Exact(1, 10), "c": Exact(1, 100), "m": Exact(1, 1000), "µ": Exact(1, 10**6),
    "μ": Exact(1, 10**6), "n": Exact(1, 10**9), "p": Exact(1, 10**12),
}  # fmt: skip
_NAMES = ("m", "kg", "s", "A", "K", "mol", "cd")
#: Units of their own that a result is offered in.
_NAMED = ("N", "J", "W", "Pa", "Hz", "C", "V", "Ω")
MAX_POWER = 8


class Quantity(msgspec.Struct, frozen=True):
    """A value in the base units, and which these are."""

    value: Exact
    of: Dimensions


def unit_of(name: str) -> Quantity:
    """One of a unit; raises MalformedError for one that is not known."""
    if not is_unit(name):
        raise MalformedError("formula", said("a-unit-is-not-known", unit=name))
    if name in _OTHERS or name in _BASE:
        value, of = _OTHERS.get(name) or _BASE[name]
        return Quantity(Exact(value), of)
    value, of = _BASE[name[1:]]
    return Quantity(Exact(value) * Exact(_PREFIXES[name[0]]), of)


def is_unit(name: str) -> bool:
    return name in _OTHERS or name in _BASE or (name[:1] in _PREFIXES and name[1:] in _BASE)


def has_units(value: object) -> bool:
    return any(name != "°" for name in units_in(value))


def quantity(value: Expr) -> Quantity:
    """A value of numbers and units; raises MalformedError where they do not go together."""
    match value:
        case Num(digits=digits):
            return Quantity(Exact(digits), NONE)
        case Unit(name=name):
            return unit_of(name)
        case Neg(body=body):
            inner = quantity(body)
            return Quantity(-inner.value, inner.of)
        case Add(terms=terms):
            parts = [quantity(term) for term in terms]
            if len({part.of for part in parts}) > 1:
                raise MalformedError("formula", said("units-do-not-go-together"))
            return Quantity(sum((part.value for part in parts), Exact(0)), parts[0].of)
        case Mul(factors=factors):
            made = Quantity(Exact(1), NONE)
            for factor in factors:
                made = _times(made, quantity(factor), 1)
            return made
        case Div(above=above, below=below):
            divisor = quantity(below)
            if not divisor.value:
                raise MalformedError("formula", said("nothing-is-divided-by-0"))
            return _times(quantity(above), divisor, -1)
        case Pow(base=base, exponent=(Num() | Neg(body=Num())) as exponent):
            power = quantity(exponent).value
            if power.denominator != 1 or abs(power) > 60:
                raise MalformedError("formula", said("a-value-is-too-large"))
            inner = quantity(base)
            if inner.of != NONE and abs(power) > MAX_POWER:
                raise MalformedError("formula", said("a-value-is-too-large"))
            if not inner.value and power < 0:
                raise MalformedError("formula", said("nothing-is-divided-by-0"))
            return Quantity(inner.value ** int(power), tuple(int(power) * n for n in inner.of))
        case _:
            raise MalformedError("formula", said("units-do-not-belong-there"))


def _times(one: Quantity, other: Quantity, power: int) -> Quantity:
    return Quantity(
        one.value * other.value**power, tuple(a + power * b for a, b in zip(one.of, other.of, strict=True))
    )


def units_in(value: object) -> list[str]:
    """The names of the units in a tree, in their order."""
    return [part.name for part in walk(value) if isinstance(part, Unit)]


def offers(value: Expr) -> list[str]:
    """A quantity in LaTeX: in the units that it was given in where one fits, in those of their own, in the base units."""
    found = quantity(value)
    made: list[str] = []
    for name in (*dict.fromkeys(units_in(value)), *_NAMED):
        for power in (1, 2, 3):
            if name != "°" and tuple(power * n for n in unit_of(name).of) == found.of:
                shown = rf"\mathrm{{{name}}}" + (f"^{{{power}}}" if power > 1 else "")
                made.append(rf"{_number(found.value / unit_of(name).value ** power)}\,{shown}")
    made.append(_number(found.value) + (rf"\,{_base(found.of)}" if found.of != NONE else ""))
    return list(dict.fromkeys(made))


def _number(value: Exact) -> str:
    """A value with at most eight digits that count."""
    if value.denominator == 1 and abs(value) < 10**9:
        return str(value.numerator)
    text = f"{float(value):.8g}"
    mantissa, _, exponent = text.partition("e")
    return rf"{mantissa}\cdot10^{{{int(exponent)}}}" if exponent else mantissa


def _base(of: Dimensions) -> str:
    def side(sign: int) -> str:
        parts = [
            rf"\mathrm{{{name}}}" + (f"^{{{abs(power)}}}" if abs(power) > 1 else "")
            for name, power in zip(_NAMES, of, strict=True)
            if power * sign > 0
        ]
        return r"\,".join(parts)

    below = side(-1)
    return rf"\frac{{{side(1) or '1'}}}{{{below}}}" if below else side(1)
