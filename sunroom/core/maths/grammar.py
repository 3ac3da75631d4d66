"""From the notation of a formula to what it means, by a grammar.

Nothing is ever evaluated as code; what has no meaning is set all the same but does not compute.
"""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence
from typing import Any

from lark import Lark, Token, Transformer
from lark.exceptions import LarkError
from lark.lexer import Lexer

from sunroom.core.errors import MalformedError
from sunroom.core.maths.meaning import (
    CALLED,
    RELATIONS,
    Add,
    Big,
    Call,
    Diff,
    Div,
    Expr,
    Integral,
    Limit,
    Lines,
    Meaning,
    Mul,
    Name,
    Neg,
    Num,
    PlusMinus,
    Pow,
    Relation,
    Unit,
    walk,
)
from sunroom.core.maths.notation import (
    Fenced,
    Fraction,
    Gap,
    Node,
    Number,
    Over,
    Root,
    Row,
    Script,
    Sign,
    Table,
    Word,
)
from sunroom.core.maths.signs import SIGNS
from sunroom.core.maths.units import is_unit
from sunroom.core.sentences import said

#: Parts that a tree has at most.
MAX_PARTS = 400

_GRAMMAR = r"""
start: sum (REL sum)*
sum: term (op term)*
op: PLUS | MINUS | PM
?term: sign term -> signed | product
sign: PLUS | MINUS | PM
product: implied (times factor)*
times: TIMES | DIV
?factor: MINUS factor -> negative | implied
implied: piece+
?piece: ATOM | FENCED | UNIT | call
call: FUNC (FENCED | ATOM (ATOM | FENCED | UNIT)* | call)
%declare REL PLUS MINUS PM TIMES DIV ATOM FENCED UNIT FUNC
"""


def meaning_of(row: Row) -> Meaning:
    """The tree of a formula; raises MalformedError for what has no meaning here."""
    made = _read(row)
    if sum(1 for _ in walk(made)) > MAX_PARTS:
        raise MalformedError("formula", said("a-formula-is-too-long-to"))
    return made


def _read(row: Row) -> Meaning:
    match row.nodes:
        case (Table(rows=rows, form="lines"),) | (
            Fenced(left=r"\{", body=Row(nodes=(Table(rows=rows),)), right=""),
        ):
            lines = [Row(tuple(node for cell in cells for node in cell.nodes)) for cells in rows]
            return Lines(tuple(_read(line) for line in lines if line.nodes))
        case _:
            pass
    for sign, joined in ((",", ""), (";", ""), (r"\vee", "or"), (r"\wedge", "and")):
        parts = split(row, sign)
        if len(parts) > 1 and all(has_relation(part) for part in parts):
            return Lines(tuple(_read(part) for part in parts), joined)  # type: ignore[arg-type]
    tokens = list(_tokens(row.nodes))
    if not tokens:
        raise _unknown()
    try:
        made: Meaning = _PARSER.parse(tokens)  # type: ignore[assignment]
    except LarkError as error:
        inner = getattr(error, "orig_exc", None)
        raise (inner if isinstance(inner, MalformedError) else _unknown()) from error
    return made


def _expression(row: Row) -> Expr:
    made = _read(row)
    if isinstance(made, Relation | Lines):
        raise _unknown()
    return made


def _unknown() -> MalformedError:
    return MalformedError("formula", said("a-formula-has-no-meaning"))


def split(row: Row, sign: str) -> list[Row]:
    """What stands between signs of a row."""
    parts: list[list[Node]] = [[]]
    for node in row.nodes:
        if node == Sign(sign):
            parts.append([])
        else:
            parts[-1].append(node)
    return [Row(tuple(part)) for part in parts]


def has_relation(row: Row) -> bool:
    """Whether it states something rather than being worth something."""
    return any(isinstance(node, Sign) and node.name in RELATIONS for node in row.nodes)


# Notation to tokens


