r"""Typed formulas to notation: LaTeX, or maths as keyboards have it (``x^2``, ``(a+b)/2``, ``sqrt(x)``, ``<=``, ``alpha``).

What holds a backslash or a brace is LaTeX. A known set of commands is understood, nothing else is ever run or looked up.
"""

from __future__ import annotations

import re
from collections.abc import Callable

from sunroom.core.errors import MalformedError
from sunroom.core.maths.chemistry import typed_substances
from sunroom.core.maths.notation import (
    Fenced,
    Form,
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
    row_of,
)
from sunroom.core.maths.signs import (
    BLACKBOARD,
    BY_CHARACTER,
    FUNCTIONS,
    LIMITED,
    OVERS,
    SAME,
    SIGNS,
    TYPED,
    TYPED_SIGNS,
)
from sunroom.core.sentences import said

MAX_FORMULA = 1_000
MAX_DEPTH = 20
MAX_LINES, MAX_COLUMNS = 40, 20

GAPS = {r"\,": 0.17, r"\;": 0.28, r"\:": 0.22, r"\ ": 0.25, r"\quad": 1.0, r"\qquad": 2.0, r"\!": 0.0}
#: Tables by their LaTeX environments, and the brackets around them.
TABLES: dict[str, tuple[Form, str, str]] = {
    "matrix": ("matrix", "", ""), "pmatrix": ("matrix", "(", ")"), "bmatrix": ("matrix", "[", "]"), "vmatrix": ("matrix", "|", "|"),
    "Bmatrix": ("matrix", r"\{", r"\}"), "cases": ("cases", r"\{", ""), "aligned": ("lines", "", ""), "align*": ("lines", "", ""),
    "align": ("lines", "", ""), "gathered": ("lines", "", ""), "array": ("matrix", "", ""),
}  # fmt: skip
#: Commands that only say how large or in which face the rest is: their body counts.
PLAIN = frozenset([r"\mathit", r"\mathbf", r"\boldsymbol", r"\displaystyle", r"\textstyle", r"\limits", r"\nolimits", r"\mathopen",
                   r"\mathclose", r"\big", r"\Big", r"\bigl", r"\bigr", r"\Bigl", r"\Bigr"])  # fmt: skip
PRIMES = ("'", "′", r"\prime")
OPENING, CLOSING = {"(": ")", "[": "]", r"\{": r"\}"}, {")", "]", r"\}"}
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

_LATEX = re.compile(r"\\[A-Za-z]+\*?|\\.|\d+(?:\.\d+)?(?:\{,\}\d+)?|\s+|.", re.DOTALL)
_KEYBOARD = re.compile(
    r"\"[^\"]*\"|\d+(?:[.]\d+)?|[A-Za-z]+|" + "|".join(map(re.escape, TYPED_SIGNS)) + r"|\n|[ \t]+|.",
    re.DOTALL,
)
_SUPERSCRIPTS = dict(zip("⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻ⁿ", "0123456789+-n", strict=True))
_SUBSCRIPTS = dict(zip("₀₁₂₃₄₅₆₇₈₉₊₋", "0123456789+-", strict=True))


def read_formula(text: str) -> Row:
    """The notation of a typed formula, several lines of it as one table.

    Raises
    ------
    MalformedError
        With a sentence that says what is not understood, or too long or deep.
    """
    if len(text) > MAX_FORMULA:
        raise MalformedError("formula", said("a-formula-has-at-most", signs=MAX_FORMULA))
    if not text.strip():
        raise MalformedError("formula", said("a-formula-is-empty"))
    reader = _Latex(text) if is_latex(text) else _Keyboard(typed_substances(text))
    row = reader.read()
    if not row.nodes:
        raise MalformedError("formula", said("a-formula-is-empty"))
    return row


def is_latex(text: str) -> bool:
    return "\\" in text or "^{" in text or "_{" in text or "{,}" in text


class _Reader:
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
        return Row((Table(_squared([_aligned(line) for line in lines]), "lines"),))


def _squared(lines: list[list[Row]]) -> tuple[tuple[Row, ...], ...]:
    wide = max(map(len, lines))
    return tuple(tuple(line) + (Row(),) * (wide - len(line)) for line in lines)


def _aligned(line: list[Row]) -> list[Row]:
    """A line in two parts, before and from its first relation on, unless it says itself where."""
    if len(line) > 1:
        return line
    nodes = line[0].nodes
    for at, node in enumerate(nodes):
        if isinstance(node, Sign) and node.name in SIGNS and SIGNS[node.name].kind == "relation":
            return [Row(nodes[:at]), Row(nodes[at:])]
    return [Row(), line[0]]


