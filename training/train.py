"""Train the nets of reading: which symbol, and which figure, a few strokes are.

    python -m training.train symbols
    python -m training.train digits
    python -m training.train figures
    python -m training.train symbols 2 0.7    goes on from the net that ships, for two epochs; of that net 0.3 stays

Seeded: the same packages give the same data. About half an hour each on two cores.
"""

from __future__ import annotations

import sys
from collections.abc import Callable
from copy import deepcopy
from functools import cache
from multiprocessing import Pool
from pathlib import Path
from typing import NamedTuple

import numpy as np

from demo.hand import Hand
from sunroom.core.ink.raster import ink_measures, ink_raster
from sunroom.core.ink.sequence import ink_sequence
from sunroom.core.reading.symbols import RASTER_SIDE
from sunroom.core.shapes.find import SEQUENCE_POINTS
from training import figures, hands
from training.maths_hands import APART
from training.writing import training_hands

OUT = Path(__file__).parents[1] / "sunroom" / "models"
#: How fast a net learns at most that goes on.
RATE_AGAIN = 6e-4
SYMBOLS = (
    "0123456789abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ"
    ".,:;!?'\"()[]<>+-=*/%°×÷&€$£ñáàâäéèêëíîïóôöúùûüçß"
)
SYMBOLS_EACH = 2_400
DIGITS_EACH = 30_000
FIGURES_EACH = 12_000
WRITING, DRAWING, NO_DIGIT = "writing", "drawing", "none"
#: Signs are looked at by themselves where they stand apart: so many are of hands that write so, the others of all.
APART_SHARE = 0.65
#: Written maths is measured in this hand.
LEFT_OUT = "mali"
#: Alone these are figures as much as letters: only what stands beside them tells.
FIGURE_LIKE = frozenset("oO0lI1/\\-_xX+cC()vVLt<>.,:;'\"°×*|JUuniTrszZN")
#: What no digit looks like.
NO_DIGITS = sorted(set(SYMBOLS) - set("0123456789oODQlIiJZzSsbGTBgqyY/.,'\"°!-ïíîóôöòú"))
SEED = 20_260_901
CHUNK = 500

#: A raster or a sequence, measures, and which class it is.
Sample = tuple[np.ndarray, np.ndarray, int]


class Task(NamedTuple):
    """What a net is to learn, and how: ``points`` is how many it sees along the strokes, 0 when it sees a picture.

    Of digits it is to be ``sharper`` than it learned to be, as is likeliest for digits by writers for tuning.
    """

    make: Callable[[int, np.random.Generator], Sample]
    classes: list[str]
    samples: int
    epochs: int
    smoothed: float
    points: int = 0
    sharper: float = 1.0


def main() -> None:
    import torch

    from training.nets import BATCH, InkNet, PathNet, as_seen, fit, mixed, save
    from training.shipped import take_up

    torch.set_num_threads(2)
    what, *again = sys.argv[1:]
    task = _tasks()[what]
    kept = hands.TRACED / f"{what}-{SEED}.npz"
    if not kept.exists():
        hands.trace_digits()
        np.savez(kept, *generate(task.make, task.samples))
    seen, measures, labels = np.load(kept).values()
    print(f"{len(labels)} samples", flush=True)
    torch.manual_seed(SEED)
    if task.points:
        net, shown, outputs = PathNet(task.points, len(task.classes)), "sequence", ["probabilities"]
    else:
        net = InkNet(RASTER_SIDE, len(task.classes), task.sharper)
        shown, outputs = "raster", ["probabilities", "embedding"]
    out, inputs, short = OUT / f"{what}.onnx", (seen, measures), task.points > 0
    if again:
        first = [as_seen(column[:BATCH]) for column in inputs]
        take_up(net, out, lambda: net.logits(*first))
        before = deepcopy(net.state_dict())
        fit(net, inputs, labels, int(again[0]), task.smoothed, RATE_AGAIN, short)
        net.load_state_dict(mixed(net.state_dict(), before, float(again[1])))
    else:
        fit(net, inputs, labels, task.epochs, task.smoothed, short=short)
    save(net, {shown: seen.shape[1:], "measures": measures.shape[1:]}, outputs, task.classes, out)


def _tasks() -> dict[str, Task]:
    digits, kinds = [*"0123456789", NO_DIGIT], [*figures.KINDS, WRITING, DRAWING]
    return {
        "symbols": Task(symbol, list(SYMBOLS), SYMBOLS_EACH * len(SYMBOLS), epochs=6, smoothed=0.03),
        "digits": Task(digit, digits, DIGITS_EACH * 14, epochs=5, smoothed=0.05, sharper=1.6),
        "figures": Task(
            figure, kinds, FIGURES_EACH * (len(kinds) + 7), 8, smoothed=0.03, points=SEQUENCE_POINTS
        ),
    }


