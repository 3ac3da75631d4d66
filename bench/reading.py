"""How well ink is read, by kind, on hands, sentences and real digits that no part of the reading learned from.

bench/hands holds fonts that training never sees (training.hands.HELD_OUT) and real digits of which training
sees none; the sentences and words are written for here; rough figures are drawn by bench.rough, which shares
no code with training. The base of each accuracy is the recogniser's best guess alone, without beam, word
frequencies, straightening or the symbol net.

    python -m bench.reading last        numbers in real digits that are looked at when a change is done
"""

from __future__ import annotations

import math
import sys
import time
from collections.abc import Callable
from functools import partial
from pathlib import Path

import numpy as np

from bench import arithmetic, divisions, offered, rough, sums, unseen
from bench.digits import (
    HANDS,
    LAST,
    amid_words,
    european_ones,
    hands_for,
    in_real_digits,
    numbers,
    rows_of_numbers,
)
from bench.sentences import SENTENCES
from bench.table import Row, percentiles, show
from demo.hand import Hand
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.reading import Reading, figure_first
from sunroom.core.shapes import any_figure
from sunroom.live.work.ink_jobs import read_ink
from sunroom.resources import finder, reader

Strokes = list[np.ndarray]
#: Makes a drawing: its strokes, and the kind of each figure by its strokes' numbers.
Draw = Callable[[np.random.Generator, list[Path]], tuple[Strokes, dict[tuple[int, ...], str]]]

WORDS = (
    "shadow stick noon morning evening angle tangent height measure triangle degree sunrise table column graph curve "
    "answer question because almost never longer shorter twice half double equal between through against under above "
    "circle centre radius corner straight slowly quickly light bright cloud winter summer autumn spring north south "
    "teacher student lesson homework page board paper pencil ruler compass clock minute second distance ground wall "
    "garden window school people number letter write read draw count compare explain guess check remember forget "
    "river mountain bridge castle forest island harbour market village station engine bottle basket bicycle "
    "yellow purple orange silver wooden heavy gentle clever honest famous empty hungry thirsty quiet lonely"
).split()
LINES = SENTENCES[:16]
SIGNED_NUMBERS = 60
TOKENS = (
    "25°", "2.14 m", "10:30", "3x+5", "x=2", "50%", "12 cm", "1/2", "7.5", "x=-3", "90°", "9:05", "4 km", "100%", "£12",
    "a=5", "3.14", "45 min", "24+8", "6×7", "(2,5)", "20 kg",
)  # fmt: skip
SPACED = (
    "y = 2x + 3", "x = -27", "4x - 1 = 17", "3(x - 2)", "16 + 82 = 98", "27 ÷ 9 = 3", "b) 25 - 15", "n = 5", "a = 4b + 2",
    "28.11.2026", "18/8/24", "£83.37", "$40.19", "10. answer", "2nd page", "5 × 12 = 60",
)  # fmt: skip
ACCENTS = {
    "fr": ("élève", "été", "ombre", "à côté", "forêt", "leçon", "déjà", "très", "château", "réponse"),
    "de": ("Schatten", "größer", "Mädchen", "über", "schön", "Höhe", "fünf", "Straße", "Küche", "müde"),
    "es": ("mañana", "sombra", "niño", "también", "ángulo", "después", "España", "corazón", "fácil", "luz"),
}
TILTS_DEG = (8, 15, 22, 30)
LETTERS = "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789"
NAMES = (
    "Imani",
    "Oduya",
    "Marit",
    "Kofi",
    "Yusra",
    "Tamsin",
    "Zofia",
    "Radek",
    "24680",
    "13579",
    "x=2",
    "15 cm",
)