class _Tokens(Lexer):
    """Passes tokens on that have been made of notation."""

    def __init__(self, _conf: Any) -> None:
        pass

    def lex(self, data: Any) -> Iterator[Token]:  # type: ignore[override]
        yield from data


def _token(kind: str, value: Any) -> Token:
    token = Token(kind, "")
    token.value = value
    return token


_OPERATORS = {
    "+": "PLUS",
    "-": "MINUS",
    r"\pm": "PM",
    r"\cdot": "TIMES",
    r"\times": "TIMES",
    "*": "TIMES",
    r"\div": "DIV",
    "/": "DIV",
    ":": "DIV",
}


#: What a derivative or an integral goes by, as books set it and as it is typed.
_SMALL = (Sign("d"), Sign("d", upright=True), Sign(r"\partial"))
#: What stands upright after a degree.
_TEMPERATURES = (Sign("C", upright=True), Sign("F", upright=True))
#: A group of digits that goes on from those before it.
_GROUP, _GROUPED = re.compile(r"\d{3}(?:[.,]\d+)?$"), re.compile(r"\d{1,3}(?:\d{3})*")
_DEGREES = (Row((Sign(r"\circ"),)), Row((Sign(r"\degree"),)))


def _tokens(nodes: Sequence[Node]) -> Iterator[Token]:
    at = 0
    nodes = _whole_numbers(nodes)
    while at < len(nodes):
        node = nodes[at]
        if isinstance(node, Gap):
            pass
        elif isinstance(node, Sign) and node.name in RELATIONS:
            yield _token("REL", node.name)
        elif isinstance(node, Sign) and node.name in _OPERATORS:
            yield _token(_OPERATORS[node.name], node.name)
        elif _upright_letter(node):
            end = at
            while end < len(nodes) and _upright_letter(nodes[end]):
                end += 1
            yield _token("UNIT", _unit(nodes[at:end]))
            at = end - 1
        elif isinstance(node, Word) and is_unit(node.text.strip()) and at and _is_number(nodes[at - 1]):
            yield _token("UNIT", Unit(node.text.strip()))
        elif isinstance(node, Number) and at + 1 < len(nodes) and _is_common(nodes[at + 1]):
            # A whole number before a fraction of numbers is added to it.
            yield _token("ATOM", Add((_atom(node), _atom(nodes[at + 1]))))
            at += 1
        elif (found := _large(nodes, at)) is not None:
            made, at = found
            yield _token("ATOM", made)
        elif (called := _function(node)) is not None:
            name, base, *powers = called
            after = nodes[at + 1] if at + 1 < len(nodes) else None
            if isinstance(after, Script) and (squared := _value_squared(after)) is not None:
                # sin(x)² is the square of the sine, as calculators have it.
                body, power = squared
                yield _token("FUNC", (name, base, (*powers, power)))
                yield _token("FENCED", body)
                at += 1
            else:
                yield _token("FUNC", (name, base, tuple(powers)))
        else:
            after = nodes[at + 1] if at + 1 < len(nodes) else None
            made = _atom(node)
            while after in (Sign("!"), Sign(r"\%"), Sign(r"\degree")):
                made = _after(made, after.name)
                at += 1
                after = nodes[at + 1] if at + 1 < len(nodes) else None
            yield _token("FENCED" if isinstance(node, Fenced) else "ATOM", made)
        at += 1


