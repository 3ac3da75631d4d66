"""A person's own hand: what samples of how they write symbols and whole lines say of new ink."""

from __future__ import annotations

from typing import NamedTuple

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.reading.own_words import OwnWords

#: So much more alike (cosine of embeddings) makes one symbol e times as likely as another.
NEARER = 0.05
#: How much the samples count beside the net; tuned on hands that the measurements do not use.
WEIGHT = 0.75
LEAST = 1e-4


#: A character, or a line of several, and its strokes as packed samples.
Sample = tuple[str, tuple[bytes, ...]]


class HandInk(msgspec.Struct, frozen=True):
    """A hand as it is kept; ``mark`` is the same as long as its samples are."""

    mark: str
    samples: tuple[Sample, ...]


class OwnLetters:
    """Samples of a hand's symbols, as the net of symbols sees them.

    Parameters
    ----------
    columns : (N,) int array
        Which of the net's classes each sample is.
    embeddings : (N, D) float array
        Of unit length.
    """

    def __init__(self, columns: NDArray[np.int_], embeddings: NDArray[np.float32]) -> None:
        self._columns = columns
        self._embeddings = embeddings

    def weighed(
        self, probabilities: NDArray[np.float64], embeddings: NDArray[np.float32]
    ) -> NDArray[np.float64]:
        """The net's (M, classes) probabilities of M symbols with those by the nearest samples.

        Symbols of which there is no sample are as likely as the net says.
        """
        likeness = np.full(probabilities.shape, -np.inf)
        for column, alike in zip(self._columns, (embeddings @ self._embeddings.T).T, strict=True):
            likeness[:, column] = np.maximum(likeness[:, column], alike)
        sampled = np.zeros(probabilities.shape[1], bool)
        sampled[self._columns] = True
        own = np.exp((likeness - likeness.max(axis=1, keepdims=True)) / NEARER)
        own *= probabilities[:, sampled].sum(axis=1, keepdims=True) / own.sum(axis=1, keepdims=True)
        own = np.where(sampled, own, probabilities)
        both = np.maximum(probabilities, LEAST) ** (1 - WEIGHT) * np.maximum(own, LEAST) ** WEIGHT
        return np.asarray(both / both.sum(axis=1, keepdims=True))


class OwnHand(NamedTuple):
    """What is known of a hand: its symbols, by which single ones are told, and how it writes lines."""

    letters: OwnLetters | None
    words: OwnWords | None
