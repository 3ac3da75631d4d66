"""What a line says by all there is to go by: three readers, and how likely words are; weighed as fitted on hands.

Two readers see a picture of the line, the recogniser as it ships and as it was taught more hands; the third follows the
pen. Each has its likeliest texts; those of all, and texts with single words of theirs changed, are weighed together. The
weights are no setting: training.weigh fits them.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Sequence
from functools import cache
from typing import NamedTuple

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.reading.decode import CERTAIN_BLANK, beam_search, logs_of, rows_of
from sunroom.core.reading.prior import KNOWN_ZIPF, LENGTH_BONUS, Prior

#: What a reader has no column for is this likely in each row.
UNKNOWN = 1e-3
#: For each character no text is less likely to a reader than this (logarithm): what has too few rows for a text, such as
#: of many specks, does not forbid it.
LEAST_EACH = -8.0
#: A line's words are changed one at a time: so often at most, trying so many texts each time.
ROUNDS, MOST_TRIED = 2, 36
#: The reader that follows the pen has so many texts: it is less sure than the others.
PATH_BEAM = 12
#: A word rarer than this (zipf) may be a misreading of one nearly like it, which is so much commoner, and this common.
RARE, COMMONER, COMMON = 3.0, 1.0, 2.5
#: What it costs (beside words) that two letters look like one.
ALIKE_COST = 1.0
#: A text is as much work as it has signs times rows of the readers; of very long lines fewer texts are weighed.
MOST_WORK, LEAST_TEXTS = 3_000_000, 4
#: Of so many texts the words are tried in each other's places.
MIXED = 12


class Weights(msgspec.Struct, frozen=True):
    """How much each counts: the readers' logarithms, words, length, (against it) words that nobody uses, and pairs."""

    picture: float
    taught: float
    path: float
    words: float
    length: float
    unusual: float
    pairs: float


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

    def of(self, text: str) -> tuple[int, ...] | None:
        """The columns of a text; None when the reader does not know one of its characters."""
        return tuple(self._of[c] for c in text) if all(c in self._of for c in text) else None

    def logs(self, rows: NDArray[np.float32], texts: Sequence[str]) -> NDArray[np.float64]:
        """How likely each text is to the reader."""
        columns = [self._with_unknown(text) for text in texts]
        logs = logs_of(self._widened(rows), columns)
        return np.maximum(logs, [LEAST_EACH * (1 + len(text)) for text in texts])

    def rows_of(self, rows: NDArray[np.float32], text: str) -> NDArray[np.float64]:
        """The row of each character of a text; see ``decode.rows_of``."""
        return rows_of(self._widened(rows), self._with_unknown(text))

    def _widened(self, rows: NDArray[np.float32]) -> NDArray[np.float32]:
        """The rows with one column more for what the reader does not know."""
        return np.concatenate([rows, np.full((len(rows), 1), UNKNOWN, np.float32)], axis=1)

    def _with_unknown(self, text: str) -> list[int]:
        return [self._of.get(character, len(self.alphabet) + 1) for character in text]


class Readers(NamedTuple):
    """Of each reader its columns: the recogniser's, the taught one's, and of the one that follows the pen."""

    picture: Columns
    taught: Columns
    path: Columns


class Rows(NamedTuple):
    """What each reader says of a line, row by row: (T, 1 + its characters) probabilities, blank first."""

    picture: NDArray[np.float32]
    taught: NDArray[np.float32]
    path: NDArray[np.float32]