def run() -> list[Row]:
    """All rows; the figures' rows are in percent right first, then in the first three."""
    rows = [
        _texts("words", _written(WORDS, 2), 96, 98.5),
        _texts("lines of 8 to 11 words", _written(LINES, 4), 85),
        _texts("lines tilted by 8 to 30°", _tilted(), 82),
        _texts("numbers of real digits", numbers(), 96, 99),
        _texts("rows of numbers of real digits", rows_of_numbers(), 88),
        _texts("numbers whose ones have a stroke up to their top", european_ones(), None),
        _texts("real digits with the signs of fractions, times, angles, shares", _signed(), None),
        _texts(
            "numbers, fractions, times, dates, angles, shares of real digits amid words", amid_words(), None
        ),
        _texts("units, times, money, short equations", _written(TOKENS, 4), None),
        _texts("equations, dates, money, with gaps", _spaced(), None),
        *(
            _texts(f"words with accents ({language})", _written(words, 4), None, language=language)
            for language, words in ACCENTS.items()
        ),
    ]
    rows += [sums.row(), divisions.row(), *arithmetic.rows()]
    rows += unseen.rows()
    rows += [_own_hands(loose=False), _own_hands(loose=True)]
    rows += [_figures(noise, aim) for noise, aim in ((0.02, 98.0), (0.04, 97.0), (0.06, 95.0))]
    rows.append(_one_stroke_arrows())
    rows += [
        _drawings(f"{count} figures with words in them", 12, partial(rough.drawing, count), 70 + count)
        for count in (5, 12, 25)
    ]
    rows.append(_drawings("figures with lines from one to the next", 40, rough.joined, 90))
    rows += [*_confusions(), *offered.rows()]
    return rows


def _written(texts: tuple[str, ...] | list[str], each: int) -> list[tuple[str, Strokes]]:
    return [
        (text, hand.write(text, 0, 0, 60))
        for number, text in enumerate(texts)
        for hand in hands_for(each, text, number)
    ]


def _spaced() -> list[tuple[str, Strokes]]:
    """Written loosely: with gaps of any width between the signs."""
    random = np.random.default_rng(35)
    return [
        (text, _loosely(hand, text, random))
        for number, text in enumerate(SPACED)
        for hand in hands_for(6, text, number)
    ]


