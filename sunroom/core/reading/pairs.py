"""Which words stand beside each other more often than by chance: counts of a large corpus, kept small.

A pair is kept as a checksum of its two words and how much likelier the second is after the first than by itself
(logarithm, in eighths). Of two pairs with one checksum the commoner is known, which happens to one pair in many thousands.
"""

from __future__ import annotations

import zlib
from collections.abc import Mapping

import numpy as np
from numpy.typing import NDArray

#: Parts of a natural logarithm's one; more than ``MOST`` is no likelier.
PARTS, MOST = 8.0, 8.0


class LikelyPairs:
    """How much likelier words are after others.

    Parameters
    ----------
    keys : (N,) uint32 array
        Checksums, in rising order.
    gains : (N,) uint8 array
        In eighths of a logarithm's one.
    """

    def __init__(self, keys: NDArray[np.uint32], gains: NDArray[np.uint8]) -> None:
        self._keys, self._gains = keys, gains

    @classmethod
    def of(cls, gains: Mapping[tuple[str, str], float]) -> LikelyPairs:
        """Of pairs of words in small letters and logarithms, those that are known best last."""
        kept = {key(*pair): min(gain, MOST) for pair, gain in gains.items() if gain >= 1 / PARTS}
        keys = np.array(sorted(kept), np.uint32)
        return cls(keys, np.rint([PARTS * kept[number] for number in keys.tolist()]).astype(np.uint8))

    def arrays(self) -> dict[str, NDArray[np.uint32] | NDArray[np.uint8]]:
        return {"keys": self._keys, "gains": self._gains}

    def __call__(self, before: str, word: str) -> float:
        """How much likelier ``word`` is after ``before``: a logarithm from 0 to ``MOST``; both in small letters."""
        wanted = key(before, word)
        at = int(np.searchsorted(self._keys, wanted))
        known = at < len(self._keys) and int(self._keys[at]) == wanted
        return float(self._gains[at]) / PARTS if known else 0.0


def key(before: str, word: str) -> np.uint32:
    return np.uint32(zlib.crc32(f"{before} {word}".encode()))