def _whole_numbers(nodes: Sequence[Node]) -> list[Node]:
    """Numbers whose digits stand in groups of three, 1 000 000, as one each; °C as one unit; and no room but between units.

    Raises
    ------
    MalformedError
        For other numbers beside each other.
    """
    made: list[Node] = []
    for at, node in enumerate(nodes):
        last = made[-1] if made else None
        if isinstance(node, Gap):
            # Room parts units, and nothing else: N m.
            if (
                last is not None
                and _upright_letter(last)
                and _upright_letter(nodes[min(at + 1, len(nodes) - 1)])
            ):
                made.append(node)
            continue
        if isinstance(node, Script) and not node.base.nodes and _without_degree(node) == ():
            node = Sign(r"\degree")
        if isinstance(node, Number) and isinstance(last, Number):
            if not (_GROUP.match(node.digits) and _GROUPED.fullmatch(last.digits)):
                raise _unknown()
            made[-1] = Number(last.digits + node.digits)
        elif node in _TEMPERATURES and last is not None and (bare := _without_degree(last)) is not None:
            made[-1:] = [*bare, Sign(f"°{node.name}", upright=True)]
        else:
            made.append(node)
    return made


def _without_degree(node: Node) -> tuple[Node, ...] | None:
    """What a degree sign follows, or is put to; None where there is none."""
    if node == Sign(r"\degree"):
        return ()
    return node.base.nodes if isinstance(node, Script) and node.sub is None and node.sup in _DEGREES else None


def _is_number(node: Node) -> bool:
    base = node.base.nodes[-1:] if isinstance(node, Script) else (node,)
    return bool(base) and isinstance(base[0], Number)


def _is_common(node: Node) -> bool:
    parts = (node.above, node.below) if isinstance(node, Fraction) else ()
    return bool(parts) and all(len(row.nodes) == 1 and isinstance(row.nodes[0], Number) for row in parts)


def _after(made: Expr, name: str) -> Expr:
    if name == "!":
        return Call("factorial", made)
    return Div(made, Num("100")) if name == r"\%" else Mul((made, Unit("°")))


def _upright_letter(node: Node) -> bool:
    if isinstance(node, Script) and (node.sub is not None or len(node.base.nodes) != 1):
        return False
    base = node.base.nodes[0] if isinstance(node, Script) else node
    return isinstance(base, Sign) and base.upright


def _unit(nodes: Sequence[Node]) -> Expr:
    """Letters that stand upright beside each other are one unit; a power of its last letter is the unit's."""
    *_, last = nodes
    bases = [node.base.nodes[0] if isinstance(node, Script) else node for node in nodes]
    letters = "".join(base.name for base in bases if isinstance(base, Sign))
    unit: Expr = Unit(letters)
    if isinstance(last, Script) and last.sup is not None:
        unit = Pow(unit, _expression(last.sup))
    return unit


def _value_squared(node: Script) -> tuple[Expr, Expr] | None:
    """What stands in brackets after a function, and the power of the function's value that is put to them."""
    match node:
        case Script(base=Row(nodes=(Fenced() as body,)), sub=None, sup=Row() as sup) if (
            sup not in _DEGREES and sup.nodes[:1] != (Sign("'"),)
        ):
            return _atom(body), _expression(sup)
        case _:
            return None


def _function(node: Node) -> tuple[str, Expr | None, Expr | None] | None:
    base = node.base.nodes[0] if isinstance(node, Script) and len(node.base.nodes) == 1 else node
    if not isinstance(base, Word) or not base.function or base.text not in CALLED:
        return None
    sub = sup = None
    if isinstance(node, Script):
        sub = None if node.sub is None else _expression(node.sub)
        sup = None if node.sup is None else _expression(node.sup)
    name, power = base.text, sup
    if sup == Neg(Num("1")) and name in ("sin", "cos", "tan"):
        name, power = f"arc{name}", None
    return name, sub, power


