"""Lines of writing made on the fly: words, names, numbers and signs in many hands, joined or lifted.

Nothing is kept: each sample is another text in another hand with other habits. Words whose ``is_unseen`` holds are
never written here; they are for measuring.
"""

from __future__ import annotations

import math
import zlib
from functools import cache

import numpy as np
from wordfreq import top_n_list, zipf_frequency

from sunroom.core.geometry import simplify
from sunroom.core.ink.pen_path import pen_path
from training import hands
from training.faces import face
from training.trace import CHARACTERS

Strokes = list[np.ndarray]

#: What the net of paths knows.
ALPHABET = "".join(dict.fromkeys(CHARACTERS + " "))
_KNOWN = frozenset(ALPHABET)
#: Hands for measuring while things are tuned, and those that are looked at once; never trained on. Of both a third joins.
MEASURED = (
    *hands.HELD_OUT,
    "playwrite-cz", "playwrite-no", "playwrite-ar", "playwrite-fr-trad", "playwrite-es", "edu-tas-beginner",
    "dancing-script", "cookie", "sacramento", "damion", "licorice", "meow-script",
    "gaegu", "comic-neue", "grape-nuts", "fuzzy-bubbles", "reenie-beanie", "coming-soon",
)  # fmt: skip
LAST = (
    "playwrite-ro", "playwrite-hu", "playwrite-ca", "edu-qld-beginner", "cedarville-cursive", "norican", "bilbo",
    "nanum-pen-script", "short-stack", "kavivanar", "zeyada", "schoolbell", "the-girl-next-door",
)  # fmt: skip
#: Real digits make up so much of the numbers.
REAL_DIGITS = 0.6
LANGUAGES = {"en": 0.55, "de": 0.15, "fr": 0.15, "es": 0.15}
COMMON = 30_000
UNSEEN_PART = 12
UNITS = ("cm", "m", "km", "kg", "g", "min", "h", "s", "l", "ml", "mm", "°", "%", "€", "£", "$", "°C", "m/s")
#: Real digits are traced with more points than it takes.
DIGIT_STEP = 0.012


def is_unseen(word: str) -> bool:
    """Whether a word is kept for measuring."""
    return zlib.crc32(word.casefold().encode()) % UNSEEN_PART == 0


@cache
def _words(language: str) -> tuple[list[str], np.ndarray]:
    """Words that training has, and how often each is written: rarer ones more often than they are spoken."""
    words = [
        word
        for word in top_n_list(language, COMMON)
        if set(word) <= set(ALPHABET) and not is_unseen(word) and any(c.isalpha() for c in word)
    ]
    weights = np.array([10 ** (0.35 * zipf_frequency(word, language)) for word in words])
    return words, np.cumsum(weights / weights.sum())


@cache
def training_hands() -> list[str]:
    return [name for name in hands.font_names() if name not in MEASURED and name not in LAST]


def sample(random: np.random.Generator, names: list[str] | None = None) -> tuple[np.ndarray, str]:
    """One line as ``pen_path`` and what it says."""
    while True:
        strokes, text = sample_strokes(random, names)
        path = pen_path(strokes)
        if len(path) < 900:
            return path, text


def sample_strokes(random: np.random.Generator, names: list[str] | None = None) -> tuple[Strokes, str]:
    """One line and what it says."""
    names = names or training_hands()
    while True:
        name = names[int(random.integers(len(names)))]
        text = a_text(random)
        strokes = written(name, text, random) if _KNOWN.issuperset(text) else []
        if strokes:
            return strokes, text


def a_text(random: np.random.Generator) -> str:
    """One to five words, a number, a short equation, or letters that are no word."""
    way = random.random()
    if way < 0.69:
        language = str(random.choice(list(LANGUAGES), p=list(LANGUAGES.values())))
        count = int(random.choice([1, 2, 3, 4, 5], p=[0.4, 0.22, 0.16, 0.13, 0.09]))
        return _punctuated(" ".join(_word(language, random) for _ in range(count)), random)
    if way < 0.87:
        return _number(random)
    if way < 0.93:
        letters = "abcdefghijklmnopqrstuvwxyz" if random.random() < 0.8 else "ABCDEFGHIJKLMNOPQRSTUVWXYZ"
        made = "".join(random.choice(list(letters), int(random.integers(1, 9))))
        return made.capitalize() if random.random() < 0.3 else made
    return "".join(random.choice(list(ALPHABET[:-1]), int(random.integers(1, 5))))


def _word(language: str, random: np.random.Generator) -> str:
    words, along = _words(language)
    word = words[min(int(np.searchsorted(along, random.random())), len(words) - 1)]
    way = random.random()
    return word.upper() if way < 0.05 else word.capitalize() if way < 0.25 else word