class _Latex(_Reader):
    def __init__(self, text: str) -> None:
        super().__init__([token for token in _LATEX.findall(text)])

    def read(self) -> Row:
        row = self.in_lines(self._cells, lambda: self.next == r"\\" and bool(self.take()))
        if self.at < len(self.tokens):
            raise MalformedError("formula", said("a-formula-has-an-odd", sign=self.next))
        return row

    def _cells(self) -> list[Row]:
        cells = [self._row()]
        while self.next == "&":
            self.take()
            cells.append(self._row())
        return cells

    def _row(self, stop: str = "") -> Row:
        nodes: list[Node] = []
        while self.at < len(self.tokens):
            token = self.next
            if token in ("}", "&", r"\\", r"\right", r"\end") or (stop and token == stop):
                break
            nodes += self._scripted(self._atom())
        return paired(nodes)

    def _scripted(self, base: Row) -> tuple[Node, ...]:
        sub = sup = None
        while True:
            self._skip_space()
            if self.next == "_" and sub is None:
                self.take()
                sub = self._argument()
            elif self.next == "^" and sup is None:
                self.take()
                sup = self._argument()
            elif self.next in PRIMES and sup is None:
                sup = self._primes()
            elif self.next in (r"\limits", r"\nolimits"):
                self.take()
            else:
                break
        return base.nodes if sub is None and sup is None else (Script(base, sub, sup),)

    def _skip_space(self) -> None:
        while self.next.isspace():
            self.take()

    def _argument(self) -> Row:
        """What a command or a script takes: a group, or the next sign."""
        self._skip_space()
        if self.next[:1].isdigit() and len(self.next) > 1:
            token = self.take()
            self.at -= 1
            self.tokens[self.at] = token[1:]
            return Row((Number(token[0]),))
        if not self.next or self.next in ("}", "&", r"\\", r"\right", r"\end", "^", "_"):
            raise MalformedError("formula", said("a-formula-lacks-something"))
        return self._atom()

    def _atom(self) -> Row:
        token = self.take()
        if token.isspace():
            return Row()
        if token == "{":
            return self._closed(self.deeper(self._row))
        if token[:1].isdigit():
            return Row((Number(token.replace("{,}", ",")),))
        if token in ("^", "_"):
            self.at -= 1
            return Row()  # scripts of nothing: an isotope's numbers
        if token.startswith("\\"):
            return self._command(SAME.get(token, token))
        name = BY_CHARACTER.get(token, token)
        if name in SIGNS or (len(name) == 1 and name.isalpha()):
            return Row((Sign(name),))
        return Row((_sign_of(token),))

    def _closed(self, row: Row) -> Row:
        if self.take() != "}":
            raise MalformedError("formula", said("a-bracket-is-not-closed", sign="{"))
        return row

    def _command(self, name: str) -> Row:
        if name in (r"\frac", r"\dfrac", r"\tfrac", r"\cfrac"):
            above = self.deeper(self._argument)
            return Row((Fraction(above, self.deeper(self._argument)),))
        if name == r"\binom":
            above = self.deeper(self._argument)
            table = Table(((above,), (self.deeper(self._argument),)), "matrix")
            return Row((Fenced("(", Row((table,)), ")"),))
        if name == r"\sqrt":
            index = None
            self._skip_space()
            if self.next == "[":
                self.take()
                index = self.deeper(lambda: self._row("]"))
                if self.take() != "]":
                    raise MalformedError("formula", said("a-bracket-is-not-closed", sign="["))
            return Row((Root(self.deeper(self._argument), index),))
        if name in OVERS:
            mark = {r"\bar": r"\overline", r"\overrightarrow": r"\vec", r"\widehat": r"\hat"}.get(name, name)
            return Row((Over(mark, self.deeper(self._argument)),))
        if name == r"\left":
            left = self._fence()
            body = self.deeper(self._row)
            if self.take() != r"\right":
                raise MalformedError("formula", said("a-bracket-is-not-closed", sign=left or "."))
            return Row((Fenced(left, body, self._fence()),))
        if name == r"\begin":
            return self._environment()
        if name in (r"\text", r"\textrm", r"\mbox"):
            return Row((Word(self._raw()),))
        if name in (r"\mathrm", r"\operatorname"):
            return self._upright(self._argument())
        if name == r"\mathbb":
            nodes = self._argument().nodes
            letter = rf"\mathbb{{{nodes[0].name}}}" if len(nodes) == 1 and isinstance(nodes[0], Sign) else ""
            if letter in BLACKBOARD:
                return Row((Sign(letter),))
            raise MalformedError("formula", said("a-formula-has-an-odd", sign=name))
        if name == r"\not":
            nodes = self._argument().nodes
            turned = {"=": r"\ne", r"\in": r"\notin"}.get(
                nodes[0].name if nodes and isinstance(nodes[0], Sign) else ""
            )
            if turned:
                return Row((Sign(turned),))
            raise MalformedError("formula", said("a-formula-has-an-odd", sign=r"\not"))
        if name in GAPS:
            return Row((Gap(GAPS[name]),)) if GAPS[name] else Row()
        if name in PLAIN:
            return Row()
        if name[1:] in FUNCTIONS:
            return Row((Word(name[1:], function=True),))
        if name in SIGNS:
            return Row((Sign(name),))
        raise MalformedError("formula", said("a-formula-has-an-odd", sign=name))

    def _upright(self, row: Row) -> Row:
        """Letters as they stand in units and substances."""
        return Row(
            tuple(
                Sign(node.name, True) if isinstance(node, Sign) and node.name.isalpha() else node
                for node in row.nodes
            )
        )

    def _raw(self) -> str:
        """The text of a group, as it is."""
        self._skip_space()
        if self.take() != "{":
            raise MalformedError("formula", said("a-formula-lacks-something"))
        text = ""
        while self.next not in ("}", "{", ""):
            text += self.take()
        if self.take() != "}":
            raise MalformedError("formula", said("a-bracket-is-not-closed", sign="{"))
        return text

    def _fence(self) -> str:
        self._skip_space()
        token = self.take()
        name = SAME.get(token, token)
        if name == ".":
            return ""
        name = BY_CHARACTER.get(name, name)
        if name not in SIGNS or (SIGNS[name].kind not in ("open", "close") and name not in ("|", r"\|", "/")):
            raise MalformedError("formula", said("a-formula-has-an-odd", sign=token or r"\left"))
        return name

    def _environment(self) -> Row:
        name = self._raw()
        if name not in TABLES:
            raise MalformedError("formula", said("a-formula-has-an-odd", sign=name))
        form, left, right = TABLES[name]
        if name == "array" and self.next == "{":
            self._raw()

        def body() -> Row:
            lines = [self._cells()]
            while self.next == r"\\":
                self.take()
                lines.append(self._cells())
            if len(lines) > 1 and not any(cell.nodes for cell in lines[-1]):
                lines.pop()
            if len(lines) > MAX_LINES or max(map(len, lines)) > MAX_COLUMNS:
                raise MalformedError("formula", said("a-formula-has-too-many"))
            return Row((Table(_squared(lines), form),))

        row = self.deeper(body)
        if self.take() != r"\end" or self._raw() != name:
            raise MalformedError("formula", said("a-bracket-is-not-closed", sign=name))
        return Row((Fenced(left, row, right),)) if left or right else row


