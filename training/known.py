"""Formulas that schools know by heart, as trees for writing."""

from __future__ import annotations

from functools import cache
from pathlib import Path
from typing import Any

from sunroom.core.maths.notation import Fenced, Fraction, Gap, Number, Over, Root, Row, Script, Sign, Word
from sunroom.core.maths.typed import read_formula
from training.formulas import Node, Random, end_script, pick, row, text

#: What schools know by heart (not those of formulas.txt, which measures).
KNOWN = Path(__file__).with_name("known_formulas.txt")


@cache
def _known() -> list[Node]:
    return [
        _node_of(read_formula("\\,".replace("\\\\", "\\") + line))
        for line in KNOWN.read_text().split("\n")
        if line
    ]


def known(random: Random) -> Node:
    """A well-known formula, now and then with other digits and letters in it."""
    made: Node = pick(random, _known())
    way = random.random()
    if way < 0.35:
        return made
    letters = (
        {a: b for a, b in zip("abcxyzfgnkpqrst", random.permutation(list("abcxyzfgnkpqrst")), strict=True)}
        if way > 0.7
        else {}
    )

    def other(node: Node) -> Node:
        if isinstance(node, str):
            if node.isdigit() and random.random() < 0.5:
                return str(random.integers(10))
            return str(letters.get(node, node))
        if isinstance(node, tuple):
            return tuple([node[0], *(other(part) for part in node[1:])])
        return [other(part) for part in node] if isinstance(node, list) else node

    return other(made)


def _node_of(node: Any) -> Node:
    """Our notation as a tree for writing."""
    match node:
        case Row(nodes=nodes):
            return row(*(_node_of(inner) for inner in nodes if not isinstance(inner, Gap)))
        case Sign(name=r"\degree"):
            return r"\circ"
        case Sign(name=name):
            return name
        case Number(digits=digits):
            return text(digits)
        case Word(text=words):
            return "lim" if words == "lim" else text(words)
        case Fraction(above=above, below=below):
            return ("frac", _node_of(above), _node_of(below))
        case Root(body=body, index=index):
            return ("sqrt", _node_of(body), None if index is None else _node_of(index))
        case Over(mark=mark, body=body):
            return ("over", mark, _node_of(body))
        case Fenced(left=left, body=body, right=right):
            return row(left, _node_of(body), right)
        case Script(base=base, sub=sub, sup=sup):
            below, above = (None if part is None else _node_of(part) for part in (sub, sup))
            inner = base.nodes[0]
            if isinstance(inner, Word) and inner.text == "lim":
                return ("big", "lim", below, above)
            if isinstance(inner, Sign) and inner.name in (r"\sum", r"\prod"):
                return ("big", inner.name, below, above)
            return end_script(_node_of(base), below, above)
    raise ValueError(node)
