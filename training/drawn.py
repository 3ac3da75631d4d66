"""Formulas drawn by lot, of all kinds that schools write."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from training.formulas import (
    Node,
    Random,
    arithmetic,
    derivative,
    equation,
    fractions,
    function,
    integral,
    name,
    polynomial,
    power,
    product,
    slashed,
    sum_up,
    total,
    working,
)
from training.known import known
from training.subjects import chemistry, geometry, physics, sequence, sets, units, vectors

KINDS: list[tuple[Callable[[Random], Node], float]] = [
    (equation, 16), (polynomial, 10), (product, 5), (sum_up, 7), (integral, 7), (derivative, 6), (geometry, 9), (sets, 8),
    (vectors, 7), (working, 4), (known, 45), (units, 8), (physics, 9), (chemistry, 10), (sequence, 5), (arithmetic, 11), (fractions, 6), (slashed, 14),
    (lambda random: function(random, 2), 4), (lambda random: total(random, 3), 5), (lambda random: name(random), 1),
    (lambda random: power(random, name(random)), 1), (lambda random: ("sqrt", total(random, 1), None), 1),
]  # fmt: skip
_SHARES = np.array([share for _, share in KINDS]) / sum(share for _, share in KINDS)


def formula(random: Random) -> Node:
    """One formula drawn by lot."""
    return KINDS[int(random.choice(len(KINDS), p=_SHARES))][0](random)


def unknown_formula(random: Random) -> Node:
    """One that is none of the well-known ones."""
    shares = np.where([kind is known for kind, _ in KINDS], 0, _SHARES)
    return KINDS[int(random.choice(len(KINDS), p=shares / shares.sum()))][0](random)
