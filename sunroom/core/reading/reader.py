"""Reading ink: the recogniser's view of each line, weighed with how common the words are."""

from __future__ import annotations

import math
import re
from collections.abc import Callable, Sequence

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.reading.decode import beam_search
from sunroom.core.reading.lines import Stroke, find_lines
from sunroom.core.reading.picture import line_picture

#: (1, 3, 48, W) picture to (T, 1 + characters) probabilities, blank first
Recognise = Callable[[NDArray[np.float32]], NDArray[np.float32]]
#: how common a word is: 0 (never seen) to 8 (the), the logarithm of its count in a billion words
Frequency = Callable[[str], float]

#: Characters that a lesson writes in a line; the recogniser knows thousands more.
CHARACTERS = (
    "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789"
    ".,:;!?'\"()[]{}+-=*/%&@#<>_°²³×÷±√π€£$€–’“”«»…·"
    "àâäáãåæçèéêëìíîïñòóôöõøœùúûüýÿßÀÂÄÁÃÅÆÇÈÉÊËÌÍÎÏÑÒÓÔÖÕØŒÙÚÛÜÝ¿¡αβγδεθλμρστφωΔΣΩ "
)
PRIOR_WEIGHT = 1.0
LENGTH_BONUS = 0.3
#: A token with digits or signs is neither common nor rare: about the weight of an everyday word.
NEUTRAL_ZIPF = 3.0
#: More strokes than this are not read at once: a page of writing is read in parts.
MAX_STROKES = 600
MAX_READINGS = 5
#: Below this the recogniser saw nothing that it knows as writing.
LEAST_CERTAINTY = 0.05

_WORD = re.compile(r"[^\W\d_]+(?:['’][^\W\d_]+)?")


class Reading(msgspec.Struct, frozen=True):
    """A text that the ink may say, and how likely that is among its rivals (0–1)."""

    text: str
    score: float


class Reader:
    """Reads ink with a line recogniser and a table of word frequencies.

    Parameters
    ----------
    recognise : callable
        The recogniser; see ``Recognise``.
    alphabet : sequence of str
        The character of each of its columns after the blank.
    frequency : callable
        See ``Frequency``.
    """

    def __init__(self, recognise: Recognise, alphabet: Sequence[str], frequency: Frequency) -> None:
        columns = {character: number + 1 for number, character in enumerate(alphabet)}
        self._alphabet = [character for character in dict.fromkeys(CHARACTERS) if character in columns]
        self._columns = [0, *(columns[character] for character in self._alphabet)]
        self._digits = [0, *(self._alphabet.index(c) + 1 for c in "0123456789.,")]
        self._recognise = recognise
        self._frequency = frequency

    def read(self, strokes: Sequence[Stroke]) -> list[Reading]:
        """What ``strokes`` may say, best first, at most ``MAX_READINGS``; empty when nothing is readable.

        Several lines of ink are joined by line ends; their rivals differ in the least certain line.
        """
        lines = find_lines(strokes[: MAX_STROKES + 1])
        if not lines or len(strokes) > MAX_STROKES:
            return []
        readings = [self._read_line(line) for line in lines]
        readings = [line for line in readings if line]
        if not readings:
            return []
        if len(readings) == 1:
            return readings[0]
        return _combined(readings)

    def _read_line(self, strokes: list[Stroke]) -> list[Reading]:
        rows = self._recognise(line_picture(strokes))[:, self._columns]
        if not _seen(rows):
            return []
        texts = [(text.strip(), log) for text, log in beam_search(rows, self._alphabet) if text.strip()]
        if not texts:
            return []
        plain_best = texts[0][0]
        weighed: dict[str, float] = {}
        for text, log in texts:
            weighed[text] = max(weighed.get(text, -math.inf), log + self._prior(text))
        ranked = sorted(weighed.items(), key=lambda pair: -pair[1])
        total = sum(math.exp(score - ranked[0][1]) for _, score in ranked)
        readings = [Reading(text, round(math.exp(score - ranked[0][1]) / total, 3)) for text, score in ranked]
        return self._with_rivals(readings, plain_best, rows)

    def _prior(self, text: str) -> float:
        words = text.split()
        if not words:
            return 0.0
        return PRIOR_WEIGHT * sum(self._word_zipf(word) for word in words) + LENGTH_BONUS * len(text)

    def _word_zipf(self, token: str) -> float:
        words = _WORD.findall(token)
        if not words or any(character.isdigit() for character in token):
            return NEUTRAL_ZIPF
        return min(self._frequency(word.lower()) for word in words)

    def _with_rivals(
        self, readings: list[Reading], plain_best: str, rows: NDArray[np.float32]
    ) -> list[Reading]:
        """The first readings with, always among them, the unweighed best and the reading as a number."""
        first = readings[: MAX_READINGS - 2]
        rivals = [plain_best]
        digits = beam_search(rows[:, self._digits], "0123456789.,", 5)
        if digits and len(digits[0][0].strip(".,")) == len(plain_best.strip(".,")):
            rivals.append(digits[0][0])
        rest = {reading.text: reading for reading in readings}
        for text in [*rivals, *rest]:
            if len(first) < MAX_READINGS and text not in {reading.text for reading in first}:
                first.append(rest.get(text, Reading(text, 0.0)))
        return first


def _seen(rows: NDArray[np.float32]) -> bool:
    """Whether the recogniser saw characters of ours at all, rather than spread-out doubt."""
    mass = rows.sum(axis=1)
    busy = rows[:, 0] < 0.5
    return bool(busy.any()) and float(mass[busy].mean()) > LEAST_CERTAINTY


def _combined(lines: list[list[Reading]]) -> list[Reading]:
    """Readings of several lines: the best of each, then with one line's rival in its place."""
    best = [line[0] for line in lines]
    score = math.prod(reading.score for reading in best)
    combined = {"\n".join(reading.text for reading in best): score}
    for number, line in enumerate(lines):
        for rival in line[1:3]:
            texts = [reading.text for reading in best]
            texts[number] = rival.text
            share = score * rival.score / max(best[number].score, 1e-6)
            combined["\n".join(texts)] = share
    ranked = sorted(combined.items(), key=lambda pair: -pair[1])[:MAX_READINGS]
    return [Reading(text, round(value, 3)) for text, value in ranked]
