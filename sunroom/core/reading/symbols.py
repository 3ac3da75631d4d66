"""Single symbols by a small net, and numbers as the best way to part strokes into digits."""

from __future__ import annotations

from collections.abc import Callable, Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry.curves import Points
from sunroom.core.ink.raster import ink_measures, ink_raster
from sunroom.core.reading.own_hand import OwnLetters
from sunroom.core.reading.parting import Parted

#: ((N, 3, side, side) rasters, (N, 6) measures) to (N, classes) probabilities and (N, D) unit embeddings
LookSymbols = Callable[
    [NDArray[np.float32], NDArray[np.float32]], tuple[NDArray[np.float32], NDArray[np.float32]]
]
#: What they are given.
Looked = tuple[NDArray[np.float32], NDArray[np.float32]]

RASTER_SIDE = 32
DIGITS = "0123456789"
#: What stands in numbers, beside points and colons.
NUMBER_SIGNS = "+-=×÷<>/°%€£$()"
#: How much the net that knows only digits counts beside the one that knows all symbols.
SECOND_LOOK = 0.95
#: The same where samples of the person's own hand help the latter.
SECOND_LOOK_AT_OWN = 0.3
#: What looks alike without its line.
ALIKE = ("cC(", "oO0°", "sS", "vV", "wW", "xX×", "zZ", "uU", "kK", "pP", "lI1", "mM", "yY", "jJ", ".", ",'")
#: The net is never surer than this: it knows no “none of these”.
LEAST = 1e-4


class Symbols:
    """Looks at symbols with a net; ``classes`` are its columns, one character each.

    ``look_digits``, if given, is a second net whose first ten columns are the digits; the rest of its
    likelihood is that of being none.
    """

    def __init__(
        self, look: LookSymbols, classes: Sequence[str], look_digits: LookSymbols | None = None
    ) -> None:
        self._look = look
        self._look_digits = look_digits
        self.classes = list(classes)
        self._alike = _alike(self.classes)
        self._digits = [self.classes.index(digit) for digit in DIGITS]

    def own_letters(self, samples: Sequence[tuple[str, Sequence[Points]]]) -> OwnLetters | None:
        """A hand by samples of its symbols, each the strokes of one character; None without any known."""
        known = [(text, strokes) for text, strokes in samples if text in self.classes]
        if not known:
            return None
        _, embeddings = self._look(*_seen([strokes for _, strokes in known]))
        return OwnLetters(np.array([self.classes.index(text) for text, _ in known]), embeddings)

    def parted(self, strokes: Sequence[Points], hand: OwnLetters | None = None) -> Parted:
        """The strokes of a level line, in all the ways in which they may be symbols."""
        return Parted(strokes, "".join(self.classes), lambda groups: self.logs_of(groups, hand))

    def parted_digits(self, strokes: Sequence[Points], hand: OwnLetters | None = None) -> Parted:
        """The strokes of a level line, in all the ways in which they may be digits."""
        return Parted(strokes, DIGITS, lambda groups: self.digits_of(groups, hand))

    def parted_numbers(
        self, strokes: Sequence[Points], hand: OwnLetters | None = None, marks: bool = True
    ) -> Parted:
        """The strokes of a level line, in all the ways in which they may be digits and the signs of numbers.

        With ``marks`` the stroke of a fraction is told from a 1, and a degree sign from a 0, by its place.
        """
        return Parted(strokes, DIGITS + NUMBER_SIGNS, lambda groups: self.numbers_of(groups, hand), marks)

    def numbers_of(
        self, groups: Sequence[Sequence[Points]], hand: OwnLetters | None = None
    ) -> NDArray[np.float64]:
        """(N, 10 + signs) log probabilities: of the digits among the digits, of the signs among all symbols."""
        seen = _seen(groups)
        probabilities = self._weighed(seen, hand)
        signs = self._logs(probabilities)[:, [self.classes.index(sign) for sign in NUMBER_SIGNS]]
        return np.hstack([self._digit_logs(seen, probabilities, hand), signs])

    def logs_of(
        self, groups: Sequence[Sequence[Points]], hand: OwnLetters | None = None
    ) -> NDArray[np.float64]:
        """(N, classes) log probabilities of several symbols, each some strokes.

        Those that look alike without their line (c and C) share what they have together. Which digit one is, the net of
        digits says.
        """
        seen = _seen(groups)
        probabilities = self._weighed(seen, hand)
        logs = self._logs(probabilities)
        any_digit = np.log(np.maximum(probabilities[:, self._digits].sum(axis=1, keepdims=True), LEAST))
        # Of what a 0 and an o have together all is the digit's, if it is one.
        shared = np.maximum(logs[:, self._digits], any_digit)
        logs[:, self._digits] = shared + self._digit_logs(seen, probabilities, hand)
        return logs

    def digits_of(
        self, groups: Sequence[Sequence[Points]], hand: OwnLetters | None = None
    ) -> NDArray[np.float64]:
        """(N, 10) log probabilities of the digits, among the digits."""
        seen = _seen(groups)
        return self._digit_logs(seen, self._weighed(seen, hand), hand)

    def _logs(self, probabilities: NDArray[np.float64]) -> NDArray[np.float64]:
        return np.asarray(np.log(np.maximum(probabilities @ self._alike, LEAST)))

    def _digit_logs(
        self, seen: Looked, of_all: NDArray[np.float64], hand: OwnLetters | None
    ) -> NDArray[np.float64]:
        probabilities = of_all[:, self._digits]
        share = probabilities.sum(axis=1, keepdims=True)
        # What is likelier no digit at all counts as such.
        probabilities /= np.maximum(share, 0.2)
        if self._look_digits is not None:
            weight = SECOND_LOOK if hand is None else SECOND_LOOK_AT_OWN
            looked = self._look_digits(*seen)[0][:, : len(DIGITS)]
            probabilities += weight * (looked - probabilities)
        return np.asarray(np.log(np.maximum(probabilities, LEAST)))

    def _weighed(self, seen: Looked, hand: OwnLetters | None) -> NDArray[np.float64]:
        probabilities, embeddings = self._look(*seen)
        plain = probabilities.astype(float)
        return plain if hand is None else hand.weighed(plain, embeddings)


def _seen(groups: Sequence[Sequence[Points]]) -> Looked:
    """What the nets look at."""
    rasters = np.stack([ink_raster(group, RASTER_SIDE) for group in groups])
    return rasters, np.stack([ink_measures(group) for group in groups])


def _alike(classes: list[str]) -> NDArray[np.float64]:
    """(classes, classes): 1 where two look alike."""
    of = {character: group for group in ALIKE for character in group}
    return np.array([[float(a == b or b in of.get(a, "")) for b in classes] for a in classes])
