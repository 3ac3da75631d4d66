"""How likely a way to read all strokes of a formula is: what the nets say of its signs and of their places, by their kinds, how
level rows are, how likely and how odd the formula is. How much each counts is fitted (training.formula_weights).
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Final

import numpy as np
from numpy.typing import NDArray

from sunroom.core.maths.hanging import Numbers
from sunroom.core.maths.signs import GREEK

KINDS: Final = ("digit", "small letter", "capital", "Greek letter", "bracket", "other sign")
#: The relations of core.maths.written_latex in their order, and the first sign, which stands at none.
PLACES: Final = ("right", "power", "index", "above", "below", "inside", "cell", "first")
FIRST: Final = PLACES.index("first")
#: What counts: how likely (log) it is that strokes are parted so, unevenness, how many signs are lost, how likely (log) and how
#: odd the formula is; of each kind of sign and of place how likely those are (log, in all), of each kind how many there are.
FEATURES: Final = (
    "parting", "uneven", "lost", "likely", "odd",
    *(f"{kind}, log" for kind in KINDS), *(f"{place}, log" for place in PLACES), *(f"{kind}, each" for kind in KINDS),
)  # fmt: skip
#: What is said of the formula, and of its signs.
OF_FORMULA, OF_SIGNS = slice(3, 5), slice(5, None)

Weights = Mapping[str, float]


def kind_of(name: str) -> int:
    """Which of ``KINDS`` a sign is, by its name in LaTeX."""
    if name.isdigit():
        return 0
    if len(name) == 1 and name.isalpha():
        return 1 if name.islower() else 2
    if name in GREEK:
        return 3
    return 4 if name in ("(", ")", "[", "]", "|", r"\{", r"\}") else 5


def of_signs(
    kinds: NDArray[np.int_], sign_logs: Numbers, places: NDArray[np.int_], place_logs: Numbers
) -> Numbers:
    """What ``FEATURES`` say of signs: which kind each is, how likely its name, which place it has, how likely that."""
    return np.concatenate(
        [
            np.bincount(kinds, sign_logs, len(KINDS)),
            np.bincount(places, place_logs, len(PLACES)),
            np.bincount(kinds, minlength=len(KINDS)),
        ]
    )
