"""Maths as keyboards have it to notation: ``x^2``, ``(a+b)/2``, ``sqrt(x)``, ``<=``, ``alpha``, ``5 kg``."""

from __future__ import annotations

import re
import unicodedata

from sunroom.core.characters import only_seen
from sunroom.core.errors import MalformedError
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
    Word,
    row_of,
)
from sunroom.core.maths.signs import BY_CHARACTER, FUNCTIONS, LIMITED, SIGNS, TYPED, TYPED_SIGNS
from sunroom.core.maths.tokens import PRIMES, TokenReader, is_sign, paired, sign_of, with_decimal_commas
from sunroom.core.sentences import said

#: What stands around a body of keyboard maths: ``abs(x)``.
AROUND = {
    "abs": ("|", "|"),
    "floor": (r"\lfloor", r"\rfloor"),
    "ceil": (r"\lceil", r"\rceil"),
    "norm": (r"\|", r"\|"),
}
KEYBOARD_OVERS = {"vec": r"\vec", "bar": r"\overline", "hat": r"\hat", "dot": r"\dot", "tilde": r"\tilde"}
#: Units that stand upright where a number and a space are before them.
UNITS = frozenset(
    "m cm mm km nm dm kg g mg t s ms min h d N kN J kJ MJ kWh W kW MW V mV kV A mA C K Pa kPa hPa bar Hz kHz MHz mol L l ml cl rad eV T F dB ha".split()
)

#: As calculators and spreadsheets name them.
SHORT = {"asin": "arcsin", "acos": "arccos", "atan": "arctan"}
#: Of these, what stands right after its number too: 5km is no product of k and m, but 2mg may be of m and g.
GLUED = frozenset("km cm mm dm kg kN kJ MJ kWh kW MW kV mol kPa hPa kHz MHz".split())
#: Digits that go on from those before a space: 1 000 000.
_GROUP, _GROUPED = re.compile(r"\d{3}(?:[.⎖]\d+)?"), re.compile(r"\d{1,3}")

_KEYBOARD = re.compile(
    r"\"[^\"]*\"|\d+(?:[.⎖]\d+)?|[A-Za-z]+|" + "|".join(map(re.escape, TYPED_SIGNS)) + r"|\n|[ \t]+|.",
    re.DOTALL,
)
#: The sign that stands for a decimal comma while a formula is read.
DECIMAL = "⎖"
#: What other programs and keyboards write for a sign: curly marks, other strokes and points, signs as wide as Chinese ones.
_USUAL = str.maketrans(
    {"“": '"', "”": '"', "„": '"', "⁄": "/", "∕": "/", "∗": "*", "∙": "·", "⩽": "≤", "⩾": "≥"}
    | {chr(wide): chr(wide - 0xFEE0) for wide in range(0xFF01, 0xFF5F)}
)
#: Dashes for a minus and curly primes; in words between quotation marks they stay.
_OUTSIDE_WORDS = re.compile('"[^"]*"|[‐‑‒–’‘]')
_ROOTS = {"∛": "3", "∜": "4"}
_SUPERSCRIPTS = dict(zip("⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻ⁿ", "0123456789+-n", strict=True))
_SUBSCRIPTS = dict(zip("₀₁₂₃₄₅₆₇₈₉₊₋", "0123456789+-", strict=True))


def usual(text: str) -> str:
    """Typed maths in the signs that are usual there."""

    def straight(found: re.Match[str]) -> str:
        if found[0].startswith('"'):
            return found[0]
        return "'" if found[0] in "’‘" else "-"

    return _OUTSIDE_WORDS.sub(straight, only_seen(text).translate(_USUAL))