class JointLook:
    """What one line may say: ``weighed`` are log likelihoods of texts, up to a constant."""

    def __init__(self, joint: Joint, rows: Rows) -> None:
        self._joint = joint
        self.rows = rows
        self.weighed: dict[str, float] = {}
        #: What the picture's reader reads, words aside.
        self.plain = ""

    def weigh(self, texts: Iterable[str]) -> None:
        """Weigh these texts too."""
        new = [text for text in dict.fromkeys(" ".join(text.split()) for text in texts) if text]
        new = [text for text in new if text not in self.weighed]
        longest = max(map(len, new), default=0)
        new = new[: max(LEAST_TEXTS, MOST_WORK // (1 + longest * sum(map(len, self.rows))))]
        if not new:
            return
        logs = self.features(new) @ np.array(msgspec.structs.astuple(self._joint.weights))
        self.weighed |= dict(zip(new, logs.tolist(), strict=True))

    def features(self, texts: Sequence[str]) -> NDArray[np.float64]:
        """(texts, 7): what each of ``Weights`` is to weigh."""
        joint = self._joint
        sides = [columns.logs(rows, texts) for columns, rows in zip(joint.columns, self.rows, strict=True)]
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
    columns : Readers
    prior : Prior
    weights : Weights
    """

    def __init__(self, columns: Readers, prior: Prior, weights: Weights) -> None:
        self.columns, self.weights = columns, weights
        self._prior = prior

    def look(self, rows: Rows) -> JointLook:
        """Weigh what a line may say by the readers' rows of it."""
        look = JointLook(self, Rows(*map(compact, rows)))
        known = self._known_words()
        picture, taught, path = (columns.alphabet for columns in self.columns)
        plain = beam_search(look.rows.picture, picture)
        look.plain = next((said for text, _ in plain if (said := " ".join(text.split()))), "")
        look.weigh(
            text
            for found in (
                plain,
                beam_search(look.rows.picture, picture, likely=known),
                beam_search(look.rows.taught, taught, likely=known),
                beam_search(look.rows.path, path, PATH_BEAM, known),
            )
            for text, _ in found
        )
        for _ in range(ROUNDS):
            before = len(look.weighed)
            look.weigh(self._with_other_words(look.weighed) if look.weighed else ())
            if len(look.weighed) == before:
                break
        self._add_alike(look)
        return look

    def _add_alike(self, look: JointLook) -> None:
        """Add the best text with rn for the m of a word that nobody uses: the readers see no difference worth the name."""
        words = look.best.split()
        for place, word in enumerate(words):
            if self._prior.commonness(word) < KNOWN_ZIPF:
                for other in self._prior.alike(word, COMMON):
                    text = " ".join([*words[:place], other, *words[place + 1 :]])
                    look.put(text, look.best, ALIKE_COST)

    def by_words(self, text: str) -> float:
        """How likely a text is before its ink is looked at (logarithm)."""
        words, length, unusual, pairs = self.features(text)
        weights = self.weights
        return (
            weights.words * words
            + weights.length * length
            + weights.unusual * unusual
            + weights.pairs * pairs
        )

    def features(self, text: str) -> tuple[float, float, float, float]:
        """What is to be weighed of a text by itself."""
        unusual = sum(not self._prior.usual(token) for token in text.split())
        words = self._prior.score(text) - LENGTH_BONUS * len(text)
        return words, len(text), -unusual, self._prior.together(text)

    def _known_words(self) -> Callable[[str], float]:
        """How likely the whole words of a beginning are, beside a reader's logarithms as they are.

        The same beginnings are asked for at every row, and each is another one and a word more.
        """

        seen = self.weights.picture + self.weights.taught

        @cache
        def likely(words: str) -> float:
            head, _, last = words[:-1].rpartition(" ")
            before = head[head.rfind(" ") + 1 :] + " " if head else ""
            more = self.by_words(f"{before}{last} ") - self.by_words(before)
            return (likely(f"{head} ") if head else 0.0) + more / seen

        return likely

    def _with_other_words(self, weighed: dict[str, float]) -> list[str]:
        """The likeliest text with each of its words changed: for those of others, and for words nearly like it."""
        order = sorted(weighed, key=lambda text: -weighed[text])[:MIXED]
        best = order[0].split()
        others = [words for text in order[1:] if len(words := text.split()) == len(best)]
        made: dict[str, None] = {}
        for place, word in enumerate(best):
            instead = dict.fromkeys(words[place] for words in others)
            common = self._prior.commonness(word)
            if common < RARE:
                instead |= dict.fromkeys(self._prior.nearly(word, max(common + COMMONER, COMMON)))
            for other in instead:
                made[" ".join([*best[:place], other, *best[place + 1 :]])] = None
        return [text for text in made if text not in weighed][:MOST_TRIED]
