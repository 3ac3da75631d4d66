"""Sums in columns, as a lesson has them: real digits one in each square, a sign, and lines under what is added."""

from __future__ import annotations

import time

import numpy as np

from bench.digits import Digits, Strokes, as_ink, real_digits
from bench.table import Row, show
from bench.unseen import plain
from sunroom.resources import reader

SUMS = 120
SQUARE = 48.0
#: Half the size of a sign, and a digit's height in squares.
SIGN, HIGH = 11.0, (0.66, 0.82)
#: The strokes of each sign, in halves of its size about its middle.
SIGNS = {
    "+": (((-1, 0), (1, 0)), ((0, -1), (0, 1))),
    "-": (((-1, 0), (1, 0)),),
    "×": (((-1, -1), (1, 1)), ((1, -1), (-1, 1))),
    "=": (((-1, -0.4), (1, -0.4)), ((-1, 0.4), (1, 0.4))),
    ":": (((-0.1, -0.7), (0.1, -0.6)), ((-0.1, 0.6), (0.1, 0.7))),
}


def row() -> Row:
    """How many sums come out whole, spaces and all; beside them the plain recogniser, whatever its spaces."""
    random = np.random.default_rng(36)
    return measured("sums in columns", [written(n, real_digits(), random) for n in range(SUMS)])


def measured(what: str, made: list[tuple[list[str], Strokes]]) -> Row:
    """How many are read whole, and how many of their rows; those beside each other come in either order."""
    whole = rows = wanted = base = 0
    times = []
    for texts, strokes in made:
        start = time.perf_counter()
        said = [line.rivals[0].text for line in reader().read_lines(strokes)]
        times.append((time.perf_counter() - start) * 1000)
        whole += sorted(said) == sorted(texts)
        wanted += len(texts)
        rows += sum(text in said for text in texts)
        base += sorted(bare(plain(strokes))) == sorted(bare("".join(texts)))
    count = len(made)
    value = f"{100 * whole / count:.1f} % whole, {100 * rows / wanted:.1f} % of the lines; {show(times)}"
    plainly = f"plain recogniser {100 * base / count:.1f} %"
    return Row(f"{what} of real digits ({count})", value, plainly, "no worse", whole >= base)


def written(number: int, real: Digits, random: np.random.Generator) -> tuple[list[str], Strokes]:
    """Lines of a sum, and its ink: three times of four two numbers and what comes out, else a long multiplication."""
    one = int(random.integers(12, 9_999))
    sign = str(random.choice(["+", "-", "×"]))
    if number % 4 == 3:
        one, two, sign = int(random.integers(100, 999)), int(random.integers(12, 99)), "×"
        rows = [str(one), f"× {two}", str(one * (two % 10)), f"+ {one * (two // 10) * 10}", str(one * two)]
    else:
        two = int(random.integers(2, 10)) if sign == "×" else int(random.integers(1, one))
        rows = [str(one), f"{sign} {two}", str({"+": one + two, "-": one - two, "×": one * two}[sign])]
    columns = max(len(row.replace(" ", "")) for row in rows) + 1
    strokes: Strokes = []
    for down, text in enumerate(rows):
        strokes += in_squares(text, columns - len(text.replace(" ", "")), down, SQUARE, real, random)
        if down in (1, len(rows) - 2):
            under = SQUARE * (down + 1.04)
            ends = np.array([(0.2 * SQUARE, under), (columns * SQUARE, under + random.normal(0, 2))])
            strokes.append(line(*ends, random))
    return rows, as_ink(strokes)


def in_squares(
    text: str, across: float, down: float, wide: float, real: Digits, random: np.random.Generator
) -> Strokes:
    """A row of digits and signs without its spaces, one every ``wide`` from a column on."""
    strokes: Strokes = []
    for at, character in enumerate(text.replace(" ", "")):
        left, top = (across + at) * wide, down * SQUARE
        if character in SIGNS:
            middle = np.array([left + wide / 2, top + SQUARE / 2]) + random.normal(0, 2, 2)
            strokes += [line(*(np.array(stroke) * SIGN + middle), random) for stroke in SIGNS[character]]
            continue
        found = [np.array(stroke) for stroke in real[character][random.integers(len(real[character]))]]
        high = SQUARE * random.uniform(*HIGH)
        digit = float(np.ptp(np.vstack(found)[:, 0])) * high
        corner = np.array([left + (wide - digit) / 2, top + (SQUARE - high) / 2])
        strokes += [stroke * high + corner + random.normal(0, 2, 2) for stroke in found]
    return strokes


def line(start: np.ndarray, end: np.ndarray, random: np.random.Generator) -> np.ndarray:
    """A straight stroke with some tremor, in board units."""
    way = np.linspace(0, 1, 12)[:, None]
    return np.asarray(start) * (1 - way) + np.asarray(end) * way + random.normal(0, 0.6, (12, 2))


def bare(text: str) -> str:
    """A text without capitals and spaces."""
    return "".join(text.casefold().replace("×", "x").split())