def _atom(node: Node) -> Expr:
    match node:
        case Number(digits=digits):
            return Num(digits.replace(",", "."))
        case Sign(name=r"\infty"):
            return Name(r"\infty")
        case Sign(name=name) if name not in SIGNS or SIGNS[name].kind == "name":
            return Name(name)
        case Fraction(above=above, below=below):
            return Div(_expression(above), _expression(below))
        case Root(body=body, index=index):
            return Call("root", _expression(body), None if index is None else _expression(index))
        case Fenced(left="|", body=body, right="|"):
            return Call("abs", _expression(body))
        case Fenced(left="(" | "[" | r"\{", body=body):
            return _expression(body)
        case Script():
            return _scripted(node)
        case Row():
            return _expression(node)
        case Over(mark=mark, body=body) if mark in (r"\overline", r"\vec", r"\hat"):
            inner = _atom(body.nodes[0]) if len(body.nodes) == 1 else None
            if isinstance(inner, Name):
                return Name(f"{mark}{{{inner.letter}}}", inner.sub)
        case _:
            pass
    raise _unknown()


def _scripted(node: Script) -> Expr:
    inner = node.base.nodes[0] if len(node.base.nodes) == 1 else node.base
    sup = node.sup
    made = _atom(inner)
    if node.sub is not None:
        if not isinstance(made, Name) or made.sub:
            raise _unknown()
        made = Name(made.letter, _as_text(node.sub))
    if sup is None:
        return made
    if all(mark == Sign("'") for mark in sup.nodes) and isinstance(made, Name):
        return Name(made.letter, made.sub + "'" * len(sup.nodes))
    if sup in _DEGREES:
        return Mul((made, Unit("°")))
    return Pow(made, _expression(sup))


def _as_text(row: Row) -> str:
    """What stands at a letter's foot, as part of its name."""
    text = ""
    for node in row.nodes:
        match node:
            case Number(digits=digits):
                text += digits
            case Sign(name=name):
                text += name
            case Word(text=words):
                text += words
            case _:
                raise _unknown()
    return text


def _large(nodes: Sequence[Node], at: int) -> tuple[Expr, int] | None:
    """A sum, an integral, a limit or a derivative with what it embraces, and the place of its last node."""
    node = nodes[at]
    base = node.base.nodes[0] if isinstance(node, Script) and len(node.base.nodes) == 1 else node
    low, high = (node.sub, node.sup) if isinstance(node, Script) else (None, None)
    if isinstance(base, Sign) and base.name == r"\int":
        for end in range(at + 1, len(nodes) - 1):
            if nodes[end] in _SMALL and isinstance(by := _name(nodes[end + 1]), Name):
                body = _expression(Row(tuple(nodes[at + 1 : end]))) if end > at + 1 else Num("1")
                bounds = [None if row is None else _expression(row) for row in (low, high)]
                if (bounds[0] is None) != (bounds[1] is None):
                    raise _unknown()
                return Integral(body, by, *bounds), end + 1
        raise _unknown()
    if isinstance(base, Sign) and base.name in (r"\sum", r"\prod"):
        if low is None or high is None or len(low.nodes) < 3 or low.nodes[1] != Sign("="):
            raise _unknown()
        by, end = _name(low.nodes[0]), _product_end(nodes, at + 1)
        if by is None:
            raise _unknown()
        start = _expression(Row(low.nodes[2:]))
        return Big(
            base.name, by, start, _expression(high), _expression(Row(tuple(nodes[at + 1 : end])))
        ), end - 1
    if isinstance(base, Word) and base.text == "lim" and low is not None and len(low.nodes) >= 3:
        by, end = _name(low.nodes[0]), _product_end(nodes, at + 1)
        if by is None or low.nodes[1] != Sign(r"\rightarrow"):
            raise _unknown()
        body = _expression(Row(tuple(nodes[at + 1 : end])))
        return Limit(body, by, _expression(Row(low.nodes[2:]))), end - 1
    if isinstance(node, Fraction):
        return _derivative(node, nodes, at)
    return None


