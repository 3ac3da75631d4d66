"""Readings: what a line of ink may say, and how likely each is among its rivals."""

from __future__ import annotations

import math

import msgspec

from sunroom.core.geometry import Box

MAX_READINGS = 5


class Reading(msgspec.Struct, frozen=True):
    """A text that the ink may say, and how likely that is among its rivals (0–1)."""

    text: str
    score: float


class ReadLine(msgspec.Struct, frozen=True):
    """A line of ink: what it may say (best first), which strokes it is, where, and how it was tilted."""

    rivals: tuple[Reading, ...]
    members: tuple[int, ...]
    box: Box
    angle_rad: float = 0.0


def ranked(weighed: dict[str, float]) -> list[Reading]:
    """Texts by their log likelihoods, best first, with shares that add up to 1."""
    if not weighed:
        return []
    best = max(weighed.values())
    total = sum(math.exp(log - best) for log in weighed.values())
    order = sorted(weighed.items(), key=lambda pair: -pair[1])
    return [Reading(text, round(math.exp(log - best) / total, 3)) for text, log in order]


def joined(lines: list[ReadLine]) -> list[Reading]:
    """Readings of several lines: the best of each, then with one line's rival in its place."""
    if len(lines) == 1:
        return list(lines[0].rivals)
    if not lines:
        return []
    best = [line.rivals[0] for line in lines]
    score = math.prod(reading.score for reading in best)
    combined = {"\n".join(reading.text for reading in best): score}
    for number, line in enumerate(lines):
        for rival in line.rivals[1:3]:
            texts = [reading.text for reading in best]
            texts[number] = rival.text
            combined["\n".join(texts)] = score * rival.score / max(best[number].score, 1e-6)
    order = sorted(combined.items(), key=lambda pair: -pair[1])[:MAX_READINGS]
    return [Reading(text, round(value, 3)) for text, value in order]
