"""Where an inequality in one letter holds, as intervals on a stretch of the number line."""

from __future__ import annotations

import itertools
import math
from collections.abc import Callable, Sequence
from typing import Literal, NamedTuple

import numpy as np

from sunroom.core.errors import MalformedError
from sunroom.core.maths.curves import holds
from sunroom.core.maths.drawable import COMPARED, names_of
from sunroom.core.maths.grammar import meaning_of
from sunroom.core.maths.meaning import Lines, Meaning, Name, Relation
from sunroom.core.maths.typed import read_formula
from sunroom.core.maths.values import values
from sunroom.core.sentences import said

#: The stretches that are looked at, the first that holds all ends well inside; samples of each, and halvings of an end.
STRETCHES = (5.0, 10.0, 50.0, 500.0, 1e5)
SAMPLES, HALVINGS = 4_000, 60
MOST = 8
#: Two sides that differ by this part of themselves are equal.
SAME = 1e-7


class Interval(NamedTuple):
    """From ``low`` to ``high``, which belong to it or not; ±inf where it goes on beyond the stretch."""

    low: float
    high: float
    low_in: bool
    high_in: bool


def intervals(formula: str) -> tuple[str, float, list[Interval]]:
    """The letter, how far the line reaches on both sides, and where all holds; raises MalformedError for what is no inequality of one letter."""
    meant = meaning_of(read_formula(formula))
    letters = names_of(meant)
    if len(letters) != 1:
        raise MalformedError("formula", said("that-is-no-inequality"))
    together = _ways(meant, "and")
    found = _intervals(together, *letters)
    if not found[2]:
        # x < -1, x > 3: beside each other stands what cannot hold at once.
        apart = _ways(meant, "or")
        found = found if apart == together else _intervals(apart, *letters)
    return found


def _ways(meant: Meaning, beside: Literal["and", "or"]) -> list[tuple[Relation, ...]]:
    """Comparisons that hold at once, in each of several ways; what stands ``beside`` each other is joined so."""
    if isinstance(meant, Lines):
        each = [_ways(line, beside) for line in meant.lines]
        either = (meant.joined or beside) == "or"
        if (sum if either else math.prod)(map(len, each)) > MOST:
            raise MalformedError("formula", said("a-formula-is-too-long-to"))
        if either:
            return [way for ways in each for way in ways]
        return [tuple(relation for way in ways for relation in way) for ways in itertools.product(*each)]
    if not isinstance(meant, Relation) or not set(meant.signs) <= COMPARED:
        raise MalformedError("formula", said("that-is-no-inequality"))
    return [(meant,)]


def _intervals(ways: list[tuple[Relation, ...]], letter: str) -> tuple[str, float, list[Interval]]:
    name = Name(*letter.split("_", 1)) if "_" in letter else Name(letter)

    def inside(x: np.ndarray) -> np.ndarray:
        # The sides may be numbers alone, with one answer for all places.
        held = [np.broadcast_to(holds(relations, {letter: x}), x.shape) for relations in ways]
        return np.asarray(np.any(held, axis=0))

    found, reach = _within(inside, STRETCHES[0]), STRETCHES[0]
    for further in STRETCHES:
        there = _within(inside, further)
        if len(there) > MOST:
            break  # further out there are ever more of them
        found, reach = there, further
        ends = [abs(end) for each in found for end in each[:2] if math.isfinite(end)]
        if ends and max(ends) < 0.85 * reach:
            break
    else:
        # Everywhere, or nowhere, or out of all sight.
        reach = reach if ends else STRETCHES[0]
    return name.letter, reach, [_ended(each, ways, letter) for each in found[:MOST]]


def _within(inside: Callable[[np.ndarray], np.ndarray], reach: float) -> list[Interval]:
    # Not on round numbers, where the ends are.
    x = np.linspace(-reach, reach, SAMPLES) + reach * 1.37e-5
    holding = inside(x)
    edges = np.flatnonzero(holding[1:] != holding[:-1])[: 2 * MOST + 2]
    ends = []
    for at in edges:
        low, high = float(x[at]), float(x[at + 1])
        for _ in range(HALVINGS):
            middle = (low + high) / 2
            if bool(inside(np.array([middle]))[0]) == bool(holding[at]):
                low = middle
            else:
                high = middle
        ends.append((low + high) / 2)
    marks = [*([-math.inf] if holding[0] else []), *ends, *([math.inf] if holding[-1] else [])]
    return [Interval(low, high, False, False) for low, high in zip(marks[::2], marks[1::2], strict=False)]


def _ended(each: Interval, ways: list[tuple[Relation, ...]], letter: str) -> Interval:
    """The interval with ends in plain numbers, and whether they belong to it."""
    low, high = (_plain(end) for end in each[:2])
    belongs = [any(_belongs(end, relations, letter) for relations in ways) for end in (low, high)]
    return Interval(low, high, *belongs)


def _belongs(end: float, relations: Sequence[Relation], letter: str) -> bool:
    """Whether all holds at an end, where some two sides are equal but for the last digits."""
    if not math.isfinite(end):
        return False
    for relation in relations:
        sides = [float(values(side, {letter: end})) for side in relation.sides]
        for left, right, sign in zip(sides, sides[1:], relation.signs, strict=False):
            gap = (right - left) * (1 if sign in ("<", r"\le") else -1)
            near = SAME * (1 + abs(left) + abs(right))
            if not (gap > near or (sign in (r"\le", r"\ge") and gap >= -near)):
                return False
    return True


def _plain(end: float) -> float:
    if not math.isfinite(end):
        return end
    near = float(f"{end:.9g}")
    return 0.0 if abs(near) < 1e-9 else near
