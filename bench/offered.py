"""What is offered first for ink: type for words, a formula for maths, figures for figures, by hands that nothing has seen.

python -m bench.offered last        hands and formulas that are looked at when a change is done
"""

from __future__ import annotations

import re
import sys
import time
from collections.abc import Iterator

import numpy as np

from bench import maths, rough
from bench.digits import HANDS, LAST, MEASURED, as_ink, hands_for, in_real_digits
from bench.table import Row, show
from bench.unseen import SIZE, Strokes, hands, strokes_of
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.live.work.ink_jobs import InkRead, read_ink

#: One of so many of each set is looked at.
ONE_OF = 4
#: From one line of a page to the next.
LINE, LINES = 1.6 * SIZE, 3
DRAWINGS, OF_A_KIND = 12, 3
AIM, AIM_PIECES, AIM_AMONG, AIM_COUNTED = 95.0, 90.0, 80.0, 80.0
#: Room between what stands below each other on a page of several kinds.
GAP = 0.5 * SIZE
#: Room between words and a formula in their line, in heights of letters; a formula has no more strokes than this, and so many
#: strokes tell how high a line runs.
SPACE, MOST_STROKES, TOLD_BY = 1.0, 30, 8
#: Lines of each hand.
TEXTS = 6
_EQUATION = re.compile(r"[=<>]|\\approx")
#: Pages of lines of maths that are counted, how, and how wide a space is in px.
COUNTED_PAGES, COUNTERS, SPACES = 60, ("1) 2) 3) 4)", "2. 3. 4. 5.", "a) b) c) d)"), (14, 30)
COUNTED = (
    "{a}x + {b} = {c}",
    "{b} + {c} =",
    "y = {a}x - {b}",
    "{b} - {a} = {c}",
    "{a}(x + {a}) = {c}",
    "{c} × {a}",
)

#: Hands, formulas and workings: those for measuring, and those that are looked at once.
SETS = {
    "unseen": (("formulas", "formulas-joined", "formulas-lot", "formulas-joined-lot"), "workings"),
    "last": (("formulas-last", "formulas-joined-last"), "workings-last"),
}
DIGITS = {"unseen": MEASURED, "last": LAST}


def rows(part: str = "unseen") -> list[Row]:
    formulas, workings = SETS[part]
    groups: dict[str, tuple[str, Iterator[Strokes]]] = {
        "words": ("type", _texts(part, False)),
        "lines": ("type", _texts(part, True)),
        f"pages of {LINES} lines": ("type", _pages(part)),
        "formulas": ("a formula", (ink for name in formulas for ink in _maths(name))),
        "workings": ("a formula", _maths(workings)),
        "drawings of five figures with words": ("figures", _drawings()),
        "figures": ("figures", _figures()),
    }
    pages = [_row(what, wanted, list(inks)) for what, (wanted, inks) in groups.items()]
    return [*pages, _in_pieces(part), _among_words(part), _counted(part)]


def _in_pieces(part: str) -> Row:
    """Pages of a line of words, a formula or working, and words again; right are those of which no stroke is made the other kind."""
    right, times, pages = 0, [], list(_of_several_kinds(part))
    for ink, signs in pages:
        start = time.perf_counter()
        samples = as_ink([stroke[:, :2] for stroke in ink])
        found = read_ink(tuple((pack_samples(stroke), Affine()) for stroke in samples), maths=True)
        times.append((time.perf_counter() - start) * 1000)
        formulas = found.pieces.formulas if found.pieces else ()
        right += {number for formula in formulas for number in formula.members} == signs
    share = 100 * right / len(pages)
    value = f"{share:.1f} % each what it is; {show(times)}"
    return Row(
        f"words, a formula, words ({len(pages)})", value, "", f"≥ {AIM_PIECES:.0f} %", share >= AIM_PIECES
    )


