"""A formula in words, for those who listen: the sentences are the caller's, in any language."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import assert_never

from sunroom.core.maths.notation import (
    PRIME,
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
from sunroom.core.maths.signs import GREEK, LIMITED, shown_sign

#: The words of a key with its values.
Say = Callable[[str, Mapping[str, str | int | float]], str]

#: What is said of a sign, by its name in LaTeX; other signs are said by themselves.
SIGNS_SAID = {
    "+": "plus", "-": "minus", "=": "equals", "<": "less", ">": "greater", r"\le": "at-most", r"\ge": "at-least", r"\ne": "unequal",
    r"\approx": "about", r"\pm": "plus-minus", r"\cdot": "times", r"\times": "times", "*": "times", r"\div": "divided", "/": "divided",
    ":": "colon", r"\in": "in", r"\rightarrow": "to", r"\Rightarrow": "implies", r"\Leftrightarrow": "equivalent",
    r"\rightleftharpoons": "both-ways", r"\infty": "infinity", r"\int": "integral", r"\sum": "sum", r"\prod": "product",
    r"\degree": "degrees", r"\%": "percent", "!": "factorial", r"\partial": "partial", r"\cup": "union", r"\cap": "intersection",
    r"\emptyset": "empty-set", r"\angle": "angle", r"\parallel": "parallel", r"\perp": "perpendicular", "|": "bar", ",": "comma",
    r"\dots": "and-so-on", r"\forall": "for-all", r"\exists": "there-is", r"\sim": "similar", r"\propto": "proportional",
}  # fmt: skip
FUNCTIONS_SAID = frozenset(["sin", "cos", "tan", "ln", "log", "lim"])
MARKS_SAID = {
    r"\vec": "vector", r"\overrightarrow": "vector", r"\overline": "mean", r"\bar": "mean", r"\hat": "hat", r"\widehat": "hat",
    r"\dot": "dot",
}  # fmt: skip
#: Powers that have a name of their own.
POWERS_SAID = {"2": "squared", "3": "cubed"}


def spoken(row: Row, say: Say) -> str:
    """The formula in words, its parts in the order of reading; where a part of several signs ends is said."""
    return _Speaker(say).row(row)


class _Speaker:
    def __init__(self, say: Say) -> None:
        self._say = say

    def row(self, row: Row) -> str:
        return " ".join(word for node in row.nodes if (word := self._node(node)))

    def _said(self, key: str, **values: str | int) -> str:
        return self._say(f"spoken-{key}", values)

    def _node(self, node: Node) -> str:
        match node:
            case Row():
                return self.row(node)
            case Sign():
                return self._sign(node)
            case Number(digits=digits):
                return digits
            case Word(text=text, function=True):
                return self._said(f"function-{text}") if text in FUNCTIONS_SAID else text
            case Word(text=text):
                return text.strip()
            case Gap():
                return ""
            case Fraction(above=above, below=below):
                key = "fraction" if _is_short(above) and _is_short(below) else "long-fraction"
                return self._said(key, above=self.row(above), below=self.row(below))
            case Root(body=body, index=None):
                return self._said("root" if _is_short(body) else "long-root", body=self.row(body))
            case Root(body=body, index=index):
                assert index is not None
                return self._said("root-of", index=self.row(index), body=self.row(body))
            case Script():
                return self._script(node)
            case Over(mark=mark, body=body):
                said = self.row(body)
                return self._said(f"mark-{MARKS_SAID[mark]}", body=said) if mark in MARKS_SAID else said
            case Fenced(left="|", body=body, right="|"):
                return self._said("absolute", body=self.row(body))
            case Fenced(body=Row(nodes=(Table() as table,))):
                return self._table(table)
            case Fenced(body=body):
                return self._said("brackets", body=self.row(body))
            case Table():
                return self._table(node)
        assert_never(node)

    def _sign(self, sign: Sign) -> str:
        if sign.name in SIGNS_SAID:
            return self._said(f"sign-{SIGNS_SAID[sign.name]}")
        letter = sign.name.lstrip("\\") if sign.name in GREEK else shown_sign(sign.name)
        large = letter[:1].isupper() and not sign.upright
        return self._said("capital", letter=letter.lower()) if large else letter

    def _script(self, node: Script) -> str:
        base, sub, sup = self.row(node.base), node.sub, node.sup
        if _has_limits(node.base):
            if sub is not None and sup is not None:
                return self._said("from-to", sign=base, low=self.row(sub), high=self.row(sup))
            return self._said("limit", sign=base, low=self.row(sub or sup or Row()))
        if sub is not None:
            base = self._said("index", base=base, index=self.row(sub))
        if sup is None:
            return base
        if all(inner == PRIME for inner in sup.nodes):
            return " ".join([base, *[self._said("prime")] * len(sup.nodes)])
        power = self.row(sup)
        if power in POWERS_SAID and len(sup.nodes) == 1:
            return self._said(POWERS_SAID[power], base=base)
        return self._said("power" if _is_short(sup) else "long-power", base=base, power=power)

    def _table(self, table: Table) -> str:
        key = "line" if table.form == "lines" else "row"
        rows = []
        for number, cells in enumerate(table.rows, 1):
            parts = [said for cell in cells if (said := self.row(cell))]
            rows.append(self._said(key, number=number, words=(" " if key == "line" else ", ").join(parts)))
        return " ".join(rows)


def _is_short(row: Row) -> bool:
    """Whether it is heard as one thing without saying where it ends."""
    return len(row.nodes) <= 1 or (
        all(isinstance(node, Number | Sign) for node in row.nodes) and len(row.nodes) <= 2
    )


def _has_limits(base: Row) -> bool:
    match base.nodes:
        case (Word(text=text, function=True),):
            return text in LIMITED
        case (Sign(name=name),):
            return name in (r"\sum", r"\prod", r"\int", r"\oint", r"\bigcup", r"\bigcap")
        case _:
            return False
