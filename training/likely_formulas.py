"""How likely formulas are: counts for core.maths.likely, of known formulas and of formulas drawn by lot.

Nothing here has an expression of formulas.txt, which measures.
"""

from __future__ import annotations

import re
from collections.abc import Sequence
from pathlib import Path

import numpy as np

from sunroom.core.maths.likely import LikelyFormulas
from sunroom.core.maths.written_latex import Tree, latex_of
from training.drawn import formula
from training.known import KNOWN
from training.written_maths import RELATIONS, Piece, Sign, Strokes, Writer

OUT = Path(__file__).parents[1] / "sunroom" / "models" / "likely-formulas.npz"
SEED, DRAWN = 991, 80_000
#: Each known formula is counted so often as it is, and so often with other numbers in it.
AS_IT_IS, OTHER_NUMBERS = 4, 8
#: Of digits that are not alone in their number so many are another, and of others.
OTHER_DIGIT = 0.6
_BOX = np.array([(0.0, -0.5), (0.5, -0.5), (0.5, 0.0), (0.0, 0.0)])
_NUMBER = re.compile(r"(?<![A-Za-z])\d+")


class Hanging(Writer):
    """Writes nothing: it only says how the signs of a formula hang together."""

    def add(self, name: str, size: float, strokes: Strokes | None = None) -> Piece:
        self.signs.append(Sign(name, [_BOX * size]))
        at = len(self.signs) - 1
        return self._piece([at], at, at)


def main() -> None:
    random = np.random.default_rng(SEED)
    lines = KNOWN.read_text().splitlines()
    numbers = {"": 0}
    counts = counted(lines, numbers, random)
    lot = LikelyFormulas.count((drawn(random) for _ in range(DRAWN)), numbers)
    np.savez_compressed(OUT, **LikelyFormulas.arrays(numbers, counts, lot))  # type: ignore[arg-type]
    print(f"{len(lines)} known formulas, {DRAWN} by lot, {len(numbers)} tokens: {OUT.stat().st_size} bytes")


def counted(
    lines: Sequence[str], numbers: dict[str, int], random: np.random.Generator
) -> dict[tuple[int, ...], dict[int, int]]:
    """Counts of known formulas, as they are and with other numbers in them; tokens that are new get a number."""
    known = [line for line in lines for _ in range(AS_IT_IS)]
    known += [with_other_numbers(line, random) for line in lines for _ in range(OTHER_NUMBERS)]
    return LikelyFormulas.count(known, numbers)


def drawn(random: np.random.Generator) -> str:
    """A formula drawn by lot, in LaTeX as readings have it."""
    writer = Hanging(random, ("dekko",), "training")
    writer.write(formula(random))
    return latex_of_signs(writer.signs)


def latex_of_signs(signs: Sequence[Sign]) -> str:
    """What signs that hang together say, in LaTeX as readings have it."""
    children: list[dict[int, int]] = [{} for _ in signs]
    root = 0
    for at, sign in enumerate(signs):
        if sign.parent < 0:
            root = at
        else:
            children[sign.parent][RELATIONS.index(sign.relation)] = at
    return latex_of(Tree([sign.name for sign in signs], children, root))


def with_other_numbers(latex: str, random: np.random.Generator) -> str:
    """Other numbers as long as those that are there: 2 m is as likely as 7 m."""

    def other(found: re.Match[str]) -> str:
        if len(found[0]) == 1 and random.random() < OTHER_DIGIT:
            return found[0]
        return "".join(
            str(random.integers(1, 10)) if random.random() < OTHER_DIGIT else digit for digit in found[0]
        )

    return _NUMBER.sub(other, latex)


if __name__ == "__main__":
    main()
