"""What a line says by all there is to go by: two readers, and how likely words are; weighed as fitted on hands.

One reader sees a picture of the line, the other follows the pen. Each has its likeliest texts; those of both, and texts
with single words of theirs changed, are weighed together. The weights are no setting: training.weigh fits them.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Sequence
from functools import cache

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.reading.decode import CERTAIN_BLANK, beam_search, logs_of
from sunroom.core.reading.prior import LENGTH_BONUS, Prior

#: What neither reader has a column for is this likely in each row.
UNKNOWN = 1e-3
#: For each character no text is less likely to a reader than this (logarithm): what has too few rows for a text, such as
#: of many specks, does not forbid it.
LEAST_EACH = -8.0
#: A line's words are changed one at a time: so often at most, trying so many texts each time.
ROUNDS, MOST_TRIED = 2, 36
#: The reader that follows the pen has so many texts: it is less sure than the other.
PATH_BEAM = 12
#: Words nearly like one that nobody uses must be this common (zipf).
COMMON = 2.5
#: A text is as much work as it has signs times rows of the readers; of very long lines fewer texts are weighed.
MOST_WORK, LEAST_TEXTS = 3_000_000, 4
#: Of so many texts the words are tried in each other's places.
MIXED = 12


class Weights(msgspec.Struct, frozen=True):
    """How much each counts: the two readers' logarithms, words, length, and (against it) words that nobody uses."""

    picture: float
    path: float
    words: float
    length: float
    unusual: float


def compact(rows: NDArray[np.float32]) -> NDArray[np.float32]:
    """Rows of a reader without those that say nothing, as the one before did: they change no text's likelihood."""
    blank = rows[:, 0] > CERTAIN_BLANK
    kept: NDArray[np.float32] = rows[~(blank & np.roll(blank, 1)) | (np.arange(len(rows)) == 0)]
    return kept


class Columns:
    """The rows of one reader, and the column of each character in them; the blank is column 0."""

    def __init__(self, alphabet: Sequence[str]) -> None:
        self.alphabet = list(alphabet)
        self._of = {character: number + 1 for number, character in enumerate(self.alphabet)}

    def logs(self, rows: NDArray[np.float32], texts: Sequence[str]) -> NDArray[np.float64]:
        """How likely each text is to the reader."""
        other = np.full((len(rows), 1), UNKNOWN, np.float32)
        wide = np.concatenate([rows, other], axis=1)
        columns = [[self._of.get(c, wide.shape[1] - 1) for c in text] for text in texts]
        return np.maximum(logs_of(wide, columns), [LEAST_EACH * (1 + len(text)) for text in texts])


class JointLook:
    """What one line may say: ``weighed`` are log likelihoods of texts, up to a constant."""

    def __init__(
        self, joint: Joint, picture_rows: NDArray[np.float32], path_rows: NDArray[np.float32]
    ) -> None:
        self._joint = joint
        self.picture_rows, self.path_rows = picture_rows, path_rows
        self.weighed: dict[str, float] = {}
        #: What the picture's reader reads, words aside.
        self.plain = ""

    def weigh(self, texts: Iterable[str]) -> None:
        """Weigh these texts too."""
        new = [text for text in dict.fromkeys(" ".join(text.split()) for text in texts) if text]
        new = [text for text in new if text not in self.weighed]
        longest = max(map(len, new), default=0)
        new = new[
            : max(LEAST_TEXTS, MOST_WORK // (1 + longest * (len(self.picture_rows) + len(self.path_rows))))
        ]
        if not new:
            return
        logs = self.features(new) @ np.array(msgspec.structs.astuple(self._joint.weights))
        self.weighed |= dict(zip(new, logs.tolist(), strict=True))

    def features(self, texts: Sequence[str]) -> NDArray[np.float64]:
        """(texts, 5): what each of ``Weights`` is to weigh."""
        joint = self._joint
        sides = (joint.picture.logs(self.picture_rows, texts), joint.path.logs(self.path_rows, texts))
        return np.column_stack([*sides, np.array([joint.features(text) for text in texts])])

    def put(self, text: str, like: str, cost: float) -> None:
        """Weigh ``text`` as the readers see ``like``, at a cost (logarithm, beside that of words)."""
        joint = self._joint
        log = self.weighed[like] - joint.by_words(like) + joint.by_words(text) - joint.weights.words * cost
        self.weighed[text] = max(self.weighed.get(text, log), log)

    @property
    def best(self) -> str:
        """The likeliest text; "" when there is none."""
        return max(self.weighed, key=lambda text: self.weighed[text], default="")


class Joint:
    """Weighs texts that a line may say.

    Parameters
    ----------
    picture, path : Columns
        Of the reader that sees a picture, and of the one that follows the pen.
    prior : Prior
    weights : Weights
    """

    def __init__(self, picture: Columns, path: Columns, prior: Prior, weights: Weights) -> None:
        self.picture, self.path, self.weights = picture, path, weights
        self._prior = prior

    def look(self, picture_rows: NDArray[np.float32], path_rows: NDArray[np.float32]) -> JointLook:
        """Weigh what a line may say by the two readers' rows of it."""
        look = JointLook(self, compact(picture_rows), compact(path_rows))
        known = self._known_words()
        plain = beam_search(look.picture_rows, self.picture.alphabet)
        look.plain = next((said for text, _ in plain if (said := " ".join(text.split()))), "")
        words = beam_search(look.picture_rows, self.picture.alphabet, likely=known)
        along = beam_search(look.path_rows, self.path.alphabet, PATH_BEAM, known)
        look.weigh(text for text, _ in (*plain, *words, *along))
        for _ in range(ROUNDS):
            before = len(look.weighed)
            look.weigh(self._with_other_words(look.weighed) if look.weighed else ())
            if len(look.weighed) == before:
                break
        return look

    def by_words(self, text: str) -> float:
        """How likely a text is before its ink is looked at (logarithm)."""
        words, length, unusual = self.features(text)
        weights = self.weights
        return weights.words * words + weights.length * length + weights.unusual * unusual

    def features(self, text: str) -> tuple[float, float, float]:
        """What is to be weighed of a text by itself."""
        unusual = sum(not self._prior.usual(token) for token in text.split())
        return self._prior.score(text) - LENGTH_BONUS * len(text), len(text), -unusual

    def _known_words(self) -> Callable[[str], float]:
        """How likely the whole words of a beginning are, beside a reader's logarithms as they are.

        The same beginnings are asked for at every row, and each is another one and a word more.
        """

        @cache
        def likely(words: str) -> float:
            head, _, last = words[:-1].rpartition(" ")
            before = head[head.rfind(" ") + 1 :] + " " if head else ""
            more = self.by_words(f"{before}{last} ") - self.by_words(before)
            return (likely(f"{head} ") if head else 0.0) + more / self.weights.picture

        return likely

    def _with_other_words(self, weighed: dict[str, float]) -> list[str]:
        """The likeliest text with each of its words changed: for those of others, and for words nearly like it."""
        order = sorted(weighed, key=lambda text: -weighed[text])[:MIXED]
        best = order[0].split()
        others = [words for text in order[1:] if len(words := text.split()) == len(best)]
        made: dict[str, None] = {}
        for place, word in enumerate(best):
            instead = dict.fromkeys(words[place] for words in others)
            if not self._prior.knows(word):
                instead |= dict.fromkeys(self._prior.nearly(word, COMMON))
            for other in instead:
                made[" ".join([*best[:place], other, *best[place + 1 :]])] = None
        return [text for text in made if text not in weighed][:MOST_TRIED]