def _derivative(node: Fraction, nodes: Sequence[Node], at: int) -> tuple[Expr, int] | None:
    """d/dx of what follows, d²/dx², d(x²)/dx; None for any other fraction, and dy/dx says nothing of what y is."""
    above, below = _small_step(node.above.nodes), _small_step(node.below.nodes)
    if above is None or below is None:
        return None
    (order, body), (_, variable) = above, below
    by = None
    if len(variable) == 1:
        (last,) = variable
        if isinstance(last, Script) and order > 1 and last.sub is None:
            last = last.base.nodes[0]
        by = _name(last)
    if by is None or not 1 <= order <= 6:
        return None
    if body:
        made = _expression(Row(tuple(body)))
        if by not in walk(made):
            raise _unknown()
        return Diff(made, by, order), at
    end = _product_end(nodes, at + 1)
    return (Diff(_expression(Row(tuple(nodes[at + 1 : end]))), by, order), end - 1) if end > at + 1 else None


def _small_step(nodes: Sequence[Node]) -> tuple[int, Sequence[Node]] | None:
    """How often d stands there, and of what; None where it does not."""
    match nodes:
        case (first, *rest) if first in _SMALL:
            return 1, rest
        case (Script(base=Row(nodes=(first,)), sub=None, sup=Row(nodes=(Number(digits=digits),))), *rest) if (
            first in _SMALL and digits.isdigit()
        ):
            return int(digits), rest
        case _:
            return None


def _product_end(nodes: Sequence[Node], start: int) -> int:
    """Where the product ends that begins there: before a plus, a minus or a relation."""
    for end in range(start, len(nodes)):
        node = nodes[end]
        if isinstance(node, Sign) and (
            node.name in RELATIONS or (node.name in ("+", "-", r"\pm") and end > start)
        ):
            return end
    return len(nodes)


def _name(node: Node) -> Name | None:
    try:
        made = _atom(node)
    except MalformedError:
        return None
    return made if isinstance(made, Name) else None


# Tokens to the tree


class _Tree(Transformer):  # type: ignore[type-arg]
    def start(self, parts: list[Any]) -> Meaning:
        sides, signs = parts[::2], [str(sign.value) for sign in parts[1::2]]
        made: Meaning = Relation(tuple(sides), tuple(signs)) if signs else sides[0]
        return made

    def sum(self, parts: list[Any]) -> Expr:
        made: Expr = parts[0]
        terms: list[Expr] = [made]
        for sign, term in zip(parts[1::2], parts[2::2], strict=True):
            if sign == "PM":
                terms = [PlusMinus(_total(terms), term)]
            else:
                terms.append(Neg(term) if sign == "MINUS" else term)
        return _total(terms)

    def op(self, parts: list[Token]) -> str:
        return parts[0].type

    sign = times = op

    def signed(self, parts: list[Any]) -> Expr:
        sign, body = parts
        if sign == "PM":
            return PlusMinus(None, body)
        return Neg(body) if sign == "MINUS" else body

    def negative(self, parts: list[Any]) -> Expr:
        return Neg(parts[1])

    def product(self, parts: list[Any]) -> Expr:
        factors: list[Expr] = [parts[0]]
        for sign, factor in zip(parts[1::2], parts[2::2], strict=True):
            if sign == "DIV":
                factors = [Div(_times(factors), factor)]
            else:
                factors.append(factor)
        return _times(factors)

    def implied(self, parts: list[Any]) -> Expr:
        return _times([part.value if isinstance(part, Token) else part for part in parts])

    def call(self, parts: list[Any]) -> Expr:
        name, base, powers = parts[0].value
        body = _times([part.value if isinstance(part, Token) else part for part in parts[1:]])
        if base is not None and name != "log":
            raise _unknown()
        made: Expr = Call(name, body, base)
        for power in powers:
            made = made if power is None else Pow(made, power)
        return made


def _total(terms: list[Expr]) -> Expr:
    return terms[0] if len(terms) == 1 else Add(tuple(terms))


def _times(factors: list[Expr]) -> Expr:
    return factors[0] if len(factors) == 1 else Mul(tuple(factors))


_PARSER = Lark(_GRAMMAR, parser="lalr", lexer=_Tokens, transformer=_Tree())
