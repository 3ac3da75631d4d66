"""Numbers in real digits that training never sees, each digit by another hand; and the hands whose signs stand beside them."""

from __future__ import annotations

import json
import math
from functools import cache
from pathlib import Path

import numpy as np

from demo.hand import Hand
from sunroom.core.geometry import Box

NUMBERS, ROWS_OF_NUMBERS, EUROPEAN_NUMBERS = 500, 150, 150
#: What stands amid words, which, and how far from them in px.
AMID_WORDS = 180
AMID = ("{one}", "{two}/{one}", "{hour}:{minute:02d}", "{day}/{month}/{year}", "{one}°", "{one}%")
BESIDE, WORDS_APART = (
    ("noon", "angle", "page", "lesson", "stick", "shadow", "minutes", "metres", "Monday", "about"),
    (18.0, 40.0),
)
#: The digits that are measured, and those that nobody looks at until a change is done.
MEASURED, LAST = "digits", "digits-last"
#: How the stroke up to the top of a 1 leans from level, and how long it is, as a part of the height.
FLAG_DEG, FLAG_LONG = (25, 60), (0.25, 0.6)

HANDS = sorted(
    file for file in (Path(__file__).parent / "hands").glob("*.json") if not file.stem.startswith("digits")
)

Strokes = list[np.ndarray]
#: Of each digit many, each some strokes of points, 1 unit high.
Digits = dict[str, list[list[list[list[float]]]]]


@cache
def real_digits(file: str = MEASURED) -> Digits:
    """Real digits of bench/hands."""
    real: Digits = json.loads((Path(__file__).parent / "hands" / f"{file}.json").read_text())
    return real


def numbers(file: str = MEASURED) -> list[tuple[str, Strokes]]:
    """Numbers of two to six digits."""
    random = np.random.default_rng(11)
    return [_written(_random_number(2, 7, random), random, file=file) for _ in range(NUMBERS)]


def rows_of_numbers() -> list[tuple[str, Strokes]]:
    """Two to four numbers of one to three digits beside each other."""
    random = np.random.default_rng(12)
    counts = random.integers(2, 5, ROWS_OF_NUMBERS).tolist()
    return [
        _written(" ".join(_random_number(1, 4, random) for _ in range(count)), random) for count in counts
    ]


def european_ones() -> list[tuple[str, Strokes]]:
    """Numbers of two to five digits with a 1 among them, each with a stroke up to its top as much of Europe writes it."""
    random = np.random.default_rng(13)
    made = []
    while len(made) < EUROPEAN_NUMBERS:
        number = _random_number(2, 6, random)
        if "1" in number:
            made.append(_written(number, random, european=True))
    return made


def amid_words(file: str = MEASURED) -> list[tuple[str, Strokes]]:
    """A number, fraction, time, date, share or angle before, behind or between words."""
    random = np.random.default_rng(14)
    made = []
    for number in range(AMID_WORDS):
        (one, two, three), kind = random.integers(1, 100, 3), number % len(AMID)
        said = AMID[kind].format(
            one=one,
            two=two,
            day=one % 28 + 1,
            month=two % 12 + 1,
            year=2000 + three,
            hour=one % 24,
            minute=two % 60,
        )
        before, behind = (str(random.choice(BESIDE)) for _ in range(2))
        parts = [[before, said], [said, behind], [before, said, behind]][int(random.integers(3))]
        hand = hands_for(1, " ".join(parts), number)[0]
        strokes: Strokes = []
        for part in parts:
            drawn = in_real_digits(part, hand, random, file) if part == said else hand.write(part, 0, 0, 60)
            left = min(float(stroke[:, 0].min()) for stroke in drawn)
            right = max((float(stroke[:, 0].max()) for stroke in strokes), default=0.0)
            across = right + random.uniform(*WORDS_APART) - left
            strokes += [stroke + (across, 0, 0, 0) for stroke in drawn]
        made.append((" ".join(parts), strokes))
    return made


def hands_for(count: int, text: str, number: int) -> list[Hand]:
    """``count`` of the held-out hands that can write the text, others each time."""
    able = []
    for step in range(len(HANDS)):
        file = HANDS[(number + step) % len(HANDS)]
        hand = Hand(1000 * number + step, 0.7, file)
        if hand.can_write(text):
            able.append(hand)
    return able[:count]


def in_real_digits(
    text: str, hand: Hand, random: np.random.Generator, file: str = MEASURED, gap: float = 0.0
) -> Strokes:
    """A text in real digits with a hand's signs, as large beside them as it writes; ``gap`` is a space's width."""
    real = real_digits(file)
    x, strokes = 0.0, []
    for character in text:
        if character == " ":
            x += gap
            continue
        found = hand.write(character, x, 0, 60)
        if character.isdigit():
            box = Box.of(np.vstack([stroke[:, :2] for stroke in found]))
            drawn = real[character][int(random.integers(len(real[character])))]
            scale = (box.y1 - box.y0) * random.uniform(0.92, 1.08)
            found = as_ink([np.array(stroke) * scale + (x, box.y0) for stroke in drawn])
        strokes += found
        x = max(float(stroke[:, 0].max()) for stroke in strokes) + random.uniform(8, 14)
    return strokes


def as_ink(strokes: Strokes) -> Strokes:
    """Strokes with even pressure and time."""
    return [np.column_stack([s, np.full(len(s), 0.5), np.arange(len(s)) * 8.0]) for s in strokes]


def _random_number(least: int, most: int, random: np.random.Generator) -> str:
    return "".join(random.choice(list("0123456789"), int(random.integers(least, most))))


def _written(
    text: str, random: np.random.Generator, european: bool = False, file: str = MEASURED
) -> tuple[str, Strokes]:
    """A text in digits 40 units high, with spaces between numbers."""
    x, strokes = 0.0, []
    for digit in text:
        if digit == " ":
            x += random.uniform(14, 40)
            continue
        every = real_digits(file)[digit]
        found = [np.array(stroke) for stroke in every[int(random.integers(len(every)))]]
        if european and digit == "1":
            found = _with_flag(found, random)
        width = float(np.ptp(np.vstack(found)[:, 0]))
        scale = 40 * random.uniform(0.92, 1.08)
        strokes += [stroke * scale + (x, random.normal(0, 1.2)) for stroke in found]
        x += scale * width + random.uniform(8, 14)
    return text, as_ink(strokes)


def _with_flag(one: Strokes, random: np.random.Generator) -> Strokes:
    """A 1, upright, with a bent stroke from below on its left up to its top: in one go with it or by itself."""
    stem = max(one, key=len)
    stem = stem if stem[0, 1] < stem[-1, 1] else stem[::-1]
    stem = np.column_stack([0.35 * stem[:, 0], stem[:, 1]])
    angle, long = math.radians(random.uniform(*FLAG_DEG)), random.uniform(*FLAG_LONG)
    start = stem[0] + long * np.array([-math.cos(angle), math.sin(angle)])
    bend = (start + stem[0]) / 2 + random.normal(0, 0.03, 2)
    way = np.linspace(0, 1, 9)[:, None]
    flag = (1 - way) ** 2 * start + 2 * way * (1 - way) * bend + way**2 * stem[0]
    made = [np.vstack([flag, stem[1:]])] if random.random() < 0.5 else [flag, stem]
    return [stroke - (float(start[0]), 0) for stroke in made]