def _punctuated(text: str, random: np.random.Generator) -> str:
    way = random.random()
    if way < 0.2:
        text += str(random.choice(list(".,?!:;.,")))
    elif way < 0.24:
        text = f'"{text}"' if way < 0.22 else f"({text})"
    if " " in text and random.random() < 0.15:
        at = text.index(" ")
        text = text[:at] + str(random.choice([",", ":", ";", " -", " +", " ="])) + text[at:]
    elif " " in text and random.random() < 0.1:
        at = text.index(" ")
        text = text[:at] + " " + str(int(random.integers(0, 2000))) + text[at:]
    return text


def _number(random: np.random.Generator) -> str:
    def whole(most: int = 5) -> str:
        return "".join(random.choice(list("0123456789"), int(random.integers(1, most))))

    sides = str(random.choice(["x", "y", "a", "b", "n", "2x", "3x", "5y", "x²"]))
    sign = str(random.choice(list("+-=×÷/<>:")))
    space = " " if random.random() < 0.5 else ""
    return str(
        random.choice(
            [
                whole(),
                whole(7),
                whole(7),
                f"{whole(4)}.{whole(3)}",
                f"{whole(4)},{whole(3)}",
                f"{random.integers(0, 24)}:{random.integers(0, 60):02d}",
                f"{whole(4)}{space}{random.choice(UNITS)}",
                f"{whole(3)}{space}{sign}{space}{whole(3)}",
                f"{whole(3)}{space}{sign}{space}{whole(3)}{space}={space}{whole(4)}",
                f"{sides}{space}{sign}{space}{whole(3)}",
                f"{sides}{space}={space}{sides}{space}+{space}{whole(3)}",
                f"({whole(2)},{whole(2)})",
                " ".join(whole(4) for _ in range(int(random.integers(2, 5)))),
                f"{random.choice(list('$£€'))}{whole(4)}",
            ]
        )
    )


def written(name: str, text: str, random: np.random.Generator) -> Strokes:
    """A text in a hand, with habits of its own; empty when the hand cannot write it.

    Strokes are (N, 2), in font sizes, y down.
    """
    shaped = face(name).shape(text)
    if shaped is None:
        return []
    glyphs, _ = shaped
    loose = random.uniform(0.2, 1.3)
    spread, drift = (random.normal(0, s) * loose for s in (0.015, 0.03))
    wider = random.normal(0.0, 0.06) if random.random() < 0.2 else 0.0
    real = random.random() < REAL_DIGITS
    letters: list[tuple[str, Strokes]] = []
    x, last = 0.0, -1
    for number, glyph in enumerate(glyphs):
        character = text[glyph.cluster]
        if not glyph.strokes:
            if character == " ":
                x += random.normal(0.05, 0.06)
            continue
        size = 1 + random.normal(0, 0.03) * loose + drift * number / 8
        at = np.array([x + random.normal(0, 0.008) * loose, random.normal(0, 0.012) * loose])
        strokes = glyph.strokes
        if real and character.isdecimal():
            strokes = _real_digit(character, strokes, random)
        letters.append((character, [s * (1.0, size) + at for s in strokes]))
        if glyph.cluster != last:
            x += wider * (character != " ") + spread
            last = glyph.cluster
    if not letters:
        return []
    strokes = _joined(letters, random)
    return _bent(_handled(strokes, random), loose, random)


def _real_digit(character: str, like: Strokes, random: np.random.Generator) -> Strokes:
    """A digit that a person has written, about as large and where the font's would stand."""
    found = hands.one_of(_digits(int(character)), int(character), random)
    old, new = np.vstack(like), np.vstack(found)
    low, size = old.min(axis=0), np.ptp(old, axis=0)
    scale = float(size[1]) / max(float(np.ptp(new[:, 1])), 1e-6) * random.uniform(0.85, 1.1)
    room = float(size[0]) + 0.1
    across = min(scale, 1.15 * room / max(float(np.ptp(new[:, 0])), 1e-6))
    moved = new.min(axis=0)
    return [(s - moved) * (across, scale) + low for s in found]


@cache
def _digits(digit: int) -> list[Strokes]:
    return [[s[simplify(s, DIGIT_STEP)] for s in strokes] for strokes in hands.digits(digit, "training")]


