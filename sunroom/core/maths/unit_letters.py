"""Units whose letters stand like all others, as handwriting has them: 5km + 300m."""

from __future__ import annotations

from collections.abc import Sequence
from contextlib import suppress
from functools import lru_cache
from itertools import takewhile

from sunroom.core.errors import MalformedError
from sunroom.core.maths.grammar import meaning_of
from sunroom.core.maths.keyboard import GLUED
from sunroom.core.maths.notation import Fenced, Fraction, Gap, Node, Number, Row, Script, Sign, upright_node
from sunroom.core.maths.units import is_unit, units_in

#: Letters of a unit at most: mmol; and of all units beside each other.
MAX_UNIT, MOST_LETTERS = 4, 16


def with_units(row: Row) -> Row | None:
    """A sum or a product of numbers and units, with the letters of units upright; None when there are none, or other letters in it."""
    last = max((at for at, node in enumerate(row.nodes) if node == Sign("=")), default=-1)
    nodes = row.nodes[last + 1 :]
    made = _with_units(nodes, False)
    return None if made is None or made == nodes else Row((*row.nodes[: last + 1], *made))


def is_sure(row: Row) -> bool:
    """Whether upright letters are units for certain: km is; m alone may be a letter, and mg a weight."""
    with suppress(MalformedError):
        return not GLUED.isdisjoint(units_in(meaning_of(row)))
    return False


def _with_units(nodes: Sequence[Node], begins: bool) -> tuple[Node, ...] | None:
    """``begins``: a unit may stand there before any number, as below a stroke."""
    made: list[Node] = []
    at, after = 0, begins
    while at < len(nodes):
        node = nodes[at]
        letters = list(takewhile(_is_letter, nodes[at:]))
        if letters:
            units = _parted("".join(_letter_of(letter) for letter in letters)) if after else None
            if units is None:
                return None
            for unit in units:
                made += (
                    [Gap(0.17)] if made and not isinstance(made[-1], Gap) and made[-1] != Sign("/") else []
                )
                made += map(upright_node, nodes[at : at + len(unit)])
                at += len(unit)
            after = True
            continue
        match node:
            case Fraction(above=above, below=below):
                plain = isinstance(above.nodes[0], Number) if above.nodes else False
                rows = _with_units(above.nodes, after or plain), _with_units(below.nodes, True)
                if rows[0] is None or rows[1] is None:
                    return None
                made.append(Fraction(Row(rows[0]), Row(rows[1])))
            case Fenced(left="(", body=body) | Script(base=Row(nodes=(Fenced(left="(", body=body),))):
                inner = _with_units(body.nodes, after)
                if inner is None:
                    return None
                fenced = Fenced("(", Row(inner), ")")
                made.append(
                    Script(Row((fenced,)), node.sub, node.sup) if isinstance(node, Script) else fenced
                )
            case Number() | Gap() | Script(base=Row(nodes=(Number(),)), sub=None):
                made.append(node)
            case Sign(name="+" | "-" | r"\cdot" | r"\times" | "/"):
                made.append(node)
            case _:
                return None
        divided = node == Sign("/") and len(made) > 1 and _is_letter(made[-2])
        after = isinstance(node, Number | Script | Fraction) or divided or (after and isinstance(node, Gap))
        at += 1
    return tuple(made)


def _is_letter(node: Node) -> bool:
    """A letter, or one with a power."""
    base = (
        node.base.nodes[0]
        if isinstance(node, Script) and node.sub is None and len(node.base.nodes) == 1
        else node
    )
    return isinstance(base, Sign) and len(base.name) == 1 and base.name.isalpha()


def _letter_of(node: Node) -> str:
    base = node.base.nodes[0] if isinstance(node, Script) else node
    return base.name if isinstance(base, Sign) else ""


@lru_cache(maxsize=512)
def _parted(letters: str) -> tuple[str, ...] | None:
    """Letters as units, the longest first; None when they are none, or too many."""
    if not letters or len(letters) > MOST_LETTERS:
        return None if letters else ()
    for length in range(min(len(letters), MAX_UNIT), 0, -1):
        rest = _parted(letters[length:]) if is_unit(letters[:length]) else None
        if rest is not None:
            return (letters[:length], *rest)
    return None
