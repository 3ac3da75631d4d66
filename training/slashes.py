"""Fit how likely a straight stroke is that of a fraction rather than a 1, by its lean and how far it reaches.

    python -m training.slashes

Prints the four numbers of ``sunroom.core.reading.parting``: SLASH_ODDS, SLASH_LEAN, SLASH_ABOVE, SLASH_BELOW; a few minutes.
Fractions and numbers are written by the training hands, three digits of five real ones.
"""

from __future__ import annotations

import numpy as np

from sunroom.core.reading.parting import is_straight, reach_of
from sunroom.resources import symbols
from training import writing

EACH = 1_500
SIZE = 60.0
SEED = 6
STEPS, RIDGE = 60, 1e-3


def main() -> None:
    random = np.random.default_rng(SEED)
    rows = [(found, True) for _ in range(EACH) for found in _strokes(_fraction(random), "/", random)]
    rows += [(found, False) for _ in range(EACH) for found in _strokes(_number(random), "1", random)]
    seen = np.column_stack([np.ones(len(rows)), [found for found, _ in rows]])
    weights = fitted(seen, np.array([is_slash for _, is_slash in rows]))
    print(len(rows), "strokes;", "odds, lean, above, below:", weights.round(2))


def _fraction(random: np.random.Generator) -> str:
    most = int(random.choice([20, 100]))
    return f"{random.integers(1, most)}/{random.integers(2, most)}"


def _number(random: np.random.Generator) -> str:
    digits = random.choice(list("0123456789"), int(random.integers(2, 7)))
    digits[int(random.integers(len(digits)))] = "1"
    return "".join(digits)


def _strokes(text: str, wanted: str, random: np.random.Generator) -> list[tuple[float, float, float]]:
    """Lean and reach of each stroke that says ``wanted`` by itself."""
    strokes = [s * SIZE for s in writing.written(str(random.choice(writing.training_hands())), text, random)]
    if not strokes:
        return []
    known = symbols()
    parted = known.parted(strokes) if wanted == "/" else known.parted_digits(strokes)
    found = []
    for character, (_, numbers) in zip(text, parted.symbols_of(text), strict=False):
        if character == wanted and len(numbers) == 1 and is_straight(strokes[numbers[0]]):
            others = [stroke for number, stroke in enumerate(strokes) if number != numbers[0]]
            reach = reach_of(strokes[numbers[0]], others)
            found += [reach] if reach is not None else []
    return found


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
