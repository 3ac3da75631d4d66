"""Substances and reactions: read from a formula's letters, balanced, and weighed."""

from __future__ import annotations

import re
from collections.abc import Sequence
from fractions import Fraction as Exact
from math import gcd, lcm

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.maths.elements import WEIGHTS
from sunroom.core.maths.notation import Fenced, Gap, Node, Number, Row, Script, Sign, upright_node
from sunroom.core.sentences import said

ARROWS = frozenset([r"\rightarrow", r"\rightleftharpoons"])
STATES = frozenset(["s", "l", "g", "aq"])
#: Substances on both sides together, and the largest number before one.
MAX_SUBSTANCES, MAX_NUMBER = 12, 200
#: What counts as a charge among the atoms.
CHARGE = "charge"

_ATOM = re.compile(r"[A-Z][a-z]?")


class Substance(msgspec.Struct, frozen=True):
    """What is in it, atoms by their symbols and its charge; ``nodes`` as it is written, without a number before it."""

    atoms: dict[str, int]
    nodes: tuple[Node, ...]
    number: int = 1


class Reaction(msgspec.Struct, frozen=True):
    left: tuple[Substance, ...]
    right: tuple[Substance, ...]
    arrow: str


def reaction_of(row: Row) -> Reaction | None:
    """The reaction that a formula is; None when it is none. One substance alone has an empty right side."""
    nodes = [node for node in row.nodes if not isinstance(node, Gap)]
    at = next((n for n, node in enumerate(nodes) if isinstance(node, Sign) and node.name in ARROWS), None)
    try:
        if at is None:
            return Reaction((_substance(nodes),), (), "")
        arrow = nodes[at]
        assert isinstance(arrow, Sign)
        left, right = _side(nodes[:at]), _side(nodes[at + 1 :])
        return Reaction(left, right, arrow.name)
    except ValueError:
        return None


def _side(nodes: Sequence[Node]) -> tuple[Substance, ...]:
    parts: list[list[Node]] = [[]]
    for node in nodes:
        if node == Sign("+"):
            parts.append([])
        else:
            parts[-1].append(node)
    return tuple(_substance(part) for part in parts)


def _substance(nodes: Sequence[Node]) -> Substance:
    """Atoms and their numbers; raises ValueError for what is no substance."""
    number = 1
    if nodes and isinstance(nodes[0], Number):
        number, nodes = int(nodes[0].digits), nodes[1:]
    if nodes and isinstance(nodes[-1], Fenced) and _letters(nodes[-1].body) in STATES:
        counted = nodes[:-1]
    else:
        counted = nodes
    if not counted:
        raise ValueError
    if Sign(r"\cdot") in counted:
        # Water that crystals hold: CuSO4 · 5 H2O.
        at = list(counted).index(Sign(r"\cdot"))
        first, second = _substance(counted[:at]), _substance(counted[at + 1 :])
        sums = {
            symbol: first.number * first.atoms.get(symbol, 0) + second.number * second.atoms.get(symbol, 0)
            for symbol in (*first.atoms, *second.atoms)
        }
        return Substance(sums, tuple(nodes), number)
    if _is_electron(counted):
        return Substance({CHARGE: -1}, tuple(nodes), number)
    atoms: dict[str, int] = {}
    letters = ""
    for node in counted:
        if isinstance(node, Sign) and node.name.isalpha() and len(node.name) == 1:
            letters += node.name
            continue
        if isinstance(node, Script):
            (base,) = node.base.nodes if len(node.base.nodes) == 1 else (None,)
            times = _count(node.sub)
            if isinstance(base, Sign) and base.name.isalpha() and len(base.name) == 1:
                _add(atoms, _symbols(letters + base.name), times)
            elif isinstance(base, Fenced) and base.left in ("(", "["):
                _add(atoms, _symbols(letters), 1)
                inner = _substance(list(base.body.nodes))
                for symbol, count in inner.atoms.items():
                    atoms[symbol] = atoms.get(symbol, 0) + count * times
            else:
                raise ValueError
            letters = ""
            if node.sup is not None:
                atoms[CHARGE] = atoms.get(CHARGE, 0) + _charge(node.sup)
        elif isinstance(node, Fenced) and node.left in ("(", "["):
            _add(atoms, _symbols(letters), 1)
            letters = ""
            for symbol, count in _substance(list(node.body.nodes)).atoms.items():
                atoms[symbol] = atoms.get(symbol, 0) + count
        else:
            raise ValueError
    _add(atoms, _symbols(letters), 1)
    return Substance(atoms, tuple(nodes), number)


