"""What readers of typed formulas share: taking tokens, lines, brackets that belong together, and the limits."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence

from sunroom.core.errors import MalformedError
from sunroom.core.maths.notation import Fenced, Node, Row, Script, Sign, Table, row_of
from sunroom.core.maths.signs import BY_CHARACTER, SIGNS
from sunroom.core.sentences import said

MAX_FORMULA = 1_000
MAX_DEPTH = 20
MAX_LINES, MAX_COLUMNS = 40, 20
PRIMES = ("'", "′", r"\prime")
OPENING, CLOSING = {"(": ")", "[": "]", r"\{": r"\}"}, {")", "]", r"\}"}


class TokenReader:
    """Takes one token after another, counting how deep it is."""

    def __init__(self, tokens: list[str]) -> None:
        self.tokens = tokens
        self.at = 0
        self.depth = 0

    @property
    def next(self) -> str:
        return self.tokens[self.at] if self.at < len(self.tokens) else ""

    def take(self) -> str:
        token = self.next
        self.at += 1
        return token

    def _primes(self) -> Row:
        count = 0
        while self.next in PRIMES:
            self.take()
            count += 1
        return Row((Sign("'"),) * count)

    def deeper(self, read: Callable[[], Row]) -> Row:
        self.depth += 1
        if self.depth > MAX_DEPTH:
            raise MalformedError("formula", said("a-formula-is-too-deep"))
        made = read()
        self.depth -= 1
        return made

    def in_lines(self, row: Callable[[], list[Row]], more: Callable[[], bool]) -> Row:
        """One row, or the rows of several lines as a table, aligned where each has its first relation."""
        lines = [row()]
        while more():
            lines.append(row())
        while len(lines) > 1 and not any(cell.nodes for cell in lines[-1]):
            lines.pop()
        if len(lines) > MAX_LINES or max(map(len, lines)) > MAX_COLUMNS:
            raise MalformedError("formula", said("a-formula-has-too-many"))
        if len(lines) == 1:
            return row_of(*lines[0])
        return Row((Table(squared([_aligned(line) for line in lines]), "lines"),))


def with_decimal_commas(text: str, mark: str) -> str:
    """``text`` with ``mark`` for each comma that is a decimal point: 3,5 in most of Europe.

    It stands between digits without a space. In brackets that hold nothing but numbers it parts them, as in (2,3), and so
    it does in a longer row of numbers; before three digits it may be thousands, and then it stays what it was.
    """

    def decided(found: re.Match[str]) -> str:
        whole, part = found.groups()
        if (len(part) == 3 and whole.strip("0")) or _only_numbers_around(text, found.start()):
            return found[0]
        return f"{whole}{mark}{part}"

    return _DECIMAL.sub(decided, text)


_DECIMAL = re.compile(r"(?<![\d.,])(\d+),(\d+)(?![\d,])")
_LIST = re.compile(r"\s*[-−]?\d[\d.]*\s*(?:,\s*[-−]?\d[\d.]*\s*)*")


def _only_numbers_around(text: str, at: int) -> bool:
    """Whether the brackets around a place hold nothing but numbers."""
    opened = max(text.rfind(sign, 0, at) for sign in "([{")
    closed = min((place for sign in ")]}" if (place := text.find(sign, at)) >= 0), default=-1)
    inside = text[opened + 1 : closed].removesuffix("\\")
    return opened >= 0 and closed >= 0 and _LIST.fullmatch(inside) is not None


def squared(lines: list[list[Row]]) -> tuple[tuple[Row, ...], ...]:
    wide = max(map(len, lines))
    return tuple(tuple(line) + (Row(),) * (wide - len(line)) for line in lines)


def _aligned(line: list[Row]) -> list[Row]:
    """A line in two parts, before and from its first relation on, unless it says itself where."""
    return line if len(line) > 1 else list(at_relation(line[0]))


def at_relation(line: Row) -> tuple[Row, Row]:
    """What is before the first relation of a line (nothing without one), and what is from there on."""
    nodes = line.nodes
    for at, node in enumerate(nodes):
        if isinstance(node, Sign) and node.name in SIGNS and SIGNS[node.name].kind == "relation":
            return Row(nodes[:at]), Row(nodes[at:])
    return Row(), line


def sign_of(character: str) -> Sign:
    """A single character as a sign; raises MalformedError for those that are none of maths."""
    name = BY_CHARACTER.get(character, character)
    if name in SIGNS or (len(name) == 1 and name.isalpha()):
        return Sign(name)
    raise MalformedError("formula", said("a-formula-has-an-odd", sign=character))


def is_sign(node: Node) -> bool:
    """Whether nothing can be divided there."""
    return (
        isinstance(node, Sign)
        and node.name in SIGNS
        and SIGNS[node.name].kind in ("binary", "relation", "open", "comma")
    )


def paired(nodes: list[Node]) -> Row:
    """A row in which brackets that belong together embrace what is between them."""
    stack: list[tuple[str, list[Node]]] = [("", [])]
    for at, node in enumerate(nodes):
        # A closing bracket may carry scripts: (a+b)^2.
        name = _bracket(node)
        bare = isinstance(node, Sign)
        if name in OPENING and bare:
            stack.append((name, []))
            continue
        inside = stack[-1][0] == "|"
        bars = name == "|" and inside and not _opens(stack[-1][1])
        if (name in CLOSING and len(stack) > 1 and not inside) or bars:
            left, inner = stack.pop()
            fenced = Fenced(left, Row(tuple(inner)), name)
            stack[-1][1].append(
                Script(Row((fenced,)), node.sub, node.sup) if isinstance(node, Script) else fenced
            )
            continue
        if name == "|" and bare and (_opens(stack[-1][1]) or _closes_again(nodes[at + 1 :])):
            stack.append(("|", []))
            continue
        stack[-1][1].append(node)
    while len(stack) > 1:
        # What was never closed is a sign.
        left, inner = stack.pop()
        stack[-1][1].extend([Sign(left), *inner])
    return Row(tuple(stack[0][1]))


def _bracket(node: Node) -> str:
    """The name of a sign that may be a bracket, with its scripts or without."""
    bare = node.base.nodes[0] if isinstance(node, Script) and len(node.base.nodes) == 1 else node
    return bare.name if isinstance(bare, Sign) else ""


def _opens(before: list[Node]) -> bool:
    """Whether a bar there begins an absolute value: nothing, or a sign, is before it."""
    return not before or is_sign(before[-1])


def _closes_again(after: Sequence[Node]) -> bool:
    """Whether a bar behind something begins an absolute value, as in 2|x|: its like comes, and one value is between them."""
    depth = bars = 0
    for node in after:
        name = _bracket(node)
        if name in OPENING:
            depth += 1
        elif name in CLOSING:
            depth -= 1
        elif depth == 0 and name == "|":
            bars += 1
        elif not bars and name in SIGNS and SIGNS[name].kind in ("relation", "comma"):
            return False
        if depth < 0:
            break
    return bars % 2 == 1
