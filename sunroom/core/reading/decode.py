"""The recogniser's output to the likeliest texts: CTC prefix beam search (Graves 2006; Hannun 2014)."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence

import numpy as np
from numpy.typing import NDArray

BEAM = 20
#: Characters less likely than this in a column cannot win.
LEAST_PROBABILITY = 1e-3
MAX_CANDIDATES = 8
#: Columns this certain to be blank change nothing.
CERTAIN_BLANK = 0.9995

_MINUS_INFINITY = float("-inf")


def beam_search(
    probabilities: NDArray[np.float32],
    alphabet: Sequence[str] | str,
    beam: int = BEAM,
    likely: Callable[[str], float] | None = None,
) -> list[tuple[str, float]]:
    """The likeliest texts and their log probabilities, best first.

    Parameters
    ----------
    probabilities : (T, 1 + len(alphabet)) float array
        Rows sum to at most 1; column 0 is the blank.
    alphabet : sequence of str
        The character of each further column.
    likely : callable, optional
        How likely whole words are (logarithm): of two beginnings the one in likelier words is followed rather.
        What is told of a text is its probability without that.
    """
    # For each text: log probability of ending in the blank, and of ending in its last character.
    beams: dict[str, tuple[float, float]] = {"": (0.0, _MINUS_INFINITY)}
    for row in probabilities:
        if row[0] > CERTAIN_BLANK:
            beams = {text: (_add(b, c), _MINUS_INFINITY) for text, (b, c) in beams.items()}
            continue
        columns = np.flatnonzero(row[1:] > LEAST_PROBABILITY) + 1
        if len(columns) > MAX_CANDIDATES:
            columns = columns[np.argsort(row[columns])[-MAX_CANDIDATES:]]
        logs = [(alphabet[int(column) - 1], math.log(row[column])) for column in columns]
        blank = math.log(max(float(row[0]), 1e-12))
        beams = _step(beams, blank, logs, beam, likely)
    ranked = ((text, _add(b, c)) for text, (b, c) in beams.items())
    return sorted(ranked, key=lambda pair: -pair[1])


def log_of(probabilities: NDArray[np.float32], columns: Sequence[int]) -> float:
    """Log probability of one text, given by its columns: the forward algorithm of CTC (Graves 2006)."""
    if not columns:
        return float(np.log(np.maximum(probabilities[:, 0], 1e-12)).sum())
    states = [0]
    for column in columns:
        states += [column, 0]
    logs = np.log(np.maximum(probabilities[:, states], 1e-12))
    now = np.full(len(states), -np.inf)
    now[:2] = logs[0, :2]
    # A sign may follow another without a blank between when the two differ.
    skips = np.array([n >= 2 and states[n] != 0 and states[n] != states[n - 2] for n in range(len(states))])
    for row in logs[1:]:
        before = np.concatenate([[-np.inf], now[:-1]])
        skipped = np.where(skips, np.concatenate([[-np.inf, -np.inf], now[:-2]]), -np.inf)
        now = np.logaddexp(np.logaddexp(now, before), skipped) + row
    return float(np.logaddexp(now[-1], now[-2]))


def logs_of(probabilities: NDArray[np.float32], texts: Sequence[Sequence[int]]) -> NDArray[np.float64]:
    """As ``log_of`` for several texts at once, each given by its columns."""
    if not texts:
        return np.zeros(0)
    lengths = np.array([len(columns) for columns in texts])
    states = np.zeros((len(texts), 2 * max(int(lengths.max()), 1) + 1), dtype=int)
    for row, columns in enumerate(texts):
        states[row, 1 : 2 * len(columns) : 2] = columns
    logs = np.log(np.maximum(probabilities, 1e-12)).astype(float)
    # A sign may follow another without a blank between when the two differ.
    bars = np.where((states[:, 2:] != 0) & (states[:, 2:] != states[:, :-2]), 0.0, -np.inf)
    now = np.full(states.shape, -np.inf)
    now[:, 0] = logs[0, 0]
    now[lengths > 0, 1] = logs[0, states[lengths > 0, 1]]
    for row in logs[1:]:
        new = now.copy()
        np.logaddexp(new[:, 1:], now[:, :-1], out=new[:, 1:])
        np.logaddexp(new[:, 2:], now[:, :-2] + bars, out=new[:, 2:])
        now = new + row[states]
    each = np.arange(len(texts))
    last = np.where(lengths > 0, now[each, np.maximum(2 * lengths - 1, 0)], -np.inf)
    return np.asarray(np.logaddexp(now[each, 2 * lengths], last))


def rows_of(probabilities: NDArray[np.float32], columns: Sequence[int]) -> NDArray[np.float64]:
    """The row in whose middle each character of a text stands on the likeliest way through the rows (Viterbi 1967).

    Parameters
    ----------
    probabilities : (T, 1 + characters) float array
    columns : sequence of int
        Those of the text.

    Returns
    -------
    (columns,) float array
        Empty when there are too few rows for the text.
    """
    states = np.zeros(2 * len(columns) + 1, int)
    states[1::2] = columns
    logs = np.log(np.maximum(probabilities[:, states], 1e-12))
    # Every state is entered from itself, the one before, or over the blank between two characters that differ.
    steps = np.full((3, len(states)), -np.inf)
    skips = np.flatnonzero((states[2:] != 0) & (states[2:] != states[:-2])) + 2
    now = np.where(np.arange(len(states)) < 2, logs[0], -np.inf)
    came = np.zeros(logs.shape, int)
    for row in range(1, len(logs)):
        steps[0], steps[1, 1:], steps[2, skips] = now, now[:-1], now[skips - 2]
        came[row] = steps.argmax(axis=0)
        now = steps.max(axis=0) + logs[row]
    at = len(states) - len(now[-2:]) + int(now[-2:].argmax())
    if now[at] == -np.inf:
        return np.zeros(0)
    way = np.zeros(len(logs), int)
    for row in reversed(range(len(logs))):
        way[row] = at
        at -= came[row, at]
    return np.array([np.flatnonzero(way == 2 * n + 1).mean() for n in range(len(columns))])


def _step(
    beams: dict[str, tuple[float, float]],
    blank: float,
    logs: list[tuple[str, float]],
    beam: int,
    likely: Callable[[str], float] | None,
) -> dict[str, tuple[float, float]]:
    new: dict[str, tuple[float, float]] = {}
    for text, (ends_blank, ends_char) in beams.items():
        total = _add(ends_blank, ends_char)
        last = text[-1:]
        b, c = new.get(text, (_MINUS_INFINITY, _MINUS_INFINITY))
        new[text] = (_add(b, total + blank), c)
        for character, log in logs:
            if character == last:
                # The same character again: only after a blank is it a second letter.
                b, c = new[text]
                new[text] = (b, _add(c, ends_char + log))
                gain = ends_blank + log
            else:
                gain = total + log
            if gain == _MINUS_INFINITY:
                continue
            longer = text + character
            b, c = new.get(longer, (_MINUS_INFINITY, _MINUS_INFINITY))
            new[longer] = (b, _add(c, gain))
    if len(new) <= beam:
        return new
    if likely is None:
        return dict(sorted(new.items(), key=lambda item: -max(item[1]))[:beam])
    words = {text[: text.rfind(" ") + 1] for text in new}
    of = {whole: likely(whole) if whole else 0.0 for whole in words}
    return dict(
        sorted(new.items(), key=lambda item: -max(item[1]) - of[item[0][: item[0].rfind(" ") + 1]])[:beam]
    )


def _add(a: float, b: float) -> float:
    """log(exp(a) + exp(b)), safe at minus infinity."""
    if a < b:
        a, b = b, a
    return a if b == _MINUS_INFINITY else a + math.log1p(math.exp(b - a))