class KeyboardReader(TokenReader):
    def __init__(self, text: str) -> None:
        super().__init__(_KEYBOARD.findall(with_decimal_commas(text.replace("\r", ""), DECIMAL)))

    def read(self) -> Row:
        return self.in_lines(lambda: [self._row()], lambda: self.next == "\n" and bool(self.take()))

    def _row(self, stops: frozenset[str] = frozenset(), begins_with_unit: bool = False) -> Row:
        nodes: list[Node] = []
        spaced = False
        while self.at < len(self.tokens) and self.next != "\n" and self.next not in stops:
            if self.next.isspace():
                self.take()
                spaced = True
                continue
            if self.next == "/" and nodes and not is_sign(nodes[-1]):
                self.take()
                self._skip_space()
                below = self._operand(stops, _is_unit(nodes[-1]))
                nodes = list(paired(nodes).nodes)
                start = _product_start(nodes, _is_unit(below[0]))
                nodes[start:] = [Fraction(_bare_row(tuple(nodes[start:])), _bare_row(below))]
            else:
                if spaced and nodes and _goes_on(nodes, self.next):
                    nodes.append(Gap(0.17))
                    nodes += self._atom(stops).nodes
                    continue
                unit = _takes_unit(nodes[-1], spaced, self.next) if nodes else begins_with_unit
                nodes += self._scripted(self._atom(stops, unit and self.next not in ("(", "[", "{")), stops)
            spaced = False
        return paired(nodes)

    def _skip_space(self) -> None:
        while self.next.isspace() and self.next != "\n":
            self.take()

    def _operand(self, stops: frozenset[str], unit: bool = False) -> tuple[Node, ...]:
        """One thing with its scripts, and a minus before it; below a unit another one."""
        if not self.next or self.next == "\n" or self.next in stops:
            raise MalformedError("formula", said("a-formula-lacks-something"))
        if self.next in "-−+":
            sign = self.take()
            self._skip_space()
            return (Sign("-" if sign != "+" else "+"), *self._operand(stops))
        if self.next == "|" and "|" not in stops:
            below = self._scripted(self._fenced(self.take()), stops)
        else:
            below = self._scripted(self._atom(stops, unit), stops)
        if unit and isinstance(below[0], Number) and UNITS & set(self.tokens[self.at + 1 : self.at + 2]):
            self._skip_space()
            return (*below, *self._scripted(self._atom(stops, unit), stops))
        if _is_function(below[-1]):
            self._skip_space()
            if self.next and self.next != "\n" and self.next not in stops:
                return (*below, *self._scripted(self._atom(stops), stops))
        return below[1:] if isinstance(below[0], Gap) else below

    def _scripted(self, base: Row, stops: frozenset[str]) -> tuple[Node, ...]:
        sub = sup = None
        before: tuple[Node, ...] = ()
        if len(base.nodes) > 1 and not isinstance(base.nodes[-1], Row):
            # Of several letters the last one carries it.
            before, base = base.nodes[:-1], Row(base.nodes[-1:])
        while True:
            if self.next in PRIMES and sup is None:
                sup = self._primes()
            elif self.next in ("^", "**") and sup is None:
                self.take()
                self._skip_space()
                sup = _bare_row(self._exponent(stops))
            elif self.next == "_" and sub is None:
                self.take()
                sub = _bare_row(tuple(self._atom(stops).nodes))
            elif self.next in _SUPERSCRIPTS and self.next and sup is None:
                sup = self._run_of(_SUPERSCRIPTS)
            elif self.next in _SUBSCRIPTS and self.next and sub is None:
                sub = self._run_of(_SUBSCRIPTS)
            else:
                break
        if sub is None and sup is None:
            return (*before, *base.nodes)
        return (*before, Script(base, sub, sup))

    def _exponent(self, stops: frozenset[str]) -> tuple[Node, ...]:
        if self.next in ("-", "+", "−"):
            sign = Sign("+" if self.take() == "+" else "-")
            # A charge: nothing follows that could be its value.
            if not self.next or self.next.isspace() or self.next in stops or not _begins_value(self.next):
                return (sign,)
            return (sign, *self._atom(stops).nodes)
        row = self._atom(stops)
        # A tower: 2^3^4 is 2^(3^4).
        return self._scripted(row, stops) if self.next in ("^", "**") else row.nodes

    def _run_of(self, of: dict[str, str]) -> Row:
        run = ""
        while self.next and self.next in of:
            run += of[self.take()]
        return (
            row_of(*(Number(c) if c.isdigit() else Sign(c) for c in run))
            if not run.isdigit()
            else Row((Number(run),))
        )

    def _atom(self, stops: frozenset[str], unit: bool = False) -> Row:
        token = self.take()
        if not token or token in stops or token == "\n":
            self.at -= bool(token)
            raise MalformedError("formula", said("a-formula-lacks-something"))
        if token[0].isdigit():
            return Row((Number(token.replace(DECIMAL, ",")),))
        if token[0] == '"':
            return Row((Word(token.strip('"') or " "),))
        if token[0].isalpha() and token.isascii():
            return self._word(token, stops, unit)
        if token in ("(", "[", "{"):
            return self._fenced(token, unit)
        if token in TYPED_SIGNS:
            return Row((Sign(TYPED_SIGNS[token]),))
        if token == "√":
            return self._root(stops)
        if token in _ROOTS:
            return self._root(stops, Row((Number(_ROOTS[token]),)))
        top, stroke, below = unicodedata.normalize("NFKC", token).partition("⁄")
        if stroke and top and below:
            return Row((Fraction(Row((Number(top),)), Row((Number(below),))),))
        return Row((sign_of(token),))

    def _root(self, stops: frozenset[str], index: Row | None = None) -> Row:
        self._skip_space()
        return Row((Root(_bare_row(self._atom(stops).nodes), index),))

    def _fenced(self, opened: str, unit: bool = False) -> Row:
        name = BY_CHARACTER.get(opened, opened)
        closing = frozenset("|" if opened == "|" else ")]}")
        body = self.deeper(lambda: self._row(closing, unit))
        if body.nodes and isinstance(body.nodes[0], Gap):
            body = Row(body.nodes[1:])
        closed = self.next
        if closed not in closing:
            raise MalformedError("formula", said("a-bracket-is-not-closed", sign=opened))
        self.take()
        return Row((Fenced(name, body, BY_CHARACTER.get(closed, closed)),))

    def _word(self, word: str, stops: frozenset[str], unit: bool) -> Row:
        if unit and word in UNITS:
            return Row((Gap(0.17), *(Sign(letter, True) for letter in word)))
        if word in ("C", "F") and self.at > 1 and self.tokens[self.at - 2] == "°":
            return Row((Sign(word, True),))
        if self.next == "(" and word in ("sqrt", "cbrt", "root", "frac", *AROUND, *KEYBOARD_OVERS):
            return self._called(word)
        if word in ("sqrt", "cbrt"):
            return self._root(stops, Row((Number("3"),)) if word == "cbrt" else None)
        if word == "log" and self.next.isdigit() and self.tokens[self.at + 1 : self.at + 2] == ["("]:
            # As calculators and spreadsheets name logarithms.
            return Row((Script(Row((Word(word, function=True),)), Row((Number(self.take()),)), None),))
        if word in FUNCTIONS and word not in TYPED:
            return Row((Word(word, function=True),))
        if word in TYPED:
            return Row((Sign(TYPED[word]),))
        if word in SHORT and self.next == "(":
            return Row((Word(SHORT[word], function=True),))
        # dx, 2pi, asinx: a known word behind a letter or two, else letters.
        for length in range(len(word) - 1, max(len(word) - 3, 2), -1):
            if word[-length:] in FUNCTIONS or word[-length:] in TYPED:
                return row_of(*map(Sign, word[:-length]), *self._word(word[-length:], stops, False).nodes)
        return Row(tuple(Sign(letter) for letter in word))

    def _called(self, word: str) -> Row:
        self.take()
        parts = [self.deeper(lambda: self._row(frozenset("),")))]
        while self.next == ",":
            self.take()
            parts.append(self.deeper(lambda: self._row(frozenset("),"))))
        if self.take() != ")":
            raise MalformedError("formula", said("a-bracket-is-not-closed", sign="("))
        if word == "root" and len(parts) == 2:
            return Row((Root(parts[1], parts[0]),))
        if word == "frac" and len(parts) == 2:
            return Row((Fraction(parts[0], parts[1]),))
        body = row_of(
            *(node for at, part in enumerate(parts) for node in ((Sign(","),) if at else ()) + part.nodes)
        )
        if word in KEYBOARD_OVERS:
            return Row((Over(KEYBOARD_OVERS[word], body),))
        if word in AROUND:
            left, right = AROUND[word]
            return Row((Fenced(left, body, right),))
        return Row((Root(body, Row((Number("3"),)) if word == "cbrt" else None),))


