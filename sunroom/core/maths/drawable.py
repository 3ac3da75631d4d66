"""What a formula draws: a curve, an area, a way, points, or parts of them, and where; read from typed text."""

from __future__ import annotations

import re
from collections.abc import Mapping
from functools import lru_cache
from typing import Literal

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.maths.grammar import meaning_of
from sunroom.core.maths.meaning import (
    Add,
    Big,
    Expr,
    Integral,
    Lines,
    Meaning,
    Mul,
    Name,
    Neg,
    Num,
    Relation,
    has_both_signs,
    with_sign,
)
from sunroom.core.maths.notation import Fenced, Node, Row, Sign, Table, Word
from sunroom.core.maths.tokens import MAX_FORMULA
from sunroom.core.maths.typed import read_formula
from sunroom.core.maths.values import CONSTANTS, name_of
from sunroom.core.sentences import said

#: Signs of an inequality.
COMPARED = frozenset(["<", ">", r"\le", r"\ge"])


class Curve(msgspec.Struct, frozen=True):
    """What is drawn of a formula.

    ``kind`` is y of x, x of y, r of θ, an equation of both coordinates, an area where an inequality of both holds, a way that
    both take with t (``body`` is x, ``other`` y), points, or ``parts`` that are curves of their own. It is drawn where all of
    ``where`` holds. Of an area ``body`` is above 0 inside, and its border belongs to it unless it is ``strict``.
    """

    kind: Literal["y", "x", "r", "both", "area", "way", "points", "parts"]
    body: Expr = Num("0")
    other: Expr = Num("0")
    where: tuple[Relation, ...] = ()
    strict: bool = False
    points: tuple[tuple[float, float], ...] = ()
    parts: tuple[Curve, ...] = ()


_NUMBER = r"\s*[-+−]?\d+(?:[.]\d+)?\s*"
_POINT = re.compile(rf"\(({_NUMBER})[,;]({_NUMBER})\)")
_POINTS = re.compile(rf"(?:\s*\({_NUMBER}[,;]{_NUMBER}\)\s*[,;]?)+\s*")
#: What stands between a curve and where it is drawn.
_WHERE = re.compile(r"\s(?:for|if|where)\s", re.IGNORECASE)
_COMPARED = re.compile(r"[<>≤≥=]|\\[lg]e(?![a-z])")
MAX_PARTS = 6


@lru_cache(maxsize=256)
def read_curve(formula: str) -> Curve:
    """What a typed formula draws; raises MalformedError for what has no graph.

    Beside formulas: points “(1, 2), (3, 5)”, ways “x = cos t, y = sin t” or “(cos t, sin t)”, several parts after each other
    with “;”, and where each of these is drawn after “for” or a comma: “y = x^2 for x < 1; y = 2 - x for x >= 1”.
    """
    if len(formula) <= MAX_FORMULA and _POINTS.fullmatch(formula):
        pairs = [
            (x.strip().replace("−", "-"), y.strip().replace("−", "-")) for x, y in _POINT.findall(formula)
        ]
        return Curve("points", points=tuple((float(x), float(y)) for x, y in pairs))
    if r"\begin{cases}" in formula:
        return _of_cases(read_formula(formula))
    parts = [part for part in _parted(formula, ";") if part.strip()]
    if len(parts) > MAX_PARTS:
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    if len(parts) > 1:
        return Curve("parts", parts=tuple(map(_one_curve, parts)))
    return _one_curve(formula)


def _one_curve(text: str) -> Curve:
    text, *conditions = _WHERE.split(text, maxsplit=1)
    pieces = _parted(text, ",")
    # A comma that no comparison follows belongs to a number.
    while len(pieces) > 1 and not (_COMPARED.search(pieces[-1]) or text.lstrip().startswith("(")):
        pieces[-2:] = [",".join(pieces[-2:])]
    inner = text.strip()
    if len(pieces) == 1 and inner.startswith("(") and inner.endswith(")"):
        for sign in (";", ","):
            both = _parted(inner[1:-1], sign)
            if len(both) == 2:
                return _way(both[0], both[1], conditions)
    if len(pieces) > 1 and re.match(r"\s*x\s*=", pieces[0]) and re.match(r"\s*y\s*=", pieces[1]):
        first, second = (piece.split("=", 1)[1] for piece in pieces[:2])
        return _way(first, second, [*pieces[2:], *conditions])
    made = curve_of(meaning_of(read_formula(pieces[0])))
    where = tuple(_relation(part) for text in [*pieces[1:], *conditions] for part in _conditions(text))
    return msgspec.structs.replace(made, where=(*made.where, *where))


def _of_cases(row: Row) -> Curve:
    """A function in parts, each with the numbers that it is for; one without is for all numbers that no other is for."""
    match row.nodes:
        case (*head, Fenced(left=r"\{", body=Row(nodes=(Table(rows=lines),)), right="")) if 1 <= len(
            lines
        ) <= MAX_PARTS and (not head or head[-1] == Sign("=")):
            pass
        case _:
            raise MalformedError("formula", said("a-formula-has-no-graph"))
    made: list[Curve] = []
    for line in lines:
        nodes = [node for cell in line for node in (*cell.nodes, Sign(","))]
        at = next(n for n, node in enumerate(nodes) if node == Sign(",") or _is_said(node))
        meant = curve_of(meaning_of(Row((*head, *nodes[:at]))))
        where = Row(tuple(node for node in nodes[at:] if node != Sign(",") and not _is_said(node)))
        if where.nodes:
            given = meaning_of(where)
            relations = given.lines if isinstance(given, Lines) and given.joined != "or" else (given,)
            if not all(isinstance(one, Relation) and set(one.signs) <= COMPARED for one in relations):
                raise MalformedError("formula", said("a-formula-has-no-graph"))
        else:
            relations = tuple(_turned(one) for part in made for one in part.where)
        made.append(msgspec.structs.replace(meant, where=(*meant.where, *relations)))
    return Curve("parts", parts=tuple(made))


