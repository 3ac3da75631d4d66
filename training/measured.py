"""Write the ink on which reading is measured: hands that no net has seen, in words that training never writes.

    python -m training.measured

Half of the words are written glyph by glyph by ``training.writing``, with its habits; the others are traced as wholes
from their pictures, so that strokes part and meet elsewhere. bench/hands/unseen is measured while things are tuned,
bench/hands/last is looked at once, at the end.
"""

from __future__ import annotations

import json
import math
from multiprocessing import Pool
from pathlib import Path

import numpy as np
from wordfreq import top_n_list

from bench.sentences import LAST_SENTENCES, SENTENCES
from sunroom.core.geometry import simplify
from training import writing
from training.faces import face

OUT = Path(__file__).parents[1] / "bench" / "hands"
#: Texts of each hand; more lines of hands that join, which are read worst.
WORDS, LINES, JOINED_LINES = 20, 8, 16
#: Units of the files: so many to a font's size.
UNITS = 400
#: The last hands write other words whenever they were looked at: 41 until the tracing kept tails and dots, 43 until there
#: were lines enough to tell 83 from 90 of a hundred.
SEEDS = {"unseen": 41, "last": 47}
#: Fonts in which letters join by themselves.
JOINED = frozenset(
    "playwrite-cz playwrite-no playwrite-ar playwrite-fr-trad playwrite-es dancing-script cookie sacramento damion "
    "meow-script licorice playwrite-ro playwrite-hu playwrite-ca cedarville-cursive norican bilbo zeyada".split()
)


def main() -> None:
    jobs = [(name, part) for part in ("unseen", "last") for name in getattr(writing, PARTS[part])]
    with Pool(2) as pool:
        for name in pool.imap_unordered(write, jobs):
            print(name, flush=True)


PARTS = {"unseen": "MEASURED", "last": "LAST"}


def write(job: tuple[str, str]) -> str:
    name, part = job
    number = [*writing.MEASURED, *writing.LAST].index(name)
    random = np.random.default_rng((SEEDS[part], number))
    pool = [w for w in top_n_list("en", 9_000) if w.isalpha() and w.isascii() and 3 <= len(w) <= 10]
    unseen = [word for word in pool if writing.is_unseen(word)]
    texts = [str(word) for word in random.choice(unseen, WORDS, replace=False)]
    texts = [word.capitalize() if n % 5 == 4 else word for n, word in enumerate(texts)]
    sentences = SENTENCES if part == "unseen" else LAST_SENTENCES
    count = JOINED_LINES if name in JOINED else LINES
    lines = [sentences[(number * count + n) % len(sentences)] for n in range(count)]
    written = []
    for n, text in enumerate([*texts, *lines]):
        strokes = writing.written(name, text, random) if n % 2 else _as_a_whole(name, text, random)
        written.append({"text": text, "strokes": [_compact(stroke) for stroke in strokes]})
    folder = OUT / part
    folder.mkdir(parents=True, exist_ok=True)
    kept = {"source": f"{name} (SIL OFL 1.1 or Apache 2.0)", "joined": name in JOINED, "written": written}
    (folder / f"{name}.json").write_text(json.dumps(kept, separators=(",", ":")))
    return f"{part}/{name}: {len(written)} texts, {np.mean([len(w['strokes']) for w in written]):.1f} strokes each"


def _as_a_whole(name: str, text: str, random: np.random.Generator) -> list[np.ndarray]:
    """Each word traced from its picture, leaning and stretched, with a little tremor."""
    strokes, x = [], 0.0
    for word in text.split():
        found = face(name).trace_text(word)
        strokes += [stroke + (x, 0.0) for stroke in found]
        x = max(float(stroke[:, 0].max()) for stroke in strokes) + random.uniform(0.28, 0.4)
    lean, stretch, tilt = random.normal(0, 0.1), math.exp(random.normal(0, 0.08)), random.normal(0, 0.012)
    return [
        np.column_stack([(s[:, 0] - lean * s[:, 1]) * stretch, s[:, 1] + tilt * s[:, 0]])
        + random.normal(0, 0.003, (len(s), 2))
        for s in strokes
    ]


def _compact(stroke: np.ndarray) -> list[int]:
    """x, y, x, y … in whole units."""
    kept = stroke[simplify(stroke, 0.004)] if len(stroke) > 2 else stroke
    return [int(value) for value in np.rint(kept * UNITS).ravel()]


if __name__ == "__main__":
    main()
