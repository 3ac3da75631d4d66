"""Ink around writing that is none of it: underlines, boxes and rings around words, brackets of a sketch."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import path_length

#: A mark is at least so many letters wide or high.
LARGE = 2.6
#: An underline is lower than this part of its width, and lies no higher than this part of the letters over it.
FLAT, UNDER = 0.12, 0.3
#: And it is no longer than this, in its widths: a wave under a word, but no joined word with dots over it.
STRAIGHT = 1.7
#: A ring's ends meet within this part of its size; it holds at least two strokes as high as this part of a letter.
MEETS, HIGH = 0.3, 0.6
#: Letters over an underline that has other writing below it end no more than so many heights of a letter above it.
ABOVE = 1.5
#: By so much of its sides what is in it lies within it.
WITHIN = 0.02
#: And it is no longer than this, in ways around its box.
LONGEST = 1.5
MOST_STROKES_LOOKED_AT = 400


def marks_among(strokes: Sequence[NDArray[np.float64]]) -> set[int]:
    """Which of the strokes mark writing and are not part of it; empty when all may be letters."""
    if not 3 <= len(strokes) <= MOST_STROKES_LOOKED_AT:
        return set()
    low = np.array([stroke[:, :2].min(axis=0) for stroke in strokes])
    high = np.array([stroke[:, :2].max(axis=0) for stroke in strokes])
    size = high - low
    letter = max(float(np.median(size[:, 1][size[:, 1] >= 0.2 * np.median(size[:, 1])])), 1e-6)
    high_enough = size[:, 1] > HIGH * letter
    found = set()
    for number, stroke in enumerate(strokes):
        others = np.arange(len(strokes)) != number
        middles = (low + high) / 2
        width, height = size[number]
        # A joined word goes up and down all its way: it is much longer than a line under it or a way around it.
        length = path_length(stroke[:, :2])
        if width > LARGE * letter and height < FLAT * width and length < STRAIGHT * width:
            over = others & (middles[:, 0] > low[number, 0]) & (middles[:, 0] < high[number, 0])
            # What hangs from it touches it.
            below = over & (low[:, 1] >= high[number, 1] - UNDER * letter) & (middles[:, 1] > high[number, 1])
            if below.any():
                # Between two lines it is near the upper one: a long bar of the lower one is not.
                over &= ~below & (high[:, 1] > low[number, 1] - ABOVE * letter)
            # An underline has letters over it, and none that it runs through.
            if over.sum() >= 2 and (high[over, 1] < high[number, 1] + UNDER * letter).mean() > 0.8:
                found.add(number)
        elif min(width, height) > 1.3 * letter and max(width, height) > LARGE * letter:
            gap = float(np.hypot(*(stroke[0, :2] - stroke[-1, :2])))
            inside = others & (middles > low[number]).all(axis=1) & (middles < high[number]).all(axis=1)
            round_it = 1.6 * float(np.hypot(width, height)) < length < LONGEST * 2 * (width + height)
            # What is written in a ring lies in it wholly: a loop of a letter has its neighbours in and about it.
            margin = WITHIN * size[number]
            whole = (low > low[number] + margin) & (high < high[number] - margin)
            # And the loop of an f or y holds bits where the pen was lifted, and no word.
            holds = (inside & high_enough).sum() >= 2 and whole.all(axis=1)[inside].mean() > 0.8
            if holds and round_it and gap < MEETS * float(np.hypot(width, height)):
                found.add(number)
    return found


def is_flat(stroke: NDArray[np.float64]) -> bool:
    """Whether a mark is a line under writing, rather than around it."""
    width, height = np.ptp(stroke[:, :2], axis=0)
    return bool(height < FLAT * width)
