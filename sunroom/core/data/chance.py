"""Coins, dice, spinners and numbers by lot: what can come, and how often it has."""

from __future__ import annotations

import hashlib
from collections import Counter
from collections.abc import Sequence
from typing import Literal

import msgspec
import numpy as np

from sunroom.core.characters import is_one_line
from sunroom.core.errors import MalformedError
from sunroom.core.sentences import said

ChanceKind = Literal["coin", "dice", "spinner", "numbers"]

MAX_DICE, MAX_PARTS, MAX_NAME, MAX_OUTCOMES, MAX_TIMES = 4, 12, 24, 38, 1_000
SIDES = (4, 6, 8, 10, 12, 20)
MAX_NUMBER = 1_000_000


class Chance(msgspec.Struct, frozen=True):
    """What is thrown: a coin or a spinner with named parts, ``dice`` with ``sides``, or a number from ``low`` to ``high``."""

    kind: ChanceKind
    names: tuple[str, ...] = ()
    dice: int = 1
    sides: int = 6
    low: int = 1
    high: int = 6


def check_chance(chance: Chance) -> None:
    """Hold it to its limits; raises MalformedError."""
    named = chance.kind in ("coin", "spinner")
    few, many = (2, 2) if chance.kind == "coin" else (2, MAX_PARTS)
    if named and not (
        few <= len(chance.names) <= many
        and all(0 < len(name.strip()) <= MAX_NAME and is_one_line(name) for name in chance.names)
        and len(set(chance.names)) == len(chance.names)
    ):
        raise MalformedError("names", said("a-spinner-has-parts", most=MAX_PARTS))
    if chance.kind == "dice" and not (1 <= chance.dice <= MAX_DICE and chance.sides in SIDES):
        raise MalformedError("dice", said("so-many-dice", most=MAX_DICE))
    if chance.kind == "numbers" and not (
        abs(chance.low) <= MAX_NUMBER and chance.low < chance.high <= MAX_NUMBER
    ):
        raise MalformedError("numbers", said("so-many-outcomes", most=MAX_OUTCOMES))
    if len(outcomes(chance)) > MAX_OUTCOMES:
        raise MalformedError("numbers", said("so-many-outcomes", most=MAX_OUTCOMES))


def outcomes(chance: Chance) -> Sequence[str]:
    """All that can come, in its order; of several dice their sums."""
    if chance.kind in ("coin", "spinner"):
        return chance.names
    if chance.kind == "dice":
        return [str(n) for n in range(chance.dice, chance.dice * chance.sides + 1)]
    # Not all are written out: whoever asks may only want to know that they are too many.
    return [str(n) for n in range(chance.low, min(chance.high, chance.low + MAX_OUTCOMES) + 1)]


def throw(chance: Chance, times: int, seed: str) -> tuple[Counter[str], str]:
    """How often each outcome came, and the last one as it fell; the same for the same seed."""
    random = np.random.default_rng(int.from_bytes(hashlib.blake2b(seed.encode(), digest_size=16).digest()))
    if chance.kind == "dice":
        fell = random.integers(1, chance.sides + 1, (times, chance.dice))
        last = " + ".join(map(str, fell[-1].tolist()))
        total = fell.sum(axis=1).tolist()
        return Counter(map(str, total)), last if chance.dice == 1 else f"{last} = {total[-1]}"
    all_there_are = outcomes(chance)
    came = [all_there_are[n] for n in random.integers(0, len(all_there_are), times).tolist()]
    return Counter(came), came[-1]
