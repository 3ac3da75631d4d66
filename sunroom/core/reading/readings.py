"""Readings: what a line of ink may say, and how likely each is among its rivals."""

from __future__ import annotations

import math
from collections.abc import Iterable, Sequence

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


def merged(texts: Iterable[tuple[str, float]]) -> dict[str, float]:
    """Texts with log likelihoods, each once: as likely as its likeliest."""
    found: dict[str, float] = {}
    for text, log in texts:
        found[text] = max(log, found.get(text, log))
    return found


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
    return one_after_another([line.rivals for line in lines], "\n")


def one_after_another(parts: Sequence[Sequence[Reading]], between: str) -> list[Reading]:
    """Readings of several pieces of ink, each with one at least: the best of each, then with one piece's rival in its place."""
    if len(parts) == 1:
        return list(parts[0])
    if not parts:
        return []
    best = [rivals[0] for rivals in parts]
    score = math.prod(reading.score for reading in best)
    combined = {between.join(reading.text for reading in best): score}
    for number, rivals in enumerate(parts):
        for rival in rivals[1:3]:
            texts = [reading.text for reading in best]
            texts[number] = rival.text
            combined[between.join(texts)] = score * rival.score / max(best[number].score, 1e-6)
    order = sorted(combined.items(), key=lambda pair: -pair[1])[:MAX_READINGS]
    return [Reading(text, round(value, 3)) for text, value in order]
