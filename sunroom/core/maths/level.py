"""How level the signs of a row stand: what is in one power or on one line has one foot."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

from sunroom.core.maths.written_latex import RIGHT, Tree

#: Signs that stand on the line, with all their ink above it.
STANDING = frozenset("0123456789abcdehiklmnorstuvwxzABCDEFGHIJKLMNOPRSTUVWXYZ") | {
    r"\alpha", r"\pi", r"\theta", r"\delta", r"\lambda", r"\sigma", r"\omega", r"\epsilon", r"\tau", r"\Delta", r"\Omega",
}  # fmt: skip
#: By such a part of the higher sign two neighbours' feet may differ, and no more than so much more counts.
UNEVEN, MOST = 0.35, 0.6


def unevenness(tree: Tree, tops: Sequence[float], feet: Sequence[float]) -> float:
    """By how much, in heights of a sign, signs that follow each other in a row do not stand level; y points down.

    Signs of operations, brackets and letters with a tail say nothing: the letters on both sides of a + are compared.
    """
    following = {own[RIGHT] for own in tree.children if RIGHT in own}
    total = 0.0
    for first in range(len(tree.names)):
        if first in following:
            continue
        row: dict[int, None] = {}
        at: int | None = first
        while at is not None and at not in row:
            row[at] = None
            at = tree.children[at].get(RIGHT)
        for one, two in pairwise(at for at in row if tree.names[at] in STANDING):
            height = max(feet[one] - tops[one], feet[two] - tops[two], 1e-6)
            total += min(max(abs(feet[one] - feet[two]) / height - UNEVEN, 0.0), MOST)
    return total