def _among_words(part: str) -> Row:
    """Lines of words with a formula among them: whether its strokes are found, and it is read right; the base is the line as type."""
    parted, right, typed, times, lines = 0, 0, 0, [], list(_of_words_and_signs(part))
    for ink, signs, latex in lines:
        start = time.perf_counter()
        samples = as_ink([stroke[:, :2] for stroke in ink])
        found = read_ink(tuple((pack_samples(stroke), Affine()) for stroke in samples), maths=True)
        times.append((time.perf_counter() - start) * 1000)
        among = [
            one
            for text in (found.pieces.texts if found.pieces else ())
            for line in text
            for one in line.parts
            if one.formula
        ]
        parted += [set(one.members) for one in among] == [signs]
        right += [one.text.replace(" ", "") for one in among] == [latex]
        typed += latex.replace("^{2}", "²").replace("^{3}", "³") in found.readings[0].text.replace(" ", "")
    share, exact, base = (100 * count / len(lines) for count in (parted, right, typed))
    value = f"{share:.1f} % found, {exact:.1f} % read right; {show(times)}"
    what = f"a line of words with a formula ({len(lines)})"
    return Row(what, value, f"typed right {base:.1f} %", f"≥ {AIM_AMONG:.0f} % found", share >= AIM_AMONG)


def _counted(part: str) -> Row:
    """Pages of lines of maths that are counted: of how many lines the counter is told; the base is the line as type."""
    found_of, typed, times, lines, wrong = 0, 0, [], 0, 0
    for counters, ink in _counted_pages(DIGITS[part]):
        start = time.perf_counter()
        samples = as_ink([stroke[:, :2] for stroke in ink])
        found = read_ink(tuple((pack_samples(stroke), Affine()) for stroke in samples), maths=True)
        times.append((time.perf_counter() - start) * 1000)
        told = [line.rivals[0].text for line in (found.pieces.lines if found.pieces else ())]
        lines += len(counters)
        found_of += sum(counter in told for counter in counters)
        wrong += sum(text not in counters for text in told)
        typed += sum(
            any(line.startswith(f"{counter} ") for line in found.readings[0].text.split("\n"))
            for counter in counters
        )
    share = 100 * found_of / lines
    value = f"{share:.1f} % told, {100 * wrong / lines:.1f} % as another; {show(times)}"
    base = f"typed so {100 * typed / lines:.1f} %"
    return Row(
        f"lines of maths that are counted ({lines})",
        value,
        base,
        f"≥ {AIM_COUNTED:.0f} % told",
        share >= AIM_COUNTED,
    )


def _row(what: str, wanted: str, inks: list[Strokes]) -> Row:
    first, times = [], []
    for ink in inks:
        start = time.perf_counter()
        samples = as_ink([stroke[:, :2] for stroke in ink])
        found = read_ink(tuple((pack_samples(stroke), Affine()) for stroke in samples), maths=True)
        times.append((time.perf_counter() - start) * 1000)
        first.append(_first(found))
    right = 100 * first.count(wanted) / len(first)
    kinds = ("type", "a formula", "figures", "pieces")
    others = ", ".join(f"{other} {first.count(other)}" for other in kinds if other != wanted)
    value = f"{right:.1f} % as {wanted}; {show(times)}"
    return Row(f"offered first: {what} ({len(inks)})", value, f"as {others}", f"≥ {AIM:.0f} %", right >= AIM)


def _first(found: InkRead) -> str:
    if found.pieces_first and not found.figure_first:
        return "pieces"
    return "a formula" if found.maths_first else "figures" if found.figure_first else "type"


def _texts(part: str, lines: bool) -> Iterator[Strokes]:
    for _, hand in hands(part):
        texts = [one for one in hand["written"] if (" " in one["text"]) == lines]
        yield from (strokes_of(one) for one in texts[::ONE_OF])


def _pages(part: str) -> Iterator[Strokes]:
    for _, hand in hands(part):
        texts = [one for one in hand["written"] if " " in one["text"]][:LINES]
        yield [stroke + (0, LINE * at) for at, one in enumerate(texts) for stroke in strokes_of(one)]


def _maths(name: str) -> Iterator[Strokes]:
    return (maths.strokes_of(row) for row in maths.of_set(name)[::ONE_OF])


