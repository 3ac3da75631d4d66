"""How likely a formula is before any ink is looked at: from what schools write, and what may be written at all.

A formula in LaTeX is read as rows: the line itself, and in each power, index, fraction, root and limit a row of its own. Of
each token counts say how often it follows the two before it in such a row, those of one before where two are seldom, and so
on (Ney, Essen, Kneser 1994: absolute discounting). There are two sets of counts, of known formulas and of formulas drawn by
lot (training.likely_formulas); a token is as likely as both say together. A letter that a formula has already is likelier to
stand there again than others are (Kuhn, De Mori 1990: a cache).
"""

from __future__ import annotations

import math
import re
from collections import Counter
from collections.abc import Iterable, Mapping, Sequence
from typing import Any

import numpy as np
from numpy.typing import NDArray

from sunroom.core.maths.signs import GREEK

#: A token, the kind of row that it stands in, and the two before it.
Place = tuple[str, str, str, str]
#: As numbers: what a token may depend on, and counts of the tokens there.
Counts = Mapping[tuple[int, ...], Mapping[int, int]]

DISCOUNT = 0.75
#: How much what is known counts beside what is drawn by lot.
KNOWN_SHARE = 0.85
#: A token that is met at all makes a formula so much likelier (log): else short ones always were.
EACH = 1.5
#: So many letters are one of those that a formula has already. Of 0, 0.1 … 0.5 this says most of known formulas left out in turn.
AGAIN_SHARE = 0.2
_TOKEN = re.compile(r"\\[A-Za-z]+|\\.|\S")
_LIMITED = frozenset((r"\sum", r"\prod", r"\int", r"\oint", r"\lim", r"\max", r"\min"))
_KINDS = {"^": "power", "_": "index", r"\frac": "fraction", r"\sqrt": "root"}
_BEGIN, _END = "begin", "end"


def places_of(latex: str) -> list[Place]:
    """The tokens of a formula, each with its kind of row and the two tokens before it there."""
    places: list[Place] = []
    rows = [("line", _BEGIN, _BEGIN)]

    def put(token: str) -> None:
        kind, before, second = rows[-1]
        places.append((token, kind, before, second))
        rows[-1] = kind, token, before

    for token in _TOKEN.findall(latex):
        before, second = rows[-1][1:]
        if token == "{":
            # A row begins with what it belongs to: the power of x is another than that of 2.
            owner = second if before in "^_" else ""
            kind = "limit" if owner in _LIMITED else _KINDS.get(before, "other")
            rows.append((kind, f"{owner}{before}{{", _BEGIN))
        elif token == "}" and len(rows) > 1:
            put(_END)
            rows.pop()
        else:
            put(token)
    put(_END)
    return places


class LikelyFormulas:
    """Two sets of counts, see the module; ``tokens`` by number, "" first for one that was never met."""

    def __init__(self, tokens: Sequence[str], known: Counts, lot: Counts) -> None:
        self._numbers = {token: number for number, token in enumerate(tokens)}
        self._sets = [_with_totals(counts) for counts in (known, lot)]
        letters = {
            token: known.get((), {}).get(number, 0)
            for token, number in self._numbers.items()
            if _is_letter(token)
        }
        self._letters, self._all_letters = letters, sum(letters.values()) + len(letters) + 1

    @staticmethod
    def count(formulas: Iterable[str], numbers: dict[str, int]) -> dict[tuple[int, ...], dict[int, int]]:
        """Counts of formulas in LaTeX; tokens that are new get a number."""
        counts: dict[tuple[int, ...], dict[int, int]] = {}
        for formula in formulas:
            for place in places_of(formula):
                token, kind, before, second = (numbers.setdefault(part, len(numbers)) for part in place)
                for given in _givens(kind, before, second):
                    row = counts.setdefault(given, {})
                    row[token] = row.get(token, 0) + 1
        return counts

    @staticmethod
    def arrays(numbers: Mapping[str, int], known: Counts, lot: Counts) -> dict[str, NDArray[Any]]:
        """To be kept: "tokens", and of each set (6, N) what a token depends on (3 and how many of them), the token, its count."""
        made: dict[str, NDArray[Any]] = {"tokens": np.array(list(numbers))}
        for name, counts in (("known", known), ("lot", lot)):
            rows = [
                (*given, *[0] * (3 - len(given)), len(given), token, n)
                for given, row in counts.items()
                for token, n in row.items()
            ]
            made[name] = np.array(sorted(rows), np.int32).T
        return made

    @classmethod
    def of(cls, arrays: Mapping[str, NDArray[Any]]) -> LikelyFormulas:
        """From what ``arrays`` gave."""
        sets = []
        for name in ("known", "lot"):
            counts: dict[tuple[int, ...], dict[int, int]] = {}
            for *given, length, token, n in arrays[name].T.tolist():
                counts.setdefault(tuple(given[:length]), {})[token] = n
            sets.append(counts)
        return cls(arrays["tokens"].tolist(), *sets)

    def log(self, latex: str) -> float:
        """How likely a formula is (log), but for a constant; longer ones are no less so."""
        total = 0.0
        for place in places_of(latex):
            token, kind, before, second = (self._numbers.get(part, 0) for part in place)
            givens = _givens(kind, before, second)
            known, lot = (self._share(counts, token, givens) for counts in self._sets)
            total += EACH + math.log(KNOWN_SHARE * known + (1 - KNOWN_SHARE) * lot)
        return total + self._again(latex)

    def _again(self, latex: str) -> float:
        """How much likelier (log) its letters are for being one of those before them, or another."""
        total = 0.0
        before: Counter[str] = Counter()
        for letter in filter(_is_letter, _TOKEN.findall(latex)):
            if before:
                share = (self._letters.get(letter, 0) + 1) / self._all_letters
                total += math.log(1 - AGAIN_SHARE + AGAIN_SHARE * before[letter] / before.total() / share)
            before[letter] += 1
        return total

    def _share(
        self,
        counts: Mapping[tuple[int, ...], tuple[int, Mapping[int, int]]],
        token: int,
        givens: Sequence[tuple[int, ...]],
    ) -> float:
        share = 1 / len(self._numbers)
        for given in givens:
            if given in counts:
                total, row = counts[given]
                share = max(row.get(token, 0) - DISCOUNT, 0) / total + DISCOUNT * len(row) / total * share
        return share


def _is_letter(token: str) -> bool:
    return token in GREEK or (len(token) == 1 and token.isalpha())


def _givens(kind: int, before: int, second: int) -> tuple[tuple[int, ...], ...]:
    """What a token may depend on, least of it first."""
    return (), (before,), (kind, before), (kind, before, second)


def _with_totals(counts: Counts) -> dict[tuple[int, ...], tuple[int, Mapping[int, int]]]:
    return {given: (sum(row.values()), row) for given, row in counts.items()}
