"""Strokes for the measurements: written letters of 60 samples each, as a lesson is full of."""

from __future__ import annotations

from itertools import cycle

import numpy as np

from demo.hand import Hand
from sunroom.core.board import InkItem
from sunroom.core.geometry import resample
from sunroom.core.ink import pack_samples

SAMPLES = 60
TEXT = "the shadow of a stick at noon is short and long at sunrise"


def written(count: int, columns: int, step: float = 45.0) -> tuple[InkItem, ...]:
    """``count`` strokes of ``SAMPLES`` samples, set out in rows of ``columns``."""
    letters = []
    for stroke in Hand(1).write(TEXT, 0, 0, 55):
        points = resample(stroke[:, :2] - stroke[0, :2], SAMPLES)
        pressure = np.interp(np.linspace(0, 1, SAMPLES), np.linspace(0, 1, len(stroke)), stroke[:, 2])
        letters.append(pack_samples(np.column_stack([points, pressure, np.arange(SAMPLES) * 8])))
    return tuple(
        InkItem(
            id=f"bench-{number:06d}",
            x=step * (number % columns),
            y=step * (number // columns),
            z=number + 1,
            nib="pen",
            colour="#16222b",
            width=3,
            samples=samples,
        )
        for number, samples in zip(range(count), cycle(letters), strict=False)
    )
