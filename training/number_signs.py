"""Fit how likely a straight stroke is that of a fraction rather than a 1, and a ring a degree sign rather than a 0.

    python -m training.number_signs

Prints the numbers of ``sunroom.core.reading.parting``: SLASH_ODDS, SLASH_LEAN, SLASH_ABOVE, SLASH_BELOW, by how the stroke leans
and how far it reaches, and RING_ODDS, RING_HEIGHT, RING_LIFT, by how high the ring is and how far above the others it ends; a few
minutes. Training hands write, three digits of five are real ones.
"""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from sunroom.core.geometry.curves import Points
from sunroom.core.reading.parting import is_straight, reach_of, ring_of
from sunroom.resources import symbols
from training import writing

EACH = 1_500
SIZE = 60.0
SEED = 6
STEPS, RIDGE = 60, 1e-3
#: One in so many hands writes: their forms are traced first.
HANDS = 4

Random = np.random.Generator
#: What is measured of a stroke beside the others; None when it is no such stroke.
Measure = Callable[[Points, list[Points]], tuple[float, ...] | None]


def main() -> None:
    random = np.random.default_rng(SEED)
    told = ((_fraction, "/", _reach, "1"), (_degrees, "°", ring_of, "0"))
    for write, sign, measure, digit in told:
        rows = [(m, True) for _ in range(EACH) for m in _measured(write(random), sign, measure, random)]
        rows += [
            (m, False) for _ in range(EACH) for m in _measured(_number(digit, random), digit, measure, random)
        ]
        seen = np.column_stack([np.ones(len(rows)), [found for found, _ in rows]])
        weights = fitted(seen, np.array([is_sign for _, is_sign in rows]))
        print(sign, len(rows), "strokes; odds, and for what is measured:", weights.round(2))


def _fraction(random: Random) -> str:
    most = int(random.choice([20, 100]))
    return f"{random.integers(1, most)}/{random.integers(2, most)}"


def _degrees(random: Random) -> str:
    return f"{random.integers(2, 361)}°"


def _number(digit: str, random: Random) -> str:
    digits = random.choice(list("0123456789"), int(random.integers(2, 7)))
    digits[int(random.integers(len(digits)))] = digit
    return "".join(digits)


def _reach(stroke: Points, others: list[Points]) -> tuple[float, ...] | None:
    return reach_of(stroke, others) if is_straight(stroke) else None


def _measured(text: str, wanted: str, measure: Measure, random: Random) -> list[tuple[float, ...]]:
    """What is measured of each stroke that says ``wanted`` by itself."""
    hand = str(random.choice(writing.training_hands()[::HANDS]))
    strokes = [s * SIZE for s in writing.written(hand, text, random)]
    if not strokes:
        return []
    known = symbols()
    parted = known.parted_digits(strokes) if wanted.isdigit() else known.parted(strokes)
    found = []
    for character, (_, numbers) in zip(text, parted.symbols_of(text), strict=False):
        if character == wanted and len(numbers) == 1:
            others = [stroke for number, stroke in enumerate(strokes) if number != numbers[0]]
            found.append(measure(strokes[numbers[0]], others))
    return [measured for measured in found if measured is not None]


def fitted(seen: np.ndarray, is_so: np.ndarray, ridge: float = RIDGE) -> np.ndarray:
    """Weights of a logistic regression, by Newton's method."""
    weights = np.zeros(seen.shape[1])
    for _ in range(STEPS):
        share = 1 / (1 + np.exp(-seen @ weights))
        slope = seen.T @ (is_so - share) - ridge * weights
        bend = (seen * (share * (1 - share))[:, None]).T @ seen + ridge * np.eye(len(weights))
        weights += np.linalg.solve(bend, slope)
    return weights


if __name__ == "__main__":
    main()