def _is_electron(nodes: Sequence[Node]) -> bool:
    match nodes:
        case [Script(base=Row(nodes=(Sign(name="e"),)), sub=None, sup=Row(nodes=(Sign(name="-"),)))]:
            return True
        case _:
            return False


def _letters(row: Row) -> str:
    return "".join(node.name for node in row.nodes if isinstance(node, Sign))


def _symbols(letters: str) -> list[str]:
    """Letters as symbols of elements, the last of them carrying what follows; raises ValueError."""
    found = _ATOM.findall(letters)
    if "".join(found) != letters or any(symbol not in WEIGHTS for symbol in found):
        raise ValueError
    return found


def _add(atoms: dict[str, int], symbols: list[str], times: int) -> None:
    for at, symbol in enumerate(symbols):
        atoms[symbol] = atoms.get(symbol, 0) + (times if at == len(symbols) - 1 else 1)


def _count(row: Row | None) -> int:
    if row is None:
        return 1
    (node,) = row.nodes if len(row.nodes) == 1 else (None,)
    if not isinstance(node, Number) or not node.digits.isdigit() or not 1 <= int(node.digits) <= 999:
        raise ValueError
    return int(node.digits)


def _charge(row: Row) -> int:
    """2+ or -, as a charge is written."""
    digits = "".join(node.digits for node in row.nodes if isinstance(node, Number))
    signs = [node.name for node in row.nodes if isinstance(node, Sign)]
    if len(signs) != 1 or signs[0] not in ("+", "-") or (digits and not digits.isdigit()):
        raise ValueError
    return (1 if signs[0] == "+" else -1) * int(digits or 1)


def chemistry_of(row: Row) -> Reaction | None:
    """The reaction or the substance that a formula rather is than anything else; None for all others."""
    made = reaction_of(row)
    return made if made and (made.arrow or is_substance(made)) else None


def is_substance(reaction: Reaction) -> bool:
    """Whether something without an arrow is rather a substance than a product of names: H₂O, Fe³⁺, not PV."""
    (one,) = reaction.left
    atoms = [symbol for symbol in one.atoms if symbol != CHARGE]
    return CHARGE in one.atoms or (len(atoms) > 1 and any(isinstance(node, Script) for node in one.nodes))


def surplus(reaction: Reaction) -> dict[str, int]:
    """What there is more of on the left than on the right, by atoms and charge; empty when it is balanced."""
    found: dict[str, int] = {}
    for side, sign in ((reaction.left, 1), (reaction.right, -1)):
        for substance in side:
            for symbol, count in substance.atoms.items():
                found[symbol] = found.get(symbol, 0) + sign * count * substance.number
    return {symbol: count for symbol, count in found.items() if count}


def balanced(reaction: Reaction) -> Row:
    """The reaction with the least whole numbers that conserve atoms and charge.

    Raises
    ------
    MalformedError
        When there are none, or more than one way.
    """
    substances = (*reaction.left, *reaction.right)
    if len(substances) > MAX_SUBSTANCES:
        raise MalformedError("formula", said("a-reaction-is-too-long"))
    kinds = sorted({symbol for substance in substances for symbol in substance.atoms})
    rows = [
        [
            Exact(s.atoms.get(kind, 0) * (1 if at < len(reaction.left) else -1))
            for at, s in enumerate(substances)
        ]
        for kind in kinds
    ]
    numbers = _whole(_only_solution(rows, len(substances)))
    made: list[Node] = []
    for at, (substance, number) in enumerate(zip(substances, numbers, strict=True)):
        if at == len(reaction.left):
            made.append(Sign(reaction.arrow))
        elif at:
            made.append(Sign("+"))
        made += [*([Number(str(number))] if number > 1 else []), *map(upright_node, substance.nodes)]
    return Row(tuple(made))