@cache
def sign_hands() -> list[str]:
    return [name for name in training_hands() if name != LEFT_OUT]


@cache
def apart_hands() -> list[str]:
    return [name for name in APART if name in sign_hands()]


def generate(make: Callable[[int, np.random.Generator], Sample], total: int) -> tuple[np.ndarray, ...]:
    """``total`` samples, made in parallel: each column an array."""
    jobs = [(make, at, min(CHUNK, total - at)) for at in range(0, total, CHUNK)]
    with Pool(2) as pool:
        parts = pool.starmap(_chunk, jobs)
    return tuple(np.concatenate(column) for column in zip(*parts, strict=True))


def _chunk(make: Callable[[int, np.random.Generator], Sample], at: int, count: int) -> tuple[np.ndarray, ...]:
    random = np.random.default_rng((SEED, at))
    columns = zip(*(make(at + number, random) for number in range(count)), strict=True)
    return tuple(_small(np.array(column)) for column in columns)


def _small(column: np.ndarray) -> np.ndarray:
    """Rasters as int8: there are many."""
    return np.round(column * 127).astype(np.int8) if column.ndim == 4 else column


def symbol(number: int, random: np.random.Generator) -> Sample:
    """One symbol in one of the training hands."""
    label = number % len(SYMBOLS)
    strokes = hands.varied(_letter(SYMBOLS[label], random), random)
    return ink_raster(strokes, RASTER_SIDE), ink_measures(strokes), label


def digit(number: int, random: np.random.Generator) -> Sample:
    """A digit, or two times in seven strokes that are none: letters, two digits, a part of one."""
    label = min(number % 14, 10)
    if label < 10:
        strokes = _real_digit(label, random)
    else:
        strokes = (
            _no_digit(random) if random.random() < 0.5 else _letter(str(random.choice(NO_DIGITS)), random)
        )
    strokes = hands.varied(strokes, random)
    return ink_raster(strokes, RASTER_SIDE), ink_measures(strokes), label


def _real_digit(label: int, random: np.random.Generator) -> list[np.ndarray]:
    """A digit 1 unit high, nine times of ten a real one."""
    if random.random() < 0.1:
        strokes = _letter(str(label), random)
        points = np.vstack(strokes)[:, :2]
        return [(s[:, :2] - points.min(axis=0)) / max(float(np.ptp(points[:, 1])), 1e-6) for s in strokes]
    return hands.one_of(_digits(label), label, random)


def _no_digit(random: np.random.Generator) -> list[np.ndarray]:
    """What a number's strokes are when they are parted wrongly."""
    left, right = (_real_digit(int(random.integers(10)), random) for _ in range(2))
    way = random.random()
    if way < 0.15 and len(left) > 1:
        dropped = int(random.integers(len(left)))
        return [stroke for number, stroke in enumerate(left) if number != dropped]
    x, scale = float(np.vstack(left)[:, 0].max()) + random.uniform(-0.05, 0.4), random.uniform(0.85, 1.15)
    right = [stroke * scale + (x, random.normal(0, 0.05)) for stroke in right]
    if way < 0.4:
        if random.random() < 0.5:
            return [*left, right[int(random.integers(len(right)))]]
        return [left[int(random.integers(len(left)))], *right]
    return [*left, *right]


def _letter(character: str, random: np.random.Generator) -> list[np.ndarray]:
    if character.isdigit() and random.random() < 0.5:
        return hands.one_of(_digits(int(character)), int(character), random)
    if character.isascii() and random.random() < 0.12:
        strokes = hands.single_line(
            hands.SINGLE_LINE[int(random.integers(len(hands.SINGLE_LINE)))], character
        )
        if strokes:
            return strokes
    names = apart_hands() if random.random() < APART_SHARE else sign_hands()
    for _ in range(40):
        glyph = hands.traced(names[int(random.integers(len(names)))]).get(character)
        if glyph:
            return [np.array(stroke) for stroke in glyph["strokes"]]
    raise ValueError(f"no font has {character!r}")


