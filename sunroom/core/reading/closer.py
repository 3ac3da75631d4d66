"""A closer look at a line whose symbols stand apart: each by the nets of symbols and by its writer's hand."""

from __future__ import annotations

import re
from collections.abc import Sequence

from sunroom.core.geometry.curves import Points
from sunroom.core.reading.joint import JointLook, Readers
from sunroom.core.reading.own_hand import OwnLetters
from sunroom.core.reading.prior import Prior
from sunroom.core.reading.readings import MAX_READINGS, Reading, ranked
from sunroom.core.reading.symbols import Symbols

#: Each symbol of a line of up to so many strokes is looked at by itself too.
MAX_STROKES = 30
#: How much that counts beside the recogniser of lines, and how much when samples of the own hand help.
NET_WEIGHT, HAND_WEIGHT = 0.8, 1.2
#: The recogniser of lines says less of a single sign, and little beside samples of the own hand.
LONE_NET_WEIGHT, LONE_HAND_WEIGHT = 1.6, 8.0
#: Beside what both readers and the words say together: as much beside the words as they were tuned for, whose weight
#: there (reading.json) is this.
BESIDE_JOINT = 0.68
#: A single sign that the recogniser of lines does not see is read when it is this likely (logarithm).
SURE_LONE, MAX_LONE_STROKES = -0.3, 4
#: Signs that are like no plain figure.
PLAINLY_SIGNS = "23456789abdefghkpqyABEFGHKPQRSY"
#: Texts that only the symbols say, at most.
MOST_ADDED = 8
#: A reading of common words that is so much likelier (logarithm) than all others stands.
PLAIN = 4.0
#: Below this for each symbol (logarithm) the writing is joined, and parting it says nothing.
JOINED = -3.0
#: And when it parts into more symbols than strokes, by more than these.
PIECES = 1
#: A correction teaches when so large a share of its symbols are at least this likely (logarithm).
LEAST_CLEAR, CLEAR_SYMBOL = 0.6, -1.5
#: What may stand behind what counts a line, and how much likelier (logarithm) it is with it than without.
COUNTER_SIGNS, SURE_COUNTER, MAX_COUNTER_STROKES = ".,)", 1.0, 10
#: What counts a line without its sign; so much less likely (logarithm) than the likeliest it may still be meant.
LABEL, LIKELY_LABEL = re.compile(r"[a-j]|[1-9]\d?"), 4.0
#: However unlikely a text is by its symbols, the readers of lines may still be right.
LEAST_CLOSE_LOG = -15.0


class CloserLook:
    """Weighs what a line may say by how each of its symbols looks, and reads single signs.

    Parameters
    ----------
    symbols : Symbols
    prior : Prior
    columns : Readers
        Of the readers of lines.
    """

    def __init__(self, symbols: Symbols, prior: Prior, columns: Readers) -> None:
        self._symbols = symbols
        self._prior = prior
        self._columns = columns

    def own_letters(self, samples: Sequence[tuple[str, Sequence[Points]]]) -> OwnLetters | None:
        """A hand by samples of its symbols; None without any that is known."""
        return self._symbols.own_letters(samples)

    def taught_by(
        self, strokes: Sequence[Points], text: str, hand: OwnLetters | None
    ) -> list[tuple[str, tuple[int, ...]]]:
        """The symbols of a level line that says ``text``: each character with its strokes' numbers.

        Empty when the strokes do not part into that text clearly enough to learn from.
        """
        wanted = "".join(text.split())
        if not wanted or not 0 < len(strokes) <= MAX_STROKES:
            return []
        found = self._symbols.parted(strokes, hand).symbols_of(wanted)
        clear = sum(log > CLEAR_SYMBOL for log, _ in found)
        if len(found) > 1 and clear < LEAST_CLEAR * len(found):
            return []
        known = self._symbols.classes
        return [(c, numbers) for c, (_, numbers) in zip(wanted, found, strict=False) if c in known]

    def lone_sign(self, strokes: Sequence[Points], hand: OwnLetters | None) -> list[Reading]:
        """What a single sign may be that the recogniser of lines does not see; mostly nothing."""
        if len(strokes) > MAX_LONE_STROKES:
            return []
        texts = self._symbols.parted(strokes, hand).texts()
        likely = {text: log for text, log in texts if len(text) == 1 and text.isalnum()}
        # However wide they are: a 2 may be twice as wide as high.
        (logs,) = self._symbols.logs_of([strokes], hand)
        for sign, log in zip(self._symbols.classes, logs.tolist(), strict=True):
            if sign in PLAINLY_SIGNS:
                likely[sign] = max(log, likely.get(sign, log))
        best = max(likely.values())
        sure = best > SURE_LONE and all(best >= log for _, log in texts)
        return ranked(likely)[:MAX_READINGS] if sure else []

    def counted(self, counter: str, strokes: Sequence[Points], hand: OwnLetters | None) -> str:
        """What counts a line, ``9``, ``9.`` or ``9)``, with the sign behind it that its strokes have."""
        if not 0 < len(strokes) <= MAX_COUNTER_STROKES:
            return counter
        parted = self._symbols.parted(strokes, hand)
        plain = counter.rstrip(COUNTER_SIGNS)
        logs = {text: parted.log_of(text) for text in (plain, f"{plain}.", f"{plain})")}
        best = max(logs, key=lambda text: logs[text])
        return best if logs[best] > logs[plain] + SURE_COUNTER else counter

    def labels(self, strokes: Sequence[Points], hand: OwnLetters | None) -> list[str]:
        """The letters and numbers that may count a line, of what some strokes look like, the likeliest first."""
        found = [
            (log, text) for text, log in self._symbols.parted(strokes, hand).texts() if LABEL.fullmatch(text)
        ]
        best = max(found, default=(0.0, ""))[0]
        return [text for log, text in sorted(found, reverse=True) if log > best - LIKELY_LABEL]

    def weigh(self, look: JointLook, strokes: Sequence[Points], hand: OwnLetters | None) -> None:
        """Weigh what a line may say by its symbols too, and add what only they say; left alone when it is joined."""
        if len(strokes) > MAX_STROKES or self._is_plain(look.weighed):
            return
        parted = self._symbols.parted(strokes, hand)
        texts = parted.texts()
        if not texts or texts[0][1] < JOINED * len(texts[0][0]) or len(texts[0][0]) > len(strokes) + PIECES:
            return
        look.weigh(text for text, _ in texts[:MOST_ADDED] if self._columns.picture.of(text) is not None)
        weights = (NET_WEIGHT, LONE_NET_WEIGHT) if hand is None else (HAND_WEIGHT, LONE_HAND_WEIGHT)
        weight = weights[len(texts[0][0]) == 1]
        for text in look.weighed:
            close = weight * max(parted.log_of(text.replace(" ", "")), LEAST_CLOSE_LOG)
            look.weighed[text] += BESIDE_JOINT * (close + parted.spacing(text))

    def _is_plain(self, weighed: dict[str, float]) -> bool:
        """Whether one reading, of common words, is so much likelier that a closer look changes nothing."""
        (best, text), *rest = sorted(((log, text) for text, log in weighed.items()), reverse=True)
        margin = best - max(
            (log for log, other in rest if other.casefold() != text.casefold()), default=-99.0
        )
        return len(text) > 1 and margin > PLAIN and self._prior.knows(text)