def _joined(letters: list[tuple[str, Strokes]], random: np.random.Generator) -> Strokes:
    """Strokes of neighbouring letters made one where they meet; now and then also where a joining hand would lead over."""
    merges, bridges = random.random() < 0.8, random.random() < 0.22
    often = random.uniform(0.4, 1.0)
    done: Strokes = []
    open_ones: Strokes = []
    chained = False  # whether the first of the open strokes came from the letter before
    before = " "
    for character, strokes in letters:
        strokes = list(strokes)
        way = None
        if open_ones and random.random() < often:
            way = _meeting(open_ones, chained, strokes) if merges else None
            if way is None and bridges and character.islower() and before.isalpha():
                way = _bridged(open_ones, chained, strokes)
        if way is not None:
            left, right, line = way
            done += [stroke for n, stroke in enumerate(open_ones) if n != left]
            open_ones = [line, *(stroke for n, stroke in enumerate(strokes) if n != right)]
        else:
            done += open_ones
            open_ones = strokes
        chained, before = way is not None, character
    return done + open_ones


MEETING = 0.05


def _meeting(last: Strokes, chained: bool, strokes: Strokes) -> tuple[int, int, np.ndarray] | None:
    """A stroke of the last letter that ends where one of the next begins, and the two as one."""
    best, found = MEETING, None
    for left, line in enumerate(last):
        for one in (line,) if chained and left == 0 else (line, line[::-1]):
            for right, stroke in enumerate(strokes):
                for two in (stroke, stroke[::-1]):
                    far = float(np.abs(two[0] - one[-1]).sum())
                    if far < best:
                        best, found = far, (left, right, one, two)
    return None if found is None else (found[0], found[1], np.vstack([found[2], found[3]]))


def _bridged(last: Strokes, chained: bool, strokes: Strokes) -> tuple[int, int, np.ndarray] | None:
    """The longest stroke of the last letter led over into the longest of the next, when that is near."""
    left = 0 if chained else max(range(len(last)), key=lambda n: float(np.ptp(last[n], axis=0).sum()))
    right = max(range(len(strokes)), key=lambda n: float(np.ptp(strokes[n], axis=0).sum()))
    start, end = last[left][-1], strokes[right][0]
    gap = end - start
    if not (-0.12 < gap[0] < 0.4 and abs(gap[1]) < 0.45):
        return None
    return left, right, np.vstack([last[left], _bridge(start, end), strokes[right]])


def _bridge(start: np.ndarray, end: np.ndarray) -> np.ndarray:
    t = np.linspace(0, 1, 6)[1:-1, None]
    dip = np.array([(start[0] + end[0]) / 2, max(start[1], end[1]) + 0.02])
    return (1 - t) ** 2 * start + 2 * t * (1 - t) * dip + t**2 * end


def _handled(strokes: Strokes, random: np.random.Generator) -> Strokes:
    """The pen lifted elsewhere, drawn the other way round, cut short, gone too far, gone over again."""
    lifts, turns = random.uniform(0, 0.25), random.uniform(0, 0.15) * (random.random() < 0.5)
    made: Strokes = []
    for stroke in strokes:
        count = len(stroke)
        if random.random() < turns:
            stroke = stroke[::-1]
        if count > 3 and random.random() < 0.15:
            end = stroke[-1] + (stroke[-1] - stroke[-2]) * random.uniform(-0.5, 0.8)
            stroke = np.vstack([stroke[:-1], end])
        if count > 6 and random.random() < lifts:
            cut = int(random.integers(2, count - 2))
            made += [stroke[: cut + 1], stroke[cut:]]
        elif count > 4 and random.random() < 0.02:
            made += [stroke, stroke[: count // 2] + random.normal(0, 0.01, 2)]
        else:
            made.append(stroke)
    return made


def _bent(strokes: Strokes, loose: float, random: np.random.Generator) -> Strokes:
    """Leaning, stretched, off level, on a wavy line, bent and trembling."""
    lean, turn = random.normal(0.03, 0.17), random.normal(0, math.radians(1.0))
    stretch = math.exp(random.normal(0, 0.16))
    points = np.vstack(strokes)
    ends = np.cumsum([len(stroke) for stroke in strokes])[:-1]
    x, y = points.T
    x = (x - lean * y) * stretch
    waves = random.normal(0, 0.02 * loose, 2)
    slow, quick = random.uniform(0.3, 1.2), random.uniform(2.0, 7.0)
    phases = random.uniform(0, 2 * math.pi, 4)
    y = y * (1 + 0.04 * loose * np.sin(1.3 * slow * x + phases[3])) + waves[0] * np.sin(slow * x + phases[0])
    bend = random.normal(0, 0.012 * loose, 2)
    x, y = (
        x + bend[0] * np.sin(quick * y * 2 + quick * x + phases[1]),
        y + bend[1] * np.sin(quick * x + phases[2]) + turn * x,
    )
    tremble = random.uniform(0, 0.007) * loose
    bent = np.column_stack([x, y]) + random.normal(0, tremble, (len(points), 2))
    return np.split(bent, ends)