def figure(number: int, random: np.random.Generator) -> Sample:
    """A rough figure, or one time in about four something that is none."""
    kinds = len(figures.KINDS)
    label = number % (kinds + 9)
    if label < kinds:
        strokes = figures.rough_figure(figures.KINDS[label], random, random.uniform(0.0, 0.08))
    elif label == kinds + 8:  # of the many ways of a polyline more are shown
        label = figures.KINDS.index("polyline")
        strokes = figures.rough_figure("polyline", random, random.uniform(0.0, 0.08))
    elif label < kinds + 5:
        strokes, label = _writing(random), kinds
    else:
        strokes, label = _drawing(random), kinds + 1
    strokes = figures.drawn_otherwise(strokes, random)
    return ink_sequence(strokes, SEQUENCE_POINTS), ink_measures(strokes), label


def _writing(random: np.random.Generator) -> list[np.ndarray]:
    """A word, a number, a short line, or a single character that is no figure."""
    while True:
        way = random.random()
        if way < 0.35:
            character = SYMBOLS[int(random.integers(len(SYMBOLS)))]
            if character not in FIGURE_LIKE:
                return hands.varied(_letter(character, random), random)
            continue
        font = training_hands()[int(random.integers(len(training_hands())))]
        hands.traced(font)
        hand = Hand(int(random.integers(1 << 30)), random.uniform(0.3, 1.2), hands.TRACED / f"{font}.json")
        letters = "abcdefghijklmnopqrstuvwxyz" if way < 0.85 else "0123456789+-=x"
        text = "".join(random.choice(list(letters), int(random.integers(2, 10))))
        if random.random() < 0.2:
            text = text.capitalize()
        if random.random() < 0.25:
            text += " " + "".join(random.choice(list(letters), int(random.integers(2, 8))))
        if hand.can_write(text):
            return hand.write(text, 0, 0, 60)


def _drawing(random: np.random.Generator) -> list[np.ndarray]:
    """Scribbles, hatching, spirals, several figures beside or over each other, and words in a figure."""
    if random.random() < 0.33:
        return _word_in_a_figure(random)
    way = random.random()
    if way < 0.3:
        steps = random.normal(0, 1, (int(random.integers(30, 200)), 2))
        smooth = np.cumsum(
            np.column_stack([np.convolve(steps[:, a], np.hanning(9), "same") for a in (0, 1)]), axis=0
        )
        return [smooth * 10]
    if way < 0.4:
        at = np.linspace(0, random.uniform(3, 7) * 2 * np.pi, 200)
        return [np.column_stack([at * np.cos(at), at * np.sin(at) * random.uniform(0.6, 1)]) * 4]
    if way < 0.5:
        count = int(random.integers(5, 14))
        xs = np.linspace(0, 180, count) + random.normal(0, 4, count)
        zigzag = np.column_stack(
            [np.repeat(xs, 2), np.tile([0, 90, 90, 0], count)[: 2 * count]]
        ) + random.normal(0, 6, (2 * count, 2))
        return figures.strayed([zigzag], random, 0.02)
    strokes: list[np.ndarray] = []
    spread = random.uniform(0.7, 1.6)
    for _ in range(int(random.integers(2, 5))):
        kind = figures.KINDS[int(random.integers(len(figures.KINDS)))]
        place = random.uniform(-spread, spread, 2) * figures.SIZE
        scale = random.uniform(0.5, 1.1)
        strokes += [s * scale + place for s in figures.rough_figure(kind, random, random.uniform(0, 0.05))]
    return strokes


def _word_in_a_figure(random: np.random.Generator) -> list[np.ndarray]:
    """Some letters in a figure or beside it, sometimes only the first ones, or a part of its outline."""
    kind = figures.KINDS[int(random.integers(len(figures.KINDS)))]
    figure = figures.rough_figure(kind, random, random.uniform(0, 0.05))
    if len(figure) > 1 and random.random() < 0.2:
        figure.pop(int(random.integers(len(figure))))
    low, high = np.vstack(figure).min(axis=0), np.vstack(figure).max(axis=0)
    word = [stroke[:, :2] for stroke in _writing(random)]
    word = word[: int(random.integers(1, 8))]
    start, end = np.vstack(word).min(axis=0), np.vstack(word).max(axis=0)
    scale = random.uniform(0.25, 0.7) * float((high - low).max()) / max(float((end - start).max()), 1e-6)
    spread = 0.15 if random.random() < 0.8 else 0.6
    place = (low + high) / 2 + random.normal(0, spread, 2) * (high - low)
    inside = [(stroke - (start + end) / 2) * scale + place for stroke in word]
    return [*figure, *inside] if random.random() < 0.8 else [*inside, *figure]


_DIGITS: dict[int, list[list[np.ndarray]]] = {}


def _digits(digit: int) -> list[list[np.ndarray]]:
    if digit not in _DIGITS:
        _DIGITS[digit] = hands.digits(digit, "training")
    return _DIGITS[digit]


if __name__ == "__main__":
    main()