def _is_said(node: Node) -> bool:
    """A word between a part and its numbers: for, if."""
    return isinstance(node, Word) and not node.function


def _turned(relation: Relation) -> Relation:
    """What holds where a comparison does not; raises MalformedError for a chain of them."""
    if len(relation.signs) != 1:
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    turned = {"<": r"\ge", ">": r"\le", r"\le": ">", r"\ge": "<"}
    return Relation(relation.sides, (turned[relation.signs[0]],))


def _way(x: str, y: str, conditions: list[str]) -> Curve:
    bodies = [meaning_of(read_formula(text)) for text in (x, y)]
    if any(isinstance(body, Lines | Relation) for body in bodies):
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    where = tuple(_relation(part) for text in conditions for part in _conditions(text))
    return Curve("way", bodies[0], bodies[1], where)  # type: ignore[arg-type]


def _conditions(text: str) -> list[str]:
    return [part for part in re.split(r",(?=[^,]*[<>≤≥])|\sand\s", text) if part.strip()]


def _relation(text: str) -> Relation:
    meant = meaning_of(read_formula(text))
    if not isinstance(meant, Relation) or not set(meant.signs) <= COMPARED:
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    return meant


def _parted(text: str, sign: str) -> list[str]:
    """A text at a sign, but for those in brackets."""
    parts, depth = [""], 0
    for character in text:
        depth += (character in "([{") - (character in ")]}")
        if character == sign and depth == 0:
            parts.append("")
        else:
            parts[-1] += character
    return parts


def curve_of(meant: Meaning) -> Curve:
    if has_both_signs(meant):
        return Curve("parts", parts=tuple(curve_of(with_sign(meant, sign)) for sign in (1, -1)))
    if isinstance(meant, Lines):
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    if not isinstance(meant, Relation):
        return Curve("y", meant)
    if len(meant.sides) != 2:
        if not set(meant.signs) <= COMPARED:
            raise MalformedError("formula", said("a-formula-has-no-graph"))
        return Curve("area", Num("1"), where=(meant,))  # 2 < x < 3
    left, right = meant.sides
    (sign,) = meant.signs
    if sign in COMPARED:
        above = Add((left, Neg(right))) if sign in (">", r"\ge") else Add((right, Neg(left)))
        return Curve("area", above, strict=sign in "<>")
    if sign != "=":
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    if isinstance(left, Name) and not left.sub:
        free = names_of(right)
        if left.letter == "y" and "y" not in free:
            return Curve("y", right)
        if left.letter == "x" and "x" not in free:
            return Curve("x", right)
        if left.letter == "r" and "r" not in free and free & {r"\theta", r"\varphi", r"\phi"}:
            return Curve("r", right)
        if left.letter not in free and not {"x", "y"} >= free | {left.letter}:
            return Curve("y", right)  # s = h / tan θ: s is drawn
    if _is_called(left):
        return Curve("y", right)
    return Curve("both", Add((left, Neg(right))))


def _is_called(left: Expr) -> bool:
    """f(x) is a letter beside its own variable."""
    return isinstance(left, Mul) and len(left.factors) == 2 and all(isinstance(f, Name) for f in left.factors) and left.factors[0] in (
        Name("f"), Name("g"), Name("h"), Name("s"), Name("v"), Name("p"),
    )  # fmt: skip


def names_of(tree: object) -> set[str]:
    """The letters of a tree that have no value of their own."""
    if isinstance(tree, Name):
        return set() if not tree.sub and tree.letter in CONSTANTS else {name_of(tree)}
    if isinstance(tree, Big | Integral):
        # What is counted or integrated by is nobody's letter outside.
        return (names_of(tree.body) - names_of(tree.by)) | names_of((tree.low, tree.high))
    if isinstance(tree, tuple):
        return set().union(*map(names_of, tree)) if tree else set()
    if isinstance(tree, msgspec.Struct):
        return set().union(*(names_of(getattr(tree, name)) for name in tree.__struct_fields__))
    return set()


#: Letters that run along the level axis, the likeliest first.
VARIABLES = ("x", "t", r"\theta", r"\varphi", r"\alpha", "u", "n")


def variable_of(drawn: Curve, given: Mapping[str, float]) -> str:
    """The letter that runs along: of those that no slider gives a value."""
    if drawn.kind in ("both", "x", "area", "way"):
        return {"x": "y", "way": "t"}.get(drawn.kind, "x")
    free = names_of(drawn.body) - set(given)
    return next((name for name in VARIABLES if name in free), min(free, default="x"))


def letters_of(drawn: Curve) -> set[str]:
    """The letters that need a slider: all but what runs along."""
    if drawn.parts:
        return set().union(*map(letters_of, drawn.parts))
    free = names_of((drawn.body, drawn.other, drawn.where))
    if drawn.kind in ("both", "area"):
        return free - {"x", "y"}
    return free - {variable_of(drawn, {})}