def _only_solution(rows: list[list[Exact]], count: int) -> list[Exact]:
    """What solves the equations up to a factor (Gauss and Jordan); raises MalformedError when not exactly that."""
    pivots: list[int] = []
    at = 0
    for column in range(count):
        found = next((r for r in range(at, len(rows)) if rows[r][column]), None)
        if found is None:
            continue
        rows[at], rows[found] = rows[found], rows[at]
        rows[at] = [value / rows[at][column] for value in rows[at]]
        for other in range(len(rows)):
            if other != at and rows[other][column]:
                factor = rows[other][column]
                rows[other] = [a - factor * b for a, b in zip(rows[other], rows[at], strict=True)]
        pivots.append(column)
        at += 1
    free = [column for column in range(count) if column not in pivots]
    if not free:
        raise MalformedError("formula", said("a-reaction-cannot-be-balanced"))
    if len(free) > 1:
        raise MalformedError("formula", said("a-reaction-has-many-ways"))
    solution = [Exact(0)] * count
    solution[free[0]] = Exact(1)
    for row, column in zip(rows, pivots, strict=False):
        solution[column] = -row[free[0]]
    return solution


def _whole(solution: list[Exact]) -> list[int]:
    scale = lcm(*(value.denominator for value in solution))
    numbers = [int(value * scale) for value in solution]
    common = gcd(*numbers)
    numbers = [number // common for number in numbers]
    if any(number <= 0 for number in numbers) or max(numbers) > MAX_NUMBER:
        raise MalformedError("formula", said("a-reaction-cannot-be-balanced"))
    return numbers


def has_atoms(substance: Substance) -> bool:
    """Whether it weighs anything: electrons alone do not, here."""
    return any(symbol != CHARGE for symbol in substance.atoms)


def molar_mass(substance: Substance) -> float:
    """In g/mol."""
    return sum(WEIGHTS[symbol] * count for symbol, count in substance.atoms.items() if symbol != CHARGE)


def typed_substances(text: str) -> str:
    """Substances as they are typed, 2H2 + O2 -> 2H2O, with numbers and charges where they belong; any other text as it is."""
    made, at, symbols, counted, charged, arrow = "", 0, 0, False, False, False
    while at < len(text):
        found = _TYPED.match(text, at)
        if not found:
            return text
        at = found.end()
        symbol, number, charge, electron, other = found.groups()
        # What follows a symbol, its number or a bracket is that one's.
        own = made[-1:].isalpha() or made.endswith(")")
        if symbol:
            if symbol not in WEIGHTS:
                return text
            symbols += 1
            made += symbol
        elif number:
            counted |= own
            made += f"_({number})" if own else number
        elif charge and own:
            charged = True
            made += f"^({charge.strip('^()')})"
        elif electron:
            made += "e^(-)"
        else:
            arrow |= found[0] in ("->", "<->", "→", "⇌")
            made += "·" if other == "*" else found[0]
    fits = (arrow and symbols) or charged or (counted and symbols > 1)
    return made if fits else text


#: Behind a charge a substance ends: nothing follows, or another one, an arrow, a state, a bracket.
_ENDS = r"(?=\s*$|\s*(?:->|<->|→|⇌)|\s+[+]|\s*\)|\s*\((?:s|l|g|aq)\))"
#: What stands in a typed reaction: a symbol, a number, a charge, an electron, or something else that may be there, states among it.
_TYPED = re.compile(
    rf"([A-Z][a-z]?)|(\d+)|(\^\(?\d*[+-]\)?{_ENDS}|[+-]{_ENDS})|(e\^?\(?-\)?{_ENDS})"
    r"|(<->|->|→|⇌|\((?:s|l|g|aq)\)|[()+\s·*])"
)
