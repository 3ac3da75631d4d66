"""Write tests/golden/ink.json from the Python side; look at the difference before you commit it."""

from __future__ import annotations

import json
from pathlib import Path

import numpy as np

from demo.hand import Hand
from sunroom.core.ink import outline, pack_samples, unpack_samples

STROKES = [
    (np.array([(5.0, 5.0, 0.5, 0.0)]), 4.0),
    (np.array([(0.0, 0.0, 0.2, 0.0), (10.0, 4.0, 0.8, 8.0)]), 6.0),
    (
        np.array(
            [(0.0, 0.0, 0.3, 0.0), (20.0, 0.0, 0.9, 8.0), (1.0, 1.0, 0.4, 16.0), (20.0, 5.0, 0.4, 24.0)]
        ),
        5.0,
    ),
    (
        np.array([(3.0, 3.0, 0.4, 0.0), (3.0, 3.0, 0.6, 8.0), (9.0, 3.0, 0.6, 16.0), (9.0, 12.0, 0.1, 24.0)]),
        3.0,
    ),
    *((stroke, 3.6) for stroke in Hand(2).write("sun", 0, 0, 40)),
]


def main() -> None:
    cases = []
    for nib in ("pen", "brush"):
        for samples, width in STROKES:
            data = pack_samples(samples)
            found = outline(nib, unpack_samples(data), width)
            polygons = [[round(float(v), 4) for v in polygon.ravel()] for polygon in found]
            cases.append({"nib": nib, "samples": data.hex(), "width": width, "outline": polygons})
    Path(__file__).with_name("ink.json").write_text(json.dumps(cases))


main()
