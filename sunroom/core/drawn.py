"""What the server draws once and every screen and file shows alike: areas and lines as paths, and words on them."""

from __future__ import annotations

from collections.abc import Sequence

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.sentences import Sentence

Points = NDArray[np.float64]

#: Parts of a board unit that paths are kept in.
PATH_UNITS = 10


class Patch(msgspec.Struct, frozen=True, array_like=True, gc=False):
    """A path of M and L in tenths of a board unit: filled, unless ``fill`` is "", and drawn with a line of ``width``, unless that is 0."""

    path: str
    fill: str
    line: str
    width: float


class DrawnText(msgspec.Struct, frozen=True, array_like=True, gc=False):
    """Words from the left end of their baseline."""

    text: str
    x: float
    y: float
    size: float
    colour: str


class Drawn(msgspec.Struct, frozen=True):
    """Patches in their order, then labels; ``problem`` says why there is nothing to show."""

    patches: tuple[Patch, ...] = ()
    labels: tuple[DrawnText, ...] = ()
    problem: Sentence | None = None


def path_of(lines: Sequence[Points]) -> str:
    """Lines of points in board units as one path; points that fall together are one."""
    made = []
    for line in lines:
        whole = np.round(np.asarray(line, float) * PATH_UNITS).astype(int)
        kept = np.concatenate([[True], (np.diff(whole, axis=0) != 0).any(axis=1)])
        points = whole[kept]
        if len(points) > 1:
            made.append("M" + "L".join(f"{x} {y}" for x, y in points.tolist()))
    return "".join(made)


def path_lines(path: str) -> list[Points]:
    """The lines of a path, in board units."""
    return [
        np.array([pair.split() for pair in part.split("L")], float) / PATH_UNITS
        for part in path.split("M")
        if part
    ]


def text_width(text: str, size: float) -> float:
    """About how wide a text is: digits are as wide as each other, stops and strokes narrower."""
    return size * sum(0.3 if character in "./°,'il| " else 0.58 for character in text)


def dashed(points: Points, on: float, off: float) -> list[Points]:
    """A line in dashes of some length with gaps of another, whole when there are none."""
    if not off or len(points) < 2:
        return [points]
    along = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    made = []
    for start in np.arange(0.0, along[-1], on + off):
        inner = points[(along > start) & (along < start + on)]
        ends = [
            [np.interp(at, along, points[:, side]) for side in (0, 1)]
            for at in (start, min(start + on, along[-1]))
        ]
        made.append(np.vstack([ends[0], *inner, ends[1]]))
    return made
