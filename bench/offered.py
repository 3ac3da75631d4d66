"""What is offered first for ink: type for words, a formula for maths, figures for figures, by hands that nothing has seen.

python -m bench.offered last        hands and formulas that are looked at when a change is done
"""

from __future__ import annotations

import sys
import time
from collections.abc import Iterator

import numpy as np

from bench import maths, rough
from bench.digits import HANDS, as_ink
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
AIM, AIM_PIECES = 95.0, 90.0
#: Room between what stands below each other on a page of several kinds.
GAP = 0.5 * SIZE

#: Hands, formulas and workings: those for measuring, and those that are looked at once.
SETS = {
    "unseen": (("formulas", "formulas-joined", "formulas-lot", "formulas-joined-lot"), "workings"),
    "last": (("formulas-last", "formulas-joined-last"), "workings-last"),
}


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
    return [*(_row(what, wanted, list(inks)) for what, (wanted, inks) in groups.items()), _in_pieces(part)]


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
