"""Formulas in LaTeX to notation: a known set of commands, and nothing else is ever run or looked up."""

from __future__ import annotations

import re

from sunroom.core.errors import MalformedError
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
    upright,
)
from sunroom.core.maths.signs import BLACKBOARD, BY_CHARACTER, FUNCTIONS, OVERS, SAME, SIGNS
from sunroom.core.maths.tokens import MAX_COLUMNS, MAX_LINES, PRIMES, TokenReader, paired, sign_of, squared
from sunroom.core.sentences import said

GAPS = {r"\,": 0.17, r"\;": 0.28, r"\:": 0.22, r"\ ": 0.25, r"\quad": 1.0, r"\qquad": 2.0, r"\!": 0.0}
#: Tables by their LaTeX environments, and the brackets around them.
TABLES: dict[str, tuple[Form, str, str]] = {
    "matrix": ("matrix", "", ""), "pmatrix": ("matrix", "(", ")"), "bmatrix": ("matrix", "[", "]"), "vmatrix": ("matrix", "|", "|"),
    "Bmatrix": ("matrix", r"\{", r"\}"), "cases": ("cases", r"\{", ""), "aligned": ("lines", "", ""), "align*": ("lines", "", ""),
    "align": ("lines", "", ""), "gathered": ("lines", "", ""), "array": ("matrix", "", ""),
}  # fmt: skip
#: Commands that only say how large or in which face the rest is: their body counts.
PLAIN = frozenset([r"\mathit", r"\mathbf", r"\boldsymbol", r"\displaystyle", r"\textstyle", r"\relax", r"\limits", r"\nolimits", r"\mathopen",
                   r"\mathclose", r"\big", r"\Big", r"\bigl", r"\bigr", r"\Bigl", r"\Bigr"])  # fmt: skip

_LATEX = re.compile(r"\\[A-Za-z]+\*?|\\.|\d+(?:\.\d+)?(?:\{,\}\d+)?|\s+|.", re.DOTALL)


class LatexReader(TokenReader):
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
        if sub is None and sup is None:
            return base.nodes
        if base.nodes and isinstance(base.nodes[0], Gap):
            # 20\,^\circ: the degree belongs to what is before the room.
            return (*base.nodes, Script(Row(), sub, sup))
        return (Script(base, sub, sup),)

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
        return Row((sign_of(token),))

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
            return upright(self._argument())
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
            return Row((Table(squared(lines), form),))

        row = self.deeper(body)
        if self.take() != r"\end" or self._raw() != name:
            raise MalformedError("formula", said("a-bracket-is-not-closed", sign=name))
        return Row((Fenced(left, row, right),)) if left or right else row