def _of_several_kinds(part: str) -> Iterator[tuple[Strokes, set[int]]]:
    """Pages with the numbers of their formula's strokes, as large as the words around it."""
    formulas, workings = SETS[part]
    written = [ink for name in (*formulas, workings) for ink in _maths(name)]
    for number, (_, hand) in enumerate(hands(part)):
        lines = [strokes_of(one) for one in hand["written"] if " " in one["text"]]
        for before, after in zip(lines[::2], lines[1::2], strict=False):
            formula = written[number * OF_A_KIND % len(written)]
            number += len(written) // OF_A_KIND
            size = _letter(before) / _letter(formula)
            page: Strokes = []
            below = 0.0
            for part_of in (before, [stroke * size for stroke in formula], after):
                low, high = (
                    end([end(stroke, axis=0) for stroke in part_of], axis=0) for end in (np.min, np.max)
                )
                page += [stroke - low + (0, below) for stroke in part_of]
                below += high[1] - low[1] + GAP
            yield page, set(range(len(before), len(before) + len(formula)))


def _of_words_and_signs(part: str) -> Iterator[tuple[Strokes, set[int], str]]:
    """A line of words, an equation and a word in a row, with the numbers of the equation's strokes and its LaTeX."""
    equations = [
        (maths.strokes_of(row), row["latex"].replace(" ", ""))
        for name in SETS[part][0]
        if "lot" not in name
        for row in maths.of_set(name)
        if _EQUATION.search(row["latex"]) and len(row["strokes"]) <= MOST_STROKES
    ]
    for number, (_, hand) in enumerate(hands(part)):
        texts = [strokes_of(one) for one in hand["written"] if " " in one["text"]]
        words = [strokes_of(one) for one in hand["written"] if one["text"].isalpha()]
        for at, (before, after) in enumerate(zip(texts[:TEXTS], words, strict=False)):
            formula, latex = equations[(OF_A_KIND * number + at * len(equations) // TEXTS) % len(equations)]
            tall = _letter(before)
            line: Strokes = []
            for some in (before, [stroke * tall / _letter(formula) for stroke in formula], after):
                left = min(stroke[:, 0].min() for stroke in some)
                right = max((stroke[:, 0].max() + SPACE * tall for stroke in line), default=0.0)
                # As high as what it follows ends.
                middle = _middle(line[-TOLD_BY:]) if line else 0.0
                line += [stroke + (right - left, middle - _middle(some[:TOLD_BY])) for stroke in some]
            yield line, set(range(len(before), len(before) + len(formula))), latex


def _counted_pages(file: str) -> Iterator[tuple[list[str], Strokes]]:
    """Three lines in real digits and the signs of held-out hands, each with what counts it."""
    random = np.random.default_rng(41)
    for number in range(COUNTED_PAGES):
        counters = COUNTERS[number % len(COUNTERS)].split()[number // len(COUNTERS) % 2 :][:LINES]
        a, b, c = (random.integers(least, most, LINES) for least, most in ((2, 10), (1, 60), (1, 100)))
        texts = [
            f"{counter} {str(random.choice(COUNTED)).format(a=a[at], b=b[at], c=c[at])}"
            for at, counter in enumerate(counters)
        ]
        hand = hands_for(1, "".join(texts), number)[0]
        space = random.uniform(*SPACES)
        yield (
            counters,
            [
                stroke[:, :2] + (0, LINE * at)
                for at, text in enumerate(texts)
                for stroke in in_real_digits(text, hand, random, file, space)
            ],
        )


def _middle(ink: Strokes) -> float:
    """How high the middle of most strokes is."""
    return float(np.median([(stroke[:, 1].min() + stroke[:, 1].max()) / 2 for stroke in ink]))


def _letter(ink: Strokes) -> float:
    """How high letters and digits are, and no bars."""
    return float(np.percentile([np.ptp(stroke[:, 1]) for stroke in ink], 75))


def _drawings() -> Iterator[Strokes]:
    random = np.random.default_rng(75)
    return (rough.drawing(5, random, HANDS)[0] for _ in range(DRAWINGS))


def _figures() -> Iterator[Strokes]:
    random = np.random.default_rng(9)
    return (rough.rough(kind, 0.03, random) for kind in rough.KINDS for _ in range(OF_A_KIND))


if __name__ == "__main__":
    for row in rows(*sys.argv[1:2]):
        print(row.cells())