def _goes_on(nodes: list[Node], token: str) -> bool:
    """Whether digits after a space belong to the number before it."""
    first, last = nodes[-3:-1], nodes[-1]
    if not isinstance(last, Number) or not _GROUP.fullmatch(token):
        return False
    grouped = len(first) == 2 and isinstance(first[0], Number) and isinstance(first[1], Gap)
    return bool((_GROUP if grouped else _GROUPED).fullmatch(last.digits)) and last.digits.isdigit()


def _takes_unit(node: Node, spaced: bool, word: str) -> bool:
    """Whether a word after something may be a unit: after a number, a power of one, or another unit."""
    if not spaced:
        return isinstance(node, Number) and word in GLUED
    base = node.base.nodes[-1] if isinstance(node, Script) and node.base.nodes else node
    return isinstance(base, Number) or _is_unit(node)


def _begins_value(token: str) -> bool:
    return token[0].isalnum() or token[0] in '("[√'


def _product_start(nodes: list[Node], by_unit: bool) -> int:
    """Where the product begins that a stroke divides: n(n+1)/2; but sin x/2 is the sine of the half, and 5 m/s are five of m/s."""
    start = len(nodes)
    while by_unit and start and _is_unit(nodes[start - 1]):
        start -= 1
    if start < len(nodes):
        return start
    while start and not is_sign(nodes[start - 1]) and not _is_large(nodes[start - 1]):
        if nodes[start - 1] == Sign("|") or _is_derivative(nodes[start - 1]):
            break  # an absolute value that goes on; d/dx is of what follows
        if _is_function(nodes[start - 1]):
            return start - 1 if _is_bracketed(nodes[start]) else start
        start -= 1
        if start and isinstance(nodes[start], Number) and isinstance(nodes[start - 1], Number):
            break  # a whole number before a fraction
    return start


