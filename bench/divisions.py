"""Long divisions, as lessons have them, in real digits: in one line, behind a bracket and beside an upright."""

from __future__ import annotations

import numpy as np

from bench.digits import Digits, Strokes, as_ink, real_digits
from bench.sums import SQUARE, in_squares, line, measured
from bench.table import Row

DIVISIONS = 120
WAYS = ("in one line", "behind a bracket", "beside an upright")
#: Digits stand in ruled squares or, each second time, as near to each other as in writing.
NEAR = 0.62 * SQUARE


def row() -> Row:
    """How many divisions come out whole; beside them the plain recogniser, whatever its spaces."""
    random = np.random.default_rng(41)
    return measured("long divisions", [written(n, real_digits(), random) for n in range(DIVISIONS)])


def written(number: int, real: Digits, random: np.random.Generator) -> tuple[list[str], Strokes]:
    """Rows of a long division, and its ink; by turns in each of the ``WAYS``, three of five with minus signs."""
    way = WAYS[number % len(WAYS)]
    wide = NEAR if number % 2 else SQUARE
    divisor = int(random.integers(2, 10) if random.random() < 0.7 else random.integers(11, 30))
    divided = divisor * int(random.integers(12, 999)) + int(
        random.integers(0, divisor) * (random.random() < 0.3)
    )
    one, two, quotient = str(divided), str(divisor), str(divided // divisor)
    minus = random.random() < 0.6
    left = len(two) + 2

    def put(text: str, across: float, down: float) -> Strokes:
        return in_squares(text, across, down, wide, real, random)

    def across(start: float, end: float, down: float) -> np.ndarray:
        return line((start * wide, down * SQUARE), (end * wide, down * SQUARE + random.normal(0, 1)), random)

    if way == WAYS[0]:
        first, texts = 1, [f"{one} : {two} = {quotient}"]
        strokes = put(texts[0], left, 0)
    elif way == WAYS[1]:
        first, texts = 2, [quotient, two, one]
        strokes = put(quotient, left + len(one) - len(quotient), 0)
        strokes += [*put(two, left - len(two) - 0.6, 1), *put(one, left, 1)]
        bend = np.linspace(0, np.pi, 10)
        hook = np.column_stack(
            [(left - 0.45) * wide + 8 * np.sin(bend), SQUARE * (1.98 - 0.98 * bend / np.pi)]
        )
        over = across(left - 0.45, left + len(one) + 0.1, 1.0)
        strokes += [np.vstack([hook, over[1:]])] if random.random() < 0.5 else [hook, over]
    else:
        first, texts = 1, [one, two, quotient]
        strokes = [
            *put(one, left, 0),
            *put(two, left + len(one) + 1, 0),
            *put(quotient, left + len(one) + 1, 1),
        ]
        upright = (left + len(one) + 0.5) * wide
        strokes.append(line((upright, 2), (upright + random.normal(0, 2), 3 * SQUARE), random))
        between = max(len(two), len(quotient)) + 1
        strokes.append(across(left + len(one) + 0.5, left + len(one) + 0.5 + between, 1.03))
    for down, (text, last) in enumerate(_steps(divided, divisor), first):
        start = left + last - len(text) + 1
        taken = (down - first) % 2 == 0
        texts.append(f"- {text}" if taken and minus else text)
        strokes += put(texts[-1], start - (taken and minus), down)
        if taken:
            strokes.append(across(start - (0.6 if minus else 0.1), left + last + 1.1, down + 1.03))
    return texts, as_ink(strokes)


def _steps(divided: int, divisor: int) -> list[tuple[str, int]]:
    """What is taken away and what is left, by turns, each with the place in ``divided`` where it ends."""
    digits, rows, rest = str(divided), [], 0
    for place, digit in enumerate(digits):
        rest = 10 * rest + int(digit)
        if rows:
            rows[-1] = (rows[-1][0] + digit, place)
        elif rest < divisor:
            continue
        taken = rest // divisor * divisor
        rest -= taken
        rows += [(str(taken), place), (str(rest), place)]
    return rows
