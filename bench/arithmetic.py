"""Sums and fractions in one line, read as text and as a formula: real digits that training never sees, signs of held-out hands."""

from __future__ import annotations

import time
from collections.abc import Callable, Sequence

import numpy as np

from bench.digits import MEASURED, Strokes, hands_for, in_real_digits
from bench.sums import bare
from bench.table import Row, show
from bench.unseen import plain
from sunroom.resources import reader, written_reader

LINES = 200
#: Of text and of a formula, what the other writes otherwise.
ALIKE = {r"\times": "×", r"\cdot": "×", "·": "×", r"\div": "÷", r"\lt": "<", r"\gt": ">", "{": "", "}": ""}

Random = np.random.Generator


def rows(file: str = MEASURED) -> list[Row]:
    """How many come out right, spaces aside; beside them the plain recogniser."""
    random = np.random.default_rng(37)
    made = {
        "sums in a line": _written(_sum, file, random),
        "sums of fractions in a line": _written(_fractions, file, random),
    }
    return [
        row
        for what, lines in made.items()
        for row in (
            _measured(f"{what}, as text", lines, _as_text),
            _measured(f"{what}, as a formula", lines, _as_formula),
        )
    ]


def _written(one: Callable[[Random], str], file: str, random: Random) -> list[tuple[str, Strokes]]:
    made = []
    for number in range(LINES):
        text = one(random)
        text = text if random.random() < 0.8 else text.replace(" ", "")
        hand = hands_for(1, text, number)[0]
        made.append((text, in_real_digits(text, hand, random, file, random.uniform(8, 22))))
    return made


def _sum(random: Random) -> str:
    """With what comes out or without, as a teacher or a student writes it."""
    sign = str(random.choice(["+", "-", "×", "÷", ":"]))
    one, two = sorted((int(n) for n in random.integers(1, 100 if sign in "+-" else 13, 2)), reverse=True)
    three = {"+": one + two, "-": one - two, "×": one * two}.get(sign, one)
    if sign in "÷:":
        one *= two
    return str(
        random.choice(
            [f"{one} {sign} {two}", f"{one} {sign} {two} =", f"{one} {sign} {two} = {three}"],
            p=[0.2, 0.1, 0.7],
        )
    )


def _fractions(random: Random) -> str:
    below, other = (int(n) for n in random.integers(2, 13, 2))
    one, two = int(random.integers(1, below + 1)), int(random.integers(1, other + 1))
    made = f"{one}/{below} {random.choice(['+', '-', '×'])} {two}/{other}"
    return made + (f" = {random.integers(1, 20)}/{below * other}" if random.random() < 0.5 else "")


def _measured(what: str, made: Sequence[tuple[str, Strokes]], read: Callable[[Strokes], list[str]]) -> Row:
    right = three = base = 0
    times = []
    for text, strokes in made:
        start = time.perf_counter()
        said = [_alike(each) for each in read(strokes)[:3]]
        times.append((time.perf_counter() - start) * 1000)
        right += said[:1] == [_alike(text)]
        three += _alike(text) in said
        base += _alike(plain(strokes)) == _alike(text)
    count = len(made)
    value = (
        f"{100 * right / count:.1f} % exact, {100 * three / count:.1f} % in the first three; {show(times)}"
    )
    return Row(
        f"{what} ({count})", value, f"plain recogniser {100 * base / count:.1f} %", "no worse", right >= base
    )


def _alike(text: str) -> str:
    for one, other in ALIKE.items():
        text = text.replace(one, other)
    return bare(text)


def _as_text(strokes: Strokes) -> list[str]:
    return [reading.text for reading in reader().read(strokes)]


def _as_formula(strokes: Strokes) -> list[str]:
    return [reading.latex for reading in written_reader().read([stroke[:, :2] for stroke in strokes])]
