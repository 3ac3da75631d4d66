"""Steps of working: formulas in their order, with the words that lead into them, join two of them, or part them."""

from __future__ import annotations

import re
from collections.abc import Collection, Sequence
from itertools import zip_longest
from typing import NamedTuple

import msgspec

from sunroom.core.maths.grammar import has_relation
from sunroom.core.maths.notation import Gap, Node, Row, Sign, Word, lines_of

#: Words that lead from one step to the next, in the languages of the rooms.
_LEADING = frozenset(
    "so then hence thus therefore since because it follows that means gives we get is "
    "also dann daher somit folglich deshalb denn weil es folgt dass das heißt wir erhalten ist "
    "donc alors ainsi car d'où il on obtient c'est à dire que s'ensuit "
    "entonces luego así pues porque por tanto lo que se tiene resulta es decir".split()
)
#: And such as join two statements to one step.
_OR, _AND = frozenset(("or", "oder", "ou", "o")), frozenset(("and", "und", "et", "y", "e"))
_WORD = re.compile(r"[^\W_]+(?:'[^\W_]+)*")


class Step(NamedTuple):
    """A line of working: the number of its formula, its own among the ``lines`` of that one, and whether words part it
    from the line before."""

    row: Row
    formula: int
    line: int = 0
    lines: int = 1
    apart: bool = False


def steps_of(formulas: Sequence[Row], words: Sequence[str] = (), beside: Collection[int] = ()) -> list[Step]:
    """The lines of some formulas, each with the ``words`` that stand before it; those of the numbers ``beside`` begin a column.

    What only joins two statements makes one step of them, which stands where the second does.
    """
    steps: list[Step] = []
    for at, (formula, before) in enumerate(zip_longest(formulas, words[: len(formulas)], fillvalue="")):
        assert isinstance(formula, Row) and isinstance(before, str)
        rows = [_in_signs(row) for row in lines_of(formula)]
        joined = _joined_by(before)
        if (
            joined
            and steps
            and at not in beside
            and len(rows) == 1
            and has_relation(rows[0])
            and has_relation(steps[-1].row)
        ):
            both = Row((*steps[-1].row.nodes, joined, *rows[0].nodes))
            steps[-1] = steps[-1]._replace(row=both, formula=at, line=0, lines=1)
            continue
        apart = at in beside or not _lead(before)
        steps += [Step(row, at, n, len(rows), apart and not n) for n, row in enumerate(rows)]
    return steps


def _lead(words: str) -> bool:
    """Whether some words, or none, only lead into the next step."""
    return _LEADING.issuperset(_words(words))


def _words(text: str) -> list[str]:
    return _WORD.findall(text.casefold().replace("’", "'"))


def _joined_by(words: str) -> Sign | None:
    """The sign that says what these words say between two statements; None where they say more."""
    said = _words(words)
    if len(said) == 1 and said[0] in _OR:
        return Sign(r"\vee")
    return Sign(",") if (len(said) == 1 and said[0] in _AND) or words.strip() in (",", ";") else None


def _in_signs(row: Row) -> Row:
    """A line without the words that lead into it, and with signs for those that join its statements."""
    nodes: list[Node] = []
    for node in row.nodes:
        if isinstance(node, Word) and not node.function:
            if sign := _joined_by(node.text):
                nodes.append(sign)
                continue
            if not nodes and _lead(node.text):
                continue
        if nodes or not isinstance(node, Gap):
            nodes.append(node)
    return msgspec.structs.replace(row, nodes=tuple(nodes))