class _Keyboard(_Reader):
    def __init__(self, text: str) -> None:
        super().__init__(_KEYBOARD.findall(text.replace("\r", "")))

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
            if self.next == "/" and nodes and not _is_sign(nodes[-1]):
                self.take()
                self._skip_space()
                below = self._operand(stops, _is_unit(nodes[-1]))
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
            return Row((Number(token),))
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
        return Row((_sign_of(token),))

    def _fenced(self, opened: str) -> Row:
        name = BY_CHARACTER.get(opened, opened)
        body = self.deeper(lambda: self._row(frozenset(")]}")))
        closed = self.next
        if closed not in (")", "]", "}"):
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


def _sign_of(character: str) -> Sign:
    """A single character as a sign; raises MalformedError for those that are none of maths."""
    name = BY_CHARACTER.get(character, character)
    if name in SIGNS or (len(name) == 1 and name.isalpha()):
        return Sign(name)
    raise MalformedError("formula", said("a-formula-has-an-odd", sign=character))


def _is_sign(node: Node) -> bool:
    """Whether nothing can be divided there."""
    return (
        isinstance(node, Sign)
        and node.name in SIGNS
        and SIGNS[node.name].kind in ("binary", "relation", "open", "comma")
    )


def _product_start(nodes: list[Node]) -> int:
    """Where the product begins that a stroke divides: n(n+1)/2, but sin x/2 is the sine of the half."""
    start = len(nodes)
    while start and not _is_sign(nodes[start - 1]) and not _is_large(nodes[start - 1]):
        if _is_function(nodes[start - 1]):
            return start - 1 if isinstance(nodes[start], Fenced) else start
        start -= 1
        if start and isinstance(nodes[start], Number) and isinstance(nodes[start - 1], Number):
            break  # a whole number before a fraction
    return start


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


def paired(nodes: list[Node]) -> Row:
    """A row in which brackets that belong together embrace what is between them."""
    stack: list[tuple[str, list[Node]]] = [("", [])]
    for node in nodes:
        # A closing bracket may carry scripts: (a+b)^2.
        bare = node.base.nodes[0] if isinstance(node, Script) and len(node.base.nodes) == 1 else node
        name = bare.name if isinstance(bare, Sign) else ""
        if name in OPENING and bare is node:
            stack.append((name, []))
            continue
        bars = name == "|" and len(stack) > 1 and stack[-1][0] == "|"
        if (name in CLOSING and len(stack) > 1 and stack[-1][0] != "|") or bars:
            left, inner = stack.pop()
            fenced = Fenced(left, Row(tuple(inner)), name)
            stack[-1][1].append(
                Script(Row((fenced,)), node.sub, node.sup) if isinstance(node, Script) else fenced
            )
            continue
        if name == "|" and bare is node and _opens(stack[-1][1]):
            stack.append(("|", []))
            continue
        stack[-1][1].append(node)
    while len(stack) > 1:
        # What was never closed is a sign.
        left, inner = stack.pop()
        stack[-1][1].extend([Sign(left), *inner])
    return Row(tuple(stack[0][1]))


def _opens(before: list[Node]) -> bool:
    """Whether a bar there begins an absolute value: nothing, or a sign, is before it."""
    return not before or _is_sign(before[-1])
