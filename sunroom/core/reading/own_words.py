"""How a person writes words, learned from lines of which one knows what they say: the taught recogniser's last step, bent a little.

That step weighs what the recogniser saw in each row for each character. A few steps of gradient descent on the lines' own
likelihood (connectionist temporal classification: Graves, Fernández, Gomez, Schmidhuber 2006) add to these weights; there
are so few that a line which was not what it is said to be does little harm.
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from sunroom.core.reading.decode import log_of

#: Measured on joined-up hands that nothing was trained on; twice the rate reads words no better and lines worse.
STEPS, RATE = 20, 0.006
#: A line whose characters are less likely than this each (logarithm) is taken for something else and not learned from.
CLEAR_EACH = -2.5
#: Learning takes time by lines and their rows: longer ones than this are passed over,
MOST_ROWS = 300
#: and of a hand only the newest so many are looked at.
MOST_LEARNED = 12
LEAST = 1e-12


class SeenLine(NamedTuple):
    """A line as the taught recogniser sees it, and what it says: (T, 1 + characters), (T, D), and columns of the text."""

    probabilities: NDArray[np.float32]
    rows: NDArray[np.float32]
    columns: tuple[int, ...]

    @property
    def clear(self) -> bool:
        """Whether the line can be what it is said to be, and is short enough to be learned from."""
        return len(self.rows) <= MOST_ROWS and log_of(self.probabilities, self.columns) > CLEAR_EACH * len(
            self.columns
        )


class OwnWords:
    """What a hand's lines add to the weights, ``change`` (1 + characters, D) and ``more`` (1 + characters,)."""

    def __init__(self, change: NDArray[np.float64], more: NDArray[np.float64]) -> None:
        self._change, self._more = change, more

    @classmethod
    def learned(cls, lines: Sequence[SeenLine]) -> OwnWords | None:
        """From lines that say what they are said to; None without any."""
        clear = [line for line in lines if line.clear]
        if not clear:
            return None
        batch = _Batch(clear)
        classes, width = clear[0].probabilities.shape[1], clear[0].rows.shape[1]
        own = cls(np.zeros((classes, width)), np.zeros(classes))
        for _ in range(STEPS):
            wanted = batch.wanted(own._logs(batch.logs, batch.rows))
            own._change += RATE * np.einsum("btc,btd->cd", wanted, batch.rows)
            own._more += RATE * wanted.sum(axis=(0, 1))
        return own

    def weighed(self, probabilities: NDArray[np.float32], rows: NDArray[np.float32]) -> NDArray[np.float32]:
        """The recogniser's (T, 1 + characters) probabilities as this hand's."""
        logs = self._logs(np.log(np.maximum(probabilities, LEAST)), rows)
        return np.asarray(np.exp(logs), np.float32)

    def _logs(self, logs: NDArray[np.floating], rows: NDArray[np.floating]) -> NDArray[np.float64]:
        made = logs + rows @ self._change.T + self._more
        made -= made.max(axis=-1, keepdims=True)
        return np.asarray(made - np.log(np.exp(made).sum(axis=-1, keepdims=True)))


class _Batch:
    """Several lines at once: the states of each are its characters with blanks between, rows beyond its end are blank."""

    def __init__(self, lines: Sequence[SeenLine]) -> None:
        self._lengths = np.array([len(line.rows) for line in lines])
        self._sizes = np.array([len(line.columns) for line in lines])
        most = int(self._lengths.max())
        classes, width = lines[0].probabilities.shape[1], lines[0].rows.shape[1]
        probabilities = np.zeros((len(lines), most, classes))
        probabilities[..., 0] = 1.0
        self.rows = np.zeros((len(lines), most, width))
        self._states = np.zeros((len(lines), 2 * int(self._sizes.max()) + 1), int)
        for n, line in enumerate(lines):
            probabilities[n, : len(line.rows)] = line.probabilities
            self.rows[n, : len(line.rows)] = line.rows
            self._states[n, 1 : 2 * len(line.columns) : 2] = line.columns
        self.logs = np.log(np.maximum(probabilities, LEAST))
        self._there = np.arange(most) < self._lengths[:, None]
        # A character may follow another without a blank between when the two differ.
        differ = (self._states[:, 2:] != 0) & (self._states[:, 2:] != self._states[:, :-2])
        self._bars = np.where(differ, 0.0, -np.inf)

    def wanted(self, logs: NDArray[np.float64]) -> NDArray[np.float64]:
        """(B, T, classes): what makes each line likelier, for each character of its text."""
        each = np.arange(len(logs))[:, None]
        seen = logs[each[..., None], np.arange(logs.shape[1])[None, :, None], self._states[:, None, :]]
        forward = self._along(seen)
        both = forward + self._back(seen)
        share = np.exp(both - np.logaddexp.reduce(both, axis=2, keepdims=True))
        occupied = np.zeros_like(logs)
        for state in range(self._states.shape[1]):
            occupied[each[:, 0], :, self._states[:, state]] += share[:, :, state]
        made = (occupied - np.exp(logs)) / self._sizes[:, None, None] / len(logs)
        return np.asarray(made * self._there[..., None])

    def _along(self, seen: NDArray[np.float64]) -> NDArray[np.float64]:
        """Of all ways that are at a state in a row, how likely they are up to it."""
        made = np.full(seen.shape, -np.inf)
        made[:, 0, :2] = seen[:, 0, :2]
        for row in range(1, seen.shape[1]):
            now = made[:, row - 1].copy()
            now[:, 1:] = np.logaddexp(now[:, 1:], made[:, row - 1, :-1])
            now[:, 2:] = np.logaddexp(now[:, 2:], made[:, row - 1, :-2] + self._bars)
            made[:, row] = now + seen[:, row]
        return made

    def _back(self, seen: NDArray[np.float64]) -> NDArray[np.float64]:
        """Of all ways that are at a state in a row, how likely they are after it; they end at the text's end."""
        count, rows, _ = seen.shape
        each = np.arange(count)
        made = np.full(seen.shape, -np.inf)
        made[each, rows - 1, 2 * self._sizes] = made[each, rows - 1, 2 * self._sizes - 1] = 0.0
        for row in range(rows - 2, -1, -1):
            after = made[:, row + 1] + seen[:, row + 1]
            now = after.copy()
            now[:, :-1] = np.logaddexp(now[:, :-1], after[:, 1:])
            now[:, :-2] = np.logaddexp(now[:, :-2], after[:, 2:] + self._bars)
            made[:, row] = now
        return made