def _tilted() -> list[tuple[str, Strokes]]:
    made = []
    for number, (text, strokes) in enumerate(_written(LINES, 4)):
        angle = math.radians(TILTS_DEG[number % 4]) * (1 if number // 4 % 2 else -1)
        c, s = math.cos(angle), math.sin(angle)
        turn = np.array([[c, s], [-s, c]])
        made.append((text, [np.column_stack([stroke[:, :2] @ turn, stroke[:, 2:]]) for stroke in strokes]))
    return made


def _signed() -> list[tuple[str, Strokes]]:
    """3/4, 12:05, 45° and 80 % in real digits, with the signs of held-out hands, as large beside them as those write."""
    random = np.random.default_rng(34)
    made = []
    for number in range(SIGNED_NUMBERS):
        one, two = (int(n) for n in random.integers(1, 100, 2))
        for text in (f"{one}/{two}", f"{one % 24}:{two % 60:02d}", f"{one}°", f"{one}%"):
            made.append((text, in_real_digits(text, hands_for(1, text, number)[0], random)))
    return made


def _own_hands(loose: bool) -> Row:
    """Errors in signs, names and numbers by hands that wrote a practice page, each sign once."""
    random = np.random.default_rng(21)
    count = before = after = 0
    for number, file in enumerate(HANDS):
        hand = Hand(500 + number, 0.7, file)

        def write(text: str, hand: Hand = hand) -> Strokes:
            return _loosely(hand, text, random) if loose else hand.write(text, 0, 0, 60)

        known = [letter for letter in LETTERS if hand.can_write(letter)]
        own = reader().own_hand([(letter, write(letter)) for letter in known])
        for text in (*known, *(text for text in NAMES if hand.can_write(text))):
            strokes = write(text)
            count += 1
            before += not _says(reader().read(strokes), text)
            after += not _says(reader().read(strokes, own), text)
    cut = 100 * (1 - after / max(before, 1))
    return Row(
        f"own hand, {'loose' if loose else 'steady'}: signs, names, numbers ({count})",
        f"{100 * after / count:.1f} % wrong ({cut:.0f} % fewer)",
        f"without a practice page {100 * before / count:.1f} % wrong",
        "a third fewer" if loose else "no more",
        after <= before * (2 / 3 if loose else 1),
    )


def _loosely(hand: Hand, text: str, random: np.random.Generator) -> Strokes:
    """A text with each sign leaning, turned and stretched by itself."""
    strokes, x = [], 0.0
    for character in text:
        turn, lean = random.normal(0, 0.09), random.normal(0, 0.16)
        stretch = np.exp(random.normal(0, 0.12, 2))
        shape = np.array([[stretch[0], turn], [-turn - lean, stretch[1]]])
        if character != " ":
            for stroke in hand.write(character, 0, 0, 60):
                strokes.append(np.column_stack([stroke[:, :2] @ shape + (x, 0), stroke[:, 2:]]))
        x += hand.width(character, 60) * stretch[0]
    return strokes


def _says(readings: list[Reading], text: str) -> bool:
    """Whether the first reading is ``text``; signs that are the same alone are one."""
    alike = str.maketrans("01i|", "olll")
    if not readings:
        return False
    said, wanted = _plain(readings[0].text), _plain(text)
    return said == wanted or (len(wanted) == 1 and said.translate(alike) == wanted.translate(alike))


def _texts(
    what: str,
    written: list[tuple[str, Strokes]],
    aim: float | None,
    aim_three: float | None = None,
    language: str = "en",
) -> Row:
    the_reader = reader(language)
    right = three = errors = characters = base = 0
    times = []
    for text, strokes in written:
        start = time.perf_counter()
        readings = [reading.text for reading in the_reader.read(strokes)]
        times.append((time.perf_counter() - start) * 1000)
        wanted = _plain(text)
        best = _plain(readings[0]) if readings else ""
        right += best == wanted
        three += wanted in [_plain(reading) for reading in readings[:3]]
        errors += edits(best, wanted)
        characters += len(wanted)
        base += _plain(_greedy(strokes)) == wanted
    count = len(written)
    share, share_three = 100 * right / count, 100 * three / count
    met = None if aim is None else share >= aim and (aim_three is None or share_three >= aim_three)
    value = f"{share:.1f} % exact, {share_three:.1f} % in the first three, CER {100 * errors / characters:.1f} %; {show(times)}"
    wanted = "" if aim is None else f"≥ {aim:g} %" + (f" and {aim_three:g} %" if aim_three else "")
    return Row(f"{what} ({count})", value, f"recogniser alone {100 * base / count:.1f} %", wanted, met)


def _greedy(strokes: Strokes) -> str:
    the_reader = reader()
    rows = the_reader.look(strokes).picture
    best = rows.argmax(axis=1)
    kept = [
        column for column, before in zip(best, [0, *best[:-1]], strict=True) if column and column != before
    ]
    return "".join(the_reader.alphabet[column - 1] for column in kept)


def _plain(text: str) -> str:
    """Case and spaces aside; × and x are one."""
    return " ".join(text.casefold().replace("×", "x").split())


def edits(a: str, b: str) -> int:
    """Characters to put in, take out or change (Levenshtein 1966)."""
    row = list(range(len(b) + 1))
    for i, x in enumerate(a, 1):
        before, row[0] = row[0], i
        for j, y in enumerate(b, 1):
            before, row[j] = row[j], min(row[j] + 1, row[j - 1] + 1, before + (x != y))
    return row[-1]


def _figures(noise: float, aim: float) -> Row:
    random = np.random.default_rng(round(noise * 1000))
    kinds: dict[str, list[int]] = {kind: [] for kind in rough.KINDS}
    three, times = 0, []
    for kind in rough.KINDS:
        for _ in range(30):
            strokes = rough.rough(kind, noise, random)
            start = time.perf_counter()
            found = [figure.kind for figure in finder().find(strokes)]
            times.append((time.perf_counter() - start) * 1000)
            kinds[kind].append(int(found[:1] == [kind]))
            three += kind in found[:3]
    count = sum(map(len, kinds.values()))
    share = 100 * sum(map(sum, kinds.values())) / count
    weak = [f"{kind} {100 * np.mean(hits):.0f}" for kind, hits in kinds.items() if np.mean(hits) < 0.9]
    value = f"{share:.1f} %, {100 * three / count:.1f} % in the first three; {show(times)}"
    met = share >= aim and percentiles(times)[1] <= 50
    return Row(
        f"22 kinds of figures, {100 * noise:g} % noise ({count})",
        value,
        f"weak: {', '.join(weak) or 'none'}",
        f"≥ {aim:g} %, p95 ≤ 50 ms",
        met,
    )


def _drawings(what: str, drawings: int, draw: Draw, seed: int) -> Row:
    """Drawings, words in some of their figures: how many figures come out, and how many drawings whole."""
    random = np.random.default_rng(seed)
    figures, right, whole, first = 0, 0, 0, 0
    times = []
    for _ in range(drawings):
        strokes, wanted = draw(random, HANDS)
        start = time.perf_counter()
        found = read_ink(tuple((pack_samples(stroke), Affine()) for stroke in strokes))
        times.append((time.perf_counter() - start) * 1000)
        seen = {part.members: part.figure.kind for part in found.sketch}
        hits = sum(seen.get(members) == kind for members, kind in wanted.items())
        figures, right = figures + len(wanted), right + hits
        whole += hits == len(wanted) == len(seen)
        first += found.figure_first
    share = 100 * right / figures
    return Row(
        f"drawings of {what} ({drawings})",
        f"{share:.1f} % of the figures; {whole} of {drawings} drawings whole; {show(times)}",
        f"offered before type: {first} of {drawings}",
        "≥ 95 %, all before type",
        share >= 95 and first == drawings,
    )


def _one_stroke_arrows() -> Row:
    random = np.random.default_rng(3)
    arrows = [
        strokes for strokes in (rough.rough("arrow", 0.03, random) for _ in range(160)) if len(strokes) == 1
    ]
    right = sum([f.kind for f in finder().find(strokes)][:1] == ["arrow"] for strokes in arrows)
    share = 100 * right / len(arrows)
    return Row(f"arrows in one stroke ({len(arrows)})", f"{share:.1f} %", "", "≥ 90 %", share >= 90)


def _confusions() -> list[Row]:
    """Writing that would be offered as a figure first, and figures that would be offered as text first."""
    random = np.random.default_rng(8)
    words = _written(WORDS, 1)
    taken = sum(_first(strokes, []) for _, strokes in words)
    letters = [
        (c, hand.write(c, 0, 0, 60))
        for c in "abcdefghijklmnopqrstuvwxyz0123456789"
        for hand in hands_for(2, c, ord(c))
    ]
    beside = Hand(5, 0.6, HANDS[0]).write("noon", -160, 0, 60)
    taken_letters = sum(_first(strokes, beside) for _, strokes in letters)
    share = 100 * (taken + taken_letters) / (len(words) + len(letters))
    drawn = [rough.rough(kind, 0.03, random) for kind in rough.KINDS for _ in range(8)]
    text = sum(not _first(strokes, []) for strokes in drawn)
    share_text = 100 * text / len(drawn)
    return [
        Row(
            f"writing taken for figures ({len(words)} words, {len(letters)} letters beside a word)",
            f"{share:.1f} %",
            "",
            "≤ 1 %",
            share <= 1,
        ),
        Row(f"figures read as text ({len(drawn)})", f"{share_text:.1f} %", "", "≤ 2 %", share_text <= 2),
    ]


def _first(strokes: Strokes, beside: Strokes) -> bool:
    readings: list[Reading] = reader().read(strokes)
    figures = finder().find(strokes)
    return figure_first(readings, any_figure(figures), strokes, beside)


if __name__ == "__main__":
    row = _texts("numbers of the last real digits", numbers({"last": LAST}[sys.argv[1]]), 96, 99)
    print(row.what, row.value, row.base, sep=" | ")
