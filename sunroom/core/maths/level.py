"""Where the signs of a formula stand: what follows in a row is level with it, a power stands higher, an index lower."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from sunroom.core.maths.hanging import Numbers
from sunroom.core.maths.written_latex import RIGHT, SUB, SUP, Tree

#: Signs that stand on the line, with all their ink above it; and letters with a tail, which stand so far down their height.
STANDING = frozenset("0123456789abcdehiklmnorstuvwxzABCDEFGHIJKLMNOPRSTUVWXYZ") | {
    r"\alpha", r"\pi", r"\theta", r"\delta", r"\lambda", r"\sigma", r"\omega", r"\epsilon", r"\tau", r"\Delta", r"\Omega",
}  # fmt: skip
TAILED, TAIL = frozenset("gpqy"), 0.6
#: By such a part of the higher sign two neighbours' feet may differ, and no more than so much more counts.
UNEVEN, MOST = 0.35, 0.6
#: From so many heights of a sign down on it is rather an index, from so many up rather a power; with each height more so much
#: likelier (log), and by no more than that.
INDEX_DOWN, POWER_UP, CLEARER, CLEAREST = 0.2, 0.3, 25.0, 6.0


class Stand(NamedTuple):
    """Of each sign by number how high it is, where it stands (NaN where that is not told), and whether that is its foot."""

    height: Numbers
    level: Numbers
    sure: NDArray[np.bool_]


def stand_of(names: Sequence[str], tops: Sequence[float], feet: Sequence[float]) -> Stand:
    """Where signs stand by their upper and lower ends; y points down."""
    top, foot = np.array(tops, float), np.array(feet, float)
    height = np.maximum(foot - top, 1e-6)
    sure = np.array([name in STANDING for name in names], bool)
    tailed = np.array([name in TAILED for name in names], bool)
    return Stand(height, np.where(sure, foot, np.where(tailed, top + TAIL * height, np.nan)), sure)


def row_levels(stand: Stand, parents: Sequence[int], relations: Sequence[int]) -> Numbers:
    """Of each sign where its row stands as far as it goes up to there: by the last one whose foot tells, else by its own."""
    levels = stand.level.copy()
    for at in range(len(levels)):
        before = at
        for _ in parents:
            if stand.sure[before] or parents[before] < 0 or relations[before] != RIGHT:
                break
            before = parents[before]
        if stand.sure[before]:
            levels[at] = stand.level[before]
    return levels


def drops(
    stand: Stand, rows: Numbers, children: NDArray[np.int_], parents: NDArray[np.int_]
) -> NDArray[np.float64]:
    """By how much, in heights of the larger one, signs stand lower than the rows of others; NaN where that is not told."""
    known = np.where(np.isnan(stand.level), 0.0, stand.height)
    return np.asarray(
        (stand.level[children] - rows[parents]) / np.maximum(stand.height[children], known[parents])
    )


def told_by_level(
    standing: Numbers, none: Numbers, stand: Stand, first: tuple[list[int], list[int]]
) -> Numbers:
    """(signs, signs, relations): how likely one stands at another, where the levels of both tell index, power and row apart.

    ``first``: parents and relations of the likeliest tree, by which rows are found.
    """
    count = np.arange(len(none))
    lower = drops(stand, row_levels(stand, *first), count[:, None], count[None])
    three = standing[..., [RIGHT, SUP, SUB]]
    likelier = np.stack([np.zeros_like(lower), -lower - POWER_UP, lower - INDEX_DOWN], axis=2)
    told = three + np.nan_to_num(np.clip(CLEARER * likelier, -CLEAREST, CLEAREST))
    # What they have together stays.
    told += (np.logaddexp.reduce(three, axis=2) - np.logaddexp.reduce(told, axis=2))[..., None]
    made = standing.copy()
    made[..., [RIGHT, SUP, SUB]] = told
    return made


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
