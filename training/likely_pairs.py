"""Which English words stand beside each other: sunroom/models/likely-pairs.npz, for core.reading.pairs.

The counts are those of the package symspellpy (MIT), which has them of the Google Books Ngrams (CC BY 3.0).
"""

from __future__ import annotations

import math
from importlib.util import find_spec
from pathlib import Path

import numpy as np
from wordfreq import zipf_frequency

from sunroom.core.reading.pairs import LikelyPairs

OUT = Path(__file__).parents[1] / "sunroom" / "models" / "likely-pairs.npz"
#: Pairs in the corpus that they were counted in, about; a pair that is not kept weighs as one by chance.
CORPUS = 1e12
#: Zipf frequencies are logarithms of a count in so many words; rarer words than this one weigh as it does.
BILLION, RAREST = 9, 1.0


def main() -> None:
    package = find_spec("symspellpy")
    if package is None or package.origin is None:
        raise SystemExit("symspellpy is missing: pip install -r training/requirements.txt")
    (file,) = Path(package.origin).parent.glob("frequency_bigramdictionary_en_*.txt")
    counts = (line.split() for line in file.read_text(encoding="utf-8-sig").splitlines())
    gains = {(before, word): gain(before, word, int(count)) for before, word, count in counts}
    rising = dict(sorted(gains.items(), key=lambda pair: pair[1]))
    np.savez_compressed(OUT, **LikelyPairs.of(rising).arrays())  # type: ignore[arg-type]
    print(f"{len(gains)} pairs: {OUT.stat().st_size} bytes")


def gain(before: str, word: str, count: int) -> float:
    """How much likelier two words are together than by chance (logarithm)."""
    alone = sum(max(zipf_frequency(one, "en"), RAREST) - BILLION for one in (before, word))
    return math.log(count / CORPUS) - alone * math.log(10)


if __name__ == "__main__":
    main()
