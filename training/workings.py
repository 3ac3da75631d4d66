"""Workings that the reader of written maths is measured on, and how likely a line of one ends where there is room.

    python -m training.workings          # bench/hands/maths/workings.json and workings-last.json
    python -m training.workings fit      # prints WEIGHTS and PLAIN_WEIGHTS of sunroom.core.maths.working

A working (workings.txt) is some lines below each other in one hand, now nearer and now farther from each other, some of them
on a slant. Every other one is in the last set, written by other hands. Weights are fitted to the first set and to single
formulas by the same hands, in which no line ends.
"""

from __future__ import annotations

import json
import sys
from pathlib import Path
from typing import Any

import numpy as np

from sunroom.core.maths.working import Room, rooms_of
from sunroom.resources import written_reader
from training.measured_maths import HANDS, OUT, UNITS, flat, written
from training.number_signs import fitted

WORKINGS = Path(__file__).with_name("workings.txt")
SETS = {
    "workings": ("formulas", "formulas-joined"),
    "workings-last": ("formulas-last", "formulas-joined-last"),
}
SINGLES = ("formulas", "formulas-joined", "formulas-lot", "formulas-joined-lot")
#: Between two lines, in heights of a digit; how much that and the left edge change.
APART, CHANGES, SHIFTS = (0.25, 0.5, 0.9), 0.15, 0.16
#: A part of the workings runs up or down by so much of its width.
ON_A_SLANT, SLANT = 0.4, 0.05
RIDGE = 0.5


def main() -> None:
    if sys.argv[1:] == ["fit"]:
        _fit()
        return
    blocks = WORKINGS.read_text().strip().split("\n\n")
    for at, (name, hands) in enumerate(SETS.items()):
        random = np.random.default_rng(40 + at)
        rows = [
            _working(block.split("\n"), str(random.choice(HANDS[group])), apart, random)
            for block in blocks[at::2]
            for group in hands
            for apart in APART
        ]
        (OUT / f"{name}.json").write_text(json.dumps(rows, separators=(",", ":")))
        print(name, len(rows))


def _working(formulas: list[str], hand: str, apart: float, random: np.random.Generator) -> dict[str, Any]:
    strokes: list[np.ndarray] = []
    lines: list[list[int]] = []
    y = 0.0
    for latex in formulas:
        ink = written(latex, hand, random)
        points = np.vstack(ink)
        (left, top), foot = points.min(axis=0), points[:, 1].max()
        away = np.array([random.normal(0, SHIFTS) - left, y - top])
        lines.append(list(range(len(strokes), len(strokes) + len(ink))))
        strokes += [stroke + away for stroke in ink]
        y += foot - top + apart * random.uniform(1 - CHANGES, 1 + CHANGES)
    if random.random() < ON_A_SLANT:
        slant = random.uniform(-SLANT, SLANT)
        strokes = [np.column_stack([s[:, 0], s[:, 1] + slant * s[:, 0]]) for s in strokes]
    return {
        "latex": formulas,
        "hand": hand,
        "apart": apart,
        "lines": lines,
        "strokes": [flat(s) for s in strokes],
    }


def _fit() -> None:
    rows = [(row["strokes"], row["lines"]) for row in json.loads((OUT / "workings.json").read_text())]
    for name in SINGLES:
        formulas = json.loads((OUT / f"{name}.json").read_text())
        rows += [
            (row["strokes"], [range(len(row["strokes"]))]) for row in formulas if r"\\" not in row["latex"]
        ]
    rooms, ends = [], []
    for strokes, lines in rows:
        above = [frozenset(n for line in lines[: at + 1] for n in line) for at in range(len(lines) - 1)]
        found = _rooms([np.array(stroke, float).reshape(-1, 2) / UNITS for stroke in strokes])
        rooms += found
        ends += [room.above in above for room in found]
    seen = np.array([room[1:] for room in rooms])
    for columns in (list(range(seen.shape[1])), [0, seen.shape[1] - 1]):
        weights = fitted(np.column_stack([np.ones(len(seen)), seen[:, columns]]), np.array(ends), RIDGE)
        print(len(ends), "rooms,", sum(ends), "ends of lines:", weights.round(2).tolist())


def _rooms(strokes: list[np.ndarray]) -> list[Room]:
    reader = written_reader()
    return rooms_of(strokes, reader.looked(strokes), reader.limited)


if __name__ == "__main__":
    main()
