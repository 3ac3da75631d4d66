"""Maths as keyboards have it to notation: ``x^2``, ``(a+b)/2``, ``sqrt(x)``, ``<=``, ``alpha``, ``5 kg``."""

from __future__ import annotations

import re

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

_KEYBOARD = re.compile(
    r"\"[^\"]*\"|\d+(?:[.⎖]\d+)?|[A-Za-z]+|" + "|".join(map(re.escape, TYPED_SIGNS)) + r"|\n|[ \t]+|.",
    re.DOTALL,
)
#: The sign that stands for a decimal comma while a formula is read.
DECIMAL = "⎖"
_SUPERSCRIPTS = dict(zip("⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻ⁿ", "0123456789+-n", strict=True))
_SUBSCRIPTS = dict(zip("₀₁₂₃₄₅₆₇₈₉₊₋", "0123456789+-", strict=True))


class KeyboardReader(TokenReader):
    def __init__(self, text: str) -> None:
        super().__init__(_KEYBOARD.findall(with_decimal_commas(text.replace("\r", ""), DECIMAL)))

    def read(self) -> Row:
        return self.in_lines(lambda: [self._row()], lambda: self.next == "\n" and bool(self.take()))

    def _row(self, stops: frozenset[str] = frozenset()) -> Row:
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
                start = _product_start(nodes)
                nodes[start:] = [Fraction(_bare_row(tuple(nodes[start:])), _bare_row(below))]
            else:
                unit = spaced and bool(nodes) and isinstance(nodes[-1], Number)
                nodes += self._scripted(self._atom(stops, unit), stops)
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
            return self._fenced(token)
        if token in TYPED_SIGNS:
            return Row((Sign(TYPED_SIGNS[token]),))
        if token == "√":
            return Row((Root(_bare_row(self._atom(stops).nodes)),))
        return Row((sign_of(token),))

    def _fenced(self, opened: str) -> Row:
        name = BY_CHARACTER.get(opened, opened)
        closing = frozenset("|" if opened == "|" else ")]}")
        body = self.deeper(lambda: self._row(closing))
        closed = self.next
        if closed not in closing:
            raise MalformedError("formula", said("a-bracket-is-not-closed", sign=opened))
        self.take()
        return Row((Fenced(name, body, BY_CHARACTER.get(closed, closed)),))

    def _word(self, word: str, stops: frozenset[str], unit: bool) -> Row:
        if unit and word in UNITS:
            return Row((Gap(0.17), *(Sign(letter, True) for letter in word)))
        if self.next == "(" and word in ("sqrt", "root", "frac", *AROUND, *KEYBOARD_OVERS):
            return self._called(word)
        if word == "sqrt":
            return Row((Root(_bare_row(self._atom(stops).nodes)),))
        if word in FUNCTIONS and word not in TYPED:
            return Row((Word(word, function=True),))
        if word in TYPED:
            return Row((Sign(TYPED[word]),))
        # dx, 2pi, asinx: a known word in a longer one, else letters.
        for length in range(len(word) - 1, 2, -1):
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
        return Row((Root(body),))


def _begins_value(token: str) -> bool:
    return token[0].isalnum() or token[0] in '("[√'


def _product_start(nodes: list[Node]) -> int:
    """Where the product begins that a stroke divides: n(n+1)/2, but sin x/2 is the sine of the half."""
    start = len(nodes)
    while start and not is_sign(nodes[start - 1]) and not _is_large(nodes[start - 1]):
        if nodes[start - 1] == Sign("|"):
            break  # an absolute value that goes on
        if _is_function(nodes[start - 1]):
            return start - 1 if _is_bracketed(nodes[start]) else start
        start -= 1
        if start and isinstance(nodes[start], Number) and isinstance(nodes[start - 1], Number):
            break  # a whole number before a fraction
    return start


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
