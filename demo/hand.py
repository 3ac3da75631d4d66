"""A simulated hand: words as pen strokes with the tremor, slant and rhythm of writing.

It fills the demo boards and writes the ink on which reading is tested and measured.
"""

from __future__ import annotations

import json
from functools import cache
from pathlib import Path
from typing import Any

import numpy as np
from numpy.typing import NDArray

Stroke = NDArray[np.float64]

#: Milliseconds between two samples of the simulated pen.
SAMPLE_MS = 8
PEN_LIFT_MS = 90


@cache
def _glyphs(file: str) -> dict[str, Any]:
    glyphs: dict[str, Any] = json.loads(Path(file).read_text())["glyphs"]
    return glyphs


class Hand:
    """A hand with its own slant and tremor; the same seed writes the same.

    Parameters
    ----------
    seed : int
    looseness : float
        0 writes like the font it learned from, 1 like a hurried tutor.
    file : path, optional
        Strokes of the letters, as made by training.trace.
    """

    def __init__(self, seed: int, looseness: float = 0.5, file: Path | None = None) -> None:
        self._random = np.random.default_rng(seed)
        self._loose = looseness
        self._slant = self._random.normal(0.02, 0.05) * looseness
        self._glyphs = _glyphs(str(file or Path(__file__).with_name("hand.json")))

    def can_write(self, text: str) -> bool:
        return all(character == " " or character in self._glyphs for character in text)

    def write(self, text: str, x: float, y: float, size: float) -> list[Stroke]:
        """Strokes of ``text`` with its baseline starting at (x, y).

        Returns
        -------
        list of (N, 4) float arrays
            x, y in board units, pressure 0–1, time in ms from the stroke's start.
        """
        strokes = []
        pen_x = x
        for character in text:
            if character == " ":
                pen_x += size * (0.28 + self._loose * self._random.normal(0, 0.015))
                continue
            glyph = self._glyphs[character]
            lift = self._loose * self._random.normal(0, 0.012) * size
            scale = size * (1 + self._loose * self._random.normal(0, 0.025))
            for rows in glyph["strokes"]:
                points = np.array(rows)
                placed = points[:, :2] * scale + (0, lift)
                placed[:, 0] -= placed[:, 1] * self._slant
                strokes.append(self.draw(placed + (pen_x, y), points[:, 2], tremor=size * 0.006))
            pen_x += glyph["advance"] * scale + self._loose * self._random.normal(0, 0.008) * size
        return strokes

    def width(self, text: str, size: float) -> float:
        """Width of ``text`` written without looseness."""
        return size * sum(0.28 if c == " " else self._glyphs[c]["advance"] for c in text)

    def draw(
        self, points: NDArray[np.float64], pressure: NDArray[np.float64] | None = None, tremor: float = 0.6
    ) -> Stroke:
        """One stroke along ``points`` ((N, 2)), as a pen would bring it."""
        gaps = np.hypot(*np.diff(points, axis=0).T) if len(points) > 1 else np.zeros(0)
        along = np.concatenate([[0.0], np.cumsum(gaps)])
        count = int(np.clip(along[-1] / 3.2, 6, 400))
        wanted = np.linspace(0, along[-1], count)
        xy = np.column_stack([np.interp(wanted, along, points[:, axis]) for axis in (0, 1)])
        xy += self._loose * tremor * self._wander(count)
        force = np.interp(wanted, along, np.full(len(points), 0.5) if pressure is None else pressure)
        t = np.linspace(0, 1, count)
        # A pen lands and lifts: pressure swells over the first tenth and fades over the last.
        force = force * np.clip(0.55 + 4.5 * t, 0, 1) * np.clip(0.45 + 5 * (1 - t), 0, 1)
        return np.column_stack([xy, np.clip(force, 0.05, 1), np.arange(count) * SAMPLE_MS])

    def sketch(self, corners: list[tuple[float, float]], tremor: float = 2.0) -> Stroke:
        """One stroke along straight lines between ``corners``, drawn freehand."""
        pieces = [
            np.linspace(a, b, max(4, int(np.hypot(b[0] - a[0], b[1] - a[1]) / 8)))
            for a, b in zip(corners, corners[1:], strict=False)
        ]
        return self.draw(np.vstack(pieces), tremor=tremor)

    def _wander(self, count: int) -> NDArray[np.float64]:
        """A smooth random walk about 0, (count, 2)."""
        knots = max(3, count // 7)
        noise = self._random.normal(0, 1, (knots, 2))
        at = np.linspace(0, knots - 1, count)
        return np.column_stack([np.interp(at, np.arange(knots), noise[:, axis]) for axis in (0, 1)])