def _is_derivative(node: Node) -> bool:
    above = node.above.nodes if isinstance(node, Fraction) else ()
    first = above[0].base.nodes[:1] if above and isinstance(above[0], Script) else above
    return len(above) == 1 and first == (Sign("d"),)


def _is_bracketed(node: Node) -> bool:
    return isinstance(node, Fenced) or (isinstance(node, Script) and isinstance(node.base.nodes[0], Fenced))


def _is_unit(node: Node) -> bool:
    base = node.base.nodes[-1] if isinstance(node, Script) and node.base.nodes else node
    return isinstance(base, Sign) and base.upright


def _is_large(node: Node) -> bool:
    base = node.base.nodes[-1] if isinstance(node, Script) and node.base.nodes else node
    limited = isinstance(node, Script) and isinstance(base, Word) and base.text in LIMITED
    return limited or (isinstance(base, Sign) and base.name in SIGNS and SIGNS[base.name].kind == "big")


def _is_function(node: Node) -> bool:
    base = node.base.nodes[-1] if isinstance(node, Script) and node.base.nodes else node
    return isinstance(base, Word) and base.function


def _bare_row(nodes: tuple[Node, ...]) -> Row:
    """Without the round brackets that only kept it together."""
    if len(nodes) == 1 and isinstance(nodes[0], Fenced) and (nodes[0].left, nodes[0].right) == ("(", ")"):
        return nodes[0].body
    return Row(nodes)
